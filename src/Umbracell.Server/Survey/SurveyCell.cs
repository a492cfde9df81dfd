using Umbracell.Core.Findings;
using Umbracell.Questions.Answers;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Survey;

/// <summary>Survey on the board: the area, or what holds; and what is still wanted.</summary>
internal sealed class SurveyCell : IStageCell
{
    public Stage Stage => Stage.Survey;

    public StageCell Of(SurfaceStudy row, CellTime at)
    {
        var worst = row.Survey[0];
        var figures = row.Takeoff is { } takeoff
            ? new Dictionary<string, FigureAnswer> { ["area"] = FigureAnswer.Of(takeoff.Treated.ToFigure()) }
            : [];
        var missing = row
            .Survey.Where(f => f.Case.Blocks is not null)
            .Select(f => new MissingAnswer(f.Rule.Id, f.Case.Name, f.Case.Blocks!.Value))
            .ToList();

        // A hold says its word; what is merely wanted stands beside the area.
        var word = worst.Verdict == Verdict.Hold ? worst.Case.ToString() : "area";
        return new(
            new()
            {
                Stage = Stage,
                Verdict = worst.Verdict,
                Word = word,
                Figures = figures,
                Missing = missing,
            },
            row.Survey.Worst()
        );
    }
}
