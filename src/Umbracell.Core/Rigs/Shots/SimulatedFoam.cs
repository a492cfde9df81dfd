using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Rigs.Shots;

/// <summary>Conditions under which foam is made. It knows no causes: whatever brings them about, the same conditions give the same foam.</summary>
public sealed record FoamConditions
{
    /// <summary>The product that is really in the drums.</summary>
    public required ProductSheet Sheet { get; init; }

    /// <summary>Liquid at the gun.</summary>
    public required Temperature Gun { get; init; }

    /// <summary>Face that is sprayed.</summary>
    public required Temperature Substrate { get; init; }

    /// <summary>Thickness of the lift.</summary>
    public required Length Lift { get; init; }

    /// <summary>Parts of A for one of B, 0.3 to 3; 1 is right.</summary>
    public double Ratio { get; init; } = 1;

    /// <summary>How much that swings while the trigger is held, 0 to 1.</summary>
    public double RatioSwing { get; init; }

    /// <summary>Energy with which the sides are mixed, against a sound gun at its pressure, 0.2 to 1.5.</summary>
    public double Mixing { get; init; } = 1;

    /// <summary>Blowing agent in the B side, against the sheet, 0 to 1.5.</summary>
    public double Blowing { get; init; } = 1;

    /// <summary>Activity of the liquids, against the sheet, 0.2 to 1.5.</summary>
    public double Activity { get; init; } = 1;

    /// <summary>Part of the A side that has reacted with water, 0 to 1.</summary>
    public double WaterInA { get; init; }

    /// <summary>Water on the face, 0 to 0.5 kg/m².</summary>
    public double WaterOnFace { get; init; }
}

/// <summary>What foam made under conditions is, before anybody looks: numbers that what is seen, and drawings, are made from. A simple account of
/// how foam rises and sets (practice), not a model of its chemistry.</summary>
public sealed record SimulatedFoam
{
    /// <summary>Speed of the reaction against the sheet's reference.</summary>
    public required double Speed { get; init; }

    /// <summary>Cream time.</summary>
    public required TimeSpan Cream { get; init; }

    /// <summary>Time until it is free of tack.</summary>
    public required TimeSpan TackFree { get; init; }

    /// <summary>How far it rises against the sheet, 1 for as it should.</summary>
    public required double Expansion { get; init; }

    /// <summary>Its density.</summary>
    public required Density Density { get; init; }

    /// <summary>How far its walls bear against what they must, 1 for as they should.</summary>
    public required double Strength { get; init; }

    /// <summary>How even it is, 0 to 1.</summary>
    public required double Evenness { get; init; }

    /// <summary>Gas of water in it, 0 for none.</summary>
    public required double WaterGas { get; init; }

    /// <summary>How the mix at the face lies over what wets and grips, K; below nought it does not grip.</summary>
    public required double Grip { get; init; }

    /// <summary>How hot its core gets against a lift of the sheet's greatest, 1 for the same.</summary>
    public required double CoreHeat { get; init; }

    /// <summary>Conditions it was made under.</summary>
    public required FoamConditions Of { get; init; }

    // So many kelvin under the mix of the sheet's reference foam is too slow.
    private const double SlowFrom = 20;

