using Umbracell.Core.Assemblies;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Questions.Section;

/// <summary>What a drawn layer is to the hand that moves the foam's face.</summary>
public enum LayerPart
{
    /// <summary>It stands already.</summary>
    Built,

    /// <summary>Its face is moved.</summary>
    Moved,

    /// <summary>It is put in with a thickness of its own.</summary>
    Fill,

    /// <summary>It is put in and takes what depth the others leave.</summary>
    Rest,

    /// <summary>Depth that nothing fills.</summary>
    Free,
}

/// <summary>A layer of a section as it is drawn.</summary>
/// <param name="Id">Which layer of the section it is; the same at every thickness.</param>
/// <param name="Key">Its material; open or closed for foam, ventChannel, freeSpace.</param>
/// <param name="ThicknessMm">How thick it is.</param>
/// <param name="Part">What it is to the hand.</param>
public sealed record LaidLayer(string Id, string Key, double ThicknessMm, LayerPart Part);

/// <summary>A section laid out, outermost layer first.</summary>
/// <param name="Layers">Its layers.</param>
/// <param name="FoamDepthMm">Depth there is for what is put in; null where nothing bounds it.</param>
/// <param name="ThickestMm">How thick the moved layer may become: what its sheet rates.</param>
public sealed record LaidSection(IReadOnlyList<LaidLayer> Layers, double? FoamDepthMm, double ThickestMm)
{
    // A film or coat is drawn; what is left by the rounding of a depth is not.
    private const double LeastDrawnMm = 0.05;

    /// <summary>Lays a section out.</summary>
    public static LaidSection Of(SectionCase section) =>
        new([.. LayersOf(section)], section.FoamDepth?.Millimetres, section.Thickest.Millimetres);

    /// <summary>Key of a layer put in: open or closed for foam, else its material.</summary>
    public static string KeyOf(FillLayer layer) =>
        layer is not FoamFill foam ? layer.Key
        : foam.Sheet.Cell == CellStructure.Open ? "open"
        : "closed";

    private static IEnumerable<LaidLayer> LayersOf(SectionCase section)
    {
        var moved = section.Fill.ToList().FindIndex(layer => ReferenceEquals(layer, section.Moved));
        List<LaidLayer> between =
        [
            .. section.Fill.Select(
                (layer, i) =>
                    new LaidLayer($"fill.{i}", KeyOf(layer), layer.Thickness.Millimetres, i == moved ? LayerPart.Moved : PartOf(layer))
            ),
            new("free", "freeSpace", section.FreeSpace.Millimetres, LayerPart.Free),
        ];
        if (section.FoamAgainst == FoamSide.Inboard)
        {
            between.Reverse();
        }

        LaidLayer? channel =
            section.VentChannel > Length.Zero ? new("channel", "ventChannel", section.VentChannel.Millimetres, LayerPart.Built) : null;
        LaidLayer? baffle = section.Baffle is { } layer ? Built("baffle", layer) : null;
        return
        [
            .. section.Outboard.Select((one, i) => Built($"outboard.{i}", one)),
            .. new[] { channel, baffle }.OfType<LaidLayer>(),
            .. between.Where(one => one.ThicknessMm > LeastDrawnMm),
            .. section.Inboard.Select((one, i) => Built($"inboard.{i}", one)),
        ];
    }

    private static LaidLayer Built(string id, Layer layer) => new(id, layer.Material.Id, layer.Thickness.Millimetres, LayerPart.Built);

    private static LayerPart PartOf(FillLayer layer) => layer.TakesRest ? LayerPart.Rest : LayerPart.Fill;
}
