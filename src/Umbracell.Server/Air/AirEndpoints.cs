using System.ComponentModel.DataAnnotations;
using Microsoft.AspNetCore.Http.HttpResults;
using Umbracell.Core.Air;
using Umbracell.Core.Quantities;
using Umbracell.Server.Access;

namespace Umbracell.Server.Air;

/// <summary>State of moist air, SI.</summary>
public sealed record AirAnswer
{
    /// <summary>Dew point; the frost point below 0 °C.</summary>
    public required double DewPointC { get; init; }

    /// <summary>Thermodynamic wet bulb.</summary>
    public required double WetBulbC { get; init; }

    /// <summary>kg of water per kg of dry air.</summary>
    public required double HumidityRatio { get; init; }

    /// <summary>Partial pressure of the vapour.</summary>
    public required double VapourPressurePa { get; init; }

    /// <summary>Saturation pressure at the air temperature over the chosen reference.</summary>
    public required double SaturationPressurePa { get; init; }

    /// <summary>Air pressure at the altitude.</summary>
    public required double PressurePa { get; init; }
}

internal static class AirEndpoints
{
    public static void MapAir(this IEndpointRouteBuilder app) =>
        app.MapGet("/api/compute/air", Compute)
            .WithTags("Compute")
            .WithSummary("State of moist air at a temperature, humidity and altitude.")
            .Requires(Right.Look);

    private static Ok<AirAnswer> Compute(
        [Range(-100.0, 200.0)] double tempC,
        [Range(0.0, 100.0, MinimumIsExclusive = true)] double rhPct,
        [Range(StandardAtmosphere.LowestMetres, StandardAtmosphere.HighestMetres)] double altitudeM = 0,
        [AllowedValues("water", "ice", ErrorMessage = "The field rhOver must be water or ice.")] string rhOver = "water"
    )
    {
        var air = MoistAir.Of(
            Temperature.FromCelsius(tempC),
            RelativeHumidity.FromPercent(rhPct, rhOver == "ice" ? HumidityReference.Ice : HumidityReference.Water),
            StandardAtmosphere.PressureAt(Length.FromMetres(altitudeM))
        );
        return TypedResults.Ok(
            new AirAnswer
            {
                DewPointC = air.DewPoint.Celsius,
                WetBulbC = air.WetBulb.Celsius,
                HumidityRatio = air.HumidityRatio,
                VapourPressurePa = air.VapourPressure.Pascals,
                SaturationPressurePa = air.SaturationPressure.Pascals,
                PressurePa = air.Pressure.Pascals,
            }
        );
    }
}
