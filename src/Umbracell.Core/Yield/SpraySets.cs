using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Statistics;

namespace Umbracell.Core.Yield;

/// <summary>How uncertain a material figure is; each a relative standard deviation.</summary>
/// <param name="Area">Of the takeoff; 0.03 by default.</param>
/// <param name="Yield">Of the yield; 0.12, the spread between crews, until a crew's own jobs say better.</param>
/// <param name="MeanDepth">Of the mean depth.</param>
public readonly record struct SetsSpread(double Area, double Yield, double MeanDepth)
{
    /// <summary>Default takeoff uncertainty (material method, takeoff).</summary>
    public const double DefaultArea = 0.03;

    /// <summary>Spread of yields between crews nothing is known of yet (prior of the learning method).</summary>
    public const double DefaultYield = 0.12;

    /// <summary>Readings behind a crew's own scatter; the mean depth is as sure as the mean of so many.</summary>
    private const int ReadingsBehindMean = 30;

    /// <summary>Defaults for a demand.</summary>
    public static SetsSpread DefaultFor(FoamDemand demand) =>
        new(DefaultArea, DefaultYield, demand.Scatter / demand.MeanDepth / Math.Sqrt(ReadingsBehindMean));

    /// <summary>Standard deviation of ln(sets): the variances add.</summary>
    public double OfSets => Math.Sqrt(Area * Area + Yield * Yield + MeanDepth * MeanDepth);
}

/// <summary>What loading a whole number of sets means.</summary>
/// <param name="Sets">Whole sets on the truck.</param>
/// <param name="ChanceShort">Chance that they do not suffice, 0 to 1.</param>
/// <param name="LeftOver">Foam left over at the median demand; below zero what is missing then.</param>
/// <param name="ChanceWorking">How the chance came about.</param>
/// <param name="LeftOverWorking">How the left-over came about.</param>
public sealed record SetsLoad(int Sets, double ChanceShort, FoamVolume LeftOver, Working ChanceWorking, Working LeftOverWorking);

/// <summary>What a surface adds to a load.</summary>
/// <param name="Volume">Foam in place, above zero.</param>
/// <param name="Sets">Sets that suffice as often as not, above zero.</param>
/// <param name="MeanDepth">Relative standard deviation of its mean depth.</param>
/// <param name="SetsWorking">How the sets came about.</param>
public sealed record LoadPart(FoamVolume Volume, double Sets, double MeanDepth, Working? SetsWorking = null);

/// <summary>Sets of material for an amount of foam, as a distribution and as a load for a chosen risk.</summary>
public sealed record SpraySets
{
    /// <summary>Sets that suffice as often as not.</summary>
    public required double Median { get; init; }

    /// <summary>Standard deviation of ln(sets).</summary>
    public required double Spread { get; init; }

    /// <summary>The whole sets to load for the risk.</summary>
    public required SetsLoad Load { get; init; }

    /// <summary>The load and its neighbours: one set fewer and one more.</summary>
    public required IReadOnlyList<SetsLoad> Around { get; init; }

    /// <summary>How the median came about.</summary>
    public required Working Working { get; init; }

    /// <summary>How the load came about.</summary>
    public required Working LoadWorking { get; init; }

    /// <summary>Up to so many surfaces the sum of a job says how each came about; of more, each says it for itself alone.</summary>
    public const int MostWorkedParts = 20;

    /// <summary>Default risk of running short.</summary>
    public const double DefaultRisk = 0.10;

    /// <summary>Sets for a volume at a yield.</summary>
    /// <param name="volume">Foam in place; above zero.</param>
    /// <param name="yield">Yield of a set.</param>
    /// <param name="spread">Uncertainty.</param>
    /// <param name="risk">Chance of running short that is taken, 0.001 to 0.5.</param>
    /// <param name="volumeWorking">How the volume came about.</param>
    /// <exception cref="QuantityRangeException">Volume not above zero, or risk out of range.</exception>
    public static SpraySets For(FoamVolume volume, SetYield yield, SetsSpread spread, double risk, Working? volumeWorking = null)
    {
        QuantityRangeException.Within("foam volume", volume.CubicMetres, double.Epsilon, 1e6, Dimension.FoamVolume);
        return Of(
            MedianWorking(volume, yield, volumeWorking),
            new("Y", "setYield", yield.Expected.ToFigure(), yield.Working),
            spread,
            risk
        );
    }

