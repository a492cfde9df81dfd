using System.Globalization;
using System.Text.Json;

namespace Umbracell.StandIns.Weather;

/// <summary>What goes wrong on demand, for tests and practice.</summary>
internal enum ForecastTrouble
{
    /// <summary>Nothing.</summary>
    None,

    /// <summary>Every request is answered 503.</summary>
    Down,

    /// <summary>Answers come after a minute.</summary>
    Slow,

    /// <summary>The answer ends in its middle.</summary>
    CutShort,

    /// <summary>Some hours have no figures.</summary>
    HoursMissing,

    /// <summary>A figure that is no number.</summary>
    NoNumber,

    /// <summary>Kelvin, kilometres an hour, centimetres: all of it said.</summary>
    OtherUnits,

    /// <summary>A unit nobody knows.</summary>
    UnknownUnit,

    /// <summary>Kelvins that are called degrees.</summary>
    WrongUnit,

    /// <summary>The newest run is three days old.</summary>
    OldIssue,

    /// <summary>A figure every three hours, rain as the sum since the run began.</summary>
    ThreeHours,

    /// <summary>One member.</summary>
    OneMember,

    /// <summary>A coverage for each member.</summary>
    Collection,
}

/// <summary>Forecasts of the demo's places, a run every six hours, ten days ahead.</summary>
internal sealed class ForecastService(IReadOnlyList<ForecastPlace> places)
{
    public const int RunEvery = 6,
        Ahead = 240,
        RunsListed = 10;

    private readonly Dictionary<ForecastPlace, MadeWeather> _weather = places.ToDictionary(p => p, p => new MadeWeather(p));

    /// <summary>What goes wrong now.</summary>
    public ForecastTrouble Trouble { get; set; }

    /// <summary>The weather at a point; null where there is none.</summary>
    public MadeWeather? At(double latitude, double longitude) =>
        places.FirstOrDefault(place => place.Holds(latitude, longitude)) is { } place ? _weather[place] : null;

    /// <summary>Runs there are at an instant, the newest first.</summary>
    public IEnumerable<DateTimeOffset> Runs(DateTimeOffset now)
    {
        var newest = new DateTimeOffset(now.Year, now.Month, now.Day, now.Hour / RunEvery * RunEvery, 0, 0, TimeSpan.Zero);
        var first = Trouble == ForecastTrouble.OldIssue ? newest.AddDays(-3) : newest;
        return Enumerable.Range(0, RunsListed).Select(i => first.AddHours(-RunEvery * i));
    }

    public static string IdOf(DateTimeOffset run) => run.ToString("yyyyMMdd'T'HH'Z'", CultureInfo.InvariantCulture);

    public static DateTimeOffset? RunOf(string id) =>
        DateTimeOffset.TryParseExact(id, "yyyyMMdd'T'HH'Z'", CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal, out var run)
            ? run.ToUniversalTime()
            : null;

    /// <summary>The answer to a position query, CoverageJSON.</summary>
    public byte[] Coverage(MadeWeather weather, DateTimeOffset run, DateTimeOffset from, DateTimeOffset to)
    {
        var step = Trouble == ForecastTrouble.ThreeHours ? 3 : 1;
        var members = Trouble == ForecastTrouble.OneMember ? 1 : MadeWeather.Members;
        List<DateTimeOffset> instants = [];
        for (var at = run; at <= run.AddHours(Ahead); at = at.AddHours(step))
        {
            if (at >= from.AddHours(-step) && at <= to.AddHours(step))
            {
                instants.Add(at);
            }
        }

        using var stream = new MemoryStream();
        using (var writer = new Utf8JsonWriter(stream))
        {
            new CoverageWriter(weather, run, instants, Trouble).Write(writer, members);
        }

        var whole = stream.ToArray();
        return Trouble switch
        {
            ForecastTrouble.CutShort => whole[..(whole.Length / 2)],
            ForecastTrouble.NoNumber => NoNumber(whole),
            _ => whole,
        };
    }

    private static byte[] NoNumber(byte[] whole)
    {
        var text = System.Text.Encoding.UTF8.GetString(whole);
        var at = text.IndexOf("\"values\":[", text.IndexOf("\"ranges\"", StringComparison.Ordinal), StringComparison.Ordinal);
        return System.Text.Encoding.UTF8.GetBytes(text.Insert(at + 10, "NaN,"));
    }
}
