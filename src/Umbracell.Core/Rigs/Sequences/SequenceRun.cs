namespace Umbracell.Core.Rigs.Sequences;

/// <summary>What was said of a step.</summary>
/// <param name="Step">Its id.</param>
/// <param name="At">When.</param>
/// <param name="By">Who.</param>
public sealed record StepMark(string Step, DateTimeOffset At, string By)
{
    /// <summary>Why it was skipped; null where it was done.</summary>
    public string? SkippedBecause { get; init; }

    /// <summary>What was read, SI; null where nothing was.</summary>
    public double? Read { get; init; }
}

/// <summary>Where a step is.</summary>
public enum StepState
{
    /// <summary>It waits for others.</summary>
    Blocked,

    /// <summary>It can be done now.</summary>
    Open,

    /// <summary>What it began still takes its time.</summary>
    Waiting,

    /// <summary>Done.</summary>
    Done,

    /// <summary>Skipped, with a reason.</summary>
    Skipped,
}

/// <summary>Why a mark is not taken.</summary>
public enum MarkRefusal
{
    /// <summary>There is no such step.</summary>
    UnknownStep,

    /// <summary>It is done or skipped already.</summary>
    Already,

    /// <summary>Others must be done first.</summary>
    Blocked,

    /// <summary>Nobody can skip it.</summary>
    HardStop,

    /// <summary>It is skipped without a reason.</summary>
    NoReason,

    /// <summary>Its value was not read.</summary>
    NotRead,

    /// <summary>Its value is outside of its limits.</summary>
    OutsideLimits,
}

/// <summary>A sequence that is run: the sequence as it was when it began, and what was said of its steps so far. What is changed of a
/// sequence meanwhile changes nothing of a run.</summary>
/// <param name="Sequence">The sequence.</param>
/// <param name="Marks">What was said, in any order.</param>
public sealed record SequenceRun(Sequence Sequence, IReadOnlyList<StepMark> Marks)
{
    /// <summary>A run that begins.</summary>
    /// <exception cref="ArgumentException">The sequence cannot be used.</exception>
    public static SequenceRun Of(Sequence sequence) =>
        SequenceFaults.Of(sequence) is [var fault, ..]
            ? throw new ArgumentException($"The sequence cannot be used: {fault.Code} at '{fault.Step}'.", nameof(sequence))
            : new(sequence, []);

    /// <summary>What was said of a step; null where nothing was.</summary>
    public StepMark? MarkOf(string step) => Marks.FirstOrDefault(mark => mark.Step == step);

    /// <summary>Where a step is at a time.</summary>
    public StepState StateOf(SequenceStep step, DateTimeOffset now) =>
        MarkOf(step.Id) switch
        {
            { SkippedBecause: not null } => StepState.Skipped,
            { } => IsFinished(step, now) ? StepState.Done : StepState.Waiting,
            null => WaitsFor(step, now).Any() ? StepState.Blocked : StepState.Open,
        };

    /// <summary>Steps a step still waits for, in their order.</summary>
    public IEnumerable<SequenceStep> WaitsFor(SequenceStep step, DateTimeOffset now) =>
        Sequence.Before(step).Where(one => !IsFinished(one, now));

    // Looks at this step alone, never at what it waits for: steps of a sequence nobody has checked can wait for one another in a ring.
    private bool IsFinished(SequenceStep step, DateTimeOffset now) =>
        MarkOf(step.Id) is { } mark && (mark.SkippedBecause is not null || now - mark.At >= (step.Wait ?? TimeSpan.Zero));

    /// <summary>What can be done now, in its order; while something takes its time, this is what can be done meanwhile.</summary>
    public IEnumerable<SequenceStep> Open(DateTimeOffset now) => Sequence.Steps.Where(step => StateOf(step, now) == StepState.Open);

    /// <summary>When what a step began is over; null where it began nothing, or was not done.</summary>
    public DateTimeOffset? ReadyAt(SequenceStep step) =>
        step.Wait is { } wait && MarkOf(step.Id) is { SkippedBecause: null } mark ? mark.At + wait : null;

    /// <summary>Whether nothing is left to do or to wait for.</summary>
    public bool IsOver(DateTimeOffset now) => Sequence.Steps.All(step => StateOf(step, now) is StepState.Done or StepState.Skipped);

    /// <summary>Why a mark cannot be taken; null where it can.</summary>
    public MarkRefusal? Refuses(StepMark mark)
    {
        if (Sequence[mark.Step] is not { } step)
        {
            return MarkRefusal.UnknownStep;
        }

        return MarkOf(mark.Step) is not null ? MarkRefusal.Already
            : mark.SkippedBecause is { } reason ? RefusesSkip(step, reason)
            : WaitsFor(step, mark.At).Any() ? MarkRefusal.Blocked
            : step.Reading is not { } reading ? null
            : mark.Read is not { } read ? MarkRefusal.NotRead
            : reading.Holds(read) ? null
            : MarkRefusal.OutsideLimits;
    }

    /// <summary>The run with a mark more.</summary>
    /// <exception cref="InvalidOperationException">It cannot be taken (<see cref="Refuses"/>).</exception>
    public SequenceRun With(StepMark mark) =>
        Refuses(mark) is { } why
            ? throw new InvalidOperationException($"'{mark.Step}' is not taken: {why}.")
            : this with
            {
                Marks = [.. Marks, mark],
            };

    /// <summary>Whether a mark can be taken back: nothing that waited for it has been done since.</summary>
    public bool CanTakeBack(string step) =>
        Sequence[step] is { } taken
        && MarkOf(step) is not null
        && !Sequence.Steps.Any(one => MarkOf(one.Id) is not null && Sequence.Before(one).Contains(taken));

    private static MarkRefusal? RefusesSkip(SequenceStep step, string reason) =>
        step.IsHardStop ? MarkRefusal.HardStop
        : string.IsNullOrWhiteSpace(reason) ? MarkRefusal.NoReason
        : null;
}
