using Umbracell.Core.Quantities;
using Umbracell.Core.Spraying;

namespace Umbracell.Core.Quality;

/// <summary>A depth that counts for the proof.</summary>
/// <param name="Id">The entry.</param>
/// <param name="At">When it was read.</param>
/// <param name="Depth">All foam there.</param>
/// <param name="Spot">Where; null where nobody said.</param>
public sealed record ProofReading(Guid Id, DateTimeOffset At, Length Depth, ProofSpot? Spot)
{
    /// <summary>Whether it counts for what is said about the area.</summary>
    public bool IsOfArea => Spot is not { Kind: not PlaceKind.Area };
}

/// <summary>A sample as it was said.</summary>
/// <param name="Id">The entry.</param>
/// <param name="At">When.</param>
/// <param name="Said">What.</param>
public sealed record TakenSample(Guid Id, DateTimeOffset At, SampleSaid Said);

/// <summary>A signature under the inspection.</summary>
/// <param name="Id">The entry.</param>
/// <param name="At">When.</param>
/// <param name="By">Who.</param>
public sealed record InspectionSignature(Guid Id, DateTimeOffset At, Signature By);

/// <summary>What was read, seen and found on a surface: a pure function of the entries of its log, whatever order they arrived in.</summary>
public sealed record ProvenSurface
{
    /// <summary>Depths that count, by time: read once all planned lifts were on, or of a surface that is called finished with fewer; at the
    /// same place the last.</summary>
    public required IReadOnlyList<ProofReading> Readings { get; init; }

    /// <summary>What a probe read on the block it was held to last, and how thick that is; null where nobody held it to one.</summary>
    public required (Length Read, Length Block)? Probe { get; init; }

    /// <summary>Samples, by time.</summary>
    public required IReadOnlyList<TakenSample> Samples { get; init; }

    /// <summary>What of the inspection was seen.</summary>
    public required IReadOnlySet<InspectionItem> Inspected { get; init; }

    /// <summary>Who signed the inspection last; null where nobody did, or foam went on after that.</summary>
    public required InspectionSignature? SignedBy { get; init; }

    /// <summary>Defects, by the time they were found.</summary>
    public required IReadOnlyList<FoundDefect> Defects { get; init; }

    /// <summary>Which draw of places is in force; 0 until somebody drew anew.</summary>
    public required int Seed { get; init; }

    /// <summary>Whether all of its foam is on, as far as the log tells: before that nothing of it is proven.</summary>
    public required bool IsWhole { get; init; }

    /// <summary>Whether a lift was logged.</summary>
    public required bool IsSprayed { get; init; }

    /// <summary>What is known of a surface.</summary>
    /// <param name="entries">Its entries and those of the whole job, in any order, any of them more than once.</param>
    /// <param name="planned">Lifts that are planned, 1 or more.</param>
    public static ProvenSurface Of(IEnumerable<LogEntry> entries, int planned)
    {
        var log = SprayLog.InForce(entries);
        var lifts = log.Where(entry => entry.Kind == LogEntryKind.LiftBegun).ToList();
        var whole = WholeSince(log, lifts, planned);
        HashSet<InspectionItem> inspected = [];
        List<TakenSample> samples = [];
        InspectionSignature? signed = null;
        (Length, Length)? probe = null;
        var seed = 0;
        foreach (var entry in log)
        {
            switch (entry)
            {
                // What is sprayed on is to be seen again.
                case { Kind: LogEntryKind.LiftBegun }:
                    inspected.Clear();
                    signed = null;
                    break;
                case { Kind: LogEntryKind.Inspected, Proof.Item: { } item }:
                    inspected.Add(item);
                    break;
                case { Kind: LogEntryKind.SignedOff, Proof.Signature: { } by }:
                    signed = new(entry.Id, entry.At, by);
                    break;
                case { Kind: LogEntryKind.Sampled, Proof.Sample: { } sample }:
                    samples.Add(new(entry.Id, entry.At, sample));
                    break;
                case { Kind: LogEntryKind.ProbeChecked, Depth: { } read, Proof.Block: { } block }:
                    probe = (read, block);
                    break;
                case { Kind: LogEntryKind.PlacesDrawn, Proof.Seed: { } drawn }:
                    seed = drawn;
                    break;
            }
        }

        return new()
        {
            Readings = ReadingsOf(log, whole),
            Probe = probe,
            Samples = samples,
            Inspected = inspected,
            SignedBy = signed,
            Defects = FoundDefect.Of(log),
            Seed = seed,
            IsWhole = lifts.Count > 0 && whole is not null,
            IsSprayed = lifts.Count > 0,
        };
    }

    // From when on depths count; null while foam is still to come. What was read where nobody logged a lift counts too, and is told.
    private static DateTimeOffset? WholeSince(IReadOnlyList<LogEntry> log, List<LogEntry> lifts, int planned)
    {
        if (lifts.Count == 0 || lifts.Count >= planned)
        {
            return lifts.Count == 0 ? DateTimeOffset.MinValue : lifts[Math.Max(planned, 1) - 1].At;
        }

        var last = log.LastOrDefault(entry => entry.Kind is LogEntryKind.Finished or LogEntryKind.Reopened or LogEntryKind.LiftBegun);
        return last?.Kind == LogEntryKind.Finished ? lifts[^1].At : null;
    }

    // A lift that is added at a thin place later leaves the other places as they were.
    private static List<ProofReading> ReadingsOf(IReadOnlyList<LogEntry> log, DateTimeOffset? whole)
    {
        Dictionary<object, ProofReading> places = [];
        Dictionary<Guid, object> keys = [];
        var draw = 0;
        foreach (var entry in log)
        {
            // Numbers are of the draw they were read by; what was read before stays, where it was read.
            if (entry.Kind == LogEntryKind.PlacesDrawn)
            {
                draw++;
                foreach (var (key, before) in places.ToList())
                {
                    places[key] = before with { Spot = before.Spot is { } at ? at with { Number = null } : null };
                }
            }

            if (entry is not { Kind: LogEntryKind.Depth, Depth: { } depth } || !(entry.At >= whole))
            {
                continue;
            }

            var spot = entry.Proof?.Spot;
            object place =
                entry.Proof?.Again is { } again && keys.TryGetValue(again, out var same) ? same
                : spot?.Number is { } number ? (draw, number)
                : entry.Id;
            keys[entry.Id] = place;
            places[place] = new(entry.Id, entry.At, depth, spot ?? places.GetValueOrDefault(place)?.Spot);
        }

        return [.. places.Values.OrderBy(reading => reading.At).ThenBy(reading => reading.Id)];
    }
}
