using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;

namespace Umbracell.Core.Rigs;

/// <summary>How good the insulation of a hose still is.</summary>
public enum HoseWear
{
    /// <summary>As it left its maker.</summary>
    Good,

    /// <summary>Crushed, wet or torn.</summary>
    Worn,
}

/// <summary>Where a hose lies.</summary>
public enum HoseLay
{
    /// <summary>On the reel or in the building.</summary>
    Sheltered,

    /// <summary>On the ground outdoors.</summary>
    OnGround,

    /// <summary>On frozen ground.</summary>
    OnFrozenGround,
}

/// <summary>One side of a heated hose with its whip, which is not heated: <c>m' c dT/dx = q' − U' (T − T_amb)</c> while it flows, the decay of
/// its heat towards what lies around it while it does not.</summary>
public sealed record HeatedHose
{
    // Insulation as made and worn, W/(m·K), and what frozen ground takes more (practice).
    private const double GoodLoss = 0.25,
        WornLoss = 0.35,
        OnFrost = 1.5;

    /// <summary>Heated length, 1 to 200 m.</summary>
    public required Length Heated { get; init; }

    /// <summary>Length of the whip after it, 0 to 10 m.</summary>
    public Length Whip { get; init; } = Length.FromMetres(3);

    /// <summary>The most heat one side is given over its whole heated length, W, 0 to 50 kW.</summary>
    public required double Watts { get; init; }

    /// <summary>Inner diameter, 3 to 30 mm.</summary>
    public Length Bore { get; init; } = Length.FromMillimetres(9.5);

    /// <summary>Its insulation.</summary>
    public HoseWear Wear { get; init; }

    /// <summary>Where it lies.</summary>
    public HoseLay Lay { get; init; }

    /// <summary>Density of the liquid in it, kg/m³; both sides lie near 1200.</summary>
    public double LiquidDensity { get; init; } = 1200;

    /// <summary>Heat its own tube and braid take up, J/(m·K): a quarter of a kilogram a metre of 1.5 kJ/(kg·K) (practice).</summary>
    public double ShellCapacity { get; init; } = 375;

    /// <summary>What it loses for each metre and kelvin, W/(m·K).</summary>
    public double Loss => (Wear == HoseWear.Worn ? WornLoss : GoodLoss) * (Lay == HoseLay.OnFrozenGround ? OnFrost : 1);

    /// <summary>Liquid in a metre, kg.</summary>
    public double LiquidPerMetre => LiquidDensity * Math.PI / 4 * Bore.Metres * Bore.Metres;

    private double PerMetre => Watts / Heated.Metres;

    /// <exception cref="QuantityRangeException">A figure out of its range.</exception>
    internal HeatedHose Checked()
    {
        QuantityRangeException.Within("heated hose", Heated.Metres, 1, 200, Dimension.Span);
        QuantityRangeException.Within("whip", Whip.Metres, 0, 10, Dimension.Span);
        QuantityRangeException.Within("hose heat", Watts, 0, 50_000, Dimension.ElectricPower);
        QuantityRangeException.Within("hose bore", Bore.Metres, 0.003, 0.03, Dimension.Thickness);
        return this;
    }

    /// <summary>Liquid at a length of the heated hose while it flows: warmed by all the heat there is until it is at the set point, which is then
    /// held as long as the heat does; cooled where that does not.</summary>
    /// <param name="along">From the primary heater, 0 to its length.</param>
    /// <param name="flow">What flows.</param>
    /// <param name="enters">What comes from the primary heater.</param>
    /// <param name="set">Set point of the hose.</param>
    /// <param name="around">What lies around it.</param>
    /// <exception cref="QuantityRangeException">A figure out of range.</exception>
    public Temperature At(Length along, SideFlow flow, Temperature enters, Temperature set, Temperature around)
    {
        Checked();
        QuantityRangeException.Within("length along the hose", along.Metres, 0, Heated.Metres, Dimension.Span);

        // Hotter than its set point it is not heated, colder with all there is: where it settles either way.
        var isHeated = enters < set;
        var settles = around.Celsius + (isHeated ? PerMetre / Loss : 0);
        var there = Along(enters.Celsius, settles, along, flow);
        var passes = isHeated ? there > set.Celsius : there < set.Celsius;
        if (!passes)
        {
            return Temperature.FromCelsius(there);
        }

        // At the set point it is held there, unless it falls on to where all the heat there is keeps it, or what lies around it is warmer.
        var held = Math.Clamp(set.Celsius, around.Celsius, around.Celsius + PerMetre / Loss);
        if (held == set.Celsius)
        {
            return set;
        }

        var reached = flow.Capacity / Loss * Math.Log((enters.Celsius - settles) / (set.Celsius - settles));
        return Temperature.FromCelsius(Along(set.Celsius, held, Length.FromMetres(along.Metres - reached), flow));
    }

    /// <summary>Liquid at the gun while it flows: after the heated hose and the whip.</summary>
    /// <param name="flow">What flows.</param>
    /// <param name="enters">What comes from the primary heater.</param>
    /// <param name="set">Set point of the hose.</param>
    /// <param name="around">What lies around it.</param>
    /// <exception cref="QuantityRangeException">A figure out of range.</exception>
    public Temperature AtGun(SideFlow flow, Temperature enters, Temperature set, Temperature around) =>
        Temperature.FromCelsius(Along(At(Heated, flow, enters, set, around).Celsius, around.Celsius, Whip, flow));

    /// <summary>Liquid that stands in a length after a pause: <c>T = T_∞ + (T_0 − T_∞) e^(−U' t / C')</c>, the heat of liquid and hose taken as
    /// one.</summary>
    /// <param name="flow">The side, by what flows at other times.</param>
    /// <param name="before">What it was.</param>
    /// <param name="pause">How long it stands, 0 or more.</param>
    /// <param name="around">What lies around it.</param>
    public Temperature AfterPause(SideFlow flow, Temperature before, TimeSpan pause, Temperature around) =>
        Temperature.FromCelsius(around.Celsius + (before - around).Kelvins * Math.Exp(-Loss * pause.TotalSeconds / CapacityPerMetre(flow)));

    /// <summary>What comes out cold after a pause: how cold, and for how long the trigger is held until it is through.</summary>
    /// <param name="flow">What flows once the trigger is held.</param>
    /// <param name="before">What stood in it when it stopped.</param>
    /// <param name="pause">How long it stands.</param>
    /// <param name="around">What lies around it.</param>
    /// <param name="isHeated">Whether the hose is heated meanwhile; the whip never is.</param>
    public ColdSlug After(SideFlow flow, Temperature before, TimeSpan pause, Temperature around, bool isHeated)
    {
        var length = Whip.Metres + (isHeated ? 0 : Heated.Metres);
        return new(AfterPause(flow, before, pause, around), TimeSpan.FromSeconds(length * LiquidPerMetre / flow.KilogramsPerSecond));
    }

    /// <summary>Heat that liquid and hose take up, J/(m·K).</summary>
    /// <param name="flow">The side, by what flows.</param>
    public double CapacityPerMetre(SideFlow flow) => LiquidPerMetre * flow.Side.HeatCapacity() + ShellCapacity;

    private double Along(double from, double settles, Length metres, SideFlow flow) =>
        settles + (from - settles) * Math.Exp(-Loss * metres.Metres / flow.Capacity);
}

/// <summary>Liquid that has stood in the hose.</summary>
/// <param name="Temperature">What it is.</param>
/// <param name="Trigger">How long the trigger is held until it is through.</param>
public readonly record struct ColdSlug(Temperature Temperature, TimeSpan Trigger);
