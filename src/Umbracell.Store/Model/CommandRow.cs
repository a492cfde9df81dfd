using Umbracell.Store.Undo;

namespace Umbracell.Store.Model;

/// <summary>Something a person entered, as it was sent: known by the id the device gave it, so that a repeat is no second one.</summary>
public sealed class CommandRow : IFirmRow
{
    /// <summary>Name of the key in the database, by which a command that arrives twice at once is known.</summary>
    public const string Key = "pk_commands";

    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    /// <summary>When it was entered; never later than it arrived.</summary>
    public DateTimeOffset HappenedAt { get; set; }

    public DateTimeOffset ReceivedAt { get; set; }

    public required string By { get; set; }

    /// <summary>Who entered it; null for what was taken before this was kept.</summary>
    public Guid? PersonId { get; set; }

    /// <summary>What it may be entered by: name of a policy.</summary>
    public string Policy { get; set; } = "";

    /// <summary>The kind of record it changed; empty where what it made stands, as a reading does.</summary>
    public string Record { get; set; } = "";

    public Guid? RecordId { get; set; }

    /// <summary>What it changed of that record; null where nothing is kept of it.</summary>
    public IReadOnlyList<ChangedPart>? Changed { get; set; }
}
