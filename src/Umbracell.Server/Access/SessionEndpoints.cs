using System.ComponentModel.DataAnnotations;
using System.Security.Claims;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Authentication.Cookies;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Quantities;
using Umbracell.Formats.Words;
using Umbracell.Server.Requests;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Access;

/// <summary>What a person types to sign in.</summary>
public sealed record SignIn([property: Required, MaxLength(200)] string SignInName, [property: Required, MaxLength(200)] string Password);

/// <summary>Who is signed in.</summary>
public sealed record SessionAnswer
{
    public required Guid Id { get; init; }

    public required string SignInName { get; init; }

    public required string Title { get; init; }

    public required FirmRole Role { get; init; }

    public required string Firm { get; init; }

    public required string Currency { get; init; }

    public required UnitSystem Units { get; init; }

    public required bool MayEdit { get; init; }

    public required bool MayPrice { get; init; }

    public required ClockAnswer Clock { get; init; }
}

/// <summary>The time the product goes by.</summary>
/// <param name="Now">Now.</param>
/// <param name="Rate">How many times as fast as the machine's it goes.</param>
/// <param name="Demo">Whether it is the clock of a demo, which shows another time than the machine's.</param>
public sealed record ClockAnswer(DateTimeOffset Now, double Rate, bool Demo);

/// <summary>The units a person reads in.</summary>
public sealed record UnitsChoice(UnitSystem Units);

internal static class SessionEndpoints
{
    public static void MapSession(this IEndpointRouteBuilder app)
    {
        var session = app.MapGroup("/api/session").WithTags("Session");
        session.MapPost("", SignInAsync).WithSummary("Sign in with a cookie.").AllowAnonymous();
        session.MapGet("", WhoAsync).WithSummary("Who is signed in.").RequireAuthorization();
        session.MapDelete("", (Delegate)SignOutAsync).WithSummary("Sign out.").AllowAnonymous();
        session.MapPut("/units", SetUnitsAsync).WithSummary("Choose the units to read in.").RequireAuthorization();
    }

    private static async Task<Results<Ok<SessionAnswer>, ProblemHttpResult>> SignInAsync(
        SignIn typed,
        UserManager<Person> people,
        UmbracellDb db,
        ProductClock clock,
        HttpContext context
    )
    {
        var person = await people.FindByNameAsync(typed.SignInName.Trim());
        if (person is not null && await people.IsLockedOutAsync(person))
        {
            return TypedResults.Problem(
                WordCatalog.Say("problem.said.locked"),
                statusCode: 429,
                title: WordCatalog.Say("problem.title.locked")
            );
        }

        if (person is null || !await people.CheckPasswordAsync(person, typed.Password))
        {
            if (person is not null)
            {
                await people.AccessFailedAsync(person);
            }

            return TypedResults.Problem(
                WordCatalog.Say("problem.said.notSignedIn"),
                statusCode: 401,
                title: WordCatalog.Say("problem.title.notSignedIn")
            );
        }

        await people.ResetAccessFailedCountAsync(person);
        await context.SignInAsync(
            CookieAuthenticationDefaults.AuthenticationScheme,
            Claims.Of(person, CookieAuthenticationDefaults.AuthenticationScheme),
            new AuthenticationProperties { IsPersistent = true }
        );
        return TypedResults.Ok(await AnswerAsync(person, db, clock));
    }

    private static async Task<Results<Ok<SessionAnswer>, UnauthorizedHttpResult>> WhoAsync(
        UmbracellDb db,
        ProductClock clock,
        ClaimsPrincipal user
    ) => await FindAsync(db, user) is { } person ? TypedResults.Ok(await AnswerAsync(person, db, clock)) : TypedResults.Unauthorized();

    private static async Task<NoContent> SignOutAsync(HttpContext context)
    {
        await context.SignOutAsync(CookieAuthenticationDefaults.AuthenticationScheme);
        return TypedResults.NoContent();
    }

    private static async Task<Results<NoContent, UnauthorizedHttpResult>> SetUnitsAsync(
        UnitsChoice choice,
        UmbracellDb db,
        ClaimsPrincipal user
    )
    {
        if (await FindAsync(db, user) is not { } person)
        {
            return TypedResults.Unauthorized();
        }

        person.Units = choice.Units;
        await db.SaveChangesAsync();
        return TypedResults.NoContent();
    }

    private static async Task<Person?> FindAsync(UmbracellDb db, ClaimsPrincipal user) =>
        Guid.TryParse(user.FindFirstValue(ClaimTypes.NameIdentifier), out var id)
            ? await db.People.SingleOrDefaultAsync(p => p.Id == id)
            : null;

    private static async Task<SessionAnswer> AnswerAsync(Person person, UmbracellDb db, ProductClock clock)
    {
        var firm = await db.Firms.SingleAsync();
        return new()
        {
            Id = person.Id,
            SignInName = person.SignInName,
            Title = person.Title,
            Role = person.Role,
            Firm = firm.Name,
            Currency = firm.Currency,
            Units = person.Units,
            MayEdit = person.Role != FirmRole.Viewer,
            MayPrice = Claims.Pricing.Contains(person.Role.ToString()),
            Clock = new(clock.GetUtcNow(), clock.Rate, clock.IsOfDemo),
        };
    }
}
