using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>The other way round: which framing depth to order for the target wanted, with what is put in filling it.</summary>
public static class FramingDepth
{
    private static readonly Length HardFaceGap = Length.FromInches(0.5),
        Deepest = Length.FromMetres(0.6);

    /// <summary>Least depth of members, on the job's step, in which the foam meets the target; null without a target or members, or where
    /// no depth does.</summary>
    /// <param name="section">The case; closed cell stops half an inch short of the face, open cell fills it.</param>
    public static Length? ForTarget(SectionCase section)
    {
        if (section.Target is not { } target || section.Members.Depth <= Length.Zero || section.Foam is not { } foam)
        {
            return null;
        }

        var taken = section.VentChannel + (section.Baffle?.Thickness ?? Length.Zero);
        var gap = foam.Sheet.Cell == CellStructure.Closed && section.Fill.Count == 1 ? HardFaceGap : Length.Zero;
        var further =
            section.Fill.Count == 1
                ? 0
                : section.Fill.Where(layer => layer != foam && !layer.TakesRest).Sum(layer => layer.Thickness.Metres);
        // Deeper members hold more foam and never pass more heat, so the least depth is found by halving.
        var (low, high) = (1, (int)Math.Floor(Deepest / section.Step));
        while (low <= high && RoomAt(low).Metres < section.Step.Metres / 2)
        {
            low++;
        }

        while (high >= low && RoomAt(high) > foam.Sheet.ThickestRated)
        {
            high--;
        }

        if (high < low || !Meets(high))
        {
            return null;
        }

        while (low < high)
        {
            var middle = (low + high) / 2;
            (low, high) = Meets(middle) ? (low, middle) : (middle + 1, high);
        }

        return section.Step * low;

        // A sliver left by rounding is no room for foam.
        Length RoomAt(int steps) => Length.FromMetres((section.Step * steps - taken - gap).Metres - further);

        bool Meets(int steps)
        {
            var at = (section with { Members = section.Members with { Depth = section.Step * steps } }).WithFoam(
                section.Fill.Any(f => f.TakesRest) ? foam.Thickness : RoomAt(steps)
            );
            return SectionHeat.Of(at).WholeU.WattsPerSquareMetreKelvin <= target.GreatestU.WattsPerSquareMetreKelvin;
        }
    }
}

/// <summary>What an inch is worth: one step of thickness, its U and the share of the bare heat flow it cuts.</summary>
/// <param name="Thickness">Thickness reached.</param>
/// <param name="U">U of the whole there.</param>
/// <param name="Cut">Share of the bare assembly's heat flow cut so far, 0 to 1.</param>
/// <param name="Further">Share cut by this step alone.</param>
public readonly record struct InchLine(Length Thickness, ThermalTransmittance U, double Cut, double Further);

/// <summary>The inch ledger: heat flow cut against the bare assembly at the same films, inch by inch (or 25 mm).</summary>
public static class InchLedger
{
    /// <summary>Lines from the first inch to what fits, or to what the sheet rates; empty without foam.</summary>
    /// <param name="section">The case.</param>
    public static IReadOnlyList<InchLine> Of(SectionCase section)
    {
        if (section.Foam is not { } foam)
        {
            return [];
        }

        var bare = SectionHeat.BareOf(section).WholeU.WattsPerSquareMetreKelvin;
        var inch = section.Films == FilmSet.Us ? Length.FromInches(1) : Length.FromMillimetres(25);
        var most = SectionFit.GreatestFoam(section) is { } fit && fit < foam.Sheet.ThickestRated ? fit : foam.Sheet.ThickestRated;
        List<InchLine> lines = [];
        for (var t = inch; t.Metres <= most.Metres + 1e-9; t += inch)
        {
            var u = SectionHeat.Of(section.WithFoam(t)).WholeU;
            var cut = 1 - u.WattsPerSquareMetreKelvin / bare;
            lines.Add(new(t, u, cut, cut - (lines.Count > 0 ? lines[^1].Cut : 0)));
        }

        return lines;
    }
}
