using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Lifts;

/// <summary>How a foam heats itself: first-order reaction, <c>dα/dt = A exp(−E/RT) (1 − α)</c>.</summary>
/// <param name="Heat">Heat of reaction net of the blowing agent, J/kg, 0 to 1e6.</param>
/// <param name="Rate">Rate constant A, 1/s, 0 to 1e12.</param>
/// <param name="Activation">Activation energy E, J/mol, 1e4 to 2e5.</param>
/// <param name="Conductivity">Of the foam while it is hot.</param>
/// <param name="SpecificHeat">Of the foam, J/(kg·K), 500 to 5000.</param>
public readonly record struct FoamExotherm(
    double Heat,
    double Rate,
    double Activation,
    ThermalConductivity Conductivity,
    double SpecificHeat
)
{
    /// <summary>The gas constant, J/(mol·K).</summary>
    public const double Gas = 8.314462618;

    private const double Kelvin = 273.15;

    /// <summary>What stands in for a sheet that gives none (practice, fitted to what lifts on board sheathing do).</summary>
    /// <param name="cell">Open or closed cell.</param>
    public static FoamExotherm Usual(CellStructure cell) =>
        cell == CellStructure.Closed
            ? new(135_000, 8.6e5, 45_000, ThermalConductivity.FromSi(0.028), 1_500)
            : new(100_000, 4.1e6, 50_000, ThermalConductivity.FromSi(0.045), 1_650);

    /// <summary>How fast what has not reacted yet reacts, 1/s.</summary>
    /// <param name="celsius">Temperature, above −273.15 °C.</param>
    public double RateAt(double celsius) => Rate * Math.Exp(-Activation / (Gas * (celsius + Kelvin)));
}
