using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Rigs.Shots;

/// <summary>A sign of a shot: what it is of, and which of its values it has.</summary>
/// <param name="Of">Name in the tables of likelihoods.</param>
/// <param name="Value">Number of its value, from 0.</param>
internal readonly record struct ShotSign(string Of, int Value);

/// <summary>What is seen and read of a shot, sorted into the few values likelihoods are told for.</summary>
internal static class ShotSigns
{
    /// <summary>How many values each sign has.</summary>
    public static IReadOnlyDictionary<string, int> Values { get; } =
        new Dictionary<string, int>
        {
            ["cream"] = 5,
            ["tackFree"] = 5,
            ["density"] = 5,
            ["rise"] = 3,
            ["skin"] = 3,
            ["cells"] = 4,
            ["colour"] = 4,
            ["feel"] = 5,
            ["adhesion"] = 3,
            ["layers"] = 2,
            ["pooling"] = 2,
            ["shrinks"] = 2,
            ["blowholes"] = 2,
            ["scorch"] = 2,
            ["drums"] = 3,
            ["primaries"] = 3,
            ["hose"] = 3,
            ["pressureApart"] = 3,
            ["pressure"] = 3,
            ["substrate"] = 3,
            ["lift"] = 3,
            ["sinceMixed"] = 2,
        };

    /// <summary>The signs of a shot; what was neither seen nor read is none.</summary>
    public static IEnumerable<ShotSign> Of(ProductSheet sheet, ShotReadings read, ShotSeen seen)
    {
        var expected = ExpectedOf(sheet, read);
        return Seen(sheet, expected, seen).Concat(Read(sheet, read));
    }

    /// <summary>Times expected with what was read; what was not is as the sheet has it.</summary>
    public static ExpectedShot ExpectedOf(ProductSheet sheet, ShotReadings read) =>
        ExpectedShot.Of(
            sheet,
            read.Hose ?? Mean(read.PrimaryA, read.PrimaryB) ?? sheet.SetPoints.Hose,
            read.Substrate ?? sheet.Reaction.Substrate,
            read.Lift is { Metres: > 1e-4 } lift ? lift : sheet.ReferenceLift
        );

    private static IEnumerable<ShotSign> Seen(ProductSheet sheet, ExpectedShot expected, ShotSeen seen)
    {
        if (seen.Cream is { } cream)
        {
            yield return new("cream", Slow(cream / expected.Cream));
        }

        if (seen.TackFree is { } free)
        {
            yield return new("tackFree", Slow(free / expected.TackFree));
        }

        if (seen.Sample is { } sample)
        {
            yield return new("density", Heavy(sample.KilogramsPerCubicMetre / sheet.CoreDensity.KilogramsPerCubicMetre));
        }

        (string Of, int? Value)[] looks =
        [
            ("rise", (int?)seen.Rise),
            ("skin", (int?)seen.Skin),
            ("cells", (int?)seen.Cells),
            ("colour", (int?)seen.Colour),
            ("feel", (int?)seen.Feel),
            ("adhesion", (int?)seen.Adhesion),
            ("layers", Yes(seen.LayersPart)),
            ("pooling", Yes(seen.Pooling)),
            ("shrinks", Yes(seen.Shrinks)),
            ("blowholes", Yes(seen.Blowholes)),
            ("scorch", Yes(seen.Scorch)),
        ];
        foreach (var (of, value) in looks)
        {
            if (value is { } known)
            {
                yield return new(of, known);
            }
        }
    }

    private static IEnumerable<ShotSign> Read(ProductSheet sheet, ShotReadings read)
    {
        (string Of, int? Value)[] readings =
        [
            ("drums", Coldest(read.DrumA, read.DrumB) is { } drum ? Inside(drum, sheet.Drums, 1) : null),
            ("primaries", Mean(read.PrimaryA, read.PrimaryB) is { } primaries ? Off(primaries, sheet.SetPoints.Primaries) : null),
            ("hose", read.Hose is { } hose ? Off(hose, sheet.SetPoints.Hose) : null),
            ("pressureApart", ApartOf(read) is { } apart ? Third(apart, 0.10, 0.20) : null),
            ("pressure", Mean(read.PressureA, read.PressureB) is { } level ? Level(level / sheet.SetPoints.Pressure) : null),
            ("substrate", read.Substrate is { } substrate ? Inside(substrate, sheet.Substrate, 1) : null),
            (
                "lift",
                read.Lift is { } lift
                    ? lift < sheet.LeastLift * 0.9
                        ? 0
                        : lift > sheet.GreatestLift * 1.15
                            ? 2
                            : 1
                    : null
            ),
            ("sinceMixed", read.SinceMixed is { } since ? (since > TimeSpan.FromHours(12) ? 1 : 0) : null),
        ];
        foreach (var (of, value) in readings)
        {
            if (value is { } known)
            {
                yield return new(of, known);
            }
        }
    }

    /// <summary>How far the pressures of the sides are apart, as a part of the greater; null where not both were read.</summary>
    public static double? ApartOf(ShotReadings read) =>
        read is { PressureA: > 0 and var a, PressureB: > 0 and var b } ? Math.Abs(a - b) / Math.Max(a, b) : null;

    private static int Slow(double ratio) =>
        ratio < 0.7 ? 0
        : ratio < 0.82 ? 1
        : ratio < 1.25 ? 2
        : ratio < 1.65 ? 3
        : 4;

    private static int Heavy(double ratio) =>
        ratio < 0.75 ? 0
        : ratio < 0.9 ? 1
        : ratio <= 1.1 ? 2
        : ratio < 1.35 ? 3
        : 4;

    private static int Third(double value, double low, double high) =>
        value < low ? 0
        : value < high ? 1
        : 2;

    private static int Level(double ratio) =>
        ratio < 0.9 ? 0
        : ratio > 1.1 ? 2
        : 1;

    private static int Inside(Temperature read, TemperatureWindow window, double slack) =>
        read.Celsius < window.Least.Celsius - slack ? 0
        : read.Celsius > window.Greatest.Celsius + slack ? 2
        : 1;

    private static int Off(Temperature read, Temperature set) =>
        (read - set).Kelvins switch
        {
            < -4 => 0,
            > 4 => 2,
            _ => 1,
        };

    private static int? Yes(bool? seen) => seen is { } known ? (known ? 1 : 0) : null;

    private static Temperature? Coldest(Temperature? one, Temperature? other) =>
        one is { } a && other is { } b ? (a < b ? a : b) : one ?? other;

    private static Temperature? Mean(Temperature? one, Temperature? other) =>
        one is { } a && other is { } b ? Temperature.FromCelsius((a.Celsius + b.Celsius) / 2) : one ?? other;

    private static double? Mean(double? one, double? other) => one is { } a && other is { } b ? (a + b) / 2 : one ?? other;
}
