using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Findings;
using Umbracell.Formats.Words;
using Umbracell.Server.Problems;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Access;

/// <summary>Somebody of the firm.</summary>
public sealed record PersonAnswer
{
    public required Guid Id { get; init; }

    public required string SignInName { get; init; }

    public required string Title { get; init; }

    public required FirmRole Role { get; init; }

    /// <summary>Whether they may sign in.</summary>
    public required bool IsActive { get; init; }

    /// <summary>Whether nothing but the role is kept of them.</summary>
    public required bool IsErased { get; init; }

    /// <summary>Whether a code is asked for when they sign in.</summary>
    public required bool HasSecondStep { get; init; }

    /// <summary>On how many devices they are signed in.</summary>
    public required int Sessions { get; init; }

    /// <summary>When they last used one of them; null where they are signed in on none.</summary>
    public required DateTimeOffset? SeenAt { get; init; }
}

/// <summary>The people of a firm.</summary>
/// <param name="People">Who may most first.</param>
/// <param name="Roles">What each role may do.</param>
/// <param name="CodesFor">Of whom a code is asked besides the password.</param>
public sealed record PeopleAnswer(
    IReadOnlyList<PersonAnswer> People,
    IReadOnlyDictionary<FirmRole, IReadOnlyList<Right>> Roles,
    CodesFor CodesFor
);

/// <summary>What somebody is in the firm.</summary>
public sealed record RoleChoice(FirmRole Role);

/// <summary>Whether somebody may sign in.</summary>
public sealed record ActiveChoice(bool IsActive);

/// <summary>The people of a firm, for its owners: what each may do, and whether they may sign in at all.</summary>
internal static class PeopleEndpoints
{
    public static void MapPeople(this IEndpointRouteBuilder app)
    {
        var people = app.MapGroup("/api/people").WithTags("People").Requires(Right.Manage);
        people.MapGet("", ListAsync).WithSummary("Everybody of the firm.");
        people
            .MapPut("/{id:guid}/role", SetRoleAsync)
            .WithSummary("Give somebody another role. They are signed out everywhere, and see and do what is theirs when they come back.")
            .Notes(SecurityEvent.RoleChanged)
            .ProducesProblem(404)
            .ProducesProblem(409);
        people
            .MapPut("/{id:guid}/active", SetActiveAsync)
            .WithSummary("Let somebody sign in or not. Who may not is signed out everywhere at once; what they entered stays.")
            .Notes(SecurityEvent.AccessChanged)
            .ProducesProblem(404)
            .ProducesProblem(409);
    }

    private static async Task<Ok<PeopleAnswer>> ListAsync(UmbracellDb db) => TypedResults.Ok(await AllAsync(db));

    private static Task<Results<Ok<PeopleAnswer>, ProblemHttpResult>> SetRoleAsync(
        Guid id,
        RoleChoice choice,
        Sessions sessions,
        UmbracellDb db,
        HttpContext context
    ) =>
        ChangeAsync(
            id,
            sessions,
            db,
            person =>
            {
                SecurityBook.About(
                    context,
                    WordCatalog.Say(
                        "book.about.role",
                        ("name", person.SignInName),
                        ("before", RoleWord(person.Role)),
                        ("after", RoleWord(choice.Role))
                    )
                );
                var changes = person.Role != choice.Role;
                person.Role = choice.Role;
                return changes;
            }
        );

    private static Task<Results<Ok<PeopleAnswer>, ProblemHttpResult>> SetActiveAsync(
        Guid id,
        ActiveChoice choice,
        Sessions sessions,
        UmbracellDb db,
        HttpContext context
    ) =>
        ChangeAsync(
            id,
            sessions,
            db,
            person =>
            {
                SecurityBook.About(
                    context,
                    WordCatalog.Say(choice.IsActive ? "book.about.active" : "book.about.inactive", ("name", person.SignInName))
                );
                var changes = person.DeactivatedAt is null != choice.IsActive;
                person.DeactivatedAt = choice.IsActive ? null : person.DeactivatedAt ?? TimeProvider.System.GetUtcNow();
                return changes;
            }
        );

    // Owners who change each other at the same moment wait for one another: one of them stays.
    private static async Task<Results<Ok<PeopleAnswer>, ProblemHttpResult>> ChangeAsync(
        Guid id,
        Sessions sessions,
        UmbracellDb db,
        Func<Person, bool> change
    )
    {
        await using var whole = await db.Database.BeginTransactionAsync();
        await db.Database.ExecuteSqlAsync($"select 1 from firms for update");
        var person = await db.People.SingleOrDefaultAsync(p => p.Id == id) ?? throw new NotFoundException("person");
        if (change(person))
        {
            await db.SaveChangesAsync();
            if (!await db.People.AnyAsync(p => p.Role == FirmRole.Owner && p.DeactivatedAt == null && p.PasswordHash != null))
            {
                await whole.RollbackAsync();
                return TypedResults.Problem(
                    WordCatalog.Say("problem.said.lastOwner"),
                    statusCode: 409,
                    title: WordCatalog.Say("problem.title.lastOwner")
                );
            }

            await sessions.EndAllAsync(person.Id);
        }

        await whole.CommitAsync();
        return TypedResults.Ok(await AllAsync(db));
    }

    /// <summary>What a role is called.</summary>
    internal static string RoleWord(FirmRole role) => WordCatalog.Say($"role.{Vocabulary.KeyOf(role)}");

    /// <summary>Everybody of the firm, who may most first.</summary>
    internal static async Task<PeopleAnswer> AllAsync(UmbracellDb db)
    {
        var sessions = (await db.Set<SessionRow>().AsNoTracking().ToListAsync()).ToLookup(s => s.PersonId);
        var steps = await db.Set<SecondStepRow>().Where(s => s.Secret != null).Select(s => s.PersonId).ToListAsync();
        var people = await db.People.AsNoTracking().OrderBy(p => p.NormalizedSignInName).ToListAsync();
        return new(
            [
                .. people
                    .OrderByDescending(p => Rights.ByRole[p.Role].Count)
                    .Select(person => new PersonAnswer
                    {
                        Id = person.Id,
                        SignInName = person.SignInName,
                        Title = person.Title,
                        Role = person.Role,
                        IsActive = person.DeactivatedAt is null,
                        IsErased = person is { DeactivatedAt: not null, PasswordHash: null },
                        HasSecondStep = steps.Contains(person.Id),
                        Sessions = sessions[person.Id].Count(),
                        SeenAt = sessions[person.Id].Select(s => (DateTimeOffset?)s.SeenAt).Max(),
                    }),
            ],
            Rights.ByRole,
            await db.Firms.Select(f => f.CodesFor).SingleAsync()
        );
    }
}
