using Umbracell.Core.Quantities;
using Umbracell.Core.Rigs.Sequences;
using Umbracell.Documents;
using Umbracell.Questions.Answers;

namespace Umbracell.Questions.Rig;

/// <summary>Puts a sequence that is run to the core.</summary>
public static class SequenceQuestions
{
    /// <summary>Answers a question: what was said is taken as it was said.</summary>
    /// <exception cref="FieldFaultsException">More steps than a sequence has.</exception>
    public static SequenceAnswer Answer(SequenceQuestion question)
    {
        if (question.Sequence.Steps.Count > SequenceDocument.MostSteps)
        {
            throw FieldFaultsException.Of("steps", FaultCode.TooManyParts);
        }

        foreach (var mark in question.Marks)
        {
            QuantityRangeException.Within("year", mark.At.Year, 2000, 2200, Dimension.Count);
        }

        foreach (var step in question.Sequence.Steps)
        {
            QuantityRangeException.Within("wait", step.WaitMin ?? 0, 0, 1440, Dimension.Number);
        }

        var run = RunOf(question);
        var steps = run.Sequence.Steps.Select(step => Told(run, step, question.Now)).ToList();
        return new()
        {
            Steps = steps,
            Over = run.IsOver(question.Now),
            NextAt = steps.Where(step => step.State == StepState.Waiting).Min(step => step.ReadyAt),
        };
    }

    /// <summary>A question as the core runs it.</summary>
    public static SequenceRun RunOf(SequenceQuestion question) => new(question.Sequence.ToSequence(), [.. question.Marks.Select(MarkOf)]);

    /// <summary>What is wrong with a sequence; nothing where it can be used.</summary>
    public static IReadOnlyList<SequenceFaultAnswer> Faults(SequenceDocument sequence) =>
        [.. SequenceFaults.Of(sequence.ToSequence()).Select(fault => new SequenceFaultAnswer(fault.Code, fault.Step, fault.Lacks))];

    private static StepMark MarkOf(StepMarkAsked mark) =>
        new(mark.Step, mark.At, mark.By) { SkippedBecause = mark.SkippedBecause, Read = mark.Read };

    private static StepAnswer Told(SequenceRun run, SequenceStep step, DateTimeOffset now)
    {
        var reading = step.Reading;
        return new()
        {
            Id = step.Id,
            State = run.StateOf(step, now),
            HardStop = step.IsHardStop,
            WaitsFor = [.. run.WaitsFor(step, now).Select(one => one.Id)],
            ReadyAt = run.ReadyAt(step),
            CanTakeBack = run.CanTakeBack(step.Id),
            Least = Figure(reading?.Least, figure => figure.AtLeast),
            Greatest = Figure(reading?.Greatest, figure => figure.AtMost),
            Read = Figure(run.MarkOf(step.Id)?.Read, figure => figure),
        };

        FigureAnswer? Figure(double? si, Func<Figure, Figure> told) =>
            si is { } amount && reading is not null
                ? FigureAnswer.Of(told(new(amount, StepGauges.RangeOf(reading.Gauge).Dimension)))
                : null;
    }
}
