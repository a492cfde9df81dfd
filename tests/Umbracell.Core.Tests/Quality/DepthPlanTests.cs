using CsCheck;
using Shouldly;
using Umbracell.Core.Quality;
using Umbracell.Core.Quantities;
using Umbracell.Core.Spraying;
using Umbracell.Core.Takeoff;
using Xunit;

namespace Umbracell.Core.Tests.Quality;

/// <summary>Where depths are read, and what is drawn of them.</summary>
public sealed class DepthPlanTests
{
    // Walls with windows, gables, roofs, bands of a few inches, bays, boxes and an L.
    private static readonly Gen<Shape> Shapes = Gen.OneOf(
        from w in Gen.Double[0.5, 40]
        from h in Gen.Double[0.2, 6]
        select Made(ShapeKind.Rectangle, w, h),
        from w in Gen.Double[1, 20]
        from p in Gen.Double[0.2, 1.5]
        select Made(ShapeKind.Gable, w, 0, pitch: p),
        from w in Gen.Double[5, 60]
        from h in Gen.Double[0.1, 0.4]
        select Made(ShapeKind.Band, w, h),
        from n in Gen.Int[1, 20]
        from w in Gen.Double[0.3, 1]
        from h in Gen.Double[1, 6]
        select Made(ShapeKind.Bays, w, h, count: n),
        from a in Gen.Double[2, 12]
        from b in Gen.Double[2, 6]
        from c in Gen.Double[2, 4]
        select Made(ShapeKind.Box, a, b, third: c),
        Gen.Const(Shape.OfOutline([new(0, 0), new(8, 0), new(8, 2), new(3, 2), new(3, 6), new(0, 6)]))
    );

    [Theory]
    [InlineData(5, 6)]
    [InlineData(60, 6)]
    [InlineData(60.1, 7)]
    [InlineData(120, 12)]
    [InlineData(1e5, 200)]
    public void One_place_for_ten_square_metres_and_six_at_least(double area, int wanted) =>
        DepthPlan.Wanted(Area.FromSquareMetres(area)).ShouldBe(wanted);

    [Fact]
    public void Places_lie_on_the_surface_and_clear_of_openings()
    {
        (from shape in Shapes from seed in Gen.ULong select (shape, seed)).Sample(
            one =>
            {
                Opening[] openings = one.shape.Kind == ShapeKind.Rectangle ? [new(2, Length.FromMetres(0.1), Length.FromMetres(0.1))] : [];
                var sketch = SurfaceSketch.Of(one.shape, openings, Length.Zero);
                var places = DepthPlan.Of(sketch, one.shape.Area, one.seed);
                places.Count(place => place.Kind == PlaceKind.Area).ShouldBe(DepthPlan.Wanted(one.shape.Area));
                places.Select(place => place.Number).ShouldBe(Enumerable.Range(1, places.Count));
                places.ShouldContain(place => place.Kind == PlaceKind.Edge);
                places.ShouldContain(place => place.Kind == PlaceKind.Corner);
                foreach (var place in places.Where(place => place.Kind == PlaceKind.Area))
                {
                    sketch.Faces.ShouldContain(face => DepthPlan.IsWithin(place.At, face));
                    sketch.Openings.ShouldNotContain(opening => DepthPlan.IsWithin(place.At, opening));
                }
            },
            iter: 150
        );
    }

    [Fact]
    public void The_same_seed_draws_the_same_places_and_another_draws_others()
    {
        var sketch = SurfaceSketch.Of(Made(ShapeKind.Rectangle, 12, 3), [], Length.Zero);
        var first = DepthPlan.Of(sketch, Area.FromSquareMetres(36), 7);
        DepthPlan.Of(sketch, Area.FromSquareMetres(36), 7).ShouldBe(first);
        DepthPlan.Of(sketch, Area.FromSquareMetres(36), 8).ShouldNotBe(first);
    }

    // Nobody can leave a corner of the wall out: each half of it has half of the places.
    [Fact]
    public void Every_part_of_the_area_has_its_share_of_places()
    {
        Gen.ULong.Sample(
            seed =>
            {
                var sketch = SurfaceSketch.Of(Made(ShapeKind.Rectangle, 30, 4), [], Length.Zero);
                var places = DepthPlan.Of(sketch, Area.FromSquareMetres(120), seed).Where(place => place.Kind == PlaceKind.Area).ToList();
                places.Count(place => place.At.X < 15).ShouldBeInRange(5, 7);
                places.Count(place => place.At.X < 10).ShouldBeInRange(3, 5);
            },
            iter: 40
        );
    }

    // Over many draws no place of the area is drawn more often than another: that is what "by chance" means.
    [Fact]
    public void Any_place_is_as_likely_as_any_other()
    {
        var sketch = SurfaceSketch.Of(Made(ShapeKind.Rectangle, 9, 3), [], Length.Zero);
        var counts = new int[3, 2];
        const int Draws = 1_200;
        for (ulong seed = 0; seed < Draws; seed++)
        {
            foreach (var place in DepthPlan.Of(sketch, Area.FromSquareMetres(27), seed).Where(place => place.Kind == PlaceKind.Area))
            {
                counts[(int)(place.At.X / 3), (int)(place.At.Y / 1.5)]++;
            }
        }

        // Six inches are left out along the edges.
        foreach (var (column, width) in new[] { 2.85, 3, 2.85 }.Select((width, i) => (i, width)))
        {
            for (var row = 0; row < 2; row++)
            {
                (counts[column, row] / (double)Draws).ShouldBe(3 * width / 8.7, 0.1);
            }
        }
    }

    [Fact]
    public void A_map_shows_what_was_read_where_it_was_read_and_lies_between_elsewhere()
    {
        (
            from spots in Gen.Select(Gen.Double[0.2, 9.8], Gen.Double[0.2, 2.8], Gen.Double[0.02, 0.2], (x, y, d) => (x, y, d)).Array[
                1,
                200
            ]
            select spots
        ).Sample(
            spots =>
            {
                var sketch = SurfaceSketch.Of(Made(ShapeKind.Rectangle, 10, 3), [], Length.Zero);
                var map = DepthMap.Of(sketch, [.. spots.Select(s => new DepthSpot(new(s.x, s.y), Length.FromMetres(s.d)))])!;
                var drawn = map.Depths.OfType<double>().ToList();
                drawn.Count.ShouldBe(map.Depths.Count);
                drawn.Min().ShouldBeGreaterThanOrEqualTo(spots.Min(s => s.d) - 1e-12);
                drawn.Max().ShouldBeLessThanOrEqualTo(spots.Max(s => s.d) + 1e-12);
                map.ShareUnder(Length.FromMetres(1)).ShouldBe(1);
                map.ShareUnder(Length.Zero).ShouldBe(0);
            },
            iter: 60
        );
        DepthMap.Of(SurfaceSketch.Of(Made(ShapeKind.Rectangle, 10, 3), [], Length.Zero), []).ShouldBeNull();
    }

    private static Shape Made(ShapeKind kind, double first, double second, double third = 0, double pitch = 0, int count = 1) =>
        new()
        {
            Kind = kind,
            First = Length.FromMetres(first),
            Second = Length.FromMetres(second),
            Third = Length.FromMetres(third),
            Pitch = pitch,
            Count = count,
        };
}
