namespace Umbracell.Server.Requests;

/// <summary>Reads a file sent as the body of a request. The endpoint's own limit bounds it.</summary>
internal static class Uploads
{
    public static async Task<byte[]> ReadAsync(HttpRequest request)
    {
        using var bytes = new MemoryStream();
        await request.Body.CopyToAsync(bytes, request.HttpContext.RequestAborted);
        return bytes.ToArray();
    }
}
