using System.Globalization;
using System.Net;
using System.Text.Json;
using Polly.CircuitBreaker;
using Polly.Timeout;
using Umbracell.Core.Weather;

namespace Umbracell.Server.Forecasts;

/// <summary>A run of a source.</summary>
/// <param name="Id">The source's name of it.</param>
/// <param name="IssuedAt">When it was issued.</param>
internal readonly record struct EdrRun(string Id, DateTimeOffset IssuedAt);

/// <summary>What a source has to offer.</summary>
/// <param name="Runs">Its runs, the newest first; at least one.</param>
/// <param name="Format">The format they are asked in.</param>
internal sealed record EdrOffer(IReadOnlyList<EdrRun> Runs, string Format);

/// <summary>Asks a source by OGC API EDR: which formats, which runs, then a run at a point.</summary>
internal sealed class EdrClient(HttpClient http)
{
    /// <summary>Name of its client, whose resilience is set up with it.</summary>
    public const string Client = "forecasts";

    private const int Ahead = 10 * 24;

    /// <summary>What a source has to offer: its runs, the newest first, and the format they are asked in.</summary>
    /// <exception cref="ForecastTroubleException">It cannot serve.</exception>
    public async Task<EdrOffer> OfferAsync(ForecastSource source, CancellationToken stop) =>
        new(await RunsAsync(source, stop), await FormatAsync(source, stop));

    /// <summary>A run at a point, from its issue to ten days ahead.</summary>
    /// <exception cref="ForecastTroubleException">It cannot serve.</exception>
    public Task<byte[]> RunAsync(ForecastSource source, GeoPoint point, EdrRun run, string format, CancellationToken stop)
    {
        var query = string.Join(
            '&',
            Pair("coords", string.Create(CultureInfo.InvariantCulture, $"POINT({point.Longitude:0.####} {point.Latitude:0.####})")),
            Pair("datetime", $"{Text(run.IssuedAt)}/{Text(run.IssuedAt.AddHours(Ahead))}"),
            Pair("parameter-name", string.Join(',', source.Parameters.Values)),
            Pair("f", format)
        );
        return AskAsync(source, $"instances/{Uri.EscapeDataString(run.Id)}/position?{query}", stop);
    }

    private async Task<List<EdrRun>> RunsAsync(ForecastSource source, CancellationToken stop)
    {
        using var document = Json(await AskAsync(source, "instances", stop));
        List<EdrRun> runs = [];
        if (document.RootElement.TryGetProperty("instances", out var instances) && instances.ValueKind == JsonValueKind.Array)
        {
            runs.AddRange(
                instances
                    .EnumerateArray()
                    .Select(one => (Id: one.GetProperty("id").GetString()!, At: Issue(one)))
                    .Where(one => one.At is not null)
                    .Select(one => new EdrRun(one.Id, one.At!.Value))
            );
        }

        return runs.Count == 0
            ? throw new ForecastTroubleException(ForecastTrouble.NotACoverage)
            : [.. runs.OrderByDescending(run => run.IssuedAt)];
    }

    // A run begins when it is issued; where it tells no extent, its id commonly is the instant.
    private static DateTimeOffset? Issue(JsonElement instance)
    {
        var text =
            instance.TryGetProperty("extent", out var extent)
            && extent.TryGetProperty("temporal", out var temporal)
            && temporal.TryGetProperty("interval", out var interval)
            && interval.ValueKind == JsonValueKind.Array
            && interval.GetArrayLength() > 0
            && interval[0].ValueKind == JsonValueKind.Array
                ? interval[0][0].GetString()
                : instance.GetProperty("id").GetString();
        return DateTimeOffset.TryParse(text, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal, out var at)
            ? at.ToUniversalTime()
            : null;
    }

    private async Task<string> FormatAsync(ForecastSource source, CancellationToken stop)
    {
        using var document = Json(await AskAsync(source, "", stop));
        var formats = document.RootElement.TryGetProperty("output_formats", out var told)
            ? told.EnumerateArray().Select(f => f.GetString())
            : [];
        return formats.FirstOrDefault(f => f?.Contains("coverage", StringComparison.OrdinalIgnoreCase) == true) ?? "CoverageJSON";
    }

    private async Task<byte[]> AskAsync(ForecastSource source, string what, CancellationToken stop)
    {
        var address =
            $"{source.Address.TrimEnd('/')}/collections/{Uri.EscapeDataString(source.Collection)}{(what.Length > 0 ? "/" : "")}{what}";
        try
        {
            using var answer = await http.GetAsync(new Uri(address), stop);
            return answer.IsSuccessStatusCode ? await answer.Content.ReadAsByteArrayAsync(stop)
                : answer.StatusCode is HttpStatusCode.NotFound or HttpStatusCode.BadRequest
                    ? throw new ForecastTroubleException(ForecastTrouble.NotThere)
                : throw new ForecastTroubleException(ForecastTrouble.Down, ((int)answer.StatusCode).ToString(CultureInfo.InvariantCulture));
        }
        catch (Exception e) when (e is HttpRequestException or BrokenCircuitException or IOException)
        {
            throw new ForecastTroubleException(ForecastTrouble.Down, "", e);
        }
        catch (Exception e) when (e is TimeoutRejectedException || (e is OperationCanceledException && !stop.IsCancellationRequested))
        {
            throw new ForecastTroubleException(ForecastTrouble.Late, "", e);
        }
    }

    private static JsonDocument Json(byte[] body)
    {
        try
        {
            return JsonDocument.Parse(body);
        }
        catch (JsonException e)
        {
            throw new ForecastTroubleException(ForecastTrouble.CutShort, "", e);
        }
    }

    private static string Pair(string name, string value) => $"{name}={Uri.EscapeDataString(value)}";

    private static string Text(DateTimeOffset at) => at.UtcDateTime.ToString("yyyy-MM-dd'T'HH:mm:ss'Z'", CultureInfo.InvariantCulture);
}
