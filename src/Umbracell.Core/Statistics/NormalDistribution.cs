namespace Umbracell.Core.Statistics;

/// <summary>The standard normal distribution.</summary>
public static class NormalDistribution
{
    /// <summary>Share of the distribution below z.</summary>
    /// <remarks>Series and continued fraction of the error function (Abramowitz and Stegun 7.1.6, 7.1.14).</remarks>
    public static double Below(double z) => 0.5 * ErrorFunctionComplement(-z / Math.Sqrt(2));

    /// <summary>The z below which a share of the distribution lies.</summary>
    /// <param name="share">Above 0 and below 1.</param>
    /// <remarks>First guess by Abramowitz and Stegun 26.2.23 (within 4.5e-4), then Halley steps on <see cref="Below"/>, each of which
    /// cubes the error.</remarks>
    /// <exception cref="ArgumentOutOfRangeException">Share not between 0 and 1.</exception>
    public static double Quantile(double share)
    {
        if (!(share > 0 && share < 1))
        {
            throw new ArgumentOutOfRangeException(nameof(share), share, "The share must lie between 0 and 1.");
        }

        // The lower half is solved and mirrored, as small shares keep their digits where those near one have lost them.
        if (share > 0.5)
        {
            return -Quantile(1 - share);
        }

        var t = Math.Sqrt(-2 * Math.Log(share));
        var z = -(t - (2.515517 + t * (0.802853 + t * 0.010328)) / (1 + t * (1.432788 + t * (0.189269 + t * 0.001308))));
        for (var step = 0; step < 3; step++)
        {
            var error = (Below(z) - share) * Math.Sqrt(2 * Math.PI) * Math.Exp(z * z / 2);
            z -= error / (1 + z * error / 2);
        }

        return z;
    }

    // Series below 2.5, continued fraction above (Abramowitz and Stegun 7.1.6 and 7.1.14): both converge to machine precision there.
    private static double ErrorFunctionComplement(double x)
    {
        if (x < 0)
        {
            return 2 - ErrorFunctionComplement(-x);
        }

        return x < 2.5 ? 1 - Series(x) : Fraction(x);
    }

    private static double Series(double x)
    {
        var (term, sum) = (x, x);
        for (var n = 1; n < 200 && Math.Abs(term) > 1e-17 * sum; n++)
        {
            term *= 2 * x * x / (2 * n + 1);
            sum += term;
        }

        return 2 / Math.Sqrt(Math.PI) * Math.Exp(-x * x) * sum;
    }

    private static double Fraction(double x)
    {
        var tail = 0.0;
        for (var k = 120; k >= 1; k--)
        {
            tail = k / 2.0 / (x + tail);
        }

        return Math.Exp(-x * x) / Math.Sqrt(Math.PI) / (x + tail);
    }
}
