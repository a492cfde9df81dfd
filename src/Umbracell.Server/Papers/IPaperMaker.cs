using System.Security.Claims;
using Umbracell.Documents;
using Umbracell.Formats.Words;
using Umbracell.Store.Model;

namespace Umbracell.Server.Papers;

/// <summary>Makes a kind of paper from what the server knows of a job. A stage registers those it can make.</summary>
internal interface IPaperMaker
{
    PaperKind Kind { get; }

    /// <summary>Whether it shows what the firm pays and earns when it is made for this person: only those who price then read it.</summary>
    bool ShowsPrices(ClaimsPrincipal person) => false;

    /// <summary>The paper as things stand.</summary>
    Task<PaperDocument> MakeAsync(WantedPaper wanted);
}

/// <summary>A paper that somebody wants.</summary>
/// <param name="JobId">Of which job.</param>
/// <param name="Wish">What was asked for.</param>
/// <param name="Person">For whom it is made.</param>
/// <param name="Firm">The firm.</param>
/// <param name="Words">The words it is written in.</param>
internal sealed record WantedPaper(Guid JobId, PaperWish Wish, ClaimsPrincipal Person, Firm Firm, PaperWords Words)
{
    /// <summary>A paper with the firm's heading, in the units asked for.</summary>
    public PaperDocument Paper(string title, IEnumerable<string> lead, PaperTable table, IEnumerable<string> notes) =>
        new()
        {
            Units = Wish.Units,
            Firm = Firm.Name,
            Currency = Writing.MoneySign(Firm.Currency),
            Title = title,
            Lead = Said(lead),
            Sections = [],
            Table = table,
            Notes = Said(notes),
        };

    private static IReadOnlyList<string> Said(IEnumerable<string> lines) => [.. lines.Where(line => line.Length > 0)];
}
