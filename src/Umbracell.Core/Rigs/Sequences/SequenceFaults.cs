namespace Umbracell.Core.Rigs.Sequences;

/// <summary>What is wrong with a sequence.</summary>
public enum SequenceFaultCode
{
    /// <summary>It has no step.</summary>
    Empty,

    /// <summary>Two steps have the same id.</summary>
    SameId,

    /// <summary>A step names another that is not there.</summary>
    UnknownStep,

    /// <summary>Steps wait for one another in a ring.</summary>
    Ring,

    /// <summary>A step that protects people or pumps is missing.</summary>
    Unprotected,

    /// <summary>A step stands before one that must be done first.</summary>
    WrongOrder,

    /// <summary>Limits that no value lies within.</summary>
    NoValueHolds,

    /// <summary>A wait of nothing, or of more than a day.</summary>
    Wait,
}

/// <summary>Something wrong with a sequence.</summary>
/// <param name="Code">What.</param>
/// <param name="Step">At which step; empty for the whole.</param>
/// <param name="Lacks">The act that is missing or comes too late; null where it is none.</param>
public readonly record struct SequenceFault(SequenceFaultCode Code, string Step, RigAct? Lacks = null);

/// <summary>Looks whether a sequence can be run, and protects people and pumps, whoever wrote it.</summary>
public static class SequenceFaults
{
    private static readonly TimeSpan LongestWait = TimeSpan.FromDays(1);

    /// <summary>All that is wrong with it; nothing where it can be used.</summary>
    public static IReadOnlyList<SequenceFault> Of(Sequence sequence) =>
        [.. OfWhole(sequence), .. sequence.Steps.SelectMany((step, at) => OfStep(sequence, step, at))];

    private static IEnumerable<SequenceFault> OfWhole(Sequence sequence)
    {
        if (sequence.Steps.Count == 0)
        {
            yield return new(SequenceFaultCode.Empty, "");
        }

        foreach (var twice in sequence.Steps.GroupBy(step => step.Id).Where(same => same.Count() > 1))
        {
            yield return new(SequenceFaultCode.SameId, twice.Key);
        }
    }

    private static IEnumerable<SequenceFault> OfStep(Sequence sequence, SequenceStep step, int at)
    {
        foreach (var named in step.After.Where(id => sequence[id] is null))
        {
            yield return new(SequenceFaultCode.UnknownStep, step.Id);
        }

        if (step.Act is { } act)
        {
            foreach (var first in RigOrders.Before(act))
            {
                var where = sequence.Steps.TakeWhile(one => one.Act != first).Count();
                if (where == sequence.Steps.Count)
                {
                    yield return new(SequenceFaultCode.Unprotected, step.Id, first);
                }
                else if (where > at)
                {
                    yield return new(SequenceFaultCode.WrongOrder, step.Id, first);
                }
            }
        }

        if (WaitsForItself(sequence, step))
        {
            yield return new(SequenceFaultCode.Ring, step.Id);
        }

        if (step.Reading is { Least: { } least, Greatest: { } greatest } && least > greatest)
        {
            yield return new(SequenceFaultCode.NoValueHolds, step.Id);
        }

        if (step.Wait is { } wait && (wait <= TimeSpan.Zero || wait > LongestWait))
        {
            yield return new(SequenceFaultCode.Wait, step.Id);
        }
    }

    private static bool WaitsForItself(Sequence sequence, SequenceStep step)
    {
        var seen = new HashSet<SequenceStep>();
        var open = new Queue<SequenceStep>(sequence.Before(step));
        while (open.TryDequeue(out var one))
        {
            if (one == step)
            {
                return true;
            }

            if (seen.Add(one))
            {
                foreach (var before in sequence.Before(one))
                {
                    open.Enqueue(before);
                }
            }
        }

        return false;
    }
}
