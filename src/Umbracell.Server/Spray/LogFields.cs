using System.Globalization;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Spraying;
using Umbracell.Documents;
using Umbracell.Questions.Answers;
using Umbracell.Server.Places;
using Umbracell.Server.Typing;
using Umbracell.Store.Model;

namespace Umbracell.Server.Spray;

/// <summary>Reads an entry of the log as it was typed.</summary>
internal sealed class LogFields(TypedEdit edit, Job job, Stamp stamp)
{
    // Half a metre of foam is more than any sheet rates; a yard of it was typed in the wrong unit.
    private static readonly FigureRange Depth = new FigureRange(0.001, 0.6, Dimension.Thickness).Usually(0.01, 0.45),
        Probe = new FigureRange(-40, 250, Dimension.Temperature).Usually(0, 180);

    // Clocks are up to fourteen hours ahead of universal time, and twelve behind.
    private static readonly FigureRange Zones = new(-720, 840, Dimension.Number);

    private static readonly LogEntryKind[] OfTheJob =
    [
        LogEntryKind.VentilationOn,
        LogEntryKind.VentilationOff,
        LogEntryKind.AreaClear,
        LogEntryKind.AreaEntered,
    ];

    private TimeSpan? _ahead;

    // A clock of a device can be ahead by so much.
    private static readonly TimeSpan Ahead = TimeSpan.FromMinutes(2);

    /// <summary>Whether entries of a kind are of the whole job.</summary>
    public static bool IsOfJob(LogEntryKind kind) => OfTheJob.Contains(kind);

    /// <summary>The entry.</summary>
    /// <param name="log">What is logged already.</param>
    /// <exception cref="FieldFaultsException">A field cannot be taken.</exception>
    public LogEntryDocument Read(IReadOnlyList<LogEntryDocument> log)
    {
        var fields = new TypedFields(edit);
        var entry = new LogEntryDocument
        {
            Id = edit.Id ?? Guid.CreateVersion7(),
            Kind = default,
            At = stamp.At,
            SaidAt = stamp.At,
            By = stamp.By,
        };
        var time = "";
        fields.Require("kind");
        fields.Choice<LogEntryKind>("kind", kind => entry = entry with { Kind = kind });
        fields.Id("entry", _ => true, id => entry = entry with { Id = id ?? entry.Id });
        fields.Id("replaces", _ => true, id => entry = entry with { Replaces = id });
        fields.Id("of", _ => true, id => entry = entry with { Of = id });
        fields.Text("place", LogEntryDocument.LongestPlace, required: false, text => entry = entry with { Place = Said(text) });
        fields.Text("words", LogEntryDocument.LongestWords, required: false, text => entry = entry with { Words = Said(text) });
        fields.Quantity("depth", Depth, si => entry = entry with { DepthMm = si * 1000 });
        fields.Quantity("read", Probe, si => entry = entry with { TempC = si });
        fields.ChoiceOrBlank<StopReason>("reason", one => entry = entry with { Reason = one });
        fields.ChoiceOrBlank<WalkRoundItem>("item", one => entry = entry with { Item = one });
        fields.ChoiceOrBlank<Verdict>("gate", one => entry = entry with { Gate = one });
        fields.TimeOfDay("time", text => time = text);
        fields.Quantity("clockAhead", Zones, minutes => _ahead = TimeSpan.FromMinutes(minutes));
        foreach (var lacks in LacksOf(entry).Where(field => !fields.Has(field)))
        {
            fields.Fault(
                new()
                {
                    Field = lacks,
                    Code = FaultCode.Empty,
                    Typed = "",
                }
            );
        }

        fields.ThrowIfFaulty(
            "kind",
            "entry",
            "replaces",
            "of",
            "place",
            "words",
            "depth",
            "read",
            "reason",
            "item",
            "gate",
            "time",
            "clockAhead"
        );
        var corrected = SprayLog.InForce(log.Select(one => one.ToEntry())).FirstOrDefault(one => one.Id == entry.Replaces);
        var happened = time.Length > 0 ? At(time, corrected?.At ?? stamp.At) : corrected?.At ?? stamp.At;
        return InTime(entry with { At = happened }, log);
    }

    private static string? Said(string text) => text.Length == 0 ? null : text;

    private static IEnumerable<string> LacksOf(LogEntryDocument entry) =>
        entry.Kind switch
        {
            LogEntryKind.Depth => ["depth"],
            LogEntryKind.Probe => ["read"],
            LogEntryKind.Stopped => ["reason"],
            LogEntryKind.Seen => ["item"],
            LogEntryKind.Note or LogEntryKind.Defect => ["words"],
            LogEntryKind.Withdrawn => ["replaces"],
            _ => [],
        };

    // A time that is typed is of the day of what it corrects, else of today; by the clock of the device where that of the place is not
    // known, as it is shown.
    private DateTimeOffset At(string time, DateTimeOffset near)
    {
        var clock = TimeOnly.Parse(time, CultureInfo.InvariantCulture);
        if (PlaceTime.IsKnown(job) || _ahead is not { } ahead)
        {
            var shown = PlaceTime.Day(job, near).ToDateTime(clock);
            return new DateTimeOffset(shown, PlaceTime.OffsetAt(job, shown)).ToUniversalTime();
        }

        return new DateTimeOffset(DateOnly.FromDateTime(near.ToOffset(ahead).DateTime).ToDateTime(clock), ahead).ToUniversalTime();
    }

    // What was typed is held against the clock and the lift it is of. What a device sends of what happened is taken as it is.
    private LogEntryDocument InTime(LogEntryDocument entry, IReadOnlyList<LogEntryDocument> log)
    {
        if (entry.At > stamp.ReceivedAt + Ahead)
        {
            throw FieldFaultsException.Of("time", FaultCode.TimeToCome);
        }

        var begun = SprayLog.InForce(log.Select(one => one.ToEntry())).FirstOrDefault(one => one.Id == entry.Of);
        return entry.Kind == LogEntryKind.LiftEnded && begun is { Kind: LogEntryKind.LiftBegun } && entry.At < begun.At
            ? throw FieldFaultsException.Of("time", FaultCode.EndsBeforeBegin)
            : entry;
    }
}
