using Umbracell.Core.Moisture;
using Umbracell.Core.Weather.Years;

namespace Umbracell.StandIns.Weather;

/// <summary>Made-up weather of a place, and forecasts of it.</summary>
/// <remarks>All of it follows from numbers that move like noise. Of what comes a forecast knows a part, the less the longer its lead:
/// <c>X = a² T + a s E</c> with <c>a² + s² = 1</c>, T what comes and E an error of its own. X and what is left of T are independent, so that
/// T is X and an error of spread s, and each member is X and another such error: nothing tells what comes from a member but that it came,
/// and a share of members is an honest chance.</remarks>
internal sealed class MadeWeather(ForecastPlace place)
{
    /// <summary>Members of a forecast.</summary>
    public const int Members = 21;

    private const ulong OfForecast = ulong.MaxValue;

    private static readonly DateTimeOffset Epoch = new(2020, 1, 1, 0, 0, 0, TimeSpan.Zero);

    private readonly WeatherProcess _process = new(MonthAir.All(place.Place.MeanC, place.Place.MeanRhPct), place.Longitude);

    /// <summary>What comes.</summary>
    public MadeAir Truth(DateTimeOffset at) => _process.Air(at, n => Course(n, at));

    /// <summary>What a member says.</summary>
    /// <param name="issued">When it was issued.</param>
    /// <param name="member">Its number, from 0.</param>
    /// <param name="at">The instant it speaks of.</param>
    public MadeAir Member(DateTimeOffset issued, int member, DateTimeOffset at)
    {
        var spread = Spread((at - issued).TotalHours);
        var known = 1 - spread * spread;
        return _process.Air(
            at,
            n =>
                known * Course(n, at) + spread * (Math.Sqrt(known) * Error(n, issued, OfForecast, at) + Error(n, issued, (ulong)member, at))
        );
    }

    // Spread of an error against that of the weather itself: next to nothing at once, the weather's own after a week and more.
    private static double Spread(double lead) => 0.02 + 0.95 * (1 - Math.Exp(-Math.Max(0, lead) / 90));

    private double Course(int number, DateTimeOffset at) =>
        WeatherProcess.Course(WeatherNoise.Mixed(place.Seed, (ulong)number), number, at);

    private double Error(int number, DateTimeOffset issued, ulong member, DateTimeOffset at)
    {
        var run = WeatherNoise.Mixed(WeatherNoise.Mixed(place.Seed, 1000 + (ulong)number), (ulong)(issued - Epoch).TotalHours);
        return WeatherProcess.Course(WeatherNoise.Mixed(run, member), number, at);
    }
}
