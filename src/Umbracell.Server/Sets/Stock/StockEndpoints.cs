using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;
using Umbracell.Questions.Answers;
using Umbracell.Server.Access;
using Umbracell.Server.Problems;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Sets.Stock;

internal static class StockEndpoints
{
    private static readonly string[] Fields = ["product", "side", "lot", "expires", "full", "part"];

    private static readonly FigureRange Full = new(0, 1000, Dimension.Count),
        Part = new(0, 1000, Dimension.Mass);

    public static void MapStock(this IEndpointRouteBuilder app)
    {
        var stock = app.MapGroup("/api/stock").WithTags("Stock").Requires(Right.Look);
        stock
            .MapGet(
                "",
                async (UmbracellDb db, SheetLibrary library, TimeProvider clock) => TypedResults.Ok(await AnswerAsync(db, library, clock))
            )
            .WithSummary("Drums in the store by product, side and lot.");
        stock.MapPost("", AddAsync).WithSummary("Drums of a lot from typed fields.").Requires(Right.Edit);
        stock.MapPatch("/{id:guid}", ChangeAsync).WithSummary("Change typed fields of a lot.").Requires(Right.Edit).ProducesProblem(409);
        stock.MapDelete("/{id:guid}", RemoveAsync).WithSummary("Take a lot off.").Requires(Right.Edit);
        app.MapGet("/api/jobs/{id:guid}/order", OfJobAsync)
            .WithTags("Stock")
            .WithSummary("What a job loads, what is in the store, what is ordered, and when drums go into blankets.")
            .Requires(Right.Look);
    }

    private static async Task<StockAnswer> AnswerAsync(UmbracellDb db, SheetLibrary library, TimeProvider clock)
    {
        var sheets = await library.AllAsync();
        var rows = await db.StockLots.AsNoTracking().OrderBy(l => l.SheetSlug).ThenBy(l => l.Side).ThenBy(l => l.Expires).ToListAsync();
        var today = DateOnly.FromDateTime(clock.GetUtcNow().UtcDateTime);
        return new(
            [
                .. rows.Select(r => new StockLotAnswer
                {
                    Id = r.Id,
                    SheetId = r.SheetSlug,
                    Sheet = sheets.GetValueOrDefault(r.SheetSlug)?.Name ?? r.SheetSlug,
                    Side = r.Side,
                    Lot = r.Lot,
                    Expires = r.Expires,
                    Full = r.Full,
                    Part = FigureAnswer.Of(new(r.PartKg, Dimension.Mass)),
                    Version = r.Version,
                }),
            ],
            [.. rows.Select(r => r.SheetSlug).Distinct().Where(sheets.ContainsKey).Select(slug => Product(sheets[slug], rows, today))]
        );
    }

    private static StockProductAnswer Product(Core.Materials.ProductSheet sheet, List<StockLotRow> rows, DateOnly today)
    {
        var stock = DrumStock.Of(sheet, StoreLots.Of(rows, sheet.Id), 0, today);
        return new()
        {
            SheetId = sheet.Id,
            Sheet = sheet.Name,
            SetsA = FigureAnswer.Of(new(stock.SetsA, Dimension.Sets)),
            SetsB = FigureAnswer.Of(new(stock.SetsB, Dimension.Sets)),
            Sets = FigureAnswer.Of(new(stock.Sets, Dimension.Sets)),
            Findings = FindingAnswer.All(stock.Findings.Where(f => f.Case != MaterialRules.Suffices)),
        };
    }

    private static async Task<Ok<StockAnswer>> AddAsync(
        TypedEdit edit,
        UmbracellDb db,
        SheetLibrary library,
        Commands commands,
        TimeProvider clock
    )
    {
        if (!await commands.TakeAsync(edit, null))
        {
            return TypedResults.Ok(await AnswerAsync(db, library, clock));
        }

        var fields = new TypedFields(edit);
        fields.Require("product", "side", "lot");
        var row = new StockLotRow
        {
            Id = edit.Id ?? Guid.NewGuid(),
            SheetSlug = "",
            Lot = "",
        };
        Take(fields, row, (await library.AllAsync()).ContainsKey);
        db.StockLots.Add(row);
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AnswerAsync(db, library, clock));
    }

    private static async Task<Ok<StockAnswer>> ChangeAsync(
        Guid id,
        TypedEdit edit,
        UmbracellDb db,
        SheetLibrary library,
        Commands commands,
        TimeProvider clock
    )
    {
        var row = await FindAsync(id, db);
        if (!await commands.TakeAsync(edit, row))
        {
            return TypedResults.Ok(await AnswerAsync(db, library, clock));
        }

        await Seen.MustStandAsync(edit.Version, row.Version, () => AnswerAsync(db, library, clock));

        Take(new(edit), row, (await library.AllAsync()).ContainsKey);
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AnswerAsync(db, library, clock));
    }

    private static async Task<Ok<StockAnswer>> RemoveAsync(Guid id, UmbracellDb db, SheetLibrary library, TimeProvider clock)
    {
        db.StockLots.Remove(await FindAsync(id, db));
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AnswerAsync(db, library, clock));
    }

    private static async Task<Ok<JobOrderAnswer>> OfJobAsync(Guid id, JobOrders orders, ClaimsPrincipal person) =>
        TypedResults.Ok(await orders.OfAsync(id, person));

    private static async Task<StockLotRow> FindAsync(Guid id, UmbracellDb db) =>
        await db.StockLots.SingleOrDefaultAsync(l => l.Id == id) ?? throw new NotFoundException("lot");

    private static void Take(TypedFields fields, StockLotRow row, Func<string, bool> isSheet)
    {
        fields.Known("product", isSheet, id => row.SheetSlug = id);
        fields.Choice<SetSide>("side", side => row.Side = side);
        fields.Text("lot", 60, required: true, text => row.Lot = text);
        fields.Date("expires", day => row.Expires = day);
        fields.Quantity("full", Full, n => row.Full = (int)Math.Round(n));
        fields.Quantity("part", Part, kg => row.PartKg = kg);
        fields.ThrowIfFaulty(Fields);
    }
}
