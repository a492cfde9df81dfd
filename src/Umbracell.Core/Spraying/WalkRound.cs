using Umbracell.Core.Assemblies;

namespace Umbracell.Core.Spraying;

/// <summary>What is looked at before a surface is called finished.</summary>
public enum WalkRoundItem
{
    /// <summary>Corners and where surfaces meet.</summary>
    Corners,

    /// <summary>Behind pipes, ducts and cables.</summary>
    BehindServices,

    /// <summary>Top and bottom plates.</summary>
    Plates,

    /// <summary>Joints to other trades' air barrier.</summary>
    Joints,

    /// <summary>Edges at windows and doors.</summary>
    Openings,

    /// <summary>Voids and foam that parted from the members.</summary>
    Voids,

    /// <summary>Places that are thinner than asked.</summary>
    ThinSpots,

    /// <summary>Ribs and laps of the skin are filled, and nothing bulges outside.</summary>
    Ribs,

    /// <summary>The vent channel is open from end to end.</summary>
    VentChannel,

    /// <summary>Upstands, drains and edges of the roof.</summary>
    RoofEdges,
}

/// <summary>The list of the walk-round.</summary>
public static class WalkRound
{
    private static readonly WalkRoundItem[] Always = [WalkRoundItem.Joints, WalkRoundItem.Voids, WalkRoundItem.ThinSpots];

    /// <summary>What is looked at on a surface of a kind.</summary>
    public static IReadOnlyList<WalkRoundItem> Of(SurfaceKind kind) =>
        kind switch
        {
            SurfaceKind.StudWall or SurfaceKind.InteriorPartition =>
            [
                WalkRoundItem.Corners,
                WalkRoundItem.BehindServices,
                WalkRoundItem.Plates,
                WalkRoundItem.Openings,
                .. Always,
            ],
            SurfaceKind.MetalWall => [WalkRoundItem.Corners, WalkRoundItem.Ribs, WalkRoundItem.Openings, .. Always],
            SurfaceKind.MetalRoof => [WalkRoundItem.Ribs, WalkRoundItem.BehindServices, .. Always],
            SurfaceKind.VentedRafters => [WalkRoundItem.VentChannel, WalkRoundItem.Plates, WalkRoundItem.BehindServices, .. Always],
            SurfaceKind.UnventedDeck => [WalkRoundItem.Corners, WalkRoundItem.Plates, WalkRoundItem.BehindServices, .. Always],
            SurfaceKind.LowSlopeRoof => [WalkRoundItem.RoofEdges, .. Always],
            SurfaceKind.BandJoist => [WalkRoundItem.Corners, WalkRoundItem.BehindServices, .. Always],
            SurfaceKind.UnderSlab => Always,
            _ => [WalkRoundItem.Corners, WalkRoundItem.BehindServices, WalkRoundItem.Openings, .. Always],
        };
}
