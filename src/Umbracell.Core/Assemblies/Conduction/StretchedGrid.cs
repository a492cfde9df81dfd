namespace Umbracell.Core.Assemblies.Conduction;

/// <summary>A grid whose lines lie on every edge of a block and grow sparser away from them.</summary>
internal static class StretchedGrid
{
    /// <summary>Growth from one volume to the next.</summary>
    private const double Growth = 1.35;

    private const double SameLine = 1e-7;

    public static (double[] X, double[] Y) Of(ConductionCell cell, int volumes)
    {
        var across = Lines(
            cell.Blocks.SelectMany(b => new[] { b.Left, b.Right })
                .Concat(cell.Rooms.SelectMany(r => new[] { r.Left, r.Right }))
                .Concat(cell.AcrossAt),
            cell.Width
        );
        var through = Lines(
            cell.Blocks.SelectMany(b => new[] { b.Bottom, b.Top })
                .Concat(cell.Rooms.SelectMany(r => new[] { r.Bottom, r.Top }))
                .Concat(cell.ThroughAt),
            cell.Depth
        );

        // As many volumes in an interval as the count allows, fewer in one direction where the other has many lines of its own.
        var least = 2;
        var most = 400;
        while (least < most)
        {
            var middle = (least + most + 1) / 2;
            (least, most) = Count(across, middle) * Count(through, middle) <= volumes ? (middle, most) : (least, middle - 1);
        }

        return (Cut(across, least), Cut(through, least));
    }

    private static double[] Lines(IEnumerable<double> edges, double end)
    {
        List<double> lines = [0];
        foreach (var at in edges.Where(e => e > SameLine && e < end - SameLine).Append(end).Order())
        {
            if (at - lines[^1] > SameLine)
            {
                lines.Add(at);
            }
        }

        return [.. lines];
    }

    private static long Count(double[] lines, int each) => Cut(lines, each).Length - 1;

    // Volumes of an interval follow its share of the root of its width: thin webs keep a few, wide fields get more.
    private static double[] Cut(double[] lines, int each)
    {
        var roots = lines.Zip(lines.Skip(1)).Select(pair => Math.Sqrt(pair.Second - pair.First)).ToArray();
        var mean = roots.Average();
        List<double> cut = [0];
        for (var i = 0; i < roots.Length; i++)
        {
            var n = Math.Max(2, (int)Math.Round(each * roots[i] / mean));
            Interval(cut, lines[i], lines[i + 1], n);
        }

        return [.. cut];
    }

    // Fine at both ends, sparse in the middle.
    private static void Interval(List<double> cut, double from, double to, int n)
    {
        var widths = Enumerable.Range(0, n).Select(i => Math.Pow(Growth, Math.Min(Math.Min(i, n - 1 - i), 12))).ToArray();
        var scale = (to - from) / widths.Sum();
        var at = from;
        for (var i = 0; i < n - 1; i++)
        {
            at += widths[i] * scale;
            cut.Add(at);
        }

        cut.Add(to);
    }
}
