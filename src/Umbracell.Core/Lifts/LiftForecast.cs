using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Lifts;

/// <summary>What a lift will do: how hot it gets, and when the next can go on it.</summary>
/// <param name="Heat">Its own heat.</param>
/// <param name="Wait">From its end until the next lift: the longer of the sheet's least wait and the time it takes to cool below the
/// sheet's temperature; null where it does not cool so far within a day.</param>
/// <param name="Findings">Its thickness and its heat held against the sheet.</param>
public sealed record LiftForecast(LiftHeat Heat, TimeSpan? Wait, IReadOnlyList<Finding> Findings)
{
    /// <summary>Thickness of one lift, held against the sheet.</summary>
    public static readonly Rule Thickness = new Rule("oneLift", Stage.Spray, Basis.ProductSheet).Ends(
        "within tooThick tooThin",
        "measured limit margin"
    );

    /// <summary>How long a lift is over 100 °C inside, held against the sheet's greatest lift at 21 °C on wood.</summary>
    public static readonly Rule Hot = new Rule("liftHeat", Stage.Spray, Basis.Physics)
        .Ends("usual long", "measured limit peak over at")
        .Ends("neverCool", "peak limit", basis: Basis.ProductSheet);

    /// <summary>The forecast of a lift.</summary>
    /// <exception cref="QuantityRangeException">A figure out of range.</exception>
    public static LiftForecast Of(LiftOnSurface lift)
    {
        var heat = LiftHeat.Of(lift.Case);
        TimeSpan? wait =
            heat.Cool > lift.Sheet.LeastWait ? heat.Cool
            : heat.Cool is null ? null
            : lift.Sheet.LeastWait;
        return new(heat, wait, [.. Judge(lift, heat)]);
    }

    private static IEnumerable<Finding> Judge(LiftOnSurface lift, LiftHeat heat)
    {
        yield return JudgeThickness(lift.Sheet, lift.Thickness);
        if (heat.Cool is null)
        {
            yield return new(Hot, "neverCool", Verdict.Hold, Citations.Sheet(lift.Sheet, SheetLine.SheetLifts))
            {
                Limit = lift.Sheet.NextLiftBelow.ToFigure(),
                Figures = new Dictionary<string, Figure> { ["peak"] = heat.Peak.ToFigure() },
            };
            yield break;
        }

        var usual = LiftHeat.Of(lift.Reference.Case);
        yield return new(
            Hot,
            heat.Hot > usual.Hot ? "long" : "usual",
            heat.Hot > usual.Hot ? Verdict.Care : Verdict.Clear,
            Citations.LiftExotherm
        )
        {
            Measured = Figure.Duration(heat.Hot),
            Limit = Figure.Duration(usual.Hot),
            Figures = new Dictionary<string, Figure>
            {
                ["peak"] = heat.Peak.ToFigure(),
                ["over"] = LiftHeat.HotFrom.ToFigure(),
                ["at"] = LiftOnSurface.AtReference.ToFigure(),
            },
        };
    }

    /// <summary>A thickness, planned or sprayed, held against the sheet: neither more than its greatest lift nor less than its thinnest
    /// coat.</summary>
    public static Finding JudgeThickness(ProductSheet sheet, Length thickness)
    {
        var isThin = thickness < sheet.ThinnestCoat;
        var (ends, verdict) =
            thickness > sheet.GreatestLift ? ("tooThick", Verdict.Hold)
            : isThin ? ("tooThin", Verdict.Care)
            : ("within", Verdict.Clear);
        return new(Thickness, ends, verdict, Citations.Sheet(sheet, SheetLine.SheetLifts))
        {
            Measured = thickness.ToThickness(),
            Limit = (isThin ? sheet.ThinnestCoat : sheet.GreatestLift).ToThickness(),
            Margin = (isThin ? thickness - sheet.ThinnestCoat : sheet.GreatestLift - thickness).ToThickness(),
        };
    }
}
