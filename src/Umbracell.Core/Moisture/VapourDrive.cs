using Umbracell.Core.Air;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Moisture;

/// <summary>Which way vapour is driven.</summary>
public enum DriveDirection
{
    /// <summary>No difference worth naming.</summary>
    None,

    /// <summary>From the room outward.</summary>
    Outward,

    /// <summary>From outside into the room.</summary>
    Inward,
}

/// <summary>Vapour pressure on both sides of a surface and what it drives. Its own pressure decides, never the direction of heat.</summary>
/// <param name="Inside">Vapour pressure in the room.</param>
/// <param name="Outside">Vapour pressure on the other side.</param>
/// <param name="Working">How the difference came about.</param>
public sealed record VapourDrive(Pressure Inside, Pressure Outside, Working Working)
{
    /// <summary>Differences under this drive nothing that matters, Pa.</summary>
    private const double WorthNaming = 25;

    /// <summary>Inside less outside.</summary>
    public PressureDifference Outward => Inside - Outside;

    /// <summary>Direction.</summary>
    public DriveDirection Direction =>
        Math.Abs(Outward.Pascals) < WorthNaming ? DriveDirection.None
        : Outward.Pascals > 0 ? DriveDirection.Outward
        : DriveDirection.Inward;

    /// <summary>The drive between two airs.</summary>
    /// <exception cref="QuantityRangeException">Air outside the psychrometric formulas.</exception>
    public static VapourDrive Between(
        Temperature indoor,
        RelativeHumidity indoorHumidity,
        Temperature outdoor,
        RelativeHumidity outdoorHumidity
    )
    {
        var pressure = StandardAtmosphere.PressureAt(Length.Zero);
        var (inside, outside) = (MoistAir.Of(indoor, indoorHumidity, pressure), MoistAir.Of(outdoor, outdoorHumidity, pressure));
        return new(
            inside.VapourPressure,
            outside.VapourPressure,
            new(
                "drive",
                "Δp = p_in − p_out",
                [
                    new("p_in", "indoorVapour", inside.VapourPressure.ToFigure(), Of(inside)),
                    new("p_out", "outdoorVapour", outside.VapourPressure.ToFigure(), Of(outside)),
                ],
                (inside.VapourPressure - outside.VapourPressure).ToFigure(),
                Citations.VapourOfBothSides
            )
        );
    }

    private static Working Of(MoistAir air) =>
        new(
            "vapourPressure",
            "p = RH / 100 · p_ws(T)",
            [
                new("RH", "humidity", air.Humidity.ToFigure()),
                new("T", "airTemperature", air.Temperature.ToFigure()),
                new("p_ws(T)", "saturationPressure", air.SaturationPressure.ToFigure()),
            ],
            air.VapourPressure.ToFigure(),
            Citations.Psychrometrics
        );
}
