using System.Globalization;
using System.Text.RegularExpressions;
using Umbracell.Server.Requests;

namespace Umbracell.StandIns.Weather;

/// <summary>The queries of OGC API EDR that forecasts are asked by, and a switch for what goes wrong.</summary>
internal static partial class ForecastEndpoints
{
    private const string Collection = "ensemble";

    private static readonly string[] Formats = ["CoverageJSON"],
        Grids = ["CRS84"];

    public static void MapForecasts(this IEndpointRouteBuilder app)
    {
        var edr = app.MapGroup("/forecasts").AddEndpointFilter(Troubled);
        edr.MapGet($"/collections/{Collection}", Described);
        edr.MapGet($"/collections/{Collection}/instances", Runs);
        edr.MapGet($"/collections/{Collection}/instances/{{run}}/position", Position);
        app.MapGet("/admin/forecasts", (ForecastService service) => new { trouble = service.Trouble.ToString() });
        app.MapPost(
            "/admin/forecasts/{trouble}",
            (ForecastTrouble trouble, ForecastService service) =>
            {
                service.Trouble = trouble;
                return Results.NoContent();
            }
        );
    }

    private static async ValueTask<object?> Troubled(EndpointFilterInvocationContext context, EndpointFilterDelegate next)
    {
        var trouble = context.HttpContext.RequestServices.GetRequiredService<ForecastService>().Trouble;
        if (trouble == ForecastTrouble.Slow)
        {
            await Task.Delay(TimeSpan.FromMinutes(1), context.HttpContext.RequestAborted);
        }

        return trouble == ForecastTrouble.Down ? Results.StatusCode(503) : await next(context);
    }

    private static IResult Described() =>
        Results.Json(
            new
            {
                id = Collection,
                title = "Made-up forecasts of the demo's places",
                output_formats = Formats,
                crs = Grids,
                data_queries = new { position = new { link = new { rel = "data" } } },
            }
        );

    private static IResult Runs(ForecastService service, ProductClock clock) =>
        Results.Json(
            new
            {
                instances = service
                    .Runs(clock.GetUtcNow())
                    .Select(run => new
                    {
                        id = ForecastService.IdOf(run),
                        extent = new
                        {
                            temporal = new { interval = new[] { new[] { Text(run), Text(run.AddHours(ForecastService.Ahead)) } } },
                        },
                    }),
            }
        );

    private static IResult Position(string run, string coords, string datetime, ForecastService service, ProductClock clock)
    {
        var span = datetime.Split('/');
        if (
            Point().Match(coords) is not { Success: true } point
            || span.Length != 2
            || Instant(span[0]) is not { } from
            || Instant(span[1]) is not { } to
        )
        {
            return Results.BadRequest();
        }

        return
            ForecastService.RunOf(run) is { } issued
            && issued <= clock.GetUtcNow()
            && service.At(Number(point.Groups[2]), Number(point.Groups[1])) is { } weather
            ? Results.Bytes(service.Coverage(weather, issued, from, to), "application/prs.coverage+json")
            : Results.NotFound();

        static double Number(Group text) => double.Parse(text.Value, CultureInfo.InvariantCulture);
    }

    private static DateTimeOffset? Instant(string text) =>
        DateTimeOffset.TryParse(text, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal, out var instant)
            ? instant.ToUniversalTime()
            : null;

    private static string Text(DateTimeOffset instant) => instant.ToString("yyyy-MM-dd'T'HH:mm:ss'Z'", CultureInfo.InvariantCulture);

    [GeneratedRegex(@"^POINT\s*\(\s*(-?[0-9.]+)\s+(-?[0-9.]+)\s*\)$")]
    private static partial Regex Point();
}
