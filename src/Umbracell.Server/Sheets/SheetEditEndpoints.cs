using System.Security.Claims;
using System.Text;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Answers;
using Umbracell.Server.Access;
using Umbracell.Server.Problems;
using Umbracell.Server.Requests;
using Umbracell.Server.Typing;
using Umbracell.Store;

namespace Umbracell.Server.Sheets;

/// <summary>Sheets read, typed, brought in and given out, retired and removed.</summary>
internal static class SheetEditEndpoints
{
    public static void MapSheetBook(this IEndpointRouteBuilder app)
    {
        var sheets = app.MapGroup("/api/sheets").WithTags("Sheets").Requires(Right.Look);
        sheets.MapGet("", async (SheetBook book) => TypedResults.Ok(await book.AllAsync())).WithSummary("The firm's product sheets.");
        sheets
            .MapGet("/{id}", async (string id, SheetBook book, int? number = null) => TypedResults.Ok(await book.OfAsync(id, number)))
            .WithSummary("One edition of a product sheet with all that stands on it; the one that stands where none is named.");
        sheets
            .MapGet("/{id}/file", FileAsync)
            .WithSummary("A product sheet as a JSON file of the schema.")
            .Produces<FileContentHttpResult>(contentType: "application/json");
        sheets
            .MapPost("/check", CheckAsync)
            .WithSummary("How a sheet that is being typed reads so far, and what is wrong with it; nothing is kept.")
            .Requires(Right.Edit);
        sheets.MapPost("", AddAsync).WithSummary("A product the firm had not, typed or begun from another.").Requires(Right.Edit);
        sheets
            .MapPost("/{id}/editions", ReplaceAsync)
            .WithSummary("The next edition of a product. What was figured with the one before keeps to it.")
            .Requires(Right.Edit)
            .ProducesProblem(409);
        sheets
            .MapPost("/file", BringInAsync)
            .WithSummary("Bring a product sheet in as a JSON file of the schema: a new product, or the next edition of one there is.")
            .Requires(Right.Edit)
            .Accepts<byte[]>("application/octet-stream")
            .TakesFile(Limits.RequestBytes);
        sheets.MapPatch("/{id}", ChangeAsync).WithSummary("Offer a product no more, or again.").Requires(Right.Edit).ProducesProblem(409);
        sheets
            .MapDelete("/{id}", RemoveAsync)
            .WithSummary("Take a product away that nothing names.")
            .Requires(Right.Edit)
            .ProducesProblem(409);
    }

    private static async Task<FileContentHttpResult> FileAsync(string id, UmbracellDb db, int? number = null)
    {
        var row =
            await db
                .Sheets.AsNoTracking()
                .FirstOrDefaultAsync(s => s.Slug == id && s.RemovedAt == null && (number == null ? s.Stands : s.Number == number))
            ?? throw new NotFoundException("sheet");
        var text = SheetDocument.Of(row.Document).Write();
        return TypedResults.File(Encoding.UTF8.GetBytes(text), "application/json", $"{row.Slug}-{row.Number}.json");
    }

    private static async Task<Ok<SheetCheck>> CheckAsync(SheetEdit edit, SheetEditions editions)
    {
        var sheet = await BegunAsync(edit.From, editions);
        var faults = SheetFields.Take(edit, sheet);
        return TypedResults.Ok(new SheetCheck(SheetAnswers.Lines(sheet), SheetAnswers.Curves(sheet), faults));
    }

    private static async Task<SheetDocument> BegunAsync(string? from, SheetEditions editions) =>
        from is null ? SheetDocument.Blank() : SheetDocument.Of((await editions.StandingAsync(from)).Document);

    private static async Task<Created<SheetDetail>> AddAsync(
        SheetEdit edit,
        UmbracellDb db,
        SheetEditions editions,
        SheetBook book,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock
    )
    {
        if (!await commands.TakeAsync(edit, null))
        {
            return Created(await book.OfAsync(await ProductOfAsync(edit.Id!.Value, db)));
        }

        var sheet = await BegunAsync(edit.From, editions);
        MustBeWhole(SheetFields.Take(edit, sheet));
        sheet.Id = "";
        var stamp = Stamp.Of(user, clock, edit);
        var row = await editions.AddAsync(sheet, edit.Id, stamp.By, stamp.At);
        await db.SaveChangesAsync();
        return Created(await book.OfAsync(row.Slug));
    }

