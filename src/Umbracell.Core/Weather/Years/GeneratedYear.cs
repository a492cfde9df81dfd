using Umbracell.Core.Air;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Weather.Years;

/// <summary>A year of hours made from the monthly means of a place: what its weather could be like where nobody kept its hours. The means
/// come out as they went in; how hours depart from them is typical of a temperate climate, not known of the place.</summary>
public static class GeneratedYear
{
    /// <summary>Hours of a year that has no 29 February.</summary>
    public const int Hours = 8760;

    // What a month is put right by passes over into its neighbours, which leaves them a little out: a few rounds settle it.
    private const int Rounds = 8;

    private const double Driest = 0.03;

    /// <summary>Makes the hours, by the standard time of the place's longitude; the same for the same means, place and seed.</summary>
    /// <param name="months">Monthly means, January first.</param>
    /// <param name="longitude">Degrees east, -180 to 180.</param>
    /// <param name="year">Year the hours are put in: one without a 29 February.</param>
    /// <param name="seed">Which of the many years these means could have.</param>
    /// <exception cref="ArgumentException">Not twelve months, or a leap year.</exception>
    public static IReadOnlyList<AirHour> Of(IReadOnlyList<MonthAir> months, double longitude, int year, ulong seed = 0)
    {
        if (months.Count != YearOfAir.Months || DateTime.IsLeapYear(year))
        {
            throw new ArgumentException("Twelve months of a year without a 29 February are needed.");
        }

        var process = new WeatherProcess(months, longitude);
        var seeds = Enumerable.Range(0, WeatherProcess.Numbers).Select(n => WeatherNoise.Mixed(seed, (ulong)n)).ToArray();
        var first = new DateTimeOffset(year, 1, 1, 0, 0, 0, TimeSpan.FromHours(Math.Round(longitude / 15)));
        var made = new MadeAir[Hours];
        for (var h = 0; h < Hours; h++)
        {
            var middle = first.AddHours(h + 0.5);
            made[h] = process.Air(middle, n => WeatherProcess.Course(seeds[n], n, middle));
        }

        var celsius = Shifted([.. made.Select(air => air.TempC)], [.. months.Select(month => month.Temperature.Celsius)]);
        var vapour = Scaled([.. made.Select(air => air.RhPct / 100)], celsius, months);
        return [.. made.Select((air, h) => Told(air, celsius[h], vapour[h], first.AddHours(h)))];
    }

    private static AirHour Told(MadeAir made, double celsius, double pascals, DateTimeOffset start)
    {
        var temperature = Temperature.FromCelsius(celsius);
        return new()
        {
            Start = start,
            Temperature = temperature,
            Humidity = RelativeHumidity.OfWeather(Math.Min(100, 100 * pascals / Saturated(celsius)), temperature),
            Wind = new(Speed.FromMetresPerSecond(made.WindMs), Speed.FromMetresPerSecond(made.GustMs)),
            Cloud = made.Cloud,
            Precipitation = Precipitation.Of(made.RainMmH, temperature),
        };
    }

    // Months of one year are warmer or colder than their means; what a month is out by is taken off it, passing over into its neighbours.
    private static double[] Shifted(double[] celsius, double[] means)
    {
        for (var round = 0; round < Rounds; round++)
        {
            var off = MeansOf(celsius).Zip(means, (now, wanted) => wanted - now).ToArray();
            for (var h = 0; h < Hours; h++)
            {
                celsius[h] += Between(off, h);
            }
        }

        return celsius;
    }

    // A month holds as much vapour as its means say, and no hour more than its air can.
    private static double[] Scaled(double[] humidity, double[] celsius, IReadOnlyList<MonthAir> months)
    {
        var saturated = celsius.Select(Saturated).ToArray();
        var vapour = humidity.Zip(saturated, (share, most) => share * most).ToArray();
        var wanted = months.Select(month => month.Humidity.Percent / 100 * Saturated(month.Temperature.Celsius)).ToArray();
        for (var round = 0; round < Rounds; round++)
        {
            var off = MeansOf(vapour).Zip(wanted, (now, one) => one / now).ToArray();
            for (var h = 0; h < Hours; h++)
            {
                vapour[h] = Math.Clamp(vapour[h] * Between(off, h), Driest * saturated[h], saturated[h]);
            }
        }

        return vapour;
    }

    private static double[] MeansOf(double[] hours)
    {
        var (sums, counts) = (new double[YearOfAir.Months], new int[YearOfAir.Months]);
        for (var h = 0; h < Hours; h++)
        {
            var month = MonthOfHour[h];
            (sums[month], counts[month]) = (sums[month] + hours[h], counts[month] + 1);
        }

        return [.. sums.Select((sum, month) => sum / counts[month])];
    }

    // A figure of months at an hour: that of the month in its middle, passing over in between.
    private static double Between(double[] months, int hour)
    {
        var at = (hour + 0.5) / Hours * YearOfAir.Months - 0.5;
        var first = (int)Math.Floor(at);
        var share = at - first;
        return months[(first + YearOfAir.Months) % YearOfAir.Months] * (1 - share) + months[(first + 1) % YearOfAir.Months] * share;
    }

    private static readonly int[] MonthOfHour =
    [
        .. Enumerable.Range(0, YearOfAir.Months).SelectMany(month => Enumerable.Repeat(month, 24 * YearOfAir.DaysOf(month))),
    ];

    private static double Saturated(double celsius) => MoistAir.SaturationPressureOfWeather(Temperature.FromCelsius(celsius)).Pascals;
}
