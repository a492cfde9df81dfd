using System.Globalization;
using CsCheck;
using Shouldly;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Quantities;

public sealed class QuantityTextTests
{
    private static readonly FigureRange AnyThickness = new(0, 3, Dimension.Thickness);
    private static readonly FigureRange AnySpan = new(0, 300, Dimension.Span);
    private static readonly FigureRange AnyTemperature = new(-60, 120, Dimension.Temperature);

    [Fact]
    public void What_rounds_up_to_a_power_of_ten_is_printed_as_that_power_is() =>
        Gen.Select(Gen.Int[-3, 6], Gen.Double[1e-13, 1e-7])
            .Sample(
                (power, below) =>
                {
                    var ten = Math.Pow(10, power);
                    Exact(ten * (1 - below)).ShouldBe(Exact(ten));
                }
            );

    // Two processors leave different rests of the same difference; neither may show.
    [Fact]
    public void What_rounding_leaves_of_a_difference_is_printed_as_nothing() =>
        Gen.Select(Gen.Enum<Dimension>(), Gen.Enum<UnitSystem>(), Gen.Double[-1e-12, 1e-12])
            .Sample(
                (dimension, system, rest) =>
                {
                    var nothing = OfReader(0, dimension, system);
                    var little = OfReader(rest, dimension, system);
                    QuantityPrinter.Print(little, system).ShouldBe(QuantityPrinter.Print(nothing, system));
                    QuantityPrinter.PrintExact(little, system).ShouldBe(QuantityPrinter.PrintExact(nothing, system));
                }
            );

    private static Figure OfReader(double value, Dimension dimension, UnitSystem system)
    {
        var atNought = QuantityPrinter.Value(new(0, dimension), system);
        return new((value - atNought) / (QuantityPrinter.Value(new(1, dimension), system) - atNought), dimension);
    }

    private static string Exact(double number) => QuantityPrinter.PrintExact(Figure.Number(number), UnitSystem.Metric);

    [Theory]
    [InlineData("5 1/2", 139.7)]
    [InlineData("5-1/2", 139.7)]
    [InlineData("5.5\"", 139.7)]
    [InlineData("5.5 in", 139.7)]
    [InlineData("3/4", 19.05)]
    [InlineData("11/16", 17.4625)]
    [InlineData("2 15/16 in", 74.6125)]
    [InlineData("140 mm", 140)]
    [InlineData("14 cm", 140)]
    [InlineData("0,14 m", 140)]
    [InlineData("1'6", 457.2)]
    [InlineData("5½", 139.7)]
    [InlineData("5 ½ in", 139.7)]
    [InlineData("5⅜\"", 136.525)]
    [InlineData("¾", 19.05)]
    [InlineData("5 1⁄2", 139.7)]
    [InlineData("5–1/2", 139.7)]
    [InlineData("5.5 in.", 139.7)]
    [InlineData("1 ft. 6 in.", 457.2)]
    [InlineData("1 250 mm", 1250)]
    [InlineData("1\u00a0250 mm", 1250)]
    [InlineData("1\u202f250,5 mm", 1250.5)]
    [InlineData("140 millimetres", 140)]
    public void Thickness_reads_as_people_type_it(string typed, double millimetres) =>
        Read(typed, AnyThickness, UnitSystem.Us).ShouldBe(millimetres / 1000, 1e-9);

    [Theory]
    [InlineData("7'6", 7.5)]
    [InlineData("7'6\"", 7.5)]
    [InlineData("7' 6 1/2\"", 7.5416666667)]
    [InlineData("7'-6", 7.5)]
    [InlineData("7 ft 6 in", 7.5)]
    [InlineData("24", 24)]
    [InlineData("90\"", 7.5)]
    public void Spans_read_in_feet_and_inches(string typed, double feet) =>
        Read(typed, AnySpan, UnitSystem.Us).ShouldBe(feet * 0.3048, 1e-6);

    [Theory]
    [InlineData("21C", UnitSystem.Us, 21)]
    [InlineData("70 F", UnitSystem.Metric, 21.1111)]
    [InlineData("70°F", UnitSystem.Metric, 21.1111)]
    [InlineData("70", UnitSystem.Us, 21.1111)]
    [InlineData("-5", UnitSystem.Metric, -5)]
    [InlineData("−5 °C", UnitSystem.Us, -5)]
    [InlineData("–5", UnitSystem.Metric, -5)]
    [InlineData("— 5 C", UnitSystem.Us, -5)]
    [InlineData("21 Celsius", UnitSystem.Us, 21)]
    [InlineData("21 degrees Celsius", UnitSystem.Us, 21)]
    [InlineData("21 º C", UnitSystem.Us, 21)]
    [InlineData("70 Fahrenheit", UnitSystem.Metric, 21.1111)]
    [InlineData("70℉", UnitSystem.Metric, 21.1111)]
    public void A_temperature_without_a_unit_is_read_in_the_persons_system(string typed, UnitSystem system, double celsius) =>
        Read(typed, AnyTemperature, system).ShouldBe(celsius, 1e-3);

