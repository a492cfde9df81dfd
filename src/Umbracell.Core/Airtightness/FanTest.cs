using Umbracell.Core.Air;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Airtightness;

/// <summary>Which way the fan blew.</summary>
public enum FanDirection
{
    /// <summary>Air drawn out of the building.</summary>
    Depressurise,

    /// <summary>Air blown into the building.</summary>
    Pressurise,
}

/// <summary>One point of a fan test.</summary>
/// <param name="Pressure">Gauge pressure across the envelope with the fan on, without sign, zero-flow pressure still in it; above
/// zero.</param>
/// <param name="Flow">Flow through the fan, m³/s at the air that passes it; above zero.</param>
public readonly record struct FanPoint(EnvelopePressure Pressure, double Flow);

/// <summary>A fan test as it was taken down.</summary>
public sealed record FanTestCase
{
    /// <summary>One point, or five and more.</summary>
    public required IReadOnlyList<FanPoint> Points { get; init; }

    /// <summary>Mean zero-flow pressure before, Pa; above zero where it adds to the pressure the fan makes, below where it works against
    /// it.</summary>
    public double ZeroBefore { get; init; }

    /// <summary>Mean zero-flow pressure after, Pa, with the same sign.</summary>
    public double ZeroAfter { get; init; }

    /// <summary>Which way the fan blew.</summary>
    public FanDirection Direction { get; init; }

    /// <summary>Room air.</summary>
    public required Temperature Indoor { get; init; }

    /// <summary>Outdoor air.</summary>
    public required Temperature Outdoor { get; init; }

    /// <summary>Height above sea level.</summary>
    public Length Altitude { get; init; }

    /// <summary>Enclosed volume, m³, above zero; null leaves the air changes out.</summary>
    public double? Volume { get; init; }

    /// <summary>Standard uncertainty of the gauge, Pa, above zero: what it may be off by at every point alike.</summary>
    public double GaugeError { get; init; } = 0.5;

    /// <summary>Standard uncertainty of the flow as a share of it, above zero: what the fan's calibration may be off by at every point
    /// alike.</summary>
    public double FlowError { get; init; } = 0.02;
}

/// <summary>A value with its 95 % interval; the bounds are absent where nothing bounds it.</summary>
/// <param name="Value">Best estimate.</param>
/// <param name="Low">Lower bound.</param>
/// <param name="High">Upper bound.</param>
public readonly record struct Bounded(double Value, double? Low, double? High);

/// <summary>A point as it stands in the regression.</summary>
/// <param name="Pressure">Induced pressure, zero-flow pressure taken off, Pa.</param>
/// <param name="Flow">Flow through the envelope at the air that leaks, m³/s.</param>
/// <param name="Fitted">Flow of the fitted line at this pressure, m³/s.</param>
public readonly record struct FittedPoint(double Pressure, double Flow, double Fitted);

/// <summary>What a fan test says of an envelope: <c>Q = C ΔP^n</c>.</summary>
/// <remarks>ISO 9972 and ASTM E779: zero-flow pressure subtracted, flow brought to the air that leaks, coefficient brought to 20 °C and
/// 101,325 Pa. Weighted by the stated errors of gauge and flow.</remarks>
public sealed record FanTest
{
    /// <summary>Reference pressure of the results.</summary>
    public const double Reference = 50;

    /// <summary>Exponent assumed where a single point gives none.</summary>
    public const double UsualExponent = 0.65;

    /// <summary>Least n of a valid test (ISO 9972).</summary>
    public const double LeastExponent = 0.5;

    /// <summary>Greatest n of a valid test (ISO 9972).</summary>
    public const double GreatestExponent = 1.0;

    /// <summary>Least r² of a valid test (ISO 9972).</summary>
    public const double LeastFit = 0.98;

    /// <summary>Fewest points of a valid test (ISO 9972).</summary>
    public const int FewestPoints = 5;

    /// <summary>Least induced pressure the lowest point of a valid test must have (ISO 9972), Pa; five times the zero-flow pressure where
    /// that is more.</summary>
    public const double LowestPoint = 10;

    /// <summary>How many times the zero-flow pressure the lowest point of a valid test must be (ISO 9972).</summary>
    public const double LowestOverZero = 5;

