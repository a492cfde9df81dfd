using Umbracell.Core.Choosing;
using Umbracell.Core.Moisture;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;

namespace Umbracell.Questions.Choose;

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
