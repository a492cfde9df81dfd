using System.Globalization;
using System.Text;
using System.Text.Json.Nodes;
using Shouldly;
using Xunit;

namespace Umbracell.Server.Tests.Weather;

/// <summary>What is read at the site bears on the hours ahead.</summary>
[Collection(AskingTests.Name)]
public sealed class SiteReadingTests(AskingServer asking) : AskingOneTests(asking)
{
    [Fact]
    public async Task Air_read_outdoors_corrects_every_hour_of_the_job_until_that_is_switched_off()
    {
        var surface = await Firm.SurfaceAsync();
        var told = await OutdoorsAsync(surface);
        var before = await Firm.HoursAsync(surface);
        before["correction"].ShouldBeNull();

        // Eight kelvin over what is told, and dry: a quarter of it counts.
        await ReadAsync(surface, ("outdoorAir", $"{told + 8:0.00} C"), ("outdoorHumidity", "40 %"));
        var after = await Firm.HoursAsync(surface);
        var correction = after["correction"]!;
        (correction["on"]!.GetValue<bool>(), correction["hours"]!.GetValue<int>()).ShouldBe((true, 1));
        correction["air"]!.Number("amount").ShouldBe(2, 0.15);
        Off(after, before).Average().ShouldBeInRange(1, 3);

        // Whoever switches it off has the hours as they were, and is still told what it would do.
        await SetAsync(surface, "no");
        var plain = await Firm.HoursAsync(surface);
        Off(plain, before).ShouldAllBe(kelvins => kelvins == 0);
        (plain["correction"]!["on"]!.GetValue<bool>(), plain["correction"]!["hours"]!.GetValue<int>()).ShouldBe((false, 1));
        await SetAsync(surface, "yes");
        Off(await Firm.HoursAsync(surface), after).ShouldAllBe(kelvins => kelvins == 0);

        // What was read stands on the page of every surface of the job.
        var other = await Firm.AddAsync(Firm.JobOf(surface), "Other", "metalRoof");
        var page = await Firm.Client.GetJsonAsync($"/api/surfaces/{other}/window");
        page["readings"]!.AsArray().Select(one => one!.Text("kind")).ShouldBe(["outdoorTemperature", "outdoorHumidity"]);
    }

    [Fact]
    public async Task A_logger_that_hung_outdoors_corrects_and_one_that_hung_in_the_attic_does_not()
    {
        var surface = await Firm.SurfaceAsync();
        await Firm.HoursAsync(surface);
        var told = await OutdoorsAsync(surface);
        var now = DateTime.UtcNow;
        var lines = Enumerable
            .Range(0, 6)
            .Select(i => string.Create(CultureInfo.InvariantCulture, $"{now.AddHours(-i):yyyy-MM-dd HH:mm},{told + 30:0.0},50"));
        var log = Encoding.UTF8.GetBytes("time,temp,rh\n" + string.Join("\n", lines.Reverse()));
        var job = Firm.JobOf(surface);
        (await Firm.Client.UploadAsync($"/api/jobs/{job}/logs?name=Attic&offsetMinutes=0", log)).Status.ShouldBe(200);
        (await Firm.HoursAsync(surface))["correction"].ShouldBeNull();
        (await Firm.Client.UploadAsync($"/api/jobs/{job}/logs?name=Fence&offsetMinutes=0&outdoors=true", log)).Status.ShouldBe(200);
        var correction = (await Firm.HoursAsync(surface))["correction"]!;
        correction["hours"]!.GetValue<int>().ShouldBeGreaterThan(0);

        // However far off: four kelvin is the most.
        correction["air"]!.Number("amount").ShouldBe(4);
    }

