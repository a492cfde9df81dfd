using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Airtightness;

/// <summary>Whether a fan test may be relied on (ISO 9972).</summary>
internal static class FanTestFindings
{
    private const string Source = "ISO 9972: five points or more, zero-flow pressure under 5 Pa, n from 0.5 to 1, r² of 0.98 or better";

    public static IEnumerable<Finding> Of(FanTestCase test, LeakageLine line, bool single, double zero)
    {
        yield return Points(test, single);
        var greatestZero = Math.Max(Math.Abs(test.ZeroBefore), Math.Abs(test.ZeroAfter));
        var calm = greatestZero <= FanTest.GreatestZero;
        yield return Make("fanZero", calm ? "calm" : "windy", calm) with
        {
            Measured = new(greatestZero, Dimension.AirPressure),
            Limit = new(FanTest.GreatestZero, Dimension.AirPressure),
            Margin = new(FanTest.GreatestZero - greatestZero, Dimension.AirPressure),
            Figures = new Dictionary<string, Figure> { ["taken"] = new(zero, Dimension.AirPressure) },
        };
        if (single)
        {
            yield break;
        }

        var plausible = line.Slope is >= FanTest.LeastExponent and <= FanTest.GreatestExponent;
        yield return Make("fanExponent", plausible ? "plausible" : "implausible", plausible) with
        {
            Measured = Figure.Number(line.Slope),
            Figures = new Dictionary<string, Figure> { ["least"] = Figure.Number(FanTest.LeastExponent), ["greatest"] = Figure.Number(FanTest.GreatestExponent) },
        };
        var close = line.Fit2 >= FanTest.LeastFit;
        yield return Make("fanFit", close ? "close" : "scattered", close) with { Measured = Figure.Number(line.Fit2 ?? 0), Limit = Figure.Number(FanTest.LeastFit) };
    }

    private static Finding Points(FanTestCase test, bool single)
    {
        var enough = test.Points.Count >= FanTest.FewestPoints;
        return Make("fanPoints", single ? "single" : enough ? "enough" : "few", enough) with
        {
            Measured = Figure.Count(test.Points.Count),
            Limit = Figure.Count(FanTest.FewestPoints),
            Figures = new Dictionary<string, Figure> { ["exponent"] = Figure.Number(FanTest.UsualExponent) },
        };
    }

    private static Finding Make(string rule, string name, bool good) => new(rule, name, good ? Verdict.Clear : Verdict.Care, Basis.ModelCode, Source);
}
