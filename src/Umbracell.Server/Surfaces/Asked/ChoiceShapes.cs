using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Moisture;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;
using Umbracell.Server.Typing;

namespace Umbracell.Server.Surfaces;

/// <summary>A layer of a candidate.</summary>
/// <param name="Key">open, closed or a material's id.</param>
/// <param name="Name">Product name of a foam; id of what else.</param>
/// <param name="Foam">What kind of foam, such as <c>closedStandard</c>; null for what is no foam.</param>
/// <param name="Thickness">Thickness.</param>
public sealed record CandidateLayer(string Key, string Name, string? Foam, FigureAnswer Thickness);

/// <summary>A part of a score.</summary>
public sealed record ScoreAnswer(
    ScorePart Part,
    double Value,
    double Share,
    FigureAnswer Measured,
    WorkingAnswer Working,
    FigureAnswer Worth,
    FigureAnswer Weight
);

/// <summary>Where a candidate is dampest in its year of means.</summary>
/// <param name="Place">What lies on either side, as <c>osb|foam</c>.</param>
/// <param name="Humidity">Humidity there in the worst month, with how it came about.</param>
/// <param name="Untold">A place that reads wet under any system, about which the means cannot tell; null where there is none.</param>
public sealed record DampestAnswer(string Place, WorkedFigure Humidity, string? Untold);

/// <summary>A candidate.</summary>
public sealed record CandidateAnswer(
    string Id,
    CandidateKind Kind,
    IReadOnlyList<CandidateLayer> Layers,
    IReadOnlyList<CandidateLayer> Boards,
    IReadOnlyList<SketchLayer> Sketch,
    WorkedFigure U,
    WorkedFigure InstalledCavity,
    FigureAnswer InstalledContinuous,
    bool MeetsTarget,
    FigureAnswer? Shortfall,
    WorkedFigure Permeance,
    VapourClass Class,
    WorkedFigure? Cost,
    IReadOnlyList<string> PricesMissing,
    FigureAnswer Hours,
    int Lifts,
    DampestAnswer? Dampest,
    FigureAnswer? FloorFace,
    IReadOnlyList<FindingAnswer> Findings,
    IReadOnlyList<FindingAnswer> Opinions,
    bool OpinionsDiffer,
    IReadOnlyList<ScoreAnswer> Scores,
    double TotalScore,
    WorkedFigure Total,
    School School,
    bool InPractice,
    bool Excluded,
    bool FailsCondensation,
    SectionQuestion Question
);

/// <summary>A flip point.</summary>
public sealed record FlipAnswer(
    FlipInput Input,
    FigureAnswer Now,
    FigureAnswer At,
    FigureAnswer Apart,
    bool Above,
    double Low,
    double High,
    string Winner,
    CandidateKind WinnerKind,
    FlipCause Cause,
    string? Rule,
    WorkingAnswer Working
);

/// <summary>A change with which a system stays dry where none does now.</summary>
/// <param name="Change">What changes.</param>
/// <param name="To">To what.</param>
/// <param name="System">The system that then is advised.</param>
public sealed record MeasureAnswer(DryingChange Change, FigureAnswer To, CandidateKind System);

/// <summary>A system that trades places with the one advised within the rounding of the thickness.</summary>
/// <param name="Input">What moves.</param>
/// <param name="At">Where they trade places.</param>
/// <param name="System">The other system.</param>
public sealed record AlikeAnswer(FlipInput Input, FigureAnswer At, CandidateKind System);

/// <summary>What the systems of a surface give.</summary>
public sealed record ChoiceAnswer(
    IReadOnlyList<CandidateAnswer> Candidates,
    string? AdvisedId,
    string? OtherSchoolId,
    IReadOnlyList<FlipAnswer> Flips,
    IReadOnlyList<FindingAnswer> OfSurface,
    FigureAnswer? Target,
    TargetPath Path,
    IReadOnlyList<string> Labels,
    string? Question,
    School Followed,
    Advice Advice,
    IReadOnlyList<MeasureAnswer> Measures,
    IReadOnlyList<AlikeAnswer> Alike
);

/// <summary>The choose stage of a surface; after an edit also what takes the edit back.</summary>
public sealed record ChoiceOfSurface(
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

/// <summary>What bears on a choice, in a question.</summary>
public sealed record FactsShape(
    bool OpenLeak = false,
    bool WoodSubstrate = false,
    [property: Range(0, 100)] double? WoodMoisturePct = null,
    Covering Covering = Covering.Unknown,
    Attachment Attachment = Attachment.Unknown,
    [property: Range(0, 500)] double? DoorSpareKg = null,
    [property: Range(0.01, 1_000_000)] double? TreatedM2 = null,
    [property: Range(-40, 60)] double? SubstrateTempC = null,
    bool Conditioned = true,
    bool SoundAsked = false,
    bool Workplace = false,
    bool LaterAccess = false,
    bool RainBeforeCover = false,
    bool OldBuilding = false,
    bool Termites = false,
    bool Radon = false,
    bool FloodProne = false,
    bool CombustionInside = false,
    bool LooseFill = false,
    bool HeldAtEnds = false,
    bool ClearancesAsked = false,
    bool WetOldInsulation = false,
    [property: Range(0, 2000)] double? LoadKPa = null
);

/// <summary>A choice asked by another program: the bare section (its own foam is not used), what bears on it, and the weights.</summary>
public sealed record ChoiceQuestion(
    [property: Required] SectionQuestion Section,
    FactsShape? Facts = null,
    IReadOnlyDictionary<ScorePart, double>? Weights = null,
    bool WithFlips = true
);

/// <summary>A choice typed by a person.</summary>
public sealed record Choosing(uint Version, string CandidateId, string? Reason = null, Guid? Id = null, DateTimeOffset? At = null)
    : ICommand;

/// <summary>The last choice taken back, of a version a person saw.</summary>
public sealed record ChoiceBack(uint Version, Guid? Id = null, DateTimeOffset? At = null) : ICommand;
