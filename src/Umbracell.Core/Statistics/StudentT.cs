namespace Umbracell.Core.Statistics;

/// <summary>Student's t distribution, for intervals from few points.</summary>
internal static class StudentT
{
    private const int Panels = 400;

    /// <summary>The value not exceeded with a probability.</summary>
    /// <param name="probability">0.5 to 0.9995.</param>
    /// <param name="freedom">Degrees of freedom, 1 or more.</param>
    public static double Quantile(double probability, int freedom)
    {
        var (low, high) = (0.0, 1e3);
        for (var i = 0; i < 80; i++)
        {
            var middle = (low + high) / 2;
            (low, high) = Cumulative(middle, freedom) < probability ? (middle, high) : (low, middle);
        }

        return (low + high) / 2;
    }

    // With t = √ν·tan θ the density becomes cos^(ν-1) θ, smooth and bounded: Simpson's rule is exact to rounding.
    private static double Cumulative(double t, int freedom)
    {
        var end = Math.Atan(t / Math.Sqrt(freedom));
        return 0.5 + 0.5 * Integral(end, freedom) / Integral(Math.PI / 2, freedom);
    }

    private static double Integral(double end, int freedom)
    {
        var step = end / Panels;
        var sum = 0.0;
        for (var i = 0; i <= Panels; i++)
        {
            var weight =
                i is 0 or Panels ? 1
                : i % 2 == 1 ? 4
                : 2;
            sum += weight * Math.Pow(Math.Max(0, Math.Cos(i * step)), freedom - 1);
        }

        return sum * step / 3;
    }
}
