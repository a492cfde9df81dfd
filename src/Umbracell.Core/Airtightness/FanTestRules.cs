using Umbracell.Core.Findings;

namespace Umbracell.Core.Airtightness;

/// <summary>Whether a fan test may be relied on.</summary>
public static class FanTestRules
{
    /// <summary>How many points.</summary>
    public static readonly Rule Points = Standard("fanPoints").Ends("enough few single", "measured limit exponent");

    /// <summary>Zero-flow pressure.</summary>
    public static readonly Rule Zero = Standard("fanZero").Ends("calm windy", Judged + " taken");

    /// <summary>The lowest point.</summary>
    public static readonly Rule Lowest = Standard("fanLowest").Ends("highEnough tooLow", Judged + " zero");

    /// <summary>The highest point.</summary>
    public static readonly Rule Highest = Standard("fanHighest").Ends("reaches tooLow", Judged);

    /// <summary>Steps between points.</summary>
    public static readonly Rule Steps = Standard("fanSteps").Ends("close gaps", Judged);

    /// <summary>The exponent of the line through them.</summary>
    public static readonly Rule Exponent = Standard("fanExponent").Ends("plausible implausible", "measured least greatest");

    /// <summary>How well they lie on a line.</summary>
    public static readonly Rule Fit = Standard("fanFit").Ends("close scattered", "measured limit");

    private const string Judged = "measured limit margin";

    private static Rule Standard(string id) => new(id, Stage.Survey, Basis.ModelCode);
}
