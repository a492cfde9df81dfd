using System.Net;
using System.Text.Json.Nodes;
using Shouldly;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>The spray log: what happened is logged as it happened, once, and nothing of it is lost.</summary>
public sealed class SprayTests(Product product)
{
    [Fact]
    public async Task A_surface_is_sprayed_lift_by_lift_and_finished()
    {
        var wall = await SprayedWall.OfAsync(product);
        (await wall.LogAsync(("kind", "areaClear")))["answer"]!["area"]!.Text("verdict").ShouldBe("hold");
        (await wall.LogAsync(("kind", "ventilationOn")))["answer"]!["area"]!.Text("verdict").ShouldBe("clear");
        var lift = $"{Guid.NewGuid()}";
        var begun = await wall.LogAsync(("kind", "liftBegun"), ("entry", lift), ("gate", "clear"));
        begun["answer"]!["open"]!.Text("id").ShouldBe(lift);
        await wall.LogAsync(("kind", "liftEnded"), ("of", lift));
        var told = (await wall.LogAsync(("kind", "depth"), ("depth", "1 3/4 in"), ("of", lift), ("place", "bay 3, low")))["answer"]!;
        told["open"].ShouldBeNull();
        told["depth"]!.Text("us").ShouldBe("1 3/4 in");
        told["nextAt"]!.GetValue<DateTimeOffset>().ShouldBeGreaterThan(DateTimeOffset.UtcNow.AddMinutes(14));
        told["next"]!.Text("verdict").ShouldBe("hold");
        told["number"]!.GetValue<int>().ShouldBe(2);
        (await wall.LogAsync(("kind", "finished")))["answer"]!["finishedAt"].ShouldNotBeNull();

        var board = await wall.Client.GetJsonAsync($"/api/jobs/{wall.Job}/board");
        board["feet"]!["sprayed"]!.GetValue<int>().ShouldBe(1);
        var cell = board["rows"]![0]!["cells"]!.AsArray().Single(one => one!.Text("stage") == "spray")!;
        (cell.Text("word"), cell["figures"]!["count"]!["amount"]!.GetValue<double>()).ShouldBe(("finished", 1));
    }

    [Fact]
    public async Task The_core_asked_with_the_same_log_says_the_same()
    {
        var wall = await SprayedWall.OfAsync(product);
        var lift = $"{Guid.NewGuid()}";
        await wall.LogAsync(("kind", "liftBegun"), ("entry", lift));
        await wall.LogAsync(("kind", "liftEnded"), ("of", lift));
        var told = await wall.LogAsync(("kind", "probe"), ("read", "104 F"));
        var (status, answer) = await wall.Client.SendJsonAsync(HttpMethod.Post, "/api/compute/spray", told["question"]!);
        status.ShouldBe(200);
        JsonNode.DeepEquals(answer, told["answer"]).ShouldBeTrue();
    }

    [Fact]
    public async Task What_is_sent_twice_is_logged_once()
    {
        var wall = await SprayedWall.OfAsync(product);
        var ids = Enumerable.Range(0, 20).Select(_ => Guid.NewGuid()).ToList();
        foreach (var id in ids.Concat(ids))
        {
            // Under one command or another: it is the entry that counts.
            await wall.LogAsync(("kind", "note"), ("entry", $"{id}"), ("words", "corner filled"));
        }

        (await wall.GetAsync())["question"]!["entries"]!
            .AsArray()
            .Select(one => Guid.Parse(one!.Text("id")))
            .ShouldBe(ids, ignoreOrder: true);
    }

    [Fact]
    public async Task An_entry_of_a_device_whose_clock_is_a_day_ahead_happened_when_it_arrived()
    {
        var wall = await SprayedWall.OfAsync(product);
        var command = EditedRecords.Command(Guid.NewGuid(), DateTimeOffset.UtcNow.AddDays(1), null, ("kind", "note"), ("words", "early"));
        var (status, answer) = await wall.Client.SendJsonAsync(HttpMethod.Post, $"/api/surfaces/{wall.Surface}/spray-log", command);
        status.ShouldBe(200, answer.ToJsonString());
        var at = answer["question"]!["entries"]![0]!["at"]!.GetValue<DateTimeOffset>();
        (DateTimeOffset.UtcNow - at).TotalMinutes.ShouldBe(0, 2);
    }

