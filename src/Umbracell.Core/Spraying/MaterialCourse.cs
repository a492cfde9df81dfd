using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;

namespace Umbracell.Core.Spraying;

/// <summary>What is known of a product at a job while it is sprayed.</summary>
public sealed record MaterialCourseCase
{
    /// <summary>The product, as its drums are logged.</summary>
    public required string Sheet { get; init; }

    /// <summary>The surfaces that take it.</summary>
    public required IReadOnlyList<CoveredSurface> Surfaces { get; init; }

    /// <summary>Entries of the whole job and of all its surfaces, in any order.</summary>
    public required IReadOnlyList<LogEntry> Entries { get; init; }

    /// <summary>Yield of a set that is expected for the conditions, with the crew's factor; above zero.</summary>
    public required FoamVolume Expected { get; init; }

    /// <summary>What is not known of it: standard deviation of ln(yield), without what one job scatters, 0 to 1.</summary>
    public required double Sd { get; init; }

    /// <summary>Full drums of A in the store, counted where nobody said what is on the truck; 0 or more.</summary>
    public double StoreA { get; init; }

    /// <summary>The same of B.</summary>
    public double StoreB { get; init; }
}

/// <summary>A side of the drums of a product at a job.</summary>
/// <param name="Side">A or B.</param>
/// <param name="Used">Sets used so far: by the level read last, and since then at the same rate.</param>
/// <param name="OnHand">Sets that are left: in the open drum, and on the truck or else in the store.</param>
/// <param name="IsOfTruck">Whether somebody said what is on the truck.</param>
/// <param name="ReadAt">When its level was read last; null where it was not.</param>
public sealed record SideCourse(SetSide Side, double Used, double OnHand, bool IsOfTruck, DateTimeOffset? ReadAt);

/// <summary>How the material of a product lasts at a job: foam by covered area and depth, sets by levels that were read.</summary>
public sealed record MaterialCourse
{
    /// <summary>Foam that was planned for all its surfaces.</summary>
    public required FoamVolume Planned { get; init; }

    /// <summary>Foam in place.</summary>
    public required FoamVolume Sprayed { get; init; }

    /// <summary>Foam that is still to be sprayed.</summary>
    public required FoamVolume Left { get; init; }

    /// <summary>A, then B.</summary>
    public required IReadOnlyList<SideCourse> Sides { get; init; }

    /// <summary>The yield so far, and whether the sets last.</summary>
    public required RunningYield Yield { get; init; }

    /// <summary>How long the trigger was held.</summary>
    public required TimeSpan Trigger { get; init; }

    /// <summary>How long the scarcer side lasts with the trigger held as so far; null before anything was sprayed.</summary>
    public required TimeSpan? LastsFor { get; init; }

    /// <summary>Sets used so far, by the side that was used more.</summary>
    public double Used => Sides.Max(side => side.Used);

    /// <summary>How a product lasts.</summary>
    /// <exception cref="QuantityRangeException">A figure out of range.</exception>
    public static MaterialCourse Of(MaterialCourseCase of)
    {
        var sprayed = Sum(of, CoveredFoam.InPlace);
        var left = Sum(of, CoveredFoam.Left);
        var drums = SprayedSurface.Of(of.Entries, sheet: of.Sheet).Drums;
        var (a, b) = (Side(drums[0], of, sprayed, of.StoreA), Side(drums[1], of, sprayed, of.StoreB));
        var yield = RunningYield.Of(
            new()
            {
                Expected = of.Expected,
                Sd = of.Sd,
                Sprayed = sprayed,
                UsedA = a.Used,
                UsedB = b.Used,
                Left = left,
                OnRigA = a.OnHand,
                OnRigB = b.OnHand,
            }
        );
        var trigger = TriggerOf(of);
        return new()
        {
            Planned = Sum(of, surface => surface.Planned),
            Sprayed = sprayed,
            Left = left,
            Sides = [a, b],
            Yield = yield,
            Trigger = trigger,
            LastsFor =
                sprayed.CubicMetres > 0 && trigger > TimeSpan.Zero
                    ? trigger * (yield.Expected * Math.Min(a.OnHand, b.OnHand) / sprayed)
                    : null,
        };
    }

    private static FoamVolume Sum(MaterialCourseCase of, Func<CoveredSurface, FoamVolume> part) =>
        of.Surfaces.Aggregate(default(FoamVolume), (sum, surface) => sum + part(surface));

    // Of a surface that takes two products, the share of this one.
    private static TimeSpan TriggerOf(MaterialCourseCase of) =>
        of.Surfaces.Aggregate(TimeSpan.Zero, (sum, surface) => sum + TimeOf(surface) * CoveredFoam.ShareOf(surface));

    private static TimeSpan TimeOf(CoveredSurface surface) =>
        surface
            .Log.Lifts.Where(lift => lift.EndedAt > lift.BegunAt)
            .Aggregate(TimeSpan.Zero, (sum, lift) => sum + (lift.EndedAt!.Value - lift.BegunAt));

    // Share of the foam there is now that has to be on before a level tells at which rate it went.
    private const double Tells = 0.2;

    // A level that was read before the last lift is of less foam than there is now: what came after is taken at the same rate, or as it was
    // expected where next to nothing was on yet. One that was read while a lift runs that nobody has ended is of foam nobody can tell.
    private static SideCourse Side(DrumUse drums, MaterialCourseCase of, FoamVolume sprayed, double store)
    {
        var open = of.Surfaces.Select(surface => surface.Log.Open?.BegunAt).Min();
        var read = drums.Readings.LastOrDefault(one => !(one.At > open));
        var full = drums.OnTruck ?? store;
        if (read is null)
        {
            return new(drums.Side, 0, full, drums.OnTruck is not null, null);
        }

        var foam = Sum(of, surface => CoveredFoam.At(surface, read.At));
        var isTold = foam.CubicMetres > Tells * sprayed.CubicMetres;
        var used = isTold ? read.Used * (sprayed / foam) : read.Used + (sprayed - foam) / of.Expected;
        var isNewer = drums.Readings[^1] != read;
        var inDrum = isNewer ? drums.Readings[^1].Left : read.Left - (used - read.Used);
        return new(drums.Side, used, Math.Max(0, full + inDrum), drums.OnTruck is not null, read.At);
    }
}
