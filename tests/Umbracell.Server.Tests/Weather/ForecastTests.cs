extern alias StandIns;

using System.Globalization;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.AspNetCore.TestHost;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using Shouldly;
using StandIns::Umbracell.StandIns;
using StandIns::Umbracell.StandIns.Weather;
using Umbracell.Formats.DataFiles;
using Umbracell.Formats.Forecasts;
using Umbracell.Server.Forecasts;
using Umbracell.Store.Model;
using Xunit;
using Trouble = StandIns::Umbracell.StandIns.Weather.ForecastTrouble;

namespace Umbracell.Server.Tests.Weather;

/// <summary>Forecasts asked of services that are up, down, late or broken, by way of the hours of a surface.</summary>
public sealed class ForecastTests(ForecastTests.Asking asking) : IClassFixture<ForecastTests.Asking>, IAsyncLifetime
{
    /// <summary>A server that asks where a test says, and lets nobody alone.</summary>
    public sealed class Asking : IAsyncDisposable
    {
        private readonly Product _product = new();
        private readonly Lazy<WebApplicationFactory<Program>> _server;
        private (string Name, HttpClient Client)? _owner;

        public Asking() =>
            _server = new(() =>
                _product.WithWebHostBuilder(host => host.ConfigureTestServices(services => services.AddSingleton(Settings)))
            );

        internal ForecastSettings Settings { get; } = new() { PatienceSeconds = 60, LetAloneSeconds = 0 };

        public IServiceProvider Services => _server.Value.Services;

        public async Task<(string Name, HttpClient Client)> OwnerAsync()
        {
            if (_owner is not { } owner)
            {
                var name = (await Product.NewFirmAsync(FirmRole.Owner))[0];
                await Product.InFirmOfAsync(
                    name,
                    async db =>
                    {
                        db.Sheets.Add(new() { Slug = Sheet, Document = ShippedData.ProductSheets[Sheet] });
                        await db.SaveChangesAsync();
                    }
                );
                var client = _server.Value.CreateClient();
                await client.SendJsonAsync(
                    HttpMethod.Post,
                    "/api/session",
                    new { signInName = name, password = Store.Seeding.DemoSeed.Password }
                );
                _owner = owner = (name, client);
            }

            return owner;
        }

        public async ValueTask DisposeAsync()
        {
            await _server.Value.DisposeAsync();
            await _product.DisposeAsync();
        }
    }

    private static readonly Dictionary<ForecastQuantity, string> Names = new()
    {
        [ForecastQuantity.Temperature] = "air-temperature",
        [ForecastQuantity.Humidity] = "relative-humidity",
        [ForecastQuantity.Wind] = "wind-speed",
        [ForecastQuantity.Gust] = "wind-gust",
        [ForecastQuantity.Cloud] = "cloud-cover",
        [ForecastQuantity.Precipitation] = "precipitation",
    };

    private const string Sheet = "marl-cc-20";

    private static int _places;

    // Services of this test's own: what one test lets fail is no memory of the next.
    private readonly WebApplication _first = StandInProgram.Build(["--urls", "http://127.0.0.1:0"]);
    private readonly WebApplication _second = StandInProgram.Build(["--urls", "http://127.0.0.1:0"]);
    private HttpClient _client = null!;
    private string _owner = "";

    public async ValueTask InitializeAsync()
    {
        await _first.StartAsync();
        await _second.StartAsync();
        (_owner, _client) = await asking.OwnerAsync();
        asking.Settings.Sources = [Source("First", _first), Source("Second", _second)];
    }

    public async ValueTask DisposeAsync()
    {
        await _first.DisposeAsync();
        await _second.DisposeAsync();
    }

