namespace Umbracell.Formats.Tables;

/// <summary>A row of a table with the line it stands on.</summary>
/// <param name="Line">From 1, the header among them.</param>
/// <param name="Cells">As many as there are columns; a row that is short is filled up, one that is long is cut, and both are
/// ragged.</param>
/// <param name="Ragged">Cells more or fewer than the header has; 0 where the row fits.</param>
public sealed record TableRow(int Line, IReadOnlyList<string> Cells, int Ragged);

/// <summary>A table as read from a file: header, rows, and what was found out about it.</summary>
/// <param name="Header">Names of the columns, trimmed.</param>
/// <param name="Rows">Rows that are not blank.</param>
/// <param name="Delimiter">What parts the cells; empty for a workbook.</param>
/// <param name="Encoding">Name of the encoding; empty for a workbook.</param>
/// <param name="DecimalComma">Whether numbers are written with a decimal comma.</param>
public sealed record TableFile(
    IReadOnlyList<string> Header,
    IReadOnlyList<TableRow> Rows,
    string Delimiter,
    string Encoding,
    bool DecimalComma
)
{
    /// <summary>Rows read at once.</summary>
    public const int MostRows = 20_000;

    /// <summary>Columns read.</summary>
    public const int MostColumns = 200;

    /// <summary>Cells read at once.</summary>
    public const int MostCells = 200_000;

    /// <summary>Characters of a cell.</summary>
    public const int LongestCell = 20_000;
}
