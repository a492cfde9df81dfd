using System.Globalization;
using System.Text.RegularExpressions;
using Umbracell.Formats.Tables;

namespace Umbracell.Formats.Readings;

/// <summary>A data logger's file: time, temperature, relative humidity.</summary>
/// <param name="Times">Seconds since 1970, rising. Clock times are taken as the zone given.</param>
/// <param name="Celsius">°C.</param>
/// <param name="Humidity">Percent.</param>
/// <param name="Skipped">Lines that did not read.</param>
public sealed partial record LoggerFile(long[] Times, double[] Celsius, double[] Humidity, IReadOnlyList<int> Skipped)
{
    /// <summary>More lines in a hundred than this that do not read: not a log.</summary>
    private const int MostSkippedPercent = 10;

    private static readonly string[] Formats =
    [
        "yyyy-MM-dd HH:mm:ss",
        "yyyy-MM-dd HH:mm",
        "yyyy-MM-ddTHH:mm:ss",
        "yyyy-MM-ddTHH:mm:ssK",
        "yyyy-MM-ddTHH:mmK",
        "yyyy/MM/dd HH:mm:ss",
        "yyyy/MM/dd HH:mm",
        "dd.MM.yyyy HH:mm:ss",
        "dd.MM.yyyy HH:mm",
        "M/d/yyyy H:mm:ss",
        "M/d/yyyy H:mm",
        "M/d/yyyy h:mm:ss tt",
        "M/d/yyyy h:mm tt",
    ];

    /// <summary>Reads a log.</summary>
    /// <param name="bytes">The file.</param>
    /// <param name="offsetAt">How far clock times that name no zone are ahead of universal time, by the time they show.</param>
    /// <exception cref="UnreadableFileException">No column of time, temperature or humidity; or too many lines that do not
    /// read.</exception>
    public static LoggerFile Read(ReadOnlySpan<byte> bytes, Func<DateTime, TimeSpan> offsetAt)
    {
        var table = DelimitedText.Read(bytes);
        var (time, temp, rh) = (Column(table, TimeName()), Column(table, TempName()), Column(table, HumidityName()));
        if (time < 0 || temp < 0 || rh < 0)
        {
            throw new UnreadableFileException(FileFault.NotALog, 1);
        }

        var fahrenheit = FahrenheitName().IsMatch(table.Header[temp]);
        var points = new SortedDictionary<long, (double C, double Rh)>();
        var skipped = new List<int>();
        foreach (var row in table.Rows)
        {
            if (
                row.Ragged == 0
                && Time(row.Cells[time], offsetAt) is { } at
                && Number(row.Cells[temp], table) is { } t
                && Number(row.Cells[rh], table) is { } humidity
                && humidity is >= 0 and <= 100.5
            )
            {
                points[at] = (fahrenheit ? (t - 32) / 1.8 : t, Math.Min(100, humidity));
            }
            else
            {
                skipped.Add(row.Line);
            }
        }

        return points.Count < 2 || skipped.Count * 100 > table.Rows.Count * MostSkippedPercent
            ? throw new UnreadableFileException(FileFault.NotALog, skipped.FirstOrDefault())
            : new([.. points.Keys], [.. points.Values.Select(p => p.C)], [.. points.Values.Select(p => p.Rh)], skipped);
    }

    private static int Column(TableFile table, Regex name) => table.Header.ToList().FindIndex(h => name.IsMatch(h));

    private static long? Time(string text, Func<DateTime, TimeSpan> offsetAt) =>
        DateTimeOffset.TryParseExact(
            text,
            Formats,
            CultureInfo.InvariantCulture,
            DateTimeStyles.AllowWhiteSpaces | DateTimeStyles.AssumeUniversal,
            out var at
        )
            ? (HasZone().IsMatch(text) ? at : new DateTimeOffset(at.DateTime, offsetAt(at.DateTime))).ToUnixTimeSeconds()
            : null;

    private static double? Number(string text, TableFile table) =>
        double.TryParse(table.DecimalComma ? text.Replace(',', '.') : text, NumberStyles.Float, CultureInfo.InvariantCulture, out var value)
        && double.IsFinite(value)
            ? value
            : null;

    [GeneratedRegex("time|date|stamp|zeit", RegexOptions.IgnoreCase)]
    private static partial Regex TimeName();

    [GeneratedRegex("temp|°c|°f|celsius|fahrenheit", RegexOptions.IgnoreCase)]
    private static partial Regex TempName();

    [GeneratedRegex("humid|rh|%", RegexOptions.IgnoreCase)]
    private static partial Regex HumidityName();

    [GeneratedRegex(@"°\s*f|fahrenheit|\(f\)|_f$", RegexOptions.IgnoreCase)]
    private static partial Regex FahrenheitName();

    [GeneratedRegex(@"(Z|[+-]\d\d:?\d\d)$")]
    private static partial Regex HasZone();
}
