using Umbracell.Core.Quantities;

namespace Umbracell.Core.Materials;

/// <summary>A fibrous batt as sold.</summary>
/// <param name="Id">Short id.</param>
/// <param name="Nominal">Thickness it is rated at.</param>
/// <param name="Rated">R at that thickness.</param>
/// <param name="Material">The fibre, for vapour.</param>
/// <param name="Density">Density at the nominal thickness.</param>
public sealed record Batt(string Id, Length Nominal, ThermalResistance Rated, Material Material, Density Density)
{
    /// <summary>Share of its R a batt keeps at a share of its thickness: the usual compressed-R tables of fibre makers, e.g. R-19 of 6 1/4 in gives R-18 in 5 1/2 in, R-13 in 3 1/2 in, R-10 in 2 1/2 in.</summary>
    private static readonly Curve Kept = new("compressed batt", [new(0, 0), new(0.16, 0.21), new(0.24, 0.32), new(0.40, 0.53), new(0.56, 0.69), new(0.74, 0.84), new(0.88, 0.945), new(1, 1)], Dimension.Number);

    /// <summary>R in a space: pressed together it keeps a share of its R, loose it keeps all of it and the rest of the space counts for nothing.</summary>
    /// <param name="space">0 or more.</param>
    public ThermalResistance ResistanceIn(Length space) => Rated * Kept.At(Math.Clamp(space / Nominal, 0, 1));

    /// <summary>What it gives over foam of uneven depth: mean R and mean gap over the scatter of the foam's face.</summary>
    /// <param name="meanSpace">Space left behind the mean foam depth.</param>
    /// <param name="scatter">Standard deviation of the foam's depth.</param>
    /// <returns>Mean R, and the mean width of the gaps that stay where the space is wider than the batt.</returns>
    public (ThermalResistance Mean, Length Gap) Over(Length meanSpace, Length scatter)
    {
        // Five points of the normal distribution (Gauss-Hermite): exact for any curve up to the ninth power.
        ReadOnlySpan<(double Z, double W)> points = [(-2.85697001387281, 0.01125741132772), (-1.35562617997427, 0.22207592200561), (0, 0.53333333333334), (1.35562617997427, 0.22207592200561), (2.85697001387281, 0.01125741132772)];
        var (r, gap) = (0.0, 0.0);
        foreach (var (z, w) in points)
        {
            var space = Math.Max(0, meanSpace.Metres + z * scatter.Metres);
            r += w * ResistanceIn(new(space)).SquareMetreKelvinsPerWatt;
            gap += w * Math.Max(0, space - Nominal.Metres);
        }

        return (new(r), new(gap));
    }
}
