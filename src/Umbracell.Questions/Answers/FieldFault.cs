using Umbracell.Core.Quantities;

namespace Umbracell.Questions.Answers;

/// <summary>All that can be wrong with a field. The sentence of each is the catalogue's, for screens and programs alike
/// (<c>problem.field</c>).</summary>
public enum FaultCode
{
    /// <summary>Nothing was typed where something is needed.</summary>
    Empty,

    /// <summary>No number.</summary>
    NotANumber,

    /// <summary>A unit that measures something else.</summary>
    WrongUnit,

    /// <summary>Outside of what is allowed.</summary>
    OutOfRange,

    /// <summary>No whole number.</summary>
    NotWhole,

    /// <summary>A defect that nobody repaired since it was found open.</summary>
    NotRepaired,

    /// <summary>A foot or more of inches after the feet.</summary>
    InchesOverAFoot,

    /// <summary>A word, an id or a field that is not known.</summary>
    Unknown,

    /// <summary>Too long.</summary>
    TooLong,

    /// <summary>A character that cannot be kept.</summary>
    Unwritable,

    /// <summary>A size that wants other sides.</summary>
    Parts,

    /// <summary>Openings larger than the surface.</summary>
    OpeningsExceed,

    /// <summary>Drums of no product.</summary>
    NoSheet,

    /// <summary>More than a job holds.</summary>
    TooMany,

    /// <summary>More parts in one text than are read.</summary>
    TooManyParts,

    /// <summary>No day.</summary>
    NotADate,

    /// <summary>No time of day.</summary>
    NotATime,

    /// <summary>A name with signs that part what is written in a line.</summary>
    NotAName,

    /// <summary>Something else still names it.</summary>
    StillUsed,

    /// <summary>A joint that is called ready and not solved.</summary>
    Unsolved,

    /// <summary>A joint that is called seen and not ready.</summary>
    NotReady,

    /// <summary>No point of a fan test.</summary>
    Points,

    /// <summary>Neither twelve values nor one.</summary>
    Months,

    /// <summary>Earlier than what comes before it.</summary>
    TimeOrder,

    /// <summary>No rig is entered.</summary>
    NoRig,

    /// <summary>Another product is on the rig, or nobody has said what is.</summary>
    OtherOnRig,

    /// <summary>Nobody can accept the shot.</summary>
    ShotRefused,

    /// <summary>The rig was changed since the shot.</summary>
    ShotOutdated,

    /// <summary>Nobody has confirmed that people are protected.</summary>
    Unprotected,

    /// <summary>Other steps come before it.</summary>
    StepBlocked,

    /// <summary>A step nobody can skip.</summary>
    StepHardStop,

    /// <summary>A step that others have followed, so that it cannot be taken back.</summary>
    StepFollowed,

    /// <summary>A sequence that was given up.</summary>
    RunGivenUp,

    /// <summary>A sequence that cannot be run, or leaves people or pumps unprotected.</summary>
    UnsafeSequence,

    /// <summary>A time that has not come yet.</summary>
    TimeToCome,

    /// <summary>A lift that ends before it begins.</summary>
    EndsBeforeBegin,

    /// <summary>Excluded by what nobody may override.</summary>
    ExcludedBySheet,

    /// <summary>Excluded by what another role may override.</summary>
    NotYours,

    /// <summary>Summer that is no warmer than winter.</summary>
    NotWarmer,

    /// <summary>Wrong too often of late.</summary>
    TooManyTries,

    /// <summary>Not the person's password.</summary>
    WrongPassword,

    /// <summary>Not the code of this half minute, or one that was used.</summary>
    WrongCode,

    /// <summary>Too short or too long for a password.</summary>
    PasswordLength,

    /// <summary>The password there is: one that somebody else made up does not become one's own by being typed again.</summary>
    SamePassword,

    /// <summary>Somebody else has it.</summary>
    Taken,

    /// <summary>One of the passwords that are guessed first.</summary>
    CommonPassword,

    /// <summary>At odds with what else stands on the same product sheet.</summary>
    Contradicts,
}

