using System.Globalization;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Shouldly;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>What the stages say of one another through the interface.</summary>
public sealed class StageTests(Product product)
{
    private static readonly CultureInfo Invariant = CultureInfo.InvariantCulture;

    [Fact]
    public async Task The_board_shows_the_figures_of_the_stages()
    {
        var client = product.WithToken();
        var job = await client.DemoJobAsync("ferry house");
        var board = await client.GetJsonAsync($"/api/jobs/{job}/board");
        var row = Row(board, "Band joists");
        var id = row.Text("id");
        var section = (await client.GetJsonAsync($"/api/surfaces/{id}/section"))["answer"]!;
        var sets = (await client.GetJsonAsync($"/api/surfaces/{id}/sets"))["answer"]!;
        var window = (await client.GetJsonAsync($"/api/surfaces/{id}/window"))["answer"]!;
        Cell(row, "section")["figures"]!["foamR"]!.Text("us").ShouldBe(section["figures"]!["foamR"]!["figure"]!.Text("us"));
        Cell(row, "section").Text("verdict").ShouldBe(section.Text("verdict"));
        Cell(row, "sets")["figures"]!["sets"]!.Number("amount").ShouldBe(sets.Number("medianSets"), 1e-12);
        Cell(row, "window").Text("verdict").ShouldBe(window.Text("verdict"));
    }

    [Fact]
    public async Task The_column_feet_are_the_sums_of_the_rows()
    {
        var client = product.WithToken();
        var board = await client.GetJsonAsync($"/api/jobs/{await client.DemoJobAsync("ferry house")}/board");
        var rows = board["rows"]!.AsArray();
        var sets = rows.Sum(r => Cell(r!, "sets")["figures"]!["sets"]?.Number("amount") ?? 0);
        board["feet"]!["sets"]!.Number("amount").ShouldBe(sets, 1e-9);
        board["feet"]!["surfaces"]!.GetValue<int>().ShouldBe(rows.Count);
        board["feet"]!["held"]!.GetValue<int>().ShouldBe(rows.Count(r => r!.Text("worst") == "hold"));
    }

    [Theory]
    [InlineData("section", "section")]
    [InlineData("choose", "choice")]
    [InlineData("sets", "sets")]
    [InlineData("window", "gate")]
    public async Task Asking_a_surfaces_own_question_again_gives_the_same_answer(string stage, string asked)
    {
        var client = product.WithToken();
        var board = await client.GetJsonAsync($"/api/jobs/{await client.DemoJobAsync("mill cottages")}/board");
        foreach (var row in board["rows"]!.AsArray())
        {
            var own = await client.GetJsonAsync($"/api/surfaces/{row!.Text("id")}/{stage}");
            var (status, again) = await client.SendJsonAsync(HttpMethod.Post, $"/api/compute/{asked}", own["question"]!);
            status.ShouldBe(200, again.ToJsonString());
            Figures(again).ShouldBe(Figures(own["answer"]!));
        }
    }

    [Theory]
    [InlineData("ferry house")]
    [InlineData("seed store")]
    public async Task Asking_for_a_jobs_own_bid_again_gives_the_same_price(string name)
    {
        var client = await product.SignedInAsync("owner@ninthacre.example");
        var price = await client.GetJsonAsync($"/api/jobs/{await client.DemoJobAsync(name)}/price");
        var (status, again) = await client.SendJsonAsync(HttpMethod.Post, "/api/compute/bid", price["question"]!);
        status.ShouldBe(200, again.ToJsonString());
        again["figures"]!.ToJsonString().ShouldBe(price["bid"]!["figures"]!.ToJsonString());
        Figures(again).ShouldBe(Figures(price["bid"]!));
    }

    [Fact]
    public async Task Rates_go_to_a_browser_with_the_supplies_of_those_who_price_alone()
    {
        foreach (var (person, sees) in new[] { ("owner", true), ("estimator", true), ("lead", false), ("viewer", false) })
        {
            var supplies = await (await product.SignedInAsync($"{person}@ninthacre.example")).GetJsonAsync("/api/supplies");
            (supplies["rates"] is not null).ShouldBe(sees, person);
        }
    }

    // An answer to eleven digits, without workings: what a question was reckoned from is told where it is reckoned.
    private static string Figures(JsonNode answer)
    {
        var copy = answer.DeepClone();
        Strip(copy);
        return Regex.Replace(copy.ToJsonString(), @"-?\d+\.\d+(E-?\d+)?", m => double.Parse(m.Value, Invariant).ToString("G11", Invariant));

        static void Strip(JsonNode? node)
        {
            if (node is JsonObject fields)
            {
                fields.Remove("working");
                fields.ToList().ForEach(field => Strip(field.Value));
            }
            else if (node is JsonArray list)
            {
                list.ToList().ForEach(Strip);
            }
        }
    }

