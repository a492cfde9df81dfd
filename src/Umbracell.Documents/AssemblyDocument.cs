namespace Umbracell.Documents;

/// <summary>The layers of a surface as it was found.</summary>
public sealed record AssemblyDocument
{
    /// <summary>Layers outside of the foam, outermost first.</summary>
    public IReadOnlyList<LayerDocument> Outboard { get; init; } = [];

    /// <summary>Layers on the room side of the members, first the one next to the foam.</summary>
    public IReadOnlyList<LayerDocument> Inboard { get; init; } = [];

    /// <summary>Clear height of a vent channel; 0 for none.</summary>
    public double VentChannelMm { get; init; }

    /// <summary>The baffle that keeps it open.</summary>
    public LayerDocument? Baffle { get; init; }
}
