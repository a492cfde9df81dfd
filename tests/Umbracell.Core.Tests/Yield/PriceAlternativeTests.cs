using CsCheck;
using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Core.Tests.Choosing;
using Umbracell.Core.Yield;
using Umbracell.Core.Yield.Price;
using Xunit;

namespace Umbracell.Core.Tests.Yield;

/// <summary>Another system on one surface, the space that is heated for all of them, and the weight of the load.</summary>
public sealed class PriceAlternativeTests
{
    private static readonly Rates Rates = Walls.Rates with
    {
        OverheadPercent = 10,
        ProfitPercent = 20,
        RigDay = 200,
        CrewDayHours = 8,
        TearOffPerM2 = 30,
        NewCoveringPerM2 = 70,
    };

    [Fact]
    public void The_same_system_makes_no_difference_and_there_and_back_cancels() =>
        Gen.Select(Gen.Double[20, 400], Gen.Double[0.3, 4], Gen.Double[0.3, 4])
            .Sample(
                (area, now, other) =>
                {
                    BidSurface[] job = [Wall(area, now), Wall(80, 1)];
                    var instead = Wall(area, other);
                    PriceAlternative.Of(job, 0, job[0], 0.1, Rates).Difference.ShouldBe(0, 1e-9);
                    var there = PriceAlternative.Of(job, 0, instead, 0.1, Rates);
                    var back = PriceAlternative.Of([instead, job[1]], 0, job[0], 0.1, Rates);
                    (there.Difference + back.Difference).ShouldBe(0, 1e-6);
                    there.Working.Result.Amount.ShouldBe(there.Whole.Net - Bid.Of(job, Rates).Net, 1e-9);
                }
            );

    [Fact]
    public void Systems_whose_difference_drowns_in_the_yield_are_alike()
    {
        BidSurface[] job = [Wall(100, 2)];
        PriceAlternative.Of(job, 0, Wall(100, 2.01), 0.1, Rates).IsAlike.ShouldBeTrue();
        PriceAlternative.Of(job, 0, Wall(100, 4), 0.1, Rates).IsAlike.ShouldBeFalse();
        PriceAlternative.Of(job, 0, Wall(100, 2.01), 0, Rates).IsAlike.ShouldBeFalse();
        Should.Throw<ArgumentOutOfRangeException>(() => PriceAlternative.Of(job, 1, job[0], 0.1, Rates));
    }

    [Fact]
    public void Work_of_others_comes_with_the_system_by_the_square_metre()
    {
        var bid = Bid.Of(
            [Wall(50, 0.5) with { Foams = [], Trades = [new("tearOff", Rates.TearOffPerM2), new("newCovering", Rates.NewCoveringPerM2)] }],
            Rates
        );
        bid.Lines.Single(l => l.Key == "tearOff").Amount.ShouldBe(1500, 1e-9);
        bid.Lines.Single(l => l.Key == "newCovering").Amount.ShouldBe(3500, 1e-9);
    }

    [Fact]
    public void Shares_of_a_heated_space_add_up_to_the_whole() =>
        Gen.Select(Gen.Double[5, 200], Gen.Double[5, 200], Gen.Double[100, 3000])
            .Sample(
                (one, two, volume) =>
                {
                    var bare = Walls.Section(SurfaceKind.StudWall).Bare();
                    var space = SharedSpace.Of(
                        [(bare, Area.FromSquareMetres(one)), (bare with { Exposure = Exposure.Room }, Area.FromSquareMetres(two))],
                        volume
                    );
                    HeatedSpace Share(double area) =>
                        space.ShareOf(
                            Area.FromSquareMetres(area),
                            1,
                            Temperature.FromCelsius(0),
                            RelativeHumidity.FromPercent(80),
                            Pressure.FromPascals(101_325)
                        );
                    (Share(one).Volume + Share(two).Volume).ShouldBe(volume, 1e-6);
                    (Share(one).Loss + Share(two).Loss).ShouldBe(one * AssemblyState.OfFilled(bare).U.WattsPerSquareMetreKelvin, 1e-6);
                    space.Assumed.ShouldBeFalse();
                }
            );

    [Fact]
    public void A_space_of_unknown_size_is_a_storey_high_and_says_so()
    {
        var space = SharedSpace.Of([(Walls.Section(SurfaceKind.StudWall).Bare(), Area.FromSquareMetres(10))], null);
        (space.VolumePerSquareMetre, space.Assumed).ShouldBe((SharedSpace.StoreyHeight, true));
        SharedSpace.Of([], 500).Assumed.ShouldBeTrue();
    }

    [Fact]
    public void A_bare_face_lies_between_room_and_outdoors_and_the_better_insulated_nearer_the_room()
    {
        var section = Walls.Section(SurfaceKind.StudWall);
        var bare = AssemblyState.FaceShareOf(section.Bare());
        bare.ShouldBeInRange(0.01, 0.99);
        AssemblyState
            .FaceShareOf(section with { Fill = [new FoamFill(Sheets.ClosedCell, Length.FromInches(3))] })
            .ShouldBeGreaterThan(bare);
    }

    [Theory]
    [InlineData(2, 2000, "carried", Verdict.Clear)]
    [InlineData(5, 2000, "tooHeavy", Verdict.Hold)]
    [InlineData(5, 0, "unknown", Verdict.Care)]
    public void A_load_is_weighed_against_the_trailer(int sets, double trailer, string expected, Verdict verdict)
    {
        var load = RigLoad.Of([(Sheets.ClosedCell, sets)], Mass.FromKilograms(trailer));
        load.Weight.Kilograms.ShouldBe(sets * Sheets.ClosedCell.SetMass.Kilograms, 1e-9);
        var said = load.Findings.ShouldHaveSingleItem();
        (said.Case.Name, said.Verdict).ShouldBe((expected, verdict));
        RigLoad.Of([], Mass.FromKilograms(trailer)).Findings.ShouldBeEmpty();
    }

    private static BidSurface Wall(double area, double sets) =>
        new()
        {
            Name = "Wall",
            Treated = Area.FromSquareMetres(area),
            Access = AccessKind.Open,
            Foams = [new(Sheets.ClosedCell, FoamVolume.FromBoardFeet(sets * 4000), sets)],
            Bought = [],
            Shaved = false,
            Waits = TimeSpan.Zero,
        };
}
