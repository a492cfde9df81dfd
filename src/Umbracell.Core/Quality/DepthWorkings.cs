using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Quality;

/// <summary>How figures of a depth check came about.</summary>
internal static class DepthWorkings
{
    public static Working? OfBound(DepthCheck check) =>
        check is { Bound: { } bound, Factor: { } factor }
            ? new(
                "depthBound",
                "t = mean − k · s",
                [
                    new("mean", "meanDepth", check.Mean.ToThickness()),
                    new("k", "toleranceFactor", Figure.Number(factor)),
                    new("s", "depthScatter", check.Scatter.ToThickness()),
                ],
                bound.ToThickness(),
                Citations.ToleranceInterval
            )
            : null;

    public static Working OfResistance(DepthCase of, DepthCheck check) =>
        new(
            "unevenR",
            "R = n / Σ 1/(R(tᵢ) + R_f) − R_f",
            [
                new("n", "readingCount", Figure.Count(of.Area.Count)),
                new("R_f", "filmsOfUneven", ThermalResistance.FromSi(DepthCheck.Films).ToFigure()),
                new("R(mean)", "rAtMeanDepth", check.MeanR.ToFigure()),
            ],
            check.EffectiveR.ToFigure(),
            Citations.UnevenFoam
        );
}
