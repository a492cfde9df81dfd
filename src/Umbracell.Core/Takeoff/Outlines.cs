using Umbracell.Core.Quantities;

namespace Umbracell.Core.Takeoff;

/// <summary>A corner of an outline in its own plane.</summary>
/// <param name="X">Across, m.</param>
/// <param name="Y">Up, m.</param>
public readonly record struct Corner(double X, double Y);

/// <summary>Flat outlines by their corners.</summary>
public static class Outlines
{
    /// <summary>Area enclosed (Gauss's area formula).</summary>
    /// <param name="corners">In order round it; fewer than three enclose nothing.</param>
    public static Area AreaOf(IReadOnlyList<Corner> corners)
    {
        var twice = 0.0;
        for (var i = 0; i < corners.Count; i++)
        {
            var (a, b) = (corners[i], corners[(i + 1) % corners.Count]);
            twice += a.X * b.Y - b.X * a.Y;
        }

        return Area.FromSquareMetres(Math.Abs(twice) / 2);
    }

    /// <summary>Whether two sides that do not meet at a corner cross or touch: such an outline has no area.</summary>
    public static bool CrossesItself(IReadOnlyList<Corner> corners)
    {
        for (var i = 0; i < corners.Count; i++)
        {
            for (var j = i + 1; j < corners.Count; j++)
            {
                var neighbours = j == i + 1 || (i == 0 && j == corners.Count - 1);
                if (!neighbours && Cross(corners[i], corners[(i + 1) % corners.Count], corners[j], corners[(j + 1) % corners.Count]))
                {
                    return true;
                }
            }
        }

        return false;
    }

    private static bool Cross(Corner a, Corner b, Corner c, Corner d)
    {
        var (d1, d2, d3, d4) = (Side(c, d, a), Side(c, d, b), Side(a, b, c), Side(a, b, d));
        return (d1 > 0 != d2 > 0 && d3 > 0 != d4 > 0 && d1 * d2 <= 0 && d3 * d4 <= 0)
            || (d1 == 0 && On(c, d, a))
            || (d2 == 0 && On(c, d, b))
            || (d3 == 0 && On(a, b, c))
            || (d4 == 0 && On(a, b, d));
    }

    private static double Side(Corner a, Corner b, Corner p) => (b.X - a.X) * (p.Y - a.Y) - (b.Y - a.Y) * (p.X - a.X);

    private static bool On(Corner a, Corner b, Corner p) =>
        p.X >= Math.Min(a.X, b.X) && p.X <= Math.Max(a.X, b.X) && p.Y >= Math.Min(a.Y, b.Y) && p.Y <= Math.Max(a.Y, b.Y);
}
