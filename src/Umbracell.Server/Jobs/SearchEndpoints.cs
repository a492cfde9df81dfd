using System.Globalization;
using System.Text;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Formats.DataFiles;
using Umbracell.Server.Access;
using Umbracell.Server.Sheets;
using Umbracell.Store;

namespace Umbracell.Server.Jobs;

/// <summary>A job that was found.</summary>
public sealed record FoundJob(Guid Id, string Name, string Crew, string? Place, bool Archived);

/// <summary>A surface that was found, with its job.</summary>
public sealed record FoundSurface(Guid Id, string Name, Guid JobId, string Job);

/// <summary>A product that was found.</summary>
public sealed record FoundSheet(string Id, string Name, string Maker);

/// <summary>What has every word that was looked for; of each kind the first few.</summary>
public sealed record SearchAnswer(IReadOnlyList<FoundJob> Jobs, IReadOnlyList<FoundSurface> Surfaces, IReadOnlyList<FoundSheet> Sheets);

/// <summary>Finds jobs, surfaces and products by words, whatever their accents and capitals.</summary>
internal static class SearchEndpoints
{
    private const int MostOfAKind = 8;
    private const int MostWords = 8;

    public static void MapSearch(this IEndpointRouteBuilder app) =>
        app.MapGet("/api/search", SearchAsync)
            .WithTags("Jobs")
            .WithSummary("Jobs, surfaces and products that have every word; those of the job one is at come first.")
            .Requires(Right.Look);

    private static async Task<Ok<SearchAnswer>> SearchAsync(UmbracellDb db, SheetLibrary library, string words = "", Guid? job = null)
    {
        var parts = Plain(words).Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries).Take(MostWords).ToArray();
        return TypedResults.Ok(
            parts.Length == 0
                ? new SearchAnswer([], [], [])
                : new SearchAnswer(await JobsAsync(db, parts), await SurfacesAsync(db, parts, job), await SheetsAsync(library, parts))
        );
    }

    private static async Task<List<FoundJob>> JobsAsync(UmbracellDb db, string[] parts)
    {
        var jobs = await db
            .Jobs.AsNoTracking()
            .OrderBy(j => j.ArchivedAt != null)
            .ThenByDescending(j => j.CreatedAt)
            .Select(j => new
            {
                j.Id,
                j.Name,
                Crew = j.CrewRow!.Name,
                j.PlaceId,
                Own = j.OwnPlace!.Name,
                Archived = j.ArchivedAt != null,
            })
            .ToListAsync();
        return
        [
            .. jobs.Select(j => new FoundJob(
                    j.Id,
                    j.Name,
                    j.Crew ?? "",
                    j.Own ?? (j.PlaceId is { } id ? ShippedData.Places.GetValueOrDefault(id)?.Name : null),
                    j.Archived
                ))
                .Where(j => HasAll($"{j.Name} {j.Crew} {j.Place}", parts))
                .Take(MostOfAKind),
        ];
    }

    // A word may be the job's: "ferry north" finds the north wall of the ferry house. One at least is the surface's own.
    private static Task<List<FoundSurface>> SurfacesAsync(UmbracellDb db, string[] parts, Guid? at)
    {
        var found = db.Surfaces.Join(db.Jobs, s => s.JobId, j => j.Id, (s, j) => new { Surface = s, Job = j });
        foreach (var part in parts)
        {
            found = found.Where(pair => UmbracellDb.PlainText(pair.Surface.Name + " " + pair.Job.Name).Contains(part));
        }

        var own = parts.Select(part => $"%{part.Replace("\\", "\\\\").Replace("%", "\\%").Replace("_", "\\_")}%").ToArray();
        return found
            .Where(pair => own.Any(pattern => EF.Functions.Like(UmbracellDb.PlainText(pair.Surface.Name), pattern)))
            .OrderByDescending(pair => pair.Job.Id == at)
            .ThenBy(pair => pair.Job.ArchivedAt != null)
            .ThenByDescending(pair => pair.Job.CreatedAt)
            .ThenBy(pair => pair.Surface.Position)
            .Take(MostOfAKind)
            .Select(pair => new FoundSurface(pair.Surface.Id, pair.Surface.Name, pair.Job.Id, pair.Job.Name))
            .ToListAsync();
    }

    private static async Task<List<FoundSheet>> SheetsAsync(SheetLibrary library, string[] parts) =>
        [
            .. (await library.AllAsync())
                .Values.OrderBy(s => s.Name, StringComparer.Ordinal)
                .Where(s => HasAll($"{s.Name} {s.Maker}", parts))
                .Take(MostOfAKind)
                .Select(s => new FoundSheet(s.Id, s.Name, s.Maker)),
        ];

    private static bool HasAll(string text, string[] parts)
    {
        var plain = Plain(text);
        return parts.All(part => plain.Contains(part, StringComparison.Ordinal));
    }

    // As the database does it (plain_text).
    private static string Plain(string text) =>
        string.Concat(
                new string([.. text.Select(letter => char.IsControl(letter) ? ' ' : letter)])
                    .Normalize(NormalizationForm.FormD)
                    .Where(letter => letter is < '\u0300' or > '\u036f')
            )
            .ToLower(CultureInfo.InvariantCulture);
}
