using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>A roof under settled snow: from which outdoor temperature up its deck stands above freezing while the air does not, so that
/// meltwater runs to the cold eaves.</summary>
/// <param name="Depth">Depth of the snow.</param>
/// <param name="MeltsFrom">Outdoor temperature above which the deck melts the snow on it; below it all stays frozen.</param>
/// <param name="Working">How it follows.</param>
public sealed record RoofSnow(Length Depth, Temperature MeltsFrom, Working Working)
{
    private static readonly Density Settled = Density.FromKilogramsPerCubicMetre(250);

    /// <summary>Conductivity of settled snow of 250 kg/m³, W/(m·K): 0.138 − 1.01 ρ + 3.233 ρ² with ρ in g/cm³.</summary>
    private const double SettledSnow = 0.138 - 1.01 * 0.25 + 3.233 * 0.25 * 0.25;

    /// <summary>Snow on a roof whose deck lies on what is put in; null for other surfaces, for a roof with a ventilated channel (its deck
    /// stays near outdoor air), and for rooms not above freezing.</summary>
    /// <param name="section">The case.</param>
    /// <param name="depth">Depth of the snow, above zero.</param>
    public static RoofSnow? Of(SectionCase section, Length depth)
    {
        if (
            section is not { HeatFlow: HeatFlow.Up, Exposure: Exposure.Outdoors }
            || section.VentChannel > Length.Zero
            || section.Air.Indoor.Celsius <= 0
        )
        {
            return null;
        }

        var heat = SectionHeat.Of(section);
        var snow = ThermalResistance.FromSi(depth.Metres / SettledSnow);
        var over = snow + heat.OutsideFilm;
        var whole = heat.CavityTotal + snow;
        var share = over.SquareMetreKelvinsPerWatt / whole.SquareMetreKelvinsPerWatt;

        // The deck stands at θe + (θi − θe) · share; it is at freezing where θe = −θi · share / (1 − share).
        var from = Temperature.FromCelsius(-section.Air.Indoor.Celsius * share / (1 - share));
        return new(
            depth,
            from,
            new(
                "snowMeltFrom",
                "θe = − θi · s / (1 − s), s = (R_snow + R_se) / (R_T + R_snow)",
                [
                    new("θi", "indoorTemperature", section.Air.Indoor.ToFigure()),
                    new("R_snow", "snowR", snow.ToFigure()),
                    new("R_se", "outsideFilm", heat.OutsideFilm.ToFigure()),
                    new("R_T", "cavityR", heat.CavityTotal.ToFigure()),
                    new("s", "share", Figure.Number(share)),
                ],
                from.ToFigure(),
                Citations.SettledSnow(Settled, ThermalConductivity.FromSi(SettledSnow))
            )
        );
    }
}