    [Theory]
    [InlineData("R-20.4", Dimension.Resistance, UnitSystem.Us, 3.5926)]
    [InlineData("r 20.4", Dimension.Resistance, UnitSystem.Us, 3.5926)]
    [InlineData("20.4", Dimension.Resistance, UnitSystem.Us, 3.5926)]
    [InlineData("U-0.0450", Dimension.Transmittance, UnitSystem.Us, 0.2555)]
    [InlineData("1 h 30", Dimension.Duration, UnitSystem.Us, 5400)]
    [InlineData("1 h 30 min", Dimension.Duration, UnitSystem.Metric, 5400)]
    [InlineData("1.5 h", Dimension.Duration, UnitSystem.Metric, 5400)]
    [InlineData("90", Dimension.Duration, UnitSystem.Us, 5400)]
    [InlineData("2 pcf", Dimension.Density, UnitSystem.Metric, 32.037)]
    [InlineData("32.037 kg/m3", Dimension.Density, UnitSystem.Us, 32.037)]
    [InlineData("1.5 s", Dimension.ReactionTime, UnitSystem.Us, 1.5)]
    [InlineData("1,100 psi", Dimension.MaterialPressure, UnitSystem.Metric, 7.5842e6)]
    [InlineData("7.5842", Dimension.MaterialPressure, UnitSystem.Metric, 7.5842e6)]
    [InlineData("75.842 bar", Dimension.MaterialPressure, UnitSystem.Us, 7.5842e6)]
    public void What_stands_on_a_product_sheet_reads_as_the_trade_writes_it(
        string typed,
        Dimension dimension,
        UnitSystem system,
        double si
    ) => Read(typed, new(0, 1e9, dimension), system).ShouldBe(si, si * 1e-4);

    [Theory]
    [InlineData("1 h 75")]
    [InlineData("1 h 30 h")]
    [InlineData("30 min 1 h")]
    public void Hours_and_minutes_the_wrong_way_round_are_no_time(string typed) =>
        QuantityParser.Parse(typed, new(0, 1e9, Dimension.Duration), UnitSystem.Us).Fault.ShouldBe(TypingFault.NotANumber);

    [Theory]
    [InlineData("9:12", 0.75)]
    [InlineData("9/12", 0.75)]
    [InlineData("9", 0.75)]
    [InlineData("45°", 1)]
    [InlineData("45 deg", 1)]
    public void A_pitch_reads_as_rise_over_run_or_degrees(string typed, double slope) =>
        Read(typed, new(0, 5, Dimension.Pitch), UnitSystem.Us).ShouldBe(slope, 1e-9);

    [Theory]
    [InlineData("", TypingFault.Empty)]
    [InlineData("   ", TypingFault.Empty)]
    [InlineData("five", TypingFault.NotANumber)]
    [InlineData("5 apples", TypingFault.WrongUnit)]
    [InlineData("5 1/0", TypingFault.NotANumber)]
    [InlineData("1e5", TypingFault.WrongUnit)]
    [InlineData("NaN", TypingFault.NotANumber)]
    [InlineData("5'6'7", TypingFault.NotANumber)]
    [InlineData("7'13\"", TypingFault.InchesOverAFoot)]
    [InlineData("7'12", TypingFault.InchesOverAFoot)]
    [InlineData("<script>", TypingFault.NotANumber)]
    [InlineData("20 C", TypingFault.WrongUnit)]
    [InlineData("20 kg", TypingFault.WrongUnit)]
    [InlineData("900 in", TypingFault.OutOfRange)]
    [InlineData("-2", TypingFault.OutOfRange)]
    public void Bad_input_is_named_and_kept(string typed, TypingFault fault)
    {
        var result = QuantityParser.Parse(typed, AnyThickness, UnitSystem.Us);
        result.Fault.ShouldBe(fault);
        result.Typed.ShouldBe(typed);
        result.Figure.ShouldBeNull();
    }

    [Theory]
    [InlineData("1,250", 1250)]
    [InlineData("1,250.5", 1250.5)]
    [InlineData("5,5", 5.5)]
    public void A_comma_is_a_thousands_mark_only_before_three_digits(string typed, double value) =>
        Read(typed, new(0, 1e6, Dimension.Mass), UnitSystem.Metric).ShouldBe(value, 1e-9);

