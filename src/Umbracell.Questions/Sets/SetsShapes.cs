using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;

namespace Umbracell.Questions.Sets;

/// <summary>All that decides how many sets a surface takes, SI, units in the names.</summary>
public sealed record SetsQuestion
{
    [Required]
    public required string SheetId { get; init; }

    [Range(0.0001, 1e6)]
    public required double AreaM2 { get; init; }

    [Range(ThicknessLimits.LeastMm, ThicknessLimits.GreatestMm)]
    public required double ThicknessMm { get; init; }

    public bool ShavedFlush { get; init; }

    [Range(-60, 100)]
    public double? SubstrateTempC { get; init; }

    [Range(-60, 100)]
    public double? DrumTempC { get; init; }

    [Range(0, 30)]
    public double? WindMs { get; init; }

    [Range(0, 100)]
    public double? DepthScatterMm { get; init; }

    [Range(0, 200)]
    public double? OverfillMm { get; init; }

    [Range(0.1, 50)]
    [DefaultValue(10.0)]
    public double RiskPct { get; init; } = 10;

    [Range(0, 150)]
    public double PenetrationMm { get; init; }

    [Range(0.2, 2)]
    [DefaultValue(1.0)]
    public double CrewFactor { get; init; } = 1;

    [Range(0.01, 1)]
    public double? YieldSdLn { get; init; }
}

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
public sealed record SetsAnswer
{
    public required double BoardFeet { get; init; }

    public required double MeanDepthMm { get; init; }

    public required double SheetYieldBoardFeet { get; init; }

    public required double YieldBoardFeet { get; init; }

    public required double MassBoundBoardFeet { get; init; }

    public required double ImpliedLossPct { get; init; }

    public required double MedianSets { get; init; }

    public required double SpreadLn { get; init; }

    public required int LoadSets { get; init; }

    public required double SubstrateTempC { get; init; }

    public required double DrumTempC { get; init; }

    public required IReadOnlyList<YieldFactorAnswer> Factors { get; init; }

    public required IReadOnlyList<SetsLoadAnswer> Loads { get; init; }

    public required IReadOnlyDictionary<string, WorkedFigure> Figures { get; init; }

    public required IReadOnlyList<FindingAnswer> Findings { get; init; }

    public required Verdict Verdict { get; init; }
}
