using System.Buffers.Binary;
using System.Globalization;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Conditions;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Documents;

namespace Umbracell.Formats.DataFiles;

/// <summary>What parts of a building envelope a target set speaks of.</summary>
public enum EnvelopeElement
{
    FramedWall,

    /// <summary>Masonry with over half of its insulation on the room's side.</summary>
    MassWall,

    /// <summary>Masonry insulated otherwise.</summary>
    MassWallOutside,
    Roof,
    Floor,
    BasementWall,
    CrawlWall,

    /// <summary>Slab on ground: by the R of its insulation, never by a U.</summary>
    Slab,
    MetalWall,
    MetalRoof,
    Door,
}

/// <summary>Members of a template.</summary>
public sealed record TemplateMembers(MemberMaterial Material, double DepthMm, double SpacingMm, double SharePct);

/// <summary>What a new surface of a kind starts with.</summary>
public sealed record AssemblyTemplate
{
    public required SurfaceKind Kind { get; init; }

    public required ShapeKind Shape { get; init; }

    public required HeatFlow HeatFlow { get; init; }

    public required Exposure Exposure { get; init; }

    public required EnvelopeElement? Element { get; init; }

    public required SubstrateKind Substrate { get; init; }

    public required TemplateMembers Members { get; init; }

    public required IReadOnlyList<LayerDocument> Outboard { get; init; }

    public required IReadOnlyList<LayerDocument> Inboard { get; init; }

    public required double VentChannelMm { get; init; }

    public required LayerDocument? Baffle { get; init; }

    public required bool ShavedFlush { get; init; }

    public required bool OpenFace { get; init; }

    public required double ProfileFactor { get; init; }

    public required FoamSide FoamAgainst { get; init; }

    public required IReadOnlyList<DetailField> Details { get; init; }
}

/// <summary>A target set: greatest U by element and climate zone.</summary>
public sealed record TargetSet
{
    /// <summary>Short id.</summary>
    public required string Id { get; init; }

    /// <summary>Name with edition.</summary>
    public required string Edition { get; init; }

    /// <summary>Film set its figures are meant with.</summary>
    public required FilmSet Films { get; init; }

    /// <summary>By element, then by zone number (4C has a line of its own).</summary>
    public required IReadOnlyDictionary<EnvelopeElement, IReadOnlyDictionary<string, ThermalTransmittance>> GreatestU { get; init; }

    /// <summary>Label path: ways to meet it, by element and zone.</summary>
    public required IReadOnlyDictionary<EnvelopeElement, IReadOnlyDictionary<string, IReadOnlyList<LabelRequirement>>> Labels { get; init; }

    /// <summary>Slabs on ground: least R of their insulation and how far along the edge, by zone.</summary>
    public required IReadOnlyDictionary<string, (ThermalResistance LeastR, Length Along)> Slabs { get; init; }

    /// <summary>Ways to meet the label path for an element in a zone; empty where the set has none.</summary>
    public IReadOnlyList<LabelRequirement> LabelsFor(EnvelopeElement? element, string zone) =>
        element is { } known && Labels.TryGetValue(known, out var byZone) && byZone.TryGetValue(KeyOf(zone), out var labels) ? labels : [];

    /// <summary>The target for an element in a zone such as <c>6A</c>; null where the set has none.</summary>
    public UTarget? For(EnvelopeElement? element, string zone)
    {
        if (element is not { } known || !GreatestU.TryGetValue(known, out var byZone))
        {
            return null;
        }

        return byZone.TryGetValue(KeyOf(zone), out var u) ? new(u, $"{Edition}, zone {zone}; check your local code") : null;
    }

    /// <summary>What a slab on ground must have in a zone; null for other elements and where the set asks nothing.</summary>
    public SlabTarget? SlabFor(EnvelopeElement? element, string zone) =>
        element == EnvelopeElement.Slab && Slabs.TryGetValue(KeyOf(zone), out var slab)
            ? new(slab.LeastR, slab.Along, $"{Edition}, zone {zone}; check your local code")
            : null;

    /// <summary>Greatest air changes an hour at 50 Pa of a finished building, by zone; empty where the edition names none.</summary>
    public IReadOnlyDictionary<string, double> AirChangesAt50 { get; init; } = new Dictionary<string, double>();

    /// <summary>Greatest air changes an hour at 50 Pa in a zone; null where the edition names none.</summary>
    public double? AirChangesFor(string zone) => AirChangesAt50.TryGetValue(KeyOf(zone), out var changes) ? changes : null;

    private static string KeyOf(string zone) => zone == "4C" ? zone : zone[..1];
}

/// <summary>A place with its monthly means, January first, and its outdoor design air.</summary>
public sealed record Place
{
    /// <summary>Short id.</summary>
    public required string Id { get; init; }

    /// <summary>Name.</summary>
    public required string Name { get; init; }

    /// <summary>Zone of the model energy code.</summary>
    public required string ClimateZone { get; init; }

