using System.Globalization;
using System.Text;
using Umbracell.Core.Conditions;
using Umbracell.Core.Weather;
using Umbracell.Formats.Tables;

namespace Umbracell.Formats.Climate;

/// <summary>An hourly weather file (EPW): eight lines about the place, then a line for every hour of a year.</summary>
public sealed record WeatherFile
{
    /// <summary>Place as the file names it.</summary>
    public required string Name { get; init; }

    /// <summary>Height above sea level, m.</summary>
    public required double AltitudeM { get; init; }

    /// <summary>Degrees north; null where the file gives none that can be.</summary>
    public required double? Latitude { get; init; }

    /// <summary>Degrees east.</summary>
    public required double? Longitude { get; init; }

    /// <summary>Every hour of a year of 365 days, told by the clock of the place without summer time; what is missing is null. The year
    /// they are put in, <see cref="NominalYear"/>, means nothing: such a file is made of months of several years.</summary>
    public required IReadOnlyList<AirHour> Hours { get; init; }

    /// <summary>Hours whose humidity was calculated from the dew point because the file lacks it.</summary>
    public required int Filled { get; init; }

    /// <summary>Year the hours are put in.</summary>
    public const int NominalYear = 2001;

    private const int HeaderLines = 8,
        HoursOfYear = 8760;

    /// <summary>Reads a file.</summary>
    /// <exception cref="UnreadableFileException">Not a weather file, cut short, a line that does not read, or a month with too many hours
    /// missing.</exception>
    public static WeatherFile Read(ReadOnlySpan<byte> bytes)
    {
        var lines = Encoding.Latin1.GetString(bytes).Split('\n', StringSplitOptions.TrimEntries);
        var place = lines[0].TrimStart('\uFEFF').Split(',', StringSplitOptions.TrimEntries);
        if (place.Length < 10 || !place[0].EndsWith("LOCATION", StringComparison.OrdinalIgnoreCase))
        {
            throw new UnreadableFileException(FileFault.NotAWeatherFile, 1);
        }

        var offset = TimeSpan.FromHours(Number(place[8]) is { } zone and >= -14 and <= 14 ? zone : 0);
        var hours = Enumerable.Range(0, HoursOfYear).Select(i => new AirHour { Start = StartOf(i, offset) }).ToArray();
        var (filled, count) = (0, 0);
        for (var i = HeaderLines; i < lines.Length; i++)
        {
            if (lines[i].Length == 0)
            {
                continue;
            }

            count++;
            var cells = lines[i].Split(',');
            if (cells.Length < WeatherLine.LeastColumns)
            {
                throw new UnreadableFileException(i == lines.Length - 1 ? FileFault.WeatherFileCutShort : FileFault.NotAWeatherFile, i + 1);
            }

            var line = WeatherLine.Of(cells) ?? throw new UnreadableFileException(FileFault.NotAWeatherFile, i + 1);
            if (line.HourOfYear is { } at)
            {
                hours[at] = line.Air(hours[at].Start);
                filled += line.IsFilled ? 1 : 0;
            }
        }

        // Every line has as many columns as the first; a last one with fewer was cut in the middle.
        var last = Array.FindLast(lines, line => line.Length > 0)!;
        if (count < HoursOfYear || last.Count(c => c == ',') < lines[HeaderLines].Count(c => c == ','))
        {
            throw new UnreadableFileException(FileFault.WeatherFileCutShort, lines.Length, count.ToString(CultureInfo.InvariantCulture));
        }

        return WeatherYear.ThinMonths(hours) is { Count: > 0 } thin
            ? throw new UnreadableFileException(
                FileFault.WeatherFileGaps,
                0,
                CultureInfo.InvariantCulture.DateTimeFormat.GetMonthName(thin[0])
            )
            : new()
            {
                Name = Clip(place[1]),
                AltitudeM = Number(place[9]) is { } height and > -500 and < 9000 ? height : 0,
                Latitude = Number(place[6]) is { } north and >= -90 and <= 90 ? north : null,
                Longitude = Number(place[7]) is { } east and >= -180 and <= 180 ? east : null,
                Hours = hours,
                Filled = filled,
            };
    }

    private static DateTimeOffset StartOf(int hour, TimeSpan offset) =>
        new DateTimeOffset(NominalYear, 1, 1, 0, 0, 0, offset).AddHours(hour);

    internal static double? Number(string cell) =>
        double.TryParse(cell, NumberStyles.Float, CultureInfo.InvariantCulture, out var value) && double.IsFinite(value) ? value : null;

    private static string Clip(string name) =>
        name.Length is > 0 and <= 120 ? name
        : name.Length == 0 ? "-"
        : name[..120];
}
