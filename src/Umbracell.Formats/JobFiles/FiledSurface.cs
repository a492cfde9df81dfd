using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;
using Umbracell.Core.Takeoff;
using Umbracell.Documents;

namespace Umbracell.Formats.JobFiles;

/// <summary>A surface.</summary>
public sealed record FiledSurface
{
    public required Guid Id { get; init; }

    public required string Name { get; init; }

    public required SurfaceKind Kind { get; init; }

    public required ShapeKind Shape { get; init; }

    public required double FirstM { get; init; }

    public required double SecondM { get; init; }

    public required double ThirdM { get; init; }

    public required double Pitch { get; init; }

    public required int BayCount { get; init; }

    public required IReadOnlyList<double> CornersM { get; init; }

    public required int Repeats { get; init; }

    public required double ProfileFactor { get; init; }

    public required SubstrateKind Substrate { get; init; }

    public required MemberMaterial MemberMaterial { get; init; }

    public required double MemberDepthM { get; init; }

    public required double MemberSpacingM { get; init; }

    public required double MemberShare { get; init; }

    public required FoamSide FoamAgainst { get; init; }

    public required bool ShavedFlush { get; init; }

    public required bool OpenFace { get; init; }

    public required IReadOnlyList<LayerDocument> Outboard { get; init; }

    public required IReadOnlyList<LayerDocument> Inboard { get; init; }

    public required double VentChannelMm { get; init; }

    public required LayerDocument? Baffle { get; init; }

    public required DetailsDocument Details { get; init; }

    public required Guid? BufferId { get; init; }

    public required string? SheetId { get; init; }

    public required double? FoamThicknessM { get; init; }

    public required double? ExpectedSubstrateC { get; init; }

    public required double? ExpectedDrumC { get; init; }

    public required IReadOnlyList<FiledOpening> Openings { get; init; }

    public required IReadOnlyList<FiledNote> Notes { get; init; }

    public required DateTimeOffset ChangedAt { get; init; }

    public SystemDocument? System { get; init; }

    public FactsDocument? ChoiceFacts { get; init; }
}

/// <summary>An opening.</summary>
public sealed record FiledOpening(int Count, double WidthM, double HeightM);

/// <summary>Something found.</summary>
public sealed record FiledNote
{
    public required SiteNoteKind Kind { get; init; }

    public required string Words { get; init; }

    public required string Traced { get; init; }

    public required int? DaysSinceRain { get; init; }

    public required double? ClearanceM { get; init; }

    public required DateTimeOffset? MendedAt { get; init; }

    public required string MendedBy { get; init; }

    public required DateTimeOffset NotedAt { get; init; }

    public required string NotedBy { get; init; }

    public DateTimeOffset? ReceivedAt { get; init; }
}
