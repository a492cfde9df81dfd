using Umbracell.Core.Assemblies;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;

namespace Umbracell.Questions.Choose;

/// <summary>What a system is made of, as it is told wherever one is named.</summary>
public static class SystemLayers
{
    /// <summary>What is put in, outermost first.</summary>
    public static IReadOnlyList<CandidateLayer> Of(SectionCase section) =>
        [
            .. section.Fill.Select(layer =>
                layer is FoamFill foam
                    ? new CandidateLayer(
                        LaidSection.KeyOf(layer),
                        foam.Sheet.Name,
                        foam.Sheet.Family,
                        FigureAnswer.Of(layer.Thickness.ToThickness())
                    )
                    : new CandidateLayer(
                        layer.Key,
                        layer is BattFill batt ? batt.Batt.Id : layer.Key,
                        null,
                        FigureAnswer.Of(layer.Thickness.ToThickness())
                    )
            ),
        ];

    /// <summary>Boards laid with a system outside of what is put in.</summary>
    public static IEnumerable<CandidateLayer> Boards(SectionCase with, SectionCase without) =>
        with
            .Outboard.Except(without.Outboard)
            .Concat(with.Inboard.Except(without.Inboard))
            .Select(l => new CandidateLayer(l.Material.Id, l.Material.Id, null, FigureAnswer.Of(l.Thickness.ToThickness())));
}
