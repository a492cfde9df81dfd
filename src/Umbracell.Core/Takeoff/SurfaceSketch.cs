using Umbracell.Core.Quantities;

namespace Umbracell.Core.Takeoff;

/// <summary>A surface drawn from its numbers, laid flat in metres, x across and y up: faces, openings and members. Where an opening sits
/// was not measured: openings are spread evenly.</summary>
/// <param name="Faces">Outlines of the faces.</param>
/// <param name="Openings">Openings, each inside a face.</param>
/// <param name="Members">Members as lines on a face.</param>
public sealed record SurfaceSketch(
    IReadOnlyList<IReadOnlyList<Corner>> Faces,
    IReadOnlyList<IReadOnlyList<Corner>> Openings,
    IReadOnlyList<(Corner From, Corner To)> Members
)
{
    /// <summary>More members than this are a grey field, not a drawing.</summary>
    private const int MostMembers = 150;

    private const double Gap = 0.15;

    /// <summary>Draws one of a surface; repeats look alike.</summary>
    /// <param name="shape">Its geometry.</param>
    /// <param name="openings">Its openings.</param>
    /// <param name="memberSpacing">Centre to centre; zero for none.</param>
    public static SurfaceSketch Of(Shape shape, IReadOnlyList<Opening> openings, Length memberSpacing)
    {
        var faces = FacesOf(shape);
        var main = faces[0];
        return new(
            faces,
            [.. Spread(openings, main)],
            memberSpacing.Metres > 0 && shape.Kind != ShapeKind.Bays ? MembersOf(main, memberSpacing.Metres) : []
        );
    }

    private static List<IReadOnlyList<Corner>> FacesOf(Shape shape)
    {
        var (a, b, c) = (shape.First.Metres, shape.Second.Metres, shape.Third.Metres);
        return shape.Kind switch
        {
            ShapeKind.Gable =>
            [
                [new(0, 0), new(a, 0), new(a / 2, a / 2 * shape.Pitch)],
            ],
            ShapeKind.RoofPlane => [Box(0, 0, b, a * Shape.PitchFactor(shape.Pitch))],
            ShapeKind.Bays => [.. Enumerable.Range(0, shape.Count).Select(i => Box(i * (a + Math.Min(Gap, a / 3)), 0, a, b))],
            ShapeKind.Box =>
            [
                Box(0, 0, a, c),
                Box(a + Gap, 0, b, c),
                Box(a + b + 2 * Gap, 0, a, c),
                Box(2 * a + b + 3 * Gap, 0, b, c),
                Box(0, c + Gap, a, b),
            ],
            ShapeKind.Outline => [shape.Corners],
            _ => [Box(0, 0, a, b)],
        };
    }

    private static IReadOnlyList<Corner> Box(double x, double y, double w, double h) =>
        [new(x, y), new(x + w, y), new(x + w, y + h), new(x, y + h)];

    private static IEnumerable<IReadOnlyList<Corner>> Spread(IReadOnlyList<Opening> openings, IReadOnlyList<Corner> face)
    {
        var (left, right, foot, top) = (face.Min(c => c.X), face.Max(c => c.X), face.Min(c => c.Y), face.Max(c => c.Y));
        var all = openings.SelectMany(o => Enumerable.Repeat((W: o.Width.Metres, H: o.Height.Metres), Math.Min(o.Count, 60))).ToList();
        var total = all.Sum(o => o.W);
        var space = Math.Max(0, right - left - total) / (all.Count + 1);
        var scale = total > right - left ? (right - left) / total : 1;
        var x = left + space;
        foreach (var (w, h) in all)
        {
            // Doors reach the foot; windows stand at the middle of the height.
            var height = Math.Min(h, top - foot);
            var sill = height > 0.75 * (top - foot) || height >= 1.9 ? foot : foot + (top - foot - height) / 2;
            yield return Box(x, sill, w * scale, height);
            x += w * scale + space;
        }
    }

    private static List<(Corner From, Corner To)> MembersOf(IReadOnlyList<Corner> face, double spacing)
    {
        var (left, right) = (face.Min(c => c.X), face.Max(c => c.X));
        if ((right - left) / spacing > MostMembers)
        {
            return [];
        }

        var members = new List<(Corner From, Corner To)>();
        for (var x = left + spacing; x < right - spacing / 4; x += spacing)
        {
            var (low, high) = Cut(face, x);
            if (high > low)
            {
                members.Add((new(x, low), new(x, high)));
            }
        }

        return members;
    }

    // Where an upright line enters and leaves the face.
    private static (double Low, double High) Cut(IReadOnlyList<Corner> face, double x)
    {
        var (low, high) = (double.MaxValue, double.MinValue);
        for (var i = 0; i < face.Count; i++)
        {
            var (a, b) = (face[i], face[(i + 1) % face.Count]);
            if ((a.X <= x) != (b.X <= x))
            {
                var y = a.Y + (b.Y - a.Y) * (x - a.X) / (b.X - a.X);
                (low, high) = (Math.Min(low, y), Math.Max(high, y));
            }
        }

        return (low, high);
    }
}
