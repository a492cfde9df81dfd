using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Umbracell.Server.Access;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;

namespace Umbracell.Server.Prove;

/// <summary>The proof of a surface, and the re-entry of a job.</summary>
internal static class ProveEndpoints
{
    public static void MapProve(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/surfaces/{id:guid}/proof", OfSurfaceAsync)
            .WithTags("Prove")
            .WithSummary("Depths, samples, inspection, joints and defects of a surface.")
            .Requires(Right.Look);
        app.MapPost("/api/surfaces/{id:guid}/proof-log", LogAsync)
            .WithTags("Prove")
            .WithSummary("Log what was read, sampled, seen, signed, found or repaired. It goes into the log of the surface.")
            .Requires(Right.Record);
        app.MapGet("/api/jobs/{id:guid}/tightness", TightnessAsync)
            .WithTags("Prove")
            .WithSummary("The fan test after the work against the one before, and against the edition's greatest.")
            .Requires(Right.Look);
        app.MapGet("/api/jobs/{id:guid}/re-entry", ReEntryAsync)
            .WithTags("Prove")
            .WithSummary("When people without protection come back, by the log, the sheet and the ventilation.")
            .Requires(Right.Look);
    }

    private static async Task<Ok<TightnessOfJob>> TightnessAsync(Guid id, SurfaceReader surfaces, TightnessReader reader) =>
        TypedResults.Ok(await reader.OfAsync(await surfaces.FindJobAsync(id)));

    private static async Task<Ok<ProofOfSurface>> OfSurfaceAsync(Guid id, SurfaceReader surfaces, ProofReader reader)
    {
        var (surface, job) = await surfaces.FindAsync(id);
        return TypedResults.Ok(await reader.OfAsync(surface, job));
    }

    private static async Task<Ok<ReEntryOfJob>> ReEntryAsync(Guid id, SurfaceReader surfaces, ProofReader reader) =>
        TypedResults.Ok(await reader.ReEntryOfAsync(await surfaces.FindJobAsync(id)));

    private static async Task<Ok<ProofOfSurface>> LogAsync(
        Guid id,
        TypedEdit edit,
        SurfaceReader surfaces,
        ProofReader reader,
        LogBook book,
        ClaimsPrincipal user,
        TimeProvider clock
    )
    {
        var (surface, job) = await surfaces.FindAsync(id);
        await book.TakeAsync(edit, surface, job, Stamp.Of(user, clock, edit));
        return TypedResults.Ok(await reader.OfAsync(surface, job));
    }
}
