using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Conditions;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Core.Yield.Price;
using Umbracell.Documents;
using Umbracell.Store.Figures;

namespace Umbracell.Store.Model;

/// <summary>A row that belongs to a firm; no one else ever sees it.</summary>
public interface IFirmRow
{
    Guid FirmId { get; set; }
}

/// <summary>A firm.</summary>
public sealed class Firm : IFigureInput
{
    public Guid Id { get; set; }

    public required string Name { get; set; }

    /// <summary>Sign or word of the firm's money, as it stands on its papers; empty where none is shown.</summary>
    public string Currency { get; set; } = "";

    /// <summary>What the firm pays and how fast it works; null until entered.</summary>
    public Rates? Rates { get; set; }

    /// <summary>The school the firm follows; null until one is named.</summary>
    public Practice? Practice { get; set; }

    /// <summary>What the firm holds tighter at the gate than the rules do; null where it holds nothing so.</summary>
    public MarginsDocument? Margins { get; set; }

    /// <summary>What it holds of materials in place of the usual figures; null where nothing.</summary>
    public MaterialsDocument? Materials { get; set; }

    /// <summary>Steps of setting up that it goes without, by their keys.</summary>
    public List<string> SkippedSteps { get; set; } = [];

    /// <summary>Of whom a code is asked besides the password.</summary>
    public CodesFor CodesFor { get; set; }

    /// <summary>Version of the row.</summary>
    public uint Version { get; set; }

    // Rates are counted by the row itself.
    IEnumerable<Guid> IFigureInput.FiguresOf(Func<string, bool> changes) =>
        changes(nameof(Margins)) || changes(nameof(Materials)) ? [Id] : [];
}

/// <summary>What a person may do.</summary>
public enum FirmRole
{
    Owner,
    Estimator,
    CrewLead,
    Viewer,

    /// <summary>Records on site what a crew lead then goes by: readings, ticks, photos.</summary>
    Helper,
}

/// <summary>A person who signs in. Named by role, not by name.</summary>
public sealed class Person : IFirmRow
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public required string SignInName { get; set; }

    public required string NormalizedSignInName { get; set; }

    public required string Title { get; set; }

    public FirmRole Role { get; set; }

    public UnitSystem Units { get; set; }

    public string? PasswordHash { get; set; }

    /// <summary>Whether somebody else made the password up: whoever signs in with it chooses their own before anything else.</summary>
    public bool PasswordIsFirst { get; set; }

    public required string SecurityStamp { get; set; }

    /// <summary>Since when nobody signs in under this name any more; null for those who do.</summary>
    public DateTimeOffset? DeactivatedAt { get; set; }
}

/// <summary>A token with which a spreadsheet or another program asks in a firm's name. Only its hash is kept.</summary>
public sealed class ApiToken : IFirmRow
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public required string Name { get; set; }

    public required string Hash { get; set; }

    public FirmRole Role { get; set; }

    /// <summary>When it runs out, by the machine's time.</summary>
    public DateTimeOffset ExpiresAt { get; set; }

    /// <summary>When it was last used, to the minute; null where it never was.</summary>
    public DateTimeOffset? LastUsedAt { get; set; }
}

