namespace Umbracell.Core.Weather;

/// <summary>When the sun rises and sets. At the poles there are days on which it does neither.</summary>
/// <param name="Rise">First instant at which its edge is seen; null where it does not rise in these hours.</param>
/// <param name="Set">Last instant; null where it does not set in these hours.</param>
/// <param name="IsUpAtStart">Whether it is up when the hours begin.</param>
public readonly record struct SunDay(DateTimeOffset? Rise, DateTimeOffset? Set, bool IsUpAtStart)
{
    /// <summary>Rise and set within the day that begins at an instant.</summary>
    /// <param name="midnight">First instant of the day where the place is.</param>
    /// <param name="length">Length of the day: 23, 24 or 25 hours where clocks are changed.</param>
    /// <param name="place">Where.</param>
    /// <exception cref="Quantities.QuantityRangeException">Not on the globe.</exception>
    public static SunDay Of(DateTimeOffset midnight, TimeSpan length, GeoPoint place)
    {
        DateTimeOffset? rise = null,
            set = null;
        var (at, end) = (midnight, midnight + length);
        var wasUp = IsUp(at);
        var atStart = wasUp;
        while (at < end)
        {
            var next = at + Step < end ? at + Step : end;
            var isUp = IsUp(next);
            if (isUp != wasUp)
            {
                var crossing = Crossing(at, next, wasUp);
                (rise, set) = (isUp ? rise ?? crossing : rise, isUp ? set : crossing);
            }

            (at, wasUp) = (next, isUp);
        }

        return new(rise, set, atStart);

        bool IsUp(DateTimeOffset instant) => SunPosition.At(instant, place).ElevationDegrees >= SunPosition.RiseDegrees;

        DateTimeOffset Crossing(DateTimeOffset before, DateTimeOffset after, bool upBefore)
        {
            while (after - before > TimeSpan.FromSeconds(10))
            {
                var middle = before + (after - before) / 2;
                (before, after) = IsUp(middle) == upBefore ? (middle, after) : (before, middle);
            }

            return after;
        }
    }

    private static readonly TimeSpan Step = TimeSpan.FromMinutes(20);
}
