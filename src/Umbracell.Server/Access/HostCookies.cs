using Microsoft.AspNetCore.Authentication.Cookies;

namespace Umbracell.Server.Access;

/// <summary>Over https cookies are named <c>__Host-</c>: a browser then takes them from this very host alone, for all its paths, and sends
/// them only over https. Over plain http, on the machine itself, a browser would refuse that name.</summary>
internal sealed class HostCookies : ICookieManager
{
    /// <summary>Name of the cookie that says which session.</summary>
    public const string Session = "umbracell";

    private readonly ChunkingCookieManager _cookies = new();

    /// <summary>Whether a request carries a session, be it good or not.</summary>
    public static bool HasSession(HttpContext context) => context.Request.Cookies.ContainsKey(Named(context, Session));

    public string? GetRequestCookie(HttpContext context, string key) => _cookies.GetRequestCookie(context, Named(context, key));

    public void AppendResponseCookie(HttpContext context, string key, string? value, CookieOptions options) =>
        _cookies.AppendResponseCookie(context, Named(context, key), value, options);

    public void DeleteCookie(HttpContext context, string key, CookieOptions options) =>
        _cookies.DeleteCookie(context, Named(context, key), options);

    private static string Named(HttpContext context, string key) => context.Request.IsHttps ? "__Host-" + key : key;
}
