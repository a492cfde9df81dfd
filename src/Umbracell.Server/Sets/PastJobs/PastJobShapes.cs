using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;

namespace Umbracell.Server.Sets.PastJobs;

/// <summary>A finished job.</summary>
public sealed record PastJobAnswer
{
    /// <summary>Id.</summary>
    public required Guid Id { get; init; }

    /// <summary>Name.</summary>
    public required string Name { get; init; }

    /// <summary>Crew.</summary>
    public required string Crew { get; init; }

    /// <summary>Product.</summary>
    public required string SheetId { get; init; }

    /// <summary>Product's name; empty where the firm has no such sheet any more.</summary>
    public required string Sheet { get; init; }

    /// <summary>Product family; empty without a sheet.</summary>
    public required string Family { get; init; }

    /// <summary>Day.</summary>
    public required DateOnly FinishedOn { get; init; }

    /// <summary>area, meanDepth, sets, substrate, drum, lift; depthReadings and depthScatter where they were kept; actual,
    /// predicted and ratio with a sheet.</summary>
    public required IReadOnlyDictionary<string, FigureAnswer> Figures { get; init; }

    /// <summary>Actual yield against predicted, percent; null without a sheet.</summary>
    public required double? RatioPct { get; init; }

    /// <summary>For the chart.</summary>
    public required double SubstrateC { get; init; }

    /// <summary>Whether it was drawn in to three standard deviations.</summary>
    public required bool Winsorised { get; init; }

    /// <summary>The job whose log it came out of; null where it was typed.</summary>
    public required Guid? JobId { get; init; }

    /// <summary>Why it is left out; empty where it counts.</summary>
    public required string LeftOutBecause { get; init; }

    /// <summary>Version.</summary>
    public required uint Version { get; init; }
}

/// <summary>What a crew yields of a product family.</summary>
public sealed record CrewYieldAnswer
{
    /// <summary>Crew.</summary>
    public required string Crew { get; init; }

    /// <summary>Product family.</summary>
    public required string Family { get; init; }

    /// <summary>Finished jobs behind it.</summary>
    public required int Jobs { get; init; }

    /// <summary>The factor.</summary>
    public required WorkedFigure Factor { get; init; }

    /// <summary>Lower end of the 90 % interval.</summary>
    public required FigureAnswer Low { get; init; }

    /// <summary>Upper end.</summary>
    public required FigureAnswer High { get; init; }

    /// <summary>ln f.</summary>
    public required double LogMean { get; init; }

    /// <summary>Its standard deviation.</summary>
    public required double LogSd { get; init; }

    /// <summary>Mean of these jobs alone; null without any.</summary>
    public required double? DataMean { get; init; }

    /// <summary>Its standard deviation.</summary>
    public required double? DataSd { get; init; }

    /// <summary>Standard deviation before any job.</summary>
    public required double PriorSd { get; init; }

    /// <summary>Scatter of the crew's own depth readings; null until there are thirty.</summary>
    public required WorkedFigure? Scatter { get; init; }
}

/// <summary>Finished jobs, and what they teach.</summary>
public sealed record PastJobsAnswer(IReadOnlyList<PastJobAnswer> Jobs, IReadOnlyList<CrewYieldAnswer> Crews);

/// <summary>What a file of finished jobs holds.</summary>
/// <param name="Jobs">Lines that read.</param>
/// <param name="Faults">Lines that do not, each with its sentence.</param>
/// <param name="Taken">Whether they were taken; never while a line does not read.</param>
public sealed record PastJobsImport(int Jobs, IReadOnlyList<LineFault> Faults, bool Taken);

/// <summary>A fault of a line.</summary>
public sealed record LineFault(int Line, string Sentence);
