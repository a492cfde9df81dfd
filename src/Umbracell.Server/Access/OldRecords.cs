using Microsoft.EntityFrameworkCore;
using Umbracell.Server.Scheduling;
using Umbracell.Store;

namespace Umbracell.Server.Access;

/// <summary>Takes away what a firm's book has kept long enough, and sign-ins that have run out.</summary>
internal sealed class OldRecords(UmbracellDb db, SecurityBook book, SessionLife life) : IFirmWork
{
    /// <summary>The work by its name in the database.</summary>
    public const string Work = "oldRecords";

    public async Task RunAsync(Guid firm, CancellationToken stopping)
    {
        var now = TimeProvider.System.GetUtcNow();
        var (events, seen, started) = (now - book.Kept, now - life.Idle, now - life.Absolute);
        await db.Database.ExecuteSqlAsync($"delete from security_events where at < {events}", stopping);
        await db.Database.ExecuteSqlAsync($"delete from access_links where expires_at < {now.AddDays(-30)}", stopping);
        await db.Database.ExecuteSqlAsync($"delete from sessions where seen_at < {seen} or started_at < {started}", stopping);
    }
}
