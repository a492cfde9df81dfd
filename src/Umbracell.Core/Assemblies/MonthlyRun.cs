using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>The settled year of a path: pressures and water at every interface by month, and what is told of them.</summary>
internal sealed class MonthlyRun
{
    /// <summary>Humidity that reads as wet, percent.</summary>
    private const double ReadsWet = 100 - MonthlyYear.Alike;

    private readonly Lazy<TightestFill> _tightest;
    private readonly double[] _saturation,
        _stored,
        _pressure,
        _sums;

    public MonthlyRun(MoisturePath path, YearOfAir year, Lazy<TightestFill> tightest)
    {
        (Path, Year, _tightest) = (path, year, tightest);
        var n = Path.Count;
        (_saturation, _stored, _pressure) = (
            new double[YearOfAir.Months * n],
            new double[YearOfAir.Months * n],
            new double[YearOfAir.Months * n]
        );
        _sums = new double[YearOfAir.Months];
        for (var month = 0; month < YearOfAir.Months; month++)
        {
            var (outdoor, indoor) = (year.Outdoor[month].Temperature.Celsius, year.Indoor[month].Temperature.Celsius);
            for (var node = 0; node < n; node++)
            {
                _saturation[month * n + node] = AnnexE.Saturation(outdoor + Path.ShareOf(node) * (indoor - outdoor));
            }
        }

        NeverDries = CondensateYear.Run(Path.Resistance, _saturation, [.. year.OutdoorVapour], [.. year.IndoorVapour], _stored, _pressure);
        for (var month = 0; month < YearOfAir.Months; month++)
        {
            foreach (var one in _stored.AsSpan(month * n, n))
            {
                _sums[month] += one;
            }
        }
    }

    /// <summary>The way of the vapour.</summary>
    public MoisturePath Path { get; }

    /// <summary>Air on both sides.</summary>
    public YearOfAir Year { get; }

    /// <summary>What a year leaves that the next does not dry, kg/m².</summary>
    public double NeverDries { get; }

    /// <summary>What is told of a month.</summary>
    public MonthOfSection Month(int month, double surfaceHumidity)
    {
        var node = _sums[month] > MonthlyYear.Lies ? WettestNode(month) : DampestNode(month);
        return new()
        {
            Outdoor = Year.Outdoor[month],
            Indoor = Year.Indoor[month],
            At = Path.PlaceOf(node),
            AtTemperature = TemperatureAt(node, month),
            AtHumidity = Humidity(node, month),
            Condensed = _sums[month] - Before(month),
            Stored = _sums[month],
            SurfaceHumidity = surfaceHumidity,
        };
    }

    /// <summary>The years of the places that water can harm.</summary>
    public IReadOnlyList<PlaceYear> Places()
    {
        var years = new PlaceYear[Path.Places.Count];
        for (var i = 0; i < years.Length; i++)
        {
            years[i] = Place(Path.Places[i]);
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
        return new()
        {
            Place = at.Place,
            Temperatures = temperatures,
            Humidities = humidities,
            Worst = told,
            IsDamperThanWeather = worst >= 0,
            Own = at.Own,
            Untold = IsUntold(at.Node, told),
            Inward = Year.IndoorVapour[told] < Year.OutdoorVapour[told],
            How = () => new MonthlyWorkings(this).Humidity(at.Node, told),
        };
    }

    /// <summary>Whether most of the water of the wettest month lies where the means cannot tell.</summary>
    public bool LiesUntold(IReadOnlyList<MonthOfSection> months)
    {
        var month = Wettest(months);
        return months[month].Stored > MonthlyYear.Lies && IsUntold(WettestNode(month), month);
    }

    /// <summary>The month at whose end most lies in the section.</summary>
    public static int Wettest(IReadOnlyList<MonthOfSection> months) =>
        Enumerable.Range(0, months.Count).MaxBy(month => months[month].Stored);

    // The last bit decides nothing: of equals the first is told, on every machine the same.
    private static bool IsOver(double one, double other) => one > other + 1e-7;

    private int DampestNode(int month)
    {
        var dampest = Path.Places[0].Node;
        foreach (var place in Path.Places)
        {
            dampest = IsOver(Humidity(place.Node, month), Humidity(dampest, month)) ? place.Node : dampest;
        }

        return dampest;
    }

    private int WettestNode(int month)
    {
        var row = _stored.AsSpan(month * Path.Count, Path.Count);
        var most = 0;
        for (var node = 1; node < row.Length; node++)
        {
            most = IsOver(row[node], row[most]) ? node : most;
        }

        return most;
    }

    private bool IsUntold(int node, int month)
    {
        if (Humidity(node, month) < ReadsWet || Path.IsOutsideFill(node) is not { } outside)
        {
            return false;
        }

        // What lies at no place of its own lies where the nearest place does.
        var (outer, inner) = (0, 0);
        foreach (var place in Path.Places)
        {
            (outer, inner) = (outer + (place.Node < node ? 1 : 0), inner + (place.Node > node ? 1 : 0));
        }

        return _tightest.Value.IsWet(outer, inner, outside, month);
    }

    private double Before(int month) => month > 0 ? _sums[month - 1] : _sums[^1] - NeverDries;

    /// <summary>Relative humidity at an interface, percent, at most 100.</summary>
    public double Humidity(int node, int month) => Math.Min(100, 100 * Pressure(node, month) / Saturation(node, month));

    /// <summary>Mean vapour pressure at an interface over a month, Pa.</summary>
    public double Pressure(int node, int month) => _pressure[month * Path.Count + node];

    /// <summary>Saturation pressure at an interface, Pa.</summary>
    public double Saturation(int node, int month) => _saturation[month * Path.Count + node];

    /// <summary>What lies on an interface at the end of a month, kg/m².</summary>
    public double Stored(int node, int month) => _stored[month * Path.Count + node];

    private double OutdoorHumidity(int month) =>
        100 * Year.OutdoorVapour[month] / AnnexE.Saturation(Year.Outdoor[month].Temperature.Celsius);

    /// <summary>Temperature at an interface.</summary>
    public Temperature TemperatureAt(int node, int month) => Path.TemperatureAt(node, Year.Outdoor[month], Year.Indoor[month]);
}
