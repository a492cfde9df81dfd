using System.Security.Claims;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Choosing;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Questions;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Choose;
using Umbracell.Questions.Section;
using Umbracell.Server.Access;
using Umbracell.Server.Problems;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;
using Umbracell.Store;
using Umbracell.Store.Model;
using Umbracell.Store.Tenancy;

namespace Umbracell.Server.Choose;

/// <summary>The systems of a surface as they were weighed.</summary>
/// <param name="Question">What was asked.</param>
/// <param name="Choice">The choice.</param>
/// <param name="Answer">How it is told.</param>
internal sealed record WeighedChoice(ChoiceQuestion Question, Choice Choice, ChoiceAnswer Answer);

/// <summary>Weighs the systems of surfaces for whoever asks. What was weighed before is weighed again only where what is asked, or what
/// the firm works with, has changed.</summary>
internal sealed class WeighedChoices(SurfaceReader reader, SheetLibrary library, UmbracellDb db, FirmScope scope, StudyMemory memory)
{
    // Against a study of a surface: a dozen systems with their workings and findings.
    private const int Size = 8;

    /// <summary>The choose stage of a surface as it stands in the database.</summary>
    public async Task<ChoiceOfSurface> AnswerAsync(Guid id, ClaimsPrincipal user)
    {
        var (surface, job, firm, weighed) = await OfAsync(id);
        var said = surface.ChoiceFacts ?? new();
        var chosen = weighed.Choice.Candidates.FirstOrDefault(c => KeptSystems.IsChosen(c, surface));
        return new()
        {
            Question = weighed.Question,
            Answer = user.May(Right.Price) ? weighed.Answer : weighed.Answer.WithoutMoney(),
            ChosenId = chosen?.Id,
            ChosenKind = (surface.System?.Kind ?? chosen?.Kind) is { } kind ? Vocabulary.KeyOf(kind) : null,
            Planned = chosen is null ? [] : Planned(surface, job, await library.SuppliesAsync(job)),
            ChosenBy = surface.System?.ChosenBy,
            ChosenAt = surface.System?.ChosenAt,
            Overrides = surface.System?.Overrides ?? [],
            Reason = surface.System?.Reason ?? "",
            CanTakeBack = surface.System?.Before is not null,
            Facts = ChoiceFacts.Asked(said, surface.Kind),
            Load = said.LoadKPa is { } load ? FigureAnswer.Of(new(load * 1000, Dimension.BearingPressure)) : null,
            Weights = Enum.GetValues<ScorePart>()
                .ToDictionary(part => Vocabulary.KeyOf(part), part => (job.Priorities ?? Priorities.Even).Weights.GetValueOrDefault(part)),
            FirmSchool = SchoolIn(firm.Practice, surface),
            JobSchool = SchoolIn(job.Exceptions, surface),
            Version = surface.Version,
            JobVersion = job.Version,
        };
    }

    private static IReadOnlyList<CandidateLayer> Planned(Surface surface, Job job, Supplies supplies)
    {
        if (SurfaceSections.Of(surface, job) is not { } question)
        {
            return [];
        }

        var planned = SectionQuestions.Case(question, supplies);
        return
        [
            .. SystemLayers.Of(planned),
            .. SystemLayers.Boards(planned, SectionQuestions.Case(SurfaceSections.Bare(surface, job), supplies)),
        ];
    }

    /// <summary>A surface with its job, its firm and its systems.</summary>
    public async Task<(Surface Surface, Job Job, Firm Firm, WeighedChoice Weighed)> OfAsync(Guid id)
    {
        // What this request has read or written already may be older than the versions say.
        db.ChangeTracker.Clear();
        var of =
            await db.Surfaces.Where(s => s.Id == id).Select(s => (Guid?)s.JobId).SingleOrDefaultAsync()
            ?? throw new NotFoundException("surface");
        var inputs = await FigureInputs.OfAsync(of, scope.FirmId!.Value, db);
        var (surface, job) = await reader.FindAsync(id);
        var firm = await db.Firms.AsNoTracking().SingleAsync();
        var question = SurfaceChoices.Of(surface, job, firm, await reader.ReadingsAsync(job.Id, [id]));
        return (surface, job, firm, await WeighedAsync(question, job, inputs.OfQuestion(new { question, job.HeldEditions })));
    }

    // By what is asked and not by the surface: which system is chosen does not change how they weigh, and alike surfaces are weighed once.
    private async Task<WeighedChoice> WeighedAsync(ChoiceQuestion question, Job job, string madeFrom)
    {
        var id = FigureInputs.IdOf(madeFrom);
        return memory.Find<WeighedChoice>(id, madeFrom)
            ?? await memory.InTurnAsync(
                id,
                async () =>
                {
                    if (memory.Find<WeighedChoice>(id, madeFrom) is { } found)
                    {
                        return found;
                    }

                    var choice = Choice.Of(ChoiceQuestions.Case(question, await library.SuppliesAsync(job)));
                    var weighed = new WeighedChoice(question, choice, ChoiceAnswers.Of(choice, ChoiceQuestions.Bare(question)));
                    memory.Keep(id, madeFrom, weighed, Size);
                    return weighed;
                }
            );
    }

    private static string SchoolIn(Practice? practice, Surface surface) =>
        Practice.QuestionOf(surface.Kind) is { } question && practice?.Schools.TryGetValue(question, out var school) == true
            ? Vocabulary.KeyOf(school)
            : "";
}
