namespace Umbracell.Core.Weather;

/// <summary>Gathers figures of the members of an hour and tells where they lie.</summary>
internal struct HourFigures(int members)
{
    private readonly double[] _values = new double[members];
    private int _count;

    public void Add(double value)
    {
        if (!double.IsNaN(value))
        {
            _values[_count++] = value;
        }
    }

    /// <summary>The figure that so large a share of the members does not pass.</summary>
    public readonly double Within(double share)
    {
        var values = _values[.._count];
        Array.Sort(values);
        return values.Length == 0 ? double.NaN : values[Math.Max(0, (int)Math.Ceiling(share * values.Length - 1e-9) - 1)];
    }

    public Band Taken()
    {
        var values = _values.AsSpan(0, _count);
        values.Sort();
        _count = 0;
        return values.IsEmpty
            ? new(double.NaN, double.NaN, double.NaN)
            : new(Spread.Quantile(values, 0.1), Spread.Quantile(values, 0.5), Spread.Quantile(values, 0.9));
    }

    public Band Of(IReadOnlyList<SurfaceHours> members, int hour, Func<SurfaceHours, double[]> of)
    {
        foreach (var member in members)
        {
            Add(of(member)[hour]);
        }

        return Taken();
    }
}
