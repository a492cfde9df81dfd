using System.Text.Json.Nodes;
using Shouldly;
using Umbracell.Store.Model;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Money and paces by the area are typed and told in the reader's units, and kept as the same.</summary>
[Collection(EditedRecords.FirmRates)]
public sealed class RatesTests(Product product)
{
    [Theory]
    [InlineData("tearOff", "us", "2", "¤2.00 per ft²", "¤21.53 per m²")]
    [InlineData("tearOff", "metric", "21.53", "¤2.00 per ft²", "¤21.53 per m²")]
    [InlineData("scaffold", "metric", "0.5 per ft²", "¤0.50 per ft²", "¤5.38 per m²")]
    [InlineData("battPace", "us", "160", "160.0 ft²/h", "14.9 m²/h")]
    [InlineData("maskPace", "us", "20 m2/h", "215.3 ft²/h", "20.0 m²/h")]
    [InlineData("material:batt-13", "us", "0.9", "¤0.90 per ft²", "¤9.69 per m²")]
    [InlineData("material:foam-board", "us", "1.1", "¤1.100 per bd ft", "¤466.15 per m³")]
    [InlineData("material:foam-board", "metric", "466.15", "¤1.100 per bd ft", "¤466.15 per m³")]
    [InlineData("material:foam-board", "metric", "0.466 per m2 and mm", "¤1.100 per bd ft", "¤466.00 per m³")]
    [InlineData("closedPace", "us", "1200", "1,200 bd ft/h", "2.83 m³/h")]
    [InlineData("openPace", "metric", "4.72", "2,000 bd ft/h", "4.72 m³/h")]
    [InlineData("openPace", "us", "4.72 m3/h", "2,000 bd ft/h", "4.72 m³/h")]
    [InlineData("closedPace", "metric", "1200 bd ft/h", "1,200 bd ft/h", "2.83 m³/h")]
    [InlineData("crewHour", "us", "48.5", "¤48.50", "¤48.50")]
    public async Task A_rate_reads_alike_whoever_types_it(string field, string units, string typed, string us, string metric)
    {
        var client = await product.SignedInAsync(EditedRecords.FirmOwner);
        var (status, firm) = await client.SendJsonAsync(HttpMethod.Patch, "/api/firm", Asking.Typed(null, units, (field, typed)));
        status.ShouldBe(200, firm.ToJsonString());
        var figure = Rate(firm, field);
        (figure.Text("us"), figure.Text("metric")).ShouldBe((us, metric));
    }

    [Fact]
    public async Task Two_people_at_two_rates_at_once_lose_none()
    {
        var names = await Product.NewFirmAsync(FirmRole.Owner, FirmRole.Estimator);
        var (owner, estimator) = (await product.SignedInAsync(names[0]), await product.SignedInAsync(names[1]));
        for (var i = 1; i <= 20; i++)
        {
            var seen = await owner.GetJsonAsync("/api/firm");
            await Task.WhenAll(KeepAsync(owner, seen, "crewHour", $"{40 + i}.11"), KeepAsync(estimator, seen, "rigDay", $"{100 + i}.22"));
            var firm = await owner.GetJsonAsync("/api/firm");
            (Rate(firm, "crewHour").Text("us"), Rate(firm, "rigDay").Text("us")).ShouldBe(($"¤{40 + i}.11", $"¤{100 + i}.22"));
        }
    }

    [Fact]
    public async Task Who_changes_rates_that_another_has_changed_since_is_shown_theirs()
    {
        var owner = await product.SignedInAsync((await Product.NewFirmAsync(FirmRole.Owner))[0]);
        var seen = (await owner.GetJsonAsync("/api/firm"))["version"]!.GetValue<uint>();
        await owner.SendJsonAsync(HttpMethod.Patch, "/api/firm", Asking.Typed(seen, "us", ("crewHour", "50")));
        var (status, refused) = await owner.SendJsonAsync(HttpMethod.Patch, "/api/firm", Asking.Typed(seen, "us", ("crewHour", "60")));
        status.ShouldBe(409);
        Rate(refused["theirs"]!, "crewHour").Text("us").ShouldBe("¤50.00");
        Rate(await owner.GetJsonAsync("/api/firm"), "crewHour").Text("us").ShouldBe("¤50.00");
    }

