using Umbracell.Core.Quantities;

namespace Umbracell.Core.Materials;

/// <summary>What water does to the face of a material that stays damp.</summary>
public enum WaterHarm
{
    /// <summary>Nothing that matters.</summary>
    None,

    /// <summary>Wood: mould, then rot.</summary>
    Wood,

    /// <summary>Paper and paper-faced board: mould.</summary>
    Paper,

    /// <summary>Steel: rust.</summary>
    Steel,

    /// <summary>Masonry, concrete and plaster: frost, salts, and wood let into them.</summary>
    Masonry,
}

/// <summary>A building material other than foam, with usual values; a user can replace each by the product's own.</summary>
/// <param name="Id">Short id; the interface has its name and texture.</param>
/// <param name="Conductivity">Thermal conductivity.</param>
/// <param name="Permeability">Vapour permeability, dry cup.</param>
/// <param name="Source">Where the values come from.</param>
/// <param name="Density">Density, where it matters; null where it is not known.</param>
/// <param name="Emittance">Of its face, above 0 to 1; a bright foil counts only where an air space stands before it.</param>
/// <param name="Harm">What water does to its face.</param>
public sealed record Material(
    string Id,
    ThermalConductivity Conductivity,
    Permeability Permeability,
    string Source,
    Density? Density = null,
    double Emittance = 0.9,
    WaterHarm Harm = WaterHarm.None
)
{
    /// <summary>Conductivity under which a board counts as insulation, W/(m·K).</summary>
    private const double Insulates = 0.065;

    /// <summary>Whether it counts as insulation in a label R.</summary>
    public bool IsInsulation => Conductivity.WattsPerMetreKelvin <= Insulates;
}
