extern alias StandIns;

using System.Globalization;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Builder;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using Shouldly;
using StandIns::Umbracell.StandIns;
using StandIns::Umbracell.StandIns.Weather;
using Umbracell.Server.Forecasts;
using Xunit;
using Trouble = StandIns::Umbracell.StandIns.Weather.ForecastTrouble;

namespace Umbracell.Server.Tests.Weather;

/// <summary>Forecasts asked of services that are up, down, late or broken, by way of the hours of a surface.</summary>
[Collection(AskingTests.Name)]
public sealed class ForecastTests(AskingServer asking) : IAsyncLifetime
{
    // Services of this test's own: what one test lets fail is no memory of the next.
    private readonly WebApplication _first = StandInProgram.Build(["--urls", "http://127.0.0.1:0"]);
    private readonly WebApplication _second = StandInProgram.Build(["--urls", "http://127.0.0.1:0"]);
    private WeatherFirm _firm = null!;

    public async ValueTask InitializeAsync()
    {
        await _first.StartAsync();
        await _second.StartAsync();
        _firm = await asking.FirmAsync();
        asking.Settings.Sources = [AskingServer.Source("First", _first), AskingServer.Source("Second", _second)];
    }

    public async ValueTask DisposeAsync()
    {
        await _first.DisposeAsync();
        await _second.DisposeAsync();
    }

    [Fact]
    public async Task A_forecast_is_asked_once_kept_and_told_with_where_it_comes_from()
    {
        var surface = await _firm.SurfaceAsync();
        var hours = await _firm.HoursAsync(surface);
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
        var again = await _firm.HoursAsync(surface);
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
        var hours = await _firm.HoursAsync(await _firm.SurfaceAsync());
        hours["source"]!.Text("name").ShouldBe("Second");
        var one = hours["troubles"]!.AsArray().ShouldHaveSingleItem()!;
        (one.Text("source"), one.Text("trouble")).ShouldBe(("First", told));
    }

    [Fact]
    public async Task Other_units_a_coverage_for_each_member_longer_steps_and_one_member_are_the_same_weather()
    {
        var plain = await _firm.HoursAsync(await _firm.SurfaceAsync());
        Of(_first).Trouble = Trouble.OtherUnits;
        Apart(await _firm.HoursAsync(await _firm.SurfaceAsync()), plain).ShouldBeLessThan(0.05);
        Of(_first).Trouble = Trouble.Collection;
        Apart(await _firm.HoursAsync(await _firm.SurfaceAsync()), plain).ShouldBeLessThan(0.05);
        Of(_first).Trouble = Trouble.ThreeHours;
        Apart(await _firm.HoursAsync(await _firm.SurfaceAsync()), plain).ShouldBeInRange(0.001, 2.5);
        Of(_first).Trouble = Trouble.OneMember;
        (await _firm.HoursAsync(await _firm.SurfaceAsync()))["source"]!["members"]!.GetValue<int>().ShouldBe(1);
    }

    [Fact]
    public async Task Hours_that_are_not_told_are_unknown_and_all_others_stand()
    {
        Of(_first).Trouble = Trouble.HoursMissing;
        var hours = (await _firm.HoursAsync(await _firm.SurfaceAsync()))["hours"]!.AsArray();
        var unknown = hours.Count(hour => hour!["verdict"] is null);
        unknown.ShouldBeInRange(18, 40);
        hours
            .Where(hour => hour!["verdict"] is null)
            .ShouldAllBe(hour => hour!["limit"]!.GetValue<string>() == "unknown" && hour["figures"]!.AsObject().Count == 0);
    }

