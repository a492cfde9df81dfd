using Umbracell.Core.Assemblies;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;
using Umbracell.Formats.DataFiles;
using Umbracell.Server.Answers;
using Umbracell.Store.Model;

namespace Umbracell.Server.Section;

/// <summary>The year of a section: monthly means of the job's place and room, put to the core.</summary>
internal static class SectionYears
{
    /// <summary>Monthly means on both sides; null until the job names a place and says how damp its rooms are, and for surfaces between rooms or on soil.</summary>
    public static YearShape? Of(Job job, Exposure exposure)
    {
        if (job.PlaceId is not { } id || ShippedData.Places.GetValueOrDefault(id) is not { } place || exposure is not (Exposure.Outdoors or Exposure.Ventilated))
        {
            return null;
        }

        if (job.HumidityClass is not { } humidityClass)
        {
            return job.RoomMonthsC.Length == YearOfAir.Months && job.RoomMonthsRhPct.Length == YearOfAir.Months ? new(place.MeanC, place.MeanRhPct, job.RoomMonthsC, job.RoomMonthsRhPct) : null;
        }

        var rooms = place.MeanC.Zip(place.MeanRhPct, (t, rh) => HumidityClasses.Room(humidityClass, new(new(t), new(rh)), new(job.IndoorC))).ToList();
        return new(place.MeanC, place.MeanRhPct, rooms.ConvertAll(r => r.Temperature.Celsius), rooms.ConvertAll(r => r.Humidity.Percent));
    }

    public static MonthlyYear? Study(SectionCase section, YearShape? year) =>
        year is null ? null : MonthlyYear.Of(section, new(Months(year.OutdoorTempC, year.OutdoorRhPct), Months(year.IndoorTempC, year.IndoorRhPct)));

    public static YearAnswer Answer(MonthlyYear year) => new([.. year.Months.Select(Month)], year.InterfaceKey, year.GreatestStored, FindingAnswer.All(year.Findings));

    private static List<MonthAir> Months(IReadOnlyList<double> celsius, IReadOnlyList<double> percent) => [.. celsius.Zip(percent, (t, rh) => new MonthAir(new(t), new(rh)))];

    private static MonthAnswer Month(MonthOfSection m) => new(
        FigureAnswer.Of(m.Outdoor.Temperature.ToFigure()),
        FigureAnswer.Of(m.Outdoor.Humidity.ToFigure()),
        FigureAnswer.Of(m.Indoor.Temperature.ToFigure()),
        FigureAnswer.Of(m.Indoor.Humidity.ToFigure()),
        FigureAnswer.Of(m.Interface.ToFigure()),
        FigureAnswer.Of(new(m.InterfaceHumidity, Dimension.RelativeHumidity)),
        m.InterfaceHumidity,
        FigureAnswer.Of(new(m.Condensed, Dimension.MassPerArea)),
        FigureAnswer.Of(new(m.Stored, Dimension.MassPerArea)),
        m.Stored,
        FigureAnswer.Of(new(m.SurfaceHumidity, Dimension.RelativeHumidity)));
}
