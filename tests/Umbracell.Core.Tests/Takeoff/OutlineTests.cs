using CsCheck;
using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Xunit;

namespace Umbracell.Core.Tests.Takeoff;

public sealed class OutlineTests
{
    [Fact]
    public void A_gable_drawn_as_an_outline_has_the_area_of_the_gable()
    {
        var typed = SizeText.ParseShape("0 x 0; 24' x 0; 12' x 9'", ShapeKind.Outline, UnitSystem.Us);
        typed.Shape!.Area.SquareFeet.ShouldBe(108, 1e-9);
    }

    [Fact]
    public void Area_does_not_depend_on_where_the_outline_starts_or_which_way_round_it_goes() =>
        Gen.Select(Gen.Double[1, 20], Gen.Double[1, 20], Gen.Double[-50, 50], Gen.Double[-50, 50], Gen.Int[0, 3])
            .Sample(
                (w, h, x, y, turn) =>
                {
                    List<Corner> corners = [new(x, y), new(x + w, y), new(x + w, y + h), new(x, y + h)];
                    var turned = corners.Skip(turn).Concat(corners.Take(turn)).Reverse().ToList();
                    return Math.Abs(Outlines.AreaOf(turned).SquareMetres - w * h) < 1e-6;
                }
            );

    [Theory]
    [InlineData("0 x 0; 4 x 4; 4 x 0; 0 x 4")]
    [InlineData("0 x 0; 4 x 0")]
    [InlineData("0 x 0; 4 x 0; 8 x 0")]
    [InlineData("0 x 0; 4; 8 x 1")]
    public void An_outline_that_crosses_itself_or_encloses_nothing_is_refused(string text) =>
        SizeText.ParseShape(text, ShapeKind.Outline, UnitSystem.Metric).Shape.ShouldBeNull();

    [Fact]
    public void What_is_cut_off_and_what_is_left_add_up_to_the_whole() =>
        Gen.Select(Gen.Double[1, 30], Gen.Double[1, 30], Gen.Double[0.05, 0.95], Gen.Int[0, 2])
            .Sample(
                (a, b, share, which) =>
                {
                    var kind = new[] { ShapeKind.Rectangle, ShapeKind.RoofPlane, ShapeKind.Band }[which];
                    var shape = new Shape
                    {
                        Kind = kind,
                        First = Length.FromMetres(a),
                        Second = Length.FromMetres(b),
                        Third = default,
                        Pitch = kind == ShapeKind.RoofPlane ? 0.75 : 0,
                        Count = 1,
                    };
                    return ShapeSplit
                        .Along(kind)
                        .All(part =>
                        {
                            var (first, rest) = ShapeSplit.Cut(shape, part, Length.FromMetres(shape[part].Amount * share));
                            return Math.Abs((first.Area + rest.Area - shape.Area).SquareMetres) < 1e-9;
                        });
                }
            );

    [Fact]
    public void A_cut_outside_the_surface_is_refused() =>
        Should.Throw<QuantityRangeException>(() =>
            ShapeSplit.Cut(
                new()
                {
                    Kind = ShapeKind.Rectangle,
                    First = Length.FromMetres(4),
                    Second = Length.FromMetres(3),
                    Third = default,
                    Pitch = 0,
                    Count = 1,
                },
                SizePart.Height,
                Length.FromMetres(3.5)
            )
        );

    [Fact]
    public void What_is_missing_says_what_it_blocks()
    {
        var findings = SurveyCheck.Of(
            new(SurfaceKind.OverheadDoor, null, "over the rail", false) { Asked = [DetailField.DoorSpare, DetailField.Access] }
        );
        findings.Single(f => f.Rule.Id == "size").Case.Blocks.ShouldBe(Stage.Sets);
        findings.Single(f => f.Rule.Id == "missing").Case.Name.ShouldBe("doorSpare");
        findings.Single(f => f.Rule.Id == "moisture").Case.Blocks.ShouldBe(Stage.Window);
        findings[0].Verdict.ShouldBe(Verdict.Hold);
        var known = SurveyCheck.Of(
            new(SurfaceKind.OverheadDoor, null, null, true)
            {
                Asked = [DetailField.DoorSpare],
                Details = new() { DoorSpare = Mass.FromKilograms(20) },
            }
        );
        known.ShouldNotContain(f => f.Rule.Id == "missing");
    }

    [Fact]
    public void Balloon_framing_is_flagged_as_open_to_the_attic()
    {
        IReadOnlyList<Finding> Check(bool? balloon) =>
            SurveyCheck.Of(
                new(SurfaceKind.BandJoist, null, null, true)
                {
                    Asked = [DetailField.BalloonFramed],
                    Details = new() { BalloonFramed = balloon },
                }
            );
        Check(true).ShouldContain(f => f.Rule.Id == "balloon");
        Check(false).ShouldNotContain(f => f.Rule.Id == "balloon" || f.Rule.Id == "missing");
        Check(null).ShouldContain(f => f.Rule.Id == "missing" && f.Case.Name == "balloonFramed");
    }
}
