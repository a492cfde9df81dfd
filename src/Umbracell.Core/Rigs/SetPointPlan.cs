using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;

namespace Umbracell.Core.Rigs;

/// <summary>What a rig must be known by before it can be said what it reaches.</summary>
public enum RigLack
{
    /// <summary>Heat of the primary heaters.</summary>
    Heaters,

    /// <summary>Heat and length of the hose.</summary>
    Hose,

    /// <summary>What the tips let through.</summary>
    Tips,

    /// <summary>A drum's temperature.</summary>
    Drum,

    /// <summary>Temperature of what lies around the hose.</summary>
    Air,
}

/// <summary>A rig about to be set for a product.</summary>
public sealed record SetPointCase
{
    /// <summary>The product on it.</summary>
    public required ProductSheet Sheet { get; init; }

    /// <summary>What heats and moves the liquids.</summary>
    public required RigGear Gear { get; init; }

    /// <summary>Temperature of the A drum.</summary>
    public Temperature? DrumA { get; init; }

    /// <summary>Temperature of the B drum.</summary>
    public Temperature? DrumB { get; init; }

    /// <summary>Air around the hose.</summary>
    public Temperature? Around { get; init; }

    /// <summary>Name of the tip in the gun; null for the largest that holds the set points.</summary>
    public string? Tip { get; init; }

    /// <summary>How long the hose stood, for the cold slug.</summary>
    public TimeSpan Pause { get; init; } = TimeSpan.FromMinutes(30);
}

/// <summary>What a side reaches while the trigger is held.</summary>
/// <param name="Side">A or B.</param>
/// <param name="Flow">What flows.</param>
/// <param name="Reaches">The warmest its heater makes it.</param>
/// <param name="Leaves">What it leaves the heater at.</param>
public sealed record SideReach(SetSide Side, SideFlow Flow, Temperature Reaches, Temperature Leaves)
{
    /// <summary>At the end of the heated hose; null where the hose is not known.</summary>
    public Temperature? AtHoseEnd { get; init; }

    /// <summary>At the gun; null where the hose is not known.</summary>
    public Temperature? AtGun { get; init; }

    /// <summary>What comes out first after a pause; null where the hose is not known.</summary>
    public ColdSlug? Slug { get; init; }
}

/// <summary>Set points proposed for a rig, with what it reaches of them. They are the sheet's and never more: a rig that cannot hold them is
/// told what would help, not a lower figure.</summary>
public sealed record SetPointPlan
{
    // A tenth of a kelvin under a set point is no shortfall anybody could read.
    private const double Readable = 0.1;

    // The gun counts as held within the whip's usual loss, in kelvin (practice).
    private const double GunSlack = 3;

    // Of a hose the last metres are not heated.
    private const double Whip = 3;

    private SetPointPlan(SetPointCase of) => Case = of;

    /// <summary>What it was made of.</summary>
    public SetPointCase Case { get; }

    /// <summary>Set point of both primary heaters.</summary>
    public Temperature Primaries => Case.Sheet.SetPoints.Primaries;

    /// <summary>Set point of the hose.</summary>
    public Temperature Hose => Case.Sheet.SetPoints.Hose;

    /// <summary>Pressure of both sides, Pa: the sheet's, or the most the rig gives.</summary>
    public double Pressure => Math.Min(Case.Sheet.SetPoints.Pressure, Case.Gear.GreatestPressure ?? double.MaxValue);

    /// <summary>The greatest flow of both sides at which both primary heaters hold their set point, kg/s; null where any does, or where it
    /// cannot be known.</summary>
    public double? GreatestFlow { get; private init; }

    /// <summary>The largest tip at which they do; null where none does, or none is known.</summary>
    public Tip? LargestTip { get; private init; }

    /// <summary>The tip it was reckoned with: the one in the gun, else the largest that holds, else the smallest there is.</summary>
    public Tip? Tip { get; private init; }

    /// <summary>What each side reaches; empty where that cannot be known.</summary>
    public IReadOnlyList<SideReach> Sides { get; private init; } = [];

    /// <summary>What is not known of the rig and its drums.</summary>
    public IReadOnlyList<RigLack> Lacks { get; private init; } = [];

    /// <summary>What is said of it, with what would help where a set point cannot be held.</summary>
    public IReadOnlyList<Finding> Findings { get; private init; } = [];

    /// <summary>Proposes set points.</summary>
    /// <exception cref="QuantityRangeException">A figure out of range.</exception>
    public static SetPointPlan Of(SetPointCase of)
    {
        var plan = Unjudged(of);
        return plan with { Findings = [.. SetPointFindings.Of(plan)] };
    }

