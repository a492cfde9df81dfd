using System.Globalization;
using System.Text;
using System.Text.Json;
using Newtonsoft.Json.Linq;
using NJsonSchema;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Takeoff;
using Umbracell.Formats.DataFiles;
using Umbracell.Formats.Words;

namespace Umbracell.Formats.JobFiles;

/// <summary>A job as one file: everything the survey knows, in SI with the unit in the name. Ids inside the file bind its parts to one
/// another and mean nothing outside it.</summary>
public sealed record JobFile
{
    public required int FormatVersion { get; init; }

    public required FiledJob Job { get; init; }

    public required IReadOnlyList<FiledBuffer> BufferSpaces { get; init; }

    public required IReadOnlyList<FiledSurface> Surfaces { get; init; }

    public required IReadOnlyList<FiledReading> Readings { get; init; }

    public required IReadOnlyList<FiledJoint> Joints { get; init; }

    public required IReadOnlyList<FiledComplaint> Complaints { get; init; }

    public required IReadOnlyList<FiledPreparation> Preparation { get; init; }

    public required IReadOnlyList<FiledFanTest> FanTests { get; init; }

    public required IReadOnlyList<FiledThermalPicture> ThermalPictures { get; init; }

    public required IReadOnlyList<FiledLog> Logs { get; init; }

    public required IReadOnlyList<FiledPhoto> Photos { get; init; }

    public IReadOnlyList<FiledBid>? Bids { get; init; }

    public IReadOnlyList<FiledPaper>? Papers { get; init; }

    public IReadOnlyList<FiledSheet>? Sheets { get; init; }

    public IReadOnlyList<FiledMaterial>? Materials { get; init; }

    public IReadOnlyList<FiledRigSetting>? RigSettings { get; init; }

    public IReadOnlyList<FiledTestShot>? TestShots { get; init; }

    public IReadOnlyList<FiledSprayerCheck>? SprayerChecks { get; init; }

    public IReadOnlyList<FiledLogEntry>? SprayLog { get; init; }

    /// <summary>The file without what a firm pays and earns.</summary>
    public JobFile WithoutPrices() => this with { Bids = null, Papers = Papers?.Where(paper => !paper.ShowsPrices).ToList() };

    /// <summary>Version written; a file of a later version is refused.</summary>
    public const int CurrentVersion = 3;

    private const int MostTold = 200;

    /// <summary>The longest sheet with all the points of its curves is a tenth of this.</summary>
    private const int LongestSheet = 200_000;

    private static readonly Lazy<JsonSchema> LazySchema = new(() => ShippedFiles.Schema("job"));

    private static readonly JsonSerializerOptions Written = new(DataFile.Json) { WriteIndented = true };

    /// <summary>The schema, as text.</summary>
    public static string SchemaText => ShippedFiles.Text("schemas/job.schema.json");

    /// <summary>The schema as it follows from the shapes here; what ships must be this.</summary>
    public static string GenerateSchema() =>
        ShapeSchema.Of<JobFile>(
            (name, property) =>
            {
                property.IsRequired = !Added.Contains(name);
                Bound(name, property);
            }
        );

    /// <summary>Parts that came after the first files were written: a file without them is whole.</summary>
    private static readonly string[] Added =
    [
        "choosing",
        "system",
        "before",
        "choiceFacts",
        "ownPlace",
        "ownTargets",
        "pricing",
        "looseFill",
        "bids",
        "papers",
        "crawlSpace",
        "ventedCladding",
        "latitude",
        "longitude",
        "timeZone",
        "receivedAt",
        "tickedAt",
        "currency",
        "state",
        "sheets",
        "materials",
        "correctsForecast",
        "outdoors",
        "facing",
        "coveredOn",
        "rigSettings",
        "testShots",
        "sprayLog",
        "drumSheet",
        "stockLot",
        "drumCount",
        "fuelCost",
        "sprayerChecks",
        "testShotId",
        "logEntryId",
        "proof",
        "shelter",
        "faceHeightM",
    ];

