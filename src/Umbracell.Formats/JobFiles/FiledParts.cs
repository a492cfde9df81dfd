using Umbracell.Core.Airtightness;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Conditions;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Documents;

namespace Umbracell.Formats.JobFiles;

/// <summary>The job itself.</summary>
public sealed record FiledJob(
    string Name,
    string Crew,
    string ClimateZone,
    string TargetSetId,
    double IndoorC,
    double IndoorRhPct,
    double OutdoorC,
    double OutdoorRhPct,
    double SummerIndoorC,
    double SummerIndoorRhPct,
    double SummerOutdoorC,
    double SummerOutdoorRhPct,
    double? HeightM,
    string? PlaceId,
    int? HumidityClass,
    IReadOnlyList<double> RoomMonthsC,
    IReadOnlyList<double> RoomMonthsRhPct,
    double AltitudeM,
    double RiskPct,
    DateTimeOffset CreatedAt,
    FiledChoosing? Choosing = null,
    FiledPlace? OwnPlace = null,
    FiledTargets? OwnTargets = null,
    PricingDocument? Pricing = null
);

/// <summary>A bid as it was made: its lines in the order they add up, and what each surface was priced for.</summary>
public sealed record FiledBid(
    DateTimeOffset MadeAt,
    string MadeBy,
    DateOnly? WorkDate,
    double Net,
    double Price,
    IReadOnlyList<KeptLine> Lines,
    IReadOnlyList<KeptSurface> Surfaces
);

/// <summary>A paper as it was made.</summary>
public sealed record FiledPaper(PaperKind Kind, bool ShowsPrices, DateTimeOffset MadeAt, string MadeBy, PaperDocument Document);

/// <summary>A target set of the firm's own that the job is held to.</summary>
public sealed record FiledTargets(string Edition, string BasedOn, IReadOnlyList<FiledTarget> GreatestU);

/// <summary>The greatest U of one part of the envelope in one zone.</summary>
public sealed record FiledTarget(string Element, string Zone, double UWM2K);

/// <summary>A place of the firm's own that the job names.</summary>
public sealed record FiledPlace(
    string Name,
    string ClimateZone,
    double AltitudeM,
    IReadOnlyList<double> MeanC,
    IReadOnlyList<double> MeanRhPct,
    double HeatingC,
    double CoolingC,
    double CoolingRhPct,
    string Source,
    double? Latitude = null,
    double? Longitude = null,
    string? TimeZone = null
);

/// <summary>How the job chooses; lists are empty where it follows the firm and the product.</summary>
public sealed record FiledChoosing(TargetPath TargetPath, IReadOnlyList<FiledWeight> Weights, IReadOnlyList<FiledSchool> Schools);

/// <summary>What a part of a score weighs.</summary>
public sealed record FiledWeight(ScorePart Part, double Weight);

/// <summary>A school followed in a question.</summary>
public sealed record FiledSchool(PracticeQuestion Question, School School);

/// <summary>An opening.</summary>
public sealed record FiledOpening(int Count, double WidthM, double HeightM);

/// <summary>Something found.</summary>
public sealed record FiledNote(
    SiteNoteKind Kind,
    string Words,
    string Traced,
    int? DaysSinceRain,
    double? ClearanceM,
    DateTimeOffset? MendedAt,
    string MendedBy,
    DateTimeOffset NotedAt,
    string NotedBy,
    DateTimeOffset? ReceivedAt = null
);

