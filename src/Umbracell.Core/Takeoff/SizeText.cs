using System.Text.RegularExpressions;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Takeoff;

/// <summary>Reads and writes sizes the way they are called out: <c>24' x 9'</c>, <c>18' x 40' at 9:12</c>, <c>2 x 3' x 4'; 36" x
/// 80"</c>.</summary>
public static partial class SizeText
{
    /// <summary>Sides of a surface a person may type; longer than any building a crew sprays in one surface is a slip.</summary>
    public static FigureRange SideRange { get; } = new FigureRange(0.02, 300, Dimension.Span).Usually(0.1, 100);

    /// <summary>Pitches from nearly flat to 60:12.</summary>
    public static FigureRange PitchRange { get; } = new(0.0, 5, Dimension.Pitch);

    /// <summary>Counts of bays and openings.</summary>
    public static FigureRange CountRange { get; } = new(1, 999, Dimension.Count);

    /// <summary>Places of the corners of an outline, from any point.</summary>
    public static FigureRange CornerRange { get; } = new(-300, 300, Dimension.Span);

    /// <summary>Sides of an opening.</summary>
    public static FigureRange OpeningRange { get; } = new FigureRange(0.02, 60, Dimension.Span).Usually(0.1, 12);

    /// <summary>Corners of an outline that are read: each side is held against every other.</summary>
    public const int MostCorners = 200;

    /// <summary>Openings of a surface that are read, those of one size entered together being one.</summary>
    public const int MostOpenings = 200;

    /// <summary>What became of a typed size.</summary>
    /// <param name="Shape">The shape, or null.</param>
    /// <param name="Part">The first part that could not be taken, or null.</param>
    /// <param name="Missing">Parts the shape wants that were not typed; empty where all are there.</param>
    public sealed record TypedShape(Shape? Shape, TypedQuantity? Part, IReadOnlyList<SizePart> Missing)
    {
        /// <summary>The first part that was read and may have been meant otherwise, with the whole text for the other meaning; null where
        /// there is none.</summary>
        public TypedQuantity? Doubtful { get; init; }

        /// <summary>Whether it has more than <see cref="MostCorners"/> corners; none of them was read then.</summary>
        public bool TooMany { get; init; }
    }

    /// <summary>What became of typed openings.</summary>
    /// <param name="Openings">The openings, or null.</param>
    /// <param name="Part">The first part that could not be taken, or null where the count of parts was wrong.</param>
    public sealed record TypedOpenings(IReadOnlyList<Opening>? Openings, TypedQuantity? Part)
    {
        /// <summary>The first part that was read and is not what is usually found; null where there is none.</summary>
        public TypedQuantity? Doubtful { get; init; }

        /// <summary>Whether there are more than <see cref="MostOpenings"/>; none of them was read then.</summary>
        public bool TooMany { get; init; }
    }

    /// <summary>Reads the size of a shape.</summary>
    /// <param name="text">Parts set apart by x, × , * , comma, "at" or @.</param>
    /// <param name="kind">The shape.</param>
    /// <param name="system">System of bare numbers.</param>
    public static TypedShape ParseShape(string text, ShapeKind kind, UnitSystem system)
    {
        if (kind == ShapeKind.Outline)
        {
            return ParseOutline(text, system);
        }

        var wanted = Shape.Sizes(kind);
        var typed = Split(text);
        if (typed.Length != wanted.Count)
        {
            return new(null, null, [.. wanted.Skip(Math.Min(typed.Length, wanted.Count))]);
        }

        var parts = wanted.Zip(typed, (part, one) => QuantityParser.Parse(one, RangeOf(part), system)).ToList();
        if (parts.Find(p => p.Fault is not null) is { } bad)
        {
            return new(null, bad, []);
        }

        var lengths = parts
            .Where(p => p.Figure!.Value.Dimension == Dimension.Span)
            .Select(p => Length.FromMetres(p.Figure!.Value.Amount))
            .ToList();
        var pitch = parts.Find(p => p.Figure!.Value.Dimension == Dimension.Pitch)?.Figure!.Value.Amount ?? 0;
        var count = (int)Math.Round(parts.Find(p => p.Figure!.Value.Dimension == Dimension.Count)?.Figure!.Value.Amount ?? 1);
        return new(
            new()
            {
                Kind = kind,
                First = lengths[0],
                Second = lengths.ElementAtOrDefault(1),
                Third = lengths.ElementAtOrDefault(2),
                Pitch = pitch,
                Count = count,
            },
            null,
            []
        )
        {
            Doubtful = Doubtful(wanted, parts),
        };
    }

