using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Lifts;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Pocket;

/// <summary>The least thickness of a foam whose aged R, by its sheet, reaches an R.</summary>
/// <param name="Thickness">The thickness.</param>
/// <param name="Reached">The sheet's aged R at it; the R wanted, to the last bit.</param>
/// <param name="Lifts">How it is built up.</param>
/// <param name="Working">How the R at this thickness follows from the sheet.</param>
public sealed record FoamForR(Length Thickness, ThermalResistance Reached, LiftPlan Lifts, Working Working)
{
    // Halving a metre sixty times leaves nothing that could be measured.
    private const int Halvings = 60;

    /// <summary>Looks the thickness up on the sheet's curve, backwards.</summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="wanted">Above zero.</param>
    /// <returns>Null where the sheet states no R as high: a curve is never carried past its last point.</returns>
    public static FoamForR? Of(ProductSheet sheet, ThermalResistance wanted)
    {
        var least = QuantityRangeException.Within("R", wanted.SquareMetreKelvinsPerWatt, 1e-3, 100, Dimension.Resistance);
        var (low, high) = (0.0, sheet.ThickestRated.Metres);
        if (R(high) < least)
        {
            return null;
        }

        for (var i = 0; i < Halvings; i++)
        {
            var middle = (low + high) / 2;
            (low, high) = R(middle) < least ? (middle, high) : (low, middle);
        }

        var thickness = Length.FromMetres(high);
        var foam = new FoamFill(sheet, thickness);
        return new(thickness, foam.Resistance, LiftPlan.For(sheet, thickness), SectionWorkings.FoamR(foam));

        double R(double metres) => sheet.ResistanceAt(Length.FromMetres(Math.Max(metres, 1e-4))).SquareMetreKelvinsPerWatt;
    }
}
