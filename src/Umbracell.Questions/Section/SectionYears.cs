using Umbracell.Core.Assemblies;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;

namespace Umbracell.Questions.Section;

/// <summary>The year of a section: monthly means on both sides, put to the core.</summary>
public static class SectionYears
{
    public static MonthlyYear? Study(SectionCase section, YearShape? year) => Air(year) is { } air ? MonthlyYear.Of(section, air) : null;

    /// <summary>The core's year of a shape.</summary>
    public static YearOfAir? Air(YearShape? year) => year is null ? null : new(Months(year.OutdoorTempC, year.OutdoorRhPct), Months(year.IndoorTempC, year.IndoorRhPct));

    public static YearAnswer Answer(MonthlyYear year, bool brief = false) =>
        new([.. year.Months.Select(Month)], brief ? [] : [.. year.Months.Select(Air)], year.InterfaceKey, year.GreatestStored, FindingAnswer.All(year.Findings, brief));

    private static List<MonthAir> Months(IReadOnlyList<double> celsius, IReadOnlyList<double> percent) => [.. celsius.Zip(percent, (t, rh) => new MonthAir(new(t), RelativeHumidity.OfWeather(rh, new(t))))];

    private static MonthAirAnswer Air(MonthOfSection m) => new(
        FigureAnswer.Of(m.Outdoor.Temperature.ToFigure()),
        FigureAnswer.Of(m.Outdoor.Humidity.ToFigure()),
        FigureAnswer.Of(m.Indoor.Temperature.ToFigure()),
        FigureAnswer.Of(m.Indoor.Humidity.ToFigure()));

    private static MonthAnswer Month(MonthOfSection m) => new(
        FigureAnswer.Of(m.Interface.ToFigure()),
        FigureAnswer.Of(new(m.InterfaceHumidity, Dimension.RelativeHumidity)),
        m.InterfaceHumidity,
        FigureAnswer.Of(new(m.Condensed, Dimension.MassPerArea)),
        FigureAnswer.Of(new(m.Stored, Dimension.MassPerArea)),
        m.Stored,
        FigureAnswer.Of(new(m.SurfaceHumidity, Dimension.RelativeHumidity)));
}
