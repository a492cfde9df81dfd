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
}
