using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Yield.Price;

/// <summary>What a job would cost with another system on one of its surfaces, all else as it is: material, hours, trades, overhead and
/// profit.</summary>
/// <param name="Whole">The job's bid with it.</param>
/// <param name="Difference">Price before tax against the job as it is; above zero where it is dearer.</param>
/// <param name="Within">Difference that the yield of the foams alone may bring; less than this counts as alike.</param>
/// <param name="Working">How the difference came about.</param>
public sealed record PriceAlternative(Bid Whole, double Difference, double Within, Working Working)
{
    /// <summary>Whether both cost alike: the difference drowns in what the yield may bring.</summary>
    public bool IsAlike => Math.Abs(Difference) <= Within;

    /// <summary>Prices an alternative.</summary>
    /// <param name="job">Every surface of the job as it is priced.</param>
    /// <param name="surface">Which of them is done otherwise, 0 to the last.</param>
    /// <param name="instead">The surface with the other system.</param>
    /// <param name="spread">Standard deviation of ln(sets) of the surface's foams, 0 or more.</param>
    /// <param name="rates">What the firm pays and how fast it works.</param>
    /// <exception cref="ArgumentOutOfRangeException">No such surface.</exception>
    public static PriceAlternative Of(IReadOnlyList<BidSurface> job, int surface, BidSurface instead, double spread, Rates rates)
    {
        ArgumentOutOfRangeException.ThrowIfNegative(surface);
        ArgumentOutOfRangeException.ThrowIfGreaterThanOrEqual(surface, job.Count);
        var now = Bid.Of(job, rates);
        var whole = Bid.Of([.. job.Select((s, i) => i == surface ? instead : s)], rates);
        var within = spread * Math.Max(Material(job[surface], rates), Material(instead, rates));
        var difference = whole.Net - now.Net;
        return new(
            whole,
            difference,
            within,
            new(
                "alternativeCost",
                "Δ = P_with − P_now",
                [
                    new("P_with", "netWith", new(whole.Net, Dimension.Money)),
                    new("P_now", "netNow", new(now.Net, Dimension.Money)),
                    new("σ · c_foam", "alikeWithin", new(within, Dimension.Money)),
                ],
                new(difference, Dimension.Money),
                Citations.PriceAlternatives
            )
        );
    }

    private static double Material(BidSurface surface, Rates rates) => surface.Foams.Sum(f => f.Sets * (rates.PriceOf(f.Sheet) ?? 0));
}
