using Umbracell.Core.Findings;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>The settled year of a path: pressures and water at every interface by month, and what is told of them.</summary>
internal sealed class MonthlyRun
{
    private const string Source = "ISO 13788, clause 6: monthly means, diffusion alone";

    /// <summary>Humidity that reads as wet, percent.</summary>
    private const double ReadsWet = 100 - MonthlyYear.Alike;

    private readonly MoisturePath _path;
    private readonly YearOfAir _year;
    private readonly Lazy<TightestFill> _tightest;
    private readonly double[] _saturation, _stored, _pressure, _sums;

    public MonthlyRun(SectionCase section, SectionHeat heat, YearOfAir year)
    {
        (_path, _year, _tightest) = (MoisturePath.Of(section, heat), year, new(() => new(section, year)));
        var path = _path;
        var n = path.Count;
        (_saturation, _stored, _pressure) = (new double[YearOfAir.Months * n], new double[YearOfAir.Months * n], new double[YearOfAir.Months * n]);
        _sums = new double[YearOfAir.Months];
        for (var month = 0; month < YearOfAir.Months; month++)
        {
            var (outdoor, indoor) = (year.Outdoor[month].Temperature.Celsius, year.Indoor[month].Temperature.Celsius);
            for (var node = 0; node < n; node++)
            {
                _saturation[month * n + node] = AnnexE.Saturation(outdoor + path.ShareOf(node) * (indoor - outdoor));
            }
        }

        NeverDries = CondensateYear.Run(path.Resistance, _saturation, [.. year.OutdoorVapour], [.. year.IndoorVapour], _stored, _pressure);
        for (var month = 0; month < YearOfAir.Months; month++)
        {
            foreach (var one in _stored.AsSpan(month * n, n))
            {
                _sums[month] += one;
            }
        }
    }

    /// <summary>What a year leaves that the next does not dry, kg/m².</summary>
    public double NeverDries { get; }

    /// <summary>What is told of a month.</summary>
    public MonthOfSection Month(int month, double surfaceHumidity)
    {
        var node = _sums[month] > MonthlyYear.Lies ? WettestNode(month) : DampestNode(month);
        return new(
            _year.Outdoor[month], _year.Indoor[month], _path.PlaceOf(node), TemperatureAt(node, month), Humidity(node, month), _sums[month] - Before(month), _sums[month], surfaceHumidity);
    }

    /// <summary>The years of the places that water can harm.</summary>
    public IReadOnlyList<PlaceYear> Places()
    {
        var years = new PlaceYear[_path.Places.Count];
        for (var i = 0; i < years.Length; i++)
        {
            years[i] = Place(_path.Places[i]);
        }

        return years;
    }

    private PlaceYear Place(MoisturePath.PlaceAt at)
    {
        var (humidities, temperatures) = (new double[YearOfAir.Months], new Temperature[YearOfAir.Months]);
        var (dampest, worst) = (0, -1);
        for (var month = 0; month < YearOfAir.Months; month++)
        {
            (humidities[month], temperatures[month]) = (Humidity(at.Node, month), TemperatureAt(at.Node, month));
            dampest = IsOver(humidities[month], humidities[dampest]) ? month : dampest;

            // The covering's back is as damp as the weather makes it: it counts where it is damper than the air outdoors.
            var counts = !at.Weathered || humidities[month] > OutdoorHumidity(month) + MonthlyYear.Alike;
            worst = counts && (worst < 0 || IsOver(humidities[month], humidities[worst])) ? month : worst;
        }

        var told = worst < 0 ? dampest : worst;
        return new(at.Place, temperatures, humidities, told, worst >= 0, at.Own, IsUntold(at.Node, told), _year.IndoorVapour[told] < _year.OutdoorVapour[told])
        {
            How = () => HumidityWorking(at.Node, told),
        };
    }

    /// <summary>Whether most of the water of the wettest month lies where the means cannot tell.</summary>
    public bool LiesUntold(IReadOnlyList<MonthOfSection> months)
    {
        var month = Wettest(months);
        return months[month].Stored > MonthlyYear.Lies && IsUntold(WettestNode(month), month);
    }

    /// <summary>How the greatest store came about: month by month from the driest, with pressures and flows of the month that brought most.</summary>
    public Working? Condensate(IReadOnlyList<MonthOfSection> months)
    {
        var wettest = Wettest(months);
        if (months[wettest].Stored <= MonthlyYear.Lies)
        {
            return null;
        }

        // Back from the wettest month to the one before which nothing lay; where the water grows from year to year, to January.
        List<int> span = [wettest];
        while (span.Count < YearOfAir.Months && (NeverDries == 0 || span[^1] > 0) && months[(span[^1] + 11) % 12].Stored > MonthlyYear.Lies)
        {
            span.Add((span[^1] + 11) % 12);
        }

        span.Reverse();
        var brought = span.MaxBy(month => months[month].Condensed);
        List<WorkingTerm> terms = [];
        var left = months[wettest].Stored - span.Sum(month => months[month].Condensed);
        if (left > MonthlyYear.Lies)
        {
            terms.Add(new("m_0", "condensateBefore", new(left, Dimension.MassPerArea)));
        }

        terms.AddRange(span.Select(month => new WorkingTerm($"Δm_{month + 1}", $"monthCondensed:{month + 1}", new(months[month].Condensed, Dimension.MassPerArea), month == brought ? Flows(month) : null)));
        return new("condensate", left > MonthlyYear.Lies ? "m = m_0 + Σ Δm" : "m = Σ Δm", terms, new(months[wettest].Stored, Dimension.MassPerArea), Source);
    }

