using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Air;

/// <summary>Pressure across an envelope from the weight of warm and cold air alone, no wind.</summary>
/// <param name="AtTop">At the top; positive where room air is pushed out.</param>
/// <param name="AtFoot">At the foot; negative where outdoor air is drawn in.</param>
/// <param name="NeutralPlane">Height at which it is nothing.</param>
/// <param name="Working">How the pressure at the top came about.</param>
public sealed record StackPressure(double AtTop, double AtFoot, Length NeutralPlane, Working Working)
{
    /// <summary>Gravity over the gas constant of dry air, K/m (ASHRAE Fundamentals, infiltration chapter: 0.0342).</summary>
    private const double KelvinsPerMetre = 9.80665 / 287.042;

    /// <summary>The pressure by height and temperature difference.</summary>
    /// <param name="height">Height of the building, 0.5 to 200 m.</param>
    /// <param name="indoor">Room air, -40 to 60 °C.</param>
    /// <param name="outdoor">Outdoor air, -40 to 60 °C.</param>
    /// <param name="pressure">Air pressure.</param>
    /// <param name="neutralShare">Height of the neutral plane as a share of the whole, 0 to 1; half where leaks are spread evenly.</param>
    /// <exception cref="QuantityRangeException">An input out of its range.</exception>
    public static StackPressure Of(Length height, Temperature indoor, Temperature outdoor, Pressure pressure, double neutralShare = 0.5)
    {
        QuantityRangeException.Within("height", height.Metres, 0.5, 200, Dimension.Span);
        QuantityRangeException.Within("indoor temperature", indoor.Celsius, -40, 60, Dimension.Temperature);
        QuantityRangeException.Within("outdoor temperature", outdoor.Celsius, -40, 60, Dimension.Temperature);
        QuantityRangeException.Within("neutral plane", neutralShare * 100, 0, 100, Dimension.Percent);
        var perMetre = KelvinsPerMetre * pressure.Pascals * (1 / outdoor.Kelvin - 1 / indoor.Kelvin);
        var neutral = height * neutralShare;
        var top = perMetre * (height - neutral).Metres;
        return new(
            top,
            -perMetre * neutral.Metres,
            neutral,
            new(
                "stackPressure",
                "Δp = 0.03416 · p · (1/T_out − 1/T_in) · (h − h_n)",
                [
                    new("p", "airPressure", new(pressure.Pascals, Dimension.AirPressure)),
                    new("T_out", "outdoorKelvin", Figure.Number(outdoor.Kelvin)),
                    new("T_in", "indoorKelvin", Figure.Number(indoor.Kelvin)),
                    new("h − h_n", "heightAboveNeutral", Figure.Number((height - neutral).Metres)),
                ],
                new(top, Dimension.AirPressure),
                Citations.AirColumns
            )
        );
    }
}
