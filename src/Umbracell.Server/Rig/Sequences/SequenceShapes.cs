using Umbracell.Core.Rigs.Sequences;
using Umbracell.Documents;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Rig;

namespace Umbracell.Server.Rig.Sequences;

/// <summary>A sequence as the firm runs it.</summary>
public sealed record FirmSequenceAnswer
{
    public required SequenceKind Kind { get; init; }

    /// <summary>Its steps.</summary>
    public required SequenceDocument Sequence { get; init; }

    /// <summary>Steps nobody can skip, by their ids.</summary>
    public required IReadOnlyList<string> HardStops { get; init; }

    /// <summary>Limits of what its steps read, as people write them.</summary>
    public required IReadOnlyList<StepLimits> Limits { get; init; }

    /// <summary>Who changed it last; null for the one that ships.</summary>
    public required string? ChangedBy { get; init; }

    public required DateTimeOffset? ChangedAt { get; init; }

    /// <summary>Version of the firm's own; 0 for the one that ships.</summary>
    public required uint Version { get; init; }
}

/// <summary>Limits of what a step reads; null for none.</summary>
public sealed record StepLimits(string Step, FigureAnswer? Least, FigureAnswer? Greatest);

/// <summary>A sequence that is or was run, in a line.</summary>
public sealed record RunSummary
{
    public required Guid Id { get; init; }

    public required DateTimeOffset BegunAt { get; init; }

    public required string BegunBy { get; init; }

    /// <summary>Steps that are done or skipped.</summary>
    public required int Done { get; init; }

    /// <summary>All steps.</summary>
    public required int Of { get; init; }

    /// <summary>When its last step was done; null while one is left.</summary>
    public required DateTimeOffset? OverAt { get; init; }
}

/// <summary>A kind of sequence of a rig: the last one that was run and not given up; null where there is none.</summary>
public sealed record RigSequence(SequenceKind Kind, int Steps, RunSummary? Last);

/// <summary>A sequence that is run.</summary>
public sealed record RunAnswer
{
    public required Guid Id { get; init; }

    public required SequenceKind Kind { get; init; }

    public required Guid Rig { get; init; }

    public required string RigName { get; init; }

    /// <summary>The job it is run at; null for what belongs to no job.</summary>
    public required Guid? Job { get; init; }

    public required string? JobName { get; init; }

    /// <summary>Time zone of the place of the job.</summary>
    public required string? TimeZone { get; init; }

    public required DateTimeOffset BegunAt { get; init; }

    public required string BegunBy { get; init; }

    public required DateTimeOffset? GivenUpAt { get; init; }

    public required string GivenUpBy { get; init; }

    /// <summary>Whether the sequence was edited since it began; this run goes on as it began.</summary>
    public required bool EditedSince { get; init; }

    /// <summary>As it can be asked again, with what is said of it meanwhile.</summary>
    public required SequenceQuestion Question { get; init; }

    public required SequenceAnswer Answer { get; init; }
}
