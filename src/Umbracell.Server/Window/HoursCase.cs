using NodaTime;
using Umbracell.Core.Conditions;
using Umbracell.Core.Means;
using Umbracell.Core.Weather;
using Umbracell.Server.Places;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Window;

/// <summary>A surface put through the hours of its job's place.</summary>
internal sealed class HoursCase
{
    // Air changes while it is sprayed: those the sheet's re-entry time is stated at.
    private const double SprayingAirChanges = 10;

    // Nobody burns fuel today for a start that lies further ahead, in hours.
    private const int EarlierWithin = 120;

    private readonly AskedFace _face;
    private readonly SprayedRoom? _room;
    private readonly SiteHours _site;

    private HoursCase(StudiedJob job, SurfaceStudy row, SiteHours site)
    {
        (Job, Row, _site) = (job, row, site);
        var asked = AskedFace.Of(row.Surface, row.Bare, job.Study.Job, site.Point.Latitude);
        _face = asked with { Face = asked.Face with { Read = ReadOn(row, site) } };
        _room = _face.Face.IsOpen ? null : RoomOf(job, row);
        Gate = GateHours.Of(
            [.. site.Members.Select(sky => SurfaceHours.Of(_face.Face, _room, sky))],
            new()
            {
                Sheet = row.Sheet!,
                Practice = job.Means.Supplies.Gate,
                IsOpen = _face.Face.IsOpen,
            }
        );
        (Needs, Whole) = NeedsOf();
        Chances = SprayWindows.Chances(Gate, Needs);
    }

    /// <summary>The job, as studied.</summary>
    public StudiedJob Job { get; }

    /// <summary>The surface.</summary>
    public SurfaceStudy Row { get; }

    /// <summary>The gate for every hour.</summary>
    public GateHours Gate { get; }

    /// <summary>What it needs of a window.</summary>
    public WindowNeeds Needs { get; }

    /// <summary>Hours the whole surface takes; more than those of <see cref="Needs"/> where it is sprayed in parts.</summary>
    public int Whole { get; }

    /// <summary>Chance of a start in each hour.</summary>
    public double[] Chances { get; }

    /// <summary>What was assumed because nobody said it.</summary>
    public IReadOnlyList<HoursAssumption> Assumed =>
        [
            .. _face.Assumed,
            .. _room is null ? Enumerable.Empty<HoursAssumption>() : [HoursAssumption.Unheated],
            .. PlaceTime.IsKnown(Job.Study.Job) ? Enumerable.Empty<HoursAssumption>() : [HoursAssumption.TimeZone],
        ];

    /// <summary>What a surface lacks so that there are no hours of it; null where it lacks nothing.</summary>
    public static HoursLack? LackOf(SurfaceStudy row) =>
        row.Sheet is null ? HoursLack.Sheet
        : row.Takeoff is not { OpeningsExceedSurface: false, Treated.SquareMetres: > 0 } ? HoursLack.Size
        : null;

    /// <summary>Puts a surface that lacks nothing through the hours.</summary>
    public static HoursCase Of(StudiedJob job, SurfaceStudy row, SiteHours site) => new(job, row, site);

    /// <summary>Number of the hour an instant lies in, or the nearest there is.</summary>
    public int HourOf(DateTimeOffset at) => Math.Clamp((int)Math.Floor((at - Gate.StartOf(0)).TotalHours), 0, Gate.Count - 1);

    /// <summary>Windows from an hour on.</summary>
    public IReadOnlyList<SprayWindow> WindowsFrom(int first) => SprayWindows.Of(Chances, Needs, first);

    /// <summary>The same surface, to look for an earlier start.</summary>
    /// <param name="now">The present instant.</param>
    public EarlierCase Earlier(DateTimeOffset now)
    {
        // The present hour is already part gone: nothing can be switched on at its start.
        var from = Math.Min(HourOf(now) + 1, Gate.Count - 1);
        var windows = WindowsFrom(from);
        return new()
        {
            Face = _face.Face,
            Room = _room?.Room,
            Members = _site.Members,
            Limits = Gate.Limits,
            Needs = Needs,
            RestAirChanges = JobPricing.Of(Job.Study.Job).AirChanges,
            SprayingAirChanges = SprayingAirChanges,
            From = from,
            Before = Math.Min(windows.Count > 0 ? windows[0].From : Gate.Count, from + EarlierWithin),
        };
    }

    private static FaceReading? ReadOn(SurfaceStudy row, SiteHours site) =>
        site.Faces.TryGetValue(row.Surface.Id, out var read) ? read : null;

    // The space all surfaces of the job enclose together, unheated; ventilated from the first trigger on.
    private static SprayedRoom? RoomOf(StudiedJob job, SurfaceStudy row)
    {
        var pricing = JobPricing.Of(job.Study.Job);
        var space = JobBid.SpaceOf(job.Study);
        var area = job.Study.Rows.Sum(one => one.Takeoff is { OpeningsExceedSurface: false } takeoff ? takeoff.Treated.SquareMetres : 0);
        var volume = Math.Max(10, space.VolumePerSquareMetre * area);
        var floor = volume / SharedSpace.StoreyHeight;
        return new(
            new()
            {
                Volume = volume,
                Loss = space.LossPerSquareMetre * area,
                Capacity = FaceHeat.BuildingCapacityOf(row.Surface.Substrate) * floor,
            },
            _ => new() { AirChanges = pricing.AirChanges },
            _ => new() { AirChanges = Math.Max(pricing.AirChanges, SprayingAirChanges) }
        );
    }

    // What takes longer than a crew's day is sprayed in parts: a window is then good for half a day or more.
    private (WindowNeeds Needs, int Whole) NeedsOf()
    {
        var priced = Job.Bid.Surfaces.FirstOrDefault(one => one.Row.Surface.Id == Row.Surface.Id)?.Priced;
        var spraying = priced?.SprayingTime(Job.Means.Rates).TotalHours ?? 1;
        var whole = Math.Max(1, (int)Math.Ceiling(spraying - 1e-9));
        var day = Job.Means.Supplies.Means.Day ?? WorkDay.Usual;
        var longest = (int)Math.Floor((day.To - day.From).TotalHours);
        var zone = PlaceTime.Of(Job.Study.Job);
        return (
            new(
                whole <= longest ? whole : Math.Max(1, longest / 2),
                (int)Math.Ceiling(Row.Sheet!.CureBeforeRain.TotalHours),
                h => h < Gate.Count && day.Holds(TimeOf(Gate.StartOf(h), zone))
            ),
            whole
        );
    }

    private static TimeOnly TimeOf(DateTimeOffset at, DateTimeZone zone) =>
        Instant.FromDateTimeOffset(at).InZone(zone).TimeOfDay.ToTimeOnly();
}
