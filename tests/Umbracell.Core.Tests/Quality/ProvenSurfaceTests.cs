using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Quality;
using Umbracell.Core.Quantities;
using Umbracell.Core.Spraying;
using Xunit;

namespace Umbracell.Core.Tests.Quality;

/// <summary>What was read, seen and found on a surface, by its log.</summary>
public sealed class ProvenSurfaceTests
{
    private static readonly DateTimeOffset Morning = new(2026, 11, 23, 8, 0, 0, TimeSpan.Zero);

    private int _minute;

    [Fact]
    public void Depths_count_once_the_planned_lifts_are_on()
    {
        LogEntry[] log =
        [
            Said(LogEntryKind.LiftBegun),
            Said(LogEntryKind.LiftEnded),
            Read(38),
            Said(LogEntryKind.LiftBegun),
            Said(LogEntryKind.LiftEnded),
            Read(76),
        ];
        Millimetres(log, planned: 2).ShouldBe([76]);

        // Of foam that is still to come nothing is proven, unless somebody called the surface finished as it is.
        Millimetres(log[..3], planned: 2).ShouldBeEmpty();
        ProvenSurface.Of(log[..3], 2).IsWhole.ShouldBeFalse();
        Millimetres([.. log[..3], Said(LogEntryKind.Finished)], planned: 2).ShouldBe([38]);
        Millimetres([.. log[..3], Said(LogEntryKind.Finished), Said(LogEntryKind.Reopened)], planned: 2).ShouldBeEmpty();
    }

    [Fact]
    public void A_lift_added_at_a_thin_place_leaves_the_other_places_as_they_were()
    {
        var (lift, thin) = (Said(LogEntryKind.LiftBegun), Read(60, place: 2));
        LogEntry[] log = [lift, Read(76, place: 1), thin, Said(LogEntryKind.LiftBegun), Read(80, place: 2), Read(82, again: thin.Id)];
        Millimetres(log, planned: 1).Order().ShouldBe([76, 82]);
    }

    [Fact]
    public void Numbers_are_of_the_draw_they_were_read_by()
    {
        LogEntry[] log =
        [
            Said(LogEntryKind.LiftBegun),
            Read(70, place: 1),
            Said(LogEntryKind.PlacesDrawn, new() { Seed = 5 }),
            Read(80, place: 1),
        ];
        var told = ProvenSurface.Of(log, 1);
        told.Seed.ShouldBe(5);
        told.Readings.Select(one => (one.Depth.Millimetres, one.Spot?.Number)).ShouldBe([(70, null), (80, 1)]);
    }

    [Fact]
    public void A_defect_is_closed_by_who_looks_again_after_it_was_repaired()
    {
        var found = Said(LogEntryKind.Defect, new() { Defect = DefectKind.Void });
        State(found, Recheck(found, true)).ShouldBe(DefectState.Open);
        State(found, Repair(found, RepairWay.CutAndSprayed)).ShouldBe(DefectState.Repaired);
        State(found, Repair(found, RepairWay.CutAndSprayed), Recheck(found, true)).ShouldBe(DefectState.Closed);
        State(found, Repair(found, RepairWay.CutAndSprayed), Recheck(found, false)).ShouldBe(DefectState.Open);
        State(found, Repair(found, RepairWay.CutAndSprayed), Recheck(found, false), Repair(found, RepairWay.Board), Recheck(found, true))
            .ShouldBe(DefectState.Closed);
    }

    [Fact]
    public void Foam_that_did_not_react_one_to_one_comes_out()
    {
        var found = Said(LogEntryKind.Defect, new() { Defect = DefectKind.OffRatio });
        foreach (var way in Enum.GetValues<RepairWay>())
        {
            State(found, Repair(found, way), Recheck(found, true))
                .ShouldBe(way == RepairWay.Replaced ? DefectState.Closed : DefectState.Open, $"{way}");
        }
    }

    [Fact]
    public void Nothing_is_covered_before_everything_was_seen_and_signed()
    {
        var list = Inspection.Of(SurfaceKind.StudWall, isShaved: true);
        List<LogEntry> log = [Said(LogEntryKind.LiftBegun), Read(60), .. list.Select(Inspected)];
        Cover(log, list).ShouldBe(["unsigned"]);
        log.Add(Said(LogEntryKind.SignedOff, new() { Signature = new("J. Doe", "inspector") }));
        Cover(log, list).ShouldBe(["signed"]);

        var found = Said(LogEntryKind.Defect, new() { Defect = DefectKind.Crack });
        log.Add(found);
        Cover(log, list).ShouldBe(["defects"]);
        log.Add(Repair(found, RepairWay.CutAndSprayed));
        Cover(log, list).ShouldBe(["defects"]);
        log.Add(Recheck(found, true));
        Cover(log, list).ShouldBe(["signed"]);

        // What is sprayed on is seen and signed again.
        log.Add(Said(LogEntryKind.LiftBegun));
        Cover(log, list).ShouldBe(["unseen", "unsigned"], ignoreOrder: true);
    }

