using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>Drums in the firm's store, for the core.</summary>
internal static class StoreLots
{
    /// <summary>Those of a product.</summary>
    public static IReadOnlyList<DrumLot> Of(IEnumerable<StockLotRow> rows, string sheet) =>
        [.. rows.Where(r => r.SheetSlug == sheet).Select(r => new DrumLot(r.Side, r.Lot, r.Expires, r.Full, Mass.FromKilograms(r.PartKg)))];
}
