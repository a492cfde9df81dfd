using SkiaSharp;

namespace Umbracell.Formats.Documents;

/// <summary>A column of a table on paper.</summary>
/// <param name="Heading">Its heading.</param>
/// <param name="Right">Whether it holds figures, which stand at its right edge.</param>
/// <param name="Share">Width against the other columns, above zero.</param>
public sealed record TableColumn(string Heading, bool Right, float Share = 1);

/// <summary>A line of a table on paper.</summary>
/// <param name="Cells">One for each column.</param>
/// <param name="Strong">Whether it is a sum.</param>
public sealed record TableLine(IReadOnlyList<string> Cells, bool Strong = false);

/// <summary>A table with its heading and notes on paper, over as many pages as it takes: a bid, an order, a load list.</summary>
/// <param name="Firm">Heading.</param>
/// <param name="Title">Title.</param>
/// <param name="Lead">What it is for, a line each.</param>
/// <param name="Columns">Columns.</param>
/// <param name="Lines">Lines.</param>
/// <param name="Notes">What must be read with it, a paragraph each.</param>
/// <param name="Paper">Size of the page.</param>
public sealed record TableDocument(
    string Firm,
    string Title,
    IReadOnlyList<string> Lead,
    IReadOnlyList<TableColumn> Columns,
    IReadOnlyList<TableLine> Lines,
    IReadOnlyList<string> Notes,
    PaperSize Paper
)
{
    private const float Margin = 48,
        Size = 10,
        Bottom = 70;

    // Smaller than six tenths nobody reads on a rig.
    private static readonly float[] Smaller = [0.9f, 0.8f, 0.7f, 0.6f];

    /// <summary>Whether it is to stand on a single page, its letters made smaller as far as they can still be read.</summary>
    public bool OnePage { get; init; }

    private static readonly SKColor Ink = new(0x2a, 0x21, 0x40),
        Quiet = new(0x5b, 0x53, 0x70),
        Rule = new(0xd8, 0xcf, 0xb8),
        Copper = new(0xa3, 0x4a, 0x14);

    /// <summary>Writes the document as PDF with its letters embedded.</summary>
    /// <exception cref="FontsMissingException">The letters are not on this machine.</exception>
    public byte[] Write()
    {
        using var fonts = PageFonts.Open();
        var (bytes, pages) = Written(fonts, 1);
        foreach (var smaller in OnePage ? Smaller : [])
        {
            (bytes, pages) = pages > 1 ? Written(fonts, smaller) : (bytes, pages);
        }

        return bytes;
    }

    private (byte[] Bytes, int Pages) Written(PageFonts fonts, float scale)
    {
        using var stream = new MemoryStream();
        using var document = SKDocument.CreatePdf(
            stream,
            new SKDocumentPdfMetadata
            {
                Title = Title,
                Producer = "Umbracell",
                Creator = "Umbracell",
            }
        );
        var pages = new Pages(this, document, fonts, scale).Write();
        document.Close();
        return (stream.ToArray(), pages);
    }

    private sealed class Pages(TableDocument table, SKDocument document, PageFonts fonts, float scale)
    {
        private readonly (float Width, float Height) _size = table.Paper == PaperSize.Letter ? (612f, 792f) : (595f, 842f);
        private SKCanvas _canvas = null!;
        private PageText _page = null!;
        private int _number;

        /// <summary>Writes all; gives the number of pages.</summary>
        public int Write()
        {
            Begin();
            _page.Paragraph(table.Firm, 10 * scale, bold: true, Copper);
            _page.Down(6 * scale);
            _page.Paragraph(table.Title, 20 * scale, bold: true, Ink);
            foreach (var line in table.Lead)
            {
                _page.Paragraph(line, 11 * scale, bold: false, Quiet);
            }

            _page.Down(14 * scale);
            Row([.. table.Columns.Select(c => c.Heading)], bold: true, Quiet);
            foreach (var line in table.Lines)
            {
                if (_page.At > _size.Height - Bottom)
                {
                    Next();
                    Row([.. table.Columns.Select(c => c.Heading)], bold: true, Quiet);
                }

                Row(line.Cells, line.Strong, Ink);
            }

            _page.Down(10 * scale);
            foreach (var note in table.Notes)
            {
                if (_page.At > _size.Height - Bottom)
                {
                    Next();
                }

                _page.Paragraph(note, 9 * scale, bold: false, Quiet);
                _page.Down(4 * scale);
            }

            End();
            return _number;
        }

        private void Begin()
        {
            _canvas = document.BeginPage(_size.Width, _size.Height);
            _page = new(_canvas, fonts, Margin, _size.Width - Margin);
            _number++;
        }

        private void Next()
        {
            End();
            Begin();
        }

        private void End()
        {
            _page.Foot(
                _size.Height - 30,
                string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{table.Firm}  ·  {table.Title}  ·  {_number}"),
                8,
                Quiet
            );
            document.EndPage();
            _canvas.Dispose();
        }

        private void Row(IReadOnlyList<string> cells, bool bold, SKColor color)
        {
            var unit = (_page.Right - _page.Left) / table.Columns.Sum(c => c.Share);
            var (top, lowest, left) = (_page.At, _page.At, _page.Left);
            for (var i = 0; i < table.Columns.Count; i++)
            {
                var width = unit * table.Columns[i].Share;
                var text = i < cells.Count ? cells[i] : "";
                lowest = Math.Max(
                    lowest,
                    table.Columns[i].Right
                        ? _page.RightColumn(text, Size * scale, bold, color, left + width - 4, width - 8, top)
                        : _page.Column(text, Size * scale, bold, color, left, width - 8, top)
                );
                left += width;
            }

            _page.MoveTo(lowest + 4 * scale);
            using var rule = new SKPaint { Color = Rule, StrokeWidth = 0.8f };
            _canvas.DrawLine(_page.Left, _page.At, _page.Right, _page.At, rule);
            _page.Down(4 * scale);
        }
    }
}
