using Umbracell.Core.Findings;
using Umbracell.Core.Lifts;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Spraying;
using Umbracell.Documents;
using Umbracell.Questions.Answers;

namespace Umbracell.Questions.Spray;

/// <summary>Puts the log of a surface to the core.</summary>
public static class SprayQuestions
{
    // What the heat of a lift is calculated for; depths that were read can give a lift outside of it.
    private const double ThinnestM = 0.001,
        ThickestM = 0.5;

    /// <summary>Answers a question.</summary>
    /// <exception cref="QuantityRangeException">A figure out of range, or more foam than the sheet rates.</exception>
    /// <exception cref="FieldFaultsException">More entries than a log has.</exception>
    public static SprayAnswer Answer(SprayQuestion question, Supplies supplies)
    {
        var sheet = supplies.SheetAtTheGate(question.SheetId);
        var surface = Surface(question);
        var plan = LiftPlan.For(sheet, Length.FromMillimetres(question.ThicknessMm));
        var next = NextLift.Of(surface, sheet, LastForecast(question, surface, plan, sheet), question.Now);
        var list = WalkRound.Of(question.SurfaceKind);
        var number = surface.Open?.Number ?? surface.Lifts.Count + 1;
        var areSprayed = surface.Open is null && surface.Lifts.Count >= plan.Lifts.Count;
        return new()
        {
            Planned = plan.Lifts.Count,
            Number = number,
            Each = Told(plan.Lifts[0]),
            Needs = Told(Needed(plan, number)),
            Due = surface.Lifts.Count > 0 ? Told(Needed(plan, surface.Lifts.Count)) : null,
            Specified = Told(Length.FromMillimetres(question.ThicknessMm)),
            Depth = Maybe(surface.Depth),
            Open = surface.Open is { } open ? Told(open) : null,
            Lifts = [.. surface.Lifts.Select(Told)],
            NextAt = next.At,
            NextBecause = next.Because,
            Calculated = IsRead(question),
            Next = FindingAnswer.Of(next.Finding),
            Area = FindingAnswer.Of(SprayFindings.AreaOf(surface)),
            Ahead = surface.Open is null && !areSprayed ? FindingAnswer.All(Ahead(question, surface, plan, sheet)) : [],
            Lifted = FindingAnswer.All(SprayFindings.LiftsOf(surface, sheet)),
            End = areSprayed ? FindingAnswer.All(SprayFindings.EndOf(surface, Length.FromMillimetres(question.ThicknessMm), list)) : [],
            OpenStops = [.. surface.OpenStops.Select(stop => new OpenStopAnswer(stop.Id, stop.At, stop.Reason ?? StopReason.Other))],
            Read = [.. question.Entries.Where(HasRead).Select(Told)],
            WalkRound = [.. list.Select(item => new WalkRoundAnswer(item, surface.Seen.Contains(item)))],
            Drums = [.. surface.Drums.Select(Told)],
            DrumFindings = FindingAnswer.All(SprayFindings.DrumsOf(surface)),
            Ventilated = surface.Ventilated,
            AreaClear = surface.AreaClear,
            FinishedAt = surface.FinishedAt,
            SprayedToday = FigureAnswer.Of(
                Figure.Duration(surface.SprayedSince(question.DayStartsAt, question.Now) + TimeSpan.FromSeconds(question.SprayedElsewhereS))
            ),
        };
    }

    /// <summary>How far the surface of a question is.</summary>
    /// <exception cref="FieldFaultsException">More entries than a log has.</exception>
    public static SprayedSurface Surface(SprayQuestion question)
    {
        QuantityRangeException.Within("year", question.Now.Year, 2000, 2200, Dimension.Count);
        return question.Entries.Count > SprayQuestion.MostEntries
            ? throw FieldFaultsException.Of("entries", FaultCode.TooManyParts)
            : SprayedSurface.Of(question.Entries.Select(entry => entry.ToEntry()), question.DayStartsAt);
    }

    private static bool IsRead(SprayQuestion of) => of is { SubstrateTempC: not null, AirTempC: not null };

    // What all foam measures after so many lifts; a further one changes nothing of what was specified.
    private static Length Needed(LiftPlan plan, int lifts) => plan.Lifts[0] * Math.Min(lifts, plan.Lifts.Count);

