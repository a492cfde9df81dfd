using Umbracell.Core.Quantities;

namespace Umbracell.Core.Statistics;

/// <summary>The noncentral t distribution: of <c>(Z + δ)/√(χ²/ν)</c>, by which a bound is told that a share of a population keeps to, from
/// the mean and the scatter of few readings.</summary>
public static class NoncentralT
{
    // Half width of what is integrated, in standard deviations of χ/√ν, and how finely.
    private const double Reach = 10;
    private const int Panels = 200;

    /// <summary>The value not exceeded with a probability.</summary>
    /// <param name="probability">0.5 to 0.9995.</param>
    /// <param name="freedom">Degrees of freedom, 1 or more.</param>
    /// <param name="shift">Noncentrality δ, 0 or more.</param>
    /// <exception cref="QuantityRangeException">Outside of these.</exception>
    public static double Quantile(double probability, int freedom, double shift)
    {
        QuantityRangeException.Within("probability", probability, 0.5, 0.9995, Dimension.Number);
        QuantityRangeException.Within("degrees of freedom", freedom, 1, 1e6, Dimension.Count);
        QuantityRangeException.Within("noncentrality", shift, 0, 1e4, Dimension.Number);
        var (low, high) = (0.0, shift + 2);
        var (under, over) = (Below(low, freedom, shift) - probability, Below(high, freedom, shift) - probability);
        while (over < 0)
        {
            (low, under) = (high, over);
            high *= 2;
            over = Below(high, freedom, shift) - probability;
        }

        return Root(low, under, high, over, t => Below(t, freedom, shift) - probability);
    }

    // The line through both ends, the weight of an end that stays halved (the Illinois rule): some ten steps where halving takes fifty.
    private static double Root(double low, double under, double high, double over, Func<double, double> of)
    {
        var last = 0;
        for (var step = 0; step < 100 && high - low > 1e-10 * high; step++)
        {
            var middle = high - over * (high - low) / (over - under);
            var value = of(middle);
            if (Math.Abs(value) < 1e-12)
            {
                return middle;
            }

            if (value < 0)
            {
                (low, under, over) = (middle, value, last < 0 ? over / 2 : over);
                last = -1;
            }
            else
            {
                (high, over, under) = (middle, value, last > 0 ? under / 2 : under);
                last = 1;
            }
        }

        return (low + high) / 2;
    }

    // P(T < t) = ∫ Φ(t s − δ) f(s) ds over s = χ/√ν. The integral of f itself, taken alike, makes the gamma function unnecessary.
    private static double Below(double t, int freedom, double shift)
    {
        var half = Reach / Math.Sqrt(2.0 * freedom);
        var (from, to) = (Math.Max(0, 1 - half), 1 + half);
        var step = (to - from) / Panels;
        var (sum, all) = (0.0, 0.0);
        for (var i = 0; i <= Panels; i++)
        {
            var s = from + i * step;
            var weight = Simpson(i) * Density(s, freedom);
            sum += weight * NormalDistribution.Below(t * s - shift);
            all += weight;
        }

        return sum / all;
    }

    private static double Simpson(int i) =>
        i is 0 or Panels ? 1
        : i % 2 == 1 ? 4
        : 2;

    // Without its constant, and 1 where it is greatest.
    private static double Density(double s, int freedom) =>
        s > 0 ? Math.Exp((freedom - 1) * Math.Log(s) - freedom * (s * s - 1) / 2)
        : freedom == 1 ? Math.Exp(0.5)
        : 0;
}
