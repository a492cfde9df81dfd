using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Rigs.Sequences;
using Umbracell.Documents;
using Umbracell.Questions.Rig;
using Umbracell.Server.Places;
using Umbracell.Server.Problems;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Rig.Sequences;

/// <summary>Reads sequences of a firm and how far those that are run have come.</summary>
internal sealed class SequenceReader(UmbracellDb db, TimeProvider clock)
{
    /// <summary>All kinds: the firm's own, else the one that ships.</summary>
    public async Task<List<FirmSequenceAnswer>> AllAsync()
    {
        var own = await db.FirmSequences.AsNoTracking().ToDictionaryAsync(row => row.Kind);
        return [.. Enum.GetValues<SequenceKind>().Select(kind => Told(kind, own.GetValueOrDefault(kind)))];
    }

    /// <summary>A sequence as the firm runs it now.</summary>
    public async Task<SequenceDocument> CurrentAsync(SequenceKind kind) =>
        (await db.FirmSequences.AsNoTracking().SingleOrDefaultAsync(row => row.Kind == kind))?.Document ?? Shipped(kind);

    /// <summary>The sequence of a kind that ships.</summary>
    public static SequenceDocument Shipped(SequenceKind kind) => SequenceDocument.Of(ShippedSequences.All[kind]);

    /// <summary>A kind as it is told.</summary>
    public static FirmSequenceAnswer Told(SequenceKind kind, FirmSequenceRow? own)
    {
        var sequence = own?.Document ?? Shipped(kind);
        var told = SequenceQuestions.Answer(new() { Sequence = sequence, Now = default });
        return new()
        {
            Kind = kind,
            Sequence = sequence,
            HardStops = [.. told.Steps.Where(step => step.HardStop).Select(step => step.Id)],
            Limits =
            [
                .. told
                    .Steps.Where(step => step.Least is not null || step.Greatest is not null)
                    .Select(step => new StepLimits(step.Id, step.Least, step.Greatest)),
            ],
            ChangedBy = own?.ChangedBy,
            ChangedAt = own?.ChangedAt,
            Version = own?.Version ?? 0,
        };
    }

    /// <summary>What was last run of each kind: of the work area at a job, of all else with a rig.</summary>
    public async Task<List<RigSequence>> OfRigAsync(Guid rig, Guid? job)
    {
        var runs = await db
            .SequenceRuns.AsNoTracking()
            .Where(run => run.GivenUpAt == null)
            .Where(run => run.Kind == SequenceKind.WorkArea ? run.JobId == job : run.RigId == rig)
            .GroupBy(run => run.Kind)
            .Select(kind => kind.OrderByDescending(run => run.BegunAt).First())
            .ToListAsync();
        var marks = await MarksAsync([.. runs.Select(run => run.Id)]);
        var current = await AllAsync();
        return
        [
            .. current.Select(kind => new RigSequence(
                kind.Kind,
                kind.Sequence.Steps.Count,
                runs.Find(run => run.Kind == kind.Kind) is { } last ? Summary(last, marks[last.Id]) : null
            )),
        ];
    }

    /// <summary>The run of a kind that is not over yet; null where there is none.</summary>
    public async Task<Guid?> OpenAsync(SequenceKind kind, Guid rig, Guid? job) =>
        (await OfRigAsync(rig, job)).Find(one => one.Kind == kind)?.Last is { OverAt: null } open ? open.Id : null;

    /// <exception cref="NotFoundException">There is no such run.</exception>
    public async Task<SequenceRunRow> FindAsync(Guid id) =>
        await db.SequenceRuns.SingleOrDefaultAsync(run => run.Id == id) ?? throw new NotFoundException("sequence");

    /// <summary>A run with what was said of it so far.</summary>
    public async Task<SequenceRun> RunOfAsync(SequenceRunRow row) =>
        SequenceQuestions.RunOf(QuestionOf(row, (await MarksAsync([row.Id]))[row.Id]));

    /// <summary>A run as it is told.</summary>
    public async Task<RunAnswer> ToldAsync(SequenceRunRow row)
    {
        var question = QuestionOf(row, (await MarksAsync([row.Id]))[row.Id]);
        var current = await CurrentAsync(row.Kind);
        var at = await db.Jobs.AsNoTracking().SingleOrDefaultAsync(job => job.Id == row.JobId);
        return new()
        {
            Id = row.Id,
            Kind = row.Kind,
            Rig = row.RigId,
            RigName = await db.Means.Where(means => means.Id == row.RigId).Select(means => means.Name).SingleAsync(),
            Job = row.JobId,
            JobName = at?.Name,
            TimeZone = at is null ? null : PlaceTime.Of(at).Id,
            BegunAt = row.BegunAt,
            BegunBy = row.BegunBy,
            GivenUpAt = row.GivenUpAt,
            GivenUpBy = row.GivenUpBy,
            EditedSince = !SameSteps(row.Document, current),
            Question = question,
            Answer = SequenceQuestions.Answer(question),
        };
    }

    private SequenceQuestion QuestionOf(SequenceRunRow row, IEnumerable<StepMarkRow> said) =>
        new()
        {
            Sequence = row.Document,
            Marks = [.. Standing(said).Select(Asked)],
            Now = clock.GetUtcNow(),
        };

    private RunSummary Summary(SequenceRunRow row, IEnumerable<StepMarkRow> said)
    {
        var question = QuestionOf(row, said);
        var answer = SequenceQuestions.Answer(question);
        return new()
        {
            Id = row.Id,
            BegunAt = row.BegunAt,
            BegunBy = row.BegunBy,
            Done = question.Marks.Count,
            Of = answer.Steps.Count,
            OverAt = answer.Over ? question.Marks.Max(mark => mark.At) : null,
        };
    }

    private async Task<ILookup<Guid, StepMarkRow>> MarksAsync(Guid[] runs) =>
        (await db.StepMarks.AsNoTracking().Where(mark => runs.Contains(mark.RunId)).OrderBy(mark => mark.Number).ToListAsync()).ToLookup(
            mark => mark.RunId
        );

    // What was said last of a step counts.
    private static IEnumerable<StepMarkRow> Standing(IEnumerable<StepMarkRow> said) =>
        said.GroupBy(mark => mark.Step).Select(ofStep => ofStep.Last()).Where(mark => mark.Saying != StepSaying.TakenBack);

    private static StepMarkAsked Asked(StepMarkRow mark) =>
        new()
        {
            Step = mark.Step,
            At = mark.SaidAt,
            By = mark.SaidBy,
            SkippedBecause = mark.Saying == StepSaying.Skipped ? mark.Reason : null,
            Read = mark.Read,
        };

    private static bool SameSteps(SequenceDocument one, SequenceDocument other) =>
        one.Steps.Count == other.Steps.Count
        && one.Steps.Zip(other.Steps)
            .All(pair =>
                pair.First with { After = [] } == pair.Second with { After = [] } && pair.First.After.SequenceEqual(pair.Second.After)
            );
}
