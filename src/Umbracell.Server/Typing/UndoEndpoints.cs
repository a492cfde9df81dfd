using System.Security.Claims;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Server.Access;
using Umbracell.Server.Problems;
using Umbracell.Store;
using Umbracell.Store.Model;
using Umbracell.Store.Undo;

namespace Umbracell.Server.Typing;

/// <summary>Takes an edit back. That is a command like any other: taken back itself, it makes the edit again.</summary>
/// <param name="Id">Made where it was asked for.</param>
/// <param name="At">When it was asked for; null for now.</param>
public sealed record TakingBack(Guid? Id = null, DateTimeOffset? At = null) : ICommand;

/// <summary>What became of the record.</summary>
/// <param name="RecordId">The record.</param>
/// <param name="Version">Its version now; null where the record has none.</param>
public sealed record TakenBack(Guid RecordId, uint? Version);

internal static class UndoEndpoints
{
    /// <summary>Longer than anybody leaves a page open.</summary>
    private static readonly TimeSpan Lasts = TimeSpan.FromDays(2);

    public static void MapUndo(this IEndpointRouteBuilder app) =>
        app.MapPost("/api/commands/{id:guid}/undo", TakeBackAsync)
            .WithTags("Undo")
            .WithSummary("Take an edit of one's own back: what it changed is as it was before, as long as nobody has changed it since.")
            .Requires(Right.Record)
            .ProducesProblem(404)
            .ProducesProblem(409);

    private static async Task<Ok<TakenBack>> TakeBackAsync(
        Guid id,
        TakingBack back,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal person,
        IAuthorizationService rights,
        TimeProvider clock
    )
    {
        var edit = await FindAsync(id, db, person, rights, clock);
        var record = await RecordAsync(edit, db) ?? throw new ChangedSinceException();

        // Taken back itself it makes the edit again: that takes no less than the edit took.
        if (await commands.TakeAsync(back, record, policy: edit.Policy))
        {
            if (!RecordState.TryPutBack(db, record, edit.Changed!))
            {
                throw new ChangedSinceException();
            }

            Touch(record, clock);
            await SaveAsync(db);
        }

        return TypedResults.Ok(new TakenBack(edit.RecordId!.Value, VersionOf(db, record)));
    }

    // An edit of someone else, or one this person may no longer make, is none they can see.
    private static async Task<CommandRow> FindAsync(
        Guid id,
        UmbracellDb db,
        ClaimsPrincipal person,
        IAuthorizationService rights,
        TimeProvider clock
    )
    {
        var edit = await db.Commands.AsNoTracking().SingleOrDefaultAsync(c => c.Id == id);
        return
            edit is { Changed: not null, PersonId: { } by }
            && by == Claims.PersonOf(person)
            && clock.GetUtcNow() - edit.ReceivedAt < Lasts
            && (edit.Policy.Length == 0 || (await rights.AuthorizeAsync(person, edit.Policy)).Succeeded)
            ? edit
            : throw new NotFoundException("edit");
    }

    private static async Task<object?> RecordAsync(CommandRow edit, UmbracellDb db)
    {
        var type = db.Model.GetEntityTypes().Single(t => t.ClrType.Name == edit.Record && !t.IsOwned()).ClrType;
        var record = await db.FindAsync(type, edit.RecordId);
        if (record is Surface surface)
        {
            await db.Entry(surface).Collection(s => s.Openings).LoadAsync();
            await db.Entry(surface).Collection(s => s.Notes).LoadAsync();
        }

        return record;
    }

    // Rows that hang on a record are rows of their own: the record's own row must change with them for its version to move on.
    private static void Touch(object record, TimeProvider clock)
    {
        if (record is Surface surface)
        {
            surface.ChangedAt = clock.GetUtcNow();
        }
    }

    private static async Task SaveAsync(UmbracellDb db)
    {
        try
        {
            await db.SaveChangesAsync();
        }
        catch (DbUpdateException e)
            when (e.InnerException is Npgsql.PostgresException { SqlState: Npgsql.PostgresErrorCodes.ForeignKeyViolation })
        {
            // What the record named before is no longer there.
            throw new ChangedSinceException();
        }
    }

    private static uint? VersionOf(UmbracellDb db, object record) =>
        db.Entry(record).Metadata.FindProperty(nameof(Surface.Version)) is null
            ? null
            : (uint)db.Entry(record).Property(nameof(Surface.Version)).CurrentValue!;
}
