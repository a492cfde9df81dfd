namespace Umbracell.Core.Assemblies.Conduction;

/// <summary>All that decides the field of a cell.</summary>
internal readonly record struct CellNumbers(double[] Values)
{
    public static CellNumbers Of(ConductionCell cell, int volumes)
    {
        List<double> numbers =
        [
            volumes,
            cell.Width,
            cell.Depth,
            cell.Blocks.Count,
            .. Air(cell.Outside),
            .. Air(cell.Inside),
            .. Air(cell.LeftSide),
            .. Air(cell.RightSide),
        ];
        foreach (var b in cell.Blocks)
        {
            numbers.AddRange([b.Left, b.Right, b.Bottom, b.Top, b.Conductivity]);
        }

        foreach (var r in cell.Rooms)
        {
            numbers.AddRange([r.Left, r.Right, r.Bottom, r.Top, .. Air(r.Air)]);
        }

        numbers.AddRange(cell.AcrossAt);
        numbers.Add(double.NaN);
        numbers.AddRange(cell.ThroughAt);
        return new([.. numbers]);
    }

    public bool Equals(CellNumbers other) => Values.AsSpan().SequenceEqual(other.Values);

    public override int GetHashCode()
    {
        var hash = default(HashCode);
        foreach (var value in Values)
        {
            hash.Add(value);
        }

        return hash.ToHashCode();
    }

    private static double[] Air(EdgeAir? air) => air is { } known ? [known.Temperature, known.Resistance] : [double.NaN, double.NaN];
}
