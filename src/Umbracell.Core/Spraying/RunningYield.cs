using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Statistics;
using Umbracell.Core.Yield;

namespace Umbracell.Core.Spraying;

/// <summary>What is known of the yield and the material while one sprays.</summary>
public sealed record RunningYieldCase
{
    /// <summary>Yield of a set that was expected for the conditions, with the crew's factor; above zero.</summary>
    public required FoamVolume Expected { get; init; }

    /// <summary>What is not known of it before anything is sprayed: standard deviation of ln(yield), without what one job scatters, 0 to
    /// 1.</summary>
    public required double Sd { get; init; }

    /// <summary>Foam in place so far, by covered area and measured depth; 0 where nothing is yet.</summary>
    public required FoamVolume Sprayed { get; init; }

    /// <summary>Sets of A that it took, 0 or more.</summary>
    public required double UsedA { get; init; }

    /// <summary>Sets of B that it took, 0 or more.</summary>
    public required double UsedB { get; init; }

    /// <summary>Foam that is still to be sprayed, 0 or more.</summary>
    public required FoamVolume Left { get; init; }

    /// <summary>Sets of A that are still on the rig, 0 or more.</summary>
    public required double OnRigA { get; init; }

    /// <summary>Sets of B that are still on the rig, 0 or more.</summary>
    public required double OnRigB { get; init; }
}

/// <summary>The yield as this job shows it, and whether the sets will last.</summary>
/// <remarks>Normal on ln(yield), closed form: the prior of the sets stage, and one observation that is as sure as the foam behind it
/// (<see cref="FinishedJob.SdOf"/>) and the levels it was read from. An error of the area errs foam so far and foam to come alike, and
/// so leaves the sets alone.</remarks>
public sealed record RunningYield
{
    /// <summary>Whether the yield is as expected, and the sets last.</summary>
    public static readonly Rule Rule = new Rule("runningYield", Stage.Spray, Basis.Physics)
        .Ends("onCourse under over", "measured limit low high")
        .Ends("none", "limit");

    /// <summary>Whether what is on the rig suffices.</summary>
    public static readonly Rule Lasts = new Rule("setsLast", Stage.Spray, Basis.Physics).Ends(
        "lasts close short",
        "measured limit chance",
        "side"
    );

    /// <summary>Share of the distribution under the band, and over it.</summary>
    public const double Tail = 0.10;

    // A level read by dip or scale is wrong by so many sets: a centimetre of a drum.
    private const double LevelSd = 0.012;

    // Chances of running short from which it asks for care, and from which material has to be fetched first.
    private const double CareFrom = SpraySets.DefaultRisk,
        ShortFrom = 0.5;

    private static readonly double Z = NormalDistribution.Quantile(1 - Tail);

    /// <summary>Yield of a set so far, by the side that was used more; null before anything was used.</summary>
    public required FoamVolume? Actual { get; init; }

    /// <summary>Yield to expect of the rest, median.</summary>
    public required FoamVolume Expected { get; init; }

    /// <summary>Nine in ten times the rest yields more.</summary>
    public required FoamVolume Low { get; init; }

    /// <summary>Nine in ten times the rest yields less.</summary>
    public required FoamVolume High { get; init; }

    /// <summary>Sets the rest takes, median.</summary>
    public required double SetsLeft { get; init; }

    /// <summary>Chance that the scarcer side runs dry before the rest is sprayed, 0 to 1.</summary>
    public required double ChanceShort { get; init; }

    /// <summary>The side that runs dry first.</summary>
    public required SetSide Scarcer { get; init; }

    /// <summary>Whether it is as expected, and whether the sets last.</summary>
    public required IReadOnlyList<Finding> Findings { get; init; }

