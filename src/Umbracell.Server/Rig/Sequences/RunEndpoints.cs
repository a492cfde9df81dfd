using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Rigs.Sequences;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Rig;
using Umbracell.Server.Access;
using Umbracell.Server.Problems;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Rig.Sequences;

/// <summary>Sequences that are run: begun, said of, given up.</summary>
internal static class RunEndpoints
{
    private const int MostRuns = 100_000;

    public static void MapRuns(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/rigs/{id:guid}/sequences", OfRigAsync)
            .WithTags("Sequences")
            .WithSummary("What was last run of each kind of sequence.")
            .Requires(Right.Look);
        app.MapPost("/api/rigs/{id:guid}/sequence-runs", BeginAsync)
            .WithTags("Sequences")
            .WithSummary("Begin a sequence; one of its kind that is not over yet is gone on with.")
            .Requires(Right.Record);
        var runs = app.MapGroup("/api/sequence-runs/{id:guid}").WithTags("Sequences").Requires(Right.Look);
        runs.MapGet("", async (Guid id, SequenceReader reader) => TypedResults.Ok(await reader.ToldAsync(await reader.FindAsync(id))))
            .WithSummary("A sequence that is run, with what was said of its steps.");
        runs.MapPost("/marks", MarkAsync)
            .WithSummary("Say of a step that it was done, what was read at it, why it was skipped, or take that back: a field by its id.")
            .Requires(Right.Record);
        runs.MapPost("/end", GiveUpAsync).WithSummary("Give a sequence up; what was said of it stays.").Requires(Right.Record);
        app.MapPost("/api/compute/sequence", (SequenceQuestion question) => TypedResults.Ok(SequenceQuestions.Answer(question)))
            .WithTags("Compute")
            .WithSummary("How far a sequence is: what can be done now, what waits for what, and how long.")
            .Requires(Right.Look);
    }

    private static async Task<Ok<List<RigSequence>>> OfRigAsync(Guid id, SequenceReader reader, UmbracellDb db, Guid? job = null)
    {
        await MustBeAsync(id, job, db);
        return TypedResults.Ok(await reader.OfRigAsync(id, job));
    }

    private static async Task<Ok<RunAnswer>> BeginAsync(
        Guid id,
        TypedEdit edit,
        SequenceReader reader,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock
    )
    {
        var (kind, job) = (default(SequenceKind), default(Guid?));
        var fields = new TypedFields(edit);
        fields.Require("kind");
        fields.Choice<SequenceKind>("kind", one => kind = one);
        fields.Id("job", _ => true, one => job = one);
        fields.ThrowIfFaulty("kind", "job");
        await MustBeAsync(id, job, db);
        var stamp = Stamp.Of(user, clock, edit);

        // Counted before anything is read: two who begin it at the same moment make the same one, and who comes second then finds it.
        var before = await db.SequenceRuns.CountAsync(run => run.RigId == id && run.Kind == kind);
        if (await commands.TakeAsync(edit, null, stamp) && await reader.OpenAsync(kind, id, job) is null)
        {
            db.SequenceRuns.Add(
                new()
                {
                    Id = MadeIds.Of(id, (int)kind * MostRuns + before),
                    RigId = id,
                    JobId = job,
                    Kind = kind,
                    Document = await reader.CurrentAsync(kind),
                    BegunAt = stamp.At,
                    BegunBy = stamp.By,
                }
            );
            await db.SaveChangesAsync();
        }

        var last = (await reader.OfRigAsync(id, job)).Find(one => one.Kind == kind)!.Last;
        return TypedResults.Ok(await reader.ToldAsync(await reader.FindAsync(last?.Id ?? throw new NotFoundException("sequence"))));
    }

    private static async Task<Ok<RunAnswer>> MarkAsync(
        Guid id,
        TypedEdit edit,
        SequenceReader reader,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock
    )
    {
        var row = await reader.FindAsync(id);
        var stamp = Stamp.Of(user, clock, edit);
        if (await commands.TakeAsync(edit, null, stamp))
        {
            if (row.GivenUpAt is not null)
            {
                throw FieldFaultsException.Of(edit.Fields.Keys.FirstOrDefault("step"), FaultCode.RunGivenUp);
            }

            // Counted before anything is read: who comes second then meets the first, and reads again.
            var number = await db.StepMarks.Where(mark => mark.RunId == id).MaxAsync(mark => (int?)mark.Number) ?? 0;
            var run = await reader.RunOfAsync(row);
            var fields = new TypedFields(edit);
            var sayings = new StepSayings(run, fields, stamp);
            foreach (var step in edit.Fields.Keys)
            {
                if (sayings.Read(step) is { } said)
                {
                    (said.RunId, said.Number) = (id, ++number);
                    db.StepMarks.Add(said);
                }
            }

            fields.ThrowIfFaulty([.. edit.Fields.Keys]);
            await db.SaveChangesAsync();
        }

        return TypedResults.Ok(await reader.ToldAsync(row));
    }

    private static async Task<Ok<RunAnswer>> GiveUpAsync(
        Guid id,
        TypedEdit edit,
        SequenceReader reader,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock
    )
    {
        var row = await reader.FindAsync(id);
        var stamp = Stamp.Of(user, clock, edit);
        if (await commands.TakeAsync(edit, null, stamp) && row.GivenUpAt is null)
        {
            (row.GivenUpAt, row.GivenUpBy) = (stamp.At, stamp.By);
            await db.SaveChangesAsync();
        }

        return TypedResults.Ok(await reader.ToldAsync(row));
    }

    private static async Task MustBeAsync(Guid rig, Guid? job, UmbracellDb db)
    {
        if (!await db.Means.AnyAsync(means => means.Id == rig && means.Kind == MeansKind.Rig))
        {
            throw new NotFoundException("rig");
        }

        if (job is { } at && !await db.Jobs.AnyAsync(one => one.Id == at))
        {
            throw new NotFoundException("job");
        }
    }
}
