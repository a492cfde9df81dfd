using System.Globalization;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Answers;
using Umbracell.Server.Access;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Jobs;

/// <summary>A line of a sheet that reads otherwise in another edition.</summary>
/// <param name="Path">The line, or the curve.</param>
/// <param name="Was">In the edition the job keeps to; null for a curve, or where it is blank.</param>
/// <param name="Now">In the edition that stands.</param>
/// <param name="Words">The same where the line is words: as it was, and as it is now.</param>
/// <param name="IsTighter">Whether it is a limit that the edition that stands draws tighter.</param>
public sealed record SheetChange(string Path, FigureAnswer? Was, FigureAnswer? Now, IReadOnlyList<string> Words, bool IsTighter);

/// <summary>A product of a job of which a newer edition stands.</summary>
public sealed record HeldEdition
{
    /// <summary>The product.</summary>
    public required string SheetId { get; init; }

    /// <summary>Its name.</summary>
    public required string Name { get; init; }

    /// <summary>The edition the job is figured with.</summary>
    public required string Held { get; init; }

    /// <summary>Its number.</summary>
    public required int HeldNumber { get; init; }

    /// <summary>The edition that stands.</summary>
    public required string Standing { get; init; }

    /// <summary>Since when; null for samples.</summary>
    public required DateTimeOffset? KeptAt { get; init; }

    /// <summary>How the two differ.</summary>
    public required IReadOnlyList<SheetChange> Changes { get; init; }
}

/// <summary>The editions a job keeps to, and taking the newer ones.</summary>
internal static class JobEditions
{
    private const string Prefix = "edition:";

    public static void MapJobEditions(this IEndpointRouteBuilder app) =>
        app.MapGet("/api/jobs/{id:guid}/editions", OfJobAsync)
            .WithTags("Jobs")
            .WithSummary("Products of a job of which a newer edition stands than the one it is figured with.")
            .Requires(Right.Look);

    /// <summary>One field for each product: the number of the edition, or blank for the one that stands.</summary>
    public static IEnumerable<string> FieldsOf(SheetShelf shelf) => shelf.Standing.Keys.Select(product => Prefix + product);

    public static void Take(TypedFields fields, Job job, SheetShelf shelf)
    {
        foreach (var product in shelf.Standing.Keys)
        {
            fields.Known(
                Prefix + product,
                typed => typed.Length == 0 || (IsNumber(typed, out var number) && shelf.Editions.ContainsKey((product, number))),
                typed => job.HeldEditions = With(job.HeldEditions ?? [], product, IsNumber(typed, out var number) ? number : null)
            );
        }
    }

    /// <summary>The fields as they would be typed.</summary>
    public static IEnumerable<KeyValuePair<string, string>> Typed(Job job) =>
        (job.HeldEditions ?? []).Select(held => KeyValuePair.Create(Prefix + held.Key, held.Value.ToString(CultureInfo.InvariantCulture)));

    private static bool IsNumber(string typed, out int number) =>
        int.TryParse(typed, NumberStyles.None, CultureInfo.InvariantCulture, out number);

    private static Dictionary<string, int>? With(Dictionary<string, int> held, string product, int? number)
    {
        var changed = new Dictionary<string, int>(held);
        changed.Remove(product);
        if (number is { } known)
        {
            changed.Add(product, known);
        }

        return changed.Count > 0 ? changed : null;
    }

    private static async Task<Ok<List<HeldEdition>>> OfJobAsync(Guid id, SurfaceReader reader, UmbracellDb db, SheetLibrary library)
    {
        var job = await reader.FindJobAsync(id);
        if (job.HeldEditions is not { } held)
        {
            return TypedResults.Ok(new List<HeldEdition>());
        }

        var used = (await reader.SurfacesAsync(id)).SelectMany(ProductsOf).ToHashSet();
        var rows = await db.Sheets.AsNoTracking().Where(s => held.Keys.Contains(s.Slug) && s.RemovedAt == null).ToListAsync();
        List<HeldEdition> answer = [];
        foreach (var (product, number) in held.Where(one => used.Contains(one.Key)).OrderBy(one => one.Key, StringComparer.Ordinal))
        {
            if (
                rows.Find(row => row.Slug == product && row.Number == number) is { Stands: false } kept
                && rows.Find(row => row.Slug == product && row.Stands) is { } standing
            )
            {
                answer.Add(Of(kept, standing, library));
            }
        }

        return TypedResults.Ok(answer);
    }

    private static IEnumerable<string> ProductsOf(Surface surface) =>
        (surface.System?.Further ?? []).Select(layer => layer.Id).Prepend(surface.SheetSlug).OfType<string>();

    private static HeldEdition Of(SheetRow kept, SheetRow standing, SheetLibrary library)
    {
        var (was, now) = (SheetDocument.Of(kept.Document), SheetDocument.Of(standing.Document));
        var lines = SheetEntries.All.ToDictionary(line => line.Path);
        return new()
        {
            SheetId = kept.Slug,
            Name = library.Read(standing).Name,
            Held = library.Read(kept).Edition,
            HeldNumber = kept.Number,
            Standing = library.Read(standing).Edition,
            KeptAt = standing.KeptAt,
            Changes =
            [
                .. was.Differences(now)
                    .Where(path => path != SheetEntries.Edition.Path)
                    .Select(path =>
                        lines.TryGetValue(path, out var line)
                            ? new SheetChange(
                                path,
                                Figure(was, line),
                                Figure(now, line),
                                line.Unit is null ? [was.TextOf(line) ?? "", now.TextOf(line) ?? ""] : [],
                                line.IsTighter(now.FigureOf(line), was.FigureOf(line))
                            )
                            : new SheetChange(path, null, null, [], IsTighter: false)
                    ),
            ],
        };
    }

    private static FigureAnswer? Figure(SheetDocument sheet, SheetEntry line) =>
        sheet.FigureOf(line) is { } figure ? FigureAnswer.AsTyped(figure) : null;
}
