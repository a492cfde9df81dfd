using System.Globalization;

namespace Umbracell.Core.Quantities;

/// <summary>Writes figures as people of the trade read them: inches in eighths, R without a unit, board feet with a thousands
/// mark.</summary>
public static class QuantityPrinter
{
    /// <summary>Fractions of an inch that are written; 1/8 by house rule.</summary>
    private const int EighthsPerInch = 8;

    /// <summary>Boards and skins are sold in sixteenths of an inch.</summary>
    private const int SixteenthsPerInch = 16;

    /// <summary>How far a layer may lie from a sixteenth and still be told as one: what a maker's millimetres round off, as a share and at
    /// least in millimetres.</summary>
    private const double NominalShare = 0.003;
    private const double NominalMm = 0.06;

    /// <summary>Stands before money for the sign of the firm's own, which the core does not know: the mark for a currency that is not
    /// named (U+00A4). Whoever shows the figure puts the sign in its place.</summary>
    public const string CurrencyMark = "¤";

    // Heaters are sold by the kilowatt; a blanket by the watt.
    private const double KilowattsFrom = 9_950;

    /// <summary>Whole numbers up to here are exact in a double.</summary>
    private const double LargestExact = 9e15;

    private static readonly double[] Powers = [1, 1e1, 1e2, 1e3, 1e4, 1e5, 1e6, 1e7, 1e8, 1e9, 1e10, 1e11, 1e12];

    /// <summary>The figure with its unit, rounded for reading.</summary>
    /// <param name="figure">The figure.</param>
    /// <param name="system">The reader's units.</param>
    /// <returns>Text such as <c>5 1/2 in</c>, <c>R-20.4</c>, <c>140 mm</c>.</returns>
    public static string Print(Figure figure, UnitSystem system)
    {
        var value = WithoutRest(Units.Of(figure.Dimension, system).FromSi(figure.Amount));
        var way = figure.Rounding;
        return (figure.Dimension, system) switch
        {
            (Dimension.Thickness, UnitSystem.Us) => Eighths(value, way) + " in",
            (Dimension.Span, UnitSystem.Us) => FeetAndInches(value, way),
            (Dimension.Resistance, UnitSystem.Us) => "R-" + Fixed(value, 1, way),
            (Dimension.Transmittance, UnitSystem.Us) => "U-" + Fixed(value, 4, way),
            (Dimension.Pitch, UnitSystem.Us) => Trimmed(value, 1, way) + ":12",
            (Dimension.Pitch, _) => Fixed(Math.Atan(figure.Amount) * 180 / Math.PI, 0, way) + "°",
            (Dimension.Duration, _) => HoursAndMinutes(figure.Amount, way),
            (Dimension.Number, _) => Fixed(value, 3, way),
            (Dimension.Count, _) => Fixed(value, 0, way),
            (Dimension.Sets, _) => Fixed(value, value is > 0 and < 0.1 ? 2 : 1, way) + OneOrMore(value, " set", " sets"),
            (Dimension.Percent, _) when value is > 0 and < 0.05 => "under 0.1 %",
            (Dimension.Percent, _) when value is > 99.95 and < 100 => "over 99.9 %",
            (Dimension.Chance, _) when value < 0.5 => "< 1 %",
            (Dimension.Chance, _) when value >= 99.5 => "> 99 %",
            (Dimension.HumidityPoints, _) => Trimmed(value, 1, way) + OneOrMore(value, " point", " points"),
            (Dimension.Power, UnitSystem.Metric) or (Dimension.ElectricPower, _) when Math.Abs(value) >= KilowattsFrom => Trimmed(
                value / 1000,
                1,
                way
            ) + " kW",
            (Dimension.Money, _) => CurrencyMark + Rounded(figure.Dimension, system, value, way),
            (Dimension.MoneyPerArea or Dimension.MoneyPerBoard, _) => CurrencyMark
                + Rounded(figure.Dimension, system, value, way)
                + " "
                + Units.Of(figure.Dimension, system).Symbol,
            _ => Rounded(figure.Dimension, system, value, way) + " " + Units.Of(figure.Dimension, system).Symbol,
        };
    }

