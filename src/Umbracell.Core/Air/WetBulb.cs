using Umbracell.Core.Quantities;

namespace Umbracell.Core.Air;

/// <summary>Thermodynamic wet bulb: the temperature at which water or ice evaporating into the air saturates it adiabatically.</summary>
/// <remarks>Equations (33) and (35) of the psychrometrics chapter of ASHRAE Handbook—Fundamentals.</remarks>
internal static class WetBulb
{
    /// <summary>Solves the balance by Newton steps kept inside a bracket.</summary>
    /// <param name="celsius">Dry bulb, °C.</param>
    /// <param name="humidityRatio">kg/kg.</param>
    /// <param name="pascals">Air pressure, Pa.</param>
    /// <param name="dewCelsius">Dew or frost point, °C: the wet bulb lies between it and the dry bulb, on either side.</param>
    public static double Of(double celsius, double humidityRatio, double pascals, double dewCelsius)
    {
        var (low, high) = (Math.Min(celsius, dewCelsius), Math.Max(celsius, dewCelsius));
        var overIce = high <= 0 || (low < 0 && humidityRatio < Balance(0, celsius, pascals, overIce: false).Ratio);
        if (overIce)
        {
            high = Math.Min(high, 0);
        }
        else
        {
            low = Math.Max(low, 0);
        }

        var guess = low + (high - low) * 0.6;
        for (var step = 0; step < 60; step++)
        {
            var (ratio, slope) = Balance(guess, celsius, pascals, overIce);
            var excess = ratio - humidityRatio;
            (low, high) = excess > 0 ? (low, guess) : (guess, high);
            var next = guess - excess / slope;
            if (!(next >= low && next <= high))
            {
                next = (low + high) / 2;
            }

            if (Math.Abs(next - guess) < 1e-6)
            {
                return next;
            }

            guess = next;
        }

        return guess;
    }

    /// <summary>Humidity ratio that air at t would have with its wet bulb at t*, and its slope over t*.</summary>
    private static (double Ratio, double Slope) Balance(double wet, double dry, double pascals, bool overIce)
    {
        var kelvin = wet + Temperature.IcePointKelvin;
        var saturation = Math.Exp(overIce ? Saturation.LnOverIce(kelvin) : Saturation.LnOverWater(kelvin));
        var partial = pascals - saturation;
        if (partial <= 0)
        {
            // Above the boiling point no air is left: certainly too warm, and the bracket halves.
            return (double.PositiveInfinity, 1);
        }

        var ws = MoistAir.MolarMassRatio * saturation / partial;
        var wsSlope = ws * pascals / partial * (overIce ? Saturation.SlopeOverIce(kelvin) : Saturation.SlopeOverWater(kelvin));
        var (evaporation, perWet, perWetUnder) = overIce ? (2830.0, -0.24, -2.1) : (2501.0, -2.326, -4.186);
        var over = (evaporation + perWet * wet) * ws - 1.006 * (dry - wet);
        var under = evaporation + 1.86 * dry + perWetUnder * wet;
        var overSlope = perWet * ws + (evaporation + perWet * wet) * wsSlope + 1.006;
        return (over / under, (overSlope - over / under * perWetUnder) / under);
    }
}
