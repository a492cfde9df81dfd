namespace Umbracell.Server.Jobs;

/// <summary>What studies jobs and keeps their figures.</summary>
internal static class StudySetup
{
    public static void AddStudies(this IServiceCollection services)
    {
        services.AddSingleton<StudyMemory>();
        services.AddSingleton<StudyMetrics>();
        services.AddSingleton<BoardKeeper>();
        services.AddHostedService(provider => provider.GetRequiredService<BoardKeeper>());
        services.AddScoped<JobStudies>();
        services.AddScoped<StudiedJobs>();
        services.AddScoped<KeptBoards>();
        services.AddScoped<KeptCards>();
    }
}