    // As it is printed: to one place.
    private static string OneOrMore(double value, string one, string more) => Math.Round(Math.Abs(value), 1) == 1 ? one : more;

    /// <summary>A margin as the difference of the two figures it lies between, as those are printed: what stands beside each other on a
    /// screen adds up.</summary>
    /// <param name="margin">The margin; its sign stands.</param>
    /// <param name="measured">What was measured.</param>
    /// <param name="limit">The limit it is held against.</param>
    /// <param name="system">The reader's units.</param>
    public static string PrintMargin(Figure margin, Figure measured, Figure limit, UnitSystem system)
    {
        return Print(AsPrinted(margin, measured, limit, system), system);
    }

    /// <summary>A difference, made that of the two figures it lies between as those are printed in a system; as it is where they are not
    /// printed to a fixed place.</summary>
    /// <param name="difference">The difference; its sign stands.</param>
    /// <param name="first">One figure.</param>
    /// <param name="second">The other.</param>
    /// <param name="system">The reader's units.</param>
    public static Figure AsPrinted(Figure difference, Figure first, Figure second, UnitSystem system)
    {
        if (
            first.Dimension != second.Dimension
            || !IsDifferenceOf(difference.Dimension, first.Dimension)
            || Decimals(first.Dimension, system) is not { } decimals
            || Decimals(difference.Dimension, system) is null
        )
        {
            return difference;
        }

        var unit = Units.Of(first.Dimension, system);
        var apart = Math.Abs(
            Round(unit.FromSi(first.Amount), decimals, first.Rounding) - Round(unit.FromSi(second.Amount), decimals, second.Rounding)
        );

        // Too close to be told apart as printed: then the difference speaks for itself.
        return apart < 1e-9
            ? difference
            : difference with
            {
                Amount = Math.CopySign(Units.Of(difference.Dimension, system).ToSi(apart), difference.Amount),
            };
    }

    // A share of the sheet's yield is no difference of two yields.
    private static bool IsDifferenceOf(Dimension difference, Dimension of) =>
        difference == of
        || (of, difference)
            is
                (Dimension.Temperature, Dimension.TemperatureDifference)
                or
                (Dimension.RelativeHumidity or Dimension.MoistureContent or Dimension.Percent, Dimension.HumidityPoints);

