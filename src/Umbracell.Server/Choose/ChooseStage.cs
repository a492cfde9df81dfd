using Umbracell.Server.Papers;
using Umbracell.Server.Requests;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Choose;

/// <summary>Choose: which system goes in, and by what a firm chooses.</summary>
internal sealed class ChooseStage : IPart
{
    public void AddTo(IServiceCollection services) =>
        services.AddSingleton<IStageCell, ChooseCell>().AddScoped<WeighedChoices>().AddScoped<IPaperMaker, Comparison>();

    public void Map(IEndpointRouteBuilder api)
    {
        api.MapChoose();
        api.MapFirm();
    }
}