    private static readonly FigureRange Room = new FigureRange(-30, 45, Dimension.Temperature).Usually(5, 35);
    private static readonly FigureRange Foam = new FigureRange(0.001, 0.61, Dimension.Thickness).Usually(0.01, 0.45);
    private static readonly FigureRange Wall = new FigureRange(0.02, 300, Dimension.Span).Usually(0.1, 100);

    private static FigureRange RangeOf(string field) =>
        field switch
        {
            "room" => Room,
            "foam" => Foam,
            "wall" => Wall,
            _ => new(0, 10, Dimension.Thickness),
        };

    [Theory]
    [InlineData("21", "room", UnitSystem.Us, -6.1111, DoubtKind.Units, "21 °C")]
    [InlineData("5 1/2", "foam", UnitSystem.Metric, 0.0055, DoubtKind.Units, "5 1/2 in")]
    [InlineData("5½", "foam", UnitSystem.Metric, 0.0055, DoubtKind.Units, "5 1/2 in")]
    [InlineData("5.5", "foam", UnitSystem.Metric, 0.0055, DoubtKind.Units, "5.5 in")]
    [InlineData("24 1/2", "wall", UnitSystem.Metric, 24.5, DoubtKind.Units, "24 1/2 ft")]
    [InlineData("1,250", "layer", UnitSystem.Metric, 1.25, DoubtKind.Comma, "1.250")]
    [InlineData("1,250 mm", "layer", UnitSystem.Metric, 1.25, DoubtKind.Comma, "1.250 mm")]
    [InlineData("1,250", "wall", UnitSystem.Metric, 1.25, DoubtKind.Comma, null)]
    [InlineData("900 ft", "wall", UnitSystem.Us, 274.32, DoubtKind.Unusual, null)]
    [InlineData("900", "wall", UnitSystem.Us, 274.32, DoubtKind.Units, "900 in")]
    public void What_may_have_been_meant_otherwise_is_read_and_marked(
        string typed,
        string field,
        UnitSystem system,
        double si,
        DoubtKind kind,
        string? other
    )
    {
        var read = QuantityParser.Parse(typed, RangeOf(field), system);
        read.Figure!.Value.Amount.ShouldBe(si, 1e-3);
        read.Doubt.ShouldBe(new Doubt(kind, other));
    }

    [Theory]
    [InlineData("70", UnitSystem.Us)]
    [InlineData("21", UnitSystem.Metric)]
    [InlineData("21 C", UnitSystem.Us)]
    [InlineData("20 F", UnitSystem.Metric)]
    public void What_is_plain_or_says_its_unit_is_not_doubted_for_its_unit(string typed, UnitSystem system) =>
        (QuantityParser.Parse(typed, Room, system).Doubt?.Kind == DoubtKind.Units).ShouldBeFalse(typed);

    [Theory]
    [InlineData("140", UnitSystem.Us, "140 mm")]
    [InlineData("600", UnitSystem.Us, null)]
    public void What_is_refused_says_what_would_fit(string typed, UnitSystem system, string? other)
    {
        var read = QuantityParser.Parse(typed, Foam, system);
        read.Fault.ShouldBe(TypingFault.OutOfRange);
        read.Doubt?.Other.ShouldBe(other);
    }

    [Fact]
    public void The_other_meaning_is_read_without_doubt_about_its_unit() =>
        Gen.Select(Gen.Int[1, 9999], Gen.Enum<UnitSystem>(), Gen.Int[0, 2])
            .Sample(
                (number, system, which) =>
                {
                    var range = which switch
                    {
                        0 => Room,
                        1 => Foam,
                        _ => Wall,
                    };
                    if (QuantityParser.Parse($"{number}", range, system).Doubt?.Other is { } other)
                    {
                        var read = QuantityParser.Parse(other, range, system);
                        read.Fault.ShouldBeNull(other);
                        (read.Doubt?.Kind == DoubtKind.Units).ShouldBeFalse(other);
                    }
                }
            );

    [Theory]
    [InlineData("2.5", TypingFault.NotWhole)]
    [InlineData("1/2", TypingFault.NotWhole)]
    [InlineData("3", null)]
    public void Half_a_repeat_is_refused(string typed, TypingFault? fault) =>
        QuantityParser.Parse(typed, new(1, 999, Dimension.Count), UnitSystem.Us).Fault.ShouldBe(fault);

