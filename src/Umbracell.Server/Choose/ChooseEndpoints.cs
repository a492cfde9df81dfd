using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Choosing;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Documents;
using Umbracell.Questions;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Choose;
using Umbracell.Questions.Section;
using Umbracell.Server.Access;
using Umbracell.Server.Problems;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Choose;

internal static class ChooseEndpoints
{
    private const int LongestReason = 500;

    public static void MapChoose(this IEndpointRouteBuilder app)
    {
        var one = app.MapGroup("/api/surfaces/{id:guid}/choose").WithTags("Choose").Requires(Right.Look);
        one.MapGet("", OfSurfaceAsync).WithSummary("The systems of a surface side by side, with reasons and flip points.");
        one.MapPost("", ChooseAsync)
            .WithSummary("Choose a system; an excluded one only with a written reason.")
            .Requires(Right.Edit)
            .ProducesProblem(409);
        one.MapPost("/back", TakeBackAsync).WithSummary("Take the last choice back.").Requires(Right.Edit).ProducesProblem(409);
        one.MapPatch("/facts", FactsAsync)
            .WithSummary("Change what bears on the choice of a surface.")
            .Requires(Right.Edit)
            .ProducesProblem(409);
        app.MapPost("/api/compute/choice", ComputeAsync)
            .WithTags("Compute")
            .WithSummary("The systems of any surface, with the firm's own sheets, rates and practice.")
            .Requires(Right.Look);
        app.MapGet("/api/jobs/{id:guid}/choose", OfJobAsync)
            .WithTags("Choose")
            .WithSummary("The choice of every surface of a job, one after the other as they are reckoned.")
            .Requires(Right.Look);
    }

    private static async Task<Ok<ChoiceAnswer>> ComputeAsync(
        ChoiceQuestion question,
        SheetLibrary library,
        ClaimsPrincipal user,
        Guid? job = null
    )
    {
        var answer = ChoiceQuestions.Answer(question, await library.SuppliesAsync(job));
        return TypedResults.Ok(user.May(Right.Price) ? answer : answer.WithoutMoney());
    }

    private static async Task<Ok<ChoiceOfSurface>> OfSurfaceAsync(Guid id, WeighedChoices choices, ClaimsPrincipal user) =>
        TypedResults.Ok(await choices.AnswerAsync(id, user));

    private static async Task<ChoiceQuestion> QuestionAsync(Surface surface, Job job, SurfaceReader reader, UmbracellDb db) =>
        SurfaceChoices.Of(surface, job, await db.Firms.AsNoTracking().SingleAsync(), await reader.ReadingsAsync(job.Id, [surface.Id]));

    private static async Task<Ok<ChoiceOfSurface>> ChooseAsync(
        Guid id,
        Choosing choosing,
        WeighedChoices choices,
        SurfaceReader reader,
        SheetLibrary library,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user,
        HttpContext context,
        TimeProvider clock
    )
    {
        var (surface, job) = await reader.FindAsync(id);
        var stamp = Stamp.Of(user, clock, choosing);
        var reason = (choosing.Reason ?? "").Trim();

        // With a reason a rule may be set aside: who may not do that must not make it again after taking it back.
        var policy = reason.Length > 0 && user.May(Right.Override) ? Rights.Policy(Right.Override) : null;
        if (!await commands.TakeAsync(choosing, surface, stamp, policy))
        {
            return TypedResults.Ok(await choices.AnswerAsync(id, user));
        }

        if (choosing.Version != surface.Version)
        {
            throw new StaleEditException(await choices.AnswerAsync(id, user));
        }

        var asked = ChoiceQuestions.Case(await QuestionAsync(surface, job, reader, db), await library.SuppliesAsync(job));
        var candidate =
            Choice.Of(asked, FlipSearch.None).Candidates.FirstOrDefault(c => c.Id == choosing.CandidateId)
            ?? throw FieldFaultsException.Of("candidateId", FaultCode.Unknown, choosing.CandidateId);
        CheckOverride(candidate, reason, user);
        if (candidate.Findings.Any(f => f.Verdict == Verdict.Hold))
        {
            SecurityBook.About(context, $"{surface.Name}: {Vocabulary.KeyOf(candidate.Kind)}", SecurityEvent.Overridden);
        }

        var before = new SystemBefore(
            surface.SheetSlug,
            surface.FoamThicknessM,
            surface.System is { } old ? old with { Before = null } : null
        );
        surface.SheetSlug = candidate.Section.Foam?.Sheet.Id;
        surface.FoamThicknessM = candidate.Section.Foam?.Thickness.Metres;
        surface.System = KeptSystems.Of(candidate, asked.Section) with
        {
            ChosenBy = stamp.By,
            ChosenAt = stamp.At,
            Reason = reason,
            Before = before,
        };
        surface.ChangedAt = stamp.ReceivedAt;
        await db.SaveChangesAsync();
        return TypedResults.Ok(await choices.AnswerAsync(id, user));
    }

    // A sheet's limit is nobody's to override; a rule of practice may be, by a named role with a reason that stays in the record.
    private static void CheckOverride(Candidate candidate, string reason, ClaimsPrincipal user)
    {
        var holds = candidate.Findings.Where(f => f.Verdict == Verdict.Hold).ToList();
        if (holds.Count == 0)
        {
            return;
        }

        if (holds.Find(f => !f.Case.YieldsToReason) is { } firm)
        {
            throw FieldFaultsException.Of("candidateId", FaultCode.ExcludedBySheet, firm.Rule.Id);
        }

        if (reason.Length == 0 || reason.Length > LongestReason)
        {
            throw FieldFaultsException.Of(
                "reason",
                reason.Length == 0 ? FaultCode.Empty : FaultCode.TooLong,
                reason.Length == 0 ? "" : reason[..40]
            );
        }

        if (!user.May(Right.Override))
        {
            throw FieldFaultsException.Of("reason", FaultCode.NotYours, holds[0].Rule.Id);
        }
    }

