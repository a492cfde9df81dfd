using Umbracell.Core.Air;
using Umbracell.Core.Quantities;
using Umbracell.Store.Model;

namespace Umbracell.Server.Jobs;

/// <summary>Design air of a job, as its columns hold it.</summary>
internal static class JobAir
{
    public static DesignAir Winter(Job job) =>
        new(
            Temperature.FromCelsius(job.IndoorC),
            RelativeHumidity.FromPercent(job.IndoorRhPct),
            Temperature.FromCelsius(job.OutdoorC),
            RelativeHumidity.OfWeather(job.OutdoorRhPct, Temperature.FromCelsius(job.OutdoorC))
        );

    public static DesignAir Summer(Job job) =>
        new(
            Temperature.FromCelsius(job.SummerIndoorC),
            RelativeHumidity.FromPercent(job.SummerIndoorRhPct),
            Temperature.FromCelsius(job.SummerOutdoorC),
            RelativeHumidity.FromPercent(job.SummerOutdoorRhPct)
        );
}
