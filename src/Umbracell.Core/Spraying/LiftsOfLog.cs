using Umbracell.Core.Quantities;

namespace Umbracell.Core.Spraying;

/// <summary>Lifts as they come out of the entries in force, taken by the time they happened.</summary>
internal sealed class LiftsOfLog
{
    private readonly List<LogEntry> _begun = [];
    private readonly Dictionary<Guid, DateTimeOffset> _ends = [];
    private readonly Dictionary<Guid, List<double>> _depths = [];
    private readonly Dictionary<Guid, (Temperature, DateTimeOffset)> _probes = [];

    // What names no lift is of the last that was begun before it.
    private Guid? _last;

    public void Take(LogEntry entry)
    {
        if (entry.Kind == LogEntryKind.LiftBegun)
        {
            _begun.Add(entry);
            _last = entry.Id;
            return;
        }

        if ((entry.Of ?? _last) is not { } lift)
        {
            return;
        }

        switch (entry.Kind)
        {
            // Ended on two devices it was ended when the later one says.
            case LogEntryKind.LiftEnded:
                _ends[lift] = entry.At;
                break;
            // Edges and corners are thinner than the area: they tell nothing of how much was sprayed.
            case LogEntryKind.Depth when entry.Depth is { } depth && entry.Proof?.Spot is not { Kind: not PlaceKind.Area }:
                if (!_depths.TryGetValue(lift, out var read))
                {
                    _depths[lift] = read = [];
                }

                read.Add(depth.Metres);
                break;
            case LogEntryKind.Probe when entry.Read is { } at:
                _probes[lift] = (at, entry.At);
                break;
        }
    }

    public IReadOnlyList<SprayedLift> Made()
    {
        List<SprayedLift> lifts = new(_begun.Count);
        double? below = 0;
        foreach (var begun in _begun)
        {
            var depths = _depths.GetValueOrDefault(begun.Id);
            double? depth = depths is null ? null : depths.Average();
            lifts.Add(
                new()
                {
                    Id = begun.Id,
                    Number = lifts.Count + 1,
                    BegunAt = begun.At,
                    EndedAt = _ends.TryGetValue(begun.Id, out var end) ? end : null,
                    Gate = begun.Gate,
                    Depth = depth is { } metres ? Length.FromMetres(metres) : null,
                    Depths = depths?.Count ?? 0,
                    DepthScatter = Length.FromMetres(ScatterOf(depths ?? [], depth ?? 0)),
                    Thickness = depth > below ? Length.FromMetres(depth.Value - below.Value) : null,
                    Probe = _probes.TryGetValue(begun.Id, out var probe) ? probe : null,
                }
            );
            below = depth;
        }

        return lifts;
    }

    private static double ScatterOf(List<double> depths, double mean) =>
        depths.Count < 2 ? 0 : Math.Sqrt(depths.Sum(depth => (depth - mean) * (depth - mean)) / (depths.Count - 1));
}
