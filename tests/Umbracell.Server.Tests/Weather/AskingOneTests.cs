extern alias StandIns;

using Microsoft.AspNetCore.Builder;
using StandIns::Umbracell.StandIns;
using Xunit;

namespace Umbracell.Server.Tests.Weather;

/// <summary>Tests of a firm whose forecasts come from one service that is up.</summary>
public abstract class AskingOneTests(AskingServer asking) : IAsyncLifetime
{
    private readonly WebApplication _standIn = StandInProgram.Build(["--urls", "http://127.0.0.1:0"]);

    private protected WeatherFirm Firm { get; private set; } = null!;

    public async ValueTask InitializeAsync()
    {
        await _standIn.StartAsync();
        Firm = await asking.FirmAsync();
        asking.Settings.Sources = [AskingServer.Source("First", _standIn)];
    }

    public async ValueTask DisposeAsync()
    {
        await _standIn.DisposeAsync();
        GC.SuppressFinalize(this);
    }
}
