using Umbracell.Core.Quantities;
using Umbracell.Core.Spraying;
using Umbracell.Core.Statistics;
using Umbracell.Core.Takeoff;

namespace Umbracell.Core.Quality;

/// <summary>A place where depth is read.</summary>
/// <param name="Number">From 1, as drawn on the sketch.</param>
/// <param name="Kind">In the area, at an edge or in a corner.</param>
/// <param name="At">On the sketch.</param>
public sealed record DepthPlace(int Number, PlaceKind Kind, Corner At);

/// <summary>Places where depth is read: in each part of equal area one by chance, so that nobody picks the good ones, and some at edges
/// and corners, where foam is thin.</summary>
/// <remarks>Stratified random sampling. The sketch is laid out in fine dots; these are parted into columns of as many dots, and each column into
/// parts of as many. The same seed draws the same places.</remarks>
public static class DepthPlan
{
    /// <summary>One place in the area for so much of it.</summary>
    public static Area AreaOfPlace { get; } = Area.FromSquareMetres(10);

    /// <summary>Fewest places in the area.</summary>
    public const int Fewest = 6;

    /// <summary>Most places in the area.</summary>
    public const int Most = 200;

    /// <summary>Places at edges, and as many in corners.</summary>
    public const int AtEdges = 2;

    // Dots along the longer side of the sketch.
    private const int Dots = 110;

    // How far from an edge a place in the area is at least, and one at an edge is: as a share of the shorter side, and in metres.
    private const double InsetShare = 0.12;
    private const double Inset = 0.15;

    /// <summary>How many places in the area are wanted.</summary>
    /// <param name="sprayed">Area that is sprayed.</param>
    public static int Wanted(Area sprayed) =>
        (int)Math.Clamp(Math.Ceiling(sprayed.SquareMetres / AreaOfPlace.SquareMetres - 1e-9), Fewest, Most);

    /// <summary>The places of a surface.</summary>
    /// <param name="sketch">The surface, laid flat.</param>
    /// <param name="sprayed">Area that is sprayed.</param>
    /// <param name="seed">Which of all draws.</param>
    public static IReadOnlyList<DepthPlace> Of(SurfaceSketch sketch, Area sprayed, ulong seed)
    {
        var chance = new SeededChance(seed);
        var wanted = Wanted(sprayed);
        List<DepthPlace> places = [];
        foreach (var part in PartsOf(DotsOf(sketch), wanted))
        {
            places.Add(new(places.Count + 1, PlaceKind.Area, part[chance.Below(part.Count)]));
        }

        List<Corner> corners = [.. sketch.Faces.SelectMany(face => face.Select(corner => Inwards(corner, face)))];
        for (var i = 0; i < AtEdges; i++)
        {
            var face = sketch.Faces[chance.Below(sketch.Faces.Count)];
            places.Add(new(places.Count + 1, PlaceKind.Edge, OnEdge(face, chance)));
        }

        for (var i = 0; i < AtEdges && corners.Count > 0; i++)
        {
            var corner = corners[chance.Below(corners.Count)];
            corners.Remove(corner);
            places.Add(new(places.Count + 1, PlaceKind.Corner, corner));
        }

        return places;
    }

    /// <summary>Whether a point lies within an outline.</summary>
    internal static bool IsWithin(Corner point, IReadOnlyList<Corner> outline)
    {
        var isWithin = false;
        for (int i = 0, j = outline.Count - 1; i < outline.Count; j = i++)
        {
            var (a, b) = (outline[i], outline[j]);
            if (a.Y > point.Y != b.Y > point.Y && point.X < (b.X - a.X) * (point.Y - a.Y) / (b.Y - a.Y) + a.X)
            {
                isWithin = !isWithin;
            }
        }

        return isWithin;
    }

