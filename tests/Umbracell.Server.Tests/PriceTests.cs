using System.Text;
using System.Text.Json.Nodes;
using Shouldly;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Price, order, stock and past jobs through the interface.</summary>
public sealed class PriceTests(Product product)
{
    [Fact]
    public async Task A_bid_keeps_its_season_and_moving_the_day_to_January_tells_why_it_costs_more()
    {
        var client = product.WithToken();
        var job = await PricedJobs.WallsAsync(client, "Season job", "2026-07-15");
        var july = await client.GetJsonAsync($"/api/jobs/{job}/price");
        july["surfaces"]![0]!.Text("from").ShouldBe("season");
        july["surfaces"]![0]!.Text("route").ShouldBe("straight");
        Sum(july).ShouldBe(Money(july, "price"), 0.02);
        var (kept, _) = await client.SendJsonAsync(HttpMethod.Post, $"/api/jobs/{job}/bids", new { });
        kept.ShouldBe(200);

        await MoveAsync(client, job, "2027-01-15");
        var january = await client.GetJsonAsync($"/api/jobs/{job}/price");
        var bid = january["kept"]![0]!;
        bid["dearer"]!.GetValue<bool>().ShouldBeTrue();
        bid.Text("workDate").ShouldBe("2026-07-15");
        bid["surfaces"]![0]!.Text("routeAfter").ShouldNotBe("straight");
        var signed = bid["changes"]!.AsArray().Sum(c => c!["difference"]!.Number("amount") * (c["dearer"]!.GetValue<bool>() ? 1 : -1));
        signed.ShouldBe(Money(january, "price") - Money(july, "price"), 0.05);

        // The board's foot says the same price, and the cell is stale.
        var board = await client.GetJsonAsync($"/api/jobs/{job}/board");
        board["feet"]!["price"]!.Number("amount").ShouldBe(Money(january, "price"), 0.01);
        var cell = board["rows"]![0]!["cells"]!.AsArray().Single(c => c!.Text("stage") == "sets")!;
        cell["stale"]!.GetValue<bool>().ShouldBeTrue();
        cell["figures"]!["sets"]!.Number("amount").ShouldBe(january["surfaces"]![0]!["sets"]!.Number("amount"), 1e-9);
        board["feet"]!["sets"]!.Number("amount").ShouldBe(january["surfaces"]!.AsArray().Sum(s => s!["sets"]!.Number("amount")), 1e-9);

        var routes = await client.GetJsonAsync($"/api/surfaces/{board["rows"]![0]!.Text("id")}/cold-routes");
        routes["routes"]!.AsArray().Single(r => r!.Text("kind") == "straight")!["held"]!.GetValue<bool>().ShouldBeTrue();
        var priced = routes["routes"]!.AsArray().Single(r => r!["chosen"]!.GetValue<bool>())!;
        priced["held"]!.GetValue<bool>().ShouldBeFalse();
        (await client.SendJsonAsync(HttpMethod.Delete, $"/api/bids/{bid.Text("id")}", new { })).Status.ShouldBe(200);
    }

    [Fact]
    public async Task What_a_paper_says_of_a_surface_is_what_its_own_screens_say()
    {
        var client = await product.SignedInAsync("estimator@ninthacre.example");
        var seen = 0;
        foreach (var name in Asking.DemoJobs)
        {
            var job = await client.DemoJobAsync(name);
            var cells = (await client.GetJsonAsync($"/api/jobs/{job}/board"))["rows"]!
                .AsArray()
                .ToDictionary(r => r!.Text("id"), r => r!["cells"]!.AsArray().Single(c => c!.Text("stage") == "section")!["figures"]!);
            var surfaces = (await client.GetJsonAsync($"/api/jobs/{job}/surfaces")).AsArray().ToDictionary(s => s!.Text("id"), s => s!);
            foreach (var priced in (await client.GetJsonAsync($"/api/jobs/{job}/price"))["surfaces"]!.AsArray())
            {
                priced!["treated"]!
                    .Text("us")
                    .ShouldBe(surfaces[priced.Text("id")]["treatedArea"]!["figure"]!.Text("us"), priced.Text("name"));
                (priced["r"]?.Text("us")).ShouldBe(cells[priced.Text("id")]["foamR"]?.Text("us"), priced.Text("name"));
                priced["layers"]!
                    .AsArray()
                    .Sum(l => l!["thickness"]!.Number("amount"))
                    .ShouldBe(cells[priced.Text("id")]["thickness"]?.Number("amount") ?? 0, 1e-9);
                seen++;
            }
        }

        seen.ShouldBeGreaterThan(8);
    }

