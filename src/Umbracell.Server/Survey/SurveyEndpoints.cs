using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Assemblies;
using Umbracell.Questions.Answers;
using Umbracell.Server.Access;
using Umbracell.Server.Problems;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey;

internal static class SurveyEndpoints
{
    /// <summary>More surfaces than any job has; keeps one job from filling the database.</summary>
    public const int MostSurfaces = 5000;

    public static void MapSurvey(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/jobs/{id:guid}/surfaces", ListAsync).WithTags("Survey").WithSummary("The surfaces of a job.").Requires(Right.Look);
        app.MapPost("/api/jobs/{id:guid}/surfaces", AddAsync)
            .WithTags("Survey")
            .WithSummary("A new surface from typed fields.")
            .Requires(Right.Edit);
        var one = app.MapGroup("/api/surfaces/{id:guid}").WithTags("Survey").Requires(Right.Edit);
        one.MapPatch("", ChangeAsync).WithSummary("Change typed fields of a surface.").ProducesProblem(409);
        one.MapPatch("/thickness", MoveFaceAsync).WithSummary("Move the face of a surface's foam.").ProducesProblem(409);
        one.MapDelete("", RemoveAsync).WithSummary("Take a surface off the job; it can be brought back.");
        one.MapPost("/restore", RestoreAsync).WithSummary("Bring back a surface that was taken off.");
        one.MapPost("/split", SplitAsync).WithSummary("Cut a surface in two where depth or system changes.").ProducesProblem(409);
        app.MapGet("/api/surfaces/{id:guid}/sketch", SketchAsync)
            .WithTags("Survey")
            .WithSummary("A surface drawn from its numbers, to scale.")
            .Requires(Right.Look);
    }

    private static async Task<Ok<List<SurfaceAnswer>>> ListAsync(Guid id, SurfaceReader reader)
    {
        var job = await reader.FindJobAsync(id);
        var records = await reader.RecordsAsync(job.Id);
        var surfaces = await reader.SurfacesAsync(job.Id);
        var names = surfaces.ToDictionary(s => s.Id, s => s.Name);
        return TypedResults.Ok(surfaces.ConvertAll(s => SurfaceAnswers.Of(s, records, id => names.GetValueOrDefault(id, ""))));
    }

    private static async Task<Created<SurfaceAnswer>> AddAsync(
        Guid id,
        TypedEdit edit,
        SurfaceReader reader,
        SheetLibrary library,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock
    )
    {
        var job = await reader.FindJobAsync(id);
        var stamp = Stamp.Of(user, clock, edit);
        if (!await commands.TakeAsync(edit, null, stamp))
        {
            var (first, _) = await reader.FindAsync(edit.Id!.Value);
            return TypedResults.Created($"/api/surfaces/{first.Id}", await AnswerAsync(first, reader));
        }

        var surface = SurfaceStart.Of(SurfaceKind.StudWall, "");
        if (!edit.Fields.ContainsKey("name"))
        {
            throw FieldFaultsException.Of("name", FaultCode.Empty);
        }

        surface.Id = edit.Id ?? surface.Id;
        SurfaceEdits.Take(edit, surface, await SurveyChoices.OfAsync(job.Id, library, db), stamp);
        await MarkSameNameAsync(edit, surface, job.Id, reader);
        await AppendAsync([surface], job, db, clock);
        await db.SaveChangesAsync();
        return TypedResults.Created($"/api/surfaces/{surface.Id}", await AnswerAsync(surface, reader));
    }

    /// <summary>Puts surfaces at the end of a job; nothing is saved yet.</summary>
    public static async Task AppendAsync(IReadOnlyList<Surface> surfaces, Job job, UmbracellDb db, TimeProvider clock)
    {
        if (await db.Surfaces.CountAsync(s => s.JobId == job.Id) + surfaces.Count > MostSurfaces)
        {
            throw FieldFaultsException.Of("name", FaultCode.TooMany, surfaces[0].Name);
        }

        var next =
            1
            + (
                await db
                    .Surfaces.IgnoreQueryFilters()
                    .Where(s => s.FirmId == job.FirmId && s.JobId == job.Id)
                    .MaxAsync(s => (int?)s.Position)
                ?? -1
            );
        foreach (var surface in surfaces)
        {
            (surface.JobId, surface.ChangedAt, surface.Position) = (job.Id, clock.GetUtcNow(), next++);
        }

        db.Surfaces.AddRange(surfaces);
    }

