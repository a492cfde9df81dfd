using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Server.Surfaces;
using Umbracell.Store;
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

    public async Task<IReadOnlyDictionary<Guid, KeptCard>> OfAsync(Guid[] jobs)
    {
        var firm = scope.FirmId!.Value;
        Guid[] subjects = [firm, .. jobs];
        var versions = await db
            .InputVersions.Where(v => subjects.Contains(v.SubjectId))
            .ToDictionaryAsync(v => v.SubjectId, v => v.Version);
        var found = (await FoundAsync(jobs)).ToLookup(row => row.Job);
        var now = clock.GetUtcNow();
        var cards = jobs.ToDictionary(
            job => job,
            job => Card([.. found[job]], FigureInputs.CommonOf(versions.GetValueOrDefault(firm), versions.GetValueOrDefault(job)), now)
        );
        keeper.Ask(firm, jobs.Where(job => !cards[job].UpToDate));
        return cards;
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
