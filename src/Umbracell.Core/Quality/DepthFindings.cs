using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Quality;

/// <summary>Judges depths that were read.</summary>
internal static class DepthFindings
{
    public static IEnumerable<Finding> Of(DepthCase of, DepthCheck check)
    {
        yield return Statement(of, check);
        if (of.Wanted > 0)
        {
            var isEnough = of.Area.Count >= of.Wanted;
            yield return new(DepthRules.Places, isEnough ? "enough" : "few", isEnough ? Verdict.Clear : Verdict.Care, Citations.DepthPlan)
            {
                Figures = Named(("count", Figure.Count(of.Area.Count)), ("wanted", Figure.Count(of.Wanted))),
            };
        }

        foreach (var finding in Acceptance(of, check))
        {
            yield return finding;
        }

        var beyond = of.Area.Count(read => read > of.Sheet.ThickestRated);
        if (beyond > 0)
        {
            yield return new(DepthRules.Rated, "beyond", Verdict.Care, Citations.Sheet(of.Sheet, SheetLine.SheetAgedR))
            {
                Limit = of.Sheet.ThickestRated.ToThickness(),
                Figures = Named(("count", Figure.Count(beyond))),
            };
        }
    }

    private static Finding Statement(DepthCase of, DepthCheck check) =>
        check.Bound is { } bound
            ? new(
                DepthRules.Statement,
                check.Passes ? "proven" : "unproven",
                check.Passes ? Verdict.Clear : Verdict.Care,
                Citations.ToleranceInterval
            )
            {
                Measured = bound.ToThickness().AtMost,
                Limit = of.Specified.ToThickness(),
                Margin = (bound - of.Specified).ToThickness(),
                Figures = Named(
                    ("count", Figure.Count(of.Area.Count)),
                    ("confidence", Percent(of.Assurance.Confidence)),
                    ("share", Percent(of.Assurance.Share))
                ),
                Working = DepthWorkings.OfBound(check),
            }
            : new(DepthRules.Statement, "few", Verdict.Care, Citations.ToleranceInterval)
            {
                Limit = Figure.Count(ToleranceBound.Fewest),
                Figures = Named(("count", Figure.Count(of.Area.Count))),
            };

    // A thing apart from the statement: what an inspector accepts by the readings there are, edges and corners among them.
    private static List<Finding> Acceptance(DepthCase of, DepthCheck check)
    {
        var all = of.Area.Concat(of.Edges).ToList();
        var share = all.Count(read => DepthCheck.IsUnder(read, of.Specified)) / (double)all.Count;
        var lowest = of.Specified - DepthCheck.GreatestShortfall;
        List<Finding> findings = [];
        if (DepthCheck.IsUnder(check.Mean, of.Specified))
        {
            findings.Add(
                Held("meanUnder") with
                {
                    Measured = check.Mean.ToThickness(),
                    Limit = of.Specified.ToThickness(),
                    Margin = (check.Mean - of.Specified).ToThickness(),
                }
            );
        }

        if (share > DepthCheck.GreatestShareUnder + 1e-12)
        {
            findings.Add(Held("shareUnder") with { Measured = Percent(share), Limit = Percent(DepthCheck.GreatestShareUnder) });
        }

        if (DepthCheck.IsUnder(check.Least, lowest))
        {
            findings.Add(
                Held("placeUnder") with
                {
                    Measured = check.Least.ToThickness(),
                    Limit = lowest.ToThickness().AtLeast,
                    Margin = (check.Least - lowest).ToThickness(),
                }
            );
        }

        return findings.Count > 0
            ? findings
            :
            [
                new(DepthRules.Accepted, "accepted", Verdict.Clear, Citations.DepthAcceptance)
                {
                    Measured = check.Mean.ToThickness(),
                    Limit = of.Specified.ToThickness(),
                    Margin = (check.Mean - of.Specified).ToThickness(),
                    Figures = Named(("share", Percent(share)), ("under", DepthCheck.GreatestShortfall.ToThickness())),
                },
            ];

        static Finding Held(string name) => new(DepthRules.Accepted, name, Verdict.Hold, Citations.DepthAcceptance);
    }

    private static Figure Percent(double share) => new(share * 100, Dimension.Percent);

    private static Dictionary<string, Figure> Named(params (string Name, Figure Figure)[] figures) =>
        figures.ToDictionary(one => one.Name, one => one.Figure);
}
