using Umbracell.Core.Air;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Conditions;

/// <summary>What a space heater burns, and where its exhaust goes.</summary>
public enum HeaterKind
{
    /// <summary>Electric.</summary>
    Electric,

    /// <summary>Indirect-fired: its exhaust goes outside.</summary>
    Indirect,

    /// <summary>Propane flame into the room.</summary>
    Propane,

    /// <summary>Natural gas flame into the room.</summary>
    NaturalGas,

    /// <summary>Kerosene or diesel flame into the room.</summary>
    Kerosene,
}

/// <summary>A space that is heated so that it can be sprayed.</summary>
public sealed record HeatedSpace
{
    /// <summary>Enclosed volume, m³, above zero.</summary>
    public required double Volume { get; init; }

    /// <summary>Conductance of its envelope, W/K, 0 or more.</summary>
    public required double Loss { get; init; }

    /// <summary>Changes with outdoor air an hour, above zero.</summary>
    public required double AirChanges { get; init; }

    /// <summary>Outdoor air.</summary>
    public required Temperature Outdoor { get; init; }

    /// <summary>Its humidity.</summary>
    public required RelativeHumidity OutdoorHumidity { get; init; }

    /// <summary>Air pressure.</summary>
    public required Pressure Pressure { get; init; }

    /// <summary>Of dry air, J/(kg·K).</summary>
    internal const double AirHeatCapacity = 1006;

    /// <summary>Heat the air that comes in takes up, W/K.</summary>
    internal double ByAir => AirFlow * AirHeatCapacity;

    /// <summary>Dry air that comes in, kg/s.</summary>
    internal double AirFlow => MoistAir.DryDensity(Outdoor, Pressure) * AirChanges * Volume / 3600;
}

/// <summary>The air a heater makes in a space, steady.</summary>
public sealed record SpaceHeating
{
    /// <summary>Heat, W.</summary>
    public required double Power { get; init; }

    /// <summary>Air temperature.</summary>
    public required Temperature Indoor { get; init; }

    /// <summary>Its relative humidity; 100 where the flame's water would condense.</summary>
    public required double Humidity { get; init; }

    /// <summary>Its dew point.</summary>
    public required Temperature DewPoint { get; init; }

    /// <summary>Water the flame puts into the room, kg/h.</summary>
    public required double WaterPerHour { get; init; }

    /// <summary>How the power or the temperature came about.</summary>
    public required Working Working { get; init; }

    /// <summary>J in a kilowatt-hour.</summary>
    public const double JoulesPerKilowattHour = 3.6e6;

    /// <summary>Water that a flame puts into the room for each kilowatt-hour of heat (lower heating value), kg.</summary>
    public static double WaterPerKilowattHour(HeaterKind kind) =>
        kind switch
        {
            HeaterKind.Propane => 0.127,
            HeaterKind.NaturalGas => 0.16,
            HeaterKind.Kerosene => 0.105,
            _ => 0,
        };

    /// <summary>The air that a power makes: <c>T_in = T_out + Q / (UA + ρ c n V / 3600)</c>, <c>W_in = W_out + m_w / (ρ n V /
    /// 3600)</c>.</summary>
    /// <param name="space">The space.</param>
    /// <param name="watts">Heat, 0 to 10 MW.</param>
    /// <param name="kind">What is burnt.</param>
    /// <exception cref="QuantityRangeException">An input out of range, or air warmer than the psychrometric formulas take.</exception>
    public static SpaceHeating By(HeatedSpace space, double watts, HeaterKind kind)
    {
        Check(space);
        QuantityRangeException.Within("heater power", watts, 0, 1e7, Dimension.Power);
        return Made(space, watts, kind, space.Outdoor.Celsius + watts / (space.Loss + space.ByAir));
    }

    /// <summary>The power that holds an air temperature.</summary>
    /// <param name="space">The space.</param>
    /// <param name="indoor">Air temperature wanted, at or above outdoors and to 60 °C.</param>
    /// <param name="kind">What is burnt.</param>
    /// <exception cref="QuantityRangeException">An input out of range.</exception>
    public static SpaceHeating To(HeatedSpace space, Temperature indoor, HeaterKind kind)
    {
        Check(space);
        QuantityRangeException.Within("indoor temperature", indoor.Celsius, space.Outdoor.Celsius, 60, Dimension.Temperature);
        return Made(space, (indoor.Celsius - space.Outdoor.Celsius) * (space.Loss + space.ByAir), kind, indoor.Celsius);
    }

    private static void Check(HeatedSpace space)
    {
        QuantityRangeException.Within("volume", space.Volume, 1, 1e6, Dimension.RoomVolume);
        QuantityRangeException.Within("conductance to outdoors", space.Loss, 0, 1e6, Dimension.HeatLoss);
        QuantityRangeException.Within("air changes", space.AirChanges, 0.05, 100, Dimension.AirChanges);
    }

    private static SpaceHeating Made(HeatedSpace space, double watts, HeaterKind kind, double celsius)
    {
        var water = WaterPerKilowattHour(kind) * watts * 3600 / JoulesPerKilowattHour;
        var outdoor = MoistAir.Of(space.Outdoor, space.OutdoorHumidity, space.Pressure);
        var outdoorRatio = outdoor.HumidityRatio;
        var ratio = outdoorRatio + water / 3600 / space.AirFlow;
        var vapour = Pressure.FromPascals(MoistAir.VapourOf(ratio, space.Pressure.Pascals));
        var indoor = Temperature.FromCelsius(celsius);
        var saturated = MoistAir.SaturationPressureAt(indoor, HumidityReference.Water);
        return new()
        {
            Power = watts,
            Indoor = indoor,
            Humidity = Math.Min(100, 100 * vapour.Pascals / saturated.Pascals),
            DewPoint = MoistAir.DewPointOf(vapour),
            WaterPerHour = water,
            Working = new(
                "heaterPower",
                "Q = (T_in − T_out) · (UA + H_air), H_air = ρ c n V / 3600",
                [
                    new("T_in", "indoorTemperature", indoor.ToFigure()),
                    new("T_out", "outdoorTemperature", space.Outdoor.ToFigure()),
                    new("UA", "heatToOutside", new(space.Loss, Dimension.HeatLoss)),
                    new("H_air", "heatByAir", new(space.ByAir, Dimension.HeatLoss)),
                    new("V", "heatedVolume", new(space.Volume, Dimension.RoomVolume)),
                    new("n", "airChanges", new(space.AirChanges, Dimension.AirChanges)),
                ],
                new(watts, Dimension.Power),
                Citations.SpaceBalance
            ),
        };
    }
}
