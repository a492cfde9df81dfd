using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Documents;
using Umbracell.Questions.Section;

namespace Umbracell.Questions.Choose;

/// <summary>A system as a section question takes it: what is put in, and boards added on either side.</summary>
/// <param name="SheetId">The first foam; null where none is sprayed.</param>
/// <param name="ThicknessMm">Its thickness.</param>
/// <param name="Further">What goes in after it, or instead of it.</param>
/// <param name="AddedOutboard">Boards added outside the members.</param>
/// <param name="AddedInboard">Boards added on their room side.</param>
public sealed record SystemShape(
    string? SheetId,
    double? ThicknessMm,
    IReadOnlyList<FillDocument> Further,
    IReadOnlyList<LayerDocument> AddedOutboard,
    IReadOnlyList<LayerDocument> AddedInboard
)
{
    /// <summary>The system of a candidate.</summary>
    /// <param name="candidate">The candidate.</param>
    /// <param name="without">The surface it was weighed for.</param>
    public static SystemShape Of(Candidate candidate, SectionCase without)
    {
        var with = candidate.Section;
        return new(
            with.Foam?.Sheet.Id,
            with.Foam?.Thickness.Millimetres,
            [.. with.Fill.Where(layer => layer != with.Foam).Select(Fill)],
            Added(with.Outboard, without.Outboard),
            Added(with.Inboard, without.Inboard)
        );
    }

    /// <summary>A bare question with this system in it.</summary>
    public SectionQuestion In(SectionQuestion bare)
    {
        // A board added outside the members lies under what is outermost of the wall; one added inside, on the members.
        var under = Math.Min(1, bare.Outboard.Count);
        return bare with
        {
            SheetId = SheetId,
            ThicknessMm = ThicknessMm,
            Outboard = [.. bare.Outboard.SkipLast(under), .. AddedOutboard, .. bare.Outboard.TakeLast(under)],
            Inboard = [.. AddedInboard, .. bare.Inboard],
            Further = Further.Count > 0 ? Further : null,
        };
    }

    private static List<LayerDocument> Added(IReadOnlyList<Layer> with, IReadOnlyList<Layer> without) =>
        [.. with.Except(without).Select(l => new LayerDocument(l.Material.Id, l.Thickness.Millimetres))];

    private static FillDocument Fill(FillLayer layer) =>
        layer switch
        {
            FoamFill foam => new(FillKind.Foam, foam.Sheet.Id, foam.Thickness.Millimetres, foam.TakesRest),
            BattFill batt => new(FillKind.Batt, batt.Batt.Id, batt.Thickness.Millimetres, batt.TakesRest),
            _ => new(FillKind.Slab, layer.Key, layer.Thickness.Millimetres, layer.TakesRest),
        };
}
