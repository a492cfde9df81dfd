using Umbracell.Core.Airtightness;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Conditions;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Documents;

namespace Umbracell.Formats.JobFiles;

/// <summary>The job itself.</summary>
public sealed record FiledJob
{
    public required string Name { get; init; }

    public required string Crew { get; init; }

    public required string ClimateZone { get; init; }

    public required string TargetSetId { get; init; }

    public required double IndoorC { get; init; }

    public required double IndoorRhPct { get; init; }

    public required double OutdoorC { get; init; }

    public required double OutdoorRhPct { get; init; }

    public required double SummerIndoorC { get; init; }

    public required double SummerIndoorRhPct { get; init; }

    public required double SummerOutdoorC { get; init; }

    public required double SummerOutdoorRhPct { get; init; }

    public required double? HeightM { get; init; }

    public required string? PlaceId { get; init; }

    public required int? HumidityClass { get; init; }

    public required IReadOnlyList<double> RoomMonthsC { get; init; }

    public required IReadOnlyList<double> RoomMonthsRhPct { get; init; }

    public required double AltitudeM { get; init; }

    public required double RiskPct { get; init; }

    public required DateTimeOffset CreatedAt { get; init; }

    public FiledChoosing? Choosing { get; init; }

    public FiledPlace? OwnPlace { get; init; }

    public FiledTargets? OwnTargets { get; init; }

    public PricingDocument? Pricing { get; init; }
}

/// <summary>A bid as it was made: its lines in the order they add up, and what each surface was priced for.</summary>
public sealed record FiledBid
{
    public required DateTimeOffset MadeAt { get; init; }

    public required string MadeBy { get; init; }

    public required DateOnly? WorkDate { get; init; }

    public required double Net { get; init; }

    public required double Price { get; init; }

    public required IReadOnlyList<KeptLine> Lines { get; init; }

    public required IReadOnlyList<KeptSurface> Surfaces { get; init; }
}

/// <summary>A paper as it was made.</summary>
public sealed record FiledPaper(PaperKind Kind, bool ShowsPrices, DateTimeOffset MadeAt, string MadeBy, PaperDocument Document);

/// <summary>A target set of the firm's own that the job is held to.</summary>
public sealed record FiledTargets(string Edition, string BasedOn, IReadOnlyList<FiledTarget> GreatestU);

/// <summary>The greatest U of one part of the envelope in one zone.</summary>
public sealed record FiledTarget(string Element, string Zone, double UWM2K);

/// <summary>A place of the firm's own that the job names.</summary>
public sealed record FiledPlace
{
    public required string Name { get; init; }

    public required string ClimateZone { get; init; }

    public required double AltitudeM { get; init; }

    public required IReadOnlyList<double> MeanC { get; init; }

    public required IReadOnlyList<double> MeanRhPct { get; init; }

    public required double HeatingC { get; init; }

    public required double CoolingC { get; init; }

    public required double CoolingRhPct { get; init; }

    public required string Source { get; init; }

    public double? Latitude { get; init; }

    public double? Longitude { get; init; }

    public string? TimeZone { get; init; }
}

/// <summary>How the job chooses; lists are empty where it follows the firm and the product.</summary>
public sealed record FiledChoosing(TargetPath TargetPath, IReadOnlyList<FiledWeight> Weights, IReadOnlyList<FiledSchool> Schools);

/// <summary>What a part of a score weighs.</summary>
public sealed record FiledWeight(ScorePart Part, double Weight);

/// <summary>A school followed in a question.</summary>
public sealed record FiledSchool(PracticeQuestion Question, School School);

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

/// <summary>A reading.</summary>
public sealed record FiledReading
{
    public required Guid? SurfaceId { get; init; }

    public required string? SheetId { get; init; }

    public required string Kind { get; init; }

    public required double? TempC { get; init; }

    public required double? Percent { get; init; }

    public required bool? FoundDry { get; init; }

    public required HumidityReference HumidityOver { get; init; }

    public required string Instrument { get; init; }

    public required double? StatedError { get; init; }

    public required string Place { get; init; }

    public required double? RawValue { get; init; }

    public required string Species { get; init; }

    public required DateTimeOffset TakenAt { get; init; }

    public required string TakenBy { get; init; }

    public DateTimeOffset? ReceivedAt { get; init; }

