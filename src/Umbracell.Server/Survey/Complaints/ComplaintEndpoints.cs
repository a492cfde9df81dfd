using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Assemblies;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;
using Umbracell.Server.Access;
using Umbracell.Server.Problems;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.Complaints;

/// <summary>A figure that speaks to a complaint: now, and as planned.</summary>
public sealed record SpeakingAnswer(SpeakingFigure Figure, WorkedFigure? Now, WorkedFigure? Planned);

/// <summary>A suspected surface with the figures that speak.</summary>
public sealed record SuspectAnswer(Guid SurfaceId, string Name, IReadOnlyList<SpeakingAnswer> Figures);

/// <summary>A complaint with its suspects, and the figures of the building as a whole.</summary>
public sealed record ComplaintAnswer
{
    public required Guid Id { get; init; }

    public required ComplaintKind Kind { get; init; }

    public required string Place { get; init; }

    public required string Words { get; init; }

    public required IReadOnlyList<Guid> SuspectIds { get; init; }

    public required IReadOnlyList<SuspectAnswer> Suspects { get; init; }

    public required IReadOnlyList<SpeakingAnswer> Building { get; init; }

    public required DateTimeOffset MadeAt { get; init; }

    public required uint Version { get; init; }
}

internal static class ComplaintEndpoints
{
    private static readonly string[] Fields = ["kind", "place", "words", "suspects"];

    public static void MapComplaints(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/jobs/{id:guid}/complaints", ListAsync)
            .WithTags("Complaints")
            .WithSummary("Why they called, and the figures that speak to it now and as planned.")
            .Requires(Right.Look);
        app.MapPost("/api/jobs/{id:guid}/complaints", AddAsync)
            .WithTags("Complaints")
            .WithSummary("Take down a complaint.")
            .Requires(Right.Edit);
        app.MapPatch("/api/complaints/{id:guid}", ChangeAsync)
            .WithTags("Complaints")
            .WithSummary("Change typed fields of a complaint.")
            .Requires(Right.Edit)
            .ProducesProblem(409);
        app.MapDelete("/api/complaints/{id:guid}", RemoveAsync)
            .WithTags("Complaints")
            .WithSummary("Take a complaint off.")
            .Requires(Right.Edit);
    }

    private static async Task<Ok<List<ComplaintAnswer>>> ListAsync(Guid id, SurfaceReader reader, SheetLibrary library, UmbracellDb db) =>
        TypedResults.Ok(await AllAsync(await reader.FindJobAsync(id), reader, library, db));

    private static async Task<List<ComplaintAnswer>> AllAsync(Job job, SurfaceReader reader, SheetLibrary library, UmbracellDb db)
    {
        var rows = await db.Complaints.AsNoTracking().Where(c => c.JobId == job.Id).OrderBy(c => c.MadeAt).ToListAsync();
        var surfaces = (await reader.SurfacesAsync(job.Id)).ToDictionary(s => s.Id);
        var tests = await db.FanTests.AsNoTracking().Where(t => t.JobId == job.Id).ToListAsync();
        var speaking = new ComplaintFigures(job, await SurfaceStates.OfAsync(job, reader, library, db), tests);
        return rows.ConvertAll(row => new ComplaintAnswer
        {
            Id = row.Id,
            Kind = row.Kind,
            Place = row.Place,
            Words = row.Words,
            SuspectIds = row.Suspects,
            Suspects =
            [
                .. row
                    .Suspects.Where(surfaces.ContainsKey)
                    .Select(id => new SuspectAnswer(id, surfaces[id].Name, speaking.OfSurface(row.Kind, surfaces[id]))),
            ],
            Building = speaking.OfBuilding(row.Kind),
            MadeAt = row.MadeAt,
            Version = row.Version,
        });
    }

    private static async Task<Ok<List<ComplaintAnswer>>> AddAsync(
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
            return TypedResults.Ok(await AllAsync(job, reader, library, db));
        }

        var fields = new TypedFields(edit);
        fields.Require("kind");
        var row = new ComplaintRow
        {
            Id = edit.Id ?? Guid.NewGuid(),
            JobId = job.Id,
            MadeAt = stamp.At,
        };
        await TakeAsync(fields, row, reader);
        db.Complaints.Add(row);
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AllAsync(job, reader, library, db));
    }

    private static async Task<Ok<List<ComplaintAnswer>>> ChangeAsync(
        Guid id,
        TypedEdit edit,
        SurfaceReader reader,
        SheetLibrary library,
        UmbracellDb db,
        Commands commands
    )
    {
        var row = await FindAsync(id, db);
        var job = await reader.FindJobAsync(row.JobId);
        if (!await commands.TakeAsync(edit, row))
        {
            return TypedResults.Ok(await AllAsync(job, reader, library, db));
        }

        await Seen.MustStandAsync(edit.Version, row.Version, async () => (await AllAsync(job, reader, library, db)).First(c => c.Id == id));

        await TakeAsync(new(edit), row, reader);
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AllAsync(job, reader, library, db));
    }

    private static async Task<Ok<List<ComplaintAnswer>>> RemoveAsync(Guid id, SurfaceReader reader, SheetLibrary library, UmbracellDb db)
    {
        var row = await FindAsync(id, db);
        db.Complaints.Remove(row);
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AllAsync(await reader.FindJobAsync(row.JobId), reader, library, db));
    }

    private static async Task<ComplaintRow> FindAsync(Guid id, UmbracellDb db) =>
        await db.Complaints.SingleOrDefaultAsync(c => c.Id == id) ?? throw new NotFoundException("complaint");

    private static async Task TakeAsync(TypedFields fields, ComplaintRow row, SurfaceReader reader)
    {
        fields.Choice<ComplaintKind>("kind", kind => row.Kind = kind);
        fields.Text("place", 120, required: false, text => row.Place = text);
        fields.Text("words", 500, required: false, text => row.Words = text);
        if (fields.Has("suspects"))
        {
            var known = await reader.NamesAsync(row.JobId);
            var ids = fields.Raw("suspects").Split(',', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries);
            if (ids.FirstOrDefault(id => !Guid.TryParse(id, out var guid) || !known.ContainsKey(guid)) is { } unknown)
            {
                fields.Fault(
                    new()
                    {
                        Field = "suspects",
                        Code = FaultCode.Unknown,
                        Typed = unknown,
                    }
                );
            }
            else
            {
                row.Suspects = [.. ids.Select(Guid.Parse).Distinct()];
            }
        }

        fields.ThrowIfFaulty(Fields);
    }
}
