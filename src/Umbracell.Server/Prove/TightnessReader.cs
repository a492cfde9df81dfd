using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Airtightness;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Targets;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Prove;

/// <summary>A fan test as it counts for the proof.</summary>
public sealed record CountedFanTest
{
    public required DateTimeOffset TakenAt { get; init; }

    public required string TakenBy { get; init; }

    public required BoundedAnswer FlowAt50 { get; init; }

    public required BoundedAnswer? AirChangesAt50 { get; init; }

    /// <summary>Whether it is of a single point, which the standard does not take for a whole test.</summary>
    public required bool IsSinglePoint { get; init; }

    /// <summary>Whether it is valid by the standard.</summary>
    public required bool IsValid { get; init; }

    internal static CountedFanTest? Of((FanTestRow Row, FanTest Test)? one) =>
        one is var (row, test)
            ? new()
            {
                TakenAt = row.TakenAt,
                TakenBy = row.TakenBy,
                FlowAt50 = BoundedAnswer.Of(test.FlowAt50, Dimension.AirFlow),
                AirChangesAt50 = test.AirChangesAt50 is { } changes ? BoundedAnswer.Of(changes, Dimension.AirChanges) : null,
                IsSinglePoint = test.IsSinglePoint,
                IsValid = test.IsValid,
            }
            : null;
}

/// <summary>How tight a building became.</summary>
public sealed record TightnessOfJob
{
    public required CountedFanTest? Before { get; init; }

    public required CountedFanTest? After { get; init; }

    /// <summary>Share of the flow at 50 Pa that was cut, in percent, with its interval.</summary>
    public required BoundedAnswer? Reduction { get; init; }

    /// <summary>Greatest air changes an hour at 50 Pa of the job's edition; null where it names none.</summary>
    public required FigureAnswer? Target { get; init; }

    /// <summary>The edition.</summary>
    public required string? Edition { get; init; }

    public required IReadOnlyList<FindingAnswer> Findings { get; init; }
}

/// <summary>Answers how tight a building became.</summary>
internal sealed class TightnessReader(UmbracellDb db)
{
    public async Task<TightnessOfJob> OfAsync(Job job)
    {
        var rows = await db.FanTests.AsNoTracking().Where(test => test.JobId == job.Id).ToListAsync();
        var before = JobFanTests.Newest(rows, WorkPhase.Before, job);
        var after = JobFanTests.Newest(rows, WorkPhase.After, job);
        var set = JobTargets.Of(job);
        var greatest = set?.AirChangesFor(job.ClimateZone);
        var cut = before is { } one && after is { } other ? FanTest.Reduction(one.Test, other.Test) : (Bounded?)null;
        return new()
        {
            Before = CountedFanTest.Of(before),
            After = CountedFanTest.Of(after),
            Reduction = cut is { } share
                ? BoundedAnswer.Of(new(share.Value * 100, share.Low * 100, share.High * 100), Dimension.Percent)
                : null,
            Target = greatest is { } changes ? FigureAnswer.Of(new(changes, Dimension.AirChanges)) : null,
            Edition = set?.Edition,
            Findings = FindingAnswer.All(Tightness.Of(before?.Test, after?.Test, greatest)),
        };
    }
}
