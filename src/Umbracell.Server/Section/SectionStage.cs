using Umbracell.Server.Requests;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Section;

/// <summary>Section: what a thickness gives.</summary>
internal sealed class SectionStage : IPart
{
    public void AddTo(IServiceCollection services) => services.AddSingleton<IStageCell, SectionCell>();

    public void Map(IEndpointRouteBuilder api)
    {
        api.MapSection();
    }
}
