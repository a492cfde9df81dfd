using System.Globalization;
using MiniExcelLibs;
using MiniExcelLibs.OpenXml;

namespace Umbracell.Formats.Tables;

/// <summary>Reads and writes the first sheet of an XLSX workbook.</summary>
public static class Workbook
{
    /// <summary>Whether bytes look like a workbook rather than text.</summary>
    public static bool IsOne(ReadOnlySpan<byte> bytes) => bytes.StartsWith("PK\u0003\u0004"u8);

    /// <summary>Reads the first sheet; its first row is the header.</summary>
    /// <exception cref="UnreadableFileException">Not a workbook, empty, or larger than is read.</exception>
    public static TableFile Read(byte[] bytes)
    {
        try
        {
            WorkbookBudget.Check(bytes);
            using var stream = new MemoryStream(bytes);
            var rows = stream
                .Query(useHeaderRow: false)
                .Cast<IDictionary<string, object?>>()
                .Take(TableFile.MostRows + 2)
                .Select(r => r.Values.Select(Text).ToList())
                .ToList();
            return Table(rows);
        }
        catch (Exception e)
            when (e
                    is InvalidDataException
                        or System.Xml.XmlException
                        or InvalidOperationException
                        or FormatException
                        or KeyNotFoundException
                        or NullReferenceException
                        or ArgumentException
                        or NotSupportedException
            )
        {
            // The library meets broken workbooks with whatever failed first inside it.
            throw new UnreadableFileException(FileFault.NotAWorkbook);
        }
    }

    /// <summary>Writes one sheet. Numbers are numbers; every other cell is text, so that nothing is taken for a formula or a
    /// date.</summary>
    /// <param name="sheet">Name of the sheet.</param>
    /// <param name="header">Headings, all different.</param>
    /// <param name="rows">Cells: a text, a number, or nothing.</param>
    public static byte[] Write(string sheet, IReadOnlyList<string> header, IEnumerable<IReadOnlyList<object?>> rows)
    {
        using var stream = new MemoryStream();
        stream.SaveAs(
            rows.Select(row =>
                header.Zip(row).ToDictionary(p => p.First, p => p.Second is double or int ? p.Second : p.Second?.ToString() ?? "")
            ),
            sheetName: sheet,
            configuration: new OpenXmlConfiguration { TableStyles = TableStyles.None, AutoFilter = false }
        );
        return stream.ToArray();
    }

    private static TableFile Table(List<List<string>> rows)
    {
        if (rows.Count == 0 || rows[0].All(c => c.Length == 0))
        {
            throw new UnreadableFileException(FileFault.Empty);
        }

        if (rows.Count > TableFile.MostRows + 1)
        {
            throw new UnreadableFileException(
                FileFault.TooManyLines,
                0,
                "over " + TableFile.MostRows.ToString(CultureInfo.InvariantCulture)
            );
        }

        var header = rows[0];
        return new(
            header,
            [
                .. rows.Skip(1)
                    .Select((cells, i) => DelimitedText.Row(i + 2, cells, header.Count))
                    .Where(r => r.Cells.Any(c => c.Length > 0)),
            ],
            "",
            "",
            false
        );
    }

    private static string Text(object? cell) =>
        (
            cell switch
            {
                null => "",
                double d => d.ToString("R", CultureInfo.InvariantCulture),
                IFormattable f => f.ToString(null, CultureInfo.InvariantCulture),
                _ => cell.ToString() ?? "",
            }
        ).Trim();
}
