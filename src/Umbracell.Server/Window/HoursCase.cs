using NodaTime;
using Umbracell.Core.Conditions;
using Umbracell.Core.Materials;
using Umbracell.Core.Means;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Umbracell.Server.Places;
using Umbracell.Server.Problems;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Window;

/// <summary>A surface put through the hours of its job's place.</summary>
internal sealed class HoursCase
{
    // Air changes while it is sprayed: those the sheet's re-entry time is stated at.
    private const double SprayingAirChanges = 10;

    // Nobody burns fuel today for a start that lies further ahead, in hours.
    private const int EarlierWithin = 120;

    private readonly IReadOnlyList<HoursAssumption> _ofFace;
    private readonly RoomActs? _acts;

    // Who only looks for a start with something done about the weather asks for neither.
    private readonly Lazy<GateHours> _gate;
    private readonly Lazy<double[]> _chances;

    private HoursCase(StudiedJob job, SurfaceStudy row, SiteHours site)
    {
        (Job, Row) = (job, row);
        var asked = AskedFace.Of(row.Surface, row.Bare, job.Study.Job, site.Point.Latitude);
        _ofFace = asked.Assumed;
        (var needs, Whole) = NeedsOf(site);
        Case = new()
        {
            Face = asked.Face with { Read = ReadOn(row, site) },
            Room = asked.Face.IsOpen ? null : RoomOf(job, row) with { Read = RoomRead(row, site) },
            Members = site.Members,
            Limits = new()
            {
                Sheet = row.Sheet!,
                Practice = job.Means.Supplies.Gate,
                IsOpen = asked.Face.IsOpen,
            },
            Needs = needs,
            RestAirChanges = JobPricing.Of(job.Study.Job).AirChanges,
            SprayingAirChanges = SprayingAirChanges,
        };
        (_gate, _chances) = (new(Case.Hours), new(ChancesOf));
    }

    private HoursCase(HoursCase plain, SprayCase acted, RoomActs? acts)
    {
        (Job, Row, _ofFace, Whole, Case, _acts) = (plain.Job, plain.Row, plain._ofFace, plain.Whole, acted, acts);
        (_gate, _chances) = (new(() => acts is { } run ? acted.Hours(run) : acted.Hours()), new(ChancesOf));
    }

    /// <summary>The surface in its hours.</summary>
    public SprayCase Case { get; }

    /// <summary>The job, as studied.</summary>
    public StudiedJob Job { get; }

    /// <summary>The surface.</summary>
    public SurfaceStudy Row { get; }

    /// <summary>The gate for every hour.</summary>
    public GateHours Gate => _gate.Value;

    /// <summary>What it needs of a window.</summary>
    public WindowNeeds Needs => Case.Needs;

    /// <summary>Hours the whole surface takes; more than those of <see cref="Needs"/> where it is sprayed in parts.</summary>
    public int Whole { get; }

    /// <summary>Chance of a start in each hour.</summary>
    public double[] Chances => _chances.Value;

    /// <summary>What was assumed because nobody said it.</summary>
    public IReadOnlyList<HoursAssumption> Assumed =>
        [
            .. _ofFace,
            .. Case.Room is null || _acts?.Heaters is not null ? Enumerable.Empty<HoursAssumption>() : [HoursAssumption.Unheated],
            .. PlaceTime.IsKnown(Job.Study.Job) ? Enumerable.Empty<HoursAssumption>() : [HoursAssumption.TimeZone],
        ];

    /// <summary>What a surface lacks so that there are no hours of it; null where it lacks nothing.</summary>
    public static HoursLack? LackOf(SurfaceStudy row) =>
        row.Sheet is null ? HoursLack.Sheet
        : row.Takeoff is not { OpeningsExceedSurface: false, Treated.SquareMetres: > 0 } ? HoursLack.Size
        : null;

    /// <summary>Puts a surface that lacks nothing through the hours.</summary>
    public static HoursCase Of(StudiedJob job, SurfaceStudy row, SiteHours site) => new(job, row, site);

    /// <summary>The same surface with something done about it.</summary>
    /// <param name="acts">What is done.</param>
    /// <param name="now">The present instant.</param>
    /// <exception cref="NotFoundException">The product is none the firm offers in the place of this one, nothing can be tented, or there is
    /// nothing to heat or dry, or to do it with.</exception>
    public HoursCase With(HourActs acts, DateTimeOffset now)
    {
        var acted = Case with { From = HourOf(now) };
        if (acts.Product is { } id)
        {
            acted = acted.With(StandIns.FirstOrDefault(sheet => sheet.Id == id) ?? throw new NotFoundException("sheet"));
        }

        if (acts.Tent)
        {
            acted = acted.UnderTent() ?? throw new NotFoundException("open face");
        }

        if (acts.WashedAt is { } washed)
        {
            acted = acted.Washed(HourOf(washed));
        }

        return new(this, acted, acts is { On: null, DryFrom: null } ? null : new RoomActs(HeatersOf(acts), DryersOf(acts)));
    }

    /// <summary>Products the firm offers that can be sprayed in the place of this one.</summary>
    public IEnumerable<ProductSheet> StandIns => Job.Means.Supplies.Offered.Where(sheet => sheet.StandsInFor(Row.Sheet!));

    /// <summary>Heat the firm has for this job; null where there is no room to heat, or no heater was entered.</summary>
    public (double Watts, HeaterKind Kind)? Heat
    {
        get
        {
            var kind = JobPricing.Of(Job.Study.Job).Heater;
            return Case.Room is not null && Job.Means.Supplies.Means.HeaterWatts(kind) is > 0 and var watts ? (watts, kind) : null;
        }
    }

