using System.Globalization;
using System.Text;
using Microsoft.EntityFrameworkCore;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Answers;
using Umbracell.Server.Problems;
using Umbracell.Store;
using Umbracell.Store.Model;
using Umbracell.Store.Tenancy;

namespace Umbracell.Server.Sheets;

/// <summary>Keeps the editions of product sheets. What was figured with an edition keeps to it: when the next one comes, jobs and finished
/// jobs are marked with the one that stood until then.</summary>
internal sealed class SheetEditions(UmbracellDb db, FirmScope scope)
{
    private const int LongestId = 50;

    /// <summary>The edition of a product that stands.</summary>
    public async Task<SheetRow> StandingAsync(string product) =>
        await db.Sheets.FirstOrDefaultAsync(s => s.Slug == product && s.Stands && s.RemovedAt == null)
        ?? throw new NotFoundException("sheet");

    /// <summary>Jobs, deleted ones too, in which a surface is planned with a product.</summary>
    public async Task<IReadOnlyList<Guid>> JobsWithAsync(string product)
    {
        var written = $"%\"{product}\"%";
        return await db
            .Database.SqlQuery<Guid>(
                $"""
                select distinct job_id as "Value" from surfaces
                where firm_id = {scope.FirmId} and (sheet_slug = {product} or system::text like {written})
                """
            )
            .ToListAsync();
    }

    /// <summary>Puts a product into the firm's sheets that it had not; its id is made from its name. Nothing is saved yet.</summary>
    public async Task<SheetRow> AddAsync(SheetDocument sheet, Guid? id, string by, DateTimeOffset at)
    {
        var taken = await db.Sheets.Select(s => new { s.Slug, s.Number }).ToListAsync();
        if (sheet.Id.Length == 0)
        {
            sheet.Id = IdFor(sheet.TextOf(SheetEntries.Name) ?? "", taken.ConvertAll(one => one.Slug));
        }

        // One that was removed may come back: its editions go on from where they were.
        var last = taken.Where(one => one.Slug == sheet.Id).Select(one => one.Number).DefaultIfEmpty().Max();
        return Keep(sheet, last + 1, id, by, at);
    }

    /// <summary>Makes a sheet the edition of its product that stands. One that nothing was figured with is changed in place; otherwise
    /// the edition before stays with what it was used for. Saved in one piece.</summary>
    public async Task<SheetRow> ReplaceAsync(SheetRow standing, SheetDocument sheet, Guid? id, string by, DateTimeOffset at)
    {
        var jobs = await FiguredWithAsync(standing);
        if (jobs.Count == 0 && !await SprayedBy(standing).AnyAsync())
        {
            (standing.Document, standing.Origin, standing.KeptBy, standing.KeptAt) = (sheet.Write(), SheetOrigin.Own, by, at);
            await db.SaveChangesAsync();
            return standing;
        }

        await MustBeNamedAnewAsync(standing.Slug, sheet);

        // The one before steps aside first: only one of a product stands. Within an open transaction both go together.
        await using var whole = db.Database.CurrentTransaction is null ? await db.Database.BeginTransactionAsync() : null;
        await HoldAsync(standing);
        var retired = standing.RetiredAt;
        (standing.Stands, standing.RetiredAt) = (false, null);
        await db.SaveChangesAsync();
        var last = await db.Sheets.Where(s => s.Slug == standing.Slug).MaxAsync(s => s.Number);
        var row = Keep(sheet, last + 1, id, by, at);
        row.RetiredAt = retired;
        await db.SaveChangesAsync();
        if (whole is not null)
        {
            await whole.CommitAsync();
        }

        return row;
    }

