using System.Globalization;
using System.Text.Json.Nodes;
using Shouldly;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>What people type, through the server: what is read and marked, what is refused and how it is told.</summary>
public sealed class TypingTests(Product product)
{
    [Theory]
    [InlineData("us", "indoorTemp", "21", "units", "21 °F", "21 °C")]
    [InlineData("metric", "indoorTemp", "21", null, null, null)]
    [InlineData("us", "indoorTemp", "21 C", null, null, null)]
    [InlineData("us", "outdoorTemp", "10", null, null, null)]
    public async Task A_doubtful_field_of_a_job_is_taken_and_marked(
        string units,
        string field,
        string typed,
        string? code,
        string? readAs,
        string? other
    )
    {
        var (answer, doubts) = await SendAsync(HttpMethod.Post, "/api/jobs", null, units, ("name", "Doubts"), (field, typed));
        answer["id"].ShouldNotBeNull();
        var doubt = doubts.SingleOrDefault(d => d!.Text("field") == field);
        (doubt?.Text("code")).ShouldBe(code);
        (doubt?["readAs"]?.Text(units)).ShouldBe(readAs);
        (doubt?["other"]?.GetValue<string>()).ShouldBe(other);
    }

    [Theory]
    [InlineData("us", "thickness", "140", 400, "140 mm")]
    [InlineData("metric", "thickness", "5 1/2", 200, "5 1/2 in")]
    [InlineData("metric", "size", "1,250 x 2,5", 200, null)]
    [InlineData("us", "size", "900 ft x 9 ft", 200, null)]
    [InlineData("metric", "size", "24 1/2 x 9", 200, "24 1/2 ft x 9")]
    [InlineData("metric", "size", "7200 x 2700", 400, "7200 mm")]
    public async Task Fields_of_a_surface_likewise(string units, string field, string typed, int status, string? other)
    {
        var job = (await SendAsync(HttpMethod.Post, "/api/jobs", null, units, ("name", "Doubts"))).Answer.Text("id");
        var surface = (await SendAsync(HttpMethod.Post, $"/api/jobs/{job}/surfaces", null, units, ("name", "One"))).Answer;
        var (answer, doubts) = await SendAsync(
            HttpMethod.Patch,
            $"/api/surfaces/{surface.Text("id")}",
            surface["version"]!.GetValue<uint>(),
            units,
            (field, typed)
        );
        (answer["faults"] is null ? 200 : 400).ShouldBe(status, answer.ToJsonString());
        (
            status == 400
                ? answer["faults"]![0]!["other"]?.GetValue<string>()
                : doubts.Single(d => d!.Text("field") == field)!["other"]?.GetValue<string>()
        ).ShouldBe(other);
    }

    [Fact]
    public async Task A_second_surface_of_one_name_is_taken_and_marked_whether_it_is_new_or_renamed()
    {
        var job = (await SendAsync(HttpMethod.Post, "/api/jobs", null, "us", ("name", "Names"))).Answer.Text("id");
        (await SendAsync(HttpMethod.Post, $"/api/jobs/{job}/surfaces", null, "us", ("name", "North wall"))).Doubts.ShouldBeEmpty();
        (await SendAsync(HttpMethod.Post, $"/api/jobs/{job}/surfaces", null, "us", ("name", "north wall")))
            .Doubts.Single()!
            .Text("code")
            .ShouldBe("sameName");
        var other = (await SendAsync(HttpMethod.Post, $"/api/jobs/{job}/surfaces", null, "us", ("name", "South wall"))).Answer;
        (
            await SendAsync(
                HttpMethod.Patch,
                $"/api/surfaces/{other.Text("id")}",
                other["version"]!.GetValue<uint>(),
                "us",
                ("name", "North wall")
            )
        )
            .Doubts.Single()!
            .Text("code")
            .ShouldBe("sameName");
        (
            await SendAsync(
                HttpMethod.Patch,
                $"/api/surfaces/{other.Text("id")}",
                other["version"]!.GetValue<uint>() + 1,
                "us",
                ("repeats", "2")
            )
        ).Doubts.ShouldBeEmpty();
    }

    [Fact]
    public async Task Half_a_repeat_is_refused_with_a_sentence()
    {
        var job = (await SendAsync(HttpMethod.Post, "/api/jobs", null, "us", ("name", "Repeats"))).Answer.Text("id");
        var (answer, _) = await SendAsync(HttpMethod.Post, $"/api/jobs/{job}/surfaces", null, "us", ("name", "One"), ("repeats", "2.5"));
        answer["faults"]![0]!.Text("code").ShouldBe("notWhole");
        answer.Text("detail").ShouldContain("not a whole number");
    }

