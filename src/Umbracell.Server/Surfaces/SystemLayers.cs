using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Questions.Answers;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>What a system is made of, as it is told wherever one is named.</summary>
internal static class SystemLayers
{
    /// <summary>What is put in, outermost first.</summary>
    public static IReadOnlyList<CandidateLayer> Of(SectionCase section) =>
        [
            .. section.Fill.Select(layer =>
                layer is FoamFill foam
                    ? new CandidateLayer(
                        SectionSketch.KeyOf(layer),
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

    /// <summary>Whether a candidate is what a surface has. A foam picked on the section's page is the candidate of that foam
    /// alone.</summary>
    public static bool IsChosen(Candidate candidate, Surface surface) =>
        surface.System is { } system
            ? candidate.Kind == system.Kind && candidate.Section.Foam?.Sheet.Id == surface.SheetSlug
            : surface.SheetSlug is { } sheet
                && candidate.Section.Fill is [FoamFill only]
                && only.Sheet.Id == sheet
                && candidate.Kind
                    is CandidateKind.OpenCell
                        or CandidateKind.DenseOpenCell
                        or CandidateKind.ClosedCell
                        or CandidateKind.ColdGrade;
}
