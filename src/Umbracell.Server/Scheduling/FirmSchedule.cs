using System.Collections.Concurrent;
using Quartz;

namespace Umbracell.Server.Scheduling;

/// <summary>Asks for work of firms. What is asked stands in the database until it is done, by whichever copy of the server is free.</summary>
internal sealed partial class FirmSchedule(KeptSchedule schedule, IEnumerable<NightlyWork> nightly, ILogger<FirmSchedule> logger)
{
    private readonly ConcurrentDictionary<Guid, bool> _cared = new();

    /// <summary>Asks that the work be done soon. What waits already, or is being done, is not asked for again.</summary>
    public Task AskAsync(string work, Guid firm) => StandAsync(work, firm, "soon", null);

    /// <summary>Sees to it that a firm has its nightly work done from now on.</summary>
    public async Task CareAsync(Guid firm)
    {
        if (!_cared.TryAdd(firm, true))
        {
            return;
        }

        // Each firm at a minute of its own, so that not all come at once.
        var minute = (uint)firm.GetHashCode() % 120;
        foreach (var work in nightly)
        {
            await StandAsync(work.Name, firm, "nightly", $"0 {minute % 60} {2 + minute / 60} * * ?");
        }
    }

    private async Task StandAsync(string work, Guid firm, string when, string? cron)
    {
        try
        {
            var scheduler = await schedule.OpenAsync();
            var key = new TriggerKey($"{work} {firm:N}", when);
            if (await scheduler.Exists(key))
            {
                return;
            }

            var job = JobBuilder
                .Create<FirmJob>()
                .WithIdentity($"{work} {firm:N}", when)
                .UsingJobData(FirmJob.Firm, firm.ToString("N"))
                .UsingJobData(FirmJob.Work, work)
                .RequestRecovery()
                .Build();
            var trigger = TriggerBuilder.Create().WithIdentity(key);
            trigger = cron is null ? trigger.StartNow() : trigger.WithCronSchedule(cron, at => at.InTimeZone(TimeZoneInfo.Utc));
            await scheduler.ScheduleJob(job, trigger.Build());
        }
        catch (ObjectAlreadyExistsException)
        {
            // Another request was quicker by a hair.
        }
        catch (SchedulerException cause)
        {
            _cared.TryRemove(firm, out _);
            LogRefused(cause, work, firm);
        }
    }

    [LoggerMessage(LogLevel.Warning, "The work {Work} of firm {Firm} could not be asked for")]
    private partial void LogRefused(Exception cause, string work, Guid firm);
}
