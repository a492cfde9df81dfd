using Umbracell.Core.Assemblies;
using Umbracell.Core.Quantities;
using Umbracell.Formats.DataFiles;
using Umbracell.Store.Model;

namespace Umbracell.Server.Targets;

/// <summary>The target set of a job: one that ships, or one of the firm's own.</summary>
internal static class JobTargets
{
    public static TargetSet? Of(Job job) => job.OwnTargets is { } own ? Of(own) : ShippedData.TargetSets.GetValueOrDefault(job.TargetSetId);

    /// <summary>What part of the envelope a surface is held to as: its kind's, by what is known of it.</summary>
    public static EnvelopeElement? ElementOf(Surface surface) =>
        (surface.Kind, ShippedData.Templates[surface.Kind].Element) switch
        {
            (SurfaceKind.BasementWall, _) when surface.Details.CrawlSpace == true => EnvelopeElement.CrawlWall,
            (SurfaceKind.WallOutside, _) when surface.MemberMaterial != MemberMaterial.None => EnvelopeElement.FramedWall,
            (_, var element) => element,
        };

    public static string IdOf(Job job) => job.OwnTargetsId?.ToString() ?? job.TargetSetId;

    public static TargetSet Of(TargetSetRow own)
    {
        var based = ShippedData.TargetSets[own.BasedOn];
        return based with
        {
            Id = own.Id.ToString(),
            Edition = own.Edition,
            GreatestU = own.GreatestU is not { } figures
                ? based.GreatestU
                : based.GreatestU.ToDictionary(
                    e => e.Key,
                    e =>
                        figures.TryGetValue(e.Key.ToString(), out var typed)
                            ? (IReadOnlyDictionary<string, ThermalTransmittance>)
                                typed.ToDictionary(z => z.Key, z => ThermalTransmittance.FromSi(z.Value))
                            : e.Value
                ),
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