    [Fact]
    public async Task Drums_are_counted_by_side_and_what_cannot_be_is_named()
    {
        var client = product.WithToken();
        var before = await SetsOf(client, "slate-rf-30");
        before.ShouldBe((0, 0));
        foreach (var (side, full, part) in new[] { ("a", "2", "0"), ("b", "1", "109 kg") })
        {
            var (status, body) = await client.SendJsonAsync(
                HttpMethod.Post,
                "/api/stock",
                Asking.Typed(
                    null,
                    "metric",
                    ("product", "slate-rf-30"),
                    ("side", side),
                    ("lot", "T-" + side),
                    ("expires", "2031-05-01"),
                    ("full", full),
                    ("part", part)
                )
            );
            status.ShouldBe(200, body.ToJsonString());
        }

        var (a, b) = await SetsOf(client, "slate-rf-30");
        (a, b).ShouldBe((2, 1 + 109 / 218.0));
        foreach (
            var (field, text, code) in new[]
            {
                ("product", "unheard-of", "unknown"),
                ("side", "c", "unknown"),
                ("expires", "soon", "notADate"),
                ("full", "-1", "outOfRange"),
                ("lot", "", "empty"),
            }
        )
        {
            var fields = new Dictionary<string, string>
            {
                ["product"] = "slate-rf-30",
                ["side"] = "a",
                ["lot"] = "X",
                [field] = text,
            };
            var (status, body) = await client.SendJsonAsync(
                HttpMethod.Post,
                "/api/stock",
                Asking.Typed(null, "us", [.. fields.Select(f => (f.Key, f.Value))])
            );
            status.ShouldBe(400);
            body["faults"]!.AsArray().Select(f => f!.Text("code")).ShouldContain(code, field);
        }

        async Task<(double A, double B)> SetsOf(HttpClient of, string sheet)
        {
            var one = (await of.GetJsonAsync("/api/stock"))["products"]!.AsArray().FirstOrDefault(p => p!.Text("sheetId") == sheet);
            return one is null ? (0, 0) : (one["setsA"]!.Number("amount"), one["setsB"]!.Number("amount"));
        }
    }

    [Fact]
    public async Task A_table_of_past_jobs_is_taken_whole_or_not_at_all()
    {
        var client = product.WithToken();
        const string Header = "Job;Crew;Product;Finished on;Area;Depth;Sets used;Substrate;Drums;Lift";
        const string Good = "Barn A;Wren;Marl CC-20;2026-05-04;1200;3 1/2;0,95;61 F;70 F;1 3/4";
        var bad = await ImportAsync(client, $"{Header}\n{Good}\nBarn B;Wren;No Such Foam;2026-13-04;-5;3;1;61;70;2\n", take: true);
        bad["taken"]!.GetValue<bool>().ShouldBeFalse();
        bad["faults"]!.AsArray().Select(f => f!["line"]!.GetValue<int>()).Distinct().ShouldBe([3]);
        bad["faults"]!.AsArray().Count.ShouldBe(3);
        (await JobsOf(client, "Wren")).ShouldBe(0);

        var seen = await ImportAsync(client, $"{Header}\n{Good}\n", take: false);
        (seen["jobs"]!.GetValue<int>(), seen["taken"]!.GetValue<bool>()).ShouldBe((1, false));
        (await JobsOf(client, "Wren")).ShouldBe(0);
        (await ImportAsync(client, $"{Header}\n{Good}\n", take: true))["taken"]!.GetValue<bool>().ShouldBeTrue();
        (await JobsOf(client, "Wren")).ShouldBe(1);

        // A crew's own scatter speaks from thirty depth readings on.
        await ImportAsync(client, $"{Header};Readings;Depth scatter\n{Good};31;4 mm\n", take: true);
        (await client.GetJsonAsync("/api/past-jobs"))["crews"]!
            .AsArray()
            .Single(c => c!.Text("crew") == "Wren" && c!.Text("family") == "closedStandard")!["scatter"]!["figure"]!
            .Number("amount")
            .ShouldBe(0.004, 1e-9);

        (await ImportAsync(client, "Job;Crew\nBarn;Wren\n", take: true))["faults"]!
            .AsArray()
            .Select(f => f!.Text("sentence"))
            .ShouldContain("The column 'sets' is missing.");
    }

