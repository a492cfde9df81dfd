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
        CellGap = 14;

    private float[] _widths = [];

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
            letters.Draw(pages.Canvas, line, PaperPages.Margin, pages.At, color);
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

        Down(paper.Sections.Count > 0 ? Gap : 0);
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
        var left = PaperPages.Margin;
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
        _widths = Widths();
        Heading();
        foreach (var line in paper.Table.Lines)
        {
            using var letters = pages.Letters(Text, line.IsSum);
            Row(Cells(line.Cells, letters), letters, PaperTones.Ink, Heading);
        }
    }

    private void Heading()
    {
        using var letters = pages.Letters(Text, bold: true);
        Row(Cells([.. paper.Table.Columns.Select(column => column.Heading)], letters), letters, PaperTones.Quiet, () => { });
    }

    // By their shares, but none narrower than the longest word of its heading or than its figures, as long as all find room.
    private float[] Widths()
    {
        using var letters = pages.Letters(Text, bold: true);
        var columns = paper.Table.Columns;
        var unit = pages.Width / (float)columns.Sum(column => column.Share);
        float[] shares = [.. columns.Select(column => unit * (float)column.Share)];
        float[] least = [.. columns.Select((column, i) => LongestWord(column, i, letters) + CellGap)];
        var wanting = shares.Zip(least, (share, word) => Math.Max(0, word - share)).Sum();
        var spare = shares.Zip(least, (share, word) => Math.Max(0, share - word)).Sum();
        return spare <= wanting
            ? shares
            : [.. shares.Zip(least, (share, word) => share < word ? word : share - (share - word) * wanting / spare)];
    }

    private float LongestWord(PaperColumn column, int at, SizedLetters letters) =>
        (column.Figures ? paper.Table.Lines.Select(line => line.Cells.ElementAtOrDefault(at) ?? "") : [])
            .Concat(column.Heading.Split(' '))
            .Max(letters.WidthOf);

    private List<List<string>> Cells(IReadOnlyList<string> cells, SizedLetters letters) =>
        [.. cells.Zip(_widths, (text, width) => letters.Broken(text, width - CellGap))];

    private void Row(List<List<string>> cells, SizedLetters letters, SKColor color, Action begin)
    {
        var lines = cells.Select(cell => cell.Count).DefaultIfEmpty().Max();
        if (pages.Room(lines * letters.Line))
        {
            begin();
        }

        for (var i = 0; i < lines; i++)
        {
            // A row taller than what is left of a page goes on overleaf.
            if (pages.Room(letters.Line))
            {
                begin();
            }

            DrawLine(cells, i, letters, color);
            pages.At += letters.Line;
        }

        Down(4);
        using var rule = new SKPaint { Color = PaperTones.Rule, StrokeWidth = 0.8f };
        pages.Canvas.DrawLine(PaperPages.Margin, pages.At, PaperPages.Margin + pages.Width, pages.At, rule);
        Down(4);
    }

    private void DrawLine(List<List<string>> cells, int line, SizedLetters letters, SKColor color)
    {
        var left = PaperPages.Margin;
        for (var i = 0; i < cells.Count; i++)
        {
            if (line < cells[i].Count)
            {
                var text = cells[i][line];
                var edge = left + _widths[i] - (i == _widths.Length - 1 ? 0 : CellGap);
                letters.Draw(pages.Canvas, text, paper.Table.Columns[i].Figures ? edge - letters.WidthOf(text) : left, pages.At, color);
            }

            left += _widths[i];
        }
    }
}
