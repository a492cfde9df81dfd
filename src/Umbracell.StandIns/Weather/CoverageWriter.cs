using System.Globalization;
using System.Text.Json;
using Umbracell.Core.Weather.Years;

namespace Umbracell.StandIns.Weather;

/// <summary>Writes a run at a point as CoverageJSON (OGC 21-069).</summary>
internal sealed class CoverageWriter(
    MadeWeather weather,
    DateTimeOffset run,
    IReadOnlyList<DateTimeOffset> instants,
    ForecastTrouble trouble
)
{
    private sealed record Told(string Name, string Unit, string? Method, Func<MadeAir, double> Of)
    {
        public bool IsSum => Method == "sum";
    }

    private bool Others => trouble == ForecastTrouble.OtherUnits;

    private Told[] Parameters =>
        [
            trouble switch
            {
                ForecastTrouble.OtherUnits => new("air-temperature", "K", null, a => a.TempC + 273.15),
                ForecastTrouble.UnknownUnit => new("air-temperature", "[degWaxwing]", null, a => a.TempC),
                ForecastTrouble.WrongUnit => new("air-temperature", "Cel", null, a => a.TempC + 273.15),
                _ => new("air-temperature", "Cel", null, a => a.TempC),
            },
            Others ? new("relative-humidity", "1", null, a => a.RhPct / 100) : new("relative-humidity", "%", null, a => a.RhPct),
            Others ? new("wind-speed", "km/h", null, a => a.WindMs * 3.6) : new("wind-speed", "m/s", null, a => a.WindMs),
            Others ? new("wind-gust", "[kn_i]", null, a => a.GustMs * 3600 / 1852) : new("wind-gust", "m/s", null, a => a.GustMs),
            Others ? new("cloud-cover", "1", null, a => a.Cloud) : new("cloud-cover", "%", null, a => 100 * a.Cloud),
            Others ? new("precipitation", "cm", "sum", a => a.RainMmH / 10) : new("precipitation", "mm", "sum", a => a.RainMmH),
        ];

    public void Write(Utf8JsonWriter json, int members)
    {
        if (trouble == ForecastTrouble.Collection)
        {
            json.WriteStartObject();
            json.WriteString("type", "CoverageCollection");
            WriteParameters(json);
            json.WriteStartArray("coverages");
            for (var m = 0; m < members; m++)
            {
                WriteCoverage(json, [m], ofCollection: true);
            }

            json.WriteEndArray();
            json.WriteEndObject();
        }
        else
        {
            WriteCoverage(json, [.. Enumerable.Range(0, members)], ofCollection: false);
        }
    }

    private void WriteCoverage(Utf8JsonWriter json, int[] members, bool ofCollection)
    {
        json.WriteStartObject();
        json.WriteString("type", "Coverage");
        WriteDomain(json, members);
        if (!ofCollection)
        {
            WriteParameters(json);
        }

        json.WriteStartObject("ranges");
        foreach (var told in Parameters)
        {
            WriteRange(json, told, members);
        }

        json.WriteEndObject();
        json.WriteEndObject();
    }

    private void WriteDomain(Utf8JsonWriter json, int[] members)
    {
        json.WriteStartObject("domain");
        json.WriteString("type", "Domain");
        json.WriteStartObject("axes");
        json.WriteStartObject("t");
        json.WriteStartArray("values");
        foreach (var instant in instants)
        {
            json.WriteStringValue(instant.ToString("yyyy-MM-dd'T'HH:mm:ss'Z'", CultureInfo.InvariantCulture));
        }

        json.WriteEndArray();
        json.WriteEndObject();
        json.WriteStartObject("realization");
        json.WriteStartArray("values");
        foreach (var member in members)
        {
            json.WriteNumberValue(member);
        }

        json.WriteEndArray();
        json.WriteEndObject();
        json.WriteEndObject();
        json.WriteStartArray("referencing");
        Reference(json, "t", "TemporalRS", () => json.WriteString("calendar", "Gregorian"));
        Reference(json, "realization", "IdentifierRS", () => Label(json, "targetConcept", "Member of the forecast"));
        json.WriteEndArray();
        json.WriteEndObject();
    }

    private static void Reference(Utf8JsonWriter json, string axis, string type, Action more)
    {
        json.WriteStartObject();
        json.WriteStartArray("coordinates");
        json.WriteStringValue(axis);
        json.WriteEndArray();
        json.WriteStartObject("system");
        json.WriteString("type", type);
        more();
        json.WriteEndObject();
        json.WriteEndObject();
    }

    private static void Label(Utf8JsonWriter json, string name, string text)
    {
        json.WriteStartObject(name);
        json.WriteStartObject("label");
        json.WriteString("en", text);
        json.WriteEndObject();
        json.WriteEndObject();
    }

    private void WriteParameters(Utf8JsonWriter json)
    {
        json.WriteStartObject("parameters");
        foreach (var told in Parameters)
        {
            json.WriteStartObject(told.Name);
            json.WriteString("type", "Parameter");
            Label(json, "observedProperty", told.Name.Replace('-', ' '));
            json.WriteStartObject("unit");
            json.WriteStartObject("symbol");
            json.WriteString("value", told.Unit);
            json.WriteString("type", "http://www.opengis.net/def/uom/UCUM/");
            json.WriteEndObject();
            json.WriteEndObject();
            if (told.Method is { } method)
            {
                json.WriteStartObject("measurementType");
                json.WriteString("method", method);
                json.WriteString("duration", trouble == ForecastTrouble.ThreeHours ? "P10D" : "PT1H");
                json.WriteEndObject();
            }

            json.WriteEndObject();
        }

        json.WriteEndObject();
    }

    private void WriteRange(Utf8JsonWriter json, Told told, int[] members)
    {
        json.WriteStartObject(told.Name);
        json.WriteString("type", "NdArray");
        json.WriteString("dataType", "float");
        json.WriteStartArray("axisNames");
        json.WriteStringValue("t");
        json.WriteStringValue("realization");
        json.WriteEndArray();
        json.WriteStartArray("shape");
        json.WriteNumberValue(instants.Count);
        json.WriteNumberValue(members.Length);
        json.WriteEndArray();
        json.WriteStartArray("values");
        var sums = new double[members.Length];
        for (var i = 0; i < instants.Count; i++)
        {
            for (var m = 0; m < members.Length; m++)
            {
                if (trouble == ForecastTrouble.HoursMissing && i % 24 is 9 or 10)
                {
                    json.WriteNullValue();
                    continue;
                }

                json.WriteNumberValue(
                    Math.Round(told.IsSum ? Sum(told, members[m], i, ref sums[m]) : told.Of(Air(members[m], instants[i])), 3)
                );
            }
        }

        json.WriteEndArray();
        json.WriteEndObject();
    }

    // What fell in the time before an instant, or since the run began.
    private double Sum(Told told, int member, int i, ref double since)
    {
        if (trouble != ForecastTrouble.ThreeHours)
        {
            return told.Of(Air(member, instants[i].AddHours(-0.5)));
        }

        for (var h = 0; h < 3 && i > 0; h++)
        {
            since += told.Of(Air(member, instants[i].AddHours(-0.5 - h)));
        }

        return since;
    }

    // Each figure asks for the air of the same instants: it is made once.
    private readonly Dictionary<(int Member, DateTimeOffset At), MadeAir> _made = [];

    private MadeAir Air(int member, DateTimeOffset at)
    {
        if (!_made.TryGetValue((member, at), out var air))
        {
            _made[(member, at)] = air = weather.Member(run, member, at);
        }

        return air;
    }
}