    [Fact]
    public void A_bound_as_it_is_printed_lies_within() =>
        Gen.Select(Gen.Double[0.0005, 0.5], Gen.Double[0.6, 3], Gen.Enum<UnitSystem>())
            .Sample(
                (least, greatest, system) =>
                {
                    foreach (var dimension in new[] { Dimension.Thickness, Dimension.Span })
                    {
                        var range = new FigureRange(least, greatest, dimension);
                        QuantityParser.Parse(QuantityPrinter.Print(range.LeastFigure, system), range, system).Fault.ShouldBeNull();
                        QuantityParser.Parse(QuantityPrinter.Print(range.GreatestFigure, system), range, system).Fault.ShouldBeNull();
                    }
                }
            );

    [Fact]
    public void A_figure_rounded_to_the_safe_side_keeps_its_promise() =>
        Gen.Select(Gen.Double[-40, 120], Gen.Enum<UnitSystem>())
            .Sample(
                (celsius, system) =>
                {
                    Read(
                            QuantityPrinter.Print(new Figure(celsius, Dimension.Temperature).AtLeast, system),
                            new(-60, 140, Dimension.Temperature),
                            system
                        )
                        .ShouldBeGreaterThanOrEqualTo(celsius - 1e-6);
                    Read(
                            QuantityPrinter.Print(new Figure(celsius, Dimension.Temperature).AtMost, system),
                            new(-60, 140, Dimension.Temperature),
                            system
                        )
                        .ShouldBeLessThanOrEqualTo(celsius + 1e-6);
                }
            );

    [Fact]
    public void A_margin_that_is_no_difference_of_what_stands_beside_it_speaks_for_itself() =>
        Gen.Select(
                Gen.Enum<Dimension>(),
                Gen.Enum<Dimension>(),
                Gen.Double[1, 90],
                Gen.Double[1, 90],
                Gen.Double[-20, 20],
                Gen.Enum<UnitSystem>()
            )
            .Sample(
                (of, dimension, measured, limit, margin, system) =>
                {
                    var differs =
                        dimension == of
                        || (of, dimension)
                            is
                                (Dimension.Temperature, Dimension.TemperatureDifference)
                                or
                                (Dimension.RelativeHumidity or Dimension.MoistureContent or Dimension.Percent, Dimension.HumidityPoints);
                    var told = QuantityPrinter.PrintMargin(new(margin, dimension), new(measured, of), new(limit, of), system);
                    if (!differs)
                    {
                        told.ShouldBe(QuantityPrinter.Print(new(margin, dimension), system), $"{dimension} of {of}");
                    }
                }
            );

    [Fact]
    public void A_margin_prints_as_the_difference_of_what_stands_beside_it() =>
        Gen.Select(Gen.Double[-30, 60], Gen.Double[-30, 60], Gen.Enum<UnitSystem>())
            .Sample(
                (measured, limit, system) =>
                {
                    var margin = QuantityPrinter.PrintMargin(
                        new(measured - limit, Dimension.TemperatureDifference),
                        new(measured, Dimension.Temperature),
                        new(limit, Dimension.Temperature),
                        system
                    );
                    var (m, l, d) = (
                        Number(QuantityPrinter.Print(new(measured, Dimension.Temperature), system)),
                        Number(QuantityPrinter.Print(new(limit, Dimension.Temperature), system)),
                        Number(margin)
                    );
                    if (Math.Abs(m - l) > 0.05)
                    {
                        d.ShouldBe(m - l, 1e-9, $"{m} {l} {margin}");
                    }

                    static double Number(string text) => double.Parse(text.Split(' ')[0], CultureInfo.InvariantCulture);
                }
            );

    [Fact]
    public void A_printed_number_is_the_nearest_of_its_decimals_with_its_thousands_marked() =>
        Gen.Double[-5e9, 5e9]
            .Select(Gen.Double[-6, 0], (v, e) => v * Math.Pow(10, e))
            .Sample(value =>
            {
                var text = QuantityPrinter.Print(Figure.Number(value), UnitSystem.Metric);
                var read = double.Parse(text, NumberStyles.Number, CultureInfo.InvariantCulture);
                read.ShouldBe(value, 0.0005001 + Math.Abs(value) * 1e-15);
                (text == read.ToString("N3", CultureInfo.InvariantCulture)).ShouldBeTrue($"{value:R} as {text}");
            });

