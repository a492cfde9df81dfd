using Umbracell.Core.Findings;
using Umbracell.Questions.Answers;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Choose;

/// <summary>Choose on the board: the system or the foam that was chosen; a Care where a rule was set aside for it.</summary>
internal sealed class ChooseCell : IStageCell
{
    public Stage Stage => Stage.Choose;

    public StageCell Of(SurfaceStudy row, CellTime at)
    {
        var (verdict, word) = row switch
        {
            { Surface.System: { } system } => (
                system.Overrides.Count > 0 ? Verdict.Care : (Verdict?)null,
                "candidate." + Vocabulary.KeyOf(system.Kind)
            ),
            { Sheet: { } sheet } => (null, sheet.Family),
            _ => (null, "none"),
        };
        var isToChoose = row is { Sheet: null, Surface.System: null };
        return new(
            new()
            {
                Stage = Stage,
                Verdict = verdict,
                Word = word,
                Figures = new Dictionary<string, FigureAnswer>(),
            },
            null,
            isToChoose
        );
    }
}
