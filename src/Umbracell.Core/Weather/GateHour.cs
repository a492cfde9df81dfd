using Umbracell.Core.Findings;

namespace Umbracell.Core.Weather;

/// <summary>Where a figure lies among the members: one in ten below the first, half below the second, nine in ten below the
/// third.</summary>
/// <param name="Low">10 %.</param>
/// <param name="Middle">50 %.</param>
/// <param name="High">90 %.</param>
public readonly record struct Band(double Low, double Middle, double High);

/// <summary>What the members say of an hour of a surface.</summary>
public sealed record GateHour
{
    /// <summary>First instant of the hour.</summary>
    public required DateTimeOffset Start { get; init; }

    /// <summary>Of rules G1 to G7 Clear where every member is clear, Care where four in five are not held, Hold where fewer are; on an open
    /// face with the chance of rain (G8) the worse of both; null where the weather is not told.</summary>
    public required Verdict? Verdict { get; init; }

    /// <summary>Share of the members that rules G1 to G7 do not hold, 0 to 1.</summary>
    public required double Passing { get; init; }

    /// <summary>What limits most of them; null where the hour is clear.</summary>
    public required HourLimit? Limit { get; init; }

    /// <summary>How far the middle figures fall short by the rule that limits: 0 clear, above a half held. Where it is less than the hour's
    /// verdict says, some members fall short and the middle ones do not.</summary>
    public required double LimitShortfall { get; init; }

    /// <summary>Depth of the hour's shadow: 0 clear, to a half care, beyond it a hold; what four members in five do not pass, or what
    /// the chance of rain makes of it.</summary>
    public required double Depth { get; init; }

    /// <summary>How far the worst margin of each member falls short: 0 clear, a half where care begins to be a hold, 1 far off.</summary>
    public required Band Shortfall { get; init; }

    /// <summary>Face that is sprayed, °C.</summary>
    public required Band Substrate { get; init; }

    /// <summary>Dew or frost point at the work, °C.</summary>
    public required Band Dew { get; init; }

    /// <summary>Air at the work, °C.</summary>
    public required Band Air { get; init; }

    /// <summary>Its relative humidity, percent.</summary>
    public required Band RhPct { get; init; }

    /// <summary>Gusts at the face, m/s.</summary>
    public required Band GustMs { get; init; }

    /// <summary>Water and frost on the face, kg/m².</summary>
    public required Band Wet { get; init; }

    /// <summary>Share of the members in which an open face is rained or snowed on from two hours before to the end of cure, 0 to 1.</summary>
    public required double RainChance { get; init; }
}
