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
}

/// <summary>What became of a typed quantity: a figure, or the fault with what the field wanted.</summary>
/// <param name="Typed">The text as typed; never lost.</param>
/// <param name="Figure">The figure in SI, or null.</param>
/// <param name="Fault">The fault, or null.</param>
/// <param name="Allowed">The range the field allows.</param>
public sealed record TypedQuantity(string Typed, Figure? Figure, TypingFault? Fault, FigureRange Allowed);

/// <summary>The range a field allows, bounds included.</summary>
/// <param name="Least">Least value in SI.</param>
/// <param name="Greatest">Greatest value in SI.</param>
/// <param name="Dimension">What the field measures.</param>
public readonly record struct FigureRange(double Least, double Greatest, Dimension Dimension)
{
    /// <summary>Whether a value lies in the range; false for NaN.</summary>
    public bool Holds(double si) => si >= Least && si <= Greatest;
}

/// <summary>Reads what people type: <c>5 1/2</c>, <c>5.5"</c>, <c>140 mm</c>, <c>7'6</c>, <c>21C</c>, <c>70 F</c>, <c>1,250</c>, <c>5,5 m</c>.</summary>
public static partial class QuantityParser
{
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

        var (value, fault) = Read(typed.Trim().ToLowerInvariant(), allowed.Dimension, system);
        if (fault is not null)
        {
            return new(typed, null, fault, allowed);
        }

        return Reaches(allowed, value)
            ? new(typed, new Figure(value, allowed.Dimension), null, allowed)
            : new(typed, null, TypingFault.OutOfRange, allowed);
    }

    // A bound written in one unit system and typed in the other must not fail by the last bit.
    private static bool Reaches(FigureRange allowed, double value) =>
        allowed.Holds(value) || (double.IsFinite(value) && (Math.Abs(value - allowed.Least) < 1e-9 || Math.Abs(value - allowed.Greatest) < 1e-9));

    private static (double Value, TypingFault? Fault) Read(string text, Dimension dimension, UnitSystem system)
    {
        if (dimension == Dimension.Pitch)
        {
            return ReadPitch(text);
        }

        if (dimension == Dimension.Money)
        {
            text = PlainMoney(text);
        }

        if (!TryTakeTerm(text, dimension, out var first, out var rest))
        {
            return (0, TypingFault.NotANumber);
        }

        if (first.Unit is { } unit && !unit.Fits.Contains(dimension))
        {
            return (0, TypingFault.WrongUnit);
        }

        var si = (first.Unit ?? Units.Of(dimension, system)).ToSi(first.Value);
        return rest.Length == 0 ? (si, null) : ReadInchesAfterFeet(first, rest, si, dimension);
    }

    // Money comes with its sign and in the habit of the country: $2,680.50 or 2.680,50 €. Of two kinds of mark the last one parts the cents.
    private static string PlainMoney(string text)
    {
        var bare = MoneySign().Replace(text, "");
        var (comma, dot) = (bare.LastIndexOf(','), bare.LastIndexOf('.'));
        if (comma >= 0 && dot >= 0)
        {
            return comma > dot ? bare.Replace(".", "", StringComparison.Ordinal).Replace(',', '.') : bare.Replace(",", "", StringComparison.Ordinal);
        }

        return dot != bare.IndexOf('.') ? bare.Replace(".", "", StringComparison.Ordinal) : bare;
    }

    private static (double Value, TypingFault? Fault) ReadInchesAfterFeet((double Value, Unit? Unit) feet, string rest, double si, Dimension dimension)
    {
        if (feet.Unit != Units.Foot || !TryTakeTerm(rest.TrimStart('-', ' '), dimension, out var inches, out var left) || left.Length > 0)
        {
            return (0, feet.Unit is null && LooksLikeUnit().IsMatch(rest) ? TypingFault.WrongUnit : TypingFault.NotANumber);
        }

        return inches.Unit is null || inches.Unit == Units.Inch
            ? (si + Math.CopySign(Units.Inch.ToSi(inches.Value), feet.Value), null)
            : (0, TypingFault.WrongUnit);
    }

    private static bool TryTakeTerm(string text, Dimension dimension, out (double Value, Unit? Unit) term, out string rest)
    {
        term = default;
        rest = "";
        var match = Term().Match(text);
        if (!match.Success || !TryNumber(match, out var value))
        {
            return false;
        }

        rest = text[match.Length..].TrimStart();
        var unit = TakeUnit(ref rest, dimension);
        term = (value, unit);
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

        rest = rest[length..].TrimStart();
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

        value = match.Groups["sign"].Value is "-" or "−" ? -value : value;
        return double.IsFinite(value);
    }

    // "1,250" and "12,500.5" carry thousands marks; "5,5" is a decimal comma.
    private static bool TryDecimal(string digits, out double value)
    {
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

    [GeneratedRegex(@"^(?<sign>[-−+])?\s*(?:(?<whole>\d[\d,]*(?:\.\d+)?|\.\d+)(?:[\s-]+(?<over>\d+)\s*/\s*(?<under>\d+))?(?!\s*/\s*\d)|(?<over>\d+)\s*/\s*(?<under>\d+))")]
    private static partial Regex Term();

    [GeneratedRegex(@"^\d{1,3}(,\d{3})+(\.\d+)?$")]
    private static partial Regex Thousands();

    [GeneratedRegex(@"^[a-z°²³%/·]+\d?$")]
    private static partial Regex LooksLikeUnit();

    [GeneratedRegex(@"^\p{Sc}\s*|\s*\p{Sc}$")]
    private static partial Regex MoneySign();

    [GeneratedRegex(@"^(?<rise>\d+(?:[.,]\d+)?)\s*(?:(?<deg>°|deg|degrees)|(?:[:/]|in)\s*(?<run>\d+(?:\.\d+)?))?$")]
    private static partial Regex PitchText();
}
