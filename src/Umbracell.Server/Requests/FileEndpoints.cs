using Microsoft.AspNetCore.Mvc;

namespace Umbracell.Server.Requests;

/// <summary>Endpoints that read a file.</summary>
internal static class FileEndpoints
{
    /// <summary>Lets an endpoint take a file, in its turn among those of the firm.</summary>
    /// <param name="endpoint">The endpoint, or a group of them.</param>
    /// <param name="mostBytes">Largest request; one of <see cref="Limits"/>.</param>
    public static T TakesFile<T>(this T endpoint, long mostBytes)
        where T : IEndpointConventionBuilder =>
        endpoint
            .WithMetadata(new RequestSizeLimitAttribute(mostBytes), new ProducesResponseTypeMetadata(429, typeof(ProblemDetails)))
            .AddEndpointFilter<T, HeavyWork.Turn>();
}
