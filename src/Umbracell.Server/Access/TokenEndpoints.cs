using System.ComponentModel.DataAnnotations;
using System.Security.Cryptography;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Questions.Answers;
using Umbracell.Server.Problems;
using Umbracell.Store;
using Umbracell.Store.Model;
using Umbracell.Store.Tenancy;

namespace Umbracell.Server.Access;

/// <summary>A token with which a program asks in the firm's name.</summary>
public sealed record TokenAnswer
{
    public required Guid Id { get; init; }

    /// <summary>What it is for.</summary>
    public required string Name { get; init; }

    /// <summary>What the program may do.</summary>
    public required FirmRole Role { get; init; }

    public required DateTimeOffset ExpiresAt { get; init; }

    /// <summary>When it was last used, to the minute; null where it never was.</summary>
    public required DateTimeOffset? LastUsedAt { get; init; }

    /// <summary>Whether it still lets anybody in.</summary>
    public required bool Lasts { get; init; }
}

/// <summary>The tokens of a firm.</summary>
/// <param name="Secret">The one that was just made, in full: it is told this once and never again; null otherwise.</param>
/// <param name="Tokens">All of them.</param>
public sealed record TokensAnswer(string? Secret, IReadOnlyList<TokenAnswer> Tokens);

/// <summary>A token that is wanted.</summary>
/// <param name="Name">What it is for.</param>
/// <param name="Role">What the program may do; who is in the firm is no program's to say.</param>
/// <param name="Days">How many days it lasts.</param>
public sealed record NewToken(
    [property: Required, MaxLength(80)] string Name,
    FirmRole Role,
    [property: Range(1, NewToken.MostDays)] int Days = 90
)
{
    public const int MostDays = 365;
}

/// <summary>Programs that ask in the firm's name, for its owners: each has a name, a role and an end, and can be given a new secret.</summary>
internal static class TokenEndpoints
{
    public static void MapTokens(this IEndpointRouteBuilder app)
    {
        var tokens = app.MapGroup("/api/tokens").WithTags("People").Requires(Right.Manage);
        tokens.MapGet("", async (UmbracellDb db) => TypedResults.Ok(await AllAsync(db))).WithSummary("Tokens of the firm.");
        tokens.MapPost("", MakeAsync).WithSummary("A new token; its secret is told in this answer alone.").Notes(SecurityEvent.TokenMade);
        tokens
            .MapPost("/{id:guid}/renew", RenewOneAsync)
            .WithSummary("Another secret and another ninety days for a token; the old secret is over at once.")
            .Notes(SecurityEvent.TokenRenewed)
            .ProducesProblem(404);
        tokens.MapDelete("/{id:guid}", RemoveAsync).WithSummary("Take a token away; it is over at once.").ProducesProblem(404);
    }

    private static async Task<Ok<TokensAnswer>> MakeAsync(NewToken wanted, UmbracellDb db, Guid? command = null)
    {
        if (wanted.Name.Trim().Length == 0)
        {
            throw FieldFaultsException.Of("name", FaultCode.Empty);
        }

        if (wanted.Role == FirmRole.Owner)
        {
            throw FieldFaultsException.Of("role", FaultCode.Unknown, "owner");
        }

        // Secrets are kept as hashes: one whose answer was lost on the way is told by nobody, and the same token gets another.
        if (command is { } id && await db.ApiTokens.AnyAsync(t => t.Id == id))
        {
            return await RenewAsync(id, db, wanted.Days);
        }

        var (secret, now) = (NewSecret(), TimeProvider.System.GetUtcNow());
        db.ApiTokens.Add(
            new()
            {
                Id = command ?? Guid.NewGuid(),
                Name = wanted.Name.Trim(),
                Role = wanted.Role,
                Hash = TokenHash.Of(secret),
                ExpiresAt = now.AddDays(wanted.Days),
            }
        );
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AllAsync(db, secret));
    }

    private static Task<Ok<TokensAnswer>> RenewOneAsync(Guid id, UmbracellDb db) => RenewAsync(id, db, days: 90);

    private static async Task<Ok<TokensAnswer>> RenewAsync(Guid id, UmbracellDb db, int days)
    {
        var (token, secret) = (await FindAsync(id, db), NewSecret());
        (token.Hash, token.ExpiresAt) = (TokenHash.Of(secret), TimeProvider.System.GetUtcNow().AddDays(days));
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AllAsync(db, secret));
    }

    private static async Task<Ok<TokensAnswer>> RemoveAsync(Guid id, UmbracellDb db)
    {
        db.ApiTokens.Remove(await FindAsync(id, db));
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AllAsync(db));
    }

    private static async Task<ApiToken> FindAsync(Guid id, UmbracellDb db) =>
        await db.ApiTokens.SingleOrDefaultAsync(t => t.Id == id) ?? throw new NotFoundException("token");

    private static async Task<TokensAnswer> AllAsync(UmbracellDb db, string? secret = null)
    {
        var now = TimeProvider.System.GetUtcNow();
        var tokens = await db.ApiTokens.AsNoTracking().OrderBy(t => t.Name).ThenBy(t => t.ExpiresAt).ToListAsync();
        return new(
            secret,
            [
                .. tokens.Select(t => new TokenAnswer
                {
                    Id = t.Id,
                    Name = t.Name,
                    Role = t.Role,
                    ExpiresAt = t.ExpiresAt,
                    LastUsedAt = t.LastUsedAt,
                    Lasts = t.ExpiresAt > now,
                }),
            ]
        );
    }

    // 256 random bits, in letters and digits that a shell leaves alone.
    private static string NewSecret() => Convert.ToHexStringLower(RandomNumberGenerator.GetBytes(32));
}
