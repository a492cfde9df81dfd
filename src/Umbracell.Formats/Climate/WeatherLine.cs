using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;

namespace Umbracell.Formats.Climate;

/// <summary>A line of an hourly weather file. Columns are numbered from 0; a figure that is marked as not taken, lies outside what can
/// be, or is not in the file at all, is unknown.</summary>
internal sealed class WeatherLine
{
    public const int LeastColumns = 9;

    private const int Month = 1,
        Day = 2,
        Hour = 3,
        DryBulb = 6,
        Dew = 7,
        Humidity = 8,
        Pressure = 9,
        Global = 13,
        WindFrom = 20,
        WindSpeed = 21,
        SkyCover = 22,
        SnowDepth = 30,
        Rain = 33;

    private readonly string[] _cells;
    private readonly double? _celsius,
        _humidity;

    private WeatherLine(string[] cells, int? hourOfYear)
    {
        (_cells, HourOfYear) = (cells, hourOfYear);
        _celsius = Taken(DryBulb, 99.9, -70, 70);
        _humidity = Taken(Humidity, 999, 0, 110);
        if (_humidity is null && _celsius is { } t && Taken(Dew, 99.9, -70, 60) is { } dew)
        {
            _humidity = RelativeHumidity
                .OfDewPoint(Temperature.FromCelsius(dew), Temperature.FromCelsius(t), HumidityReference.Water)
                .Percent;
            IsFilled = true;
        }
    }

    /// <summary>Number of the hour in a year of 365 days; null for the day a leap year has more.</summary>
    public int? HourOfYear { get; }

    /// <summary>Whether its humidity was calculated from the dew point.</summary>
    public bool IsFilled { get; }

    /// <summary>A line; null where its month, day or hour does not read.</summary>
    public static WeatherLine? Of(string[] cells) =>
        WeatherFile.Number(cells[Month]) is { } month and >= 1 and <= 12
        && WeatherFile.Number(cells[Day]) is { } day and >= 1 and <= 31
        && WeatherFile.Number(cells[Hour]) is { } hour and >= 1 and <= 24
            ? new(cells, HourIn((int)month, (int)day, (int)hour))
            : null;

    /// <summary>What it says of the air.</summary>
    /// <param name="start">First instant of the hour.</param>
    public AirHour Air(DateTimeOffset start)
    {
        var temperature = _celsius is { } t ? Temperature.FromCelsius(t) : (Temperature?)null;
        return new()
        {
            Start = start,
            Temperature = temperature,
            Humidity =
                temperature is { } air && _humidity is { } rh ? RelativeHumidity.OfWeather(Math.Clamp(rh, 1, 100), air)
                : _humidity is { } alone ? RelativeHumidity.FromPercent(Math.Clamp(alone, 1, 100))
                : null,
            Wind = Taken(WindSpeed, 999, 0, 60) is { } wind
                ? new(Speed.FromMetresPerSecond(wind), null, Taken(WindFrom, 999, 0, 360))
                : null,
            Cloud = Taken(SkyCover, 99, 0, 10) / 10,
            Precipitation = Taken(Rain, 999, 0, 500) is { } fell ? Precipitation.Of(fell, temperature) : null,
            GlobalWm2 = Taken(Global, 9999, 0, 1500),
            Pressure = Taken(Pressure, 999_999, 31_000, 120_000) is { } pascals ? Core.Quantities.Pressure.FromPascals(pascals) : null,
            Snow = Taken(SnowDepth, 999, 0, 1000) is { } centimetres ? Length.FromMetres(centimetres / 100) : null,
        };
    }

    private static int? HourIn(int month, int day, int hour) =>
        day > DateTime.DaysInMonth(WeatherFile.NominalYear, month)
            ? null
            : (new DateTime(WeatherFile.NominalYear, month, day).DayOfYear - 1) * 24 + hour - 1;

    private double? Taken(int column, double mark, double least, double greatest) =>
        column < _cells.Length
        && WeatherFile.Number(_cells[column]) is { } value
        && Math.Abs(value - mark) > 1e-6
        && value >= least
        && value <= greatest
            ? value
            : null;
}
