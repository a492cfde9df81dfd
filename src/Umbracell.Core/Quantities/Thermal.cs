namespace Umbracell.Core.Quantities;

/// <summary>Thermal resistance of a unit of area (R). Positive.</summary>
public readonly record struct ThermalResistance
{
    private ThermalResistance(double squareMetreKelvinsPerWatt) =>
        SquareMetreKelvinsPerWatt = Quantity.Within(
            "thermal resistance",
            squareMetreKelvinsPerWatt,
            0,
            Quantity.Greatest,
            Dimension.Resistance
        );

    /// <summary>m²·K/W.</summary>
    public double SquareMetreKelvinsPerWatt { get; }

    /// <summary>From m²·K/W.</summary>
    public static ThermalResistance FromSi(double si) => new(si);

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
    public ThermalTransmittance ToTransmittance() => ThermalTransmittance.FromSi(1 / SquareMetreKelvinsPerWatt);

    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(SquareMetreKelvinsPerWatt, Dimension.Resistance);
}

/// <summary>Thermal transmittance of a unit of area (U). Positive.</summary>
public readonly record struct ThermalTransmittance
{
    private ThermalTransmittance(double wattsPerSquareMetreKelvin) =>
        WattsPerSquareMetreKelvin = Quantity.Within(
            "thermal transmittance",
            wattsPerSquareMetreKelvin,
            0,
            Quantity.Greatest,
            Dimension.Transmittance
        );

    /// <summary>W/(m²·K).</summary>
    public double WattsPerSquareMetreKelvin { get; }

    /// <summary>From W/(m²·K).</summary>
    public static ThermalTransmittance FromSi(double si) => new(si);

    /// <summary>U in Btu/(h·ft²·°F).</summary>
    public double UsU => WattsPerSquareMetreKelvin * ThermalResistance.SiPerUsR;

    /// <summary>From U in Btu/(h·ft²·°F).</summary>
    public static ThermalTransmittance FromUsU(double u) => new(u / ThermalResistance.SiPerUsR);

    /// <summary>The resistance with this transmittance.</summary>
    public ThermalResistance ToResistance() => ThermalResistance.FromSi(1 / WattsPerSquareMetreKelvin);

    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(WattsPerSquareMetreKelvin, Dimension.Transmittance);
}

/// <summary>Thermal conductivity of a material. Positive.</summary>
public readonly record struct ThermalConductivity
{
    private readonly double _wattsPerMetreKelvin;

    private ThermalConductivity(double wattsPerMetreKelvin) =>
        _wattsPerMetreKelvin = Quantity.Within(
            "thermal conductivity",
            wattsPerMetreKelvin,
            double.Epsilon,
            Quantity.Greatest,
            Dimension.Conductivity
        );

    /// <summary>W/(m·K).</summary>
    /// <exception cref="InvalidOperationException">It was never given.</exception>
    public double WattsPerMetreKelvin => Quantity.Given("thermal conductivity", _wattsPerMetreKelvin);

    /// <summary>From W/(m·K).</summary>
    public static ThermalConductivity FromSi(double si) => new(si);

    /// <summary>Resistance of a layer of this material.</summary>
    public ThermalResistance Over(Length thickness) => ThermalResistance.FromSi(thickness.Metres / WattsPerMetreKelvin);

    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(WattsPerMetreKelvin, Dimension.Conductivity);
}
