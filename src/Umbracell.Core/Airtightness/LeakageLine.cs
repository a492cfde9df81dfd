using Umbracell.Core.Statistics;

namespace Umbracell.Core.Airtightness;

/// <summary>The straight line of ln Q on ln ΔP, weighted by what gauge and flow are worth at each point.</summary>
internal sealed record LeakageLine
{
    // Weights need an exponent before one is known; the usual one is near enough, weights being insensitive to it.
    private const double ExponentForWeights = FanTest.UsualExponent;

    public required double Slope { get; init; }

    public required double Coefficient { get; init; }

    public required Bounded Exponent { get; init; }

    public double? Fit2 { get; init; }

    private int Freedom { get; init; }

    private double ResidualVariance { get; init; }

    private double SumOfWeights { get; init; }

    private double MeanX { get; init; }

    private double SpreadX { get; init; }

    private double GaugeError { get; init; }

    private double FlowError { get; init; }

    private IReadOnlyList<(double X, double Weight)> Rows { get; init; } = [];

    public static LeakageLine Through((double Pressure, double Flow) point) =>
        new()
        {
            Slope = FanTest.UsualExponent,
            Coefficient = point.Flow / Math.Pow(point.Pressure, FanTest.UsualExponent),
            Exponent = new(FanTest.UsualExponent, null, null),
        };

    public static LeakageLine Fit(IReadOnlyList<(double Pressure, double Flow)> points, double gaugeError, double flowError)
    {
        var rows = points
            .Select(p => (X: Math.Log(p.Pressure), Y: Math.Log(p.Flow), W: Weight(p.Pressure, gaugeError, flowError)))
            .ToList();
        var w = rows.Sum(r => r.W);
        var (mx, my) = (rows.Sum(r => r.W * r.X) / w, rows.Sum(r => r.W * r.Y) / w);
        var sxx = rows.Sum(r => r.W * (r.X - mx) * (r.X - mx));
        var sxy = rows.Sum(r => r.W * (r.X - mx) * (r.Y - my));
        var syy = rows.Sum(r => r.W * (r.Y - my) * (r.Y - my));
        if (sxx < 1e-9)
        {
            throw new Quantities.QuantityRangeException(
                "spread of pressures",
                new(Math.Exp(rows.Max(r => r.X)) - Math.Exp(rows.Min(r => r.X)), Quantities.Dimension.AirPressure),
                new(1, Quantities.Dimension.AirPressure),
                new(400, Quantities.Dimension.AirPressure)
            );
        }

        var slope = sxy / sxx;
        var freedom = rows.Count - 2;
        var variance = freedom > 0 ? Math.Max(0, syy - slope * sxy) / freedom : 0;
        var line = new LeakageLine
        {
            Slope = slope,
            Coefficient = Math.Exp(my - slope * mx),
            Exponent = new(slope, null, null),
            Fit2 = syy > 0 ? sxy * sxy / (sxx * syy) : 1,
            Freedom = freedom,
            ResidualVariance = variance,
            SumOfWeights = w,
            MeanX = mx,
            SpreadX = sxx,
            GaugeError = gaugeError,
            FlowError = flowError,
            Rows = [.. rows.Select(r => (r.X, r.W))],
        };

        // A flow that is off by the same share at every point does not turn the line; a gauge that is off by the same pressure does.
        var turned = gaugeError * slope * Math.Abs(rows.Sum(r => r.W * (r.X - mx) / sxx / Math.Exp(r.X)));
        var half = freedom > 0 ? HalfWidth(freedom, Math.Sqrt(variance / sxx), turned) : (double?)null;
        return line with { Exponent = new(slope, slope - half, slope + half) };
    }

    public Bounded At(double pressure)
    {
        var flow = Coefficient * Math.Pow(pressure, Slope);
        if (Freedom <= 0)
        {
            return new(flow, null, null);
        }

        var half = HalfWidth(Freedom, ScatterAt(pressure), InstrumentsAt(pressure));
        return new(flow, flow * Math.Exp(-half), flow * Math.Exp(half));
    }

    /// <summary>Half of a 95 % interval: what the scatter of few points leaves open by Student's t, what the instruments leave open by
    /// the normal distribution.</summary>
    public static double HalfWidth(int freedom, double scatter, double instruments)
    {
        const double Normal95 = 1.959964;
        return double.Hypot(StudentT.Quantile(0.975, freedom) * scatter, Normal95 * instruments);
    }

    /// <summary>Relative standard uncertainty of the line at a pressure by the scatter of the points.</summary>
    public double ScatterAt(double pressure)
    {
        var x = Math.Log(pressure) - MeanX;
        return Freedom <= 0 ? 0 : Math.Sqrt(ResidualVariance * (1 / SumOfWeights + x * x / SpreadX));
    }

    /// <summary>The same by what gauge and fan may be off by at every point alike. A gauge that reads δ too little moves every ln Q by n
    /// δ/ΔP against its ln ΔP, and the line with them.</summary>
    public double InstrumentsAt(double pressure)
    {
        var x = Math.Log(pressure) - MeanX;
        var moved = Rows.Sum(r => r.Weight * (1 / SumOfWeights + x * (r.X - MeanX) / SpreadX) * Slope / Math.Exp(r.X));
        return double.Hypot(FlowError, GaugeError * moved);
    }

    private static double Weight(double pressure, double gaugeError, double flowError)
    {
        var byGauge = ExponentForWeights * gaugeError / pressure;
        return 1 / (byGauge * byGauge + flowError * flowError);
    }
}
