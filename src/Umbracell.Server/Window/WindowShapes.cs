using Umbracell.Core.Conditions;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Window;
using Umbracell.Server.Surfaces;
using Umbracell.Store.Model;

namespace Umbracell.Server.Window;

/// <summary>A reading as shown.</summary>
public sealed record ReadingAnswer(
    ReadingKind Kind,
    FigureAnswer? Figure,
    bool? FoundDry,
    string Instrument,
    double? StatedError,
    string Place,
    string Species,
    DateTimeOffset TakenAt,
    string TakenBy
);

/// <summary>The window of a surface: today's readings and the gate.</summary>
public sealed record WindowOfSurface(
    GateQuestion? Question,
    GateAnswer? Answer,
    string? Sheet,
    SubstrateKind SubstrateKind,
    IReadOnlyList<PreparationTaskAnswer> Preparation,
    IReadOnlyList<ReadingAnswer> Readings,
    uint Version
);
