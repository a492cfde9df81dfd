using System.Globalization;

namespace Umbracell.Core.Quantities;

/// <summary>Writes figures as people of the trade read them: inches in eighths, R without a unit, board feet with a thousands mark.</summary>
public static class QuantityPrinter
{
    /// <summary>Fractions of an inch that are written; 1/8 by house rule.</summary>
    private const int EighthsPerInch = 8;

    /// <summary>Whole numbers up to here are exact in a double.</summary>
    private const double LargestExact = 9e15;

    private static readonly double[] Powers = [1, 1e1, 1e2, 1e3, 1e4, 1e5, 1e6, 1e7, 1e8, 1e9, 1e10, 1e11, 1e12];

    /// <summary>The figure with its unit, rounded for reading.</summary>
    /// <param name="figure">The figure.</param>
    /// <param name="system">The reader's units.</param>
    /// <returns>Text such as <c>5 1/2 in</c>, <c>R-20.4</c>, <c>140 mm</c>.</returns>
    public static string Print(Figure figure, UnitSystem system)
    {
        var value = Units.Of(figure.Dimension, system).FromSi(figure.Si);
        return (figure.Dimension, system) switch
        {
            (Dimension.Thickness, UnitSystem.Us) => Eighths(value) + " in",
            (Dimension.Span, UnitSystem.Us) => FeetAndInches(value),
            (Dimension.Resistance, UnitSystem.Us) => "R-" + Fixed(value, 1),
            (Dimension.Transmittance, UnitSystem.Us) => "U-" + Fixed(value, 4),
            (Dimension.Pitch, UnitSystem.Us) => Trimmed(value, 1) + ":12",
            (Dimension.Pitch, _) => Fixed(Math.Atan(figure.Si) * 180 / Math.PI, 0) + "°",
            (Dimension.Duration, _) => HoursAndMinutes(figure.Si),
            (Dimension.Number, _) => Fixed(value, 3),
            (Dimension.Count, _) => Fixed(value, 0),
            (Dimension.Sets, _) => Fixed(value, value is > 0 and < 0.1 ? 2 : 1) + (Fixed(value, 1) == "1.0" ? " set" : " sets"),
            (Dimension.Percent, _) when value is > 0 and < 0.05 => "under 0.1 %",
            (Dimension.Percent, _) when value is > 99.95 and < 100 => "over 99.9 %",
            (Dimension.HumidityPoints, _) => Trimmed(value, 1) + " points",
            (Dimension.Money, _) => Rounded(figure.Dimension, system, value),
            _ => Rounded(figure.Dimension, system, value) + " " + Units.Of(figure.Dimension, system).Symbol,
        };
    }

    /// <summary>The bare number of a figure in the reader's unit, for the axis of a chart.</summary>
    public static double Value(Figure figure, UnitSystem system) => Units.Of(figure.Dimension, system).FromSi(figure.Si);

    /// <summary>The unit a reader's figures of a dimension are in.</summary>
    public static string UnitOf(Dimension dimension, UnitSystem system) => Units.Of(dimension, system).Symbol;

    /// <summary>The figure with its unit to five significant digits, for workings that are followed with a pocket calculator.</summary>
    public static string PrintExact(Figure figure, UnitSystem system)
    {
        if (figure.Dimension is Dimension.Duration or Dimension.Count)
        {
            return Print(figure, system);
        }

        // Formulas take the pitch as rise over run, in either system.
        if (figure.Dimension == Dimension.Pitch)
        {
            return Significant(figure.Si, 5);
        }

        var unit = Units.Of(figure.Dimension, system);
        var value = unit.FromSi(figure.Si);
        var digits = Significant(value, 5);
        return figure.Dimension switch
        {
            Dimension.Resistance when system == UnitSystem.Us => "R-" + digits,
            Dimension.Transmittance when system == UnitSystem.Us => "U-" + digits,
            Dimension.Number or Dimension.Money => digits,
            _ => digits + " " + unit.Symbol,
        };
    }

