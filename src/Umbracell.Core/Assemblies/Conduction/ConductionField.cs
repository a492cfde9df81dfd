using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies.Conduction;

/// <summary>A rectangle of one material in a section that is cut across its members.</summary>
/// <param name="Left">Across the surface, m.</param>
/// <param name="Right">Across the surface, m; above <paramref name="Left"/>.</param>
/// <param name="Bottom">Through the assembly from outside in, m.</param>
/// <param name="Top">Through the assembly from outside in, m; above <paramref name="Bottom"/>.</param>
/// <param name="Conductivity">W/(m·K).</param>
public readonly record struct Block(double Left, double Right, double Bottom, double Top, double Conductivity);

/// <summary>Air along an edge of the section, behind its surface resistance.</summary>
/// <param name="Temperature">Of the air, °C.</param>
/// <param name="Resistance">Surface resistance, m²K/W; nothing where the edge itself is held at the temperature.</param>
public readonly record struct EdgeAir(double Temperature, double Resistance);

/// <summary>A section to be reckoned: blocks, later ones lying over earlier ones, in a box whose sides let no heat through unless air
/// stands along them.</summary>
/// <param name="Width">Across, m.</param>
/// <param name="Depth">Through, m.</param>
/// <param name="Blocks">Every place of the box lies in at least one.</param>
/// <param name="Outside">Air along the bottom edge; null for none.</param>
/// <param name="Inside">Air along the top edge; null for none.</param>
public sealed record ConductionCell(double Width, double Depth, IReadOnlyList<Block> Blocks, EdgeAir? Outside, EdgeAir? Inside)
{
    /// <summary>Air along the left edge; null for none.</summary>
    public EdgeAir? LeftSide { get; init; }

    /// <summary>Air along the right edge; null for none.</summary>
    public EdgeAir? RightSide { get; init; }

    /// <summary>Open air in the box itself: blocks that are no material but the room, such as the hollow of a profile.</summary>
    public IReadOnlyList<RoomBlock> Rooms { get; init; } = [];

    /// <summary>Lines the grid must have beside the edges of the blocks, across.</summary>
    public IReadOnlyList<double> AcrossAt { get; init; } = [];

    /// <summary>Lines the grid must have beside the edges of the blocks, through.</summary>
    public IReadOnlyList<double> ThroughAt { get; init; } = [];
}

/// <summary>A part of the box that is room or open air.</summary>
/// <param name="Left">Across, m.</param>
/// <param name="Right">Across, m.</param>
/// <param name="Bottom">Through, m.</param>
/// <param name="Top">Through, m.</param>
/// <param name="Air">The air there.</param>
public readonly record struct RoomBlock(double Left, double Right, double Bottom, double Top, EdgeAir Air);

/// <summary>Steady heat conduction in two dimensions: finite volumes on a grid that is fine where materials meet (ISO 10211).</summary>
/// <remarks>Heat flows between centres of neighbouring volumes through their two half resistances in series; the equations are symmetric
/// and are solved by conjugate gradients.</remarks>
public sealed class ConductionField
{
    private readonly double[] _x;
    private readonly double[] _y;
    private readonly double[] _k;
    private readonly double[] _t;

    private ConductionField(double[] x, double[] y, double[] k, double[] t, double fromOutside, double toInside, int steps)
    {
        (_x, _y, _k, _t) = (x, y, k, t);
        (HeatIn, HeatOut, Steps) = (toInside, fromOutside, steps);
    }

    /// <summary>Heat that enters from the warm airs, W per m of length.</summary>
    public double HeatIn { get; }

    /// <summary>Heat that leaves to the cold airs, W per m of length.</summary>
    public double HeatOut { get; }

    /// <summary>Steps the solver took.</summary>
    public int Steps { get; }

    /// <summary>Volumes across.</summary>
    public int Across => _x.Length - 1;

    /// <summary>Volumes through.</summary>
    public int Through => _y.Length - 1;

    /// <summary>Edges of the volumes across, m.</summary>
    public IReadOnlyList<double> EdgesAcross => _x;

    /// <summary>Edges of the volumes through, m.</summary>
    public IReadOnlyList<double> EdgesThrough => _y;

