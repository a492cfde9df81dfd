using Umbracell.Server.Requests;

namespace Umbracell.Server.Papers;

/// <summary>Papers of a job: made by the stages, kept, and printed from what is kept.</summary>
internal sealed class PapersPart : IPart
{
    public void Map(IEndpointRouteBuilder api) => api.MapPapers();
}