    private static List<Corner> DotsOf(SurfaceSketch sketch)
    {
        var all = sketch.Faces.SelectMany(face => face).ToList();
        var (left, foot) = (all.Min(c => c.X), all.Min(c => c.Y));
        var (width, height) = (all.Max(c => c.X) - left, all.Max(c => c.Y) - foot);
        var (across, up) = (Count(width, height), Count(height, width));
        var insets = sketch.Faces.Select(InsetOf).ToArray();
        List<Corner> dots = [];
        for (var i = 0; i < across; i++)
        {
            for (var j = 0; j < up; j++)
            {
                Corner dot = new(left + (i + 0.5) * width / across, foot + (j + 0.5) * height / up);
                if (IsOn(dot))
                {
                    dots.Add(dot);
                }
            }
        }

        // An outline so thin that no dot is clear of its edges is read along its middle.
        return dots.Count > 0 ? dots : [.. sketch.Faces.Select(MiddleOf)];

        // A band of a few inches has dots enough across it too; an even number, so that neither half has more.
        static int Count(double side, double other) => (int)Math.Clamp(Dots * side / Math.Max(side, other), 24, Dots) / 2 * 2;

        bool IsOn(Corner dot)
        {
            for (var face = 0; face < insets.Length; face++)
            {
                if (IsWithin(dot, sketch.Faces[face]) && DistanceTo(sketch.Faces[face], dot) >= insets[face])
                {
                    return !sketch.Openings.Any(opening => IsWithin(dot, opening));
                }
            }

            return false;
        }
    }

    private static double InsetOf(IReadOnlyList<Corner> face)
    {
        var (width, height) = (face.Max(c => c.X) - face.Min(c => c.X), face.Max(c => c.Y) - face.Min(c => c.Y));
        return Math.Min(Inset, InsetShare * Math.Min(width, height));
    }

    private static double DistanceTo(IReadOnlyList<Corner> face, Corner dot)
    {
        var nearest = double.MaxValue;
        for (var i = 0; i < face.Count; i++)
        {
            var (a, b) = (face[i], face[(i + 1) % face.Count]);
            var (dx, dy) = (b.X - a.X, b.Y - a.Y);
            var square = dx * dx + dy * dy;
            var along = square > 0 ? Math.Clamp(((dot.X - a.X) * dx + (dot.Y - a.Y) * dy) / square, 0, 1) : 0;
            nearest = Math.Min(nearest, double.Hypot(dot.X - a.X - along * dx, dot.Y - a.Y - along * dy));
        }

        return nearest;
    }

    // As many columns as keep the parts about square; the dots come by columns already.
    private static IEnumerable<IReadOnlyList<Corner>> PartsOf(List<Corner> dots, int parts)
    {
        var (width, height) = (dots.Max(c => c.X) - dots.Min(c => c.X), dots.Max(c => c.Y) - dots.Min(c => c.Y));
        var columns = (int)Math.Clamp(Math.Round(Math.Sqrt(parts * Math.Max(width, 1e-6) / Math.Max(height, 1e-6))), 1, parts);
        var from = 0;
        for (var column = 0; column < columns; column++)
        {
            var (before, after) = (parts * column / columns, parts * (column + 1) / columns);
            var to = dots.Count * after / parts;
            var within = dots.GetRange(from, to - from).OrderBy(dot => dot.Y).ThenBy(dot => dot.X).ToList();
            var rows = after - before;
            for (var row = 0; row < rows; row++)
            {
                var (low, high) = (within.Count * row / rows, within.Count * (row + 1) / rows);
                yield return high > low ? within.GetRange(low, high - low) : [dots[Math.Min(from, dots.Count - 1)]];
            }

            from = to;
        }
    }

    private static Corner MiddleOf(IReadOnlyList<Corner> face) => new(face.Average(c => c.X), face.Average(c => c.Y));

    private static Corner Inwards(Corner at, IReadOnlyList<Corner> face)
    {
        var middle = MiddleOf(face);
        var distance = double.Hypot(middle.X - at.X, middle.Y - at.Y);
        var share = distance > 0 ? Math.Min(1, InsetOf(face) / distance) : 0;
        return new(at.X + share * (middle.X - at.X), at.Y + share * (middle.Y - at.Y));
    }

    private static Corner OnEdge(IReadOnlyList<Corner> face, SeededChance chance)
    {
        var first = chance.Below(face.Count);
        var (a, b) = (face[first], face[(first + 1) % face.Count]);
        var along = 0.2 + 0.6 * chance.Share();
        return Inwards(new(a.X + along * (b.X - a.X), a.Y + along * (b.Y - a.Y)), face);
    }
}
