using Umbracell.Core.Air;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Conditions;

/// <summary>May this surface be sprayed now? Rules G1 to G6 and G13, the worst of them, and what would clear it.</summary>
/// <param name="Findings">One per rule in the order of the rules, and one for stale readings where there are any.</param>
/// <param name="DewPoint">Dew or frost point of the air read; null where air or humidity is not read.</param>
/// <param name="Remedies">What would clear the temperatures and humidity taken together.</param>
public sealed record SprayGate(IReadOnlyList<Finding> Findings, Temperature? DewPoint, IReadOnlyList<Remedy> Remedies)
{
    /// <summary>Within this of the edge of its window a drum is judged with care (rule G6): it is on the edge by the time it is
    /// opened.</summary>
    public static readonly TemperatureDifference DrumEdge = TemperatureDifference.FromKelvins(1);

    /// <summary>Whether anything was read or ticked off yet. Before that the gate holds on everything, and a screen says that nothing was
    /// read.</summary>
    public bool Begun { get; init; }

    /// <summary>How long the verdict stands if nothing new is read: until the next reading is no longer fresh, 0 or more; null where none
    /// is fresh.</summary>
    public TimeSpan? StandsFor { get; init; }

    /// <summary>The worst of all rules.</summary>
    public Verdict Verdict => Findings.Worst();

    /// <summary>Checks the gate.</summary>
    /// <param name="gate">Readings, sheet and practice.</param>
    /// <exception cref="QuantityRangeException">A reading outside the psychrometric formulas.</exception>
    public static SprayGate Check(GateCase gate)
    {
        var air = AirAsRead(gate);
        var dew = air?.DewPoint;
        List<Finding> findings =
        [
            TemperatureRules.Substrate(gate),
            TemperatureRules.Air(gate),
            MoistureRules.DewDistance(gate, air),
            MoistureRules.Humidity(gate, air),
            MoistureRules.SubstrateMoisture(gate),
            TemperatureRules.Drums(gate),
            PreparationRule.Judge(gate),
        ];
        if (StaleReadings(gate) is { } stale)
        {
            findings.Add(stale);
        }

        return new(findings, dew, GateRemedies.Together(gate, air))
        {
            StandsFor = FreshFor(gate),
            Begun =
                gate.Prepared.Count > 0
                || gate
                    is not { Substrate: null, Air: null, Humidity: null, MoistureMeter: null, FoundDry: null, DrumA: null, DrumB: null },
        };
    }

    internal static MoistAir? AirAsRead(GateCase gate) =>
        gate is { Air: { } t, Humidity: { } rh } ? MoistAir.Of(t.Value, rh.Value, gate.Pressure) : null;

    // Whatever else follows from a reading is the same at any age.
    private static TimeSpan? FreshFor(GateCase gate)
    {
        TimeSpan?[] ages =
        [
            gate.Substrate?.Age,
            gate.Air?.Age,
            gate.Humidity?.Age,
            gate.MoistureMeter?.Age,
            gate.FoundDry?.Age,
            gate.DrumA?.Age,
            gate.DrumB?.Age,
        ];
        return ages.Select(age => gate.Practice.FreshFor - age).Where(left => left >= TimeSpan.Zero).Min();
    }

    private static Finding? StaleReadings(GateCase gate)
    {
        var oldest = new[] { gate.Substrate?.Age, gate.Air?.Age, gate.Humidity?.Age, gate.MoistureMeter?.Age ?? gate.FoundDry?.Age }.Max();
        return oldest is { } age && age > gate.Practice.FreshFor
            ? new(GateRules.ReadingsAge, "stale", Verdict.Care, Citations.FreshFor(gate.Practice.FreshFor))
            {
                Measured = Figure.Duration(age),
                Limit = Figure.Duration(gate.Practice.FreshFor),
                Margin = Figure.Duration(gate.Practice.FreshFor - age),
            }
            : null;
    }
}
