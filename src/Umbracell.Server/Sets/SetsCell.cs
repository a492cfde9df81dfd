using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Sets;

/// <summary>Sets on the board. In the cold they are those of the way a surface will be sprayed, as in the bid, which hangs on the whole
/// job.</summary>
internal sealed class SetsCell : IStageCell
{
    public Stage Stage => Stage.Sets;

    public StageCell Of(SurfaceStudy row, CellTime at)
    {
        Verdict? worst = row.Sets is null ? null : row.AllSets.SelectMany(one => one.Sets.Findings).Worst();
        return new(
            new()
            {
                Stage = Stage,
                Verdict = worst,
                Word = worst is null ? "none" : "sets",
                Figures = new Dictionary<string, FigureAnswer>(),
            },
            worst
        );
    }

    public BoardCell Shown(StageCell kept, SurfaceInJob job) =>
        kept.Worst is null
            ? kept.Cell
            : kept.Cell with
            {
                Figures = new Dictionary<string, FigureAnswer> { ["sets"] = FigureAnswer.Of(new(job.Sets, Dimension.Sets)) },
                Stale = job.PriceChanged,
            };
}
