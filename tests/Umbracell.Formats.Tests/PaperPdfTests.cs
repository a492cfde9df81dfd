using System.Text;
using CsCheck;
using Shouldly;
using UglyToad.PdfPig;
using Umbracell.Core.Quantities;
using Umbracell.Documents;
using Umbracell.Formats.Papers;
using Xunit;

namespace Umbracell.Formats.Tests;

/// <summary>Papers as files, read back.</summary>
public sealed class PaperPdfTests
{
    [Theory]
    [InlineData(UnitSystem.Us, 612)]
    [InlineData(UnitSystem.Metric, 595)]
    public void A_comparison_is_one_page_with_every_word_and_its_letters_embedded(UnitSystem units, double width)
    {
        using var pdf = Open(Comparison("U-0.0255, meets the target") with { Units = units });
        pdf.NumberOfPages.ShouldBe(1);
        var page = pdf.GetPage(1);
        page.Width.ShouldBe(width, 1);
        var words = string.Join(' ', page.GetWords().Select(w => w.Text));
        foreach (var wanted in new[] { "Ninth Acre", "Closed cell", "U-0.0255,", "−15 °C to 2 ½ in", "Follow the sheet." })
        {
            words.ShouldContain(wanted);
        }

        page.Letters.ShouldAllBe(l => l.FontName!.Contains("DejaVu", StringComparison.Ordinal));
    }

    [Fact]
    public void A_table_runs_over_pages_with_its_figures_at_the_right_edge_and_its_heading_on_each()
    {
        var paper = Table(80);
        using var pdf = Open(paper);
        pdf.NumberOfPages.ShouldBeGreaterThan(1);
        var figures = pdf.GetPages()
            .SelectMany(p => p.GetWords())
            .Where(w => w.Text.EndsWith(".50", StringComparison.Ordinal) || w.Text.EndsWith(".00", StringComparison.Ordinal))
            .ToList();
        figures.Count.ShouldBe(80);
        figures.ShouldAllBe(w => Math.Abs(w.BoundingBox.Right - figures[0].BoundingBox.Right) < 1.5);
        pdf.GetPages().ShouldAllBe(page => page.GetWords().Count(w => w.Text == "Amount") == 1);
        Encoding.UTF8.GetString(PaperSpreadsheet.Csv(paper)).ShouldContain("Line 80,98760");
        PaperSpreadsheet.Workbook(paper)[..2].ShouldBe("PK"u8.ToArray());
    }

    [Fact]
    public void What_goes_to_the_rig_stands_on_one_page_however_long_it_is()
    {
        const string blankets = "A: blanket on 8 h 34 before, from -7 °C to 19 °C; B: blanket on 8 h 56 before, from -7 °C to 19 °C";
        var paper = Paper(
            new(
                [new("Product", Share: 2), new("Sets", Figures: true), new("Blankets", Share: 4)],
                [.. Enumerable.Range(1, 24).Select(i => new PaperLine([$"Foam {i}", $"{i}", blankets]))]
            )
        );
        using var several = Open(paper);
        several.NumberOfPages.ShouldBeGreaterThan(1);
        using var pdf = Open(paper with { OnePage = true });
        pdf.NumberOfPages.ShouldBe(1);
        pdf.GetPage(1).GetWords().Count(w => w.Text == "Foam").ShouldBe(24);
    }

    [Theory]
    [InlineData("板橋泡沫", 4)]
    [InlineData("단열 시공", 4)]
    [InlineData("กันความร้อน", 11)]
    [InlineData("Foam 🏠", 1)]
    public void Letters_that_the_font_lacks_are_drawn_by_another(string name, int strange)
    {
        using var pdf = Open(Table(1) with { Firm = name });
        var letters = pdf.GetPage(1).Letters;
        string.Concat(letters.Select(letter => letter.Value)).ShouldContain(name.Split(' ')[0]);
        var plain = letters.Where(letter => letter.FontName?.Contains("DejaVu", StringComparison.Ordinal) == true).ToList();
        plain.ShouldContain(letter => letter.Value == "m");

        // At the head and at the foot; what the plain letters know stays theirs.
        letters.Count(letter => letter.Value.Length > 0 && !plain.Contains(letter)).ShouldBe(2 * strange);
        plain.ShouldNotContain(letter => letter.Value.EnumerateRunes().Any(rune => rune.Value > 0xE00));
    }

    [Fact]
    public void Nothing_leaves_the_page_whatever_is_written() =>
        Gen.Select(Gen.String[Gen.Char.AlphaNumeric, 1, 90].Array[0, 30], Gen.Bool)
            .Sample(
                (words, onePage) =>
                {
                    var text = string.Join(' ', words);
                    using var pdf = Open(Comparison(text) with { Title = text, OnePage = onePage });
                    foreach (var page in pdf.GetPages())
                    {
                        page.Letters.ShouldAllBe(l =>
                            l.BoundingBox.Right <= page.Width - 40 && l.BoundingBox.Left >= 40 && l.BoundingBox.Bottom >= 20
                        );
                    }
                },
                iter: 20
            );

    private static PdfDocument Open(PaperDocument paper) => PdfDocument.Open(PaperPdf.Write(paper));

    private static PaperDocument Paper(PaperTable table) =>
        new()
        {
            Units = UnitSystem.Us,
            Firm = "Ninth Acre",
            Title = "Bid: made-up job",
            Lead = ["For work on Jan 15, 2027."],
            Sections = [],
            Table = table,
            Notes = ["The sheet decides."],
        };

    private static PaperDocument Table(int lines) =>
        Paper(
            new(
                [new("What", Share: 3), new("Amount", Figures: true)],
                [.. Enumerable.Range(1, lines).Select(i => new PaperLine([$"Line {i}", $"{i * 1234.5:0.00}"]))]
            )
        );

    private static PaperDocument Comparison(string cell) =>
        Paper(
            new(
                [new(""), new("Closed cell", Share: 1.5), new("Open cell", Share: 1.5)],
                [new(["Warmth", cell, "U-0.0300, falls short"]), new(["Price", "$ 4,100.00", "$ 3,000.00"])]
            )
        ) with
        {
            Lead = ["Hall, made-up job: −15 °C to 2 ½ in"],
            Sections =
            [
                new("Closed cell", "3 in of foam", [new("osb", 11), new("closed", 76), new("unheard-of", 0.5)]),
                new("Open cell", "7 in of foam", [new("osb", 11), new("open", 178)]),
            ],
            Notes = ["Follow the sheet."],
            OnePage = true,
        };
}