    /// <summary>Least induced pressure the highest point of a valid test must have (ISO 9972), Pa.</summary>
    public const double HighestPoint = 50;

    /// <summary>Greatest step between neighbouring points of a valid test (ISO 9972), Pa.</summary>
    public const double GreatestStep = 10;

    /// <summary>Greatest mean zero-flow pressure of a valid test (ISO 9972), Pa.</summary>
    public const double GreatestZero = 5;

    /// <summary>Air density the coefficient is brought to, kg/m³: 20 °C, 101,325 Pa, dry.</summary>
    public const double ReferenceDensity = 1.2041;

    /// <summary>Temperature of that air.</summary>
    public static readonly Temperature ReferenceAir = Temperature.FromCelsius(20);

    /// <summary>Pressure the leakage area is stated at, Pa.</summary>
    public const double LeakageAreaPressure = 4;

    /// <summary>Discharge coefficient of the leakage area.</summary>
    public const double DischargeCoefficient = 1.0;

    /// <summary>Whether one point stands for the whole curve.</summary>
    public required bool IsSinglePoint { get; init; }

    /// <summary>C at reference air, m³/(s·Paⁿ).</summary>
    public required double Coefficient { get; init; }

    /// <summary>n, with its interval where it was fitted.</summary>
    public required Bounded Exponent { get; init; }

    /// <summary>r² of the regression in logarithms; null for a single point.</summary>
    public required double? Fit { get; init; }

    /// <summary>Flow at 50 Pa, m³/s.</summary>
    public required Bounded FlowAt50 { get; init; }

    /// <summary>Air changes an hour at 50 Pa; null without a volume.</summary>
    public required Bounded? AirChangesAt50 { get; init; }

    /// <summary>Leakage area at 4 Pa with a discharge coefficient of 1, m².</summary>
    public required double LeakageArea { get; init; }

    /// <summary>The points as fitted.</summary>
    public required IReadOnlyList<FittedPoint> Points { get; init; }

    /// <summary>Judgements: number of points, their range and steps, zero-flow pressure, exponent, fit.</summary>
    public required IReadOnlyList<Finding> Findings { get; init; }

    /// <summary>Whether the test is valid by the standard; a single point never is, and is told as such.</summary>
    public bool IsValid => Findings.All(f => f.Verdict == Verdict.Clear);

    /// <summary>How the flow at 50 Pa came about.</summary>
    public required Working Working { get; init; }

    /// <summary>Relative standard uncertainty of the flow at 50 Pa: by scatter, with the degrees of freedom behind it, and by the
    /// instruments.</summary>
    internal (double ByScatter, int Freedom, double ByInstruments) Uncertainty { get; private init; }

    /// <summary>Evaluates a test.</summary>
    /// <exception cref="QuantityRangeException">No points, a pressure that its zero-flow pressure uses up, a flow not above zero, air
    /// outside -40 to 60 °C, volume not above zero.</exception>
    public static FanTest Of(FanTestCase test)
    {
        Check(test);
        var zero = (test.ZeroBefore + test.ZeroAfter) / 2;
        var (leaking, fan) = Densities(test);
        var points = test.Points.Select(p => (Pressure: p.Pressure.Pascals - zero, Flow: p.Flow * fan / leaking)).ToList();
        foreach (var (pressure, _) in points)
        {
            QuantityRangeException.Within("induced pressure", pressure, 1, 400, Dimension.AirPressure);
        }

        var line = points.Count > 1 ? LeakageLine.Fit(points, test.GaugeError, test.FlowError) : LeakageLine.Through(points[0]);
        return Result(test, points, line, Math.Pow(leaking / ReferenceDensity, 1 - line.Slope), zero);
    }

    /// <summary>How much tighter a building became, as a share of the flow before.</summary>
    /// <param name="before">Test before.</param>
    /// <param name="after">Test after.</param>
    /// <returns>Share cut, 0 to 1 (below 0 where it leaks more), with its 95 % interval where both tests have one. The two may have been
    /// made with different instruments: nothing of their errors is taken to cancel.</returns>
    public static Bounded Reduction(FanTest before, FanTest after)
    {
        var ratio = after.FlowAt50.Value / before.FlowAt50.Value;
        if (before.FlowAt50.Low is null || after.FlowAt50.Low is null)
        {
            return new(1 - ratio, null, null);
        }

        var (b, a) = (before.Uncertainty, after.Uncertainty);
        var half = LeakageLine.HalfWidth(
            Math.Min(b.Freedom, a.Freedom),
            double.Hypot(b.ByScatter, a.ByScatter),
            double.Hypot(b.ByInstruments, a.ByInstruments)
        );
        return new(1 - ratio, 1 - ratio * Math.Exp(half), 1 - ratio * Math.Exp(-half));
    }