    [Fact]
    public async Task A_forecast_is_asked_once_kept_and_told_with_where_it_comes_from()
    {
        var surface = await SurfaceAsync();
        var hours = await HoursAsync(surface);
        (hours["source"]!.Text("kind"), hours["source"]!.Text("name"), hours["source"]!.Text("credit")).ShouldBe(
            ("forecast", "First", "Made up by First")
        );
        hours["source"]!["members"]!.GetValue<int>().ShouldBe(21);
        hours["hours"]!.AsArray().Count.ShouldBeInRange(230, 241);
        hours["hours"]!.AsArray().ShouldAllBe(hour => hour!["verdict"] != null && hour["shortfall"]!.AsArray().Count == 3);

        // An hour is light when its middle lies between a sunrise and a sunset. These are told to some seconds: within a minute of
        // one, either is right.
        var suns = hours["days"]!.AsArray().Select(day => (Rise: At(day!["sunrise"]), Set: At(day["sunset"]))).ToList();
        var minute = TimeSpan.FromMinutes(1);
        foreach (var hour in hours["hours"]!.AsArray())
        {
            var middle = At(hour!["start"]).AddMinutes(30);
            if (!suns.Any(sun => (middle - sun.Rise).Duration() < minute || (middle - sun.Set).Duration() < minute))
            {
                hour["light"]!.GetValue<bool>().ShouldBe(suns.Any(sun => middle >= sun.Rise && middle <= sun.Set), $"{middle}");
            }
        }

        // With nobody left to ask it is the same.
        (Of(_first).Trouble, Of(_second).Trouble) = (Trouble.Down, Trouble.Down);
        var again = await HoursAsync(surface);
        again["troubles"]!.AsArray().ShouldBeEmpty();
        JsonNode.DeepEquals(again["hours"]![30], hours["hours"]![30]).ShouldBeTrue();
    }

    [Theory]
    [InlineData(Trouble.Down, "down")]
    [InlineData(Trouble.Slow, "late")]
    [InlineData(Trouble.CutShort, "cutShort")]
    [InlineData(Trouble.NoNumber, "cutShort")]
    [InlineData(Trouble.UnknownUnit, "unknownUnit")]
    [InlineData(Trouble.WrongUnit, "impossible")]
    [InlineData(Trouble.OldIssue, "old")]
    internal async Task Where_the_first_fails_it_says_why_and_the_second_is_asked(Trouble trouble, string told)
    {
        Of(_first).Trouble = trouble;
        var hours = await HoursAsync(await SurfaceAsync());
        hours["source"]!.Text("name").ShouldBe("Second");
        var one = hours["troubles"]!.AsArray().ShouldHaveSingleItem()!;
        (one.Text("source"), one.Text("trouble")).ShouldBe(("First", told));
    }

    [Fact]
    public async Task Other_units_a_coverage_for_each_member_longer_steps_and_one_member_are_the_same_weather()
    {
        var plain = await HoursAsync(await SurfaceAsync());
        Of(_first).Trouble = Trouble.OtherUnits;
        Apart(await HoursAsync(await SurfaceAsync()), plain).ShouldBeLessThan(0.05);
        Of(_first).Trouble = Trouble.Collection;
        Apart(await HoursAsync(await SurfaceAsync()), plain).ShouldBeLessThan(0.05);
        Of(_first).Trouble = Trouble.ThreeHours;
        Apart(await HoursAsync(await SurfaceAsync()), plain).ShouldBeInRange(0.001, 2.5);
        Of(_first).Trouble = Trouble.OneMember;
        (await HoursAsync(await SurfaceAsync()))["source"]!["members"]!.GetValue<int>().ShouldBe(1);
    }

    [Fact]
    public async Task Hours_that_are_not_told_are_unknown_and_all_others_stand()
    {
        Of(_first).Trouble = Trouble.HoursMissing;
        var hours = (await HoursAsync(await SurfaceAsync()))["hours"]!.AsArray();
        var unknown = hours.Count(hour => hour!["verdict"] is null);
        unknown.ShouldBeInRange(18, 40);
        hours
            .Where(hour => hour!["verdict"] is null)
            .ShouldAllBe(hour => hour!["limit"]!.GetValue<string>() == "unknown" && hour["figures"]!.AsObject().Count == 0);
    }

