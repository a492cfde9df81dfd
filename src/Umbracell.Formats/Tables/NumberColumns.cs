using System.Globalization;
using System.Text.RegularExpressions;

namespace Umbracell.Formats.Tables;

/// <summary>Turns columns of printed figures into columns of numbers that a spreadsheet can add up: the unit goes into the heading, or
/// into a column of its own where the lines differ.</summary>
public static partial class NumberColumns
{
    /// <summary>Columns and lines with their figures as numbers; texts that are no figure stay as they are.</summary>
    /// <param name="columns">Heading of each column, and whether it holds figures.</param>
    /// <param name="rows">Printed cells, one for each column.</param>
    /// <param name="currency">Sign before amounts of money, which is their unit; empty where none stands there.</param>
    public static (IReadOnlyList<string> Header, IReadOnlyList<IReadOnlyList<object?>> Rows) Of(
        IReadOnlyList<(string Heading, bool Figures)> columns,
        IReadOnlyList<IReadOnlyList<string>> rows,
        string currency = ""
    )
    {
        List<string> header = [];
        var lines = rows.Select(_ => new List<object?>()).ToList();
        for (var i = 0; i < columns.Count; i++)
        {
            var cells = rows.Select(row => i < row.Count ? row[i] : "").ToList();
            if (columns[i].Figures)
            {
                Add(columns[i].Heading, cells.ConvertAll(cell => Read(cell, currency)));
            }
            else
            {
                header.Add(columns[i].Heading);
                Fill(cells);
            }
        }

        return (Different(header), lines);

        void Add(string heading, List<(object? Cell, string Unit)> figures)
        {
            var units = figures.Where(f => f.Cell is double).Select(f => f.Unit).Distinct().ToList();
            header.Add(units is [{ Length: > 0 } only] ? $"{heading} ({only})" : heading);
            Fill(figures.Select(f => f.Cell));
            if (units.Count > 1)
            {
                header.Add(heading + ", unit");
                Fill(figures.Select(f => f.Unit));
            }
        }

        void Fill(IEnumerable<object?> cells)
        {
            foreach (var (line, cell) in lines.Zip(cells))
            {
                line.Add(cell);
            }
        }
    }

    /// <summary>The number of a printed figure and its unit; the text itself where it is no single number.</summary>
    /// <param name="printed">The figure as printed.</param>
    /// <param name="currency">Sign before amounts of money; empty where none stands there.</param>
    public static (object? Cell, string Unit) Read(string printed, string currency = "")
    {
        var isMoney = currency.Length > 0 && printed.TrimStart('-').StartsWith(currency, StringComparison.Ordinal);
        var match = Printed().Match(isMoney ? printed.Replace(currency, "", StringComparison.Ordinal) : printed);
        if (!match.Success)
        {
            return (printed, "");
        }

        var number = match.Groups["digits"].Success
            ? double.Parse(match.Groups["digits"].Value.Replace(",", "", StringComparison.Ordinal), CultureInfo.InvariantCulture)
            : 0;
        if (match.Groups["over"].Success)
        {
            number +=
                double.Parse(match.Groups["over"].Value, CultureInfo.InvariantCulture)
                / double.Parse(match.Groups["under"].Value, CultureInfo.InvariantCulture);
        }

        var unit = match.Groups["unit"].Value;
        return (match.Groups["sign"].Success ? -number : number, isMoney ? $"{currency.Trim()} {unit}".TrimEnd() : unit);
    }

    // Two columns of one name would fall together in a workbook.
    private static List<string> Different(List<string> header) =>
        [.. header.Select((heading, i) => header.Take(i).Contains(heading) ? $"{heading} {i + 1}" : heading)];

    // "2,680.50", "-3.1 °F", "5 1/2 in", "3/4 in"; not "12'6"", "2 h 05" or "R-20".
    [GeneratedRegex(
        @"^(?<sign>-)?(?:(?<digits>\d{1,3}(?:,\d{3})+(?:\.\d+)?|\d+(?:\.\d+)?)(?: (?<over>\d+)/(?<under>\d+))?"
            + @"|(?<over>\d+)/(?<under>\d+))(?: (?<unit>[^\d]+[²³]?))?$"
    )]
    private static partial Regex Printed();
}