    private static async Task<Ok<ChoiceOfSurface>> TakeBackAsync(
        Guid id,
        ChoiceBack back,
        WeighedChoices choices,
        SurfaceReader reader,
        UmbracellDb db,
        Commands commands,
        TimeProvider clock,
        ClaimsPrincipal user
    )
    {
        var (surface, job) = await reader.FindAsync(id);
        if (!await commands.TakeAsync(back, surface))
        {
            return TypedResults.Ok(await choices.AnswerAsync(id, user));
        }

        if (back.Version != surface.Version)
        {
            throw new StaleEditException(await choices.AnswerAsync(id, user));
        }

        if (surface.System?.Before is { } before)
        {
            (surface.SheetSlug, surface.FoamThicknessM, surface.System, surface.ChangedAt) = (
                before.SheetSlug,
                before.FoamThicknessM,
                before.System,
                clock.GetUtcNow()
            );
        }

        await db.SaveChangesAsync();
        return TypedResults.Ok(await choices.AnswerAsync(id, user));
    }

    private static async Task<Ok<ChoiceOfSurface>> FactsAsync(
        Guid id,
        TypedEdit edit,
        WeighedChoices choices,
        SurfaceReader reader,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user
    )
    {
        var (surface, job) = await reader.FindAsync(id);
        if (!await commands.TakeAsync(edit, surface))
        {
            return TypedResults.Ok(await choices.AnswerAsync(id, user));
        }

        await Seen.MustStandAsync(edit.Version, surface.Version, () => choices.AnswerAsync(id, user));

        surface.ChoiceFacts = ChoiceFacts.Taken(new(edit), surface.ChoiceFacts ?? new());
        await db.SaveChangesAsync();
        return TypedResults.Ok(await choices.AnswerAsync(id, user));
    }

    // Told one by one as they are reckoned, so that a screen shows how far it is.
    private static async IAsyncEnumerable<ChoiceLine> OfJobAsync(
        Guid id,
        SurfaceReader reader,
        SheetLibrary library,
        UmbracellDb db,
        ClaimsPrincipal user
    )
    {
        var job = await reader.FindJobAsync(id);
        var surfaces = await reader.SurfacesAsync(id);
        var readings = await reader.ReadingsAsync(id);
        var firm = await db.Firms.AsNoTracking().SingleAsync();
        var supplies = await library.SuppliesAsync(job);
        List<EnvelopePart> parts = [];
        foreach (var batch in surfaces.Chunk(Math.Max(1, Environment.ProcessorCount)))
        {
            foreach (
                var (line, part) in await Task.WhenAll(
                    batch.Select(surface => Task.Run(() => Line(surface, job, firm, readings, supplies)))
                )
            )
            {
                if (part is { } counted)
                {
                    parts.Add(counted);
                }

                yield return line with
                {
                    Envelope = Envelope(parts),
                    Cost = user.May(Right.Price) ? line.Cost : null,
                };
            }
        }
    }

    private static (ChoiceLine Line, EnvelopePart? Part) Line(
        Surface surface,
        Job job,
        Firm firm,
        LatestReadings readings,
        Supplies supplies
    )
    {
        var asked = ChoiceQuestions.Case(SurfaceChoices.Of(surface, job, firm, readings), supplies);
        var choice = Choice.Of(asked, FlipSearch.Nearest);
        var standing = choice.Candidates.Where(c => !c.Excluded).ToList();
        var second = standing.Find(c => c.Id != choice.Advised?.Id);
        return (
            new()
            {
                Id = surface.Id,
                Name = surface.Name,
                Held = choice.OfSurface.Worst() == Verdict.Hold,
                Advised = choice.Advised is { } first ? Vocabulary.KeyOf(first.Kind) : null,
                Advice = choice.Advice,
                Layers = choice.Advised is { } advised ? SystemLayers.Of(advised.Section) : [],
                Score = choice.Advised?.Total ?? 0,
                RunnerUp = second is null ? null : Vocabulary.KeyOf(second.Kind),
                RunnerUpScore = second?.Total ?? 0,
                Standing = standing.Count,
                Excluded = choice.Candidates.Count - standing.Count,
                MeetsTarget = choice.Advised?.MeetsTarget ?? false,
                Cost = choice.Advised?.Cost.Working is { } cost ? FigureAnswer.Of(cost.Result) : null,
                Chosen = choice.Candidates.Any(c => KeptSystems.IsChosen(c, surface)),
                Nearest = choice.Flips.Select(ChoiceAnswers.Flip).FirstOrDefault(),
                Envelope = null,
            },
            Part(surface, job, asked, supplies)
        );
    }

    private static EnvelopeAnswer? Envelope(List<EnvelopePart> parts) =>
        EnvelopeTradeOff.Of(parts) is { } sum
            ? new(
                FigureAnswer.Of(new(sum.Loss, Dimension.HeatLoss)),
                FigureAnswer.Of(new(sum.Allowed, Dimension.HeatLoss)),
                sum.Meets,
                parts.Count
            )
            : null;

    // The whole envelope is summed over what is chosen; an undecided surface does not count.
    private static EnvelopePart? Part(Surface surface, Job job, ChoiceCase asked, Supplies supplies) =>
        asked.Section.Target is { } target
        && asked.Facts is { Treated: { } area, Conditioned: true }
        && SurfaceSections.Of(surface, job) is { } question
        && SectionQuestions.TryU(question, supplies) is { } u
            ? new(u, target.GreatestU, area)
            : null;
}
