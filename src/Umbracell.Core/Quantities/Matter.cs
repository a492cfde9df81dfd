namespace Umbracell.Core.Quantities;

/// <summary>A mass.</summary>
/// <param name="Kilograms">kg.</param>
public readonly record struct Mass(double Kilograms)
{
    /// <summary>Kilograms in one avoirdupois pound (exact).</summary>
    public const double KilogramsPerPound = 0.45359237;

    /// <summary>Sum.</summary>
    public static Mass operator +(Mass a, Mass b) => new(a.Kilograms + b.Kilograms);

    /// <summary>The volume this mass fills at a density.</summary>
    public static FoamVolume operator /(Mass a, Density density) => new(a.Kilograms / density.KilogramsPerCubicMetre);

    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(Kilograms, Dimension.Mass);
}

/// <summary>A density. Positive.</summary>
/// <param name="KilogramsPerCubicMetre">kg/m³.</param>
public readonly record struct Density(double KilogramsPerCubicMetre)
{
    /// <summary>kg/m³ in one lb/ft³ (exact ratio of pound and cubic foot).</summary>
    public const double SiPerPoundPerCubicFoot = Mass.KilogramsPerPound / 0.028316846592;

    /// <summary>From lb/ft³.</summary>
    public static Density FromPoundsPerCubicFoot(double poundsPerCubicFoot) => new(poundsPerCubicFoot * SiPerPoundPerCubicFoot);

    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(KilogramsPerCubicMetre, Dimension.Density);
}

/// <summary>A wind speed.</summary>
/// <param name="MetresPerSecond">m/s.</param>
public readonly record struct Speed(double MetresPerSecond)
{
    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(MetresPerSecond, Dimension.Speed);
}
