using Quartz;
using Umbracell.Store.Tenancy;

namespace Umbracell.Server.Scheduling;

/// <summary>Does the work of one name for one firm; never twice at once, on however many machines.</summary>
[DisallowConcurrentExecution]
internal sealed partial class FirmJob(IServiceProvider services, FirmScope scope, ScheduleMetrics metrics, ILogger<FirmJob> logger) : IJob
{
    public const string Firm = "firm";

    public const string Work = "work";

    public async ValueTask Execute(IJobExecutionContext context, CancellationToken cancellationToken = default)
    {
        var firm = Guid.Parse(context.MergedJobDataMap.GetString(Firm)!);
        var name = context.MergedJobDataMap.GetString(Work)!;
        if (services.GetKeyedService<IFirmWork>(name) is not { } work)
        {
            // Asked for by another version of the product.
            LogUnknown(name);
            return;
        }

        scope.EnterFirm(firm);
        try
        {
            await work.RunAsync(firm, cancellationToken);
            metrics.Done(name);
        }
        catch (Exception cause) when (cause is not OperationCanceledException)
        {
            metrics.Failed(name);
            LogFailed(cause, name, firm);
        }
    }

    [LoggerMessage(LogLevel.Warning, "There is no work {Name} in this version")]
    private partial void LogUnknown(string name);

    [LoggerMessage(LogLevel.Error, "The work {Name} of firm {Firm} failed")]
    private partial void LogFailed(Exception cause, string name, Guid firm);
}
