using Umbracell.Core.Choosing;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Choose;
using Umbracell.Server.Typing;

namespace Umbracell.Server.Choose;

/// <summary>The choose stage of a surface; after an edit also what takes the edit back.</summary>
public sealed record ChoiceOfSurface
{
    public required ChoiceQuestion Question { get; init; }

    public required ChoiceAnswer Answer { get; init; }

    public required string? ChosenId { get; init; }

    public required string? ChosenKind { get; init; }

    /// <summary>What is planned to be put in, outermost first, then boards; none where nothing is chosen. It may differ from what the
    /// chosen system would have today: thicknesses are kept as they were chosen, or as the section's page set them since.</summary>
    public required IReadOnlyList<CandidateLayer> Planned { get; init; }

    public required string? ChosenBy { get; init; }

    public required DateTimeOffset? ChosenAt { get; init; }

    public required IReadOnlyList<string> Overrides { get; init; }

    public required string Reason { get; init; }

    public required bool CanTakeBack { get; init; }

    public required IReadOnlyDictionary<string, bool> Facts { get; init; }

    public required FigureAnswer? Load { get; init; }

    public required IReadOnlyDictionary<string, double> Weights { get; init; }

    public required string FirmSchool { get; init; }

    public required string JobSchool { get; init; }

    public required uint Version { get; init; }

    public required uint JobVersion { get; init; }
}

/// <summary>One line of a job's choices.</summary>
public sealed record ChoiceLine
{
    public required Guid Id { get; init; }

    public required string Name { get; init; }

    public required bool Held { get; init; }

    public required string? Advised { get; init; }

    public required Advice Advice { get; init; }

    public required IReadOnlyList<CandidateLayer> Layers { get; init; }

    public required double Score { get; init; }

    public required string? RunnerUp { get; init; }

    public required double RunnerUpScore { get; init; }

    public required int Standing { get; init; }

    public required int Excluded { get; init; }

    public required bool MeetsTarget { get; init; }

    public required FigureAnswer? Cost { get; init; }

    public required bool Chosen { get; init; }

    public required FlipAnswer? Nearest { get; init; }

    public required EnvelopeAnswer? Envelope { get; init; }
}

/// <summary>The envelope so far: heat lost through what is chosen against what the targets allow.</summary>
public sealed record EnvelopeAnswer(FigureAnswer Loss, FigureAnswer Allowed, bool Meets, int Surfaces);

/// <summary>A choice typed by a person.</summary>
public sealed record Choosing(uint Version, string CandidateId, string? Reason = null, Guid? Id = null, DateTimeOffset? At = null)
    : ICommand;

/// <summary>The last choice taken back, of a version a person saw.</summary>
public sealed record ChoiceBack(uint Version, Guid? Id = null, DateTimeOffset? At = null) : ICommand;
