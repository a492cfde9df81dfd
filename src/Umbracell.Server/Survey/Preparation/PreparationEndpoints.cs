using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;
using Umbracell.Core.Planning;
using Umbracell.Questions.Answers;
using Umbracell.Server.Access;
using Umbracell.Server.Places;
using Umbracell.Server.Problems;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey;

/// <summary>The preparation list of one surface.</summary>
public sealed record PreparationOfSurface(Guid SurfaceId, string Name, SurfaceKind Kind, IReadOnlyList<PreparationTaskAnswer> Tasks);

/// <summary>The preparation list of a job: what is done once, then surface by surface.</summary>
public sealed record PreparationAnswer(IReadOnlyList<PreparationTaskAnswer> ForJob, IReadOnlyList<PreparationOfSurface> Surfaces);

internal static class PreparationEndpoints
{
    private static readonly string[] Fields = ["done", "assignedTo", "dueOn"];

    public static void MapPreparation(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/jobs/{id:guid}/preparation", OfJobAsync)
            .WithTags("Preparation")
            .WithSummary("Who does what before the crew comes.")
            .Requires(Right.Look);
        app.MapPatch("/api/surfaces/{id:guid}/preparation/{item}", OfSurfaceAsync)
            .WithTags("Preparation")
            .WithSummary("Tick, assign or date an item of a surface.")
            .Requires(Right.Record)
            .ProducesProblem(409);
        app.MapPatch("/api/jobs/{id:guid}/preparation/{item}", OnceAsync)
            .WithTags("Preparation")
            .WithSummary("Tick, assign or date an item done once for the job.")
            .Requires(Right.Record)
            .ProducesProblem(409);
    }

    private static async Task<Ok<PreparationAnswer>> OfJobAsync(Guid id, SurfaceReader reader) =>
        TypedResults.Ok(await AnswerAsync((await reader.FindJobAsync(id)).Id, reader));

    private static async Task<PreparationAnswer> AnswerAsync(Guid job, SurfaceReader reader)
    {
        var records = await reader.RecordsAsync(job);
        var lists = (await reader.SurfacesAsync(job)).ConvertAll(s => new PreparationOfSurface(
            s.Id,
            s.Name,
            s.Kind,
            PreparationAnswers.Of(s, records)
        ));
        return new(
            lists.Count > 0 ? [.. lists[0].Tasks.Where(t => t.ForJob)] : [],
            lists.ConvertAll(list => list with { Tasks = [.. list.Tasks.Where(t => !t.ForJob)] })
        );
    }

    private static async Task<Ok<PreparationAnswer>> OfSurfaceAsync(
        Guid id,
        string item,
        TypedEdit edit,
        SurfaceReader reader,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock
    )
    {
        OnlyTicks(edit, user);
        var (surface, job) = await reader.FindAsync(id);
        var wanted = Known(item, PreparationAnswers.List(surface).Where(task => !task.ForJob).Select(task => task.Item));
        var stamp = Stamp.Of(user, clock, edit);
        if (await commands.TakeAsync(edit, null, stamp))
        {
            await MarkAsync(job, surface.Id, wanted, edit, db, reader, stamp);
        }

        return TypedResults.Ok(await AnswerAsync(job.Id, reader));
    }

    private static async Task<Ok<PreparationAnswer>> OnceAsync(
        Guid id,
        string item,
        TypedEdit edit,
        SurfaceReader reader,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock
    )
    {
        OnlyTicks(edit, user);
        var job = await reader.FindJobAsync(id);
        var stamp = Stamp.Of(user, clock, edit);
        if (await commands.TakeAsync(edit, null, stamp))
        {
            await MarkAsync(job, null, Known(item, PreparationList.OncePerJob), edit, db, reader, stamp);
        }

        return TypedResults.Ok(await AnswerAsync(job.Id, reader));
    }

    // A tick stands at its own time, whatever was assigned meanwhile.
    private static bool IsTick(TypedEdit edit) => edit.Fields.Keys.All(field => field == "done");

    // Who does what by when is for those who plan; whoever is on site ticks it off.
    private static void OnlyTicks(TypedEdit edit, ClaimsPrincipal user)
    {
        if (!user.May(Right.Edit) && !IsTick(edit))
        {
            throw new NotAllowedException();
        }
    }

    // What is not on the list cannot be ticked.
    private static PreparationItem Known(string item, IEnumerable<PreparationItem> list) =>
        Enum.TryParse<PreparationItem>(item, ignoreCase: true, out var wanted) && list.Contains(wanted)
            ? wanted
            : throw FieldFaultsException.Of("item", FaultCode.Unknown, item);

    private static async Task MarkAsync(
        Job job,
        Guid? surface,
        PreparationItem item,
        TypedEdit edit,
        UmbracellDb db,
        SurfaceReader reader,
        Stamp stamp
    )
    {
        var mark = await db.Preparation.SingleOrDefaultAsync(p => p.JobId == job.Id && p.SurfaceId == surface && p.Item == item);
        if (mark is null)
        {
            mark = new()
            {
                Id = Guid.NewGuid(),
                JobId = job.Id,
                SurfaceId = surface,
                Item = item,
            };
            db.Preparation.Add(mark);
        }
        else if (!IsTick(edit))
        {
            await Seen.MustStandAsync(edit.Version, mark.Version, () => AnswerAsync(job.Id, reader));
        }

        var fields = new TypedFields(edit);
        fields.YesNo("done", yes => Tick(mark, yes, stamp));
        fields.Text("assignedTo", 120, required: false, text => mark.AssignedTo = text);
        fields.DateToCome("dueOn", PlaceTime.Day(job, stamp.At), date => mark.DueOn = date);
        fields.ThrowIfFaulty(Fields);
        await db.SaveChangesAsync();
    }

    // Ticks of two people may arrive in another order than they were made: the later one stands.
    private static void Tick(PreparationRow mark, bool? done, Stamp stamp)
    {
        if (mark.TickedAt is { } newer && newer > stamp.At)
        {
            return;
        }

        mark.TickedAt = stamp.At;
        (mark.DoneAt, mark.DoneBy) = stamp.Where(done);
    }
}
