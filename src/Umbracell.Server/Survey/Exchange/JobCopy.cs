using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Documents;
using Umbracell.Formats.JobFiles;
using Umbracell.Formats.Words;
using Umbracell.Server.Access;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store;

namespace Umbracell.Server.Survey.Exchange;

/// <summary>A job over again, for the same building next door: what is planned, and nothing that was measured, found, ticked, overridden
/// or offered.</summary>
internal static class JobCopy
{
    private const int LongestName = 200;

    public static void MapJobCopy(this IEndpointRouteBuilder app) =>
        app.MapPost("/api/jobs/{id:guid}/copy", CopyAsync)
            .WithTags("Jobs")
            .WithSummary("A new job with the surfaces, joints and choices of this one, without what was measured or offered.")
            .Requires(Right.Edit)
            .ProducesProblem(404);

    private static async Task<Created<BroughtIn>> CopyAsync(
        Guid id,
        SurfaceReader reader,
        UmbracellDb db,
        SheetEditions editions,
        Commands commands,
        ClaimsPrincipal person,
        TimeProvider clock,
        Guid? command = null
    )
    {
        if (!await commands.TakeAsync(new SentAlone(command), null))
        {
            var first = await reader.FindJobAsync(command!.Value);
            return Made(new(first.Id, first.Name, await db.Surfaces.CountAsync(s => s.JobId == first.Id)));
        }

        var file = Planned(await JobFiling.PlanAsync(await reader.FindJobAsync(id), reader, db));
        var job = await JobFiling.InAsync(file, db, editions, command ?? Guid.NewGuid(), Stamp.Of(person, clock));
        return Made(new(job.Id, job.Name, file.Surfaces.Count));
    }

    private static Created<BroughtIn> Made(BroughtIn job) => TypedResults.Created($"/api/jobs/{job.Id}", job);

    /// <summary>What of a filed job is a plan.</summary>
    internal static JobFile Planned(JobFile file) =>
        file with
        {
            Job = file.Job with
            {
                Name = NameOf(file.Job.Name),
                State = JobState.Estimate,
                Pricing = file.Job.Pricing is { } pricing ? pricing with { WorkDate = null } : null,
            },
            Surfaces = [.. file.Surfaces.Select(Planned)],
            Joints = [.. file.Joints.Select(joint => joint with { Ready = false, SeenBy = "", SeenAt = null })],
        };

    // Who set a rule aside looked at another building.
    private static FiledSurface Planned(FiledSurface surface) =>
        surface with
        {
            Notes = [],
            System = surface.System is { } system ? system with { Overrides = [], Reason = "" } : null,
        };

    private static string NameOf(string name)
    {
        var copy = WordCatalog.Say("jobs.copyOf", ("name", name));
        return copy.Length <= LongestName ? copy : copy[..LongestName];
    }
}
