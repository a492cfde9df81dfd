using System.Security.Cryptography;
using Microsoft.AspNetCore.DataProtection;

namespace Umbracell.Server.Access;

/// <summary>A cookie that says which names have been signed in on this device. It lets nobody in; it only keeps the tries of this device
/// apart from those of strangers.</summary>
internal sealed class KnownDevice(IDataProtectionProvider protection)
{
    private const string Cookie = "umbracell-device";

    // A tablet that a whole crew signs in on.
    private const int MostNames = 20;

    private readonly IDataProtector _protector = protection.CreateProtector("known device");

    /// <summary>The id of this device, where the name has been signed in on it; null elsewhere.</summary>
    public string? Of(HttpContext context, string name) => Read(context) is { } known && known.Names.Contains(name) ? known.Id : null;

    /// <summary>Notes that a name has been signed in on this device.</summary>
    public void Note(HttpContext context, string name)
    {
        var known = Read(context) ?? (Id: Convert.ToHexString(RandomNumberGenerator.GetBytes(16)), Names: []);
        var names = known.Names.Where(one => one != name).Prepend(name).Take(MostNames);
        context.Response.Cookies.Append(
            Cookie,
            _protector.Protect(string.Join('\n', names.Prepend(known.Id))),
            new()
            {
                HttpOnly = true,
                SameSite = SameSiteMode.Strict,
                Secure = context.Request.IsHttps,
                MaxAge = TimeSpan.FromDays(365),
                Path = "/api/session",
            }
        );
    }

    private (string Id, string[] Names)? Read(HttpContext context)
    {
        try
        {
            return context.Request.Cookies[Cookie] is { } kept && _protector.Unprotect(kept).Split('\n') is [var id, .. var names]
                ? (id, names)
                : null;
        }
        catch (CryptographicException)
        {
            return null;
        }
    }
}