    private static string Rounded(Dimension dimension, UnitSystem system, double value) => (dimension, system) switch
    {
        (Dimension.Thickness, _) => Fixed(value, 0),
        (Dimension.Span, _) => Fixed(value, 2),
        (Dimension.Altitude, _) => Fixed(value, 0),
        (Dimension.Area, UnitSystem.Us) => Fixed(value, 0),
        (Dimension.Area, _) => Fixed(value, 1),
        (Dimension.FoamVolume, UnitSystem.Us) => Fixed(value, 0),
        (Dimension.FoamVolume, _) => Fixed(value, 2),
        (Dimension.Temperature or Dimension.TemperatureDifference, UnitSystem.Us) => Fixed(value, 0),
        (Dimension.Temperature or Dimension.TemperatureDifference, _) => Fixed(value, 1),
        (Dimension.RelativeHumidity, _) => Fixed(value, 0),
        (Dimension.Percent or Dimension.MoistureContent, _) => Trimmed(value, 1),
        (Dimension.Resistance, _) => Fixed(value, 2),
        (Dimension.Transmittance, _) => Fixed(value, 3),
        (Dimension.Conductivity, _) => Significant(value, 3),
        (Dimension.VapourPressure, UnitSystem.Us) => Fixed(value, 3),
        (Dimension.VapourPressure, _) => Fixed(value, 0),
        (Dimension.Permeance, UnitSystem.Us) => Significant(value, value < 0.1 ? 2 : 3),
        (Dimension.Permeance, _) => Significant(value, 3),
        (Dimension.Mass or Dimension.AirFlow or Dimension.RoomVolume or Dimension.HeatLoss or Dimension.Power or Dimension.LeakageArea or Dimension.Heat, _) => Fixed(value, 0),
        (Dimension.MassPerArea, UnitSystem.Us) => Fixed(value, 2),
        (Dimension.MassPerArea, _) => Fixed(value, 0),
        (Dimension.AirPressure, _) => Fixed(value, 1),
        (Dimension.AreaWeight, _) => Fixed(value, 2),
        (Dimension.Money or Dimension.MoneyPerArea, _) => Fixed(value, 2),
        (Dimension.LinearTransmittance, _) => Fixed(value, 3),
        _ => Trimmed(value, 2),
    };

    private static string Eighths(double inches)
    {
        var eighths = (long)Math.Round(Math.Abs(inches) * EighthsPerInch, MidpointRounding.AwayFromZero);
        var sign = inches < 0 && eighths > 0 ? "-" : "";
        var (whole, part) = (eighths / EighthsPerInch, eighths % EighthsPerInch);
        if (part == 0)
        {
            return sign + whole.ToString(CultureInfo.InvariantCulture);
        }

        var divisor = part % 4 == 0 ? 4 : part % 2 == 0 ? 2 : 1;
        var fraction = string.Create(CultureInfo.InvariantCulture, $"{part / divisor}/{EighthsPerInch / divisor}");
        return sign + (whole == 0 ? fraction : string.Create(CultureInfo.InvariantCulture, $"{whole} {fraction}"));
    }

    private static string FeetAndInches(double feet)
    {
        var eighths = (long)Math.Round(feet * 12 * EighthsPerInch, MidpointRounding.AwayFromZero);
        var whole = eighths / (12 * EighthsPerInch);
        var inches = (eighths - whole * 12 * EighthsPerInch) / (double)EighthsPerInch;
        return whole == 0 && inches > 0
            ? Eighths(inches) + "\""
            : string.Create(CultureInfo.InvariantCulture, $"{whole}'{(inches == 0 ? "0" : Eighths(inches))}\"");
    }

    private static string HoursAndMinutes(double seconds)
    {
        var minutes = (long)Math.Round(seconds / 60, MidpointRounding.AwayFromZero);
        return minutes < 60
            ? string.Create(CultureInfo.InvariantCulture, $"{minutes} min")
            : string.Create(CultureInfo.InvariantCulture, $"{minutes / 60} h {minutes % 60:00}");
    }

    // An answer prints hundreds of figures while a hand moves, so the digits are laid out here rather than by the general formatter.
    private static string Fixed(double value, int decimals)
    {
        var scaled = Math.Round(Math.Abs(value) * Powers[decimals], MidpointRounding.AwayFromZero);
        if (!(scaled < LargestExact))
        {
            return value.ToString("N" + decimals, CultureInfo.InvariantCulture);
        }

        Span<char> digits = stackalloc char[32];
        var (left, at, written) = ((long)scaled, digits.Length, 0);
        while (left > 0 || written <= decimals)
        {
            if (written == decimals && decimals > 0)
            {
                digits[--at] = '.';
            }
            else if (written > decimals && (written - decimals) % 3 == 0)
            {
                digits[--at] = ',';
            }

            (left, var digit) = Math.DivRem(left, 10);
            digits[--at] = (char)('0' + digit);
            written++;
        }

        if (value < 0 && scaled > 0)
        {
            digits[--at] = '-';
        }

        return new(digits[at..]);
    }

    private static string Trimmed(double value, int decimals)
    {
        var text = Fixed(value, decimals);
        return text.Contains('.', StringComparison.Ordinal) ? text.TrimEnd('0').TrimEnd('.') : text;
    }

    private static string Significant(double value, int digits)
    {
        if (value == 0)
        {
            return "0";
        }

        var decimals = Math.Clamp(digits - 1 - (int)Math.Floor(Math.Log10(Math.Abs(value))), 0, 12);
        return Fixed(value, decimals);
    }
}
