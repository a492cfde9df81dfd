using System.Text.Json;
using NJsonSchema;
using NJsonSchema.Generation;
using Umbracell.Core.Airtightness;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Conditions;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Formats.DataFiles;

namespace Umbracell.Formats.JobFiles;

/// <summary>A job as one file: everything the survey knows, in SI with the unit in the name. Ids inside the file bind its parts to one
/// another and mean nothing outside it.</summary>
public sealed record JobFile(
    int FormatVersion,
    FiledJob Job,
    IReadOnlyList<FiledBuffer> BufferSpaces,
    IReadOnlyList<FiledSurface> Surfaces,
    IReadOnlyList<FiledReading> Readings,
    IReadOnlyList<FiledJoint> Joints,
    IReadOnlyList<FiledComplaint> Complaints,
    IReadOnlyList<FiledPreparation> Preparation,
    IReadOnlyList<FiledFanTest> FanTests,
    IReadOnlyList<FiledThermalPicture> ThermalPictures,
    IReadOnlyList<FiledLog> Logs,
    IReadOnlyList<FiledPhoto> Photos,
    IReadOnlyList<FiledBid>? Bids = null
)
{
    /// <summary>Version written; a file of a later version is refused.</summary>
    public const int CurrentVersion = 1;

    private static readonly Lazy<JsonSchema> LazySchema = new(() => ShippedFiles.Schema("job"));

    private static readonly JsonSerializerOptions Written = new(DataFile.Json) { WriteIndented = true };

    /// <summary>The schema, as text.</summary>
    public static string SchemaText => ShippedFiles.Text("schemas/job.schema.json");

    /// <summary>The schema as it follows from the shapes here; what ships must be this.</summary>
    public static string GenerateSchema()
    {
        var settings = new SystemTextJsonSchemaGeneratorSettings
        {
            SerializerOptions = DataFile.Json,
            AlwaysAllowAdditionalObjectProperties = false,
            DefaultReferenceTypeNullHandling = ReferenceTypeNullHandling.NotNull,
        };
        var schema = JsonSchema.FromType<JobFile>(settings);
        foreach (var (name, property) in schema.Definitions.Values.Append(schema).SelectMany(s => s.ActualProperties))
        {
            property.IsRequired = !Added.Contains(name);
            Bound(name, property);
        }

        foreach (var part in schema.Definitions.Values.Append(schema))
        {
            part.Description = OnOneLine(part.Description);
        }

        return schema.ToJson() + "\n";
    }

    // How a comment is broken in the source is nothing of the schema's.
    private static string? OnOneLine(string? text) =>
        text is null ? null : string.Join(' ', text.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries));

    /// <summary>Parts that came after the first files were written: a file without them is whole.</summary>
    private static readonly string[] Added =
    [
        "choosing",
        "system",
        "choiceFacts",
        "ownPlace",
        "ownTargets",
        "pricing",
        "looseFill",
        "bids",
        "crawlSpace",
        "ventedCladding",
        "latitude",
        "longitude",
        "timeZone",
        "receivedAt",
        "tickedAt",
    ];

    // The unit in a name says what can be true of it: no room is hotter, no wall longer.
    private static readonly (string Suffix, decimal Least, decimal Greatest)[] Bounds =
    [
        ("RhPct", 0, 100),
        ("riskPct", 0.1m, 50),
        ("humidityClass", 1, 5),
        ("latitude", -90, 90),
        ("longitude", -180, 180),
        ("altitudeM", -500, 9000),
        ("heightM", 0, 300),
        ("CornersM", -300, 300),
        ("TempsC", -100, 400),
        ("C", -60, 100),
        ("Mm", 0, 3000),
        ("M3", 0, 5_000_000),
        ("WK", 0, 1_000_000),
        ("lossW", -100_000, 100_000),
        ("uwM2K", 0.01m, 10),
        ("Pa", -400, 400),
        ("M3S", 0, 500),
        ("memberShare", 0, 0.9m),
        ("profileFactor", 1, 3),
        ("pitch", 0, 5),
        ("M", 0, 300),
        ("repeats", 1, 9999),
        ("bayCount", 1, 999),
        ("count", 1, 999),
        ("Kg", 0, 500),
        ("airChanges", 0, 100),
        ("airChangesPlanned", 0, 100),
        ("formatVersion", 1, 1000),
        ("rows", 1, 5000),
        ("columns", 1, 5000),
        ("row", 0, 5000),
        ("column", 0, 5000),
    ];

    private static void Bound(string name, JsonSchemaProperty property)
    {
        var number = property.Item ?? property;
        var type = number.ActualTypeSchema.Type;
        if (type.HasFlag(JsonObjectType.String) && number.Format is null && !number.HasReference)
        {
            number.MaxLength = 2000;
        }
        else if (
            (type.HasFlag(JsonObjectType.Number) || type.HasFlag(JsonObjectType.Integer))
            && Array.Find(
                Bounds,
                b =>
                    name.EndsWith(b.Suffix, StringComparison.OrdinalIgnoreCase)
                    && (b.Suffix.Length > 2 || name.EndsWith(b.Suffix, StringComparison.Ordinal))
            )
                is { Suffix: not null } bound
        )
        {
            (number.Minimum, number.Maximum) = (bound.Least, bound.Greatest);
        }
    }

    /// <summary>Reads a job file.</summary>
    /// <param name="name">File name, for errors.</param>
    /// <param name="text">The JSON.</param>
    /// <exception cref="DataFileException">Against the schema, of a later version, or with parts bound to nothing; each fault with its
    /// line.</exception>
    public static JobFile Read(string name, string text)
    {
        var file = DataFile.Read<JobFile>(name, text, LazySchema.Value);
        var faults = file.Contradictions().Select(c => new DataFault(DataFile.LineOf(text, c.Path), c.Path, c.Sentence)).ToList();
        return faults.Count > 0 ? throw new DataFileException(name, faults) : file;
    }

    /// <summary>Writes a job file.</summary>
    public byte[] Write() => JsonSerializer.SerializeToUtf8Bytes(this, Written);

    private static IEnumerable<(string Path, string Sentence)> Impossible(FiledSurface s, int i)
    {
        var corners = s.CornersM.Chunk(2).Where(pair => pair.Length == 2).Select(pair => new Corner(pair[0], pair[1])).ToList();
        if (
            s.Shape == ShapeKind.Outline
            && s.FirstM > 0
            && (corners.Count < 3 || s.CornersM.Count % 2 == 1 || Outlines.CrossesItself(corners))
        )
        {
            yield return ($"surfaces[{i}].cornersM", "is no outline: three corners or more, x and y in turn, that do not cross.");
        }

        if (s.MemberMaterial != MemberMaterial.None && s.MemberSpacingM < 0.05)
        {
            yield return ($"surfaces[{i}].memberSpacingM", "is closer than any members stand.");
        }
    }

    private static IEnumerable<(string Path, string Sentence)> Impossible(FiledReading r, int i)
    {
        var temperature =
            r.Kind.EndsWith("Temperature", StringComparison.OrdinalIgnoreCase)
            || r.Kind.StartsWith("Drum", StringComparison.OrdinalIgnoreCase);
        var (least, greatest) =
            temperature ? (-60.0, 100.0)
            : r.Kind.Equals("Humidity", StringComparison.OrdinalIgnoreCase) ? (1, 100)
            : (0, 100);
        if (!(r.Value >= least && r.Value <= greatest))
        {
            yield return ($"readings[{i}].value", $"is {r.Value}; a {r.Kind} lies between {least} and {greatest}.");
        }
    }

    private static IEnumerable<(string Path, string Sentence)> Impossible(FiledLog l, int i)
    {
        if (
            l.TimesUnixS.Count < 2
            || l.TempsC.Count != l.TimesUnixS.Count
            || l.RhPct.Count != l.TimesUnixS.Count
            || l.TimesUnixS.Zip(l.TimesUnixS.Skip(1)).Any(p => p.Second <= p.First)
        )
        {
            yield return ($"logs[{i}].timesUnixS", "must rise, and have as many temperatures and humidities beside it.");
        }
    }

    private IEnumerable<(string Path, string Sentence)> Contradictions()
    {
        if (FormatVersion > CurrentVersion)
        {
            yield return ("formatVersion", $"is {FormatVersion}; this program reads up to {CurrentVersion}.");
        }

        foreach (
            var contradiction in Surfaces.SelectMany(Impossible).Concat(Readings.SelectMany(Impossible)).Concat(Logs.SelectMany(Impossible))
        )
        {
            yield return contradiction;
        }

        var surfaces = Surfaces.Select(s => s.Id).ToHashSet();
        if (surfaces.Count < Surfaces.Count)
        {
            yield return ("surfaces", "two surfaces have the same id.");
        }

        var bound = Readings
            .Select((r, i) => ($"readings[{i}].surfaceId", r.SurfaceId))
            .Concat(Joints.Select((j, i) => ($"joints[{i}].firstId", (Guid?)j.FirstId)))
            .Concat(Joints.Select((j, i) => ($"joints[{i}].secondId", j.SecondId)))
            .Concat(Preparation.Select((p, i) => ($"preparation[{i}].surfaceId", p.SurfaceId)))
            .Concat(Photos.Select((p, i) => ($"photos[{i}].surfaceId", p.SurfaceId)))
            .Concat(Logs.Select((l, i) => ($"logs[{i}].surfaceId", l.SurfaceId)))
            .Concat(ThermalPictures.Select((t, i) => ($"thermalPictures[{i}].surfaceId", t.SurfaceId)))
            .Concat(Complaints.SelectMany((c, i) => c.Suspects.Select(s => ($"complaints[{i}].suspects", (Guid?)s))));
        foreach (var (path, id) in bound.Where(b => b.Item2 is { } one && !surfaces.Contains(one)))
        {
            yield return (path, $"names the surface {id}, which is not in the file.");
        }

        var buffers = BufferSpaces.Select(b => b.Id).ToHashSet();
        foreach (var (surface, i) in Surfaces.Select((s, i) => (s, i)).Where(s => s.s.BufferId is { } one && !buffers.Contains(one)))
        {
            yield return ($"surfaces[{i}].bufferId", $"names the buffer space {surface.BufferId}, which is not in the file.");
        }
    }
}

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
    FiledPricing? Pricing = null
);

