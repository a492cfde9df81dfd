using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Server.Surfaces;
using Umbracell.Store;
using Umbracell.Store.Model;
using Umbracell.Store.Tenancy;

namespace Umbracell.Server.Jobs;

/// <summary>What the list of jobs shows of one.</summary>
/// <param name="Surfaces">How many surfaces it has.</param>
/// <param name="Area">Their treated area.</param>
/// <param name="Worst">How many surfaces stand at each verdict.</param>
/// <param name="UpToDate">Whether all of it is of the job as it stands.</param>
internal sealed record KeptCard(int Surfaces, Area Area, IReadOnlyDictionary<Verdict, int> Worst, bool UpToDate);

/// <summary>Cards of the list of jobs, from what is kept: nothing is studied to show a list. Jobs that are out of date are asked for, and
/// stand when the list is read again.</summary>
internal sealed class KeptCards(UmbracellDb db, FirmScope scope, BoardKeeper keeper, TimeProvider clock)
{
    /// <summary>How many jobs the list shows.</summary>
    public const int Listed = 1000;

    private sealed record Found
    {
        public required Guid Job { get; init; }

        public required long? Version { get; init; }

        public required string? MadeFrom { get; init; }

        public required DateTimeOffset? MadeAt { get; init; }

        public required DateTimeOffset? Until { get; init; }

        public required Verdict? Worst { get; init; }

        public required double? AreaM2 { get; init; }
    }

    /// <summary>The jobs the list shows, in its order.</summary>
    public static IQueryable<Job> Shown(IQueryable<Job> jobs) =>
        jobs.OrderBy(job => job.ArchivedAt != null).ThenByDescending(job => job.CreatedAt).Take(Listed);

    /// <summary>Cards of jobs; those behind are asked for.</summary>
    public async Task<IReadOnlyDictionary<Guid, KeptCard>> OfAsync(Guid[] jobs)
    {
        var cards = await AsKeptAsync(jobs);
        await keeper.AskAsync(scope.FirmId!.Value, cards.Where(card => !card.Value.UpToDate).Select(card => card.Key));
        return cards;
    }

    /// <summary>The jobs of the list whose figures are behind, newest first.</summary>
    public async Task<IReadOnlyList<Guid>> BehindAsync()
    {
        var jobs = await Shown(db.Jobs).Select(job => job.Id).ToArrayAsync();
        var cards = await AsKeptAsync(jobs);
        return [.. jobs.Where(job => !cards[job].UpToDate)];
    }

    private async Task<IReadOnlyDictionary<Guid, KeptCard>> AsKeptAsync(Guid[] jobs)
    {
        var firm = scope.FirmId!.Value;
        Guid[] subjects = [firm, .. jobs];
        var versions = await db
            .InputVersions.AsNoTracking()
            .Where(v => subjects.Contains(v.SubjectId))
            .ToDictionaryAsync(v => v.SubjectId, v => v.Version);
        var found = (await FoundAsync(jobs)).ToLookup(row => row.Job);
        var now = clock.GetUtcNow();
        return jobs.ToDictionary(
            job => job,
            job => Card([.. found[job]], FigureInputs.CommonOf(versions.GetValueOrDefault(firm), versions.GetValueOrDefault(job)), now)
        );
    }

    private static KeptCard Card(List<Found> rows, string common, DateTimeOffset now) =>
        new(
            rows.Count,
            Area.FromSquareMetres(rows.Sum(row => row.AreaM2 ?? 0)),
            rows.Where(row => row.Worst is not null).CountBy(row => row.Worst!.Value).ToDictionary(),
            rows.TrueForAll(row =>
                row.MadeFrom is { } from && from == FigureInputs.Of(common, row.Version ?? 0) && row.MadeAt <= now && !(row.Until < now)
            )
        );

    private Task<List<Found>> FoundAsync(Guid[] jobs) =>
        (
            from surface in db.Surfaces
            join kept in db.SurfaceCells on surface.Id equals kept.SurfaceId into all
            from kept in all.DefaultIfEmpty()
            join version in db.InputVersions on surface.Id equals version.SubjectId into versions
            from version in versions.DefaultIfEmpty()
            where jobs.Contains(surface.JobId)
            select new Found
            {
                Job = surface.JobId,
                Version = (long?)version.Version,
                MadeFrom = kept.MadeFrom,
                MadeAt = (DateTimeOffset?)kept.MadeAt,
                Until = kept.WorstUntil,
                Worst = (Verdict?)kept.Worst,
                AreaM2 = (double?)kept.AreaM2,
            }
        ).ToListAsync();
}
