using CsCheck;
using Shouldly;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Core.Yield.Price;
using Xunit;

namespace Umbracell.Core.Tests.Yield;

/// <summary>What a job cost beside its bid.</summary>
public sealed class CostAsDoneTests
{
    private static readonly ProductSheet Sheet = Sheets.ClosedCell;

    private static readonly Rates Rates = Choosing.Walls.Rates with
    {
        SetPrice = new Dictionary<string, double> { [Sheet.Id] = 2700 },
        CrewDayHours = 8,
        RigDay = 200,
        TravelDay = 100,
        ConsumablesPerSet = 60,
        DisposalPerSet = 30,
        ScaffoldPerM2 = 10,
        OverheadPercent = 10,
        ProfitPercent = 20,
        TaxPercent = 8,
    };

    [Fact]
    public void A_job_that_went_as_it_was_bid_cost_what_was_bid() =>
        Gen.Select(Gen.Double[20, 500], Gen.Double[0.2, 6])
            .Sample(
                (area, sets) =>
                {
                    var bid = BidOf(area, sets);
                    var done = Done(bid, sets, TimeSpan.FromHours(bid.CrewHours), bid.Days);
                    done.Cost.ShouldBe(done.BidCost, 0.011);
                    done.BidCost.ShouldBe(bid.Cost + bid.Lines.Single(line => line.Key == "overhead").Amount, 0.011);
                    done.Margin.ShouldBe(done.BidMargin, 0.011);
                    done.BidMargin.ShouldBe(bid.Lines.Single(line => line.Key == "profit").Amount, 0.011);
                }
            );

    [Fact]
    public void More_sets_and_hours_leave_less_by_what_they_cost_with_their_overhead()
    {
        var bid = BidOf(200, 2);
        var (asBid, done) = (
            Done(bid, 2, TimeSpan.FromHours(bid.CrewHours), bid.Days),
            Done(bid, 2.5, TimeSpan.FromHours(bid.CrewHours + 4), bid.Days)
        );
        var more = 0.5 * (2700 + 60 + 30) + 4 * Rates.CrewHour;
        (asBid.Margin - done.Margin).ShouldBe(1.1 * more, 0.011);

        // Scaffold is in no log: it counts as it was bid.
        done.Lines.Single(line => line.Key == "scaffold").Done.ShouldBeNull();
    }

    [Fact]
    public void Fuel_that_was_bought_takes_the_place_of_the_heat_that_was_bid()
    {
        var done = new DoneWork
        {
            Sets = [(Sheet, 2)],
            OnSite = TimeSpan.FromHours(8),
            Days = 1,
        };
        BidPart[] bid = [new("foam:" + Sheet.Id, new(2, Dimension.Sets), 5400), new("heat", new(1e9, Dimension.Heat), 80)];
        var (without, with) = (CostAsDone.Of(bid, 9000, done, Rates), CostAsDone.Of(bid, 9000, done with { Fuel = [45, 60] }, Rates));
        (with.Cost - without.Cost).ShouldBe(1.1 * (105 - 80), 0.011);
        with.Lines.Single(line => line.Key == "heat").DoneAmount.ShouldBe(0);
        with.BidCost.ShouldBe(without.BidCost);
    }

    [Fact]
    public void A_product_without_a_price_is_told_and_costs_nothing()
    {
        var bid = BidOf(200, 2);
        var done = CostAsDone.Of(
            [.. bid.Lines.Select(Part)],
            bid.Net,
            new()
            {
                Sets = [(Sheet, 2), (Sheets.OpenCell, 1)],
                OnSite = TimeSpan.FromHours(bid.CrewHours),
                Days = bid.Days,
            },
            Rates
        );
        done.Missing.ShouldBe([Sheets.OpenCell.Name]);
        done.Lines.ShouldNotContain(line => line.Key == "foam:" + Sheets.OpenCell.Id);
    }

    private static Bid BidOf(double area, double sets) =>
        Bid.Of(
            [
                new()
                {
                    Name = "Wall",
                    Treated = Area.FromSquareMetres(area),
                    Access = AccessKind.Scaffold,
                    Foams = [new(Sheet, FoamVolume.FromBoardFeet(4000 * sets), sets)],
                    Bought = [],
                    Shaved = false,
                    Waits = TimeSpan.Zero,
                },
            ],
            Rates
        );

    private static CostAsDone Done(Bid bid, double sets, TimeSpan onSite, int days) =>
        CostAsDone.Of(
            [.. bid.Lines.Select(Part)],
            bid.Net,
            new()
            {
                Sets = [(Sheet, sets)],
                OnSite = onSite,
                Days = days,
            },
            Rates
        );

    private static BidPart Part(BidLine line) => new(line.Key, line.Quantity, line.Amount);
}
