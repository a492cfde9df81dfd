using System.Text;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Shouldly;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Surfaces as a table that people read and that comes back in as the same surfaces.</summary>
public sealed partial class SurfaceTableTests(Product product)
{
    private static readonly (string Kind, string Size)[] Treated =
    [
        ("studWall", "30' x 9'"),
        ("unventedDeck", "24' x 18' at 6:12"),
        ("metalRoof", "30' x 20' at 3:12"),
        ("underSlab", "20' x 12'"),
    ];

    [Theory]
    [InlineData("csv", "metric")]
    [InlineData("csv", "us")]
    [InlineData("xlsx", "metric")]
    [InlineData("xlsx", "us")]
    public async Task What_goes_out_comes_back_in_the_same(string kind, string units)
    {
        var client = await product.SignedInAsync("estimator@ninthacre.example");
        foreach (var name in Asking.DemoJobs)
        {
            await ShouldComeBackAsync(client, await client.DemoJobAsync(name), kind, units);
        }
    }

    [Fact]
    public async Task So_does_every_system_that_can_be_chosen()
    {
        var (client, job) = await Exchanging.JobAsync(product);
        var chosen = 0;
        foreach (var (surface, size) in Treated)
        {
            var first = await AddAsync(client, job, surface, size, $"{surface} 0");
            var offered = (await client.GetJsonAsync($"/api/surfaces/{first.Text("id")}/choose"))["answer"]!["candidates"]!
                .AsArray()
                .Where(c => !c!["excluded"]!.GetValue<bool>())
                .Select(c => c!.Text("id"))
                .ToList();
            for (var i = 0; i < offered.Count; i++)
            {
                var one = i == 0 ? first : await AddAsync(client, job, surface, size, $"{surface} {i}");
                var (status, answer) = await client.SendJsonAsync(
                    HttpMethod.Post,
                    $"/api/surfaces/{one.Text("id")}/choose",
                    new { version = one["version"]!.GetValue<uint>(), candidateId = offered[i] }
                );
                status.ShouldBe(200, answer.ToJsonString());
                chosen++;
            }
        }

        chosen.ShouldBeGreaterThan(15);
        var kinds = (await Exchanging.SurfacesOfFileAsync(client, job)).Select(s => s!["system"]?.Text("kind")).Distinct().Count();
        kinds.ShouldBeGreaterThan(4);
        await ShouldComeBackAsync(client, job, "csv", "us");
        await ShouldComeBackAsync(client, job, "xlsx", "metric");
    }

