using System.Globalization;
using Umbracell.Formats.Tables;

namespace Umbracell.Formats.Readings;

/// <summary>A thermal picture as cameras save it in a table: a grid of temperatures.</summary>
/// <param name="Rows">Rows of dots.</param>
/// <param name="Columns">Dots in a row.</param>
/// <param name="Celsius">°C, row by row from the top.</param>
public sealed record ThermalGrid(int Rows, int Columns, float[] Celsius)
{
    /// <summary>Greatest number of dots.</summary>
    public const int MostDots = 1_500_000;

    private const int MostColumns = 2_000;
    private const float Coldest = -80;
    private const float Hottest = 400;

    /// <summary>Reads a grid.</summary>
    /// <param name="bytes">The file.</param>
    /// <param name="fahrenheit">Whether its figures are °F.</param>
    /// <exception cref="UnreadableFileException">Not a grid: rows of different length, a word inside, temperatures no camera
    /// reads.</exception>
    public static ThermalGrid Read(ReadOnlySpan<byte> bytes, bool fahrenheit)
    {
        var (rows, comma) = DelimitedText.ReadBare(bytes, MostColumns, MostDots + MostColumns);

        // Cameras write lines about themselves above the grid: it starts with the first row of nothing but numbers.
        var values = rows.Select(r => (r.Line, Numbers: Numbers(r, comma))).SkipWhile(r => r.Numbers is null).ToList();
        if (values.Count < 2)
        {
            throw new UnreadableFileException(FileFault.NotAGrid);
        }

        var columns = values[0].Numbers!.Length;
        if (values.Find(r => r.Numbers?.Length != columns) is { Line: > 0 } bad)
        {
            throw new UnreadableFileException(FileFault.NotAGrid, bad.Line);
        }

        if (columns < 2 || (long)columns * values.Count > MostDots)
        {
            throw new UnreadableFileException(FileFault.NotAGrid);
        }

        var celsius = values.SelectMany(r => r.Numbers!).Select(v => fahrenheit ? (v - 32) / 1.8f : v).ToArray();
        var wrong = Array.FindIndex(celsius, c => c is not (>= Coldest and <= Hottest));
        return wrong >= 0
            ? throw new UnreadableFileException(FileFault.NotAGrid, values[wrong / columns].Line)
            : new(values.Count, columns, celsius);
    }

    private static float[]? Numbers(TableRow row, bool comma)
    {
        var cells = row.Cells.Count > 0 && row.Cells[^1].Length == 0 ? row.Cells.SkipLast(1).ToList() : row.Cells;
        var numbers = new float[cells.Count];
        for (var i = 0; i < cells.Count; i++)
        {
            var text = comma ? cells[i].Replace(',', '.') : cells[i];
            if (!float.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out numbers[i]))
            {
                return null;
            }
        }

        return row.Ragged == 0 ? numbers : null;
    }
}
