using System.Text.Json.Nodes;
using Shouldly;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>What the firm pays and earns is for the owner and the estimators alone.</summary>
public sealed class RightsTests(Product product)
{
    private const string Owner = "owner@ninthacre.example",
        Estimator = "estimator@ninthacre.example",
        Lead = "lead@ninthacre.example",
        Viewer = "viewer@ninthacre.example";

    [Theory]
    [InlineData(Owner, true)]
    [InlineData(Estimator, true)]
    [InlineData(Lead, false)]
    [InlineData(Viewer, false)]
    public async Task Rates_overhead_and_profit_are_seen_and_changed_by_those_who_price(string who, bool mayPrice)
    {
        var client = await product.SignedInAsync(who);
        (await client.GetJsonAsync("/api/session"))["rights"]!.AsArray().Any(r => r!.GetValue<string>() == "price").ShouldBe(mayPrice);
        var firm = await client.GetJsonAsync("/api/firm");
        (firm["rates"] is not null).ShouldBe(mayPrice);
        firm["practice"].ShouldNotBeNull();

        // As they are kept already, so that other tests of this firm see no change.
        var kept = await (await product.SignedInAsync(Owner)).GetJsonAsync("/api/firm");
        var rates = kept["rates"]!["work"]!.AsArray().Concat(kept["rates"]!["sets"]!.AsArray()).ToList();
        string Rate(string field) => rates.Find(r => r!.Text("field") == field)!["figure"]?.Text("us") ?? "";
        foreach (
            var (field, text) in new[]
            {
                ("overhead", Rate("overhead")),
                ("set:marl-cc-20", Rate("set:marl-cc-20")),
                ("currency", kept.Text("currency")),
            }
        )
        {
            var (status, _) = await client.SendJsonAsync(HttpMethod.Patch, "/api/firm", Asking.Typed(null, "us", (field, text)));
            status.ShouldBe(mayPrice ? 200 : 403, field);
        }
    }

    [Theory]
    [InlineData(Estimator, 200)]
    [InlineData(Lead, 403)]
    [InlineData(Viewer, 403)]
    public async Task Bids_and_what_is_made_from_them_likewise(string who, int expected)
    {
        var (client, job) = await FerryHouseAsync(who);
        var surface = (await client.GetJsonAsync($"/api/jobs/{job}/board"))["rows"]![0]!.Text("id");
        foreach (var path in new[] { $"/api/jobs/{job}/price", $"/api/surfaces/{surface}/alternatives" })
        {
            ((int)(await client.GetAsync(path, TestContext.Current.CancellationToken)).StatusCode).ShouldBe(expected, path);
        }

        var bid = new
        {
            surfaces = new[]
            {
                new
                {
                    name = "One",
                    treatedM2 = 20,
                    foams = new[]
                    {
                        new
                        {
                            sheetId = "marl-cc-20",
                            boardFeet = 500,
                            sets = 0.2,
                        },
                    },
                },
            },
        };
        (await client.SendJsonAsync(HttpMethod.Post, "/api/compute/bid", bid)).Status.ShouldBe(expected);
    }

    [Theory]
    [InlineData(Estimator, true)]
    [InlineData(Lead, false)]
    [InlineData(Viewer, false)]
    public async Task Neither_board_nor_job_file_tells_others_what_is_earned(string who, bool told)
    {
        var (estimator, job) = await FerryHouseAsync(Estimator);
        (await estimator.SendJsonAsync(HttpMethod.Post, $"/api/jobs/{job}/bids", new { })).Status.ShouldBe(200);
        var client = await product.SignedInAsync(who);
        var feet = (await client.GetJsonAsync($"/api/jobs/{job}/board"))["feet"]!;
        (feet["price"] is not null, feet["cost"] is not null).ShouldBe((told, told));
        var ordered = (await client.GetJsonAsync($"/api/jobs/{job}/order"))["lines"]!.AsArray();
        ordered.Count.ShouldBeGreaterThan(0);
        ordered.Select(line => line!["price"] is not null).Distinct().ShouldBe([told]);
        var bids = (await client.GetJsonAsync($"/api/jobs/{job}/file"))["bids"];
        (bids is JsonArray { Count: > 0 }).ShouldBe(told);
    }

