using Umbracell.Core.Air;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>A layer of a material.</summary>
/// <param name="Material">The material.</param>
/// <param name="Thickness">Above zero.</param>
public sealed record Layer(Material Material, Length Thickness)
{
    /// <summary>Thermal resistance.</summary>
    public ThermalResistance Resistance => Material.Conductivity.Over(Thickness);

    /// <summary>Vapour permeance.</summary>
    public Permeance Permeance => Material.Permeability.Over(Thickness);
}

/// <summary>What the members of a surface are made of.</summary>
public enum MemberMaterial
{
    /// <summary>No members: foam lies on a face.</summary>
    None,

    /// <summary>Wood, foam between.</summary>
    Wood,

    /// <summary>Steel studs through the whole depth, foam between.</summary>
    SteelStud,

    /// <summary>Metal girts, purlins or box ribs that stand on a skin, foam on the skin between.</summary>
    Girt,
}

/// <summary>Which layers the foam is sprayed on; a free space, if any, lies on its other side.</summary>
public enum FoamSide
{
    /// <summary>On the outer layers, from the room.</summary>
    Outboard,

    /// <summary>On the inner layers, from the cold side: the underside of a floor, the top of a ceiling.</summary>
    Inboard,
}

/// <summary>The members that stand in or before the foam.</summary>
public sealed record Members
{
    /// <summary>What they are made of.</summary>
    public required MemberMaterial Material { get; init; }

    /// <summary>Depth from substrate to the inner face of the members.</summary>
    public required Length Depth { get; init; }

    /// <summary>Centre to centre; not used where there are no members.</summary>
    public required Length Spacing { get; init; }

    /// <summary>Area share of the members with plates and headers, 0 to 0.9.</summary>
    public required double Share { get; init; }

    /// <summary>Of the member's material; not used where it is metal.</summary>
    public required ThermalConductivity Conductivity { get; init; }

    /// <summary>Section of a girt or steel stud; null elsewhere, or where it is not known.</summary>
    public MetalProfile? Profile { get; init; }
}

/// <summary>The greatest U a surface may have, with where that is written.</summary>
/// <param name="GreatestU">The target.</param>
/// <param name="Edition">Set and edition, in words.</param>
public sealed record UTarget(ThermalTransmittance GreatestU, string Edition);

/// <summary>All that decides a section: the question the section stage asks.</summary>
public sealed record SectionCase
{
    /// <summary>Kind of surface.</summary>
    public required SurfaceKind Kind { get; init; }

    /// <summary>Layers outside of the foam, outermost first, down to the substrate; the vent channel not among them.</summary>
    public required IReadOnlyList<Layer> Outboard { get; init; }

    /// <summary>Layers on the room side of the members, first the one next to the foam.</summary>
    public required IReadOnlyList<Layer> Inboard { get; init; }

    /// <summary>The members.</summary>
    public required Members Members { get; init; }

    /// <summary>Clear height of a vent channel between the outboard layers and a baffle; zero for none.</summary>
    public Length VentChannel { get; init; }

    /// <summary>The baffle that keeps the channel open, where there is a channel.</summary>
    public Layer? Baffle { get; init; }

    /// <summary>Whether a wall's cladding stands off it, open to the air below and above.</summary>
    public bool VentedCladding { get; init; }

    /// <summary>Which layers the foam is sprayed on.</summary>
    public FoamSide FoamAgainst { get; init; }

    /// <summary>Winter heat flow.</summary>
    public required HeatFlow HeatFlow { get; init; }

    /// <summary>What lies beyond the outermost layer.</summary>
    public required Exposure Exposure { get; init; }

    /// <summary>What an overhead door can carry; null for other surfaces.</summary>
    public DoorFacts? Door { get; init; }

    /// <summary>Film set.</summary>
    public required FilmSet Films { get; init; }

    /// <summary>What is put between or before the members, first the layer that lies on the substrate; empty for the bare
    /// assembly.</summary>
    public required IReadOnlyList<FillLayer> Fill { get; init; }

    /// <summary>The first foam: the one whose face is moved; null where no foam is sprayed.</summary>
    public FoamFill? Foam => Fill.OfType<FoamFill>().FirstOrDefault();

    /// <summary>Thickness of the layer that is moved: the first foam, or the first layer where there is none.</summary>
    public Length FoamThickness => Moved?.Thickness ?? Length.Zero;

    /// <summary>The layer that is moved: the first foam, or the first layer where there is none; null for the bare assembly.</summary>
    public FillLayer? Moved => Foam ?? (Fill.Count > 0 ? Fill[0] : null);

