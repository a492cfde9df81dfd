using System.Net;
using Microsoft.AspNetCore.HttpOverrides;
using Microsoft.Extensions.Primitives;
using Umbracell.Formats.Words;
using IPNetwork = System.Net.IPNetwork;

namespace Umbracell.Server.Setup;

/// <summary>What keeps a browser from being used against the person before it: headers on every answer, errors too, and a look at where
/// each write comes from.</summary>
internal static class HttpSafety
{
    /// <summary>Settings of https: the proxies that may speak for others, and how long browsers are to insist on https.</summary>
    public static void AddHttpSafety(this IServiceCollection services, IConfiguration settings)
    {
        services.AddHsts(hsts =>
        {
            hsts.MaxAge = TimeSpan.FromDays(settings.GetValue("Https:HstsDays", 0));
            hsts.ExcludedHosts.Clear();
        });
        services.Configure<ForwardedHeadersOptions>(forwarded =>
        {
            // Only what a named proxy says of address and https is believed; of anyone else it is a claim like any other.
            forwarded.ForwardedHeaders = ForwardedHeaders.XForwardedFor | ForwardedHeaders.XForwardedProto;
            forwarded.KnownProxies.Clear();
            forwarded.KnownIPNetworks.Clear();
            foreach (var proxy in ProxiesOf(settings))
            {
                forwarded.KnownIPNetworks.Add(proxy);
            }
        });
    }

    /// <summary>Before everything else: whoever asks is known by the address a named proxy gives.</summary>
    public static void UseHttpSafety(this WebApplication app)
    {
        if (ProxiesOf(app.Configuration).Count > 0)
        {
            app.UseForwardedHeaders();
        }

        if (app.Configuration.GetValue("Https:HstsDays", 0) > 0)
        {
            app.UseHsts();
        }

        app.Use(SafeHeaders);
    }

    /// <summary>After it is known who asks, before anything is written: a browser that carries a session writes only from our own pages.</summary>
    /// <remarks>Programs send no cookie but a token, which no other site can make a browser send.</remarks>
    public static Task SameSiteWrites(HttpContext context, RequestDelegate next)
    {
        var request = context.Request;
        if (HttpMethods.IsGet(request.Method) || HttpMethods.IsHead(request.Method) || HttpMethods.IsOptions(request.Method))
        {
            return next(context);
        }

        return request.Headers.Authorization.Count > 0 || IsFromOurPages(request)
            ? next(context)
            : TypedResults
                .Problem(
                    WordCatalog.Say("problem.said.otherSite"),
                    statusCode: StatusCodes.Status403Forbidden,
                    title: WordCatalog.Say("problem.title.otherSite")
                )
                .ExecuteAsync(context);
    }

    // Browsers of today say where a request comes from, older ones at least the origin; what is no browser says neither.
    private static bool IsFromOurPages(HttpRequest request)
    {
        var site = request.Headers["Sec-Fetch-Site"];
        if (!StringValues.IsNullOrEmpty(site))
        {
            return site == "same-origin";
        }

        var origin = request.Headers.Origin;
        return StringValues.IsNullOrEmpty(origin) || origin == $"{request.Scheme}://{request.Host}";
    }

    private static Task SafeHeaders(HttpContext context, RequestDelegate next)
    {
        // Set as the answer starts: whoever answers an error clears the headers before.
        context.Response.OnStarting(() =>
        {
            Write(context);
            return Task.CompletedTask;
        });
        return next(context);
    }

    private static void Write(HttpContext context)
    {
        var (headers, path) = (context.Response.Headers, context.Request.Path);
        headers.XContentTypeOptions = "nosniff";
        headers.XFrameOptions = "DENY";
        headers["Referrer-Policy"] = "same-origin";

        // What a firm entered stays in nobody's cache; pictures say for themselves how long they may be kept.
        if (path.StartsWithSegments("/api") && StringValues.IsNullOrEmpty(headers.CacheControl))
        {
            headers.CacheControl = "no-store";
        }

        // The API reference brings a script and styles of its own into its page; every other page runs only our files, the core as
        // WebAssembly among them.
        var script = path == "/api" || path.StartsWithSegments("/api/scalar") ? "'self' 'unsafe-inline'" : "'self' 'wasm-unsafe-eval'";
        headers.ContentSecurityPolicy =
            $"default-src 'self'; script-src {script}; style-src 'self' 'unsafe-inline'; img-src 'self' data:; font-src 'self' data:; "
            + "object-src 'none'; base-uri 'self'; form-action 'self'; frame-ancestors 'none'";
    }

    // Addresses or networks, parted by commas, such as 10.0.0.5 or 10.0.0.0/24.
    private static List<IPNetwork> ProxiesOf(IConfiguration settings) =>
        [
            .. (settings["Https:Proxies"] ?? "")
                .Split(',', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries)
                .Select(one =>
                    IPNetwork.TryParse(one, out var network) ? network
                    : IPAddress.TryParse(one, out var address) ? new IPNetwork(address, address.GetAddressBytes().Length * 8)
                    : throw new InvalidOperationException($"Https:Proxies names '{one}', which is neither an address nor a network.")
                ),
        ];
}
