using System.Collections.Concurrent;
using Umbracell.Core.Weather;

namespace Umbracell.Server.Forecasts;

/// <summary>Forecasts that were read from what is kept, the oldest giving way; and sources that are let alone for a while.</summary>
internal sealed class ReadForecasts(ForecastSettings settings)
{
    private const int Most = 200;

    private readonly ConcurrentDictionary<Guid, IReadOnlyList<AirRun>> _runs = new();
    private readonly ConcurrentQueue<Guid> _order = new();
    private readonly ConcurrentDictionary<string, (SourceTrouble Trouble, DateTimeOffset Until)> _waits = new();

    public IReadOnlyList<AirRun>? Of(Guid row) => _runs.GetValueOrDefault(row);

    public void Keep(Guid row, IReadOnlyList<AirRun> runs)
    {
        if (!_runs.TryAdd(row, runs))
        {
            return;
        }

        _order.Enqueue(row);
        while (_order.Count > Most && _order.TryDequeue(out var oldest))
        {
            _runs.TryRemove(oldest, out _);
        }
    }

    public void Wait(SourceTrouble trouble, DateTimeOffset now) =>
        _waits[trouble.Source] = (trouble, now.AddSeconds(settings.LetAloneSeconds));

    public SourceTrouble? WaitsFor(string source, DateTimeOffset now) =>
        _waits.TryGetValue(source, out var waits) && waits.Until > now ? waits.Trouble : null;
}