/// <summary>What the price hangs on beside the surfaces.</summary>
public sealed record FiledPricing(DateOnly? WorkDate, double? SpaceM3, double AirChanges, HeaterKind Heater);

/// <summary>A bid as it was made: its lines in the order they add up, and what each surface was priced for.</summary>
public sealed record FiledBid(
    DateTimeOffset MadeAt,
    string MadeBy,
    DateOnly? WorkDate,
    double Net,
    double Price,
    IReadOnlyList<FiledBidLine> Lines,
    IReadOnlyList<FiledBidSurface> Surfaces
);

/// <summary>A line of a bid: its key, quantity in SI with its dimension's name, and money.</summary>
public sealed record FiledBidLine(string Key, double Quantity, Dimension Dimension, double Amount);

/// <summary>A surface of a bid.</summary>
public sealed record FiledBidSurface(string Name, double? SubstrateC, string Route, double Sets);

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

/// <summary>A layer put in after the first foam, or instead of it.</summary>
public sealed record FiledFill(string Kind, string Id, double ThicknessMm, bool TakesRest);

/// <summary>The system chosen for a surface.</summary>
public sealed record FiledSystem(
    CandidateKind Kind,
    IReadOnlyList<FiledFill> Then,
    IReadOnlyList<FiledLayer> AddedOutboard,
    IReadOnlyList<FiledLayer> AddedInboard,
    string ChosenBy,
    DateTimeOffset ChosenAt,
    IReadOnlyList<string> Overrides,
    string Reason
);