    private static FanTest Result(
        FanTestCase test,
        List<(double Pressure, double Flow)> points,
        LeakageLine line,
        double toReference,
        double zero
    )
    {
        var c = line.Coefficient * toReference;
        var single = points.Count == 1;
        var at50 = line.At(Reference);
        var flow = new Bounded(at50.Value * toReference, at50.Low * toReference, at50.High * toReference);
        var findings = FanTestFindings.Of(test, [.. points.Select(p => p.Pressure)], line, zero).OrderByDescending(f => f.Verdict).ToList();
        return new()
        {
            IsSinglePoint = single,
            Coefficient = c,
            Exponent = line.Exponent,
            Fit = line.Fit2,
            FlowAt50 = flow,
            AirChangesAt50 = test.Volume is { } v ? new(flow.Value * 3600 / v, flow.Low * 3600 / v, flow.High * 3600 / v) : null,
            LeakageArea =
                c
                * Math.Pow(LeakageAreaPressure, line.Slope)
                * Math.Sqrt(ReferenceDensity / (2 * LeakageAreaPressure))
                / DischargeCoefficient,
            Points = [.. points.Select(p => new FittedPoint(p.Pressure, p.Flow, line.Coefficient * Math.Pow(p.Pressure, line.Slope)))],
            Findings = findings,
            Uncertainty = (line.ScatterAt(Reference), Math.Max(1, points.Count - 2), line.InstrumentsAt(Reference)),
            Working = new(
                "flowAt50",
                single ? "Q₅₀ = Q · (50 Pa / ΔP)^n" : "Q₅₀ = C · (50 Pa)^n",
                single
                    ?
                    [
                        new("Q", "fanFlow", new(points[0].Flow * toReference, Dimension.AirFlow)),
                        new("ΔP", "inducedPressure", new(points[0].Pressure, Dimension.AirPressure)),
                        new("n", "flowExponent", Figure.Number(line.Slope)),
                    ]
                    : [new("C", "flowCoefficient", new(c, Dimension.AirFlow)), new("n", "flowExponent", Figure.Number(line.Slope))],
                new(flow.Value, Dimension.AirFlow),
                single ? Citations.FanSinglePoint : Citations.FanRegression(ReferenceAir, StandardAtmosphere.SeaLevel)
            ),
        };
    }

    // The air that leaks in is outdoor air, the air that leaks out is room air; the fan meters the other one.
    private static (double Leaking, double Fan) Densities(FanTestCase test)
    {
        var pressure = StandardAtmosphere.PressureAt(test.Altitude).Pascals;
        var (inside, outside) = (
            MoistAir.DryDensity(test.Indoor, Pressure.FromPascals(pressure)),
            MoistAir.DryDensity(test.Outdoor, Pressure.FromPascals(pressure))
        );
        return test.Direction == FanDirection.Depressurise ? (outside, inside) : (inside, outside);
    }

    private static void Check(FanTestCase test)
    {
        QuantityRangeException.Within("points", test.Points.Count, 1, 200, Dimension.Count);
        QuantityRangeException.Within("indoor temperature", test.Indoor.Celsius, -40, 60, Dimension.Temperature);
        QuantityRangeException.Within("outdoor temperature", test.Outdoor.Celsius, -40, 60, Dimension.Temperature);
        if (test.Volume is { } v)
        {
            QuantityRangeException.Within("volume", v, 1, 5e6, Dimension.RoomVolume);
        }

        foreach (var point in test.Points)
        {
            QuantityRangeException.Within("flow", point.Flow, 1e-5, 500, Dimension.AirFlow);
        }

        QuantityRangeException.Within("gauge error", test.GaugeError, 1e-3, 20, Dimension.AirPressure);
        QuantityRangeException.Within("flow error", test.FlowError * 100, 0.01, 50, Dimension.Percent);
    }
}
