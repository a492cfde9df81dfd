using System.Globalization;
using System.Text.RegularExpressions;
using Shouldly;
using Umbracell.Core.Quantities;
using Umbracell.Formats.Words;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Figures and days in the reader's language: another one is a file and a culture, not a change of code.</summary>
public sealed partial class WritingTests
{
    private static readonly Writing German = new(
        CultureInfo.GetCultureInfo("de-DE"),
        "d. MMM yyyy",
        new Dictionary<string, string>
        {
            ["bd ft"] = "Brettfuß",
            ["per bd ft"] = "je Brettfuß",
            ["sets"] = "Sätze",
            ["set"] = "Satz",
            ["h"] = "Std.",
            ["under"] = "unter",
        }
    );

    [Theory]
    [InlineData("1,234.5 bd ft", "1.234,5 Brettfuß")]
    [InlineData("0.412 per bd ft", "0,412 je Brettfuß")]
    [InlineData("1.0 set", "1,0 Satz")]
    [InlineData("12.5 sets", "12,5 Sätze")]
    [InlineData("3 h 20", "3 Std. 20")]
    [InlineData("under 0.1 %", "unter 0,1 %")]
    [InlineData("5 1/2 in", "5 1/2 in")]
    [InlineData("13.2 m³/h", "13,2 m³/h")]
    [InlineData("0.25 Btu/h·ft·°F", "0,25 Btu/h·ft·°F")]
    [InlineData("12'3 1/2\"", "12'3 1/2\"")]
    public void A_figure_has_the_marks_and_words_of_the_language(string core, string read) => German.Figure(core).ShouldBe(read);

    [Theory]
    [InlineData("$", "¤1,234.50", "$1,234.50")]
    [InlineData("$", "¤-12.00", "-$12.00")]
    [InlineData("€", "¤4.48 per ft²", "€4.48 per ft²")]
    [InlineData("CHF", "¤4.48", "CHF\u00A04.48")]
    [InlineData("Fr.", "¤-4.48", "-Fr.\u00A04.48")]
    [InlineData("", "¤4.48", "4.48")]
    [InlineData("$", "5 1/2 in", "5 1/2 in")]
    public void Money_has_its_sign_as_on_the_page(string sign, string core, string read) => Writing.Money(core, sign).ShouldBe(read);

    [Fact]
    public void A_day_has_the_months_of_the_language()
    {
        German.Day(new(2027, 5, 15)).ShouldBe("15. Mai 2027");
        Writing.OfCatalog.Day(new(2027, 1, 15)).ShouldBe("Jan 15, 2027");
        foreach (var month in Enumerable.Range(1, 12).Select(month => new DateOnly(2027, month, 9)))
        {
            German.TryReadDay(German.Day(month), out var read).ShouldBeTrue();
            read.ShouldBe(month);
        }
    }

    [Fact]
    public void Every_word_the_core_writes_in_a_figure_stands_in_the_catalogue()
    {
        var words = WordCatalog.List("figure").Keys.ToDictionary(word => word, _ => "");
        var emptied = new Writing(CultureInfo.InvariantCulture, "d", words);
        var printed = (
            from dimension in Enum.GetValues<Dimension>()
            from system in Enum.GetValues<UnitSystem>()
            from amount in new[] { 0, 1e-4, 0.02, 0.3, 1, 7.5, 99.97, 5400, 1e6 }
            select new[]
            {
                QuantityPrinter.Print(new(amount, dimension), system),
                QuantityPrinter.PrintExact(new(amount, dimension), system),
            }
        )
            .SelectMany(both => both)
            .ToList();

        printed.ShouldContain("under 0.1 %");
        printed.Select(text => Signs().Replace(emptied.Figure(text), "")).Where(rest => Letters().IsMatch(rest)).Distinct().ShouldBeEmpty();
    }

    [Fact]
    public void A_list_is_put_together_by_the_catalogue()
    {
        Writing.Listed(["a", "b", "c"]).ShouldBe("a, b, c");
        Writing.Listed(["a", "b"], "plus").ShouldBe("a + b");
        Writing.Listed([]).ShouldBe("");
    }

    // Signs of units, which are the same in every language.
    [GeneratedRegex(@"(?<!\p{L})(in|ft|mm|m|cm|kg|lb|oz|g|ng|Pa|kPa|psi|MPa|psf|inHg|cfm|mph|s|K|mK|W|kW|kWh|kJ|Btu|R|U|°F|°C|h)(?!\p{L})")]
    private static partial Regex Signs();

    [GeneratedRegex(@"\p{L}")]
    private static partial Regex Letters();
}
