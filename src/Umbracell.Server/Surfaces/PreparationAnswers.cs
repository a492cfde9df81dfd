using Umbracell.Core.Conditions;
using Umbracell.Core.Planning;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>One item of a preparation list with who does it and whether it is done.</summary>
public sealed record PreparationTaskAnswer
{
    /// <summary>What.</summary>
    public required PreparationItem Item { get; init; }

    /// <summary>Key of why it stands on the list.</summary>
    public required string Reason { get; init; }

    /// <summary>Done once for the whole job.</summary>
    public required bool ForJob { get; init; }

    /// <summary>Ticked off, and nothing the survey knows speaks against it.</summary>
    public required bool Done { get; init; }

    /// <summary>Ticked off, but a leak is open or a joint is not ready.</summary>
    public required bool Contradicted { get; init; }

    /// <summary>Who does it.</summary>
    public required string AssignedTo { get; init; }

    /// <summary>By when.</summary>
    public required DateOnly? DueOn { get; init; }

    /// <summary>When it was ticked off.</summary>
    public required DateTimeOffset? DoneAt { get; init; }

    /// <summary>Who ticked it off.</summary>
    public required string DoneBy { get; init; }

    /// <summary>Version to name when assigning or dating it; null where nothing was entered yet.</summary>
    public required uint? Version { get; init; }
}

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
        return new()
        {
            Item = task.Item,
            Reason = task.Reason,
            ForJob = task.ForJob,
            Done = ticked && !contradicted,
            Contradicted = ticked && contradicted,
            AssignedTo = mark?.AssignedTo ?? "",
            DueOn = mark?.DueOn,
            DoneAt = mark?.DoneAt,
            DoneBy = mark?.DoneBy ?? "",
            Version = mark?.Version,
        };
    }
}
