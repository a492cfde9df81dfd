using Quartz;
using Umbracell.Store;

namespace Umbracell.Server.Scheduling;

/// <summary>Starts the work beside what people ask for once the database answers, and ends it with the server.</summary>
internal sealed partial class ScheduleStart(KeptSchedule schedule, IServiceScopeFactory scopes, ILogger<ScheduleStart> logger)
    : BackgroundService
{
    private static readonly TimeSpan Again = TimeSpan.FromSeconds(5);

    private IScheduler? _running;

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
        if (Interlocked.Exchange(ref _running, null) is { } running)
        {
            // What is under way stands in the database and is done again by whoever starts next.
            await running.Shutdown(false, cancellationToken);
        }
    }

    [LoggerMessage(LogLevel.Warning, "The schedule does not run: {Why}")]
    private partial void LogWaiting(string why);
}
