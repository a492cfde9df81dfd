using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;

namespace Umbracell.Server.Sets.PastJobs;

/// <summary>A finished job.</summary>
/// <param name="Id">Id.</param>
/// <param name="Name">Name.</param>
/// <param name="Crew">Crew.</param>
/// <param name="SheetId">Product.</param>
/// <param name="Sheet">Product's name; empty where the firm has no such sheet any more.</param>
/// <param name="Family">Product family; empty without a sheet.</param>
/// <param name="FinishedOn">Day.</param>
/// <param name="Figures">area, meanDepth, sets, substrate, drum, lift; depthReadings and depthScatter where they were kept; actual,
/// predicted and ratio with a sheet.</param>
/// <param name="RatioPct">Actual yield against predicted, percent; null without a sheet.</param>
/// <param name="SubstrateC">For the chart.</param>
/// <param name="Winsorised">Whether it was drawn in to three standard deviations.</param>
/// <param name="LeftOutBecause">Why it is left out; empty where it counts.</param>
/// <param name="Version">Version.</param>
public sealed record PastJobAnswer(
    Guid Id,
    string Name,
    string Crew,
    string SheetId,
    string Sheet,
    string Family,
    DateOnly FinishedOn,
    IReadOnlyDictionary<string, FigureAnswer> Figures,
    double? RatioPct,
    double SubstrateC,
    bool Winsorised,
    string LeftOutBecause,
    uint Version
);

/// <summary>What a crew yields of a product family.</summary>
/// <param name="Crew">Crew.</param>
/// <param name="Family">Product family.</param>
/// <param name="Jobs">Finished jobs behind it.</param>
/// <param name="Factor">The factor.</param>
/// <param name="Low">Lower end of the 90 % interval.</param>
/// <param name="High">Upper end.</param>
/// <param name="LogMean">ln f.</param>
/// <param name="LogSd">Its standard deviation.</param>
/// <param name="DataMean">Mean of these jobs alone; null without any.</param>
/// <param name="DataSd">Its standard deviation.</param>
/// <param name="PriorSd">Standard deviation before any job.</param>
/// <param name="Scatter">Scatter of the crew's own depth readings; null until there are thirty.</param>
public sealed record CrewYieldAnswer(
    string Crew,
    string Family,
    int Jobs,
    WorkedFigure Factor,
    FigureAnswer Low,
    FigureAnswer High,
    double LogMean,
    double LogSd,
    double? DataMean,
    double? DataSd,
    double PriorSd,
    WorkedFigure? Scatter
);

/// <summary>Finished jobs, and what they teach.</summary>
public sealed record PastJobsAnswer(IReadOnlyList<PastJobAnswer> Jobs, IReadOnlyList<CrewYieldAnswer> Crews);

/// <summary>What a file of finished jobs holds.</summary>
/// <param name="Jobs">Lines that read.</param>
/// <param name="Faults">Lines that do not, each with its sentence.</param>
/// <param name="Taken">Whether they were taken; never while a line does not read.</param>
public sealed record PastJobsImport(int Jobs, IReadOnlyList<LineFault> Faults, bool Taken);

/// <summary>A fault of a line.</summary>
public sealed record LineFault(int Line, string Sentence);
