using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Yield;

/// <summary>The drums on the rig against what its trailer carries.</summary>
/// <param name="Weight">All drums together, contents only.</param>
/// <param name="Findings">Judgement; empty where nothing is loaded.</param>
public sealed record RigLoad(Mass Weight, IReadOnlyList<Finding> Findings)
{
    /// <summary>Weighs a load.</summary>
    /// <param name="sets">Products with the whole sets loaded.</param>
    /// <param name="trailer">What the trailer may carry; zero where it is not entered.</param>
    public static RigLoad Of(IReadOnlyList<(ProductSheet Sheet, int Sets)> sets, Mass trailer)
    {
        var weight = Mass.FromKilograms(sets.Sum(s => s.Sets * s.Sheet.SetMass.Kilograms));
        return new(weight, weight.Kilograms <= 0 ? [] : [Judged(weight, trailer)]);
    }

    private static Finding Judged(Mass weight, Mass trailer)
    {
        var source = Citations.TrailerLoad;
        return trailer.Kilograms <= 0
            ? new(MaterialRules.Trailer, "unknown", Verdict.Care, source) { Measured = weight.ToFigure() }
            : new(
                MaterialRules.Trailer,
                weight.Kilograms > trailer.Kilograms ? "tooHeavy" : "carried",
                weight.Kilograms > trailer.Kilograms ? Verdict.Hold : Verdict.Clear,
                source
            )
            {
                Measured = weight.ToFigure(),
                Limit = trailer.ToFigure(),
                Margin = new(trailer.Kilograms - weight.Kilograms, Dimension.Mass),
            };
    }
}
