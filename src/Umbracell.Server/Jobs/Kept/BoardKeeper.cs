using System.Collections.Concurrent;
using System.Diagnostics;
using Umbracell.Server.Scheduling;
using Umbracell.Server.Surfaces;
using Umbracell.Store.Tenancy;

namespace Umbracell.Server.Jobs;

/// <summary>Asks that the kept figures of a firm's jobs be brought up to date, and knows which could not be.</summary>
internal sealed class BoardKeeper(FirmSchedule schedule, StudyMetrics metrics)
{
    /// <summary>The work by its name in the database.</summary>
    public const string Work = "boards";

    // A list asks again and again until it is answered.
    private static readonly TimeSpan RestAfterFailure = TimeSpan.FromMinutes(1);

    private readonly ConcurrentDictionary<Guid, long> _failed = new();

    /// <summary>Asks for the firm's jobs where one of these is behind that may be tried.</summary>
    public Task AskAsync(Guid firm, IEnumerable<Guid> behind) =>
        behind.Any(job => !Rests(job)) ? schedule.AskAsync(Work, firm) : Task.CompletedTask;

    /// <summary>Whether a job failed a moment ago.</summary>
    public bool Rests(Guid job) => _failed.TryGetValue(job, out var at) && Stopwatch.GetElapsedTime(at) < RestAfterFailure;

    public void Succeeded(Guid job) => _failed.TryRemove(job, out _);

    public void Failed(Guid job, Exception cause)
    {
        _failed[job] = Stopwatch.GetTimestamp();
        metrics.Failed(job, cause);
    }
}

/// <summary>Brings the jobs of a firm that are behind up to date, one after the other, until none is left.</summary>
internal sealed class BoardWork(IServiceScopeFactory scopes, BoardKeeper keeper, KeptCards cards) : IFirmWork
{
    // A job that is edited all the while, or one that never comes out as it should, does not hold up the others for ever.
    private const int MostTimes = 5;

    // Looked up anew after so many: what is edited meanwhile may well be what somebody looks at.
    private const int AtATime = 10;

    public async Task RunAsync(Guid firm, CancellationToken stopping)
    {
        var times = new Dictionary<Guid, int>();
        while (await NextAsync(times) is { Count: > 0 } behind)
        {
            foreach (var job in behind)
            {
                stopping.ThrowIfCancellationRequested();
                times[job] = times.GetValueOrDefault(job) + 1;
                await BringUpToDateAsync(firm, job);
            }
        }
    }

    private async Task BringUpToDateAsync(Guid firm, Guid job)
    {
        try
        {
            // What one job left behind in memory is none of the next one's.
            await using var scope = scopes.CreateAsyncScope();
            scope.ServiceProvider.GetRequiredService<FirmScope>().EnterFirm(firm);
            await scope.ServiceProvider.GetRequiredService<KeptBoards>().BringUpToDateAsync(job);
            keeper.Succeeded(job);
        }
        catch (Exception cause) when (cause is not OperationCanceledException)
        {
            keeper.Failed(job, cause);
        }
    }

    private async Task<List<Guid>> NextAsync(Dictionary<Guid, int> times) =>
        [.. (await cards.BehindAsync()).Where(job => !keeper.Rests(job) && times.GetValueOrDefault(job) < MostTimes).Take(AtATime)];
}
