using Umbracell.Core.Spraying;

namespace Umbracell.Core.Quality;

/// <summary>What is accounted for before people come back: waste, drums, masks, covers.</summary>
public static class Clearances
{
    /// <summary>What was accounted for since the last lift was begun.</summary>
    /// <param name="entries">Entries of the job and of all its surfaces, in any order.</param>
    public static IReadOnlySet<Clearance> Of(IEnumerable<LogEntry> entries)
    {
        HashSet<Clearance> accounted = [];
        foreach (var entry in SprayLog.InForce(entries))
        {
            if (entry.Kind == LogEntryKind.LiftBegun)
            {
                accounted.Clear();
            }
            else if (entry is { Kind: LogEntryKind.AccountedFor, Proof.Accounted: { } item })
            {
                accounted.Add(item);
            }
        }

        return accounted;
    }
}
