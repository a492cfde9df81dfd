using SkiaSharp;
using Umbracell.Documents;

namespace Umbracell.Formats.Papers;

/// <summary>Puts the parts of a paper on its pages, one under another.</summary>
internal sealed class PaperLayout(PaperDocument paper, PaperPages pages)
{
    private const float Text = 10,
        Note = 9,
        DrawingHigh = 62,
        Gap = 14,
        CellGap = 8;

    public void Lay()
    {
        Paragraph(paper.Firm, Text, PaperTones.Copper, bold: true);
        Down(6);
        Paragraph(paper.Title, 20, PaperTones.Ink, bold: true);
        foreach (var line in paper.Lead)
        {
            Paragraph(line, 11, PaperTones.Quiet);
        }

        Down(Gap);
        Sections();
        Table();
        Down(10);
        foreach (var note in paper.Notes)
        {
            Paragraph(note, Note, PaperTones.Quiet);
            Down(4);
        }
    }

    private void Down(float by) => pages.At += pages.Scaled(by);

    private void Paragraph(string text, float size, SKColor color, bool bold = false)
    {
        using var letters = pages.Letters(size, bold);
        foreach (var line in letters.Broken(text, pages.Width))
        {
            pages.Room(letters.Line);
            letters.Draw(pages.Canvas, line, PaperPages.Left, pages.At, color);
            pages.At += letters.Line;
        }
    }

    private void Sections()
    {
        var deepest = (float)Math.Max(1, paper.Sections.Select(s => s.Drawn.Sum(layer => layer.ThicknessMm)).DefaultIfEmpty().Max());
        foreach (var section in paper.Sections)
        {
            pages.Room(pages.Scaled(DrawingHigh + 3 * Gap));
            Paragraph(section.Name, 12, PaperTones.Ink, bold: true);
            Paragraph(section.Layers, Text, PaperTones.Quiet);
            Down(4);
            Draw(section, pages.Width / deepest);
            Down(DrawingHigh + Gap);
        }
    }

    // One scale for all, outside left; a skin too thin to see is drawn a hair wide.
    private void Draw(PaperSection section, float pointsPerMm)
    {
        using var fill = new SKPaint { IsAntialias = true };
        using var edge = new SKPaint
        {
            IsAntialias = true,
            IsStroke = true,
            StrokeWidth = 0.6f,
            Color = PaperTones.Quiet,
        };
        var left = PaperPages.Left;
        foreach (var layer in section.Drawn)
        {
            var width = Math.Max(1.5f, (float)layer.ThicknessMm * pointsPerMm * 0.96f);
            fill.Color = PaperTones.OfLayer(layer.Key);
            pages.Canvas.DrawRect(left, pages.At, width, pages.Scaled(DrawingHigh), fill);
            pages.Canvas.DrawRect(left, pages.At, width, pages.Scaled(DrawingHigh), edge);
            left += width;
        }
    }

    private void Table()
    {
        Heading();
        foreach (var row in paper.Table.Lines)
        {
            using var letters = pages.Letters(Text, row.IsSum);
            var cells = Cells(row.Cells, letters);
            if (pages.Room(Height(cells, letters)))
            {
                Heading();
            }

            Row(cells, letters, PaperTones.Ink);
        }
    }

    private void Heading()
    {
        using var letters = pages.Letters(Text, bold: true);
        Row(Cells([.. paper.Table.Columns.Select(column => column.Heading)], letters), letters, PaperTones.Quiet);
    }

    private float Unit => pages.Width / (float)paper.Table.Columns.Sum(column => column.Share);

    private float WidthOf(PaperColumn column) => Unit * (float)column.Share;

    private List<List<string>> Cells(IReadOnlyList<string> cells, SizedLetters letters) =>
        [.. paper.Table.Columns.Zip(cells, (column, text) => letters.Broken(text, WidthOf(column) - CellGap))];

    private static float Height(List<List<string>> cells, SizedLetters letters) =>
        cells.Select(lines => lines.Count).DefaultIfEmpty().Max() * letters.Line;

    private void Row(List<List<string>> cells, SizedLetters letters, SKColor color)
    {
        var left = PaperPages.Left;
        foreach (var (column, lines) in paper.Table.Columns.Zip(cells))
        {
            var edge = left + WidthOf(column) - CellGap / 2;
            for (var i = 0; i < lines.Count; i++)
            {
                var x = column.Figures ? edge - letters.WidthOf(lines[i]) : left;
                letters.Draw(pages.Canvas, lines[i], x, pages.At + i * letters.Line, color);
            }

            left += WidthOf(column);
        }

        pages.At += Height(cells, letters) + pages.Scaled(4);
        using var rule = new SKPaint { Color = PaperTones.Rule, StrokeWidth = 0.8f };
        pages.Canvas.DrawLine(PaperPages.Left, pages.At, PaperPages.Left + pages.Width, pages.At, rule);
        Down(4);
    }
}
