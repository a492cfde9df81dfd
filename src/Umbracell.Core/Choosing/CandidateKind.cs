using Umbracell.Core.Assemblies;

namespace Umbracell.Core.Choosing;

/// <summary>The systems that are weighed against each other.</summary>
public enum CandidateKind
{
    /// <summary>Open cell alone.</summary>
    OpenCell,

    /// <summary>Dense open cell alone.</summary>
    DenseOpenCell,

    /// <summary>Closed cell alone.</summary>
    ClosedCell,

    /// <summary>Closed cell of the cold grade.</summary>
    ColdGrade,

    /// <summary>Closed cell on the substrate, open cell over it to the face of the members.</summary>
    ClosedThenOpen,

    /// <summary>The least foam that keeps it dry and tight, the rest a fibrous batt.</summary>
    Hybrid,

    /// <summary>Foam where the wall meets the roof, batts above.</summary>
    EavesAndBatts,

    /// <summary>Board cut to fit, edges sealed, removable.</summary>
    CutBoard,

    /// <summary>Fibrous batt alone.</summary>
    BattAlone,

    /// <summary>Foam between the members and a continuous board on their room side.</summary>
    BoardInboard,

    /// <summary>Foam between the members and a continuous board outside them.</summary>
    BoardOutboard,

    /// <summary>Open cell with a vapour coat on its face.</summary>
    OpenCellCoated,

    /// <summary>Roofing foam with its weather coat.</summary>
    RoofingFoam,

    /// <summary>Board under a slab.</summary>
    BoardUnderSlab,

    /// <summary>A thin coat of closed cell against condensation only.</summary>
    ThinCoat,

    /// <summary>The old roof taken off and a new one laid on boards.</summary>
    NewRoofOnBoard,
}

/// <summary>Which systems are weighed on which kind of surface.</summary>
public static class CandidateKinds
{
    private static readonly CandidateKind[] Walls =
    [
        CandidateKind.OpenCell,
        CandidateKind.DenseOpenCell,
        CandidateKind.ClosedCell,
        CandidateKind.ColdGrade,
        CandidateKind.ClosedThenOpen,
        CandidateKind.Hybrid,
        CandidateKind.BoardInboard,
        CandidateKind.BoardOutboard,
        CandidateKind.OpenCellCoated,
        CandidateKind.BattAlone,
    ];
    private static readonly CandidateKind[] Metal =
    [
        CandidateKind.OpenCell,
        CandidateKind.OpenCellCoated,
        CandidateKind.ClosedCell,
        CandidateKind.ColdGrade,
        CandidateKind.ClosedThenOpen,
        CandidateKind.Hybrid,
        CandidateKind.ThinCoat,
    ];
    private static readonly CandidateKind[] Floors =
    [
        CandidateKind.OpenCell,
        CandidateKind.DenseOpenCell,
        CandidateKind.ClosedCell,
        CandidateKind.ColdGrade,
        CandidateKind.ClosedThenOpen,
        CandidateKind.CutBoard,
        CandidateKind.BattAlone,
    ];

    /// <summary>Systems weighed on a kind of surface, in the order they are shown before any figure is known.</summary>
    public static IReadOnlyList<CandidateKind> For(SurfaceKind kind) =>
        kind switch
        {
            SurfaceKind.StudWall => Walls,
            SurfaceKind.InteriorPartition =>
            [
                CandidateKind.OpenCell,
                CandidateKind.DenseOpenCell,
                CandidateKind.ClosedCell,
                CandidateKind.BattAlone,
            ],
            SurfaceKind.SolidWall =>
            [
                CandidateKind.OpenCell,
                CandidateKind.DenseOpenCell,
                CandidateKind.ClosedCell,
                CandidateKind.ColdGrade,
                CandidateKind.OpenCellCoated,
                CandidateKind.CutBoard,
            ],
            SurfaceKind.MetalWall or SurfaceKind.MetalRoof or SurfaceKind.SteelBox => Metal,
            SurfaceKind.BandJoist =>
            [
                CandidateKind.OpenCell,
                CandidateKind.DenseOpenCell,
                CandidateKind.ClosedCell,
                CandidateKind.ColdGrade,
                CandidateKind.CutBoard,
                CandidateKind.BattAlone,
            ],
            SurfaceKind.BasementWall =>
            [
                CandidateKind.OpenCell,
                CandidateKind.ClosedCell,
                CandidateKind.ColdGrade,
                CandidateKind.CutBoard,
                CandidateKind.BattAlone,
            ],
            SurfaceKind.CrawlFloor or SurfaceKind.CantileveredFloor => Floors,
            SurfaceKind.AtticFloor =>
            [
                CandidateKind.OpenCell,
                CandidateKind.DenseOpenCell,
                CandidateKind.ClosedCell,
                CandidateKind.Hybrid,
                CandidateKind.BattAlone,
            ],
            SurfaceKind.UnventedDeck =>
            [
                CandidateKind.OpenCell,
                CandidateKind.DenseOpenCell,
                CandidateKind.ClosedCell,
                CandidateKind.ColdGrade,
                CandidateKind.ClosedThenOpen,
                CandidateKind.Hybrid,
                CandidateKind.BoardInboard,
                CandidateKind.OpenCellCoated,
            ],
            SurfaceKind.VentedRafters =>
            [
                CandidateKind.OpenCell,
                CandidateKind.DenseOpenCell,
                CandidateKind.ClosedCell,
                CandidateKind.ColdGrade,
                CandidateKind.ClosedThenOpen,
                CandidateKind.Hybrid,
                CandidateKind.BoardInboard,
                CandidateKind.BattAlone,
            ],
            SurfaceKind.EavesClosure =>
            [
                CandidateKind.OpenCell,
                CandidateKind.ClosedCell,
                CandidateKind.ColdGrade,
                CandidateKind.EavesAndBatts,
            ],
            SurfaceKind.WallOutside => [CandidateKind.ClosedCell, CandidateKind.ColdGrade, CandidateKind.OpenCell, CandidateKind.CutBoard],
            SurfaceKind.LowSlopeRoof =>
            [
                CandidateKind.RoofingFoam,
                CandidateKind.ClosedCell,
                CandidateKind.OpenCell,
                CandidateKind.NewRoofOnBoard,
            ],
            SurfaceKind.UnderSlab =>
            [
                CandidateKind.ClosedCell,
                CandidateKind.ColdGrade,
                CandidateKind.OpenCell,
                CandidateKind.BoardUnderSlab,
            ],
            SurfaceKind.OverheadDoor => [CandidateKind.ClosedCell, CandidateKind.ColdGrade, CandidateKind.OpenCell, CandidateKind.CutBoard],
            _ => throw new ArgumentOutOfRangeException(nameof(kind), kind, "No systems are known for this kind."),
        };
}
