using Microsoft.EntityFrameworkCore;
using Umbracell.Store.Model;

namespace Umbracell.Store.Seeding;

/// <summary>The sample product sheets of a firm: all for a new one, and for one that stands those that have come since.</summary>
internal static class ShippedSheets
{
    /// <summary>Adds the sheets the firm in hand has not; what it has stays as it is. Nothing is saved yet.</summary>
    public static async Task AddMissingAsync(
        UmbracellDb db,
        IReadOnlyDictionary<string, string> sheets,
        CancellationToken cancellation = default
    )
    {
        var has = await db.Sheets.Select(s => s.Slug).ToListAsync(cancellation);
        db.Sheets.AddRange(
            sheets.Where(sheet => !has.Contains(sheet.Key)).Select(sheet => new SheetRow { Slug = sheet.Key, Document = sheet.Value })
        );
    }
}
