using System.Security.Claims;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Spraying;
using Umbracell.Core.Yield.Price;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Price;
using Umbracell.Questions.Spray;
using Umbracell.Server.Access;
using Umbracell.Server.Places;
using Umbracell.Server.Surfaces;
using Umbracell.Store;

namespace Umbracell.Server.Spray;

/// <summary>Answers how the material of a job lasts and what was done.</summary>
internal sealed class JobSprayReader(LoggedJobs logged, UmbracellDb db)
{
    // When it is said has nothing to do with when anybody was there.
    private static readonly LogEntryKind[] SaidLater =
    [
        LogEntryKind.JobFinished,
        LogEntryKind.JobReopened,
        LogEntryKind.Note,
        LogEntryKind.PlacesDrawn,
    ];

    public async Task<JobSpray> OfAsync(Guid id, ClaimsPrincipal person)
    {
        var job = await logged.OfAsync(id);
        var work = WorkOf(job);
        var sheets = job.Products.Select(product => product.Sheet.Id).ToHashSet();
        var lots = await db.StockLots.AsNoTracking().Where(row => sheets.Contains(row.SheetSlug)).ToListAsync();
        return new()
        {
            Courses = [.. job.Products.Select(product => Told(product, job))],
            Surfaces =
            [
                .. job
                    .Products.SelectMany(product => product.Surfaces)
                    .GroupBy(one => one.Row.Surface.Id)
                    .OrderBy(group => group.First().Row.Surface.Position)
                    .Select(group => Told([.. group])),
            ],
            FinishedAt = job.FinishedAt,
            OnSite = FigureAnswer.Of(Figure.Duration(work.OnSite)),
            Days = work.Days,
            Lots =
            [
                .. lots.Where(row => row.Full > 0 || row.PartKg > 0)
                    .OrderBy(row => row.Expires)
                    .Select(row => new LotAtHand
                    {
                        Id = row.Id,
                        SheetId = row.SheetSlug,
                        Side = row.Side,
                        Lot = row.Lot,
                        Full = row.Full,
                        Part = FigureAnswer.Of(new(row.PartKg, Dimension.Mass)),
                    }),
            ],
            Cost = person.May(Right.Price) ? await CostAsync(job, work) : null,
        };
    }

    private static DoneWork WorkOf(LoggedJob job)
    {
        var days = job
            .Log.Where(entry => !SaidLater.Contains(entry.Kind) && entry.Proof is null)
            .GroupBy(entry => PlaceTime.Day(job.Studied.Study.Job, entry.At))
            .Select(day => day.Max(entry => entry.At) - day.Min(entry => entry.At))
            .ToList();
        return new()
        {
            Sets = [.. job.Products.Select(product => (product.Sheet, product.Course.Used))],
            OnSite = days.Aggregate(TimeSpan.Zero, (sum, day) => sum + day),
            Days = days.Count,
            Fuel = [.. job.Log.Select(entry => entry.FuelCost).OfType<double>()],
        };
    }

    private async Task<CostAsDoneAnswer> CostAsync(LoggedJob job, DoneWork work)
    {
        var (supplies, today) = (job.Studied.Means.Supplies, KeptBids.Of(job.Studied.Bid));
        var kept = await db
            .Bids.AsNoTracking()
            .Where(bid => bid.JobId == job.Studied.Inputs.Job && bid.Document != null)
            .OrderByDescending(bid => bid.MadeAt)
            .FirstOrDefaultAsync();
        var bid = kept?.Document ?? today;
        var cost = CostAsDone.Of(
            [.. bid.Lines.Select(line => new BidPart(line.Key, new(line.Quantity, line.Dimension), line.Amount))],
            bid.Net,
            work,
            job.Studied.Means.Rates
        );
        return new()
        {
            BidAt = kept?.MadeAt,
            Lines =
            [
                .. cost.Lines.Select(line => new CostLineAnswer(
                    line.Key,
                    BidQuestions.NameOf(line.Key, supplies),
                    line.Bid is { } quantity ? new(FigureAnswer.Of(quantity), Money(line.BidAmount)) : null,
                    line.Done is { } done ? new(FigureAnswer.Of(done), Money(line.DoneAmount)) : null
                )),
            ],
            BidCost = Money(cost.BidCost),
            Cost = Money(cost.Cost),
            Net = Money(cost.Net),
            BidMargin = Money(cost.BidMargin),
            Margin = Money(cost.Margin),
            Missing = cost.Missing,
        };
    }

