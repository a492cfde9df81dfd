using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Airtightness;

/// <summary>Whether a fan test may be relied on (ISO 9972). What the standard asks of a valid test holds where it is not met; a single
/// point is taken, and marked.</summary>
internal static class FanTestFindings
{
    private static readonly Citation Source = Citations.FanValidity;

    // Gauges are read to a tenth of a pascal.
    private const double Tenth = 0.05;

    public static IEnumerable<Finding> Of(FanTestCase test, IReadOnlyList<double> induced, LeakageLine line, double zero)
    {
        var single = induced.Count == 1;
        yield return Points(test, single);
        var greatestZero = Math.Max(Math.Abs(test.ZeroBefore), Math.Abs(test.ZeroAfter));
        yield return Under(FanTestRules.Zero, "calm", "windy", greatestZero, FanTest.GreatestZero) with
        {
            Figures = new Dictionary<string, Figure> { ["taken"] = Pressure(zero) },
        };
        if (single)
        {
            yield break;
        }

        var steps = induced.Order().Zip(induced.Order().Skip(1), (a, b) => b - a).Max();
        yield return Over(
            FanTestRules.Lowest,
            "highEnough",
            "tooLow",
            induced.Min(),
            Math.Max(FanTest.LowestPoint, FanTest.LowestOverZero * greatestZero)
        ) with
        {
            Figures = new Dictionary<string, Figure> { ["zero"] = Pressure(greatestZero) },
        };
        yield return Over(FanTestRules.Highest, "reaches", "tooLow", induced.Max(), FanTest.HighestPoint);
        yield return Under(FanTestRules.Steps, "close", "gaps", steps, FanTest.GreatestStep);
        var plausible = line.Slope is >= FanTest.LeastExponent and <= FanTest.GreatestExponent;
        yield return Make(FanTestRules.Exponent, plausible ? "plausible" : "implausible", plausible) with
        {
            Measured = Figure.Number(line.Slope),
            Figures = new Dictionary<string, Figure>
            {
                ["least"] = Figure.Number(FanTest.LeastExponent),
                ["greatest"] = Figure.Number(FanTest.GreatestExponent),
            },
        };
        var close = line.Fit2 >= FanTest.LeastFit;
        yield return Make(FanTestRules.Fit, close ? "close" : "scattered", close) with
        {
            Measured = Figure.Number(line.Fit2 ?? 0),
            Limit = Figure.Number(FanTest.LeastFit),
        };
    }

    private static Finding Points(FanTestCase test, bool single)
    {
        var enough = test.Points.Count >= FanTest.FewestPoints;
        return Make(
            FanTestRules.Points,
            single ? "single"
                : enough ? "enough"
                : "few",
            enough
        ) with
        {
            Verdict =
                enough ? Verdict.Clear
                : single ? Verdict.Care
                : Verdict.Hold,
            Measured = Figure.Count(test.Points.Count),
            Limit = Figure.Count(FanTest.FewestPoints),
            Figures = new Dictionary<string, Figure> { ["exponent"] = Figure.Number(FanTest.UsualExponent) },
        };
    }

    private static Finding Under(Rule rule, string good, string bad, double measured, double limit) =>
        Judged(rule, measured <= limit + Tenth ? good : bad, measured, limit, limit - measured);

    private static Finding Over(Rule rule, string good, string bad, double measured, double limit) =>
        Judged(rule, measured >= limit - Tenth ? good : bad, measured, limit, measured - limit);

    private static Finding Judged(Rule rule, string name, double measured, double limit, double margin) =>
        Make(rule, name, margin >= -Tenth) with
        {
            Measured = Pressure(measured),
            Limit = Pressure(limit),
            Margin = Pressure(margin),
        };

    private static Figure Pressure(double pascals) => new(pascals, Dimension.AirPressure);

    private static Finding Make(Rule rule, string name, bool good) => new(rule, name, good ? Verdict.Clear : Verdict.Hold, Source);
}
