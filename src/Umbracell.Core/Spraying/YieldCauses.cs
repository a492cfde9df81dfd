using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;

namespace Umbracell.Core.Spraying;

/// <summary>What can make a job take more or fewer sets than it was planned with.</summary>
public enum YieldCauseKind
{
    /// <summary>What is sprayed on is colder or warmer.</summary>
    Substrate,

    /// <summary>The drums are colder or warmer.</summary>
    Drums,

    /// <summary>Lifts are thinner or thicker: each has a dense skin.</summary>
    Lifts,

    /// <summary>All foam is deeper or shallower than it was planned.</summary>
    Depth,

    /// <summary>Wind at an open face.</summary>
    Wind,

    /// <summary>One side goes faster than the other.</summary>
    Ratio,

    /// <summary>The area is not what was measured.</summary>
    Area,
}

/// <summary>What is known of a product at a job beside its log.</summary>
public sealed record YieldCausesCase
{
    /// <summary>The product.</summary>
    public required ProductSheet Sheet { get; init; }

    /// <summary>What the yield was planned with.</summary>
    public required YieldConditions Planned { get; init; }

    /// <summary>What was read of the substrate; null where nobody did.</summary>
    public Temperature? Substrate { get; init; }

    /// <summary>What was read of the drums.</summary>
    public Temperature? Drums { get; init; }

    /// <summary>What was read of the wind.</summary>
    public Speed? Wind { get; init; }

    /// <summary>Mean thickness of the lifts that were read; null where none was.</summary>
    public Length? Lift { get; init; }

    /// <summary>Mean depth of all foam where the planned lifts are on and it was read; null where none was.</summary>
    public Length? Depth { get; init; }

    /// <summary>What that was planned with.</summary>
    public Length? PlannedDepth { get; init; }

    /// <summary>Sets used of A.</summary>
    public double UsedA { get; init; }

    /// <summary>Sets used of B.</summary>
    public double UsedB { get; init; }
}

/// <summary>A likely cause.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Share">How far it alone moves what a set covers: -0.1 is a tenth less; null where nothing is known of it.</param>
/// <param name="Planned">What was planned; null for none.</param>
/// <param name="Found">What was found; null for none.</param>
public sealed record YieldCause(YieldCauseKind Kind, double? Share, Figure? Planned, Figure? Found)
{
    // Less than that is within what is read.
    private const double Least = 0.02;

    /// <summary>Likely causes, the greatest that moves it that way first; at the end what nothing tells and has to be looked at
    /// anyway.</summary>
    /// <param name="of">What is known.</param>
    /// <param name="isUnder">Whether sets cover less than was planned; else more.</param>
    public static IReadOnlyList<YieldCause> Of(YieldCausesCase of, bool isUnder)
    {
        YieldCause?[] known = [OfSubstrate(of), OfDrums(of), OfLifts(of), OfDepth(of), OfWind(of), OfRatio(of)];
        return
        [
            .. known
                .OfType<YieldCause>()
                .Where(cause => Math.Abs(cause.Share!.Value) >= Least && cause.Share < 0 == isUnder)
                .OrderByDescending(cause => Math.Abs(cause.Share!.Value)),
            .. isUnder && of is { Wind: null, Planned.WindAtOpenFace: { } planned }
                ? [new(YieldCauseKind.Wind, null, planned.ToFigure(), null)]
                : Array.Empty<YieldCause>(),
            new(YieldCauseKind.Area, null, null, null),
        ];
    }

    private static YieldCause? OfSubstrate(YieldCausesCase of) =>
        of.Substrate is { } found
            ? new(
                YieldCauseKind.Substrate,
                Ratio(of.Sheet.YieldBySubstrate, found, of.Planned.Substrate),
                of.Planned.Substrate.ToFigure(),
                found.ToFigure()
            )
            : null;

    private static YieldCause? OfDrums(YieldCausesCase of) =>
        of.Drums is { } found
            ? new(YieldCauseKind.Drums, Ratio(of.Sheet.YieldByDrum, found, of.Planned.Drums), of.Planned.Drums.ToFigure(), found.ToFigure())
            : null;

    // Past the ends of the sheet's curve it is at least as much.
    private static double Ratio(Curve curve, Temperature found, Temperature planned) => At(curve, found) / At(curve, planned) - 1;

    private static double At(Curve curve, Temperature at) => curve.At(Math.Clamp(at.Celsius, curve.First, curve.Last));

    private static YieldCause? OfLifts(YieldCausesCase of) =>
        of.Lift is { } found && found > Length.Zero
            ? new(
                YieldCauseKind.Lifts,
                SetYield.LiftFactor(found, of.Planned.Lift, of.Sheet.SkinEquivalent) - 1,
                of.Planned.Lift.ToThickness(),
                found.ToThickness()
            )
            : null;

    private static YieldCause? OfDepth(YieldCausesCase of) =>
        of is { Depth: { } found, PlannedDepth: { } planned } && found > Length.Zero
            ? new(YieldCauseKind.Depth, planned / found - 1, planned.ToThickness(), found.ToThickness())
            : null;

    private static YieldCause? OfWind(YieldCausesCase of)
    {
        if (of.Wind is not { } wind || of.Planned.WindAtOpenFace is not { } planned)
        {
            return null;
        }

        var share = FactorOf(of, wind) / FactorOf(of, planned) - 1;
        return new(YieldCauseKind.Wind, share, planned.ToFigure(), wind.ToFigure());
    }

    private static double FactorOf(YieldCausesCase of, Speed wind)
    {
        var within = Speed.FromMetresPerSecond(Math.Clamp(wind.MetresPerSecond, 0, of.Sheet.WindLimit.MetresPerSecond));
        return SetYield.For(of.Sheet, of.Planned with { WindAtOpenFace = within }).Factors.Single(factor => factor.Key == "open").Value;
    }

    // A set is used up when its first side is: what stays in the other covers nothing.
    private static YieldCause? OfRatio(YieldCausesCase of) =>
        of.UsedA > 0 && of.UsedB > 0
            ? new(
                YieldCauseKind.Ratio,
                (of.UsedA + of.UsedB) / 2 / Math.Max(of.UsedA, of.UsedB) - 1,
                null,
                Figure.Number(of.UsedA / of.UsedB)
            )
            : null;
}
