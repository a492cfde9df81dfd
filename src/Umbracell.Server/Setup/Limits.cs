namespace Umbracell.Server.Setup;

/// <summary>Sizes the server refuses to go past.</summary>
internal static class Limits
{
    /// <summary>Largest request body. Typed edits are small; imports will set their own.</summary>
    public const long RequestBytes = 1024 * 1024;
}
