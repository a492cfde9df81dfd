using Umbracell.Core.Conditions;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Weather;

/// <summary>A room that follows the weather.</summary>
public sealed record RoomCase
{
    /// <summary>Enclosed volume, 1 to 1e6 m³.</summary>
    public required double Volume { get; init; }

    /// <summary>Conductance of its envelope to outdoors, 0 to 1e6 W/K.</summary>
    public required double Loss { get; init; }

    /// <summary>Heat that air and faces take up, 1e3 to 1e12 J/K; see <see cref="FaceHeat.BuildingCapacityOf"/>.</summary>
    public required double Capacity { get; init; }

    /// <summary>Temperature it begins at; null for that of the first hour outdoors.</summary>
    public Temperature? Start { get; init; }

    /// <summary>What was last read in it; null where nothing was. From then on it follows the weather from there, and forgets as rooms
    /// do.</summary>
    public RoomReading? Read { get; init; }

    /// <exception cref="QuantityRangeException">A figure out of its range.</exception>
    internal RoomCase Checked()
    {
        QuantityRangeException.Within("volume", Volume, 1, 1e6, Dimension.RoomVolume);
        QuantityRangeException.Within("conductance to outdoors", Loss, 0, 1e6, Dimension.HeatLoss);
        QuantityRangeException.Within("heat capacity", Capacity, 1e3, 1e12, Dimension.HeatCapacity);
        return this;
    }
}

/// <summary>Air read in a room.</summary>
/// <param name="At">When.</param>
/// <param name="Temperature">Its temperature.</param>
/// <param name="Humidity">Its humidity over water; null where that was not read.</param>
public readonly record struct RoomReading(DateTimeOffset At, Temperature Temperature, RelativeHumidity? Humidity);

/// <summary>What is done to a room in an hour.</summary>
public readonly record struct RoomHourDrive
{
    /// <summary>Changes with outdoor air, 0.05 to 100 an hour.</summary>
    public required double AirChanges { get; init; }

    /// <summary>Heat there is, 0 to 1e7 W.</summary>
    public double Power { get; init; }

    /// <summary>Temperature at which the heaters hold; null where they run throughout.</summary>
    public Temperature? Thermostat { get; init; }

    /// <summary>What is burnt.</summary>
    public HeaterKind Kind { get; init; }

    /// <summary>Water that is taken out whatever the air is, 0 to 1000 kg/h.</summary>
    public double Dried { get; init; }

    /// <summary>Dehumidifiers that run; null for none. The heat they give is not counted: the room is taken no warmer for them.</summary>
    public Dehumidifier? Dehumidifier { get; init; }

    internal RoomHourDrive Checked()
    {
        QuantityRangeException.Within("air changes", AirChanges, 0.05, 100, Dimension.AirChanges);
        QuantityRangeException.Within("heater power", Power, 0, 1e7, Dimension.Power);
        QuantityRangeException.Within("water taken out", Dried, 0, 1000, Dimension.Mass);
        return this;
    }
}

/// <summary>A room at the end of an hour. What hangs on weather that is not known is null.</summary>
public readonly record struct RoomHour
{
    /// <summary>First instant of the hour.</summary>
    public required DateTimeOffset Start { get; init; }

    /// <summary>Air temperature.</summary>
    public required Temperature? Temperature { get; init; }

    /// <summary>Relative humidity over water.</summary>
    public required RelativeHumidity? Humidity { get; init; }

    /// <summary>Dew or frost point.</summary>
    public required Temperature? DewPoint { get; init; }

    /// <summary>Heat the heaters gave in the hour, J.</summary>
    public required double Heat { get; init; }

    /// <summary>Water their flames brought into the room in the hour, kg.</summary>
    public required double FlameWater { get; init; }
}