    /// <summary>The yield after what was sprayed.</summary>
    /// <exception cref="QuantityRangeException">A figure out of range.</exception>
    public static RunningYield Of(RunningYieldCase of)
    {
        Check(of);
        var used = Math.Max(of.UsedA, of.UsedB);
        var isShown = used > LevelSd && of.Sprayed.CubicMetres > 0;
        var prior = Math.Log(of.Expected.CubicMetres);
        var shown = isShown ? Math.Log(of.Sprayed.CubicMetres / used) : prior;
        var shownSd = isShown ? Math.Sqrt(Square(FinishedJob.SdOf(of.Sprayed)) + Square(LevelSd / used)) : double.PositiveInfinity;

        // Precisions add; what is known for sure stays as it is.
        var weight = of.Sd == 0 || !isShown ? 0 : Square(of.Sd) / (Square(of.Sd) + Square(shownSd));
        var mean = prior + weight * (shown - prior);
        var sd = Math.Sqrt(Square(of.Sd) * (1 - weight) + (of.Left.CubicMetres > 0 ? Square(FinishedJob.SdOf(of.Left)) : 0));
        var expected = FoamVolume.FromCubicMetres(Math.Exp(mean));
        var sets = of.Left / expected;
        var (scarcer, onRig) = of.OnRigA <= of.OnRigB ? (SetSide.A, of.OnRigA) : (SetSide.B, of.OnRigB);
        var chance = of.Left.CubicMetres > 0 ? SpraySets.ChanceShort(sets, sd, onRig) : 0;
        FoamVolume? actual = isShown ? of.Sprayed * (1 / used) : null;
        return new()
        {
            Actual = actual,
            Expected = expected,
            Low = expected * Math.Exp(-Z * sd),
            High = expected * Math.Exp(Z * sd),
            SetsLeft = sets,
            ChanceShort = chance,
            Scarcer = scarcer,
            Findings =
            [
                Course(of, actual, Math.Sqrt(Square(of.Sd) + (isShown ? Square(shownSd) : 0))),
                .. of.Left.CubicMetres > 0 ? [Judge(sets, onRig, chance, scarcer)] : Array.Empty<Finding>(),
            ],
        };
    }

    // Held against what was expected before: outside of its band something is other than it was planned with.
    private static Finding Course(RunningYieldCase of, FoamVolume? actual, double sd)
    {
        if (actual is not { } shown)
        {
            return new(Rule, "none", Verdict.Clear, Citations.RunningYield) { Limit = of.Expected.ToFigure() };
        }

        var (low, high) = (of.Expected * Math.Exp(-Z * sd), of.Expected * Math.Exp(Z * sd));
        var isUnder = shown.CubicMetres < low.CubicMetres;
        var isOver = shown.CubicMetres > high.CubicMetres;
        return new(
            Rule,
            isUnder ? "under"
                : isOver ? "over"
                : "onCourse",
            isUnder || isOver ? Verdict.Care : Verdict.Clear,
            Citations.RunningYield
        )
        {
            Measured = shown.ToFigure(),
            Limit = of.Expected.ToFigure(),
            Figures = new Dictionary<string, Figure> { ["low"] = low.ToFigure(), ["high"] = high.ToFigure() },
        };
    }

    private static Finding Judge(double sets, double onRig, double chance, SetSide side) =>
        new(
            Lasts,
            chance >= ShortFrom ? "short"
                : chance > CareFrom ? "close"
                : "lasts",
            chance > CareFrom ? Verdict.Care : Verdict.Clear,
            Citations.RunningYield
        )
        {
            Measured = new(sets, Dimension.Sets),
            Limit = new(onRig, Dimension.Sets),
            Figures = new Dictionary<string, Figure> { ["chance"] = Figure.Chance(chance) },
            Words = new Dictionary<string, Said> { ["side"] = side.ToString() },
        };

    private static double Square(double x) => x * x;

    private static void Check(RunningYieldCase of)
    {
        QuantityRangeException.Within("expected yield", of.Expected.CubicMetres, 1e-6, 1e4, Dimension.FoamVolume);
        QuantityRangeException.Within("spread", of.Sd, 0, 1, Dimension.Number);
        foreach (var (name, foam) in new[] { ("foam sprayed", of.Sprayed), ("foam left", of.Left) })
        {
            QuantityRangeException.Within(name, foam.CubicMetres, 0, 1e6, Dimension.FoamVolume);
        }

        foreach (
            var (name, sets) in new[]
            {
                ("A used", of.UsedA),
                ("B used", of.UsedB),
                ("A on the rig", of.OnRigA),
                ("B on the rig", of.OnRigB),
            }
        )
        {
            QuantityRangeException.Within(name, sets, 0, 1e4, Dimension.Sets);
        }
    }
}
