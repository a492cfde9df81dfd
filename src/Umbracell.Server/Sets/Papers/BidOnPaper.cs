using Umbracell.Documents;
using Umbracell.Formats.Words;
using Umbracell.Questions.Price;
using Umbracell.Server.Papers;
using Umbracell.Server.Places;
using Umbracell.Server.Sets.Price;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Sets.Papers;

/// <summary>What both papers of a bid say of a job: the outer one for the customer tells what is done and what it costs; the inner one
/// shows how the price comes about and stays in the firm.</summary>
internal sealed record BidOnPaper
{
    /// <summary>The job's name.</summary>
    public required string Job { get; init; }

    /// <summary>Day of the work; null until it is set.</summary>
    public required DateOnly? WorkDate { get; init; }

    /// <summary>Today where the job is.</summary>
    public required DateOnly Today { get; init; }

    /// <summary>Its bid.</summary>
    public required BidAnswer Bid { get; init; }

    /// <summary>Its surfaces.</summary>
    public required IReadOnlyList<BidSurfaceAnswer> Surfaces { get; init; }

    /// <summary>The paper asked for.</summary>
    public required WantedPaper Order { get; init; }

    private PaperWords Words => Order.Words;

    public static async Task<BidOnPaper> OfAsync(StudiedJobs jobs, TimeProvider clock, WantedPaper wanted)
    {
        var (_, study, means, bid) = await jobs.OfAsync(wanted.JobId);
        return new()
        {
            Job = study.Job.Name,
            WorkDate = JobPricing.Of(study.Job).WorkDate,
            Today = PlaceTime.Today(study.Job, clock),
            Bid = BidQuestions.Answer(bid.Bid, means.Supplies),
            Surfaces = [.. bid.Surfaces.Select(PriceAnswers.Of)],
            Order = wanted,
        };
    }

    public string When => WorkDate is { } day ? Words.Say("price.paperDay", ("day", day)) : Words.Say("price.paperNoDay", ("day", Today));

    // What no way allows on that day is priced as if it were warm enough, and says so.
    public string Held => Named("price.heldSurfaces", Surfaces.Where(one => one.AllHeld).Select(one => one.Name));

    public string Missing => Named("price.missing", Bid.Missing);

    public string Free => Named("price.free", Bid.Free);

    public string Figure(string name) => Words.Print(Bid.Figures.GetValueOrDefault(name));

    public string LineName(BidLineAnswer line) =>
        line.Name.Length > 0 ? PaperWords.Material(line.Name) : Words.Say($"price.line.{line.Key.Split(':')[0]}");

    /// <summary>A sum at the end of a table, with blanks between its name and its amount.</summary>
    public static PaperLine Sum(string name, int blanks, string amount) =>
        new([name, .. Enumerable.Repeat("", blanks), amount], IsSum: true);

    private string Named(string path, IEnumerable<string> names) =>
        Writing.Listed(names.Select(PaperWords.Material)) is { Length: > 0 } all ? Words.Say(path, ("names", all)) : "";
}