    [Fact]
    public async Task With_nobody_to_ask_the_last_forecast_serves_and_without_one_a_usual_week()
    {
        var kept = await _firm.SurfaceAsync();
        await _firm.HoursAsync(kept);
        (Of(_first).Trouble, Of(_second).Trouble) = (Trouble.Down, Trouble.Down);
        await Product.InFirmOfAsync(
            _firm.Owner,
            async db =>
                await db.Forecasts.ExecuteUpdateAsync(set => set.SetProperty(row => row.AskedAt, DateTimeOffset.UtcNow.AddHours(-3)))
        );
        var older = await _firm.HoursAsync(kept);
        (older["source"]!.Text("name"), older["troubles"]!.AsArray().Count).ShouldBe(("First", 2));

        // Where none is kept, hours made from the months of the place stand for what is usual, and say so.
        var usual = await _firm.HoursAsync(await _firm.SurfaceAsync());
        (usual["lack"], usual["source"]!.Text("kind"), usual["troubles"]!.AsArray().Count).ShouldBe((null, "generatedYear", 2));
        usual["hours"]!.AsArray().ShouldAllBe(hour => hour!["verdict"] != null);
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
        var answer = await _firm.Client.PostAsync("/api/places/weather-file", content, stop);
        var read = JsonNode.Parse(await answer.Content.ReadAsStringAsync(stop))!;
        var surface = await _firm.SurfaceAtAsync("By the year", read["place"]!.Text("id"), kind: "studWall");
        var hours = await _firm.HoursAsync(surface);
        (hours["source"]!.Text("kind"), hours["source"]!["members"]!.GetValue<int>(), hours["source"]!["issuedAt"]).ShouldBe(
            ("usualYear", 21, null)
        );
        hours["troubles"]!.AsArray().Select(one => one!.Text("trouble")).ShouldBe(["notThere", "notThere"]);
        hours["hours"]!.AsArray().ShouldAllBe(hour => hour!["verdict"] != null);

        await MonthsAreOfWarmHoursAsync(surface);

        // Twenty days from first to last: two degrees, of which eight in ten members lie in some 1.7.
        var now = DateTimeOffset.UtcNow.DayOfYear;
        if (now is > 15 and < 340)
        {
            var first = hours["hours"]![0]!["figures"]!["air"]!.Number("amount");
            first.ShouldBe(0.1 * now, 0.6);
        }
    }

    // Each day is warmer than the one before it, so the months open up one after another, and cold holds the first.
    private async Task MonthsAreOfWarmHoursAsync(string surface)
    {
        var months = await _firm.Client.GetJsonAsync($"/api/surfaces/{surface}/months");
        (months["lack"], months.Text("source")).ShouldBe((null, "usualYear"));
        var open = months["months"]!.AsArray().Select(month => month!["open"]!.Number("amount")).ToList();
        open.Count.ShouldBe(12);
        open[0].ShouldBe(0);
        open[11].ShouldBe(100);
        open.Order().ShouldBe(open);
        months["months"]![0]!.Text("limit").ShouldBeOneOf("substrate", "air");
        months["months"]![11]!["limit"].ShouldBeNull();
    }

    [Fact]
    public async Task Who_comes_when_only_the_older_run_is_kept_yet_is_told_the_newest_all_the_same()
    {
        var surface = await _firm.SurfaceAsync();
        var newest = At((await _firm.HoursAsync(surface))["source"]!["issuedAt"]);
        await Product.InFirmOfAsync(_firm.Owner, db => db.Forecasts.Where(row => row.IssuedAt == newest).ExecuteDeleteAsync());
        At((await _firm.HoursAsync(surface))["source"]!["issuedAt"]).ShouldBe(newest);
    }

    [Fact]
    public async Task The_board_tells_the_windows_its_surfaces_tell()
    {
        var sprayed = await _firm.SurfaceAsync();
        var job = _firm.JobOf(sprayed);
        var bare = await _firm.AddAsync(job, "Bare", "metalRoof", without: "sheet");
        var board = await _firm.Client.GetJsonAsync($"/api/jobs/{job}/windows");
        var hours = await _firm.HoursAsync(sprayed);
        JsonNode.DeepEquals(board["source"], hours["source"]).ShouldBeTrue();
        board["surfaces"]!.AsArray().Select(one => one!.Text("surface")).ShouldBe([sprayed, bare]);
        JsonNode.DeepEquals(board["surfaces"]![0]!["next"], hours["windows"]!.AsArray().FirstOrDefault()).ShouldBeTrue();
        (board["surfaces"]![1]!.Text("lack"), board["surfaces"]![1]!["next"]).ShouldBe(("sheet", null));

        var nowhere = _firm.JobOf(await _firm.SurfaceAsync(place: false));
        var lost = await _firm.Client.GetJsonAsync($"/api/jobs/{nowhere}/windows");
        (lost["source"], lost["surfaces"]![0]!.Text("lack")).ShouldBe((null, "place"));
    }

