namespace Umbracell.Core.Quantities;

/// <summary>A difference between two pressures of vapour: what drives it. May be negative.</summary>
public readonly record struct PressureDifference
{
    private PressureDifference(double pascals) =>
        Pascals = Quantity.Within("pressure difference", pascals, -Quantity.Greatest, Quantity.Greatest, Dimension.VapourPressure);

    /// <summary>Pa.</summary>
    public double Pascals { get; }

    /// <summary>From Pa.</summary>
    public static PressureDifference FromPascals(double pascals) => new(pascals);

    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(Pascals, Dimension.VapourPressure);
}

/// <summary>A pressure of air across an envelope, as a fan makes it and gauges show it: in Pa to every reader. May be negative.</summary>
public readonly record struct EnvelopePressure
{
    private EnvelopePressure(double pascals) =>
        Pascals = Quantity.Within("pressure across the envelope", pascals, -Quantity.Greatest, Quantity.Greatest, Dimension.AirPressure);

    /// <summary>Pa.</summary>
    public double Pascals { get; }

    /// <summary>From Pa.</summary>
    public static EnvelopePressure FromPascals(double pascals) => new(pascals);

    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(Pascals, Dimension.AirPressure);
}

/// <summary>The pressure of a load on what bears it, and what bears it before it gives; nought or more. No pressure of air.</summary>
public readonly record struct BearingPressure
{
    private BearingPressure(double pascals) =>
        Pascals = Quantity.Within("bearing pressure", pascals, 0, Quantity.Greatest, Dimension.BearingPressure);

    /// <summary>Pa.</summary>
    public double Pascals { get; }

    /// <summary>From Pa.</summary>
    public static BearingPressure FromPascals(double pascals) => new(pascals);

    /// <summary>From kPa, as sheets print it.</summary>
    public static BearingPressure FromKilopascals(double kilopascals) => new(kilopascals * 1000);

    /// <summary>More than.</summary>
    public static bool operator >(BearingPressure a, BearingPressure b) => a.Pascals > b.Pascals;

    /// <summary>Less than.</summary>
    public static bool operator <(BearingPressure a, BearingPressure b) => a.Pascals < b.Pascals;

    /// <summary>For display and workings.</summary>
    public Figure ToFigure() => new(Pascals, Dimension.BearingPressure);
}
