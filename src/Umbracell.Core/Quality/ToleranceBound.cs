using Umbracell.Core.Quantities;
using Umbracell.Core.Statistics;

namespace Umbracell.Core.Quality;

/// <summary>How sure a statement about an area has to be, and of how much of it: "with 90 % confidence at least 90 % of the area".</summary>
/// <param name="Confidence">0.5 to 0.999.</param>
/// <param name="Share">Of the area, 0.5 to 0.999.</param>
public readonly record struct Assurance(double Confidence, double Share)
{
    /// <summary>90 % of the area with 90 % confidence.</summary>
    public static Assurance Usual { get; } = new(0.9, 0.9);
}

/// <summary>The one-sided tolerance bound of readings that scatter normally: <c>mean − k s</c>, with
/// <c>k = t'(confidence; n − 1, z √n)/√n</c> (ISO 16269-6, one-sided, both parameters unknown).</summary>
public static class ToleranceBound
{
    /// <summary>Fewest readings it can be told from.</summary>
    public const int Fewest = 3;

    /// <summary>k.</summary>
    /// <param name="readings">How many readings, 3 or more.</param>
    /// <param name="assurance">How sure, of how much.</param>
    /// <exception cref="QuantityRangeException">Fewer than three readings, or a confidence or share out of range.</exception>
    public static double Factor(int readings, Assurance assurance)
    {
        QuantityRangeException.Within("readings", readings, Fewest, 1e6, Dimension.Count);
        QuantityRangeException.Within("confidence", assurance.Confidence, 0.5, 0.999, Dimension.Number);
        QuantityRangeException.Within("share", assurance.Share, 0.5, 0.999, Dimension.Number);
        var root = Math.Sqrt(readings);
        var shift = NormalDistribution.Quantile(assurance.Share) * root;
        return NoncentralT.Quantile(assurance.Confidence, readings - 1, Math.Max(0, shift)) / root;
    }
}