    [Fact]
    public async Task The_coming_night_of_a_place_is_told_by_the_same_hours()
    {
        var night = await _firm.Client.GetJsonAsync("/api/places/brindle-quay/tonight");
        (night["lack"], night["source"]!.Text("kind"), night["source"]!["members"]!.GetValue<int>()).ShouldBe((null, "forecast", 21));
        var (from, until) = (At(night["from"]), At(night["until"]));
        until.ShouldBeGreaterThan(DateTimeOffset.UtcNow);
        (until - from).ShouldBeInRange(TimeSpan.FromMinutes(30), TimeSpan.FromHours(18));
        night["faces"]!.AsArray().Select(face => face!.Text("face")).ShouldBe(["metalRoof", "metalWall", "woodDeck", "masonryWall"]);
        foreach (var face in night["faces"]!.AsArray())
        {
            At(face!["at"]).ShouldBeInRange(from.AddHours(-1), until);
            var (low, high) = (face["figures"]!["low"]!.Number("amount"), face["figures"]!["high"]!.Number("amount"));
            face["figures"]!["least"]!.Number("amount").ShouldBeInRange(low, high);
            face["wet"]!.GetValue<int>().ShouldBeInRange(low >= 0 ? 0 : 1, high < 0 ? 21 : 20);
        }

        // Without sky at its back a wall is warmer than a roof of the same metal.
        var roof = night["faces"]![0]!["figures"]!["least"]!.Number("amount");
        night["faces"]![1]!["figures"]!["least"]!.Number("amount").ShouldBeGreaterThanOrEqualTo(roof);
        (await _firm.Client.GetAsync("/api/places/nowhere/tonight", TestContext.Current.CancellationToken)).StatusCode.ShouldBe(
            System.Net.HttpStatusCode.NotFound
        );
    }

    [Fact]
    public async Task Sources_are_told_in_their_order_with_what_is_wrong()
    {
        // Under names of their own: other tests are not to wait for these.
        asking.Settings.Sources = [AskingServer.Source("Third", _first), AskingServer.Source("Fourth", _second)];
        asking.Settings.LetAloneSeconds = 60;
        Of(_first).Trouble = Trouble.UnknownUnit;
        await _firm.HoursAsync(await _firm.SurfaceAsync());
        var sources = (await _firm.Client.GetJsonAsync("/api/forecast-sources")).AsArray();
        sources.Select(one => one!.Text("name")).ShouldBe(["Third", "Fourth"]);
        (sources[0]!.Text("trouble"), sources[1]!["trouble"]).ShouldBe(("unknownUnit", null));
        asking.Settings.LetAloneSeconds = 0;

        // Let alone, it is not asked: nothing new is found out about it.
        Of(_first).Trouble = Trouble.None;
        (await _firm.HoursAsync(await _firm.SurfaceAsync()))["source"]!.Text("name").ShouldBe("Fourth");
    }

    [Fact]
    public async Task What_is_missing_is_named()
    {
        (await _firm.HoursAsync(await _firm.SurfaceAsync(place: false))).Text("lack").ShouldBe("place");
        (await _firm.HoursAsync(await _firm.SurfaceAsync(position: false))).Text("lack").ShouldBe("position");
        (await _firm.HoursAsync(await _firm.SurfaceAsync(without: "sheet"))).Text("lack").ShouldBe("sheet");
        (await _firm.HoursAsync(await _firm.SurfaceAsync(without: "size"))).Text("lack").ShouldBe("size");
    }

    [Fact]
    public async Task Forecasts_older_than_thirty_days_are_dropped()
    {
        await _firm.HoursAsync(await _firm.SurfaceAsync());
        await Product.InFirmOfAsync(
            _firm.Owner,
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
        await Product.InFirmOfAsync(_firm.Owner, async db => firm.EnterFirm((await db.Forecasts.FirstAsync()).FirmId));
        (await scope.ServiceProvider.GetRequiredService<ForecastLibrary>().DropOldAsync(TestContext.Current.CancellationToken)).ShouldBe(1);
    }

    private static ForecastService Of(WebApplication standIn) => standIn.Services.GetRequiredService<ForecastService>();

    // Greatest difference of what the substrates of two answers are in the middle, K.
    private static double Apart(JsonNode one, JsonNode other) =>
        one["hours"]!.AsArray().Zip(other["hours"]!.AsArray()).Take(200).Max(pair => Math.Abs(Middle(pair.First!) - Middle(pair.Second!)));

    private static DateTimeOffset At(JsonNode? instant) => instant!.GetValue<DateTimeOffset>();

    private static double Middle(JsonNode hour) => hour["substrateC"]![1]!.GetValue<double>();
}
