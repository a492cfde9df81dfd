namespace Umbracell.Server.Requests;

/// <summary>A part of the product that registers itself: a stage, or pages beside the stages. The server finds every one there is.</summary>
internal interface IPart
{
    /// <summary>What it brings: its cell of the board, its workers, services of its own.</summary>
    void AddTo(IServiceCollection services) { }

    /// <summary>Its endpoints.</summary>
    void Map(IEndpointRouteBuilder api);
}
