using Umbracell.Core.Air;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Weather;

/// <summary>Water and frost that lie on a face, kg/m².</summary>
/// <param name="Water">Liquid.</param>
/// <param name="Frost">Frost or ice.</param>
internal readonly record struct FaceFilm(double Water, double Frost)
{
    public double Total => Water + Frost;

    /// <summary>Heat of vaporisation, of sublimation and of melting, J/kg.</summary>
    public const double Vaporising = 2.501e6,
        Subliming = 2.834e6,
        Melting = 0.334e6;

    /// <summary>What passes to a face in a second, kg/(m²·s), for each pascal: heat and vapour go the same way (Lewis).</summary>
    public static double PerPascal(double convection, double pascals) => 7e-9 * 101_325 / pascals * convection;

    /// <summary>Saturation pressure at a face, over ice below 0 °C, Pa.</summary>
    public static double Saturated(double celsius)
    {
        var kelvin = celsius + Temperature.IcePointKelvin;
        return Math.Exp(celsius < 0 ? Saturation.LnOverIce(kelvin) : Saturation.LnOverWater(kelvin));
    }

    /// <summary>d p / dT there, Pa/K.</summary>
    public static double Slope(double celsius, double saturated)
    {
        var kelvin = celsius + Temperature.IcePointKelvin;
        return saturated * (celsius < 0 ? Saturation.SlopeOverIce(kelvin) : Saturation.SlopeOverWater(kelvin));
    }

    public static double HeatOf(double celsius) => celsius < 0 ? Subliming : Vaporising;

    /// <summary>The film with what came of the air or went into it; what lies beyond the greatest runs off.</summary>
    /// <param name="passed">kg/m², above zero what came.</param>
    /// <param name="celsius">Temperature of the face.</param>
    /// <param name="greatest">Most that stays.</param>
    public FaceFilm Taking(double passed, double celsius, double greatest)
    {
        var (water, frost) = (Water, Frost);
        if (passed >= 0)
        {
            (water, frost) = celsius < 0 ? (water, frost + passed) : (water + passed, frost);
        }
        else
        {
            // The liquid goes first; where there is none, ice does.
            var ofWater = Math.Min(water, -passed);
            (water, frost) = (water - ofWater, Math.Max(0, frost + passed + ofWater));
        }

        var over = Math.Max(0, water + frost - greatest);
        var runs = Math.Min(over, water);
        return new(water - runs, frost - (over - runs));
    }

    /// <summary>The film after so much of it has melted, or frozen where it is below zero.</summary>
    public FaceFilm Melted(double kilograms) => new(Water + kilograms, Frost - kilograms);
}
