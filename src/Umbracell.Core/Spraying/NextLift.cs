using Umbracell.Core.Findings;
using Umbracell.Core.Lifts;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Spraying;

/// <summary>What the time of the next lift hangs on.</summary>
public enum NextLiftBecause
{
    /// <summary>The sheet's least wait.</summary>
    Wait,

    /// <summary>The lift is calculated to be as hot as that inside.</summary>
    Model,
}

/// <summary>When the next lift can go on: the latest of the sheet's least wait, the calculated cooling, and a probe at mid-depth below
/// the sheet's temperature.</summary>
/// <param name="At">When; of the last lift that was ended; null before one was, and where it never cools so far within a day.</param>
/// <param name="Because">What it hangs on.</param>
/// <param name="Finding">Rule G10 now.</param>
public sealed record NextLift(DateTimeOffset? At, NextLiftBecause Because, Finding Finding)
{
    /// <summary>When the next lift can go on.</summary>
    /// <param name="surface">How far the surface is.</param>
    /// <param name="sheet">The product.</param>
    /// <param name="forecast">What the last lift does; null where what is sprayed on, or the air, was not read.</param>
    /// <param name="now">Now.</param>
    public static NextLift Of(SprayedSurface surface, ProductSheet sheet, LiftForecast? forecast, DateTimeOffset now)
    {
        var source = Citations.Sheet(sheet, SheetLine.SheetLifts);
        if (surface.LastEnded is not { EndedAt: { } ended } last)
        {
            return new(null, NextLiftBecause.Wait, new(SprayRules.NextLift, "first", Verdict.Clear, source));
        }

        if (forecast is { Wait: null })
        {
            return new(
                null,
                NextLiftBecause.Model,
                new(SprayRules.NextLift, "neverCool", Verdict.Hold, source)
                {
                    Limit = sheet.NextLiftBelow.ToFigure(),
                    Figures = new Dictionary<string, Figure> { ["peak"] = forecast.Heat.Peak.ToFigure() },
                }
            );
        }

        // Nothing calculated ever shortens the sheet's wait.
        var wait = forecast?.Wait is { } calculated && calculated > sheet.LeastWait ? calculated : sheet.LeastWait;
        var because = wait > sheet.LeastWait ? NextLiftBecause.Model : NextLiftBecause.Wait;
        var at = ended + wait;
        return new(at, because, Judge(last, sheet, at, because, now));
    }

    private static Finding Judge(SprayedLift last, ProductSheet sheet, DateTimeOffset at, NextLiftBecause because, DateTimeOffset now)
    {
        var source = Citations.Sheet(sheet, SheetLine.SheetLifts);
        var limit = sheet.NextLiftBelow;

        // An older reading than the end of the lift is one of the lift below it.
        var probe = last.Probe is { } read && read.When >= last.EndedAt ? read.At : default(Temperature?);
        if (probe is { } hot && hot >= limit)
        {
            return Read("hot", Verdict.Hold, hot);
        }

        if (now < at)
        {
            return new(SprayRules.NextLift, "waiting", Verdict.Hold, source)
            {
                Limit = limit.ToFigure(),
                Figures = new Dictionary<string, Figure> { ["left"] = Figure.Duration(at - now) },
                Words = new Dictionary<string, Said> { ["because"] = Said.Of(because) },
            };
        }

        return probe is { } cool
            ? Read("ready", Verdict.Clear, cool)
            : new(SprayRules.NextLift, "unread", Verdict.Care, source) { Limit = limit.ToFigure() };

        Finding Read(string ends, Verdict verdict, Temperature t) =>
            new(SprayRules.NextLift, ends, verdict, source)
            {
                Measured = t.ToFigure(),
                Limit = limit.ToFigure(),
                Margin = (limit - t).ToFigure(),
            };
    }
}