    // The unit in a name says what can be true of it: no room is hotter, no wall longer.
    private static readonly (string Suffix, decimal Least, decimal Greatest)[] Bounds =
    [
        ("RhPct", 0, 100),
        ("riskPct", 0.1m, 50),
        ("errorK", 0, 20),
        ("errorPoints", 0, 20),
        ("rawPercent", 0, 100),
        ("humidityClass", 1, 5),
        ("latitude", -90, 90),
        ("longitude", -180, 180),
        ("altitudeM", -500, 9000),
        ("faceHeightM", 0.5m, 100),
        ("heightM", 0, 300),
        ("CornersM", -300, 300),
        ("TempsC", -100, 400),
        ("C", -60, 100),
        ("Mm", 0, 3000),
        ("M3", 0, 5_000_000),
        ("WK", 0, 1_000_000),
        ("lossW", -100_000, 100_000),
        ("uwM2K", 0.01m, 10),
        ("loadKPa", 0, 2000),
        ("MaterialPressurePa", 0, 40_000_000),
        ("primaryATempC", -40, 95),
        ("primaryBTempC", -40, 95),
        ("hoseTempC", -40, 95),
        ("drumChanges", 0, 10_000),
        ("liftMm", 0.5m, 500),
        ("sampleDensityKgM3", 1, 400),
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
        ("share", 0.1m, 20),
    ];

    private static void Bound(string name, JsonSchemaProperty property)
    {
        property.MaxItems = name switch
        {
            "cornersM" => 2 * SizeText.MostCorners,
            "openings" => SizeText.MostOpenings,
            _ => property.MaxItems,
        };
        var number = property.Item ?? property;
        var type = number.ActualTypeSchema.Type;
        if (name == "productSheet")
        {
            number.MaxLength = LongestSheet;
        }
        else if (type.HasFlag(JsonObjectType.String) && number.Format is null && !number.HasReference)
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
    /// <exception cref="DataFileException">As of its bytes.</exception>
    public static JobFile Read(string name, string text) => Read(name, Encoding.UTF8.GetBytes(text));

    /// <summary>Reads a job file. Readings may be many: of a file of today they are checked one by one.</summary>
    /// <param name="name">File name, for errors.</param>
    /// <param name="utf8">The JSON.</param>
    /// <exception cref="DataFileException">Against the schema, of a later version, or with parts bound to nothing; each fault with its
    /// line.</exception>
    public static JobFile Read(string name, byte[] utf8)
    {
        var file =
            DataFile.ReadLong<JobFile>(name, utf8, LazySchema.Value, "readings", IsCurrent)
            ?? DataFile.Read<JobFile>(name, Text(), LazySchema.Value, JobFileUpgrades.ToCurrent, IsCurrent);
        var contradictions = file.Contradictions().Take(MostTold).ToList();
        return contradictions.Count > 0 ? throw new DataFileException(name, DataFile.Faults(Text(), contradictions)) : file;

        string Text() => new StreamReader(new MemoryStream(utf8)).ReadToEnd();
    }

    private static bool IsCurrent(JToken root) => root is JObject file && file["formatVersion"] is JValue { Value: (long)CurrentVersion };

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
            yield return ($"surfaces[{i}].cornersM", WordCatalog.Say("dataFile.job.outline"));
        }

