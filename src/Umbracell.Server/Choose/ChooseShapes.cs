using Umbracell.Core.Choosing;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Choose;
using Umbracell.Server.Typing;

namespace Umbracell.Server.Choose;

/// <summary>The choose stage of a surface; after an edit also what takes the edit back.</summary>
public sealed record ChoiceOfSurface(
    ChoiceQuestion Question,
    ChoiceAnswer Answer,
    string? ChosenId,
    string? ChosenKind,
    string? ChosenBy,
    DateTimeOffset? ChosenAt,
    IReadOnlyList<string> Overrides,
    string Reason,
    bool CanTakeBack,
    IReadOnlyDictionary<string, bool> Facts,
    FigureAnswer? Load,
    IReadOnlyDictionary<string, double> Weights,
    string FirmSchool,
    string JobSchool,
    uint Version,
    uint JobVersion
);

/// <summary>One line of a job's choices.</summary>
public sealed record ChoiceLine(
    Guid Id,
    string Name,
    bool Held,
    string? Advised,
    Advice Advice,
    IReadOnlyList<CandidateLayer> Layers,
    double Score,
    string? RunnerUp,
    double RunnerUpScore,
    int Standing,
    int Excluded,
    bool MeetsTarget,
    FigureAnswer? Cost,
    bool Chosen,
    FlipAnswer? Nearest,
    EnvelopeAnswer? Envelope
);

/// <summary>The envelope so far: heat lost through what is chosen against what the targets allow.</summary>
public sealed record EnvelopeAnswer(FigureAnswer Loss, FigureAnswer Allowed, bool Meets, int Surfaces);

/// <summary>A choice typed by a person.</summary>
public sealed record Choosing(uint Version, string CandidateId, string? Reason = null, Guid? Id = null, DateTimeOffset? At = null)
    : ICommand;

/// <summary>The last choice taken back, of a version a person saw.</summary>
public sealed record ChoiceBack(uint Version, Guid? Id = null, DateTimeOffset? At = null) : ICommand;