/// <summary>What was said of a surface that bears on the choice.</summary>
public sealed record FiledChoiceFacts(
    bool Unconditioned,
    bool SoundAsked,
    bool Workplace,
    bool LaterAccess,
    bool RainBeforeCover,
    bool OldBuilding,
    bool Termites,
    bool Radon,
    bool FloodProne,
    bool CombustionInside,
    double? LoadKPa,
    bool LooseFill = false,
    bool VentedCladding = false
);

/// <summary>A layer.</summary>
public sealed record FiledLayer(string Material, double ThicknessMm);

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

/// <summary>What else is known of a surface.</summary>
public sealed record FiledDetails(
    AccessKind Access,
    bool? BalloonFramed,
    bool? HeldAtEnds,
    double? FlangeMm,
    double? WebMm,
    double? SkinMm,
    Covering Covering,
    Attachment Attachment,
    double? DoorSpareKg,
    double PenetrationMm,
    bool? CrawlSpace = null
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
    IReadOnlyList<FiledLayer> Outboard,
    IReadOnlyList<FiledLayer> Inboard,
    double VentChannelMm,
    FiledLayer? Baffle,
    FiledDetails Details,
    Guid? BufferId,
    string? SheetId,
    double? FoamThicknessM,
    double? ExpectedSubstrateC,
    double? ExpectedDrumC,
    IReadOnlyList<FiledOpening> Openings,
    IReadOnlyList<FiledNote> Notes,
    DateTimeOffset ChangedAt,
    FiledSystem? System = null,
    FiledChoiceFacts? ChoiceFacts = null
);

/// <summary>A reading.</summary>
public sealed record FiledReading(
    Guid? SurfaceId,
    string? SheetId,
    string Kind,
    double Value,
    HumidityReference HumidityOver,
    string Instrument,
    double? StatedError,
    string Place,
    double? RawValue,
    string Species,
    DateTimeOffset TakenAt,
    string TakenBy,
    DateTimeOffset? ReceivedAt = null
);

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