    [Fact]
    public void What_is_printed_reads_back() =>
        Gen.Select(Gen.Int[1, 4000], Gen.Enum<UnitSystem>())
            .Sample(
                (steps, system) =>
                {
                    // Eighths of an inch and whole millimetres are what is printed without loss.
                    var metres = system == UnitSystem.Us ? Length.FromInches(steps / 8.0).Metres : steps / 1000.0;
                    foreach (var dimension in new[] { Dimension.Thickness, Dimension.Span })
                    {
                        var exact = dimension == Dimension.Span && system == UnitSystem.Metric ? Math.Round(metres, 2) : metres;
                        var text = QuantityPrinter.Print(new(exact, dimension), system);
                        Read(text, new(0, 100, dimension), system).ShouldBe(exact, 1e-9, text);
                    }
                }
            );

    [Theory]
    [InlineData(Dimension.Thickness, 0.1397, "5 1/2 in", "140 mm")]
    [InlineData(Dimension.Thickness, 0.00635, "1/4 in", "6 mm")]
    [InlineData(Dimension.Span, 2.286, "7'6\"", "2.29 m")]
    [InlineData(Dimension.Span, 0.28575, "11 1/4\"", "0.29 m")]
    [InlineData(Dimension.Span, 0, "0'0\"", "0.00 m")]
    [InlineData(Dimension.Resistance, 3.5926, "R-20.4", "3.59 m²K/W")]
    [InlineData(Dimension.Temperature, 21.0, "69.8 °F", "21.0 °C")]
    [InlineData(Dimension.Temperature, 15.0, "59 °F", "15.0 °C")]
    [InlineData(Dimension.TemperatureDifference, 3.0, "5.4 °F", "3.0 K")]
    [InlineData(Dimension.Temperature, -0.01, "32 °F", "0.0 °C")]
    [InlineData(Dimension.Permeance, 38.62e-12, "0.675 perm", "38.6 ng/Pa·s·m²")]
    [InlineData(Dimension.Area, 92.903, "1,000 ft²", "92.9 m²")]
    [InlineData(Dimension.Duration, 4500, "1 h 15", "1 h 15")]
    [InlineData(Dimension.Percent, 0.01, "under 0.1 %", "under 0.1 %")]
    [InlineData(Dimension.Percent, 99.99, "over 99.9 %", "over 99.9 %")]
    [InlineData(Dimension.Percent, 0, "0 %", "0 %")]
    [InlineData(Dimension.Sets, 0.04, "0.04 sets", "0.04 sets")]
    [InlineData(Dimension.Sets, 1.04, "1.0 set", "1.0 set")]
    [InlineData(Dimension.HumidityPoints, 0.98, "1 point", "1 point")]
    [InlineData(Dimension.HumidityPoints, -1, "-1 point", "-1 point")]
    [InlineData(Dimension.HumidityPoints, 1.5, "1.5 points", "1.5 points")]
    [InlineData(Dimension.Transmittance, 0.2555, "U-0.0450", "0.256 W/m²K")]
    [InlineData(Dimension.Altitude, 180, "591 ft", "180 m")]
    [InlineData(Dimension.BearingPressure, 12_000, "1.7 psi", "12.0 kPa")]
    [InlineData(Dimension.Pitch, 0.75, "9:12", "37°")]
    public void Figures_print_as_the_trade_reads_them(Dimension dimension, double si, string us, string metric)
    {
        QuantityPrinter.Print(new(si, dimension), UnitSystem.Us).ShouldBe(us);
        QuantityPrinter.Print(new(si, dimension), UnitSystem.Metric).ShouldBe(metric);
    }

    [Fact]
    public void A_difference_of_temperatures_does_not_shift_by_32() => TemperatureDifference.FromKelvins(10).FahrenheitDegrees.ShouldBe(18);

    [Fact]
    public void Units_round_trip() =>
        Gen.Double[-50, 150]
            .Sample(celsius => Temperature.FromFahrenheit(Temperature.FromCelsius(celsius).Fahrenheit).Celsius.ShouldBe(celsius, 1e-9));

    [Fact]
    public void Unit_constants_are_the_published_ones()
    {
        Permeance.FromPerms(1).Nanograms.ShouldBe(57.2135, 1e-4);
        ThermalResistance.FromUsR(1).SquareMetreKelvinsPerWatt.ShouldBe(0.17611, 1e-5);
        FoamVolume.FromBoardFeet(1).CubicMetres.ShouldBe(0.0023597, 1e-7);
        (Area.FromSquareFeet(1) * Length.FromInches(1)).BoardFeet.ShouldBe(1, 1e-12);
    }

    private static double Read(string typed, FigureRange range, UnitSystem system)
    {
        var result = QuantityParser.Parse(typed, range, system);
        result.Fault.ShouldBeNull(typed);
        return result.Figure!.Value.Amount;
    }
}
