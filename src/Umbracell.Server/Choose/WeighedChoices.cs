using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Choosing;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Choose;
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

/// <summary>Weighs the systems of surfaces for whoever asks. What was weighed before is weighed again only where something it hangs on
/// has changed.</summary>
internal sealed class WeighedChoices(SurfaceReader reader, SheetLibrary library, UmbracellDb db, FirmScope scope, StudyMemory memory)
{
    // Against a study of a surface: a dozen systems with their workings and findings.
    private const int Size = 8;

    /// <summary>The choose stage of a surface as it stands in the database.</summary>
    public async Task<ChoiceOfSurface> AnswerAsync(Guid id)
    {
        var (surface, job, firm, weighed) = await OfAsync(id);
        var said = surface.ChoiceFacts ?? new();
        var chosen = weighed.Choice.Candidates.FirstOrDefault(c => KeptSystems.IsChosen(c, surface));
        return new(
            weighed.Question,
            weighed.Answer,
            chosen?.Id,
            (surface.System?.Kind ?? chosen?.Kind) is { } kind ? Vocabulary.KeyOf(kind) : null,
            surface.System?.ChosenBy,
            surface.System?.ChosenAt,
            surface.System?.Overrides ?? [],
            surface.System?.Reason ?? "",
            surface.System?.Before is not null,
            ChoiceFacts.Asked(said, surface.Kind),
            said.LoadKPa is { } load ? FigureAnswer.Of(new(load * 1000, Dimension.BearingPressure)) : null,
            Enum.GetValues<ScorePart>()
                .ToDictionary(part => Vocabulary.KeyOf(part), part => (job.Priorities ?? Priorities.Even).Weights.GetValueOrDefault(part)),
            SchoolIn(firm.Practice, surface),
            SchoolIn(job.Exceptions, surface),
            surface.Version,
            job.Version
        );
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
        var version = inputs.Surfaces.FirstOrDefault(s => s.Id == id).Version;
        var (surface, job) = await reader.FindAsync(id);
        var firm = await db.Firms.AsNoTracking().SingleAsync();
        return (surface, job, firm, await WeighedAsync(surface, job, firm, $"{inputs.OfSurface(version)}.{inputs.Rates}"));
    }

    private async Task<WeighedChoice> WeighedAsync(Surface surface, Job job, Firm firm, string madeFrom) =>
        memory.Find<WeighedChoice>(surface.Id, madeFrom)
        ?? await memory.InTurnAsync(
            surface.Id,
            async () =>
            {
                if (memory.Find<WeighedChoice>(surface.Id, madeFrom) is { } found)
                {
                    return found;
                }

                var question = SurfaceChoices.Of(surface, job, firm, await reader.ReadingsAsync(job.Id, [surface.Id]));
                var choice = Choice.Of(ChoiceQuestions.Case(question, await library.SuppliesAsync()));
                var weighed = new WeighedChoice(question, choice, ChoiceAnswers.Of(choice, ChoiceQuestions.Bare(question)));
                memory.Keep(surface.Id, madeFrom, weighed, Size);
                return weighed;
            }
        );

    private static string SchoolIn(Practice? practice, Surface surface) =>
        Practice.QuestionOf(surface.Kind) is { } question && practice?.Schools.TryGetValue(question, out var school) == true
            ? Vocabulary.KeyOf(school)
            : "";
}
