using System.ComponentModel.DataAnnotations;
using System.Globalization;
using System.Net;
using System.Security.Claims;
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
/// <param name="SignInName">The name.</param>
/// <param name="Password">The password.</param>
/// <param name="Code">Of the second step, where one is set up; asked for once the password is right.</param>
public sealed record SignIn(
    [property: Required, MaxLength(200)] string SignInName,
    [property: Required, MaxLength(200)] string Password,
    [property: MaxLength(40)] string? Code = null
);

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

    /// <summary>What this person may do.</summary>
    public required IReadOnlyList<Right> Rights { get; init; }

    /// <summary>What has to be done before anything else; null where nothing has.</summary>
    public required SignInTask? Task { get; init; }

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
    // Looked at where no such person is, so that a name that is not known takes as long to refuse as one that is.
    private static readonly Person Nobody = new()
    {
        SignInName = "",
        NormalizedSignInName = "",
        Title = "",
        SecurityStamp = "",
    };

    private static readonly string NobodysHash = new PasswordHasher<Person>().HashPassword(Nobody, Guid.NewGuid().ToString());

    public static void MapSession(this IEndpointRouteBuilder app)
    {
        var session = app.MapGroup("/api/session").WithTags("Session");
        session.MapPost("", SignInAsync).WithSummary("Sign in with a cookie.").AllowAnonymous().ProducesProblem(429);
        session.MapGet("", WhoAsync).WithSummary("Who is signed in.").Requires(Right.Look);
        session.MapDelete("", SignOutAsync).WithSummary("Sign out.").AllowAnonymous().Notes(SecurityEvent.SignedOut);
        session.MapPut("/units", SetUnitsAsync).WithSummary("Choose the units to read in.").Requires(Right.Look);
    }

    private static async Task<Results<Ok<SessionAnswer>, ProblemHttpResult>> SignInAsync(
        SignIn typed,
        UserManager<Person> people,
        IPasswordHasher<Person> passwords,
        SignInTries tries,
        KnownDevice devices,
        SecondSteps steps,
        Sessions sessions,
        SecurityBook book,
        UmbracellDb db,
        ProductClock clock,
        HttpContext context
    )
    {
        if (!MaySend(context))
        {
            return TypedResults.Problem(
                WordCatalog.Say("problem.said.plainHttp"),
                statusCode: 400,
                title: WordCatalog.Say("problem.title.notSignedIn")
            );
        }

        var name = people.NormalizeName(typed.SignInName.Trim())!;
        var device = devices.Of(context, name);
        var address = context.Connection.RemoteIpAddress?.ToString();
        if (await tries.BeginAsync(name, device, address) is { } wait)
        {
            book.Unknown(context, waited: true);
            return Wait(context, wait);
        }

        var person = await people.FindByNameAsync(name);
        var isRight =
            passwords.VerifyHashedPassword(person ?? Nobody, person?.PasswordHash ?? NobodysHash, typed.Password)
            != PasswordVerificationResult.Failed;
        if (person is not { DeactivatedAt: null, PasswordHash: not null } || !isRight)
        {
            if (person is null)
            {
                book.Unknown(context, waited: false);
            }
            else
            {
                book.SignIn(context, person, SecurityEvent.SignInFailed);
            }

            return NotSignedIn("notSignedIn");
        }

        if (await steps.IsSetUpAsync(person.Id))
        {
            if (string.IsNullOrWhiteSpace(typed.Code))
            {
                return NotSignedIn("codeNext", needsCode: true);
            }

            if (!await steps.TakeAsync(person.Id, typed.Code))
            {
                book.SignIn(context, person, SecurityEvent.SignInFailed);
                return NotSignedIn("codeWrong", needsCode: true);
            }
        }

        await tries.SucceededAsync(name, device, address);
        devices.Note(context, name);
        await sessions.StartAsync(person, context);
        book.SignIn(context, person, SecurityEvent.SignedIn);
        return TypedResults.Ok(await AnswerAsync(person, db, steps, clock));
    }

    private static ProblemHttpResult NotSignedIn(string why, bool needsCode = false) =>
        TypedResults.Problem(
            WordCatalog.Say($"problem.said.{why}"),
            statusCode: 401,
            title: WordCatalog.Say("problem.title.notSignedIn"),
            extensions: needsCode ? new Dictionary<string, object?> { ["needsCode"] = true } : null
        );

    // A password that goes over the air in the clear is everybody's; on the machine itself it goes nowhere.
    private static bool MaySend(HttpContext context) =>
        context.Request.IsHttps || context.Connection.RemoteIpAddress is not { } address || IPAddress.IsLoopback(address);

    private static ProblemHttpResult Wait(HttpContext context, TimeSpan wait)
    {
        var seconds = Math.Ceiling(wait.TotalSeconds).ToString(CultureInfo.InvariantCulture);
        context.Response.Headers.RetryAfter = seconds;
        return TypedResults.Problem(
            WordCatalog.Say("problem.said.tooManyTries", ("seconds", seconds)),
            statusCode: 429,
            title: WordCatalog.Say("problem.title.tooManyTries")
        );
    }

    private static async Task<Results<Ok<SessionAnswer>, UnauthorizedHttpResult>> WhoAsync(
        UmbracellDb db,
        SecondSteps steps,
        ProductClock clock,
        ClaimsPrincipal user
    ) =>
        await FindAsync(db, user) is { } person
            ? TypedResults.Ok(await AnswerAsync(person, db, steps, clock))
            : TypedResults.Unauthorized();

    private static async Task<NoContent> SignOutAsync(Sessions sessions, HttpContext context)
    {
        await sessions.EndAsync(context);
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
        Claims.PersonOf(user) is { } id ? await db.People.SingleOrDefaultAsync(p => p.Id == id) : null;

    private static async Task<SessionAnswer> AnswerAsync(Person person, UmbracellDb db, SecondSteps steps, ProductClock clock)
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
            Rights = Rights.ByRole[person.Role],
            Task = SignInTasks.Of(person, firm.CodesFor, await steps.IsSetUpAsync(person.Id)),
            Clock = new(clock.GetUtcNow(), clock.Rate, clock.IsOfDemo),
        };
    }
}
