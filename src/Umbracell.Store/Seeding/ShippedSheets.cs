using System.Text.Json.Nodes;
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
        foreach (var row in await db.Sheets.Where(s => s.Origin == SheetOrigin.Sample).ToListAsync(cancellation))
        {
            if (sheets.TryGetValue(row.Slug, out var shipped))
            {
                row.Document = WithReEntry(row.Document, shipped);
            }
        }
    }

    // A sample that was kept before its re-entry was told in figures says it in the same words: it gets the figures of these words.
    private static string WithReEntry(string kept, string shipped)
    {
        const string Words = "reEntry",
            Figures = "reEntryAfter";
        var (mine, other) = (JsonNode.Parse(kept)!.AsObject(), JsonNode.Parse(shipped)!.AsObject());
        if (mine.ContainsKey(Figures) || other[Figures] is not { } figures || $"{mine[Words]}" != $"{other[Words]}")
        {
            return kept;
        }

        mine[Figures] = figures.DeepClone();
        return mine.ToJsonString();
    }
}
