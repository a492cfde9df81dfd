using Umbracell.Server.Requests;

namespace Umbracell.Server.Places;

/// <summary>Places of the firm's own and those that ship.</summary>
internal sealed class PlacesPart : IPart
{
    public void AddTo(IServiceCollection services) => services.AddScoped<PlaceYears>();

    public void Map(IEndpointRouteBuilder api)
    {
        api.MapPlaces();
    }
}
