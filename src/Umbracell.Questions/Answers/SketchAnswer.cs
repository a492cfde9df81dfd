using Umbracell.Core.Takeoff;

namespace Umbracell.Questions.Answers;

/// <summary>A line or outline in metres: x and y in turn.</summary>
public sealed record SketchPath(IReadOnlyList<double> Xy)
{
    /// <summary>Its corners.</summary>
    public IReadOnlyList<Corner> Corners() => [.. Xy.Chunk(2).Where(pair => pair.Length == 2).Select(pair => new Corner(pair[0], pair[1]))];
}

/// <summary>A surface drawn from its numbers, in metres, x across and y up.</summary>
public sealed record SketchAnswer(
    double WidthM,
    double HeightM,
    IReadOnlyList<SketchPath> Faces,
    IReadOnlyList<SketchPath> Openings,
    IReadOnlyList<SketchPath> Members
)
{
    public static SketchAnswer Of(SurfaceSketch sketch)
    {
        var corners = sketch.Faces.SelectMany(face => face).ToList();
        return new(
            corners.Max(c => c.X) - corners.Min(c => c.X),
            corners.Max(c => c.Y) - corners.Min(c => c.Y),
            [.. sketch.Faces.Select(face => Path(face, corners))],
            [.. sketch.Openings.Select(opening => Path(opening, corners))],
            [.. sketch.Members.Select(m => Path([m.From, m.To], corners))]
        );
    }

    /// <summary>The sketch for the core.</summary>
    public SurfaceSketch ToSketch() =>
        new([.. Faces.Select(face => face.Corners())], [.. Openings.Select(opening => opening.Corners())], []);

    // An outline may have been taken from any point: the drawing starts at its own lower left.
    private static SketchPath Path(IEnumerable<Corner> path, List<Corner> all)
    {
        var (x, y) = (all.Min(c => c.X), all.Min(c => c.Y));
        return new([.. path.SelectMany(c => new[] { c.X - x, c.Y - y })]);
    }
}
