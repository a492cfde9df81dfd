using Umbracell.Core.Quantities;

namespace Umbracell.Core.Yield;

/// <summary>What a finished job teaches: how far its yield lay from what was predicted without the crew's own factor.</summary>
public sealed record FinishedJob
{
    /// <summary>The job's key.</summary>
    public required string Id { get; init; }

    /// <summary>Who sprayed it.</summary>
    public required string Crew { get; init; }

    /// <summary>Product family, such as <c>closedStandard</c>.</summary>
    public required string Family { get; init; }

    /// <summary>Board feet per set by drums used and <b>measured</b> mean depth; above zero.</summary>
    public required FoamVolume Actual { get; init; }

    /// <summary>Board feet per set predicted for its conditions, the crew's factor left out; above zero.</summary>
    public required FoamVolume Predicted { get; init; }

    /// <summary>Foam in place, above zero: the more, the surer.</summary>
    public required FoamVolume Foam { get; init; }

    /// <summary>Depth readings taken on the job, 0 or more.</summary>
    public int DepthReadings { get; init; }

    /// <summary>Standard deviation of those readings about their own mean; counts from two readings on. Zero where it was not kept: no
    /// foam is that even.</summary>
    public Length DepthScatter { get; init; }

    /// <summary>Standard deviation of ln(actual/predicted) of a job of <see cref="ReferenceBoardFeet"/> (material method,
    /// learning).</summary>
    public const double ReferenceSd = 0.08;

    /// <summary>About one set of closed cell.</summary>
    public const double ReferenceBoardFeet = 4000;

    // A tiny job says little and a great one is still one crew in one month.
    private const double LeastSd = 0.03,
        GreatestSd = 0.25;

    /// <summary>ln(actual/predicted).</summary>
    /// <exception cref="QuantityRangeException">A yield not above zero.</exception>
    public double LogRatio => Math.Log(Positive("actual yield", Actual) / Positive("predicted yield", Predicted));

    /// <summary>Standard deviation of <see cref="LogRatio"/>: it shrinks with the root of the board feet behind it.</summary>
    public double Sd => SdOf(Foam);

    /// <summary>Standard deviation of ln(actual/predicted) of a job of a size.</summary>
    /// <param name="foam">Foam in place, above zero.</param>
    public static double SdOf(FoamVolume foam) =>
        Math.Clamp(ReferenceSd * Math.Sqrt(ReferenceBoardFeet / Math.Max(foam.BoardFeet, 1e-9)), LeastSd, GreatestSd);

    private static double Positive(string name, FoamVolume volume) =>
        QuantityRangeException.Within(name, volume.CubicMetres, 1e-9, 1e6, Dimension.FoamVolume);
}
