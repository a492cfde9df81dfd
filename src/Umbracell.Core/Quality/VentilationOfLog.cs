using Umbracell.Core.Spraying;

namespace Umbracell.Core.Quality;

/// <summary>How the ventilation of a job ran, by its log.</summary>
public static class VentilationOfLog
{
    /// <summary>From when on it ran otherwise.</summary>
    /// <remarks>Air changes that were read while it ran hold for all of that spell, and for later ones until they are read again: it is the same fan in the
    /// same rooms.</remarks>
    /// <param name="entries">Entries of the job, in any order.</param>
    public static IReadOnlyList<VentilationChange> Of(IEnumerable<LogEntry> entries)
    {
        List<VentilationChange> changes = [];
        double? made = null;
        foreach (var entry in SprayLog.InForce(entries))
        {
            switch (entry.Kind)
            {
                case LogEntryKind.VentilationOn:
                    made = entry.Proof?.AirChanges ?? made;
                    changes.Add(new(entry.At, true, made));
                    break;
                case LogEntryKind.VentilationOff:
                    changes.Add(new(entry.At, false, null));
                    break;
                case LogEntryKind.VentilationRead when entry.Proof?.AirChanges is { } read:
                    made = read;
                    if (changes is [.., { IsOn: true } last])
                    {
                        changes[^1] = last with { AirChanges = last.AirChanges ?? read };
                        changes.Add(new(entry.At, true, read));
                    }

                    break;
            }
        }

        return changes;
    }
}