/// <summary>A job: a building, its place and the air it is designed for.</summary>
public sealed class Job : IFirmRow, IFigureInput
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public required string Name { get; set; }

    public Guid? CrewId { get; set; }

    /// <summary>The crew that does it; always read with the job, null until one is said.</summary>
    public MeansRow? CrewRow { get; set; }

    /// <summary>Name of that crew; empty until one is said.</summary>
    public string Crew => CrewRow?.Name ?? "";

    public JobState State { get; set; }

    /// <summary>Since when it is out of the way of the jobs in work; null for those in work.</summary>
    public DateTimeOffset? ArchivedAt { get; set; }

    /// <summary>Since when it is deleted and waits to be restored, or to be removed for good; null for those that stand.</summary>
    public DateTimeOffset? DeletedAt { get; set; }

    /// <summary>Who deleted it, by their title; empty for those that stand.</summary>
    public string DeletedBy { get; set; } = "";

    public required string ClimateZone { get; set; }

    public required string TargetSetId { get; set; }

    /// <summary>The firm's own target set, where the job is held to one; it goes before <see cref="TargetSetId"/>.</summary>
    public Guid? OwnTargetsId { get; set; }

    /// <summary>The firm's own target set; always read with the job.</summary>
    public TargetSetRow? OwnTargets { get; set; }

    public double IndoorC { get; set; } = 20;

    public double IndoorRhPct { get; set; } = 40;

    public double OutdoorC { get; set; } = -15;

    public double OutdoorRhPct { get; set; } = 80;

    public double SummerIndoorC { get; set; } = 24;

    public double SummerIndoorRhPct { get; set; } = 50;

    public double SummerOutdoorC { get; set; } = 31;

    public double SummerOutdoorRhPct { get; set; } = 50;

    /// <summary>The place whose monthly means are taken; null where none is named.</summary>
    public string? PlaceId { get; set; }

    /// <summary>The firm's own place, where the job names one; it goes before <see cref="PlaceId"/>.</summary>
    public Guid? OwnPlaceId { get; set; }

    /// <summary>The firm's own place; always read with the job.</summary>
    public PlaceRow? OwnPlace { get; set; }

    /// <summary>Whether readings at the site correct the hours told for its place.</summary>
    public bool CorrectsForecast { get; set; } = true;

    /// <summary>Humidity class of heated, uncooled rooms, 1 to 5; null where the room is entered by month.</summary>
    public int? HumidityClass { get; set; } = 3;

    /// <summary>Room temperature by month, °C, January first; empty where the class rules.</summary>
    public double[] RoomMonthsC { get; set; } = [];

    /// <summary>Room humidity by month, percent; empty where the class rules.</summary>
    public double[] RoomMonthsRhPct { get; set; } = [];

    /// <summary>Height from the lowest to the highest heated point; null until it is taken.</summary>
    public double? HeightM { get; set; }

    public double AltitudeM { get; set; }

    /// <summary>How targets are met.</summary>
    public TargetPath TargetPath { get; set; }

    /// <summary>What matters how much; null takes what the product starts with.</summary>
    public Priorities? Priorities { get; set; }

    /// <summary>Where this job departs from the firm's practice; null where nowhere.</summary>
    public Practice? Exceptions { get; set; }

    public double RiskPct { get; set; } = 10;

    /// <summary>What the price hangs on beside the surfaces; null until something of it is set.</summary>
    public PricingDocument? Pricing { get; set; }

    /// <summary>Editions of product sheets it keeps to, by product; a product that is not named is taken as it stands.</summary>
    public Dictionary<string, int>? HeldEditions { get; set; }

    public DateTimeOffset CreatedAt { get; set; }

    public uint Version { get; set; }

    public List<Surface> Surfaces { get; } = [];

    IEnumerable<Guid> IFigureInput.FiguresOf(Func<string, bool> changes) => [Id];
}

/// <summary>One thing to be sprayed.</summary>
public sealed class Surface : IFirmRow, IFigureInput
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public Guid JobId { get; set; }

    public int Position { get; set; }

    public required string Name { get; set; }

    public SurfaceKind Kind { get; set; }

    public ShapeKind Shape { get; set; }

    public double FirstM { get; set; }

    public double SecondM { get; set; }

    public double ThirdM { get; set; }

    public double Pitch { get; set; }

    public int BayCount { get; set; } = 1;

    public int Repeats { get; set; } = 1;

    public double ProfileFactor { get; set; } = 1;

    public SubstrateKind Substrate { get; set; }

    public MemberMaterial MemberMaterial { get; set; }

    public double MemberDepthM { get; set; }

    public double MemberSpacingM { get; set; }

    public double MemberShare { get; set; }

    public FoamSide FoamAgainst { get; set; }

    public bool ShavedFlush { get; set; }

    public bool OpenFace { get; set; }

    public AssemblyDocument Assembly { get; set; } = new();

    public DetailsDocument Details { get; set; } = new();

    /// <summary>Corners of an outline, x and y in turn.</summary>
    public double[] Corners { get; set; } = [];

    /// <summary>The buffer space it borders on.</summary>
    public Guid? BufferId { get; set; }

    public string? SheetSlug { get; set; }

    public double? FoamThicknessM { get; set; }

    /// <summary>What goes with the first foam, or instead of it; null where a foam stands alone.</summary>
    public SystemDocument? System { get; set; }

    /// <summary>What was said that bears on the choice; null where nothing was.</summary>
    public FactsDocument? ChoiceFacts { get; set; }

    /// <summary>Substrate temperature the material is reckoned at; null takes the last reading.</summary>
    public double? ExpectedSubstrateC { get; set; }

    /// <summary>Drum temperature the material is reckoned at; null takes the last reading.</summary>
    public double? ExpectedDrumC { get; set; }

    /// <summary>Set when the surface is taken off the job, so that it can be brought back.</summary>
    public DateTimeOffset? RemovedAt { get; set; }

    public DateTimeOffset ChangedAt { get; set; }

    public uint Version { get; set; }

    public List<OpeningRow> Openings { get; } = [];

    public List<SiteNoteRow> Notes { get; } = [];

    /// <summary>The leak that is open, if one is.</summary>
    public SiteNoteRow? OpenLeak => Notes.Find(note => note is { Kind: SiteNoteKind.Leak, MendedAt: null });

    /// <summary>Whether its size has been taken.</summary>
    public bool HasSize => FirstM > 0;

    // The surfaces it is joined to say its name, as long as it is there.
    IEnumerable<Guid> IFigureInput.FiguresOf(Func<string, bool> changes) =>
        changes(nameof(Name)) || changes(nameof(RemovedAt)) ? [Id, JobId] : [Id];
}

