using Umbracell.Core.Findings;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>How the figures of a monthly year came about, with pressures, permeances and flows.</summary>
internal sealed class MonthlyWorkings(MonthlyRun run)
{
    private static readonly Citation Source = Citations.MonthlyMethod;

    /// <summary>How the greatest store came about: month by month from the driest, with pressures and flows of the month that brought
    /// most.</summary>
    public Working? Condensate(IReadOnlyList<MonthOfSection> months)
    {
        var wettest = MonthlyRun.Wettest(months);
        if (months[wettest].Stored <= MonthlyYear.Lies)
        {
            return null;
        }

        // Back from the wettest month to the one before which nothing lay; where the water grows from year to year, to January.
        List<int> span = [wettest];
        while (span.Count < YearOfAir.Months && (run.NeverDries == 0 || span[^1] > 0) && months[Before(span[^1])].Stored > MonthlyYear.Lies)
        {
            span.Add(Before(span[^1]));
        }

        span.Reverse();
        var brought = span.MaxBy(month => months[month].Condensed);
        List<WorkingTerm> terms = [];
        var left = months[wettest].Stored - span.Sum(month => months[month].Condensed);
        if (left > MonthlyYear.Lies)
        {
            terms.Add(new("m_0", "condensateBefore", new(left, Dimension.MassPerArea)));
        }

        terms.AddRange(
            span.Select(month => new WorkingTerm(
                $"Δm_{month + 1}",
                $"monthCondensed:{month + 1}",
                new(months[month].Condensed, Dimension.MassPerArea),
                month == brought ? Flows(month) : null
            ))
        );
        return new(
            "condensate",
            left > MonthlyYear.Lies ? "m = m_0 + Σ Δm" : "m = Σ Δm",
            terms,
            new(months[wettest].Stored, Dimension.MassPerArea),
            Source
        );
    }

    // Pressures and flows of a month at the interface on which most of it condenses.
    private Working Flows(int month)
    {
        var (n, z) = (run.Path.Count, run.Path.Resistance);
        var before = Before(month);
        var node = Enumerable.Range(0, n).MaxBy(i => run.Stored(i, month) - (month == 0 && run.NeverDries > 0 ? 0 : run.Stored(i, before)));
        var (outer, inner) = (node, node);
        do
        {
            inner++;
        } while (inner < n && !Holds(inner));
        do
        {
            outer--;
        } while (outer >= 0 && !Holds(outer));
        var here = run.Pressure(node, month);
        var room = inner == n ? run.Year.IndoorVapour[month] : run.Pressure(inner, month);
        var outdoors = outer < 0 ? run.Year.OutdoorVapour[month] : run.Pressure(outer, month);
        var (toRoom, toOutside) = (1 / (z[inner] - z[node]), 1 / (z[node] - (outer < 0 ? 0 : z[outer])));
        var seconds = YearOfAir.DaysOf(month) * 86400.0;
        var (arrives, leaves) = (toRoom * (room - here) * seconds, toOutside * (here - outdoors) * seconds);
        var fromRoom = Flow("vapourArrives", toRoom, room, "pressureRoomSide", here, "pressureAtPlace", seconds);
        var toWeather = Flow("vapourLeaves", toOutside, here, "pressureAtPlace", outdoors, "pressureOutside", seconds);
        return new(
            "monthCondensed",
            "Δm = m_in − m_out",
            [new("m_in", "vapourArrives", fromRoom.Result, fromRoom), new("m_out", "vapourLeaves", toWeather.Result, toWeather)],
            new(arrives - leaves, Dimension.MassPerArea),
            Source
        );

        bool Holds(int i) => run.Stored(i, month) > 0 || run.Stored(i, before) > 0;
    }

    private static Working Flow(string name, double permeance, double from, string fromName, double to, string toName, double seconds) =>
        new(
            name,
            "m = W (p_from − p_to) t",
            [
                new("W", "permeanceBetween", Permeance.FromSi(permeance).ToFigure()),
                new("p_from", fromName, Pressure.FromPascals(from).ToFigure()),
                new("p_to", toName, Pressure.FromPascals(to).ToFigure()),
                new("t", "monthLong", Figure.Duration(TimeSpan.FromSeconds(seconds))),
            ],
            new(permeance * (from - to) * seconds, Dimension.MassPerArea),
            Source
        );

    /// <summary>How the humidity at an interface came about.</summary>
    public Working Humidity(int node, int month) =>
        new(
            "placeHumidity",
            "φ = p / p_sat",
            [
                new("p", "pressureAtPlace", Pressure.FromPascals(run.Pressure(node, month)).ToFigure()),
                new("p_sat", "saturationAtPlace", Pressure.FromPascals(run.Saturation(node, month)).ToFigure()),
                new("T", "temperatureAtPlace", run.TemperatureAt(node, month).ToFigure()),
                new("p_out", "pressureOutside", Pressure.FromPascals(run.Year.OutdoorVapour[month]).ToFigure()),
                new("p_in", "pressureRoomSide", Pressure.FromPascals(run.Year.IndoorVapour[month]).ToFigure()),
            ],
            new(run.Humidity(node, month), Dimension.RelativeHumidity),
            Citations.MonthlyVapour
        );

    private static int Before(int month) => (month + YearOfAir.Months - 1) % YearOfAir.Months;
}
