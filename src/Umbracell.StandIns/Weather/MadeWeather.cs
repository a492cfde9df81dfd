using Umbracell.Core.Air;
using Umbracell.Core.Quantities;

namespace Umbracell.StandIns.Weather;

/// <summary>Weather at an instant.</summary>
internal readonly record struct MadeAir
{
    /// <summary>°C.</summary>
    public required double TempC { get; init; }

    /// <summary>Over water, percent.</summary>
    public required double RhPct { get; init; }

    /// <summary>m/s.</summary>
    public required double WindMs { get; init; }

    /// <summary>m/s.</summary>
    public required double GustMs { get; init; }

    /// <summary>0 to 1.</summary>
    public required double Cloud { get; init; }

    /// <summary>mm in an hour.</summary>
    public required double RainMmH { get; init; }
}

/// <summary>Made-up weather of a place: monthly means, days and nights by cloud, fronts as correlated noise, spells of rain, and the cold
/// air that lies over a shore in clear calm nights.</summary>
/// <remarks>All of it follows from five numbers that move like noise. Of what comes a forecast knows a part, the less the longer its lead:
/// <c>X = a² T + a s E</c> with <c>a² + s² = 1</c>, T what comes and E an error of its own. X and what is left of T are independent, so that
/// T is X and an error of spread s, and each member is X and another such error: nothing tells what comes from a member but that it came,
/// and a share of members is an honest chance.</remarks>
internal sealed class MadeWeather(ForecastPlace place)
{
    /// <summary>Members of a forecast.</summary>
    public const int Members = 21;

    private const int Numbers = 5;
    private const ulong OfForecast = ulong.MaxValue;

    // Hours over which each number moves: fronts, cloud, dryness, wind, rain.
    private static readonly double[] Scales = [54, 14, 30, 16, 9];
    private static readonly DateTimeOffset Epoch = new(2020, 1, 1, 0, 0, 0, TimeSpan.Zero);

    /// <summary>What comes.</summary>
    public MadeAir Truth(DateTimeOffset at) => Air(at, n => Course(n, at));

    /// <summary>What a member says.</summary>
    /// <param name="issued">When it was issued.</param>
    /// <param name="member">Its number, from 0.</param>
    /// <param name="at">The instant it speaks of.</param>
    public MadeAir Member(DateTimeOffset issued, int member, DateTimeOffset at)
    {
        var spread = Spread((at - issued).TotalHours);
        var known = 1 - spread * spread;
        return Air(
            at,
            n =>
                known * Course(n, at) + spread * (Math.Sqrt(known) * Error(n, issued, OfForecast, at) + Error(n, issued, (ulong)member, at))
        );
    }

    // Spread of an error against that of the weather itself: next to nothing at once, the weather's own after a week and more.
    private static double Spread(double lead) => 0.02 + 0.95 * (1 - Math.Exp(-Math.Max(0, lead) / 90));

    private double Course(int number, DateTimeOffset at) =>
        Noise.At(Noise.Mixed(place.Seed, (ulong)number), (at - Epoch).TotalHours, Scales[number]);

    private double Error(int number, DateTimeOffset issued, ulong member, DateTimeOffset at)
    {
        var run = Noise.Mixed(Noise.Mixed(place.Seed, 1000 + (ulong)number), (ulong)(issued - Epoch).TotalHours);
        return Noise.At(Noise.Mixed(run, member), (at - Epoch).TotalHours, Scales[number]);
    }

    private MadeAir Air(DateTimeOffset at, Func<int, double> number)
    {
        Span<double> n = stackalloc double[Numbers];
        for (var i = 0; i < Numbers; i++)
        {
            n[i] = number(i);
        }

        var (mean, humidity) = MonthMeans(at);
        var solar = (at.UtcDateTime.TimeOfDay.TotalHours + place.Longitude / 15 + 24) % 24;
        var day = Math.Cos((solar - 14.5) * Math.PI / 12);
        var cloud = 1 / (1 + Math.Exp(-(1.7 * n[1] + 0.25)));
        var wind = 3.3 * Math.Exp(0.45 * n[3]) * (1 + 0.2 * day);
        var calm = Math.Max(0, 1 - wind / 3);
        var air = mean + 4.2 * n[0];
        var temperature = air + 4.0 * (1 - 0.7 * cloud) * day - 2.0 * calm * (1 - cloud) * Math.Max(0, -day);
        var wetness = 0.8 * n[4] + 0.6 * n[1] - 1.15;
        var rain = wetness > 0 ? 2.2 * wetness : 0;
        var dry = Dryness(temperature - DewOf(air, humidity) - 1.6 * n[2]);
        return new()
        {
            TempC = temperature,
            RhPct = RelativeHumidity
                .OfDewPoint(
                    Temperature.FromCelsius(temperature - (rain > 0 ? Math.Min(dry, 1 + 0.1 * dry) : dry)),
                    Temperature.FromCelsius(temperature),
                    HumidityReference.Ice
                )
                .Percent,
            WindMs = wind,
            GustMs = wind * (1.35 + 0.15 * Math.Max(0, day) + 0.1 * cloud),
            Cloud = rain > 0 ? 0.9 + 0.1 * cloud : cloud,
            RainMmH = rain,
        };
    }

    // How far the dew point lies under the air: as it follows, and never down to nothing, since fog takes the water out.
    private static double Dryness(double kelvins) => Math.Log(1 + Math.Exp(1.2 * kelvins)) / 1.2 + 0.05;

    // Means stand for the middle of their months and pass into one another.
    private (double TempC, double RhPct) MonthMeans(DateTimeOffset at)
    {
        var month = (at.DayOfYear - 1) / 365.25 * 12 - 0.5;
        var first = (int)Math.Floor(month);
        var share = month - first;
        return (Between(place.Place.MeanC), Between(place.Place.MeanRhPct));
        double Between(IReadOnlyList<double> means) => means[(first + 12) % 12] * (1 - share) + means[(first + 13) % 12] * share;
    }

    private static double DewOf(double celsius, double rh)
    {
        var air = Temperature.FromCelsius(celsius);
        return MoistAir.DewPointOf(Pressure.FromPascals(rh / 100 * MoistAir.SaturationPressureOfWeather(air).Pascals)).Celsius;
    }
}
