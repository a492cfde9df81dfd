using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Takeoff;
using Xunit;

namespace Umbracell.Core.Tests.Assemblies;

public sealed class JointTests
{
    [Theory]
    [InlineData(SurfaceKind.WallOutside, SurfaceKind.StudWall, JointKind.OutsideToInside)]
    [InlineData(SurfaceKind.BasementWall, SurfaceKind.UnderSlab, JointKind.WallToGroundSheet)]
    [InlineData(SurfaceKind.StudWall, SurfaceKind.UnderSlab, JointKind.PlateToSlab)]
    [InlineData(SurfaceKind.LowSlopeRoof, SurfaceKind.SolidWall, JointKind.MembraneToBlocking)]
    [InlineData(SurfaceKind.UnventedDeck, SurfaceKind.StudWall, JointKind.DeckToWall)]
    [InlineData(SurfaceKind.BandJoist, SurfaceKind.BasementWall, JointKind.BandToWall)]
    [InlineData(SurfaceKind.CrawlFloor, SurfaceKind.StudWall, JointKind.FloorToWall)]
    [InlineData(SurfaceKind.OverheadDoor, SurfaceKind.MetalWall, JointKind.DoorToWall)]
    public void Kinds_that_meet_make_a_joint_from_either_side(SurfaceKind a, SurfaceKind b, JointKind joint)
    {
        Joints.Between(a, b).ShouldBe(joint);
        Joints.Between(b, a).ShouldBe(joint);
    }

    [Fact]
    public void A_deck_meets_a_gable_along_the_slope()
    {
        Guid deck = Guid.NewGuid(),
            gable = Guid.NewGuid();
        var suggested = JointSuggestions.For([
            new(deck, "Tower deck", SurfaceKind.UnventedDeck, ShapeKind.RoofPlane),
            new(gable, "Tower gable", SurfaceKind.StudWall, ShapeKind.Gable),
        ]);
        suggested.ShouldContain(new SuggestedJoint(JointKind.DeckToGable, deck, gable, true));
    }

    [Fact]
    public void Surfaces_of_one_name_are_suggested_first()
    {
        Guid hall = Guid.NewGuid(),
            hallDoor = Guid.NewGuid(),
            shed = Guid.NewGuid();
        var suggested = JointSuggestions.For([
            new(shed, "Shed walls", SurfaceKind.MetalWall, ShapeKind.Rectangle),
            new(hallDoor, "Hall door", SurfaceKind.OverheadDoor, ShapeKind.Rectangle),
            new(hall, "Hall walls", SurfaceKind.MetalWall, ShapeKind.Rectangle),
        ]);
        suggested[0].ShouldBe(new SuggestedJoint(JointKind.DoorToWall, hallDoor, hall, true));
        suggested.ShouldContain(j => j.First == shed && j.Second == hallDoor && !j.SameName);
    }

    [Fact]
    public void A_partition_makes_no_joint() =>
        Enum.GetValues<SurfaceKind>().ShouldAllBe(kind => Joints.Between(SurfaceKind.InteriorPartition, kind) == null);

    [Fact]
    public void A_joint_is_solved_when_every_layer_is_taken_on_with_what_and_by_whom()
    {
        var joint = Joints.Start(JointKind.PlateToSlab);
        Judge(joint).ShouldBe(("open", Verdict.Care));
        joint.OpenLayers.ShouldBe([ControlLayer.Air, ControlLayer.Heat]);
        var carried = joint with
        {
            Layers = joint.Layers.ToDictionary(l => l.Key, l => l.Value == Handover.Open ? Handover.Carried : l.Value),
        };
        Judge(carried).ShouldBe(("unassigned", Verdict.Care));
        var assigned = carried with { How = "gasket and bead", By = "carpenter" };
        assigned.IsSolved.ShouldBeTrue();
        Judge(assigned).ShouldBe(("notReady", Verdict.Care));
        Judge(assigned with { Ready = true }).ShouldBe(("unseen", Verdict.Clear));
        Judge(assigned with { Ready = true, SeenBy = "crew lead" }).ShouldBe(("seen", Verdict.Clear));
    }

    private static (string Case, Verdict Verdict) Judge(Joint joint)
    {
        var finding = JointCheck.Of(joint, "slab");
        return (finding.Case.Name, finding.Verdict);
    }
}