    [Theory]
    [InlineData(Estimator, true)]
    [InlineData(Lead, false)]
    [InlineData(Viewer, false)]
    public async Task A_choice_is_ranked_alike_for_everybody_and_says_what_was_paid_to_those_who_price(string who, bool told)
    {
        var (estimator, job) = await FerryHouseAsync(Estimator);
        var client = await product.SignedInAsync(who);
        var surface = (await client.GetJsonAsync($"/api/jobs/{job}/board"))["rows"]!
            .AsArray()
            .First(row => row!.Text("name").Contains("Slip hall roof", StringComparison.Ordinal))!
            .Text("id");
        var (seen, whole) = (await AskedAsync(client), await AskedAsync(estimator));
        Ranked(seen).ShouldBe(Ranked(whole));
        MoneyIn(whole).ShouldNotBeEmpty();
        MoneyIn(seen).Any().ShouldBe(told);

        // The same by the way of any surface, of all surfaces, and on paper.
        var question = (await client.GetJsonAsync($"/api/surfaces/{surface}/choose"))["question"]!;
        var (status, asked) = await client.SendJsonAsync(HttpMethod.Post, "/api/compute/choice", question);
        status.ShouldBe(200, asked.ToJsonString());
        MoneyIn(asked).Any().ShouldBe(told);
        (await client.GetJsonAsync($"/api/jobs/{job}/choose")).AsArray().Any(line => line!["cost"] is not null).ShouldBe(told);
        var systems = seen["candidates"]!.AsArray().Take(2).Select(c => c!.Text("id"));
        var (made, paper) = await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/jobs/{job}/papers",
            new
            {
                kind = "comparison",
                units = "us",
                surfaceId = surface,
                systems,
            }
        );
        made.ShouldBe(200, paper.ToJsonString());
        var csv = await client.GetStringAsync($"/api/papers/{paper.Text("id")}/csv", TestContext.Current.CancellationToken);
        csv.Split("\r\n").Any(line => line.StartsWith("Cost,", StringComparison.Ordinal)).ShouldBe(told, csv);

        async Task<JsonNode> AskedAsync(HttpClient of) => (await of.GetJsonAsync($"/api/surfaces/{surface}/choose"))["answer"]!;

        static List<string> Ranked(JsonNode answer) =>
            [.. answer["candidates"]!.AsArray().Select(c => $"{c!.Text("id")} {c!["totalScore"]}")];
    }

    // Whatever is of money, wherever it stands: costs, and prices and costs down the workings.
    private static IEnumerable<string> MoneyIn(JsonNode? node, string path = "") =>
        node switch
        {
            JsonObject o => o.SelectMany(p =>
                (p.Key == "cost" && p.Value is not null) || (p.Key == "name" && p.Value is JsonValue v && IsMoney(v.ToString()))
                    ? [$"{path}.{p.Key}"]
                    : MoneyIn(p.Value, $"{path}.{p.Key}")
            ),
            JsonArray a => a.SelectMany((one, i) => MoneyIn(one, $"{path}[{i}]")),
            _ => [],
        };

    private static bool IsMoney(string name) =>
        name.StartsWith("materialCost:", StringComparison.Ordinal)
        || name is "foamCost" or "crewCost" or "setPrice" or "crewHour" or "tearOff" or "newCovering";

    [Fact]
    public async Task What_a_crew_needs_on_site_is_still_theirs()
    {
        var (client, job) = await FerryHouseAsync(Lead);
        await client.GetJsonAsync($"/api/jobs/{job}/order");
        var surface = (await client.GetJsonAsync($"/api/jobs/{job}/board"))["rows"]![0]!.Text("id");
        foreach (var page in new[] { "sets", "window", "section", "choose", "cold-routes" })
        {
            await client.GetJsonAsync($"/api/surfaces/{surface}/{page}");
        }
    }

    private async Task<(HttpClient Client, string Job)> FerryHouseAsync(string who)
    {
        var client = await product.SignedInAsync(who);
        return (client, await client.DemoJobAsync("ferry house"));
    }
}
