using Umbracell.Core.Quantities;

namespace Umbracell.Core.Air;

/// <summary>Saturation pressure of water over ice and over liquid water, and its inverse.</summary>
/// <remarks>Formulas (5) and (6) of the psychrometrics chapter of ASHRAE Handbook—Fundamentals (Hyland and Wexler).</remarks>
internal static class Saturation
{
    /// <summary>Coldest temperature of the ice branch, °C.</summary>
    public const double ColdestIce = -100;

    /// <summary>Coldest temperature at which the water branch holds for supercooled water, °C.</summary>
    public const double ColdestWater = -40;

    /// <summary>Hottest temperature of the water branch, °C.</summary>
    public const double Hottest = 200;

    private static readonly double LnIceAtZero = LnOverIce(Temperature.IcePointKelvin);
    private static readonly double LnWaterAtZero = LnOverWater(Temperature.IcePointKelvin);

    /// <summary>ln of the saturation pressure in Pa over ice at T in K.</summary>
    public static double LnOverIce(double kelvin)
    {
        const double C1 = -5.6745359e3,
            C2 = 6.3925247,
            C3 = -9.677843e-3,
            C4 = 6.2215701e-7,
            C5 = 2.0747825e-9,
            C6 = -9.484024e-13,
            C7 = 4.1635019;
        return C1 / kelvin + C2 + kelvin * (C3 + kelvin * (C4 + kelvin * (C5 + kelvin * C6))) + C7 * Math.Log(kelvin);
    }

    /// <summary>ln of the saturation pressure in Pa over liquid water, supercooled below 0 °C, at T in K.</summary>
    public static double LnOverWater(double kelvin)
    {
        const double C8 = -5.8002206e3,
            C9 = 1.3914993,
            C10 = -4.8640239e-2,
            C11 = 4.1764768e-5,
            C12 = -1.4452093e-8,
            C13 = 6.5459673;
        return C8 / kelvin + C9 + kelvin * (C10 + kelvin * (C11 + kelvin * C12)) + C13 * Math.Log(kelvin);
    }

    /// <summary>d ln p / dT over ice at T in K.</summary>
    public static double SlopeOverIce(double kelvin)
    {
        const double C1 = -5.6745359e3,
            C3 = -9.677843e-3,
            C4 = 6.2215701e-7,
            C5 = 2.0747825e-9,
            C6 = -9.484024e-13,
            C7 = 4.1635019;
        return -C1 / (kelvin * kelvin) + C3 + kelvin * (2 * C4 + kelvin * (3 * C5 + kelvin * 4 * C6)) + C7 / kelvin;
    }

    /// <summary>d ln p / dT over water at T in K.</summary>
    public static double SlopeOverWater(double kelvin)
    {
        const double C8 = -5.8002206e3,
            C10 = -4.8640239e-2,
            C11 = 4.1764768e-5,
            C12 = -1.4452093e-8,
            C13 = 6.5459673;
        return -C8 / (kelvin * kelvin) + C10 + kelvin * (2 * C11 + kelvin * 3 * C12) + C13 / kelvin;
    }

    /// <summary>Whether a humidity at this temperature is counted over ice.</summary>
    public static bool IsOverIce(double celsius, HumidityReference over) => celsius < 0 && over == HumidityReference.Ice;

    /// <summary>Temperature in °C of the surface on which water of this vapour pressure would first form: ice below 0 °C, water
    /// above.</summary>
    /// <param name="lnPressure">ln of the vapour pressure in Pa.</param>
    /// <returns>Dew or frost point, °C, to 1e-6 K. The small step between the branches at 0 °C maps to 0 °C.</returns>
    public static double DewPoint(double lnPressure)
    {
        var overIce = lnPressure < LnIceAtZero;
        if (!overIce && lnPressure <= LnWaterAtZero)
        {
            return 0;
        }

        var kelvin = FirstGuess(lnPressure, overIce);
        for (var step = 0; step < 12; step++)
        {
            var change = overIce
                ? (lnPressure - LnOverIce(kelvin)) / SlopeOverIce(kelvin)
                : (lnPressure - LnOverWater(kelvin)) / SlopeOverWater(kelvin);
            kelvin += change;
            if (Math.Abs(change) < 1e-6)
            {
                break;
            }
        }

        return kelvin - Temperature.IcePointKelvin;
    }

    // Magnus form with the coefficients of WMO No. 8: within 0.3 K near freezing, so that two or three Newton steps do.
    private static double FirstGuess(double lnPressure, bool overIce)
    {
        var x = lnPressure - 6.4159;
        return Temperature.IcePointKelvin + (overIce ? 272.62 * x / (22.46 - x) : 243.12 * x / (17.62 - x));
    }
}
