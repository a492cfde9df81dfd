using Umbracell.Core.Conditions;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Weather;

/// <summary>A surface for which an earlier start is sought.</summary>
public sealed record EarlierCase
{
    /// <summary>The face.</summary>
    public required SprayedFace Face { get; init; }

    /// <summary>The room it is sprayed in; null in the open.</summary>
    public required RoomCase? Room { get; init; }

    /// <summary>Members of the hours.</summary>
    public required IReadOnlyList<PlaceSky> Members { get; init; }

    /// <summary>What it is held against.</summary>
    public required HourLimits Limits { get; init; }

    /// <summary>What it needs of a window.</summary>
    public required WindowNeeds Needs { get; init; }

    /// <summary>Changes of the room's air while nobody sprays, an hour.</summary>
    public double RestAirChanges { get; init; } = 1;

    /// <summary>Changes from the first trigger on, an hour.</summary>
    public double SprayingAirChanges { get; init; } = 10;

    /// <summary>Least chance of a start.</summary>
    public double Level { get; init; } = SprayWindows.UsualLevel;

    /// <summary>First hour in which anything can be done.</summary>
    public required int From { get; init; }

    /// <summary>Hour before which a start is wanted.</summary>
    public required int Before { get; init; }
}

/// <summary>Heat that opens a start: what must run, from when, and what it costs in heat.</summary>
/// <param name="Start">Hour in which spraying may begin.</param>
/// <param name="Chance">Share of the members in which nothing is held from it to the end of cure, 0 to 1.</param>
/// <param name="On">Hour from which the heaters run.</param>
/// <param name="Hold">Temperature at which they hold until spraying begins.</param>
/// <param name="Heat">Heat until the end of cure, J, mean of the members.</param>
public sealed record HeatedStart(int Start, double Chance, int On, Temperature Hold, double Heat);

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
    public static HeatedStart? ByHeat(EarlierCase asked, double watts, HeaterKind kind)
    {
        if (asked.Room is not { } room)
        {
            return null;
        }

        var hottest = (int)Math.Floor(Math.Min(WarmestHold, asked.Limits.Sheet.Air.Greatest.Celsius));
        for (var start = asked.From; start < Math.Min(asked.Before, Last(asked)); start++)
        {
            if (!IsWorked(asked.Needs, start) || !Opens(start, asked.From, hottest))
            {
                continue;
            }

            var on = LatestOn(start, hottest);
            var hold = LowestHold(start, on, hottest);
            var (chance, heat) = Try(start, on, hold);
            return new(start, chance, on, Temperature.FromCelsius(hold), heat);
        }

        return null;

        bool Opens(int start, int on, int hold) => Try(start, on, hold).Chance >= asked.Level - 1e-9;

        (double Chance, double Heat) Try(int start, int on, int hold)
        {
            var drive = Drive(asked, new(watts, kind, on, hold), start);
            var hours = asked.Members.Select(sky => SurfaceHours.Of(asked.Face, new(room, drive), sky, start + asked.Needs.Hours)).ToList();
            return (GateHours.Of(hours, asked.Limits).ChanceOf(start, asked.Needs.Hours), hours.Average(one => one.Heat));
        }

        // The later they go on, the less they burn: halved between what opens and what is too late.
        int LatestOn(int start, int hold)
        {
            var (opens, late) = (asked.From, start + 1);
            while (late - opens > 1)
            {
                var middle = (opens + late) / 2;
                (opens, late) = Opens(start, middle, hold) ? (middle, late) : (opens, middle);
            }

            return opens;
        }

        int LowestHold(int start, int on, int hold)
        {
            var (opens, cold) = (hold, ColdestHold - 1);
            while (opens - cold > 1)
            {
                var middle = (opens + cold) / 2;
                (opens, cold) = Opens(start, on, middle) ? (middle, cold) : (opens, middle);
            }

            return opens;
        }
    }

    /// <summary>The earliest start under a tent or tarpaulin: three tenths of the wind, no rain or snow, and the sky shut off.</summary>
    /// <param name="asked">The surface.</param>
    /// <returns>Null within a building, and where it opens nothing before the hour.</returns>
    public static SprayWindow? UnderTent(EarlierCase asked)
    {
        if (!asked.Limits.IsOpen || asked.Face.Outer is not { } outer)
        {
            return null;
        }

        var tented = asked.Face with
        {
            Outer = outer with
            {
                Plane = new(180, 0),
                Finish = new(0, outer.Finish.Emittance),
                WindShare = outer.WindShare * WindNear.UnderTarpaulin,
            },
        };
        var gate = GateHours.Of(
            [.. asked.Members.Select(sky => SurfaceHours.Of(tented, null, sky))],
            asked.Limits with
            {
                IsCovered = true,
            }
        );
        return First(gate, asked);
    }

    /// <summary>The earliest start of another product as it is.</summary>
    /// <param name="asked">The surface.</param>
    /// <param name="hours">Its hours as they are.</param>
    /// <param name="limits">Limits of the other product.</param>
    public static SprayWindow? ByProduct(EarlierCase asked, IReadOnlyList<SurfaceHours> hours, HourLimits limits) =>
        First(GateHours.Of(hours, limits), asked);

    private static SprayWindow? First(GateHours gate, EarlierCase asked) =>
        SprayWindows.Of(SprayWindows.Chances(gate, asked.Needs), asked.Needs, asked.From, asked.Level) is [var first, ..]
        && first.From < asked.Before
            ? first
            : null;

    private static int Last(EarlierCase asked) => asked.Members[0].Run.Hours.Count - asked.Needs.Hours;

    private static bool IsWorked(WindowNeeds needs, int start) => Enumerable.Range(start, needs.Spraying).All(needs.IsWorked);

    private readonly record struct Heaters(double Watts, HeaterKind Kind, int On, int Hold);

    // Heat until spraying begins; from then on the room is ventilated, and only what burns outside of it goes on.
    private static Func<int, RoomHourDrive> Drive(EarlierCase asked, Heaters heaters, int start)
    {
        var isFlame = SpaceHeating.WaterPerKilowattHour(heaters.Kind) > 0;
        return hour =>
            new()
            {
                AirChanges = hour >= start ? Math.Max(asked.RestAirChanges, asked.SprayingAirChanges) : asked.RestAirChanges,
                Power = hour >= heaters.On && !(hour >= start && isFlame) ? heaters.Watts : 0,
                Thermostat = Temperature.FromCelsius(heaters.Hold),
                Kind = heaters.Kind,
            };
    }
}
