using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;

namespace Umbracell.Questions.Sets;

/// <summary>Puts a sets question to the core and shapes the answer.</summary>
public static class SetsQuestions
{
    /// <summary>Answers a question.</summary>
    public static SetsAnswer Answer(SetsQuestion question, Supplies supplies)
    {
        var sheet = supplies.Sheet(question.SheetId);
        return Answer(Study(question, sheet), sheet);
    }

    /// <summary>Studies a question, with the workings of what was reckoned before it was asked.</summary>
    public static SetsStudy Study(
        SetsQuestion question,
        ProductSheet sheet,
        Working? area = null,
        Working? crew = null,
        Working? scatterFrom = null
    ) =>
        SetsStudy.Of(
            new()
            {
                Sheet = sheet,
                Sprayed = Area.FromSquareMetres(question.AreaM2),
                Thickness = Length.FromMillimetres(question.ThicknessMm),
                ShavedFlush = question.ShavedFlush,
                Penetration = Length.FromMillimetres(question.PenetrationMm),
                Substrate = question.SubstrateTempC is { } substrate ? Temperature.FromCelsius(substrate) : null,
                Drums = question.DrumTempC is { } drum ? Temperature.FromCelsius(drum) : null,
                WindAtOpenFace = question.WindMs is { } wind ? Speed.FromMetresPerSecond(wind) : null,
                Scatter = question.DepthScatterMm is { } scatter ? Length.FromMillimetres(scatter) : null,
                Overfill = question.OverfillMm is { } overfill ? Length.FromMillimetres(overfill) : null,
                Risk = question.RiskPct / 100,
                AreaWorking = area,
                CrewFactor = question.CrewFactor,
                YieldSd = question.YieldSdLn,
                CrewWorking = crew,
                ScatterWorking = scatterFrom,
            }
        );

    public static SetsAnswer Answer(SetsStudy study, ProductSheet sheet) =>
        new()
        {
            BoardFeet = study.Demand.Volume.BoardFeet,
            MeanDepthMm = study.Demand.MeanDepth.Millimetres,
            SheetYieldBoardFeet = sheet.SheetYield.BoardFeet,
            YieldBoardFeet = study.Yield.Expected.BoardFeet,
            MassBoundBoardFeet = study.Yield.MassBound.BoardFeet,
            ImpliedLossPct = study.Yield.ImpliedLoss * 100,
            MedianSets = study.Sets.Median,
            SpreadLn = study.Sets.Spread,
            LoadSets = study.Sets.Load.Sets,
            SubstrateTempC = study.Conditions.Substrate.Celsius,
            DrumTempC = study.Conditions.Drums.Celsius,
            Factors =
            [
                .. study.Yield.Factors.Select(f => new YieldFactorAnswer(
                    f.Key,
                    f.Value,
                    FigureAnswer.Of(Figure.Number(f.Value)),
                    WorkingAnswer.Of(f.Working)
                )),
            ],
            Loads = [.. study.Sets.Around.Select(load => Load(load))],
            Figures = Figures(study, sheet),
            Findings = FindingAnswer.All(study.Findings),
            Verdict = study.Findings.Worst(),
        };

    /// <param name="load">The load.</param>
    /// <param name="told">A working that stands beside it already.</param>
    public static SetsLoadAnswer Load(SetsLoad load, Working? told = null) =>
        new(
            load.Sets,
            load.ChanceShort * 100,
            load.LeftOver.BoardFeet,
            new(FigureAnswer.Of(Figure.Chance(load.ChanceShort)), WorkingAnswer.Of(load.ChanceWorking, told)),
            new(FigureAnswer.Of(load.LeftOver.ToFigure()), WorkingAnswer.Of(load.LeftOverWorking, told))
        );

    private static Dictionary<string, WorkedFigure> Figures(SetsStudy study, ProductSheet sheet) =>
        new()
        {
            ["median"] = Worked(new(study.Sets.Median, Dimension.Sets), study.Sets.Working),
            ["load"] = Worked(Figure.Count(study.Sets.Load.Sets), study.Sets.LoadWorking),
            ["volume"] = Worked(study.Demand.Volume.ToFigure(), study.Demand.Working),
            ["meanDepth"] = Worked(
                study.Demand.MeanDepth.ToThickness(),
                new(
                    "meanDepth",
                    "t_mean = t + t_extra",
                    [.. study.Demand.Working.Terms.Skip(1)],
                    study.Demand.MeanDepth.ToThickness(),
                    Citations.DepthSprayed
                )
            ),
            ["extra"] = Worked(study.Demand.Extra.ToThickness(), study.Demand.Working.Terms[2].From),
            ["yield"] = Worked(study.Yield.Expected.ToFigure(), study.Yield.Working),
            ["sheetYield"] = Worked(sheet.SheetYield.ToFigure(), null),
            ["massBound"] = Worked(
                study.Yield.MassBound.ToFigure(),
                new(
                    "massBound",
                    "Y ≤ m_set / ρ_in place",
                    [
                        new("m_set", "setMass", sheet.SetMass.ToFigure()),
                        new("ρ_in place", "inPlaceDensity", sheet.InPlaceDensity.ToFigure()),
                    ],
                    study.Yield.MassBound.ToFigure(),
                    Citations.MaterialBalance
                )
            ),
            ["impliedLoss"] = Worked(
                Figure.Percent(study.Yield.ImpliedLoss * 100),
                new(
                    "impliedLoss",
                    "loss = 1 − Y / Y_max",
                    [
                        new("Y", "setYield", study.Yield.Expected.ToFigure(), study.Yield.Working),
                        new("Y_max", "massBound", study.Yield.MassBound.ToFigure()),
                    ],
                    Figure.Percent(study.Yield.ImpliedLoss * 100),
                    Citations.MaterialBalance
                )
            ),
            ["substrate"] = Worked(study.Conditions.Substrate.ToFigure(), null),
            ["drums"] = Worked(study.Conditions.Drums.ToFigure(), null),
            ["lift"] = Worked(study.Conditions.Lift.ToThickness(), null),
            ["leftOver"] = Worked(study.Sets.Load.LeftOver.ToFigure(), study.Sets.Load.LeftOverWorking),
            ["chanceShort"] = Worked(Figure.Chance(study.Sets.Load.ChanceShort), study.Sets.Load.ChanceWorking),
        };

    public static WorkedFigure Worked(Figure figure, Working? working) => new(FigureAnswer.Of(figure), WorkingAnswer.Maybe(working));
}