    // As the page does it: a refusal is looked at, and what the other left alone goes on top.
    private static async Task KeepAsync(HttpClient client, JsonNode seen, string field, string typed)
    {
        for (var times = 0; times < 10; times++)
        {
            var version = seen["version"]!.GetValue<uint>();
            var (status, answer) = await client.SendJsonAsync(HttpMethod.Patch, "/api/firm", Asking.Typed(version, "us", (field, typed)));
            if (status == 200)
            {
                return;
            }

            status.ShouldBe(409, answer.ToJsonString());
            seen = answer["theirs"] ?? await client.GetJsonAsync("/api/firm");
        }

        throw new TimeoutException("It was refused again and again.");
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

    [Fact]
    public async Task The_firms_prices_make_the_cost_and_a_blank_takes_it_away()
    {
        var client = await product.SignedInAsync(EditedRecords.FirmOwner);
        var wall = await PricedJobs.SurfaceAsync(client, await PricedJobs.WallsAsync(client, "Priced by the firm", "2026-07-15"));
        double Cost(JsonNode choice) => OpenCell(choice)["cost"]!["figure"]!.Number("amount");
        var before = Cost(await client.GetJsonAsync($"/api/surfaces/{wall}/choose"));
        var (status, firm) = await client.SendJsonAsync(
            HttpMethod.Patch,
            "/api/firm",
            Asking.Typed(null, "us", ("set:fleece-oc-5", "4420"))
        );
        status.ShouldBe(200, firm.ToJsonString());
        Cost(await client.GetJsonAsync($"/api/surfaces/{wall}/choose")).ShouldBeGreaterThan(before);
        await client.SendJsonAsync(HttpMethod.Patch, "/api/firm", Asking.Typed(null, "us", ("set:fleece-oc-5", "")));
        var without = OpenCell(await client.GetJsonAsync($"/api/surfaces/{wall}/choose"));
        without["cost"].ShouldBeNull();
        without["pricesMissing"]!.AsArray().Count.ShouldBe(1);
        await client.SendJsonAsync(HttpMethod.Patch, "/api/firm", Asking.Typed(null, "us", ("set:fleece-oc-5", "2210")));

        static JsonNode OpenCell(JsonNode choice) => choice["answer"]!["candidates"]!.AsArray().First(c => c!.Text("kind") == "openCell")!;
    }

    [Fact]
    public async Task What_the_firm_has_no_price_for_is_named_and_the_customer_gets_no_paper()
    {
        const string sheet = "fleece-oc-8";
        var client = await product.SignedInAsync(EditedRecords.FirmOwner);
        var job = await PricedJobs.WallsAsync(client, "Priceless", "2026-07-15", sheet: sheet);
        var price = await PriceOfAsync(client, sheet);
        await client.SendJsonAsync(HttpMethod.Patch, "/api/firm", Asking.Typed(null, "us", ($"set:{sheet}", "")));
        try
        {
            var answer = await client.GetJsonAsync($"/api/jobs/{job}/price");
            answer["bid"]!["missing"]!.AsArray().Select(m => m!.GetValue<string>()).ShouldBe(["Fleece OC-8"]);
            (await client.GetJsonAsync($"/api/jobs/{job}/board"))["feet"]!["price"].ShouldBeNull();
            var paper = new { kind = "outerBid", units = "us" };
            var (status, problem) = await client.SendJsonAsync(HttpMethod.Post, $"/api/jobs/{job}/papers", paper);
            status.ShouldBe(409);
            problem.Text("detail").ShouldContain("until every product has a price");
        }
        finally
        {
            await client.SendJsonAsync(HttpMethod.Patch, "/api/firm", Asking.Typed(null, "us", ($"set:{sheet}", price)));
        }
    }

    private static async Task<string> PriceOfAsync(HttpClient client, string sheet) =>
        (await client.GetJsonAsync("/api/firm"))["rates"]!["sets"]!.AsArray().Single(s => s!.Text("field") == $"set:{sheet}")![
            "figure"
        ]!.Text("us");

    private static JsonNode Rate(JsonNode firm, string field) =>
        new[] { "sets", "materials", "work" }
            .SelectMany(part => firm["rates"]![part]!.AsArray())
            .Single(rate => rate!.Text("field") == field)!["figure"]!;
}
