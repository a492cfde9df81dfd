using Quartz;
using Umbracell.Store;

namespace Umbracell.Server.Scheduling;

/// <summary>Starts the work beside what people ask for once the database answers, and ends it with the server.</summary>
internal sealed partial class ScheduleStart(KeptSchedule schedule, IServiceScopeFactory scopes, ILogger<ScheduleStart> logger)
    : BackgroundService
{
    private static readonly TimeSpan Again = TimeSpan.FromSeconds(5);

    private readonly Lock _gate = new();

    private IScheduler? _running;

    private Task? _ended;

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        while (!await AnswersAsync(stoppingToken))
        {
            LogWaiting("the database does not answer");
            await Task.Delay(Again, stoppingToken);
        }

        _running = await schedule.OpenAsync(stoppingToken);
        await _running.Start(stoppingToken);
    }

    private async Task<bool> AnswersAsync(CancellationToken stop)
    {
        await using var scope = scopes.CreateAsyncScope();
        return await scope.ServiceProvider.GetRequiredService<UmbracellDb>().Database.CanConnectAsync(stop);
    }

    public override async Task StopAsync(CancellationToken cancellationToken)
    {
        await base.StopAsync(cancellationToken);
        Task ended;
        lock (_gate)
        {
            // What is under way stands in the database and is done again by whoever starts next.
            ended = _ended ??= _running?.Shutdown(false, CancellationToken.None).AsTask() ?? Task.CompletedTask;
        }

        // Who stops it a second time waits for the first: what it ends with is disposed of afterwards.
        await ended;
    }

    [LoggerMessage(LogLevel.Warning, "The schedule does not run: {Why}")]
    private partial void LogWaiting(string why);
}
