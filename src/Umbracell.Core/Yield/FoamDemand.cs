using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Statistics;

namespace Umbracell.Core.Yield;

/// <summary>How much foam a surface takes: specified thickness and the extra a crew must put on above it.</summary>
/// <param name="Volume">Foam in place before shaving.</param>
/// <param name="MeanDepth">Specified thickness and extra.</param>
/// <param name="Extra">The extra.</param>
/// <param name="Scatter">Standard deviation of depth readings.</param>
/// <param name="Working">How it came about.</param>
public sealed record FoamDemand(FoamVolume Volume, Length MeanDepth, Length Extra, Length Scatter, Working Working)
{
    /// <summary>Share of depth readings that must reach the specification.</summary>
    public const double ShareAtOrAbove = 0.90;

    /// <summary>Default scatter of depth readings until a crew has 30 of its own: 1/8 in closed cell, 3/8 in open cell.</summary>
    public static Length DefaultScatter(CellStructure cell) => Length.FromInches(cell == CellStructure.Closed ? 1 / 8.0 : 3 / 8.0);

    /// <summary>Default mean overfill of open cell that is shaved flush: 3/4 in.</summary>
    public static Length DefaultOverfill { get; } = Length.FromInches(0.75);

    /// <summary>The foam for an area.</summary>
    /// <param name="sprayed">Net area, ribs developed.</param>
    /// <param name="specified">Specified thickness, above zero.</param>
    /// <param name="scatter">Standard deviation of depth readings, 0 or more.</param>
    /// <param name="overfill">Mean overfill where the foam is shaved flush; null where it is not shaved.</param>
    /// <param name="penetration">Depth that sinks into a stone base below the specified thickness, 0 to 150 mm.</param>
    /// <param name="scatterWorking">How the scatter came about; null for a default or an entered one.</param>
    /// <exception cref="QuantityRangeException">An input out of its range.</exception>
    public static FoamDemand For(
        Area sprayed,
        Length specified,
        Length scatter,
        Length? overfill,
        Length penetration = default,
        Working? scatterWorking = null
    )
    {
        QuantityRangeException.Within("penetration", penetration.Metres, 0, 0.15, Dimension.Thickness);
        ThicknessLimits.Within("foam thickness", specified);
        QuantityRangeException.Within("sprayed area", sprayed.SquareMetres, 0, 1e6, Dimension.Area);
        QuantityRangeException.Within("depth scatter", scatter.Metres, 0, 0.1, Dimension.Thickness);
        var z = NormalDistribution.Quantile(ShareAtOrAbove);
        var byScatter = scatter * z;
        var extra = overfill is { } over && over > byScatter ? over : byScatter;
        var depth = specified + extra + penetration;
        var extraWorking =
            overfill is { } mean && mean > byScatter
                ? new Working(
                    "extraDepth",
                    "t_extra = overfill",
                    [new("overfill", "overfill", mean.ToThickness())],
                    extra.ToThickness(),
                    Citations.ShavedFlush
                )
                : new Working(
                    "extraDepth",
                    "t_extra = z · σ",
                    [new("z", "z90", Figure.Number(z)), new("σ", "depthScatter", scatter.ToThickness(), scatterWorking)],
                    extra.ToThickness(),
                    Citations.DepthReadings
                );
        return new(sprayed * depth, depth, extra, scatter, Sum(sprayed, specified, extra, extraWorking, penetration));
    }

    private static Working Sum(Area sprayed, Length specified, Length extra, Working extraWorking, Length penetration)
    {
        var sinks = penetration > Length.Zero;
        List<WorkingTerm> terms =
        [
            new("A_net", "sprayedArea", sprayed.ToFigure()),
            new("t", "foamThickness", specified.ToThickness()),
            new("t_extra", "extraDepth", extra.ToThickness(), extraWorking),
        ];
        if (sinks)
        {
            terms.Add(new("t_sink", "penetration", penetration.ToThickness()));
        }

        return new(
            "foamVolume",
            sinks ? "V = A_net · (t + t_extra + t_sink)" : "V = A_net · (t + t_extra)",
            terms,
            (sprayed * (specified + extra + penetration)).ToFigure(),
            Citations.AreaTimesDepth
        );
    }
}