    /// <summary>Sets of one product for all surfaces of a job that take it: they are loaded together.</summary>
    /// <remarks>
    /// Area, crew and product err the same way on every surface. What a job scatters shrinks with the foam of the whole load, not with
    /// that of its smallest surface. Depth is the crew's habit and shared too: its
    /// deviations add by the sets they stand for.
    /// </remarks>
    /// <param name="parts">What each surface takes; one or more.</param>
    /// <param name="yieldSd">Standard deviation of ln(yield) of a job of some foam.</param>
    /// <param name="risk">Chance of running short that is taken, 0.001 to 0.5.</param>
    /// <exception cref="QuantityRangeException">No foam, or risk out of range.</exception>
    public static SpraySets OfJob(IReadOnlyList<LoadPart> parts, Func<FoamVolume, double> yieldSd, double risk)
    {
        var volume = parts.Aggregate(default(FoamVolume), (sum, part) => sum + part.Volume);
        var sets = parts.Sum(part => part.Sets);
        QuantityRangeException.Within("foam volume", volume.CubicMetres, double.Epsilon, 1e6, Dimension.FoamVolume);
        SetsSpread spread = new(SetsSpread.DefaultArea, yieldSd(volume), parts.Sum(part => part.Sets / sets * part.MeanDepth));
        var median = parts is [{ SetsWorking: { } only }]
            ? only
            : new Working(
                "medianSets",
                "n = " + string.Join(" + ", parts.Select((_, i) => $"n{i + 1}")),
                [
                    .. parts.Select(
                        (part, i) =>
                            new WorkingTerm(
                                $"n{i + 1}",
                                "medianSets",
                                new(part.Sets, Dimension.Sets),
                                parts.Count <= MostWorkedParts ? part.SetsWorking : null
                            )
                    ),
                ],
                new(sets, Dimension.Sets),
                Citations.SetsAdded
            );
        var mean = volume * (1 / sets);
        return Of(
            median,
            new(
                "Y",
                "setYield",
                mean.ToFigure(),
                parts.Count == 1
                    ? null
                    : new(
                        "setYield",
                        "Y = V / n",
                        [new("V", "foamVolume", volume.ToFigure()), new("n", "medianSets", median.Result)],
                        mean.ToFigure(),
                        Citations.MeanYield
                    )
            ),
            spread,
            risk
        );
    }

    /// <summary>How the sets of some foam come about.</summary>
    /// <param name="volume">Foam in place.</param>
    /// <param name="yield">Yield of a set.</param>
    /// <param name="volumeWorking">How the volume came about.</param>
    internal static Working MedianWorking(FoamVolume volume, SetYield yield, Working? volumeWorking) =>
        new(
            "medianSets",
            "n = V / Y",
            [new("V", "foamVolume", volume.ToFigure(), volumeWorking), new("Y", "setYield", yield.Expected.ToFigure(), yield.Working)],
            new(volume / yield.Expected, Dimension.Sets),
            Citations.VolumeOverYield
        );

    private static SpraySets Of(Working medianWorking, WorkingTerm perSet, SetsSpread spread, double risk)
    {
        QuantityRangeException.Within("risk", risk * 100, 0.1, 50, Dimension.Percent);
        var median = medianWorking.Result.Amount;
        var sd = spread.OfSets;
        var z = NormalDistribution.Quantile(1 - risk);
        var whole = LoadFor(median, sd, risk);
        var loadWorking = new Working(
            "loadSets",
            "n_load = n · exp(z · σ), rounded up",
            [
                new("n", "medianSets", new(median, Dimension.Sets), medianWorking),
                new("z", "zRisk", Figure.Number(z)),
                new("σ", "setsSpread", Figure.Number(sd), SpreadWorking(spread)),
            ],
            new(whole, Dimension.Sets),
            Citations.LogNormalLoad
        );
        SetsLoad Loaded(int sets) => LoadOf(sets, medianWorking, sd, perSet);
        return new()
        {
            Median = median,
            Spread = sd,
            Load = Loaded(whole),
            Around = [.. new[] { whole - 1, whole, whole + 1 }.Where(n => n >= 0).Select(Loaded)],
            Working = medianWorking,
            LoadWorking = loadWorking,
        };
    }

    /// <summary>Whole sets that leave at most the risk of running short.</summary>
    /// <param name="median">Median sets, above zero.</param>
    /// <param name="spread">Standard deviation of ln(sets).</param>
    /// <param name="risk">Chance taken, between 0 and 1.</param>
    public static int LoadFor(double median, double spread, double risk) =>
        (int)Math.Max(1, Math.Ceiling(median * Math.Exp(NormalDistribution.Quantile(1 - risk) * spread) - 1e-9));

    /// <summary>Chance that so many sets do not suffice.</summary>
    /// <param name="median">Median sets, above zero.</param>
    /// <param name="spread">Standard deviation of ln(sets).</param>
    /// <param name="sets">Sets there are.</param>
    public static double ChanceShort(double median, double spread, double sets) =>
        sets <= 0 ? 1
        : spread <= 0 ? (sets < median ? 1 : 0)
        : NormalDistribution.Below(-Math.Log(sets / median) / spread);

    private static SetsLoad LoadOf(int sets, Working median, double spread, WorkingTerm perSet)
    {
        var chance = ChanceShort(median.Result.Amount, spread, sets);
        var left = FoamVolume.FromCubicMetres(perSet.Value.Amount * (sets - median.Result.Amount));
        WorkingTerm[] load = [new("n_load", "setsOnRig", Figure.Count(sets)), new("n", "medianSets", median.Result, median)];
        return new(
            sets,
            chance,
            left,
            new(
                "chanceShort",
                "P = 1 − Φ(ln(n_load / n) / σ)",
                [.. load, new("σ", "setsSpread", Figure.Number(spread))],
                Figure.Chance(chance),
                Citations.LogNormalChance
            ),
            new("leftOver", "V = (n_load − n) · Y", [.. load, perSet], left.ToFigure(), Citations.MedianLeft)
        );
    }

    private static Working SpreadWorking(SetsSpread spread) =>
        new(
            "setsSpread",
            "σ = √(σ_A² + σ_Y² + σ_t²)",
            [
                new("σ_A", "areaSpread", Figure.Number(spread.Area)),
                new("σ_Y", "yieldSpread", Figure.Number(spread.Yield)),
                new("σ_t", "depthSpread", Figure.Number(spread.MeanDepth)),
            ],
            Figure.Number(spread.OfSets),
            Citations.VariancesAdded
        );
}
