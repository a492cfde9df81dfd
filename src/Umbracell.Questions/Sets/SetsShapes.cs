using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;

namespace Umbracell.Questions.Sets;

/// <summary>All that decides how many sets a surface takes, SI, units in the names.</summary>
public sealed record SetsQuestion(
    [property: Required] string SheetId,
    [property: Range(0.0001, 1e6)] double AreaM2,
    [property: Range(ThicknessLimits.LeastMm, ThicknessLimits.GreatestMm)] double ThicknessMm,
    bool ShavedFlush,
    [property: Range(-60, 100)] double? SubstrateTempC,
    [property: Range(-60, 100)] double? DrumTempC,
    [property: Range(0, 30)] double? WindMs,
    [property: Range(0, 100)] double? DepthScatterMm,
    [property: Range(0, 200)] double? OverfillMm,
    [property: Range(0.1, 50)] double RiskPct = 10,
    [property: Range(0, 150)] double PenetrationMm = 0,
    [property: Range(0.2, 2)] double CrewFactor = 1,
    [property: Range(0.01, 1)] double? YieldSdLn = null
);

/// <summary>One factor from sheet yield to expected yield.</summary>
public sealed record YieldFactorAnswer(string Key, double Value, FigureAnswer Figure, WorkingAnswer Working);

/// <summary>What loading a whole number of sets means.</summary>
public sealed record SetsLoadAnswer(
    int Sets,
    double ChanceShortPct,
    double LeftOverBoardFeet,
    WorkedFigure ChanceShort,
    WorkedFigure LeftOver
);

/// <summary>Material for a surface.</summary>
public sealed record SetsAnswer(
    double BoardFeet,
    double MeanDepthMm,
    double SheetYieldBoardFeet,
    double YieldBoardFeet,
    double MassBoundBoardFeet,
    double ImpliedLossPct,
    double MedianSets,
    double SpreadLn,
    int LoadSets,
    double SubstrateTempC,
    double DrumTempC,
    IReadOnlyList<YieldFactorAnswer> Factors,
    IReadOnlyList<SetsLoadAnswer> Loads,
    IReadOnlyDictionary<string, WorkedFigure> Figures,
    IReadOnlyList<FindingAnswer> Findings,
    Verdict Verdict
);
