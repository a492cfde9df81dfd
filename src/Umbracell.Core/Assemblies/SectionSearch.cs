using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>Thicknesses sought by their effect.</summary>
internal static class SectionSearch
{
    /// <summary>Thinnest foam, on the job's step, that brings U to the target, or a slab's insulation to the R asked of it; null without
    /// a target or where no rated thickness does.</summary>
    public static Length? ThicknessForTarget(SectionCase section) =>
        section.SlabTarget is { } slab ? Thinnest(section, slab.IsMetBy)
        : section.Target is not { } target ? null
        : Thinnest(section, at => SectionHeat.Of(at).WholeU.WattsPerSquareMetreKelvin <= target.GreatestU.WattsPerSquareMetreKelvin);

    /// <summary>Thinnest foam on the job's step for which something holds that never stops holding as foam grows; null where no rated
    /// thickness does.</summary>
    public static Length? Thinnest(SectionCase section, Func<SectionCase, bool> holds)
    {
        var step = section.Step;
        var (low, high) = (1, (int)Math.Floor(section.Thickest / step + 1e-9));
        if (high < 1 || !holds(section.WithFoam(step * high)))
        {
            return null;
        }

        while (low < high)
        {
            var middle = (low + high) / 2;
            (low, high) = holds(section.WithFoam(step * middle)) ? (low, middle) : (middle + 1, high);
        }

        return step * low;
    }

    public static IReadOnlyList<Notch> Notches(SectionStudy study)
    {
        List<Notch> notches = [];
        if (study.Case.Foam?.Sheet is { } sheet)
        {
            notches.Add(new("airBarrier", sheet.AirBarrierFrom));
            notches.Add(new("lift", sheet.GreatestLift));
            var class2 = VapourResistance.ThicknessFor(sheet.Permeability, VapourClass.II);
            if (class2 <= sheet.ThickestRated)
            {
                notches.Add(new("class2", class2));
            }
        }

        if (study.ThicknessForTarget is { } target)
        {
            notches.Add(new(study.Case.SlabTarget is null ? "target" : "targetR", target));
        }

        if (study.GreatestFit is { } face)
        {
            notches.Add(new("face", face));
        }

        return [.. notches.OrderBy(n => n.Thickness)];
    }
}
