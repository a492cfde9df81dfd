using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Airtightness;

/// <summary>How tight a finished building is, and how much tighter it became.</summary>
public static class Tightness
{
    /// <summary>Air changes at 50 Pa of the finished building held against the greatest of the edition.</summary>
    public static readonly Rule Target = new Rule("airTarget", Stage.Prove, Basis.ModelCode)
        .Ends("met near missed", "measured limit")
        .Ends("noVolume noTarget");

    /// <summary>The fan test after against the one before.</summary>
    public static readonly Rule Reduction = new Rule("airReduction", Stage.Prove, Basis.ModelCode)
        .Ends("tighter unsure looser", "measured low high")
        .Ends("single", "measured")
        .Ends("noBefore noAfter");

    /// <summary>Judges it.</summary>
    /// <param name="before">Test before the work; null where there is none.</param>
    /// <param name="after">Test after it; null where there is none yet.</param>
    /// <param name="greatest">Greatest air changes an hour at 50 Pa by the edition, above zero; null where it names none.</param>
    public static IReadOnlyList<Finding> Of(FanTest? before, FanTest? after, double? greatest) =>
        after is null
            ? [new(Reduction, "noAfter", Verdict.Care, Citations.FanValidity)]
            : [TargetOf(after, greatest), ReductionOf(before, after), .. after.Findings.Where(one => one.Verdict != Verdict.Clear)];

    // Past the target by its interval it is not proven to keep to it.
    private static Finding TargetOf(FanTest after, double? greatest)
    {
        if (greatest is not { } limit)
        {
            return new(Target, "noTarget", Verdict.Clear, Citations.AirTarget);
        }

        if (after.AirChangesAt50 is not { } made)
        {
            return new(Target, "noVolume", Verdict.Care, Citations.AirTarget);
        }

        var ends =
            made.Value > limit ? "missed"
            : made.High is null || made.High > limit ? "near"
            : "met";
        return new(
            Target,
            ends,
            ends == "met" ? Verdict.Clear
                : ends == "near" ? Verdict.Care
                : Verdict.Hold,
            Citations.AirTarget
        )
        {
            Measured = new(made.Value, Dimension.AirChanges),
            Limit = new(limit, Dimension.AirChanges),
        };
    }

    private static Finding ReductionOf(FanTest? before, FanTest after)
    {
        if (before is null)
        {
            return new(Reduction, "noBefore", Verdict.Care, Citations.FanValidity);
        }

        var cut = FanTest.Reduction(before, after);
        if (cut is not { Low: { } low, High: { } high })
        {
            return new(Reduction, "single", Verdict.Care, Citations.FanSinglePoint) { Measured = Percent(cut.Value) };
        }

        var ends =
            high <= 0 ? "looser"
            : low <= 0 ? "unsure"
            : "tighter";
        return new(
            Reduction,
            ends,
            ends == "tighter" ? Verdict.Clear
                : ends == "unsure" ? Verdict.Care
                : Verdict.Hold,
            Citations.FanValidity
        )
        {
            Measured = Percent(cut.Value),
            Figures = new Dictionary<string, Figure> { ["low"] = Percent(low), ["high"] = Percent(high) },
        };
    }

    private static Figure Percent(double share) => new(share * 100, Dimension.Percent);
}