    [Theory]
    [InlineData("csv", "us")]
    [InlineData("xlsx", "metric")]
    public async Task So_do_reasons_conditions_expected_temperatures_and_layers_that_were_removed(string kind, string units)
    {
        var (client, job) = await Exchanging.JobAsync(product);
        var deck = (await AddAsync(client, job, "unventedDeck", "10' x 10' at 6:12", "Deck")).Text("id");
        var seen = await client.GetJsonAsync($"/api/surfaces/{deck}/choose");
        var open = seen["answer"]!["candidates"]!.AsArray().First(c => c!.Text("kind") == "openCell")!.Text("id");
        const string Reason = "old deck / owner's wish: \"dry; sound\" | see letter";
        var (status, refused) = await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/surfaces/{deck}/choose",
            new
            {
                version = seen["version"]!.GetValue<uint>(),
                candidateId = open,
                reason = Reason,
            }
        );
        status.ShouldBe(200, refused.ToJsonString());
        await PatchAsync(client, deck, "choose/facts", ("oldBuilding", "yes"), ("termites", "yes"), ("load", "12 psi"));
        await PatchAsync(
            client,
            deck,
            "",
            ("expectedSubstrate", "41 °F"),
            ("expectedDrum", "18.3 °C"),
            ("inboard", ""),
            ("memberDepth", "19 mm"),
            ("memberSpacing", "407 mm"),
            ("memberShare", "11.7 %")
        );
        var wall = (await AddAsync(client, job, "basementWall", "20' x 8'", "Crawl wall")).Text("id");
        await PatchAsync(client, wall, "", ("crawlSpace", "yes"));
        await ShouldComeBackAsync(client, job, kind, units);
    }

    [Fact]
    public async Task Only_those_who_may_set_a_rule_aside_bring_in_a_rule_set_aside()
    {
        const string Table =
            "Surface,Kind,Size,System\nDeck,\"roof deck, unvented\",10' x 10' at 6:12,Open cell: / overrides E1: asked for\n";
        foreach (var (who, faults) in new[] { ("estimator@ninthacre.example", 0), ("lead@ninthacre.example", 1) })
        {
            var (_, job) = await Exchanging.JobAsync(product);
            var client = await product.SignedInAsync(who);
            var dry = await Exchanging.ImportAsync(
                client,
                job,
                "table",
                new { content = Convert.ToBase64String(Encoding.UTF8.GetBytes(Table)), units = "us" }
            );
            dry["faulty"]!.GetValue<int>().ShouldBe(faults, dry.ToJsonString());
        }
    }

    [Theory]
    [InlineData("us")]
    [InlineData("metric")]
    public async Task It_is_written_in_words_and_in_figures_a_person_would_write(string units)
    {
        var client = await product.SignedInAsync("estimator@ninthacre.example");
        foreach (var name in new[] { "ferry house", "mill cottages", "seed store" })
        {
            var text = Encoding.UTF8.GetString(await FileAsync(client, await client.DemoJobAsync(name), "csv", units));
            LongDecimals().Match(text).Value.ShouldBe("");
            CodeNames().Match(text).Value.ShouldBe("");
        }
    }

    private static async Task ShouldComeBackAsync(HttpClient client, string from, string kind, string units)
    {
        var bytes = await FileAsync(client, from, kind, units);
        var (_, job) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/jobs",
            Asking.Typed(null, "us", ("name", "Exchange test"), ("climateZone", "5A"))
        );
        var to = job.Text("id");
        var dry = await Exchanging.ImportAsync(client, to, "table", new { content = Convert.ToBase64String(bytes), units });
        dry["faulty"]!
            .GetValue<int>()
            .ShouldBe(0, dry["rows"]!.AsArray().FirstOrDefault(r => r!["faults"]!.AsArray().Count > 0)?.ToJsonString() ?? "");
        await Exchanging.ImportAsync(client, to, "accept", new { units, rows = dry["rows"] });

        var (first, second) = (await Exchanging.SurfacesOfFileAsync(client, from), await Exchanging.SurfacesOfFileAsync(client, to));
        second.Count.ShouldBe(first.Count);
        foreach (var (a, b) in first.Zip(second))
        {
            Exchanging.ShouldBeTheSame(Kept(b!), Kept(a!), a!.Text("name"));
        }
    }

    private static async Task<byte[]> FileAsync(HttpClient client, string job, string kind, string units) =>
        await client.GetByteArrayAsync($"/api/jobs/{job}/surfaces.{kind}?units={units}");

    // All that a surface is; not its id, who entered it and when, nor what only a job file carries. Lengths agree to a nanometre.
    private static JsonNode? Kept(JsonNode? node) =>
        node switch
        {
            JsonObject o => new JsonObject(
                o.Where(p => !OfTheJobAlone.Contains(p.Key))
                    .Select(p => KeyValuePair.Create(p.Key, p.Key == "notes" ? OpenLeaks(p.Value!) : Kept(p.Value)))
            ),
            JsonArray a => new JsonArray([.. a.Select(Kept)]),
            JsonValue v when v.TryGetValue<double>(out var number) => JsonValue.Create(Math.Round(number, 9)),
            _ => node?.DeepClone(),
        };

    private static readonly HashSet<string> OfTheJobAlone = ["id", "changedAt", "bufferId", "chosenAt", "chosenBy"];

    private static JsonArray OpenLeaks(JsonNode notes) =>
        [
            .. notes
                .AsArray()
                .Where(n => n!.Text("kind") == "leak" && n!["mendedAt"] is null)
                .Select(n => JsonValue.Create(n!.Text("words"))),
        ];

    private static async Task<JsonNode> AddAsync(HttpClient client, string job, string kind, string size, string name)
    {
        var (status, surface) = await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/jobs/{job}/surfaces",
            Asking.Typed(null, "us", ("name", name), ("kind", kind), ("size", size))
        );
        status.ShouldBe(201, surface.ToJsonString());
        return surface;
    }

    private static async Task PatchAsync(HttpClient client, string surface, string what, params (string Field, string Text)[] fields)
    {
        var seen = await client.GetJsonAsync($"/api/surfaces/{surface}/choose");
        var (status, answer) = await client.SendJsonAsync(
            HttpMethod.Patch,
            $"/api/surfaces/{surface}{(what.Length == 0 ? "" : "/" + what)}",
            Asking.Typed(seen["version"]!.GetValue<uint>(), "us", fields)
        );
        status.ShouldBe(200, answer.ToJsonString());
    }

    [GeneratedRegex(@"\d\.\d{5,}")]
    private static partial Regex LongDecimals();

    [GeneratedRegex(@"\b[a-z]+[A-Z][a-z]+\b")]
    private static partial Regex CodeNames();
}
