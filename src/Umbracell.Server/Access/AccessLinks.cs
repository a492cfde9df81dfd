using System.ComponentModel.DataAnnotations;
using System.Security.Claims;
using System.Security.Cryptography;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Formats.Words;
using Umbracell.Server.Problems;
using Umbracell.Store;
using Umbracell.Store.Model;
using Umbracell.Store.Tenancy;

namespace Umbracell.Server.Access;

/// <summary>A link that waits to be used.</summary>
public sealed record LinkAnswer
{
    public required Guid Id { get; init; }

    /// <summary>Whose password it sets; null for one that invites somebody.</summary>
    public required Guid? PersonId { get; init; }

    /// <summary>How who is invited is called, or the sign-in name of whose password it sets.</summary>
    public required string Name { get; init; }

    public required FirmRole Role { get; init; }

    public required string MadeBy { get; init; }

    public required DateTimeOffset ExpiresAt { get; init; }

    /// <summary>Whether it still opens.</summary>
    public required bool Lasts { get; init; }
}

/// <summary>The links of a firm that have not been used.</summary>
/// <param name="Secret">Of the one that was just made: it is told this once and never again; null otherwise.</param>
/// <param name="Links">All of them, the latest first.</param>
public sealed record LinksAnswer(string? Secret, IReadOnlyList<LinkAnswer> Links);

/// <summary>Whom a firm invites.</summary>
/// <param name="Title">How they are called; they can change it.</param>
/// <param name="Role">What they may do.</param>
public sealed record Invitation([property: Required, MaxLength(1000)] string Title, FirmRole Role);

/// <summary>Links with which somebody is invited or chooses a new password, for the owners of a firm.</summary>
internal static class AccessLinks
{
    private static readonly TimeSpan InvitationLasts = TimeSpan.FromDays(7),
        PasswordLinkLasts = TimeSpan.FromDays(1);

    public static void MapAccessLinks(this IEndpointRouteBuilder app)
    {
        var links = app.MapGroup("/api/people").WithTags("People").Requires(Right.Manage);
        links.MapGet("/links", async (UmbracellDb db) => TypedResults.Ok(await AllAsync(db))).WithSummary("Links that have not been used.");
        links
            .MapPost("/links", InviteAsync)
            .WithSummary("A link that lets somebody into the firm, once, within seven days; its secret is told in this answer alone.")
            .Notes(SecurityEvent.Invited)
            .ProducesProblem(400);
        links
            .MapPost("/{id:guid}/links", ForPasswordAsync)
            .WithSummary("A link with which somebody of the firm chooses a new password, once, within a day.")
            .Notes(SecurityEvent.PasswordLinkMade)
            .ProducesProblem(404)
            .ProducesProblem(409);
        links.MapDelete("/links/{id:guid}", WithdrawAsync).WithSummary("Withdraw a link; it opens no more.").ProducesProblem(404);
    }

    private static Task<Ok<LinksAnswer>> InviteAsync(Invitation wanted, UmbracellDb db, HttpContext context, Guid? command = null)
    {
        var title = PersonNames.Called(wanted.Title, "title");
        SecurityBook.About(
            context,
            WordCatalog.Say("book.about.invited", ("name", title), ("role", PeopleEndpoints.RoleWord(wanted.Role)))
        );
        return MakeAsync(db, command, context.User, InvitationLasts, link => (link.Title, link.Role) = (title, wanted.Role));
    }

    private static async Task<Ok<LinksAnswer>> ForPasswordAsync(Guid id, UmbracellDb db, HttpContext context, Guid? command = null)
    {
        var person = await db.People.SingleOrDefaultAsync(p => p.Id == id) ?? throw new NotFoundException("person");
        if (person.DeactivatedAt is not null)
        {
            throw new NotReadyException(WordCatalog.Say("problem.said.inactivePerson"));
        }

        SecurityBook.About(context, person.SignInName);
        return await MakeAsync(db, command, context.User, PasswordLinkLasts, link => (link.PersonId, link.Role) = (id, person.Role));
    }

    // A link whose answer was lost on the way is told by nobody: sent again, the same one gets another secret.
    private static async Task<Ok<LinksAnswer>> MakeAsync(
        UmbracellDb db,
        Guid? command,
        ClaimsPrincipal by,
        TimeSpan lasts,
        Action<AccessLinkRow> say
    )
    {
        var (secret, now) = (Convert.ToHexStringLower(RandomNumberGenerator.GetBytes(32)), TimeProvider.System.GetUtcNow());
        var link = await db.Set<AccessLinkRow>().SingleOrDefaultAsync(l => l.Id == command && l.UsedAt == null);
        if (link is null)
        {
            link = new() { Id = command ?? Guid.NewGuid(), SecretHash = "" };
            db.Add(link);
        }

        say(link);
        link.MadeById = Claims.PersonOf(by)!.Value;
        (link.SecretHash, link.MadeBy, link.MadeAt, link.ExpiresAt) = (TokenHash.Of(secret), Claims.TitleOf(by), now, now + lasts);
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AllAsync(db, secret));
    }

    private static async Task<Ok<LinksAnswer>> WithdrawAsync(Guid id, UmbracellDb db)
    {
        db.Remove(await db.Set<AccessLinkRow>().SingleOrDefaultAsync(l => l.Id == id) ?? throw new NotFoundException("link"));
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AllAsync(db));
    }

    private static async Task<LinksAnswer> AllAsync(UmbracellDb db, string? secret = null)
    {
        var now = TimeProvider.System.GetUtcNow();
        var names = await db.People.ToDictionaryAsync(p => p.Id, p => p.SignInName);
        var links = await db.Set<AccessLinkRow>()
            .AsNoTracking()
            .Where(l => l.UsedAt == null)
            .OrderByDescending(l => l.MadeAt)
            .ToListAsync();
        return new(
            secret,
            [
                .. links.Select(l => new LinkAnswer
                {
                    Id = l.Id,
                    PersonId = l.PersonId,
                    Name = l.PersonId is { } person ? names.GetValueOrDefault(person, "") : l.Title,
                    Role = l.Role,
                    MadeBy = l.MadeBy,
                    ExpiresAt = l.ExpiresAt,
                    Lasts = l.ExpiresAt > now,
                }),
            ]
        );
    }
}
