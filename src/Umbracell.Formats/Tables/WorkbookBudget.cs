using System.Globalization;
using System.IO.Compression;
using System.Xml;
using System.Xml.Linq;

namespace Umbracell.Formats.Tables;

/// <summary>Looks whether a workbook can be read within bounds, before it is: a file of two kilobytes can say that its rows are sixteen
/// thousand cells wide, or unpack to gigabytes.</summary>
internal static class WorkbookBudget
{
    private const string MainPart = "xl/workbook.xml";
    private const string Texts = "xl/sharedStrings.xml";
    private const long MostUnpacked = 48L * 1024 * 1024;

    private static readonly XmlReaderSettings Settings = new()
    {
        DtdProcessing = DtdProcessing.Prohibit,
        XmlResolver = null,
        MaxCharactersInDocument = MostUnpacked,
    };

    /// <summary>Looks at the first sheet, and at the texts that cells of any sheet refer to.</summary>
    /// <exception cref="UnreadableFileException">More columns, cells or letters than are read.</exception>
    /// <exception cref="InvalidDataException">Not packed as a workbook is.</exception>
    /// <exception cref="XmlException">A part that is no XML.</exception>
    public static void Check(byte[] bytes)
    {
        using var archive = new ZipArchive(new MemoryStream(bytes, writable: false), ZipArchiveMode.Read);
        List<ZipArchiveEntry> parts = [.. Sheets(archive), .. archive.Entries.Where(e => Is(e, Texts))];
        if (parts.Sum(e => e.Length) > MostUnpacked)
        {
            throw new UnreadableFileException(
                FileFault.UnpacksTooLarge,
                0,
                (MostUnpacked / 1024 / 1024).ToString(CultureInfo.InvariantCulture)
            );
        }

        parts.ForEach(CheckPart);
    }

    // Where the workbook does not say which sheet is its first, all of them are looked at.
    private static IEnumerable<ZipArchiveEntry> Sheets(ZipArchive archive)
    {
        var sheets = archive.Entries.Where(e => e.FullName.TrimStart('/').StartsWith("xl/worksheets/", StringComparison.OrdinalIgnoreCase));
        var first = sheets.Count() > 1 ? FirstTarget(archive) : null;
        return first is not null && sheets.FirstOrDefault(e => Is(e, first)) is { } one ? [one] : sheets;
    }

    private static string? FirstTarget(ZipArchive archive)
    {
        var id = Load(archive, MainPart)
            ?.Descendants()
            .FirstOrDefault(e => e.Name.LocalName == "sheet")
            ?.Attributes()
            .FirstOrDefault(a => a.Name.LocalName == "id")
            ?.Value;
        var target = Load(archive, "xl/_rels/workbook.xml.rels")
            ?.Elements()
            .FirstOrDefault(e => e.Attribute("Id")?.Value == id)
            ?.Attribute("Target")
            ?.Value;
        return target is null ? null
            : target.StartsWith('/') ? target[1..]
            : "xl/" + target;
    }

    private static XElement? Load(ZipArchive archive, string name)
    {
        if (archive.Entries.FirstOrDefault(e => Is(e, name)) is not { } entry)
        {
            return null;
        }

        using var reader = XmlReader.Create(entry.Open(), Settings);
        return XDocument.Load(reader).Root;
    }

    private static bool Is(ZipArchiveEntry entry, string name) =>
        entry.FullName.TrimStart('/').Equals(name, StringComparison.OrdinalIgnoreCase);

    private static void CheckPart(ZipArchiveEntry part)
    {
        using var reader = XmlReader.Create(part.Open(), Settings);
        var (line, lines, columns) = (0, 0, 0);
        while (reader.Read())
        {
            if (reader.NodeType is XmlNodeType.Text or XmlNodeType.CDATA or XmlNodeType.SignificantWhitespace)
            {
                CheckText(reader, line);
            }
            else if (reader.NodeType == XmlNodeType.Element)
            {
                (line, columns) = reader.LocalName switch
                {
                    "row" => (Number(reader.GetAttribute("r")) ?? line + 1, columns),
                    "c" => (line, Math.Max(columns, ColumnOf(reader.GetAttribute("r")))),
                    "dimension" => (line, Math.Max(columns, ColumnOf(reader.GetAttribute("ref")?.Split(':')[^1]))),
                    _ => (line, columns),
                };
                lines = Math.Max(lines, line);
                CheckSize(line, Math.Min(lines, TableFile.MostRows), columns);
            }
        }
    }

    // The library fills rows and columns that are left out, up to the last that is named.
    private static void CheckSize(int line, int lines, int columns)
    {
        if (columns > TableFile.MostColumns)
        {
            throw new UnreadableFileException(FileFault.TooManyColumns, line, columns.ToString(CultureInfo.InvariantCulture));
        }

        if ((long)lines * columns > TableFile.MostCells)
        {
            throw new UnreadableFileException(FileFault.TooManyCells, 0, TableFile.MostCells.ToString(CultureInfo.InvariantCulture));
        }
    }

    private static void CheckText(XmlReader reader, int line)
    {
        var (some, letters) = (new char[4096], 0);
        for (var read = 1; read > 0; letters += read)
        {
            read = reader.ReadValueChunk(some, 0, some.Length);
            if (letters > TableFile.LongestCell)
            {
                throw new UnreadableFileException(
                    FileFault.CellTooLong,
                    line,
                    TableFile.LongestCell.ToString(CultureInfo.InvariantCulture)
                );
            }
        }
    }

    // "AB12" is in column 28.
    private static int ColumnOf(string? cell) =>
        (cell ?? "").TakeWhile(char.IsAsciiLetter).Take(4).Aggregate(0, (column, letter) => column * 26 + (letter & 31));

    private static int? Number(string? text) => int.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out var n) ? n : null;
}
