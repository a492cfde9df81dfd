using Shouldly;
using UglyToad.PdfPig;
using Umbracell.Formats.Documents;
using Xunit;

namespace Umbracell.Formats.Tests;

/// <summary>Documents on paper, read back.</summary>
public sealed class DocumentTests
{
    [Theory]
    [InlineData(PaperSize.Letter, 612)]
    [InlineData(PaperSize.A4, 595)]
    public void A_comparison_is_one_page_with_every_word_and_its_letters_embedded(PaperSize paper, double width)
    {
        using var pdf = PdfDocument.Open(Page(paper, "U-0.0255, meets the target").Write());
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
    public void Long_words_are_broken_into_their_column_and_never_leave_the_page()
    {
        using var pdf = PdfDocument.Open(Page(PaperSize.A4, string.Join(' ', Enumerable.Repeat("a long opinion of a rule", 25))).Write());
        var page = pdf.GetPage(1);
        page.GetWords().ShouldAllBe(w => w.BoundingBox.Right <= page.Width - 40 && w.BoundingBox.Left >= 40);
    }

    private static ComparisonDocument Page(PaperSize paper, string cell) =>
        new(
            "Ninth Acre",
            "Two ways to insulate",
            "Hall, made-up job: −15 °C to 2 ½ in",
            [
                new("Closed cell", "3 in of foam", [new("osb", 11), new("closed", 76), new("unheard-of", 0.5)]),
                new("Open cell", "7 in of foam", [new("osb", 11), new("open", 178)]),
            ],
            [new("Warmth", [cell, "U-0.0300, falls short"]), new("Price", ["$ 4,100.00", "$ 3,000.00"])],
            "Follow the sheet.",
            paper
        );
}
