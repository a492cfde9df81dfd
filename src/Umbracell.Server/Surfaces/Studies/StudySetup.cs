namespace Umbracell.Server.Surfaces;

/// <summary>What reads and studies surfaces, for every stage alike.</summary>
internal static class StudySetup
{
    public static void AddStudies(this IServiceCollection services)
    {
        services.AddScoped<SurfaceReader>();
        services.AddScoped<CrewYields>();
        services.AddSingleton<StudyMemory>();
        services.AddSingleton<StudyMetrics>();
        services.AddScoped<JobStudies>();
        services.AddScoped<StudiedJobs>();
        services.AddScoped<LoggedJobs>().AddScoped<LogBook>().AddScoped<PastJobOfLog>().AddScoped<StockOfLog>();
        services.AddSingleton<StageCells>();
    }
}
