using System.Text.Json.Nodes;
using Shouldly;
using Umbracell.Core.Conditions;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>A firm holds margins of the gate tighter than the rules, and gate and ways to spray in the cold go by them.</summary>
[Collection(EditedRecords.FirmRates)]
public sealed class MarginsTests(Product product)
{
    public static TheoryData<GateMargin> Margins => [.. Enum.GetValues<GateMargin>()];

    [Theory]
    [MemberData(nameof(Margins))]
    public async Task A_looser_margin_is_refused_and_blank_goes_back_to_the_rules(GateMargin margin)
    {
        var client = await product.SignedInAsync(EditedRecords.FirmOwner);
        var range = GateMarginRange.Of(margin);
        var looser = range.OfRules - (range.Tightest - range.OfRules) * 0.01;
        foreach (var (typed, expected) in new[] { (range.Tightest, 200), (looser, 400), (range.OfRules, 200), (range.Tightest, 200) })
        {
            var (status, answer) = await TypeAsync(client, margin, Typed(typed));
            status.ShouldBe(expected, $"{margin} {typed}: {answer.ToJsonString()}");
            if (expected == 200)
            {
                var held = Of(answer, margin)["held"];
                (held is null).ShouldBe(typed == range.OfRules);
            }
        }

        var (_, blank) = await TypeAsync(client, margin, "");
        Of(blank, margin)["held"].ShouldBeNull();
    }

    [Fact]
    public async Task What_stands_in_a_field_can_be_typed_as_it_stands_in_either_unit_system()
    {
        var client = await product.SignedInAsync(EditedRecords.FirmOwner);
        foreach (var margin in Enum.GetValues<GateMargin>())
        {
            foreach (var units in new[] { "us", "metric" })
            {
                foreach (var figure in new[] { "ofRules", "tightest" })
                {
                    var told = Of(await client.GetJsonAsync("/api/firm"), margin)[figure]!.Text(units);
                    var edit = Asking.Typed(null, units, (Of(await client.GetJsonAsync("/api/firm"), margin).Text("field"), told));
                    var (status, answer) = await client.SendJsonAsync(HttpMethod.Patch, "/api/firm", edit);
                    status.ShouldBe(200, $"{margin} {told}: {answer.ToJsonString()}");
                }
            }

            await TypeAsync(client, margin, "");
        }
    }

    [Fact]
    public async Task The_gate_goes_by_the_firms_margin_and_says_so_until_it_is_taken_back()
    {
        var client = await product.SignedInAsync(EditedRecords.FirmOwner);
        await TypeAsync(client, GateMargin.GreatestHumidityPct, "");
        (await HumidityAsync(client)).ShouldBe(("under", "clear", 80));
        var id = Guid.CreateVersion7();
        var (status, _) = await client.SendJsonAsync(
            HttpMethod.Patch,
            "/api/firm",
            new
            {
                id,
                version = (uint?)null,
                units = "metric",
                fields = new Dictionary<string, string> { ["margin:greatestHumidityPct"] = "60" },
            }
        );
        status.ShouldBe(200);
        (await HumidityAsync(client)).ShouldBe(("ownOver", "hold", 60));
        (await client.SendJsonAsync(HttpMethod.Post, $"/api/commands/{id}/undo", new { })).Status.ShouldBe(200);
        (await HumidityAsync(client)).ShouldBe(("under", "clear", 80));
    }

    [Fact]
    public async Task The_core_beside_the_page_is_given_the_margins()
    {
        var client = await product.SignedInAsync(EditedRecords.FirmOwner);
        await TypeAsync(client, GateMargin.DewHoldK, "4");
        (await client.GetJsonAsync("/api/supplies"))["margins"]!.Number("dewHoldK").ShouldBe(4, 1e-9);
        await TypeAsync(client, GateMargin.DewHoldK, "");
    }

    private static async Task<(string Case, string Verdict, double Limit)> HumidityAsync(HttpClient client)
    {
        var question = new
        {
            sheetId = "marl-cc-20",
            substrateKind = "wood",
            substrate = new { tempC = 25 },
            air = new { tempC = 20 },
            humidity = new { rhPct = 65 },
            prepared = Array.Empty<string>(),
        };
        var (status, gate) = await client.SendJsonAsync(HttpMethod.Post, "/api/compute/gate", question);
        status.ShouldBe(200, gate.ToJsonString());
        var finding = gate["findings"]!.AsArray().Single(f => f!.Text("rule") == "G4")!;
        return (finding.Text("case"), finding.Text("verdict"), finding["limit"]!.Number("amount"));
    }

    private static string Typed(double value) => value.ToString("R", System.Globalization.CultureInfo.InvariantCulture);

    private static JsonNode Of(JsonNode firm, GateMargin margin) =>
        firm["margins"]!.AsArray().Single(one => one!.Text("margin") == Sentences.Camel(margin.ToString()))!;

    private static Task<(int Status, JsonNode Answer)> TypeAsync(HttpClient client, GateMargin margin, string typed) =>
        client.SendJsonAsync(
            HttpMethod.Patch,
            "/api/firm",
            Asking.Typed(null, "metric", ("margin:" + Sentences.Camel(margin.ToString()), typed))
        );
}