    [Fact]
    public async Task With_nobody_to_ask_the_last_forecast_serves_and_without_one_a_sentence()
    {
        var kept = await SurfaceAsync();
        await HoursAsync(kept);
        (Of(_first).Trouble, Of(_second).Trouble) = (Trouble.Down, Trouble.Down);
        await Product.InFirmOfAsync(
            _owner,
            async db =>
                await db.Forecasts.ExecuteUpdateAsync(set => set.SetProperty(row => row.AskedAt, DateTimeOffset.UtcNow.AddHours(-3)))
        );
        var older = await HoursAsync(kept);
        (older["source"]!.Text("name"), older["troubles"]!.AsArray().Count).ShouldBe(("First", 2));

        var bare = await SurfaceAsync();
        var none = await HoursAsync(bare);
        (none.Text("lack"), none["hours"]!.AsArray().Count, none["troubles"]!.AsArray().Count).ShouldBe(("forecast", 0, 2));
    }

    [Fact]
    public async Task A_place_no_service_knows_goes_by_its_hourly_year_with_the_days_around_today_for_members()
    {
        // Each day a degree warmer than the one before: a member is told by how far its day lies from today.
        var text = new StringBuilder("LOCATION,Alder Fen,-,-,made up,000000,10.0,20.0,0.0,180.0\n");
        text.Insert(text.Length, "COMMENTS,made up\n", 7);
        var at = new DateTime(2001, 1, 1, 0, 0, 0, DateTimeKind.Unspecified);
        for (var i = 0; i < 8760; i++, at = at.AddHours(1))
        {
            var celsius = 0.1 * at.DayOfYear;
            var rest = "0,0,0,0,0,0,0,0,0,0,180,1.0,10,10,20,77777,9,999999999,0,0,0,88,0.2,0,0";
            text.Append(CultureInfo.InvariantCulture, $"2001,{at.Month},{at.Day},{at.Hour + 1},60,A7,{celsius:0.0},0.0,40,99000,{rest}\n");
        }

        using var content = new ByteArrayContent(Encoding.ASCII.GetBytes(text.ToString()));
        content.Headers.ContentType = new("application/octet-stream");
        var stop = TestContext.Current.CancellationToken;
        var answer = await _client.PostAsync("/api/places/weather-file", content, stop);
        var read = JsonNode.Parse(await answer.Content.ReadAsStringAsync(stop))!;
        var hours = await HoursAsync(await SurfaceAtAsync("By the year", read["place"]!.Text("id"), kind: "studWall"));
        (hours["source"]!.Text("kind"), hours["source"]!["members"]!.GetValue<int>(), hours["source"]!["issuedAt"]).ShouldBe(
            ("usualYear", 21, null)
        );
        hours["troubles"]!.AsArray().Select(one => one!.Text("trouble")).ShouldBe(["notThere", "notThere"]);
        hours["hours"]!.AsArray().ShouldAllBe(hour => hour!["verdict"] != null);

        // Twenty days from first to last: two degrees, of which eight in ten members lie in some 1.7.
        var now = DateTimeOffset.UtcNow.DayOfYear;
        if (now is > 15 and < 340)
        {
            var first = hours["hours"]![0]!["figures"]!["air"]!.Number("amount");
            first.ShouldBe(0.1 * now, 0.6);
        }
    }

    [Fact]
    public async Task Sources_are_told_in_their_order_with_what_is_wrong()
    {
        // Under names of their own: other tests are not to wait for these.
        asking.Settings.Sources = [Source("Third", _first), Source("Fourth", _second)];
        asking.Settings.LetAloneSeconds = 60;
        Of(_first).Trouble = Trouble.UnknownUnit;
        await HoursAsync(await SurfaceAsync());
        var sources = (await _client.GetJsonAsync("/api/forecast-sources")).AsArray();
        sources.Select(one => one!.Text("name")).ShouldBe(["Third", "Fourth"]);
        (sources[0]!.Text("trouble"), sources[1]!["trouble"]).ShouldBe(("unknownUnit", null));
        asking.Settings.LetAloneSeconds = 0;

        // Let alone, it is not asked: nothing new is found out about it.
        Of(_first).Trouble = Trouble.None;
        (await HoursAsync(await SurfaceAsync()))["source"]!.Text("name").ShouldBe("Fourth");
    }

    [Fact]
    public async Task What_is_missing_is_named()
    {
        (await HoursAsync(await SurfaceAsync(place: false))).Text("lack").ShouldBe("place");
        (await HoursAsync(await SurfaceAsync(position: false))).Text("lack").ShouldBe("position");
        (await HoursAsync(await SurfaceAsync(without: "sheet"))).Text("lack").ShouldBe("sheet");
        (await HoursAsync(await SurfaceAsync(without: "size"))).Text("lack").ShouldBe("size");
    }

