using Umbracell.Core.Quantities;

namespace Umbracell.Documents;

/// <summary>The figures of a bid.</summary>
/// <param name="Lines">Lines in the order they add up.</param>
/// <param name="Net">Price before tax.</param>
/// <param name="Price">Price with tax.</param>
/// <param name="Surfaces">Surfaces with the substrate temperature and the route they were priced for.</param>
public sealed record BidDocument(IReadOnlyList<KeptLine> Lines, double Net, double Price, IReadOnlyList<KeptSurface> Surfaces);

/// <summary>A line of a bid: its key, quantity in SI with its dimension, and money.</summary>
public sealed record KeptLine(string Key, double Quantity, Dimension Dimension, double Amount);

/// <summary>A surface of a bid.</summary>
public sealed record KeptSurface(string Name, double? SubstrateC, string Route, double Sets);
