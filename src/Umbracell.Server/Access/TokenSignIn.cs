using System.Security.Claims;
using System.Text.Encodings.Web;
using Microsoft.AspNetCore.Authentication;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Options;
using Umbracell.Store;
using Umbracell.Store.Tenancy;

namespace Umbracell.Server.Access;

/// <summary>Lets a spreadsheet or another program ask with <c>Authorization: Bearer</c> and a firm's token.</summary>
internal sealed class TokenSignIn(
    IOptionsMonitor<AuthenticationSchemeOptions> options,
    ILoggerFactory logger,
    UrlEncoder encoder,
    UmbracellDb db,
    FirmScope scope
) : AuthenticationHandler<AuthenticationSchemeOptions>(options, logger, encoder)
{
    public const string SchemeName = "Bearer";

    private const string Prefix = "Bearer ";

    // How often it is noted that a token is in use.
    private static readonly TimeSpan UsedEvery = TimeSpan.FromMinutes(1);

    protected override async Task<AuthenticateResult> HandleAuthenticateAsync()
    {
        var header = Request.Headers.Authorization.ToString();
        if (!header.StartsWith(Prefix, StringComparison.OrdinalIgnoreCase))
        {
            return AuthenticateResult.NoResult();
        }

        var hash = TokenHash.Of(header[Prefix.Length..].Trim());
        scope.CheckToken(hash);
        var now = System.TimeProvider.System.GetUtcNow();
        if (await db.ApiTokens.AsNoTracking().SingleOrDefaultAsync(t => t.Hash == hash && t.ExpiresAt > now) is not { } token)
        {
            return AuthenticateResult.Fail("This token is not known, or has run out.");
        }

        if (token.LastUsedAt is not { } last || now - last >= UsedEvery)
        {
            scope.EnterFirm(token.FirmId);
            await db.Database.ExecuteSqlAsync($"update api_tokens set last_used_at = {now} where id = {token.Id}");
        }

        var identity = new ClaimsIdentity(
            [
                new(ClaimTypes.Role, token.Role.ToString()),
                new(Claims.Firm, token.FirmId.ToString()),
                new(Claims.Title, $"API token {token.Name}"),
            ],
            Scheme.Name
        );
        return AuthenticateResult.Success(new(new ClaimsPrincipal(identity), Scheme.Name));
    }
}