    [Fact]
    public async Task A_job_left_out_with_a_reason_no_longer_moves_its_crew()
    {
        var client = product.WithToken();
        var (_, added) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/past-jobs",
            Asking.Typed(
                null,
                "us",
                ("name", "Odd one"),
                ("crew", "Dipper"),
                ("product", "marl-cc-20"),
                ("finished", "2026-06-01"),
                ("area", "1500"),
                ("meanDepth", "3"),
                ("sets", "1.4"),
                ("substrate", "70"),
                ("drum", "72"),
                ("lift", "1 1/2")
            )
        );
        var job = added["jobs"]!.AsArray().Single(j => j!.Text("name") == "Odd one")!;
        Factor(added).ShouldBeLessThan(0.99);
        var (status, left) = await client.SendJsonAsync(
            HttpMethod.Patch,
            $"/api/past-jobs/{job.Text("id")}",
            Asking.Typed(job["version"]!.GetValue<uint>(), "us", ("leftOut", "Off-ratio for a day"))
        );
        status.ShouldBe(200);
        left["crews"]!.AsArray().ShouldNotContain(c => c!.Text("crew") == "Dipper");
        left["jobs"]!.AsArray().Single(j => j!.Text("name") == "Odd one")!.Text("leftOutBecause").ShouldBe("Off-ratio for a day");
        (
            await client.SendJsonAsync(
                HttpMethod.Patch,
                $"/api/past-jobs/{job.Text("id")}",
                Asking.Typed(job["version"]!.GetValue<uint>(), "us", ("sets", "2"))
            )
        ).Status.ShouldBe(409);

        static double Factor(JsonNode answer) =>
            answer["crews"]!.AsArray().Single(c => c!.Text("crew") == "Dipper" && c!.Text("family") == "closedStandard")!["factor"]![
                "figure"
            ]!.Number("amount");
    }

    [Fact]
    public async Task The_order_counts_stock_against_the_load_and_says_when_the_blankets_go_on()
    {
        var client = product.WithToken();
        var job = await PricedJobs.WallsAsync(client, "Order job", "2027-01-15");
        var order = await client.GetJsonAsync($"/api/jobs/{job}/order");
        order.Text("orderBy").ShouldBe("2027-01-09");
        var line = order["lines"]![0]!;
        var onHand = Math.Min(line["setsA"]!.Number("amount"), line["setsB"]!.Number("amount"));
        (line["orderCount"]!.GetValue<int>() + onHand).ShouldBeGreaterThanOrEqualTo(line["load"]!.GetValue<int>() - 1e-6);
        line["drums"]!.AsArray().ShouldAllBe(d => d!["lead"]!["figure"]!.Number("amount") > 3600);
    }

    private static async Task MoveAsync(HttpClient client, string job, string day)
    {
        var version = (await client.GetJsonAsync($"/api/jobs/{job}/price"))["jobVersion"]!.GetValue<uint>();
        (await client.SendJsonAsync(HttpMethod.Patch, $"/api/jobs/{job}", Asking.Typed(version, "us", ("workDate", day)))).Status.ShouldBe(
            200
        );
    }

    private static double Sum(JsonNode price) => price["bid"]!["lines"]!.AsArray().Sum(l => l!["amount"]!["figure"]!.Number("amount"));

    private static double Money(JsonNode price, string figure) => price["bid"]!["figures"]![figure]!.Number("amount");

    private static async Task<int> JobsOf(HttpClient client, string crew) =>
        (await client.GetJsonAsync("/api/past-jobs"))["jobs"]!.AsArray().Count(j => j!.Text("crew") == crew);

    private static async Task<JsonNode> ImportAsync(HttpClient client, string table, bool take)
    {
        using var content = new ByteArrayContent(Encoding.UTF8.GetBytes(table));
        content.Headers.ContentType = new("application/octet-stream");
        var answer = await client.PostAsync($"/api/past-jobs/import?units=us&take={take}", content, TestContext.Current.CancellationToken);
        answer.StatusCode.ShouldBe(
            System.Net.HttpStatusCode.OK,
            await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken)
        );
        return JsonNode.Parse(await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken))!;
    }
}
