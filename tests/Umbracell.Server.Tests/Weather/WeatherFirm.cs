using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.AspNetCore.TestHost;
using Microsoft.Extensions.DependencyInjection;
using Shouldly;
using Umbracell.Formats.DataFiles;
using Umbracell.Formats.Forecasts;
using Umbracell.Server.Forecasts;
using Umbracell.Store.Model;
using Xunit;

namespace Umbracell.Server.Tests.Weather;

/// <summary>Tests that ask one server for forecasts, one after the other: each sets its sources.</summary>
[CollectionDefinition(Name)]
public sealed class AskingTests : ICollectionFixture<AskingServer>
{
    public const string Name = "Asking for forecasts";
}

/// <summary>A server that asks for forecasts where a test says, and lets no source alone.</summary>
public sealed class AskingServer : IAsyncDisposable
{
    internal const string Sheet = "marl-cc-20",
        ColdGrade = "marl-cc-20f";

    private static readonly Dictionary<ForecastQuantity, string> Names = new()
    {
        [ForecastQuantity.Temperature] = "air-temperature",
        [ForecastQuantity.Humidity] = "relative-humidity",
        [ForecastQuantity.Wind] = "wind-speed",
        [ForecastQuantity.Gust] = "wind-gust",
        [ForecastQuantity.Cloud] = "cloud-cover",
        [ForecastQuantity.Precipitation] = "precipitation",
    };

    private readonly Product _product = new();
    private readonly Lazy<WebApplicationFactory<Program>> _server;
    private WeatherFirm? _firm;

    public AskingServer() =>
        _server = new(() => _product.WithWebHostBuilder(host => host.ConfigureTestServices(services => services.AddSingleton(Settings))));

    internal ForecastSettings Settings { get; } =
        new()
        {
            PatienceSeconds = 60,
            AttemptSeconds = 12,
            LetAloneSeconds = 0,
        };

    public IServiceProvider Services => _server.Value.Services;

    internal async Task<WeatherFirm> FirmAsync()
    {
        if (_firm is null)
        {
            var name = (await Product.NewFirmAsync(FirmRole.Owner))[0];
            await Product.InFirmOfAsync(
                name,
                async db =>
                {
                    db.Sheets.Add(new() { Slug = Sheet, Document = ShippedData.ProductSheets[Sheet] });
                    db.Sheets.Add(new() { Slug = ColdGrade, Document = ShippedData.ProductSheets[ColdGrade] });
                    await db.SaveChangesAsync();
                }
            );
            var client = _server.Value.CreateClient();
            await client.SendJsonAsync(
                HttpMethod.Post,
                "/api/session",
                new { signInName = name, password = Store.Seeding.DemoSeed.Password }
            );
            _firm = new(name, client);
        }

        return _firm;
    }

    public async ValueTask DisposeAsync()
    {
        await _server.Value.DisposeAsync();
        await _product.DisposeAsync();
    }

    internal static ForecastSource Source(string name, WebApplication standIn) =>
        new()
        {
            Name = name,
            Address = standIn.Urls.First() + "/forecasts",
            Collection = "ensemble",
            Attribution = $"Made up by {name}",
            Parameters = Names,
        };
}

/// <summary>A firm with jobs to put through hours.</summary>
internal sealed class WeatherFirm(string owner, HttpClient client)
{
    private static int _places;

    private readonly Dictionary<string, string> _jobs = [];

    public string Owner => owner;

    public HttpClient Client => client;

    public string JobOf(string surface) => _jobs[surface];

    public Task<JsonNode> HoursAsync(string surface) => Client.GetJsonAsync($"/api/surfaces/{surface}/hours");

    public async Task<string> SurfaceAsync(bool place = true, bool position = true, string? without = null)
    {
        // Each a field of the forecast's own, so that nothing is kept of it yet.
        var north = 43.9 + 0.01 * Interlocked.Increment(ref _places);
        (string, string)[] where = position
            ? [("latitude", $"{north:0.00}"), ("longitude", "-76.6"), ("timeZone", "America/New_York")]
            : [];
        var means = string.Join("; ", Enumerable.Repeat("10", 12));
        var (made, row) = await Client.SendJsonAsync(
            HttpMethod.Post,
            "/api/places",
            Asking.Typed(
                null,
                "metric",
                [
                    ("name", $"Alder Fen {north:0.00}"),
                    ("climateZone", "6A"),
                    ("altitude", "180 m"),
                    ("heating", "-18 C"),
                    ("cooling", "30 C"),
                    ("coolingRh", "50 %"),
                    ("temps", means),
                    ("humidities", string.Join("; ", Enumerable.Repeat("70", 12))),
                    .. where,
                ]
            )
        );
        made.ShouldBe(201, row.ToJsonString());
        return await SurfaceAtAsync($"Hall {north:0.00}", place ? row.Text("id") : null, without);
    }

    public async Task<string> SurfaceAtAsync(string name, string? place, string? without = null, string kind = "metalRoof")
    {
        (string, string)[] at = place is { } id ? [("place", id)] : [];
        var (_, job) = await Client.SendJsonAsync(
            HttpMethod.Post,
            "/api/jobs",
            Asking.Typed(null, "metric", [("name", name), ("climateZone", "6A"), .. at])
        );
        return await AddAsync(job.Text("id"), "Roof", kind, without);
    }

    /// <summary>A surface that has a window: somewhere there is one, whatever the time of the year.</summary>
    public async Task<(string Surface, JsonNode Hours)> WithWindowAsync(string name, string kind)
    {
        foreach (var place in ShippedData.Places.Values.Where(place => place.Latitude is not null).Select(place => place.Id))
        {
            var surface = await SurfaceAtAsync($"{name} at {place}", place, kind: kind);
            var hours = await HoursAsync(surface);
            if (hours["windows"]!.AsArray().Count > 0)
            {
                return (surface, hours);
            }

            hours["drums"].ShouldBeNull();
        }

        throw new InvalidOperationException("There is no window anywhere.");
    }

    public async Task EditAsync(string surface, string field, string text)
    {
        var row = (await Client.GetJsonAsync($"/api/jobs/{JobOf(surface)}/surfaces")).AsArray().Single(one => one!.Text("id") == surface)!;
        var (status, answer) = await Client.SendJsonAsync(
            HttpMethod.Patch,
            $"/api/surfaces/{surface}",
            Asking.Typed(row["version"]!.GetValue<uint>(), "metric", [(field, text)])
        );
        status.ShouldBe(200, answer.ToJsonString());
    }

    public async Task<string> AddAsync(string job, string name, string kind, string? without = null, string? facing = null)
    {
        (string Field, string Text)[] fields =
        [
            ("name", name),
            ("kind", kind),
            ("size", kind == "metalRoof" ? "6 m x 10 m x 4/12" : "6 m x 3 m"),
            ("sheet", AskingServer.Sheet),
            ("thickness", "50 mm"),
            ("facing", facing ?? ""),
        ];
        var (status, surface) = await Client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/jobs/{job}/surfaces",
            Asking.Typed(
                null,
                "metric",
                [.. fields.Where(f => f.Text.Length > 0 && f.Field != without && (without != "sheet" || f.Field != "thickness"))]
            )
        );
        status.ShouldBe(201, surface.ToJsonString());
        _jobs[surface.Text("id")] = job;
        return surface.Text("id");
    }
}
