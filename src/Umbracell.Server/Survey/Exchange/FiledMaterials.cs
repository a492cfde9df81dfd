using Umbracell.Documents;
using Umbracell.Formats.JobFiles;
using Umbracell.Questions.Answers;
using Umbracell.Server.Materials;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.Exchange;

/// <summary>Materials of a firm's own that go with a job. Where they come in, those the firm has already stay as they are.</summary>
internal static class FiledMaterials
{
    /// <summary>Those that surfaces are laid with.</summary>
    public static IReadOnlyList<FiledMaterial> Of(IEnumerable<FiledSurface> surfaces, Firm firm)
    {
        var held = firm.Materials ?? MaterialsDocument.None;
        var laid = surfaces.SelectMany(LaidOn).ToHashSet();
        return
        [
            .. held
                .Added.Where(laid.Contains)
                .Select(id =>
                {
                    var own = held.Own.GetValueOrDefault(id) ?? new();
                    return new FiledMaterial(id, [.. own.Figures.Select(f => new FiledMaterialFigure(f.Key, f.Value))], own.Source);
                }),
        ];
    }

    /// <summary>Adds those the firm has not.</summary>
    /// <exception cref="FieldFaultsException">One that is like nothing known, or with a figure no material can have.</exception>
    public static void ComeAlong(IReadOnlyList<FiledMaterial> materials, Firm firm)
    {
        var held = firm.Materials ?? MaterialsDocument.None;
        var (own, added) = (new Dictionary<string, MaterialValues>(held.Own), held.Added.ToList());
        foreach (var material in materials.Where(one => !added.Contains(one.OwnMaterial)))
        {
            Check(material);
            added.Add(material.OwnMaterial);
            if (material.Figures.Count > 0 || material.Source.Length > 0)
            {
                own[material.OwnMaterial] = new()
                {
                    Figures = material.Figures.DistinctBy(f => f.Figure).ToDictionary(f => f.Figure, f => f.Si),
                    Source =
                        material.Source.Length <= FirmMaterials.LongestSource
                            ? material.Source
                            : material.Source[..FirmMaterials.LongestSource],
                };
            }
        }

        if (added.Count > held.Added.Count)
        {
            firm.Materials = new(own) { Added = added };
        }
    }

    private static void Check(FiledMaterial material)
    {
        var id = material.OwnMaterial;
        if (OwnMaterial.NameOf(id) is null || !FirmMaterials.IsOne(id))
        {
            throw FieldFaultsException.Of("materials.ownMaterial", FaultCode.Unknown, id);
        }

        foreach (var (figure, si) in material.Figures.Select(f => (f.Figure, f.Si)))
        {
            var range = FirmMaterials.FiguresOf(id).FirstOrDefault(one => one.Name == figure)?.Range;
            if (range is not { } known || !(si >= known.Least && si <= known.Greatest))
            {
                throw FieldFaultsException.Of("materials.figures", FaultCode.OutOfRange, figure);
            }
        }
    }

    private static IEnumerable<string> LaidOn(FiledSurface surface) =>
        surface
            .Outboard.Concat(surface.Inboard)
            .Concat(surface.Baffle is { } baffle ? [baffle] : [])
            .Concat(surface.System?.AddedOutboard ?? [])
            .Concat(surface.System?.AddedInboard ?? [])
            .Select(layer => layer.Material)
            .Concat((surface.System?.Further ?? []).Select(layer => layer.Id));
}
