namespace Umbracell.Store.Model;

/// <summary>What happened that bears on who may get at what.</summary>
public enum SecurityEvent
{
    SignedIn,
    SignInFailed,
    SignedOut,
    Refused,
    RoleChanged,
    AccessChanged,
    PasswordChanged,
    SignedOutElsewhere,
    TokenMade,
    TokenRenewed,
    RatesChanged,
    Exported,
    Deleted,
    Overridden,
    Erased,
    SecondStepChanged,
    Invited,
    Joined,
    PasswordLinkMade,
}

/// <summary>An entry of the firm's own book of such things. It is written once and never changed.</summary>
public sealed class SecurityEventRow : IFirmRow
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    /// <summary>By the machine's time, whatever day a demo plays on.</summary>
    public DateTimeOffset At { get; set; }

    public SecurityEvent Kind { get; set; }

    /// <summary>Who did it, by their title; what a person is called elsewhere goes when they go.</summary>
    public required string By { get; set; }

    public Guid? PersonId { get; set; }

    /// <summary>What it was about: a sign-in name, a role, an address of the interface.</summary>
    public string About { get; set; } = "";
}
