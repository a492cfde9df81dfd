using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>What the insulation of a slab on ground must have.</summary>
/// <param name="LeastR">Least R as printed, above zero.</param>
/// <param name="Along">How far along its edge.</param>
/// <param name="Edition">The set it comes from, with zone and advice.</param>
public sealed record SlabTarget(ThermalResistance LeastR, Length Along, string Edition)
{
    /// <summary>R, in US units, by which a label may be missed: R-10 is met by 9.96 worked out from an interpolated table.</summary>
    internal const double LabelRounding = 0.05;

    /// <summary>Whether the insulation of a section suffices.</summary>
    /// <param name="section">The section with its fill.</param>
    public bool IsMetBy(SectionCase section) => section.InsulationR.UsR + LabelRounding >= LeastR.UsR;
}
