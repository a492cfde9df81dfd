using System.ComponentModel.DataAnnotations;
using System.Globalization;
using Umbracell.Core.Quantities;
using Umbracell.Formats.Words;
using Umbracell.Questions.Answers;

namespace Umbracell.Server.Typing;

/// <summary>What a person typed into some fields of a record; fields not named stay as they are.</summary>
/// <param name="Version">The version that was on the screen; null where the record is new.</param>
/// <param name="Units">The system bare numbers are read in.</param>
/// <param name="Fields">Typed text by field.</param>
/// <param name="Id">Made where it was typed, so that the edit sent again is no second one; null where nobody sends again.</param>
/// <param name="At">When it was typed; null for now.</param>
public sealed record TypedEdit(
    uint? Version,
    UnitSystem Units,
    [property: Required, MaxLength(60)] IReadOnlyDictionary<string, string> Fields,
    Guid? Id = null,
    DateTimeOffset? At = null
) : ICommand
{
    /// <summary>What was taken and may have been meant otherwise; travels in a header of the answer, whatever the answer is.</summary>
    internal List<FieldDoubt> Doubts { get; } = [];
}

/// <summary>Reads the typed fields of an edit, gathering every fault before anything is written.</summary>
internal sealed class TypedFields(TypedEdit edit)
{
    // No field of any page is as long: what is, is taken apart into thousands of pieces before anything is wrong with it.
    private const int Longest = 20_000;

    private readonly List<FieldFault> _faults = [];
    private readonly IReadOnlyDictionary<string, string> _typed = NoneTooLong(edit.Fields);

    public UnitSystem Units => edit.Units;

    public bool Has(string field) => _typed.ContainsKey(field);

    public string Raw(string field) => _typed[field];

    public void Fault(FieldFault fault) => _faults.Add(fault);

    /// <summary>Whether something is wrong with a field already.</summary>
    public bool IsFaulty(string field) => _faults.Exists(fault => fault.Field == field);

    private static IReadOnlyDictionary<string, string> NoneTooLong(IReadOnlyDictionary<string, string> fields) =>
        fields.FirstOrDefault(field => field.Value?.Length > Longest) is { Key: { } tooLong }
            ? throw FieldFaultsException.Of(tooLong, FaultCode.TooLong)
            : fields;

    /// <summary>Marks a field that was taken and may have been meant otherwise.</summary>
    public void Mark(FieldDoubt? doubt)
    {
        if (doubt is not null)
        {
            edit.Doubts.Add(doubt);
        }
    }

    /// <summary>Faults every one of these fields that was not sent.</summary>
    public void Require(params ReadOnlySpan<string> wanted)
    {
        foreach (var field in wanted)
        {
            if (!Has(field))
            {
                Fault(
                    new()
                    {
                        Field = field,
                        Code = FaultCode.Empty,
                        Typed = "",
                    }
                );
            }
        }
    }

    /// <summary>Takes a line of text.</summary>
    public void Text(string field, int longest, bool required, Action<string> take)
    {
        if (!Has(field))
        {
            return;
        }

        var text = Raw(field).Trim();
        if (text.Length > longest)
        {
            Fault(
                new()
                {
                    Field = field,
                    Code = FaultCode.TooLong,
                    Typed = text[..40],
                }
            );
        }
        else if (required && text.Length == 0)
        {
            Fault(
                new()
                {
                    Field = field,
                    Code = FaultCode.Empty,
                    Typed = "",
                }
            );
        }
        else
        {
            take(text);
        }
    }

    /// <summary>Takes a quantity in SI.</summary>
    public void Quantity(string field, FigureRange range, Action<double> take)
    {
        if (!Has(field))
        {
            return;
        }

        var typed = QuantityParser.Parse(Raw(field), range, Units);
        if (typed.Fault is null)
        {
            Mark(FieldDoubt.Of(field, typed));
            take(typed.Figure!.Value.Amount);
        }
        else
        {
            Fault(FieldFault.Of(field, typed));
        }
    }

    /// <summary>Takes a quantity that may be left blank.</summary>
    public void QuantityOrBlank(string field, FigureRange range, Action<double?> take)
    {
        if (Has(field) && string.IsNullOrWhiteSpace(Raw(field)))
        {
            take(null);
        }
        else
        {
            Quantity(field, range, si => take(si));
        }
    }

    /// <summary>Takes one of a list of words: by its code, or by what the screen calls it.</summary>
    public void Choice<T>(string field, Action<T> take)
        where T : struct, Enum
    {
        if (!Has(field))
        {
            return;
        }

        var typed = FieldWords.ListOf(typeof(T)) is { } list ? WordCatalog.CodeOf(list, Raw(field)) ?? Raw(field) : Raw(field);
        if (Enum.TryParse<T>(typed, ignoreCase: true, out var value) && Enum.IsDefined(value) && !char.IsDigit(typed[0]))
        {
            take(value);
        }
        else
        {
            Fault(
                new()
                {
                    Field = field,
                    Code = FaultCode.Unknown,
                    Typed = Raw(field),
                }
            );
        }
    }

