using System.Globalization;
using System.Text;
using System.Text.RegularExpressions;
using System.Text.Unicode;
using CsvHelper;
using CsvHelper.Configuration;

namespace Umbracell.Formats.Tables;

/// <summary>Reads text tables whose delimiter, encoding and decimal mark are found out from the text.</summary>
public static partial class DelimitedText
{
    private const int LinesForDetection = 50;
    private const int LongestForDetection = 20_000;
    private const double SteadyShare = 0.8;

    private static readonly char[] Delimiters = [',', ';', '\t', '|'];
    private static readonly UTF8Encoding StrictUtf8 = new(false, throwOnInvalidBytes: true);

    static DelimitedText() => Encoding.RegisterProvider(CodePagesEncodingProvider.Instance);

    /// <summary>Reads a table with a header line.</summary>
    /// <exception cref="UnreadableFileException">Not text, empty, too long, two encodings, broken quotes.</exception>
    public static TableFile Read(ReadOnlySpan<byte> bytes)
    {
        var (text, encoding) = Decode(bytes);
        if (string.IsNullOrWhiteSpace(text))
        {
            throw new UnreadableFileException(FileFault.Empty);
        }

        var delimiter = DelimiterOf(text.Split('\n', LinesForDetection + 1).Take(LinesForDetection));
        CheckSize(text, delimiter, TableFile.MostColumns, TableFile.MostCells);
        var (header, rows) = Parse(text, delimiter, isTable: true);
        return new(header, rows, delimiter == '\t' ? "tab" : delimiter.ToString(), encoding, HasDecimalComma(delimiter, rows));
    }

    /// <summary>Rows without a header, for grids: each with the cells it has.</summary>
    /// <param name="bytes">The file.</param>
    /// <param name="mostColumns">Cells of a row that are read.</param>
    /// <param name="mostCells">Cells that are read.</param>
    /// <exception cref="UnreadableFileException">As <see cref="Read"/>.</exception>
    public static (IReadOnlyList<TableRow> Rows, bool DecimalComma) ReadBare(ReadOnlySpan<byte> bytes, int mostColumns, int mostCells)
    {
        var (text, _) = Decode(bytes);
        if (string.IsNullOrWhiteSpace(text))
        {
            throw new UnreadableFileException(FileFault.Empty);
        }

        // What stands above a grid may be written in any way; the grid itself is at the end.
        var delimiter = DelimiterOf(text.TrimEnd().Split('\n').TakeLast(LinesForDetection));
        CheckSize(text, delimiter, mostColumns, mostCells);
        var (_, rows) = Parse(text, delimiter, isTable: false);
        return (rows, HasDecimalComma(delimiter, rows));
    }

    // Making cells is what costs: whether there are more than are read is looked at before any is made. A quote in the wrong place
    // hides what follows it, so that what stands within quotes is counted too, with room for what may rightly stand there.
    private static void CheckSize(string text, char delimiter, int mostColumns, int mostCells)
    {
        var (line, cells, allMarks, isQuoted) = (1, 1L, 0L, false);
        var columns = 1;
        foreach (var range in text.AsSpan().TrimEnd('\n').Split('\n'))
        {
            var letters = text.AsSpan()[range];
            var marks = letters.Count(delimiter);
            columns += MarksOutside(letters, delimiter, ref isQuoted);
            if (columns > mostColumns || marks > mostColumns + TableFile.LongestCell)
            {
                var found = Math.Max(columns, marks + 1).ToString(CultureInfo.InvariantCulture);
                throw new UnreadableFileException(FileFault.TooManyColumns, line, found);
            }

            line++;
            allMarks += marks;
            (columns, cells) = isQuoted ? (columns, cells) : (1, cells + columns);
            if (cells > mostCells || allMarks > 4L * mostCells)
            {
                throw line > TableFile.MostRows + 1
                    ? new UnreadableFileException(FileFault.TooManyLines, 0, LinesIn(text).ToString(CultureInfo.InvariantCulture))
                    : new UnreadableFileException(FileFault.TooManyCells, 0, mostCells.ToString(CultureInfo.InvariantCulture));
            }
        }
    }

    // Delimiters of a line that do not stand within quotes; quotes may go on from one line to the next.
    private static int MarksOutside(ReadOnlySpan<char> letters, char delimiter, ref bool isQuoted)
    {
        var marks = 0;
        while (letters.IndexOf('"') is >= 0 and var quote)
        {
            marks += isQuoted ? 0 : letters[..quote].Count(delimiter);
            isQuoted = !isQuoted;
            letters = letters[(quote + 1)..];
        }

        return marks + (isQuoted ? 0 : letters.Count(delimiter));
    }

