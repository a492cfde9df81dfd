using Umbracell.Core.Conditions;
using Umbracell.Core.Planning;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>One item of a preparation list with who does it and whether it is done.</summary>
/// <param name="Item">What.</param>
/// <param name="Reason">Key of why it stands on the list.</param>
/// <param name="ForJob">Done once for the whole job.</param>
/// <param name="Done">Ticked off, and nothing the survey knows speaks against it.</param>
/// <param name="Contradicted">Ticked off, but a leak is open or a joint is not ready.</param>
/// <param name="AssignedTo">Who does it.</param>
/// <param name="DueOn">By when.</param>
/// <param name="DoneAt">When it was ticked off.</param>
/// <param name="DoneBy">Who ticked it off.</param>
public sealed record PreparationTaskAnswer(
    PreparationItem Item,
    string Reason,
    bool ForJob,
    bool Done,
    bool Contradicted,
    string AssignedTo,
    DateOnly? DueOn,
    DateTimeOffset? DoneAt,
    string DoneBy
);

/// <summary>Shapes preparation lists.</summary>
internal static class PreparationAnswers
{
    /// <summary>The list of a surface by the core's rules.</summary>
    public static IReadOnlyList<PreparationTask> List(Surface surface) =>
        PreparationList.For(
            new(
                surface.Kind,
                SurfaceReader.DetailsOf(surface),
                surface
                    .Notes.Where(n =>
                        n.MendedAt is null
                        || n.Kind
                            is SiteNoteKind.OldInsulation
                                or SiteNoteKind.SuspectMaterial
                                or SiteNoteKind.Pests
                                or SiteNoteKind.WetPart
                    )
                    .Select(n => n.Kind)
                    .ToHashSet(),
                surface.Assembly.VentChannelMm > 0
            )
        );

    public static IReadOnlyList<PreparationTaskAnswer> Of(Surface surface, SurveyRecords records)
    {
        var marks = records.Of(surface.Id).ToDictionary(m => (m.Item, m.SurfaceId is null));
        return
        [
            .. List(surface)
                .Select(task =>
                    Answer(
                        task,
                        marks.GetValueOrDefault((task.Item, task.ForJob)),
                        PreparationList.Outweighs(task.Item, surface.OpenLeak is not null, !records.JointsReady(surface.Id))
                    )
                ),
        ];
    }

    private static PreparationTaskAnswer Answer(PreparationTask task, PreparationRow? mark, bool contradicted)
    {
        var ticked = mark?.DoneAt is not null;
        return new(
            task.Item,
            task.Reason,
            task.ForJob,
            ticked && !contradicted,
            ticked && contradicted,
            mark?.AssignedTo ?? "",
            mark?.DueOn,
            mark?.DoneAt,
            mark?.DoneBy ?? ""
        );
    }
}