    [Fact]
    public async Task A_face_that_looks_south_is_warmed_by_the_sun_and_one_of_which_nobody_said_it_is_taken_to_look_north()
    {
        var job = Firm.JobOf(await Firm.SurfaceAsync());
        var unsaid = await Firm.AddAsync(job, "Unsaid", "metalWall");
        var north = await Firm.AddAsync(job, "North", "metalWall", facing: "north");
        var south = await Firm.AddAsync(job, "South", "metalWall", facing: "South");
        var (told, cold, warm) = (await Firm.HoursAsync(unsaid), await Firm.HoursAsync(north), await Firm.HoursAsync(south));
        Assumed(told).ShouldContain("facing");
        Assumed(cold).ShouldNotContain("facing");
        Off(told, cold).ShouldAllBe(kelvins => kelvins == 0);
        var warmer = warm["hours"]!
            .AsArray()
            .Zip(cold["hours"]!.AsArray(), (one, other) => Middle(one!) - Middle(other!))
            .Take(230)
            .ToList();
        warmer.Average().ShouldBeGreaterThan(0.1);
        warmer.Max().ShouldBeGreaterThan(2);
    }

    [Fact]
    public async Task Wind_at_a_face_is_that_of_its_height_and_of_the_ground_around_it()
    {
        var face = await Firm.AddAsync(Firm.JobOf(await Firm.SurfaceAsync()), "Ridge", "lowSlopeRoof");
        var unsaid = await Firm.HoursAsync(face);
        Assumed(unsaid).ShouldBe(["wind", "height"]);
        await Firm.EditAsync(face, "shelter", "sheltered");
        await Firm.EditAsync(face, "faceHeight", "3 m");
        var same = await Firm.HoursAsync(face);
        Assumed(same).ShouldBeEmpty();
        Gusts(same).ShouldBe(Gusts(unsaid));
        await Firm.EditAsync(face, "shelter", "open");
        await Firm.EditAsync(face, "faceHeight", "10 m");

        // Ten metres over open ground is where services tell it; sheltered, three metres high, 0.55 of it is left.
        var open = Gusts(await Firm.HoursAsync(face));
        (Gusts(unsaid).Sum() / open.Sum()).ShouldBe(Math.Pow(27, 0.14) * Math.Pow(3 / 370.0, 0.22), 0.01);

        static double[] Gusts(JsonNode hours) =>
            [.. hours["hours"]!.AsArray().Take(200).Select(hour => hour!["figures"]!["gust"]!.Number("amount"))];
    }

    [Fact]
    public async Task What_was_read_outdoors_and_whether_it_corrects_travels_in_the_job_file()
    {
        var surface = await Firm.SurfaceAsync();
        var job = Firm.JobOf(surface);
        await ReadAsync(surface, ("outdoorAir", "3 C"), ("outdoorHumidity", "70 %"));
        await SetAsync(surface, "no");
        var log = Encoding.UTF8.GetBytes("time,temp,rh\n2026-11-20 08:00,1,80\n2026-11-20 09:00,2,78\n2026-11-20 10:00,3,75\n");
        (await Firm.Client.UploadAsync($"/api/jobs/{job}/logs?name=Fence&offsetMinutes=0&outdoors=true", log)).Status.ShouldBe(200);
        var file = await Firm.Client.GetByteArrayAsync($"/api/jobs/{job}/file", TestContext.Current.CancellationToken);
        var (status, brought) = await Firm.Client.UploadAsync("/api/jobs/file", file);
        status.ShouldBe(201, brought.ToJsonString());
        var copy = brought.Text("id");
        var board = await Firm.Client.GetJsonAsync($"/api/jobs/{copy}/board");
        var roof = board["rows"]![0]!.Text("id");
        var page = await Firm.Client.GetJsonAsync($"/api/surfaces/{roof}/window");
        page["readings"]!.AsArray().Select(one => one!.Text("kind")).ShouldBe(["outdoorTemperature", "outdoorHumidity"]);
        (await Firm.Client.GetJsonAsync($"/api/jobs/{copy}/logs"))[0]!["outdoors"]!.GetValue<bool>().ShouldBeTrue();
        (await Firm.HoursAsync(roof))["correction"]!["on"]!.GetValue<bool>().ShouldBeFalse();
    }

    private static IEnumerable<string> Assumed(JsonNode hours) => hours["assumed"]!.AsArray().Select(one => one!.GetValue<string>());

