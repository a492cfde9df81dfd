using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Takeoff;
using Umbracell.Server.Answers;
using Umbracell.Server.Section;

namespace Umbracell.Server.Survey;

/// <summary>Text in both unit systems, as a person would type it.</summary>
public sealed record TextInUnits(string Us, string Metric);

/// <summary>A surface as the survey shows it: every cell as it would be typed, and what follows from it.</summary>
public sealed record SurfaceAnswer(
    Guid Id,
    string Name,
    SurfaceKind Kind,
    ShapeKind Shape,
    IReadOnlyList<SizePart> SizeParts,
    TextInUnits? Size,
    TextInUnits? Openings,
    int Repeats,
    bool HasMembers,
    FigureAnswer? MemberDepth,
    FigureAnswer? MemberSpacing,
    double MemberSharePct,
    SubstrateKind Substrate,
    string? OpenLeak,
    string? SheetId,
    FigureAnswer? Thickness,
    FigureAnswer? ExpectedSubstrate,
    FigureAnswer? ExpectedDrum,
    IReadOnlyList<PreparationItem> Prepared,
    WorkedFigure? TreatedArea,
    WorkedFigure? SprayedArea,
    IReadOnlyList<FindingAnswer> Findings,
    Verdict Verdict,
    uint Version);
