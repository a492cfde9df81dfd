using Umbracell.Core.Quantities;

namespace Umbracell.Core.Takeoff;

/// <summary>The geometries a surface is taken off by.</summary>
public enum ShapeKind
{
    /// <summary>Length × height.</summary>
    Rectangle,

    /// <summary>Width at the foot and pitch.</summary>
    Gable,

    /// <summary>Horizontal run × length, with the pitch.</summary>
    RoofPlane,

    /// <summary>Perimeter × depth.</summary>
    Band,

    /// <summary>Count × width × length.</summary>
    Bays,

    /// <summary>Inside of a box: four walls and the roof.</summary>
    Box,

    /// <summary>Any flat outline by its corners.</summary>
    Outline,
}

/// <summary>A shape with its sizes. Two or three of the sizes apply, by kind; see <see cref="Sizes"/>.</summary>
public sealed record Shape
{
    /// <summary>Geometry.</summary>
    public required ShapeKind Kind { get; init; }

    /// <summary>First length: length, width at the foot, run, perimeter or bay width.</summary>
    public required Length First { get; init; }

    /// <summary>Second length: height, roof length, depth or bay length; zero for a gable.</summary>
    public required Length Second { get; init; }

    /// <summary>Third length: height of a box; zero elsewhere.</summary>
    public required Length Third { get; init; }

    /// <summary>Rise over run, for gable and roof plane; zero elsewhere.</summary>
    public required double Pitch { get; init; }

    /// <summary>Number of bays; 1 elsewhere.</summary>
    public required int Count { get; init; }

    /// <summary>Corners of an outline in its own plane, in order round it; empty for every other shape.</summary>
    public IReadOnlyList<Corner> Corners { get; init; } = [];

    /// <summary>An outline by its corners.</summary>
    /// <param name="corners">Three or more, in order round it.</param>
    public static Shape OfOutline(IReadOnlyList<Corner> corners) =>
        new()
        {
            Kind = ShapeKind.Outline,
            First = Length.FromMetres(corners.Max(c => c.X) - corners.Min(c => c.X)),
            Second = Length.FromMetres(corners.Max(c => c.Y) - corners.Min(c => c.Y)),
            Third = Length.Zero,
            Pitch = 0,
            Count = 1,
            Corners = corners,
        };

    /// <summary>The same surface taken as another shape, where its sizes say all that the other shape asks for; null where one would have
    /// to be made up.</summary>
    /// <param name="kind">The other shape.</param>
    /// <returns>A shape of the same area.</returns>
    public Shape? As(ShapeKind kind) =>
        (Kind, kind) switch
        {
            _ when Kind == kind => this,
            (ShapeKind.Rectangle, ShapeKind.Band) or (ShapeKind.Band, ShapeKind.Rectangle) => this with { Kind = kind },
            (ShapeKind.Rectangle or ShapeKind.Band, ShapeKind.Bays) => this with { Kind = kind, Count = 1 },
            (ShapeKind.Bays, ShapeKind.Rectangle or ShapeKind.Band) when Count == 1 => this with { Kind = kind },
            (ShapeKind.Rectangle or ShapeKind.Band, ShapeKind.Outline) => OfOutline([
                new(0, 0),
                new(First.Metres, 0),
                new(First.Metres, Second.Metres),
                new(0, Second.Metres),
            ]),
            (ShapeKind.Gable, ShapeKind.Outline) => OfOutline([
                new(0, 0),
                new(First.Metres, 0),
                new(First.Metres / 2, First.Metres / 2 * Pitch),
            ]),
            (ShapeKind.RoofPlane, ShapeKind.Outline) => OfOutline([
                new(0, 0),
                new(Second.Metres, 0),
                new(Second.Metres, First.Metres * PitchFactor(Pitch)),
                new(0, First.Metres * PitchFactor(Pitch)),
            ]),
            _ => null,
        };

    /// <summary>What each typed part of a shape's size is, in order.</summary>
    public static IReadOnlyList<SizePart> Sizes(ShapeKind kind) =>
        kind switch
        {
            ShapeKind.Rectangle => [SizePart.Length, SizePart.Height],
            ShapeKind.Gable => [SizePart.Width, SizePart.Pitch],
            ShapeKind.RoofPlane => [SizePart.Run, SizePart.Length, SizePart.Pitch],
            ShapeKind.Band => [SizePart.Perimeter, SizePart.Depth],
            ShapeKind.Bays => [SizePart.Count, SizePart.Width, SizePart.Length],
            ShapeKind.Box => [SizePart.Length, SizePart.Width, SizePart.Height],
            ShapeKind.Outline => [SizePart.Corners],
            _ => throw new ArgumentOutOfRangeException(nameof(kind), kind, "Unknown shape."),
        };

    /// <summary>The pitch factor of a roof plane: sloped over horizontal length.</summary>
    /// <param name="pitch">Rise over run, 0 or more.</param>
    public static double PitchFactor(double pitch) => Math.Sqrt(1 + pitch * pitch);

    /// <summary>Gross area.</summary>
    public Area Area =>
        Kind switch
        {
            ShapeKind.Rectangle or ShapeKind.Band => First * Second,
            ShapeKind.Gable => First * (First * (Pitch / 2)) * 0.5,
            ShapeKind.RoofPlane => First * Second * PitchFactor(Pitch),
            ShapeKind.Bays => First * Second * Count,
            ShapeKind.Box => (First + Second) * Third * 2 + First * Second,
            ShapeKind.Outline => Outlines.AreaOf(Corners),
            _ => throw new InvalidOperationException($"No area is known for {Kind}."),
        };

    /// <summary>The formula of <see cref="Area"/> in the field's notation.</summary>
    public string Formula =>
        Kind switch
        {
            ShapeKind.Rectangle => "A = l · h",
            ShapeKind.Gable => "A = w · (w / 2 · pitch) / 2",
            ShapeKind.RoofPlane => "A = run · l · √(1 + pitch²)",
            ShapeKind.Band => "A = perimeter · d",
            ShapeKind.Bays => "A = n · w · l",
            ShapeKind.Outline => "A = ½ · |Σ (xᵢ · yᵢ₊₁ − xᵢ₊₁ · yᵢ)|",
            _ => "A = 2 · (l + w) · h + l · w",
        };

    /// <summary>The figure of one part of the size.</summary>
    public Figure this[SizePart part] =>
        (Kind, part) switch
        {
            (_, SizePart.Pitch) => new(Pitch, Dimension.Pitch),
            (_, SizePart.Count) => Figure.Count(Count),
            (_, SizePart.Corners) => Figure.Count(Corners.Count),
            (ShapeKind.Rectangle, SizePart.Length) or (ShapeKind.Box, SizePart.Length) => First.ToSpan(),
            (ShapeKind.Gable or ShapeKind.Bays, SizePart.Width) or (_, SizePart.Run or SizePart.Perimeter) => First.ToSpan(),
            (ShapeKind.Box, SizePart.Height) => Third.ToSpan(),
            _ => Second.ToSpan(),
        };
}

/// <summary>One part of a typed size.</summary>
public enum SizePart
{
    /// <summary>Length along the surface.</summary>
    Length,

    /// <summary>Height.</summary>
    Height,

    /// <summary>Width.</summary>
    Width,

    /// <summary>Horizontal run of a roof plane.</summary>
    Run,

    /// <summary>Perimeter of a band.</summary>
    Perimeter,

    /// <summary>Depth of a band.</summary>
    Depth,

    /// <summary>Rise over run.</summary>
    Pitch,

    /// <summary>How many.</summary>
    Count,

    /// <summary>Corners of an outline.</summary>
    Corners,
}