    [Fact]
    public async Task Surfaces_of_one_product_are_loaded_together()
    {
        var client = product.WithToken();
        var job = await client.DemoJobAsync("ferry house");
        var board = await client.GetJsonAsync($"/api/jobs/{job}/board");
        var loads = (await client.GetJsonAsync($"/api/surfaces/{Row(board, "Band joists").Text("id")}/sets"))["job"]!.AsArray();
        loads.Sum(l => l!.Number("medianSets")).ShouldBe(board["feet"]!["sets"]!.Number("amount"), 1e-9);
        var order = (await client.GetJsonAsync($"/api/jobs/{job}/order"))["lines"]!
            .AsArray()
            .ToDictionary(l => l!.Text("sheetId"), l => l!);
        order.Keys.ShouldBe(loads.Select(l => l!.Text("sheetId")), ignoreOrder: true);
        foreach (var load in loads.Select(l => l!))
        {
            var (sets, loaded) = (load["loadSets"]!.GetValue<int>(), load["loaded"]!);
            order[load.Text("sheetId")]["load"]!.GetValue<int>().ShouldBe(sets);
            order[load.Text("sheetId")]["leftOver"]!.Number("amount").ShouldBe(sets - load.Number("medianSets"), 1e-9);
            loaded.Number("chanceShortPct").ShouldBeLessThanOrEqualTo(10);
            var fewer = load["around"]!.AsArray().Single(a => a!["sets"]!.GetValue<int>() == sets - 1)!;
            fewer.Number("chanceShortPct").ShouldBeGreaterThan(10);
        }
    }

    [Fact]
    public async Task A_held_roof_is_told_what_would_clear_it()
    {
        var client = product.WithToken();
        var board = await client.GetJsonAsync($"/api/jobs/{await client.DemoJobAsync("ferry house")}/board");
        var window = await client.GetJsonAsync($"/api/surfaces/{Row(board, "Slip hall roof").Text("id")}/window");
        window["answer"]!.Text("verdict").ShouldBe("hold");
        window["answer"]!["together"]!.AsArray().Select(r => r!.Text("kind")).ShouldContain("dryHeat");
        var dew = window["answer"]!["findings"]!.AsArray().Single(f => f!.Text("rule") == "G3")!;
        dew["remedies"]!.AsArray().ShouldNotBeEmpty();
    }

