using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Umbracell.Server.Access;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;

namespace Umbracell.Server.Spray;

/// <summary>The spray log of a surface.</summary>
internal static class SprayEndpoints
{
    public static void MapSpray(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/surfaces/{id:guid}/spray", OfSurfaceAsync)
            .WithTags("Spray")
            .WithSummary("The log of a surface, how far it is, and when the next lift can go on.")
            .Requires(Right.Look);
        app.MapGet("/api/jobs/{id:guid}/spray", OfJobAsync)
            .WithTags("Spray")
            .WithSummary("How the material of a job lasts, what was done against what was planned, and what it cost for those who price.")
            .Requires(Right.Look);
        app.MapPost("/api/surfaces/{id:guid}/spray-log", LogAsync)
            .WithTags("Spray")
            .WithSummary("Log what happened. Nothing is overwritten: a correction names the entry it replaces.")
            .Requires(Right.Record);
    }

    private static async Task<Ok<SprayOfSurface>> OfSurfaceAsync(Guid id, SurfaceReader surfaces, SprayReader reader)
    {
        var (surface, job) = await surfaces.FindAsync(id);
        return TypedResults.Ok(await reader.OfAsync(surface, job));
    }

    private static async Task<Ok<JobSpray>> OfJobAsync(Guid id, JobSprayReader reader, ClaimsPrincipal person) =>
        TypedResults.Ok(await reader.OfAsync(id, person));

    private static async Task<Ok<SprayOfSurface>> LogAsync(
        Guid id,
        TypedEdit edit,
        SurfaceReader surfaces,
        SprayReader reader,
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
