using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Takeoff;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;
using Umbracell.Server.Typing;

namespace Umbracell.Server.Survey;

/// <summary>Text in both unit systems, as a person would type it.</summary>
public sealed record TextInUnits(string Us, string Metric);

/// <summary>A layer of a surface as its editor shows it.</summary>
public sealed record LayerAnswer(string Material, FigureAnswer Thickness);

/// <summary>What else is known of a surface, as it would be typed.</summary>
public sealed record DetailsAnswer(
    IReadOnlyList<DetailField> Asked,
    AccessKind Access,
    FigureAnswer AccessFactor,
    bool? BalloonFramed,
    bool? CrawlSpace,
    bool? HeldAtEnds,
    FigureAnswer? Flange,
    FigureAnswer? Web,
    FigureAnswer? Skin,
    Covering Covering,
    Attachment Attachment,
    FigureAnswer? DoorSpare,
    FigureAnswer? Penetration,
    Guid? BufferId
);

/// <summary>A line or outline in metres: x and y in turn.</summary>
public sealed record SketchPath(IReadOnlyList<double> Xy);

/// <summary>A surface drawn from its numbers, in metres, x across and y up.</summary>
public sealed record SketchAnswer(
    double WidthM,
    double HeightM,
    IReadOnlyList<SketchPath> Faces,
    IReadOnlyList<SketchPath> Openings,
    IReadOnlyList<SketchPath> Members
);

/// <summary>A surface as the survey shows it: every cell as it would be typed, and what follows from it; after an edit also what takes
/// the edit back.</summary>
public sealed record SurfaceAnswer(
    Guid Id,
    string Name,
    SurfaceKind Kind,
    ShapeKind Shape,
    IReadOnlyList<SizePart> SizeParts,
    IReadOnlyList<SizePart> CutAlong,
    TextInUnits? Size,
    TextInUnits? Openings,
    int Repeats,
    bool HasMembers,
    MemberMaterial MemberMaterial,
    FigureAnswer? MemberDepth,
    FigureAnswer? MemberSpacing,
    double MemberSharePct,
    FigureAnswer? MemberShare,
    SubstrateKind Substrate,
    IReadOnlyList<LayerAnswer> Outboard,
    IReadOnlyList<LayerAnswer> Inboard,
    FigureAnswer? VentChannel,
    LayerAnswer? Baffle,
    FigureAnswer ProfileFactor,
    DetailsAnswer Details,
    string? OpenLeak,
    string? SheetId,
    FigureAnswer? Thickness,
    FigureAnswer? ExpectedSubstrate,
    FigureAnswer? ExpectedDrum,
    WorkedFigure? TreatedArea,
    WorkedFigure? SprayedArea,
    IReadOnlyList<FindingAnswer> Findings,
    Verdict Verdict,
    uint Version
);

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
