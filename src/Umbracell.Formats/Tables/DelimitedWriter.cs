using System.Globalization;
using System.Text;
using CsvHelper;
using CsvHelper.Configuration;

namespace Umbracell.Formats.Tables;

/// <summary>Writes text tables that a spreadsheet opens without running anything in them.</summary>
public static class DelimitedWriter
{
    /// <summary>Writes UTF-8 with its mark, so that spreadsheets read every letter.</summary>
    public static byte[] Write(IReadOnlyList<string> header, IEnumerable<IReadOnlyList<string>> rows)
    {
        using var stream = new MemoryStream();
        using (var text = new StreamWriter(stream, new UTF8Encoding(encoderShouldEmitUTF8Identifier: true)))
        using (var csv = new CsvWriter(text, new CsvConfiguration(CultureInfo.InvariantCulture)))
        {
            foreach (var row in rows.Prepend(header))
            {
                foreach (var cell in row)
                {
                    csv.WriteField(Guarded(cell));
                }

                csv.NextRecord();
            }
        }

        return stream.ToArray();
    }

    /// <summary>Whether a spreadsheet would take a cell for a formula.</summary>
    public static bool LooksLikeFormula(string cell) =>
        cell.Length > 0
        && Plain(cell[0]) is '=' or '+' or '-' or '@' or '\t' or '\r' or '\''
        && !double.TryParse(cell, NumberStyles.Float, CultureInfo.InvariantCulture, out _);

    // Wide and small forms of a character, which some spreadsheets take for the character itself.
    private static char Plain(char first) =>
        first switch
        {
            >= '\uFF01' and <= '\uFF5E' => (char)(first - '\uFF01' + '!'),
            '\uFE62' => '+',
            '\uFE63' => '-',
            '\uFE66' => '=',
            '\uFE6B' => '@',
            _ => first,
        };

    // The usual guard: a spreadsheet shows the cell without the mark, and reading takes it away again.
    private static string Guarded(string cell) => LooksLikeFormula(cell) ? "'" + cell : cell;
}