    [Fact]
    public async Task Words_of_the_grid_are_read_as_well_as_codes()
    {
        var job = (await SendAsync(HttpMethod.Post, "/api/jobs", null, "us", ("name", "Words"))).Answer.Text("id");
        var (surface, _) = await SendAsync(
            HttpMethod.Post,
            $"/api/jobs/{job}/surfaces",
            null,
            "us",
            ("name", "One"),
            ("kind", "roof deck, unvented"),
            ("shape", "roof plane"),
            ("memberMaterial", "steel studs"),
            ("outboard", "wood panel | 1/2; shingle | 1/4"),
            ("access", "Scaffold or lift"),
            ("sheet", "Marl CC-20")
        );
        (surface.Text("kind"), surface.Text("shape"), surface.Text("memberMaterial"), surface.Text("sheetId")).ShouldBe(
            ("unventedDeck", "roofPlane", "steelStud", "marl-cc-20")
        );
        surface["outboard"]!.AsArray().Select(l => l!.Text("material")).ShouldBe(["osb", "asphalt-shingle"]);
    }

    // The page sends the whole list back when one layer is edited: the others come as they were printed.
    [Theory]
    [InlineData("us")]
    [InlineData("metric")]
    public async Task Layers_sent_back_as_they_were_read_are_kept_to_their_last_digit(string units)
    {
        var job = (await SendAsync(HttpMethod.Post, "/api/jobs", null, "us", ("name", "Layers"))).Answer.Text("id");
        var (surface, _) = await SendAsync(
            HttpMethod.Post,
            $"/api/jobs/{job}/surfaces",
            null,
            "metric",
            ("name", "One"),
            ("kind", "studWall"),
            ("outboard", "osb | 11.1 mm; plywood | 19 mm; steel-skin | 0.9123456 mm")
        );
        double[] Thicknesses(JsonNode of) => [.. of["outboard"]!.AsArray().Select(layer => (double)layer!["thickness"]!["amount"]!)];
        var before = Thicknesses(surface);
        var read = surface["outboard"]!
            .AsArray()
            .Select(layer => $"{layer!.Text("material")} | {layer!["thickness"]!.Text(units)}")
            .ToArray();
        var edited = string.Join("; ", [read[0], "plywood | 12 mm", read[2]]);
        var (after, _) = await SendAsync(
            HttpMethod.Patch,
            $"/api/surfaces/{surface.Text("id")}",
            (uint)surface["version"]!,
            units,
            ("outboard", edited)
        );
        Thicknesses(after).ShouldBe([before[0], 0.012, before[2]]);
    }

    [Theory]
    [InlineData("us", "2027-01-15", "2027-01-15")]
    [InlineData("us", "1/15/2027", "2027-01-15")]
    [InlineData("metric", "15/1/2027", "2027-01-15")]
    [InlineData("metric", "15.1.2027", "2027-01-15")]
    [InlineData("us", "Jan 15, 2027", "2027-01-15")]
    [InlineData("metric", "15 January 2027", "2027-01-15")]
    [InlineData("us", "15/1/2027", null)]
    [InlineData("metric", "next week", null)]
    public async Task A_day_is_read_as_people_write_it(string units, string typed, string? day)
    {
        var job = (await SendAsync(HttpMethod.Post, "/api/jobs", null, units, ("name", "Days"))).Answer;
        var (answer, _) = await SendAsync(
            HttpMethod.Patch,
            $"/api/jobs/{job.Text("id")}",
            job["version"]!.GetValue<uint>(),
            units,
            ("workDate", typed)
        );
        if (day is null)
        {
            answer["faults"]![0]!.Text("code").ShouldBe("notADate");
        }
        else
        {
            (await (await product.SignedInAsync("estimator@ninthacre.example")).GetJsonAsync($"/api/jobs/{job.Text("id")}/price"))
                .Text("workDate")
                .ShouldBe(day);
        }
    }

