using System.Text.Json;
using System.Text.Json.Serialization;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Formats.Words;
using Umbracell.Server.Problems;
using Umbracell.Server.Requests;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Access;

/// <summary>Something a person entered.</summary>
/// <param name="At">When.</param>
/// <param name="Record">The kind of record; empty where what was entered stands as it is, as a reading does.</param>
/// <param name="RecordId">The record.</param>
public sealed record PersonEntry(DateTimeOffset At, string Record, Guid? RecordId);

/// <summary>All that is kept of a person.</summary>
public sealed record PersonExport
{
    public required PersonAnswer Person { get; init; }

    public required IReadOnlyList<DeviceAnswer> Devices { get; init; }

    public required IReadOnlyList<SecurityEventAnswer> Events { get; init; }

    public required IReadOnlyList<PersonEntry> Entries { get; init; }
}

/// <summary>What is kept of a person, taken out or taken away. What they entered on jobs stays, under the role it was entered in.</summary>
internal static class PersonRecords
{
    private static readonly JsonSerializerOptions Written = new(JsonSerializerDefaults.Web)
    {
        WriteIndented = true,
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase) },
    };

    public static void MapPersonRecords(this IEndpointRouteBuilder app)
    {
        var one = app.MapGroup("/api/people/{id:guid}").WithTags("People").Requires(Right.Manage);
        one.MapGet("/export", ExportAsync)
            .WithSummary("All that is kept of a person, as one JSON file.")
            .Notes(SecurityEvent.Exported)
            .ProducesProblem(404);
        one.MapPost("/erase", EraseAsync)
            .WithSummary(
                "Take a person's name away everywhere it is kept; they must not be able to sign in any more. Entries keep the role."
            )
            .Notes(SecurityEvent.Erased)
            .ProducesProblem(404)
            .ProducesProblem(409);
    }

    private static async Task<FileContentHttpResult> ExportAsync(Guid id, UmbracellDb db, HttpContext context)
    {
        var person = (await PeopleEndpoints.AllAsync(db)).People.FirstOrDefault(p => p.Id == id) ?? throw new NotFoundException("person");
        SecurityBook.About(context, person.SignInName);
        var sessions = await db.Set<SessionRow>().AsNoTracking().Where(s => s.PersonId == id).ToListAsync();
        var events = await OfAsync(db, id, person.SignInName, person.Title).AsNoTracking().OrderBy(e => e.At).ToListAsync();
        var export = new PersonExport
        {
            Person = person,
            Devices = [.. sessions.Select(s => new DeviceAnswer(s.Id, s.Device, s.StartedAt, s.SeenAt, IsThis: false))],
            Events = [.. events.Select(e => new SecurityEventAnswer(e.Id, e.At, e.Kind, e.By, e.About))],
            Entries = await db
                .Commands.AsNoTracking()
                .Where(c => c.PersonId == id)
                .OrderBy(c => c.HappenedAt)
                .Select(c => new PersonEntry(c.HappenedAt, c.Record, c.RecordId))
                .ToListAsync(),
        };
        return TypedResults.File(
            JsonSerializer.SerializeToUtf8Bytes(export, Written),
            "application/json",
            FileTypes.NameOf(person.SignInName, "json")
        );
    }

    private static async Task<Results<Ok<PeopleAnswer>, ProblemHttpResult>> EraseAsync(
        Guid id,
        Sessions sessions,
        UmbracellDb db,
        HttpContext context
    )
    {
        await using var whole = await db.Database.BeginTransactionAsync();
        var person = await db.People.SingleOrDefaultAsync(p => p.Id == id) ?? throw new NotFoundException("person");
        if (person.DeactivatedAt is null)
        {
            return TypedResults.Problem(
                WordCatalog.Say("problem.said.stillActive"),
                statusCode: 409,
                title: WordCatalog.Say("problem.title.inUse")
            );
        }

        var (name, role) = (person.SignInName, PeopleEndpoints.RoleWord(person.Role));
        SecurityBook.About(context, role);

        // Entries of the book cannot be changed: those that name the person are put down anew without the name.
        var named = await OfAsync(db, id, name, person.Title).ToListAsync();
        db.RemoveRange(named);
        db.AddRange(
            named.Select(e => new SecurityEventRow
            {
                At = e.At,
                Kind = e.Kind,
                By = e.PersonId == id ? role : e.By,
                About =
                    e.Kind == SecurityEvent.Invited && e.PersonId != id
                        ? role
                        : e.About.Replace(name, role, StringComparison.OrdinalIgnoreCase),
            })
        );
        await ErasedName.FromRecordsAsync(db, person, role);
        person.SignInName = $"erased-{id:N}";
        person.NormalizedSignInName = person.SignInName.ToUpperInvariant();
        person.Title = role;
        person.PasswordHash = null;
        await db.SaveChangesAsync();
        await db.Set<SecondStepRow>().Where(s => s.PersonId == id).ExecuteDeleteAsync();
        await db.Database.ExecuteSqlAsync($"update commands set person_id = null where person_id = {id}");
        await sessions.EndAllAsync(id);
        await whole.CommitAsync();
        return TypedResults.Ok(await PeopleEndpoints.AllAsync(db));
    }

    // Whoever invited them noted how they are called.
    private static IQueryable<SecurityEventRow> OfAsync(UmbracellDb db, Guid id, string name, string called) =>
        db.Set<SecurityEventRow>()
            .Where(e =>
                e.PersonId == id || e.About.Contains(name) || (e.Kind == SecurityEvent.Invited && e.About.StartsWith(called + ":"))
            );
}
