using Umbracell.Server.Requests;

namespace Umbracell.Server.Means;

/// <summary>Crews, rigs, heaters and the rest of what a firm works with.</summary>
internal sealed class MeansPart : IPart
{
    public void Map(IEndpointRouteBuilder api) => api.MapMeans();
}