/// <summary>What is wrong with one field, for a screen to say in its own language.</summary>
public sealed record FieldFault
{
    /// <summary>Name of the field.</summary>
    public required string Field { get; init; }

    /// <summary>What is wrong.</summary>
    public required FaultCode Code { get; init; }

    /// <summary>What was typed or sent.</summary>
    public required string Typed { get; init; }

    /// <summary>Least value allowed, where there is one.</summary>
    public FigureAnswer? Least { get; init; }

    /// <summary>Greatest value allowed, where there is one.</summary>
    public FigureAnswer? Greatest { get; init; }

    /// <summary>Keys the sentence needs.</summary>
    public IReadOnlyList<string>? Words { get; init; }

    /// <summary>Figures the sentence needs, by name.</summary>
    public IReadOnlyDictionary<string, FigureAnswer>? Figures { get; init; }

    /// <summary>What could be typed instead, where the text fits with another unit.</summary>
    public string? Other { get; init; }

    public static FieldFault Of(string field, TypedQuantity typed) =>
        new()
        {
            Field = field,
            Code = CodeOf(typed.Fault!.Value),
            Typed = typed.Typed,
            Least = FigureAnswer.Of(typed.Allowed.LeastFigure),
            Greatest = FigureAnswer.Of(typed.Allowed.GreatestFigure),
            Other = typed.Doubt?.Other,
        };

    /// <summary>More parts in one text than are read.</summary>
    /// <param name="field">Name of the field.</param>
    /// <param name="most">Parts that are read.</param>
    public static FieldFault TooManyParts(string field, int most) =>
        new()
        {
            Field = field,
            Code = FaultCode.TooManyParts,
            Typed = "",
            Greatest = FigureAnswer.Of(new(most, Dimension.Count)),
        };

    /// <summary>An input of the core outside its range.</summary>
    /// <param name="field">Field it came from.</param>
    /// <param name="e">What the core said.</param>
    public static FieldFault Of(string field, QuantityRangeException e) =>
        new()
        {
            Field = field,
            Code = FaultCode.OutOfRange,
            Typed = QuantityPrinter.PrintAsTyped(e.Value, UnitSystem.Metric),
            Least = FigureAnswer.Of(e.Least.AtLeast),
            Greatest = FigureAnswer.Of(e.Greatest.AtMost),
        };

    private static FaultCode CodeOf(TypingFault fault) =>
        fault switch
        {
            TypingFault.Empty => FaultCode.Empty,
            TypingFault.NotANumber => FaultCode.NotANumber,
            TypingFault.WrongUnit => FaultCode.WrongUnit,
            TypingFault.OutOfRange => FaultCode.OutOfRange,
            TypingFault.NotWhole => FaultCode.NotWhole,
            TypingFault.InchesOverAFoot => FaultCode.InchesOverAFoot,
            _ => throw new ArgumentOutOfRangeException(nameof(fault)),
        };
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

    /// <summary>A day that should be to come is past.</summary>
    /// <param name="field">Name of the field.</param>
    /// <param name="next">The same day of the year, the next time it comes, as people write it.</param>
    public static FieldDoubt Past(string field, string next) => new(field, "past", null, next);

    /// <summary>The doubt about a typed quantity; null where there is none.</summary>
    public static FieldDoubt? Of(string field, TypedQuantity typed) =>
        typed is { Doubt: { } doubt, Figure: { } figure }
            ? new(
                field,
                char.ToLowerInvariant(doubt.Kind.ToString()[0]) + doubt.Kind.ToString()[1..],
                FigureAnswer.AsTyped(figure),
                doubt.Other
            )
            : null;
}

/// <summary>Fields that cannot be taken. Nothing has been written.</summary>
public sealed class FieldFaultsException(IReadOnlyList<FieldFault> faults)
    : Exception(string.Join("; ", faults.Select(f => $"{f.Field}: {f.Code}")))
{
    public IReadOnlyList<FieldFault> Faults { get; } = faults;

    /// <summary>One field that cannot be taken.</summary>
    public static FieldFaultsException Of(string field, FaultCode code, string typed = "") =>
        new([
            new()
            {
                Field = field,
                Code = code,
                Typed = typed,
            },
        ]);
}
