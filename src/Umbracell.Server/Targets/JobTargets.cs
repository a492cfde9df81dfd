using Umbracell.Core.Quantities;
using Umbracell.Formats.DataFiles;
using Umbracell.Store.Model;

namespace Umbracell.Server.Targets;

/// <summary>The target set of a job: one that ships, or one of the firm's own.</summary>
internal static class JobTargets
{
    public static TargetSet? Of(Job job) => job.OwnTargets is { } own ? Of(own) : ShippedData.TargetSets.GetValueOrDefault(job.TargetSetId);

    public static string IdOf(Job job) => job.OwnTargetsId?.ToString() ?? job.TargetSetId;

    public static TargetSet Of(TargetSetRow own)
    {
        var based = ShippedData.TargetSets[own.BasedOn];
        return based with
        {
            Id = own.Id.ToString(),
            Edition = own.Edition,
            GreatestU = own.GreatestU is not { } figures ? based.GreatestU : figures.ToDictionary(
                e => Enum.Parse<EnvelopeElement>(e.Key),
                e => (IReadOnlyDictionary<string, ThermalTransmittance>)e.Value.ToDictionary(z => z.Key, z => new ThermalTransmittance(z.Value))),
        };
    }

    /// <summary>Sets a job's targets by the id of a set.</summary>
    public static void Set(Job job, string id, IReadOnlyDictionary<string, TargetSetRow> own)
    {
        job.OwnTargets = own.GetValueOrDefault(id);
        job.OwnTargetsId = job.OwnTargets?.Id;
        job.TargetSetId = job.OwnTargets?.BasedOn ?? id;
    }
}
