using CsCheck;
using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Quantities;
using Umbracell.Core.Tests.Choosing;
using Xunit;

namespace Umbracell.Core.Tests.Assemblies;

public sealed class FramingDepthTests
{
    [Fact]
    public void The_depth_to_order_is_the_least_that_meets_the_target() =>
        Gen.Double[0.03, 0.12]
            .Sample(
                u =>
                {
                    var section = Walls.Section(SurfaceKind.StudWall, targetU: u) with
                    {
                        Fill = [new FoamFill(Sheets.OpenCell, Length.FromInches(4))],
                    };
                    if (FramingDepth.ForTarget(section) is not { } depth)
                    {
                        return;
                    }

                    double At(Length members) =>
                        SectionHeat.Of((section with { Members = section.Members with { Depth = members } }).WithFoam(members)).WholeU.UsU;
                    At(depth).ShouldBeLessThanOrEqualTo(u + 1e-12);
                    At(depth - section.Step).ShouldBeGreaterThan(u);
                },
                iter: 50
            );

    [Fact]
    public void Hard_foam_is_ordered_half_an_inch_of_room()
    {
        var section = Walls.Section(SurfaceKind.StudWall, targetU: 0.05) with
        {
            Fill = [new FoamFill(Sheets.ClosedCell, Length.FromInches(2))],
        };
        var depth = FramingDepth.ForTarget(section)!.Value;
        SectionHeat
            .Of((section with { Members = section.Members with { Depth = depth } }).WithFoam(depth - Length.FromInches(0.5)))
            .WholeU.UsU.ShouldBeLessThanOrEqualTo(0.05);
        FramingDepth.ForTarget(section with { Target = null }).ShouldBeNull();
    }

    [Fact]
    public void Channels_and_baffles_of_any_height_leave_an_answer_or_none() =>
        Gen.Select(Gen.Int[0, 40], Gen.Int[0, 12], Gen.Double[0.02, 0.1])
            .Sample(
                (channel, baffle, u) =>
                {
                    // Heights on the very steps the depth is sought in, where what is left may be nothing but a rounding.
                    var section = Walls.Section(SurfaceKind.VentedRafters, depthInches: 14, targetU: u) with
                    {
                        VentChannel = Length.FromInches(0.25 * channel),
                        Baffle = baffle > 0 ? new(Walls.Make("plywood", 0.115, 0.35), Length.FromInches(0.25 * baffle)) : null,
                        Fill = [new FoamFill(Sheets.ClosedCell, Length.FromInches(2))],
                    };
                    if (FramingDepth.ForTarget(section) is { } depth)
                    {
                        depth.Inches.ShouldBeGreaterThan(0.25 * (channel + baffle) + 0.5);
                    }
                }
            );

    [Fact]
    public void Each_further_inch_is_worth_less_than_the_one_before()
    {
        var lines = InchLedger.Of(
            Walls.Section(SurfaceKind.StudWall) with
            {
                Fill = [new FoamFill(Sheets.OpenCell, Length.FromInches(4))],
            }
        );
        lines.Count.ShouldBe(7);
        lines.Zip(lines.Skip(1)).ShouldAllBe(p => p.Second.Further < p.First.Further && p.Second.Cut > p.First.Cut);
        lines.Sum(l => l.Further).ShouldBe(lines[^1].Cut, 1e-12);
    }
}
