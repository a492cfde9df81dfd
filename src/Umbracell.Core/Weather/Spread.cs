namespace Umbracell.Core.Weather;

/// <summary>Where the figures of the members of a forecast lie.</summary>
public static class Spread
{
    /// <summary>The figure below which a share of what may come lies, by the place of each figure in their order: of n members the k-th
    /// has k of n + 1 parts below it, so that what comes is as likely to fall between any two.</summary>
    /// <param name="sorted">Figures in ascending order; at least one.</param>
    /// <param name="share">0 to 1.</param>
    public static double Quantile(ReadOnlySpan<double> sorted, double share)
    {
        var at = share * (sorted.Length + 1) - 1;
        var below = Math.Clamp((int)Math.Floor(at), 0, sorted.Length - 1);
        var above = Math.Min(below + 1, sorted.Length - 1);
        return sorted[below] + (sorted[above] - sorted[below]) * Math.Clamp(at - below, 0, 1);
    }
}
