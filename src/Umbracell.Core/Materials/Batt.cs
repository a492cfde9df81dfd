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
    /// <summary>Density at which the heat that shines through fibre is stated.</summary>
    public static readonly Density StatedAt = Density.FromKilogramsPerCubicMetre(10);

    // Heat that shines through fibre, beside what its still air leads, at that density, and how it falls with density. Fitted to the usual
    // compressed-R tables of batts, which it meets within.
    private const double ShinesThrough = 0.42,
        Fall = 1.5;

    /// <summary>R in a space: pressed together it keeps a share of its R, the more the lighter it is; loose it keeps all of it.</summary>
    /// <param name="space">0 or more.</param>
    public ThermalResistance ResistanceIn(Length space)
    {
        var share = Math.Clamp(space / Nominal, 0, 1);
        var loose = ShinesThrough * Math.Pow(StatedAt.KilogramsPerCubicMetre / Density.KilogramsPerCubicMetre, Fall);
        return Rated * (share * (1 + loose) / (1 + loose * Math.Pow(share, Fall)));
    }

    /// <summary>What it gives over foam of uneven depth: mean R and mean gap over the scatter of the foam's face.</summary>
    /// <param name="meanSpace">Space left behind the mean foam depth.</param>
    /// <param name="scatter">Standard deviation of the foam's depth.</param>
    /// <returns>Mean R, and the mean width of the gaps that stay where the space is wider than the batt.</returns>
    public (ThermalResistance Mean, Length Gap) Over(Length meanSpace, Length scatter)
    {
        // Five points of the normal distribution (Gauss-Hermite): exact for any curve up to the ninth power.
        ReadOnlySpan<(double Z, double W)> points =
        [
            (-2.85697001387281, 0.01125741132772),
            (-1.35562617997427, 0.22207592200561),
            (0, 0.53333333333334),
            (1.35562617997427, 0.22207592200561),
            (2.85697001387281, 0.01125741132772),
        ];
        var (r, gap) = (0.0, 0.0);
        foreach (var (z, w) in points)
        {
            var space = Math.Max(0, meanSpace.Metres + z * scatter.Metres);
            r += w * ResistanceIn(Length.FromMetres(space)).SquareMetreKelvinsPerWatt;
            gap += w * Math.Max(0, space - Nominal.Metres);
        }

        return (ThermalResistance.FromSi(r), Length.FromMetres(gap));
    }
}
