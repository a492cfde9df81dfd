using Umbracell.Core.Air;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;

namespace Umbracell.Core.Conditions;

/// <summary>Outdoor air a building is designed for.</summary>
/// <param name="Temperature">Dry-bulb temperature.</param>
/// <param name="Humidity">Humidity that goes with it.</param>
public readonly record struct OutdoorDesign(Temperature Temperature, RelativeHumidity Humidity);

/// <summary>A year of hourly weather reduced to what sections and sprays are reckoned with.</summary>
/// <param name="Months">Monthly means, January first.</param>
/// <param name="Heating">Winter design.</param>
/// <param name="Cooling">Summer design.</param>
/// <param name="HeatingDegreeDays">Kelvin-days under 18 °C, by daily means.</param>
/// <param name="CoolingDegreeDays">Kelvin-days over 10 °C, by daily means.</param>
public sealed record WeatherYear(
    IReadOnlyList<MonthAir> Months,
    OutdoorDesign Heating,
    OutdoorDesign Cooling,
    double HeatingDegreeDays,
    double CoolingDegreeDays
)
{
    /// <summary>Share of a month's hours that must be whole for its mean to stand for it.</summary>
    public const double LeastShare = 0.9;

    private const double ExceededInWinter = 0.99,
        ExceededInSummer = 0.01;

    /// <summary>Months of which less than <see cref="LeastShare"/> of the hours are whole, 1 to 12; empty where the record
    /// serves.</summary>
    /// <param name="hours">The record, in any order, each hour told by the clock of the place.</param>
    public static IReadOnlyList<int> ThinMonths(IReadOnlyList<AirHour> hours)
    {
        var whole = new int[YearOfAir.Months];
        foreach (var hour in hours.Where(h => h.IsWhole))
        {
            whole[hour.Start.Month - 1]++;
        }

        return [.. Enumerable.Range(0, YearOfAir.Months).Where(m => whole[m] < LeastShare * 24 * YearOfAir.DaysOf(m)).Select(m => m + 1)];
    }

    /// <summary>Reduces a record.</summary>
    /// <param name="hours">The record, in any order, each hour told by the clock of the place; hours that are not whole are passed
    /// over.</param>
    /// <remarks>A month's humidity is that of its mean vapour pressure at its mean temperature, so that the monthly year moves as much
    /// water as the hours held. Winter design is exceeded in 99 % of the hours, summer design in 1 %; the humidity of either is the mean
    /// vapour pressure of the hours within half a kelvin of it.</remarks>
    /// <exception cref="ArgumentException">A month is too thin; see <see cref="ThinMonths"/>.</exception>
    public static WeatherYear Of(IReadOnlyList<AirHour> hours)
    {
        if (ThinMonths(hours) is { Count: > 0 } thin)
        {
            throw new ArgumentException($"Month {thin[0]} has too few whole hours.", nameof(hours));
        }

        var whole = hours.Where(h => h.IsWhole).ToList();
        var sorted = whole.Select(Celsius).Order().ToList();
        var days = whole.GroupBy(h => (h.Start.Month, h.Start.Day)).Select(day => day.Average(Celsius)).ToList();

        // Days that are missing count like the mean day: the sums stand for a year.
        var year = 365.0 / days.Count;
        return new(
            [.. whole.GroupBy(h => h.Start.Month).OrderBy(m => m.Key).Select(m => MeanOf([.. m]))],
            At(ExceededInWinter),
            At(ExceededInSummer),
            year * days.Sum(t => Math.Max(0, 18 - t)),
            year * days.Sum(t => Math.Max(0, t - 10))
        );

        OutdoorDesign At(double exceeded)
        {
            var t = sorted[Math.Clamp((int)Math.Round((1 - exceeded) * (sorted.Count - 1)), 0, sorted.Count - 1)];
            return new(Temperature.FromCelsius(t), Humidity(whole.Where(h => Math.Abs(Celsius(h) - t) <= 0.5), t));
        }
    }

    /// <summary>Number of the model energy code's zone by degree days: its thermal criteria, 1 (hottest) to 8. The letter for moisture
    /// does not follow from temperature; check the code's own map.</summary>
    public int ZoneNumber =>
        (HeatingDegreeDays, CoolingDegreeDays) switch
        {
            (_, > 5000) => 1,
            (_, > 3500) => 2,
            (<= 2000, _) => 3,
            (<= 3000, _) => 4,
            (<= 4000, _) => 5,
            (<= 5000, _) => 6,
            (<= 7000, _) => 7,
            _ => 8,
        };

    private static double Celsius(AirHour hour) => hour.Temperature!.Value.Celsius;

    private static MonthAir MeanOf(IReadOnlyList<AirHour> hours)
    {
        var mean = hours.Average(Celsius);
        return new(Temperature.FromCelsius(mean), Humidity(hours, mean));
    }

    private static RelativeHumidity Humidity(IEnumerable<AirHour> hours, double celsius)
    {
        var vapour = hours.Average(h => h.Humidity!.Value.Fraction * Saturated(Celsius(h)));
        return RelativeHumidity.FromPercent(Math.Clamp(100 * vapour / Saturated(celsius), 1, 100));
    }

    private static double Saturated(double celsius) => MoistAir.SaturationPressureOfWeather(Temperature.FromCelsius(celsius)).Pascals;
}
