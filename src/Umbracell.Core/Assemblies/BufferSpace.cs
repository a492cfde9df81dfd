using Umbracell.Core.Air;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>A space beside the rooms that is neither heated nor cooled.</summary>
public enum BufferKind
{
    /// <summary>Attic or loft.</summary>
    Attic,

    /// <summary>Crawl space.</summary>
    Crawl,

    /// <summary>Basement.</summary>
    Basement,
}

/// <summary>What decides the temperature of a buffer space.</summary>
/// <param name="ToRooms">Conductance to the rooms, W/K, 0 or more.</param>
/// <param name="ToOutside">Conductance to outdoors, W/K, 0 or more.</param>
/// <param name="Volume">Air volume, m³, 0 or more.</param>
/// <param name="AirChanges">Air changes with outdoors an hour, 0 to 100.</param>
/// <param name="DuctLoss">Heat that ducts lose into it, W; negative where cold ducts take heat out.</param>
public sealed record BufferCase(double ToRooms, double ToOutside, double Volume, double AirChanges, double DuctLoss);

/// <summary>The temperature at which a buffer space floats: what flows in flows out.</summary>
/// <param name="Temperature">Its air.</param>
/// <param name="FromRooms">Heat from the rooms into it, W; negative where it flows back.</param>
/// <param name="ToOutdoors">Heat from it to outdoors by conduction and air change, W.</param>
/// <param name="Working">How it came about.</param>
public sealed record BufferSpace(Temperature Temperature, double FromRooms, double ToOutdoors, Working Working)
{
    /// <summary>Heat capacity of air, J/(kg·K).</summary>
    private const double AirHeatCapacity = 1006;

    /// <summary>The floating temperature.</summary>
    /// <param name="space">The space.</param>
    /// <param name="indoor">Room air, -40 to 60 °C.</param>
    /// <param name="outdoor">Outdoor air, -40 to 60 °C.</param>
    /// <param name="pressure">Air pressure.</param>
    /// <exception cref="QuantityRangeException">An input out of range, or nothing that joins the space to anything.</exception>
    public static BufferSpace Of(BufferCase space, Temperature indoor, Temperature outdoor, Pressure pressure)
    {
        QuantityRangeException.Within("indoor temperature", indoor.Celsius, -40, 60, Dimension.Temperature);
        QuantityRangeException.Within("outdoor temperature", outdoor.Celsius, -40, 60, Dimension.Temperature);
        QuantityRangeException.Within("conductance to rooms", space.ToRooms, 0, 1e6, Dimension.HeatLoss);
        QuantityRangeException.Within("conductance to outdoors", space.ToOutside, 0, 1e6, Dimension.HeatLoss);
        QuantityRangeException.Within("volume", space.Volume, 0, 1e6, Dimension.RoomVolume);
        QuantityRangeException.Within("air changes", space.AirChanges, 0, 100, Dimension.AirChanges);
        QuantityRangeException.Within("duct loss", space.DuctLoss, -1e5, 1e5, Dimension.Power);
        var air = MoistAir.DryDensity(outdoor, pressure) * AirHeatCapacity * space.AirChanges * space.Volume / 3600;
        var sum = QuantityRangeException.Within("conductance in all", space.ToRooms + space.ToOutside + air, 1e-6, 4e6, Dimension.HeatLoss);
        var celsius = (space.ToRooms * indoor.Celsius + (space.ToOutside + air) * outdoor.Celsius + space.DuctLoss) / sum;
        return new(
            Temperature.FromCelsius(celsius),
            space.ToRooms * (indoor.Celsius - celsius),
            (space.ToOutside + air) * (celsius - outdoor.Celsius),
            new(
                "bufferTemperature",
                "T = (H_rooms · T_in + (H_out + H_air) · T_out + Q_ducts) / (H_rooms + H_out + H_air)",
                [
                    new("H_rooms", "heatToRooms", Loss(space.ToRooms)),
                    new("H_out", "heatToOutside", Loss(space.ToOutside)),
                    new("H_air", "heatByAir", Loss(air)),
                    new("T_in", "indoorTemperature", indoor.ToFigure()),
                    new("T_out", "outdoorTemperature", outdoor.ToFigure()),
                    new("Q_ducts", "ductLoss", new(space.DuctLoss, Dimension.Power)),
                ],
                new(celsius, Dimension.Temperature),
                Citations.BufferBalance
            )
        );
    }

    private static Figure Loss(double wattsPerKelvin) => new(wattsPerKelvin, Dimension.HeatLoss);
}
