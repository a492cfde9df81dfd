using System.Globalization;
using System.Text.Json;
using Umbracell.Core.Weather;

namespace Umbracell.Formats.Forecasts;

/// <summary>Names of parameters and of the axis of members by which a service tells what is asked of it.</summary>
public sealed record ForecastNames
{
    /// <summary>Parameter of each quantity the service has.</summary>
    public required IReadOnlyDictionary<ForecastQuantity, string> Parameters { get; init; }

    /// <summary>Axis of the members.</summary>
    public string MemberAxis { get; init; } = "realization";
}

/// <summary>A forecast at a point in CoverageJSON (OGC 21-069): one coverage with an axis of members, or a collection with a coverage for
/// each.</summary>
public static class CoverageJson
{
    private const int MostFigures = 2_000_000,
        MostHours = 24 * 40,
        MostMembers = 200;

    /// <summary>Reads an answer.</summary>
    /// <param name="bytes">The answer.</param>
    /// <param name="names">What its parameters are called.</param>
    /// <param name="issuedAt">When it was issued.</param>
    /// <returns>A run for each member, hour by hour.</returns>
    /// <exception cref="UnreadableForecastException">It cannot be used.</exception>
    public static IReadOnlyList<AirRun> Read(ReadOnlyMemory<byte> bytes, ForecastNames names, DateTimeOffset issuedAt)
    {
        try
        {
            using var document = JsonDocument.Parse(bytes);
            return Read(document.RootElement, names, issuedAt);
        }
        catch (JsonException)
        {
            throw new UnreadableForecastException(ForecastFault.CutShort);
        }
        catch (Exception e) when (e is InvalidOperationException or KeyNotFoundException or FormatException or OverflowException)
        {
            // A part that is missing, or of another kind than the standard has in its place.
            throw new UnreadableForecastException(ForecastFault.NotACoverage, e.Message);
        }
    }

    private static List<AirRun> Read(JsonElement root, ForecastNames names, DateTimeOffset issuedAt)
    {
        var parameters = Member(root, "parameters");
        List<AirRun> runs =
            Text(root, "type") == "CoverageCollection"
                ? [.. root.GetProperty("coverages").EnumerateArray().SelectMany(one => Coverage(one, parameters, names, issuedAt))]
                : Coverage(root, parameters, names, issuedAt);
        return runs.Count is 0 or > MostMembers
            ? throw new UnreadableForecastException(runs.Count == 0 ? ForecastFault.NotACoverage : ForecastFault.TooLarge)
            : [.. Aligned(runs).Select((run, i) => run with { Member = i })];
    }

    // Members that begin or end at different hours are held to those all of them have.
    private static IEnumerable<AirRun> Aligned(List<AirRun> runs)
    {
        var (start, end) = (runs.Max(run => run.Start), runs.Min(run => run.End));
        return start >= end
            ? throw new UnreadableForecastException(ForecastFault.Steps)
            : runs.Select(run => run with { Hours = [.. run.Hours.Where(hour => hour.Start >= start && hour.Start < end)] });
    }

    private static List<AirRun> Coverage(JsonElement coverage, JsonElement? shared, ForecastNames names, DateTimeOffset issuedAt)
    {
        if (Text(coverage, "type") != "Coverage" || Member(coverage, "domain") is not { } domain)
        {
            throw new UnreadableForecastException(ForecastFault.NotACoverage);
        }

        var axes = domain.GetProperty("axes");
        var instants = Instants(axes);
        var hours = Hours(instants);
        var members = Member(axes, names.MemberAxis) is { } axis ? Length(axis) : 1;
        var parameters = Member(coverage, "parameters") ?? shared ?? throw new UnreadableForecastException(ForecastFault.NotACoverage);
        var ranges = coverage.GetProperty("ranges");
        var figures = new Dictionary<ForecastQuantity, double[][]>();
        foreach (var (quantity, name) in names.Parameters)
        {
            if (Member(ranges, name) is { } range && Member(parameters, name) is { } parameter)
            {
                var told = ParameterOf(parameter, quantity, name);
                var raw = new RangeValues(range, instants.Count, members, names.MemberAxis, MostFigures).All();
                figures[quantity] = [.. raw.Select(values => Hourly(told, hours, values, name))];
            }
        }

        if (!figures.ContainsKey(ForecastQuantity.Temperature))
        {
            throw new UnreadableForecastException(ForecastFault.NothingOfUse);
        }

        return
        [
            .. Enumerable
                .Range(0, members)
                .Select(member => new AirRun
                {
                    Source = AirSource.Forecast,
                    IssuedAt = issuedAt,
                    Member = member,
                    Hours =
                    [
                        .. Enumerable
                            .Range(0, hours[^1])
                            .Select(i => ForecastHour.Of(instants[0].AddHours(i), quantity => Figure(quantity, member, i))),
                    ],
                }),
        ];

        double Figure(ForecastQuantity quantity, int member, int hour) =>
            figures.TryGetValue(quantity, out var all) ? all[member][hour] : double.NaN;
    }

