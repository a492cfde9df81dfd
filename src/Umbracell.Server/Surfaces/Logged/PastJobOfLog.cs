using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Quantities;
using Umbracell.Server.Places;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>What is missing before crews can learn from a product of a job.</summary>
public enum LearningLack
{
    /// <summary>Nothing was sprayed.</summary>
    Lifts,

    /// <summary>No levels of the drums were read.</summary>
    Levels,

    /// <summary>Depth was not read on every surface that was sprayed.</summary>
    Depths,

    /// <summary>The job names no crew.</summary>
    Crew,
}

/// <summary>A job that is finished becomes a finished job its crew learns from: one for each product, made out of the log, and made anew
/// when the log is corrected.</summary>
internal sealed class PastJobOfLog(UmbracellDb db)
{
    // Less tells nothing that a level can be read to.
    private const double LeastSets = 0.01;

    // A lift that was stopped and begun again many times is no thinner than a past job can have.
    private const double ThinnestLiftM = 0.002,
        ThickestLiftM = 0.5;

    /// <summary>What is missing before it teaches anything; nothing where it can.</summary>
    public static IReadOnlyList<LearningLack> LacksOf(LoggedProduct product, Job job)
    {
        var begun = product.Surfaces.Where(surface => surface.IsBegun).ToList();
        List<LearningLack> lacks = [];
        if (begun.Count == 0)
        {
            return [LearningLack.Lifts];
        }

        if (product.Course.Sides.Any(side => side.Used < LeastSets))
        {
            lacks.Add(LearningLack.Levels);
        }

        if (begun.Exists(surface => surface.Covered.Log.LastEnded!.Depth is null))
        {
            lacks.Add(LearningLack.Depths);
        }

        if (job.CrewId is null)
        {
            lacks.Add(LearningLack.Crew);
        }

        return lacks;
    }

    /// <summary>Sees to it that the finished jobs of a job are what its log tells; they are saved by whoever asks.</summary>
    public async Task SettleAsync(LoggedJob logged)
    {
        var job = logged.Studied.Study.Job;
        var rows = await db.PastJobs.Where(row => row.JobId == job.Id).ToListAsync();
        List<PastJobRow> wanted =
        [
            .. logged.FinishedAt is { } at
                ? logged.Products.Where(product => LacksOf(product, job).Count == 0).Select(product => Of(product, job, at))
                : [],
        ];
        db.PastJobs.RemoveRange(rows.Where(row => wanted.TrueForAll(one => one.SheetSlug != row.SheetSlug)));
        foreach (var row in wanted)
        {
            if (rows.Find(one => one.SheetSlug == row.SheetSlug) is { } before)
            {
                Take(before, row);
            }
            else
            {
                db.PastJobs.Add(row);
            }
        }
    }

    private static PastJobRow Of(LoggedProduct product, Job job, DateTimeOffset at)
    {
        var begun = product.Surfaces.Where(surface => surface.IsBegun).ToList();
        var area = begun.Sum(surface => surface.Area.SquareMetres);
        var foam = product.Course.Sprayed.CubicMetres;
        var planned = begun[0].Row.Sets!.Conditions;
        var (readings, scatter) = DepthsOf(begun);
        return new()
        {
            Id = Guid.CreateVersion7(),
            JobId = job.Id,
            Name = job.Name,
            CrewId = job.CrewId!.Value,
            SheetSlug = product.Sheet.Id,
            SheetNumber = job.HeldEditions?.TryGetValue(product.Sheet.Id, out var held) == true ? held : null,
            FinishedOn = PlaceTime.Day(job, at),
            AreaM2 = area,
            MeanDepthM = foam / area,
            SetsUsed = product.Course.Used,
            SubstrateC = (product.Read.Substrate ?? planned.Substrate).Celsius,
            DrumC = (product.Read.Drums ?? planned.Drums).Celsius,
            LiftM = Math.Clamp(
                foam / begun.Sum(surface => surface.Area.SquareMetres * surface.Covered.Log.Lifts.Count),
                ThinnestLiftM,
                ThickestLiftM
            ),
            DepthReadings = readings,
            DepthScatterM = scatter.Metres,
        };
    }

    // Readings of the last lift of each surface, about the mean of their own surface.
    private static (int Readings, Length Scatter) DepthsOf(IEnumerable<LoggedSurface> begun)
    {
        var last = begun.Select(surface => surface.Covered.Log.LastEnded!).Where(lift => lift.Depths > 0).ToList();
        var freedom = last.Sum(lift => lift.Depths - 1);
        var squares = last.Sum(lift => (lift.Depths - 1) * Math.Pow(lift.DepthScatter.Metres, 2));
        return (last.Sum(lift => lift.Depths), Length.FromMetres(freedom > 0 ? Math.Sqrt(squares / freedom) : 0));
    }

    // Why somebody left it out stays.
    private static void Take(PastJobRow before, PastJobRow now)
    {
        (before.Name, before.CrewId, before.SheetNumber, before.FinishedOn) = (now.Name, now.CrewId, now.SheetNumber, now.FinishedOn);
        (before.AreaM2, before.MeanDepthM, before.SetsUsed, before.LiftM) = (now.AreaM2, now.MeanDepthM, now.SetsUsed, now.LiftM);
        (before.SubstrateC, before.DrumC) = (now.SubstrateC, now.DrumC);
        (before.DepthReadings, before.DepthScatterM) = (now.DepthReadings, now.DepthScatterM);
    }
}
