namespace Umbracell.Core.Quantities;

/// <summary>A pressure or a partial pressure of water vapour.</summary>
/// <param name="Pascals">Pa.</param>
public readonly record struct Pressure(double Pascals)
{
    /// <summary>Difference; may be negative.</summary>
    public static Pressure operator -(Pressure a, Pressure b) => new(a.Pascals - b.Pascals);

    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(Pascals, Dimension.VapourPressure);
}

/// <summary>Water vapour permeance of a layer. Positive.</summary>
/// <param name="KilogramsPerPascalSecondSquareMetre">kg/(Pa·s·m²).</param>
public readonly record struct Permeance(double KilogramsPerPascalSecondSquareMetre)
{
    /// <summary>kg/(Pa·s·m²) in one US perm (57.2135 ng).</summary>
    public const double SiPerPerm = 57.2135e-12;

    /// <summary>Permeability of still air by which an equivalent air thickness is stated, kg/(Pa·s·m) (conventional value of ISO
    /// 13788).</summary>
    public const double StillAirPermeability = 2.0e-10;

    /// <summary>US perms.</summary>
    public double Perms => KilogramsPerPascalSecondSquareMetre / SiPerPerm;

    /// <summary>ng/(Pa·s·m²).</summary>
    public double Nanograms => KilogramsPerPascalSecondSquareMetre * 1e12;

    /// <summary>Equivalent air layer thickness sd.</summary>
    public Length EquivalentAirThickness => new(StillAirPermeability / KilogramsPerPascalSecondSquareMetre);

    /// <summary>From US perms.</summary>
    public static Permeance FromPerms(double perms) => new(perms * SiPerPerm);

    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(KilogramsPerPascalSecondSquareMetre, Dimension.Permeance);
}

/// <summary>Water vapour permeability of a material. Positive.</summary>
/// <param name="KilogramsPerPascalSecondMetre">kg/(Pa·s·m).</param>
public readonly record struct Permeability(double KilogramsPerPascalSecondMetre)
{
    /// <summary>kg/(Pa·s·m) in one perm inch (1.45322 ng).</summary>
    public const double SiPerPermInch = 1.45322e-12;

    /// <summary>Perm inches.</summary>
    public double PermInches => KilogramsPerPascalSecondMetre / SiPerPermInch;

    /// <summary>From perm inches.</summary>
    public static Permeability FromPermInches(double permInches) => new(permInches * SiPerPermInch);

    /// <summary>Permeance of a layer of this thickness (thickness above zero).</summary>
    public Permeance Over(Length thickness) => new(KilogramsPerPascalSecondMetre / thickness.Metres);

    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(KilogramsPerPascalSecondMetre, Dimension.Permeability);
}

/// <summary>What a relative humidity below freezing refers to: weather services and nearly all instruments state it over water,
/// psychrometric tables over ice.</summary>
public enum HumidityReference
{
    /// <summary>Over (supercooled) water; what readings and weather default to.</summary>
    Water,

    /// <summary>Over ice below 0 °C; over water from 0 °C.</summary>
    Ice,
}

/// <summary>Relative humidity with its reference.</summary>
/// <param name="Percent">Percent of the saturation pressure over the reference.</param>
/// <param name="Over">The reference below 0 °C.</param>
public readonly record struct RelativeHumidity(double Percent, HumidityReference Over = HumidityReference.Water)
{
    /// <summary>As a fraction of one.</summary>
    public double Fraction => Percent / 100;

    /// <summary>Humidity of outdoor air as weather tables and services give it: over water, and over ice below -40 °C, where no water
    /// stays liquid and the formulas for it end.</summary>
    /// <param name="percent">Above 0 to 100 %.</param>
    /// <param name="air">Temperature of that air.</param>
    public static RelativeHumidity OfWeather(double percent, Temperature air) =>
        new(percent, air.Celsius < Air.Saturation.ColdestWater ? HumidityReference.Ice : HumidityReference.Water);

    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(Percent, Dimension.RelativeHumidity);
}
