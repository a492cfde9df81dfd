using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Extensions.Http.Resilience;
using Umbracell.Server.Access;
using Umbracell.Server.Requests;
using Umbracell.Server.Scheduling;

namespace Umbracell.Server.Forecasts;

/// <summary>Forecasts of places by the hour.</summary>
internal sealed class ForecastsPart : IPart
{
    private const int LargestAnswer = 16 * 1024 * 1024;

    public void AddTo(IServiceCollection services)
    {
        services.AddSingleton(provider => ForecastSettings.Of(provider.GetRequiredService<IConfiguration>()));
        services.AddSingleton<ForecastMetrics>();
        services.AddSingleton<ReadForecasts>();
        services.AddScoped<ForecastLibrary>();
        services.AddFirmWork<OldForecasts>("oldForecasts", nightly: true);
        services.AddHealthChecks().AddCheck<ForecastHealth>("forecasts", tags: ["ready"]);
        services
            .AddHttpClient(EdrClient.Client, client => client.MaxResponseContentBufferSize = LargestAnswer)
            .AddStandardResilienceHandler()
            .Configure((options, services) => Patient(options, services.GetRequiredService<ForecastSettings>().AttemptSeconds))
            .SelectPipelineByAuthority();
    }

    // Once more after a moment, within what a page can wait for; a service that keeps failing is let alone for half a minute.
    private static void Patient(HttpStandardResilienceOptions options, int attempt)
    {
        options.AttemptTimeout.Timeout = TimeSpan.FromSeconds(attempt);
        options.TotalRequestTimeout.Timeout = TimeSpan.FromSeconds(2.5 * attempt);
        options.Retry.MaxRetryAttempts = 1;
        options.Retry.Delay = TimeSpan.FromMilliseconds(300);
        options.CircuitBreaker.MinimumThroughput = 6;
        options.CircuitBreaker.FailureRatio = 0.5;
        options.CircuitBreaker.SamplingDuration = TimeSpan.FromSeconds(Math.Max(30, 2 * attempt));
        options.CircuitBreaker.BreakDuration = TimeSpan.FromSeconds(30);
    }

    public void Map(IEndpointRouteBuilder api) =>
        api.MapGet(
                "/api/forecast-sources",
                (ForecastSettings settings, ReadForecasts read, TimeProvider clock) => Told(settings, read, clock)
            )
            .WithTags("Window")
            .WithSummary("Services forecasts are asked of, in their order, and what is wrong with those that are let alone for a while.")
            .Requires(Right.Look);

    private static Ok<ForecastSourceAnswer[]> Told(ForecastSettings settings, ReadForecasts read, TimeProvider clock) =>
        TypedResults.Ok(
            settings
                .Sources.Select(source => new ForecastSourceAnswer(
                    source.Name,
                    source.Credit,
                    read.WaitsFor(source.Name, clock.GetUtcNow())?.Trouble
                ))
                .ToArray()
        );
}

/// <summary>A service forecasts are asked of.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Credit">What is told with its figures.</param>
/// <param name="Trouble">Why it is not asked for the moment; null where it is.</param>
public sealed record ForecastSourceAnswer(string Name, string Credit, ForecastTrouble? Trouble);

/// <summary>Drops forecasts nobody plans by any more.</summary>
internal sealed class OldForecasts(ForecastLibrary forecasts) : IFirmWork
{
    public Task RunAsync(Guid firm, CancellationToken stopping) => forecasts.DropOldAsync(stopping);
}
