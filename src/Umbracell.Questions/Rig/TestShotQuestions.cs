using Umbracell.Core.Quantities;
using Umbracell.Core.Rigs.Shots;
using Umbracell.Documents;

namespace Umbracell.Questions.Rig;

/// <summary>Puts a test shot to the core.</summary>
public static class TestShotQuestions
{
    private const double LongestSeconds = 600;

    /// <summary>Answers a question.</summary>
    /// <exception cref="QuantityRangeException">A figure out of range, or times in the wrong order.</exception>
    public static TestShotAnswer Answer(TestShotQuestion question, Supplies supplies)
    {
        var told = ShotDiagnosis.Of(
            supplies.SheetAtTheGate(question.SheetId),
            Readings(question),
            Seen(question.Seen),
            question.Done.ToHashSet()
        );
        return new()
        {
            Expected = new(told.Expected.Cream.TotalSeconds, told.Expected.TackFree.TotalSeconds, told.Expected.Mix.Celsius),
            Causes = [.. told.Causes.Select(one => new LikelyCauseAnswer(one.Cause, one.Chance, one.Step))],
            NextStep = told.NextStep?.Step,
            Acceptable = told.IsAcceptable,
            Findings = told.Refusals,
        };
    }

    private static ShotReadings Readings(TestShotQuestion of) =>
        new()
        {
            Substrate = Celsius(of.SubstrateTempC),
            DrumA = Celsius(of.DrumATempC),
            DrumB = Celsius(of.DrumBTempC),
            PrimaryA = Celsius(of.PrimaryATempC),
            PrimaryB = Celsius(of.PrimaryBTempC),
            Hose = Celsius(of.HoseTempC),
            PressureA = of.PressureAMpa * 1e6,
            PressureB = of.PressureBMpa * 1e6,
            SinceMixed = of.HoursSinceMixed is { } hours ? TimeSpan.FromHours(hours) : null,
            Lift = of.LiftMm is { } mm ? Length.FromMillimetres(mm) : null,
        };

    private static ShotSeen Seen(ShotSeenDocument of)
    {
        // Foam creams, rises and is free of tack in this order: what says otherwise was timed wrong.
        var (least, last) = (0.05, LongestSeconds);
        foreach (var (name, seconds) in new[] { ("cream time", of.CreamS), ("rise time", of.RiseS), ("tack-free time", of.TackFreeS) })
        {
            least = seconds is { } timed ? QuantityRangeException.Within(name, timed, least, last, Dimension.ReactionTime) : least;
        }

        return new()
        {
            Cream = Seconds(of.CreamS),
            RiseTime = Seconds(of.RiseS),
            TackFree = Seconds(of.TackFreeS),
            Rise = of.Rise,
            Skin = of.Skin,
            Cells = of.Cells,
            Colour = of.Colour,
            Feel = of.Feel,
            Adhesion = of.Adhesion,
            LayersPart = of.Layers is { } layers ? layers == ShotLayers.Part : null,
            Pooling = of.Pooling,
            Shrinks = of.Shrinks,
            Blowholes = of.Blowholes,
            Scorch = of.Scorch,
            Sample = of.SampleDensityKgM3 is { } density ? Density.FromKilogramsPerCubicMetre(density) : null,
        };
    }

    private static Temperature? Celsius(double? celsius) => celsius is { } read ? Temperature.FromCelsius(read) : null;

    private static TimeSpan? Seconds(double? seconds) => seconds is { } timed ? TimeSpan.FromSeconds(timed) : null;
}
