using Umbracell.Core.Quantities;

namespace Umbracell.Core.Air;

/// <summary>The state of moist air at a temperature, humidity and pressure.</summary>
/// <remarks>Psychrometrics chapter of ASHRAE Handbook—Fundamentals; see docs/methods/moist-air.md.</remarks>
public readonly record struct MoistAir
{
    /// <summary>Ratio of the molar masses of water and dry air.</summary>
    internal const double MolarMassRatio = 0.621945;

    /// <summary>Gas constant of dry air, J/(kg·K).</summary>
    private const double DryAirGasConstant = 287.042;

    private MoistAir(Temperature temperature, RelativeHumidity humidity, Pressure pressure, Pressure saturation, Pressure vapour)
    {
        Temperature = temperature;
        Humidity = humidity;
        Pressure = pressure;
        SaturationPressure = saturation;
        VapourPressure = vapour;
    }

    /// <summary>Dry-bulb temperature.</summary>
    public Temperature Temperature { get; }

    /// <summary>Relative humidity with its reference.</summary>
    public RelativeHumidity Humidity { get; }

    /// <summary>Barometric pressure.</summary>
    public Pressure Pressure { get; }

    /// <summary>Saturation pressure at the dry-bulb temperature over the humidity's reference.</summary>
    public Pressure SaturationPressure { get; }

    /// <summary>Partial pressure of the water vapour.</summary>
    public Pressure VapourPressure { get; }

    /// <summary>Air at a temperature and relative humidity.</summary>
    /// <param name="temperature">-100 to 200 °C; not below -40 °C where the humidity is over water.</param>
    /// <param name="humidity">Above 0 to 100 %.</param>
    /// <param name="pressure">Barometric pressure, 10 to 120 kPa; see <see cref="StandardAtmosphere"/>.</param>
    /// <exception cref="QuantityRangeException">An input is outside its range, or the vapour pressure reaches the air pressure.</exception>
    public static MoistAir Of(Temperature temperature, RelativeHumidity humidity, Pressure pressure)
    {
        var celsius = temperature.Celsius;
        var overIce = Saturation.IsOverIce(celsius, humidity.Over);
        var coldest = celsius < 0 && !overIce ? Saturation.ColdestWater : Saturation.ColdestIce;
        QuantityRangeException.Within(nameof(temperature), celsius, coldest, Saturation.Hottest, Dimension.Temperature);
        QuantityRangeException.Within(nameof(humidity), humidity.Percent, double.Epsilon, 100, Dimension.RelativeHumidity);
        QuantityRangeException.Within(nameof(pressure), pressure.Pascals, 10_000, 120_000, Dimension.VapourPressure);

        var kelvin = temperature.Kelvin;
        var saturation = Math.Exp(overIce ? Saturation.LnOverIce(kelvin) : Saturation.LnOverWater(kelvin));
        var vapour = saturation * humidity.Fraction;
        if (vapour >= pressure.Pascals)
        {
            var greatest = 100 * pressure.Pascals / saturation;
            throw new QuantityRangeException(
                nameof(humidity),
                humidity.ToFigure(),
                new(0, Dimension.RelativeHumidity),
                new(greatest, Dimension.RelativeHumidity)
            );
        }

        return new(temperature, humidity, pressure, Pressure.FromPascals(saturation), Pressure.FromPascals(vapour));
    }

    /// <summary>Humidity ratio, kg of water per kg of dry air.</summary>
    public double HumidityRatio => RatioOf(VapourPressure.Pascals, Pressure.Pascals);

    /// <summary>Humidity ratio of a vapour pressure, kg/kg; both in Pa.</summary>
    internal static double RatioOf(double vapour, double pressure) => MolarMassRatio * vapour / (pressure - vapour);

    /// <summary>Vapour pressure of a humidity ratio, Pa.</summary>
    internal static double VapourOf(double ratio, double pressure) => pressure * ratio / (MolarMassRatio + ratio);

    /// <summary>Dew point, or frost point below 0 °C: where water or ice would first form on a surface. May lie above the air temperature
    /// where the air is supersaturated over ice.</summary>
    /// <exception cref="QuantityRangeException">It lies below -100 °C, outside the formulas.</exception>
    public Temperature DewPoint
    {
        get
        {
            var dew = Saturation.DewPoint(Math.Log(VapourPressure.Pascals));
            return Temperature.FromCelsius(
                QuantityRangeException.Within("dew point", dew, Saturation.ColdestIce, Saturation.Hottest, Dimension.Temperature)
            );
        }
    }

    /// <summary>Density of the moist air at its own pressure, kg/m³ (ideal gas mixture).</summary>
    public double Density => (Pressure.Pascals - (1 - MolarMassRatio) * VapourPressure.Pascals) / (DryAirGasConstant * Temperature.Kelvin);

    /// <summary>Density of dry air, kg/m³ (ideal gas).</summary>
    /// <param name="temperature">Above absolute zero.</param>
    /// <param name="pressure">Above zero.</param>
    public static double DryDensity(Temperature temperature, Pressure pressure) =>
        pressure.Pascals / (DryAirGasConstant * temperature.Kelvin);

    /// <summary>Thermodynamic wet-bulb temperature by the adiabatic saturation balance, ice branch below 0 °C.</summary>
    public Temperature WetBulb =>
        Temperature.FromCelsius(Air.WetBulb.Of(Temperature.Celsius, HumidityRatio, Pressure.Pascals, DewPoint.Celsius));

    /// <summary>The same water in air of another temperature: what dry heat does.</summary>
    /// <param name="temperature">The new temperature.</param>
    /// <returns>Relative humidity over this air's reference, percent; may exceed 100.</returns>
    public RelativeHumidity HumidityWhenDryHeatedTo(Temperature temperature)
    {
        var overIce = Saturation.IsOverIce(temperature.Celsius, Humidity.Over);
        var saturation = Math.Exp(overIce ? Saturation.LnOverIce(temperature.Kelvin) : Saturation.LnOverWater(temperature.Kelvin));
        return RelativeHumidity.FromPercent(100 * VapourPressure.Pascals / saturation, Humidity.Over);
    }

    /// <summary>The temperature to which dry heat must bring this air for its relative humidity to fall to a limit.</summary>
    /// <param name="limitPercent">The relative humidity wanted, above 0 to 100 %, over this air's reference.</param>
    public Temperature TemperatureForHumidity(double limitPercent)
    {
        QuantityRangeException.Within(nameof(limitPercent), limitPercent, double.Epsilon, 100, Dimension.RelativeHumidity);
        var (low, high) = (Temperature.Celsius - 60, Temperature.Celsius + 100);
        for (var step = 0; step < 60; step++)
        {
            var middle = (low + high) / 2;
            (low, high) = HumidityWhenDryHeatedTo(Temperature.FromCelsius(middle)).Percent > limitPercent ? (middle, high) : (low, middle);
        }

        return Temperature.FromCelsius(high);
    }

    /// <summary>Saturation pressure at a temperature.</summary>
    /// <param name="temperature">-100 to 200 °C; over water not below -40 °C.</param>
    /// <param name="over">Reference below 0 °C.</param>
    /// <exception cref="QuantityRangeException">Outside the formulas.</exception>
    public static Pressure SaturationPressureAt(Temperature temperature, HumidityReference over)
    {
        var overIce = Saturation.IsOverIce(temperature.Celsius, over);
        var coldest = temperature.Celsius < 0 && !overIce ? Saturation.ColdestWater : Saturation.ColdestIce;
        QuantityRangeException.Within(nameof(temperature), temperature.Celsius, coldest, Saturation.Hottest, Dimension.Temperature);
        return Pressure.FromPascals(
            Math.Exp(overIce ? Saturation.LnOverIce(temperature.Kelvin) : Saturation.LnOverWater(temperature.Kelvin))
        );
    }

    /// <summary>Saturation pressure over what outdoor humidity is counted over at a temperature: water, and ice below -40 °C (see
    /// <see cref="RelativeHumidity.OfWeather"/>).</summary>
    /// <param name="temperature">-100 to 200 °C.</param>
    /// <exception cref="QuantityRangeException">Outside the formulas.</exception>
    public static Pressure SaturationPressureOfWeather(Temperature temperature) =>
        SaturationPressureAt(temperature, RelativeHumidity.OfWeather(100, temperature).Over);

    /// <summary>Dew or frost point of a vapour pressure.</summary>
    /// <param name="vapourPressure">Above zero.</param>
    /// <exception cref="QuantityRangeException">Not above zero, or the dew point lies outside -100 to 200 °C.</exception>
    public static Temperature DewPointOf(Pressure vapourPressure)
    {
        QuantityRangeException.Within(nameof(vapourPressure), vapourPressure.Pascals, double.Epsilon, 1.6e6, Dimension.VapourPressure);
        var dew = Saturation.DewPoint(Math.Log(vapourPressure.Pascals));
        return Temperature.FromCelsius(
            QuantityRangeException.Within("dew point", dew, Saturation.ColdestIce, Saturation.Hottest, Dimension.Temperature)
        );
    }
}
