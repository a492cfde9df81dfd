using CsCheck;
using Shouldly;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Quantities;

public sealed class MoneyTextTests
{
    [Theory]
    [InlineData("2680", 2680)]
    [InlineData("$2,680", 2680)]
    [InlineData("$ 2,680.50", 2680.5)]
    [InlineData("2.680,50 €", 2680.5)]
    [InlineData("2680,50", 2680.5)]
    [InlineData("1.250.000", 1_250_000)]
    [InlineData("12,50 £", 12.5)]
    [InlineData("CHF 85.50", 85.5)]
    [InlineData("Fr. 12", 12)]
    [InlineData("US$85", 85)]
    [InlineData("CHF\u00A085", 85)]
    public void Money_reads_with_its_sign_and_in_the_habit_of_the_country(string typed, double amount) =>
        Read(typed, new(0, 1e7, Dimension.Money), UnitSystem.Us).ShouldBe(amount, 1e-9);

    [Theory]
    [InlineData("about 85")]
    [InlineData("minus 85")]
    public void Words_before_money_are_not_passed_over(string typed) =>
        QuantityParser.Parse(typed, new(0, 1e7, Dimension.Money), UnitSystem.Us).Fault.ShouldNotBeNull();

    [Fact]
    public void Money_prints_and_reads_back() =>
        Gen.Double[0, 9e6]
            .Sample(amount =>
                Read(QuantityPrinter.Print(new(amount, Dimension.Money), UnitSystem.Us), new(0, 1e7, Dimension.Money), UnitSystem.Metric)
                    .ShouldBe(amount, 0.005001)
            );

    [Theory]
    [InlineData(Dimension.Money, "$")]
    [InlineData(Dimension.MoneyPerArea, "$")]
    [InlineData(Dimension.MoneyPerBoard, "€")]
    [InlineData(Dimension.MoneyPerArea, "CHF\u00A0")]
    [InlineData(Dimension.MoneyPerBoard, "US$")]
    public void Money_leaves_room_for_its_sign_and_reads_back_with_it(Dimension dimension, string sign) =>
        Gen.Select(Gen.Double[0, 900], Gen.Enum<UnitSystem>())
            .Sample(
                (amount, system) =>
                {
                    Figure figure = new(amount, dimension);
                    foreach (var printed in new[] { QuantityPrinter.Print(figure, system), QuantityPrinter.PrintExact(figure, system) })
                    {
                        printed.ShouldStartWith(QuantityPrinter.CurrencyMark);
                        var shown = printed.Replace(QuantityPrinter.CurrencyMark, sign, StringComparison.Ordinal);
                        Read(shown, new(0, 1e7, dimension), system).ShouldBe(amount, 0.06 + (amount * 1e-4));
                    }

                    QuantityPrinter.PrintAsTyped(figure, system).ShouldNotContain(QuantityPrinter.CurrencyMark);
                }
            );

    private static double Read(string text, FigureRange range, UnitSystem system) =>
        QuantityParser.Parse(text, range, system).Figure!.Value.Amount;
}
