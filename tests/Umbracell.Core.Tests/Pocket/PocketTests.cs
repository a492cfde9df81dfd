using CsCheck;
using Shouldly;
using Umbracell.Core.Materials;
using Umbracell.Core.Pocket;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Pocket;

/// <summary>Quick answers, against the sheet read by hand and against each other.</summary>
public sealed class PocketTests
{
    public static TheoryData<string> Foams => ["closed", "cold", "open"];

    private static ProductSheet SheetOf(string foam) =>
        foam switch
        {
            "closed" => Sheets.ClosedCell,
            "cold" => Sheets.ColdGrade,
            _ => Sheets.OpenCell,
        };

    [Theory]
    [MemberData(nameof(Foams))]
    public void The_points_of_a_sheet_are_found_again_from_their_R(string foam)
    {
        var sheet = SheetOf(foam);
        foreach (var point in sheet.AgedR.Points)
        {
            FoamForR.Of(sheet, ThermalResistance.FromSi(point.Y))!.Thickness.Metres.ShouldBe(point.X, 1e-6);
        }
    }

    [Theory]
    [MemberData(nameof(Foams))]
    public void The_thickness_reaches_the_R_and_a_tenth_of_a_millimetre_less_does_not(string foam)
    {
        var sheet = SheetOf(foam);
        var greatest = sheet.ResistanceAt(sheet.ThickestRated).SquareMetreKelvinsPerWatt;
        Gen.Double[0.05, greatest]
            .Sample(wanted =>
            {
                var found = FoamForR.Of(sheet, ThermalResistance.FromSi(wanted))!;
                found.Reached.SquareMetreKelvinsPerWatt.ShouldBeGreaterThanOrEqualTo(wanted - 1e-9);
                sheet.ResistanceAt(found.Thickness - Length.FromMillimetres(0.1)).SquareMetreKelvinsPerWatt.ShouldBeLessThan(wanted);
                found.Lifts.Lifts.Sum(lift => lift.Metres).ShouldBe(found.Thickness.Metres, 1e-9);
            });
    }

    [Theory]
    [MemberData(nameof(Foams))]
    public void A_sheet_is_never_carried_past_its_last_point(string foam)
    {
        var sheet = SheetOf(foam);
        var greatest = sheet.ResistanceAt(sheet.ThickestRated);
        FoamForR.Of(sheet, greatest * 1.001).ShouldBeNull();
        InchOfFoam.Ledger(sheet, ThermalResistance.FromUsR(2), 60).Count.ShouldBe((int)(sheet.ThickestRated.Inches + 1e-6));
    }

    // R-2 and one inch of: 2 of 8.4 still pass; the next inch leaves 2 of 15.3.
    [Fact]
    public void The_first_inches_are_those_of_a_pocket_calculator()
    {
        var sheet = Sheets.ClosedCell;
        double R(double inches) => sheet.ResistanceAt(Length.FromInches(inches)).UsR;
        var ledger = InchOfFoam.Ledger(sheet, ThermalResistance.FromUsR(2), 3);
        ledger[0].Left.ShouldBe(2 / (2 + R(1)), 1e-9);
        ledger[1].Left.ShouldBe(2 / (2 + R(2)), 1e-9);
        ledger[1].Cut.ShouldBe(2 / (2 + R(1)) - 2 / (2 + R(2)), 1e-9);
    }

    [Theory]
    [MemberData(nameof(Foams))]
    public void Every_inch_takes_less_than_the_one_before_and_together_they_take_what_no_longer_passes(string foam) =>
        Gen.Double[0.1, 5]
            .Sample(before =>
            {
                var ledger = InchOfFoam.Ledger(SheetOf(foam), ThermalResistance.FromSi(before), 12);
                (ledger.Sum(inch => inch.Cut) + ledger[^1].Left).ShouldBe(1, 1e-9);
                ledger.ShouldAllBe(inch => inch.Cut > 0);
                ledger.Zip(ledger.Skip(1)).ShouldAllBe(pair => pair.Second.Cut < pair.First.Cut);
            });
}