    [Fact]
    public async Task Drums_are_told_for_the_next_window_once_both_were_read()
    {
        var (surface, hours) = await Firm.WithWindowAsync("Drums", "studWall");
        hours["drums"]!.Text("state").ShouldBe("unread");
        await ReadAsync(surface, ("drumA", "22 C"), ("drumB", "22 C"));
        var drums = (await Firm.HoursAsync(surface))["drums"]!;
        drums.Text("state").ShouldBeOneOf("inside", "cold", "hot");
        var (a, b) = (drums["figures"]!["a"]!.Number("amount"), drums["figures"]!["b"]!.Number("amount"));
        var least = drums["figures"]!["least"]!.Number("amount");
        (drums.Text("state") == "cold").ShouldBe(Math.Min(a, b) < least);
        At(drums["start"]).ShouldBeGreaterThanOrEqualTo(At(hours["windows"]![0]!["from"]));
    }

    private static DateTimeOffset At(JsonNode? instant) => instant!.GetValue<DateTimeOffset>();

    [Fact]
    public async Task The_substrate_that_was_read_is_where_the_hours_begin()
    {
        var surface = await Firm.SurfaceAsync();
        var before = await Firm.HoursAsync(surface);
        before["substrateReadAt"].ShouldBeNull();
        await ReadAsync(surface, ("substrate", "25 C"));
        var after = await Firm.HoursAsync(surface);
        after["substrateReadAt"].ShouldNotBeNull();
        after["hours"]![0]!["substrateC"]!.AsArray().ShouldAllBe(member => Math.Abs(member!.GetValue<double>() - 25) < 0.01);
        Off(after, before).Skip(12).ShouldAllBe(kelvins => kelvins < 0.5);
    }

    [Fact]
    public async Task The_air_that_was_read_is_where_its_room_begins_and_other_rooms_do_not_know_it()
    {
        var surface = await Firm.SurfaceAsync();
        var other = await Firm.AddAsync(Firm.JobOf(surface), "Other", "metalRoof");
        var (before, apart) = (await Firm.HoursAsync(surface), await Firm.HoursAsync(other));
        before["roomReadAt"].ShouldBeNull();
        await ReadAsync(surface, ("air", "35 C"), ("humidity", "30 %"));
        var after = await Firm.HoursAsync(surface);
        after["roomReadAt"].ShouldNotBeNull();
        Off(after, before).First().ShouldBeGreaterThan(0.05);
        Off(after, before).Skip(24).ShouldAllBe(kelvins => kelvins < 0.5);
        Off(await Firm.HoursAsync(other), apart).ShouldAllBe(kelvins => kelvins == 0);
    }

    // How far two answers are apart in the hours that both tell.
    private static IEnumerable<double> Off(JsonNode one, JsonNode other)
    {
        var known = other["hours"]!.AsArray().ToDictionary(hour => hour!.Text("start"), hour => Middle(hour!));
        return one["hours"]!
            .AsArray()
            .Skip(1)
            .Take(60)
            .Where(hour => known.ContainsKey(hour!.Text("start")))
            .Select(hour => Math.Abs(Middle(hour!) - known[hour!.Text("start")]));
    }

    private static double Middle(JsonNode hour) => hour["substrateC"]![1]!.GetValue<double>();

    // The middle of what is told of the air of this hour, read off an open face.
    private async Task<double> OutdoorsAsync(string beside)
    {
        var open = await Firm.AddAsync(Firm.JobOf(beside), "Open", "lowSlopeRoof");
        return (await Firm.HoursAsync(open))["hours"]![0]!["figures"]!["air"]!.Number("amount");
    }

    private async Task ReadAsync(string surface, params (string Field, string Text)[] fields)
    {
        var (status, answer) = await Firm.Client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/surfaces/{surface}/readings",
            Asking.Typed(null, "metric", fields)
        );
        status.ShouldBe(200, answer.ToJsonString());
    }

    private async Task SetAsync(string surface, string corrects)
    {
        var (status, answer) = await Firm.Client.SendJsonAsync(
            HttpMethod.Patch,
            $"/api/jobs/{Firm.JobOf(surface)}",
            Asking.Typed(null, "metric", [("correctsForecast", corrects)])
        );
        status.ShouldBe(200, answer.ToJsonString());
    }
}
