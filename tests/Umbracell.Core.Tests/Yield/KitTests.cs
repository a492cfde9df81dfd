using CsCheck;
using Shouldly;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Core.Tests.Choosing;
using Umbracell.Core.Yield.Price;
using Xunit;

namespace Umbracell.Core.Tests.Yield;

/// <summary>Hand kits against the rig: small work goes to kits, great work to the rig, and the size between is where they cost
/// alike.</summary>
public sealed class KitTests
{
    private static readonly Rates Rates = Walls.Rates with
    {
        SetPrice = new Dictionary<string, double>(Walls.Rates.SetPrice) { ["kit"] = 268 },
        RigDay = 240,
        TravelDay = 130,
        ConsumablesPerSet = 62,
        DisposalPerSet = 28,
        KitHour = 74,
        KitSetUpHours = 0.75,
        KitBoardFeetPerHour = 250,
    };

    private static readonly ProductSheet Kit = Sheets.ClosedCell with
    {
        Id = "kit",
        Name = "Kit",
        Grade = FoamGrade.Kit,
        SheetYield = FoamVolume.FromBoardFeet(195),
        SetMassA = Mass.FromKilograms(8.6),
        SetMassB = Mass.FromKilograms(8.1),
        InPlaceDensity = Density.FromPoundsPerCubicFoot(2.05),
    };

    [Fact]
    public void Up_to_the_break_even_kits_cost_no_more_and_with_one_kit_more_they_do()
    {
        var kits = KitBreakEven.Of(Case(100))!;
        kits.UpToKits.ShouldBeInRange(1, 10);
        kits.UpTo!.Value.BoardFeet.ShouldBe(kits.UpToKits * kits.Yield.Expected.BoardFeet, 1e-6);
        At(kits.UpTo.Value.BoardFeet).ShouldBeLessThanOrEqualTo(1);
        At(kits.UpTo.Value.BoardFeet + kits.Yield.Expected.BoardFeet).ShouldBeGreaterThan(1);
        kits.Working!.Result.Amount.ShouldBe(kits.UpTo.Value.CubicMetres, 1e-9);

        static double At(double boardFeet) =>
            KitBreakEven.Of(Case(boardFeet)) is { } one ? one.KitBid.Cost / one.RigBid.Cost : throw new InvalidOperationException();
    }

    [Fact]
    public void Kits_are_bought_whole_and_need_no_rig()
    {
        var kits = KitBreakEven.Of(Case(250))!;
        kits.Kits.ShouldBe(2);
        kits.KitBid.Lines.Single(l => l.Key == "foam:kit").Amount.ShouldBe(2 * 268, 1e-9);
        kits.KitBid.Lines.ShouldNotContain(l => l.Key == "rig");
        kits.KitBid.Lines.ShouldContain(l => l.Key == "travel");
        kits.RigBid.Lines.ShouldContain(l => l.Key == "rig");
        kits.RigBid.Lines.ShouldNotContain(l => l.Key == "kitWork");
    }

    [Fact]
    public void A_dearer_rig_day_never_lowers_the_break_even() =>
        Gen.Select(Gen.Double[0, 600], Gen.Double[0, 600])
            .Sample(
                (one, two) =>
                {
                    var (low, high) = (Math.Min(one, two), Math.Max(one, two));
                    UpTo(high).ShouldBeGreaterThanOrEqualTo(UpTo(low));

                    static int UpTo(double rigDay) => KitBreakEven.Of(Case(100) with { Rates = Rates with { RigDay = rigDay } })!.UpToKits;
                },
                iter: 30
            );

    [Fact]
    public void The_break_even_does_not_depend_on_the_surface_in_hand_but_by_its_thickness() =>
        KitBreakEven.Of(Case(100))!.UpToKits.ShouldBe(KitBreakEven.Of(Case(5000))!.UpToKits);

    [Theory]
    [InlineData(100, false, "cheaper")]
    [InlineData(100, true, "cheaperYetRig")]
    [InlineData(5000, false, "rigCheaper")]
    public void What_is_cheaper_is_said(double boardFeet, bool rigAlways, string expected) =>
        KitBreakEven
            .Of(Case(boardFeet) with { RigAlways = rigAlways })!
            .Findings.Single(f => f.Rule.Id == "kit")
            .Case.Name.ShouldBe(expected);