    // Two editions of one name could not be told apart where a job says which it keeps to.
    private async Task MustBeNamedAnewAsync(string product, SheetDocument sheet)
    {
        var editions = await db.Sheets.AsNoTracking().Where(s => s.Slug == product && s.RemovedAt == null).ToListAsync();
        var name = sheet.TextOf(SheetEntries.Edition);
        if (editions.Exists(one => SheetDocument.Of(one.Document).TextOf(SheetEntries.Edition) == name))
        {
            throw new FieldFaultsException([
                new()
                {
                    Field = SheetEntries.Edition.Path,
                    Code = FaultCode.Contradicts,
                    Typed = name ?? "",
                    Words = ["editionTaken"],
                },
            ]);
        }
    }

    // Those that keep to an earlier edition already are no concern of this one; marked with this one some are since it was retired.
    private async Task<List<Job>> FiguredWithAsync(SheetRow standing)
    {
        var with = await JobsWithAsync(standing.Slug);
        var jobs = await db.Jobs.WithDeleted().Where(j => with.Contains(j.Id)).ToListAsync();
        return jobs.FindAll(job => (job.HeldEditions ?? []).GetValueOrDefault(standing.Slug, standing.Number) == standing.Number);
    }

    private IQueryable<PastJobRow> SprayedBy(SheetRow standing) =>
        db.PastJobs.Where(j => j.SheetSlug == standing.Slug && (j.SheetNumber == null || j.SheetNumber == standing.Number));

    /// <summary>Marks what was figured with the edition that stands. Nothing is saved yet.</summary>
    public async Task HoldAsync(SheetRow standing)
    {
        foreach (var job in await FiguredWithAsync(standing))
        {
            job.HeldEditions = new(job.HeldEditions ?? []) { [standing.Slug] = standing.Number };
        }

        foreach (var past in await SprayedBy(standing).ToListAsync())
        {
            past.SheetNumber = standing.Number;
        }
    }

    /// <summary>Puts a sheet that came with a job among the firm's, unless it has it: one of another product is offered from then on, one
    /// that differs from the firm's own is kept for that job alone. Nothing is saved yet.</summary>
    /// <returns>The edition the job is to keep to; null for the one that stands.</returns>
    public async Task<int?> ComeAlongAsync(SheetDocument sheet, string by, DateTimeOffset at)
    {
        var rows = await db.Sheets.Where(s => s.Slug == sheet.Id && s.RemovedAt == null).ToListAsync();
        if (rows.Find(row => SheetDocument.Of(row.Document).SaysTheSame(sheet)) is { } same)
        {
            return same.Stands ? null : same.Number;
        }

        var last = await db.Sheets.Where(s => s.Slug == sheet.Id).MaxAsync(s => (int?)s.Number) ?? 0;
        var row = Keep(sheet, last + 1, null, by, at);
        row.Origin = SheetOrigin.Job;
        row.Stands = !rows.Exists(one => one.Stands);
        return row.Stands ? null : row.Number;
    }

    private SheetRow Keep(SheetDocument sheet, int number, Guid? id, string by, DateTimeOffset at)
    {
        var row = new SheetRow
        {
            Id = id ?? Guid.NewGuid(),
            Slug = sheet.Id,
            Number = number,
            Document = sheet.Write(),
            Origin = SheetOrigin.Own,
            KeptAt = at,
            KeptBy = by,
        };
        db.Sheets.Add(row);
        return row;
    }

    // Letters without their accents, digits, and hyphens for what lies between.
    private static string IdFor(string name, List<string> taken)
    {
        var plain = name.Normalize(NormalizationForm.FormD)
            .Where(c => CharUnicodeInfo.GetUnicodeCategory(c) != UnicodeCategory.NonSpacingMark)
            .Select(c => char.IsAsciiLetterOrDigit(c) ? char.ToLowerInvariant(c) : '-');
        var words = string.Concat(plain).Split('-', StringSplitOptions.RemoveEmptyEntries);
        var id = string.Join('-', words);
        id = id.Length == 0 ? "sheet" : id[..Math.Min(id.Length, LongestId)].TrimEnd('-');
        return Enumerable.Range(1, taken.Count + 1).Select(n => n == 1 ? id : $"{id}-{n}").First(one => !taken.Contains(one));
    }
}
