using Umbracell.Formats.Tables;

namespace Umbracell.Server.Requests;

/// <summary>Reads a file that was sent. The endpoint's own limit bounds it.</summary>
internal static class Uploads
{
    /// <summary>A file within JSON. Its endpoint goes without the framework's validation, which looks at every byte as a value of its
    /// own.</summary>
    public static byte[] Within(byte[]? content) =>
        content is { Length: > 0 } ? content : throw new UnreadableFileException(FileFault.Empty);

    /// <summary>A file that is the body of a request.</summary>
    public static async Task<byte[]> ReadAsync(HttpRequest request)
    {
        using var bytes = new MemoryStream();
        await request.Body.CopyToAsync(bytes, request.HttpContext.RequestAborted);
        return bytes.ToArray();
    }
}
