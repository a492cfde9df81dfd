using Umbracell.Documents;
using Umbracell.Formats.Words;
using Umbracell.Server.Papers;
using Umbracell.Server.Sets.Stock;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Sets.Papers;

/// <summary>What is loaded, on one page for the rig, with when the blankets go on.</summary>
internal sealed class LoadList(JobOrders orders, SurfaceReader reader) : IPaperMaker
{
    public PaperKind Kind => PaperKind.LoadList;

    public async Task<PaperDocument> MakeAsync(WantedPaper wanted)
    {
        var order = await orders.OfAsync(wanted.JobId, wanted.Person);
        var words = wanted.Words;
        return wanted.Paper(
            words.Say("order.loadTitle"),
            [(await reader.FindJobAsync(wanted.JobId)).Name, OrderOnPaper.When(words, order)],
            new(
                [
                    new(words.Say("order.col.product"), Share: 3),
                    new(words.Say("order.col.load"), Figures: true),
                    new(words.Say("order.col.weight"), Figures: true, 1.4),
                    new(words.Say("order.col.blanket"), Share: 4),
                ],
                [
                    .. order.Lines.Select(line => new PaperLine([
                        line.Sheet,
                        OrderOnPaper.Count(line.Load),
                        words.Print(line.Weight),
                        Writing.Listed(line.Drums.Select(drum => Blanket(words, drum)), "apart"),
                    ])),
                    new([words.Say("order.all"), "", words.Print(order.Weight), ""], IsSum: true),
                ]
            ),
            [.. order.Findings.Select(words.Told), words.Say("order.lots"), words.Say("order.core"), words.Say("order.safety")]
        ) with
        {
            OnePage = true,
        };
    }

    private static string Blanket(PaperWords words, DrumAnswer drum)
    {
        (string, object?)[] told =
        [
            ("side", drum.Side.ToString()),
            ("start", drum.Start),
            ("wanted", drum.Wanted),
            ("lead", drum.Lead?.Figure),
        ];
        return drum.Lead is null ? words.Say("order.never", told)
            : drum.Lead.Figure.Amount <= 0 ? words.Say("order.warmEnough", told)
            : words.Say("order.blanketOn", told);
    }
}
