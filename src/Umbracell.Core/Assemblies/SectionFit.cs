using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;

namespace Umbracell.Core.Assemblies;

/// <summary>Whether the foam fits the depth (choice rule E9).</summary>
internal static class SectionFit
{
    /// <summary>Closed cell stops this short of the members' face so that nothing need be shaved.</summary>
    private static readonly Length ClosedCellGap = Length.FromInches(0.5);

    // Depths typed in one system and foam set in the other must not fail by a rounding.
    private static readonly Length Grace = Length.FromMillimetres(0.25);

    /// <summary>Thickest the moved layer may become without shaving hard foam; null where nothing bounds it.</summary>
    public static Length? GreatestFoam(SectionCase section)
    {
        if (section.FoamDepth is not { } depth)
        {
            return null;
        }

        // A layer that takes the rest gives way; one of fixed thickness keeps its place.
        var kept = section.Fill.Where(layer => layer != section.Moved && !layer.TakesRest).Sum(layer => layer.Thickness.Metres);
        var gap = EndsHard(section) ? ClosedCellGap.Metres : 0;
        return Length.FromMetres(Math.Max(0, depth.Metres - kept - gap));
    }

    private static bool EndsHard(SectionCase section) =>
        section.Fill.LastOrDefault(layer => layer is not SlabFill) is FoamFill { Sheet.Cell: CellStructure.Closed };

    public static Finding Judge(SectionCase section)
    {
        if (section.FoamDepth is not { } depth || GreatestFoam(section) is not { } greatest)
        {
            return new(SectionRules.Fit, "unbounded", Verdict.Clear, Citations.NoDepth) { Measured = section.FillThickness.ToThickness() };
        }

        var t = section.FillThickness;
        var most = EndsHard(section) ? depth - ClosedCellGap : depth;
        var (name, verdict) =
            t > depth + Grace ? ("tooThick", Verdict.Hold)
            : t > most + Grace ? ("shaveHard", Verdict.Care)
            : section.Fill.LastOrDefault(layer => layer is not SlabFill) is FoamFill { Sheet.Cell: CellStructure.Open }
            && t + Grace >= depth
                ? ("flush", Verdict.Clear)
            : ("fits", Verdict.Clear);
        var figures = new Dictionary<string, Figure>
        {
            ["depth"] = depth.ToThickness(),
            ["free"] = Length.FromMetres(Math.Max(0, (depth - t).Metres)).ToThickness(),
        };
        if (name == "flush" && section.Foam is { } foam)
        {
            // What stands over the face before the saw goes along it, and how much of all that was sprayed it is.
            var shaved = FoamDemand.For(
                Area.FromSquareMetres(1),
                foam.Thickness,
                FoamDemand.DefaultScatter(foam.Sheet.Cell),
                FoamDemand.DefaultOverfill
            );
            figures["shaved"] = shaved.Extra.ToThickness();
            figures["share"] = Figure.Percent(100 * (shaved.Extra / shaved.MeanDepth));
        }

        return new(SectionRules.Fit, name, verdict, Citations.DepthRule)
        {
            Measured = t.ToThickness(),
            Limit = most.ToThickness(),
            Margin = (most - t).ToThickness(),
            Figures = figures,
            Remedies = verdict == Verdict.Clear ? [] : [Remedy.Of("goToThickness", "thickness", greatest.ToThickness())],
        };
    }
}
