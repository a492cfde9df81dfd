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
public sealed record ScoreAnswer
{
    public required ScorePart Part { get; init; }

    public required double Value { get; init; }

    public required double Share { get; init; }

    /// <summary>What was measured; null for what is of money, to whom that is not told.</summary>
    public required FigureAnswer? Measured { get; init; }

    /// <summary>How it came about; null likewise.</summary>
    public required WorkingAnswer? Working { get; init; }

    public required FigureAnswer Worth { get; init; }

    public required FigureAnswer Weight { get; init; }
}

/// <summary>Where a candidate is dampest in its year of means.</summary>
/// <param name="Place">What lies on either side, as <c>osb|foam</c>.</param>
/// <param name="Humidity">Humidity there in the worst month, with how it came about.</param>
/// <param name="Untold">A place that reads wet under any system, about which the means cannot tell; null where there is none.</param>
public sealed record DampestAnswer(string Place, WorkedFigure Humidity, string? Untold);

/// <summary>A candidate.</summary>
public sealed record CandidateAnswer
{
    public required string Id { get; init; }

    public required CandidateKind Kind { get; init; }

    public required IReadOnlyList<CandidateLayer> Layers { get; init; }

    public required IReadOnlyList<CandidateLayer> Boards { get; init; }

    public required IReadOnlyList<SketchLayer> Sketch { get; init; }

    public required WorkedFigure U { get; init; }

    public required WorkedFigure InstalledCavity { get; init; }

    public required FigureAnswer InstalledContinuous { get; init; }

    public required bool MeetsTarget { get; init; }

    public required FigureAnswer? Shortfall { get; init; }

    public required WorkedFigure Permeance { get; init; }

    public required VapourClass Class { get; init; }

    public required WorkedFigure? Cost { get; init; }

    public required IReadOnlyList<string> PricesMissing { get; init; }

    public required FigureAnswer Hours { get; init; }

    public required int Lifts { get; init; }

    public required DampestAnswer? Dampest { get; init; }

    public required FigureAnswer? FloorFace { get; init; }

    public required IReadOnlyList<FindingAnswer> Findings { get; init; }

    public required IReadOnlyList<FindingAnswer> Opinions { get; init; }

    public required bool OpinionsDiffer { get; init; }

    public required IReadOnlyList<ScoreAnswer> Scores { get; init; }

    public required double TotalScore { get; init; }

    public required WorkedFigure Total { get; init; }

    public required School School { get; init; }

    public required bool InPractice { get; init; }

    public required bool Excluded { get; init; }

    public required bool FailsCondensation { get; init; }

    public required SectionQuestion Question { get; init; }
}

/// <summary>A flip point.</summary>
public sealed record FlipAnswer
{
    public required FlipInput Input { get; init; }

    public required FigureAnswer Now { get; init; }

    public required FigureAnswer At { get; init; }

    public required FigureAnswer Apart { get; init; }

    public required bool Above { get; init; }

    public required double Low { get; init; }

    public required double High { get; init; }

    public required string Winner { get; init; }

    public required CandidateKind WinnerKind { get; init; }

    public required FlipCause Cause { get; init; }

    public required string? Rule { get; init; }

    public required WorkingAnswer Working { get; init; }
}

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
public sealed record ChoiceAnswer
{
    public required IReadOnlyList<CandidateAnswer> Candidates { get; init; }

    public required string? AdvisedId { get; init; }

    public required string? OtherSchoolId { get; init; }

    public required IReadOnlyList<FlipAnswer> Flips { get; init; }

    public required IReadOnlyList<FindingAnswer> OfSurface { get; init; }

    public required FigureAnswer? Target { get; init; }

    public required TargetPath Path { get; init; }

    public required IReadOnlyList<string> Labels { get; init; }

    public required string? Question { get; init; }

    public required School Followed { get; init; }

    public required Advice Advice { get; init; }

    public required IReadOnlyList<MeasureAnswer> Measures { get; init; }

    public required IReadOnlyList<AlikeAnswer> Alike { get; init; }

    /// <summary>The same for whom it is none of what the firm pays: systems are ranked as they are, and what was paid for what is not
    /// said anywhere in it.</summary>
    public ChoiceAnswer WithoutMoney() =>
        this with
        {
            Candidates = [.. Candidates.Select(WithoutMoney)],
            Flips = [.. Flips.Select(flip => flip with { Working = Outline(flip.Working) })],
        };

    private static CandidateAnswer WithoutMoney(CandidateAnswer candidate) =>
        candidate with
        {
            Cost = null,
            PricesMissing = [],
            Scores =
            [
                .. candidate.Scores.Select(score => score.Part == ScorePart.Cost ? score with { Measured = null, Working = null } : score),
            ],
            Total = candidate.Total with { Working = candidate.Total.Working is { } working ? Outline(working) : null },
        };

    // Down a working stand the prices a score came from.
    private static WorkingAnswer Outline(WorkingAnswer working) =>
        working with
        {
            Terms = [.. working.Terms.Select(term => term with { From = null })],
        };
}
