using Umbracell.Core.Assemblies;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Section;
using Umbracell.Server.Places;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>The year a surface of a job sees: monthly means of the job's place and room.</summary>
internal static class SurfaceYears
{
    /// <summary>Monthly means on both sides; null until the job names a place and says how damp its rooms are, and for surfaces between
    /// rooms or on soil.</summary>
    public static YearShape? Of(Job job, Exposure exposure)
    {
        if (JobPlaces.Of(job) is not { } place || exposure is not (Exposure.Outdoors or Exposure.Ventilated))
        {
            return null;
        }

        if (job.HumidityClass is not { } humidityClass)
        {
            return job.RoomMonthsC.Length == YearOfAir.Months && job.RoomMonthsRhPct.Length == YearOfAir.Months
                ? new(place.MeanC, place.MeanRhPct, job.RoomMonthsC, job.RoomMonthsRhPct)
                : null;
        }

        var rooms = place
            .MeanC.Zip(
                place.MeanRhPct,
                (t, rh) =>
                    HumidityClasses.Room(
                        humidityClass,
                        new(Temperature.FromCelsius(t), Core.Quantities.RelativeHumidity.OfWeather(rh, Temperature.FromCelsius(t))),
                        Temperature.FromCelsius(job.IndoorC)
                    )
            )
            .ToList();
        return new(place.MeanC, place.MeanRhPct, rooms.ConvertAll(r => r.Temperature.Celsius), rooms.ConvertAll(r => r.Humidity.Percent));
    }
}
