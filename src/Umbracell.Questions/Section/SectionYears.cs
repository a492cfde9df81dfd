using Umbracell.Core.Assemblies;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;

namespace Umbracell.Questions.Section;

/// <summary>The year of a section: monthly means on both sides, put to the core.</summary>
public static class SectionYears
{
    /// <summary>The year of a section, with what it leaves damper than it was; null where no air is known.</summary>
    public static MonthlyYear? Study(SectionCase section, YearShape? year)
    {
        if (Air(year) is not { } air)
        {
            return null;
        }

        var told = MonthlyYear.Of(section, air);
        return told.WetterThan(MonthlyYear.Of(section.Bare(), air)) is { } wetter
            ? told with
            {
                Findings = [.. told.Findings, wetter],
            }
            : told;
    }

    /// <summary>The core's year of a shape.</summary>
    public static YearOfAir? Air(YearShape? year) =>
        year is null ? null : new(MonthAir.All(year.OutdoorTempC, year.OutdoorRhPct), MonthAir.All(year.IndoorTempC, year.IndoorRhPct));

    public static YearAnswer Answer(MonthlyYear year, bool brief = false) =>
        new()
        {
            Months = [.. year.Months.Zip(year.Dampest.Humidities, Month)],
            Air = brief ? [] : [.. year.Months.Select(Air)],
            Dampest = year.Dampest.Place.Key,
            DampestRh = FigureAnswer.Of(new(year.Dampest.Greatest, Dimension.RelativeHumidity)),
            GreatestStoredKgM2 = year.GreatestStored,
            Findings = FindingAnswer.All(year.Findings, brief),
        };

    private static MonthAirAnswer Air(MonthOfSection m) =>
        new(
            FigureAnswer.Of(m.Outdoor.Temperature.ToFigure()),
            FigureAnswer.Of(m.Outdoor.Humidity.ToFigure()),
            FigureAnswer.Of(m.Indoor.Temperature.ToFigure()),
            FigureAnswer.Of(m.Indoor.Humidity.ToFigure())
        );

    private static MonthAnswer Month(MonthOfSection m, double dampest) =>
        new()
        {
            At = m.At.Key,
            AtTemp = FigureAnswer.Of(m.AtTemperature.ToFigure()),
            AtRh = FigureAnswer.Of(new(m.AtHumidity, Dimension.RelativeHumidity)),
            DampestRhPct = dampest,
            Condensed = FigureAnswer.Of(new(m.Condensed, Dimension.MassPerArea)),
            Stored = FigureAnswer.Of(new(m.Stored, Dimension.MassPerArea)),
            StoredKgM2 = m.Stored,
            SurfaceRh = FigureAnswer.Of(new(m.SurfaceHumidity, Dimension.RelativeHumidity)),
        };
}
