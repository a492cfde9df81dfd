using Umbracell.Documents;
using Umbracell.Formats.Words;
using Umbracell.Server.Papers;
using Umbracell.Server.Places;
using Umbracell.Server.Surfaces;
using Umbracell.Store.Model;

namespace Umbracell.Server.Prove;

/// <summary>What hangs on the door until people come back inside.</summary>
internal sealed class DoorPaper(ProofReader reader, SurfaceReader surfaces, TimeProvider clock) : IPaperMaker
{
    public PaperKind Kind => PaperKind.Door;

    public async Task<PaperDocument> MakeAsync(WantedPaper wanted)
    {
        var job = await surfaces.FindJobAsync(wanted.JobId);
        var told = await reader.ReEntryOfAsync(job);
        var words = wanted.Words;
        return wanted.Paper(
            words.Say("prove.door.title"),
            [job.Name, Until(words, told, job)],
            new(
                [new(words.Say("prove.door.what"), Share: 2), new(words.Say("prove.door.value"), Share: 3)],
                [.. Lines(words, told, job).Where(line => line.Value.Length > 0).Select(line => new PaperLine([line.Name, line.Value]))]
            ),
            [words.Say("prove.door.steady"), words.Say("prove.door.risk")]
        ) with
        {
            OnePage = true,
        };
    }

    private string Until(PaperWords words, ReEntryOfJob told, Job job) =>
        told.Answer.At is not { } at
            ? words.Say("prove.door.never")
            : words.Say(at > clock.GetUtcNow() ? "prove.door.before" : "prove.door.over", ("when", When(job, at)));

    private IEnumerable<(string Name, string Value)> Lines(PaperWords words, ReEntryOfJob told, Job job)
    {
        var answer = told.Answer;
        yield return (words.Say("prove.door.product"), answer.Product ?? "");
        yield return (words.Say("prove.door.last"), answer.LastTrigger is { } last ? When(job, last) : "");
        yield return (words.Say("prove.door.sheet"), answer.SheetWords ?? "");
        yield return (words.Say("prove.door.earliest"), answer.EarliestBySheet is { } earliest ? When(job, earliest) : "");
        yield return (words.Say("prove.door.ventilation"), Ventilation(words, told));
        yield return (
            words.Say("prove.door.counted"),
            answer.Wanted is null ? "" : words.Say("prove.door.counts", ("counted", answer.Counted), ("wanted", answer.Wanted))
        );
        yield return (words.Say("prove.door.made"), When(job, clock.GetUtcNow()));
    }

    private static string Ventilation(PaperWords words, ReEntryOfJob told) =>
        told.Ventilated switch
        {
            null => words.Say("prove.door.unknown"),
            false => words.Say("prove.door.off"),
            _ when told.AirChanges is { } changes => words.Say("prove.door.vents", ("changes", changes)),
            _ => words.Say("prove.door.on"),
        };

    private static string When(Job job, DateTimeOffset at) => Writing.OfCatalog.Moment(PlaceTime.Local(job, at));
}
