using Umbracell.Core.Conditions;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Weather;

/// <summary>Heat that opens a start: what must run, from when, and what it costs in heat.</summary>
/// <param name="Start">Hour in which spraying may begin.</param>
/// <param name="Chance">Share of the members in which nothing is held from it to the end of cure, 0 to 1.</param>
/// <param name="On">Hour from which the heaters run.</param>
/// <param name="Hold">Temperature at which they hold until spraying begins.</param>
/// <param name="Heat">Heat until the end of cure, J, mean of the members.</param>
public sealed record HeatedStart(int Start, double Chance, int On, Temperature Hold, double Heat);

/// <summary>Dehumidifiers that open a start.</summary>
/// <param name="Start">Hour in which spraying may begin.</param>
/// <param name="Chance">Share of the members in which nothing is held from it to the end of cure, 0 to 1.</param>
/// <param name="On">Hour from which they run.</param>
public sealed record DriedStart(int Start, double Chance, int On);

/// <summary>Looks for starts earlier than the weather alone gives, by putting what the crew can do through the same hours.</summary>
public static class EarlierStart
{
    // Warmer than this no crew heats a building to spray it.
    private const int WarmestHold = 30,
        ColdestHold = 4;

    /// <summary>The earliest start that heaters open, by the latest switching on and the lowest temperature that still do.</summary>
    /// <param name="asked">The surface; its room is what is heated.</param>
    /// <param name="watts">Heat there is, above zero.</param>
    /// <param name="kind">What is burnt; a flame in the room adds its water, and goes out when spraying begins.</param>
    /// <returns>Null in the open, and where heat opens nothing before the hour.</returns>
    /// <exception cref="QuantityRangeException">A figure out of its range.</exception>
    public static HeatedStart? ByHeat(SprayCase asked, double watts, HeaterKind kind)
    {
        if (asked.Room is null)
        {
            return null;
        }

        foreach (var start in asked.PreparedStarts)
        {
            if (ByHeat(asked, watts, kind, start) is { } heated)
            {
                return heated;
            }
        }

        return null;
    }

    /// <summary>A start in one hour by the latest switching on and the lowest temperature that open it.</summary>
    /// <param name="asked">The surface; its room is what is heated.</param>
    /// <param name="watts">Heat there is, above zero.</param>
    /// <param name="kind">What is burnt.</param>
    /// <param name="start">The hour, one of <see cref="SprayCase.PreparedStarts"/>.</param>
    /// <param name="dryer">Dehumidifiers that run beside them from the first hour on; null for none.</param>
    /// <returns>Null where heat does not open it.</returns>
    /// <exception cref="InvalidOperationException">There is no room to heat.</exception>
    public static HeatedStart? ByHeat(SprayCase asked, double watts, HeaterKind kind, int start, Dehumidifier? dryer = null)
    {
        var hottest = HottestHold(asked);
        if (!Opens(asked.From, hottest))
        {
            return null;
        }

        var on = LatestOn(hottest);
        var hold = LowestHold(on, hottest);
        var (chance, _, heat) = asked.Start(Heaters(on, hold), start);
        return new(start, chance, on, Temperature.FromCelsius(hold), heat);

        RoomActs Heaters(int from, int celsius) =>
            new(new(watts, kind, from, Temperature.FromCelsius(celsius)), dryer is { } what ? new(what, asked.From) : null);

        bool Opens(int from, int celsius) => asked.Start(Heaters(from, celsius), start).Chance >= asked.Level - 1e-9;

        int LatestOn(int hold) => LatestHour(asked.From, start, from => Opens(from, hold));

        int LowestHold(int on, int hold)
        {
            var (opens, cold) = (hold, ColdestHold - 1);
            while (opens - cold > 1)
            {
                var middle = (opens + cold) / 2;
                (opens, cold) = Opens(on, middle) ? (middle, cold) : (opens, middle);
            }

            return opens;
        }
    }

    /// <summary>The earliest start that dehumidifiers open, by the latest switching on that still does. From the first trigger on the room
    /// has the air outdoors: what they do is dry the face.</summary>
    /// <param name="asked">The surface; its room is what is dried.</param>
    /// <param name="dryer">The dehumidifiers.</param>
    /// <returns>Null in the open, and where they open nothing before the hour.</returns>
    /// <exception cref="QuantityRangeException">A figure out of its range.</exception>
    public static DriedStart? ByDrying(SprayCase asked, Dehumidifier dryer)
    {
        if (asked.Room is null)
        {
            return null;
        }

        foreach (var start in asked.PreparedStarts)
        {
            if (Chance(asked.From) < asked.Level - 1e-9)
            {
                continue;
            }

            var on = LatestHour(asked.From, start, from => Chance(from) >= asked.Level - 1e-9);
            return new(start, Chance(on), on);

            double Chance(int from) => asked.Start(new(null, new(dryer, from)), start).Chance;
        }

        return null;
    }

    // The later it goes on, the less it burns: halved between what opens and what is too late.
    private static int LatestHour(int opens, int late, Func<int, bool> isOpened)
    {
        while (late - opens > 1)
        {
            var middle = (opens + late) / 2;
            (opens, late) = isOpened(middle) ? (middle, late) : (opens, middle);
        }

        return opens;
    }

    /// <summary>The warmest a crew holds a building at to spray it: what the sheet lets the air be, 30 °C at most.</summary>
    /// <param name="asked">The surface.</param>
    public static int HottestHold(SprayCase asked) => (int)Math.Floor(Math.Min(WarmestHold, asked.Limits.Sheet.Air.Greatest.Celsius));

    /// <summary>The earliest start under a tent or tarpaulin; see <see cref="SprayCase.UnderTent"/>.</summary>
    /// <param name="asked">The surface.</param>
    /// <returns>Null within a building, and where it opens nothing before the hour.</returns>
    public static SprayWindow? UnderTent(SprayCase asked) => asked.UnderTent() is { } tented ? First(tented.Hours(), tented) : null;

    /// <summary>The earliest start of another product as it is.</summary>
    /// <param name="asked">The surface.</param>
    /// <param name="other">The other product.</param>
    public static SprayWindow? ByProduct(SprayCase asked, ProductSheet other) =>
        asked.With(other) is var sprayed ? First(sprayed.Hours(), sprayed) : null;

    private static SprayWindow? First(GateHours gate, SprayCase asked) =>
        SprayWindows.Of(SprayWindows.Chances(gate, asked.Needs), asked.Needs, asked.From, asked.Level) is [var first, ..]
        && first.From < asked.Before
            ? first
            : null;
}
