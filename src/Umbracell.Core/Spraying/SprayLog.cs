namespace Umbracell.Core.Spraying;

/// <summary>The log of a surface: which of its entries are in force.</summary>
public static class SprayLog
{
    /// <summary>The entries in force by the time they happened, whatever order they arrived in: each once, the latest of its corrections
    /// under the id of what it corrects, and none that was withdrawn.</summary>
    public static IReadOnlyList<LogEntry> InForce(IEnumerable<LogEntry> entries)
    {
        Dictionary<Guid, LogEntry> known = [];
        foreach (var entry in entries)
        {
            known[entry.Id] = known.TryGetValue(entry.Id, out var same) ? Later(same, entry) : entry;
        }

        Dictionary<Guid, LogEntry> latest = new(known.Count);
        foreach (var entry in known.Values)
        {
            var root = RootOf(entry, known);
            latest[root] = latest.TryGetValue(root, out var other) ? Later(other, entry) : entry;
        }

        List<LogEntry> inForce = new(latest.Count);
        foreach (var (root, entry) in latest)
        {
            if (entry.Kind != LogEntryKind.Withdrawn)
            {
                inForce.Add(entry.Id == root ? entry : entry with { Id = root });
            }
        }

        inForce.Sort(ByTime);
        return inForce;
    }

    // What was said later; at the same moment the greater id, so that every device picks the same.
    private static LogEntry Later(LogEntry one, LogEntry other) =>
        one.SaidAt.CompareTo(other.SaidAt) is var order and not 0 ? (order > 0 ? one : other)
        : one.Id.CompareTo(other.Id) >= 0 ? one
        : other;

    private static int ByTime(LogEntry one, LogEntry other) =>
        one.At.CompareTo(other.At) is var order and not 0 ? order : one.Id.CompareTo(other.Id);

    // A correction of a correction is one of the first entry. What replaces itself in a ring is named by the least of its ids.
    private static Guid RootOf(LogEntry entry, Dictionary<Guid, LogEntry> known)
    {
        if (entry.Replaces is null)
        {
            return entry.Id;
        }

        var (root, least) = (entry.Id, entry.Id);
        for (var steps = 0; steps <= known.Count; steps++)
        {
            if (!known.TryGetValue(root, out var at) || at.Replaces is not { } before)
            {
                return root;
            }

            root = before;
            if (root == entry.Id)
            {
                return least;
            }

            least = root.CompareTo(least) < 0 ? root : least;
        }

        // It leads into a ring it is not part of.
        return RingOf(root, known);
    }

    private static Guid RingOf(Guid within, Dictionary<Guid, LogEntry> known)
    {
        var least = within;
        for (var at = known[within].Replaces!.Value; at != within; at = known[at].Replaces!.Value)
        {
            least = at.CompareTo(least) < 0 ? at : least;
        }

        return least;
    }
}
