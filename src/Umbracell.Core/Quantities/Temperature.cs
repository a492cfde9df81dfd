namespace Umbracell.Core.Quantities;

/// <summary>A temperature on the Celsius scale; absolute, not a difference. Finite, at or above absolute zero where a model uses
/// it.</summary>
public readonly record struct Temperature : IComparable<Temperature>
{
    private Temperature(double celsius) =>
        Celsius = Quantity.Within("temperature", celsius, -IcePointKelvin, Quantity.Greatest, Dimension.Temperature);

    /// <summary>Degrees Celsius.</summary>
    public double Celsius { get; }

    /// <summary>From degrees Celsius.</summary>
    public static Temperature FromCelsius(double celsius) => new(celsius);

    /// <summary>Ice point on the thermodynamic scale, K (by definition of the Celsius scale).</summary>
    public const double IcePointKelvin = 273.15;

    /// <summary>Thermodynamic temperature, K.</summary>
    public double Kelvin => Celsius + IcePointKelvin;

    /// <summary>Degrees Fahrenheit.</summary>
    public double Fahrenheit => Celsius * 1.8 + 32;

    /// <summary>From degrees Fahrenheit.</summary>
    public static Temperature FromFahrenheit(double fahrenheit) => new((fahrenheit - 32) / 1.8);

    /// <summary>How far <paramref name="a"/> lies above <paramref name="b"/>.</summary>
    public static TemperatureDifference operator -(Temperature a, Temperature b) =>
        TemperatureDifference.FromKelvins(a.Celsius - b.Celsius);

    /// <summary>The temperature moved up by a difference.</summary>
    public static Temperature operator +(Temperature a, TemperatureDifference d) => new(a.Celsius + d.Kelvins);

    /// <summary>Colder than.</summary>
    public static bool operator <(Temperature a, Temperature b) => a.Celsius < b.Celsius;

    /// <summary>Warmer than.</summary>
    public static bool operator >(Temperature a, Temperature b) => a.Celsius > b.Celsius;

    /// <summary>Colder than or equal.</summary>
    public static bool operator <=(Temperature a, Temperature b) => a.Celsius <= b.Celsius;

    /// <summary>Warmer than or equal.</summary>
    public static bool operator >=(Temperature a, Temperature b) => a.Celsius >= b.Celsius;

    /// <inheritdoc/>
    public int CompareTo(Temperature other) => Celsius.CompareTo(other.Celsius);

    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(Celsius, Dimension.Temperature);
}

/// <summary>A difference between two temperatures, K. Positive where the first is warmer.</summary>
public readonly record struct TemperatureDifference
{
    private TemperatureDifference(double kelvins) =>
        Kelvins = Quantity.Within(
            "temperature difference",
            kelvins,
            -Quantity.Greatest,
            Quantity.Greatest,
            Dimension.TemperatureDifference
        );

    /// <summary>Kelvins.</summary>
    public double Kelvins { get; }

    /// <summary>From Kelvins.</summary>
    public static TemperatureDifference FromKelvins(double kelvins) => new(kelvins);

    /// <summary>The same difference in Fahrenheit degrees.</summary>
    public double FahrenheitDegrees => Kelvins * 1.8;

    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(Kelvins, Dimension.TemperatureDifference);
}
