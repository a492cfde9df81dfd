using System.Text.Json.Nodes;
using Shouldly;
using Xunit;

namespace Umbracell.Server.Tests;

public sealed class JobTests(Product product)
{
    [Fact]
    public async Task The_demo_shows_surfaces_of_every_verdict()
    {
        var client = await product.SignedInAsync("owner@ninthacre.example");
        var board = await client.GetJsonAsync($"/api/jobs/{await client.DemoJobAsync("ferry house")}/board");
        board["rows"]!.AsArray().Count.ShouldBeGreaterThanOrEqualTo(12);
        var verdicts = board["rows"]!
            .AsArray()
            .SelectMany(r => r!["cells"]!.AsArray())
            .Select(c => c!["verdict"]?.GetValue<string>())
            .ToHashSet();
        verdicts.IsSupersetOf(["clear", "care", "hold"]).ShouldBeTrue();
        (await client.GetJsonAsync($"/api/jobs/{await client.DemoJobAsync("mill cottages")}/surfaces")).AsArray().Count.ShouldBe(3);
    }

    [Fact]
    public async Task A_surface_goes_from_survey_to_verdict()
    {
        var client = await product.SignedInAsync("estimator@ninthacre.example");
        var surface = await NewSurfaceAsync(client);
        var job = surface.Text("jobId");
        surface = await ChangeAsync(
            client,
            surface,
            "us",
            ("size", "24' x 9'"),
            ("openings", "2 x 3' x 4'"),
            ("sheet", "marl-cc-20"),
            ("thickness", "3")
        );
        surface["treatedArea"]!["figure"]!.Text("us").ShouldBe("192 ft²");
        surface["thickness"]!.Text("metric").ShouldBe("76 mm");

        var id = surface.Text("id");
        var section = await client.GetJsonAsync($"/api/surfaces/{id}/section");
        section["answer"]!["figures"]!["foamR"]!["figure"]!.Text("us").ShouldBe("R-20.4");

        var (_, window) = await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/surfaces/{id}/readings",
            Asking.Typed(
                null,
                "us",
                ("substrate", "66"),
                ("air", "20 C"),
                ("humidity", "45"),
                ("wood", "12"),
                ("drumA", "72 F"),
                ("drumB", "72")
            )
        );
        window["answer"]!.Text("verdict").ShouldBe("hold");
        await TickAllAsync(client, window["preparation"]!.AsArray(), surface.Text("id"), job);
        (await client.GetJsonAsync($"/api/surfaces/{id}/window"))["answer"]!.Text("verdict").ShouldBe("clear");

