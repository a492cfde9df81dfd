using CsCheck;
using Shouldly;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Xunit;

namespace Umbracell.Core.Tests.Takeoff;

public sealed class SurfaceSketchTests
{
    private static readonly Gen<Shape> AnyShape = Gen.Select(
            Gen.Enum<ShapeKind>(),
            Gen.Double[2, 20],
            Gen.Double[2, 20],
            Gen.Double[2, 5],
            Gen.Double[0.2, 1.2],
            Gen.Int[1, 6]
        )
        .Select(
            (kind, a, b, c, pitch, count) =>
                kind switch
                {
                    ShapeKind.Outline => Shape.OfOutline([new(0, 0), new(a, 0), new(a, b), new(0, b + c)]),
                    ShapeKind.Gable => new()
                    {
                        Kind = kind,
                        First = Length.FromMetres(a),
                        Second = default,
                        Third = default,
                        Pitch = pitch,
                        Count = 1,
                    },
                    ShapeKind.RoofPlane => new()
                    {
                        Kind = kind,
                        First = Length.FromMetres(a),
                        Second = Length.FromMetres(b),
                        Third = default,
                        Pitch = pitch,
                        Count = 1,
                    },
                    ShapeKind.Bays => new()
                    {
                        Kind = kind,
                        First = Length.FromMetres(a),
                        Second = Length.FromMetres(b),
                        Third = default,
                        Pitch = 0,
                        Count = count,
                    },
                    ShapeKind.Box => new()
                    {
                        Kind = kind,
                        First = Length.FromMetres(a),
                        Second = Length.FromMetres(b),
                        Third = Length.FromMetres(c),
                        Pitch = 0,
                        Count = 1,
                    },
                    _ => new Shape
                    {
                        Kind = kind,
                        First = Length.FromMetres(a),
                        Second = Length.FromMetres(b),
                        Third = default,
                        Pitch = 0,
                        Count = 1,
                    },
                }
        );

    [Fact]
    public void The_faces_drawn_have_the_area_taken_off() =>
        AnyShape.Sample(shape =>
            Math.Abs(SurfaceSketch.Of(shape, [], default).Faces.Sum(f => Outlines.AreaOf(f).SquareMetres) - shape.Area.SquareMetres)
            < 1e-9 * shape.Area.SquareMetres
        );

    [Fact]
    public void Every_opening_is_drawn_inside_the_frame_of_its_face() =>
        Gen.Select(AnyShape, Gen.Int[1, 5], Gen.Double[0.3, 3], Gen.Double[0.3, 3])
            .Sample(
                (shape, count, w, h) =>
                {
                    var sketch = SurfaceSketch.Of(shape, [new(count, Length.FromMetres(w), Length.FromMetres(h))], default);
                    var face = sketch.Faces[0];
                    return sketch.Openings.Count == count
                        && sketch
                            .Openings.SelectMany(o => o)
                            .All(c =>
                                c.X >= face.Min(f => f.X) - 1e-9
                                && c.X <= face.Max(f => f.X) + 1e-9
                                && c.Y >= face.Min(f => f.Y) - 1e-9
                                && c.Y <= face.Max(f => f.Y) + 1e-9
                            );
                }
            );

    [Fact]
    public void Members_stand_at_their_spacing_and_end_at_the_slope()
    {
        var gable = SurfaceSketch.Of(
            new()
            {
                Kind = ShapeKind.Gable,
                First = Length.FromMetres(8),
                Second = default,
                Third = default,
                Pitch = 0.75,
                Count = 1,
            },
            [],
            Length.FromMetres(1)
        );
        gable.Members.Count.ShouldBe(7);
        gable.Members[3].To.Y.ShouldBe(3, 1e-9);
        gable.Members[0].To.Y.ShouldBe(0.75, 1e-9);
    }
}
