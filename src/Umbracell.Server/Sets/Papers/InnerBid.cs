using System.Security.Claims;
using Umbracell.Documents;
using Umbracell.Server.Papers;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Sets.Papers;

/// <summary>The bid for the firm alone: how the price comes about.</summary>
internal sealed class InnerBid(StudiedJobs jobs, TimeProvider clock) : IPaperMaker
{
    public PaperKind Kind => PaperKind.InnerBid;

    public bool ShowsPrices(ClaimsPrincipal person) => true;

    public async Task<PaperDocument> MakeAsync(WantedPaper wanted)
    {
        var bid = await BidOnPaper.OfAsync(jobs, clock, wanted);
        var words = wanted.Words;
        return wanted.Paper(
            words.Say("price.inner.title", ("job", bid.Job)),
            [
                words.Say("price.inner.mark"),
                bid.When,
                words.Say("price.paperArea", ("area", bid.Figure("treated")), ("foam", bid.Figure("foam"))),
            ],
            new(
                [
                    new(words.Say("price.col.what"), Share: 4),
                    new(words.Say("price.col.quantity"), Figures: true, 2),
                    new(words.Say("price.col.amount"), Figures: true, 2),
                ],
                [
                    .. bid.Bid.Lines.Select(line => new PaperLine([
                        bid.LineName(line),
                        words.Print(line.Quantity),
                        words.Print(line.Amount.Figure),
                    ])),
                    BidOnPaper.Sum(words.Say("price.total"), 1, bid.Figure("price")),
                ]
            ),
            [
                words.Say("price.paperRate", ("perArea", bid.Figure("perArea")), ("perVolume", bid.Figure("perVolume"))),
                .. bid.Surfaces.Select(one =>
                    $"{one.Name}: {words.Print(one.Treated)}, {words.Layers(one.Layers)}, {words.Print(one.Sets)}"
                ),
                bid.Missing,
                bid.Free,
                bid.Held,
            ]
        );
    }
}
