using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Spray;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Spray;

/// <summary>Spray on the board: how many of the planned lifts are on, and whether the sheet was kept to.</summary>
internal sealed class SprayCell : IStageCell
{
    public Stage Stage => Stage.Spray;

    public StageCell Of(SurfaceStudy row, CellTime at)
    {
        if (row.Sprayed is not { } sprayed)
        {
            return new(Cell("none", null, new Dictionary<string, FigureAnswer>()), null);
        }

        var isFinished = sprayed.FinishedAt is not null;
        var word =
            isFinished ? "finished"
            : sprayed.Open is not null ? "spraying"
            : "lifts";
        var verdict = WorstOf(sprayed, isFinished);
        var figures = new Dictionary<string, FigureAnswer>
        {
            ["count"] = FigureAnswer.Of(Figure.Count(sprayed.Lifts.Count)),
            ["planned"] = FigureAnswer.Of(Figure.Count(sprayed.Planned)),
        };
        return new(Cell(word, verdict, figures), verdict, isFinished);
    }

    public StageCell Again(StageCell kept, CellTime at) => kept;

    private static Verdict? WorstOf(SprayAnswer sprayed, bool isFinished)
    {
        IEnumerable<FindingAnswer> findings = [.. sprayed.Lifted, .. isFinished ? sprayed.End : []];
        return findings.Any() ? findings.Max(finding => finding.Verdict)
            : isFinished ? Verdict.Clear
            : null;
    }

    private BoardCell Cell(string word, Verdict? verdict, IReadOnlyDictionary<string, FigureAnswer> figures) =>
        new()
        {
            Stage = Stage,
            Verdict = verdict,
            Word = word,
            Figures = figures,
        };
}
