using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Statistics;

namespace Umbracell.Core.Rigs.Shots;

/// <summary>A shot as a rig with one fault fires it: conditions of the foam, and what stands on gauges and thermometers. What is seen of the
/// foam comes of the conditions alone.</summary>
/// <param name="Cause">The fault; <see cref="ShotCause.None"/> for a sound rig.</param>
/// <param name="Foam">Conditions of the foam.</param>
/// <param name="Readings">What the gauges show.</param>
public sealed record FaultyShot(ShotCause Cause, FoamConditions Foam, ShotReadings Readings);

/// <summary>Fires shots with a fault of one's choice: made-up shots to count likelihoods on, to be scored by, and to learn on.</summary>
/// <param name="sheet">The product that is meant.</param>
/// <param name="other">Another product, for drums that were mixed up.</param>
/// <param name="seed">Same shots for the same seed, 0 or more.</param>
public sealed class FaultyRig(ProductSheet sheet, ProductSheet other, int seed)
{
    private readonly SeededChance _chance = new((ulong)seed);

    /// <summary>A shot with a fault.</summary>
    /// <param name="cause">The fault.</param>
    public FaultyShot Fire(ShotCause cause)
    {
        var sound = Sound();
        var fired = cause switch
        {
            ShotCause.ColdDrums => Drums(sound),
            ShotCause.UnmixedB => sound with
            {
                Foam = sound.Foam with { Blowing = Between(0.5, 0.78), Activity = Between(0.7, 0.88), RatioSwing = Between(0, 0.3) },
                Readings = sound.Readings with { SinceMixed = TimeSpan.FromHours(Between(16, 90)) },
            },
            ShotCause.PrimariesLow => Primaries(sound, -Between(7, 18)),
            ShotCause.PrimariesHigh => Primaries(sound, Between(7, 16)),
            ShotCause.ColdHose => Hose(sound, -Between(7, 20)),
            ShotCause.PressureApart => Apart(sound),
            ShotCause.RichA => sound with { Foam = sound.Foam with { Ratio = Between(1.12, 1.32) } },
            ShotCause.RichB => sound with { Foam = sound.Foam with { Ratio = Between(0.72, 0.88) } },
            ShotCause.StarvedSide => Starved(sound),
            ShotCause.WornChamber => sound with { Foam = sound.Foam with { Mixing = Between(0.42, 0.68) } },
            ShotCause.WrongTip => Tip(sound),
            ShotCause.WetA => sound with { Foam = sound.Foam with { WaterInA = Between(0.35, 1) } },
            ShotCause.OldMaterial => sound with
            {
                Foam = sound.Foam with { Activity = Between(0.45, 0.68), Blowing = Between(0.82, 0.95) },
            },
            ShotCause.ColdSubstrate => OnSubstrate(sound, sheet.Substrate.Least.Celsius - Between(3, 14)),
            ShotCause.WetSubstrate => sound with { Foam = sound.Foam with { WaterOnFace = Between(0.02, 0.1) } },
            ShotCause.ThickLift => Lift(sound, sheet.GreatestLift * Between(1.45, 2.2)),
            ShotCause.ThinLift => Lift(sound, sheet.LeastLift * Between(0.3, 0.7)),
            ShotCause.WrongProduct => sound with { Foam = sound.Foam with { Sheet = other } },
            _ => sound,
        };
        return fired with { Cause = cause };
    }

    /// <summary>What a practised eye sees of a shot: times to a tenth, a scale to a thirtieth, and now and then something taken for its
    /// neighbour.</summary>
    /// <param name="shot">The shot.</param>
    public ShotSeen Seen(FaultyShot shot)
    {
        var seen = SimulatedFoam.Made(shot.Foam).Seen(sheet);
        return seen with
        {
            Cream = Timed(seen.Cream),
            RiseTime = Timed(seen.RiseTime),
            TackFree = Timed(seen.TackFree),
            Sample = seen.Sample is { } density
                ? Density.FromKilogramsPerCubicMetre(density.KilogramsPerCubicMetre * Math.Max(0.3, 1 + Normal(0.03)))
                : null,
            Rise = Taken(seen.Rise),
            Skin = Taken(seen.Skin),
            Cells = Taken(seen.Cells),
            Colour = Taken(seen.Colour),
            Feel = Taken(seen.Feel),
            Adhesion = Taken(seen.Adhesion),
            LayersPart = Told(seen.LayersPart),
            Pooling = Told(seen.Pooling),
            Shrinks = Told(seen.Shrinks),
            Blowholes = Told(seen.Blowholes),
            Scorch = Told(seen.Scorch),
        };
    }

    private double Between(double least, double greatest) => least + (greatest - least) * _chance.Share();

    private double Normal(double deviation) => deviation * _chance.Normal();

    private TimeSpan? Timed(TimeSpan? time) => time * Math.Max(0.3, 1 + Normal(0.1));

    // A fault is overlooked, or taken for another, sooner than one is seen where there is none.
    private bool IsMistaken(bool isFault) => _chance.Share() < (isFault ? 0.05 : 0.003);

    private T? Taken<T>(T? seen)
        where T : struct, Enum =>
        IsMistaken(!Equals(seen, default(T))) ? Enum.GetValues<T>()[_chance.Below(Enum.GetValues<T>().Length)] : seen;

    private bool? Told(bool? seen) => IsMistaken(seen == true) ? !seen : seen;

    private Temperature Read(double celsius) => Temperature.FromCelsius(celsius + Normal(0.7));

