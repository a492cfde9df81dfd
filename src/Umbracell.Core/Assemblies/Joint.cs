namespace Umbracell.Core.Assemblies;

/// <summary>What meets at a joint.</summary>
public enum JointKind
{
    /// <summary>Foam outside to foam inside.</summary>
    OutsideToInside,

    /// <summary>Wall foam to ground sheet.</summary>
    WallToGroundSheet,

    /// <summary>Wall plate to slab.</summary>
    PlateToSlab,

    /// <summary>Roof membrane to blocking at the wall.</summary>
    MembraneToBlocking,

    /// <summary>Roof deck to gable wall.</summary>
    DeckToGable,

    /// <summary>Stop at the soffit.</summary>
    StopAtSoffit,

    /// <summary>Roof deck or ceiling to the wall it stands on.</summary>
    DeckToWall,

    /// <summary>Band joist to the walls above and below.</summary>
    BandToWall,

    /// <summary>Floor to wall.</summary>
    FloorToWall,

    /// <summary>Door frame to wall.</summary>
    DoorToWall,
}

/// <summary>The four control layers, in the order of their weight.</summary>
public enum ControlLayer
{
    /// <summary>Rain and running water.</summary>
    Water,

    /// <summary>Air.</summary>
    Air,

    /// <summary>Vapour.</summary>
    Vapour,

    /// <summary>Heat.</summary>
    Heat,
}

/// <summary>What becomes of a control layer at a joint.</summary>
public enum Handover
{
    /// <summary>It stops here and nobody takes it on.</summary>
    Open,

    /// <summary>It carries on.</summary>
    Carried,

    /// <summary>It need not carry on here.</summary>
    NotNeeded,
}

/// <summary>A joint between two surfaces, or between a surface and another layer.</summary>
public sealed record Joint
{
    /// <summary>What meets.</summary>
    public required JointKind Kind { get; init; }

    /// <summary>What becomes of each control layer.</summary>
    public required IReadOnlyDictionary<ControlLayer, Handover> Layers { get; init; }

    /// <summary>Sealed with what; empty where not decided.</summary>
    public required string How { get; init; }

    /// <summary>Who does it; empty where not decided.</summary>
    public required string By { get; init; }

    /// <summary>Whether it is done.</summary>
    public required bool Ready { get; init; }

    /// <summary>Who has seen it; empty where nobody has.</summary>
    public required string SeenBy { get; init; }

    /// <summary>Layers that nobody takes on.</summary>
    public IEnumerable<ControlLayer> OpenLayers => Layers.Where(l => l.Value == Handover.Open).Select(l => l.Key).Order();

    /// <summary>Whether every layer is taken on, with what and by whom.</summary>
    public bool IsSolved => !OpenLayers.Any() && How.Length > 0 && By.Length > 0;
}

/// <summary>What is known of the kinds of joint.</summary>
public static class Joints
{
    /// <summary>Pairs of surface kinds that meet, and the joint they make. Symmetric.</summary>
    private static readonly (SurfaceKind[] One, SurfaceKind[] Other, JointKind Joint)[] Meetings =
    [
        (
            [SurfaceKind.WallOutside, SurfaceKind.EavesClosure],
            [SurfaceKind.StudWall, SurfaceKind.SolidWall, SurfaceKind.UnventedDeck],
            JointKind.OutsideToInside
        ),
        ([SurfaceKind.BasementWall], [SurfaceKind.UnderSlab], JointKind.WallToGroundSheet),
        ([SurfaceKind.StudWall, SurfaceKind.MetalWall], [SurfaceKind.UnderSlab], JointKind.PlateToSlab),
        (
            [SurfaceKind.LowSlopeRoof],
            [SurfaceKind.StudWall, SurfaceKind.SolidWall, SurfaceKind.MetalWall, SurfaceKind.BasementWall],
            JointKind.MembraneToBlocking
        ),
        ([SurfaceKind.VentedRafters], [SurfaceKind.EavesClosure], JointKind.StopAtSoffit),
        (
            [SurfaceKind.UnventedDeck, SurfaceKind.VentedRafters, SurfaceKind.MetalRoof, SurfaceKind.AtticFloor],
            [SurfaceKind.StudWall, SurfaceKind.SolidWall, SurfaceKind.MetalWall],
            JointKind.DeckToWall
        ),
        ([SurfaceKind.BandJoist], [SurfaceKind.StudWall, SurfaceKind.BasementWall, SurfaceKind.SolidWall], JointKind.BandToWall),
        (
            [SurfaceKind.CrawlFloor, SurfaceKind.CantileveredFloor],
            [SurfaceKind.StudWall, SurfaceKind.SolidWall, SurfaceKind.BandJoist],
            JointKind.FloorToWall
        ),
        ([SurfaceKind.OverheadDoor], [SurfaceKind.MetalWall, SurfaceKind.StudWall, SurfaceKind.SolidWall], JointKind.DoorToWall),
    ];

