namespace Umbracell.Core.Quantities;

/// <summary>Thermal resistance of a unit of area (R). Positive.</summary>
/// <param name="SquareMetreKelvinsPerWatt">m²·K/W.</param>
public readonly record struct ThermalResistance(double SquareMetreKelvinsPerWatt)
{
    /// <summary>m²·K/W in one ft²·°F·h/Btu (from the International Table Btu and the international foot).</summary>
    public const double SiPerUsR = 0.1761101838;

    /// <summary>R in ft²·°F·h/Btu.</summary>
    public double UsR => SquareMetreKelvinsPerWatt / SiPerUsR;

    /// <summary>From R in ft²·°F·h/Btu.</summary>
    public static ThermalResistance FromUsR(double r) => new(r * SiPerUsR);

    /// <summary>Resistances in series add.</summary>
    public static ThermalResistance operator +(ThermalResistance a, ThermalResistance b) =>
        new(a.SquareMetreKelvinsPerWatt + b.SquareMetreKelvinsPerWatt);

    /// <summary>Share or multiple.</summary>
    public static ThermalResistance operator *(ThermalResistance a, double factor) => new(a.SquareMetreKelvinsPerWatt * factor);

    /// <summary>The transmittance of this resistance alone.</summary>
    public ThermalTransmittance ToTransmittance() => new(1 / SquareMetreKelvinsPerWatt);

    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(SquareMetreKelvinsPerWatt, Dimension.Resistance);
}

/// <summary>Thermal transmittance of a unit of area (U). Positive.</summary>
/// <param name="WattsPerSquareMetreKelvin">W/(m²·K).</param>
public readonly record struct ThermalTransmittance(double WattsPerSquareMetreKelvin)
{
    /// <summary>U in Btu/(h·ft²·°F).</summary>
    public double UsU => WattsPerSquareMetreKelvin * ThermalResistance.SiPerUsR;

    /// <summary>From U in Btu/(h·ft²·°F).</summary>
    public static ThermalTransmittance FromUsU(double u) => new(u / ThermalResistance.SiPerUsR);

    /// <summary>The resistance with this transmittance.</summary>
    public ThermalResistance ToResistance() => new(1 / WattsPerSquareMetreKelvin);

    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(WattsPerSquareMetreKelvin, Dimension.Transmittance);
}

/// <summary>Thermal conductivity of a material. Positive.</summary>
/// <param name="WattsPerMetreKelvin">W/(m·K).</param>
public readonly record struct ThermalConductivity(double WattsPerMetreKelvin)
{
    /// <summary>Resistance of a layer of this material.</summary>
    public ThermalResistance Over(Length thickness) => new(thickness.Metres / WattsPerMetreKelvin);

    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(WattsPerMetreKelvin, Dimension.Conductivity);
}
