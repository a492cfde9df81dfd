using Umbracell.Core.Air;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Weather;

/// <summary>Outdoor air as it was read at the site.</summary>
/// <param name="At">When.</param>
/// <param name="Air">Its state.</param>
public readonly record struct SiteReading(DateTimeOffset At, MoistAir Air);

/// <summary>What the site is warmer and damper by than the hours told for its place. A site lies in a hollow, by water or between houses,
/// and a service tells the mean of a field some kilometres wide.</summary>
/// <param name="Hours">Hours in which the site was read.</param>
/// <param name="Temperature">Added to the air's temperature.</param>
/// <param name="DewPoint">Added to its dew or frost point.</param>
public sealed record SiteCorrection(int Hours, TemperatureDifference Temperature, TemperatureDifference DewPoint)
{
    /// <summary>Most that is added or taken off, K: beyond it reading or forecast is wrong, not the site different.</summary>
    public const double Greatest = 4;

    // One reading says a quarter of what many say: n/(n + 3).
    private const double Doubt = 3;

    /// <summary>Finds the correction.</summary>
    /// <param name="readings">Readings outdoors, in any order. Those of one hour count once: they share its weather.</param>
    /// <param name="members">Members of the hours, which begin and end together; readings outside of them are passed over.</param>
    /// <returns>The mean difference over the hours that were read, times n/(n + 3), within <see cref="Greatest"/>; null where none was
    /// read.</returns>
    public static SiteCorrection? Of(IEnumerable<SiteReading> readings, IReadOnlyList<AirRun> members)
    {
        List<(double Celsius, double Dew)> off = [];
        foreach (var hour in readings.GroupBy(reading => (int)Math.Floor((reading.At - members[0].Start).TotalHours)))
        {
            if (hour.Key < 0 || hour.Key >= members[0].Hours.Count || ToldOf(members, hour.Key) is not { } told)
            {
                continue;
            }

            off.Add(
                (hour.Average(one => one.Air.Temperature.Celsius) - told.Celsius, hour.Average(one => one.Air.DewPoint.Celsius) - told.Dew)
            );
        }

        return off.Count == 0
            ? null
            : new(off.Count, Shrunk(off.Average(one => one.Celsius), off.Count), Shrunk(off.Average(one => one.Dew), off.Count));
    }

    /// <summary>The run as it is at the site; hours that are not whole stay as they are.</summary>
    /// <param name="run">The run as told for the place.</param>
    public AirRun Applied(AirRun run) => run with { Hours = [.. run.Hours.Select(Applied)] };

    private AirHour Applied(AirHour hour)
    {
        // Pressure bears on the state, not on temperature and dew point.
        if (hour.StateAt(StandardAtmosphere.SeaLevel) is not { } air)
        {
            return hour;
        }

        var celsius = air.Temperature.Celsius + Temperature.Kelvins;
        var temperature = Quantities.Temperature.FromCelsius(celsius);
        var dew = Quantities.Temperature.FromCelsius(Math.Min(celsius, air.DewPoint.Celsius + DewPoint.Kelvins));
        return hour with { Temperature = temperature, Humidity = RelativeHumidity.OfDewPoint(dew, temperature, HumidityReference.Ice) };
    }

    // What the members say of an hour, in the mean.
    private static (double Celsius, double Dew)? ToldOf(IReadOnlyList<AirRun> members, int hour)
    {
        var told = members.Select(run => run.Hours[hour].StateAt(StandardAtmosphere.SeaLevel)).OfType<MoistAir>().ToList();
        return told.Count == 0 ? null : (told.Average(air => air.Temperature.Celsius), told.Average(air => air.DewPoint.Celsius));
    }

    private static TemperatureDifference Shrunk(double mean, int hours) =>
        TemperatureDifference.FromKelvins(Math.Clamp(mean * hours / (hours + Doubt), -Greatest, Greatest));
}
