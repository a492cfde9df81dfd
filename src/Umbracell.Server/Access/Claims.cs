using System.Security.Claims;
using Umbracell.Store.Model;

namespace Umbracell.Server.Access;

/// <summary>Names of claims, and who is asking.</summary>
internal static class Claims
{
    public const string Firm = "firm";

    public const string Title = "title";

    /// <summary>What has to be done before anything else; none where nothing has.</summary>
    private const string Task = "task";

    /// <summary>What the cookie holds of a session; only its hash is kept.</summary>
    public const string Secret = "secret";

    /// <summary>A person as they are now; the role is read anew for every request.</summary>
    public static ClaimsPrincipal Of(Person person, string secret, string scheme, SignInTask? task = null) =>
        new(
            new ClaimsIdentity(
                [
                    new(ClaimTypes.NameIdentifier, person.Id.ToString()),
                    new(ClaimTypes.Role, person.Role.ToString()),
                    new(Firm, person.FirmId.ToString()),
                    new(Title, PersonNames.WithRole(person)),
                    new(Secret, secret),
                    .. task is { } first ? [new(Task, first.ToString())] : Array.Empty<Claim>(),
                ],
                scheme
            )
        );

    public static Guid? FirmOf(ClaimsPrincipal principal) => Guid.TryParse(principal.FindFirstValue(Firm), out var firm) ? firm : null;

    /// <summary>Who asks; null where a program asks by a token.</summary>
    public static Guid? PersonOf(ClaimsPrincipal principal) =>
        Guid.TryParse(principal.FindFirstValue(ClaimTypes.NameIdentifier), out var person) ? person : null;

    public static SignInTask? TaskOf(ClaimsPrincipal principal) =>
        Enum.TryParse<SignInTask>(principal.FindFirstValue(Task), out var task) ? task : null;

    public static string TitleOf(ClaimsPrincipal principal) => principal.FindFirstValue(Title) ?? "someone";
}
