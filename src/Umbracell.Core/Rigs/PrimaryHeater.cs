using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;

namespace Umbracell.Core.Rigs;

/// <summary>Primary heater of one side: it lifts what flows through it by at most <c>P / (m' c)</c>, all of its heat taken to go into the
/// liquid.</summary>
/// <param name="Watts">Its heat, above zero to 200 kW.</param>
public readonly record struct PrimaryHeater(double Watts)
{
    private double Heat => QuantityRangeException.Within("primary heater", Watts, double.Epsilon, 200_000, Dimension.ElectricPower);

    /// <summary>The warmest the liquid leaves it.</summary>
    /// <param name="flow">What flows.</param>
    /// <param name="drum">What comes in.</param>
    /// <exception cref="QuantityRangeException">A figure out of range.</exception>
    public Temperature Reaches(SideFlow flow, Temperature drum) => drum + TemperatureDifference.FromKelvins(Heat / flow.Capacity);

    /// <summary>What the liquid leaves it at: its set point, or the warmest it reaches.</summary>
    /// <param name="flow">What flows.</param>
    /// <param name="drum">What comes in; it is never cooled.</param>
    /// <param name="set">Its set point.</param>
    /// <exception cref="QuantityRangeException">A figure out of range.</exception>
    public Temperature Leaves(SideFlow flow, Temperature drum, Temperature set)
    {
        var reached = Reaches(flow, drum);
        return drum >= set ? drum
            : reached < set ? reached
            : set;
    }

    /// <summary>The greatest flow at which it still holds its set point, <c>P / (c (T_set − T_drum))</c>, kg/s.</summary>
    /// <param name="side">A or B.</param>
    /// <param name="drum">What comes in.</param>
    /// <param name="set">Its set point.</param>
    /// <returns>Null where the drum is as warm as the set point: any flow holds it.</returns>
    /// <exception cref="QuantityRangeException">Heater out of range.</exception>
    public double? GreatestFlow(SetSide side, Temperature drum, Temperature set) =>
        drum >= set ? null : Heat / (side.HeatCapacity() * (set - drum).Kelvins);

    /// <summary>The coldest drum from which it holds its set point at a flow.</summary>
    /// <param name="flow">What flows.</param>
    /// <param name="set">Its set point.</param>
    /// <exception cref="QuantityRangeException">A figure out of range.</exception>
    public Temperature ColdestDrum(SideFlow flow, Temperature set) => Temperature.FromCelsius(set.Celsius - Heat / flow.Capacity);
}