    [Fact]
    public async Task Forecasts_older_than_thirty_days_are_dropped()
    {
        await HoursAsync(await SurfaceAsync());
        await Product.InFirmOfAsync(
            _owner,
            async db =>
            {
                var old = await db.Forecasts.OrderBy(row => row.IssuedAt).FirstAsync();
                await db
                    .Forecasts.Where(row => row.Id == old.Id)
                    .ExecuteUpdateAsync(set => set.SetProperty(row => row.IssuedAt, DateTimeOffset.UtcNow.AddDays(-31)));
                var before = await db.Forecasts.CountAsync();
                var oldest = DateTimeOffset.UtcNow - ForecastLibrary.KeptFor;
                (await db.Forecasts.CountAsync(row => row.IssuedAt < oldest)).ShouldBe(1);
                before.ShouldBeGreaterThan(1);
            }
        );
        using var scope = asking.Services.CreateScope();
        var firm = scope.ServiceProvider.GetRequiredService<Store.Tenancy.FirmScope>();
        await Product.InFirmOfAsync(_owner, async db => firm.EnterFirm((await db.Forecasts.FirstAsync()).FirmId));
        (await scope.ServiceProvider.GetRequiredService<ForecastLibrary>().DropOldAsync(TestContext.Current.CancellationToken)).ShouldBe(1);
    }

    private static ForecastSource Source(string name, WebApplication standIn) =>
        new()
        {
            Name = name,
            Address = standIn.Urls.First() + "/forecasts",
            Collection = "ensemble",
            Attribution = $"Made up by {name}",
            Parameters = Names,
        };

    private static ForecastService Of(WebApplication standIn) => standIn.Services.GetRequiredService<ForecastService>();

    // Greatest difference of what the substrates of two answers are in the middle, K.
    private static double Apart(JsonNode one, JsonNode other) =>
        one["hours"]!.AsArray().Zip(other["hours"]!.AsArray()).Take(200).Max(pair => Math.Abs(Middle(pair.First!) - Middle(pair.Second!)));

    private static DateTimeOffset At(JsonNode? instant) => instant!.GetValue<DateTimeOffset>();

    private static double Middle(JsonNode hour) => hour["substrateC"]![1]!.GetValue<double>();

    private Task<JsonNode> HoursAsync(string surface) => _client.GetJsonAsync($"/api/surfaces/{surface}/hours");

    private async Task<string> SurfaceAsync(bool place = true, bool position = true, string? without = null)
    {
        // Each a field of the forecast's own, so that nothing is kept of it yet.
        var north = 43.9 + 0.01 * Interlocked.Increment(ref _places);
        (string, string)[] where = position
            ? [("latitude", $"{north:0.00}"), ("longitude", "-76.6"), ("timeZone", "America/New_York")]
            : [];
        var means = string.Join("; ", Enumerable.Repeat("10", 12));
        var (made, row) = await _client.SendJsonAsync(
            HttpMethod.Post,
            "/api/places",
            Tests.Asking.Typed(
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

    private async Task<string> SurfaceAtAsync(string name, string? place, string? without = null, string kind = "metalRoof")
    {
        (string, string)[] at = place is { } id ? [("place", id)] : [];
        var (_, job) = await _client.SendJsonAsync(
            HttpMethod.Post,
            "/api/jobs",
            Tests.Asking.Typed(null, "metric", [("name", name), ("climateZone", "6A"), .. at])
        );
        (string Field, string Text)[] fields =
        [
            ("name", "Roof"),
            ("kind", kind),
            ("size", kind == "metalRoof" ? "6 m x 10 m x 4/12" : "6 m x 3 m"),
            ("sheet", Sheet),
            ("thickness", "50 mm"),
        ];
        var (status, surface) = await _client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/jobs/{job.Text("id")}/surfaces",
            Tests.Asking.Typed(null, "metric", [.. fields.Where(f => f.Field != without && (without != "sheet" || f.Field != "thickness"))])
        );
        status.ShouldBe(201, surface.ToJsonString());
        return surface.Text("id");
    }
}
