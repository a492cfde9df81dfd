using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Window;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Window;

/// <summary>Window on the board: what the gate says now. Readings age, so the question is kept with the cell and asked again when a
/// reading is no longer fresh. At the foot count surfaces that may be sprayed.</summary>
internal sealed class WindowCell : IStageCell
{
    private sealed record Asked(GateQuestion Question, DateTimeOffset At);

    public Stage Stage => Stage.Window;

    public StageCell Of(SurfaceStudy row, CellTime at) => row.Gate is { } question ? Cell(new(question, row.StudiedAt), at) : Nothing;

    public StageCell Again(StageCell kept, CellTime at) => Cell(KeptJson.Read<Asked>(kept.From!), at);

    // Where nothing was read or ticked off the board shows that the stage has not begun, as the stage itself does.
    private static StageCell Cell(Asked asked, CellTime at)
    {
        var question = asked.Question.Later((at.Now - asked.At).TotalMinutes);
        return
            at.Supplies.Sheets.ContainsKey(question.SheetId)
            && SurfaceStudies.OrNull(() => GateQuestions.Check(question, at.Supplies)) is { Begun: true } gate
            ? new(Shown(gate), gate.Verdict, gate.Verdict != Verdict.Hold)
            {
                MadeAt = at.Now,
                Until = at.Now + gate.StandsFor,
                From = KeptJson.Write(asked),
            }
            : Nothing;
    }

    private static StageCell Nothing =>
        new(
            new()
            {
                Stage = Stage.Window,
                Verdict = null,
                Word = "none",
                Figures = new Dictionary<string, FigureAnswer>(),
            },
            null
        );

    private static BoardCell Shown(SprayGate gate)
    {
        var worst = gate
            .Findings.Where(f => f.Rule != GateRules.ReadingsAge)
            .OrderByDescending(f => f.Verdict)
            .ThenBy(f => f.Rule == GateRules.Preparation)
            .First();
        var figures = new Dictionary<string, FigureAnswer>();
        if (worst.Measured is { } measured)
        {
            figures["measured"] = FigureAnswer.Of(measured);
        }

        return new()
        {
            Stage = Stage.Window,
            Verdict = gate.Verdict,
            Word = worst.Verdict == Verdict.Clear ? "now" : worst.Case.ToString(),
            Figures = figures,
            Stale = gate.Findings.Any(f => f.Rule == GateRules.ReadingsAge),
        };
    }
}