    private static async Task<Ok<SurfaceAnswer>> ChangeAsync(
        Guid id,
        TypedEdit edit,
        SurfaceReader reader,
        SheetLibrary library,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock
    )
    {
        var (surface, job) = await reader.FindAsync(id);
        var stamp = Stamp.Of(user, clock, edit);
        if (!await commands.TakeAsync(edit, surface, stamp))
        {
            return TypedResults.Ok(await AnswerAsync(surface, reader));
        }

        await CheckVersionAsync(edit.Version, surface, reader);
        SurfaceEdits.Take(edit, surface, await SurveyChoices.OfAsync(job.Id, library, db), stamp);

        await MarkSameNameAsync(edit, surface, job.Id, reader);

        // Openings and notes are rows of their own: the surface's row must change with them for its version to move on.
        surface.ChangedAt = clock.GetUtcNow();
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AnswerAsync(surface, reader));
    }

    // A hand that moves the drawn face gives a number: nothing is read from text.
    private static async Task<Ok<SurfaceAnswer>> MoveFaceAsync(
        Guid id,
        FaceMoved moved,
        SurfaceReader reader,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock
    )
    {
        var (surface, _) = await reader.FindAsync(id);
        if (await commands.TakeAsync(moved, surface, Stamp.Of(user, clock, moved)))
        {
            await CheckVersionAsync(moved.Version, surface, reader);
            (surface.FoamThicknessM, surface.ChangedAt) = (moved.ThicknessMm / 1000, clock.GetUtcNow());
            await db.SaveChangesAsync();
        }

        return TypedResults.Ok(await AnswerAsync(surface, reader));
    }

    private static async Task<NoContent> RemoveAsync(Guid id, SurfaceReader reader, UmbracellDb db, TimeProvider clock)
    {
        var (surface, _) = await reader.FindAsync(id);
        surface.RemovedAt = clock.GetUtcNow();
        await db.SaveChangesAsync();
        return TypedResults.NoContent();
    }

    private static async Task<Ok<SurfaceAnswer>> RestoreAsync(Guid id, SurfaceReader reader, UmbracellDb db)
    {
        // Without the filter that hides removed surfaces; the row policies still keep other firms' out.
        var removed =
            await db
                .Surfaces.IgnoreQueryFilters()
                .Include(s => s.Openings)
                .Include(s => s.Notes)
                .AsSplitQuery()
                .SingleOrDefaultAsync(s => s.Id == id)
            ?? throw new NotFoundException("surface");
        removed.RemovedAt = null;
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AnswerAsync(removed, reader));
    }

    private static async Task<Ok<SurfaceAnswer>> SplitAsync(
        Guid id,
        TypedEdit edit,
        SurfaceReader reader,
        UmbracellDb db,
        Commands commands,
        TimeProvider clock
    )
    {
        var (surface, job) = await reader.FindAsync(id);
        if (!await commands.TakeAsync(edit, null))
        {
            var (first, _) = await reader.FindAsync(edit.Id!.Value);
            return TypedResults.Ok(await AnswerAsync(first, reader));
        }

        await CheckVersionAsync(edit.Version, surface, reader);
        var second = SurfaceSplit.Take(edit, surface);
        second.Id = edit.Id ?? second.Id;
        await AppendAsync([second], job, db, clock);
        surface.ChangedAt = clock.GetUtcNow();
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AnswerAsync(second, reader));
    }

    private static async Task<Results<Ok<SketchAnswer>, NoContent>> SketchAsync(Guid id, SurfaceReader reader)
    {
        var (surface, _) = await reader.FindAsync(id);
        if (!surface.HasSize)
        {
            return TypedResults.NoContent();
        }

        return TypedResults.Ok(SketchAnswer.Of(SurfaceReader.SketchOf(surface)));
    }

    // Two surfaces may share a name; lists, joints and papers then cannot tell them apart.
    private static async Task MarkSameNameAsync(TypedEdit edit, Surface surface, Guid job, SurfaceReader reader)
    {
        if (
            edit.Fields.ContainsKey("name")
            && (await reader.NamesAsync(job)).Any(other =>
                other.Key != surface.Id && other.Value.Equals(surface.Name, StringComparison.OrdinalIgnoreCase)
            )
        )
        {
            edit.Doubts.Add(FieldDoubt.SameName);
        }
    }

    private static async Task CheckVersionAsync(uint? seen, Surface surface, SurfaceReader reader)
    {
        if (seen != surface.Version)
        {
            throw new StaleEditException(await AnswerAsync(surface, reader));
        }
    }

    private static async Task<SurfaceAnswer> AnswerAsync(Surface surface, SurfaceReader reader)
    {
        var names = await reader.NamesAsync(surface.JobId);
        return SurfaceAnswers.Of(surface, await reader.RecordsAsync(surface.JobId, [surface.Id]), id => names.GetValueOrDefault(id, ""));
    }
}
