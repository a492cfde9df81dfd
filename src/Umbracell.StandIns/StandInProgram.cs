using System.Diagnostics.CodeAnalysis;
using Umbracell.Server.Requests;
using Umbracell.StandIns.Weather;

namespace Umbracell.StandIns;

/// <summary>The world outside as far as the product asks it, made up: a forecast service. It speaks the same open protocol as a real one, so
/// that a real one needs only its address.</summary>
[SuppressMessage("Design", "CA1052", Justification = "An entry point is a class.")]
public sealed class StandInProgram
{
    public static Task Main(string[] args) => Build(args).RunAsync();

    /// <summary>The stand-ins, ready to be started.</summary>
    public static WebApplication Build(string[] args)
    {
        var builder = WebApplication.CreateSlimBuilder(args);
        builder.Services.AddSingleton(new ProductClock(builder.Configuration, TimeProvider.System));
        builder.Services.AddSingleton(new ForecastService(ForecastPlace.Demo));
        var app = builder.Build();
        app.MapForecasts();
        return app;
    }

    private StandInProgram() { }
}
