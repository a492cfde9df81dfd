using Umbracell.Core.Quantities;

namespace Umbracell.Core.Materials;

/// <summary>One point of a product sheet's curve.</summary>
/// <param name="X">Where, in SI.</param>
/// <param name="Y">The value there, in SI.</param>
public readonly record struct CurvePoint(double X, double Y);

/// <summary>A curve given by points, straight between them. The ends are limits: it is never read past them.</summary>
public sealed class Curve
{
    private readonly CurvePoint[] _points;

    /// <summary>A curve through points in rising order of x.</summary>
    /// <param name="name">What it gives; names the input in errors.</param>
    /// <param name="points">One or more points, x strictly rising.</param>
    /// <param name="dimension">Dimension of x, for errors.</param>
    /// <exception cref="ArgumentException">No point, or x not strictly rising.</exception>
    public Curve(string name, IEnumerable<CurvePoint> points, Dimension dimension)
    {
        Name = name;
        Dimension = dimension;
        _points = [.. points];
        if (_points.Length == 0 || _points.Zip(_points.Skip(1)).Any(pair => !(pair.Second.X > pair.First.X)))
        {
            throw new ArgumentException($"The points of {name} must be one or more, in rising order.", nameof(points));
        }
    }

    /// <summary>What the curve gives.</summary>
    public string Name { get; }

    /// <summary>Dimension of x.</summary>
    public Dimension Dimension { get; }

    /// <summary>The points, rising.</summary>
    public IReadOnlyList<CurvePoint> Points => _points;

    /// <summary>First x.</summary>
    public double First => _points[0].X;

    /// <summary>Last x.</summary>
    public double Last => _points[^1].X;

    /// <summary>The value at x.</summary>
    /// <exception cref="QuantityRangeException">x lies before the first or past the last point.</exception>
    public double At(double x)
    {
        QuantityRangeException.Within(Name, x, First, Last, Dimension);
        var upper = Array.FindIndex(_points, point => point.X >= x);
        if (upper <= 0)
        {
            return _points[0].Y;
        }

        var (a, b) = (_points[upper - 1], _points[upper]);
        return a.Y + (b.Y - a.Y) * (x - a.X) / (b.X - a.X);
    }
}
