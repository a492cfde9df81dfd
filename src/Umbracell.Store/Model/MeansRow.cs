using Umbracell.Documents;
using Umbracell.Store.Figures;

namespace Umbracell.Store.Model;

/// <summary>Kinds of means a firm works with.</summary>
public enum MeansKind
{
    /// <summary>The people who go out together.</summary>
    Crew,

    /// <summary>Proportioner, hoses and what they travel on.</summary>
    Rig,

    /// <summary>A heater for the air of a building.</summary>
    SpaceHeater,

    /// <summary>Drum blankets of one strength.</summary>
    Blankets,

    /// <summary>A room in which drums are warmed.</summary>
    HotRoom,

    /// <summary>Scaffolds of one kind.</summary>
    Scaffold,

    /// <summary>Fans of one kind that draw a room's air out.</summary>
    Fan,

    /// <summary>Dehumidifiers of one kind.</summary>
    Dehumidifier,
}

/// <summary>A crew, a machine or a thing the firm works with.</summary>
public sealed class MeansRow : IFirmRow, IFigureInput
{
    public const int LongestName = 60;

    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public MeansKind Kind { get; set; }

    public required string Name { get; set; }

    /// <summary>The crew it goes out with, of a rig; null where it is anybody's.</summary>
    public Guid? CrewId { get; set; }

    /// <summary>What is known of it; null for nothing but its name.</summary>
    public MeansDocument? Document { get; set; }

    /// <summary>Since when it is not counted on any more; null for what is in use.</summary>
    public DateTimeOffset? RetiredAt { get; set; }

    public uint Version { get; set; }

    // No figure hangs on scaffolds and fans; a crew's name and rates stand on the jobs that name it, and those that are new name it
    // themselves.
    IEnumerable<Guid> IFigureInput.FiguresOf(Func<string, bool> changes) =>
        Kind switch
        {
            MeansKind.Scaffold or MeansKind.Fan => [],
            MeansKind.Crew when !changes(nameof(Name)) && !changes(nameof(Document)) => [],
            _ => [FirmId],
        };
}
