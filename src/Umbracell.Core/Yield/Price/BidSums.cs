using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;

namespace Umbracell.Core.Yield.Price;

/// <summary>Adds a bid up, line by line.</summary>
internal sealed class BidSums(IReadOnlyList<BidSurface> surfaces, Rates rates)
{
    private readonly List<BidLine> _lines = [];
    private readonly List<string> _missing = [];
    private readonly List<string> _free = [];

    public Bid Told()
    {
        var sets = surfaces.Where(s => !s.ByKit).Sum(s => s.Foams.Sum(f => f.Sets));
        Foams();
        Bought();
        Trades();
        var rigged = BidHours.Of([.. surfaces.Where(s => !s.ByKit)], rates);
        var byKit = BidHours.OfKits([.. surfaces.Where(s => s.ByKit)], rates);
        var days = WholeDays(rigged, byKit);
        var (rigHours, kitHours) = (rigged.Result.Amount / 3600, byKit.Result.Amount / 3600);
        Line(
            "crew",
            rigged.Result,
            rigHours * rates.CrewHour,
            "c = h · p",
            [new("h", "crewHours", rigged.Result, rigged), Money("p", "crewHour", rates.CrewHour)],
            Citations.FirmPaces
        );
        if (kitHours > 0)
        {
            Line(
                "kitWork",
                byKit.Result,
                kitHours * rates.KitHour,
                "c = h · p",
                [new("h", "kitHours", byKit.Result, byKit), Money("p", "kitHour", rates.KitHour)],
                Citations.FirmPaces
            );
        }

        var rigDays = WholeDays(rigged);
        Each("rig", rigDays.Result, rigDays.Result.Amount, rates.RigDay, rigDays);
        Each("travel", days.Result, days.Result.Amount, rates.TravelDay, days);
        var all = new Figure(sets, Dimension.Sets);
        Each("consumables", all, sets, rates.ConsumablesPerSet, null);
        Each("disposal", all, sets, rates.DisposalPerSet, null);
        var scaffolded = surfaces
            .Where(s => s.Access == AccessKind.Scaffold)
            .Aggregate(Area.FromSquareMetres(0), (sum, s) => sum + s.Treated);
        Each("scaffold", scaffolded.ToFigure(), scaffolded.SquareMetres, rates.ScaffoldPerM2, null);
        Heat();
        return Above(rigHours + kitHours, (int)days.Result.Amount);
    }

    // Rig and kits work on the same days; the rig comes only for what it sprays.
    private Working WholeDays(params Working[] hours)
    {
        var worked = hours.Where(h => h.Result.Amount > 0).ToList();
        var all = worked.Sum(h => h.Result.Amount / 3600);
        var days = all > 0 ? (int)Math.Ceiling(all / rates.CrewDayHours - 1e-9) : 0;
        return new(
            "bidDays",
            "d = (" + string.Join(" + ", worked.Select((_, i) => "h" + (i + 1))) + ") / h_day, rounded up",
            [
                .. worked.Select((h, i) => new WorkingTerm("h" + (i + 1), h.Name, h.Result, h)),
                new("h_day", "crewDayHours", Figure.Number(rates.CrewDayHours)),
            ],
            Figure.Count(days),
            Citations.WholeDays
        );
    }

    private void Trades()
    {
        foreach (var group in surfaces.SelectMany(s => s.Trades.Select(t => (t.Key, t.PerSquareMetre, s.Treated))).GroupBy(t => t.Key))
        {
            var area = group.Aggregate(Area.FromSquareMetres(0), (sum, t) => sum + t.Treated);
            var price = group.First().PerSquareMetre;
            Line(
                group.Key,
                area.ToFigure(),
                area.SquareMetres * price,
                "c = A · p",
                [new("A", "coveredArea", area.ToFigure()), new("p", group.Key, new(price, Dimension.MoneyPerArea))],
                Citations.FirmRates
            );
        }
    }

    private void Foams()
    {
        foreach (var group in surfaces.SelectMany(s => s.Foams).GroupBy(f => f.Sheet.Id).OrderBy(g => g.Key, StringComparer.Ordinal))
        {
            // A kit once opened is used up or thrown away.
            var kit = group.First().Sheet.IsKit;
            var median = group.Sum(f => f.Sets);
            var sets = kit ? Math.Ceiling(median - 1e-9) : median;
            if (rates.PriceOf(group.First().Sheet) is not { } price)
            {
                _missing.Add(group.Key);
                continue;
            }

            NoteFree(group.Key, price);

            var summed = new Working(
                "bidSets",
                "n = " + string.Join(" + ", group.Select((_, i) => "n" + (i + 1))) + (kit ? ", rounded up" : ""),
                [.. group.Select((f, i) => new WorkingTerm("n" + (i + 1), "medianSets", new(f.Sets, Dimension.Sets), f.SetsWorking))],
                new(sets, Dimension.Sets),
                kit ? Citations.WholeKits : Citations.MedianSets
            );
            Line(
                "foam:" + group.Key,
                new(sets, Dimension.Sets),
                sets * price,
                "c = n · p",
                [new("n", "medianSets", new(sets, Dimension.Sets), summed), Money("p", "setPrice", price)],
                Citations.Product(group.First().Sheet)
            );
        }
    }