    private FaultyShot Sound()
    {
        var (set, pressure) = (sheet.SetPoints, sheet.SetPoints.Pressure);
        var substrate = Between(
            Math.Max(sheet.Substrate.Least.Celsius + 4, 8),
            Math.Max(sheet.Substrate.Least.Celsius + 8, Math.Min(30, sheet.Substrate.Greatest.Celsius - 4))
        );
        var drum = Between(sheet.Drums.Least.Celsius + 1, sheet.Drums.Greatest.Celsius - 1);
        var lift = Between(sheet.LeastLift.Metres * 1.15, sheet.GreatestLift.Metres * 0.95);
        return new(
            ShotCause.None,
            new()
            {
                Sheet = sheet,
                Gun = Temperature.FromCelsius(set.Hose.Celsius + Normal(0.8)),
                Substrate = Temperature.FromCelsius(substrate),
                Lift = Length.FromMetres(lift),
                Ratio = 1 + Normal(0.015),
                Mixing = 1 + Normal(0.04),
                Blowing = 1 + Normal(0.02),
                Activity = 1 + Normal(0.03),
            },
            new()
            {
                Substrate = Read(substrate),
                DrumA = Read(drum),
                DrumB = Read(drum),
                PrimaryA = Read(set.Primaries.Celsius),
                PrimaryB = Read(set.Primaries.Celsius),
                Hose = Read(set.Hose.Celsius),
                PressureA = pressure * (1 + Normal(0.02)),
                PressureB = pressure * (1 + Normal(0.02)),
                SinceMixed = TimeSpan.FromHours(Between(0.2, 7)),
                Lift = Length.FromMetres(lift * (1 + Normal(0.05))),
            }
        );
    }

    // From cold drums the heaters do not reach their set points, and cold liquid mixes badly.
    private FaultyShot Drums(FaultyShot sound)
    {
        var drum = sheet.Drums.Least.Celsius - Between(4, 14);
        var lacking = Between(0, 8);
        return Primaries(sound, -lacking) with
        {
            Foam = sound.Foam with { Gun = Temperature.FromCelsius(sound.Foam.Gun.Celsius - lacking), Mixing = Between(0.68, 0.88) },
            Readings = Primaries(sound, -lacking).Readings with { DrumA = Read(drum), DrumB = Read(drum) },
        };
    }

    // The hose makes good a part of what the heaters lack.
    private FaultyShot Primaries(FaultyShot sound, double off)
    {
        var (set, atGun) = (sheet.SetPoints, off * Between(0.5, 0.9));
        return sound with
        {
            Foam = sound.Foam with { Gun = Temperature.FromCelsius(set.Hose.Celsius + atGun) },
            Readings = sound.Readings with
            {
                PrimaryA = Read(set.Primaries.Celsius + off),
                PrimaryB = Read(set.Primaries.Celsius + off),
                Hose = Read(set.Hose.Celsius + atGun * 0.8),
            },
        };
    }

    private FaultyShot Hose(FaultyShot sound, double off) =>
        sound with
        {
            Foam = sound.Foam with { Gun = Temperature.FromCelsius(sheet.SetPoints.Hose.Celsius + off) },
            Readings = sound.Readings with { Hose = Read(sheet.SetPoints.Hose.Celsius + off) },
        };

    private FaultyShot Apart(FaultyShot sound)
    {
        var (apart, isA) = (Between(0.12, 0.24), _chance.Share() < 0.5);
        return Pressed(
            sound with
            {
                Foam = sound.Foam with { Ratio = 1 + (isA ? -0.35 : 0.35) * apart, Mixing = Between(0.76, 0.92) },
            },
            isA ? 1 - apart : 1,
            isA ? 1 : 1 - apart
        );
    }

    private FaultyShot Starved(FaultyShot sound)
    {
        var isA = _chance.Share() < 0.5;
        return Pressed(
            sound with
            {
                Foam = sound.Foam with { Ratio = isA ? Between(0.55, 0.8) : Between(1.25, 1.7), RatioSwing = Between(0.25, 0.5) },
            },
            isA ? Between(0.6, 0.8) : 1,
            isA ? 1 : Between(0.6, 0.8)
        );
    }

    // More flows than heaters warm and pressure mixes.
    private FaultyShot Tip(FaultyShot sound)
    {
        var (low, off) = (Between(0.7, 0.86), Between(2, 6));
        return Pressed(
            Primaries(sound, -off) with
            {
                Foam = sound.Foam with { Gun = Temperature.FromCelsius(sound.Foam.Gun.Celsius - off), Mixing = Between(0.6, 0.8) },
            },
            low,
            low
        );
    }

    private static FaultyShot Pressed(FaultyShot sound, double ofA, double ofB) =>
        sound with
        {
            Readings = sound.Readings with { PressureA = sound.Readings.PressureA * ofA, PressureB = sound.Readings.PressureB * ofB },
        };

    private FaultyShot OnSubstrate(FaultyShot sound, double celsius) =>
        sound with
        {
            Foam = sound.Foam with { Substrate = Temperature.FromCelsius(celsius) },
            Readings = sound.Readings with { Substrate = Read(celsius) },
        };

    private FaultyShot Lift(FaultyShot sound, Length lift) =>
        sound with
        {
            Foam = sound.Foam with { Lift = lift },
            Readings = sound.Readings with { Lift = lift * (1 + Normal(0.05)) },
        };
}
