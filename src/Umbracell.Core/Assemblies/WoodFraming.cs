using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>One slice of an assembly, parallel to its faces: what heat meets in the cavity and what in the member.</summary>
/// <param name="Cavity">Resistance in the cavity path.</param>
/// <param name="Member">Resistance in the member path; equal to <paramref name="Cavity"/> where the slice is continuous.</param>
public readonly record struct Slice(ThermalResistance Cavity, ThermalResistance Member)
{
    /// <summary>A slice that covers cavity and member alike.</summary>
    public static Slice Continuous(ThermalResistance r) => new(r, r);
}

/// <summary>U of an assembly with wood members, by both usual methods.</summary>
public static class WoodFraming
{
    /// <summary>ISO 6946 refuses its combined method where the upper limit exceeds the lower by more than this ratio.</summary>
    public const double GreatestLimitRatio = 1.5;

    /// <summary>Parallel path (ASHRAE Handbook—Fundamentals; upper limit of ISO 6946): the two paths side by side.</summary>
    /// <param name="share">Area share of members, 0 to below 1.</param>
    /// <param name="slices">All slices with both films.</param>
    /// <exception cref="QuantityRangeException">Share outside 0 to 0.9.</exception>
    public static ThermalTransmittance ParallelPath(double share, IReadOnlyList<Slice> slices)
    {
        Check(share);
        var cavity = slices.Sum(s => s.Cavity.SquareMetreKelvinsPerWatt);
        var member = slices.Sum(s => s.Member.SquareMetreKelvinsPerWatt);
        return ThermalTransmittance.FromSi(share / member + (1 - share) / cavity);
    }

    /// <summary>Lower limit of ISO 6946: each slice brought to one temperature.</summary>
    /// <param name="share">Area share of members, 0 to below 1.</param>
    /// <param name="slices">All slices with both films.</param>
    /// <exception cref="QuantityRangeException">Share outside 0 to 0.9.</exception>
    public static ThermalResistance LowerLimit(double share, IReadOnlyList<Slice> slices)
    {
        Check(share);
        return ThermalResistance.FromSi(
            slices
                .Where(s => s.Cavity.SquareMetreKelvinsPerWatt > 0)
                .Sum(s => 1 / (share / s.Member.SquareMetreKelvinsPerWatt + (1 - share) / s.Cavity.SquareMetreKelvinsPerWatt))
        );
    }

    /// <summary>ISO 6946 combined method: mean of the upper and the lower limit.</summary>
    /// <param name="share">Area share of members, 0 to below 1.</param>
    /// <param name="slices">All slices with both films.</param>
    /// <returns>U, or null where upper over lower exceeds 1.5 and the standard refuses the method.</returns>
    /// <exception cref="QuantityRangeException">Share outside 0 to 0.9.</exception>
    public static ThermalTransmittance? Combined(double share, IReadOnlyList<Slice> slices)
    {
        var upper = ParallelPath(share, slices).ToResistance();
        var lower = LowerLimit(share, slices);
        if (upper.SquareMetreKelvinsPerWatt / lower.SquareMetreKelvinsPerWatt > GreatestLimitRatio)
        {
            return null;
        }

        return ((upper + lower) * 0.5).ToTransmittance();
    }

    private static void Check(double share) => QuantityRangeException.Within(nameof(share), share * 100, 0, 90, Dimension.Percent);
}
