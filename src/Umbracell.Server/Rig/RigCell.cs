using Umbracell.Core.Findings;
using Umbracell.Questions.Answers;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Rig;

/// <summary>Rig on the board: whether a test shot of the surface's product stands. It is judged again when the day is over.</summary>
internal sealed class RigCell : IStageCell
{
    public Stage Stage => Stage.Rig;

    public StageCell Of(SurfaceStudy row, CellTime at) => row.Shots is { } shots ? Cell(shots, at) : Nothing;

    public StageCell Again(StageCell kept, CellTime at) => Cell(KeptJson.Read<SurfaceShots>(kept.From!), at);

    private static StageCell Cell(SurfaceShots shots, CellTime at)
    {
        // Before the first shot the rig has not been begun with, as the stage itself says.
        if (shots.Last is null)
        {
            return Nothing;
        }

        var standing = shots.Judge(at.Now);
        var cell = new BoardCell
        {
            Stage = Stage.Rig,
            Verdict = standing.Verdict,
            Word = standing.Case.ToString(),
            Figures = new Dictionary<string, FigureAnswer>(),
        };
        return new(cell, standing.Verdict, standing.Verdict != Verdict.Hold)
        {
            MadeAt = at.Now,
            Until = shots.EndOfDay(at.Now),
            From = KeptJson.Write(shots),
        };
    }

    private static StageCell Nothing =>
        new(
            new()
            {
                Stage = Stage.Rig,
                Verdict = null,
                Word = "none",
                Figures = new Dictionary<string, FigureAnswer>(),
            },
            null
        );
}
