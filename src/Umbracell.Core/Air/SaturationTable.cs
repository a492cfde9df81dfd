using Umbracell.Core.Quantities;

namespace Umbracell.Core.Air;

/// <summary>Saturation pressure over water (ice below -40 °C) read from a table, for solvers that ask for it hundreds of times a step. Within a millionth of the formulas.</summary>
internal static class SaturationTable
{
    // The formula over supercooled water is valid down to -40 °C; a fortieth of a kelvin keeps the error of a straight line between logarithms below 1e-7.
    private const double Coldest = -40, Warmest = 80, StepsPerKelvin = 40;

    private static readonly double[] Logarithms = [.. Enumerable.Range(0, (int)((Warmest - Coldest) * StepsPerKelvin) + 1)
        .Select(i => Math.Log(MoistAir.SaturationPressureAt(new(Coldest + i / StepsPerKelvin), HumidityReference.Water).Pascals))];

    /// <summary>Saturation pressure, Pa.</summary>
    /// <param name="celsius">Any temperature the formulas know; outside the table they answer themselves.</param>
    /// <exception cref="QuantityRangeException">A temperature outside the formulas.</exception>
    public static double At(double celsius)
    {
        var at = (celsius - Coldest) * StepsPerKelvin;
        if (!(at >= 0 && at < Logarithms.Length - 1))
        {
            return MoistAir.SaturationPressureOfWeather(new(celsius)).Pascals;
        }

        var below = (int)at;
        return Math.Exp(Logarithms[below] + (Logarithms[below + 1] - Logarithms[below]) * (at - below));
    }
}
