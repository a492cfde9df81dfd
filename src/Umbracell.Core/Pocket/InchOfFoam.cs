using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Pocket;

/// <summary>What one more inch of foam does to the heat through a surface, per area and degree, everything else as it was.</summary>
/// <param name="Thickness">Foam with this inch.</param>
/// <param name="Left">Heat that still passes, share of that without foam.</param>
/// <param name="Cut">What this inch alone takes of that without foam.</param>
/// <param name="Working">How what passes follows.</param>
public sealed record InchOfFoam(Length Thickness, double Left, double Cut, Working Working)
{
    /// <summary>Inch after inch, as far as the sheet rates the foam: <c>q / q₀ = R₀ / (R₀ + R_foam)</c>.</summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="before">R of all there is without foam, films included; above zero.</param>
    /// <param name="most">Most inches, 1 or more.</param>
    public static IReadOnlyList<InchOfFoam> Ledger(ProductSheet sheet, ThermalResistance before, int most)
    {
        var bare = QuantityRangeException.Within("R", before.SquareMetreKelvinsPerWatt, 1e-3, 100, Dimension.Resistance);
        var inches = new List<InchOfFoam>();
        var passed = 1.0;
        for (var n = 1; n <= most && Length.FromInches(n).Metres <= sheet.ThickestRated.Metres + 1e-6; n++)
        {
            var foam = new FoamFill(sheet, sheet.Rated(Length.FromInches(n)));
            var left = bare / (bare + foam.Resistance.SquareMetreKelvinsPerWatt);
            inches.Add(new(foam.Thickness, left, passed - left, WorkingOf(before, foam, left)));
            passed = left;
        }

        return inches;
    }

    private static Working WorkingOf(ThermalResistance before, FoamFill foam, double left) =>
        new(
            "heatLeft",
            "q / q₀ = R₀ / (R₀ + R_foam)",
            [new("R₀", "bareR", before.ToFigure()), new("R_foam", "foamR", foam.Resistance.ToFigure(), SectionWorkings.FoamR(foam))],
            Figure.Percent(left * 100),
            Citations.LayersInSeries
        );
}
