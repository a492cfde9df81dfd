using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Findings;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;

namespace Umbracell.Server.Surfaces;

/// <summary>All that decides how many sets a surface takes, SI, units in the names.</summary>
public sealed record SetsQuestion(
    [property: Required] string SheetId,
    [property: Range(0.0001, 1e6)] double AreaM2,
    [property: Range(0.1, 1000)] double ThicknessMm,
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

/// <summary>All surfaces of a job sprayed with one product, loaded together.</summary>
/// <param name="SheetId">Product.</param>
/// <param name="Sheet">Its name.</param>
/// <param name="Surfaces">How many surfaces take it.</param>
/// <param name="OfThis">Whether the surface asked about is one of them.</param>
/// <param name="MedianSets">Sets that suffice as often as not.</param>
/// <param name="LoadSets">Whole sets to load.</param>
/// <param name="Median">The median with its working.</param>
/// <param name="BoardFeet">Foam.</param>
/// <param name="Load">The load with its working.</param>
/// <param name="Loaded">What that load means.</param>
/// <param name="Around">The same for one set fewer and one more.</param>
public sealed record ProductLoad(
    string SheetId,
    string Sheet,
    int Surfaces,
    bool OfThis,
    double MedianSets,
    int LoadSets,
    WorkedFigure Median,
    FigureAnswer BoardFeet,
    WorkedFigure Load,
    SetsLoadAnswer Loaded,
    IReadOnlyList<SetsLoadAnswer> Around
);

/// <summary>A foam sprayed over the first.</summary>
public sealed record FurtherFoam(string Sheet, FigureAnswer MeanDepth, FigureAnswer BoardFeet, FigureAnswer Sets);

/// <summary>The material of a surface and of the job with it.</summary>
public sealed record SetsOfSurface(
    SetsQuestion? Question,
    SetsAnswer? Answer,
    string? Missing,
    IReadOnlyList<ProductLoad> Job,
    IReadOnlyList<FurtherFoam> Further,
    uint Version,
    uint JobVersion
);
