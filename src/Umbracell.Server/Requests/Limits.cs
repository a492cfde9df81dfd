namespace Umbracell.Server.Requests;

/// <summary>Sizes the server refuses to go past.</summary>
internal static class Limits
{
    /// <summary>Largest request body. Typed edits are small.</summary>
    public const long RequestBytes = 1024 * 1024;

    /// <summary>Largest table or model, in base 64 inside its request.</summary>
    public const long ImportBytes = 32 * 1024 * 1024;

    /// <summary>Largest photo, with a little room for the request around it.</summary>
    public const long PhotoBytes = Formats.Pictures.PictureFile.MostBytes + 1024;

    /// <summary>Largest job file, photos in it.</summary>
    public const long JobFileBytes = 256 * 1024 * 1024;

    /// <summary>Largest thermal grid or log.</summary>
    public const long GridBytes = 24 * 1024 * 1024;
}
