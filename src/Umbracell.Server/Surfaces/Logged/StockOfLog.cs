using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Materials;
using Umbracell.Core.Spraying;
using Umbracell.Core.Yield;
using Umbracell.Store;

namespace Umbracell.Server.Surfaces;

/// <summary>What a log takes from a lot of the store: full drums, and liquid of opened ones.</summary>
internal readonly record struct TakenFromLot(int Full, double PartKg)
{
    public static TakenFromLot operator +(TakenFromLot one, TakenFromLot other) => new(one.Full + other.Full, one.PartKg + other.PartKg);

    public static TakenFromLot operator -(TakenFromLot one, TakenFromLot other) => new(one.Full - other.Full, one.PartKg - other.PartKg);
}

/// <summary>Drums that are opened leave the store; what is left in them when the job is finished comes back. It is worked out from the
/// entries in force, so that what is withdrawn or corrected leaves no trace, and what arrives twice counts once.</summary>
internal sealed class StockOfLog(UmbracellDb db)
{
    /// <summary>Moves what a new entry changes; it is saved by whoever asks.</summary>
    /// <param name="before">Entries of the job, in any order.</param>
    /// <param name="after">The same with the new one.</param>
    /// <param name="sheets">Products of the firm.</param>
    public async Task MoveAsync(
        IReadOnlyCollection<LogEntry> before,
        IReadOnlyCollection<LogEntry> after,
        IReadOnlyDictionary<string, ProductSheet> sheets
    )
    {
        var (was, now) = (TakenBy(before, sheets), TakenBy(after, sheets));
        var moved = was
            .Keys.Union(now.Keys)
            .Select(lot => (Lot: lot, By: now.GetValueOrDefault(lot) - was.GetValueOrDefault(lot)))
            .Where(one => one.By != default)
            .ToDictionary(one => one.Lot, one => one.By);
        if (moved.Count == 0)
        {
            return;
        }

        // A lot that was taken off the store since is not brought back.
        foreach (var row in await db.StockLots.Where(row => moved.Keys.Contains(row.Id)).ToListAsync())
        {
            row.Full = Math.Max(0, row.Full - moved[row.Id].Full);
            row.PartKg = Math.Max(0, row.PartKg - moved[row.Id].PartKg);
        }
    }

    /// <summary>What the entries take, by lot.</summary>
    internal static Dictionary<Guid, TakenFromLot> TakenBy(
        IReadOnlyCollection<LogEntry> entries,
        IReadOnlyDictionary<string, ProductSheet> sheets
    )
    {
        Dictionary<Guid, TakenFromLot> taken = [];
        foreach (var entry in SprayLog.InForce(entries))
        {
            if (entry is { Kind: LogEntryKind.DrumOpened, Stock: { } lot })
            {
                // One that was full counts as a drum; of one that was opened before, what was in it.
                Add(lot, entry.Left is { } left ? new(0, left * MassOf(entry)) : new(1, 0));
            }
        }

        if (taken.Count > 0 && SprayedSurface.Of(entries).JobFinishedAt is not null)
        {
            foreach (var sheet in sheets.Values)
            {
                foreach (var drum in SprayedSurface.Of(entries, sheet: sheet.Id).Drums)
                {
                    if (drum is { Stock: { } lot, Left: { } left } && IsOf(lot, sheet.Id))
                    {
                        Add(lot, new(0, -left * DrumStock.MassOf(sheet, drum.Side).Kilograms));
                    }
                }
            }
        }

        return taken;

        void Add(Guid lot, TakenFromLot more) => taken[lot] = taken.GetValueOrDefault(lot) + more;

        bool IsOf(Guid lot, string sheet) => entries.Any(entry => entry.Stock == lot && entry.Sheet == sheet);

        double MassOf(LogEntry entry) =>
            entry is { Sheet: { } name, Side: { } side } && sheets.GetValueOrDefault(name) is { } sheet
                ? DrumStock.MassOf(sheet, side).Kilograms
                : 0;
    }
}
