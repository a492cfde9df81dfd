using Umbracell.Core.Findings;
using Umbracell.Core.Lifts;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Spraying;

/// <summary>What is still to be said before the trigger is pulled.</summary>
public enum AreaLack
{
    /// <summary>Occupants and other trades out, nothing that burns.</summary>
    Clear,

    /// <summary>Ventilation on.</summary>
    Ventilation,
}

/// <summary>What the log says of the area, and of lifts that were sprayed. What happened is logged, never refused: it is told.</summary>
public static class SprayFindings
{
    /// <summary>Rule G11.</summary>
    public static Finding AreaOf(SprayedSurface surface)
    {
        List<AreaLack> lacks = [];
        if (surface.AreaClear != true)
        {
            lacks.Add(AreaLack.Clear);
        }

        if (surface.Ventilated != true)
        {
            lacks.Add(AreaLack.Ventilation);
        }

        return lacks.Count == 0
            ? new(SprayRules.Area, "confirmed", Verdict.Clear, Citations.WorkAreaClosed)
            : new(SprayRules.Area, "open", Verdict.Hold, Citations.WorkAreaClosed)
            {
                Words = new Dictionary<string, Said> { ["lacks"] = Said.Of(lacks) },
            };
    }

    /// <summary>What is wrong with the lifts of a surface.</summary>
    /// <param name="surface">How far it is.</param>
    /// <param name="sheet">Its product.</param>
    public static IReadOnlyList<Finding> LiftsOf(SprayedSurface surface, ProductSheet sheet)
    {
        List<Finding> findings = [];
        SprayedLift? before = null;
        foreach (var lift in surface.Lifts)
        {
            findings.AddRange(Of(lift, before, sheet));
            before = lift;
        }

        return findings;
    }

    /// <summary>What is wrong with the drums as they were logged.</summary>
    public static IReadOnlyList<Finding> DrumsOf(SprayedSurface surface) => [.. surface.Drums.SelectMany(Of)];

    private static IEnumerable<Finding> Of(DrumUse drums)
    {
        var side = drums.Side.ToString();
        if (drums.LotsOnSurface.Count > 1)
        {
            yield return Told("lots", ("lots", new Said(drums.LotsOnSurface)));
        }

        if (drums.SheetsOnSurface.Count > 1)
        {
            yield return Told("grades");
        }

        if (drums.Rose)
        {
            yield return Told("rose");
        }

        if (drums.WasDry)
        {
            yield return Told("dry");
        }

        Finding Told(string ends, params (string Name, Said Word)[] words) =>
            new(SprayRules.Drums, ends, Verdict.Care, Citations.SprayLogged)
            {
                Words = words.Append(("side", side)).ToDictionary(one => one.Item1, one => one.Item2),
            };
    }

    /// <summary>What is left before a surface can be called finished: depth against what was planned, the walk-round, defects.</summary>
    /// <param name="surface">How far it is.</param>
    /// <param name="planned">Depth that was specified.</param>
    /// <param name="list">What is looked at on it.</param>
    public static IReadOnlyList<Finding> EndOf(SprayedSurface surface, Length planned, IReadOnlyList<WalkRoundItem> list)
    {
        List<Finding> findings = [DepthOf(surface.Lifts.Count == 0 ? null : surface.Lifts[^1].Depth, planned)];
        var lacks = list.Where(item => !surface.Seen.Contains(item)).ToList();
        if (lacks.Count > 0)
        {
            findings.Add(
                new(SprayRules.Done, "unseen", Verdict.Care, Citations.SprayLogged)
                {
                    Words = new Dictionary<string, Said> { ["lacks"] = Said.Of(lacks) },
                }
            );
        }

        if (surface.Defects > 0)
        {
            findings.Add(
                new(SprayRules.Done, "defects", Verdict.Hold, Citations.SprayLogged)
                {
                    Figures = new Dictionary<string, Figure> { ["count"] = Figure.Count(surface.Defects) },
                }
            );
        }

        return findings;
    }

    private static Finding DepthOf(Length? depth, Length planned) =>
        depth is not { } mean
            ? new(SprayRules.Done, "unread", Verdict.Care, Citations.SprayLogged) { Limit = planned.ToThickness() }
            : new(
                SprayRules.Done,
                mean < planned ? "thin" : "asPlanned",
                mean < planned ? Verdict.Hold : Verdict.Clear,
                Citations.SprayLogged
            )
            {
                Measured = mean.ToThickness(),
                Limit = planned.ToThickness(),
                Margin = (mean - planned).ToThickness(),
            };

    private static IEnumerable<Finding> Of(SprayedLift lift, SprayedLift? before, ProductSheet sheet)
    {
        if (lift.EndedAt < lift.BegunAt)
        {
            yield return Told(lift, "endsBefore", Verdict.Hold, Citations.SprayLogged);
        }

        if (before is { EndedAt: null } || before?.EndedAt > lift.BegunAt)
        {
            yield return Told(lift, "overlaps", Verdict.Care, Citations.SprayLogged);
        }
        else if (
            before?.Probe is { } probe
            && probe.When >= before.EndedAt
            && probe.When <= lift.BegunAt
            && probe.At >= sheet.NextLiftBelow
        )
        {
            yield return Told(lift, "onHot", Verdict.Hold, Citations.Sheet(sheet, SheetLine.SheetLifts)) with
            {
                Measured = probe.At.ToFigure(),
                Limit = sheet.NextLiftBelow.ToFigure(),
            };
        }
        else if (before?.EndedAt is { } ended && lift.BegunAt - ended < sheet.LeastWait)
        {
            yield return Told(lift, "early", Verdict.Hold, Citations.Sheet(sheet, SheetLine.SheetLifts)) with
            {
                Measured = Figure.Duration(lift.BegunAt - ended),
                Limit = Figure.Duration(sheet.LeastWait),
            };
        }

        if (lift.Gate == Verdict.Hold)
        {
            yield return Told(lift, "held", Verdict.Care, Citations.SprayLogged);
        }

        if (lift.Thickness is { } thickness && ThicknessOf(lift, thickness, sheet) is { } finding)
        {
            yield return finding;
        }
    }

    private static Finding? ThicknessOf(SprayedLift lift, Length thickness, ProductSheet sheet)
    {
        var judged = LiftForecast.JudgeThickness(sheet, thickness);
        return judged.Verdict == Verdict.Clear
            ? null
            : Told(lift, judged.Case.Name, judged.Verdict, judged.Source) with
            {
                Measured = judged.Measured,
                Limit = judged.Limit,
                Margin = judged.Margin,
            };
    }

    private static Finding Told(SprayedLift lift, string ends, Verdict verdict, Citation source) =>
        new(SprayRules.Logged, ends, verdict, source)
        {
            Figures = new Dictionary<string, Figure> { ["count"] = Figure.Count(lift.Number) },
        };
}
