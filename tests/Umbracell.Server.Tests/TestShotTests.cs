using System.Text.Json.Nodes;
using Shouldly;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>A test shot asked by another program.</summary>
public sealed class TestShotTests(Product product)
{
    private Task<(int Status, JsonNode Body)> AskAsync(JsonObject shot) =>
        product.WithToken().SendJsonAsync(HttpMethod.Post, "/api/compute/test-shot", shot);

    private static JsonObject Shot(JsonObject? seen = null, double? pressureB = null) =>
        new()
        {
            ["sheetId"] = "marl-cc-20",
            ["pressureAMpa"] = 7.6,
            ["pressureBMpa"] = pressureB ?? 7.6,
            ["seen"] = seen ?? Good(),
        };

    private static JsonObject Good() =>
        new()
        {
            ["creamS"] = 1.5,
            ["tackFreeS"] = 9,
            ["rise"] = "full",
            ["skin"] = "smooth",
            ["cells"] = "fine",
            ["colour"] = "usual",
            ["feel"] = "firm",
            ["adhesion"] = "holds",
        };

    [Fact]
    public async Task A_good_shot_is_acceptable_and_one_off_ratio_never_is()
    {
        var (status, good) = await AskAsync(Shot());
        status.ShouldBe(200);
        good["acceptable"]!.GetValue<bool>().ShouldBeTrue(good.ToJsonString());
        good["causes"]!.AsArray().Sum(one => one!["chance"]!.GetValue<double>()).ShouldBe(1, 1e-9);
        good["causes"]![0]!.Text("id").ShouldBe("none");
        var (_, apart) = await AskAsync(Shot(pressureB: 5.9));
        apart["acceptable"]!.GetValue<bool>().ShouldBeFalse();
        apart["findings"]!.AsArray().Select(one => one!.GetValue<string>()).ShouldBe(["pressuresApart"]);
    }

    [Theory]
    [InlineData("feel", "brittle", "richA")]
    [InlineData("feel", "sticky", "richB")]
    [InlineData("adhesion", "peels", "coldSubstrate", "wetSubstrate")]
    [InlineData("skin", "coarse", "wornChamber", "wetSubstrate")]
    public async Task What_a_hand_would_say_of_one_sign_is_among_the_first(string sign, string value, params string[] causes)
    {
        var seen = Good();
        seen[sign] = value;
        var (_, told) = await AskAsync(Shot(seen));
        told["causes"]!
            .AsArray()
            .Where(one => one!.Text("id") != "none")
            .Take(4)
            .Select(one => one!.Text("id"))
            .ShouldContain(id => causes.Contains(id), told.ToJsonString());
    }

    [Theory]
    [InlineData("""{"sheetId": "marl-cc-20", "seen": {"creamS": 9, "tackFreeS": 2}}""", "tack-free time")]
    [InlineData("""{"sheetId": "marl-cc-20", "seen": {"creamS": 700}}""", "creamS")]
    [InlineData("""{"sheetId": "marl-cc-20", "substrateTempC": 400}""", "substrateTempC")]
    [InlineData("""{"sheetId": "nothing"}""", "nothing")]
    [InlineData("""{"sheetId": "marl-cc-20", "seen": {"feel": "odd"}}""", "seen.feel")]
    public async Task What_cannot_be_is_a_sentence(string shot, string told)
    {
        var (status, answer) = await AskAsync(JsonNode.Parse(shot)!.AsObject());
        status.ShouldBe(400);
        answer.Text("detail").ShouldContain(told);
    }
}
