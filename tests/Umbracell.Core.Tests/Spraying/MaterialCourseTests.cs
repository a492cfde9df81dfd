using CsCheck;
using Shouldly;
using Umbracell.Core.Quantities;
using Umbracell.Core.Spraying;
using Umbracell.Core.Yield;
using Xunit;

namespace Umbracell.Core.Tests.Spraying;

/// <summary>How material lasts at a job: foam that is planned, on and to come add up, and a level is of the foam there was when it was
/// read.</summary>
public sealed class MaterialCourseTests
{
    private const string Foam = "closed";

    // 50 m² at 75 mm in three lifts: 3.75 m³.
    private const double AreaM2 = 50,
        DepthM = 0.075;

    private const int Lifts = 3;

    private static readonly DateTimeOffset Morning = new(2026, 11, 23, 8, 0, 0, TimeSpan.Zero);

    private static readonly FoamVolume Set = FoamVolume.FromCubicMetres(8);

    [Fact]
    public void Foam_that_is_on_and_foam_to_come_make_what_was_planned() =>
        Gen.Int[0, Lifts]
            .Sample(on =>
            {
                var course = Of(Surface(Wall(on)));
                course.Sprayed.CubicMetres.ShouldBe(AreaM2 * DepthM * on / Lifts, 1e-9);
                (course.Sprayed + course.Left).CubicMetres.ShouldBe(course.Planned.CubicMetres, 1e-9);
            });

    [Fact]
    public void Where_depth_was_read_it_counts_and_a_finished_surface_takes_no_more()
    {
        var deep = Wall(2).Append(Depth(60)).ToArray();
        Of(Surface(deep)).Sprayed.CubicMetres.ShouldBe(AreaM2 * 0.060, 1e-9);
        Of(Surface(deep)).Left.CubicMetres.ShouldBe(AreaM2 * 0.015, 1e-9);
        Of(Surface([.. deep, Said(LogEntryKind.Finished, 300)])).Left.CubicMetres.ShouldBe(0);

        // After the planned lifts what is missing to the specification is to come, and nothing where it is reached.
        Of(Surface([.. Wall(Lifts), Depth(64)])).Left.CubicMetres.ShouldBe(AreaM2 * 0.006, 1e-9);
        Of(Surface([.. Wall(Lifts), Depth(71)])).Left.CubicMetres.ShouldBe(0);
    }

    [Fact]
    public void A_level_read_while_a_lift_runs_or_after_it_tells_the_same_yield() =>
        Gen.Select(Gen.Double[0, 1], Gen.Double[6, 11])
            .Sample(
                (through, yield) =>
                {
                    // The second lift runs from minute 60 to 80: read at any moment of it, the drum has given what the foam till then took.
                    var foam = AreaM2 * DepthM / Lifts * (1 + through);
                    var level = 1 - foam / yield;
                    var course = Of(Surface(Wall(2)), [Opened(SetSide.A), Opened(SetSide.B), .. Level(60 + 20 * through, level)]);
                    course.Yield.Actual!.Value.CubicMetres.ShouldBe(yield, 1e-6);
                    course.Used.ShouldBe(course.Sprayed / FoamVolume.FromCubicMetres(yield), 1e-9);
                    course.Sides[0].OnHand.ShouldBe(3 + 1 - course.Used, 1e-9);
                }
            );

    [Fact]
    public void A_level_read_while_a_lift_runs_that_nobody_has_ended_waits_for_its_end()
    {
        var running = Wall(1).Append(Said(LogEntryKind.LiftBegun, 60)).ToArray();
        var course = Of(Surface(running), [Opened(SetSide.A), Opened(SetSide.B), .. Level(40, 0.9), .. Level(70, 0.6)]);
        course.Yield.Actual!.Value.CubicMetres.ShouldBe(AreaM2 * DepthM / Lifts / 0.1, 1e-9);

        // What is in the drum is what was read last.
        course.Sides[0].OnHand.ShouldBe(3.6, 1e-9);
    }

    [Fact]
    public void A_level_read_a_moment_after_the_trigger_was_pulled_is_no_rate() =>
        Gen.Double[0, 0.02]
            .Sample(minutes =>
            {
                // A twentieth of a drum was purged, and next to nothing is on: the rest is taken as it was expected.
                var course = Of(Surface(Wall(2)), [Opened(SetSide.A), Opened(SetSide.B), .. Level(minutes, 0.95)]);
                course.Used.ShouldBe(0.05 + course.Sprayed / Set, 0.001);
                course.Yield.Expected.CubicMetres.ShouldBeInRange(0.8 * Set.CubicMetres, Set.CubicMetres);
            });

