using Umbracell.Core.Air;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Moisture;

/// <summary>Mean air of a month.</summary>
/// <param name="Temperature">Mean temperature, -50 to 50 °C.</param>
/// <param name="Humidity">Mean relative humidity, 1 to 100 %.</param>
public readonly record struct MonthAir(Temperature Temperature, RelativeHumidity Humidity)
{
    /// <summary>Months by their figures.</summary>
    /// <param name="celsius">Mean temperatures, °C.</param>
    /// <param name="rhPct">Mean relative humidities as weather services count them, percent; as many.</param>
    public static IReadOnlyList<MonthAir> All(IReadOnlyList<double> celsius, IReadOnlyList<double> rhPct) =>
        [
            .. celsius.Zip(
                rhPct,
                (t, rh) => new MonthAir(Temperature.FromCelsius(t), RelativeHumidity.OfWeather(rh, Temperature.FromCelsius(t)))
            ),
        ];
}

/// <summary>A year of monthly means on both sides, January first.</summary>
public sealed record YearOfAir
{
    /// <summary>Months of a year.</summary>
    public const int Months = 12;

    /// <summary>A year.</summary>
    /// <param name="outdoor">Twelve months outdoors.</param>
    /// <param name="indoor">Twelve months in the room.</param>
    /// <exception cref="ArgumentException">Not twelve months on a side.</exception>
    /// <exception cref="QuantityRangeException">Air outside the psychrometric formulas.</exception>
    public YearOfAir(IReadOnlyList<MonthAir> outdoor, IReadOnlyList<MonthAir> indoor)
    {
        if (outdoor.Count != Months || indoor.Count != Months)
        {
            throw new ArgumentException("A year has twelve months on either side.", nameof(outdoor));
        }

        (Outdoor, Indoor) = (outdoor, indoor);
        (OutdoorVapour, IndoorVapour) = ([.. outdoor.Select(Vapour)], [.. indoor.Select(Vapour)]);
    }

    /// <summary>Vapour pressure outdoors by month, Pa.</summary>
    internal IReadOnlyList<double> OutdoorVapour { get; }

    /// <summary>Vapour pressure in the room by month, Pa.</summary>
    internal IReadOnlyList<double> IndoorVapour { get; }

    /// <summary>Outdoors.</summary>
    public IReadOnlyList<MonthAir> Outdoor { get; }

    /// <summary>In the room.</summary>
    public IReadOnlyList<MonthAir> Indoor { get; }

    /// <summary>The same year with damper or drier rooms in the months that are heated.</summary>
    /// <param name="points">Added to the relative humidity, which stays between 1 and 100 %.</param>
    public YearOfAir WithWinterHumidityShift(double points)
    {
        const double Heated = 5;
        return new(
            Outdoor,
            [
                .. Indoor.Select(
                    (room, i) =>
                        room.Temperature.Celsius - Outdoor[i].Temperature.Celsius > Heated
                            ? room with
                            {
                                Humidity = RelativeHumidity.FromPercent(Math.Clamp(room.Humidity.Percent + points, 1, 100)),
                            }
                            : room
                ),
            ]
        );
    }

    /// <summary>The same year with every outdoor mean shifted, at the same relative humidity.</summary>
    /// <param name="shift">Added to every mean.</param>
    public YearOfAir WithOutdoorShift(TemperatureDifference shift) =>
        new([.. Outdoor.Select(m => m with { Temperature = m.Temperature + shift })], Indoor);

    private static double Vapour(MonthAir air) =>
        MoistAir.Of(air.Temperature, air.Humidity, StandardAtmosphere.PressureAt(Length.Zero)).VapourPressure.Pascals;

    /// <summary>Days of a month, January 0; no leap year.</summary>
    public static int DaysOf(int month) => DateTime.DaysInMonth(2001, month + 1);
}

/// <summary>Indoor moisture of heated, uncooled rooms by humidity class (ISO 13788, annex A): an excess of vapour pressure over
/// outdoors.</summary>
public static class HumidityClasses
{
    /// <summary>Lowest class: unoccupied buildings, storage.</summary>
    public const int Driest = 1;

    /// <summary>Highest class: laundry, brewery, pool.</summary>
    public const int Dampest = 5;

    // Upper limits of the classes at an outdoor mean of 0 °C and colder.
    private static readonly double[] ExcessWhenCold = [270, 540, 810, 1080, 1360];

    /// <summary>Outdoor mean at which no excess is left.</summary>
    private const double NoExcessAt = 20;

    /// <summary>Excess of vapour pressure in the room: the class's upper limit at 0 °C and colder, falling straight to nothing at 20
    /// °C.</summary>
    /// <param name="humidityClass">1 to 5.</param>
    /// <param name="outdoor">Mean of the month outdoors.</param>
    /// <exception cref="QuantityRangeException">No such class.</exception>
    public static Pressure Excess(int humidityClass, Temperature outdoor)
    {
        QuantityRangeException.Within("humidity class", humidityClass, Driest, Dampest, Dimension.Count);
        return Pressure.FromPascals(ExcessWhenCold[humidityClass - 1] * Math.Clamp((NoExcessAt - outdoor.Celsius) / NoExcessAt, 0, 1));
    }

    /// <summary>Room air of a month.</summary>
    /// <param name="humidityClass">1 to 5.</param>
    /// <param name="outdoor">The month outdoors.</param>
    /// <param name="heatedTo">Room temperature kept by heating; a warmer month makes the room as warm as itself, since nothing cools
    /// it.</param>
    /// <exception cref="QuantityRangeException">No such class, or air outside the psychrometric formulas.</exception>
    public static MonthAir Room(int humidityClass, MonthAir outdoor, Temperature heatedTo)
    {
        var room = Temperature.FromCelsius(Math.Max(heatedTo.Celsius, outdoor.Temperature.Celsius));
        var outside = MoistAir.Of(outdoor.Temperature, outdoor.Humidity, StandardAtmosphere.PressureAt(Length.Zero));
        var vapour = outside.VapourPressure.Pascals + Excess(humidityClass, outdoor.Temperature).Pascals;
        var saturation = MoistAir.SaturationPressureAt(room, HumidityReference.Water).Pascals;
        return new(room, RelativeHumidity.FromPercent(Math.Clamp(100 * vapour / saturation, 1, 100)));
    }
}
