namespace Umbracell.Core.Quantities;

/// <summary>A pressure of air or a partial pressure of water vapour; nought or more.</summary>
public readonly record struct Pressure
{
    private Pressure(double pascals) => Pascals = Quantity.Within("pressure", pascals, 0, Quantity.Greatest, Dimension.VapourPressure);

    /// <summary>Pa.</summary>
    public double Pascals { get; }

    /// <summary>From Pa.</summary>
    public static Pressure FromPascals(double pascals) => new(pascals);

    /// <summary>How far <paramref name="a"/> lies above <paramref name="b"/>.</summary>
    public static PressureDifference operator -(Pressure a, Pressure b) => PressureDifference.FromPascals(a.Pascals - b.Pascals);

    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(Pascals, Dimension.VapourPressure);
}

/// <summary>Water vapour permeance of a layer. Positive.</summary>
public readonly record struct Permeance
{
    private Permeance(double kilogramsPerPascalSecondSquareMetre) =>
        KilogramsPerPascalSecondSquareMetre = Quantity.Within(
            "permeance",
            kilogramsPerPascalSecondSquareMetre,
            0,
            Quantity.Greatest,
            Dimension.Permeance
        );

    /// <summary>kg/(Pa·s·m²).</summary>
    public double KilogramsPerPascalSecondSquareMetre { get; }

    /// <summary>From kg/(Pa·s·m²).</summary>
    public static Permeance FromSi(double si) => new(si);

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
    public Length EquivalentAirThickness => Length.FromMetres(StillAirPermeability / KilogramsPerPascalSecondSquareMetre);

    /// <summary>From US perms.</summary>
    public static Permeance FromPerms(double perms) => new(perms * SiPerPerm);

    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(KilogramsPerPascalSecondSquareMetre, Dimension.Permeance);
}

/// <summary>Water vapour permeability of a material. Positive.</summary>
public readonly record struct Permeability
{
    private Permeability(double kilogramsPerPascalSecondMetre) =>
        KilogramsPerPascalSecondMetre = Quantity.Within(
            "permeability",
            kilogramsPerPascalSecondMetre,
            0,
            Quantity.Greatest,
            Dimension.Permeability
        );

    /// <summary>kg/(Pa·s·m).</summary>
    public double KilogramsPerPascalSecondMetre { get; }

    /// <summary>From kg/(Pa·s·m).</summary>
    public static Permeability FromSi(double si) => new(si);

    /// <summary>kg/(Pa·s·m) in one perm inch (1.45322 ng).</summary>
    public const double SiPerPermInch = 1.45322e-12;

    /// <summary>Perm inches.</summary>
    public double PermInches => KilogramsPerPascalSecondMetre / SiPerPermInch;

    /// <summary>From perm inches.</summary>
    public static Permeability FromPermInches(double permInches) => new(permInches * SiPerPermInch);

    /// <summary>Permeance of a layer of this thickness (thickness above zero).</summary>
    public Permeance Over(Length thickness) => Permeance.FromSi(KilogramsPerPascalSecondMetre / thickness.Metres);

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

/// <summary>Relative humidity with its reference; nought or more, over 100 % where air is supersaturated.</summary>
public readonly record struct RelativeHumidity
{
    private RelativeHumidity(double percent, HumidityReference over)
    {
        Percent = Quantity.Within("relative humidity", percent, 0, Quantity.Greatest, Dimension.RelativeHumidity);
        Over = over;
    }

    /// <summary>Percent of the saturation pressure over the reference.</summary>
    public double Percent { get; }

    /// <summary>The reference below 0 °C.</summary>
    public HumidityReference Over { get; }

    /// <summary>From percent of the saturation pressure over the reference.</summary>
    public static RelativeHumidity FromPercent(double percent, HumidityReference over = HumidityReference.Water) => new(percent, over);

    /// <summary>As a fraction of one.</summary>
    public double Fraction => Percent / 100;

    /// <summary>Humidity of outdoor air as weather tables and services give it: over water, and over ice below -40 °C, where no water
    /// stays liquid and the formulas for it end.</summary>
    /// <param name="percent">Above 0 to 100 %.</param>
    /// <param name="air">Temperature of that air.</param>
    public static RelativeHumidity OfWeather(double percent, Temperature air) =>
        new(percent, air.Celsius < Air.Saturation.ColdestWater ? HumidityReference.Ice : HumidityReference.Water);

    /// <summary>Humidity of outdoor air by its dew point, as weather services count it.</summary>
    /// <param name="dew">The dew point.</param>
    /// <param name="air">Temperature of that air.</param>
    /// <param name="dewOver">What a dew point below 0 °C is over: water as services tell it, ice for a frost point.</param>
    /// <returns>100 % at most.</returns>
    /// <exception cref="QuantityRangeException">Outside the formulas of moist air.</exception>
    public static RelativeHumidity OfDewPoint(Temperature dew, Temperature air, HumidityReference dewOver)
    {
        var over = dew.Celsius < Air.Saturation.ColdestWater ? HumidityReference.Ice : dewOver;
        var vapour = Air.MoistAir.SaturationPressureAt(dew, over).Pascals;
        return OfWeather(Math.Min(100, 100 * vapour / Air.MoistAir.SaturationPressureOfWeather(air).Pascals), air);
    }

    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(Percent, Dimension.RelativeHumidity);
}
