using System.ComponentModel.DataAnnotations;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using Npgsql;
using Umbracell.Formats.Words;
using Umbracell.Questions.Answers;
using Umbracell.Server.Problems;
using Umbracell.Store;
using Umbracell.Store.Model;
using Umbracell.Store.Tenancy;

namespace Umbracell.Server.Access;

/// <summary>The secret of a link. It is no part of an address, so that no log keeps it.</summary>
public sealed record LinkSecret([property: Required, MaxLength(100)] string Secret);

/// <summary>What a link is for.</summary>
/// <param name="Firm">The firm.</param>
/// <param name="SignInName">Of whose password it sets; null for one that invites somebody.</param>
/// <param name="Title">How who is invited is called.</param>
/// <param name="Role">What they may do.</param>
/// <param name="ExpiresAt">Until when it opens.</param>
public sealed record OpenedLink(string Firm, string? SignInName, string Title, FirmRole Role, DateTimeOffset ExpiresAt);

/// <summary>What who opens a link chooses.</summary>
/// <param name="Secret">Of the link.</param>
/// <param name="Password">The password they want.</param>
/// <param name="SignInName">The name they want to sign in under; of who is invited alone.</param>
/// <param name="Title">How they want to be called; of who is invited alone.</param>
public sealed record LinkUse(
    [property: Required, MaxLength(100)] string Secret,
    [property: Required, MaxLength(1000)] string Password,
    [property: MaxLength(1000)] string? SignInName = null,
    [property: MaxLength(1000)] string? Title = null
);

/// <summary>What somebody does who has been given a link and is not signed in: look at it, and use it once.</summary>
internal static class OpenedLinks
{
    public static void MapOpenedLinks(this IEndpointRouteBuilder app)
    {
        var link = app.MapGroup("/api/link").WithTags("Session").AllowAnonymous();
        link.MapPost("", LookAsync).WithSummary("What a link is for.").ProducesProblem(409);
        link.MapPut("", UseAsync)
            .WithSummary("Come into the firm, or choose a new password. Then one signs in with it.")
            .ProducesProblem(400)
            .ProducesProblem(409);
    }

    private static async Task<Ok<OpenedLink>> LookAsync(LinkSecret typed, UmbracellDb db, FirmScope scope)
    {
        var link = await OpenAsync(typed.Secret, db, scope);
        var firm = await db.Firms.Select(f => f.Name).SingleAsync();
        var name = await db.People.Where(p => p.Id == link.PersonId).Select(p => p.SignInName).SingleOrDefaultAsync();
        return TypedResults.Ok(new OpenedLink(firm, name, link.Title, link.Role, link.ExpiresAt));
    }

    private static async Task<NoContent> UseAsync(
        LinkUse typed,
        UmbracellDb db,
        FirmScope scope,
        UserManager<Person> people,
        Sessions sessions,
        SecurityBook book,
        HttpContext context
    )
    {
        var id = (await OpenAsync(typed.Secret, db, scope)).Id;
        await using var whole = await db.Database.BeginTransactionAsync();

        // Two who use it at once wait for one another: the second finds it used.
        await db.Database.ExecuteSqlAsync($"select 1 from access_links where id = {id} for update");
        var link = await db.Set<AccessLinkRow>().SingleAsync(l => l.Id == id);
        MustOpen(link);
        var person = link.PersonId is { } whose ? await db.People.SingleAsync(p => p.Id == whose) : Invited(link, typed, people);
        if (person.DeactivatedAt is not null)
        {
            throw new NotReadyException(WordCatalog.Say("problem.said.inactivePerson"));
        }

        Passwords.Check(typed.Password, person.SignInName, "password");
        (person.PasswordHash, person.PasswordIsFirst) = (people.PasswordHasher.HashPassword(person, typed.Password), false);

        // What it said of somebody is theirs from now on.
        (link.UsedAt, link.Title) = (TimeProvider.System.GetUtcNow(), "");
        if (link.PersonId is null)
        {
            db.People.Add(person);
        }

        await SaveAsync(db, person);
        await sessions.EndAllAsync(person.Id);
        await whole.CommitAsync();
        book.SignIn(context, person, link.PersonId is null ? SecurityEvent.Joined : SecurityEvent.PasswordChanged);
        return TypedResults.NoContent();
    }

    private static Person Invited(AccessLinkRow link, LinkUse typed, UserManager<Person> people)
    {
        var name = PersonNames.SignIn(typed.SignInName ?? "", "signInName");
        return new()
        {
            Id = Guid.NewGuid(),
            SignInName = name,
            NormalizedSignInName = people.NormalizeName(name)!,
            Title = PersonNames.Called(typed.Title ?? link.Title, "title"),
            Role = link.Role,
            SecurityStamp = Guid.NewGuid().ToString("N"),
        };
    }

    // Sign-in names are one set for all firms.
    private static async Task SaveAsync(UmbracellDb db, Person person)
    {
        try
        {
            await db.SaveChangesAsync();
        }
        catch (DbUpdateException e) when (e.InnerException is PostgresException { ConstraintName: "ix_people_normalized_sign_in_name" })
        {
            throw FieldFaultsException.Of("signInName", FaultCode.Taken, person.SignInName);
        }
    }

    // Enters the firm of a link that opens. One whose maker is no owner any more is as if it had been withdrawn.
    private static async Task<AccessLinkRow> OpenAsync(string secret, UmbracellDb db, FirmScope scope)
    {
        var hash = TokenHash.Of(secret.Trim());
        scope.CheckToken(hash);
        var link =
            await db.Set<AccessLinkRow>().AsNoTracking().SingleOrDefaultAsync(l => l.SecretHash == hash)
            ?? throw new NotReadyException(WordCatalog.Say("problem.said.link.unknown"));
        scope.EnterFirm(link.FirmId);
        MustOpen(link);
        return await db.People.AnyAsync(p => p.Id == link.MadeById && p.Role == FirmRole.Owner && p.DeactivatedAt == null)
            ? link
            : throw new NotReadyException(WordCatalog.Say("problem.said.link.unknown"));
    }

    private static void MustOpen(AccessLinkRow link)
    {
        if (link.UsedAt is not null)
        {
            throw new NotReadyException(WordCatalog.Say("problem.said.link.used"));
        }

        if (link.ExpiresAt <= TimeProvider.System.GetUtcNow())
        {
            throw new NotReadyException(WordCatalog.Say("problem.said.link.expired"));
        }
    }
}
