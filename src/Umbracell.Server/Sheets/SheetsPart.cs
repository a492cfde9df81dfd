using Umbracell.Core.Assemblies.Conduction;
using Umbracell.Server.Requests;

namespace Umbracell.Server.Sheets;

/// <summary>Product sheets and all that is offered for choice.</summary>
internal sealed class SheetsPart : IPart
{
    public void AddTo(IServiceCollection services)
    {
        services.AddSingleton<SolvedMembers>();
        services.AddScoped<SheetLibrary>();
        services.AddScoped<SheetEditions>();
        services.AddScoped<SheetBook>();
    }

    public void Map(IEndpointRouteBuilder api)
    {
        api.MapSheets();
        api.MapSheetBook();
    }
}
