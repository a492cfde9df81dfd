using Umbracell.Core.Quantities;

namespace Umbracell.Questions.Answers;

/// <summary>What is wrong with one field, for a screen to say in its own language.</summary>
/// <param name="Field">Name of the field.</param>
/// <param name="Code">What is wrong: empty, notANumber, wrongUnit, outOfRange, unknown, tooLong, parts, openingsExceed, notADate, months, unsolved, notReady.</param>
/// <param name="Typed">What was typed or sent.</param>
/// <param name="Least">Least value allowed, where there is one.</param>
/// <param name="Greatest">Greatest value allowed, where there is one.</param>
/// <param name="Words">Keys the sentence needs.</param>
public sealed record FieldFault(string Field, string Code, string Typed, FigureAnswer? Least = null, FigureAnswer? Greatest = null, IReadOnlyList<string>? Words = null)
{
    public static FieldFault Of(string field, TypedQuantity typed) => new(
        field,
        char.ToLowerInvariant(typed.Fault!.Value.ToString()[0]) + typed.Fault.Value.ToString()[1..],
        typed.Typed,
        FigureAnswer.Of(new(typed.Allowed.Least, typed.Allowed.Dimension)),
        FigureAnswer.Of(new(typed.Allowed.Greatest, typed.Allowed.Dimension)));

    /// <summary>An English sentence for programs that ask the API.</summary>
    public string Sentence => Code switch
    {
        "empty" => $"{Field} is empty. {Range}",
        "notANumber" => $"{Field}: '{Clip(Typed)}' is not a number. {Range}",
        "wrongUnit" => $"{Field}: the unit in '{Clip(Typed)}' does not fit here. {Range}",
        "outOfRange" => $"{Field}: {Clip(Typed)} is out of range. {Range}",
        "unknown" => $"{Field}: '{Clip(Typed)}' is not known.",
        "tooLong" => $"{Field} is too long.",
        "parts" => $"{Field}: '{Clip(Typed)}' wants {string.Join(" x ", Words ?? [])}.",
        "months" => $"{Field}: twelve values are wanted, January first.",
        "notWarmer" => $"{Field}: summer design must be warmer than winter design.",
        "notADate" => $"{Field}: '{Clip(Typed)}' is not a day written as 2026-11-23.",
        "unsolved" => $"{Field}: layers are still open, or how and by whom is not decided.",
        "notReady" => $"{Field}: the joint is not ready.",
        "openingsExceed" => $"{Field}: the openings are larger than the surface.",
        _ => $"{Field}: {Code}.",
    };

    private string Range => Least is null || Greatest is null ? "" : $"It must be from {Least.Metric} to {Greatest.Metric} ({Least.Us} to {Greatest.Us}).";

    private static string Clip(string text) => text.Length <= 60 ? text : text[..60] + "…";
}

/// <summary>Fields that cannot be taken. Nothing has been written.</summary>
public sealed class FieldFaultsException(IReadOnlyList<FieldFault> faults) : Exception(string.Join(" ", faults.Select(f => f.Sentence)))
{
    public IReadOnlyList<FieldFault> Faults { get; } = faults;
}
