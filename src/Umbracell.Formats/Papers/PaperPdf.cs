using SkiaSharp;
using Umbracell.Documents;

namespace Umbracell.Formats.Papers;

/// <summary>Lays a paper out over as many pages as it takes: heading, sections, table, notes. Letter for US units, A4 for metric.</summary>
public static class PaperPdf
{
    // Smaller than six tenths nobody reads on a rig.
    private static readonly float[] Scales = [1, 0.9f, 0.8f, 0.7f, 0.6f];

    /// <summary>The paper as PDF with its letters embedded.</summary>
    /// <param name="paper">The paper.</param>
    /// <exception cref="LettersMissingException">The letters are not on this machine.</exception>
    public static byte[] Write(PaperDocument paper)
    {
        using var letters = PaperLetters.Open();
        var (bytes, pages) = Written(paper, letters, Scales[0]);
        foreach (var smaller in paper.OnePage ? Scales[1..] : [])
        {
            (bytes, pages) = pages > 1 ? Written(paper, letters, smaller) : (bytes, pages);
        }

        return bytes;
    }

    private static (byte[] Bytes, int Pages) Written(PaperDocument paper, PaperLetters letters, float scale)
    {
        using var stream = new MemoryStream();
        using var document = SKDocument.CreatePdf(
            stream,
            new SKDocumentPdfMetadata
            {
                Title = paper.Title,
                Producer = "Umbracell",
                Creator = "Umbracell",
            }
        );
        using var pages = new PaperPages(document, paper, letters, scale);
        new PaperLayout(paper, pages).Lay();
        pages.End();
        document.Close();
        return (stream.ToArray(), pages.Count);
    }
}
