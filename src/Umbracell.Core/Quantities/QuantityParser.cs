using System.Globalization;
using System.Text.RegularExpressions;

namespace Umbracell.Core.Quantities;

/// <summary>Why a typed quantity could not be taken.</summary>
public enum TypingFault
{
    /// <summary>Nothing was typed where something is needed.</summary>
    Empty,

    /// <summary>The text is not a number with a unit.</summary>
    NotANumber,

    /// <summary>The unit exists but measures something else.</summary>
    WrongUnit,

    /// <summary>The value lies outside the range the field allows.</summary>
    OutOfRange,

    /// <summary>Only whole numbers fit here.</summary>
    NotWhole,

    /// <summary>Inches after feet come to a foot or more.</summary>
    InchesOverAFoot,
}

/// <summary>Why a text that was read may have been meant otherwise.</summary>
public enum DoubtKind
{
    /// <summary>Typed without a unit, and more likely meant in another one.</summary>
    Units,

    /// <summary>A comma before three digits, which marks thousands here and decimals there.</summary>
    Comma,

    /// <summary>Allowed, but not what is usually found.</summary>
    Unusual,
}

/// <summary>Another way a typed text may have been meant.</summary>
/// <param name="Kind">Why.</param>
/// <param name="Other">The text to type for the other meaning, or null where there is none.</param>
public sealed record Doubt(DoubtKind Kind, string? Other);

/// <summary>What became of a typed quantity: a figure, or the fault with what the field wanted.</summary>
/// <param name="Typed">The text as typed; never lost.</param>
/// <param name="Figure">The figure in SI, or null.</param>
/// <param name="Fault">The fault, or null.</param>
/// <param name="Allowed">The range the field allows.</param>
/// <param name="Doubt">How else it may have been meant; null where there is no doubt.</param>
public sealed record TypedQuantity(string Typed, Figure? Figure, TypingFault? Fault, FigureRange Allowed, Doubt? Doubt = null);

/// <summary>The range a field allows, bounds included.</summary>
/// <param name="Least">Least value in SI.</param>
/// <param name="Greatest">Greatest value in SI.</param>
/// <param name="Dimension">What the field measures.</param>
public readonly record struct FigureRange(double Least, double Greatest, Dimension Dimension)
{
    /// <summary>What is usually found there, bounds included; null where everything allowed is usual.</summary>
    public (double Least, double Greatest)? Usual { get; init; }

    /// <summary>Least value as it is told: keeping to what is printed keeps to it.</summary>
    public Figure LeastFigure => new Figure(Least, Dimension).AtLeast;

    /// <summary>Greatest value as it is told.</summary>
    public Figure GreatestFigure => new Figure(Greatest, Dimension).AtMost;

    /// <summary>Whether a value lies in the range; false for NaN. A bound written in one unit system and typed in the other must not fail
    /// by the last bit.</summary>
    public bool Holds(double si) => si >= Least - 1e-9 && si <= Greatest + 1e-9;

    /// <summary>Whether a value is what is usually found.</summary>
    public bool IsUsual(double si) => Holds(si) && (Usual is not { } usual || (si >= usual.Least - 1e-9 && si <= usual.Greatest + 1e-9));

    /// <summary>The same range with what is usually found in it.</summary>
    public FigureRange Usually(double least, double greatest) => this with { Usual = (least, greatest) };
}

/// <summary>Reads what people type: <c>5 1/2</c>, <c>5½</c>, <c>5.5"</c>, <c>5.5 in.</c>, <c>140 mm</c>, <c>1 250 mm</c>, <c>7'6</c>,
/// <c>21C</c>, <c>70 F</c>, <c>–5</c>, <c>1,250</c>, <c>5,5 m</c>.</summary>
public static partial class QuantityParser
{
    // Inches after feet run to the next foot.
    private const double InchesOfFoot = 12;

    /// <summary>A term that was read: its number, the unit it came with, and how it was written.</summary>
    private readonly record struct TypedTerm(double Value, Unit? Unit, string Digits, string Written);

