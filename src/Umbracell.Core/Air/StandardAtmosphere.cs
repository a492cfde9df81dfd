using Umbracell.Core.Quantities;

namespace Umbracell.Core.Air;

/// <summary>Air pressure by altitude.</summary>
public static class StandardAtmosphere
{
    /// <summary>Least altitude at which the formula holds, m.</summary>
    public const double LowestMetres = -500;

    /// <summary>Pressure at sea level.</summary>
    public static readonly Pressure SeaLevel = Pressure.FromPascals(101_325);

    /// <summary>Greatest altitude at which the formula holds, m.</summary>
    public const double HighestMetres = 11_000;

    /// <summary>Standard barometric pressure (ASHRAE Handbook—Fundamentals, psychrometrics, equation 3).</summary>
    /// <param name="altitude">Above sea level, -500 to 11,000 m.</param>
    /// <exception cref="QuantityRangeException">Outside the range.</exception>
    public static Pressure PressureAt(Length altitude)
    {
        QuantityRangeException.Within(nameof(altitude), altitude.Metres, LowestMetres, HighestMetres, Dimension.Altitude);
        return Pressure.FromPascals(SeaLevel.Pascals * Math.Pow(1 - 2.25577e-5 * altitude.Metres, 5.2559));
    }
}
