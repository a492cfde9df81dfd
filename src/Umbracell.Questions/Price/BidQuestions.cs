using Umbracell.Core.Quantities;
using Umbracell.Core.Yield.Price;
using Umbracell.Questions.Answers;

namespace Umbracell.Questions.Price;

/// <summary>Puts a bid question to the core and shapes the answer.</summary>
public static class BidQuestions
{
    /// <summary>Answers a question.</summary>
    public static BidAnswer Answer(BidQuestion question, Supplies supplies)
    {
        var rates = supplies.Priced;
        return Answer(Bid.Of([.. question.Surfaces.Select((s, i) => Surface(s, $"surfaces[{i}]", supplies))], rates), supplies);
    }

    /// <summary>The question of which a bid of these surfaces is the answer.</summary>
    public static BidQuestion Of(IEnumerable<BidSurface> surfaces) => new([.. surfaces.Select(Shape)]);

    /// <summary>Shapes a bid.</summary>
    public static BidAnswer Answer(Bid bid, Supplies supplies) =>
        new(
            [
                .. bid.Lines.Select(l => new BidLineAnswer(
                    l.Key,
                    NameOf(l.Key, supplies),
                    FigureAnswer.Of(l.Quantity),
                    new(FigureAnswer.Of(Money(l.Amount)), WorkingAnswer.Of(l.Working))
                )),
            ],
            FigureAnswer.All(
                new Dictionary<string, Figure>
                {
                    ["cost"] = Money(bid.Cost),
                    ["net"] = Money(bid.Net),
                    ["price"] = Money(bid.Price),
                    ["crewHours"] = Figure.Duration(TimeSpan.FromHours(bid.CrewHours)),
                    ["days"] = Figure.Count(bid.Days),
                    ["treated"] = bid.Treated.ToFigure(),
                    ["foam"] = bid.Foam.ToFigure(),
                    ["perArea"] = new(bid.PerSquareMetre, Dimension.MoneyPerArea),
                    ["perVolume"] = new(bid.PerCubicMetre / 1000, Dimension.MoneyPerBoard),
                }
            ),
            [.. bid.Missing.Select(id => NameOf("bought:" + id, supplies))],
            bid.Unentered,
            [.. bid.Free.Select(id => NameOf("bought:" + id, supplies))]
        );

    /// <summary>Name of a bid's line: a product by its sheet, a material by its id; empty for what the key's own name says.</summary>
    public static string NameOf(string key, Supplies supplies) =>
        key.Split(':', 2) is not [_, var id] ? ""
        : supplies.Sheets.TryGetValue(id, out var sheet) ? sheet.Name
        : id;

    private static BidSurface Surface(BidSurfaceShape s, string at, Supplies supplies) =>
        new()
        {
            Name = s.Name,
            Treated = Area.FromSquareMetres(s.TreatedM2),
            Access = s.Access,
            Foams =
            [
                .. s.Foams.Select(
                    (f, j) =>
                        new BidFoam(supplies.Sheet(f.SheetId, $"{at}.foams[{j}].sheetId"), FoamVolume.FromBoardFeet(f.BoardFeet), f.Sets)
                ),
            ],
            Bought =
            [
                .. (s.Bought ?? []).Select(b => new BidBought(
                    b.Id,
                    Area.FromSquareMetres(b.CoveredM2),
                    b.BoardThicknessMm is { } mm ? Length.FromMillimetres(mm) : null,
                    b.Pace
                )),
            ],
            Shaved = s.ShavedFlush,
            Waits = TimeSpan.FromMinutes(s.WaitMin),
            Heat = s.HeatKWh > 0 ? new(s.HeatKWh) : null,
            Trades = s.NewRoof ? BidTrade.OfNewRoof(supplies.Priced) : [],
        };

    private static BidSurfaceShape Shape(BidSurface s) =>
        new()
        {
            Name = s.Name,
            TreatedM2 = s.Treated.SquareMetres,
            Access = s.Access,
            Foams = [.. s.Foams.Select(f => new BidFoamShape(f.Sheet.Id, f.Volume.BoardFeet, f.Sets))],
            Bought = [.. s.Bought.Select(b => new BidBoughtShape(b.Id, b.Covered.SquareMetres, b.Pace, b.BoardThickness?.Millimetres))],
            ShavedFlush = s.Shaved,
            WaitMin = s.Waits.TotalMinutes,
            HeatKWh = s.Heat?.KilowattHours ?? 0,
            NewRoof = s.Trades.Count > 0,
        };

    private static Figure Money(double amount) => new(amount, Dimension.Money);
}
