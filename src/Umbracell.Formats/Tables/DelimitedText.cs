using System.Globalization;
using System.Text;
using System.Text.RegularExpressions;
using CsvHelper;
using CsvHelper.Configuration;

namespace Umbracell.Formats.Tables;

/// <summary>Reads text tables whose delimiter, encoding and decimal mark are found out from the text.</summary>
public static partial class DelimitedText
{
    private const int LinesForDetection = 50;
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

        var delimiter = DelimiterOf(text);
        var (header, rows) = Parse(text, delimiter);
        return new(header, rows, delimiter == '\t' ? "tab" : delimiter.ToString(), encoding, HasDecimalComma(delimiter, rows));
    }

    /// <summary>Rows without a header, for grids and logs.</summary>
    /// <exception cref="UnreadableFileException">As <see cref="Read"/>.</exception>
    public static (IReadOnlyList<TableRow> Rows, bool DecimalComma) ReadBare(ReadOnlySpan<byte> bytes)
    {
        var (text, _) = Decode(bytes);
        if (string.IsNullOrWhiteSpace(text))
        {
            throw new UnreadableFileException(FileFault.Empty);
        }

        var delimiter = DelimiterOf(text);
        var (header, rows) = Parse(text, delimiter);
        TableRow[] all = [new(1, header, 0), .. rows];
        return (all, HasDecimalComma(delimiter, all));
    }

    private static (string[] Header, List<TableRow> Rows) Parse(string text, char delimiter)
    {
        var broken = 0;
        var configuration = new CsvConfiguration(CultureInfo.InvariantCulture)
        {
            Delimiter = delimiter.ToString(),
            BadDataFound = bad => broken = broken > 0 ? broken : bad.Context.Parser?.RawRow ?? 1,
            TrimOptions = TrimOptions.Trim,
            IgnoreBlankLines = true,
            MaxFieldSize = 20_000,
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
                if (header is null)
                {
                    header = Header(cells);
                }
                else if (rows.Count == TableFile.MostRows)
                {
                    throw new UnreadableFileException(FileFault.TooManyLines, 0, LinesIn(text).ToString(CultureInfo.InvariantCulture));
                }
                else if (cells.Any(c => c.Length > 0))
                {
                    rows.Add(Row(line, [.. cells.Select(Unguarded)], header.Length));
                }
            }
        }
        catch (MaxFieldSizeException)
        {
            throw new UnreadableFileException(FileFault.BrokenQuotes, broken > 0 ? broken : parser.RawRow);
        }

        return broken > 0 ? throw new UnreadableFileException(FileFault.BrokenQuotes, broken) : (header ?? [], rows);
    }

    private static string[] Header(string[] cells) =>
        cells.Length > TableFile.MostColumns
            ? throw new UnreadableFileException(FileFault.TooManyColumns, 1, cells.Length.ToString(CultureInfo.InvariantCulture))
            : cells;

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

            if (IsUtf8(one))
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

    private static bool IsUtf8(ReadOnlySpan<byte> bytes)
    {
        try
        {
            StrictUtf8.GetCharCount(bytes);
            return true;
        }
        catch (DecoderFallbackException)
        {
            return false;
        }
    }

    // The delimiter cuts nearly every line into as many cells as the first. Where several do, a comma is a decimal comma.
    private static char DelimiterOf(string text)
    {
        var lines = text.Split('\n', LinesForDetection + 1)
            .Take(LinesForDetection)
            .Where(l => l.Trim().Length > 0)
            .Select(WithoutQuotes)
            .ToList();
        return Delimiters.MaxBy(d =>
        {
            var first = lines[0].Count(c => c == d);
            var alike = lines.Count(l => l.Count(c => c == d) == first) / (double)lines.Count;
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