    /// <summary>The one field that a kind of reading fills.</summary>
    /// <param name="kind">The kind, in whatever case.</param>
    internal static string FieldOf(string kind) =>
        kind.ToUpperInvariant() switch
        {
            "FOUNDDRY" => "foundDry",
            "HUMIDITY" or "WOODMOISTURE" or "CONCRETEMOISTURE" => "percent",
            _ => "tempC",
        };
}

/// <summary>A joint.</summary>
public sealed record FiledJoint
{
    public required Guid FirstId { get; init; }

    public required Guid? SecondId { get; init; }

    public required string Beyond { get; init; }

    public required JointKind Kind { get; init; }

    public required Handover Water { get; init; }

    public required Handover Air { get; init; }

    public required Handover Vapour { get; init; }

    public required Handover Heat { get; init; }

    public required string How { get; init; }

    public required string DoneBy { get; init; }

    public required bool Ready { get; init; }

    public required string SeenBy { get; init; }

    public required DateTimeOffset? SeenAt { get; init; }

    public required bool DoNotMeet { get; init; }
}

/// <summary>A complaint.</summary>
public sealed record FiledComplaint(ComplaintKind Kind, string Place, string Words, IReadOnlyList<Guid> Suspects, DateTimeOffset MadeAt);

/// <summary>A mark on the preparation list.</summary>
public sealed record FiledPreparation
{
    public required Guid? SurfaceId { get; init; }

    public required PreparationItem Item { get; init; }

    public required string AssignedTo { get; init; }

    public required DateOnly? DueOn { get; init; }

    public required DateTimeOffset? DoneAt { get; init; }

    public required string DoneBy { get; init; }

    public DateTimeOffset? TickedAt { get; init; }
}

/// <summary>A buffer space.</summary>
public sealed record FiledBuffer
{
    public required Guid Id { get; init; }

    public required string Name { get; init; }

    public required BufferKind Kind { get; init; }

    public required double VolumeM3 { get; init; }

    public required double AirChanges { get; init; }

    public required double AirChangesPlanned { get; init; }

    public required double OtherLossWK { get; init; }

    public required double DuctLossW { get; init; }
}

/// <summary>A fan test.</summary>
public sealed record FiledFanTest
{
    public required string Phase { get; init; }

    public required FanDirection Direction { get; init; }

    public required double IndoorC { get; init; }

    public required double OutdoorC { get; init; }

    public required double? VolumeM3 { get; init; }

    public required double ZeroBeforePa { get; init; }

    public required double ZeroAfterPa { get; init; }

    public required IReadOnlyList<double> PressuresPa { get; init; }

    public required IReadOnlyList<double> FlowsM3S { get; init; }

    public required string Words { get; init; }

    public required DateTimeOffset TakenAt { get; init; }

    public required string TakenBy { get; init; }
}

/// <summary>A spot of a thermal picture.</summary>
public sealed record FiledSpot(string Label, int Row, int Column);

/// <summary>A thermal picture.</summary>
public sealed record FiledThermalPicture
{
    public required Guid? SurfaceId { get; init; }

    public required string Name { get; init; }

    public required string Phase { get; init; }

    public required int Rows { get; init; }

    public required int Columns { get; init; }

    public required IReadOnlyList<float> TempsC { get; init; }

    public required double IndoorC { get; init; }

    public required double OutdoorC { get; init; }

    public required string Conditions { get; init; }

    public required IReadOnlyList<FiledSpot> Spots { get; init; }

    public required DateTimeOffset TakenAt { get; init; }

    public required string TakenBy { get; init; }
}

/// <summary>A data logger's series.</summary>
public sealed record FiledLog
{
    public required Guid? SurfaceId { get; init; }

    public required string Name { get; init; }

    public required IReadOnlyList<long> TimesUnixS { get; init; }

    public required IReadOnlyList<double> TempsC { get; init; }

    public required IReadOnlyList<double> RhPct { get; init; }

    public required DateTimeOffset AddedAt { get; init; }

    public required string AddedBy { get; init; }
}

/// <summary>A photo; its bytes in base 64.</summary>
public sealed record FiledPhoto
{
    public required Guid? SurfaceId { get; init; }

    public required string Caption { get; init; }

    public required string ContentType { get; init; }

    public required byte[] Bytes { get; init; }

    public required byte[] Thumbnail { get; init; }

    public required int Width { get; init; }

    public required int Height { get; init; }

    public required DateTimeOffset AddedAt { get; init; }

    public required string AddedBy { get; init; }

    public DateTimeOffset? ReceivedAt { get; init; }
}
