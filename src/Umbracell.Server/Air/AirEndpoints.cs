using System.ComponentModel.DataAnnotations;
using Microsoft.AspNetCore.Http.HttpResults;
using Umbracell.Core.Air;
using Umbracell.Core.Quantities;

namespace Umbracell.Server.Air;

/// <summary>State of moist air, SI.</summary>
/// <param name="DewPointC">Dew point; the frost point below 0 °C.</param>
/// <param name="WetBulbC">Thermodynamic wet bulb.</param>
/// <param name="HumidityRatio">kg of water per kg of dry air.</param>
/// <param name="VapourPressurePa">Partial pressure of the vapour.</param>
/// <param name="SaturationPressurePa">Saturation pressure at the air temperature over the chosen reference.</param>
/// <param name="PressurePa">Air pressure at the altitude.</param>
public sealed record AirAnswer(
    double DewPointC,
    double WetBulbC,
    double HumidityRatio,
    double VapourPressurePa,
    double SaturationPressurePa,
    double PressurePa
);

internal static class AirEndpoints
{
    public static void MapAir(this IEndpointRouteBuilder app) =>
        app.MapGet("/api/compute/air", Compute)
            .WithTags("Compute")
            .WithSummary("State of moist air at a temperature, humidity and altitude.")
            .RequireAuthorization();

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
            new AirAnswer(
                air.DewPoint.Celsius,
                air.WetBulb.Celsius,
                air.HumidityRatio,
                air.VapourPressure.Pascals,
                air.SaturationPressure.Pascals,
                air.Pressure.Pascals
            )
        );
    }
}
