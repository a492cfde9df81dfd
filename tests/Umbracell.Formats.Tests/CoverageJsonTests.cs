using System.Text;
using System.Text.Json.Nodes;
using Shouldly;
using Umbracell.Core.Weather;
using Umbracell.Formats.Forecasts;
using Xunit;

namespace Umbracell.Formats.Tests;

/// <summary>Forecasts at a point in CoverageJSON: axes in any order, steps, sums, units, and what cannot be used.</summary>
public sealed class CoverageJsonTests
{
    private static readonly DateTimeOffset Issued = new(2026, 11, 23, 0, 0, 0, TimeSpan.Zero);

    private static readonly ForecastNames Names = new()
    {
        Parameters = new Dictionary<ForecastQuantity, string>
        {
            [ForecastQuantity.Temperature] = "t",
            [ForecastQuantity.Precipitation] = "rain",
            [ForecastQuantity.WindFrom] = "from",
            [ForecastQuantity.Wind] = "wind",
            [ForecastQuantity.Global] = "sun",
        },
        MemberAxis = "member",
    };

    [Fact]
    public void Members_and_instants_are_told_apart_whatever_the_order_of_the_axes()
    {
        var byTime = Coverage([0, 1, 2], 2, ("t", "Cel", null, null, [10, 20, 12, 22, 14, 24]));
        var byMember = Coverage([0, 1, 2], 2, ("t", "Cel", null, null, [10, 12, 14, 20, 22, 24]));
        var range = byMember["ranges"]!["t"]!;
        (range["axisNames"], range["shape"]) = (new JsonArray("x", "member", "t"), new JsonArray(1, 2, 3));
        foreach (var coverage in new[] { byTime, byMember })
        {
            var runs = Read(coverage);
            runs.Select(run => run.Member).ShouldBe([0, 1]);

            // An hour stands for its middle.
            Temperatures(runs[0]).ShouldBe([11, 13]);
            Temperatures(runs[1]).ShouldBe([21, 23]);
        }
    }

    [Fact]
    public void A_collection_gives_a_member_for_each_coverage_and_holds_all_to_the_hours_they_share()
    {
        var collection = new JsonObject
        {
            ["type"] = "CoverageCollection",
            ["coverages"] = new JsonArray(
                Coverage([0, 1, 2, 3], 1, ("t", "K", null, null, [273.15, 274.15, 275.15, 276.15])),
                Coverage([1, 2, 3], 1, ("t", "Cel", null, null, [5, 6, 7]))
            ),
        };
        var runs = Read(collection);
        runs.Count.ShouldBe(2);
        runs.ShouldAllBe(run => run.Start == Issued.AddHours(1) && run.Hours.Count == 2);
        Temperatures(runs[0]).ShouldBe([1.5, 2.5]);
    }

    [Fact]
    public void Sums_are_shared_out_and_sums_since_the_start_taken_apart_so_that_no_water_is_made_or_lost()
    {
        var sum = Read(Coverage([0, 3, 6], 1, Still, ("rain", "mm", "sum", "PT3H", [0, 6, 3])))[0];
        Rain(sum).ShouldBe([2, 2, 2, 1, 1, 1]);
        var since = Read(Coverage([0, 3, 6], 1, Still, ("rain", "cm", "accumulate", null, [0, 0.6, 0.9])))[0];
        Rain(since).ShouldBe(Rain(sum), 1e-9);
        var mean = Read(Coverage([0, 3, 6], 1, Still, ("sun", "W/m2", "mean", "PT3H", [0, 300, 60])))[0];
        mean.Hours.Select(h => h.GlobalWm2).ShouldBe([300, 300, 300, 60, 60, 60]);
        var heat = Read(Coverage([0, 3, 6], 1, Still, ("sun", "kJ/m2", "sum", "PT3H", [0, 3240, 648])))[0];
        heat.Hours.Select(h => h.GlobalWm2!.Value).ShouldBe([300, 300, 300, 60, 60, 60], 1e-9);
    }

    [Fact]
    public void Half_way_between_north_by_west_and_north_by_east_lies_north()
    {
        var run = Read(
            Coverage(
                [0, 1],
                1,
                ("t", "Cel", null, null, [5, 5]),
                ("wind", "m/s", null, null, [2, 2]),
                ("from", "deg", null, null, [350, 10])
            )
        )[0];
        run.Hours[0].Wind!.Value.FromDegrees!.Value.ShouldBeOneOf(0, 360);
    }

    [Fact]
    public void What_is_null_is_unknown_and_what_lies_beside_it_stands()
    {
        var run = Read(Coverage([0, 1, 2, 3, 4], 1, ("t", "Cel", null, null, [1, 2, null, 4, 5])))[0];
        run.Hours.Select(h => h.Temperature?.Celsius).ShouldBe([1.5, null, null, 4.5]);
    }