    private void Bought()
    {
        foreach (
            var group in surfaces
                .SelectMany(s => s.Bought)
                .GroupBy(b => (b.Id, Thickness: b.BoardThickness?.Metres))
                .OrderBy(g => g.Key.Id, StringComparer.Ordinal)
        )
        {
            var area = group.Aggregate(Area.FromSquareMetres(0), (sum, b) => sum + b.Covered);
            if (rates.PriceOf(group.Key.Id, group.First().BoardThickness) is not { } price)
            {
                _missing.Add(group.Key.Id);
                continue;
            }

            NoteFree(group.Key.Id, price);

            Line(
                "bought:" + group.Key.Id + (group.Key.Thickness is { } metres ? FormattableString.Invariant($":{metres * 1000:0.#}") : ""),
                area.ToFigure(),
                area.SquareMetres * price,
                "c = A · p",
                [new("A", "coveredArea", area.ToFigure()), new("p", "materialPrice", new(price, Dimension.MoneyPerArea))],
                Citations.FirmPrices
            );
        }
    }

    private void NoteFree(string id, double price)
    {
        if (price == 0)
        {
            _free.Add(id);
        }
    }

    private void Heat()
    {
        var heated = surfaces.Select(s => s.Heat).OfType<BidHeat>().ToList();
        if (heated.Count == 0)
        {
            return;
        }

        var heat = heated.Sum(h => h.KilowattHours);
        Line(
            "heat",
            new(heat * 3.6e6, Dimension.Heat),
            heat * rates.HeatKilowattHour,
            "c = Q · p",
            [
                new("Q", "heat", new(heat * 3.6e6, Dimension.Heat), heated[0].Working),
                Money("p", "heatKilowattHour", rates.HeatKilowattHour),
            ],
            Citations.HeatWhereCold
        );
    }

    // Overhead on the cost, profit as margin or markup, tax on the price.
    private Bid Above(double hours, int days)
    {
        var cost = Cents.Of(_lines.Sum(l => l.Amount));
        var overhead = Cents.Of(cost * rates.OverheadPercent / 100);
        Share("overhead", rates.OverheadPercent, overhead, "o = c · q", ("c", "bidCost", cost));
        var own = Cents.Of(cost + overhead);
        var profit = Cents.Of(
            rates.ProfitIsMarkup ? own * rates.ProfitPercent / 100 : own * rates.ProfitPercent / (100 - rates.ProfitPercent)
        );
        Share("profit", rates.ProfitPercent, profit, rates.ProfitIsMarkup ? "w = c · q" : "w = c · q / (1 − q)", ("c", "ownCost", own));
        var net = Cents.Of(own + profit);
        var tax = Cents.Of(net * rates.TaxPercent / 100);
        Share("tax", rates.TaxPercent, tax, "x = P · q", ("P", "netPrice", net));
        return new()
        {
            Lines = _lines,
            Cost = cost,
            Net = net,
            Price = Cents.Of(net + tax),
            CrewHours = hours,
            Days = days,
            Treated = surfaces.Aggregate(Area.FromSquareMetres(0), (sum, s) => sum + s.Treated),
            Foam = surfaces.SelectMany(s => s.Foams).Aggregate(default(FoamVolume), (sum, f) => sum + f.Volume),
            Missing = _missing,
            Unentered = [.. Unentered()],
            Free = _free,
        };
    }

    private IEnumerable<string> Unentered()
    {
        (string Name, double Value)[] all =
        [
            ("crewHour", rates.CrewHour),
            ("rigDay", rates.RigDay),
            ("overhead", rates.OverheadPercent),
            ("profit", rates.ProfitPercent),
        ];
        return all.Where(one => one.Value <= 0).Select(one => one.Name);
    }

    private void Each(string key, Figure quantity, double count, double price, Working? from)
    {
        if (price > 0 && count > 0)
        {
            Line(
                key,
                quantity,
                count * price,
                "c = n · p",
                [new("n", key + "Count", quantity, from), Money("p", key + "Price", price)],
                Citations.FirmRates
            );
        }
    }

    private void Share(string key, double percent, double amount, string formula, (string Symbol, string Name, double Value) of)
    {
        if (amount > 0)
        {
            Line(
                key,
                Figure.Percent(percent),
                amount,
                formula,
                [Money(of.Symbol, of.Name, of.Value), new("q", key + "Share", Figure.Percent(percent))],
                Citations.FirmRates
            );
        }
    }

    // A line is what is printed of it: whoever adds the lines up comes to the price.
    private void Line(string key, Figure quantity, double amount, string formula, IReadOnlyList<WorkingTerm> terms, Citation source)
    {
        var cents = Cents.Of(amount);
        _lines.Add(new(key, quantity, cents, new("bidLine:" + key.Split(':')[0], formula, terms, new(cents, Dimension.Money), source)));
    }

    private static WorkingTerm Money(string symbol, string name, double value) => new(symbol, name, new(value, Dimension.Money));
}