    [Fact]
    public void Of_two_products_in_the_same_lifts_each_has_its_share_of_foam_and_time()
    {
        // The first 1.25 m³ are of a cold grade; two of three lifts are on.
        var cold = Surface(Wall(2)) with
        {
            Planned = FoamVolume.FromCubicMetres(1.25),
            After = FoamVolume.FromCubicMetres(2.5),
        };
        var standard = cold with { Planned = cold.After, Before = cold.Planned, After = default };
        Of(cold).Sprayed.CubicMetres.ShouldBe(1.25, 1e-9);
        Of(standard).Sprayed.CubicMetres.ShouldBe(1.25, 1e-9);
        Of(cold).Left.CubicMetres.ShouldBe(0, 1e-9);
        Of(standard).Left.CubicMetres.ShouldBe(1.25, 1e-9);
        (Of(cold).Trigger + Of(standard).Trigger).TotalMinutes.ShouldBe(40, 1e-6);
        Of(standard with { Log = Surface(Wall(1)).Log }).Sprayed.CubicMetres.ShouldBe(0, 1e-9);
    }

    [Fact]
    public void A_drum_that_is_opened_after_another_has_followed_an_empty_one_and_one_of_another_product_is_none_of_it()
    {
        LogEntry[] drums = [Opened(SetSide.A), Opened(SetSide.B), Opened(SetSide.A, 90), .. Level(95, 0.5)];
        var course = Of(Surface(Wall(2)), drums);
        course.Sides.Select(side => side.Used).ShouldBe([1.5, 0.5]);
        course.Yield.Scarcer.ShouldBe(SetSide.A, "both have half a drum open, and the store holds as many of each");
        var other = drums.Select(one => one with { Id = Guid.NewGuid(), Sheet = "other" });
        Of(Surface(Wall(2)), [.. drums, .. other]).Sides.ShouldBe(course.Sides);
    }

    [Fact]
    public void What_is_on_the_truck_counts_before_the_store_and_goes_down_with_each_drum_that_is_opened()
    {
        LogEntry[] drums = [Opened(SetSide.A), Opened(SetSide.B), Said(LogEntryKind.DrumsOnTruck, 2) with { Side = SetSide.A, Count = 2 }];
        Of(Surface([]), drums).Sides.Select(side => (side.OnHand, side.IsOfTruck)).ShouldBe([(3, true), (4, false)]);
        Of(Surface([]), [.. drums, Opened(SetSide.A, 90)]).Sides[0].OnHand.ShouldBe(2);
    }

    [Fact]
    public void The_less_is_left_the_less_it_yields_and_the_sooner_it_runs_short() =>
        Gen.Select(Gen.Double[0.05, 0.9], Gen.Double[0.02, 0.04])
            .Sample(
                (left, less) =>
                {
                    MaterialCourse At(double level) => Of(Surface(Wall(2)), [Opened(SetSide.A), Opened(SetSide.B), .. Level(85, level)]);
                    var (more, fewer) = (At(left), At(left - less));
                    fewer.Yield.Expected.CubicMetres.ShouldBeLessThan(more.Yield.Expected.CubicMetres);
                    fewer.Yield.SetsLeft.ShouldBeGreaterThan(more.Yield.SetsLeft);
                    fewer.Yield.ChanceShort.ShouldBeGreaterThanOrEqualTo(more.Yield.ChanceShort);
                    fewer.LastsFor!.Value.ShouldBeLessThan(more.LastsFor!.Value);
                }
            );

    [Fact]
    public void It_lasts_as_long_as_it_says_at_the_pace_so_far()
    {
        // Two lifts took 40 minutes and 2.5 m³.
        var course = Of(Surface(Wall(2)), [Opened(SetSide.A), Opened(SetSide.B), .. Level(85, 0.5)]);
        course.Trigger.ShouldBe(TimeSpan.FromMinutes(40));
        var minutes = course.Sides[0].OnHand * course.Yield.Expected.CubicMetres / (course.Sprayed.CubicMetres / 40);
        course.LastsFor!.Value.TotalMinutes.ShouldBe(minutes, 1e-6);
    }

