using Umbracell.Core.Findings;

namespace Umbracell.Core.Weather;

/// <summary>Rain and snow on an open face under one member (rule G8): what falls in any span, told at once for any hour.</summary>
internal sealed class HourRain
{
    /// <summary>Hours before spraying that count.</summary>
    public const int Before = 2;

    // Chances from which an hour is care, and beyond which it is held.
    private const double Care = 0.2,
        Hold = 0.4;

    // Hours up to each in which it falls, and in which that is not told.
    private readonly int[] _falls,
        _untold;

    public HourRain(SurfaceHours member, int count)
    {
        (_falls, _untold) = (new int[count + 1], new int[count + 1]);
        for (var h = 0; h < count; h++)
        {
            var fell = member.Sky.Run.Hours[h].Precipitation;
            _falls[h + 1] = _falls[h] + (fell is { Wets: true } ? 1 : 0);
            _untold[h + 1] = _untold[h] + (fell is null ? 1 : 0);
        }
    }

    /// <summary>Whether it falls from two hours before an hour to so many after it; null where that is not told.</summary>
    /// <param name="from">The hour.</param>
    /// <param name="hours">How many hours count from it on, 1 or more.</param>
    public bool? Falls(int from, int hours)
    {
        var (first, end) = (Math.Max(0, from - Before), Math.Min(_falls.Length - 1, from + hours));
        return _falls[end] > _falls[first] ? true
            : _untold[end] > _untold[first] ? null
            : false;
    }

    /// <summary>What a chance of rain makes of an hour.</summary>
    public static Verdict VerdictOf(double chance) =>
        chance < Care ? Verdict.Clear
        : chance <= Hold ? Verdict.Care
        : Verdict.Hold;

    /// <summary>The same as the depth of a shadow: nothing while it is clear, a half at the edge to a hold.</summary>
    public static double ShortfallOf(double chance) =>
        chance < Care ? 0
        : chance <= Hold ? 0.5 * chance / Hold
        : 0.5 + 0.5 * (chance - Hold) / (1 - Hold);
}
