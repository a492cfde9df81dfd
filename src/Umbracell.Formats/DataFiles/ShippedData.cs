using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;

namespace Umbracell.Formats.DataFiles;

/// <summary>What parts of a building envelope a target set speaks of.</summary>
public enum EnvelopeElement
{
    FramedWall,
    MassWall,
    Roof,
    Floor,
    CrawlWall,
    MetalWall,
    MetalRoof,
}

/// <summary>A layer of a template.</summary>
public sealed record TemplateLayer(string Material, double ThicknessMm);

/// <summary>Members of a template.</summary>
public sealed record TemplateMembers(MemberMaterial Material, double DepthMm, double SpacingMm, double SharePct);

/// <summary>What a new surface of a kind starts with.</summary>
public sealed record AssemblyTemplate(
    SurfaceKind Kind, ShapeKind Shape, HeatFlow HeatFlow, Exposure Exposure, EnvelopeElement? Element, SubstrateKind Substrate, TemplateMembers Members,
    IReadOnlyList<TemplateLayer> Outboard, IReadOnlyList<TemplateLayer> Inboard, double VentChannelMm, TemplateLayer? Baffle, bool ShavedFlush, bool OpenFace, double ProfileFactor, FoamSide FoamAgainst,
    IReadOnlyList<DetailField> Details);

/// <summary>A target set: greatest U by element and climate zone.</summary>
/// <param name="Id">Short id.</param>
/// <param name="Edition">Name with edition.</param>
/// <param name="Films">Film set its figures are meant with.</param>
/// <param name="GreatestU">By element, then by zone number (4C has a line of its own).</param>
public sealed record TargetSet(string Id, string Edition, FilmSet Films, IReadOnlyDictionary<EnvelopeElement, IReadOnlyDictionary<string, ThermalTransmittance>> GreatestU)
{
    /// <summary>The target for an element in a zone such as <c>6A</c>; null where the set has none.</summary>
    public UTarget? For(EnvelopeElement? element, string zone)
    {
        if (element is not { } known || !GreatestU.TryGetValue(known, out var byZone))
        {
            return null;
        }

        var key = zone == "4C" ? zone : zone[..1];
        return byZone.TryGetValue(key, out var u) ? new(u, $"{Edition}, zone {zone}; check your local code") : null;
    }
}

/// <summary>A place with its monthly means, January first.</summary>
/// <param name="Id">Short id.</param>
/// <param name="Name">Name.</param>
/// <param name="ClimateZone">Zone of the model energy code.</param>
/// <param name="AltitudeM">Height above sea level, m.</param>
/// <param name="MeanC">Mean temperatures, °C.</param>
/// <param name="MeanRhPct">Mean relative humidities over water, percent.</param>
/// <param name="Source">Where the means come from.</param>
public sealed record Place(string Id, string Name, string ClimateZone, double AltitudeM, IReadOnlyList<double> MeanC, IReadOnlyList<double> MeanRhPct, string Source);

/// <summary>The data that ships with the product, read and checked once.</summary>
public static class ShippedData
{
    private static readonly Lazy<IReadOnlyDictionary<string, Material>> LazyMaterials = new(ReadMaterials);
    private static readonly Lazy<IReadOnlyDictionary<SurfaceKind, AssemblyTemplate>> LazyTemplates = new(ReadTemplates);
    private static readonly Lazy<IReadOnlyDictionary<string, TargetSet>> LazyTargets = new(ReadTargets);

    private static readonly Lazy<IReadOnlyDictionary<string, Place>> LazyPlaces = new(ReadPlaces);

    /// <summary>Materials by id.</summary>
    public static IReadOnlyDictionary<string, Material> Materials => LazyMaterials.Value;

    /// <summary>Templates by kind.</summary>
    public static IReadOnlyDictionary<SurfaceKind, AssemblyTemplate> Templates => LazyTemplates.Value;

    /// <summary>Target sets by id, in the order of the file.</summary>
    public static IReadOnlyDictionary<string, TargetSet> TargetSets => LazyTargets.Value;

    /// <summary>Places by id.</summary>
    public static IReadOnlyDictionary<string, Place> Places => LazyPlaces.Value;

    /// <summary>The demo's product sheets: their JSON text, by id.</summary>
    public static IReadOnlyDictionary<string, string> ProductSheets { get; } =
        ShippedFiles.Names("sheets/").ToDictionary(name => Path.GetFileNameWithoutExtension(name), ShippedFiles.Text);

    private static Dictionary<string, Place> ReadPlaces() =>
        DataFile.Read<PlacesShape>("places.json", ShippedFiles.Text("places.json"), ShippedFiles.Schema("places")).Places.ToDictionary(p => p.Id);

    private static Dictionary<string, Material> ReadMaterials() =>
        DataFile.Read<MaterialsShape>("materials.json", ShippedFiles.Text("materials.json"), ShippedFiles.Schema("materials")).Materials
            .ToDictionary(m => m.Id, m => new Material(m.Id, new(m.ConductivityWMK), Permeability.FromPermInches(m.PermeabilityPermIn), m.Source));

    private static Dictionary<SurfaceKind, AssemblyTemplate> ReadTemplates() =>
        DataFile.Read<TemplatesShape>("templates.json", ShippedFiles.Text("templates.json"), ShippedFiles.Schema("templates")).Templates.ToDictionary(t => t.Kind);

    private static Dictionary<string, TargetSet> ReadTargets() =>
        DataFile.Read<TargetsShape>("targets.json", ShippedFiles.Text("targets.json"), ShippedFiles.Schema("targets")).TargetSets.ToDictionary(
            set => set.Id,
            set => new TargetSet(set.Id, set.Edition, set.Films, set.Elements.ToDictionary(
                e => e.Key,
                e => (IReadOnlyDictionary<string, ThermalTransmittance>)e.Value.ToDictionary(z => z.Key, z => set.Unit == "wM2K" ? new(z.Value) : ThermalTransmittance.FromUsU(z.Value)))));

    private sealed record PlacesShape(Place[] Places);

    private sealed record MaterialsShape(MaterialShape[] Materials);

    private sealed record MaterialShape(string Id, double ConductivityWMK, double PermeabilityPermIn, string Source);

    private sealed record TemplatesShape(AssemblyTemplate[] Templates);

    private sealed record TargetsShape(TargetSetShape[] TargetSets);

    private sealed record TargetSetShape(string Id, string Edition, FilmSet Films, string Unit, Dictionary<EnvelopeElement, Dictionary<string, double>> Elements);
}
