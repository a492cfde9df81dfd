namespace Umbracell.Core.Quantities;

/// <summary>A mass.</summary>
public readonly record struct Mass
{
    private Mass(double kilograms) => Kilograms = Quantity.Within("mass", kilograms, 0, Quantity.Greatest, Dimension.Mass);

    /// <summary>kg.</summary>
    public double Kilograms { get; }

    /// <summary>From kg.</summary>
    public static Mass FromKilograms(double kilograms) => new(kilograms);

    /// <summary>Kilograms in one avoirdupois pound (exact).</summary>
    public const double KilogramsPerPound = 0.45359237;

    /// <summary>Sum.</summary>
    public static Mass operator +(Mass a, Mass b) => new(a.Kilograms + b.Kilograms);

    /// <summary>The volume this mass fills at a density.</summary>
    public static FoamVolume operator /(Mass a, Density density) =>
        FoamVolume.FromCubicMetres(a.Kilograms / density.KilogramsPerCubicMetre);

    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(Kilograms, Dimension.Mass);
}

/// <summary>A density. Positive.</summary>
public readonly record struct Density
{
    private readonly double _kilogramsPerCubicMetre;

    private Density(double kilogramsPerCubicMetre) =>
        _kilogramsPerCubicMetre = Quantity.Within("density", kilogramsPerCubicMetre, double.Epsilon, Quantity.Greatest, Dimension.Density);

    /// <summary>kg/m³.</summary>
    /// <exception cref="InvalidOperationException">It was never given.</exception>
    public double KilogramsPerCubicMetre => Quantity.Given("density", _kilogramsPerCubicMetre);

    /// <summary>From kg/m³.</summary>
    public static Density FromKilogramsPerCubicMetre(double kilogramsPerCubicMetre) => new(kilogramsPerCubicMetre);

    /// <summary>kg/m³ in one lb/ft³ (exact ratio of pound and cubic foot).</summary>
    public const double SiPerPoundPerCubicFoot = Mass.KilogramsPerPound / 0.028316846592;

    /// <summary>From lb/ft³.</summary>
    public static Density FromPoundsPerCubicFoot(double poundsPerCubicFoot) => new(poundsPerCubicFoot * SiPerPoundPerCubicFoot);

    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(KilogramsPerCubicMetre, Dimension.Density);
}

/// <summary>A wind speed.</summary>
public readonly record struct Speed
{
    private Speed(double metresPerSecond) =>
        MetresPerSecond = Quantity.Within("wind speed", metresPerSecond, 0, Quantity.Greatest, Dimension.Speed);

    /// <summary>m/s.</summary>
    public double MetresPerSecond { get; }

    /// <summary>From m/s.</summary>
    public static Speed FromMetresPerSecond(double metresPerSecond) => new(metresPerSecond);

    /// <summary>The speed times a factor of nought or more.</summary>
    public static Speed operator *(Speed speed, double factor) => new(speed.MetresPerSecond * factor);

    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(MetresPerSecond, Dimension.Speed);
}
