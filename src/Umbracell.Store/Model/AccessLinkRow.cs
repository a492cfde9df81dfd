namespace Umbracell.Store.Model;

/// <summary>A link with which somebody comes into the firm, or chooses a new password: once, and for some days. Only the hash of its
/// secret is kept.</summary>
public sealed class AccessLinkRow : IFirmRow
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public required string SecretHash { get; set; }

    /// <summary>Whose password it sets; null for one that invites somebody.</summary>
    public Guid? PersonId { get; set; }

    /// <summary>What who is invited may do.</summary>
    public FirmRole Role { get; set; }

    /// <summary>How who is invited is called; they can change it.</summary>
    public string Title { get; set; } = "";

    /// <summary>The owner who made it: it opens only while they are one.</summary>
    public Guid MadeById { get; set; }

    /// <summary>Who made it, by their title.</summary>
    public string MadeBy { get; set; } = "";

    public DateTimeOffset MadeAt { get; set; }

    public DateTimeOffset ExpiresAt { get; set; }

    /// <summary>When it was used; null while it waits.</summary>
    public DateTimeOffset? UsedAt { get; set; }
}
