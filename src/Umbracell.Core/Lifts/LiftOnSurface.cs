using Umbracell.Core.Conditions;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Lifts;

/// <summary>A lift that goes on a surface, before anybody sprays it.</summary>
public sealed record LiftOnSurface
{
    // Where layers behind were not measured: 11 mm board, 0.6 mm sheet, 100 mm masonry (handbook values).
    private const double BoardCapacity = 620 * 1_700,
        SteelCapacity = 7_850 * 460,
        MasonryCapacity = 2_000 * 900;

    /// <summary>What makers state lifts at.</summary>
    internal static Temperature AtReference => Temperature.FromCelsius(21);

    /// <summary>The product.</summary>
    public required ProductSheet Sheet { get; init; }

    /// <summary>What the surface is of.</summary>
    public required SubstrateKind On { get; init; }

    /// <summary>What is sprayed on; what lies behind it is taken to be as warm.</summary>
    public required Temperature Substrate { get; init; }

    /// <summary>Air before it.</summary>
    public required Temperature Air { get; init; }

    /// <summary>Of the lift, 0.5 mm to 0.5 m.</summary>
    public required Length Thickness { get; init; }

    /// <summary>Foam that is there already, 0 to 2 m.</summary>
    public Length Under { get; init; } = Length.Zero;

    /// <summary>How warm that is; null for as warm as the sheet lets it be when the next lift goes on.</summary>
    public Temperature? UnderAt { get; init; }

    /// <summary>Liquid at the gun; null for the sheet's set point of the hose.</summary>
    public Temperature? Gun { get; init; }

    /// <summary>The same lift as thick as the sheet lets it be, at 21 °C on wood: what makers go by.</summary>
    internal LiftOnSurface Reference =>
        new()
        {
            Sheet = Sheet,
            On = SubstrateKind.Wood,
            Substrate = AtReference,
            Air = AtReference,
            Thickness = Sheet.GreatestLift,
        };

    /// <summary>The case of its heat.</summary>
    internal LiftCase Case
    {
        get
        {
            var foam = Sheet.Exotherm;
            var isOver = Under > Length.Zero;
            var underAt = UnderAt ?? Sheet.NextLiftBelow;
            var density = Sheet.InPlaceDensity;
            LiftLayer[] behind = isOver
                ? [new(Under, foam.Conductivity, density.KilogramsPerCubicMetre * foam.SpecificHeat, underAt), Backing]
                : [Backing];
            return new()
            {
                Foam = foam,
                Density = density,
                Thickness = Thickness,
                Mix = Rigs.ExpectedShot.MixOf(Sheet, Gun ?? Sheet.SetPoints.Hose, isOver ? underAt : Substrate, Thickness),
                Behind = behind,
                Air = Air,
                AirBehind = Substrate,
                CoolBelow = Sheet.NextLiftBelow,
            };
        }
    }

    private LiftLayer Backing =>
        On switch
        {
            SubstrateKind.Wood => new(Length.FromMillimetres(11), ThermalConductivity.FromSi(0.13), BoardCapacity, Substrate),
            SubstrateKind.Metal => new(Length.FromMillimetres(0.6), ThermalConductivity.FromSi(50), SteelCapacity, Substrate),
            _ => new(Length.FromMillimetres(100), ThermalConductivity.FromSi(1), MasonryCapacity, Substrate),
        };
}
