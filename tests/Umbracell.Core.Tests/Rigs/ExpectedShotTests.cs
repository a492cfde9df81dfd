using CsCheck;
using Shouldly;
using Umbracell.Core.Quantities;
using Umbracell.Core.Rigs;
using Xunit;

namespace Umbracell.Core.Tests.Rigs;

/// <summary>Times a test shot is expected to take.</summary>
public sealed class ExpectedShotTests
{
    private static Temperature C(double celsius) => Temperature.FromCelsius(celsius);

    [Fact]
    public void At_the_set_points_on_the_reference_they_are_those_of_the_sheet()
    {
        var sheet = Sheets.ClosedCell;
        var told = ExpectedShot.Of(sheet, sheet.SetPoints.Hose, sheet.Reaction.Substrate, sheet.ReferenceLift);
        told.Mix.Celsius.ShouldBe(42, 1e-9);
        (told.Cream, told.TackFree).ShouldBe((sheet.Reaction.Cream, sheet.Reaction.TackFree));
    }

    [Theory]
    [InlineData(49, 4, 1.90)]
    [InlineData(35, 21, 2.71)]
    public void A_cold_substrate_and_cold_liquid_take_as_long_as_was_worked_out_by_hand(double gun, double substrate, double cream) =>
        ExpectedShot.Of(Sheets.ClosedCell, C(gun), C(substrate), Sheets.ClosedCell.ReferenceLift).Cream.TotalSeconds.ShouldBe(cream, 0.005);

    [Fact]
    public void The_warmer_the_faster_and_a_thin_lift_hangs_on_the_substrate_the_most() =>
        Gen.Select(Gen.Double[25, 60], Gen.Double[-10, 24], Gen.Double[0.005, 0.06])
            .Sample(
                (gun, substrate, lift) =>
                {
                    var told = At(gun, substrate, lift);
                    At(gun + 1, substrate, lift).Cream.ShouldBeLessThan(told.Cream);
                    At(gun, substrate + 1, lift).TackFree.ShouldBeLessThan(told.TackFree);
                    At(gun, substrate, lift * 1.1).Cream.ShouldBeLessThanOrEqualTo(told.Cream);
                    told.Mix.Celsius.ShouldBeInRange(substrate, gun);
                    (told.TackFree / told.Cream).ShouldBe(Sheets.ClosedCell.Reaction.TackFree / Sheets.ClosedCell.Reaction.Cream, 1e-4);

                    static ExpectedShot At(double gun, double substrate, double lift) =>
                        ExpectedShot.Of(Sheets.ClosedCell, C(gun), C(substrate), Length.FromMetres(lift));
                }
            );
}
