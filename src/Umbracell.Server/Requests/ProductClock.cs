using System.Globalization;

namespace Umbracell.Server.Requests;

/// <summary>The time everything of the product goes by. It is the machine's, unless a demo is to play on another day: then it starts at
/// the instant that was set and goes at the rate that was set.</summary>
/// <remarks>
/// Set by <c>Clock:Start</c>, an instant, <c>Clock:Rate</c>, how many times as fast as the machine's it goes (1), and <c>Clock:Since</c>,
/// the machine's own time at which it stood at its start (now): with that one, several programs go by one clock. What guards sign-ins
/// goes by the machine's time all the same.
/// </remarks>
internal sealed class ProductClock : TimeProvider
{
    private readonly DateTimeOffset? _start;
    private readonly DateTimeOffset _since;

    public ProductClock(IConfiguration settings, TimeProvider machine)
    {
        Machine = machine;
        _start = InstantOf(settings["Clock:Start"], "Clock:Start");
        _since = InstantOf(settings["Clock:Since"], "Clock:Since") ?? machine.GetUtcNow();
        Rate = RateOf(settings["Clock:Rate"]);
    }

    /// <summary>How many times as fast as the machine's it goes.</summary>
    public double Rate { get; }

    /// <summary>Whether it shows another time than the machine's.</summary>
    public bool IsOfDemo => _start is not null;

    private TimeProvider Machine { get; }

    public override DateTimeOffset GetUtcNow()
    {
        var now = Machine.GetUtcNow();
        return _start is { } start ? start + (now - _since) * Rate : now;
    }

    private static DateTimeOffset? InstantOf(string? text, string setting) =>
        string.IsNullOrWhiteSpace(text) ? null
        : DateTimeOffset.TryParse(text, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal, out var instant)
            ? instant.ToUniversalTime()
        : throw new InvalidOperationException($"{setting} is no instant: '{text}'. Write it as 2026-11-23T12:40:00Z.");

    private static double RateOf(string? text) =>
        string.IsNullOrWhiteSpace(text) ? 1
        : double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var rate) && rate is > 0 and <= 10_000 ? rate
        : throw new InvalidOperationException($"Clock:Rate must be a number over 0 up to 10,000, not '{text}'.");
}
