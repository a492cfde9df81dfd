using Umbracell.Server.Requests;

namespace Umbracell.Server.Targets;

/// <summary>Target sets of the firm's own and those that ship.</summary>
internal sealed class TargetsPart : IPart
{
    public void Map(IEndpointRouteBuilder api)
    {
        api.MapTargets();
    }
}
