using System.Globalization;
using System.Text;
using Umbracell.Core.Air;
using Umbracell.Core.Conditions;
using Umbracell.Core.Quantities;
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

    /// <summary>Every hour, with what is missing as no number.</summary>
    public required IReadOnlyList<WeatherHour> Hours { get; init; }

    /// <summary>Hours whose humidity was reckoned from the dew point because the file lacks it.</summary>
    public required int Filled { get; init; }

    private const int HeaderLines = 8,
        HoursOfYear = 8760,
        LeastColumns = 9;

    // The format's own marks for a figure that was not taken.
    private const double NoTemperature = 99.9,
        NoHumidity = 999;

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

        var filled = 0;
        List<WeatherHour> hours = [];
        for (var i = HeaderLines; i < lines.Length; i++)
        {
            if (lines[i].Length > 0)
            {
                hours.Add(Hour(lines[i], i + 1, i == lines.Length - 1, ref filled));
            }
        }

        // Every line has as many columns as the first; a last one with fewer was cut in the middle.
        var last = Array.FindLast(lines, line => line.Length > 0)!;
        if (hours.Count < HoursOfYear || last.Count(c => c == ',') < lines[HeaderLines].Count(c => c == ','))
        {
            throw new UnreadableFileException(
                FileFault.WeatherFileCutShort,
                lines.Length,
                hours.Count.ToString(CultureInfo.InvariantCulture)
            );
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

    private static WeatherHour Hour(string line, int at, bool isLast, ref int filled)
    {
        var cells = line.Split(',');
        if (cells.Length < LeastColumns)
        {
            throw new UnreadableFileException(isLast ? FileFault.WeatherFileCutShort : FileFault.NotAWeatherFile, at);
        }

        if (Number(cells[1]) is not { } month || month is < 1 or > 12 || Number(cells[2]) is not { } day || day is < 1 or > 31)
        {
            throw new UnreadableFileException(FileFault.NotAWeatherFile, at);
        }

        var celsius = Taken(cells[6], NoTemperature, -70, 70);
        var humidity = Taken(cells[8], NoHumidity, 0, 110);
        if (double.IsNaN(humidity) && !double.IsNaN(celsius) && Taken(cells[7], NoTemperature, -70, 60) is var dew && !double.IsNaN(dew))
        {
            humidity = 100 * Saturated(dew) / Saturated(celsius);
            filled++;
        }

        return new((int)month, (int)day, celsius, double.IsNaN(humidity) ? humidity : Math.Clamp(humidity, 1, 100));
    }

    private static double Taken(string cell, double mark, double least, double greatest) =>
        Number(cell) is { } value && Math.Abs(value - mark) > 1e-6 && value >= least && value <= greatest ? value : double.NaN;

    private static double? Number(string cell) =>
        double.TryParse(cell, NumberStyles.Float, CultureInfo.InvariantCulture, out var value) && double.IsFinite(value) ? value : null;

    private static double Saturated(double celsius) => MoistAir.SaturationPressureOfWeather(Temperature.FromCelsius(celsius)).Pascals;

    private static string Clip(string name) =>
        name.Length is > 0 and <= 120 ? name
        : name.Length == 0 ? "-"
        : name[..120];
}
