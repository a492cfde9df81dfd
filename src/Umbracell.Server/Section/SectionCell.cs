using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Questions.Answers;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Section;

/// <summary>Section on the board: thickness and R of what is put in. At the foot count surfaces short of their target.</summary>
internal sealed class SectionCell : IStageCell
{
    public Stage Stage => Stage.Section;

    public StageCell Of(SurfaceStudy row, CellTime at)
    {
        if (row.Section is not { } section)
        {
            var unrated = row is { Sheet: not null, Surface.FoamThicknessM: not null };
            return new(
                new()
                {
                    Stage = Stage,
                    Verdict = unrated ? Verdict.Hold : null,
                    Word = unrated ? "unrated" : "none",
                    Figures = new Dictionary<string, FigureAnswer>(),
                },
                null
            );
        }

        var worst = section.Findings.Concat(row.Year?.Findings ?? []).Worst();
        var figures = new Dictionary<string, FigureAnswer>
        {
            ["thickness"] = FigureAnswer.Of(section.Case.FillThickness.ToThickness()),
            ["foamR"] = FigureAnswer.Of(section.FillR.ToFigure()),
        };
        return new(
            new()
            {
                Stage = Stage,
                Verdict = worst,
                Word = "thickness",
                Figures = figures,
            },
            worst,
            section.Findings.Any(f => f.Rule == SectionRules.Target && f.Verdict != Verdict.Clear)
        );
    }
}
