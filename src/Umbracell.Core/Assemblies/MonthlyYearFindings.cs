using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>Judges an assembly's year.</summary>
internal static class MonthlyYearFindings
{
    private static readonly Citation Source = Citations.MonthlyMeans;

    /// <summary>Condensate over this is reported as much, kg/m² (a film runs off smooth faces at about 0.2).</summary>
    private const double RunsOff = 0.2;

    // What stands on either side of a place in any plan.
    private static readonly string[] Moving = ["foam", "freeSpace"];

    public static IEnumerable<Finding> Of(MonthlyYear year, SectionCase section)
    {
        yield return Condensate(year, section);
        yield return Place(year.Dampest);
        var month = Greatest(year, m => m.SurfaceHumidity);
        var surface = year.Months[month];
        var dry = surface.SurfaceHumidity <= MonthlyYear.GreatestInterfaceHumidity;
        yield return new(CondensationRules.YearSurface, dry ? "dry" : "damp", dry ? Verdict.Clear : Verdict.Care, Citations.MonthlySurface)
        {
            Measured = Humidity(surface.SurfaceHumidity),
            Limit = Humidity(MonthlyYear.GreatestInterfaceHumidity),
            Words = Words(month),
        };
    }

    /// <summary>The place a plan leaves damper than it is, and over the limit; null where there is none. Where the means cannot tell they
    /// cannot compare either.</summary>
    public static Finding? Wetter(MonthlyYear planned, MonthlyYear before)
    {
        const double Limit = MonthlyYear.GreatestInterfaceHumidity;
        var worst = planned
            .Places.Where(p => p is { IsDamperThanWeather: true, Untold: false } && p.Greatest > Limit)
            .Select(p => (After: p, Before: Same(p, before)))
            .Where(pair => pair.Before is { } was && pair.After.Greatest > was.Greatest + MonthlyYear.Alike)
            .OrderByDescending(pair => Math.Round(pair.After.Greatest - pair.Before!.Greatest, 6))
            .FirstOrDefault();
        return worst.After is not { } place
            ? null
            : new(CondensationRules.Wetter, "year", Verdict.Care, Source)
            {
                Measured = Humidity(place.Greatest),
                Limit = Humidity(worst.Before!.Greatest),
                Words = Words(place.Worst, place.Place),
                Worked = place.How,
            };
    }

    // The same face before: what is put in has taken the place of the air that stood there.
    private static PlaceYear? Same(PlaceYear place, MonthlyYear before) =>
        before.Places.FirstOrDefault(p => p.Place == place.Place)
        ?? before.Places.FirstOrDefault(p => p.Place.Outer == place.Place.Outer && !Moving.Contains(p.Place.Outer))
        ?? before.Places.FirstOrDefault(p => p.Place.Inner == place.Place.Inner && !Moving.Contains(p.Place.Inner));

    // What stays is a stop; but where means read wet under any system, and the code's table passes, they are no ground for one.
    private static Finding Condensate(MonthlyYear year, SectionCase section)
    {
        var month = MonthlyRun.Wettest(year.Months);
        var much = year.NeverDries > 0 || year.GreatestStored > RunsOff;
        var (name, verdict) =
            year.GreatestStored < MonthlyYear.Lies ? ("none", Verdict.Clear)
            : much && year.LiesUntold && CondensationTables.Of(section, Covering.Unknown, year) is { Verdict: Verdict.Clear }
                ? ("untold", Verdict.Care)
            : year.NeverDries > 0 ? ("stays", Verdict.Hold)
            : much ? ("driesMuch", Verdict.Care)
            : ("dries", Verdict.Clear);
        return new(CondensationRules.YearCondensate, name, verdict, Source)
        {
            Measured = new(year.GreatestStored, Dimension.MassPerArea),
            Figures = new Dictionary<string, Figure> { ["left"] = new(year.NeverDries, Dimension.MassPerArea) },
            Words = Words(month, year.Months[month].At),
            Worked = year.CondensateHow,
        };
    }

    private static Finding Place(PlaceYear place)
    {
        var dry = place.Greatest <= MonthlyYear.GreatestInterfaceHumidity;

        // What keeps vapour away belongs on the side it comes from; on the other it traps.
        return new(
            CondensationRules.YearInterface,
            dry ? "dry"
                : place.Untold ? "untold"
                : place.Inward ? "dampInward"
                : "damp",
            dry ? Verdict.Clear : Verdict.Care,
            Source
        )
        {
            Measured = Humidity(place.Greatest),
            Limit = Humidity(MonthlyYear.GreatestInterfaceHumidity),
            Figures = new Dictionary<string, Figure>
            {
                ["months"] = Figure.Count(place.Humidities.Count(h => h > MonthlyYear.GreatestInterfaceHumidity)),
            },
            Words = Words(place.Worst, place.Place),
            Worked = place.How,
        };
    }

    // Of equals the first.
    private static int Greatest(MonthlyYear year, Func<MonthOfSection, double> figure) =>
        Enumerable.Range(0, year.Months.Count).MaxBy(month => figure(year.Months[month]));

    private static Dictionary<string, Said> Words(int month, HarmedPlace? place = null)
    {
        var words = new Dictionary<string, Said> { ["month"] = (1 + month).ToString(System.Globalization.CultureInfo.InvariantCulture) };
        if (place is { } known)
        {
            words["place"] = known.Key;
        }

        return words;
    }

    private static Figure Humidity(double percent) => new(percent, Dimension.RelativeHumidity);
}
