using Umbracell.Core.Findings;
using Umbracell.Questions;

namespace Umbracell.Server.Surfaces;

/// <summary>What a stage shows of a surface on the board. Each stage has one in its folder and registers it; the board knows none by
/// name.</summary>
internal interface IStageCell
{
    /// <summary>Whose column it stands in.</summary>
    Stage Stage { get; }

    /// <summary>The cell of a surface as it is kept.</summary>
    StageCell Of(SurfaceStudy row, CellTime at);

    /// <summary>A kept cell whose time is up.</summary>
    StageCell Again(StageCell kept, CellTime at) => kept;

    /// <summary>The cell as it is shown, with what the whole job makes of it.</summary>
    BoardCell Shown(StageCell kept, SurfaceInJob job) => kept.Cell;
}

/// <summary>When a cell is made, and what the firm sprays then.</summary>
internal sealed record CellTime(DateTimeOffset Now, Supplies Supplies);

/// <summary>What the sums of a job make of a surface.</summary>
/// <param name="Sets">Sets of it by the way it will be sprayed.</param>
/// <param name="PriceChanged">Whether the newest bid was made with other figures for it.</param>
internal sealed record SurfaceInJob(double Sets, bool PriceChanged);

/// <summary>A cell as it is kept.</summary>
/// <param name="Cell">What is shown.</param>
/// <param name="Worst">The worst its stage says of the surface; null where it says nothing yet.</param>
/// <param name="Counted">Whether the surface counts at the foot of the column.</param>
internal sealed record StageCell(BoardCell Cell, Verdict? Worst, bool Counted = false)
{
    /// <summary>When it was made; needed only where it passes.</summary>
    public DateTimeOffset MadeAt { get; init; }

    /// <summary>Until when it stands if nothing is written; null where it stays.</summary>
    public DateTimeOffset? Until { get; init; }

    /// <summary>What it is made again from, JSON; null where it stays.</summary>
    public string? From { get; init; }

    /// <summary>Whether it stands at a time; not before it was made either, should a clock be set back.</summary>
    public bool StandsAt(DateTimeOffset now) => From is null || (MadeAt <= now && !(Until < now));
}
