using Umbracell.Core.Assemblies;

namespace Umbracell.Questions.Section;

/// <summary>A layer of a small drawn section, outermost first.</summary>
public sealed record SketchLayer(string Key, double ThicknessMm)
{
    /// <summary>The layers of a section, for a small drawing.</summary>
    public static IReadOnlyList<SketchLayer> Of(SectionCase section) =>
        [.. LaidSection.Of(section).Layers.Select(layer => new SketchLayer(layer.Key, layer.ThicknessMm))];
}