    [Theory]
    [InlineData("us", -1)]
    [InlineData("metric", -800)]
    [InlineData("us", 0)]
    [InlineData("us", 1)]
    public async Task A_day_of_work_that_is_past_asks_for_the_next_of_its_kind(string units, int fromToday)
    {
        var today = DateOnly.FromDateTime(DateTime.UtcNow);
        var (job, doubts) = await SendAsync(
            HttpMethod.Post,
            "/api/jobs",
            null,
            units,
            ("name", "Days to come"),
            ("workDate", today.AddDays(fromToday).ToString("yyyy-MM-dd", CultureInfo.InvariantCulture))
        );
        if (fromToday >= 0)
        {
            doubts.ShouldBeEmpty();
            return;
        }

        var doubt = doubts.ShouldHaveSingleItem()!;
        (doubt.Text("field"), doubt.Text("code")).ShouldBe(("workDate", "past"));
        var path = $"/api/jobs/{job.Text("id")}";
        var (_, none) = await SendAsync(HttpMethod.Patch, path, job["version"]!.GetValue<uint>(), units, ("workDate", doubt.Text("other")));
        none.ShouldBeEmpty();
        var kept = (await (await product.SignedInAsync("estimator@ninthacre.example")).GetJsonAsync($"{path}/price")).Text("workDate");
        var next = DateOnly.ParseExact(kept, "yyyy-MM-dd", CultureInfo.InvariantCulture);
        (next >= today && next < today.AddYears(1).AddDays(1)).ShouldBeTrue(kept);
        var past = today.AddDays(fromToday);
        next.ShouldBe(past.AddYears(next.Year - past.Year));
    }

    [Fact]
    public async Task Design_air_of_the_coldest_places_carries_a_section_and_a_drive()
    {
        var job = (
            await SendAsync(HttpMethod.Post, "/api/jobs", null, "metric", ("name", "Cold"), ("outdoorTemp", "-47 C"), ("climateZone", "8"))
        ).Answer.Text("id");
        var (surface, _) = await SendAsync(
            HttpMethod.Post,
            $"/api/jobs/{job}/surfaces",
            null,
            "metric",
            ("name", "One"),
            ("size", "8 x 3"),
            ("sheet", "marl-cc-20"),
            ("thickness", "120 mm")
        );
        var client = await product.SignedInAsync("estimator@ninthacre.example");
        (await client.GetJsonAsync($"/api/surfaces/{surface.Text("id")}/section"))["answer"].ShouldNotBeNull();
        await client.GetJsonAsync($"/api/surfaces/{surface.Text("id")}/drive");
        await client.GetJsonAsync($"/api/surfaces/{surface.Text("id")}/choose");
        await client.GetJsonAsync($"/api/jobs/{job}/board");
    }

    [Theory]
    [InlineData("thickness", "0", "1/8 in", "24 in")]
    [InlineData("memberSpacing", "0", "4 in", "118 in")]
    public async Task A_range_that_is_told_does_not_hold_what_it_refuses(string field, string typed, string least, string greatest)
    {
        var job = (await SendAsync(HttpMethod.Post, "/api/jobs", null, "us", ("name", "Ranges"))).Answer.Text("id");
        var (answer, _) = await SendAsync(HttpMethod.Post, $"/api/jobs/{job}/surfaces", null, "us", ("name", "One"), (field, typed));
        var fault = answer["faults"]![0]!;
        (fault["least"]!.Text("us"), fault["greatest"]!.Text("us")).ShouldBe((least, greatest));
    }

    [Fact]
    public async Task Faults_of_a_question_name_a_field_of_that_question()
    {
        var client = product.WithToken();
        var (status, hot) = await Asked(
            client,
            "/api/compute/sets",
            new
            {
                sheetId = "marl-cc-20",
                areaM2 = 10,
                thicknessMm = 50,
                crewFactor = 1.9,
            }
        );
        status.ShouldBe(400);
        hot["faults"]![0]!.Text("field").ShouldBe("crewFactor");
        var answer = await client.GetAsync("/api/compute/air?tempC=100&rhPct=100", TestContext.Current.CancellationToken);
        var air = JsonNode.Parse(await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken))!;
        air.Text("detail").ShouldBe("rhPct: 100 % is out of range: 0 % to 99 %.");

        // What is left out is named, all of it at once.
        var (partial, named) = await Asked(client, "/api/compute/sets", new { sheetId = "marl-cc-20" });
        partial.ShouldBe(400);
        named["errors"]!.AsObject().Select(one => one.Key).ShouldBe(["areaM2", "thicknessMm"]);
    }

    private static async Task<(int Status, JsonNode Body)> Asked(HttpClient client, string path, object body) =>
        await client.SendJsonAsync(HttpMethod.Post, path, body);

    private async Task<(JsonNode Answer, JsonArray Doubts)> SendAsync(
        HttpMethod method,
        string path,
        uint? version,
        string units,
        params (string Field, string Text)[] fields
    )
    {
        var client = await product.SignedInAsync("estimator@ninthacre.example");
        return await client.SendDoubtfulAsync(method, path, Asking.Typed(version, units, fields));
    }
}
