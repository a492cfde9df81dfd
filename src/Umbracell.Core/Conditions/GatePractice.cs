using Umbracell.Core.Quantities;

namespace Umbracell.Core.Conditions;

/// <summary>Figures of the gate that a firm may hold tighter than the rules do; in SI, the unit in the name.</summary>
public enum GateMargin
{
    /// <summary>Distance from the edge of a sheet's window that counts as well inside.</summary>
    WellInsideK,

    /// <summary>Least distance of the substrate above the dew or frost point.</summary>
    DewHoldK,

    /// <summary>Distance above the dew or frost point that is clear.</summary>
    DewClearK,

    /// <summary>Greatest humidity of the air, whatever the sheet allows above it.</summary>
    GreatestHumidityPct,

    /// <summary>Points under the greatest humidity that are clear.</summary>
    HumidityPoints,

    /// <summary>Greatest wood moisture that passes for dry where the sheet asks for dry and prints no figure.</summary>
    DryWoodPct,

    /// <summary>Points of wood moisture under the limit that are clear.</summary>
    MoisturePoints,

    /// <summary>Greatest reading of a concrete meter on its own scale that passes for dry.</summary>
    DryConcretePct,

    /// <summary>Hours after which a reading is stale.</summary>
    FreshHours,
}

/// <summary>How far a margin may be set: from what the rules ask to the tightest that, whatever else is set, still lets anyone spray.</summary>
/// <param name="OfRules">What the rules ask.</param>
/// <param name="Tightest">The tightest.</param>
/// <param name="Dimension">What it measures.</param>
public sealed record GateMarginRange(double OfRules, double Tightest, Dimension Dimension)
{
    /// <summary>Whether a smaller figure is the tighter one.</summary>
    public bool IsGreatest => Tightest < OfRules;

    /// <summary>The least that may be set.</summary>
    public double Least => Math.Min(OfRules, Tightest);

    /// <summary>The most that may be set.</summary>
    public double Most => Math.Max(OfRules, Tightest);

    /// <summary>The range of a margin. The rules' figures are those of gate rules G1 to G5; practice where the rule says so: no sheet prints
    /// a limit for the scales of concrete meters, and the figure for dry wood lies below every one that sheets print.</summary>
    public static GateMarginRange Of(GateMargin margin) =>
        margin switch
        {
            GateMargin.WellInsideK => new(3, 10, Dimension.TemperatureDifference),
            GateMargin.DewHoldK => new(3, 15, Dimension.TemperatureDifference),
            GateMargin.DewClearK => new(5, 20, Dimension.TemperatureDifference),
            GateMargin.GreatestHumidityPct => new(100, 50, Dimension.RelativeHumidity),
            GateMargin.HumidityPoints => new(5, 20, Dimension.HumidityPoints),
            GateMargin.DryWoodPct => new(15, 8, Dimension.MoistureContent),
            GateMargin.MoisturePoints => new(2, 5, Dimension.HumidityPoints),
            GateMargin.DryConcretePct => new(4, 1, Dimension.MoistureContent),
            GateMargin.FreshHours => new(2, 0.25, Dimension.Number),
            _ => throw new ArgumentOutOfRangeException(nameof(margin)),
        };
}

/// <summary>The firm's own margins: each as tight as the rules ask or tighter. What was kept looser than a rule gives way to the rule.</summary>
public sealed record GatePractice
{
    private readonly Dictionary<GateMargin, double> _held = [];

    /// <summary>What the firm holds tighter; a margin that is not named is the rules'.</summary>
    public IReadOnlyDictionary<GateMargin, double> Tighter
    {
        get => _held;
        init => _held = value.ToDictionary(m => m.Key, m => Held(m.Key, m.Value));
    }

    /// <inheritdoc cref="GateMargin.DryConcretePct"/>
    public double DryConcretePercent => Of(GateMargin.DryConcretePct);

    /// <inheritdoc cref="GateMargin.DryWoodPct"/>
    public double DryWoodPercent => Of(GateMargin.DryWoodPct);

    /// <inheritdoc cref="GateMargin.WellInsideK"/>
    public TemperatureDifference WellInside => TemperatureDifference.FromKelvins(Of(GateMargin.WellInsideK));

    /// <inheritdoc cref="GateMargin.DewHoldK"/>
    public TemperatureDifference DewHold => TemperatureDifference.FromKelvins(Of(GateMargin.DewHoldK));

    /// <summary>Distance above the dew or frost point that is clear; never less than the distance that is held.</summary>
    public TemperatureDifference DewClear => TemperatureDifference.FromKelvins(Math.Max(Of(GateMargin.DewClearK), Of(GateMargin.DewHoldK)));

    /// <inheritdoc cref="GateMargin.HumidityPoints"/>
    public double HumidityPoints => Of(GateMargin.HumidityPoints);

    /// <inheritdoc cref="GateMargin.MoisturePoints"/>
    public double MoisturePoints => Of(GateMargin.MoisturePoints);

    /// <inheritdoc cref="GateMargin.GreatestHumidityPct"/>
    public double GreatestHumidityPercent => Of(GateMargin.GreatestHumidityPct);

    /// <inheritdoc cref="GateMargin.FreshHours"/>
    public TimeSpan FreshFor => TimeSpan.FromHours(Of(GateMargin.FreshHours));

    /// <summary>A margin in force.</summary>
    public double Of(GateMargin margin) => _held.TryGetValue(margin, out var held) ? held : GateMarginRange.Of(margin).OfRules;

    private static double Held(GateMargin margin, double value)
    {
        var range = GateMarginRange.Of(margin);
        return range.IsGreatest ? Math.Min(value, range.OfRules) : Math.Max(value, range.OfRules);
    }
}
