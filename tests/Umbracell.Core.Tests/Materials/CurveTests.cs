using CsCheck;
using Shouldly;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Materials;

public sealed class CurveTests
{
    private static readonly Curve Substrate = new(
        "substrate temperature",
        [new(4, .87), new(10, .94), new(21, 1), new(38, 1.02)],
        Dimension.Temperature
    );

    [Theory]
    [InlineData(4, .87)]
    [InlineData(7, .905)]
    [InlineData(21, 1)]
    [InlineData(38, 1.02)]
    public void It_passes_through_its_points_and_is_straight_between(double x, double y) => Substrate.At(x).ShouldBe(y, 1e-12);

    [Theory]
    [InlineData(3.999)]
    [InlineData(38.001)]
    [InlineData(double.NaN)]
    public void It_is_never_read_past_its_ends(double x)
    {
        var refusal = Should.Throw<QuantityRangeException>(() => Substrate.At(x));
        refusal.ParamName.ShouldBe("substrate temperature");
        refusal.Least.Amount.ShouldBe(4);
        refusal.Greatest.Amount.ShouldBe(38);
    }

    [Fact]
    public void Between_two_points_it_never_leaves_their_span() =>
        Gen.Double[4, 38].Sample(x => Substrate.At(x).ShouldBeInRange(.87, 1.02));

    [Fact]
    public void Points_that_do_not_rise_are_refused()
    {
        Should.Throw<ArgumentException>(() => new Curve("x", [], Dimension.Number));
        Should.Throw<ArgumentException>(() => new Curve("x", [new(1, 1), new(1, 2)], Dimension.Number));
        Should.Throw<ArgumentException>(() => new Curve("x", [new(2, 1), new(1, 2)], Dimension.Number));
        Should.Throw<ArgumentException>(() => new Curve("x", [new(1, 1), new(double.NaN, 2)], Dimension.Number));
    }

    [Fact]
    public void A_window_measures_to_its_nearer_edge()
    {
        var window = new TemperatureWindow(Temperature.FromCelsius(4), Temperature.FromCelsius(49));
        window.Margin(Temperature.FromCelsius(10)).Kelvins.ShouldBe(6);
        window.Margin(Temperature.FromCelsius(47)).Kelvins.ShouldBe(2);
        window.Margin(Temperature.FromCelsius(1)).Kelvins.ShouldBe(-3);
        window.Holds(Temperature.FromCelsius(4)).ShouldBeTrue();
        window.Holds(Temperature.FromCelsius(49.1)).ShouldBeFalse();
    }

    [Fact]
    public void A_sheet_that_contradicts_itself_says_where()
    {
        var sheet = Sheets.ClosedCell with
        {
            LeastLift = Length.FromInches(3),
            Air = new(Temperature.FromCelsius(20), Temperature.FromCelsius(10)),
            InPlaceDensity = Density.FromPoundsPerCubicFoot(1),
            SheetYield = FoamVolume.FromBoardFeet(60_000),
        };
        sheet
            .Contradictions()
            .Select(c => c.Path)
            .ShouldBe(["lift.leastIn", "lift.referenceIn", "airC", "density.inPlaceLbFt3", "yieldBoardFeet"], ignoreOrder: true);
        Sheets.ClosedCell.Contradictions().ShouldBeEmpty();
    }

    [Fact]
    public void Six_inches_reached_from_either_system_is_rated_and_a_hair_more_is_not()
    {
        Sheets.ClosedCell.ResistanceAt(Length.FromMillimetres(152.4)).UsR.ShouldBe(42, 1e-9);
        Sheets.ClosedCell.ResistanceAt(Length.FromInches(6)).UsR.ShouldBe(42, 1e-9);
        Should.Throw<QuantityRangeException>(() => Sheets.ClosedCell.Rated(Length.FromMillimetres(152.5)));
        Should.Throw<QuantityRangeException>(() => Sheets.ClosedCell.Rated(Length.Zero));
    }
}