    /// <summary>The same where it may be left blank.</summary>
    public void ChoiceOrBlank<T>(string field, Action<T?> take)
        where T : struct, Enum
    {
        if (Has(field) && string.IsNullOrWhiteSpace(Raw(field)))
        {
            take(null);
        }
        else
        {
            Choice<T>(field, one => take(one));
        }
    }

    private static readonly string[] Days = ["yyyy-M-d", "yyyy/M/d", "d MMM yyyy", "d MMMM yyyy", "MMM d yyyy", "MMMM d yyyy"];

    // Which number comes first in 3/4/2027 is a habit of the country, as its units are.
    private static readonly string[] UsDays = ["M/d/yyyy", "M-d-yyyy", "M.d.yyyy"],
        MetricDays = ["d/M/yyyy", "d-M-yyyy", "d.M.yyyy", "d. M. yyyy"];

    /// <summary>Takes a day as people write it, <c>2026-11-23</c>, <c>11/23/2026</c> or <c>23.11.2026</c> by their units, <c>Nov 23,
    /// 2026</c>, or blank for none.</summary>
    public void Date(string field, Action<DateOnly?> take)
    {
        if (!Has(field))
        {
            return;
        }

        if (string.IsNullOrWhiteSpace(Raw(field)))
        {
            take(null);
        }
        else if (IsDay(Raw(field), out var day) && day.Year is >= 2000 and < 2200)
        {
            take(day);
        }
        else
        {
            Fault(
                new()
                {
                    Field = field,
                    Code = FaultCode.NotADate,
                    Typed = Raw(field),
                }
            );
        }
    }

    // 7, 7:30, 07.30, 7 am, 7:30 pm.
    private static readonly string[] Times = ["%H", "H:mm", "H.mm", "h tt", "htt", "h:mm tt", "h:mmtt"];

    /// <summary>Takes a time of day as people write it, or blank for none; gives it as <c>07:30</c>.</summary>
    public void TimeOfDay(string field, Action<string> take)
    {
        if (!Has(field))
        {
            return;
        }

        var text = Raw(field).Trim();
        if (text.Length == 0)
        {
            take("");
        }
        else if (TimeOnly.TryParseExact(text, Times, CultureInfo.InvariantCulture, DateTimeStyles.None, out var time))
        {
            take(time.ToString("HH:mm", CultureInfo.InvariantCulture));
        }
        else
        {
            Fault(
                new()
                {
                    Field = field,
                    Code = FaultCode.NotATime,
                    Typed = text,
                }
            );
        }
    }

    /// <summary>Takes a day that is to come, and asks where it is past: of a day typed without a thought of the year the next is meant.</summary>
    /// <param name="field">Name of the field.</param>
    /// <param name="today">Today where it counts.</param>
    /// <param name="take">Takes the day, past or not.</param>
    public void DateToCome(string field, DateOnly today, Action<DateOnly?> take) =>
        Date(
            field,
            day =>
            {
                take(day);
                if (day < today)
                {
                    Mark(FieldDoubt.Past(field, Writing.OfCatalog.Day(NextAfter(day.Value, today))));
                }
            }
        );

    private bool IsDay(string text, out DateOnly day) =>
        DateOnly.TryParseExact(
            text.Replace(',', ' '),
            [.. Days, .. Units == UnitSystem.Us ? UsDays : MetricDays],
            CultureInfo.InvariantCulture,
            DateTimeStyles.AllowWhiteSpaces,
            out day
        ) || Writing.OfCatalog.TryReadDay(text, out day);

    private static DateOnly NextAfter(DateOnly day, DateOnly today) =>
        Enumerable.Range(1, today.Year - day.Year + 1).Select(day.AddYears).First(next => next >= today);

    /// <summary>Takes twelve quantities parted by semicolons, January first; one stands for every month, blank for none.</summary>
    public void Months(string field, FigureRange range, Action<double[]> take)
    {
        if (!Has(field))
        {
            return;
        }

        var typed = Raw(field)
            .Split(';', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries)
            .Select(one => QuantityParser.Parse(one, range, Units))
            .ToList();
        if (typed.Find(one => one.Fault is not null) is { } bad)
        {
            Fault(FieldFault.Of(field, bad));
        }
        else if (typed.Count is not (0 or 1 or 12))
        {
            Fault(
                new()
                {
                    Field = field,
                    Code = FaultCode.Months,
                    Typed = Raw(field),
                }
            );
        }
        else
        {
            take([.. (typed.Count == 1 ? Enumerable.Repeat(typed[0], 12) : typed).Select(one => one.Figure!.Value.Amount)]);
        }
    }

    /// <summary>Takes yes, no, or blank for not known.</summary>
    public void YesNo(string field, Action<bool?> take) =>
        Known(
            field,
            typed => typed is "yes" or "no" or "",
            typed =>
                take(
                    typed switch
                    {
                        "yes" => true,
                        "no" => false,
                        _ => null,
                    }
                )
        );

