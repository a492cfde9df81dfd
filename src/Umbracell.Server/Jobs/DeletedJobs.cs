using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Server.Access;
using Umbracell.Server.Problems;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Jobs;

/// <summary>A deleted job.</summary>
/// <param name="Id">The job.</param>
/// <param name="Name">Its name.</param>
/// <param name="Surfaces">How many surfaces it holds.</param>
/// <param name="DeletedAt">When it was deleted.</param>
/// <param name="DeletedBy">Who did, by their title.</param>
public sealed record DeletedJob(Guid Id, string Name, int Surfaces, DateTimeOffset DeletedAt, string DeletedBy);

/// <summary>Deleting a job puts it out of sight with all it holds; it can be restored until an owner removes it for good.</summary>
internal static class DeletedJobEndpoints
{
    public static void MapDeletedJobs(this IEndpointRouteBuilder app)
    {
        var jobs = app.MapGroup("/api/jobs").WithTags("Jobs").Requires(Right.Look);
        jobs.MapDelete("/{id:guid}", DeleteAsync)
            .WithSummary("Delete a job; it can be restored. Deleted again, it stays so.")
            .Requires(Right.Edit)
            .ProducesProblem(404);
        jobs.MapGet("/deleted", ListAsync).WithSummary("Deleted jobs, the latest first.");
        jobs.MapPost("/{id:guid}/restore", RestoreAsync)
            .WithSummary("Restore a deleted job as it was.")
            .Requires(Right.Edit)
            .ProducesProblem(404);
        jobs.MapDelete("/deleted/{id:guid}", RemoveForGoodAsync)
            .WithSummary("Remove a deleted job and everything it holds for good.")
            .Requires(Right.Manage)
            .ProducesProblem(404);
    }

    private static async Task<Ok<List<DeletedJob>>> ListAsync(UmbracellDb db) =>
        TypedResults.Ok(
            await db
                .Jobs.Deleted()
                .OrderByDescending(job => job.DeletedAt)
                .Select(job => new DeletedJob(job.Id, job.Name, job.Surfaces.Count, job.DeletedAt!.Value, job.DeletedBy))
                .ToListAsync()
        );

    private static async Task<NoContent> DeleteAsync(
        Guid id,
        UmbracellDb db,
        ClaimsPrincipal person,
        HttpContext context,
        TimeProvider clock
    )
    {
        var job = await FindAsync(id, db);
        if (job.DeletedAt is null)
        {
            (job.DeletedAt, job.DeletedBy) = (clock.GetUtcNow(), Claims.TitleOf(person));
            await db.SaveChangesAsync();
        }

        SecurityBook.About(context, job.Name);
        return TypedResults.NoContent();
    }

    private static async Task<NoContent> RestoreAsync(Guid id, UmbracellDb db)
    {
        var job = await FindAsync(id, db);
        (job.DeletedAt, job.DeletedBy) = (null, "");
        await db.SaveChangesAsync();
        return TypedResults.NoContent();
    }

    private static async Task<NoContent> RemoveForGoodAsync(Guid id, UmbracellDb db, HttpContext context)
    {
        var name = await db.Jobs.Deleted().Where(job => job.Id == id).Select(job => job.Name).SingleOrDefaultAsync();
        if (name is null || !await db.RemoveForGoodAsync(id))
        {
            throw new NotFoundException("deleted job");
        }

        SecurityBook.About(context, name);
        return TypedResults.NoContent();
    }

    private static async Task<Job> FindAsync(Guid id, UmbracellDb db) =>
        await db.Jobs.WithDeleted().SingleOrDefaultAsync(job => job.Id == id) ?? throw new NotFoundException("job");
}
