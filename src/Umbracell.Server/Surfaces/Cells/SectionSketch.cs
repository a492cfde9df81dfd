using Umbracell.Core.Assemblies;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Server.Surfaces;

/// <summary>A section's layers for a small drawing, outermost first.</summary>
internal static class SectionSketch
{
    public static IReadOnlyList<SketchLayer> Of(SectionCase section)
    {
        List<SketchLayer> layers = [.. section.Outboard.Select(Layer)];
        if (section.VentChannel > Length.Zero)
        {
            layers.Add(new("ventChannel", section.VentChannel.Millimetres));
        }

        if (section.Baffle is { } baffle)
        {
            layers.Add(Layer(baffle));
        }

        var free = section.FoamDepth is { } depth ? Math.Max(0, (depth - section.FillThickness).Millimetres) : 0;
        List<SketchLayer> middle =
        [
            .. section.Fill.Select(f => new SketchLayer(KeyOf(f), f.Thickness.Millimetres)),
            new("freeSpace", free),
        ];
        if (section.FoamAgainst == FoamSide.Inboard)
        {
            middle.Reverse();
        }

        layers.AddRange(middle.Where(l => l.ThicknessMm > 0.05));
        layers.AddRange(section.Inboard.Select(Layer));
        return layers;
    }

    /// <summary>Key of a layer put in: open or closed for foam, else its material.</summary>
    public static string KeyOf(FillLayer layer) =>
        layer is FoamFill foam
            ? foam.Sheet.Cell == CellStructure.Open
                ? "open"
                : "closed"
            : layer.Key;

    private static SketchLayer Layer(Layer layer) => new(layer.Material.Id, layer.Thickness.Millimetres);
}