    /// <summary>Reads one quantity.</summary>
    /// <param name="text">What was typed.</param>
    /// <param name="allowed">What the field measures and the range it allows.</param>
    /// <param name="system">The system a bare number is read in.</param>
    /// <returns>The figure, or the fault; never an exception.</returns>
    public static TypedQuantity Parse(string? text, FigureRange allowed, UnitSystem system)
    {
        var typed = text ?? "";
        if (string.IsNullOrWhiteSpace(typed))
        {
            return new(typed, null, TypingFault.Empty, allowed);
        }

        var (value, fault, term) = Read(Plain(typed), allowed.Dimension, system);
        return fault is not null ? new(typed, null, fault, allowed) : Weighed(typed, value, term, allowed, system);
    }

    // Signs and fractions as other keyboards and programs write them; figure spaces are spaces.
    private static string Plain(string typed)
    {
        var text = typed.Trim().ToLowerInvariant().Replace('\u2044', '/');
        text = Fractions.Aggregate(text, (plain, fraction) => plain.Replace(fraction.Sign, " " + fraction.Text, StringComparison.Ordinal));
        return OtherSpaces().Replace(text, " ").Trim();
    }

    private static readonly (string Sign, string Text)[] Fractions =
    [
        ("½", "1/2"),
        ("¼", "1/4"),
        ("¾", "3/4"),
        ("⅛", "1/8"),
        ("⅜", "3/8"),
        ("⅝", "5/8"),
        ("⅞", "7/8"),
        ("⅓", "1/3"),
        ("⅔", "2/3"),
    ];

    // Which of the ways it can be meant is taken, and whether another is worth a question.
    private static TypedQuantity Weighed(string typed, double value, TypedTerm? term, FigureRange allowed, UnitSystem system)
    {
        if (allowed.Dimension == Dimension.Count && Math.Abs(value - Math.Round(value)) > 1e-9)
        {
            return new(typed, null, TypingFault.NotWhole, allowed);
        }

        var comma =
            system == UnitSystem.Metric && term is { } written && Thousands().IsMatch(written.Digits)
                ? Decimal(written, allowed.Dimension, system)
                : null;
        if (comma is { } asDecimal && allowed.Holds(asDecimal.Value))
        {
            var decimalRules = !allowed.Holds(value) || (!allowed.IsUsual(value) && allowed.IsUsual(asDecimal.Value));
            return decimalRules
                ? Taken(
                    asDecimal.Value,
                    new(DoubtKind.Comma, allowed.Holds(value) ? typed.Replace(",", "", StringComparison.Ordinal) : null)
                )
                : Taken(value, new(DoubtKind.Comma, asDecimal.Text));
        }

        var other = term is { Unit: null } bare ? OtherUnit(bare, value, allowed, system) : null;
        return !allowed.Holds(value) ? new(typed, null, TypingFault.OutOfRange, allowed, other is null ? null : new(DoubtKind.Units, other))
            : other is not null ? Taken(value, new(DoubtKind.Units, other))
            : allowed.IsUsual(value) ? Taken(value, null)
            : Taken(value, new(DoubtKind.Unusual, null));

        TypedQuantity Taken(double si, Doubt? doubt) => new(typed, new Figure(si, allowed.Dimension), null, allowed, doubt);
    }

    private static (double Value, string Text)? Decimal(TypedTerm term, Dimension dimension, UnitSystem system)
    {
        var digits = term.Digits.Replace(',', '.');
        return
            digits.Count(c => c == '.') == 1
            && double.TryParse(digits, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var value)
            ? (
                (term.Unit ?? Units.Of(dimension, system)).ToSi(value),
                term.Written.Replace(term.Digits, digits, StringComparison.Ordinal) + (term.Unit is { } unit ? " " + unit.Symbol : "")
            )
            : null;
    }

    // A bare number that is unusual here and usual in another unit; a fraction from a metric reader is in inches or feet whatever it
    // comes to.
    private static string? OtherUnit(TypedTerm term, double value, FigureRange allowed, UnitSystem system)
    {
        var fraction = system == UnitSystem.Metric && term.Written.Contains('/', StringComparison.Ordinal);
        var unit = Units
            .Others(allowed.Dimension, system)
            .FirstOrDefault(one => fraction ? allowed.Holds(one.ToSi(term.Value)) : allowed.IsUsual(one.ToSi(term.Value)));
        return unit is not null && (fraction || !allowed.IsUsual(value)) ? $"{term.Written} {unit.Symbol}" : null;
    }

