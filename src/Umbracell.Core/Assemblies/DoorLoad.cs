using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>What a door can carry more, and how much of it is covered.</summary>
/// <param name="Spare">Spare capacity of its springs; null where it is not known.</param>
/// <param name="Treated">Area that is covered; null where it is not taken off.</param>
public sealed record DoorFacts(Mass? Spare, Area? Treated);

/// <summary>The weight that what is put in adds to an overhead door, against what its springs can still lift (choice rule E7).</summary>
public static class DoorLoad
{
    private static readonly Citation Source = Citations.DoorWeight;

    /// <summary>Judges a door; null for any other surface.</summary>
    /// <param name="section">The case.</param>
    /// <param name="spare">Spare capacity of its springs; null where it is not known.</param>
    /// <param name="treated">Area that is covered; null where it is not taken off.</param>
    public static Finding? Judge(SectionCase section, Mass? spare, Area? treated)
    {
        if (section.Kind != SurfaceKind.OverheadDoor)
        {
            return null;
        }

        if (spare is not { } capacity || treated is not { } area)
        {
            return new(SectionRules.DoorLoad, "spareUnknown", Verdict.Care, Source);
        }

        var weight = Mass.FromKilograms(section.Fill.Sum(f => f.KilogramsPerSquareMetre) * area.SquareMetres);
        var tooHeavy = weight.Kilograms > capacity.Kilograms;
        return new(SectionRules.DoorLoad, tooHeavy ? "tooHeavy" : "carries", tooHeavy ? Verdict.Hold : Verdict.Clear, Source)
        {
            Measured = weight.ToFigure(),
            Limit = capacity.ToFigure(),
            Margin = new(capacity.Kilograms - weight.Kilograms, Dimension.Mass),
            Working = new(
                "doorWeight",
                "m = Σ ρ · t · A",
                [
                    .. section.Fill.Select(
                        (f, i) => new WorkingTerm("m" + (i + 1), "layerWeight", new(f.KilogramsPerSquareMetre, Dimension.AreaWeight))
                    ),
                    new("A", "treatedArea", area.ToFigure()),
                ],
                weight.ToFigure(),
                Citations.InPlaceDensity
            ),
        };
    }
}
