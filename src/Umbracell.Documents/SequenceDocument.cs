using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Rigs.Sequences;

namespace Umbracell.Documents;

/// <summary>What a step reads, with its limits in SI: Pa, °C, percent or kg.</summary>
/// <param name="Gauge">What is read.</param>
/// <param name="Least">The least it may be; null for no limit.</param>
/// <param name="Greatest">The greatest it may be; null for no limit.</param>
public sealed record StepReadingDocument(StepGauge Gauge, double? Least, double? Greatest);

/// <summary>A step of a sequence, as it is kept and filed.</summary>
public sealed record StepDocument
{
    /// <summary>The longest text of a step.</summary>
    public const int LongestText = 400;

    /// <summary>The longest name of a step.</summary>
    public const int LongestId = 40;

    /// <summary>Its name within the sequence; a step with the name of one that ships has the words of that one where it has none of its
    /// own.</summary>
    [MinLength(1)]
    [MaxLength(LongestId)]
    public required string Id { get; init; }

    /// <summary>What is done.</summary>
    [MaxLength(LongestText)]
    public string? What { get; init; }

    /// <summary>Why.</summary>
    [MaxLength(LongestText)]
    public string? Why { get; init; }

    /// <summary>What can go wrong.</summary>
    [MaxLength(LongestText)]
    public string? Wrong { get; init; }

    /// <summary>What it does to the rig, as far as people or pumps hang on it.</summary>
    public RigAct? Act { get; init; }

    /// <summary>Whether nobody can skip it; one that protects people or pumps is such a step anyway.</summary>
    public bool HardStop { get; init; }

    /// <summary>Steps that come before it, by their ids.</summary>
    [MaxLength(20)]
    public IReadOnlyList<string> After { get; init; } = [];

    /// <summary>What is read; null where nothing is.</summary>
    public StepReadingDocument? Reading { get; init; }

    /// <summary>How long what it begins takes.</summary>
    [Range(0.1, 1440)]
    public double? WaitMin { get; init; }

    /// <summary>Who does it.</summary>
    public SequenceRole Who { get; init; }

    /// <summary>The step in the core. One that ships does to the rig what it ships with, and stays a hard stop where it ships as one.</summary>
    /// <param name="kind">The kind of its sequence.</param>
    public SequenceStep ToStep(SequenceKind kind) =>
        new()
        {
            Id = Id,
            What = What,
            Why = Why,
            Wrong = Wrong,
            Act = ShippedSequences.ActOf(Id) ?? Act,
            HardStop = HardStop || ShippedSequences.All[kind][Id]?.HardStop == true,
            After = After,
            Reading = Reading is { } reading ? new(reading.Gauge, reading.Least, reading.Greatest) : null,
            Wait = WaitMin is { } minutes ? TimeSpan.FromMinutes(minutes) : null,
            Who = Who,
        };

    /// <summary>A step as it is kept.</summary>
    public static StepDocument Of(SequenceStep step) =>
        new()
        {
            Id = step.Id,
            What = step.What,
            Why = step.Why,
            Wrong = step.Wrong,
            Act = step.Act,
            HardStop = step.HardStop,
            After = step.After,
            Reading = step.Reading is { } reading ? new(reading.Gauge, reading.Least, reading.Greatest) : null,
            WaitMin = step.Wait?.TotalMinutes,
            Who = step.Who,
        };
}

/// <summary>A sequence, as it is kept and filed.</summary>
public sealed record SequenceDocument
{
    /// <summary>The most steps a sequence has.</summary>
    public const int MostSteps = 80;

    /// <summary>The version that is written.</summary>
    public const int CurrentVersion = 1;

    [Range(1, CurrentVersion)]
    public int SchemaVersion { get; init; } = CurrentVersion;

    /// <summary>What it is for.</summary>
    public required SequenceKind Kind { get; init; }

    /// <summary>Its steps, as they are shown.</summary>
    [MinLength(1)]
    [MaxLength(MostSteps)]
    public required IReadOnlyList<StepDocument> Steps { get; init; }

    /// <summary>The sequence in the core.</summary>
    public Sequence ToSequence() => new() { Kind = Kind, Steps = [.. Steps.Select(step => step.ToStep(Kind))] };

    /// <summary>A sequence as it is kept.</summary>
    public static SequenceDocument Of(Sequence sequence) =>
        new() { Kind = sequence.Kind, Steps = [.. sequence.Steps.Select(StepDocument.Of)] };
}
