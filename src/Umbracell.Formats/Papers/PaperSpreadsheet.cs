using System.Globalization;
using Umbracell.Documents;
using Umbracell.Formats.Tables;

namespace Umbracell.Formats.Papers;

/// <summary>The table of a paper for spreadsheets, its figures as numbers.</summary>
public static class PaperSpreadsheet
{
    // A workbook's sheets bear 31 letters at most and none of these signs.
    private const int MostLetters = 31;
    private const string NotInSheetNames = "[]:*?/\\";

    /// <summary>The table as a workbook.</summary>
    public static byte[] Workbook(PaperDocument paper)
    {
        var (header, rows) = Numbers(paper);
        return Tables.Workbook.Write(SheetName(paper.Title), header, rows);
    }

    /// <summary>The table as CSV.</summary>
    public static byte[] Csv(PaperDocument paper)
    {
        var (header, rows) = Numbers(paper);
        return DelimitedWriter.Write(header, rows.Select(row => (IReadOnlyList<string>)[.. row.Select(Text)]));
    }

    private static string Text(object? cell) => Convert.ToString(cell, CultureInfo.InvariantCulture) ?? "";

    private static (IReadOnlyList<string> Header, IReadOnlyList<IReadOnlyList<object?>> Rows) Numbers(PaperDocument paper) =>
        NumberColumns.Of(
            [.. paper.Table.Columns.Select(c => (c.Heading, c.Figures))],
            [.. paper.Table.Lines.Select(r => r.Cells)],
            paper.Currency
        );

    private static string SheetName(string title) =>
        string.Concat(title.Where(c => !NotInSheetNames.Contains(c, StringComparison.Ordinal)).Take(MostLetters)) is { Length: > 0 } name
            ? name
            : "Table";
}
