using Umbracell.Server.Requests;

namespace Umbracell.Server.Air;

/// <summary>Moist air, for programs that ask.</summary>
internal sealed class AirPart : IPart
{
    public void Map(IEndpointRouteBuilder api)
    {
        api.MapAir();
    }
}
