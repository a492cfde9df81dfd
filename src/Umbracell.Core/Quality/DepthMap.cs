using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;

namespace Umbracell.Core.Quality;

/// <summary>A depth read at a place of the sketch.</summary>
/// <param name="At">On the sketch.</param>
/// <param name="Depth">All foam there.</param>
public readonly record struct DepthSpot(Corner At, Length Depth);

/// <summary>Depth over a whole surface by the places where it was read.</summary>
/// <remarks>Inverse distance, by the square (D. Shepard 1968): at a place that was read it is what was read, between places it lies
/// between them. It shows where to look again; it proves nothing.</remarks>
public sealed record DepthMap
{
    // Cells along the longer side.
    private const int Cells = 48;

    /// <summary>Left and lower end of the sketch.</summary>
    public required Corner From { get; init; }

    /// <summary>Side of a cell across.</summary>
    public required double Across { get; init; }

    /// <summary>Side of a cell up.</summary>
    public required double Up { get; init; }

    /// <summary>Cells in a row.</summary>
    public required int Columns { get; init; }

    /// <summary>Depth of each cell, m, row by row from the foot; null outside of the surface and in openings.</summary>
    public required IReadOnlyList<double?> Depths { get; init; }

    /// <summary>Draws it.</summary>
    /// <param name="sketch">The surface, laid flat.</param>
    /// <param name="spots">Where depth was read; null where it was read nowhere that is known.</param>
    public static DepthMap? Of(SurfaceSketch sketch, IReadOnlyList<DepthSpot> spots)
    {
        if (spots.Count == 0)
        {
            return null;
        }

        var all = sketch.Faces.SelectMany(face => face).ToList();
        var (left, foot) = (all.Min(c => c.X), all.Min(c => c.Y));
        var (width, height) = (all.Max(c => c.X) - left, all.Max(c => c.Y) - foot);
        var (columns, rows) = (Count(width, height), Count(height, width));
        var (across, up) = (width / columns, height / rows);
        var depths = new double?[columns * rows];
        for (var i = 0; i < depths.Length; i++)
        {
            Corner at = new(left + (i % columns + 0.5) * across, foot + (i / columns + 0.5) * up);
            var isOn = sketch.Faces.Any(face => DepthPlan.IsWithin(at, face)) && !sketch.Openings.Any(one => DepthPlan.IsWithin(at, one));
            depths[i] = isOn ? At(at, spots) : null;
        }

        return new()
        {
            From = new(left, foot),
            Across = across,
            Up = up,
            Columns = columns,
            Depths = depths,
        };

        static int Count(double side, double other) => (int)Math.Clamp(Math.Round(Cells * side / Math.Max(side, other)), 6, Cells);
    }

    /// <summary>Share of the drawn surface that is under a depth, 0 to 1.</summary>
    public double ShareUnder(Length depth)
    {
        var drawn = Depths.Where(one => one is not null).ToList();
        return drawn.Count == 0 ? 0 : drawn.Count(one => one < depth.Metres - 1e-9) / (double)drawn.Count;
    }

    private static double At(Corner at, IReadOnlyList<DepthSpot> spots)
    {
        var (sum, weights) = (0.0, 0.0);
        foreach (var spot in spots)
        {
            var square = Square(spot.At.X - at.X) + Square(spot.At.Y - at.Y);
            if (square < 1e-9)
            {
                return spot.Depth.Metres;
            }

            sum += spot.Depth.Metres / square;
            weights += 1 / square;
        }

        return sum / weights;
    }

    private static double Square(double x) => x * x;
}

/// <summary>Foam that is lacking, and what is sprayed to make it good: no coat is thinner than the sheet's thinnest.</summary>
/// <param name="Area">Area that is under the specification.</param>
/// <param name="Foam">Foam to add.</param>
public sealed record LackingFoam(Area Area, FoamVolume Foam)
{
    /// <summary>What is lacking.</summary>
    /// <param name="sheet">The product.</param>
    /// <param name="specified">Depth that was specified.</param>
    /// <param name="sprayed">Area that is sprayed.</param>
    /// <param name="depths">Depths of equal parts of it, m.</param>
    public static LackingFoam Of(ProductSheet sheet, Length specified, Area sprayed, IReadOnlyCollection<double> depths)
    {
        var thin = depths.Where(depth => depth < specified.Metres - 1e-9).ToList();
        var part = depths.Count == 0 ? 0 : sprayed.SquareMetres / depths.Count;
        var coat = sheet.ThinnestCoat.Metres;
        return new(
            Area.FromSquareMetres(thin.Count * part),
            FoamVolume.FromCubicMetres(thin.Sum(depth => Math.Max(coat, specified.Metres - depth)) * part)
        );
    }
}