    private static LiftForecast? LastForecast(SprayQuestion of, SprayedSurface surface, LiftPlan plan, ProductSheet sheet)
    {
        if (surface.LastEnded is not { } last || !IsRead(of))
        {
            return null;
        }

        var under = last.Depth is { } depth && last.Thickness is { } added ? depth - added : Needed(plan, last.Number - 1);
        var below = surface.Lifts.FirstOrDefault(lift => lift.Number == last.Number - 1);
        return Forecast(of, sheet, last.Thickness ?? plan.Lifts[0], under, below?.Probe?.At);
    }

    private static IEnumerable<Finding> Ahead(SprayQuestion of, SprayedSurface surface, LiftPlan plan, ProductSheet sheet)
    {
        // Where depths were read, what is left of what was specified is what goes on; no more of it than the sheet allows in one lift.
        var under = surface.Depth ?? Needed(plan, surface.Lifts.Count);
        var left = Needed(plan, surface.Lifts.Count + 1) - under;
        var thickness = left > Length.Zero ? left : plan.Lifts[0];
        return IsRead(of)
            ? Forecast(of, sheet, thickness, under, surface.LastEnded?.Probe?.At).Findings
            : [LiftForecast.JudgeThickness(sheet, thickness)];
    }

    private static LiftForecast Forecast(SprayQuestion of, ProductSheet sheet, Length thickness, Length under, Temperature? underAt) =>
        LiftForecast.Of(
            new()
            {
                Sheet = sheet,
                On = of.SubstrateKind,
                Substrate = Temperature.FromCelsius(of.SubstrateTempC!.Value),
                Air = Temperature.FromCelsius(of.AirTempC!.Value),
                Thickness = Length.FromMetres(Math.Clamp(thickness.Metres, ThinnestM, ThickestM)),
                Under = under > Length.Zero ? under : Length.Zero,

                // Colder than the sheet lets it be when the next goes on counts for nothing: the reading can be of one spot.
                UnderAt = underAt > sheet.NextLiftBelow ? underAt : null,
            }
        );

    private static SprayedLiftAnswer Told(SprayedLift lift) =>
        new()
        {
            Id = lift.Id,
            Number = lift.Number,
            BegunAt = lift.BegunAt,
            EndedAt = lift.EndedAt,
            Depth = Maybe(lift.Depth),
            Depths = lift.Depths,
            Thickness = Maybe(lift.Thickness),
            Probe = FigureAnswer.Maybe(lift.Probe?.At.ToFigure()),
        };

    private static bool HasRead(LogEntryDocument entry) =>
        (entry.DepthMm ?? entry.TempC ?? entry.Left ?? OtherOf(entry)?.Amount) is not null;

    private static Figure? OtherOf(LogEntryDocument entry) =>
        entry switch
        {
            { FuelCost: { } money } => new(money, Dimension.Money),
            { Proof.BlockMm: { } block } => Length.FromMillimetres(block).ToThickness(),
            { Proof.AirChanges: { } changes } => new(changes, Dimension.AirChanges),
            _ => null,
        };

    private static EntryFigures Told(LogEntryDocument entry) =>
        new(
            entry.Id,
            Maybe(entry.DepthMm is { } mm ? Length.FromMillimetres(mm) : null),
            FigureAnswer.Maybe(entry.TempC is { } celsius ? Temperature.FromCelsius(celsius).ToFigure() : null),
            FigureAnswer.Maybe(entry.Left is { } left ? new(left * 100, Dimension.Percent) : null),
            FigureAnswer.Maybe(OtherOf(entry))
        );

    private static DrumUseAnswer Told(DrumUse drums) =>
        new(
            drums.Side,
            drums.Lot,
            drums.Left is { } left ? FigureAnswer.Of(new(left * 100, Dimension.Percent)) : null,
            FigureAnswer.Of(new(drums.Used, Dimension.Number))
        );

    private static FigureAnswer Told(Length depth) => FigureAnswer.Of(depth.ToThickness());

    private static FigureAnswer? Maybe(Length? depth) => FigureAnswer.Maybe(depth?.ToThickness());
}