    [Theory]
    [InlineData(50, 50.5, "true")]
    [InlineData(50, 51.5, "true")]
    [InlineData(50, 52, "off")]
    [InlineData(50, 48, "off")]
    public void A_probe_is_held_to_a_block(double block, double read, string ends)
    {
        LogEntry[] log =
        [
            Said(LogEntryKind.LiftBegun),
            Said(LogEntryKind.ProbeChecked, new() { Block = Length.FromMillimetres(block) }) with
            {
                Depth = Length.FromMillimetres(read),
            },
            Read(60),
        ];
        ProofFindings.ReadingsOf(ProvenSurface.Of(log, 1)).ShouldContain(one => one.Rule.Id == "probeChecked" && one.Case.Name == ends);
    }

    [Fact]
    public void Depths_of_a_surface_that_was_never_sprayed_are_told_of()
    {
        var told = ProvenSurface.Of([Read(60)], 1);
        told.Readings.Count.ShouldBe(1);
        ProofFindings.ReadingsOf(told).ShouldContain(one => one.Case.Name == "unsprayed");
    }

    [Theory]
    [InlineData(32.04, "dense")]
    [InlineData(28.8, "light")]
    [InlineData(35.3, "heavy")]
    public void Density_is_held_to_the_sheet(double density, string ends) =>
        SampleOf(new() { Kind = SampleKind.Density, Density = Density.FromKilogramsPerCubicMetre(density) }).ShouldBe(ends);

    [Theory]
    [InlineData(FailedIn.Foam, "pulled")]
    [InlineData(FailedIn.Substrate, "pulled")]
    [InlineData(FailedIn.Face, "faceFailed")]
    public void A_pull_says_most_by_where_it_gave_way(FailedIn failed, string ends) =>
        SampleOf(
                new()
                {
                    Kind = SampleKind.Adhesion,
                    Pull = BearingPressure.FromKilopascals(120),
                    FailedIn = failed,
                }
            )
            .ShouldBe(ends);

    [Theory]
    [InlineData(150, FailedIn.Face, "holds")]
    [InlineData(120, FailedIn.Face, "lets")]
    [InlineData(120, FailedIn.Glue, "glue")]
    public void Where_the_sheet_gives_a_least_pull_it_decides(double kPa, FailedIn failed, string ends) =>
        SampleOf(
                new()
                {
                    Kind = SampleKind.Adhesion,
                    Pull = BearingPressure.FromKilopascals(kPa),
                    FailedIn = failed,
                },
                BearingPressure.FromKilopascals(138)
            )
            .ShouldBe(ends);

    [Fact]
    public void Causes_the_log_shows_go_before_those_that_are_only_usual()
    {
        DefectCauses.Of(DefectKind.Void, hotLifts: false, heldGate: false)[0].ShouldBe(DefectCause.Gun);
        DefectCauses.Of(DefectKind.Void, hotLifts: true, heldGate: false)[0].ShouldBe(DefectCause.LiftHeat);
        foreach (var kind in Enum.GetValues<DefectKind>())
        {
            DefectCauses.Of(kind, false, false).ShouldNotBeEmpty();
        }
    }

    private static string SampleOf(SampleSaid sample, BearingPressure? least = null)
    {
        var surface = ProvenSurface.Of([], 1) with { Samples = [new(Guid.NewGuid(), Morning, sample)] };
        return ProofFindings.SamplesOf(surface, Sheets.ClosedCell with { LeastPull = least }).Single().Case.Name;
    }

    private static string[] Cover(IEnumerable<LogEntry> log, IReadOnlyList<InspectionItem> list) =>
        [.. ProofFindings.CoverOf(ProvenSurface.Of(log, 1), list).Select(one => one.Case.Name)];

    private static DefectState State(params LogEntry[] log) => FoundDefect.Of(SprayLog.InForce(log)).Single().State;

    private static IEnumerable<double> Millimetres(LogEntry[] log, int planned) =>
        ProvenSurface.Of(log, planned).Readings.Select(one => Math.Round(one.Depth.Millimetres, 6));

    private LogEntry Inspected(InspectionItem item) => Said(LogEntryKind.Inspected, new() { Item = item });

    private LogEntry Repair(LogEntry of, RepairWay way) => Said(LogEntryKind.DefectRepaired, new() { Repair = way }) with { Of = of.Id };

    private LogEntry Recheck(LogEntry of, bool sound) => Said(LogEntryKind.DefectRechecked, new() { Passed = sound }) with { Of = of.Id };

    private LogEntry Read(double mm, int? place = null, Guid? again = null) =>
        Said(
            LogEntryKind.Depth,
            place is null && again is null ? null : new() { Spot = place is null ? null : new(place, PlaceKind.Area, null), Again = again }
        ) with
        {
            Depth = Length.FromMillimetres(mm),
        };

    private LogEntry Said(LogEntryKind kind, ProofSaid? said = null)
    {
        var at = Morning.AddMinutes(_minute++);
        return new()
        {
            Id = Guid.CreateVersion7(),
            Kind = kind,
            At = at,
            SaidAt = at,
            Proof = said,
        };
    }
}