    /// <summary>Thickness of all that is put in.</summary>
    public Length FillThickness => Length.FromMetres(Fill.Sum(layer => layer.Thickness.Metres));

    /// <summary>Design air.</summary>
    public required DesignAir Air { get; init; }

    /// <summary>Air beyond the edge of a slab on the ground at winter design; null for other surfaces, or where it is not known.</summary>
    public Temperature? BeyondEdge { get; init; }

    /// <summary>Target, where one applies.</summary>
    public UTarget? Target { get; init; }

    /// <summary>What the insulation of a slab on ground must have; a slab has no <see cref="Target"/>.</summary>
    public SlabTarget? SlabTarget { get; init; }

    /// <summary>R of all insulation as printed on it: what is put in, and boards that stand.</summary>
    public ThermalResistance InsulationR =>
        Fill.Aggregate(default(ThermalResistance), (sum, layer) => sum + layer.LabelR)
        + Outboard
            .Concat(Inboard)
            .Where(layer => layer.Material.IsInsulation)
            .Aggregate(default(ThermalResistance), (sum, layer) => sum + layer.Resistance);

    /// <summary>Model-code climate zone such as <c>6A</c>, where known.</summary>
    public string? ClimateZone { get; init; }

    /// <summary>Depth left for foam between substrate (or baffle) and the inner face of the members; null where nothing bounds
    /// it.</summary>
    public Length? FoamDepth =>
        Members.Depth.Metres <= 0
            ? null
            : Length.FromMetres(Math.Max(0, (Members.Depth - VentChannel - (Baffle?.Thickness ?? Length.Zero)).Metres));

    /// <summary>Thickest the layer that is moved may be: what its sheet rates.</summary>
    public Length Thickest => Foam?.Sheet.ThickestRated ?? ThicknessLimits.BoardMost;

    /// <summary>Depth that nothing put in fills; zero where nothing bounds it.</summary>
    public Length FreeSpace => FoamDepth is { } depth ? Length.FromMetres(Math.Max(0, (depth - FillThickness).Metres)) : Length.Zero;

    /// <summary>What was solved of members before; handed on to every case made from this one.</summary>
    public Conduction.SolvedMembers Solved { get; init; } = new();

    /// <summary>Heat through a metre of metal member as the conduction model gave it, W/(m·K), by the share of the depth that is filled;
    /// null leaves it to the fin estimate or the table. Thicknesses are sought with it; each study solves anew for its own.</summary>
    public Curve? SolvedPsi { get; init; }

    /// <summary>ψ of this fill by <see cref="SolvedPsi"/>; null without it.</summary>
    internal double? PsiHere => SolvedPsi?.At(Conduction.MemberCurve.ShareOf(this));

    /// <summary>Steps in which thicknesses are sought: a quarter inch with the US films, 5 mm with the ISO films. A property of the job,
    /// so that no answer depends on the units a person reads in.</summary>
    public Length Step => Films == FilmSet.Us ? Length.FromInches(0.25) : Length.FromMillimetres(5);

    /// <summary>The same case without anything put in.</summary>
    public SectionCase Bare() => this with { Fill = [] };

    /// <summary>The same case with another thickness of the layer that is moved; a layer that takes the rest gives way.</summary>
    /// <param name="thickness">Zero takes the layer out.</param>
    public SectionCase WithFoam(Length thickness)
    {
        if (Fill.Count == 0)
        {
            return this;
        }

        var moved = Fill.ToList().IndexOf(Moved!);
        var layers = Fill.ToArray();
        layers[moved] = Thickened(layers[moved], thickness);
        var before = Length.FromMetres(layers.Where(layer => !layer.TakesRest).Sum(layer => layer.Thickness.Metres));
        for (var i = 0; i < layers.Length; i++)
        {
            if (i != moved && layers[i].TakesRest && FoamDepth is { } depth)
            {
                layers[i] = Thickened(layers[i], Length.FromMetres(Math.Max(0, (depth - before).Metres)));
            }
        }

        return this with
        {
            Fill = [.. layers.Where(layer => layer.Thickness > Length.Zero)],
        };
    }

    private static FillLayer Thickened(FillLayer layer, Length thickness) =>
        layer switch
        {
            SlabFill slab => slab with { Layer = slab.Layer with { Thickness = thickness }, Thickness = thickness },
            BattFill batt => batt.In(thickness),
            _ => layer with { Thickness = thickness },
        };
}
