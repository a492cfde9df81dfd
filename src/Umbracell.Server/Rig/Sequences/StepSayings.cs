using Umbracell.Core.Quantities;
using Umbracell.Core.Rigs.Sequences;
using Umbracell.Questions.Answers;
using Umbracell.Server.Typing;
using Umbracell.Store.Model;

namespace Umbracell.Server.Rig.Sequences;

/// <summary>Reads what is said of steps: <c>done</c>, what was read there, <c>skip: why</c>, or <c>open</c> to take it back.</summary>
internal sealed class StepSayings(SequenceRun begun, TypedFields fields, Stamp stamp)
{
    // What is said first counts for what is said after it.
    private SequenceRun _run = begun;

    private const string Done = "done",
        TakenBack = "open",
        Skipped = "skip:";

    // Who is at the device now is not held to seconds: another device's clock differs.
    private static readonly TimeSpan Together = TimeSpan.FromMinutes(2);

    /// <summary>What is said of a step; null where that was said already, or cannot be taken: then the field is at fault.</summary>
    public StepMarkRow? Read(string step)
    {
        var typed = fields.Raw(step).Trim();
        return typed == TakenBack ? ReadTakenBack(step)
            : typed.StartsWith(Skipped, StringComparison.Ordinal) ? Marked(step, null, typed[Skipped.Length..].Trim())
            : typed == Done ? Marked(step, null, null)
            : _run.Sequence[step]?.Reading is { } reading ? ReadGauge(step, typed, reading)
            : Refused(step, FaultCode.Unknown);
    }

    private StepMarkRow? ReadTakenBack(string step) =>
        _run.MarkOf(step) is null ? null
        : _run.CanTakeBack(step) ? Row(step, StepSaying.TakenBack)
        : Refused(step, FaultCode.StepFollowed);

    private StepMarkRow? ReadGauge(string step, string typed, StepReading reading)
    {
        var read = QuantityParser.Parse(typed, StepGauges.RangeOf(reading.Gauge), fields.Units);
        if (read.Fault is not null)
        {
            fields.Fault(FieldFault.Of(step, read));
            return null;
        }

        fields.Mark(FieldDoubt.Of(step, read));
        return Marked(step, read.Figure!.Value.Amount, null);
    }

    private StepMarkRow? Marked(string step, double? read, string? reason)
    {
        var at = stamp.ReceivedAt - stamp.At < Together ? stamp.ReceivedAt : stamp.At;
        var mark = new StepMark(step, at, stamp.By) { SkippedBecause = reason, Read = read };
        return _run.Refuses(mark) switch
        {
            null when reason?.Length > StepMarkRow.LongestReason => Refused(step, FaultCode.TooLong),
            null => Taken(mark),
            // Two who did the same step: it is done.
            MarkRefusal.Already => null,
            MarkRefusal.Blocked => Refused(step, FaultCode.StepBlocked),
            MarkRefusal.HardStop => Refused(step, FaultCode.StepHardStop),
            MarkRefusal.NoReason or MarkRefusal.NotRead => Refused(step, FaultCode.Empty),
            MarkRefusal.OutsideLimits => Outside(step, _run.Sequence[step]!.Reading!),
            _ => Refused(step, FaultCode.Unknown),
        };
    }

    private StepMarkRow Taken(StepMark mark)
    {
        _run = _run.With(mark);
        return Row(mark.Step, mark.SkippedBecause is null ? StepSaying.Done : StepSaying.Skipped, mark.Read, mark.SkippedBecause);
    }

    private StepMarkRow Row(string step, StepSaying saying, double? read = null, string? reason = null) =>
        new()
        {
            Id = Guid.CreateVersion7(),
            Step = step,
            Saying = saying,
            Reason = reason ?? "",
            Read = read,
            SaidAt = stamp.At,
            ReceivedAt = stamp.ReceivedAt,
            SaidBy = stamp.By,
        };

    private StepMarkRow? Refused(string step, FaultCode code) =>
        Refused(
            new()
            {
                Field = step,
                Code = code,
                Typed = fields.Raw(step),
            }
        );

    private StepMarkRow? Outside(string step, StepReading limits)
    {
        var range = StepGauges.RangeOf(limits.Gauge);
        var allowed = range with { Least = limits.Least ?? range.Least, Greatest = limits.Greatest ?? range.Greatest };
        return Refused(
            new()
            {
                Field = step,
                Code = FaultCode.OutOfRange,
                Typed = fields.Raw(step),
                Least = FigureAnswer.Of(allowed.LeastFigure),
                Greatest = FigureAnswer.Of(allowed.GreatestFigure),
            }
        );
    }

    private StepMarkRow? Refused(FieldFault fault)
    {
        fields.Fault(fault);
        return null;
    }
}