/// <summary>An opening of a surface, or several alike.</summary>
public sealed class OpeningRow : IFirmRow, IFigureInput
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public Guid SurfaceId { get; set; }

    public int Position { get; set; }

    public int Count { get; set; } = 1;

    public double WidthM { get; set; }

    public double HeightM { get; set; }

    IEnumerable<Guid> IFigureInput.FiguresOf(Func<string, bool> changes) => [SurfaceId];
}

/// <summary>What is read on site.</summary>
public enum ReadingKind
{
    SubstrateTemperature,
    AirTemperature,
    Humidity,
    WoodMoisture,
    ConcreteMoisture,
    FoundDry,
    DrumA,
    DrumB,
    OutdoorTemperature,
    OutdoorHumidity,
}

/// <summary>A reading, of a surface, of a product's drums or of the air outdoors. Readings are added, never changed.</summary>
public sealed class ReadingRow : IFirmRow, IFigureInput
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public Guid JobId { get; set; }

    /// <summary>The surface; null for drums and for air outdoors.</summary>
    public Guid? SurfaceId { get; set; }

    /// <summary>The product whose drums were read; null for a surface.</summary>
    public string? SheetSlug { get; set; }

    public ReadingKind Kind { get; set; }

    /// <summary>A temperature, °C; null for what is none.</summary>
    public double? TempC { get; set; }

    /// <summary>A humidity or a moisture, percent; null for what is none.</summary>
    public double? Percent { get; set; }

    /// <summary>Whether it was found dry; null for what a meter reads.</summary>
    public bool? FoundDry { get; set; }

    /// <summary>What a meter read; null where it was seen by eye.</summary>
    public Figure? Measured =>
        TempC is { } celsius ? new(celsius, Dimension.Temperature)
        : Percent is not { } percent ? null
        : new(
            percent,
            Kind is ReadingKind.Humidity or ReadingKind.OutdoorHumidity ? Dimension.RelativeHumidity : Dimension.MoistureContent
        );

    public HumidityReference HumidityOver { get; set; }

    public required string Instrument { get; set; }

    /// <summary>What a thermometer may be out by, K; null where none was given, and for what is no temperature.</summary>
    public double? ErrorK { get; set; }

    /// <summary>What a meter of humidity or moisture may be out by, points; null where none was given, and for what is neither.</summary>
    public double? ErrorPoints { get; set; }

    /// <summary>What the instrument states it may be out by; null where none was given.</summary>
    public Figure? StatedError =>
        ErrorK is { } kelvins ? new(kelvins, Dimension.TemperatureDifference)
        : ErrorPoints is { } points ? new(points, Dimension.HumidityPoints)
        : null;

    /// <summary>Where on the surface; empty where not said.</summary>
    public string Place { get; set; } = "";

    /// <summary>Wood: what the meter showed before the species correction, percent; null where none was made.</summary>
    public double? RawPercent { get; set; }

    /// <summary>Wood: species the correction is for.</summary>
    public string Species { get; set; } = "";

    public DateTimeOffset TakenAt { get; set; }

    /// <summary>When it arrived; later than it was taken where there was no connection.</summary>
    public DateTimeOffset ReceivedAt { get; set; }

    public required string TakenBy { get; set; }

    // Air outdoors corrects the hours ahead, of which nothing is kept.
    IEnumerable<Guid> IFigureInput.FiguresOf(Func<string, bool> changes) =>
        Kind is ReadingKind.OutdoorTemperature or ReadingKind.OutdoorHumidity ? [] : [SurfaceId ?? JobId];
}