    [Fact]
    public async Task A_sheet_that_does_not_rate_the_thickness_is_said_so_and_the_choice_stays()
    {
        var client = await product.SignedInAsync("owner@ninthacre.example");
        var (_, job) = await client.SendJsonAsync(HttpMethod.Post, "/api/jobs", Asking.Typed(null, "us", ("name", "Too thick")));
        var (_, surface) = await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/jobs/{job.Text("id")}/surfaces",
            Asking.Typed(null, "us", ("name", "wall"), ("size", "10' x 10'"), ("sheet", "marl-cc-20"), ("thickness", "10"))
        );
        var section = await client.GetJsonAsync($"/api/surfaces/{surface.Text("id")}/section");
        section["answer"].ShouldBeNull();
        section.Text("fault").ShouldContain("152 mm");
        section["thickness"]!.Text("us").ShouldBe("10 in");
        var board = await client.GetJsonAsync($"/api/jobs/{job.Text("id")}/board");
        Cell(board["rows"]![0]!, "section").Text("verdict").ShouldBe("hold");
    }

    [Fact]
    public async Task A_jobs_design_air_can_be_changed_once_per_version()
    {
        var client = await product.SignedInAsync("estimator@ninthacre.example");
        var (_, job) = await client.SendJsonAsync(HttpMethod.Post, "/api/jobs", Asking.Typed(null, "metric", ("name", "Design air")));
        var version = job["version"]!.GetValue<uint>();
        var (status, changed) = await client.SendJsonAsync(
            HttpMethod.Patch,
            $"/api/jobs/{job.Text("id")}",
            Asking.Typed(version, "metric", ("outdoorTemp", "-8"), ("risk", "5"))
        );
        status.ShouldBe(200, changed.ToJsonString());
        changed["figures"]!["outdoorTemp"]!.Text("metric").ShouldBe("-8.0 °C");
        var (stale, problem) = await client.SendJsonAsync(
            HttpMethod.Patch,
            $"/api/jobs/{job.Text("id")}",
            Asking.Typed(version, "metric", ("outdoorTemp", "-9"))
        );
        stale.ShouldBe(409);
        problem["theirs"]!["figures"]!["outdoorTemp"]!.Text("metric").ShouldBe("-8.0 °C");
        var (absurd, faults) = await client.SendJsonAsync(
            HttpMethod.Patch,
            $"/api/jobs/{job.Text("id")}",
            Asking.Typed(null, "metric", ("indoorHumidity", "140 %"), ("outdoorTemp", "400 C"), ("climateZone", "9Z"))
        );
        absurd.ShouldBe(400);
        faults["errors"]!.AsObject().Select(e => e.Key).ShouldBe(["climateZone", "indoorHumidity", "outdoorTemp"], ignoreOrder: true);
    }

    [Fact]
    public async Task Drums_belong_to_a_product_and_reach_every_surface_sprayed_with_it()
    {
        var client = await product.SignedInAsync("owner@ninthacre.example");
        var (_, job) = await client.SendJsonAsync(HttpMethod.Post, "/api/jobs", Asking.Typed(null, "us", ("name", "Drums")));
        async Task<JsonNode> AddAsync(string name, params (string, string)[] more) =>
            (
                await client.SendJsonAsync(
                    HttpMethod.Post,
                    $"/api/jobs/{job.Text("id")}/surfaces",
                    Asking.Typed(null, "us", [("name", name), .. more])
                )
            ).Body;
        var first = await AddAsync("first", ("sheet", "marl-cc-20"));
        var second = await AddAsync("second", ("sheet", "marl-cc-20"));
        var bare = await AddAsync("no foam chosen");
        (
            await client.SendJsonAsync(
                HttpMethod.Post,
                $"/api/surfaces/{first.Text("id")}/readings",
                Asking.Typed(null, "us", ("drumA", "70"), ("drumB", "71"))
            )
        ).Status.ShouldBe(200);
        var window = await client.GetJsonAsync($"/api/surfaces/{second.Text("id")}/window");
        window["readings"]!.AsArray().Select(r => r!.Text("kind")).ShouldBe(["drumA", "drumB"], ignoreOrder: true);
        var (status, problem) = await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/surfaces/{bare.Text("id")}/readings",
            Asking.Typed(null, "us", ("drumA", "70"))
        );
        status.ShouldBe(400);
        problem["faults"]![0]!.Text("code").ShouldBe("noSheet");
    }

    [Fact]
    public async Task Units_follow_the_person()
    {
        var client = await product.SignedInAsync("owner@coldwaterlane.example");
        (await client.SendJsonAsync(HttpMethod.Put, "/api/session/units", new { units = "metric" })).Status.ShouldBe(204);
        (await client.GetJsonAsync("/api/session")).Text("units").ShouldBe("metric");
        var again = await product.SignedInAsync("owner@coldwaterlane.example");
        (await again.GetJsonAsync("/api/session")).Text("units").ShouldBe("metric");
        (await client.DeleteAsync("/api/session", TestContext.Current.CancellationToken)).EnsureSuccessStatusCode();
        ((int)(await client.GetAsync("/api/session", TestContext.Current.CancellationToken)).StatusCode).ShouldBe(401);
    }

    [Fact]
    public async Task A_section_tells_its_year_once_the_job_names_a_place_and_its_rooms()
    {
        var client = await product.SignedInAsync("estimator@ninthacre.example");
        var (_, job) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/jobs",
            Asking.Typed(null, "metric", ("name", "A year"), ("climateZone", "6A"))
        );
        var (_, wall) = await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/jobs/{job.Text("id")}/surfaces",
            Asking.Typed(
                null,
                "metric",
                ("name", "Wall"),
                ("kind", "studWall"),
                ("size", "7 m x 3 m"),
                ("sheet", "fleece-oc-5"),
                ("thickness", "140 mm")
            )
        );
        async Task<JsonNode?> YearAsync() => (await client.GetJsonAsync($"/api/surfaces/{wall.Text("id")}/section"))["answer"]!["year"];
        async Task<(int Status, JsonNode Body)> ChangeAsync(params (string, string)[] fields) =>
            await client.SendJsonAsync(HttpMethod.Patch, $"/api/jobs/{job.Text("id")}", Asking.Typed(null, "metric", fields));
        (await YearAsync()).ShouldBeNull();

        (await ChangeAsync(("place", "brindle-quay"), ("humidityClass", "3"))).Status.ShouldBe(200);
        var damp = (await YearAsync())!;
        damp["months"]!.AsArray().Count.ShouldBe(12);
        (await ChangeAsync(("humidityClass", "1"))).Status.ShouldBe(200);
        (await YearAsync())!.Number("greatestStoredKgM2").ShouldBeLessThan(damp.Number("greatestStoredKgM2"));

        // Entered by month: one value stands for all, a wrong number of values is refused, and a dry room wets nothing.
        var (status, refused) = await ChangeAsync(("roomTemps", "20; 21"));
        (status, refused["faults"]![0]!.Text("code")).ShouldBe((400, "months"));
        (await ChangeAsync(("humidityClass", ""), ("roomTemps", "20"), ("roomHumidities", "8"))).Status.ShouldBe(200);
        (await YearAsync())!.Number("greatestStoredKgM2").ShouldBe(0, 1e-9);
        (await ChangeAsync(("place", "atlantis"))).Status.ShouldBe(400);

        // The same question put by any other program has the same year.
        var section = await client.GetJsonAsync($"/api/surfaces/{wall.Text("id")}/section");
        var (_, computed) = await client.SendJsonAsync(HttpMethod.Post, "/api/compute/section", section["question"]!);
        computed["year"]!.ToJsonString().ShouldBe(section["answer"]!["year"]!.ToJsonString());
    }

    private static JsonNode Row(JsonNode board, string name) =>
        board["rows"]!.AsArray().Single(r => r!.Text("name").StartsWith(name, StringComparison.Ordinal))!;

    private static JsonNode Cell(JsonNode row, string stage) => row["cells"]!.AsArray().Single(c => c!.Text("stage") == stage)!;
}
