namespace Umbracell.Core.Yield.Price;

/// <summary>A line of a bid beside the same line of another.</summary>
/// <param name="Key">The line.</param>
/// <param name="QuantityBefore">Quantity before, SI; null where the line was not there.</param>
/// <param name="QuantityAfter">Quantity after, SI; null where the line is gone.</param>
/// <param name="Before">Money before.</param>
/// <param name="After">Money after.</param>
public sealed record BidChange(string Key, double? QuantityBefore, double? QuantityAfter, double Before, double After)
{
    // Less than a cent is a rounding.
    private const double Cent = 0.005;

    /// <summary>What the line adds to the price.</summary>
    public double Difference => After - Before;

    /// <summary>The lines that differ, the greatest difference first. Their differences add up to that of the prices with tax.</summary>
    /// <param name="before">Lines before: key, quantity, money.</param>
    /// <param name="after">Lines after.</param>
    public static IReadOnlyList<BidChange> Between(
        IReadOnlyList<(string Key, double Quantity, double Amount)> before,
        IReadOnlyList<(string Key, double Quantity, double Amount)> after
    )
    {
        var (old, now) = (before.ToDictionary(l => l.Key), after.ToDictionary(l => l.Key));
        return
        [
            .. old
                .Keys.Union(now.Keys)
                .Select(key => new BidChange(
                    key,
                    old.TryGetValue(key, out var o) ? o.Quantity : null,
                    now.TryGetValue(key, out var n) ? n.Quantity : null,
                    o.Amount,
                    n.Amount
                ))
                .Where(change => Math.Abs(change.Difference) >= Cent)
                .OrderByDescending(change => Math.Abs(change.Difference))
                .ThenBy(change => change.Key, StringComparer.Ordinal),
        ];
    }
}
