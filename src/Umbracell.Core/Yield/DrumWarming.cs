using Umbracell.Core.Findings;
using Umbracell.Core.Means;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Yield;

/// <summary>Drums of one side that are warmed together.</summary>
/// <param name="Side">A or B.</param>
/// <param name="Liquid">What is in each.</param>
/// <param name="Count">How many, 1 or more.</param>
public sealed record DrumGroup(SetSide Side, Mass Liquid, int Count);

/// <summary>What drums are warmed with.</summary>
public sealed record WarmingMeans
{
    /// <summary>Air they stand in, and their own temperature, before.</summary>
    public required Temperature Night { get; init; }

    /// <summary>Temperature wanted at the start.</summary>
    public required Temperature Wanted { get; init; }

    /// <summary>The firm's drum blankets; null where it has none.</summary>
    public required DrumBlankets? Blankets { get; init; }

    /// <summary>Its hot room; null where it has none.</summary>
    public required HotRoom? Room { get; init; }

    /// <summary>Price of a kilowatt-hour.</summary>
    public required double KilowattHourPrice { get; init; }
}

/// <summary>One way to warm drums.</summary>
/// <param name="Lead">How long before the start it begins; null where it never gets there.</param>
/// <param name="KilowattHours">Heat it takes; zero where it never gets there.</param>
/// <param name="Cost">Money for that heat.</param>
/// <param name="Working">How the heat came about.</param>
public sealed record WarmingWay(TimeSpan? Lead, double KilowattHours, double Cost, Working Working)
{
    /// <summary>How many of the drums are warmed at a time; null for all of them.</summary>
    public int? AtATime { get; init; }
}

/// <summary>Blankets on every drum against a hot room for all of them: time, heat and money.</summary>
/// <param name="Blankets">With blankets; null where the firm has none.</param>
/// <param name="HotRoom">In the hot room; null where the firm has none.</param>
public sealed record DrumWarming(WarmingWay? Blankets, WarmingWay? HotRoom)
{
    /// <summary>Both ways.</summary>
    /// <param name="drums">The drums; none needs nothing.</param>
    /// <param name="means">What they are warmed with.</param>
    /// <exception cref="QuantityRangeException">A drum or a blanket out of range.</exception>
    public static DrumWarming Of(IReadOnlyList<DrumGroup> drums, WarmingMeans means) =>
        new(
            means.Blankets is { } blankets ? InBlankets(drums, blankets, means) with { AtATime = Fewer(blankets.Count, drums) } : null,
            means.Room is { } room ? InRoom(drums, room, means) with { AtATime = Fewer(room.Holds, drums) } : null
        );

    // A drum that was warmed and left to itself is cold again by the morning: those that find no room are told, and not put in turn.
    private static int? Fewer(int? places, IReadOnlyList<DrumGroup> drums) =>
        places is { } known && known < drums.Sum(d => d.Count) ? known : null;

    // A blanket heats until the start, each drum for as long as it needs.
    private static WarmingWay InBlankets(IReadOnlyList<DrumGroup> drums, DrumBlankets blankets, WarmingMeans means)
    {
        var times = drums
            .Select(d => (Drums: d, Time: new DrumWarmth(d.Side, d.Liquid, means.Night, means.Night, blankets.Watts).TimeTo(means.Wanted)))
            .ToList();
        var reached = times.TrueForAll(t => t.Time is not null);
        var heat = reached ? times.Sum(t => t.Drums.Count * t.Time!.Value.TotalHours * blankets.Watts / 1000) : 0;
        var hours = reached ? times.Sum(t => t.Drums.Count * t.Time!.Value.TotalHours) : 0;
        return Way(
            reached ? Longest(times.Select(t => t.Time!.Value)) : null,
            heat,
            means,
            new(
                "warmingHeat",
                "Q = P · h",
                [
                    new("P", "blanket", new(blankets.Watts, Dimension.ElectricPower)),
                    new("h", "blanketHours", Figure.Duration(TimeSpan.FromHours(hours))),
                ],
                Joules(heat),
                Citations.BlanketHours
            )
        );
    }

    // The room is hot from the start of the warming: it gives the drums what they take and loses through its walls all the while.
    private static WarmingWay InRoom(IReadOnlyList<DrumGroup> drums, HotRoom room, WarmingMeans means)
    {
        var bare = drums.Select(d => (Drums: d, Warmth: new DrumWarmth(d.Side, d.Liquid, means.Night, room.Air, 0))).ToList();
        var times = bare.ConvertAll(d => d.Warmth.TimeTo(means.Wanted));
        var reached = times.TrueForAll(t => t is not null);
        var lead = reached ? Longest(times.Select(t => t!.Value)) : (TimeSpan?)null;
        var taken = lead is { } time ? bare.Sum(d => d.Drums.Count * d.Warmth.HeatTo(d.Warmth.After(time))) / 3.6e6 : 0;
        var lost = lead is { } hours ? room.Loss * (room.Air - means.Night).Kelvins * hours.TotalHours / 1000 : 0;
        return Way(
            lead,
            taken + lost,
            means,
            new(
                "warmingHeat",
                "Q = Σ C · ΔT + UA · (T_room − T_night) · t",
                [
                    new("Σ C · ΔT", "drumHeat", Joules(taken)),
                    new("UA", "roomLoss", new(room.Loss, Dimension.HeatLoss)),
                    new("T_room", "hotRoom", room.Air.ToFigure()),
                    new("T_night", "drumAround", means.Night.ToFigure()),
                    new("t", "warmingTime", Figure.Duration(lead ?? TimeSpan.Zero)),
                ],
                Joules(taken + lost),
                Citations.HotRoom(DrumWarmth.BareLoss)
            )
        );
    }

    private static WarmingWay Way(TimeSpan? lead, double heat, WarmingMeans means, Working working) =>
        new(lead, heat, heat * means.KilowattHourPrice, working);

    private static TimeSpan Longest(IEnumerable<TimeSpan> times) => times.DefaultIfEmpty(TimeSpan.Zero).Max();

    private static Figure Joules(double kilowattHours) => new(kilowattHours * 3.6e6, Dimension.Heat);
}
