using Umbracell.Core.Conditions;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Window;
using Umbracell.Server.Surfaces;
using Umbracell.Store.Model;

namespace Umbracell.Server.Window;

/// <summary>A reading as shown.</summary>
public sealed record ReadingAnswer
{
    public required ReadingKind Kind { get; init; }

    public required FigureAnswer? Figure { get; init; }

    public required bool? FoundDry { get; init; }

    public required string Instrument { get; init; }

    public required FigureAnswer? StatedError { get; init; }

    public required string Place { get; init; }

    public required string Species { get; init; }

    public required DateTimeOffset TakenAt { get; init; }

    public required string TakenBy { get; init; }
}

/// <summary>The window of a surface: today's readings and the gate.</summary>
public sealed record WindowOfSurface
{
    public required GateQuestion? Question { get; init; }

    public required GateAnswer? Answer { get; init; }

    public required string? Sheet { get; init; }

    public required SubstrateKind SubstrateKind { get; init; }

    /// <summary>Whether it lies in the open: air at the work is then the air outdoors.</summary>
    public required bool OpenFace { get; init; }

    public required IReadOnlyList<PreparationTaskAnswer> Preparation { get; init; }

    public required IReadOnlyList<ReadingAnswer> Readings { get; init; }

    public required uint Version { get; init; }
}
