namespace Umbracell.Core.Weather;

/// <summary>Where hours of air come from.</summary>
public enum AirSource
{
    /// <summary>A forecast.</summary>
    Forecast,

    /// <summary>An hourly year: what is usual at the place, not what comes.</summary>
    UsualYear,

    /// <summary>Hours made from the monthly means of the place: its means, and departures from them that are typical, not known.</summary>
    GeneratedYear,
}

/// <summary>Hours of air one after another, without a gap: one member of a forecast, or a stretch of an hourly
/// year.</summary>
public sealed record AirRun
{
    private readonly IReadOnlyList<AirHour> _hours = [];

    /// <summary>Where it comes from.</summary>
    public required AirSource Source { get; init; }

    /// <summary>When a forecast was issued; null for others.</summary>
    public DateTimeOffset? IssuedAt { get; init; }

    /// <summary>Number of the member within its forecast, from 0.</summary>
    public int Member { get; init; }

    /// <summary>The hours, each beginning when the one before it ends. An hour of which nothing is known has its start alone.</summary>
    /// <exception cref="ArgumentException">No hour, or one that does not begin when the one before it ends.</exception>
    public required IReadOnlyList<AirHour> Hours
    {
        get => _hours;
        init
        {
            if (value.Count == 0)
            {
                throw new ArgumentException("There is no hour.", nameof(Hours));
            }

            for (var i = 1; i < value.Count; i++)
            {
                if (value[i].Start - value[i - 1].Start != TimeSpan.FromHours(1))
                {
                    throw new ArgumentException($"Hour {i} does not begin when the one before it ends.", nameof(Hours));
                }
            }

            _hours = value;
        }
    }

    /// <summary>First instant.</summary>
    public DateTimeOffset Start => _hours[0].Start;

    /// <summary>Instant at which the last hour ends.</summary>
    public DateTimeOffset End => _hours[^1].Start.AddHours(1);
}
