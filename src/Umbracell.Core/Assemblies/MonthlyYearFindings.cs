using Umbracell.Core.Findings;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>Judges an assembly's year.</summary>
internal static class MonthlyYearFindings
{
    // Means without sun and storage err on the damp side for dark skins and porous walls: this is one opinion of three, and asks for care.
    private const string Source = "ISO 13788, monthly means, diffusion alone";

    /// <summary>Condensate over this is reported as much, kg/m² (a film runs off smooth faces at about 0.2).</summary>
    private const double RunsOff = 0.2;

    public static IEnumerable<Finding> Of(MonthlyYear year, SectionCase section)
    {
        yield return Condensate(year);
        yield return Interface(year, section);
        var surface = year.Months.MaxBy(m => m.SurfaceHumidity);
        var dry = surface.SurfaceHumidity <= MonthlyYear.GreatestInterfaceHumidity;
        yield return new("yearSurface", dry ? "dry" : "damp", dry ? Verdict.Clear : Verdict.Care, Basis.Physics, "ISO 13788: inner surface under 80 % with a surface resistance of 0.25 m²K/W")
        {
            Measured = Humidity(surface.SurfaceHumidity),
            Limit = Humidity(MonthlyYear.GreatestInterfaceHumidity),
            Words = Month(year, surface),
        };
    }

    private static Finding Condensate(MonthlyYear year)
    {
        var worst = year.Months.MaxBy(m => m.Stored);
        var (name, verdict) = year.GreatestStored < 1e-4 ? ("none", Verdict.Clear)
            : year.NeverDries > 0 ? ("stays", Verdict.Care)
            : year.GreatestStored > RunsOff ? ("driesMuch", Verdict.Care)
            : ("dries", Verdict.Clear);
        return new("yearCondensate", name, verdict, Basis.Physics, Source)
        {
            Measured = new(year.GreatestStored, Dimension.MassPerArea),
            Figures = new Dictionary<string, Figure> { ["left"] = new(year.NeverDries, Dimension.MassPerArea) },
            Words = Month(year, worst),
        };
    }

    private static Finding Interface(MonthlyYear year, SectionCase section)
    {
        var worst = year.Months.MaxBy(m => m.InterfaceHumidity);
        var dry = worst.InterfaceHumidity <= MonthlyYear.GreatestInterfaceHumidity;
        var words = Month(year, worst);
        words["layer"] = year.InterfaceKey;

        // What keeps vapour away belongs on the side it comes from; on the other it traps.
        var inward = VapourDrive.Between(worst.Indoor.Temperature, worst.Indoor.Humidity, worst.Outdoor.Temperature, worst.Outdoor.Humidity).Outward.Pascals < 0;
        return new("yearInterface", dry ? "dry" : inward ? "dampInward" : "damp", dry ? Verdict.Clear : Verdict.Care, Basis.Physics, Source)
        {
            Measured = Humidity(worst.InterfaceHumidity),
            Limit = Humidity(MonthlyYear.GreatestInterfaceHumidity),
            Figures = new Dictionary<string, Figure> { ["months"] = Figure.Count(year.Months.Count(m => m.InterfaceHumidity > MonthlyYear.GreatestInterfaceHumidity)) },
            Words = words,
        };
    }

    private static Dictionary<string, string> Month(MonthlyYear year, MonthOfSection month) =>
        new() { ["month"] = (1 + year.Months.ToList().IndexOf(month)).ToString(System.Globalization.CultureInfo.InvariantCulture) };

    private static Figure Humidity(double percent) => new(percent, Dimension.RelativeHumidity);
}
