using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Assemblies;
using Umbracell.Server.Access;
using Umbracell.Server.Jobs;
using Umbracell.Server.Problems;
using Umbracell.Server.Sheets;
using Umbracell.Server.Typing;
using Umbracell.Store;

namespace Umbracell.Server.Survey;

internal static class SurveyEndpoints
{
    /// <summary>More surfaces than any job has; keeps one job from filling the database.</summary>
    private const int MostSurfaces = 2000;

    public static void MapSurvey(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/jobs/{id:guid}/surfaces", ListAsync).WithTags("Survey").WithSummary("The surfaces of a job.").RequireAuthorization();
        app.MapPost("/api/jobs/{id:guid}/surfaces", AddAsync).WithTags("Survey").WithSummary("A new surface from typed fields.").RequireAuthorization(Claims.MayEdit);
        var one = app.MapGroup("/api/surfaces/{id:guid}").WithTags("Survey").RequireAuthorization(Claims.MayEdit);
        one.MapPatch("", ChangeAsync).WithSummary("Change typed fields of a surface.").ProducesProblem(409);
        one.MapDelete("", RemoveAsync).WithSummary("Take a surface off the job; it can be brought back.");
        one.MapPost("/restore", RestoreAsync).WithSummary("Bring back a surface that was taken off.");
    }

    private static async Task<Ok<List<SurfaceAnswer>>> ListAsync(Guid id, SurfaceReader reader)
    {
        var job = await reader.FindJobAsync(id);
        var readings = await reader.ReadingsAsync(job.Id);
        return TypedResults.Ok((await reader.SurfacesAsync(job.Id)).ConvertAll(s => SurfaceAnswers.Of(s, readings)));
    }

    private static async Task<Created<SurfaceAnswer>> AddAsync(Guid id, TypedEdit edit, SurfaceReader reader, SheetLibrary library, UmbracellDb db, TimeProvider clock)
    {
        var job = await reader.FindJobAsync(id);
        var surface = SurfaceEdits.Start(SurfaceKind.StudWall, "");
        if (!edit.Fields.ContainsKey("name"))
        {
            throw new FieldFaultsException([new("name", "empty", "")]);
        }

        SurfaceEdits.Take(edit, surface, await library.AllAsync());
        if (await db.Surfaces.CountAsync(s => s.JobId == job.Id) >= MostSurfaces)
        {
            throw new FieldFaultsException([new("name", "tooMany", surface.Name)]);
        }

        surface.JobId = job.Id;
        surface.ChangedAt = clock.GetUtcNow();
        surface.Position = 1 + (await db.Surfaces.IgnoreQueryFilters().Where(s => s.FirmId == job.FirmId && s.JobId == job.Id).MaxAsync(s => (int?)s.Position) ?? -1);
        db.Surfaces.Add(surface);
        await db.SaveChangesAsync();
        return TypedResults.Created($"/api/surfaces/{surface.Id}", SurfaceAnswers.Of(surface, await reader.ReadingsAsync(job.Id)));
    }

    private static async Task<Ok<SurfaceAnswer>> ChangeAsync(Guid id, TypedEdit edit, SurfaceReader reader, SheetLibrary library, UmbracellDb db, TimeProvider clock)
    {
        var (surface, job) = await reader.FindAsync(id);
        if (edit.Version != surface.Version)
        {
            throw new StaleEditException(SurfaceAnswers.Of(surface, await reader.ReadingsAsync(job.Id)));
        }

        SurfaceEdits.Take(edit, surface, await library.AllAsync());

        // Openings are rows of their own: the surface's row must change with them for its version to move on.
        surface.ChangedAt = clock.GetUtcNow();
        await db.SaveChangesAsync();
        return TypedResults.Ok(SurfaceAnswers.Of(surface, await reader.ReadingsAsync(job.Id)));
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
        var removed = await db.Surfaces.IgnoreQueryFilters().Include(s => s.Openings).SingleOrDefaultAsync(s => s.Id == id) ?? throw new NotFoundException("surface");
        removed.RemovedAt = null;
        await db.SaveChangesAsync();
        return TypedResults.Ok(SurfaceAnswers.Of(removed, await reader.ReadingsAsync(removed.JobId)));
    }
}