    [Theory]
    [InlineData("furlong", ForecastFault.UnknownUnit, "t|furlong")]
    [InlineData("Cel", ForecastFault.Impossible, "t|278")]
    public void A_unit_that_is_not_known_or_cannot_be_meant_is_named(string unit, ForecastFault fault, string detail)
    {
        var coverage = Coverage([0, 1], 1, ("t", unit, null, null, [278, 278]));
        var refused = Should.Throw<UnreadableForecastException>(() => Read(coverage));
        (refused.Fault, refused.Detail).ShouldBe((fault, detail));
    }

    [Fact]
    public void Whatever_is_cut_off_or_missing_is_a_fault_and_never_another_exception()
    {
        var whole = Coverage([0, 1, 2], 2, ("t", "Cel", null, null, [10, 20, 12, 22, 14, 24])).ToJsonString();
        for (var keep = 0; keep < whole.Length; keep += 7)
        {
            Should
                .Throw<UnreadableForecastException>(() => CoverageJson.Read(Encoding.UTF8.GetBytes(whole[..keep]), Names, Issued))
                .Fault.ShouldBe(ForecastFault.CutShort);
        }

        foreach (var part in new[] { "type", "domain", "parameters", "ranges" })
        {
            var without = JsonNode.Parse(whole)!.AsObject();
            without.Remove(part);
            Should.Throw<UnreadableForecastException>(() => Read(without), part);
        }

        foreach (
            var (axis, value) in new (string, JsonNode)[]
            {
                ("shape", new JsonArray(4, 2)),
                ("values", new JsonArray(1)),
                ("axisNames", new JsonArray("t")),
            }
        )
        {
            var broken = JsonNode.Parse(whole)!;
            broken["ranges"]!["t"]![axis] = value;
            Should.Throw<UnreadableForecastException>(() => Read(broken), axis);
        }

        Should.Throw<UnreadableForecastException>(() => Read(Coverage([0, 2, 1], 1, Still))).Fault.ShouldBe(ForecastFault.Steps);
        Should.Throw<UnreadableForecastException>(() => Read(Coverage([0, 12], 1, Still))).Fault.ShouldBe(ForecastFault.Steps);
    }

    private static (string, string, string?, string?, double?[]) Still => ("t", "Cel", null, null, [5, 5, 5, 5, 5, 5]);

    private static IReadOnlyList<AirRun> Read(JsonNode coverage) =>
        CoverageJson.Read(Encoding.UTF8.GetBytes(coverage.ToJsonString()), Names, Issued);

    private static IEnumerable<double> Temperatures(AirRun run) => run.Hours.Select(h => h.Temperature!.Value.Celsius);

    private static IEnumerable<double> Rain(AirRun run) => run.Hours.Select(h => h.Precipitation!.Value.Millimetres);

    private static JsonObject Coverage(
        int[] hours,
        int members,
        params (string Name, string Unit, string? Method, string? Duration, double?[] Values)[] parameters
    )
    {
        var (told, ranges) = (new JsonObject(), new JsonObject());
        foreach (var (name, unit, method, duration, values) in parameters)
        {
            told[name] = new JsonObject
            {
                ["type"] = "Parameter",
                ["unit"] = new JsonObject
                {
                    ["symbol"] = new JsonObject { ["value"] = unit, ["type"] = "http://www.opengis.net/def/uom/UCUM/" },
                },
            };
            if (method is not null)
            {
                told[name]!["measurementType"] = new JsonObject { ["method"] = method, ["duration"] = duration };
            }

            ranges[name] = new JsonObject
            {
                ["type"] = "NdArray",
                ["dataType"] = "float",
                ["axisNames"] = new JsonArray("t", "member"),
                ["shape"] = new JsonArray(hours.Length, members),
                ["values"] = new JsonArray([.. values.Take(hours.Length * members).Select(v => (JsonNode?)v)]),
            };
        }

        return new()
        {
            ["type"] = "Coverage",
            ["domain"] = new JsonObject
            {
                ["type"] = "Domain",
                ["axes"] = new JsonObject
                {
                    ["x"] = new JsonObject { ["values"] = new JsonArray(-76.6) },
                    ["t"] = new JsonObject
                    {
                        ["values"] = new JsonArray([
                            .. hours.Select(h => (JsonNode)Issued.AddHours(h).ToString("yyyy-MM-dd'T'HH:mm:ss'Z'")),
                        ]),
                    },
                    ["member"] = new JsonObject { ["values"] = new JsonArray([.. Enumerable.Range(0, members).Select(m => (JsonNode)m)]) },
                },
            },
            ["parameters"] = told,
            ["ranges"] = ranges,
        };
    }
}
