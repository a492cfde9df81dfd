using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Server.Access;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store;

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

    private static async Task<Ok<SprayOfSurface>> LogAsync(
        Guid id,
        TypedEdit edit,
        SurfaceReader surfaces,
        SprayReader reader,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock
    )
    {
        var (surface, job) = await surfaces.FindAsync(id);
        var stamp = Stamp.Of(user, clock, edit);
        if (await commands.TakeAsync(edit, null, stamp))
        {
            var log = await db
                .SprayLog.AsNoTracking()
                .Where(row => row.JobId == job.Id && (row.SurfaceId == null || row.SurfaceId == id))
                .Select(row => row.Document)
                .ToListAsync();
            var entry = new LogFields(edit, job, stamp).Read(log);

            // The same entry under another command is the same entry.
            if (!await db.SprayLog.AnyAsync(row => row.Id == entry.Id))
            {
                db.SprayLog.Add(
                    new()
                    {
                        Id = entry.Id,
                        JobId = job.Id,
                        SurfaceId = LogFields.IsOfJob(entry.Kind) || IsOfJob(entry.Replaces, log) ? null : surface.Id,
                        Document = entry,
                        ReceivedAt = stamp.ReceivedAt,
                    }
                );
            }

            await db.SaveChangesAsync();
        }

        return TypedResults.Ok(await reader.OfAsync(surface, job));
    }

    // What withdraws an entry of the whole job is of the whole job too.
    private static bool IsOfJob(Guid? replaces, List<Documents.LogEntryDocument> log) =>
        replaces is { } id && log.Find(one => one.Id == id) is { } replaced && LogFields.IsOfJob(replaced.Kind);
}
