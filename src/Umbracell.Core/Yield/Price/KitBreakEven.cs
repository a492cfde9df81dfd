using Umbracell.Core.Findings;
using Umbracell.Core.Lifts;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Yield.Price;

/// <summary>A surface sprayed from the rig against the same sprayed from hand kits.</summary>
public sealed record KitCase
{
    /// <summary>The surface as it is priced from the rig, with one foam, which a kit would replace.</summary>
    public required BidSurface Surface { get; init; }

    /// <summary>The kit.</summary>
    public required ProductSheet Kit { get; init; }

    /// <summary>Specified thickness.</summary>
    public required Length Thickness { get; init; }

    /// <summary>Conditions expected.</summary>
    public required YieldConditions Conditions { get; init; }

    /// <summary>What the firm pays and how fast it works.</summary>
    public required Rates Rates { get; init; }

    /// <summary>Whether the firm's practice takes kits for small work at all.</summary>
    public bool RigAlways { get; init; }
}

/// <summary>Whether kits or the rig are cheaper for a surface, and up to which size kits would be.</summary>
public sealed record KitBreakEven
{
    /// <summary>Whole kits for the surface.</summary>
    public required int Kits { get; init; }

    /// <summary>Cost from kits; overhead, profit and tax fall alike on both.</summary>
    public required Bid KitBid { get; init; }

    /// <summary>Cost from the rig.</summary>
    public required Bid RigBid { get; init; }

    /// <summary>Sets from the rig.</summary>
    public required double RigSets { get; init; }

    /// <summary>Yield of a kit under these conditions.</summary>
    public required SetYield Yield { get; init; }

    /// <summary>Most foam that kits spray for no more than the rig; null where they never do.</summary>
    public required FoamVolume? UpTo { get; init; }

    /// <summary>The same as area at this depth.</summary>
    public required Area? UpToArea { get; init; }

    /// <summary>The same in whole kits.</summary>
    public required int UpToKits { get; init; }

    /// <summary>How it came about; null where there is no such size.</summary>
    public required Working? Working { get; init; }

    /// <summary>Judgements, worst first.</summary>
    public required IReadOnlyList<Finding> Findings { get; init; }

    // Past this many nobody carries kits.
    private const int MostKits = 100;

    /// <summary>Compares; null where the surface has not one foam alone that a kit may stand for (the usual or the cold grade of its cell
    /// structure; never roofing foam), no area, or more foam than the kit's sheet rates.</summary>
    /// <param name="kits">The case.</param>
    public static KitBreakEven? Of(KitCase kits)
    {
        if (
            kits.Surface is not { Foams: [var foam], Treated.SquareMetres: > 0 } surface
            || foam.Sheet.Grade is not (FoamGrade.Standard or FoamGrade.Cold)
            || foam.Sheet.Cell != kits.Kit.Cell
            || foam.Volume.CubicMetres <= 0
            || foam.Sets <= 0
            || kits.Thickness > kits.Kit.ThickestRated
        )
        {
            return null;
        }

        var lifts = LiftPlan.For(kits.Kit, kits.Thickness);
        var inWindow = Clamped(kits.Kit, kits.Conditions) with { Lift = lifts.Lifts[0] };
        var yield = SetYield.For(kits.Kit, inWindow);
        Bid Rig(FoamVolume volume) =>
            Bid.Of(
                [Sized(surface, foam, volume) with { Foams = [foam with { Volume = volume, Sets = foam.Sets * (volume / foam.Volume) }] }],
                kits.Rates
            );
        Bid Kit(FoamVolume volume) =>
            Bid.Of(
                [Sized(surface, foam, volume) with { Foams = [new(kits.Kit, volume, volume / yield.Expected)], Waits = lifts.LeastTime }],
                kits.Rates
            );

        var upTo = 0;
        for (var n = 1; n <= MostKits; n++)
        {
            upTo = Kit(yield.Expected * n).Cost <= Rig(yield.Expected * n).Cost ? n : upTo;
        }

        var (kitBid, rigBid) = (Kit(foam.Volume), Rig(foam.Volume));
        var most = upTo > 0 ? yield.Expected * upTo : (FoamVolume?)null;
        var area = most is { } volume ? Area.FromSquareMetres(surface.Treated.SquareMetres * (volume / foam.Volume)) : (Area?)null;
        var working = most is { } at ? Told(upTo, at, yield, Kit(at), Rig(at)) : null;
        return new()
        {
            Kits = (int)Math.Ceiling(foam.Volume / yield.Expected - 1e-9),
            KitBid = kitBid,
            RigBid = rigBid,
            RigSets = foam.Sets,
            Yield = yield,
            UpTo = most,
            UpToArea = area,
            UpToKits = upTo,
            Working = working,
            Findings = [.. Judged(kits, kitBid, rigBid, most, working).OrderByDescending(f => f.Verdict)],
        };
    }

