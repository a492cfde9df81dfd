using CsCheck;
using Shouldly;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Quantities;

public sealed class LayerTextTests
{
    private static readonly FigureRange AnyLayer = new(0, 3, Dimension.Thickness);

    // Nominal thicknesses of panels and boards as makers state them, beside what they are bought as.
    [Theory]
    [InlineData(12.7, "1/2 in", "12.7 mm")]
    [InlineData(19, "3/4 in", "19 mm")]
    [InlineData(15.9, "5/8 in", "15.9 mm")]
    [InlineData(11.1, "7/16 in", "11.1 mm")]
    [InlineData(9.5, "3/8 in", "9.5 mm")]
    [InlineData(38, "1 1/2 in", "38 mm")]
    [InlineData(140, "5 1/2 in", "140 mm")]
    [InlineData(12.5, "0.492 in", "12.5 mm")]
    [InlineData(18, "0.709 in", "18 mm")]
    [InlineData(0.9, "0.0354 in", "0.9 mm")]
    [InlineData(0, "0 in", "0 mm")]
    public void A_layer_is_told_as_it_is_bought(double millimetres, string us, string metric)
    {
        var figure = new Figure(millimetres / 1000, Dimension.Thickness);
        QuantityPrinter.PrintLayer(figure, UnitSystem.Us).ShouldBe(us);
        QuantityPrinter.PrintLayer(figure, UnitSystem.Metric).ShouldBe(metric);
    }

    [Fact]
    public void Every_sixteenth_is_told_as_itself_in_lowest_terms() =>
        Gen.Int[1, 200]
            .Sample(sixteenths =>
            {
                var text = QuantityPrinter.PrintLayer(new(sixteenths * 0.0254 / 16, Dimension.Thickness), UnitSystem.Us);
                Read(text, UnitSystem.Us).ShouldBe(sixteenths * 0.0254 / 16, 1e-12);
                text.ShouldNotContain(".");
                text.ShouldNotMatch("[02468]/");
            });

    [Fact]
    public void What_is_told_lies_within_what_a_maker_rounds_off() =>
        Gen.Select(Gen.Double[0.0002, 0.3], Gen.Enum<UnitSystem>())
            .Sample(
                (metres, system) =>
                {
                    var told = Read(QuantityPrinter.PrintLayer(new(metres, Dimension.Thickness), system), system);
                    Math.Abs(told - metres).ShouldBeLessThanOrEqualTo(Math.Max(0.00006, metres * 0.006));
                }
            );

    private static double Read(string text, UnitSystem system) => QuantityParser.Parse(text, AnyLayer, system).Figure!.Value.Amount;
}
