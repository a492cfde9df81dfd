using Umbracell.Core.Quantities;

namespace Umbracell.Core.Spraying;

/// <summary>A surface of a job: the foam it takes, and how far it is.</summary>
public sealed record CoveredSurface
{
    /// <summary>Foam it takes of the product, the extra a crew puts on above the specification with it; above zero.</summary>
    public required FoamVolume Planned { get; init; }

    /// <summary>Foam of other products that goes on before it, 0 or more.</summary>
    public FoamVolume Before { get; init; }

    /// <summary>Foam of other products that goes on after it within the same lifts, 0 or more.</summary>
    public FoamVolume After { get; init; }

    /// <summary>Mean depth of all of it; above zero.</summary>
    public required Length MeanDepth { get; init; }

    /// <summary>Depth that was specified, above zero.</summary>
    public required Length Specified { get; init; }

    /// <summary>Depth that sinks into a stone base and no gauge reads, 0 or more.</summary>
    public Length Sunk { get; init; }

    /// <summary>Lifts that are planned, 1 or more.</summary>
    public required int Lifts { get; init; }

    /// <summary>How far it is, by its log.</summary>
    public required SprayedSurface Log { get; init; }

    /// <summary>Foam of all products.</summary>
    internal FoamVolume All => Before + Planned + After;
}

/// <summary>Foam in place by covered area and depth: depth where it was read, the planned lift where it was not.</summary>
public static class CoveredFoam
{
    /// <summary>Foam in place now.</summary>
    public static FoamVolume InPlace(CoveredSurface surface) => At(surface, DateTimeOffset.MaxValue);

    /// <summary>Foam in place at a time. Of a lift that was under way then, the share of its time; of one that nobody ended,
    /// nothing.</summary>
    internal static FoamVolume At(CoveredSurface surface, DateTimeOffset at)
    {
        // What goes on last is what there is too much of.
        var foam = AllAt(surface, at) - surface.Before;
        return foam.CubicMetres <= 0 ? default
            : surface.After.CubicMetres > 0 && foam.CubicMetres > surface.Planned.CubicMetres ? surface.Planned
            : foam;
    }

    /// <summary>Share of all foam in place that is of the product, 0 to 1; 0 before there is any.</summary>
    internal static double ShareOf(CoveredSurface surface) =>
        AllAt(surface, DateTimeOffset.MaxValue) is { CubicMetres: > 0 } all ? InPlace(surface) / all : 0;

    private static FoamVolume AllAt(CoveredSurface surface, DateTimeOffset at)
    {
        var (foam, below) = (default(FoamVolume), default(FoamVolume));
        foreach (var (lift, above) in Lifts(surface))
        {
            // What went on over it is counted with the lift that is over it.
            if (lift.EndedAt is not { } ended)
            {
                continue;
            }

            var time = (ended - lift.BegunAt).TotalSeconds;
            var share =
                ended <= at ? 1
                : time <= 0 ? 0
                : Math.Clamp((at - lift.BegunAt).TotalSeconds / time, 0, 1);
            foam += (above - below) * share;
            below = above;
        }

        return foam;
    }

    /// <summary>Foam that is still to be sprayed: of a surface that is finished none; after the planned lifts what is missing to the
    /// specification.</summary>
    internal static FoamVolume Left(CoveredSurface surface)
    {
        if (surface.Log.FinishedAt is not null)
        {
            return default;
        }

        var ended = surface.Log.Lifts.Count(lift => lift.EndedAt is not null);
        var isSprayed = ended >= surface.Lifts && surface.Log.Depth is not null;
        var left = isSprayed
            ? surface.All * ((surface.Specified - surface.Log.Depth!.Value) / surface.MeanDepth)
            : surface.Planned - InPlace(surface);
        return left.CubicMetres > 0 && !(isSprayed && surface.After.CubicMetres > 0) ? left : default;
    }

    // All foam after each lift.
    private static IEnumerable<(SprayedLift Lift, FoamVolume Above)> Lifts(CoveredSurface surface)
    {
        var (depth, each) = (Length.Zero, surface.MeanDepth * (1.0 / surface.Lifts));
        foreach (var lift in surface.Log.Lifts)
        {
            depth = lift.Depth is { } read ? read + surface.Sunk : depth + each;
            yield return (lift, surface.All * (depth / surface.MeanDepth));
        }
    }
}