    private static BidSurface Sized(BidSurface surface, BidFoam foam, FoamVolume volume) =>
        surface with
        {
            Treated = Area.FromSquareMetres(surface.Treated.SquareMetres * (volume / foam.Volume)),
            Bought = [],
            Heat = null,
        };

    // Outside the kit's curves nothing may be sprayed; it is told at the end and held by a finding.
    private static YieldConditions Clamped(ProductSheet kit, YieldConditions at) =>
        at with
        {
            Substrate = Temperature.FromCelsius(Math.Clamp(at.Substrate.Celsius, kit.YieldBySubstrate.First, kit.YieldBySubstrate.Last)),
            Drums = Temperature.FromCelsius(Math.Clamp(at.Drums.Celsius, kit.YieldByDrum.First, kit.YieldByDrum.Last)),
            WindAtOpenFace = at.WindAtOpenFace is { } wind
                ? Speed.FromMetresPerSecond(Math.Min(wind.MetresPerSecond, kit.WindLimit.MetresPerSecond))
                : null,
        };

    private static Working Told(int kits, FoamVolume at, SetYield yield, Bid kitBid, Bid rigBid) =>
        new(
            "kitBreakEven",
            "V* = n · Y_kit, n the most whole kits with c_kit ≤ c_rig",
            [
                new("n", "kits", Figure.Count(kits)),
                new("Y_kit", "setYield", yield.Expected.ToFigure(), yield.Working),
                new("c_kit", "kitCost", new(kitBid.Cost, Dimension.Money)),
                new("c_rig", "rigCost", new(rigBid.Cost, Dimension.Money)),
            ],
            at.ToFigure(),
            Citations.KitOrRig
        );

    private static IEnumerable<Finding> Judged(KitCase kits, Bid kit, Bid rig, FoamVolume? most, Working? working)
    {
        if (!kits.Kit.Substrate.Holds(kits.Conditions.Substrate))
        {
            yield return new(MaterialRules.Kit, "substrateOutside", Verdict.Hold, Citations.Sheet(kits.Kit, SheetLine.SheetSubstrate))
            {
                Measured = kits.Conditions.Substrate.ToFigure(),
                Limit = kits.Kit.Substrate.Least.ToFigure(),
                Margin = kits.Kit.Substrate.Margin(kits.Conditions.Substrate).ToFigure(),
            };
        }

        var source = Citations.KitRates;
        if (kit.Missing.Count > 0 || rig.Missing.Count > 0 || kits.Rates is { KitBoardFeetPerHour: <= 0 } or { KitHour: <= 0 })
        {
            yield return new(MaterialRules.Kit, "noRates", Verdict.Care, source);
            yield break;
        }

        var cheaper = kit.Cost <= rig.Cost;
        yield return new(
            MaterialRules.Kit,
            cheaper
                ? kits.RigAlways
                    ? "cheaperYetRig"
                    : "cheaper"
                : "rigCheaper",
            Verdict.Clear,
            source
        )
        {
            Measured = new(kit.Cost, Dimension.Money),
            Limit = new(rig.Cost, Dimension.Money),
            Margin = new(Math.Abs(rig.Cost - kit.Cost), Dimension.Money),
            Figures = most is { } volume
                ? new Dictionary<string, Figure> { ["upTo"] = volume.ToFigure() }
                : new Dictionary<string, Figure>(),
            Working = working,
        };
    }
}
