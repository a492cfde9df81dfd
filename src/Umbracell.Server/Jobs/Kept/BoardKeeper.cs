using System.Collections.Concurrent;
using System.Diagnostics;
using System.Threading.Channels;
using Umbracell.Server.Surfaces;
using Umbracell.Store.Tenancy;

namespace Umbracell.Server.Jobs;

/// <summary>Brings the kept figures of jobs up to date one after the other, beside what people ask for.</summary>
/// <remarks>What waits here is lost when the process ends, and asked for again by the next list that is read.</remarks>
internal sealed class BoardKeeper(IServiceScopeFactory scopes, StudyMetrics metrics) : BackgroundService
{
    // A list asks again and again until it is answered.
    private static readonly TimeSpan RestAfterFailure = TimeSpan.FromMinutes(1);

    private readonly Channel<(Guid Firm, Guid Job)> _jobs = Channel.CreateUnbounded<(Guid, Guid)>();

    private readonly ConcurrentDictionary<Guid, bool> _waiting = new();

    private readonly ConcurrentDictionary<Guid, long> _failed = new();

    /// <summary>Asks for jobs; one that waits already waits once.</summary>
    public void Ask(Guid firm, IEnumerable<Guid> jobs)
    {
        foreach (var job in jobs.Where(job => !Rests(job) && _waiting.TryAdd(job, true)))
        {
            _jobs.Writer.TryWrite((firm, job));
        }
    }

    private bool Rests(Guid job) => _failed.TryGetValue(job, out var at) && Stopwatch.GetElapsedTime(at) < RestAfterFailure;

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        await foreach (var (firm, job) in _jobs.Reader.ReadAllAsync(stoppingToken))
        {
            // What changes from here on asks anew.
            _waiting.TryRemove(job, out _);
            try
            {
                await using var scope = scopes.CreateAsyncScope();
                scope.ServiceProvider.GetRequiredService<FirmScope>().EnterFirm(firm);
                await scope.ServiceProvider.GetRequiredService<KeptBoards>().BringUpToDateAsync(job);
                _failed.TryRemove(job, out _);
            }
            catch (Exception cause) when (cause is not OperationCanceledException)
            {
                _failed[job] = Stopwatch.GetTimestamp();
                metrics.Failed(job, cause);
            }
        }
    }
}
