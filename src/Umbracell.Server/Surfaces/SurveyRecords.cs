using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;
using Umbracell.Core.Rigs;
using Umbracell.Core.Spraying;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>What the survey of a job knows beside its surfaces: readings, joints, ticks of the preparation lists, test shots and the spray log.</summary>
internal sealed record SurveyRecords(
    LatestReadings Readings,
    IReadOnlyList<JointRow> Joints,
    IReadOnlyList<PreparationRow> Marks,
    IReadOnlyList<TestShotRow> Shots,
    IReadOnlyList<LogEntryRow> Log
)
{
    private readonly ILookup<Guid?, PreparationRow> _marks = Marks.ToLookup(m => m.SurfaceId);

    /// <summary>Joints of a surface that do meet.</summary>
    public IEnumerable<JointRow> JointsOf(Guid surface) =>
        Joints.Where(j => !j.DoNotMeet && (j.FirstId == surface || j.SecondId == surface));

    /// <summary>Whether every joint of a surface is solved and ready.</summary>
    public bool JointsReady(Guid surface) => JointsOf(surface).All(row => Shape(row) is { IsSolved: true, Ready: true });

    /// <summary>Items ticked off for a surface, those of the whole job among them.</summary>
    public IReadOnlyList<PreparationItem> Done(Guid surface) => [.. Of(surface).Where(m => m.DoneAt is not null).Select(m => m.Item)];

    /// <summary>Marks of a surface and of the whole job.</summary>
    public IEnumerable<PreparationRow> Of(Guid surface) => _marks[surface].Concat(_marks[null]);

    /// <summary>Why a test shot counts no longer, by what was done since: the rig was set otherwise, or a drum was opened; null where
    /// neither was.</summary>
    /// <param name="shot">The shot.</param>
    /// <param name="until">Drums that were opened later are left out; null for none.</param>
    public ShotLoss? LossOf(TestShotRow shot, DateTimeOffset? until = null)
    {
        var isChanged = _opened.Value.Any(drum =>
            drum.At > shot.FiredAt && !(drum.At > until) && (drum.Sheet is null || drum.Sheet == shot.SheetSlug)
        );
        return shot.Loss ?? (isChanged ? ShotLoss.Drums : null);
    }

    private readonly Lazy<IReadOnlyList<LogEntry>> _opened = new(() =>
        [.. SprayLog.InForce(Log.Select(row => row.Document.ToEntry())).Where(entry => entry.Kind == LogEntryKind.DrumOpened)]
    );

    public static Joint Shape(JointRow row) =>
        new()
        {
            Kind = row.Kind,
            Layers = new Dictionary<ControlLayer, Handover>
            {
                [ControlLayer.Water] = row.Water,
                [ControlLayer.Air] = row.Air,
                [ControlLayer.Vapour] = row.Vapour,
                [ControlLayer.Heat] = row.Heat,
            },
            How = row.How,
            By = row.DoneBy,
            Ready = row.Ready,
            SeenBy = row.SeenBy,
        };
}