    private static CourseAnswer Told(LoggedProduct product, LoggedJob job)
    {
        var course = product.Course;
        return new()
        {
            SheetId = product.Sheet.Id,
            Sheet = product.Sheet.Name,
            Surfaces = [.. product.Surfaces.Select(one => one.Row.Surface.Id).Distinct()],
            Planned = FigureAnswer.Of(course.Planned.ToFigure()),
            Sprayed = FigureAnswer.Of(course.Sprayed.ToFigure()),
            Left = FigureAnswer.Of(course.Left.ToFigure()),
            SetsPlanned = FigureAnswer.Of(new(course.Planned / product.Expected, Dimension.Sets)),
            Used = FigureAnswer.Of(new(course.Used, Dimension.Sets)),
            Sides =
            [
                .. course.Sides.Select(side => new SideCourseAnswer(
                    side.Side,
                    FigureAnswer.Of(new(side.Used, Dimension.Sets)),
                    FigureAnswer.Of(new(side.OnHand, Dimension.Sets)),
                    side.IsOfTruck,
                    side.ReadAt
                )),
            ],
            Yield = YieldQuestions.Told(course.Yield),
            Chance = FigureAnswer.Of(Figure.Chance(course.Yield.ChanceShort)),
            LastsFor = FigureAnswer.Maybe(course.LastsFor is { } time ? Figure.Duration(time) : null),
            Causes = [.. CausesOf(product).Select(Told)],
            Lacks = PastJobOfLog.LacksOf(product, job.Studied.Study.Job),
        };
    }

    // Within its band nobody looks for causes.
    private static IReadOnlyList<YieldCause> CausesOf(LoggedProduct product)
    {
        var found = product.Course.Yield.Findings.First(finding => finding.Rule == RunningYield.Rule);
        if (found.Verdict == Verdict.Clear)
        {
            return [];
        }

        var begun = product.Surfaces.Where(one => one.IsBegun).ToList();
        var lifts = begun.SelectMany(one => one.Covered.Log.Lifts).Select(lift => lift.Thickness).OfType<Length>().ToList();
        var deep = begun.Where(one => one.Covered.Log.Lifts.Count >= one.Covered.Lifts && one.Covered.Log.Depth is not null).ToList();
        return YieldCause.Of(
            new()
            {
                Sheet = product.Sheet,
                Planned = (begun.Count > 0 ? begun : product.Surfaces)[0].Row.Sets!.Conditions,
                Substrate = product.Read.Substrate,
                Drums = product.Read.Drums,
                Lift = lifts.Count > 0 ? Length.FromMetres(lifts.Average(lift => lift.Metres)) : null,
                Depth = Mean(deep, one => one.Covered.Log.Depth!.Value + one.Covered.Sunk),
                PlannedDepth = Mean(deep, one => one.Covered.MeanDepth),
                UsedA = product.Course.Sides[0].Used,
                UsedB = product.Course.Sides[1].Used,
            },
            isUnder: found.Case.Name == "under"
        );
    }

    private static Length? Mean(List<LoggedSurface> surfaces, Func<LoggedSurface, Length> of) =>
        surfaces.Count == 0
            ? null
            : Length.FromMetres(surfaces.Sum(one => one.Area.SquareMetres * of(one).Metres) / surfaces.Sum(one => one.Area.SquareMetres));

    private static YieldCauseAnswer Told(YieldCause cause) =>
        new(
            cause.Kind,
            cause.Share < 0,
            cause.Share is { } share ? FigureAnswer.Of(Figure.Percent(Math.Abs(share) * 100)) : null,
            FigureAnswer.Maybe(cause.Planned),
            FigureAnswer.Maybe(cause.Found)
        );

    private static DoneSurface Told(IReadOnlyList<LoggedSurface> foams)
    {
        // The one its lifts are logged of.
        var surface = foams.MaxBy(one => one.Covered.Log.Lifts.Count)!;
        return new()
        {
            Id = surface.Row.Surface.Id,
            Name = surface.Row.Surface.Name,
            Planned = surface.Covered.Lifts,
            Lifts = surface.Covered.Log.Lifts.Count(lift => lift.EndedAt is not null),
            Specified = FigureAnswer.Of(surface.Covered.Specified.ToThickness()),
            Depth = FigureAnswer.Maybe(surface.Covered.Log.Depth?.ToThickness()),
            Foam = FigureAnswer.Of(Sum(one => one.Covered.Planned).ToFigure()),
            Sprayed = FigureAnswer.Of(Sum(one => CoveredFoam.InPlace(one.Covered)).ToFigure()),
            FinishedAt = surface.Covered.Log.FinishedAt,
        };

        FoamVolume Sum(Func<LoggedSurface, FoamVolume> of) => foams.Aggregate(default(FoamVolume), (sum, one) => sum + of(one));
    }

    private static FigureAnswer Money(double amount) => FigureAnswer.Of(new(amount, Dimension.Money));
}
