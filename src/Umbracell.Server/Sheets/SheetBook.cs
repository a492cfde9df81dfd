using Microsoft.EntityFrameworkCore;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Answers;
using Umbracell.Server.Problems;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Sheets;

/// <summary>The firm's product sheets as they are read: the list of them, and one with its editions and jobs.</summary>
internal sealed class SheetBook(UmbracellDb db, SheetLibrary library, SheetEditions editions)
{
    /// <summary>Every product, those that are not offered any more last.</summary>
    public async Task<IReadOnlyList<SheetSummary>> AllAsync()
    {
        var rows = await db.Sheets.AsNoTracking().Where(s => s.RemovedAt == null).ToListAsync();
        var counts = rows.CountBy(row => row.Slug).ToDictionary();
        return
        [
            .. rows.Where(row => row.Stands)
                .Select(row => Summary(row, counts[row.Slug]))
                .OrderBy(one => one.Retired)
                .ThenBy(one => one.Cell)
                .ThenBy(one => one.Grade)
                .ThenBy(one => one.Name, StringComparer.Ordinal),
        ];
    }

    /// <summary>A product with all that stands on one of its editions.</summary>
    /// <param name="product">Its id.</param>
    /// <param name="number">Which edition; null for the one that stands.</param>
    /// <exception cref="NotFoundException">The firm has no such product or edition.</exception>
    public async Task<SheetDetail> OfAsync(string product, int? number = null)
    {
        var rows = await db
            .Sheets.AsNoTracking()
            .Where(s => s.Slug == product && s.RemovedAt == null)
            .OrderByDescending(s => s.Number)
            .ToListAsync();
        var standing = rows.Find(row => row.Stands) ?? throw new NotFoundException("sheet");
        var shown = number is null ? standing : rows.Find(row => row.Number == number) ?? throw new NotFoundException("sheet");
        var document = SheetDocument.Of(shown.Document);
        return new()
        {
            Summary = Summary(standing, rows.Count),
            Number = shown.Number,
            Lines = SheetAnswers.Lines(document),
            Curves = SheetAnswers.Curves(document),
            Editions = [.. rows.Select((row, i) => Edition(row, rows.ElementAtOrDefault(i + 1)))],
            Jobs = await JobsAsync(standing),
        };
    }

    private async Task<IReadOnlyList<SheetJobAnswer>> JobsAsync(SheetRow standing)
    {
        var with = await editions.JobsWithAsync(standing.Slug);
        var jobs = await db.Jobs.AsNoTracking().Where(j => with.Contains(j.Id)).OrderBy(j => j.Name).ToListAsync();
        return
        [
            .. jobs.Select(job => new SheetJobAnswer(
                job.Id,
                job.Name,
                job.HeldEditions?.TryGetValue(standing.Slug, out var held) == true ? held : standing.Number
            )),
        ];
    }

    private SheetEditionAnswer Edition(SheetRow row, SheetRow? before)
    {
        var document = SheetDocument.Of(row.Document);
        return new()
        {
            Number = row.Number,
            Edition = library.Read(row).Edition,
            Stands = row.Stands,
            Origin = row.Origin,
            KeptAt = row.KeptAt,
            KeptBy = row.KeptBy,
            Changed = before is null
                ? []
                : [.. document.Differences(SheetDocument.Of(before.Document)).Where(path => path != SheetEntries.Edition.Path)],
        };
    }

    private SheetSummary Summary(SheetRow row, int count)
    {
        var sheet = library.Read(row);
        return new()
        {
            Id = row.Slug,
            Name = sheet.Name,
            Maker = sheet.Maker,
            Edition = sheet.Edition,
            Number = row.Number,
            Cell = sheet.Cell,
            Grade = sheet.Grade,
            Origin = row.Origin,
            Retired = row.RetiredAt is not null,
            Editions = count,
            GreatestLift = FigureAnswer.AsTyped(sheet.GreatestLift.ToThickness()),
            Yield = FigureAnswer.Of(sheet.SheetYield.ToFigure()),
            Version = row.Version,
        };
    }
}
