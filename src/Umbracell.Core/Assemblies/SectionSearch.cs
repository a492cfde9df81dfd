using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>Thicknesses sought by their effect.</summary>
internal static class SectionSearch
{
    private const double StepInches = 0.25;

    /// <summary>Thinnest foam, on the quarter inch, that brings U to the target; null without a target or where no rated thickness does.</summary>
    public static Length? ThicknessForTarget(SectionCase section)
    {
        if (section.Target is not { } target)
        {
            return null;
        }

        // U never rises with thickness, so the least sufficient quarter is found by halving.
        var (low, high) = (1, (int)Math.Floor(section.Sheet.ThickestRated.Inches / StepInches + 1e-9));
        if (!Meets(high))
        {
            return null;
        }

        while (low < high)
        {
            var middle = (low + high) / 2;
            (low, high) = Meets(middle) ? (low, middle) : (middle + 1, high);
        }

        return Length.FromInches(low * StepInches);

        bool Meets(int quarters) =>
            SectionHeat.Of(section.WithFoam(Length.FromInches(quarters * StepInches))).WholeU.WattsPerSquareMetreKelvin
                <= target.GreatestU.WattsPerSquareMetreKelvin;
    }

    public static IReadOnlyList<Notch> Notches(SectionStudy study)
    {
        var sheet = study.Case.Sheet;
        List<Notch> notches = [new("airBarrier", sheet.AirBarrierFrom), new("lift", sheet.GreatestLift)];
        var class2 = VapourResistance.ThicknessFor(sheet.Permeability, VapourClass.II);
        if (class2 <= sheet.ThickestRated)
        {
            notches.Add(new("class2", class2));
        }

        if (study.ThicknessForTarget is { } target)
        {
            notches.Add(new("target", target));
        }

        if (study.GreatestFit is { } face)
        {
            notches.Add(new("face", face));
        }

        return [.. notches.OrderBy(n => n.Thickness)];
    }
}
