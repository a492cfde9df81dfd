using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Yield;

/// <summary>Which side of a set a drum holds.</summary>
public enum SetSide
{
    /// <summary>Isocyanate.</summary>
    A,

    /// <summary>Resin.</summary>
    B,
}

/// <summary>What the liquids of the two sides are like.</summary>
public static class SetSides
{
    /// <summary>Heat a kilogram takes up, J/(kg·K): 1700 for A, 1900 for B.</summary>
    /// <param name="side">A or B.</param>
    public static double HeatCapacity(this SetSide side) => side == SetSide.A ? 1700 : 1900;
}

/// <summary>A drum that warms in a blanket or cools in the cold: <c>C dT/dt = P − UA (T − T_amb)</c>, its liquid taken as one.</summary>
/// <param name="Side">A or B.</param>
/// <param name="Liquid">What is in it, 1 to 1000 kg.</param>
/// <param name="Start">Its temperature now.</param>
/// <param name="Around">Air around it.</param>
/// <param name="Blanket">Heat of its blanket, W; zero for a bare drum.</param>
public sealed record DrumWarmth(SetSide Side, Mass Liquid, Temperature Start, Temperature Around, double Blanket)
{
    /// <summary>Loss of a bare 200 l steel drum, W/K.</summary>
    public const double BareLoss = 14;

    /// <summary>Loss of a drum in a wrap that leaves the ends open, W/K.</summary>
    public const double WrappedLoss = 5;

    private double Loss => Blanket > 0 ? WrappedLoss : BareLoss;

    private double Capacity => QuantityRangeException.Within("drum", Liquid.Kilograms, 1, 1000, Dimension.Mass) * Side.HeatCapacity();

    private double Settles => Around.Celsius + QuantityRangeException.Within("blanket", Blanket, 0, 5000, Dimension.ElectricPower) / Loss;

    /// <summary>Temperature after a time: <c>T = T_∞ + (T_0 − T_∞) e^(−t UA / C)</c>.</summary>
    /// <param name="time">0 or more.</param>
    public Temperature After(TimeSpan time) =>
        Temperature.FromCelsius(Settles + (Start.Celsius - Settles) * Math.Exp(-time.TotalSeconds * Loss / Capacity));

    /// <summary>Heat its liquid takes up on the way to a temperature, J; nothing where it is warmer.</summary>
    /// <param name="to">The temperature.</param>
    public double HeatTo(Temperature to) => Math.Max(0, Capacity * (to - Start).Kelvins);

    /// <summary>How long before the start the blanket must go on; nothing where the drum is warm enough, null where it never gets
    /// there.</summary>
    /// <param name="wanted">Temperature wanted.</param>
    public TimeSpan? TimeTo(Temperature wanted) =>
        Start >= wanted ? TimeSpan.Zero
        : Settles <= wanted.Celsius ? null
        : TimeSpan.FromSeconds(Capacity / Loss * Math.Log((Settles - Start.Celsius) / (Settles - wanted.Celsius)));

    /// <summary>How <see cref="TimeTo"/> follows.</summary>
    /// <param name="wanted">Temperature wanted.</param>
    public Working Working(Temperature wanted) =>
        new(
            "drumTime",
            "t = C / UA · ln((T_∞ − T_0) / (T_∞ − T)), T_∞ = T_amb + P / UA",
            [
                new("C", "drumCapacity", new(Capacity, Dimension.HeatCapacity)),
                new("UA", "drumLoss", new(Loss, Dimension.HeatLoss)),
                new("P", "blanket", new(Blanket, Dimension.ElectricPower)),
                new("T_amb", "drumAround", Around.ToFigure()),
                new("T_0", "drumStart", Start.ToFigure()),
                new("T", "drumWanted", wanted.ToFigure()),
            ],
            Figure.Duration(TimeTo(wanted) ?? TimeSpan.Zero),
            Citations.LumpedDrum(BareLoss, WrappedLoss)
        );
}
