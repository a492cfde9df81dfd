using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Takeoff;

/// <summary>An opening, or several alike.</summary>
/// <param name="Count">1 or more.</param>
/// <param name="Width">Above zero.</param>
/// <param name="Height">Above zero.</param>
public readonly record struct Opening(int Count, Length Width, Length Height)
{
    /// <summary>Area of all of them.</summary>
    public Area Area => Width * Height * Count;
}

/// <summary>The treated area of a surface, from its geometry; never from floor area.</summary>
public sealed record SurfaceTakeoff
{
    /// <summary>Shape times repeats.</summary>
    public required Area Gross { get; init; }

    /// <summary>All openings, times repeats.</summary>
    public required Area Openings { get; init; }

    /// <summary>Gross less openings.</summary>
    public required Area Treated { get; init; }

    /// <summary>Treated less the faces of members where foam stays between them.</summary>
    public required Area Sprayed { get; init; }

    /// <summary>Sprayed times the developed over projected width of a ribbed skin.</summary>
    public required Area Developed { get; init; }

    /// <summary>The sum.</summary>
    public required Working Working { get; init; }

    /// <summary>Whether the openings take up the whole surface or more: no surface is left.</summary>
    public bool OpeningsExceedSurface => Openings.SquareMetres >= Gross.SquareMetres;

    /// <summary>Takes off a surface.</summary>
    /// <param name="shape">Geometry of one.</param>
    /// <param name="openings">Openings of one.</param>
    /// <param name="repeats">How many alike, 1 or more.</param>
    /// <param name="memberShare">Area share of members whose faces stay bare, 0 to 0.9.</param>
    /// <param name="profileFactor">Developed over projected width of a ribbed skin, 1 to 3.</param>
    /// <exception cref="QuantityRangeException">Repeats, share or profile factor out of range.</exception>
    public static SurfaceTakeoff Of(Shape shape, IReadOnlyList<Opening> openings, int repeats, double memberShare, double profileFactor)
    {
        QuantityRangeException.Within(nameof(repeats), repeats, 1, 9_999, Dimension.Count);
        QuantityRangeException.Within(nameof(memberShare), memberShare * 100, 0, 90, Dimension.Percent);
        QuantityRangeException.Within(nameof(profileFactor), profileFactor, 1, 3, Dimension.Number);
        var gross = shape.Area * repeats;
        var open = openings.Aggregate(default(Area), (sum, o) => sum + o.Area) * repeats;
        var treated = gross - open;
        var sprayed = treated * (1 - memberShare);
        var developed = sprayed * profileFactor;
        return new()
        {
            Gross = gross,
            Openings = open,
            Treated = treated,
            Sprayed = sprayed,
            Developed = developed,
            Working = Sum(shape, repeats, gross, open, memberShare, profileFactor, developed),
        };
    }

    private static Working Sum(Shape shape, int repeats, Area gross, Area open, double memberShare, double profileFactor, Area developed)
    {
        var one = new Working(
            "shapeArea",
            shape.Formula,
            [.. Shape.Sizes(shape.Kind).Select(part => new WorkingTerm(Symbol(part), "size:" + part, shape[part]))],
            shape.Area.ToFigure(),
            Citations.Geometry
        );
        var all = new Working(
            "grossArea",
            "A_gross = n · A",
            [new("n", "repeats", Figure.Count(repeats)), new("A", "shapeArea", shape.Area.ToFigure(), one)],
            gross.ToFigure(),
            Citations.Geometry
        );
        return new(
            "sprayedArea",
            "A_net = (A_gross − A_openings) · (1 − f) · k",
            [
                new("A_gross", "grossArea", gross.ToFigure(), all),
                new("A_openings", "openings", open.ToFigure()),
                new("f", "memberShare", Figure.Number(memberShare)),
                new("k", "profileFactor", Figure.Number(profileFactor)),
            ],
            developed.ToFigure(),
            Citations.TreatedArea
        );
    }

    private static string Symbol(SizePart part) =>
        part switch
        {
            SizePart.Length => "l",
            SizePart.Height => "h",
            SizePart.Width => "w",
            SizePart.Depth => "d",
            SizePart.Count => "n",
            SizePart.Corners => "i",
            SizePart.Run => "run",
            SizePart.Perimeter => "perimeter",
            _ => "pitch",
        };
}