    /// <summary>The same with nothing said of it, for what only tries whether something would help.</summary>
    internal static SetPointPlan Unjudged(SetPointCase of)
    {
        var greatest = GreatestFlowOf(of);
        var largest = LargestOf(of, greatest);
        var tip = of.Gear.Tips.Where(one => one.Name == of.Tip).Cast<Tip?>().FirstOrDefault() ?? largest ?? Smallest(of.Gear);
        return new SetPointPlan(of)
        {
            GreatestFlow = greatest,
            LargestTip = largest,
            Tip = tip,
            Sides =
                tip is { } known && of is { DrumA: { } a, DrumB: { } b, Gear.LiquidWatts: { } watts }
                    ? [Reach(of, SetSide.A, known, a, watts), Reach(of, SetSide.B, known, b, watts)]
                    : [],
            Lacks = [.. LacksOf(of)],
        };
    }

    /// <summary>The part of what flows that is a side's, by the masses of the sheet's set.</summary>
    public static double ShareOf(ProductSheet sheet, SetSide side) =>
        (side == SetSide.A ? sheet.SetMassA : sheet.SetMassB).Kilograms / sheet.SetMass.Kilograms;

    /// <summary>Whether a side's heater holds its set point.</summary>
    public bool Holds(SideReach side) => side.Reaches.Celsius >= Primaries.Celsius - Readable;

    /// <summary>Whether a side is warm enough at the gun: within what the whip usually loses.</summary>
    public bool HoldsAtGun(SideReach side) => side.AtGun is { } gun && gun.Celsius >= Hose.Celsius - GunSlack;

    /// <summary>What the hose of a side is like; null where it is not known.</summary>
    public static HeatedHose? HoseOf(RigGear gear) =>
        gear is { Hose: { } length, HoseWatts: { } watts } && length.Metres >= Whip + 1
            ? new()
            {
                Heated = Length.FromMetres(length.Metres - Whip),
                Whip = Length.FromMetres(Whip),
                Watts = watts / 2,
                Wear = gear.Wear,
                Lay = gear.Lay,
            }
            : null;

    /// <summary>What the hose lies in: the air, and frozen ground where it is colder than freezing on the ground.</summary>
    internal static RigGear Lying(RigGear gear, Temperature around) =>
        gear.Lay == HoseLay.OnGround && around.Celsius < 0 ? gear with { Lay = HoseLay.OnFrozenGround } : gear;

    private static SideReach Reach(SetPointCase of, SetSide side, Tip tip, Temperature drum, double watts)
    {
        var flow = new SideFlow(side, tip.KilogramsPerSecond * ShareOf(of.Sheet, side));
        var heater = new PrimaryHeater(watts / 2);
        var reach = new SideReach(side, flow, heater.Reaches(flow, drum), heater.Leaves(flow, drum, of.Sheet.SetPoints.Primaries));
        if (of.Around is not { } around || HoseOf(Lying(of.Gear, around)) is not { } hose)
        {
            return reach;
        }

        var set = of.Sheet.SetPoints.Hose;
        var end = hose.At(hose.Heated, flow, reach.Leaves, set, around);
        return reach with
        {
            AtHoseEnd = end,
            AtGun = hose.AtGun(flow, reach.Leaves, set, around),
            Slug = hose.After(flow, end, of.Pause, around, isHeated: true),
        };
    }

    private static double? GreatestFlowOf(SetPointCase of)
    {
        if (of is not { DrumA: { } a, DrumB: { } b, Gear.LiquidWatts: { } watts })
        {
            return null;
        }

        var heater = new PrimaryHeater(watts / 2);
        var flows = new[] { (SetSide.A, a), (SetSide.B, b) }
            .Select(one => heater.GreatestFlow(one.Item1, one.Item2, of.Sheet.SetPoints.Primaries) / ShareOf(of.Sheet, one.Item1))
            .Where(flow => flow is not null)
            .ToList();
        return flows.Count == 0 ? null : flows.Min();
    }

    private static Tip? LargestOf(SetPointCase of, double? greatest) =>
        of is { DrumA: not null, DrumB: not null, Gear.LiquidWatts: not null }
            ? of.Gear.Tips.Where(tip => tip.KilogramsPerSecond <= (greatest ?? double.MaxValue)).Cast<Tip?>().FirstOrDefault()
            : null;

    private static Tip? Smallest(RigGear gear) => gear.Tips.Count == 0 ? null : gear.Tips[^1];

    private static IEnumerable<RigLack> LacksOf(SetPointCase of)
    {
        if (of.Gear.LiquidWatts is null)
        {
            yield return RigLack.Heaters;
        }

        if (of.Gear.Tips.Count == 0)
        {
            yield return RigLack.Tips;
        }

        if (of.DrumA is null || of.DrumB is null)
        {
            yield return RigLack.Drum;
        }

        if (HoseOf(of.Gear) is null)
        {
            yield return RigLack.Hose;
        }

        if (of.Around is null)
        {
            yield return RigLack.Air;
        }
    }
}