    private readonly record struct Parameter(ForecastQuantity Quantity, Told Told, Func<double, double> ToSi);

    private static Parameter ParameterOf(JsonElement parameter, ForecastQuantity quantity, string name)
    {
        var told = ToldAs(parameter, quantity);
        var symbol = Member(parameter, "unit") is { } unit ? Symbol(unit) : null;

        // Degrees of a compass are commonly told without a unit.
        symbol ??= quantity == ForecastQuantity.WindFrom ? "deg" : "";
        return Ucum.For(quantity, told, symbol) is { } toSi
            ? new(quantity, told, toSi)
            : throw new UnreadableForecastException(ForecastFault.UnknownUnit, $"{name}|{symbol}");
    }

    private static double[] Hourly(Parameter told, int[] hours, double[] values, string name)
    {
        var (least, greatest) = Ucum.Possible(told.Quantity);
        var si = Array.ConvertAll(values, value => told.ToSi(value));
        if (told.Quantity == ForecastQuantity.WindFrom)
        {
            return ForecastSeries.HourlyAngles(hours, si, told.Told);
        }

        var hourly = ForecastSeries.Hourly(hours, si, told.Told, told.Quantity == ForecastQuantity.Global);
        var at = Array.FindIndex(hourly, value => value < least || value > greatest);
        return at < 0
            ? hourly
            : throw new UnreadableForecastException(
                ForecastFault.Impossible,
                string.Create(CultureInfo.InvariantCulture, $"{name}|{hourly[at]:0.#}")
            );
    }

    private static Told ToldAs(JsonElement parameter, ForecastQuantity quantity)
    {
        var measured = Member(parameter, "measurementType");
        var method = measured is { } type ? Text(type, "method") : null;
        return method switch
        {
            null => quantity == ForecastQuantity.Precipitation ? Told.Sum : Told.Instant,
            "mean" or "average" => Told.Mean,
            "sum" or "accumulate" or "accumulated" or "accumulation" or "total" => SinceStart(measured!.Value)
                ? Told.Accumulated
                : Told.Sum,
            _ => Told.Instant,
        };
    }

    // A duration longer than any step, or none, tells sums that go on growing.
    private static bool SinceStart(JsonElement measured) =>
        Text(measured, "duration") is not { } duration || System.Xml.XmlConvert.ToTimeSpan(duration.TrimStart('-')) > TimeSpan.FromHours(6);

    private static string? Symbol(JsonElement unit) =>
        Member(unit, "symbol") is not { } symbol ? null
        : symbol.ValueKind == JsonValueKind.Object ? Text(symbol, "value")
        : symbol.GetString();

    private static List<DateTimeOffset> Instants(JsonElement axes)
    {
        List<DateTimeOffset> instants =
        [
            .. axes.GetProperty("t")
                .GetProperty("values")
                .EnumerateArray()
                .Select(t =>
                    DateTimeOffset.TryParse(
                        t.GetString(),
                        CultureInfo.InvariantCulture,
                        DateTimeStyles.AssumeUniversal | DateTimeStyles.AdjustToUniversal,
                        out var instant
                    )
                        ? instant
                        : throw new UnreadableForecastException(ForecastFault.NotACoverage, t.GetString() ?? "")
                ),
        ];
        return instants.Count < 2 ? throw new UnreadableForecastException(ForecastFault.Steps) : instants;
    }

    private static int[] Hours(List<DateTimeOffset> instants)
    {
        var hours = new int[instants.Count];
        for (var i = 1; i < hours.Length; i++)
        {
            var step = instants[i] - instants[i - 1];
            if (step <= TimeSpan.Zero || step > TimeSpan.FromHours(6) || step.Ticks % TimeSpan.TicksPerHour != 0)
            {
                throw new UnreadableForecastException(ForecastFault.Steps, instants[i].ToString("u", CultureInfo.InvariantCulture));
            }

            hours[i] = hours[i - 1] + (int)step.TotalHours;
        }

        return hours[^1] > MostHours ? throw new UnreadableForecastException(ForecastFault.TooLarge) : hours;
    }

    private static int Length(JsonElement axis) =>
        Member(axis, "values") is { } values ? values.GetArrayLength()
        : Member(axis, "num") is { } count ? count.GetInt32()
        : throw new UnreadableForecastException(ForecastFault.NotACoverage);

    private static JsonElement? Member(JsonElement of, string name) =>
        of.ValueKind == JsonValueKind.Object && of.TryGetProperty(name, out var value) && value.ValueKind != JsonValueKind.Null
            ? value
            : null;

    private static string? Text(JsonElement of, string name) =>
        Member(of, name) is { ValueKind: JsonValueKind.String } text ? text.GetString() : null;
}
