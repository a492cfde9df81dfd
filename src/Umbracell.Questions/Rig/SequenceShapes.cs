using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Rigs.Sequences;
using Umbracell.Documents;
using Umbracell.Questions.Answers;

namespace Umbracell.Questions.Rig;

/// <summary>What was said of a step.</summary>
public sealed record StepMarkAsked
{
    /// <summary>Id of the step.</summary>
    [Required]
    public required string Step { get; init; }

    /// <summary>When.</summary>
    public required DateTimeOffset At { get; init; }

    /// <summary>Who; empty where that does not matter.</summary>
    public string By { get; init; } = "";

    /// <summary>Why it was skipped; null where it was done.</summary>
    public string? SkippedBecause { get; init; }

    /// <summary>What was read, SI; null where nothing was.</summary>
    public double? Read { get; init; }
}

/// <summary>A sequence that is run.</summary>
public sealed record SequenceQuestion
{
    /// <summary>The sequence as it was when it began.</summary>
    [Required]
    public required SequenceDocument Sequence { get; init; }

    /// <summary>What was said of its steps.</summary>
    [MaxLength(SequenceDocument.MostSteps)]
    public IReadOnlyList<StepMarkAsked> Marks { get; init; } = [];

    /// <summary>The time it is asked for.</summary>
    public required DateTimeOffset Now { get; init; }
}

/// <summary>A step of a sequence that is run.</summary>
public sealed record StepAnswer
{
    public required string Id { get; init; }

    public required StepState State { get; init; }

    /// <summary>Whether nobody can skip it.</summary>
    public required bool HardStop { get; init; }

    /// <summary>Steps it still waits for, by their ids.</summary>
    public required IReadOnlyList<string> WaitsFor { get; init; }

    /// <summary>When what it began is over; null where it began nothing.</summary>
    public required DateTimeOffset? ReadyAt { get; init; }

    /// <summary>Whether what was said of it can be taken back.</summary>
    public required bool CanTakeBack { get; init; }

    /// <summary>The least its gauge can show; null for no limit.</summary>
    public required FigureAnswer? Least { get; init; }

    /// <summary>The most its gauge can show; null for no limit.</summary>
    public required FigureAnswer? Greatest { get; init; }

    /// <summary>What was read.</summary>
    public required FigureAnswer? Read { get; init; }
}

/// <summary>Where a sequence is.</summary>
public sealed record SequenceAnswer
{
    /// <summary>All steps, as they are shown.</summary>
    public required IReadOnlyList<StepAnswer> Steps { get; init; }

    /// <summary>Whether nothing is left to do or to wait for.</summary>
    public required bool Over { get; init; }

    /// <summary>When the next wait is over; null while nothing waits.</summary>
    public required DateTimeOffset? NextAt { get; init; }
}

/// <summary>Something wrong with a sequence.</summary>
/// <param name="Code">What.</param>
/// <param name="Step">At which step; empty for the whole.</param>
/// <param name="Lacks">The act that is missing or comes too late.</param>
public sealed record SequenceFaultAnswer(SequenceFaultCode Code, string Step, RigAct? Lacks);
