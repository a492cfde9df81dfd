using Umbracell.Core.Quantities;

namespace Umbracell.Core.Takeoff;

/// <summary>Cuts a shape in two where depth or system changes: shallow at the eaves, deep above.</summary>
public static class ShapeSplit
{
    /// <summary>The sizes a shape can be cut along; empty where it cannot be.</summary>
    public static IReadOnlyList<SizePart> Along(ShapeKind kind) =>
        kind switch
        {
            ShapeKind.Rectangle => [SizePart.Height, SizePart.Length],
            ShapeKind.RoofPlane => [SizePart.Run, SizePart.Length],
            ShapeKind.Band => [SizePart.Perimeter, SizePart.Depth],
            ShapeKind.Bays => [SizePart.Length],
            _ => [],
        };

    /// <summary>Cuts a shape.</summary>
    /// <param name="shape">The shape.</param>
    /// <param name="along">One of <see cref="Along"/>.</param>
    /// <param name="at">Where from its beginning, above zero and below the whole size.</param>
    /// <returns>The part up to the cut, and the rest; their areas add up to the whole.</returns>
    /// <exception cref="QuantityRangeException">A cut outside the shape.</exception>
    public static (Shape First, Shape Second) Cut(Shape shape, SizePart along, Length at)
    {
        if (!Along(shape.Kind).Contains(along))
        {
            throw new ArgumentException($"A {shape.Kind} is not cut along its {along}.", nameof(along));
        }

        var whole = shape[along].Amount;
        QuantityRangeException.Within(
            "cut",
            at.Metres,
            SizeText.SideRange.Least,
            Math.Max(SizeText.SideRange.Least, whole - SizeText.SideRange.Least),
            Dimension.Span
        );
        return (With(shape, along, at), With(shape, along, Length.FromMetres(whole - at.Metres)));
    }

    private static Shape With(Shape shape, SizePart part, Length size) =>
        (shape.Kind, part) switch
        {
            (ShapeKind.Rectangle, SizePart.Length) or (_, SizePart.Run or SizePart.Perimeter) => shape with { First = size },
            _ => shape with { Second = size },
        };
}
