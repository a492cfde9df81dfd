using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;

namespace Umbracell.Core.Rigs;

/// <summary>What is said of proposed set points: held or short, how that follows, and what would help. Each remedy was put in before it is
/// told.</summary>
internal static class SetPointFindings
{
    public static IEnumerable<Finding> Of(SetPointPlan plan)
    {
        if (PressureOf(plan) is { } pressure)
        {
            yield return pressure;
        }

        foreach (var side in plan.Sides)
        {
            yield return Primary(plan, side);
        }

        foreach (var side in plan.Sides.Where(one => one.AtGun is not null))
        {
            yield return Gun(plan, side);
        }

        if (plan.Lacks.Count > 0)
        {
            var rule = plan.Sides.Count == 0 ? RigRules.Primary : RigRules.Gun;
            yield return new(rule, "unknown", Verdict.Care, Citations.HeaterBalance)
            {
                Limit = (plan.Sides.Count == 0 ? plan.Primaries : plan.Hose).ToFigure(),
                Words = new Dictionary<string, Said> { ["lacks"] = Said.Of(plan.Lacks) },
            };
        }
    }

    private static Finding? PressureOf(SetPointPlan plan)
    {
        if (plan.Case.Gear.GreatestPressure is not { } gives)
        {
            return null;
        }

        var wanted = plan.Case.Sheet.SetPoints.Pressure;
        var given = gives >= wanted;
        return new(
            RigRules.Pressure,
            given ? "given" : "short",
            given ? Verdict.Clear : Verdict.Care,
            Citations.Sheet(plan.Case.Sheet, SheetLine.SheetSetPoints)
        )
        {
            Measured = new(gives, Dimension.MaterialPressure),
            Limit = new(wanted, Dimension.MaterialPressure),
            Margin = new(gives - wanted, Dimension.MaterialPressure),
        };
    }

    private static Finding Primary(SetPointPlan plan, SideReach side)
    {
        var held = plan.Holds(side);
        var drum = DrumOf(plan, side);
        return new(RigRules.Primary, held ? "held" : "short", held ? Verdict.Clear : Verdict.Care, Citations.HeaterBalance)
        {
            Measured = side.Reaches.ToFigure().AtMost,
            Limit = plan.Primaries.ToFigure(),
            Margin = (side.Reaches - plan.Primaries).ToFigure(),
            Figures = new Dictionary<string, Figure> { ["drum"] = drum.ToFigure(), ["flow"] = plan.Tip!.Value.Flow },
            Words = Side(side),
            Working = Reached(plan, side, drum),
            Remedies = held ? [] : [.. PrimaryRemedies(plan, side)],
        };
    }

    private static IEnumerable<Remedy> PrimaryRemedies(SetPointPlan plan, SideReach side)
    {
        if (plan.LargestTip is { } tip)
        {
            yield return new(
                "smallerTip",
                new Dictionary<string, Figure> { ["flow"] = tip.Flow },
                new Dictionary<string, string> { ["tip"] = tip.Name }
            );
        }
        else if (plan.GreatestFlow is { } flow)
        {
            yield return Remedy.Of("tipAtMost", "flow", new Figure(flow, Dimension.MassFlow).AtMost);
        }

        var coldest = new PrimaryHeater(plan.Case.Gear.LiquidWatts!.Value / 2).ColdestDrum(side.Flow, plan.Primaries);
        if (coldest <= plan.Case.Sheet.Drums.Greatest)
        {
            yield return new(
                "warmerDrum",
                new Dictionary<string, Figure> { ["temperature"] = coldest.ToFigure().AtLeast },
                new Dictionary<string, string> { ["side"] = side.Side.ToString() }
            );
        }
    }

    private static Finding Gun(SetPointPlan plan, SideReach side)
    {
        var held = plan.HoldsAtGun(side);
        var gun = side.AtGun!.Value;
        return new(RigRules.Gun, held ? "held" : "short", held ? Verdict.Clear : Verdict.Care, Citations.HosePlugFlow)
        {
            Measured = gun.ToFigure().AtMost,
            Limit = plan.Hose.ToFigure(),
            Margin = (gun - plan.Hose).ToFigure(),
            Figures = new Dictionary<string, Figure> { ["around"] = plan.Case.Around!.Value.ToFigure(), ["flow"] = plan.Tip!.Value.Flow },
            Words = Side(side),
            Working = AfterWhip(plan, side),
            Remedies = held ? [] : [.. GunRemedies(plan, side)],
        };
    }

    private static IEnumerable<Remedy> GunRemedies(SetPointPlan plan, SideReach side)
    {
        if (!plan.Holds(side))
        {
            yield return new("primariesFirst", new Dictionary<string, Figure>());
        }

        foreach (
            var (kind, gear) in new[]
            {
                ("hoseSheltered", plan.Case.Gear with { Lay = HoseLay.Sheltered }),
                ("hoseInsulated", plan.Case.Gear with { Wear = HoseWear.Good }),
                ("hoseBoth", plan.Case.Gear with { Lay = HoseLay.Sheltered, Wear = HoseWear.Good }),
            }
        )
        {
            var then = SetPointPlan.Unjudged(plan.Case with { Gear = gear, Tip = plan.Tip!.Value.Name });
            if (then.Sides.Single(one => one.Side == side.Side) is var better && then.HoldsAtGun(better))
            {
                yield return Remedy.Of(kind, "temperature", better.AtGun!.Value.ToFigure());
                yield break;
            }
        }
    }

    private static Working Reached(SetPointPlan plan, SideReach side, Temperature drum) =>
        new(
            "heaterReaches",
            "T = T_d + P / C",
            [
                new("T_d", "drumNow", drum.ToFigure()),
                new("P", "heaterOfSide", new(plan.Case.Gear.LiquidWatts!.Value / 2, Dimension.Power)),
                new("C", "flowCapacity", new(side.Flow.Capacity, Dimension.HeatLoss)),
            ],
            side.Reaches.ToFigure(),
            Citations.HeaterBalance
        );

    private static Working AfterWhip(SetPointPlan plan, SideReach side)
    {
        var around = plan.Case.Around!.Value;
        var hose = SetPointPlan.HoseOf(SetPointPlan.Lying(plan.Case.Gear, around))!;
        return new(
            "gunTemperature",
            "T = T_a + (T_h − T_a) · e^(−U L / C)",
            [
                new("T_a", "aroundHose", around.ToFigure()),
                new("T_h", "hoseEnd", side.AtHoseEnd!.Value.ToFigure()),
                new("U", "hoseLoss", new(hose.Loss, Dimension.LinearTransmittance)),
                new("L", "whip", new(hose.Whip.Metres, Dimension.Span)),
                new("C", "flowCapacity", new(side.Flow.Capacity, Dimension.HeatLoss)),
            ],
            side.AtGun!.Value.ToFigure(),
            Citations.HosePlugFlow
        );
    }

    private static Temperature DrumOf(SetPointPlan plan, SideReach side) =>
        (side.Side == SetSide.A ? plan.Case.DrumA : plan.Case.DrumB)!.Value;

    private static Dictionary<string, Said> Side(SideReach side) => new() { ["side"] = side.Side.ToString() };
}
