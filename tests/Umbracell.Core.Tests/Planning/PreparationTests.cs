using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Planning;
using Umbracell.Core.Takeoff;
using Xunit;

namespace Umbracell.Core.Tests.Planning;

public sealed class PreparationTests
{
    [Theory]
    [InlineData(SurfaceKind.WallOutside, PreparationItem.PenetrationsSealed)]
    [InlineData(SurfaceKind.StudWall, PreparationItem.StudsTrued)]
    [InlineData(SurfaceKind.LowSlopeRoof, PreparationItem.WetPartsOut)]
    [InlineData(SurfaceKind.LowSlopeRoof, PreparationItem.Washed)]
    [InlineData(SurfaceKind.UnventedDeck, PreparationItem.VentsClosed)]
    [InlineData(SurfaceKind.AtticFloor, PreparationItem.CavityTopsClosed)]
    [InlineData(SurfaceKind.UnderSlab, PreparationItem.BaseLevel)]
    [InlineData(SurfaceKind.OverheadDoor, PreparationItem.DoorFreed)]
    public void A_kind_brings_its_own_preparation(SurfaceKind kind, PreparationItem item)
    {
        Items(kind).ShouldContain(item);
        Items(SurfaceKind.CantileveredFloor).ShouldNotContain(item);
    }

    [Theory]
    [InlineData(SiteNoteKind.Penetration, PreparationItem.PenetrationsSealed)]
    [InlineData(SiteNoteKind.OldInsulation, PreparationItem.OldInsulationOut)]
    [InlineData(SiteNoteKind.Pests, PreparationItem.PestsGone)]
    [InlineData(SiteNoteKind.Flue, PreparationItem.ClearancesKept)]
    [InlineData(SiteNoteKind.Wiring, PreparationItem.ClearancesKept)]
    [InlineData(SiteNoteKind.SuspectMaterial, PreparationItem.SuspectCleared)]
    [InlineData(SiteNoteKind.Fixing, PreparationItem.FixingsBlocked)]
    public void What_is_found_brings_its_own_preparation(SiteNoteKind note, PreparationItem item)
    {
        Items(SurfaceKind.CantileveredFloor, notes: note).ShouldContain(item);
        Items(SurfaceKind.CantileveredFloor).ShouldNotContain(item);
    }

    [Fact]
    public void Details_bring_theirs()
    {
        Items(SurfaceKind.MetalWall, new() { HeldAtEnds = true }).ShouldContain(PreparationItem.MembersBraced);
        Items(SurfaceKind.BandJoist, new() { BalloonFramed = true }).ShouldContain(PreparationItem.CavityTopsClosed);
        Items(SurfaceKind.LowSlopeRoof, new() { Attachment = Attachment.HereAndThere }).ShouldContain(PreparationItem.CoverBoard);
        Items(SurfaceKind.LowSlopeRoof, new() { Attachment = Attachment.FullyAdhered }).ShouldNotContain(PreparationItem.CoverBoard);
        Items(SurfaceKind.MetalWall, new() { Access = AccessKind.Scaffold }).ShouldContain(PreparationItem.ReachSet);
    }

    [Fact]
    public void Every_list_holds_what_every_surface_wants_and_what_the_job_wants_once()
    {
        foreach (var kind in Enum.GetValues<SurfaceKind>())
        {
            var list = PreparationList.For(new(kind, new(), new HashSet<SiteNoteKind>(), false));
            list.Where(t => !t.ForJob).Select(t => t.Item).ShouldBeUnique();
            PreparationList.Always.Except(list.Select(t => t.Item)).ShouldBeEmpty();
            list.Where(t => t.ForJob).Select(t => t.Item).ShouldBe(PreparationList.OncePerJob);
        }
    }

    [Fact]
    public void Leaks_come_before_washing_and_washing_before_drying_and_masking()
    {
        var order = Items(SurfaceKind.LowSlopeRoof);
        int At(PreparationItem item) => order.ToList().IndexOf(item);
        At(PreparationItem.LeaksMended).ShouldBeLessThan(At(PreparationItem.Washed));
        At(PreparationItem.Washed).ShouldBeLessThan(At(PreparationItem.Dry));
        At(PreparationItem.Dry).ShouldBeLessThan(At(PreparationItem.Masked));
    }

    [Fact]
    public void The_gate_holds_while_one_item_of_the_list_is_missing()
    {
        var required = Items(SurfaceKind.WallOutside);
        var gate = new GateCase
        {
            Sheet = Sheets.ClosedCell,
            SubstrateKind = SubstrateKind.Mineral,
            Required = required,
            Prepared = required.Except([PreparationItem.PenetrationsSealed]).ToHashSet(),
        };
        var held = SprayGate.Check(gate).Findings.Single(f => f.Rule.Id == "G13");
        (held.Verdict, held.Words["items"]).ShouldBe((Verdict.Hold, Said.Of(PreparationItem.PenetrationsSealed)));
        SprayGate
            .Check(gate with { Prepared = required.ToHashSet() })
            .Findings.Single(f => f.Rule.Id == "G13")
            .Verdict.ShouldBe(Verdict.Clear);
    }

    [Theory]
    [InlineData(true, false, PreparationItem.LeaksMended)]
    [InlineData(false, true, PreparationItem.JointsReady)]
    public void What_the_survey_knows_outweighs_a_tick(bool leakOpen, bool jointOpen, PreparationItem item)
    {
        var gate = new GateCase
        {
            Sheet = Sheets.ClosedCell,
            SubstrateKind = SubstrateKind.Mineral,
            Prepared = PreparationList.Always.ToHashSet(),
        };
        Judge(gate).ShouldBe((Verdict.Clear, default(Said)));
        Judge(gate with { LeakOpen = leakOpen, JointOpen = jointOpen }).ShouldBe((Verdict.Hold, Said.Of(item)));

        static (Verdict, Said) Judge(GateCase gate)
        {
            var finding = SprayGate.Check(gate).Findings.Single(f => f.Rule.Id == "G13");
            return (finding.Verdict, finding.Words["items"]);
        }
    }

    [Theory]
    [InlineData(4, "concreteDry")]
    [InlineData(4.1, "concreteWet")]
    public void A_concrete_meter_passes_up_to_the_practice_of_four_percent(double percent, string expected)
    {
        var gate = new GateCase
        {
            Sheet = Sheets.ClosedCell,
            SubstrateKind = SubstrateKind.Mineral,
            MoistureMeter = new(percent, TimeSpan.Zero, "concrete meter"),
        };
        SprayGate.Check(gate).Findings.Single(f => f.Rule.Id == "G5").Case.Name.ShouldBe(expected);
        SprayGate
            .Check(gate with { Practice = new() { Tighter = new Dictionary<GateMargin, double> { [GateMargin.DryConcretePct] = 3 } } })
            .Findings.Single(f => f.Rule.Id == "G5")
            .Case.Name.ShouldBe("concreteWet");
    }

    private static IReadOnlyList<PreparationItem> Items(SurfaceKind kind, SurfaceDetails? details = null, params SiteNoteKind[] notes) =>
        [.. PreparationList.For(new(kind, details ?? new(), notes.ToHashSet(), kind == SurfaceKind.VentedRafters)).Select(t => t.Item)];
}
