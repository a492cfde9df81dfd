using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Conditions;

/// <summary>One instrument's reading, as it is held against another's.</summary>
public sealed record MeterReading
{
    /// <summary>What was read, such as <c>woodMoisture</c>.</summary>
    public required string What { get; init; }

    /// <summary>The value.</summary>
    public required Figure Value { get; init; }

    /// <summary>The instrument's stated error, 0 or more: a difference of what it reads.</summary>
    public required Figure StatedError { get; init; }

    /// <summary>With what.</summary>
    public required string Instrument { get; init; }

    /// <summary>When.</summary>
    public required DateTimeOffset At { get; init; }

    /// <summary>Where on the surface; empty where not said.</summary>
    public string Place { get; init; } = "";
}

/// <summary>Two meters that disagree by more than their stated errors: one of them is wrong, and so may be the decision.</summary>
public static class MeterAgreement
{
    /// <summary>Readings further apart in time are not of the same thing.</summary>
    private static readonly TimeSpan SameTime = TimeSpan.FromMinutes(30);

    /// <summary>Pairs of readings of one thing at one place and time by different instruments that disagree, widest first.</summary>
    public static IReadOnlyList<Finding> Check(IReadOnlyList<MeterReading> readings) =>
        [
            .. readings
                .SelectMany((a, i) => readings.Skip(i + 1).Select(b => (a, b)))
                .Where(pair => Comparable(pair.a, pair.b) && Apart(pair.a, pair.b) > BothErrors(pair.a, pair.b) + 1e-9)
                .OrderByDescending(pair => Apart(pair.a, pair.b))
                .Select(pair => Disagree(pair.a, pair.b)),
        ];

    private static bool Comparable(MeterReading a, MeterReading b) =>
        a.What == b.What && a.Instrument != b.Instrument && a.Place == b.Place && (a.At - b.At).Duration() <= SameTime;

    private static double Apart(MeterReading a, MeterReading b) => Math.Abs(a.Value.Amount - b.Value.Amount);

    private static double BothErrors(MeterReading a, MeterReading b) => a.StatedError.Amount + b.StatedError.Amount;

    private static Finding Disagree(MeterReading a, MeterReading b)
    {
        var difference = a.StatedError.Dimension;
        return new(GateRules.Meters, "disagree", Verdict.Care, Citations.TwoMeters)
        {
            Measured = new(Apart(a, b), difference),
            Limit = new(BothErrors(a, b), difference),
            Margin = new(BothErrors(a, b) - Apart(a, b), difference),
            Figures = new Dictionary<string, Figure> { ["first"] = a.Value, ["second"] = b.Value },
            Words = new Dictionary<string, Said> { ["firstInstrument"] = a.Instrument, ["secondInstrument"] = b.Instrument },
        };
    }
}
