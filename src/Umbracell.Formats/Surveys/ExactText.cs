using System.Globalization;
using Umbracell.Core.Quantities;

namespace Umbracell.Formats.Surveys;

/// <summary>Lengths as short as they can be written without loss: 5 1/2 in is 5 1/2 in, but 19 mm is 19 mm and not 0.748031496062992 in,
/// whatever the reader's units.</summary>
public static class ExactText
{
    private const int Sixteenths = 16;

    private static readonly FigureRange Any = new(-1e6, 1e6, Dimension.Span),
        AnyPitch = new(0, 1e6, Dimension.Pitch);

    /// <summary>A depth or thickness.</summary>
    public static string Thickness(double metres, UnitSystem system) =>
        system == UnitSystem.Us
            ? Shortest(metres, Inches(metres), Millimetres(metres)) ?? Number(metres / Length.MetresPerInch) + " in"
            : Shortest(metres, Millimetres(metres), Inches(metres)) ?? Number(metres * 1000) + " mm";

    /// <summary>A side of a surface.</summary>
    public static string Span(double metres, UnitSystem system) =>
        system == UnitSystem.Us
            ? Shortest(metres, FeetAndInches(metres), Metres(metres)) ?? Number(metres / 0.3048) + " ft"
            : Shortest(metres, Metres(metres), FeetAndInches(metres)) ?? Number(metres) + " m";

    /// <summary>A pitch as rise in twelve, else in degrees, else over one: the first that is exact.</summary>
    public static string Pitch(double slope) =>
        Pitch(slope, $"{Number(Math.Round(slope * 12, 4))}:12", $"{Number(Math.Round(Math.Atan(slope) * 180 / Math.PI, 4))}°")
        ?? Number(slope) + ":1";

    /// <summary>Any other quantity, in the reader's unit where that is short, else in the other system's.</summary>
    public static string Quantity(Figure figure, UnitSystem system) =>
        FirstThatReads(
            figure.Amount,
            new(double.MinValue, double.MaxValue, figure.Dimension),
            [Rounded(figure, system), Rounded(figure, system == UnitSystem.Us ? UnitSystem.Metric : UnitSystem.Us)]
        ) ?? $"{Number(QuantityPrinter.Value(figure, system))} {QuantityPrinter.UnitOf(figure.Dimension, system)}";

    /// <summary>A number without an exponent: what is written must read as typed text does.</summary>
    public static string Number(double value) => value.ToString("0.###################", CultureInfo.InvariantCulture);

    private static string? Shortest(double metres, params ReadOnlySpan<string> ways) => FirstThatReads(metres, Any, ways);

    private static string? Pitch(double slope, params ReadOnlySpan<string> ways) => FirstThatReads(slope, AnyPitch, ways);

    // The first that reads back as the same, to a nanometre.
    private static string? FirstThatReads(double si, FigureRange range, ReadOnlySpan<string> ways)
    {
        foreach (var way in ways)
        {
            if (QuantityParser.Parse(way, range, UnitSystem.Metric).Figure is { } read && Math.Abs(read.Amount - si) < 1e-9)
            {
                return way;
            }
        }

        return null;
    }

    private static string Rounded(Figure figure, UnitSystem system) =>
        $"{Number(Math.Round(QuantityPrinter.Value(figure, system), 4))} {QuantityPrinter.UnitOf(figure.Dimension, system)}";

    private static string Millimetres(double metres) => Number(Math.Round(metres * 1000, 3)) + " mm";

    private static string Metres(double metres) => Number(Math.Round(metres, 4)) + " m";

    private static string Inches(double metres) => Fraction(metres / Length.MetresPerInch) + " in";

    private static string FeetAndInches(double metres)
    {
        var inches = Math.Abs(metres) / Length.MetresPerInch;
        var feet = Math.Floor(inches / 12 + 1e-9);
        return $"{(metres < 0 ? "-" : "")}{Number(feet)}'{Fraction(Math.Max(0, inches - feet * 12))}\"";
    }

    private static string Fraction(double inches)
    {
        var parts = (long)Math.Round(Math.Abs(inches) * Sixteenths);
        var sign = inches < 0 && parts > 0 ? "-" : "";
        var (whole, part) = (parts / Sixteenths, parts % Sixteenths);
        var divisor =
            part % 8 == 0 ? 8
            : part % 4 == 0 ? 4
            : part % 2 == 0 ? 2
            : 1;
        return part == 0 ? $"{sign}{whole}" : $"{sign}{(whole == 0 ? "" : $"{whole} ")}{part / divisor}/{Sixteenths / divisor}";
    }
}
