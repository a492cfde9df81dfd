using Umbracell.Server.Requests;

namespace Umbracell.Server.FirstRun;

/// <summary>A new firm sets itself up.</summary>
internal sealed class FirstRunPart : IPart
{
    public void Map(IEndpointRouteBuilder api)
    {
        api.MapFirstSteps();
    }
}