    private static (string[] Header, List<TableRow> Rows) Parse(string text, char delimiter, bool isTable)
    {
        var broken = 0;
        var configuration = new CsvConfiguration(CultureInfo.InvariantCulture)
        {
            Delimiter = delimiter.ToString(),
            BadDataFound = bad => broken = broken > 0 ? broken : bad.Context.Parser?.RawRow ?? 1,
            TrimOptions = TrimOptions.Trim,
            IgnoreBlankLines = true,
            MaxFieldSize = TableFile.LongestCell,
            CountBytes = false,
        };
        using var parser = new CsvParser(new StringReader(text), configuration);
        string[]? header = null;
        var rows = new List<TableRow>();
        try
        {
            while (parser.Read())
            {
                var line = parser.RawRow;
                var cells = parser.Record ?? [];
                if (header is null && isTable)
                {
                    header = cells;
                }
                else if (rows.Count == TableFile.MostRows)
                {
                    throw new UnreadableFileException(FileFault.TooManyLines, 0, LinesIn(text).ToString(CultureInfo.InvariantCulture));
                }
                else if (cells.Any(c => c.Length > 0))
                {
                    rows.Add(Row(line, [.. cells.Select(Unguarded)], header?.Length ?? cells.Length));
                }
            }
        }
        catch (MaxFieldSizeException)
        {
            throw new UnreadableFileException(FileFault.BrokenQuotes, broken > 0 ? broken : parser.RawRow);
        }

        return broken > 0 ? throw new UnreadableFileException(FileFault.BrokenQuotes, broken) : (header ?? [], rows);
    }

    internal static TableRow Row(int line, IReadOnlyList<string> cells, int columns)
    {
        var ragged = cells.Count > columns && cells.Skip(columns).All(c => c.Length == 0) ? 0 : cells.Count - columns;
        return new(line, [.. Enumerable.Range(0, columns).Select(i => i < cells.Count ? cells[i] : "")], ragged);
    }

    /// <summary>Takes away the mark that keeps a cell from being taken for a formula; see <see cref="DelimitedWriter"/>.</summary>
    private static string Unguarded(string cell) =>
        cell.Length > 1 && cell[0] == '\'' && DelimitedWriter.LooksLikeFormula(cell[1..]) ? cell[1..] : cell;

    private static (string Text, string Encoding) Decode(ReadOnlySpan<byte> bytes)
    {
        if (bytes.StartsWith(Encoding.UTF8.Preamble))
        {
            bytes = bytes[3..];
        }
        else if (bytes.StartsWith(Encoding.Unicode.Preamble) || bytes.StartsWith(Encoding.BigEndianUnicode.Preamble))
        {
            var wide = bytes[0] == 0xFF ? Encoding.Unicode : Encoding.BigEndianUnicode;
            return (wide.GetString(bytes[2..]), "UTF-16");
        }

        if (bytes.Contains((byte)0))
        {
            throw new UnreadableFileException(FileFault.NotText);
        }

        return DecodeLines(bytes);
    }

    // A file pasted together from two programs carries both encodings; reading it as either would spoil names silently.
    private static (string Text, string Encoding) DecodeLines(ReadOnlySpan<byte> bytes)
    {
        var (firstUtf8, firstOther, line) = (0, 0, 0);
        foreach (var range in bytes.Split((byte)'\n'))
        {
            line++;
            var one = bytes[range];
            if (one.IndexOfAnyInRange((byte)0x80, (byte)0xFF) < 0)
            {
                continue;
            }

            if (Utf8.IsValid(one))
            {
                firstUtf8 = firstUtf8 == 0 ? line : firstUtf8;
            }
            else
            {
                firstOther = firstOther == 0 ? line : firstOther;
            }
        }

        if (firstUtf8 > 0 && firstOther > 0)
        {
            throw new UnreadableFileException(FileFault.MixedEncodings, Math.Max(firstUtf8, firstOther));
        }

        return firstOther > 0 ? (Encoding.GetEncoding(1252).GetString(bytes), "Windows-1252") : (StrictUtf8.GetString(bytes), "UTF-8");
    }

    // The delimiter cuts nearly every line into as many cells as the first. Where several do, a comma is a decimal comma.
    private static char DelimiterOf(IEnumerable<string> some)
    {
        var lines = some.Select(line => line.Length > LongestForDetection ? line[..LongestForDetection] : line)
            .Where(l => l.Trim().Length > 0)
            .Select(WithoutQuotes)
            .ToList();
        return Delimiters.MaxBy(d =>
        {
            var first = lines.Count == 0 ? 0 : lines[0].AsSpan().Count(d);
            var alike = lines.Count(l => l.AsSpan().Count(d) == first) / (double)lines.Count;
            return first == 0 ? 0 : alike + (alike > SteadyShare && d != ',' ? 1 : 0);
        });
    }

    private static string WithoutQuotes(string line) => Quoted().Replace(line, "");

    private static bool HasDecimalComma(char delimiter, IReadOnlyList<TableRow> rows)
    {
        var numbers = rows.Take(500).SelectMany(r => r.Cells).Where(c => DecimalNumber().IsMatch(c)).ToList();
        return delimiter != ',' && numbers.Count(c => c.Contains(',')) > numbers.Count(c => c.Contains('.'));
    }

    private static int LinesIn(string text) => text.AsSpan().Count('\n') + (text.EndsWith('\n') ? 0 : 1);

    [GeneratedRegex("\"[^\"]*\"")]
    private static partial Regex Quoted();

    [GeneratedRegex(@"^[-+]?\d+[.,]\d+\s*[a-zA-Z°²³'""/]*$")]
    private static partial Regex DecimalNumber();
}
