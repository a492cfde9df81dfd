using System.Net;
using System.Text.RegularExpressions;
using Shouldly;
using UglyToad.PdfPig;
using Umbracell.Documents;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Every paper and every table, in both systems: a reader meets no unit of the other one.</summary>
public sealed partial class PaperUnitsTests(Product product)
{
    public static TheoryData<PaperKind, string> Papers =>
        [.. Enum.GetValues<PaperKind>().SelectMany(kind => new[] { "us", "metric" }.Select(units => (kind, units)))];

    [Theory]
    [MemberData(nameof(Papers))]
    public async Task A_paper_speaks_the_units_of_its_reader_alone(PaperKind kind, string units)
    {
        var client = await product.SignedInAsync("owner@ninthacre.example");
        var job = await client.DemoJobAsync("ferry house");
        var surface = (await client.GetJsonAsync($"/api/jobs/{job}/surfaces")).AsArray()[0]!.Text("id");
        var systems = (await client.GetJsonAsync($"/api/surfaces/{surface}/choose"))["answer"]!["candidates"]!
            .AsArray()
            .Take(2)
            .Select(s => s!.Text("id"));
        var wish = new
        {
            kind = char.ToLowerInvariant(kind.ToString()[0]) + kind.ToString()[1..],
            units,
            surfaceId = surface,
            systems,
        };
        var (status, paper) = await client.SendJsonAsync(HttpMethod.Post, $"/api/jobs/{job}/papers", wish);
        status.ShouldBe(200, paper.ToJsonString());
        var pdf = await client.GetAsync($"/api/papers/{paper.Text("id")}/pdf", TestContext.Current.CancellationToken);
        pdf.StatusCode.ShouldBe(HttpStatusCode.OK);
        using var pages = PdfDocument.Open(await pdf.Content.ReadAsByteArrayAsync(TestContext.Current.CancellationToken));
        var text = string.Join(' ', pages.GetPages().SelectMany(page => page.GetWords()).Select(word => word.Text));
        text.ShouldNotBeEmpty();
        Foreign(text, units).ShouldBeEmpty();
        var csv = await client.GetStringAsync($"/api/papers/{paper.Text("id")}/csv", TestContext.Current.CancellationToken);
        Foreign(csv, units).ShouldBeEmpty();
    }

    [Theory]
    [InlineData("12.5 mm and 3 m² at 4 °C", "us", 3)]
    [InlineData("1/2 in, 40 bd ft, 39 °F, 20 in all", "metric", 3)]
    [InlineData("made in 2026 in the room, 5 m³", "metric", 0)]
    [InlineData("5 m of it", "us", 1)]
    [InlineData("5 3/4 in of it", "us", 0)]
    public void A_unit_is_known_from_a_word_that_looks_like_it(string text, string units, int found) =>
        Foreign(text, units).Count().ShouldBe(found);

    // Fan tests are read in pascals everywhere, and heat is bought in kilowatt-hours.
    private static IEnumerable<string> Foreign(string text, string units) =>
        (units == "us" ? OfMetric() : OfUs()).Matches(text).Select(found => found.Value);

    [GeneratedRegex(
        @"(?<=\d ?\)?)(?:mm|cm|m|m²|m³|°C|K|kPa|kg|g/m²|W|kW|W/K|W/m²K|m²K/W|ng\S*|l/s|m/s)(?![\p{L}\d²³])"
            + @"|(?<=\()(?:mm|m²|m³|°C|kg)(?=\))"
    )]
    private static partial Regex OfMetric();

    [GeneratedRegex(
        @"(?<=\d ?\)?)(?:in|ft|ft²|ft³|bd ft|°F|psi|psf|inHg|lb|lbs|gal|cfm|mph|perm|Btu\S*)(?![\p{L}\d²³])(?! all| the)"
            + @"|(?<=\()(?:in|ft²|bd ft|°F|lb)(?=\))"
    )]
    private static partial Regex OfUs();
}