    /// <summary>Dehumidifiers the firm has; null where there is no room to dry, or none was entered.</summary>
    public Dehumidifier? Dryer => Case.Room is null ? null : Job.Means.Supplies.Means.Dehumidifier;

    private HeatersOn? HeatersOf(HourActs acts) =>
        acts.On is not { } on ? null
        : Heat is not { } heat ? throw new NotFoundException("heater")
        : new HeatersOn(
            heat.Watts,
            heat.Kind,
            HourOf(on),
            Temperature.FromCelsius(QuantityRangeException.Within("holdC", acts.HoldC, -20, 40, Dimension.Temperature))
        );

    private DryersOn? DryersOf(HourActs acts) =>
        acts.DryFrom is not { } on ? null
        : Dryer is not { } dryer ? throw new NotFoundException("dehumidifier")
        : new DryersOn(dryer, HourOf(on));

    /// <summary>Number of the hour an instant lies in, or the nearest there is.</summary>
    public int HourOf(DateTimeOffset at) => Math.Clamp((int)Math.Floor((at - StartOf(0)).TotalHours), 0, Case.Count - 1);

    /// <summary>First instant of an hour.</summary>
    public DateTimeOffset StartOf(int hour) => Case.Members[0].Run.Hours[hour].Start;

    /// <summary>Windows from an hour on.</summary>
    public IReadOnlyList<SprayWindow> WindowsFrom(int first) => SprayWindows.Of(Chances, Needs, first);

    /// <summary>The same surface, to look for an earlier start.</summary>
    /// <param name="now">The present instant.</param>
    public SprayCase Earlier(DateTimeOffset now)
    {
        // The present hour is already part gone: nothing can be switched on at its start.
        var from = Math.Min(HourOf(now) + 1, Case.Count - 1);
        var windows = WindowsFrom(from);
        return Case with { From = from, Before = Math.Min(windows.Count > 0 ? windows[0].From : Case.Count, from + EarlierWithin) };
    }

    /// <summary>The same surface, to look for a start before a day begins.</summary>
    /// <param name="now">The present instant.</param>
    /// <param name="day">The day, where the place is; null for any.</param>
    public SprayCase Before(DateTimeOffset now, DateOnly? day)
    {
        var from = Math.Min(HourOf(now) + 1, Case.Count - 1);
        var begins = day is { } wanted ? PlaceTime.StartOf(Job.Study.Job, wanted) : DateTimeOffset.MaxValue;
        return Case with { From = from, Before = Math.Min((int)Math.Ceiling((begins - StartOf(0)).TotalHours), from + EarlierWithin) };
    }

    // What heat promises is put through every hour from the first trigger on, not through one hour after the other anew.
    private double[] ChancesOf()
    {
        var chances = SprayWindows.Chances(Gate, Needs);
        if (_acts is { } acts)
        {
            foreach (var start in Case.Starts)
            {
                chances[start] = Case.Start(acts, start).Chance;
            }
        }

        return chances;
    }

    private static FaceReading? ReadOn(SurfaceStudy row, SiteHours site) =>
        site.Faces.TryGetValue(row.Surface.Id, out var read) ? read : null;

    private static RoomReading? RoomRead(SurfaceStudy row, SiteHours site) =>
        site.Rooms.TryGetValue(row.Surface.Id, out var read) ? read : null;

    // The space all surfaces of the job enclose together, unheated.
    private static RoomCase RoomOf(StudiedJob job, SurfaceStudy row)
    {
        var space = JobBid.SpaceOf(job.Study);
        var area = job.Study.Rows.Sum(one => one.Takeoff is { OpeningsExceedSurface: false } takeoff ? takeoff.Treated.SquareMetres : 0);
        var volume = Math.Max(10, space.VolumePerSquareMetre * area);
        return new()
        {
            Volume = volume,
            Loss = space.LossPerSquareMetre * area,
            Capacity = FaceHeat.BuildingCapacityOf(row.Surface.Substrate) * volume / SharedSpace.StoreyHeight,
        };
    }

    // What takes longer than a crew's day is sprayed in parts: a window is then good for half a day or more.
    private (WindowNeeds Needs, int Whole) NeedsOf(SiteHours site)
    {
        var priced = Job.Bid.Surfaces.FirstOrDefault(one => one.Row.Surface.Id == Row.Surface.Id)?.Priced;
        var spraying = priced?.SprayingTime(Job.Means.Rates).TotalHours ?? 1;
        var whole = Math.Max(1, (int)Math.Ceiling(spraying - 1e-9));
        var day = Job.Means.Supplies.Means.Day ?? WorkDay.Usual;
        var longest = (int)Math.Floor((day.To - day.From).TotalHours);
        var zone = PlaceTime.Of(Job.Study.Job);
        var hours = site.Members[0].Run.Hours;
        return (
            new(
                whole <= longest ? whole : Math.Max(1, longest / 2),
                (int)Math.Ceiling(Row.Sheet!.CureBeforeRain.TotalHours),
                h => h < hours.Count && day.Holds(TimeOf(hours[h].Start, zone))
            ),
            whole
        );
    }

    private static TimeOnly TimeOf(DateTimeOffset at, DateTimeZone zone) =>
        Instant.FromDateTimeOffset(at).InZone(zone).TimeOfDay.ToTimeOnly();
}