    /// <summary>Takes the id of another record, or blank for none.</summary>
    public void Id(string field, Func<Guid, bool> isKnown, Action<Guid?> take) =>
        Known(
            field,
            typed => typed.Length == 0 || (Guid.TryParse(typed, out var id) && isKnown(id)),
            typed => take(typed.Length == 0 ? null : Guid.Parse(typed))
        );

    /// <summary>Takes one of a set of ids.</summary>
    public void Known(string field, Func<string, bool> isKnown, Action<string> take)
    {
        if (!Has(field))
        {
            return;
        }

        if (isKnown(Raw(field)))
        {
            take(Raw(field));
        }
        else
        {
            Fault(
                new()
                {
                    Field = field,
                    Code = FaultCode.Unknown,
                    Typed = Raw(field),
                }
            );
        }
    }

    /// <summary>Says that nothing of the edit may be written if any field was at fault or is not known here.</summary>
    public void ThrowIfFaulty(params string[] known)
    {
        foreach (var field in edit.Fields.Keys.Except(known, StringComparer.Ordinal))
        {
            Fault(
                new()
                {
                    Field = field,
                    Code = FaultCode.Unknown,
                    Typed = field,
                }
            );
        }

        if (_faults.Count > 0)
        {
            throw new FieldFaultsException(_faults);
        }
    }
}

/// <summary>Ranges of typed fields: wide enough for any building, narrow enough to catch a slip.</summary>
internal static class FieldRanges
{
    public static readonly FigureRange IndoorTemperature = new FigureRange(-30, 45, Dimension.Temperature).Usually(5, 35);
    public static readonly FigureRange OutdoorTemperature = new FigureRange(-60, 50, Dimension.Temperature).Usually(-50, 48);
    public static readonly FigureRange ReadTemperature = new FigureRange(-40, 90, Dimension.Temperature).Usually(-30, 65);
    public static readonly FigureRange DrumTemperature = new FigureRange(-40, 90, Dimension.Temperature).Usually(0, 45);
    public static readonly FigureRange Humidity = new(1, 100, Dimension.RelativeHumidity);
    public static readonly FigureRange WoodMoisture = new(0, 100, Dimension.MoistureContent);
    public static readonly FigureRange ThermometerError = new(0, 10, Dimension.TemperatureDifference);
    public static readonly FigureRange MoistureError = new(0, 20, Dimension.HumidityPoints);
    public static readonly FigureRange MoistureCorrection = new(-15, 15, Dimension.HumidityPoints);
    public static readonly FigureRange MemberShare = new(0, 60, Dimension.Percent);
    public static readonly FigureRange Layer = new FigureRange(0.0001, 3, Dimension.Thickness).Usually(0.0001, 1);
    public static readonly FigureRange VentChannel = new FigureRange(0, 0.2, Dimension.Thickness);
    public static readonly FigureRange ProfileFactor = new(1, 3, Dimension.Number);
    public static readonly FigureRange Flange = new(0.005, 0.5, Dimension.Thickness);
    public static readonly FigureRange Web = new(0.0003, 0.02, Dimension.Thickness);
    public static readonly FigureRange Skin = new(0.0002, 0.02, Dimension.Thickness);
    public static readonly FigureRange DoorSpare = new(0, 500, Dimension.Mass);
    public static readonly FigureRange FaceHeight = new FigureRange(0.5, 100, Dimension.Span).Usually(1, 40);
    public static readonly FigureRange Penetration = new(0, 0.15, Dimension.Thickness);
    public static readonly FigureRange Clearance = new(0, 3, Dimension.Thickness);
    public static readonly FigureRange Days = new(0, 365, Dimension.Count);
    public static readonly FigureRange Height = new(0.5, 200, Dimension.Span);
    public static readonly FigureRange Volume = new(1, 5e6, Dimension.RoomVolume);
    public static readonly FigureRange BufferVolume = new(0, 1e6, Dimension.RoomVolume);
    public static readonly FigureRange AirChanges = new(0, 100, Dimension.AirChanges);
    public static readonly FigureRange HeatLoss = new(0, 1e6, Dimension.HeatLoss);
    public static readonly FigureRange DuctLoss = new(-1e5, 1e5, Dimension.Power);
    public static readonly FigureRange ZeroPressure = new(-50, 50, Dimension.AirPressure);
    public static readonly FigureRange FanPressure = new(1, 400, Dimension.AirPressure);
    public static readonly FigureRange FanFlow = new(1e-5, 500, Dimension.AirFlow);
    public static readonly FigureRange Latitude = new(-90, 90, Dimension.Number);
    public static readonly FigureRange Longitude = new(-180, 180, Dimension.Number);
    public static readonly FigureRange Altitude = new(-400, 6000, Dimension.Altitude);
    public static readonly FigureRange Risk = new(0.1, 50, Dimension.Percent);
    public static readonly FigureRange Repeats = new(1, 999, Dimension.Count);
    public static readonly FigureRange MemberDepth = new FigureRange(0, 0.9, Dimension.Thickness).Usually(0.03, 0.6);
    public static readonly FigureRange MemberSpacing = new FigureRange(0.1, 3, Dimension.Thickness).Usually(0.2, 2.5);
}
