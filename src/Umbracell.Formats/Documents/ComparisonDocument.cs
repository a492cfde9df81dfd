using SkiaSharp;

namespace Umbracell.Formats.Documents;

/// <summary>A layer as drawn: its key decides the tone.</summary>
public sealed record DrawnLayer(string Key, double ThicknessMm);

/// <summary>One of the systems compared, in words and as layers from outside in.</summary>
public sealed record ComparedSystem(string Name, string Layers, IReadOnlyList<DrawnLayer> Sketch);

/// <summary>A line of the comparison: what is compared, and what each system gives.</summary>
public sealed record ComparedLine(string Label, IReadOnlyList<string> Cells);

/// <summary>A comparison of systems on one page, in the words of the screen it was asked from.</summary>
/// <param name="Firm">Heading.</param>
/// <param name="Title">Title.</param>
/// <param name="Lead">Surface and job.</param>
/// <param name="Systems">Two to four.</param>
/// <param name="Lines">What is compared.</param>
/// <param name="Tail">Cautions.</param>
/// <param name="Paper">Size of the page.</param>
public sealed record ComparisonDocument(
    string Firm,
    string Title,
    string Lead,
    IReadOnlyList<ComparedSystem> Systems,
    IReadOnlyList<ComparedLine> Lines,
    string Tail,
    PaperSize Paper
)
{
    private const float Margin = 48,
        Gap = 14,
        DrawingHigh = 62;

    private static readonly SKColor Ink = new(0x2a, 0x21, 0x40),
        Quiet = new(0x5b, 0x53, 0x70),
        Rule = new(0xd8, 0xcf, 0xb8),
        Copper = new(0xa3, 0x4a, 0x14);

    // Tones of what is drawn; the layer's own words stand beside it, so that no tone must be known.
    private static readonly Dictionary<string, SKColor> Tones = new()
    {
        ["closed"] = new(0xe8, 0xcb, 0x84),
        ["open"] = new(0xfb, 0xee, 0xc8),
        ["freeSpace"] = SKColors.White,
        ["ventChannel"] = SKColors.White,
        ["gypsum-board"] = new(0xec, 0xea, 0xe2),
        ["osb"] = new(0xd0, 0xa0, 0x6c),
        ["plywood"] = new(0xd6, 0xa8, 0x78),
        ["wood-siding"] = new(0xc8, 0x98, 0x64),
        ["fibre-batt"] = new(0xf3, 0xd6, 0xc4),
        ["brick"] = new(0xc8, 0x78, 0x68),
        ["concrete"] = new(0xb4, 0xb0, 0xa6),
        ["steel-skin"] = new(0xa8, 0xb0, 0xc4),
    };

    /// <summary>Writes the page as PDF with its letters embedded.</summary>
    /// <exception cref="FontsMissingException">The letters are not on this machine.</exception>
    public byte[] Write()
    {
        using var fonts = PageFonts.Open();
        using var stream = new MemoryStream();
        using (
            var document = SKDocument.CreatePdf(
                stream,
                new SKDocumentPdfMetadata
                {
                    Title = $"{Title}: {Lead}",
                    Producer = "Umbracell",
                    Creator = "Umbracell",
                }
            )
        )
        {
            var (width, height) = Paper == PaperSize.Letter ? (612f, 792f) : (595f, 842f);
            using var canvas = document.BeginPage(width, height);
            var page = new PageText(canvas, fonts, Margin, width - Margin);
            Draw(page, canvas, height);
            document.EndPage();
            document.Close();
        }

        return stream.ToArray();
    }

    private void Draw(PageText page, SKCanvas canvas, float height)
    {
        page.Paragraph(Firm, 10, bold: true, Copper);
        page.Down(6);
        page.Paragraph(Title, 20, bold: true, Ink);
        page.Paragraph(Lead, 11, bold: false, Quiet);
        page.Down(Gap);
        var deepest = Systems.Max(s => s.Sketch.Sum(l => l.ThicknessMm));
        foreach (var system in Systems)
        {
            page.Paragraph(system.Name, 12, bold: true, Ink);
            page.Paragraph(system.Layers, 10, bold: false, Quiet);
            page.Down(4);
            Layers(canvas, system, page.Left, page.At, (page.Right - page.Left) / (float)Math.Max(1, deepest));
            page.Down(DrawingHigh + Gap);
        }

        page.Down(4);
        Table(page, canvas);
        page.Down(Gap);
        page.Paragraph(Tail, 9, bold: false, Quiet);
        page.Foot(height - 30, Firm, 8, Quiet);
    }

    // One scale for all, outside left; a skin too thin to see is drawn a hair wide.
    private static void Layers(SKCanvas canvas, ComparedSystem system, float left, float top, float pointsPerMm)
    {
        using var fill = new SKPaint { IsAntialias = true };
        using var edge = new SKPaint
        {
            IsAntialias = true,
            IsStroke = true,
            StrokeWidth = 0.6f,
            Color = Quiet,
        };
        foreach (var layer in system.Sketch)
        {
            var width = Math.Max(1.5f, (float)layer.ThicknessMm * pointsPerMm * 0.96f);
            fill.Color = Tones.GetValueOrDefault(layer.Key, new(0xcf, 0xc8, 0xbc));
            canvas.DrawRect(left, top, width, DrawingHigh, fill);
            canvas.DrawRect(left, top, width, DrawingHigh, edge);
            left += width;
        }
    }

    private void Table(PageText page, SKCanvas canvas)
    {
        var label = (page.Right - page.Left) * 0.26f;
        var cell = (page.Right - page.Left - label) / Systems.Count;
        Row("", [.. Systems.Select(s => s.Name)], bold: true);
        foreach (var line in Lines)
        {
            Row(line.Label, line.Cells, bold: false);
        }

        void Row(string name, IReadOnlyList<string> cells, bool bold)
        {
            var top = page.At;
            var lowest = page.Column(name, 10, false, Quiet, page.Left, label - 8, top);
            for (var i = 0; i < cells.Count; i++)
            {
                lowest = Math.Max(lowest, page.Column(cells[i], 10, bold, Ink, page.Left + label + i * cell, cell - 10, top));
            }

            page.MoveTo(lowest + 4);
            using var rule = new SKPaint { Color = Rule, StrokeWidth = 0.8f };
            canvas.DrawLine(page.Left, page.At, page.Right, page.At, rule);
            page.Down(5);
        }
    }
}
