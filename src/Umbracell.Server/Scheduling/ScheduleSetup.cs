using Microsoft.Extensions.Diagnostics.HealthChecks;
using Quartz;
using Umbracell.Server.Requests;

namespace Umbracell.Server.Scheduling;

/// <summary>Work beside what people ask for, kept in PostgreSQL and shared by all copies of the server.</summary>
internal static class ScheduleSetup
{
    // Figures are studied with all cores; more than two at once would only hold up who waits for a page.
    private const int AtOnce = 2;

    public static void AddSchedule(this IServiceCollection services, IConfiguration settings, string connection)
    {
        services.AddSingleton<ScheduleMetrics>();
        services.AddSingleton<FirmSchedule>();

        // One with a name has a clock of its own; without one it would take the product's, and give it its own.
        var name = settings["Schedule:Name"] ?? "umbracell";
        services.AddSingleton(provider => new KeptSchedule(provider.GetRequiredKeyedService<ISchedulerFactory>(name)));
        services.AddQuartz(
            name,
            quartz =>
            {
                quartz.ConfigureScheduler(scheduler => scheduler.GenerateInstanceId = true);

                // What is due is due by the clock on the wall, also where the product's clock is set for a demo.
                quartz.UseTimeProvider(TimeProvider.System);
                quartz.UseDefaultThreadPool(AtOnce);
                quartz.UsePersistentStore(store =>
                {
                    store.UsePostgres(connection);
                    store.UseClustering();
                    store.ConfigureStore(options =>
                    {
                        options.TablePrefix = "schedule.";
                        options.StoreJobDataAsStrings = true;

                        // The tables come by migration. A check of them here would have to succeed at the first try, before the database may
                        // be there.
                        options.SchemaProvisioning = SchemaProvisioning.None;
                    });
                });
                quartz.AddJobType<FirmJob>();
            }
        );
        if (ApiDescription.IsBeingWritten || !settings.GetValue("Schedule:Runs", true))
        {
            return;
        }

        // Without it pages still stand; only what is done beside them waits.
        services
            .AddHealthChecks()
            .AddQuartz(
                name,
                health =>
                {
                    health.Name = "schedule";
                    health.FailureStatus = health.StandbyStatus = HealthStatus.Degraded;
                    health.Tags.Add("ready");
                }
            );
        services.AddHostedService<ScheduleStart>();
    }
}

/// <summary>The scheduler of this product.</summary>
internal sealed class KeptSchedule(ISchedulerFactory factory)
{
    public ValueTask<IScheduler> OpenAsync(CancellationToken stop = default) => factory.GetScheduler(stop);
}
