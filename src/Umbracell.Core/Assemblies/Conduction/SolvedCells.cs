using System.Collections.Concurrent;

namespace Umbracell.Core.Assemblies.Conduction;

/// <summary>Fields of members' cells, kept by all that decides them: the same wall is asked for again at other air, in other months and
/// when the hand comes back.</summary>
internal static class SolvedCells
{
    private const int MostKept = 200;

    // A hand in motion sees three digits.
    private const double MovingResidual = 1e-5;

    private static readonly ConcurrentDictionary<Numbers, ConductionField> Kept = new();

    /// <summary>The field of a cell between airs of 0 and 1 °C.</summary>
    public static ConductionField Of(ConductionCell cell, int volumes)
    {
        if (Kept.Count > MostKept)
        {
            Kept.Clear();
        }

        return Kept.GetOrAdd(
            new(NumbersOf(cell, volumes)),
            _ => ConductionField.Solve(cell, volumes, volumes <= MemberCell.FewVolumes ? MovingResidual : ConductionSystem.UsualResidual)
        );
    }

    private static double[] NumbersOf(ConductionCell cell, int volumes)
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
        return [.. numbers];
    }

    private static double[] Air(EdgeAir? air) => air is { } known ? [known.Temperature, known.Resistance] : [double.NaN, double.NaN];

    private readonly record struct Numbers(double[] Values)
    {
        public bool Equals(Numbers other) => Values.AsSpan().SequenceEqual(other.Values);

        public override int GetHashCode()
        {
            var hash = default(HashCode);
            foreach (var value in Values)
            {
                hash.Add(value);
            }

            return hash.ToHashCode();
        }
    }
}