    /// <summary>The joint two kinds of surface make; null where they do not usually meet.</summary>
    /// <param name="a">One kind.</param>
    /// <param name="b">The other.</param>
    /// <param name="aIsGable">Whether either is a gable: its deck meets it along the slope.</param>
    public static JointKind? Between(SurfaceKind a, SurfaceKind b, bool aIsGable = false)
    {
        foreach (var (one, other, joint) in Meetings)
        {
            if ((one.Contains(a) && other.Contains(b)) || (one.Contains(b) && other.Contains(a)))
            {
                return joint == JointKind.DeckToWall && aIsGable ? JointKind.DeckToGable : joint;
            }
        }

        return null;
    }

    /// <summary>Joints a surface makes with a layer that is no surface of the job: a soffit, a ground sheet, a slab.</summary>
    public static IReadOnlyList<JointKind> Alone(SurfaceKind kind) =>
        kind switch
        {
            SurfaceKind.UnventedDeck or SurfaceKind.VentedRafters => [JointKind.StopAtSoffit],
            SurfaceKind.BasementWall => [JointKind.WallToGroundSheet],
            SurfaceKind.LowSlopeRoof => [JointKind.MembraneToBlocking],
            _ => [],
        };

    /// <summary>Control layers that usually must carry on across a joint.</summary>
    public static IReadOnlySet<ControlLayer> Usual(JointKind kind) =>
        kind switch
        {
            JointKind.OutsideToInside => new HashSet<ControlLayer>
            {
                ControlLayer.Water,
                ControlLayer.Air,
                ControlLayer.Vapour,
                ControlLayer.Heat,
            },
            JointKind.WallToGroundSheet => new HashSet<ControlLayer> { ControlLayer.Water, ControlLayer.Air, ControlLayer.Vapour },
            JointKind.PlateToSlab or JointKind.StopAtSoffit => new HashSet<ControlLayer> { ControlLayer.Air, ControlLayer.Heat },
            JointKind.MembraneToBlocking => new HashSet<ControlLayer> { ControlLayer.Water, ControlLayer.Air, ControlLayer.Vapour },
            JointKind.DoorToWall => new HashSet<ControlLayer> { ControlLayer.Water, ControlLayer.Air, ControlLayer.Heat },
            _ => new HashSet<ControlLayer> { ControlLayer.Air, ControlLayer.Vapour, ControlLayer.Heat },
        };

    /// <summary>How a joint of a kind starts: what must carry on is open, the rest is not needed.</summary>
    public static Joint Start(JointKind kind) =>
        new()
        {
            Kind = kind,
            Layers = Enum.GetValues<ControlLayer>().ToDictionary(l => l, l => Usual(kind).Contains(l) ? Handover.Open : Handover.NotNeeded),
            How = "",
            By = "",
            Ready = false,
            SeenBy = "",
        };
}