    /// <summary>Temperature at the centre of a volume, °C; no number where it is room.</summary>
    public double At(int across, int through) => _t[through * Across + across];

    /// <summary>Temperature at a place, between the centres of the volumes around it. Where materials meet it lies nearer the better
    /// conductor, as heat has it.</summary>
    /// <param name="across">m.</param>
    /// <param name="through">m.</param>
    public double At(double across, double through)
    {
        var (i, j) = (Below(_x, across), Below(_y, through));
        var (right, above) = (Math.Min(i + 1, Across - 1), Math.Min(j + 1, Through - 1));

        // Of two neighbours in a row or column the one that conducts tells how far along the resistance the place is.
        var u = Share(
            _x,
            across,
            i,
            right,
            K(i, j) > K(i, above) ? K(i, j) : K(i, above),
            K(right, j) > K(right, above) ? K(right, j) : K(right, above)
        );
        var v = Share(
            _y,
            through,
            j,
            above,
            K(i, j) > K(right, j) ? K(i, j) : K(right, j),
            K(i, above) > K(right, above) ? K(i, above) : K(right, above)
        );
        return At(i, j) * (1 - u) * (1 - v) + At(right, j) * u * (1 - v) + At(i, above) * (1 - u) * v + At(right, above) * u * v;
    }

    /// <summary>The same section between other airs. Heat follows the difference in proportion, so a field solved between 0 and 1 serves
    /// every pair.</summary>
    /// <param name="cold">Air that stood at 0 °C.</param>
    /// <param name="warm">Air that stood at 1 °C.</param>
    internal ConductionField Between(double cold, double warm)
    {
        var span = Math.Abs(warm - cold);
        return new(_x, _y, _k, Array.ConvertAll(_t, t => cold + t * (warm - cold)), HeatOut * span, HeatIn * span, Steps);
    }

    private double K(int across, int through) => _k[through * Across + across];

    /// <summary>Coldest and warmest volume that is material, °C.</summary>
    public (double Coldest, double Warmest) Range() => (_t.Where(double.IsFinite).Min(), _t.Where(double.IsFinite).Max());

    /// <summary>Solves a section.</summary>
    /// <param name="cell">The section.</param>
    /// <param name="volumes">About how many volumes, 200 to 100,000.</param>
    /// <param name="residual">Where the solver stops, against the heat put in; looser is quicker.</param>
    /// <exception cref="QuantityRangeException">A count out of range.</exception>
    /// <exception cref="ArgumentException">A place that no block covers, a conductivity not above zero, or no air at any edge.</exception>
    public static ConductionField Solve(ConductionCell cell, int volumes = 6000, double residual = ConductionSystem.UsualResidual)
    {
        QuantityRangeException.Within("volumes", volumes, 200, 100_000, Dimension.Count);
        if (cell is { Outside: null, Inside: null, LeftSide: null, RightSide: null, Rooms.Count: 0 })
        {
            throw new ArgumentException("Without air at any edge no temperature is known.", nameof(cell));
        }

        var (x, y) = StretchedGrid.Of(cell, volumes);
        return new ConductionSystem(cell, x, y, residual).Solve(
            (k, t, warm, cold, steps) => new ConductionField(x, y, k, t, cold, warm, steps)
        );
    }

    // The last volume whose centre lies at or before the place, or the first.
    private static int Below(double[] edges, double at)
    {
        var index = 0;
        while (index + 2 < edges.Length && (edges[index + 1] + edges[index + 2]) / 2 <= at)
        {
            index++;
        }

        return index;
    }

    private static double Share(double[] edges, double at, int low, int high, double kLow, double kHigh)
    {
        if (low == high)
        {
            return 0;
        }

        var (from, border, to) = ((edges[low] + edges[low + 1]) / 2, edges[high], (edges[high] + edges[high + 1]) / 2);
        var place = Math.Clamp(at, from, to);
        double Resistance(double end) => (Math.Min(end, border) - from) / kLow + Math.Max(0, end - border) / kHigh;
        return Resistance(place) / Resistance(to);
    }
}
