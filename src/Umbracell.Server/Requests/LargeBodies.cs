using Microsoft.AspNetCore.Http.Features;
using Microsoft.AspNetCore.Http.Metadata;

namespace Umbracell.Server.Requests;

/// <summary>
/// Bodies over the limit are read to their end and thrown away before the refusal is sent.
/// An answer sent while the other side still writes is lost with the connection: the user would read
/// "the server does not answer" instead of what is wrong.
/// </summary>
internal static class LargeBodies
{
    // Past this the courtesy costs more than the sentence is worth; the server answers at once and hangs up.
    private const long MostReadAndThrownAway = 64 * 1024 * 1024;

    /// <summary>Largest body the endpoint of this request takes, in bytes.</summary>
    public static long MostOf(HttpContext context) =>
        context.GetEndpoint()?.Metadata.GetMetadata<IRequestSizeLimitMetadata>()?.MaxRequestBodySize ?? Limits.RequestBytes;

    public static async Task Refuse(HttpContext context, RequestDelegate next)
    {
        if (context.Request.ContentLength is not { } length || length <= MostOf(context))
        {
            await next(context);
            return;
        }

        if (length <= MostReadAndThrownAway)
        {
            await ReadAndThrowAwayAsync(context);
        }

        // The page of status codes words it.
        context.Response.StatusCode = StatusCodes.Status413PayloadTooLarge;
    }

    private static async Task ReadAndThrowAwayAsync(HttpContext context)
    {
        if (context.Features.Get<IHttpMaxRequestBodySizeFeature>() is { IsReadOnly: false } limit)
        {
            limit.MaxRequestBodySize = MostReadAndThrownAway;
        }

        await context.Request.Body.CopyToAsync(Stream.Null, context.RequestAborted);
    }
}
