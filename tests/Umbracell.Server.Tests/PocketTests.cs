using System.Text.Json;
using System.Text.Json.Nodes;
using Shouldly;
using Umbracell.Core.Quantities;
using Umbracell.Questions;
using Umbracell.Questions.Pocket;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Quick answers are those of the stages, and what cannot be read is told at its field.</summary>
public sealed class PocketTests(Product product)
{
    [Theory]
    [InlineData("marl-cc-20", 74.3, 76.2)]
    [InlineData("fleece-oc-5", 12, 140)]
    [InlineData("slate-rf-30", 200, 50)]
    public async Task Sets_and_price_are_those_of_the_stage_and_of_the_bid(string sheet, double m2, double mm)
    {
        var client = await product.SignedInAsync("owner@ninthacre.example");
        var pocket = await AskAsync(client, "sets", sheet, ("area", $"{m2} m2"), ("thickness", $"{mm} mm"));
        var (_, sets) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/compute/sets",
            new
            {
                sheetId = sheet,
                areaM2 = m2,
                thicknessMm = mm,
            }
        );
        foreach (var figure in new[] { "volume", "median", "load", "yield" })
        {
            Printed(pocket, figure).ShouldBe(Printed(sets, figure), figure);
        }

        var foam = new
        {
            sheetId = sheet,
            boardFeet = sets.Number("boardFeet"),
            sets = sets.Number("medianSets"),
        };
        var (_, bid) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/compute/bid",
            new
            {
                surfaces = new[]
                {
                    new
                    {
                        name = "One",
                        treatedM2 = m2,
                        foams = new[] { foam },
                    },
                },
            }
        );
        Printed(pocket, "price").ShouldBe(bid["figures"]!["price"]!.Text("us"));
        Printed(pocket, "cost").ShouldBe(bid["figures"]!["cost"]!.Text("us"));
    }

    [Theory]
    [InlineData(21, 55, 11, "hold")]
    [InlineData(21, 55, 15.2, "care")]
    [InlineData(21, 55, 30, "clear")]
    public async Task The_dew_margin_is_the_gates(double air, double rh, double surface, string verdict)
    {
        var client = await product.SignedInAsync("helper@ninthacre.example");
        var pocket = await AskAsync(client, "dew", "marl-cc-20", ("air", $"{air} C"), ("humidity", $"{rh}"), ("surface", $"{surface} C"));
        object Read(double tempC) =>
            new
            {
                tempC,
                ageMin = 0,
                instrument = "",
            };
        var (_, gate) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/compute/gate",
            new
            {
                sheetId = "marl-cc-20",
                substrateKind = "metal",
                air = Read(air),
                substrate = Read(surface),
                humidity = new
                {
                    rhPct = rh,
                    ageMin = 0,
                    instrument = "",
                },
                prepared = Array.Empty<string>(),
            }
        );
        var finding = gate["findings"]!.AsArray().Single(one => one!.Text("rule") == "G3")!;
        (pocket["finding"]!.Text("verdict"), finding.Text("verdict")).ShouldBe((verdict, verdict));
        Printed(pocket, "margin").ShouldBe(finding["measured"]!.Text("us"));
        Printed(pocket, "dewPoint").ShouldBe(gate["dewPoint"]!.Text("us"));
    }

    [Fact]
    public async Task Nobody_who_may_not_price_is_told_a_price()
    {
        var client = await product.SignedInAsync("lead@ninthacre.example");
        var pocket = await AskAsync(client, "sets", "marl-cc-20", ("area", "800 ft2"), ("thickness", "3 in"));
        pocket["figures"]!.AsObject().Select(figure => figure.Key).ShouldBe(["volume", "median", "load", "yield"], ignoreOrder: true);
    }

    [Theory]
    [InlineData(false, 0, "noPrice")]
    [InlineData(true, 0, "noRates")]
    public async Task What_a_price_lacks_is_told_beside_it(bool hasPrice, double crewHour, string note)
    {
        var client = await product.SignedInAsync("owner@ninthacre.example");
        var told = await client.GetStringAsync("/api/supplies", TestContext.Current.CancellationToken);
        var supplies = JsonSerializer.Deserialize(told, QuestionsJson.Wire.Supplies)!;
        var prices = hasPrice ? supplies.Rates!.SetPrice : new Dictionary<string, double>();
        var asked = supplies with { Rates = supplies.Rates! with { SetPrice = prices, CrewHour = crewHour } };
        var fields = new Dictionary<string, string> { ["area"] = "800 ft2", ["thickness"] = "3 in" };
        PocketQuestions.Answer(new(PocketCard.Sets, "marl-cc-20", UnitSystem.Us, fields), asked).Note.ShouldBe(note);
        PocketQuestions.Answer(new(PocketCard.Sets, "marl-cc-20", UnitSystem.Us, fields), supplies).Note.ShouldBeNull();
    }

    [Theory]
    [InlineData("R-21")]
    [InlineData("r 21")]
    [InlineData("21")]
    public async Task A_thickness_reaches_the_R_it_is_asked_for(string typed)
    {
        var client = await product.SignedInAsync("owner@ninthacre.example");
        var pocket = await AskAsync(client, "thickness", "marl-cc-20", ("r", typed));
        // Between 3 in and 4 in: 3 + 0.6 / 7.2 in, rounded up to an eighth.
        Printed(pocket, "thickness").ShouldBe("3 1/8 in");
        Printed(pocket, "lifts").ShouldBe("2");
    }

    [Fact]
    public async Task A_drum_warms_as_the_drum_question_says()
    {
        var client = await product.SignedInAsync("owner@ninthacre.example");
        var pocket = await AskAsync(client, "drums", "marl-cc-20", ("drum", "5 C"), ("around", "10 C"), ("blanket", "1 kW"));
        var (_, drum) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/compute/drum",
            new
            {
                side = "b",
                massKg = 215,
                startTempC = 5,
                aroundTempC = 10,
                wantedTempC = 18,
                blanketW = 1000,
            }
        );
        Printed(pocket, "leadB").ShouldBe(drum["working"]!["result"]!.Text("us"));
        var bare = await AskAsync(client, "drums", "marl-cc-20", ("drum", "5 C"), ("around", "10 C"));
        bare.Text("note").ShouldBe("neverWarm");
    }

    [Theory]
    [InlineData("sets", "thickness", "900 mm")]
    [InlineData("sets", "area", "thick")]
    [InlineData("dew", "humidity", "140")]
    [InlineData("dew", "air", "12 kg")]
    [InlineData("thickness", "r", "R-")]
    [InlineData("inch", "present", "-3")]
    [InlineData("drums", "drum", "hot")]
    public async Task What_cannot_be_read_is_told_at_its_field(string card, string field, string text)
    {
        var client = await product.SignedInAsync("owner@ninthacre.example");
        var all = new Dictionary<string, string>
        {
            ["air"] = "20 C",
            ["humidity"] = "50",
            ["surface"] = "15 C",
            ["area"] = "10 m2",
            ["thickness"] = "50 mm",
            ["drum"] = "5 C",
            ["around"] = "5 C",
            [field] = text,
        };
        var pocket = await AskAsync(client, card, "marl-cc-20", [.. all.Select(one => (one.Key, one.Value))]);
        pocket["figures"]!.AsObject().Count.ShouldBe(0);
        pocket["faults"]!.AsArray().Single()!.Text("field").ShouldBe(field);
    }

    [Fact]
    public async Task Nothing_typed_is_no_fault_and_a_sheet_is_not_carried_past_its_end()
    {
        var client = await product.SignedInAsync("owner@ninthacre.example");
        var blank = await AskAsync(client, "dew", "marl-cc-20", ("air", " "));
        (blank["figures"]!.AsObject().Count, blank["faults"]!.AsArray().Count).ShouldBe((0, 0));
        var past = await AskAsync(client, "thickness", "marl-cc-20", ("r", "R-60"));
        (past.Text("note"), Printed(past, "thickest"), Printed(past, "greatestR")).ShouldBe(("pastSheet", "6 in", "R-42.0"));
        var thick = (await AskAsync(client, "sets", "marl-cc-20", ("area", "10 m2"), ("thickness", "8 in")))["faults"]![0]!;
        (thick.Text("field"), thick.Text("code"), thick.Text("typed"), thick["greatest"]!.Text("us")).ShouldBe(
            ("thickness", "outOfRange", "8 in", "6 in")
        );
    }

    private static string Printed(JsonNode answer, string figure) => answer["figures"]![figure]!["figure"]!.Text("us");

    private static async Task<JsonNode> AskAsync(
        HttpClient client,
        string card,
        string sheetId,
        params (string Field, string Text)[] fields
    )
    {
        var (status, answer) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/compute/pocket",
            new
            {
                card,
                sheetId,
                units = "us",
                fields = fields.ToDictionary(one => one.Field, one => one.Text),
            }
        );
        status.ShouldBe(200, answer.ToJsonString());
        return answer;
    }
}
