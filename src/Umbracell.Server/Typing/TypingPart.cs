using Umbracell.Server.Requests;

namespace Umbracell.Server.Typing;

/// <summary>What is typed: commands, and taking them back.</summary>
internal sealed class TypingPart : IPart
{
    public void AddTo(IServiceCollection services)
    {
        services.AddScoped<Commands>();
        services.AddSingleton<CommandMetrics>();
    }

    public void Map(IEndpointRouteBuilder api)
    {
        api.MapUndo();
    }
}
