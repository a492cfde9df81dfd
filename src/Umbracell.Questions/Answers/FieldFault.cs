using Umbracell.Core.Quantities;

namespace Umbracell.Questions.Answers;

/// <summary>What is wrong with one field, for a screen to say in its own language.</summary>
/// <param name="Field">Name of the field.</param>
/// <param name="Code">What is wrong: empty, notANumber, wrongUnit, outOfRange, notWhole, inchesOverAFoot, unknown, tooLong, parts,
/// openingsExceed, notADate, months, unsolved, notReady.</param>
/// <param name="Typed">What was typed or sent.</param>
/// <param name="Least">Least value allowed, where there is one.</param>
/// <param name="Greatest">Greatest value allowed, where there is one.</param>
/// <param name="Words">Keys the sentence needs.</param>
/// <param name="Other">What could be typed instead, where the text fits with another unit.</param>
public sealed record FieldFault(
    string Field,
    string Code,
    string Typed,
    FigureAnswer? Least = null,
    FigureAnswer? Greatest = null,
    IReadOnlyList<string>? Words = null,
    string? Other = null
)
{
    public static FieldFault Of(string field, TypedQuantity typed) =>
        new(
            field,
            char.ToLowerInvariant(typed.Fault!.Value.ToString()[0]) + typed.Fault.Value.ToString()[1..],
            typed.Typed,
            FigureAnswer.Of(typed.Allowed.LeastFigure),
            FigureAnswer.Of(typed.Allowed.GreatestFigure),
            Other: typed.Doubt?.Other
        );

    /// <summary>An input of the core outside its range.</summary>
    /// <param name="field">Field it came from.</param>
    /// <param name="e">What the core said.</param>
    public static FieldFault Of(string field, QuantityRangeException e) =>
        new(
            field,
            "outOfRange",
            QuantityPrinter.PrintAsTyped(e.Value, UnitSystem.Metric),
            FigureAnswer.Of(e.Least.AtLeast),
            FigureAnswer.Of(e.Greatest.AtMost)
        );

    /// <summary>An English sentence for programs that ask the API.</summary>
    public string Sentence =>
        Code switch
        {
            "empty" => $"{Field} is empty. {Range}",
            "notANumber" => $"{Field}: '{Clip(Typed)}' is not a number. {Range}",
            "wrongUnit" => $"{Field}: the unit in '{Clip(Typed)}' does not fit here. {Range}",
            "outOfRange" => $"{Field}: {Clip(Typed)} is out of range. {Range}{(Other is null ? "" : $" Perhaps {Other}?")}",
            "notWhole" => $"{Field}: '{Clip(Typed)}' is not a whole number.",
            "inchesOverAFoot" => $"{Field}: '{Clip(Typed)}' has a foot or more of inches after the feet.",
            "unknown" => $"{Field}: '{Clip(Typed)}' is not known.",
            "tooLong" => $"{Field} is too long.",
            "parts" => $"{Field}: '{Clip(Typed)}' wants {string.Join(" x ", Words ?? [])}.",
            "months" => $"{Field}: twelve values are wanted, January first.",
            "notWarmer" => $"{Field}: summer design must be warmer than winter design.",
            "notADate" => $"{Field}: '{Clip(Typed)}' is not a day such as 2026-11-23.",
            "unsolved" => $"{Field}: layers are still open, or how and by whom is not decided.",
            "notReady" => $"{Field}: the joint is not ready.",
            "openingsExceed" => $"{Field}: the openings are larger than the surface.",
            _ => $"{Field}: {Code}.",
        };

    private string Range =>
        Least is null || Greatest is null ? "" : $"It must be from {Least.Metric} to {Greatest.Metric} ({Least.Us} to {Greatest.Us}).";

    private static string Clip(string text) => text.Length <= 60 ? text : text[..60] + "…";
}

/// <summary>A field that was taken and may have been meant otherwise; the screen marks it.</summary>
/// <param name="Field">Name of the field.</param>
/// <param name="Code">units, comma, unusual, or what an endpoint found, such as sameName.</param>
/// <param name="ReadAs">How it was read; null where it is no figure.</param>
/// <param name="Other">What to type for the other meaning; null where there is none.</param>
public sealed record FieldDoubt(string Field, string Code, FigureAnswer? ReadAs, string? Other)
{
    /// <summary>Another surface of the job has the name that was given.</summary>
    public static FieldDoubt SameName { get; } = new("name", "sameName", null, null);

    /// <summary>The doubt about a typed quantity; null where there is none.</summary>
    public static FieldDoubt? Of(string field, TypedQuantity typed) =>
        typed is { Doubt: { } doubt, Figure: { } figure }
            ? new(
                field,
                char.ToLowerInvariant(doubt.Kind.ToString()[0]) + doubt.Kind.ToString()[1..],
                new FigureAnswer(
                    figure.Amount,
                    QuantityPrinter.PrintAsTyped(figure, UnitSystem.Us),
                    QuantityPrinter.PrintAsTyped(figure, UnitSystem.Metric)
                ),
                doubt.Other
            )
            : null;
}

/// <summary>Fields that cannot be taken. Nothing has been written.</summary>
public sealed class FieldFaultsException(IReadOnlyList<FieldFault> faults) : Exception(string.Join(" ", faults.Select(f => f.Sentence)))
{
    public IReadOnlyList<FieldFault> Faults { get; } = faults;
}
