using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Findings;
using Umbracell.Server.Access;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;
using Umbracell.Store.Seeding;

namespace Umbracell.Server.FirstRun;

/// <summary>What a new firm sets up, in the order it needs it.</summary>
public enum FirstStep
{
    /// <summary>The firm's own name.</summary>
    Firm,

    /// <summary>A product sheet of its own in place of the samples.</summary>
    Sheet,

    /// <summary>A crew, for what it costs and how fast it works.</summary>
    Crew,

    /// <summary>A place of its own, for its climate.</summary>
    Place,

    /// <summary>A first job.</summary>
    Job,

    /// <summary>A first surface with its size.</summary>
    Surface,

    /// <summary>A foam and a thickness, and with them a first verdict.</summary>
    Verdict,
}

/// <summary>How far one step is.</summary>
/// <param name="Step">The step.</param>
/// <param name="Done">Whether it is done: read off what the firm has, and never ticked.</param>
/// <param name="Skipped">Whether the firm goes without it.</param>
public sealed record FirstStepAnswer(FirstStep Step, bool Done, bool Skipped);

/// <summary>How far a firm has set itself up.</summary>
/// <param name="Steps">The steps in their order.</param>
/// <param name="Complete">Whether none is left.</param>
/// <param name="Job">The job to go on with; null where there is none.</param>
/// <param name="Surface">The surface to go on with.</param>
/// <param name="Version">Version of the firm, to skip a step by.</param>
public sealed record FirstStepsAnswer(IReadOnlyList<FirstStepAnswer> Steps, bool Complete, Guid? Job, Guid? Surface, uint Version);

internal static class FirstSteps
{
    private const string Prefix = "skip:";

    public static void MapFirstSteps(this IEndpointRouteBuilder app) =>
        app.MapGet("/api/first-steps", AnswerAsync)
            .WithTags("Firm")
            .WithSummary("How far a new firm has set itself up, and what comes next.")
            .Requires(Right.Look);

    /// <summary>Fields of the firm by which it goes without a step.</summary>
    public static IEnumerable<string> Fields => Enum.GetValues<FirstStep>().Select(step => Prefix + Vocabulary.KeyOf(step));

    /// <summary>Takes which steps the firm goes without.</summary>
    public static void Take(TypedFields fields, Firm firm)
    {
        foreach (var step in Enum.GetValues<FirstStep>())
        {
            var key = Vocabulary.KeyOf(step);
            fields.YesNo(
                Prefix + key,
                yes => firm.SkippedSteps = [.. firm.SkippedSteps.Where(one => one != key), .. yes == true ? new[] { key } : []]
            );
        }
    }

    private static async Task<Ok<FirstStepsAnswer>> AnswerAsync(UmbracellDb db)
    {
        var firm = await db.Firms.AsNoTracking().SingleAsync();
        var job = await db.Jobs.AsNoTracking().OrderByDescending(j => j.CreatedAt).Select(j => (Guid?)j.Id).FirstOrDefaultAsync();
        var surface = await db
            .Surfaces.AsNoTracking()
            .Where(s => s.JobId == job && s.FirstM > 0)
            .OrderBy(s => s.Position)
            .Select(s => (Guid?)s.Id)
            .FirstOrDefaultAsync();
        var steps = new List<FirstStepAnswer>();
        foreach (var step in Enum.GetValues<FirstStep>())
        {
            var done = step switch
            {
                FirstStep.Firm => firm.Name != FirstFirmSeed.Unnamed,
                FirstStep.Sheet => await db.Sheets.AnyAsync(s => s.Origin != SheetOrigin.Sample && s.RemovedAt == null),
                FirstStep.Crew => await db.Means.AnyAsync(means => means.Kind == MeansKind.Crew),
                FirstStep.Place => await db.Places.AnyAsync(),
                FirstStep.Job => job is not null,
                FirstStep.Surface => surface is not null,
                FirstStep.Verdict => await db.Surfaces.AnyAsync(s => s.SheetSlug != null && s.FoamThicknessM != null),
                _ => throw new ArgumentOutOfRangeException(nameof(db), step, "Nothing says when this step is done."),
            };
            steps.Add(new(step, done, firm.SkippedSteps.Contains(Vocabulary.KeyOf(step))));
        }

        return TypedResults.Ok(new FirstStepsAnswer(steps, steps.TrueForAll(one => one.Done || one.Skipped), job, surface, firm.Version));
    }
}
