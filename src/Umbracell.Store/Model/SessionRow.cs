namespace Umbracell.Store.Model;

/// <summary>A sign-in that lasts: on one device, of one person, until it is ended or runs out.</summary>
public sealed class SessionRow : IFirmRow
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public Guid PersonId { get; set; }

    /// <summary>What the cookie holds, hashed: who reads this table cannot sign in with it.</summary>
    public required string SecretHash { get; set; }

    /// <summary>What kind of device, as its browser says of itself.</summary>
    public string Device { get; set; } = "";

    public DateTimeOffset StartedAt { get; set; }

    /// <summary>When it was last used, to the minute.</summary>
    public DateTimeOffset SeenAt { get; set; }
}
