using Umbracell.Server.Papers;
using Umbracell.Server.Requests;
using Umbracell.Server.Sets.Papers;
using Umbracell.Server.Sets.PastJobs;
using Umbracell.Server.Sets.Price;
using Umbracell.Server.Sets.Stock;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Sets;

/// <summary>Sets: material, price, order and stock.</summary>
internal sealed class SetsStage : IPart
{
    public void AddTo(IServiceCollection services) =>
        services
            .AddSingleton<IStageCell, SetsCell>()
            .AddScoped<JobOrders>()
            .AddScoped<IPaperMaker, OuterBid>()
            .AddScoped<IPaperMaker, InnerBid>()
            .AddScoped<IPaperMaker, OrderPaper>()
            .AddScoped<IPaperMaker, LoadList>();

    public void Map(IEndpointRouteBuilder api)
    {
        api.MapSets();
        api.MapPastJobs();
        api.MapPrice();
        api.MapPriceCompute();
        api.MapStock();
    }
}
