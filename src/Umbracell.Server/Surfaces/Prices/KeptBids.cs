using Umbracell.Core.Findings;
using Umbracell.Core.Yield.Price;
using Umbracell.Documents;

namespace Umbracell.Server.Surfaces;

/// <summary>A bid as it is kept, and what has changed since.</summary>
internal static class KeptBids
{
    /// <summary>A bid as it would be kept.</summary>
    public static BidDocument Of(JobBid bid) =>
        new(
            [.. bid.Bid.Lines.Select(l => new KeptLine(l.Key, l.Quantity.Amount, l.Quantity.Dimension, l.Amount))],
            bid.Bid.Net,
            bid.Bid.Price,
            [.. bid.Surfaces.Select(s => new KeptSurface(s.Row.Surface.Name, s.Row.SetsQuestion?.SubstrateTempC, RouteOf(s), s.Sets))]
        );

    /// <summary>Names of the surfaces a kept bid no longer stands for.</summary>
    public static HashSet<string> ChangedSince(BidDocument kept, BidDocument today)
    {
        var before = kept.Surfaces.GroupBy(s => s.Name).ToDictionary(g => g.Key, g => g.First());
        return [.. today.Surfaces.Where(s => !before.TryGetValue(s.Name, out var old) || Differs(old, s)).Select(s => s.Name)];
    }

    public static string RouteOf(PricedSurface s) => Vocabulary.KeyOf(s.Route?.Kind ?? ColdRouteKind.Straight);

    public static bool Differs(KeptSurface before, KeptSurface? after) =>
        after is null
        || before.Route != after.Route
        || Math.Abs((before.SubstrateC ?? 0) - (after.SubstrateC ?? 0)) > 0.05
        || Math.Abs(before.Sets - after.Sets) > 1e-6;
}
