namespace Umbracell.Core.Choosing;

/// <summary>What candidates are scored by.</summary>
public enum ScorePart
{
    /// <summary>Cost of material and labour.</summary>
    Cost,

    /// <summary>Depth it takes.</summary>
    Depth,

    /// <summary>Distance from damp.</summary>
    Moisture,

    /// <summary>Resistance to knocks.</summary>
    Toughness,

    /// <summary>Sound taken up.</summary>
    Quiet,

    /// <summary>Ease of getting behind it.</summary>
    Repair,

    /// <summary>Hours until it is done.</summary>
    Speed,
}

/// <summary>What matters how much on a job; each 0 to 5, all nought counts as even.</summary>
/// <param name="Weights">Weight by part; a part not named weighs nothing.</param>
public sealed record Priorities(IReadOnlyDictionary<ScorePart, double> Weights)
{
    /// <summary>Cost and damp first, the rest alike: what the product starts with.</summary>
    public static Priorities Even { get; } =
        new(
            new Dictionary<ScorePart, double>
            {
                [ScorePart.Cost] = 3,
                [ScorePart.Depth] = 1,
                [ScorePart.Moisture] = 3,
                [ScorePart.Toughness] = 1,
                [ScorePart.Quiet] = 1,
                [ScorePart.Repair] = 1,
                [ScorePart.Speed] = 1,
            }
        );

    /// <summary>Share of a part, the shares adding to one.</summary>
    public double ShareOf(ScorePart part)
    {
        var sum = Weights.Values.Sum();
        return sum > 0 ? Weights.GetValueOrDefault(part) / sum : 1.0 / Enum.GetValues<ScorePart>().Length;
    }
}
