using System.Security.Claims;
using Umbracell.Documents;
using Umbracell.Server.Papers;
using Umbracell.Server.Problems;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Sets.Papers;

/// <summary>The bid for the customer: what is done and what it costs.</summary>
internal sealed class OuterBid(StudiedJobs jobs, TimeProvider clock) : IPaperMaker
{
    public PaperKind Kind => PaperKind.OuterBid;

    public bool ShowsPrices(ClaimsPrincipal person) => true;

    /// <exception cref="NotReadyException">A product has no price: what it costs would be left out.</exception>
    public async Task<PaperDocument> MakeAsync(WantedPaper wanted)
    {
        var bid = await BidOnPaper.OfAsync(jobs, clock, wanted);
        var words = wanted.Words;
        if (bid.Bid.Missing.Count > 0)
        {
            throw new NotReadyException(words.Say("price.outer.incomplete"));
        }

        return wanted.Paper(
            words.Say("price.outer.title", ("job", bid.Job)),
            [bid.When, words.Say("price.outer.area", ("area", bid.Figure("treated")))],
            new(
                [
                    new(words.Say("price.surfaceCol.name"), Share: 3),
                    new(words.Say("price.outer.areaCol"), Figures: true, 1.5),
                    new(words.Say("price.outer.what"), Share: 4),
                    new(words.Say("price.outer.r"), Figures: true, 1.6),
                    new(words.Say("price.col.amount"), Figures: true, 1.8),
                ],
                [
                    .. bid.Surfaces.Select(one => new PaperLine([
                        one.Name,
                        words.Print(one.Treated),
                        words.Layers(one.Layers),
                        words.PrintOrDash(one.R),
                        "",
                    ])),
                    .. Tax(bid, words),
                    BidOnPaper.Sum(words.Say("price.total"), 3, bid.Figure("price")),
                ]
            ),
            [bid.Held, words.Say("price.outer.rNote"), words.Say("price.paperSeason"), words.Say("price.paperSafety")]
        );
    }

    private static IEnumerable<PaperLine> Tax(BidOnPaper bid, PaperWords words) =>
        bid.Bid.Lines.FirstOrDefault(line => line.Key == "tax") is { } tax
            ?
            [
                BidOnPaper.Sum(words.Say("price.outer.net"), 3, bid.Figure("net")),
                BidOnPaper.Sum(words.Say("price.line.tax"), 3, words.Print(tax.Amount.Figure)),
            ]
            : [];
}