    [Fact]
    public async Task A_correction_counts_and_what_it_corrects_is_still_there()
    {
        var wall = await SprayedWall.OfAsync(product);
        var (lift, depth) = ($"{Guid.NewGuid()}", $"{Guid.NewGuid()}");
        await wall.LogAsync(("kind", "liftBegun"), ("entry", lift));
        await wall.LogAsync(("kind", "depth"), ("entry", depth), ("depth", "4 in"), ("of", lift));
        var corrected = await wall.LogAsync(("kind", "depth"), ("replaces", depth), ("depth", "1 1/2 in"), ("of", lift));
        corrected["answer"]!["depth"]!.Text("us").ShouldBe("1 1/2 in");
        corrected["question"]!["entries"]!.AsArray().Count.ShouldBe(3);
        var gone = await wall.LogAsync(("kind", "withdrawn"), ("replaces", depth));
        gone["answer"]!["depth"].ShouldBeNull();
        gone["question"]!["entries"]!.AsArray().Count.ShouldBe(4);
    }

    [Theory]
    [InlineData("depth", "40 in", "outOfRange", "kind=depth")]
    [InlineData("depth", "two", "notANumber", "kind=depth")]
    [InlineData("depth", null, "empty", "kind=depth")]
    [InlineData("read", "900 F", "outOfRange", "kind=probe")]
    [InlineData("dip", "4 ft", "outOfRange", "kind=drumLevel;side=b")]
    [InlineData("dip", null, "empty", "kind=drumLevel;side=b")]
    [InlineData("side", null, "empty", "kind=drumOpened")]
    [InlineData("reason", null, "empty", "kind=stopped")]
    [InlineData("words", null, "empty", "kind=defect")]
    [InlineData("time", "25:70", "notATime", "kind=note;words=seen")]
    [InlineData("kind", "painted", "unknown", "")]
    public async Task What_cannot_be_is_refused_with_its_field(string field, string? text, string code, string beside)
    {
        var wall = await SprayedWall.OfAsync(product);
        var fields = beside
            .Split(';', StringSplitOptions.RemoveEmptyEntries)
            .Select(pair => pair.Split('=') is [var name, var value] ? (name, value) : default)
            .Append((field, text ?? ""))
            .Where(pair => text is not null || pair.Item1 != field)
            .ToArray();
        var (status, answer) = await wall.SendAsync(fields);
        status.ShouldBe(400, answer.ToJsonString());
        var fault = answer["faults"]!.AsArray().ShouldHaveSingleItem()!;
        (fault.Text("field"), fault.Text("code")).ShouldBe((field, code));
        (await wall.GetAsync())["question"]!["entries"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_typed_time_is_held_against_the_clock_and_the_lift_it_is_of()
    {
        var wall = await SprayedWall.OfAsync(product);
        var lift = $"{Guid.NewGuid()}";
        await wall.LogAsync(("kind", "liftBegun"), ("entry", lift));

        // By a clock on which it is noon, whatever the time is here.
        var noon = $"{720 - DateTimeOffset.UtcNow.TimeOfDay.TotalMinutes:0}";
        var (_, ahead) = await wall.SendAsync(("kind", "note"), ("words", "later"), ("time", "12:25"), ("clockAhead", noon));
        ahead["faults"]![0]!.Text("code").ShouldBe("timeToCome");
        var (_, before) = await wall.SendAsync(("kind", "liftEnded"), ("of", lift), ("time", "11:35"), ("clockAhead", noon));
        before["faults"]![0]!.Text("code").ShouldBe("endsBeforeBegin");
        var taken = await wall.LogAsync(("kind", "note"), ("words", "earlier"), ("time", "11:35"), ("clockAhead", noon));
        var at = taken["question"]!["entries"]!.AsArray().Single(one => one!.Text("kind") == "note")!["at"]!.GetValue<DateTimeOffset>();
        (DateTimeOffset.UtcNow - at).TotalMinutes.ShouldBe(25, 2);
    }

    [Fact]
    public async Task A_lift_on_hold_is_logged_and_told()
    {
        var wall = await SprayedWall.OfAsync(product);
        var told = await wall.LogAsync(("kind", "liftBegun"), ("gate", "hold"));
        told["answer"]!["lifted"]![0]!.Text("case").ShouldBe("held");
        told["answer"]!["open"].ShouldNotBeNull();
    }

    [Fact]
    public async Task What_is_said_of_the_area_holds_at_the_other_surfaces_of_the_job()
    {
        var wall = await SprayedWall.OfAsync(product);
        await wall.LogAsync(("kind", "areaClear"));
        await wall.LogAsync(("kind", "ventilationOn"));
        var other = await wall.AnotherAsync();
        (await other.GetAsync())["answer"]!["area"]!.Text("verdict").ShouldBe("clear");
        await wall.LogAsync(("kind", "liftBegun"));
        (await other.GetAsync())["answer"]!["lifts"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task What_is_not_typed_again_in_a_correction_stays_to_the_last_digit()
    {
        var wall = await SprayedWall.OfAsync(product);
        var depth = $"{Guid.NewGuid()}";
        await wall.LogAsync(("kind", "liftBegun"));
        await wall.LogAsync(("kind", "depth"), ("entry", depth), ("depth", "1 5/8 in"), ("place", "bay 3"));
        var before = (await wall.GetAsync())["question"]!["entries"]!.AsArray().Single(one => one!.Text("id") == depth)!;
        var told = await wall.LogAsync(("kind", "depth"), ("replaces", depth), ("place", "bay 4"));
        var after = told["question"]!["entries"]!.AsArray().Single(one => one!["replaces"]?.GetValue<string>() == depth)!;
        after["depthMm"]!.GetValue<double>().ShouldBe(before["depthMm"]!.GetValue<double>());
        (after.Text("at"), after.Text("place")).ShouldBe((before.Text("at"), "bay 4"));
    }

    [Fact]
    public async Task Drums_are_logged_for_all_surfaces_of_the_job()
    {
        var wall = await SprayedWall.OfAsync(product);
        await wall.LogAsync(("kind", "drumOpened"), ("side", "a"), ("lot", "A-17"));
        await wall.LogAsync(("kind", "liftBegun"));
        var told = await wall.LogAsync(("kind", "drumLevel"), ("side", "a"), ("dip", "38.9 cm"));
        var a = told["answer"]!["drums"]![0]!;
        a.Text("lot").ShouldBe("A-17");
        a["left"]!["amount"]!.GetValue<double>().ShouldBe(50, 0.1);
        a["used"]!["amount"]!.GetValue<double>().ShouldBe(0.5, 0.001);
        (await (await wall.AnotherAsync()).GetAsync())["answer"]!["drums"]![0]!.Text("lot").ShouldBe("A-17");
        await wall.LogAsync(("kind", "drumOpened"), ("side", "a"), ("lot", "A-18"));
        (await wall.GetAsync())["answer"]!["drumFindings"]![0]!.Text("case").ShouldBe("lots");
    }

    [Fact]
    public async Task A_surface_deleted_meanwhile_is_told_and_nothing_breaks()
    {
        var wall = await SprayedWall.OfAsync(product);
        await wall.LogAsync(("kind", "liftBegun"));
        (await wall.Client.DeleteAsync($"/api/surfaces/{wall.Surface}", TestContext.Current.CancellationToken)).StatusCode.ShouldBe(
            HttpStatusCode.NoContent
        );
        (await wall.SendAsync(("kind", "liftEnded"))).Status.ShouldBe(404);
        var (restored, _) = await wall.Client.SendJsonAsync(HttpMethod.Post, $"/api/surfaces/{wall.Surface}/restore", new { });
        restored.ShouldBeInRange(200, 204);
        (await wall.GetAsync())["answer"]!["open"].ShouldNotBeNull();
    }

    [Fact]
    public async Task A_job_file_takes_the_log_along()
    {
        var wall = await SprayedWall.OfAsync(product);
        var lift = $"{Guid.NewGuid()}";
        await wall.LogAsync(("kind", "areaClear"));
        await wall.LogAsync(("kind", "liftBegun"), ("entry", lift));
        await wall.LogAsync(("kind", "liftEnded"), ("of", lift));
        await wall.LogAsync(("kind", "depth"), ("depth", "1 3/4 in"), ("of", lift));
        var file = await wall.Client.GetJsonAsync($"/api/jobs/{wall.Job}/file");
        var (status, brought) = await wall.Client.SendJsonAsync(HttpMethod.Post, "/api/jobs/file", file);
        status.ShouldBe(201, brought.ToJsonString());
        var surfaces = await wall.Client.GetJsonAsync($"/api/jobs/{brought.Text("id")}/surfaces");
        var told = await wall.Client.GetJsonAsync($"/api/surfaces/{surfaces[0]!.Text("id")}/spray");
        told["answer"]!["depth"]!.Text("us").ShouldBe("1 3/4 in");
        told["answer"]!["lifts"]!.AsArray().ShouldHaveSingleItem()!["endedAt"].ShouldNotBeNull();
        told["answer"]!["areaClear"]!.GetValue<bool>().ShouldBeTrue();
        told["answer"]!["lifts"]![0]!.Text("id").ShouldNotBe(lift);
    }

    [Fact]
    public async Task Without_a_product_it_says_what_is_missing()
    {
        var wall = await SprayedWall.OfAsync(product, sheet: null);
        (await wall.GetAsync()).Text("missing").ShouldBe("sheet");
    }
}