    private static async Task<Ok<SheetDetail>> ReplaceAsync(
        string id,
        SheetEdit edit,
        SheetEditions editions,
        SheetBook book,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock
    )
    {
        var standing = await editions.StandingAsync(id);
        if (await commands.TakeAsync(edit, null))
        {
            await Seen.MustStandAsync(edit.Version, standing.Version, () => book.OfAsync(id));
            var sheet = SheetDocument.Of(standing.Document);
            MustBeWhole(SheetFields.Take(edit, sheet));
            if (!sheet.SaysTheSame(SheetDocument.Of(standing.Document)))
            {
                var stamp = Stamp.Of(user, clock, edit);
                await editions.ReplaceAsync(standing, sheet, edit.Id, stamp.By, stamp.At);
            }
        }

        return TypedResults.Ok(await book.OfAsync(id));
    }

    private static async Task<Created<SheetBroughtIn>> BringInAsync(
        HttpRequest request,
        UmbracellDb db,
        SheetEditions editions,
        SheetBook book,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock,
        Guid? command = null
    )
    {
        var bytes = await Uploads.ReadAsync(request);
        using var reader = new StreamReader(new MemoryStream(Uploads.Within(bytes)));
        var text = await reader.ReadToEndAsync();
        _ = ProductSheetFile.Read("sheet", text);
        var sheet = SheetDocument.Of(text);
        var sent = new SentAlone(command);
        if (!await commands.TakeAsync(sent, null))
        {
            var first = await book.OfAsync(sheet.Id);
            return Created(first, first.Editions.Count > 1 ? SheetArrival.Edition : SheetArrival.New);
        }

        var stamp = Stamp.Of(user, clock, sent);
        var standing = await db.Sheets.FirstOrDefaultAsync(s => s.Slug == sheet.Id && s.Stands && s.RemovedAt == null);
        if (standing is null)
        {
            var row = await editions.AddAsync(sheet, command, stamp.By, stamp.At);
            await db.SaveChangesAsync();
            return Created(await book.OfAsync(row.Slug), SheetArrival.New);
        }

        if (SheetDocument.Of(standing.Document).SaysTheSame(sheet))
        {
            return Created(await book.OfAsync(sheet.Id), SheetArrival.Same);
        }

        await editions.ReplaceAsync(standing, sheet, command, stamp.By, stamp.At);
        return Created(await book.OfAsync(sheet.Id), SheetArrival.Edition);
    }

    private static async Task<Ok<SheetDetail>> ChangeAsync(
        string id,
        TypedEdit edit,
        UmbracellDb db,
        SheetEditions editions,
        SheetBook book,
        Commands commands,
        TimeProvider clock
    )
    {
        var row = await editions.StandingAsync(id);
        if (await commands.TakeAsync(edit, row))
        {
            await Seen.MustStandAsync(edit.Version, row.Version, () => book.OfAsync(id));
            var fields = new TypedFields(edit);
            fields.YesNo("retired", yes => row.RetiredAt = yes == true ? row.RetiredAt ?? clock.GetUtcNow() : null);
            fields.ThrowIfFaulty("retired");
            if (row.RetiredAt is not null)
            {
                await editions.HoldAsync(row);
            }

            await db.SaveChangesAsync();
        }

        return TypedResults.Ok(await book.OfAsync(id));
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> RemoveAsync(
        string id,
        UmbracellDb db,
        SheetEditions editions,
        TimeProvider clock
    )
    {
        var row = await editions.StandingAsync(id);
        if ((await editions.JobsWithAsync(id)).Count is > 0 and var jobs)
        {
            return InUse.Refusal("sheet", jobs);
        }

        if (await db.StockLots.AnyAsync(lot => lot.SheetSlug == id) || await db.PastJobs.AnyAsync(job => job.SheetSlug == id))
        {
            return InUse.Refusal("sheetBook", 0);
        }

        foreach (var one in await db.Sheets.Where(s => s.Slug == row.Slug).ToListAsync())
        {
            (one.RemovedAt, one.Stands) = (clock.GetUtcNow(), false);
        }

        await db.SaveChangesAsync();
        return TypedResults.NoContent();
    }

    private static async Task<string> ProductOfAsync(Guid row, UmbracellDb db) =>
        await db.Sheets.Where(s => s.Id == row).Select(s => s.Slug).FirstOrDefaultAsync() ?? throw new NotFoundException("sheet");

    private static void MustBeWhole(IReadOnlyList<FieldFault> faults)
    {
        if (faults.Count > 0)
        {
            throw new FieldFaultsException(faults);
        }
    }

    private static Created<SheetDetail> Created(SheetDetail sheet) => TypedResults.Created($"/api/sheets/{sheet.Summary.Id}", sheet);

    private static Created<SheetBroughtIn> Created(SheetDetail sheet, SheetArrival became) =>
        TypedResults.Created($"/api/sheets/{sheet.Summary.Id}", new SheetBroughtIn(became, sheet));
}
