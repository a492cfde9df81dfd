using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;

namespace Umbracell.Core.Spraying;

/// <summary>How far a surface is, by its log: a pure function of the entries, whatever order they arrived in.</summary>
public sealed record SprayedSurface
{
    /// <summary>Its lifts, by the time they were begun.</summary>
    public required IReadOnlyList<SprayedLift> Lifts { get; init; }

    /// <summary>Stops that nobody ended.</summary>
    public required IReadOnlyList<LogEntry> OpenStops { get; init; }

    /// <summary>Defects that were noted, and not repaired and found sound since.</summary>
    public required int Defects { get; init; }

    /// <summary>What of the walk-round was seen.</summary>
    public required IReadOnlySet<WalkRoundItem> Seen { get; init; }

    /// <summary>Whether the ventilation runs; null until somebody said.</summary>
    public required bool? Ventilated { get; init; }

    /// <summary>Whether the work area is clear of people without protection, and nothing burns in it; null until somebody said.</summary>
    public required bool? AreaClear { get; init; }

    /// <summary>When it was finished; null where it is not.</summary>
    public required DateTimeOffset? FinishedAt { get; init; }

    /// <summary>When spraying was finished at the whole job; null where it was not, or went on after that.</summary>
    public DateTimeOffset? JobFinishedAt { get; init; }

    /// <summary>Drums of both sides, A first.</summary>
    public required IReadOnlyList<DrumUse> Drums { get; init; }

    /// <summary>The lift that is sprayed now; null between lifts.</summary>
    public SprayedLift? Open => Lifts.LastOrDefault(lift => lift.EndedAt is null);

    /// <summary>The last lift that was ended; null before the first was.</summary>
    public SprayedLift? LastEnded => Lifts.Where(lift => lift.EndedAt is not null).MaxBy(lift => lift.EndedAt);

    /// <summary>Mean depth of all foam where it was read last; null until it was.</summary>
    public Length? Depth => Lifts.LastOrDefault(lift => lift.Depth is not null)?.Depth;

    /// <summary>How long the trigger was held after a time: lifts of this log, the one under way up to now.</summary>
    /// <param name="since">From when.</param>
    /// <param name="now">Until when.</param>
    public TimeSpan SprayedSince(DateTimeOffset since, DateTimeOffset now)
    {
        var sum = TimeSpan.Zero;
        foreach (var lift in Lifts)
        {
            var (from, to) = (Later(lift.BegunAt, since), Earlier(lift.EndedAt ?? now, now));
            sum += to > from ? to - from : TimeSpan.Zero;
        }

        return sum;

        static DateTimeOffset Later(DateTimeOffset a, DateTimeOffset b) => a > b ? a : b;
        static DateTimeOffset Earlier(DateTimeOffset a, DateTimeOffset b) => a < b ? a : b;
    }

    /// <summary>How far a surface is.</summary>
    /// <param name="entries">Its entries and those of the whole job, in any order, any of them more than once.</param>
    /// <param name="areaSince">From when on what was said of the work area counts: the day before, others were in it again.</param>
    /// <param name="sheet">Its product: drums of another are left out; null for all.</param>
    public static SprayedSurface Of(IEnumerable<LogEntry> entries, DateTimeOffset? areaSince = null, string? sheet = null)
    {
        var log = SprayLog.InForce(entries);
        var lifts = new LiftsOfLog();
        DrumsOfLog[] drums = [new(SetSide.A, sheet), new(SetSide.B, sheet)];
        List<LogEntry> stops = [];
        HashSet<WalkRoundItem> seen = [];
        var (ventilated, clear) = (default(bool?), default(bool?));
        DateTimeOffset? finished = null;
        DateTimeOffset? jobFinished = null;
        foreach (var entry in log)
        {
            lifts.Take(entry);
            Array.ForEach(drums, side => side.Take(entry));
            switch (entry.Kind)
            {
                // Who sprays again has ended the stop, and the surface is not finished.
                case LogEntryKind.LiftBegun:
                    stops.Clear();
                    finished = null;
                    jobFinished = null;
                    break;
                case LogEntryKind.Stopped:
                    stops.Add(entry);
                    break;
                case LogEntryKind.Resumed:
                    stops.RemoveAll(stop => entry.Of is null || stop.Id == entry.Of);
                    break;
                case LogEntryKind.VentilationOn or LogEntryKind.VentilationOff when !(entry.At < areaSince):
                    ventilated = entry.Kind == LogEntryKind.VentilationOn;
                    break;
                case LogEntryKind.AreaClear or LogEntryKind.AreaEntered when !(entry.At < areaSince):
                    clear = entry.Kind == LogEntryKind.AreaClear;
                    break;
                case LogEntryKind.Seen when entry.Item is { } item:
                    seen.Add(item);
                    break;
                case LogEntryKind.Finished:
                    finished = entry.At;
                    break;
                case LogEntryKind.Reopened:
                    finished = null;
                    break;
                case LogEntryKind.JobFinished:
                    jobFinished = entry.At;
                    break;
                case LogEntryKind.JobReopened:
                    jobFinished = null;
                    break;
            }
        }

        return new()
        {
            Lifts = lifts.Made(),
            OpenStops = stops,
            Defects = FoundDefect.Of(log).Count(defect => defect.State != DefectState.Closed),
            Seen = seen,
            Ventilated = ventilated,
            AreaClear = clear,
            FinishedAt = finished,
            JobFinishedAt = jobFinished,
            Drums = [.. drums.Select(side => side.Made())],
        };
    }
}
