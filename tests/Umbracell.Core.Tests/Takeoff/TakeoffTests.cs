using CsCheck;
using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Xunit;

namespace Umbracell.Core.Tests.Takeoff;

public sealed class TakeoffTests
{
    [Theory]
    [InlineData(ShapeKind.Rectangle, "24' x 9'", 216)]
    [InlineData(ShapeKind.Gable, "24' at 9:12", 108)]
    [InlineData(ShapeKind.RoofPlane, "12' x 40' at 9:12", 600)]
    [InlineData(ShapeKind.Band, "196' x 11 1/4\"", 183.75)]
    [InlineData(ShapeKind.Bays, "14 x 22 1/2\" x 20'", 525)]
    [InlineData(ShapeKind.Box, "20' x 8' x 8'6", 636)]
    public void Areas_follow_from_what_is_called_out(ShapeKind kind, string size, double squareFeet) =>
        Shape(size, kind).Area.SquareFeet.ShouldBe(squareFeet, 1e-6);

    [Fact]
    public void A_shape_taken_as_another_keeps_its_area() =>
        Gen.Select(
                Gen.Enum<ShapeKind>(),
                Gen.Enum<ShapeKind>(),
                Gen.Double[0.5, 50],
                Gen.Double[0.5, 50],
                Gen.Double[0.05, 2],
                Gen.Int[1, 3]
            )
            .Sample(
                (from, to, a, b, pitch, count) =>
                {
                    var shape =
                        from == ShapeKind.Outline
                            ? Core.Takeoff.Shape.OfOutline([new(0, 0), new(a, 0), new(0, b)])
                            : new Shape
                            {
                                Kind = from,
                                First = Length.FromMetres(a),
                                Second = Length.FromMetres(b),
                                Third = Length.FromMetres(2),
                                Pitch = pitch,
                                Count = from == ShapeKind.Bays ? count : 1,
                            };
                    if (shape.As(to) is { } taken)
                    {
                        taken.Kind.ShouldBe(to);
                        taken.Area.SquareMetres.ShouldBe(shape.Area.SquareMetres, shape.Area.SquareMetres * 1e-12);
                    }

                    shape.As(from).ShouldBe(shape);
                }
            );

    [Fact]
    public void A_nine_in_twelve_plane_has_pitch_factor_a_quarter_over() => Core.Takeoff.Shape.PitchFactor(9 / 12.0).ShouldBe(1.25, 1e-12);

    [Fact]
    public void Openings_and_member_faces_come_off_and_ribs_go_on()
    {
        var openings = SizeText.ParseOpenings("2 x 3' x 4'; 36\" x 80\"", UnitSystem.Us).Openings.ShouldNotBeNull();
        var takeoff = SurfaceTakeoff.Of(Shape("20' x 10'", ShapeKind.Rectangle), openings, 2, 0.25, 1.1);
        takeoff.Gross.SquareFeet.ShouldBe(400, 1e-9);
        takeoff.Openings.SquareFeet.ShouldBe(88, 1e-9);
        takeoff.Treated.SquareFeet.ShouldBe(312, 1e-9);
        takeoff.Developed.SquareFeet.ShouldBe(312 * 0.75 * 1.1, 1e-9);
        takeoff.OpeningsExceedSurface.ShouldBeFalse();
    }

    [Fact]
    public void The_sum_of_a_takeoff_can_be_followed()
    {
        var takeoff = SurfaceTakeoff.Of(
            Shape("20' x 10'", ShapeKind.Rectangle),
            [new(1, Length.FromFeet(3), Length.FromFeet(7))],
            3,
            0.1,
            1
        );
        double Term(string symbol) => takeoff.Working.Terms.Single(t => t.Symbol == symbol).Value.Amount;
        ((Term("A_gross") - Term("A_openings")) * (1 - Term("f")) * Term("k")).ShouldBe(takeoff.Working.Result.Amount, 1e-12);
    }

    [Fact]
    public void Openings_larger_than_the_wall_are_a_hold()
    {
        var takeoff = SurfaceTakeoff.Of(Shape("10' x 8'", ShapeKind.Rectangle), [new(1, Length.FromFeet(10), Length.FromFeet(9))], 1, 0, 1);
        var finding = SurveyCheck.Of(new(SurfaceKind.StudWall, takeoff, null, true))[0];
        finding.Case.Name.ShouldBe("openingsExceed");
        finding.Verdict.ShouldBe(Verdict.Hold);
    }