    // Pressures and flows of a month at the interface on which most of it condenses.
    private Working Flows(int month)
    {
        var n = _path.Count;
        var (p, z) = (_pressure[(month * n)..((month + 1) * n)], _path.Resistance);
        var before = (month + 11) % 12;
        var node = Enumerable.Range(0, n).MaxBy(i => _stored[month * n + i] - (month == 0 && NeverDries > 0 ? 0 : _stored[before * n + i]));
        var (outer, inner) = (node, node);
        do
        {
            inner++;
        }
        while (inner < n && !Holds(inner));
        do
        {
            outer--;
        }
        while (outer >= 0 && !Holds(outer));
        var (here, room, outdoors) = (p[node], inner == n ? _year.IndoorVapour[month] : p[inner], outer < 0 ? _year.OutdoorVapour[month] : p[outer]);
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
            Source);

        bool Holds(int i) => _stored[month * n + i] > 0 || _stored[before * n + i] > 0;
    }

    private static Working Flow(string name, double permeance, double from, string fromName, double to, string toName, double seconds) => new(
        name,
        "m = W (p_from − p_to) t",
        [
            new("W", "permeanceBetween", new Permeance(permeance).ToFigure()),
            new("p_from", fromName, new Pressure(from).ToFigure()),
            new("p_to", toName, new Pressure(to).ToFigure()),
            new("t", "monthLong", Figure.Duration(TimeSpan.FromSeconds(seconds))),
        ],
        new(permeance * (from - to) * seconds, Dimension.MassPerArea),
        Source);

    private Working HumidityWorking(int node, int month) => new(
        "placeHumidity",
        "φ = p / p_sat",
        [
            new("p", "pressureAtPlace", new Pressure(_pressure[month * _path.Count + node]).ToFigure()),
            new("p_sat", "saturationAtPlace", new Pressure(_saturation[month * _path.Count + node]).ToFigure()),
            new("T", "temperatureAtPlace", TemperatureAt(node, month).ToFigure()),
            new("p_out", "pressureOutside", new Pressure(_year.OutdoorVapour[month]).ToFigure()),
            new("p_in", "pressureRoomSide", new Pressure(_year.IndoorVapour[month]).ToFigure()),
        ],
        new(Humidity(node, month), Dimension.RelativeHumidity),
        "ISO 13788: vapour pressure by shares of vapour resistance, never over saturation (annex E)");

    private static int Wettest(IReadOnlyList<MonthOfSection> months) => Enumerable.Range(0, months.Count).MaxBy(month => months[month].Stored);

    // The last bit decides nothing: of equals the first is told, on every machine the same.
    private static bool IsOver(double one, double other) => one > other + 1e-7;

    private int DampestNode(int month)
    {
        var dampest = _path.Places[0].Node;
        foreach (var place in _path.Places)
        {
            dampest = IsOver(Humidity(place.Node, month), Humidity(dampest, month)) ? place.Node : dampest;
        }

        return dampest;
    }

    private int WettestNode(int month)
    {
        var row = _stored.AsSpan(month * _path.Count, _path.Count);
        var most = 0;
        for (var node = 1; node < row.Length; node++)
        {
            most = IsOver(row[node], row[most]) ? node : most;
        }

        return most;
    }

    private bool IsUntold(int node, int month)
    {
        if (Humidity(node, month) < ReadsWet || _path.IsOutsideFill(node) is not { } outside)
        {
            return false;
        }

        // What lies at no place of its own lies where the nearest place does.
        var (outer, inner) = (0, 0);
        foreach (var place in _path.Places)
        {
            (outer, inner) = (outer + (place.Node < node ? 1 : 0), inner + (place.Node > node ? 1 : 0));
        }

        return _tightest.Value.IsWet(outer, inner, outside, month);
    }

    private double Before(int month) => month > 0 ? _sums[month - 1] : _sums[^1] - NeverDries;

    private double Humidity(int node, int month) => Math.Min(100, 100 * _pressure[month * _path.Count + node] / _saturation[month * _path.Count + node]);

    private double OutdoorHumidity(int month) => 100 * _year.OutdoorVapour[month] / AnnexE.Saturation(_year.Outdoor[month].Temperature.Celsius);

    private Temperature TemperatureAt(int node, int month) => _path.TemperatureAt(node, _year.Outdoor[month], _year.Indoor[month]);
}
