using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Conditions;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;
using Umbracell.Server.Access;
using Umbracell.Server.Problems;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.State;

/// <summary>Something found on a surface.</summary>
public sealed record NoteAnswer
{
    public required Guid Id { get; init; }

    public required SiteNoteKind Kind { get; init; }

    public required string Words { get; init; }

    public required string Traced { get; init; }

    public required int? DaysSinceRain { get; init; }

    public required FigureAnswer? Clearance { get; init; }

    public required DateTimeOffset? MendedAt { get; init; }

    public required string MendedBy { get; init; }

    public required DateTimeOffset NotedAt { get; init; }

    public required string NotedBy { get; init; }

    public required uint Version { get; init; }
}

internal static class NoteEndpoints
{
    private static readonly string[] Fields = ["kind", "words", "traced", "daysSinceRain", "clearance", "mended"];

    public static void MapNotes(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/surfaces/{id:guid}/notes", ListAsync)
            .WithTags("State")
            .WithSummary("What was found on a surface: leaks, pests, flues, wiring and the like.")
            .Requires(Right.Look);
        app.MapPost("/api/surfaces/{id:guid}/notes", AddAsync)
            .WithTags("State")
            .WithSummary("Take down something found.")
            .Requires(Right.Edit);
        app.MapPatch("/api/notes/{id:guid}", ChangeAsync)
            .WithTags("State")
            .WithSummary("Change typed fields of a note; mended closes it.")
            .Requires(Right.Edit)
            .ProducesProblem(409);
        app.MapDelete("/api/notes/{id:guid}", RemoveAsync)
            .WithTags("State")
            .WithSummary("Take a note off that was a mistake.")
            .Requires(Right.Edit);
    }

    private static async Task<Ok<List<NoteAnswer>>> ListAsync(Guid id, SurfaceReader reader) =>
        TypedResults.Ok(All((await reader.FindAsync(id)).Surface));

    private static async Task<Ok<List<NoteAnswer>>> AddAsync(
        Guid id,
        TypedEdit edit,
        SurfaceReader reader,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock
    )
    {
        var (surface, _) = await reader.FindAsync(id);
        var stamp = Stamp.Of(user, clock, edit);
        if (!await commands.TakeAsync(edit, null, stamp))
        {
            return await ListAsync(id, reader);
        }

        var note = new SiteNoteRow
        {
            Id = edit.Id ?? Guid.NewGuid(),
            SurfaceId = surface.Id,
            NotedAt = stamp.At,
            ReceivedAt = stamp.ReceivedAt,
            NotedBy = stamp.By,
        };
        var fields = new TypedFields(edit);
        fields.Require("kind", "words");

        Take(fields, note, stamp);
        db.SiteNotes.Add(note);
        surface.ChangedAt = stamp.ReceivedAt;
        await db.SaveChangesAsync();
        return TypedResults.Ok(All((await reader.FindAsync(id)).Surface));
    }

    private static async Task<Ok<List<NoteAnswer>>> ChangeAsync(
        Guid id,
        TypedEdit edit,
        SurfaceReader reader,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock
    )
    {
        var note = await FindAsync(id, db);
        var (surface, _) = await reader.FindAsync(note.SurfaceId);
        var stamp = Stamp.Of(user, clock, edit);
        if (await commands.TakeAsync(edit, note, stamp))
        {
            Seen.MustStand(edit.Version, note.Version, () => All(surface));

            Take(new(edit), note, stamp);
            surface.ChangedAt = stamp.ReceivedAt;
            await db.SaveChangesAsync();
        }

        return TypedResults.Ok(All(surface));
    }

    private static async Task<Ok<List<NoteAnswer>>> RemoveAsync(Guid id, SurfaceReader reader, UmbracellDb db, TimeProvider clock)
    {
        var note = await FindAsync(id, db);
        var (surface, _) = await reader.FindAsync(note.SurfaceId);
        db.SiteNotes.Remove(note);
        surface.ChangedAt = clock.GetUtcNow();
        await db.SaveChangesAsync();
        surface.Notes.Remove(note);
        return TypedResults.Ok(All(surface));
    }

    private static async Task<SiteNoteRow> FindAsync(Guid id, UmbracellDb db) =>
        await db.SiteNotes.SingleOrDefaultAsync(n => n.Id == id) ?? throw new NotFoundException("note");

    private static void Take(TypedFields fields, SiteNoteRow note, Stamp stamp)
    {
        fields.Choice<SiteNoteKind>("kind", kind => note.Kind = kind);
        fields.Text("words", 500, required: true, text => note.Words = text);
        fields.Text("traced", 500, required: false, text => note.Traced = text);
        fields.QuantityOrBlank("daysSinceRain", FieldRanges.Days, days => note.DaysSinceRain = days is { } d ? (int)Math.Round(d) : null);
        fields.QuantityOrBlank("clearance", FieldRanges.Clearance, si => note.ClearanceM = si);
        fields.YesNo("mended", yes => (note.MendedAt, note.MendedBy) = stamp.Where(yes));
        fields.ThrowIfFaulty(Fields);
    }

    private static List<NoteAnswer> All(Surface surface) =>
        [
            .. surface
                .Notes.OrderBy(n => n.MendedAt is not null)
                .ThenBy(n => n.Kind)
                .ThenBy(n => n.NotedAt)
                .Select(n => new NoteAnswer
                {
                    Id = n.Id,
                    Kind = n.Kind,
                    Words = n.Words,
                    Traced = n.Traced,
                    DaysSinceRain = n.DaysSinceRain,
                    Clearance = n.ClearanceM is { } m ? FigureAnswer.Of(new(m, Dimension.Thickness)) : null,
                    MendedAt = n.MendedAt,
                    MendedBy = n.MendedBy,
                    NotedAt = n.NotedAt,
                    NotedBy = n.NotedBy,
                    Version = n.Version,
                }),
        ];
}
