namespace Umbracell.Core.Weather.Years;

/// <summary>Noise that changes smoothly with time: at every instant normal with mean 0 and spread 1, the same for the same seed, and told for
/// any instant without walking there.</summary>
public static class WeatherNoise
{
    /// <summary>Its value.</summary>
    /// <param name="seed">Which noise.</param>
    /// <param name="hours">Time.</param>
    /// <param name="scale">Hours over which it changes, above 0.</param>
    public static double At(ulong seed, double hours, double scale)
    {
        var at = hours / scale;
        var node = (long)Math.Floor(at);
        var (sum, squares) = (0.0, 0.0);
        for (var i = -1; i <= 2; i++)
        {
            var weight = Spline(at - (node + i));
            sum += weight * Normal(Mixed(seed, (ulong)(node + i)));
            squares += weight * weight;
        }

        return sum / Math.Sqrt(squares);
    }

    /// <summary>A seed made of another and a number (the finishing steps of SplitMix64).</summary>
    /// <param name="seed">The other.</param>
    /// <param name="with">The number.</param>
    public static ulong Mixed(ulong seed, ulong with)
    {
        var z = seed + 0x9E3779B97F4A7C15 * (with + 1);
        z = (z ^ (z >> 30)) * 0xBF58476D1CE4E5B9;
        z = (z ^ (z >> 27)) * 0x94D049BB133111EB;
        return z ^ (z >> 31);
    }

    internal static double Normal(ulong bits)
    {
        var first = ((bits >> 11) + 1) / 9007199254740993.0;
        var second = (Mixed(bits, 7) >> 11) / 9007199254740992.0;
        return Math.Sqrt(-2 * Math.Log(first)) * Math.Cos(2 * Math.PI * second);
    }

    // Cubic B-spline: reaches two nodes to either side.
    private static double Spline(double x)
    {
        x = Math.Abs(x);
        return x < 1 ? 2.0 / 3 - x * x + x * x * x / 2
            : x < 2 ? (2 - x) * (2 - x) * (2 - x) / 6
            : 0;
    }
}
