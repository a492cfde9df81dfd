using System.Text.Json.Nodes;
using Shouldly;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Money and paces by the area are typed and told in the reader's units, and kept as the same.</summary>
[Collection(EditedRecords.FirmRates)]
public sealed class RatesTests(Product product) : IClassFixture<Product>
{
    [Theory]
    [InlineData("tearOff", "us", "2", "2.00 per ft²", "21.53 per m²")]
    [InlineData("tearOff", "metric", "21.53", "2.00 per ft²", "21.53 per m²")]
    [InlineData("scaffold", "metric", "0.5 per ft²", "0.50 per ft²", "5.38 per m²")]
    [InlineData("battPace", "us", "160", "160.0 ft²/h", "14.9 m²/h")]
    [InlineData("maskPace", "us", "20 m2/h", "215.3 ft²/h", "20.0 m²/h")]
    [InlineData("material:batt-13", "us", "0.9", "0.90 per ft²", "9.69 per m²")]
    [InlineData("material:foam-board", "us", "1.1", "1.100 per bd ft", "0.466 per m² and mm")]
    [InlineData("material:foam-board", "metric", "0.466", "1.100 per bd ft", "0.466 per m² and mm")]
    [InlineData("crewHour", "us", "48.5", "48.50", "48.50")]
    public async Task A_rate_reads_alike_whoever_types_it(string field, string units, string typed, string us, string metric)
    {
        var client = await product.SignedInAsync(EditedRecords.FirmOwner);
        var (status, firm) = await client.SendJsonAsync(HttpMethod.Patch, "/api/firm", Asking.Typed(null, units, (field, typed)));
        status.ShouldBe(200, firm.ToJsonString());
        var figure = Rate(firm, field);
        (figure.Text("us"), figure.Text("metric")).ShouldBe((us, metric));
    }

    [Fact]
    public async Task What_is_typed_by_the_square_foot_is_what_a_bid_takes_for_its_square_feet()
    {
        var client = await product.SignedInAsync(EditedRecords.FirmOwner);
        await client.SendJsonAsync(HttpMethod.Patch, "/api/firm", Asking.Typed(null, "us", ("tearOff", "3 per ft²")));
        var roof = new
        {
            name = "Roof",
            treatedM2 = 100 * 0.09290304,
            foams = Array.Empty<object>(),
            newRoof = true,
        };
        var (status, bid) = await client.SendJsonAsync(HttpMethod.Post, "/api/compute/bid", new { surfaces = new[] { roof } });
        status.ShouldBe(200, bid.ToJsonString());
        var line = bid["lines"]!.AsArray().Single(l => l!.Text("key") == "tearOff")!;
        line["amount"]!["figure"]!.Number("amount").ShouldBe(300, 1e-6);
    }

    private static JsonNode Rate(JsonNode firm, string field) =>
        new[] { "sets", "materials", "work" }
            .SelectMany(part => firm["rates"]![part]!.AsArray())
            .Single(rate => rate!.Text("field") == field)!["figure"]!;
}
