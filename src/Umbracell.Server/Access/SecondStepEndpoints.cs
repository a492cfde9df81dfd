using System.ComponentModel.DataAnnotations;
using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Findings;
using Umbracell.Formats.Words;
using Umbracell.Questions.Answers;
using Umbracell.Server.Problems;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Access;

/// <summary>A person's second step.</summary>
/// <param name="IsSetUp">Whether a code is asked for when they sign in.</param>
/// <param name="IsAsked">Whether the firm asks for it: then it is not theirs to take away.</param>
/// <param name="SparesLeft">How many spare codes are left.</param>
public sealed record SecondStepAnswer(bool IsSetUp, bool IsAsked, int SparesLeft);

/// <summary>One's own password, to show that it is oneself.</summary>
public sealed record OwnPassword([property: Required, MaxLength(200)] string Password);

/// <summary>A code of one's device.</summary>
public sealed record CodeTyped([property: Required, MaxLength(40)] string Code);

/// <summary>Spare codes, told this once.</summary>
public sealed record SpareCodes(IReadOnlyList<string> Codes);

/// <summary>Of whom the firm asks for a code.</summary>
public sealed record CodesChoice(CodesFor Of);

/// <summary>The second step of signing in: one's own, and what the firm asks for.</summary>
internal static class SecondStepEndpoints
{
    public static void MapSecondStep(this IEndpointRouteBuilder app)
    {
        var own = app.MapGroup("/api/session/second-step").WithTags("Session").Requires(Right.Look);
        own.MapGet("", OwnAsync).WithSummary("Whether a code is asked for when one signs in.");
        own.MapPost("", BeginAsync).WithSummary("A key for one's device; nothing changes until a code shows that it works.");
        own.MapPut("", SetUpAsync)
            .WithSummary("Set the second step up with a code of one's device. Spare codes are told in this answer alone.")
            .Notes(SecurityEvent.SecondStepChanged);
        own.MapPost("/remove", RemoveOwnAsync)
            .WithSummary("Take one's second step away.")
            .Notes(SecurityEvent.SecondStepChanged)
            .ProducesProblem(409);

        var people = app.MapGroup("/api/people").WithTags("People").Requires(Right.Manage);
        people
            .MapPut("/codes", AskForAsync)
            .WithSummary("Of whom a code is asked.")
            .Notes(SecurityEvent.SecondStepChanged)
            .ProducesProblem(409);
        people
            .MapDelete("/{id:guid}/second-step", RemoveAsync)
            .WithSummary("Take somebody's second step away who has lost their device.")
            .Notes(SecurityEvent.SecondStepChanged)
            .ProducesProblem(404);
    }

    private static async Task<Ok<SecondStepAnswer>> OwnAsync(SecondSteps steps, UmbracellDb db, ClaimsPrincipal user)
    {
        var person = await OneselfAsync(db, user);
        return TypedResults.Ok(
            new SecondStepAnswer(
                await steps.IsSetUpAsync(person.Id),
                await IsAskedAsync(db, person),
                await steps.SparesLeftAsync(person.Id)
            )
        );
    }

    private static async Task<Ok<SecondStepKey>> BeginAsync(
        OwnPassword typed,
        OwnProof proof,
        SecondSteps steps,
        UmbracellDb db,
        HttpContext context
    )
    {
        var person = await OneselfAsync(db, context.User);
        await proof.ProveAsync(person, typed.Password, "password", context);
        return TypedResults.Ok(await steps.BeginAsync(person));
    }

    private static async Task<Ok<SpareCodes>> SetUpAsync(
        CodeTyped typed,
        OwnProof proof,
        SecondSteps steps,
        Sessions sessions,
        UmbracellDb db,
        HttpContext context
    )
    {
        var person = await OneselfAsync(db, context.User);
        await proof.CountAsync(person, "code", context);
        var spares = await steps.SetUpAsync(person.Id, typed.Code) ?? throw FieldFaultsException.Of("code", FaultCode.WrongCode);
        await proof.ForgetAsync(person, context);
        await sessions.EndAllAsync(person.Id, but: context.User);
        SecurityBook.About(context, Said("setUp", person));
        return TypedResults.Ok(new SpareCodes(spares));
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> RemoveOwnAsync(
        OwnPassword typed,
        OwnProof proof,
        SecondSteps steps,
        UmbracellDb db,
        HttpContext context
    )
    {
        var person = await OneselfAsync(db, context.User);
        await proof.ProveAsync(person, typed.Password, "password", context);
        if (await IsAskedAsync(db, person))
        {
            return Refused("codesAsked");
        }

        await steps.RemoveAsync(person.Id);
        SecurityBook.About(context, Said("removed", person));
        return TypedResults.NoContent();
    }

    private static async Task<NoContent> RemoveAsync(Guid id, SecondSteps steps, Sessions sessions, UmbracellDb db, HttpContext context)
    {
        var person = await db.People.SingleOrDefaultAsync(p => p.Id == id) ?? throw new NotFoundException("person");
        await steps.RemoveAsync(id);
        await sessions.EndAllAsync(id);
        SecurityBook.About(context, Said("removed", person));
        return TypedResults.NoContent();
    }

    // Whoever asks it of others has it themselves: nobody shuts themselves out. Those who have not are signed out, and set it up first.
    private static async Task<Results<Ok<PeopleAnswer>, ProblemHttpResult>> AskForAsync(
        CodesChoice choice,
        SecondSteps steps,
        UmbracellDb db,
        HttpContext context
    )
    {
        var firm = await db.Firms.SingleAsync();
        var asker = await OneselfAsync(db, context.User);
        if (SignInTasks.Asks(choice.Of, asker.Role) && !await steps.IsSetUpAsync(asker.Id))
        {
            return Refused("codesFirst");
        }

        firm.CodesFor = choice.Of;
        await db.SaveChangesAsync();
        var ready = db.Set<SecondStepRow>().Where(s => s.Secret != null).Select(s => s.PersonId);
        FirmRole[] asked = [.. Enum.GetValues<FirmRole>().Where(role => SignInTasks.Asks(choice.Of, role))];
        var late = db.People.Where(p => asked.Contains(p.Role) && !ready.Contains(p.Id)).Select(p => p.Id);
        await db.Set<SessionRow>().Where(s => late.Contains(s.PersonId)).ExecuteDeleteAsync();
        SecurityBook.About(context, WordCatalog.Say($"book.about.codes.{Vocabulary.KeyOf(choice.Of)}"));
        return TypedResults.Ok(await PeopleEndpoints.AllAsync(db));
    }

    private static async Task<bool> IsAskedAsync(UmbracellDb db, Person person) =>
        SignInTasks.Asks(await db.Firms.Select(f => f.CodesFor).SingleAsync(), person.Role);

    private static async Task<Person> OneselfAsync(UmbracellDb db, ClaimsPrincipal user) =>
        Claims.PersonOf(user) is { } id && await db.People.SingleOrDefaultAsync(p => p.Id == id) is { } person
            ? person
            : throw new NotFoundException("person");

    private static string Said(string what, Person person) => WordCatalog.Say($"book.about.secondStep.{what}", ("name", person.SignInName));

    private static ProblemHttpResult Refused(string why) =>
        TypedResults.Problem(WordCatalog.Say($"problem.said.{why}"), statusCode: 409, title: WordCatalog.Say("problem.title.notAllowed"));
}
