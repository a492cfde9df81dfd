using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Yield.Price;

/// <summary>A line of a bid, as it was made.</summary>
/// <param name="Key">Its key, as in <see cref="BidLine"/>.</param>
/// <param name="Quantity">How much.</param>
/// <param name="Amount">Money.</param>
public sealed record BidPart(string Key, Figure Quantity, double Amount);

/// <summary>What a log tells of the work.</summary>
public sealed record DoneWork
{
    /// <summary>Sets used of each product, 0 or more.</summary>
    public required IReadOnlyList<(ProductSheet Sheet, double Sets)> Sets { get; init; }

    /// <summary>Time the crew was at the job.</summary>
    public required TimeSpan OnSite { get; init; }

    /// <summary>Days it was there.</summary>
    public required int Days { get; init; }

    /// <summary>What fuel was bought for, by entry.</summary>
    public IReadOnlyList<double> Fuel { get; init; } = [];
}

/// <summary>A line of the cost as it was bid and as it was done.</summary>
/// <param name="Key">Its key, as in <see cref="BidLine"/>.</param>
/// <param name="Bid">How much was bid; null where nothing was.</param>
/// <param name="BidAmount">Money that was bid for it.</param>
/// <param name="Done">How much was logged; null where nothing of it is logged, and it counts as bid.</param>
/// <param name="DoneAmount">Money it took.</param>
public sealed record CostLine(string Key, Figure? Bid, double BidAmount, Figure? Done, double DoneAmount);

/// <summary>What a job cost by its log, beside its bid.</summary>
public sealed record CostAsDone
{
    private const string Overhead = "overhead",
        Heat = "heat";

    // They are not cost, or follow from it.
    private static readonly string[] Above = [Overhead, "profit", "tax"];

    /// <summary>Lines in the order of the bid, overhead last.</summary>
    public required IReadOnlyList<CostLine> Lines { get; init; }

    /// <summary>Price before tax.</summary>
    public required double Net { get; init; }

    /// <summary>Own cost as bid, overhead with it.</summary>
    public required double BidCost { get; init; }

    /// <summary>Own cost as done, overhead with it.</summary>
    public required double Cost { get; init; }

    /// <summary>Products that were used and have no price.</summary>
    public required IReadOnlyList<string> Missing { get; init; }

    /// <summary>What the bid left over.</summary>
    public double BidMargin => Cents.Of(Net - BidCost);

    /// <summary>What is left over as done.</summary>
    public double Margin => Cents.Of(Net - Cost);

    /// <summary>Adds up what was done at the firm's rates of today.</summary>
    /// <param name="bid">Lines of the bid.</param>
    /// <param name="net">Its price before tax.</param>
    /// <param name="done">What the log tells.</param>
    /// <param name="rates">What the firm pays.</param>
    public static CostAsDone Of(IReadOnlyList<BidPart> bid, double net, DoneWork done, Rates rates)
    {
        var parts = bid.Where(part => !Above.Contains(part.Key)).ToDictionary(part => part.Key);
        var logged = Logged(done, rates).ToDictionary(part => part.Key);
        List<CostLine> lines =
        [
            .. parts.Values.Select(part => Beside(part, logged.GetValueOrDefault(part.Key))),
            .. logged.Values.Where(part => part.Amount > 0 && !parts.ContainsKey(part.Key)).Select(part => Beside(null, part)),
        ];
        var overhead = bid.FirstOrDefault(part => part.Key == Overhead)?.Amount ?? 0;
        var (bidCost, cost) = (lines.Sum(line => line.BidAmount), lines.Sum(line => line.DoneAmount));
        var share = new Figure(rates.OverheadPercent, Dimension.Percent);
        lines.Add(new(Overhead, share, overhead, share, Cents.Of(cost * rates.OverheadPercent / 100)));
        return new()
        {
            Lines = lines,
            Net = net,
            BidCost = Cents.Of(bidCost + overhead),
            Cost = Cents.Of(lines.Sum(line => line.DoneAmount)),
            Missing = [.. done.Sets.Where(one => one.Sets > 0 && rates.PriceOf(one.Sheet) is null).Select(one => one.Sheet.Name)],
        };
    }

    private static CostLine Beside(BidPart? bid, BidPart? done) =>
        new((bid ?? done)!.Key, bid?.Quantity, bid?.Amount ?? 0, done?.Quantity, done?.Amount ?? bid!.Amount);

    private static IEnumerable<BidPart> Logged(DoneWork done, Rates rates)
    {
        foreach (var (sheet, sets) in done.Sets)
        {
            if (rates.PriceOf(sheet) is { } price)
            {
                yield return new("foam:" + sheet.Id, new(sets, Dimension.Sets), Cents.Of(sets * price));
            }
        }

        var all = done.Sets.Where(one => !one.Sheet.IsKit).Sum(one => one.Sets);
        yield return new("crew", Figure.Duration(done.OnSite), Cents.Of(done.OnSite.TotalHours * rates.CrewHour));
        yield return Each("rig", done.Days, Dimension.Count, rates.RigDay);
        yield return Each("travel", done.Days, Dimension.Count, rates.TravelDay);
        yield return Each("consumables", all, Dimension.Sets, rates.ConsumablesPerSet);
        yield return Each("disposal", all, Dimension.Sets, rates.DisposalPerSet);
        if (done.Fuel.Count > 0)
        {
            // Heat that was bid is in it.
            yield return new("fuel", Figure.Count(done.Fuel.Count), Cents.Of(done.Fuel.Sum()));
            yield return new(Heat, new(0, Dimension.Heat), 0);
        }
    }

    private static BidPart Each(string key, double count, Dimension of, double rate) => new(key, new(count, of), Cents.Of(count * rate));
}
