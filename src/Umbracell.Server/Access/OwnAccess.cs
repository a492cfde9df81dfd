using System.ComponentModel.DataAnnotations;
using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using Umbracell.Questions.Answers;
using Umbracell.Server.Problems;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Access;

/// <summary>A device a person is signed in on.</summary>
/// <param name="Id">The session.</param>
/// <param name="Device">What the browser says it runs on; empty where it says nothing that is known.</param>
/// <param name="StartedAt">When they signed in.</param>
/// <param name="SeenAt">When it was last used.</param>
/// <param name="IsThis">Whether it is the one that asks.</param>
public sealed record DeviceAnswer(Guid Id, string Device, DateTimeOffset StartedAt, DateTimeOffset SeenAt, bool IsThis);

/// <summary>A password and the one to come.</summary>
public sealed record PasswordChange([property: Required, MaxLength(200)] string Current, [property: Required, MaxLength(1000)] string Next);

/// <summary>How somebody is called.</summary>
public sealed record OwnName([property: Required, MaxLength(1000)] string Title);

/// <summary>What a person does about their own sign-in: the password, and the devices they are signed in on.</summary>
internal static class OwnAccess
{
    public static void MapOwnAccess(this IEndpointRouteBuilder app)
    {
        var own = app.MapGroup("/api/session").WithTags("Session").Requires(Right.Look);
        own.MapGet("/devices", DevicesAsync).WithSummary("The devices one is signed in on.");
        own.MapDelete("/devices", EndOthersAsync).WithSummary("Sign out everywhere but here.").Notes(SecurityEvent.SignedOutElsewhere);
        own.MapPut("/password", ChangePasswordAsync)
            .WithSummary("Another password; one is signed out everywhere but here.")
            .Notes(SecurityEvent.PasswordChanged)
            .ProducesProblem(400);
        own.MapPut("/name", SetNameAsync).WithSummary("How one is called in what one enters and on papers.").ProducesProblem(400);
        own.MapDelete("/devices/{id:guid}", EndOneAsync)
            .WithSummary("Sign out on one device.")
            .Notes(SecurityEvent.SignedOutElsewhere)
            .ProducesProblem(404);
    }

    private static async Task<Results<NoContent, UnauthorizedHttpResult>> SetNameAsync(OwnName name, UmbracellDb db, ClaimsPrincipal user)
    {
        if (Claims.PersonOf(user) is not { } id || await db.People.SingleOrDefaultAsync(p => p.Id == id) is not { } person)
        {
            return TypedResults.Unauthorized();
        }

        person.Title = PersonNames.Called(name.Title, "title");
        await db.SaveChangesAsync();
        return TypedResults.NoContent();
    }

    private static async Task<Ok<IReadOnlyList<DeviceAnswer>>> EndOneAsync(Guid id, Sessions sessions, ClaimsPrincipal user)
    {
        if (Claims.PersonOf(user) is not { } person || !await sessions.EndOneAsync(person, id))
        {
            throw new NotFoundException("device");
        }

        return TypedResults.Ok(await AllAsync(sessions, user));
    }

    private static async Task<Ok<IReadOnlyList<DeviceAnswer>>> DevicesAsync(Sessions sessions, ClaimsPrincipal user) =>
        TypedResults.Ok(await AllAsync(sessions, user));

    private static async Task<Ok<IReadOnlyList<DeviceAnswer>>> EndOthersAsync(Sessions sessions, ClaimsPrincipal user)
    {
        if (Claims.PersonOf(user) is { } person)
        {
            await sessions.EndAllAsync(person, but: user);
        }

        return TypedResults.Ok(await AllAsync(sessions, user));
    }

    private static async Task<Results<NoContent, UnauthorizedHttpResult>> ChangePasswordAsync(
        PasswordChange change,
        UserManager<Person> people,
        OwnProof proof,
        Sessions sessions,
        UmbracellDb db,
        HttpContext context
    )
    {
        if (Claims.PersonOf(context.User) is not { } id || await db.People.SingleOrDefaultAsync(p => p.Id == id) is not { } person)
        {
            return TypedResults.Unauthorized();
        }

        await proof.ProveAsync(person, change.Current, "current", context);
        Passwords.Check(change.Next, person.SignInName, "next");
        if (change.Next == change.Current)
        {
            throw FieldFaultsException.Of("next", FaultCode.SamePassword);
        }

        person.PasswordIsFirst = false;
        person.PasswordHash = people.PasswordHasher.HashPassword(person, change.Next);
        await db.SaveChangesAsync();
        await sessions.EndAllAsync(person.Id, but: context.User);
        return TypedResults.NoContent();
    }

    private static async Task<IReadOnlyList<DeviceAnswer>> AllAsync(Sessions sessions, ClaimsPrincipal user) =>
        Claims.PersonOf(user) is { } person
            ?
            [
                .. (await sessions.OfAsync(person)).Select(s => new DeviceAnswer(
                    s.Id,
                    s.Device,
                    s.StartedAt,
                    s.SeenAt,
                    Sessions.IsOwn(s, user)
                )),
            ]
            : [];
}
