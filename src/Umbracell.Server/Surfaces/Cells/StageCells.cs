namespace Umbracell.Server.Surfaces;

/// <summary>The cells of all stages, in the order of their columns.</summary>
internal sealed class StageCells(IEnumerable<IStageCell> cells)
{
    private readonly List<IStageCell> _cells = [.. cells.OrderBy(cell => cell.Stage)];

    public IReadOnlyList<StageCell> Of(SurfaceStudy row, CellTime at) => _cells.ConvertAll(cell => cell.Of(row, at));

    /// <summary>Those whose time is up made again, the others as they are.</summary>
    public IReadOnlyList<StageCell> At(IReadOnlyList<StageCell> kept, CellTime at) =>
        [.. _cells.Zip(kept, (cell, one) => one.StandsAt(at.Now) ? one : cell.Again(one, at))];

    public IReadOnlyList<BoardCell> Shown(IReadOnlyList<StageCell> kept, SurfaceInJob job) =>
        [.. _cells.Zip(kept, (cell, one) => cell.Shown(one, job))];
}