        var sets = await client.GetJsonAsync($"/api/surfaces/{id}/sets");
        var answer = sets["answer"]!;
        answer.Number("medianSets").ShouldBe(answer.Number("boardFeet") / answer.Number("yieldBoardFeet"), 1e-9);
    }

    private static async Task TickAllAsync(HttpClient client, JsonArray tasks, string surface, string job)
    {
        foreach (var task in tasks)
        {
            var path = task!["forJob"]!.GetValue<bool>() ? $"/api/jobs/{job}/preparation" : $"/api/surfaces/{surface}/preparation";
            (
                await client.SendJsonAsync(HttpMethod.Patch, $"{path}/{task.Text("item")}", Asking.Typed(null, "us", ("done", "yes")))
            ).Status.ShouldBe(200);
        }
    }

    [Fact]
    public async Task A_bad_field_is_named_and_nothing_of_the_edit_is_written()
    {
        var client = await product.SignedInAsync("owner@ninthacre.example");
        var surface = await NewSurfaceAsync(client);
        var (status, problem) = await client.SendJsonAsync(
            HttpMethod.Patch,
            $"/api/surfaces/{surface.Text("id")}",
            Asking.Typed(
                surface["version"]!.GetValue<uint>(),
                "us",
                ("name", "renamed"),
                ("size", "24' x nine"),
                ("thickness", "900 in"),
                ("repeats", "-2"),
                ("kind", "castle"),
                ("sheet", "no-such")
            )
        );
        status.ShouldBe(400);
        problem["errors"]!.AsObject().Select(e => e.Key).ShouldBe(["size", "thickness", "repeats", "kind", "sheet"], ignoreOrder: true);
        var after = (await client.GetJsonAsync($"/api/surfaces/{surface.Text("id")}/section"))["version"]!.GetValue<uint>();
        after.ShouldBe(surface["version"]!.GetValue<uint>());
    }

    [Theory]
    [InlineData("openings", "30' x 20'", "openingsExceed")]
    [InlineData("size", "24 kg x 9'", "wrongUnit")]
    [InlineData("size", "24'", "parts")]
    [InlineData("thickness", "-3", "outOfRange")]
    [InlineData("thickness", "abc", "notANumber")]
    [InlineData("colour", "red", "unknown")]
    public async Task Each_slip_has_its_own_word(string field, string typed, string code)
    {
        var client = await product.SignedInAsync("owner@ninthacre.example");
        var surface = await ChangeAsync(client, await NewSurfaceAsync(client), "us", ("size", "24' x 9'"));
        var (status, problem) = await client.SendJsonAsync(
            HttpMethod.Patch,
            $"/api/surfaces/{surface.Text("id")}",
            Asking.Typed(surface["version"]!.GetValue<uint>(), "us", (field, typed))
        );
        status.ShouldBe(400);
        problem["faults"]!.AsArray().ShouldHaveSingleItem()!.Text("code").ShouldBe(code);
    }

    [Fact]
    public async Task A_stale_edit_is_answered_with_the_other_version()
    {
        var client = await product.SignedInAsync("owner@ninthacre.example");
        var surface = await NewSurfaceAsync(client);
        await ChangeAsync(client, surface, "us", ("name", "theirs"));
        var (status, problem) = await client.SendJsonAsync(
            HttpMethod.Patch,
            $"/api/surfaces/{surface.Text("id")}",
            Asking.Typed(surface["version"]!.GetValue<uint>(), "us", ("name", "mine"))
        );
        status.ShouldBe(409);
        problem["theirs"]!.Text("name").ShouldBe("theirs");
    }

    [Fact]
    public async Task A_change_of_openings_alone_moves_the_version_on()
    {
        var client = await product.SignedInAsync("owner@ninthacre.example");
        var surface = await ChangeAsync(client, await NewSurfaceAsync(client), "metric", ("size", "5 m x 3 m"));
        var after = await ChangeAsync(client, surface, "metric", ("openings", "1 m x 1 m"));
        after["version"]!.GetValue<uint>().ShouldNotBe(surface["version"]!.GetValue<uint>());
    }

    [Fact]
    public async Task A_surface_taken_off_comes_back()
    {
        var client = await product.SignedInAsync("owner@ninthacre.example");
        var id = (await NewSurfaceAsync(client)).Text("id");
        (await client.DeleteAsync($"/api/surfaces/{id}", TestContext.Current.CancellationToken)).EnsureSuccessStatusCode();
        ((int)(await client.GetAsync($"/api/surfaces/{id}/section", TestContext.Current.CancellationToken)).StatusCode).ShouldBe(404);
        var (status, back) = await client.SendJsonAsync(HttpMethod.Post, $"/api/surfaces/{id}/restore", new { });
        status.ShouldBe(200);
        back.Text("id").ShouldBe(id);
    }

    [Fact]
    public async Task The_list_of_jobs_says_where_and_when_each_is_done()
    {
        var client = await product.SignedInAsync("owner@ninthacre.example");
        var (_, job) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/jobs",
            Asking.Typed(null, "us", ("name", "Where and when"), ("climateZone", "6A"))
        );
        async Task<JsonNode> CardAsync() =>
            (await client.GetJsonAsync("/api/jobs")).AsArray().Single(card => card!["job"]!.Text("id") == job.Text("id"))!;
        var bare = await CardAsync();
        (bare["place"], bare["workDate"]).ShouldBe((null, null));

        var place = (await client.GetJsonAsync("/api/places"))[0]!;
        var (status, changed) = await client.SendJsonAsync(
            HttpMethod.Patch,
            $"/api/jobs/{job.Text("id")}",
            Asking.Typed(job["version"]!.GetValue<uint>(), "us", ("place", place.Text("id")), ("workDate", "2027-02-03"))
        );
        status.ShouldBe(200, changed.ToJsonString());
        var card = await CardAsync();
        (card.Text("place"), card.Text("workDate")).ShouldBe((place.Text("name"), "2027-02-03"));
    }

    [Fact]
    public async Task The_second_firm_sees_nothing_of_the_first()
    {
        var first = await product.SignedInAsync("owner@ninthacre.example");
        var second = await product.SignedInAsync("owner@coldwaterlane.example");
        var job = await first.DemoJobAsync("ferry house");
        var own = (await first.GetJsonAsync("/api/jobs")).AsArray().Select(card => card!["job"]!.Text("id")).ToHashSet();
        own.ShouldNotBeEmpty();

        // The list holds the newest alone.
        own.Add(job);
        (await second.GetJsonAsync("/api/jobs")).AsArray().ShouldAllBe(card => !own.Contains(card!["job"]!.Text("id")));
        var surface = (await first.GetJsonAsync($"/api/jobs/{job}/surfaces"))[0]!;
        foreach (
            var path in new[]
            {
                $"/api/jobs/{job}/board",
                $"/api/jobs/{job}/surfaces",
                $"/api/surfaces/{surface.Text("id")}/section",
                $"/api/surfaces/{surface.Text("id")}/window",
                $"/api/surfaces/{surface.Text("id")}/sets",
            }
        )
        {
            ((int)(await second.GetAsync(path, TestContext.Current.CancellationToken)).StatusCode).ShouldBe(404, path);
        }

        var (status, _) = await second.SendJsonAsync(
            HttpMethod.Patch,
            $"/api/surfaces/{surface.Text("id")}",
            Asking.Typed(surface["version"]!.GetValue<uint>(), "us", ("name", "stolen"))
        );
        status.ShouldBe(404);
    }

    [Fact]
    public async Task A_viewer_looks_and_changes_nothing()
    {
        var viewer = await product.SignedInAsync("viewer@ninthacre.example");
        var job = await viewer.DemoJobAsync("ferry house");
        (await viewer.SendJsonAsync(HttpMethod.Post, "/api/jobs", Asking.Typed(null, "us", ("name", "x")))).Status.ShouldBe(403);
        (await viewer.SendJsonAsync(HttpMethod.Post, $"/api/jobs/{job}/surfaces", Asking.Typed(null, "us", ("name", "x")))).Status.ShouldBe(
            403
        );
    }

    private static async Task<JsonNode> NewSurfaceAsync(HttpClient client)
    {
        var (created, job) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/jobs",
            Asking.Typed(null, "us", ("name", "Test job"), ("climateZone", "6A"), ("outdoorTemp", "0 F"), ("indoorTemp", "70"))
        );
        created.ShouldBe(201, job.ToJsonString());
        var (status, surface) = await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/jobs/{job.Text("id")}/surfaces",
            Asking.Typed(null, "us", ("name", "North wall <script>alert(1)</script>"), ("kind", "studWall"))
        );
        status.ShouldBe(201, surface.ToJsonString());
        surface.Text("name").ShouldBe("North wall <script>alert(1)</script>");
        surface["jobId"] = job.Text("id");
        return surface;
    }

    private static async Task<JsonNode> ChangeAsync(
        HttpClient client,
        JsonNode surface,
        string units,
        params (string Field, string Text)[] fields
    )
    {
        var (status, after) = await client.SendJsonAsync(
            HttpMethod.Patch,
            $"/api/surfaces/{surface.Text("id")}",
            Asking.Typed(surface["version"]!.GetValue<uint>(), units, fields)
        );
        status.ShouldBe(200, after.ToJsonString());
        return after;
    }
}
