using System.Security.Claims;
using Umbracell.Store.Model;

namespace Umbracell.Server.Access;

/// <summary>Names of claims, schemes and policies, and who is asking.</summary>
internal static class Claims
{
    public const string Firm = "firm";

    public const string Title = "title";

    public const string Stamp = "stamp";

    public const string MayEdit = "may-edit";

    /// <summary>Who may see and change what the firm pays and earns: rates, overhead, profit and the bids made with them.</summary>
    public const string MayPrice = "may-price";

    /// <summary>Whether a person may see and change what the firm pays and earns.</summary>
    public static bool Prices(ClaimsPrincipal person) => Pricing.Any(role => person.IsInRole(role));

    /// <summary>Whether a person may set a rule of practice aside, with a written reason.</summary>
    public static bool Overrides(ClaimsPrincipal person) => Pricing.Any(role => person.IsInRole(role));

    public static string[] Pricing { get; } = [nameof(FirmRole.Owner), nameof(FirmRole.Estimator)];

    public static ClaimsPrincipal Of(Person person, string scheme) =>
        new(
            new ClaimsIdentity(
                [
                    new(ClaimTypes.NameIdentifier, person.Id.ToString()),
                    new(ClaimTypes.Role, person.Role.ToString()),
                    new(Firm, person.FirmId.ToString()),
                    new(Title, person.Title),
                    new(Stamp, person.SecurityStamp),
                ],
                scheme
            )
        );

    public static Guid? FirmOf(ClaimsPrincipal principal) => Guid.TryParse(principal.FindFirstValue(Firm), out var firm) ? firm : null;

    /// <summary>Who asks; null where a program asks by a token.</summary>
    public static Guid? PersonOf(ClaimsPrincipal principal) =>
        Guid.TryParse(principal.FindFirstValue(ClaimTypes.NameIdentifier), out var person) ? person : null;

    public static string TitleOf(ClaimsPrincipal principal) => principal.FindFirstValue(Title) ?? "someone";
}
