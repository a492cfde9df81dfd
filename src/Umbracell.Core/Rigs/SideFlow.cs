using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;

namespace Umbracell.Core.Rigs;

/// <summary>Liquid of one side that flows through primary heater and hose.</summary>
/// <param name="Side">A or B.</param>
/// <param name="KilogramsPerSecond">How much, above zero to 2 kg/s.</param>
public readonly record struct SideFlow(SetSide Side, double KilogramsPerSecond)
{
    /// <summary>Heat it carries for each kelvin, <c>m' c</c>, W/K.</summary>
    /// <exception cref="QuantityRangeException">Flow out of range.</exception>
    public double Capacity =>
        QuantityRangeException.Within("flow of a side", KilogramsPerSecond, 1e-6, 2, Dimension.Mass) * Side.HeatCapacity();
}