    /// <summary>Height above sea level, m.</summary>
    public required double AltitudeM { get; init; }

    /// <summary>Mean temperatures, °C.</summary>
    public required IReadOnlyList<double> MeanC { get; init; }

    /// <summary>Mean relative humidities over water, percent.</summary>
    public required IReadOnlyList<double> MeanRhPct { get; init; }

    /// <summary>Winter design, °C: what 99 % of the hours exceed.</summary>
    public required double HeatingC { get; init; }

    /// <summary>Summer design, °C: what 1 % of the hours exceed.</summary>
    public required double CoolingC { get; init; }

    /// <summary>Humidity that goes with the summer design, percent.</summary>
    public required double CoolingRhPct { get; init; }

    /// <summary>Where the figures come from.</summary>
    public required string Source { get; init; }

    /// <summary>Degrees north; null where it was never said.</summary>
    public double? Latitude { get; init; }

    /// <summary>Degrees east; null where it was never said.</summary>
    public double? Longitude { get; init; }

    /// <summary>Time zone by its IANA name; null where it was never said.</summary>
    public string? TimeZone { get; init; }
}

/// <summary>The data that ships with the product, read and checked once.</summary>
public static class ShippedData
{
    private static readonly Lazy<HashSet<ulong>> LazyGuessed = new(() =>
        [.. ShippedFiles.Bytes("access/guessed-passwords.bin").Chunk(8).Select(mark => BinaryPrimitives.ReadUInt64BigEndian(mark))]
    );
    private static readonly Lazy<IReadOnlyDictionary<string, Material>> LazyMaterials = new(ReadMaterials);
    private static readonly Lazy<IReadOnlyDictionary<string, double>> LazyUsual = new(ReadUsual);
    private static readonly Lazy<IReadOnlyList<Batt>> LazyBatts = new(ReadBatts);
    private static readonly Lazy<IReadOnlyDictionary<SurfaceKind, AssemblyTemplate>> LazyTemplates = new(ReadTemplates);
    private static readonly Lazy<IReadOnlyDictionary<string, TargetSet>> LazyTargets = new(ReadTargets);

    private static readonly Lazy<IReadOnlyDictionary<string, Place>> LazyPlaces = new(ReadPlaces);

    /// <summary>Materials by id.</summary>
    public static IReadOnlyDictionary<string, Material> Materials => LazyMaterials.Value;

    /// <summary>Thickness a material is usually laid in, mm, by its id; none for what fills a space.</summary>
    public static IReadOnlyDictionary<string, double> UsualMm => LazyUsual.Value;

    /// <summary>Fibrous batts, thinnest first.</summary>
    public static IReadOnlyList<Batt> Batts => LazyBatts.Value;

    /// <summary>Templates by kind.</summary>
    public static IReadOnlyDictionary<SurfaceKind, AssemblyTemplate> Templates => LazyTemplates.Value;

    /// <summary>Target sets by id, in the order of the file.</summary>
    public static IReadOnlyDictionary<string, TargetSet> TargetSets => LazyTargets.Value;

    /// <summary>Places by id.</summary>
    public static IReadOnlyDictionary<string, Place> Places => LazyPlaces.Value;

    /// <summary>Words of the trade and of this product that are guessed first as passwords, in lower case, without what stands at their
    /// ends and is no letter.</summary>
    public static IReadOnlyList<string> CommonPasswords =>
        ShippedFiles
            .Text("access/common-passwords.txt")
            .Split('\n', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries);

    /// <summary>Passwords that are guessed first anywhere: the first eight bytes of the SHA-256 of each in lower case (UTF-8), as a number
    /// with its first byte the greatest. Made by <c>scripts/guessed-passwords.mjs</c>.</summary>
    public static IReadOnlySet<ulong> GuessedPasswords => LazyGuessed.Value;

    /// <summary>The demo's product sheets: their JSON text, by id.</summary>
    public static IReadOnlyDictionary<string, string> ProductSheets { get; } =
        ShippedFiles.Names("sheets/").ToDictionary(name => Path.GetFileNameWithoutExtension(name), ShippedFiles.Text);

    private static Dictionary<string, Place> ReadPlaces() =>
        DataFile
            .Read<PlacesShape>("places.json", ShippedFiles.Text("places.json"), ShippedFiles.Schema("places"))
            .Places.ToDictionary(p => p.Id);

    private static Dictionary<string, Material> ReadMaterials() =>
        DataFile
            .Read<MaterialsShape>("materials.json", ShippedFiles.Text("materials.json"), ShippedFiles.Schema("materials"))
            .Materials.ToDictionary(
                m => m.Id,
                m => new Material
                {
                    Id = m.Id,
                    Conductivity = ThermalConductivity.FromSi(m.ConductivityWMK),
                    Permeability = Permeability.FromPermInches(m.PermeabilityPermIn),
                    Source = m.Source,
                    Density = m.DensityKgM3 is { } density ? Density.FromKilogramsPerCubicMetre(density) : null,
                    Emittance = m.Emittance ?? AirSpace.OrdinaryFace,
                    Harm = m.Harm ?? WaterHarm.None,
                }
            );

