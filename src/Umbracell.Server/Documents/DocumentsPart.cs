using Umbracell.Server.Requests;

namespace Umbracell.Server.Documents;

/// <summary>Papers and tables.</summary>
internal sealed class DocumentsPart : IPart
{
    public void Map(IEndpointRouteBuilder api)
    {
        api.MapDocuments();
    }
}