        if (s.MemberMaterial != MemberMaterial.None && s.MemberSpacingM < 0.05)
        {
            yield return ($"surfaces[{i}].memberSpacingM", WordCatalog.Say("dataFile.job.spacing"));
        }
    }

    private static IEnumerable<(string Path, string Sentence)> Impossible(FiledReading r, int i)
    {
        var field = FiledReading.FieldOf(r.Kind);
        var isHumidity = r.Kind.EndsWith("Humidity", StringComparison.OrdinalIgnoreCase);
        var (value, least, greatest) = field switch
        {
            "foundDry" => (r.FoundDry is null ? null : 0, 0, 0),
            "percent" => (r.Percent, isHumidity ? 1 : 0, 100),
            _ => (r.TempC, -60.0, 100.0),
        };
        if (value is null || new object?[] { r.TempC, r.Percent, r.FoundDry }.Count(one => one is not null) != 1)
        {
            yield return ($"readings[{i}]", WordCatalog.Say("dataFile.job.readingFields", ("kind", r.Kind), ("field", field)));
        }
        else if (!(value >= least && value <= greatest))
        {
            yield return (
                $"readings[{i}].{field}",
                WordCatalog.Say(
                    "dataFile.job.readingRange",
                    ("kind", r.Kind),
                    ("value", Told(value.Value)),
                    ("least", Told(least)),
                    ("greatest", Told(greatest))
                )
            );
        }

        if ((r.ErrorK is not null && field != "tempC") || (r.ErrorPoints is not null && field != "percent"))
        {
            yield return ($"readings[{i}]", WordCatalog.Say("dataFile.job.readingError", ("kind", r.Kind)));
        }

        if (r.RawPercent is not null && !r.Kind.Equals("WoodMoisture", StringComparison.OrdinalIgnoreCase))
        {
            yield return ($"readings[{i}].rawPercent", WordCatalog.Say("dataFile.job.readingRaw", ("kind", r.Kind)));
        }
    }

    private static string Told(double number) => number.ToString(CultureInfo.InvariantCulture);

    private static IEnumerable<(string Path, string Sentence)> Impossible(FiledLog l, int i)
    {
        if (
            l.TimesUnixS.Count < 2
            || l.TempsC.Count != l.TimesUnixS.Count
            || l.RhPct.Count != l.TimesUnixS.Count
            || l.TimesUnixS.Zip(l.TimesUnixS.Skip(1)).Any(p => p.Second <= p.First)
        )
        {
            yield return ($"logs[{i}].timesUnixS", WordCatalog.Say("dataFile.job.logTimes"));
        }
    }

    private IEnumerable<(string Path, string Sentence)> Contradictions()
    {
        if (FormatVersion > CurrentVersion)
        {
            yield return (
                "formatVersion",
                WordCatalog.Say("dataFile.job.version", ("version", Told(FormatVersion)), ("most", Told(CurrentVersion)))
            );
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
            yield return ("surfaces", WordCatalog.Say("dataFile.job.sameId"));
        }

        var bound = Readings
            .Select((r, i) => ($"readings[{i}].surfaceId", r.SurfaceId))
            .Concat(Joints.Select((j, i) => ($"joints[{i}].firstId", (Guid?)j.FirstId)))
            .Concat(Joints.Select((j, i) => ($"joints[{i}].secondId", j.SecondId)))
            .Concat(Preparation.Select((p, i) => ($"preparation[{i}].surfaceId", p.SurfaceId)))
            .Concat(Photos.Select((p, i) => ($"photos[{i}].surfaceId", p.SurfaceId)))
            .Concat((TestShots ?? []).Select((s, i) => ($"testShots[{i}].surfaceId", (Guid?)s.SurfaceId)))
            .Concat((SprayLog ?? []).Select((e, i) => ($"sprayLog[{i}].surfaceId", e.SurfaceId)))
            .Concat(Logs.Select((l, i) => ($"logs[{i}].surfaceId", l.SurfaceId)))
            .Concat(ThermalPictures.Select((t, i) => ($"thermalPictures[{i}].surfaceId", t.SurfaceId)))
            .Concat(Complaints.SelectMany((c, i) => c.Suspects.Select(s => ($"complaints[{i}].suspects", (Guid?)s))));
        foreach (var (path, id) in bound.Where(b => b.Item2 is { } one && !surfaces.Contains(one)))
        {
            yield return (path, WordCatalog.Say("dataFile.job.noSurface", ("id", $"{id}")));
        }

        foreach (var (sheet, i) in (Sheets ?? []).Select((one, i) => (one, i)))
        {
            if (sheet.Fault() is { } fault)
            {
                yield return ($"sheets[{i}].productSheet", fault);
            }
        }

        var shots = (TestShots ?? []).Select(s => s.Id).ToHashSet();
        foreach (var (photo, i) in Photos.Select((p, i) => (p, i)).Where(p => p.p.TestShotId is { } one && !shots.Contains(one)))
        {
            yield return ($"photos[{i}].testShotId", WordCatalog.Say("dataFile.job.noShot", ("id", $"{photo.TestShotId}")));
        }

        var logged = (SprayLog ?? []).Select(e => e.Entry.Id).ToHashSet();
        foreach (var (photo, i) in Photos.Select((p, i) => (p, i)).Where(p => p.p.LogEntryId is { } one && !logged.Contains(one)))
        {
            yield return ($"photos[{i}].logEntryId", WordCatalog.Say("dataFile.job.noEntry", ("id", $"{photo.LogEntryId}")));
        }

        var buffers = BufferSpaces.Select(b => b.Id).ToHashSet();
        foreach (var (surface, i) in Surfaces.Select((s, i) => (s, i)).Where(s => s.s.BufferId is { } one && !buffers.Contains(one)))
        {
            yield return ($"surfaces[{i}].bufferId", WordCatalog.Say("dataFile.job.noBuffer", ("id", $"{surface.BufferId}")));
        }
    }
}
