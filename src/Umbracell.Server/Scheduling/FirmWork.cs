namespace Umbracell.Server.Scheduling;

/// <summary>Something done for a firm beside what people ask for; a stage that has some registers it with its part.</summary>
internal interface IFirmWork
{
    /// <summary>Does it once, for the firm that was entered. What fails is told in the log and stands until the next time.</summary>
    Task RunAsync(Guid firm, CancellationToken stopping);
}

/// <summary>Work that every firm has done once a night.</summary>
/// <param name="Name">Under which it is registered.</param>
internal sealed record NightlyWork(string Name);

internal static class FirmWorkSetup
{
    /// <summary>Registers work under a name that the database keeps: it outlives the class.</summary>
    public static void AddFirmWork<T>(this IServiceCollection services, string name, bool nightly = false)
        where T : class, IFirmWork
    {
        services.AddKeyedScoped<IFirmWork, T>(name);
        if (nightly)
        {
            services.AddSingleton(new NightlyWork(name));
        }
    }
}