    // Parts without a unit are all meant in the same one.
    private static TypedQuantity? Doubtful(IReadOnlyList<SizePart> wanted, List<TypedQuantity> parts)
    {
        if (parts.Find(p => p.Doubt is not null) is not { } first)
        {
            return null;
        }

        var other = first.Doubt!.Other is null
            ? null
            : string.Concat(
                parts.Select(
                    (p, i) =>
                        (
                            i == 0 ? ""
                            : wanted[i] == SizePart.Pitch ? " at "
                            : " x "
                        ) + (p.Doubt?.Other ?? p.Typed)
                )
            );
        return first with { Doubt = first.Doubt with { Other = other } };
    }

    // "0 x 0; 24' x 0; 24' x 9'; 0 x 14'": across and up from any point.
    private static TypedShape ParseOutline(string text, UnitSystem system)
    {
        var parts = text.Split(';', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries);
        if (parts.Length > MostCorners)
        {
            return new(null, null, [SizePart.Corners]) { TooMany = true };
        }

        var corners = new List<Corner>();
        foreach (var one in parts)
        {
            var typed = Split(one);
            if (typed.Length != 2)
            {
                return new(null, null, [SizePart.Corners]);
            }

            var pair = typed.Select(side => QuantityParser.Parse(side, CornerRange, system)).ToList();
            if (pair.Find(p => p.Fault is not null) is { } bad)
            {
                return new(null, bad, []);
            }

            corners.Add(new(pair[0].Figure!.Value.Amount, pair[1].Figure!.Value.Amount));
        }

        return corners.Count < 3 || Outlines.CrossesItself(corners) || Outlines.AreaOf(corners).SquareMetres < 1e-4
            ? new(null, null, [SizePart.Corners])
            : new(Shape.OfOutline(corners), null, []);
    }

    /// <summary>Reads openings: count × width × height, or width × height, several set apart by a semicolon or plus.</summary>
    public static TypedOpenings ParseOpenings(string text, UnitSystem system)
    {
        var openings = new List<Opening>();
        TypedQuantity? doubtful = null;
        var parts = text.Split([';', '+'], StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries);
        if (parts.Length > MostOpenings)
        {
            return new(null, null) { TooMany = true };
        }

        foreach (var one in parts)
        {
            var typed = Split(one);
            if (typed.Length is < 2 or > 3)
            {
                return new(null, null);
            }

            var count =
                typed.Length == 3 ? QuantityParser.Parse(typed[0], CountRange, system) : QuantityParser.Parse("1", CountRange, system);
            var sides = typed[^2..].Select(side => QuantityParser.Parse(side, OpeningRange, system)).ToList();
            if (sides.Prepend(count).FirstOrDefault(p => p.Fault is not null) is { } bad)
            {
                return new(null, bad);
            }

            doubtful ??= sides.FirstOrDefault(side => side.Doubt is not null) is { } side
                ? side with
                {
                    Doubt = side.Doubt! with { Other = null },
                }
                : null;
            openings.Add(
                new(
                    (int)Math.Round(count.Figure!.Value.Amount),
                    Length.FromMetres(sides[0].Figure!.Value.Amount),
                    Length.FromMetres(sides[1].Figure!.Value.Amount)
                )
            );
        }

        return new(openings, null) { Doubtful = doubtful };
    }

    /// <summary>Writes a shape's size.</summary>
    public static string Print(Shape shape, UnitSystem system)
    {
        if (shape.Kind == ShapeKind.Outline)
        {
            return string.Join(
                "; ",
                shape.Corners.Select(c =>
                    $"{QuantityPrinter.Print(new(c.X, Dimension.Span), system)} x {QuantityPrinter.Print(new(c.Y, Dimension.Span), system)}"
                )
            );
        }

        var parts = Shape.Sizes(shape.Kind).Select(part => (part, Text: QuantityPrinter.Print(shape[part], system))).ToList();
        return string.Concat(
            parts.Select(
                (p, i) =>
                    (
                        i == 0 ? ""
                        : p.part == SizePart.Pitch ? " at "
                        : " x "
                    ) + p.Text
            )
        );
    }

    /// <summary>Writes openings.</summary>
    public static string Print(IEnumerable<Opening> openings, UnitSystem system) =>
        string.Join(
            "; ",
            openings.Select(o =>
                $"{(o.Count == 1 ? "" : $"{o.Count} x ")}{QuantityPrinter.Print(o.Width.ToSpan(), system)} x {QuantityPrinter.Print(o.Height.ToSpan(), system)}"
            )
        );

    private static FigureRange RangeOf(SizePart part) =>
        part switch
        {
            SizePart.Pitch => PitchRange,
            SizePart.Count => CountRange,
            _ => SideRange,
        };

    private static string[] Split(string text) =>
        [.. Separator().Split(text.Trim()).Select(part => part.Trim()).Where(part => part.Length > 0)];

    // A comma parts two sizes only where a space follows it; "5,5" is a decimal comma.
    [GeneratedRegex(@"\s*[x×*@]\s*|\s+at\s+|,\s+|\s+by\s+", RegexOptions.IgnoreCase)]
    private static partial Regex Separator();
}