    [Fact]
    public void Causes_are_what_the_yield_itself_makes_of_what_was_found_the_greatest_first()
    {
        var planned = new YieldConditions(Temperature.FromCelsius(20), Temperature.FromCelsius(21), Length.FromMillimetres(50), null);
        var found = planned with { Substrate = Temperature.FromCelsius(8), Lift = Length.FromMillimetres(20) };
        var causes = YieldCause.Of(
            new()
            {
                Sheet = Sheets.ClosedCell,
                Planned = planned,
                Substrate = found.Substrate,
                Drums = Temperature.FromCelsius(21),
                Lift = found.Lift,
                UsedA = 2,
                UsedB = 1.6,
            },
            isUnder: true
        );
        causes[^1].Kind.ShouldBe(YieldCauseKind.Area);
        var told = causes.SkipLast(1).ToList();
        told.Select(cause => -cause.Share!.Value).ShouldBeInOrder(SortDirection.Descending);
        told.ShouldAllBe(cause => cause.Share < 0);
        told.Select(cause => cause.Kind)
            .ShouldBe([YieldCauseKind.Substrate, YieldCauseKind.Lifts, YieldCauseKind.Ratio], ignoreOrder: true);
        var both = told.Where(cause => cause.Kind != YieldCauseKind.Ratio).Aggregate(1.0, (all, cause) => all * (1 + cause.Share!.Value));
        both.ShouldBe(SetYield.For(Sheets.ClosedCell, found).Expected / SetYield.For(Sheets.ClosedCell, planned).Expected, 1e-9);

        // A yield over what was planned has none of these.
        YieldCause
            .Of(
                new()
                {
                    Sheet = Sheets.ClosedCell,
                    Planned = planned,
                    Substrate = found.Substrate,
                },
                isUnder: false
            )
            .ShouldHaveSingleItem()
            .Kind.ShouldBe(YieldCauseKind.Area);

        // At an open face the wind is looked at though nobody read it.
        var open = planned with
        {
            WindAtOpenFace = Speed.FromMetresPerSecond(3),
        };
        YieldCause
            .Of(new() { Sheet = Sheets.ClosedCell, Planned = open }, isUnder: true)
            .Select(cause => (cause.Kind, cause.Share))
            .ShouldBe([(YieldCauseKind.Wind, null), (YieldCauseKind.Area, null)]);
    }

    private static MaterialCourse Of(CoveredSurface surface, params LogEntry[] drums) =>
        MaterialCourse.Of(
            new()
            {
                Sheet = Foam,
                Surfaces = [surface],
                Entries = drums,
                Expected = Set,
                Sd = 0.09,
                StoreA = 3,
                StoreB = 3,
            }
        );

    private static CoveredSurface Surface(IReadOnlyList<LogEntry> log) =>
        new()
        {
            Planned = Area.FromSquareMetres(AreaM2) * Length.FromMetres(DepthM),
            MeanDepth = Length.FromMetres(DepthM),
            Specified = Length.FromMetres(0.070),
            Lifts = Lifts,
            Log = SprayedSurface.Of(log),
        };

    // A lift an hour from the first on, of twenty minutes each.
    private static LogEntry[] Wall(int lifts) =>
        [
            .. Enumerable
                .Range(0, lifts)
                .SelectMany(i => new[] { Said(LogEntryKind.LiftBegun, 60 * i), Said(LogEntryKind.LiftEnded, 60 * i + 20) }),
        ];

    private static LogEntry Depth(double mm) => Said(LogEntryKind.Depth, 200) with { Depth = Length.FromMillimetres(mm) };

    private static LogEntry Opened(SetSide side, double at = -5) =>
        Said(LogEntryKind.DrumOpened, at) with
        {
            Side = side,
            Lot = "first",
            Sheet = Foam,
        };

    private static LogEntry[] Level(double at, double left) =>
        [
            .. new[] { SetSide.A, SetSide.B }.Select(side =>
                Said(LogEntryKind.DrumLevel, at) with
                {
                    Side = side,
                    Left = left,
                    Sheet = Foam,
                }
            ),
        ];

    private static LogEntry Said(LogEntryKind kind, double minutes) =>
        new()
        {
            Id = Guid.NewGuid(),
            Kind = kind,
            At = Morning.AddMinutes(minutes),
            SaidAt = Morning.AddMinutes(minutes),
        };
}
