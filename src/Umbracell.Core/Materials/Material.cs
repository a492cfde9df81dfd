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
public sealed record Material
{
    /// <summary>Short id; the interface has its name and texture.</summary>
    public required string Id { get; init; }

    /// <summary>Thermal conductivity.</summary>
    public required ThermalConductivity Conductivity { get; init; }

    /// <summary>Vapour permeability, dry cup.</summary>
    public required Permeability Permeability { get; init; }

    /// <summary>Where the values come from.</summary>
    public required string Source { get; init; }

    /// <summary>Density, where it matters; null where it is not known.</summary>
    public Density? Density { get; init; }

    /// <summary>Of its face, above 0 to 1; a bright foil counts only where an air space stands before it.</summary>
    public double Emittance { get; init; } = 0.9;

    /// <summary>What water does to its face.</summary>
    public WaterHarm Harm { get; init; } = WaterHarm.None;

    /// <summary>Conductivity under which a board counts as insulation, W/(m·K).</summary>
    private const double Insulates = 0.065;

    /// <summary>Whether it counts as insulation in a label R.</summary>
    public bool IsInsulation => Conductivity.WattsPerMetreKelvin <= Insulates;
}