    private static Dictionary<string, double> ReadUsual() =>
        DataFile
            .Read<MaterialsShape>("materials.json", ShippedFiles.Text("materials.json"), ShippedFiles.Schema("materials"))
            .Materials.Where(m => m.UsualMm is not null)
            .ToDictionary(m => m.Id, m => m.UsualMm!.Value);

    private static List<Batt> ReadBatts() =>
        [
            .. DataFile
                .Read<MaterialsShape>("materials.json", ShippedFiles.Text("materials.json"), ShippedFiles.Schema("materials"))
                .Batts.Select(b => new Batt(
                    b.Id,
                    Length.FromMillimetres(b.ThicknessMm),
                    ThermalResistance.FromUsR(b.RatedR),
                    Materials["fibre-batt"],
                    Density.FromKilogramsPerCubicMetre(b.DensityKgM3)
                ))
                .OrderBy(b => b.Nominal)
                .ThenBy(b => b.Rated.SquareMetreKelvinsPerWatt),
        ];

    private static Dictionary<SurfaceKind, AssemblyTemplate> ReadTemplates() =>
        DataFile
            .Read<TemplatesShape>("templates.json", ShippedFiles.Text("templates.json"), ShippedFiles.Schema("templates"))
            .Templates.ToDictionary(t => t.Kind);

    private static Dictionary<string, TargetSet> ReadTargets() =>
        DataFile
            .Read<TargetsShape>("targets.json", ShippedFiles.Text("targets.json"), ShippedFiles.Schema("targets"))
            .TargetSets.ToDictionary(
                set => set.Id,
                set => new TargetSet
                {
                    Id = set.Id,
                    Edition = set.Edition,
                    Films = set.Films,
                    GreatestU = set.Elements.ToDictionary(
                        e => e.Key,
                        e =>
                            (IReadOnlyDictionary<string, ThermalTransmittance>)
                                e.Value.ToDictionary(
                                    z => z.Key,
                                    z => set.Unit == "wM2K" ? ThermalTransmittance.FromSi(z.Value) : ThermalTransmittance.FromUsU(z.Value)
                                )
                    ),
                    Labels = (set.Labels ?? []).ToDictionary(
                        e => e.Key,
                        e =>
                            (IReadOnlyDictionary<string, IReadOnlyList<LabelRequirement>>)
                                e.Value.ToDictionary(z => z.Key, z => (IReadOnlyList<LabelRequirement>)[.. z.Value.Select(Label)])
                    ),
                    AirChangesAt50 = set.AirChangesAt50 ?? [],
                    Slabs = (set.Slabs ?? []).ToDictionary(
                        z => z.Key,
                        z =>
                            (
                                set.Unit == "wM2K" ? ThermalResistance.FromSi(z.Value.R) : ThermalResistance.FromUsR(z.Value.R),
                                Length.FromMillimetres(z.Value.AlongMm)
                            )
                    ),
                }
            );

    // "13+5" is 13 in the cavity and 5 continuous.
    private static LabelRequirement Label(string text)
    {
        var parts = text.Split('+').Select(part => ThermalResistance.FromUsR(double.Parse(part, CultureInfo.InvariantCulture))).ToList();
        return new(parts[0], parts.Count > 1 ? parts[1] : default);
    }

    private sealed record PlacesShape(Place[] Places);

    private sealed record MaterialsShape(MaterialShape[] Materials, BattShape[] Batts);

    private sealed record BattShape(string Id, double ThicknessMm, double RatedR, double DensityKgM3, string Source);

    private sealed record MaterialShape
    {
        public required string Id { get; init; }

        public required double ConductivityWMK { get; init; }

        public required double PermeabilityPermIn { get; init; }

        public required string Source { get; init; }

        public double? DensityKgM3 { get; init; }

        public double? Emittance { get; init; }

        public WaterHarm? Harm { get; init; }

        public double? UsualMm { get; init; }
    }

    private sealed record TemplatesShape(AssemblyTemplate[] Templates);

    private sealed record TargetsShape(TargetSetShape[] TargetSets);

    private sealed record TargetSetShape
    {
        public required string Id { get; init; }

        public required string Edition { get; init; }

        public required FilmSet Films { get; init; }

        public required string Unit { get; init; }

        public required Dictionary<EnvelopeElement, Dictionary<string, double>> Elements { get; init; }

        public Dictionary<EnvelopeElement, Dictionary<string, string[]>>? Labels { get; init; }

        public Dictionary<string, SlabShape>? Slabs { get; init; }

        public Dictionary<string, double>? AirChangesAt50 { get; init; }
    }

    private sealed record SlabShape(double R, double AlongMm);
}
