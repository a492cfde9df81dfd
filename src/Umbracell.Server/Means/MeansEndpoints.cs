using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Yield.Price;
using Umbracell.Documents;
using Umbracell.Formats.Words;
using Umbracell.Questions.Answers;
using Umbracell.Server.Access;
using Umbracell.Server.Problems;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Means;

internal static class MeansEndpoints
{
    public static void MapMeans(this IEndpointRouteBuilder app)
    {
        var means = app.MapGroup("/api/means").WithTags("Means").Requires(Right.Look);
        means
            .MapGet("", async (UmbracellDb db, ClaimsPrincipal person) => TypedResults.Ok(await BookAsync(db, person)))
            .WithSummary("Crews, rigs, heaters and the rest of what the firm works with; rates of crews for those who price.");
        means.MapPost("", AddAsync).WithSummary("Something more of a kind, from typed fields.").Requires(Right.Edit);
        means
            .MapPatch("/{id:guid}", ChangeAsync)
            .WithSummary("Change typed fields, or count on it no more. A crew's new name stands on all its jobs.")
            .Requires(Right.Edit)
            .ProducesProblem(409);
        means
            .MapDelete("/{id:guid}", RemoveAsync)
            .WithSummary("Take it away; a crew that a job names stays.")
            .Requires(Right.Edit)
            .ProducesProblem(409);
    }

    private static async Task<MeansBook> BookAsync(UmbracellDb db, ClaimsPrincipal person)
    {
        var mayPrice = person.May(Right.Price);
        var rates = (await db.Firms.AsNoTracking().SingleAsync()).Rates ?? Rates.Unpriced;
        var rows = await db.Means.AsNoTracking().ToListAsync();
        var jobs = await JobsByCrewAsync(db);
        return new(
            [
                .. Enum.GetValues<MeansKind>()
                    .Select(kind => new MeansKindAnswer(kind, [.. EntriesFor(kind, mayPrice).Select(entry => Answer(entry, rates))])),
            ],
            [
                .. rows.OrderBy(row => row.Kind)
                    .ThenBy(row => row.Name, StringComparer.OrdinalIgnoreCase)
                    .Select(row => Answer(row, mayPrice, jobs.GetValueOrDefault(row.Id))),
            ]
        );
    }

    private static async Task<Dictionary<Guid, int>> JobsByCrewAsync(UmbracellDb db)
    {
        var planned = await db
            .Jobs.WithDeleted()
            .Where(j => j.CrewId != null)
            .GroupBy(j => j.CrewId!.Value)
            .Select(g => new CrewCount(g.Key, g.Count()))
            .ToListAsync();
        var finished = await db.PastJobs.GroupBy(j => j.CrewId).Select(g => new CrewCount(g.Key, g.Count())).ToListAsync();
        return planned.Concat(finished).GroupBy(one => one.Crew).ToDictionary(g => g.Key, g => g.Sum(one => one.Jobs));
    }

    private sealed record CrewCount(Guid Crew, int Jobs);

    private static IEnumerable<MeansEntry> EntriesFor(MeansKind kind, bool mayPrice) =>
        MeansEntries.Of(kind).Where(entry => entry.Rate is null || mayPrice);

    private static MeansEntryAnswer Answer(MeansEntry entry, Rates rates) =>
        new(entry.Name, entry.Type, entry.Choices, entry.IsNeeded, entry.Rate is { } rate ? FigureAnswer.Of(rate.Of(rates)) : null);

    private static MeansAnswer Answer(MeansRow row, bool mayPrice, int jobs)
    {
        var document = row.Document ?? MeansDocument.None;
        var entries = EntriesFor(row.Kind, mayPrice).ToList();
        return new()
        {
            Id = row.Id,
            Kind = row.Kind,
            Name = row.Name,
            Crew = row.CrewId,
            Retired = row.RetiredAt is not null,
            Figures = entries
                .Where(entry => document.Figures.ContainsKey(entry.Name))
                .ToDictionary(
                    entry => entry.Name,
                    entry => FigureAnswer.Of(new(document.Figures[entry.Name], entry.Range!.Value.Dimension))
                ),
            Words = entries
                .Where(entry => document.Words.ContainsKey(entry.Name))
                .ToDictionary(entry => entry.Name, entry => document.Words[entry.Name]),
            Jobs = jobs,
            Version = row.Version,
        };
    }

    private static async Task<Ok<MeansBook>> AddAsync(
        TypedEdit edit,
        UmbracellDb db,
        Commands commands,
        HttpContext context,
        TimeProvider clock
    )
    {
        if (await commands.TakeAsync(edit, null))
        {
            var fields = new TypedFields(edit);
            fields.Require("kind", "name");
            var row = new MeansRow { Id = edit.Id ?? Guid.NewGuid(), Name = "" };
            fields.Choice<MeansKind>("kind", kind => row.Kind = kind);
            fields.Require([.. MeansEntries.Of(row.Kind).Where(entry => entry.IsNeeded).Select(entry => entry.Name)]);
            await TakeAsync(fields, row, db, context, clock);
            db.Means.Add(row);
            await db.SaveChangesAsync();
        }

        return TypedResults.Ok(await BookAsync(db, context.User));
    }

