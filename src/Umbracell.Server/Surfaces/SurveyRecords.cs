using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;
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
