using Umbracell.Core.Materials;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>A place in a section that water can harm: where two layers meet, one of which mould, rust, rot or frost can reach.</summary>
/// <param name="Outer">What lies outboard of it: a material id, <c>foam</c> or <c>freeSpace</c>.</param>
/// <param name="Inner">What lies towards the room.</param>
public readonly record struct HarmedPlace(string Outer, string Inner)
{
    /// <summary>Both sides as a finding's word names them.</summary>
    public string Key => $"{Outer}|{Inner}";
}

/// <summary>How heat and moisture pass a section: neither depends on the air on its sides.</summary>
/// <param name="Heat">Heat.</param>
/// <param name="Path">Moisture.</param>
internal sealed record HeatAndMoisture(SectionHeat Heat, MoisturePath Path)
{
    public static HeatAndMoisture Of(SectionCase section)
    {
        var heat = SectionHeat.Of(section);
        return new(heat, MoisturePath.Of(section, heat));
    }
}

/// <summary>The way of vapour through a section, from outside to the room: interfaces where water may lie, and which of them it can
/// harm.</summary>
internal sealed class MoisturePath
{
    /// <summary>Layers above this are cut up, m²K/W (ISO 13788, 6.3).</summary>
    private const double CutAbove = 0.25;

    private const int MostCuts = 20,
        MostInterfaces = 160;

    private readonly record struct Node(double Z, double Share, string Outer, string Inner);

    /// <summary>A harmed place and the interface it is.</summary>
    /// <param name="Node">Its interface.</param>
    /// <param name="Place">What meets there.</param>
    /// <param name="Weathered">Whether it lies outside of the substrate, where the weather itself reaches.</param>
    /// <param name="Own">Whether it lies within what is put in.</param>
    public readonly record struct PlaceAt(int Node, HarmedPlace Place, bool Weathered, bool Own);

    private readonly Node[] _nodes;
    private readonly (double From, double To) _fill;

    private MoisturePath(Node[] nodes, double whole, (double From, double To) fill, IReadOnlyList<PlaceAt> places)
    {
        (_nodes, _fill, Places) = (nodes, fill, places);
        Resistance = [.. nodes.Select(n => n.Z), whole];
    }

    /// <summary>Vapour resistance from outside up to each interface, and the whole.</summary>
    public double[] Resistance { get; }

    /// <summary>Places water can harm; at least one.</summary>
    public IReadOnlyList<PlaceAt> Places { get; }

    /// <summary>Interfaces within the section.</summary>
    public int Count => _nodes.Length;

    /// <summary>What meets at an interface.</summary>
    public HarmedPlace PlaceOf(int node) => new(_nodes[node].Outer, _nodes[node].Inner);

    /// <summary>Share of the heat's resistance that lies outside of an interface, 0 to 1.</summary>
    public double ShareOf(int node) => _nodes[node].Share;

    /// <summary>Temperature at an interface, by its share of the resistance.</summary>
    public Temperature TemperatureAt(int node, MonthAir outdoor, MonthAir indoor) =>
        Temperature.FromCelsius(
            outdoor.Temperature.Celsius + _nodes[node].Share * (indoor.Temperature.Celsius - outdoor.Temperature.Celsius)
        );

    /// <summary>The path through a section.</summary>
    public static MoisturePath Of(SectionCase section, SectionHeat heat)
    {
        var parts = SectionProfile.Parts(section, heat).ToList();
        var (r, z) = (parts.Sum(p => p.Resistance), parts.Sum(p => p.VapourResistance));
        var tight = parts.FindAll(p => p.VapourResistance > 0);
        var (rTo, zTo) = (0.0, 0.0);
        List<Node> nodes = [];
        List<PlaceAt> places = [];
        var (fillFrom, fillTo) = (0.0, 0.0);
        for (int at = 0, next = 0; at < parts.Count; at++)
        {
            var part = parts[at];
            if (part.Fill is not null)
            {
                (fillFrom, fillTo) = (fillTo > 0 ? fillFrom : zTo, zTo + part.VapourResistance);
            }

            if (part.VapourResistance <= 0)
            {
                rTo += part.Resistance;
                continue;
            }

            next++;
            var cuts = Math.Clamp((int)Math.Ceiling(part.Resistance / CutAbove), 1, MostCuts);
            for (var cut = 1; cut <= cuts; cut++)
            {
                rTo += part.Resistance / cuts;
                zTo += part.VapourResistance / cuts;
                var inner = cut < cuts || next >= tight.Count ? part : tight[next];
                if (zTo > z * 1e-9 && zTo < z * (1 - 1e-9) && nodes.Count < MostInterfaces)
                {
                    nodes.Add(new(zTo, rTo / r, part.Key, inner.Key));
                    if (cut == cuts && IsHarmed(part, inner))
                    {
                        places.Add(
                            new(
                                nodes.Count - 1,
                                new(part.Key, inner.Key),
                                section.Exposure == Exposure.Outdoors && inner.Side == SectionProfile.Side.Outboard,
                                IsOwn(part.Fill, inner.Fill)
                            )
                        );
                    }
                }
            }
        }

        // A section of a single layer has no interface within it: its middle stands for it.
        if (nodes.Count == 0)
        {
            var key = tight.Count > 0 ? tight[0].Key : "outside";
            nodes.Add(new(z / 2, 0.5, key, key));
        }

        if (places.TrueForAll(p => p.Weathered))
        {
            places.Add(new(nodes.Count - 1, new(nodes[^1].Outer, nodes[^1].Inner), false, false));
        }

        return new([.. nodes], z, (fillFrom, fillTo), places);
    }

    /// <summary>Whether an interface lies outside of what is put in; null within it, or where nothing is.</summary>
    public bool? IsOutsideFill(int node) =>
        _fill.To <= _fill.From ? null
        : Resistance[node] <= _fill.From * (1 + 1e-9) ? true
        : Resistance[node] >= _fill.To * (1 - 1e-9) ? false
        : null;

    // The substrate whatever it is made of; each face of wood, paper, steel or masonry; fibre and open foam against tighter foam.
    private static bool IsHarmed(SectionProfile.Part outer, SectionProfile.Part inner) =>
        outer.Harm != WaterHarm.None
        || inner.Harm != WaterHarm.None
        || IsOwn(outer.Fill, inner.Fill)
        || (outer.Fill is null != inner.Fill is null && outer.Side != inner.Side);

    private static bool IsOwn(FillLayer? outer, FillLayer? inner) =>
        outer is FoamFill or BattFill && inner is FoamFill or BattFill && (IsPorous(outer) || IsPorous(inner));

    private static bool IsPorous(FillLayer fill) => fill is BattFill or FoamFill { Sheet.Cell: CellStructure.Open };
}