    /// <summary>The bare number of a figure in the reader's unit, for the axis of a chart.</summary>
    public static double Value(Figure figure, UnitSystem system) => Units.Of(figure.Dimension, system).FromSi(figure.Amount);

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
            return Significant(figure.Amount, 5);
        }

        var unit = Units.Of(figure.Dimension, system);
        var value = unit.FromSi(figure.Amount);
        var digits = Significant(value, 5);
        return figure.Dimension switch
        {
            Dimension.Resistance when system == UnitSystem.Us => "R-" + digits,
            Dimension.Transmittance when system == UnitSystem.Us => "U-" + digits,
            Dimension.Number => digits,
            Dimension.Money => CurrencyMark + digits,
            Dimension.MoneyPerArea or Dimension.MoneyPerBoard => CurrencyMark + digits + " " + unit.Symbol,
            _ => digits + " " + unit.Symbol,
        };
    }

    /// <summary>The figure with its unit to five significant digits without noughts at its end, as a person would type it.</summary>
    public static string PrintAsTyped(Figure figure, UnitSystem system)
    {
        var exact = PrintExact(figure, system).Replace(CurrencyMark, "", StringComparison.Ordinal);
        var end = exact.IndexOf(' ', StringComparison.Ordinal);
        var (digits, unit) = end < 0 ? (exact, "") : (exact[..end], exact[end..]);
        return Trimmed(digits) + unit;
    }

    /// <summary>A layer's thickness as it is bought: a fraction of an inch down to sixteenths where it is one, else inches or millimetres as a
    /// person would type them. 19 mm reads 3/4 in; 0.9 mm of steel reads 0.0354 in.</summary>
    /// <param name="thickness">The thickness in metres; not negative.</param>
    /// <param name="system">The reader's units.</param>
    public static string PrintLayer(Figure thickness, UnitSystem system)
    {
        if (system == UnitSystem.Metric)
        {
            return PrintAsTyped(thickness, system);
        }

        var inches = Units.Of(thickness.Dimension, system).FromSi(thickness.Amount);
        var nearest = Math.Round(inches * SixteenthsPerInch) / SixteenthsPerInch;
        var aside = Math.Abs(nearest - inches) * 25.4;
        return nearest > 0 && aside <= Math.Max(NominalMm, inches * 25.4 * NominalShare)
            ? PartsOfInch((long)Math.Round(nearest * SixteenthsPerInch), SixteenthsPerInch) + " in"
            : Trimmed(Significant(inches, 3)) + " in";
    }

    private static string Trimmed(string digits) =>
        digits.Contains('.', StringComparison.Ordinal) ? digits.TrimEnd('0').TrimEnd('.') : digits;

    private static string Rounded(Dimension dimension, UnitSystem system, double value, Rounding way) =>
        Decimals(dimension, system) is { } decimals
            ? Keeps(dimension, system)
                ? Fixed(value, decimals, way)
                : Trimmed(value, decimals, way)
            : Significant(value, dimension == Dimension.Permeance && system == UnitSystem.Us && value < 0.1 ? 2 : 3);

    // Digits behind the point that are printed; none where a figure is printed to a count of digits, or in eighths.
    private static int? Decimals(Dimension dimension, UnitSystem system) =>
        (dimension, system) switch
        {
            (Dimension.Thickness or Dimension.Span, UnitSystem.Us) => null,
            (Dimension.Conductivity or Dimension.Permeance, _) => null,
            (Dimension.Thickness or Dimension.Altitude or Dimension.RelativeHumidity or Dimension.Chance, _) => 0,
            (Dimension.Span, _) => 2,
            (Dimension.Area or Dimension.FoamVolume, UnitSystem.Us) => 0,
            (Dimension.Area, _) => 1,
            (Dimension.FoamVolume, _) => 2,
            (
                Dimension.Temperature
                    or Dimension.TemperatureDifference
                    or Dimension.Percent
                    or Dimension.MoistureContent
                    or Dimension.HumidityPoints,
                _
            ) => 1,
            (Dimension.Resistance, _) => 2,
            (Dimension.Transmittance, _) => 3,
            (Dimension.BearingPressure, _) => 1,
            (Dimension.VapourPressure, UnitSystem.Us) => 3,
            (Dimension.VapourPressure, _) => 0,
            (
                Dimension.Mass
                    or Dimension.AirFlow
                    or Dimension.RoomVolume
                    or Dimension.HeatLoss
                    or Dimension.HeatCapacity
                    or Dimension.Power
                    or Dimension.ElectricPower
                    or Dimension.LeakageArea
                    or Dimension.WaterPace
                    or Dimension.Heat,
                _
            ) => 0,
            (Dimension.MassPerArea, UnitSystem.Us) => 2,
            (Dimension.MassPerArea, _) => 0,
            (Dimension.AirPressure or Dimension.ReactionTime or Dimension.MassFlow, _) => 1,
            (Dimension.MaterialPressure, UnitSystem.Us) => 0,
            (Dimension.MaterialPressure, _) => 1,
            (Dimension.AreaWeight or Dimension.Money or Dimension.MoneyPerArea, _) => 2,
            (Dimension.MoneyPerBoard, UnitSystem.Us) => 3,
            (Dimension.MoneyPerBoard, _) => 2,
            (Dimension.FoamPace, UnitSystem.Us) => 0,
            (Dimension.FoamPace, _) => 2,
            (Dimension.AreaPace or Dimension.PieceMass, _) => 1,
            (Dimension.PieceVolume, UnitSystem.Us) => 1,
            (Dimension.PieceVolume, _) => 0,
            (Dimension.LinearTransmittance, _) => 3,
            (Dimension.HeatCapacityPerArea, UnitSystem.Metric) => 1,
            _ => 2,
        };

    // Whether noughts at the end are printed too. A degree Fahrenheit is read in whole ones; a part of one shows only where there is one.
    private static bool Keeps(Dimension dimension, UnitSystem system) =>
        (dimension, system) switch
        {
            (Dimension.Temperature or Dimension.TemperatureDifference, UnitSystem.Us) => false,
            (
                Dimension.Percent
                    or Dimension.MoistureContent
                    or Dimension.HumidityPoints
                    or Dimension.Density
                    or Dimension.Speed
                    or Dimension.AirChanges
                    or Dimension.Permeability,
                _
            ) => false,
            _ => true,
        };

    private static string Eighths(double inches, Rounding way = Rounding.Nearest)
    {
        var eighths = (long)Math.Abs(Whole(inches * EighthsPerInch, way));
        var sign = inches < 0 && eighths > 0 ? "-" : "";
        return sign + PartsOfInch(eighths, EighthsPerInch);
    }

    // 5 of 8 reads 5/8, 4 of 8 reads 1/2, 12 of 8 reads 1 1/2.
    private static string PartsOfInch(long parts, int perInch)
    {
        var (whole, part) = (parts / perInch, parts % perInch);
        if (part == 0)
        {
            return whole.ToString(CultureInfo.InvariantCulture);
        }

        var divisor = part & -part;
        var fraction = string.Create(CultureInfo.InvariantCulture, $"{part / divisor}/{perInch / divisor}");
        return whole == 0 ? fraction : string.Create(CultureInfo.InvariantCulture, $"{whole} {fraction}");
    }

    private static string FeetAndInches(double feet, Rounding way)
    {
        var eighths = (long)Whole(feet * 12 * EighthsPerInch, way);
        var whole = eighths / (12 * EighthsPerInch);
        var inches = (eighths - whole * 12 * EighthsPerInch) / (double)EighthsPerInch;
        return whole == 0 && inches > 0
            ? Eighths(inches) + "\""
            : string.Create(CultureInfo.InvariantCulture, $"{whole}'{(inches == 0 ? "0" : Eighths(inches))}\"");
    }

    private static string HoursAndMinutes(double seconds, Rounding way)
    {
        var minutes = (long)Whole(seconds / 60, way);
        return minutes < 60
            ? string.Create(CultureInfo.InvariantCulture, $"{minutes} min")
            : string.Create(CultureInfo.InvariantCulture, $"{minutes / 60} h {minutes % 60:00}");
    }

    // An answer prints hundreds of figures while a hand moves, so the digits are laid out here rather than by the general formatter.
    private static string Fixed(double value, int decimals, Rounding way = Rounding.Nearest)
    {
        var scaled = Math.Abs(Whole(value * Powers[decimals], way));
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

    // Less than a billionth of any unit here is what rounding left of a difference, and not the same from one processor to the next.
    private static double WithoutRest(double value) => Math.Abs(value) < 1e-9 ? 0 : value;

    private static double Round(double value, int decimals, Rounding way) => Whole(value * Powers[decimals], way) / Powers[decimals];

    // What lies within a millionth of a whole step is that step: a conversion must not push a round figure to the next one.
    private static double Whole(double value, Rounding way)
    {
        const double Noise = 1e-6;
        return way switch
        {
            Rounding.Up => Math.Ceiling(value - Noise),
            Rounding.Down => Math.Floor(value + Noise),
            _ => Math.Round(value, MidpointRounding.AwayFromZero),
        };
    }

    private static string Trimmed(double value, int decimals, Rounding way = Rounding.Nearest)
    {
        var text = Fixed(value, decimals, way);
        return text.Contains('.', StringComparison.Ordinal) ? text.TrimEnd('0').TrimEnd('.') : text;
    }

    private static string Significant(double value, int digits)
    {
        if (WithoutRest(value) == 0)
        {
            return "0";
        }

        // What rounds up to a power of ten is printed as that power is: 99.9999999 as 100.00.
        var power = (int)Math.Floor(Math.Log10(Math.Abs(value)));
        var isRoundedUp = Math.Round(Math.Abs(value) / Math.Pow(10, power), digits - 1, MidpointRounding.AwayFromZero) >= 10;
        return Fixed(value, Math.Clamp(digits - 1 - (isRoundedUp ? power + 1 : power), 0, 12));
    }
}
