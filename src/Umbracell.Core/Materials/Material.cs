using Umbracell.Core.Quantities;

namespace Umbracell.Core.Materials;

/// <summary>A building material other than foam, with usual values; a user can replace each by the product's own.</summary>
/// <param name="Id">Short id; the interface has its name and texture.</param>
/// <param name="Conductivity">Thermal conductivity.</param>
/// <param name="Permeability">Vapour permeability, dry cup.</param>
/// <param name="Source">Where the values come from.</param>
public sealed record Material(string Id, ThermalConductivity Conductivity, Permeability Permeability, string Source);