    private static (double Value, TypingFault? Fault, TypedTerm? Term) Read(string text, Dimension dimension, UnitSystem system)
    {
        if (dimension == Dimension.Pitch)
        {
            var (pitch, wrong) = ReadPitch(text);
            return (pitch, wrong, null);
        }

        // As the trade writes them, and as they are printed: R-21, R 21, U-0.045.
        if (dimension is Dimension.Resistance or Dimension.Transmittance)
        {
            text = LetterBefore().Replace(text, "");
        }

        if (dimension is Dimension.Money or Dimension.MoneyPerArea or Dimension.MoneyPerBoard)
        {
            text = dimension == Dimension.Money ? PlainMoney(text) : MoneySign().Replace(text, "");
        }

        if (!TryTakeTerm(text, dimension, out var first, out var rest))
        {
            return (0, TypingFault.NotANumber, null);
        }

        if (first.Unit is { } unit && !unit.Fits.Contains(dimension))
        {
            return (0, TypingFault.WrongUnit, null);
        }

        var si = (first.Unit ?? Units.Of(dimension, system)).ToSi(first.Value);
        if (rest.Length == 0)
        {
            return (si, null, first);
        }

        var (both, fault) =
            dimension == Dimension.Duration
                ? ReadMinutesAfterHours(first, rest, si, dimension)
                : ReadInchesAfterFeet(first, rest, si, dimension);
        return (both, fault, null);
    }

    // Money comes with its sign and in the habit of the country: $2,680.50 or 2.680,50 €. Of two kinds of mark the last one parts the
    // cents.
    private static string PlainMoney(string text)
    {
        var bare = MoneySign().Replace(text, "");
        var (comma, dot) = (bare.LastIndexOf(','), bare.LastIndexOf('.'));
        if (comma >= 0 && dot >= 0)
        {
            return comma > dot
                ? bare.Replace(".", "", StringComparison.Ordinal).Replace(',', '.')
                : bare.Replace(",", "", StringComparison.Ordinal);
        }

        return dot != bare.IndexOf('.') ? bare.Replace(".", "", StringComparison.Ordinal) : bare;
    }

    // "1 h 30", as hours are printed, and "1 h 30 min".
    private static (double Value, TypingFault? Fault) ReadMinutesAfterHours(TypedTerm hours, string rest, double si, Dimension dimension) =>
        hours.Unit == Units.Hour
        && TryTakeTerm(rest, dimension, out var minutes, out var left)
        && left.Length == 0
        && (minutes.Unit ?? Units.Minute) == Units.Minute
        && minutes.Value is >= 0 and < 60
            ? (si + Units.Minute.ToSi(minutes.Value), null)
            : (0, TypingFault.NotANumber);

    private static (double Value, TypingFault? Fault) ReadInchesAfterFeet(TypedTerm feet, string rest, double si, Dimension dimension)
    {
        if (
            feet.Unit != Units.Foot
            || !TryTakeTerm(rest.TrimStart('-', '–', ' '), dimension, out var inches, out var left)
            || left.Length > 0
        )
        {
            return (0, feet.Unit is null && LooksLikeUnit().IsMatch(rest) ? TypingFault.WrongUnit : TypingFault.NotANumber);
        }

        return inches.Unit is not null && inches.Unit != Units.Inch ? (0, TypingFault.WrongUnit)
            : inches.Value is < 0 or >= InchesOfFoot ? (0, TypingFault.InchesOverAFoot)
            : (si + Math.CopySign(Units.Inch.ToSi(inches.Value), feet.Value), null);
    }

    private static bool TryTakeTerm(string text, Dimension dimension, out TypedTerm term, out string rest)
    {
        term = default;
        rest = "";
        var match = Term().Match(text);
        if (!match.Success || !TryNumber(match, out var value))
        {
            return false;
        }

        rest = text[match.Length..].TrimStart();
        term = new(value, TakeUnit(ref rest, dimension), match.Groups["whole"].Value, match.Value.Trim());
        return true;
    }