    [Fact]
    public void An_open_leak_holds_and_unread_moisture_asks_for_care()
    {
        var takeoff = SurfaceTakeoff.Of(Shape("10' x 8'", ShapeKind.Rectangle), [], 1, 0, 1);
        SurveyCheck.Of(new(SurfaceKind.StudWall, takeoff, "flashing", true)).Worst().ShouldBe(Verdict.Hold);
        SurveyCheck.Of(new(SurfaceKind.StudWall, takeoff, null, false)).Worst().ShouldBe(Verdict.Care);
        SurveyCheck.Of(new(SurfaceKind.StudWall, takeoff, null, true)).Worst().ShouldBe(Verdict.Clear);
        SurveyCheck.Of(new(SurfaceKind.StudWall, null, null, true)).Worst().ShouldBe(Verdict.Hold);
    }

    [Theory]
    [InlineData("24'", 1)]
    [InlineData("24' x 9' x 3'", 0)]
    [InlineData("", 2)]
    public void A_size_with_the_wrong_number_of_parts_says_which_are_missing(string typed, int missing)
    {
        var result = SizeText.ParseShape(typed, ShapeKind.Rectangle, UnitSystem.Us);
        result.Shape.ShouldBeNull();
        result.Missing.Count.ShouldBe(missing);
    }

    [Fact]
    public void More_corners_or_openings_than_are_read_are_told_of_and_none_is_read()
    {
        static string Round(int corners) =>
            string.Join(
                "; ",
                Enumerable.Range(0, corners).Select(i => Tau(i, corners)).Select(a => $"{9 * Math.Cos(a):F3} x {9 * Math.Sin(a):F3}")
            );
        static double Tau(int i, int of) => i * Math.Tau / of;
        static string Windows(int count) => string.Join("; ", Enumerable.Repeat("1 x 1", count));

        SizeText.ParseShape(Round(SizeText.MostCorners), ShapeKind.Outline, UnitSystem.Metric).Shape.ShouldNotBeNull();
        var tooRound = SizeText.ParseShape(Round(SizeText.MostCorners + 1), ShapeKind.Outline, UnitSystem.Metric);
        (tooRound.Shape, tooRound.TooMany).ShouldBe((null, true));
        SizeText.ParseOpenings(Windows(SizeText.MostOpenings), UnitSystem.Metric).Openings!.Count.ShouldBe(SizeText.MostOpenings);
        var tooMany = SizeText.ParseOpenings(Windows(SizeText.MostOpenings + 1), UnitSystem.Metric);
        (tooMany.Openings, tooMany.TooMany).ShouldBe((null, true));
    }

    [Fact]
    public void A_slip_in_a_part_is_named()
    {
        var result = SizeText.ParseShape("24' x 9 kg", ShapeKind.Rectangle, UnitSystem.Us);
        result.Part.ShouldNotBeNull().Fault.ShouldBe(TypingFault.WrongUnit);
        SizeText.ParseShape("-4' x 9'", ShapeKind.Rectangle, UnitSystem.Us).Part!.Fault.ShouldBe(TypingFault.OutOfRange);
        SizeText.ParseOpenings("2 x 900' x 4'", UnitSystem.Us).Part!.Fault.ShouldBe(TypingFault.OutOfRange);
    }

    [Fact]
    public void A_printed_size_reads_back_in_either_system() =>
        Gen.Select(Gen.Enum<ShapeKind>(), Gen.Int[1, 900], Gen.Int[1, 900], Gen.Int[1, 900], Gen.Int[1, 24])
            .Sample(
                (kind, a, b, c, rise) =>
                {
                    // Whole inches survive the print in feet and inches exactly.
                    var hasPitch = kind is ShapeKind.Gable or ShapeKind.RoofPlane;
                    var shape =
                        kind == ShapeKind.Outline
                            ? Core.Takeoff.Shape.OfOutline([
                                new(0, 0),
                                new(Length.FromInches(a).Metres, 0),
                                new(0, Length.FromInches(b).Metres),
                            ])
                            : new Shape
                            {
                                Kind = kind,
                                First = Length.FromInches(a),
                                Second = kind == ShapeKind.Gable ? Length.Zero : Length.FromInches(b),
                                Third = kind == ShapeKind.Box ? Length.FromInches(c) : Length.Zero,
                                Pitch = hasPitch ? rise / 12.0 : 0,
                                Count = kind == ShapeKind.Bays ? 7 : 1,
                            };
                    var read = SizeText.ParseShape(SizeText.Print(shape, UnitSystem.Us), kind, UnitSystem.Us).Shape.ShouldNotBeNull();
                    read.Area.SquareMetres.ShouldBe(shape.Area.SquareMetres, shape.Area.SquareMetres * 1e-9 + 1e-12);
                }
            );

    private static Shape Shape(string size, ShapeKind kind) => SizeText.ParseShape(size, kind, UnitSystem.Us).Shape.ShouldNotBeNull();
}
