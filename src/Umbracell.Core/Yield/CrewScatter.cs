using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Yield;

/// <summary>How far a crew's depths scatter with a product family, from its own readings; speaks once there are enough.</summary>
/// <param name="Readings">Readings behind it.</param>
/// <param name="Scatter">Their standard deviation about the mean of their job.</param>
/// <param name="Working">How it came about.</param>
public sealed record CrewScatter(int Readings, Length Scatter, Working Working)
{
    /// <summary>Readings from which a crew's own scatter stands in place of the default (material method, foam volume).</summary>
    public const int Enough = 30;

    /// <summary>The scatter of a crew with a product family; null until there are <see cref="Enough"/> readings.</summary>
    /// <param name="jobs">Finished jobs of that crew with that family.</param>
    /// <exception cref="QuantityRangeException">A scatter under 0 or over 100 mm.</exception>
    public static CrewScatter? Of(IEnumerable<FinishedJob> jobs)
    {
        var read = jobs.Where(j => j.DepthReadings >= 2 && j.DepthScatter > Length.Zero).ToList();
        var count = read.Sum(j => j.DepthReadings);
        if (count < Enough)
        {
            return null;
        }

        // Jobs of other depths each about their own mean: variances pooled by their degrees of freedom.
        var squares = read.Sum(j =>
            (j.DepthReadings - 1)
            * Math.Pow(QuantityRangeException.Within("depth scatter", j.DepthScatter.Metres, 0, 0.1, Dimension.Thickness), 2)
        );
        var scatter = Length.FromMetres(Math.Sqrt(squares / (count - read.Count)));
        return new(
            count,
            scatter,
            new(
                "depthScatter",
                "σ = √(Σ (n_i − 1) · s_i² / Σ (n_i − 1))",
                [
                    new("Σ n_i", "depthReadings", Figure.Count(count)),
                    new("jobs", "depthJobs", Figure.Count(read.Count)),
                    new("Σ (n_i − 1) · s_i²", "depthSquares", Figure.Number(squares * 1e6)),
                ],
                scatter.ToThickness(),
                Citations.CrewDepths
            )
        );
    }
}