    private static Unit? TakeUnit(ref string rest, Dimension dimension)
    {
        Unit? found = null;
        var length = 0;
        foreach (var (spelling, unit) in Units.BySpelling)
        {
            var better = found is null || (spelling.Length == length && !found.Fits.Contains(dimension) && unit.Fits.Contains(dimension));
            if (spelling.Length >= length && better && rest.StartsWith(spelling, StringComparison.Ordinal) && EndsWord(rest, spelling))
            {
                (found, length) = (unit, spelling.Length);
            }
        }

        // "in." and "ft." are cut short with a point.
        rest =
            length > 0 && char.IsLetter(rest[length - 1]) && rest.Length > length && rest[length] == '.'
                ? rest[(length + 1)..]
                : rest[length..];
        rest = rest.TrimStart();
        return found;
    }

    // "m" must not match in "mph", nor "f" in "ft"; a quote mark may be followed by a digit.
    private static bool EndsWord(string text, string spelling) =>
        text.Length == spelling.Length || !char.IsLetter(spelling[^1]) || !char.IsLetter(text[spelling.Length]);

    private static bool TryNumber(Match match, out double value)
    {
        value = 0;
        if (match.Groups["whole"].Success && !TryDecimal(match.Groups["whole"].Value, out value))
        {
            return false;
        }

        if (match.Groups["over"].Success)
        {
            var under = double.Parse(match.Groups["under"].Value, CultureInfo.InvariantCulture);
            if (under == 0)
            {
                return false;
            }

            value += double.Parse(match.Groups["over"].Value, CultureInfo.InvariantCulture) / under;
        }

        value = match.Groups["sign"].Value is "" or "+" ? value : -value;
        return double.IsFinite(value);
    }

    // "1,250", "12,500.5" and "1 250" carry thousands marks; "5,5" is a decimal comma.
    private static bool TryDecimal(string digits, out double value)
    {
        digits = digits.Replace(" ", "", StringComparison.Ordinal);
        var plain = Thousands().IsMatch(digits) ? digits.Replace(",", "", StringComparison.Ordinal) : digits.Replace(',', '.');
        return double.TryParse(plain, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out value);
    }

    // "9:12", "9/12", "9 in 12", "37°", "37 deg"; a bare number is the rise in 12.
    private static (double Value, TypingFault? Fault) ReadPitch(string text)
    {
        var match = PitchText().Match(text);
        if (!match.Success || !TryDecimal(match.Groups["rise"].Value, out var rise))
        {
            return (0, TypingFault.NotANumber);
        }

        if (match.Groups["deg"].Success)
        {
            return rise < 90 ? (Math.Tan(rise * Math.PI / 180), null) : (double.PositiveInfinity, null);
        }

        var run = match.Groups["run"].Success ? double.Parse(match.Groups["run"].Value, CultureInfo.InvariantCulture) : 12;
        return run > 0 ? (rise / run, null) : (0, TypingFault.NotANumber);
    }

    [GeneratedRegex(
        @"^(?<sign>[-−–—‐‑+])?\s*(?:(?<whole>\d{1,3}(?: \d{3})+(?![\d/])(?:[.,]\d+)?|(?>\d[\d,]*)(?:\.\d+)?|\.\d+)"
            + @"(?:[\s\-–]+(?<over>\d+)\s*/\s*(?<under>\d+))?(?!\s*/\s*\d)|(?<over>\d+)\s*/\s*(?<under>\d+))"
    )]
    private static partial Regex Term();

    [GeneratedRegex(@"^[ru][-\s]*(?=[\d.])")]
    private static partial Regex LetterBefore();

    [GeneratedRegex(@"^\d{1,3}(,\d{3})+(\.\d+)?$")]
    private static partial Regex Thousands();

    [GeneratedRegex(@"^[a-z°²³%/·]+\d?$")]
    private static partial Regex LooksLikeUnit();

    [GeneratedRegex(@"[\u00A0\u2007\u2009\u202F\u2002\u2003]|\s{2,}")]
    private static partial Regex OtherSpaces();

    [GeneratedRegex(@"^(?:\p{L}{0,3}\p{Sc}|\p{L}{1,3}\.?)\s*(?=[-\d.])|\s*\p{Sc}$")]
    private static partial Regex MoneySign();

    [GeneratedRegex(@"^(?<rise>\d+(?:[.,]\d+)?)\s*(?:(?<deg>°|deg|degrees)|(?:[:/]|in)\s*(?<run>\d+(?:\.\d+)?))?$")]
    private static partial Regex PitchText();
}
