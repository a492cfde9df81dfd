using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;

namespace Umbracell.Core.Weather;

/// <summary>A drum that stands in the air of hours to come: what it is at a start, left to itself, and when it must go into a blanket or a
/// hot room to be warm enough.</summary>
public static class DrumHours
{
    // A drum takes hours to follow: a quarter of one is fine enough.
    private static readonly TimeSpan Step = TimeSpan.FromMinutes(15);

    /// <summary>Air by the hour in the middle of the members, for what stands outdoors.</summary>
    /// <param name="members">The members, which begin and end together; at least one.</param>
    /// <returns>The air at an instant; null where no member tells it.</returns>
    public static Func<DateTimeOffset, Temperature?> MiddleOf(IReadOnlyList<AirRun> members)
    {
        var middle = new double?[members[0].Hours.Count];
        for (var h = 0; h < middle.Length; h++)
        {
            var known = members.Select(run => run.Hours[h].Temperature).OfType<Temperature>().Select(t => t.Celsius).Order().ToArray();
            middle[h] = known.Length == 0 ? null : Spread.Quantile(known, 0.5);
        }

        return at =>
            (int)Math.Floor((at - members[0].Start).TotalHours) is >= 0 and var h && h < middle.Length && middle[h] is { } celsius
                ? Temperature.FromCelsius(celsius)
                : null;
    }

    /// <summary>What a drum is at an instant.</summary>
    /// <param name="drum">The drum as it was read, with its blanket or none.</param>
    /// <param name="from">When it was read.</param>
    /// <param name="to">The instant.</param>
    /// <param name="air">Air around it; what it is where it is not told leaves the drum as it is.</param>
    public static Temperature At(DrumWarmth drum, DateTimeOffset from, DateTimeOffset to, Func<DateTimeOffset, Temperature?> air)
    {
        var now = drum.Start;
        for (var at = from; at < to; at += Step)
        {
            var step = to - at < Step ? to - at : Step;
            if (air(at) is { } around)
            {
                now = (drum with { Start = now, Around = around }).After(step);
            }
        }

        return now;
    }

    /// <summary>The latest instant, to the quarter of an hour, at which a blanket can go on and the drum is warm enough at the
    /// start.</summary>
    /// <param name="drum">The drum as it was read, with its blanket; bare until that goes on.</param>
    /// <param name="from">When it was read.</param>
    /// <param name="now">Before this nothing can go on.</param>
    /// <param name="start">When it is wanted.</param>
    /// <param name="wanted">What is wanted.</param>
    /// <param name="air">Air around it.</param>
    /// <returns>The start itself where it needs no blanket; null where it is too cold though the blanket goes on now.</returns>
    public static DateTimeOffset? LatestOn(
        DrumWarmth drum,
        DateTimeOffset from,
        DateTimeOffset now,
        DateTimeOffset start,
        Temperature wanted,
        Func<DateTimeOffset, Temperature?> air
    )
    {
        var bare = drum with { Blanket = 0 };
        return Latest(now, start, on => At(drum with { Start = At(bare, from, on, air) }, on, start, air) >= wanted);
    }

    /// <summary>The latest instant, to the quarter of an hour, at which a drum can go into a hot room and is warm enough at the
    /// start.</summary>
    /// <param name="drum">The drum as it was read, bare.</param>
    /// <param name="from">When it was read.</param>
    /// <param name="now">Before this nothing can go in.</param>
    /// <param name="start">When it is wanted.</param>
    /// <param name="wanted">What is wanted.</param>
    /// <param name="air">Air around it until then.</param>
    /// <param name="room">Air of the hot room.</param>
    /// <returns>The start itself where it needs no warming; null where it is too cold though it goes in now.</returns>
    public static DateTimeOffset? LatestInto(
        DrumWarmth drum,
        DateTimeOffset from,
        DateTimeOffset now,
        DateTimeOffset start,
        Temperature wanted,
        Func<DateTimeOffset, Temperature?> air,
        Temperature room
    ) => Latest(now, start, into => At(drum with { Start = At(drum, from, into, air) }, into, start, _ => room) >= wanted);

    private static DateTimeOffset? Latest(DateTimeOffset now, DateTimeOffset start, Func<DateTimeOffset, bool> isWarm)
    {
        var steps = (int)Math.Floor((start - now) / Step);
        if (isWarm(start))
        {
            return start;
        }

        // The longer it is warmed, the warmer: halved between what is too short and what is enough.
        var (cold, warm) = (0, steps);
        if (steps <= 0 || !isWarm(start - steps * Step))
        {
            return null;
        }

        while (warm - cold > 1)
        {
            var middle = (cold + warm) / 2;
            (cold, warm) = isWarm(start - middle * Step) ? (cold, middle) : (middle, warm);
        }

        return start - warm * Step;
    }
}
