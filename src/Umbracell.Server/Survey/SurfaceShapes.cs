using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Takeoff;
using Umbracell.Core.Weather;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;
using Umbracell.Server.Typing;

namespace Umbracell.Server.Survey;

/// <summary>Text in both unit systems, as a person would type it.</summary>
public sealed record TextInUnits(string Us, string Metric);

/// <summary>A layer of a surface as its editor shows it.</summary>
public sealed record LayerAnswer(string Material, FigureAnswer Thickness);

/// <summary>What else is known of a surface, as it would be typed.</summary>
public sealed record DetailsAnswer
{
    public required IReadOnlyList<DetailField> Asked { get; init; }

    public required AccessKind Access { get; init; }

    public required FigureAnswer AccessFactor { get; init; }

    public required bool? BalloonFramed { get; init; }

    public required bool? CrawlSpace { get; init; }

    public required bool? HeldAtEnds { get; init; }

    public required FigureAnswer? Flange { get; init; }

    public required FigureAnswer? Web { get; init; }

    public required FigureAnswer? Skin { get; init; }

    public required Covering Covering { get; init; }

    public required Attachment Attachment { get; init; }

    public required Facing Facing { get; init; }

    /// <summary>How open the ground around it is to wind.</summary>
    public required Shelter Shelter { get; init; }

    /// <summary>How high over the ground it lies; null where nobody said it.</summary>
    public required FigureAnswer? FaceHeight { get; init; }

    /// <summary>Day on which the next trade covers an open face; null where nobody said it.</summary>
    public required DateOnly? CoveredOn { get; init; }

    public required FigureAnswer? DoorSpare { get; init; }

    public required FigureAnswer? Penetration { get; init; }

    public required Guid? BufferId { get; init; }
}

/// <summary>A surface as the survey shows it: every cell as it would be typed, and what follows from it; after an edit also what takes
/// the edit back.</summary>
public sealed record SurfaceAnswer
{
    public required Guid Id { get; init; }

    public required string Name { get; init; }

    public required SurfaceKind Kind { get; init; }

    public required ShapeKind Shape { get; init; }

    public required IReadOnlyList<SizePart> SizeParts { get; init; }

    public required IReadOnlyList<SizePart> CutAlong { get; init; }

    public required TextInUnits? Size { get; init; }

    public required TextInUnits? Openings { get; init; }

    public required int Repeats { get; init; }

    public required bool HasMembers { get; init; }

    public required MemberMaterial MemberMaterial { get; init; }

    public required FigureAnswer? MemberDepth { get; init; }

    public required FigureAnswer? MemberSpacing { get; init; }

    public required double MemberSharePct { get; init; }

    public required FigureAnswer? MemberShare { get; init; }

    public required SubstrateKind Substrate { get; init; }

    public required IReadOnlyList<LayerAnswer> Outboard { get; init; }

    public required IReadOnlyList<LayerAnswer> Inboard { get; init; }

    public required FigureAnswer? VentChannel { get; init; }

    public required LayerAnswer? Baffle { get; init; }

    public required FigureAnswer ProfileFactor { get; init; }

    public required DetailsAnswer Details { get; init; }

    public required string? OpenLeak { get; init; }

    public required string? SheetId { get; init; }

    public required FigureAnswer? Thickness { get; init; }

    public required FigureAnswer? ExpectedSubstrate { get; init; }

    public required FigureAnswer? ExpectedDrum { get; init; }

    public required WorkedFigure? TreatedArea { get; init; }

    public required WorkedFigure? SprayedArea { get; init; }

    public required IReadOnlyList<FindingAnswer> Findings { get; init; }

    public required Verdict Verdict { get; init; }

    public required uint Version { get; init; }
}

/// <summary>The face of a surface's foam, moved by hand.</summary>
/// <param name="Version">The version that was on the screen.</param>
/// <param name="ThicknessMm">Where the hand left it.</param>
/// <param name="Id">Made where it was moved, so that the same sent again is no second one.</param>
/// <param name="At">When it was moved; null for now.</param>
public sealed record FaceMoved(
    uint? Version,
    [property: Range(ThicknessLimits.LeastEnteredMm, ThicknessLimits.MostEnteredMm)] double ThicknessMm,
    Guid? Id = null,
    DateTimeOffset? At = null
) : ICommand;
