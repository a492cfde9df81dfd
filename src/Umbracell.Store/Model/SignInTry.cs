namespace Umbracell.Store.Model;

/// <summary>How often signing in has failed of late under one name, from one device or from one address.</summary>
public sealed class SignInTry
{
    /// <summary>What is counted, hashed: no names and no addresses are kept.</summary>
    public required string Key { get; set; }

    public int Failures { get; set; }

    /// <summary>Before then nobody is let try.</summary>
    public DateTimeOffset FreeAt { get; set; }

    public DateTimeOffset LastAt { get; set; }
}