    [Fact]
    public void A_kit_outside_its_sheets_window_is_held_however_cheap_it_is()
    {
        var cold = Case(100);
        cold = cold with { Conditions = cold.Conditions with { Substrate = Temperature.FromCelsius(Kit.Substrate.Least.Celsius - 1) } };
        var held = KitBreakEven.Of(cold)!.Findings[0];
        (held.Case.Name, held.Verdict).ShouldBe(("substrateOutside", Verdict.Hold));
    }

    [Fact]
    public void Without_rates_nothing_is_called_cheap()
    {
        KitBreakEven
            .Of(Case(100) with { Rates = Rates with { KitBoardFeetPerHour = 0 } })!
            .Findings.ShouldContain(f => f.Case.Name == "noRates");
        KitBreakEven
            .Of(Case(100) with { Rates = Rates with { SetPrice = Walls.Rates.SetPrice } })!
            .Findings.ShouldContain(f => f.Case.Name == "noRates");
    }

    [Fact]
    public void Open_cell_roofing_foam_a_kit_itself_and_foam_past_the_kits_rating_are_not_compared()
    {
        var roof = Case(100);
        KitBreakEven
            .Of(
                roof with
                {
                    Surface = roof.Surface with
                    {
                        Foams = [roof.Surface.Foams[0] with { Sheet = Sheets.ClosedCell with { Grade = FoamGrade.Roofing } }],
                    },
                }
            )
            .ShouldBeNull();
        KitBreakEven.Of(Case(100) with { Kit = Kit with { Cell = CellStructure.Open } }).ShouldBeNull();
        KitBreakEven.Of(Case(100) with { Thickness = Kit.ThickestRated + Length.FromInches(1) }).ShouldBeNull();
        var byKit = Case(100);
        KitBreakEven
            .Of(byKit with { Surface = byKit.Surface with { Foams = [new(Kit, FoamVolume.FromBoardFeet(100), 1)] } })
            .ShouldBeNull();
    }

    [Fact]
    public void Batts_beside_a_kits_foam_are_still_laid_and_its_lifts_still_waited_for()
    {
        BidSurface ByKit(double m2, TimeSpan waits) =>
            Case(100).Surface with
            {
                Foams = [new(Kit, FoamVolume.FromBoardFeet(100), 0.5)],
                Bought = [new("batt-19", Area.FromSquareMetres(m2), null, BidPace.Batt)],
                Waits = waits,
            };
        var laid = Bid.Of([ByKit(16, TimeSpan.Zero)], Rates).CrewHours - Bid.Of([ByKit(0, TimeSpan.Zero)], Rates).CrewHours;
        laid.ShouldBe(16 / Rates.BattM2PerHour, 1e-9);
        (Bid.Of([ByKit(0, TimeSpan.FromHours(2))], Rates).CrewHours - Bid.Of([ByKit(0, TimeSpan.Zero)], Rates).CrewHours).ShouldBe(2, 1e-9);
    }

    [Fact]
    public void A_surface_of_two_foams_is_not_held_against_one_kit()
    {
        var two = Case(100);
        KitBreakEven.Of(two with { Surface = two.Surface with { Foams = [two.Surface.Foams[0], two.Surface.Foams[0]] } }).ShouldBeNull();
    }

    [Fact]
    public void Rig_and_kits_on_one_job_travel_on_the_same_days()
    {
        var rig = Case(2000).Surface;
        var both = Bid.Of([rig, rig with { Name = "small", Foams = [new(Kit, FoamVolume.FromBoardFeet(150), 0.8)] }], Rates);
        both.Lines.Single(l => l.Key == "travel").Amount.ShouldBe(130 * both.Days, 1e-9);
        both.Lines.Single(l => l.Key == "foam:kit").Quantity.Amount.ShouldBe(1);
        both.Lines.Sum(l => l.Amount).ShouldBe(both.Price, 1e-6 * both.Price);
    }

    private static KitCase Case(double boardFeet)
    {
        var volume = FoamVolume.FromBoardFeet(boardFeet);
        var thickness = Length.FromInches(2);
        return new()
        {
            Surface = new()
            {
                Name = "Band joists",
                Treated = Area.FromSquareMetres(volume.CubicMetres / thickness.Metres),
                Access = AccessKind.Open,
                Foams = [new(Sheets.ClosedCell, volume, volume / Sheets.ClosedCell.SheetYield)],
                Bought = [],
                Shaved = false,
                Waits = TimeSpan.Zero,
            },
            Kit = Kit,
            Thickness = thickness,
            Conditions = new(Temperature.FromCelsius(21), Temperature.FromCelsius(24), thickness, null),
            Rates = Rates,
        };
    }
}