    /// <summary>Makes foam.</summary>
    /// <param name="of">The conditions.</param>
    public static SimulatedFoam Made(FoamConditions of)
    {
        var sheet = of.Sheet;
        var usual = ExpectedShot.MixOf(sheet, sheet.SetPoints.Hose, sheet.Reaction.Substrate, sheet.ReferenceLift);
        var expected = ExpectedShot.Of(sheet, of.Gun, of.Substrate, of.Lift);
        var off = Math.Abs(of.Ratio - 1);
        var activity = of.Activity * (1 - 0.35 * of.WaterInA) * Math.Max(0.3, 1 - 0.9 * off);
        var speed = sheet.Reaction.Cream / expected.Cream * activity;
        var water = 0.35 * of.WaterInA + Math.Min(0.4, 6 * of.WaterOnFace);
        var warmer = (expected.Mix - usual).Kelvins;

        // Warm foam rises a little further before it sets, cold foam much less once it is too slow to keep its gas; a thin lift is mostly skin.
        var risen = 1 + Math.Clamp(0.0015 * warmer, -0.03, 0.15) - Math.Clamp(0.02 * (-SlowFrom - warmer), 0, 0.4);
        var skin = of.Lift < sheet.LeastLift ? 0.75 + 0.25 * (of.Lift / sheet.LeastLift) : 1;
        var expansion = (of.Blowing * risen * Math.Max(0.3, 1 - 0.7 * off) + 0.25 * water) * (0.7 + 0.3 * Math.Min(1, of.Mixing)) * skin;
        var strength =
            Math.Max(0.1, 1 - 1.6 * off)
            * (0.6 + 0.4 * Math.Min(1, of.Mixing))
            * (1 - 0.4 * of.WaterInA)
            * Math.Clamp(0.4 + 0.6 * of.Activity, 0.3, 1);
        return new()
        {
            Of = of,
            Speed = speed,
            Cream = sheet.Reaction.Cream / speed,
            TackFree = sheet.Reaction.TackFree / speed,
            Expansion = expansion,
            Density = Density.FromKilogramsPerCubicMetre(sheet.CoreDensity.KilogramsPerCubicMetre / Math.Max(0.15, expansion)),
            Strength = strength,
            Evenness = Math.Clamp(of.Mixing - of.RatioSwing, 0, 1),
            WaterGas = water,
            Grip = (of.Substrate - sheet.Substrate.Least).Kelvins - 200 * of.WaterOnFace,
            CoreHeat = (of.Lift / sheet.GreatestLift) * (1 + 0.01 * warmer),
        };
    }

    /// <summary>What a practised eye that errs in nothing sees of it.</summary>
    /// <param name="kind">What foam of the product that was meant is like.</param>
    public ShotSeen Seen(ProductSheet kind)
    {
        var ratio = Of.Ratio;
        var firm = Strength >= 0.72;
        return new()
        {
            Cream = Cream,
            RiseTime = TimeSpan.FromSeconds(Math.Sqrt(Cream.TotalSeconds * TackFree.TotalSeconds)),
            TackFree = TackFree,
            Sample = Density,
            Rise =
                Expansion >= 0.85 ? ShotRise.Full
                : Expansion >= 0.5 ? ShotRise.Low
                : ShotRise.None,
            Skin =
                WaterGas > 0.12 || Evenness < 0.62 ? ShotSkin.Coarse
                : Speed > 1.25 || CoreHeat > 1.3 ? ShotSkin.Ripples
                : ShotSkin.Smooth,
            Cells =
                Strength < 0.45 && Expansion > 0.5 ? ShotCells.Collapsed
                : WaterGas > 0.1 || Evenness < 0.75 ? ShotCells.Coarse
                : Speed < 0.62 ? ShotCells.Drawn
                : ShotCells.Fine,
            Colour =
                Evenness < 0.68 ? ShotColour.Streaked
                : ratio > 1.1 || CoreHeat > 1.6 ? ShotColour.Dark
                : ratio < 0.9 ? ShotColour.Pale
                : ShotColour.Usual,
            Feel =
                ratio > 1.22 ? ShotFeel.Glassy
                : ratio > 1.08 || WaterGas > 0.25 ? ShotFeel.Brittle
                : ratio < 0.82 ? ShotFeel.Sticky
                : ratio < 0.92 || !firm || kind.CoreDensity.KilogramsPerCubicMetre > 1.6 * Of.Sheet.CoreDensity.KilogramsPerCubicMetre
                    ? ShotFeel.Soft
                : ShotFeel.Firm,
            Adhesion =
                Grip < -1 ? ShotAdhesion.Peels
                : Grip < 0 || CoreHeat > 1.45 ? ShotAdhesion.Gap
                : ShotAdhesion.Holds,
            LayersPart = Grip < -6 || CoreHeat > 1.8,
            Pooling = Speed < 0.55,
            Shrinks = ratio < 0.86 || CoreHeat > 1.5 || (Strength < 0.55 && Expansion > 0.8),
            Blowholes = WaterGas > 0.15 || CoreHeat > 1.7,
            Scorch = CoreHeat > 1.75 || (CoreHeat > 1.4 && Speed > 1.3),
        };
    }
}
