using Umbracell.Core.Findings;
using Umbracell.Core.Spraying;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Prove;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Prove;

/// <summary>Prove on the board: how many places were read, and whether it can be covered.</summary>
internal sealed class ProveCell : IStageCell
{
    public Stage Stage => Stage.Prove;

    public StageCell Of(SurfaceStudy row, CellTime at)
    {
        // Before all of its foam is on, nothing of it is proven.
        if (row.Proof is not { IsWhole: true } proof)
        {
            return new(Cell("none", null, new Dictionary<string, FigureAnswer>()), null);
        }

        var open = proof.Defects.Count(defect => defect.State != DefectState.Closed);
        var isSigned = proof.Cover.All(finding => finding.Verdict == Verdict.Clear);
        var word =
            open > 0 ? "defects"
            : isSigned ? "signed"
            : proof.Depths is null ? "unread"
            : "read";
        var figures = new Dictionary<string, FigureAnswer>
        {
            ["count"] = FigureAnswer.Of(Core.Quantities.Figure.Count(open > 0 ? open : proof.Depths?.Area ?? 0)),
            ["wanted"] = FigureAnswer.Of(Core.Quantities.Figure.Count(proof.Depths?.Wanted ?? 0)),
        };
        if (proof.Depths?.Mean is { } mean)
        {
            figures["mean"] = mean;
        }

        var verdict = WorstOf(proof, isSigned);
        return new(Cell(word, verdict, figures), verdict, isSigned);
    }

    public StageCell Again(StageCell kept, CellTime at) => kept;

    // Until it is signed that nobody covers it yet is no fault of the surface.
    private static Verdict? WorstOf(ProofAnswer proof, bool isSigned)
    {
        List<FindingAnswer> findings = [.. proof.DepthFindings, .. proof.DefectFindings, .. proof.Samples.Select(one => one.Finding)];
        return proof.Defects.Any(defect => defect.State != DefectState.Closed) ? Verdict.Hold
            : findings.Count > 0 ? findings.Max(finding => finding.Verdict)
            : isSigned ? Verdict.Clear
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
