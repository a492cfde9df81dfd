using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Lifts;

/// <summary>How a thickness is built up in lifts. The sheet's greatest lift and least wait always bound it.</summary>
/// <param name="Lifts">Thickness of each lift, first sprayed first.</param>
/// <param name="Wait">Least wait between two lifts.</param>
/// <param name="CoolBelow">The last lift must have cooled below this.</param>
/// <param name="Finding">Whether the lifts stay within the sheet.</param>
/// <param name="Working">How the count came about.</param>
public sealed record LiftPlan(IReadOnlyList<Length> Lifts, TimeSpan Wait, Temperature CoolBelow, Finding Finding, Working Working)
{
    /// <summary>Lifts within the sheet.</summary>
    public static readonly Rule Rule = new Rule("lifts", Stage.Section, Basis.ProductSheet).Ends(
        "within flash tooThin",
        "measured limit margin count wait coolBelow"
    );

    /// <summary>Waits alone, from the start of the first lift to the earliest start of the last.</summary>
    public TimeSpan LeastTime => Wait * Math.Max(0, Lifts.Count - 1);

    /// <summary>Waits alone of foams sprayed one on the other: those within each, and each foam's own before the next goes on it.</summary>
    /// <param name="plans">Lifts of each foam, in the order they are sprayed.</param>
    public static TimeSpan LeastTimeOf(IReadOnlyList<LiftPlan> plans)
    {
        var sum = TimeSpan.Zero;
        for (var i = 0; i < plans.Count; i++)
        {
            sum += plans[i].LeastTime + (i + 1 < plans.Count ? plans[i].Wait : TimeSpan.Zero);
        }

        return sum;
    }

    /// <summary>Equal lifts, as few as the sheet allows.</summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="thickness">Nominal thickness before shaving; above zero.</param>
    /// <exception cref="QuantityRangeException">Not above zero, or thicker than the sheet rates.</exception>
    public static LiftPlan For(ProductSheet sheet, Length thickness)
    {
        thickness = sheet.Rated(thickness);

        // A quarter of a millimetre of grace: 6 in typed as 152 mm is still three lifts of 2 in.
        var count = (int)Math.Max(1, Math.Ceiling((thickness.Metres - 0.00025) / sheet.GreatestLift.Metres));
        var each = thickness / count;
        var working = new Working(
            "lifts",
            "n = t / t_max, rounded up",
            [new("t", "foamThickness", thickness.ToThickness()), new("t_max", "greatestLift", sheet.GreatestLift.ToThickness())],
            Figure.Count(count),
            Citations.Sheet(sheet, SheetLine.SheetLifts)
        );
        return new([.. Enumerable.Repeat(each, count)], sheet.LeastWait, sheet.NextLiftBelow, Judge(sheet, each, count, working), working);
    }

    private static Finding Judge(ProductSheet sheet, Length each, int count, Working working)
    {
        var tooThin = each < sheet.LeastLift;
        var isFlash = tooThin && sheet.FlashCoatFrom is { } flash && each >= flash;
        return new(
            Rule,
            !tooThin ? "within"
                : isFlash ? "flash"
                : "tooThin",
            !tooThin ? Verdict.Clear
                : isFlash ? Verdict.Care
                : Verdict.Hold,
            Citations.Sheet(sheet, SheetLine.SheetLifts)
        )
        {
            Measured = each.ToThickness(),
            Limit = (tooThin ? sheet.LeastLift : sheet.GreatestLift).ToThickness(),
            Margin = (tooThin ? each - sheet.LeastLift : sheet.GreatestLift - each).ToThickness(),
            Figures = new Dictionary<string, Figure>
            {
                ["count"] = Figure.Count(count),
                ["wait"] = Figure.Duration(sheet.LeastWait),
                ["coolBelow"] = sheet.NextLiftBelow.ToFigure(),
            },
            Remedies = tooThin ? [Remedy.Of("goToThickness", "thickness", sheet.LeastLift.ToThickness())] : [],
            Working = working,
        };
    }
}
