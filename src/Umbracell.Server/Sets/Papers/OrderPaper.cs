using System.Globalization;
using System.Security.Claims;
using Umbracell.Documents;
using Umbracell.Server.Access;
using Umbracell.Server.Papers;
using Umbracell.Server.Sets.Stock;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Sets.Papers;

/// <summary>What is ordered, for whoever buys. Every line says which job it is for and by when: orders of several jobs are put under one
/// another.</summary>
internal sealed class OrderPaper(JobOrders orders, SurfaceReader reader) : IPaperMaker
{
    public PaperKind Kind => PaperKind.Order;

    public bool ShowsPrices(ClaimsPrincipal person) => person.May(Right.Price);

    public async Task<PaperDocument> MakeAsync(WantedPaper wanted)
    {
        var order = await orders.OfAsync(wanted.JobId, wanted.Person);
        var job = (await reader.FindJobAsync(wanted.JobId)).Name;
        var words = wanted.Words;
        var priced = ShowsPrices(wanted.Person);
        return wanted.Paper(
            words.Say("order.orderTitle"),
            [job, OrderOnPaper.When(words, order), order.OrderBy is { } by ? words.Say("order.by", ("day", by)) : ""],
            new(
                [
                    .. Columns(words),
                    .. priced ? [new PaperColumn(words.Say("order.col.price"), Figures: true, 2.2)] : Array.Empty<PaperColumn>(),
                ],
                [
                    .. order
                        .Lines.Where(line => line.OrderCount > 0)
                        .Select(line => new PaperLine([
                            .. Cells(job, order, line),
                            .. priced ? [words.Print(line.Price)] : Array.Empty<string>(),
                        ])),
                ]
            ),
            [words.Say("order.warm")]
        );
    }

    private static PaperColumn[] Columns(PaperWords words) =>
        [
            new(words.Say("order.col.job"), Share: 3.2),
            new(words.Say("price.workDate"), Share: 2.2),
            new(words.Say("order.col.by"), Share: 2.2),
            new(words.Say("order.col.product"), Share: 3),
            new(words.Say("order.col.sets"), Figures: true, 1.6),
            new(words.Say("order.col.drumsA"), Figures: true, 1.6),
            new(words.Say("order.col.drumsB"), Figures: true, 1.6),
        ];

    // Days as programs sort them: these lines end in spreadsheets.
    private static string[] Cells(string job, JobOrderAnswer order, OrderLine line)
    {
        var count = OrderOnPaper.Count(line.OrderCount);
        return [job, Day(order.WorkDate), Day(order.OrderBy), line.Sheet, count, count, count];

        static string Day(DateOnly? day) => day?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture) ?? "";
    }
}
