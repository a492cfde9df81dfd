using Microsoft.AspNetCore.Routing;
using Microsoft.AspNetCore.Routing.Patterns;
using Microsoft.Extensions.DependencyInjection;

namespace Umbracell.Server.Tests;

/// <summary>What the server answers to, taken from itself, so that an endpoint that is added is tried too.</summary>
internal static class Endpoints
{
    public static IEnumerable<RouteEndpoint> Of(Product product) =>
        product.Services.GetRequiredService<EndpointDataSource>().Endpoints.OfType<RouteEndpoint>();

    public static string NameOf(RouteEndpoint endpoint) => $"{MethodOf(endpoint)} {endpoint.RoutePattern.RawText!.TrimEnd('/')}";

    /// <summary>A request for something that is not there.</summary>
    public static HttpRequestMessage RequestTo(RouteEndpoint endpoint) =>
        new(
            new HttpMethod(MethodOf(endpoint)),
            "/" + string.Join('/', endpoint.RoutePattern.PathSegments.Select(segment => string.Concat(segment.Parts.Select(PartOf))))
        );

    private static string MethodOf(RouteEndpoint endpoint) => endpoint.Metadata.GetMetadata<HttpMethodMetadata>()!.HttpMethods[0];

    private static string PartOf(RoutePatternPart part) =>
        part switch
        {
            RoutePatternLiteralPart literal => literal.Content,
            RoutePatternSeparatorPart separator => separator.Content,
            RoutePatternParameterPart { ParameterPolicies.Count: > 0 } => Guid.Empty.ToString(),
            _ => "none",
        };
}