    private static async Task<Ok<MeansBook>> ChangeAsync(
        Guid id,
        TypedEdit edit,
        UmbracellDb db,
        Commands commands,
        HttpContext context,
        TimeProvider clock
    )
    {
        var row = await FindAsync(id, db);
        var asks = edit.Fields.Keys.Any(IsRate) ? Rights.Policy(Right.Price) : null;
        if (await commands.TakeAsync(edit, row, policy: asks))
        {
            Seen.MustStand(edit.Version, row.Version, () => Answer(row, context.User.May(Right.Price), jobs: 0));
            await TakeAsync(new(edit), row, db, context, clock);
            await db.SaveChangesAsync();
        }

        return TypedResults.Ok(await BookAsync(db, context.User));
    }

    private static async Task TakeAsync(TypedFields fields, MeansRow row, UmbracellDb db, HttpContext context, TimeProvider clock)
    {
        var entries = MeansEntries.Of(row.Kind);
        if (entries.Any(entry => entry.Rate is not null && fields.Has(entry.Name)))
        {
            if (!context.User.May(Right.Price))
            {
                throw new NotAllowedException();
            }

            SecurityBook.About(context, $"{context.Request.Method} {context.Request.Path}", SecurityEvent.RatesChanged);
        }

        var others = await db.Means.AsNoTracking().Where(means => means.Id != row.Id).ToListAsync();
        fields.Text(
            "name",
            MeansRow.LongestName,
            required: true,
            name =>
            {
                row.Name = name;
                if (others.Exists(other => other.Kind == row.Kind && string.Equals(other.Name, name, StringComparison.OrdinalIgnoreCase)))
                {
                    fields.Fault(
                        new()
                        {
                            Field = "name",
                            Code = FaultCode.Taken,
                            Typed = name,
                        }
                    );
                }
            }
        );
        if (row.Kind == MeansKind.Rig)
        {
            fields.Id("crew", id => others.Exists(other => other.Kind == MeansKind.Crew && other.Id == id), id => row.CrewId = id);
        }

        fields.YesNo("retired", yes => row.RetiredAt = yes == true ? row.RetiredAt ?? clock.GetUtcNow() : null);
        TakeEntries(fields, row, entries);
        string[] own = row.Kind == MeansKind.Rig ? ["crew"] : [];
        fields.ThrowIfFaulty(["kind", "name", "retired", .. own, .. entries.Select(e => e.Name)]);
    }

    private static void TakeEntries(TypedFields fields, MeansRow row, IEnumerable<MeansEntry> entries)
    {
        var kept = row.Document ?? MeansDocument.None;
        var (figures, words) = (new Dictionary<string, double>(kept.Figures), new Dictionary<string, string>(kept.Words));
        foreach (var entry in entries)
        {
            entry.Take(
                fields,
                figure =>
                {
                    figures.Remove(entry.Name);
                    if (figure is { } known)
                    {
                        figures[entry.Name] = known;
                    }
                },
                word =>
                {
                    words.Remove(entry.Name);
                    if (word.Length > 0)
                    {
                        words[entry.Name] = word;
                    }
                }
            );
        }

        // The same again is no change, which would make every figure of the firm anew.
        if (!Same(figures, kept.Figures) || !Same(words, kept.Words))
        {
            row.Document = new() { Figures = figures, Words = words };
        }
    }

    private static bool Same<T>(Dictionary<string, T> one, IReadOnlyDictionary<string, T> other) =>
        one.Count == other.Count && one.All(entry => other.TryGetValue(entry.Key, out var value) && Equals(value, entry.Value));

    private static bool IsRate(string field) => WorkRates.OfCrews.Any(rate => rate.Field == field);

    private static async Task<Results<Ok<MeansBook>, ProblemHttpResult>> RemoveAsync(Guid id, UmbracellDb db, ClaimsPrincipal person)
    {
        var row = await FindAsync(id, db);
        if ((await JobsByCrewAsync(db)).GetValueOrDefault(id) is > 0 and var jobs)
        {
            return InUse.Refusal("crew", jobs);
        }

        // What was set, run and fired with a rig stays on record; it can be retired.
        if (
            await db.RigSettings.AnyAsync(setting => setting.RigId == id)
            || await db.SequenceRuns.AnyAsync(run => run.RigId == id)
            || await db.SprayerChecks.AnyAsync(check => check.RigId == id)
        )
        {
            throw new NotReadyException(WordCatalog.Say("problem.said.rigUsed"));
        }

        // A rig outlives its crew.
        foreach (var rig in await db.Means.Where(means => means.CrewId == id).ToListAsync())
        {
            rig.CrewId = null;
        }

        db.Means.Remove(row);
        await db.SaveChangesAsync();
        return TypedResults.Ok(await BookAsync(db, person));
    }

    private static async Task<MeansRow> FindAsync(Guid id, UmbracellDb db) =>
        await db.Means.SingleOrDefaultAsync(means => means.Id == id) ?? throw new NotFoundException("means");
}
