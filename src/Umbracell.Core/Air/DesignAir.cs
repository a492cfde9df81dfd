using Umbracell.Core.Quantities;

namespace Umbracell.Core.Air;

/// <summary>Air on both sides of an assembly at design, in winter or summer: taken from the hours of a place's weather year, or
/// typed.</summary>
/// <param name="Indoor">Room air temperature.</param>
/// <param name="IndoorHumidity">Room relative humidity.</param>
/// <param name="Outdoor">Outdoor design temperature.</param>
/// <param name="OutdoorHumidity">Outdoor relative humidity at design.</param>
public sealed record DesignAir(Temperature Indoor, RelativeHumidity IndoorHumidity, Temperature Outdoor, RelativeHumidity OutdoorHumidity)
{
    /// <summary>The same air with that outdoors brought to another temperature, its water kept: a vented or buffer space takes
    /// outdoor air and warms it. Humidity stays within 1 and 100 %.</summary>
    /// <param name="buffer">Temperature of the space.</param>
    /// <param name="pressure">Pressure at the place.</param>
    /// <exception cref="QuantityRangeException">Outside the psychrometric formulas.</exception>
    public DesignAir Beyond(Temperature buffer, Pressure pressure)
    {
        var outdoor = MoistAir.Of(Outdoor, OutdoorHumidity, pressure);
        var percent = 100 * outdoor.VapourPressure.Pascals / MoistAir.SaturationPressureOfWeather(buffer).Pascals;
        return this with { Outdoor = buffer, OutdoorHumidity = RelativeHumidity.FromPercent(Math.Clamp(percent, 1, 100)) };
    }
}
