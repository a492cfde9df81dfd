using Umbracell.Core.Conditions;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Weather;

/// <summary>A surface in the hours of its place, with what it is held against and what it needs of a window.</summary>
public sealed record SprayCase
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
    public int From { get; init; }

    /// <summary>Hour before which a start is wanted; beyond the last for any.</summary>
    public int Before { get; init; } = int.MaxValue;

    /// <summary>How many hours there are.</summary>
    public int Count => Members[0].Run.Hours.Count;

    /// <summary>Hours before the wanted one in which a start can be made.</summary>
    public IEnumerable<int> Starts => Enumerable.Range(From, Math.Max(0, Math.Min(Before, Count) - From)).Where(CanBegin);

    /// <summary>Those of them before which a room can be heated or dried: what goes on in the hour of the first trigger comes too late for
    /// it.</summary>
    public IEnumerable<int> PreparedStarts => Starts.Where(start => start > From);

    /// <summary>The same surface under a tent or tarpaulin: three tenths of the wind, no rain or snow, and the sky shut off.</summary>
    /// <returns>Null within a building.</returns>
    public SprayCase? UnderTent() =>
        Limits.IsOpen && Face.Outer is { } outer
            ? this with
            {
                Face = Face with
                {
                    Outer = outer with
                    {
                        Plane = new(180, 0),
                        Finish = new(0, outer.Finish.Emittance),
                        WindShare = outer.WindShare * WindNear.UnderTarpaulin,
                    },
                },
                Limits = Limits with { IsCovered = true },
            }
            : null;

    /// <summary>The same surface sprayed with another product, which cures by its own sheet.</summary>
    /// <param name="sheet">The other product.</param>
    public SprayCase With(ProductSheet sheet) =>
        this with
        {
            Limits = Limits with { Sheet = sheet },
            Needs = Needs with { Cure = (int)Math.Ceiling(sheet.CureBeforeRain.TotalHours) },
        };

    /// <summary>The same surface, washed.</summary>
    /// <param name="hour">Hour at whose start it is.</param>
    public SprayCase Washed(int hour) => this with { Face = Face with { Washed = hour } };

    /// <summary>Its hours with nothing done to the room.</summary>
    public GateHours Hours() =>
        GateHours.Of(
            [.. Members.Select(sky => SurfaceHours.Of(Face, Room is { } room ? new(room, _ => AtRest, _ => Sprayed) : null, sky))],
            Limits
        );

    /// <summary>Its hours with something running in its room: each as it is if spraying begins in it.</summary>
    /// <param name="acts">What runs.</param>
    /// <exception cref="InvalidOperationException">There is no room for it.</exception>
    public GateHours Hours(RoomActs acts)
    {
        var room = Room ?? throw new InvalidOperationException("There is no room to heat or to dry.");
        var run = new SprayedRoom(room, h => acts.At(h, AtRest), h => acts.Sprayed(h, Sprayed));
        return GateHours.Of([.. Members.Select(sky => SurfaceHours.Of(Face, run, sky))], Limits);
    }

    /// <summary>A start in an hour with something running in the room until then: chance that nothing is held to the end of cure, what
    /// holds most of the others, and the heat it takes, J, mean of the members.</summary>
    /// <param name="acts">What runs.</param>
    /// <param name="start">The hour.</param>
    /// <exception cref="InvalidOperationException">There is no room for it.</exception>
    public (double Chance, HourLimit? Limit, double Heat) Start(RoomActs acts, int start)
    {
        var room = Room ?? throw new InvalidOperationException("There is no room to heat or to dry.");
        return Begun(start, new(room, h => h >= start ? acts.Sprayed(h, Sprayed) : acts.At(h, AtRest)));
    }

    /// <summary>Chance of a start in an hour, nothing done to the room; the same as that of <see cref="Hours()"/>, without the hours after
    /// it.</summary>
    /// <param name="start">The hour.</param>
    public double ChanceOf(int start) => Begun(start, Room is { } room ? new(room, _ => AtRest, _ => Sprayed) : null).Chance;

    private (double Chance, HourLimit? Limit, double Heat) Begun(int start, SprayedRoom? run)
    {
        var hours = Members.Select(sky => SurfaceHours.Of(Face, run, sky, start + Needs.Hours)).ToList();
        var gate = GateHours.Of(hours, Limits);
        return (gate.ChanceOf(start, Needs.Hours), gate.LimitOf(start, Needs.Hours), hours.Average(one => one.Heat));
    }

    /// <summary>Whether the crew works through the whole of what begins in an hour, and the hours reach to the end of its cure.</summary>
    /// <param name="start">The hour.</param>
    private bool CanBegin(int start) =>
        start >= 0 && start + Needs.Hours <= Count && Enumerable.Range(start, Needs.Spraying).All(Needs.IsWorked);

    private RoomHourDrive AtRest => new() { AirChanges = RestAirChanges };

    private RoomHourDrive Sprayed => new() { AirChanges = Math.Max(RestAirChanges, SprayingAirChanges) };
}

/// <summary>Heaters that run.</summary>
/// <param name="Watts">Heat there is, above zero.</param>
/// <param name="Kind">What is burnt; a flame in the room adds its water, and goes out when spraying begins.</param>
/// <param name="On">Hour from which they run.</param>
/// <param name="Hold">Temperature at which they hold.</param>
public readonly record struct HeatersOn(double Watts, HeaterKind Kind, int On, Temperature Hold)
{
    internal RoomHourDrive At(int hour, RoomHourDrive otherwise) =>
        otherwise with
        {
            Power = hour >= On ? Watts : 0,
            Thermostat = Hold,
            Kind = Kind,
        };

    // Nothing burns in the room while it is sprayed.
    internal RoomHourDrive Sprayed(int hour, RoomHourDrive otherwise) =>
        SpaceHeating.WaterPerKilowattHour(Kind) > 0 ? otherwise : At(hour, otherwise);
}

/// <summary>Dehumidifiers that run.</summary>
/// <param name="What">The dehumidifiers.</param>
/// <param name="On">Hour from which they run, until spraying begins.</param>
public readonly record struct DryersOn(Dehumidifier What, int On);

/// <summary>What runs in a room until it is sprayed.</summary>
/// <param name="Heaters">Heaters; null for none.</param>
/// <param name="Dryers">Dehumidifiers; null for none.</param>
public readonly record struct RoomActs(HeatersOn? Heaters, DryersOn? Dryers = null)
{
    internal RoomHourDrive At(int hour, RoomHourDrive otherwise)
    {
        var heated = Heaters?.At(hour, otherwise) ?? otherwise;
        return Dryers is { } dryers && hour >= dryers.On ? heated with { Dehumidifier = dryers.What } : heated;
    }

    // What takes in the air of a room that is sprayed would take in what hangs in it.
    internal RoomHourDrive Sprayed(int hour, RoomHourDrive otherwise) => Heaters?.Sprayed(hour, otherwise) ?? otherwise;
}
