using System.Text;
using Microsoft.Net.Http.Headers;
using Umbracell.Formats.Words;

namespace Umbracell.Server.Requests;

/// <summary>What the API speaks: JSON in UTF-8, both ways (RFC 8259).</summary>
internal static class SpokenJson
{
    /// <summary>Whatever a program says it accepts, it is told in JSON what is wrong; a body in another encoding is refused before
    /// anybody reads it.</summary>
    /// <remarks>The framework words a refusal only for who accepts JSON: a browser that opens an address of the API asks for HTML and
    /// would be shown nothing.</remarks>
    public static Task Agree(HttpContext context, RequestDelegate next)
    {
        if (!context.Request.Path.StartsWithSegments("/api"))
        {
            return next(context);
        }

        context.Request.Headers.Remove(HeaderNames.Accept);
        return IsRead(context.Request)
            ? next(context)
            : TypedResults
                .Problem(
                    WordCatalog.Say("problem.said.encoding"),
                    statusCode: StatusCodes.Status415UnsupportedMediaType,
                    title: WordCatalog.Say("problem.title.request")
                )
                .ExecuteAsync(context);
    }

    private static bool IsRead(HttpRequest request)
    {
        if (!MediaTypeHeaderValue.TryParse(request.ContentType, out var type) || !type.Charset.HasValue)
        {
            return true;
        }

        // Between quotation marks it is as good, and the framework does not know it.
        var isUtf8 = HeaderUtilities.RemoveQuotes(type.Charset).Equals(Encoding.UTF8.WebName, StringComparison.OrdinalIgnoreCase);
        type.Charset = Encoding.UTF8.WebName;
        request.ContentType = type.ToString();
        return isUtf8;
    }
}
