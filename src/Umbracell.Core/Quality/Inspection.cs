using Umbracell.Core.Assemblies;
using Umbracell.Core.Spraying;

namespace Umbracell.Core.Quality;

/// <summary>The inspection before foam is covered.</summary>
public static class Inspection
{
    private static readonly InspectionItem[] First =
    [
        InspectionItem.Depth,
        InspectionItem.Voids,
        InspectionItem.Holds,
        InspectionItem.Cells,
    ];

    /// <summary>What an inspector looks at on a surface of a kind.</summary>
    /// <param name="kind">The kind.</param>
    /// <param name="isShaved">Whether it is trimmed flush.</param>
    public static IReadOnlyList<InspectionItem> Of(SurfaceKind kind, bool isShaved) =>
        [.. First, .. Special(kind), .. isShaved ? [InspectionItem.Trimmed] : Array.Empty<InspectionItem>()];

    private static InspectionItem[] Special(SurfaceKind kind) =>
        kind switch
        {
            SurfaceKind.LowSlopeRoof => [InspectionItem.RoofEdges],
            SurfaceKind.UnderSlab => [InspectionItem.Joints],
            SurfaceKind.MetalWall or SurfaceKind.MetalRoof => [InspectionItem.Ribs, InspectionItem.Joints, InspectionItem.Barrier],
            SurfaceKind.VentedRafters =>
            [
                InspectionItem.VentChannel,
                InspectionItem.Joints,
                InspectionItem.Clearances,
                InspectionItem.Barrier,
            ],
            _ => [InspectionItem.Joints, InspectionItem.Clearances, InspectionItem.Barrier],
        };
}
