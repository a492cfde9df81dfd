using Umbracell.Core.Findings;

namespace Umbracell.Core.Takeoff;

/// <summary>What the survey of a surface still wants.</summary>
public static class SurveyCheck
{
    /// <summary>Judges what is known of a surface.</summary>
    /// <param name="takeoff">Its takeoff; null where no size is taken.</param>
    /// <param name="openLeak">Where it leaks; null where no leak is open.</param>
    /// <param name="moistureRead">Whether its moisture has been read.</param>
    /// <returns>Findings, worst first.</returns>
    public static IReadOnlyList<Finding> Of(SurfaceTakeoff? takeoff, string? openLeak, bool moistureRead)
    {
        List<Finding> findings = [Size(takeoff)];
        if (!string.IsNullOrWhiteSpace(openLeak))
        {
            findings.Add(new("leak", "open", Verdict.Hold, Basis.Practice, "Choice rule E3: nothing until dry and mended") { Words = new Dictionary<string, string> { ["where"] = openLeak } });
        }

        findings.Add(new("moisture", moistureRead ? "read" : "unread", moistureRead ? Verdict.Clear : Verdict.Care, Basis.Practice, "Gate rule G5 holds spraying until moisture is read"));
        return [.. findings.OrderByDescending(f => f.Verdict)];
    }

    private static Finding Size(SurfaceTakeoff? takeoff) => takeoff switch
    {
        null => new("size", "missing", Verdict.Hold, Basis.Practice, "Material and cost follow the treated area"),
        { OpeningsExceedSurface: true } => new("size", "openingsExceed", Verdict.Hold, Basis.Practice, "Openings cannot be larger than the surface")
        {
            Measured = takeoff.Openings.ToFigure(),
            Limit = takeoff.Gross.ToFigure(),
        },
        _ => new("size", "taken", Verdict.Clear, Basis.Practice, "Treated area from geometry") { Measured = takeoff.Treated.ToFigure(), Working = takeoff.Working },
    };
}