/// <summary>A surface.</summary>
public sealed record FiledSurface(
    Guid Id,
    string Name,
    SurfaceKind Kind,
    ShapeKind Shape,
    double FirstM,
    double SecondM,
    double ThirdM,
    double Pitch,
    int BayCount,
    IReadOnlyList<double> CornersM,
    int Repeats,
    double ProfileFactor,
    SubstrateKind Substrate,
    MemberMaterial MemberMaterial,
    double MemberDepthM,
    double MemberSpacingM,
    double MemberShare,
    FoamSide FoamAgainst,
    bool ShavedFlush,
    bool OpenFace,
    IReadOnlyList<LayerDocument> Outboard,
    IReadOnlyList<LayerDocument> Inboard,
    double VentChannelMm,
    LayerDocument? Baffle,
    DetailsDocument Details,
    Guid? BufferId,
    string? SheetId,
    double? FoamThicknessM,
    double? ExpectedSubstrateC,
    double? ExpectedDrumC,
    IReadOnlyList<FiledOpening> Openings,
    IReadOnlyList<FiledNote> Notes,
    DateTimeOffset ChangedAt,
    SystemDocument? System = null,
    FactsDocument? ChoiceFacts = null
);

/// <summary>A reading.</summary>
public sealed record FiledReading(
    Guid? SurfaceId,
    string? SheetId,
    string Kind,
    double? TempC,
    double? Percent,
    bool? FoundDry,
    HumidityReference HumidityOver,
    string Instrument,
    double? StatedError,
    string Place,
    double? RawValue,
    string Species,
    DateTimeOffset TakenAt,
    string TakenBy,
    DateTimeOffset? ReceivedAt = null
)
{
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
public sealed record FiledJoint(
    Guid FirstId,
    Guid? SecondId,
    string Beyond,
    JointKind Kind,
    Handover Water,
    Handover Air,
    Handover Vapour,
    Handover Heat,
    string How,
    string DoneBy,
    bool Ready,
    string SeenBy,
    DateTimeOffset? SeenAt,
    bool DoNotMeet
);

/// <summary>A complaint.</summary>
public sealed record FiledComplaint(ComplaintKind Kind, string Place, string Words, IReadOnlyList<Guid> Suspects, DateTimeOffset MadeAt);

/// <summary>A mark on the preparation list.</summary>
public sealed record FiledPreparation(
    Guid? SurfaceId,
    PreparationItem Item,
    string AssignedTo,
    DateOnly? DueOn,
    DateTimeOffset? DoneAt,
    string DoneBy,
    DateTimeOffset? TickedAt = null
);

/// <summary>A buffer space.</summary>
public sealed record FiledBuffer(
    Guid Id,
    string Name,
    BufferKind Kind,
    double VolumeM3,
    double AirChanges,
    double AirChangesPlanned,
    double OtherLossWK,
    double DuctLossW
);

/// <summary>A fan test.</summary>
public sealed record FiledFanTest(
    string Phase,
    FanDirection Direction,
    double IndoorC,
    double OutdoorC,
    double? VolumeM3,
    double ZeroBeforePa,
    double ZeroAfterPa,
    IReadOnlyList<double> PressuresPa,
    IReadOnlyList<double> FlowsM3S,
    string Words,
    DateTimeOffset TakenAt,
    string TakenBy
);

/// <summary>A spot of a thermal picture.</summary>
public sealed record FiledSpot(string Label, int Row, int Column);

/// <summary>A thermal picture.</summary>
public sealed record FiledThermalPicture(
    Guid? SurfaceId,
    string Name,
    string Phase,
    int Rows,
    int Columns,
    IReadOnlyList<float> TempsC,
    double IndoorC,
    double OutdoorC,
    string Conditions,
    IReadOnlyList<FiledSpot> Spots,
    DateTimeOffset TakenAt,
    string TakenBy
);

/// <summary>A data logger's series.</summary>
public sealed record FiledLog(
    Guid? SurfaceId,
    string Name,
    IReadOnlyList<long> TimesUnixS,
    IReadOnlyList<double> TempsC,
    IReadOnlyList<double> RhPct,
    DateTimeOffset AddedAt,
    string AddedBy
);

/// <summary>A photo; its bytes in base 64.</summary>
public sealed record FiledPhoto(
    Guid? SurfaceId,
    string Caption,
    string ContentType,
    byte[] Bytes,
    byte[] Thumbnail,
    int Width,
    int Height,
    DateTimeOffset AddedAt,
    string AddedBy,
    DateTimeOffset? ReceivedAt = null
);
