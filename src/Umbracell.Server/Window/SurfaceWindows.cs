using NodaTime;
using Umbracell.Core.Conditions;
using Umbracell.Core.Materials;
using Umbracell.Core.Means;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Umbracell.Questions.Answers;
using Umbracell.Server.Places;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Window;

/// <summary>Puts the surfaces of a job through the hours of its place.</summary>
internal sealed class SurfaceWindows(StudiedJobs studied, SiteHoursReader hours, TimeProvider clock)
{
    // Air changes while it is sprayed: those the sheet's re-entry time is stated at.
    private const double SprayingAirChanges = 10;

    // Nobody burns fuel today for a start that lies further ahead, in hours.
    private const int EarlierWithin = 120;

    /// <summary>The hours of a surface.</summary>
    public async Task<HoursOfSurface> OfAsync(Guid surface, CancellationToken stop)
    {
        var asked = await AskedAsync(surface, stop);
        return asked.Lack is { } lack ? None(lack, asked.Site.Troubles) : Told(asked);
    }

    /// <summary>What opens an earlier start; nothing where there are no hours.</summary>
    public async Task<EarlierStartsAnswer> EarlierAsync(Guid surface, bool maySeeMoney, CancellationToken stop)
    {
        var asked = await AskedAsync(surface, stop);
        if (asked.Lack is not null)
        {
            return new()
            {
                Starts = [],
                Tried = [],
                NoHeaters = false,
            };
        }

        var (gate, room, _) = GateOf(asked);
        var (needs, _) = NeedsOf(asked.Job, asked.Row, asked.Sheet, gate);

        // The present hour is already part gone: nothing can be switched on at its start.
        var from = Math.Min(First(gate) + 1, gate.Count - 1);
        var windows = SprayWindows.Of(SprayWindows.Chances(gate, needs), needs, from);
        var earlier = new EarlierCase
        {
            Face = FaceOf(asked).Face,
            Room = room?.Room,
            Members = asked.Site.Members,
            Limits = gate.Limits,
            Needs = needs,
            RestAirChanges = JobPricing.Of(asked.Job.Study.Job).AirChanges,
            SprayingAirChanges = SprayingAirChanges,
            From = from,
            Before = Math.Min(windows.Count > 0 ? windows[0].From : gate.Count, from + EarlierWithin),
        };
        return new EarlierStarts(earlier, gate, asked.Job, maySeeMoney).Find();
    }

    // What is known of a surface, its job and its hours, or what is missing of it.
    private sealed record Asked(StudiedJob Job, SurfaceStudy Row, SiteHours Site, HoursLack? Lack)
    {
        public ProductSheet Sheet => Row.Sheet!;
    }

    private async Task<Asked> AskedAsync(Guid surface, CancellationToken stop)
    {
        var job = await studied.OfSurfaceAsync(surface);
        var row = job.RowOf(surface);
        HoursLack? lack =
            row.Sheet is null ? HoursLack.Sheet
            : row.Takeoff is not { OpeningsExceedSurface: false, Treated.SquareMetres: > 0 } ? HoursLack.Size
            : null;
        var site = lack is null ? await hours.OfAsync(job.Study.Job, stop) : new();
        return new(job, row, site, lack ?? site.Lack);
    }

    private int First(GateHours gate) => Math.Clamp((int)Math.Floor((clock.GetUtcNow() - gate.StartOf(0)).TotalHours), 0, gate.Count - 1);

    private static AskedFace FaceOf(Asked asked) =>
        AskedFace.Of(asked.Row.Surface, asked.Row.Bare, asked.Job.Study.Job, asked.Site.Point.Latitude);

    private HoursOfSurface Told(Asked asked)
    {
        var (job, row, sheet, site) = (asked.Job, asked.Row, asked.Sheet, asked.Site);
        var (gate, _, assumed) = GateOf(asked);
        var first = First(gate);
        var (needs, whole) = NeedsOf(job, row, sheet, gate);
        var chances = SprayWindows.Chances(gate, needs);
        var light = Light(gate, site.Point);
        return new()
        {
            Lack = null,
            Source = new()
            {
                Kind = site.Source,
                Name = site.Forecast?.Source ?? "",
                Credit = site.Forecast?.Credit ?? "",
                IssuedAt = site.Forecast?.IssuedAt,
                Members = gate.Members.Count,
            },
            Troubles = site.Troubles,
            Hours =
            [
                .. Enumerable
                    .Range(first, gate.Count - first)
                    .Select(h => HourAnswers.Of(gate[h], gate, light[h], needs.IsWorked(h) ? chances[h] : null)),
            ],
            Days = [.. DaysOf(gate, first, PlaceTime.Of(job.Study.Job), site.Point)],
            Windows = [.. SprayWindows.Of(chances, needs, first).Select(window => HourAnswers.Of(window, gate, needs))],
            Spraying = FigureAnswer.Of(Figure.Duration(TimeSpan.FromHours(needs.Spraying))),
            Cure = FigureAnswer.Of(Figure.Duration(TimeSpan.FromHours(needs.Cure))),
            Whole = FigureAnswer.Of(Figure.Duration(TimeSpan.FromHours(whole))),
            InParts = whole > needs.Spraying,
            Assumed = assumed,
            Limits = HourAnswers.Of(sheet, job.Means.Supplies.Gate),
        };
    }

    private static (GateHours Gate, SprayedRoom? Room, IReadOnlyList<HoursAssumption> Assumed) GateOf(Asked asked)
    {
        var (face, assumed) = FaceOf(asked);
        var room = face.IsOpen ? null : RoomOf(asked.Job, asked.Row);
        var gate = GateHours.Of(
            [.. asked.Site.Members.Select(sky => SurfaceHours.Of(face, room, sky))],
            new()
            {
                Sheet = asked.Sheet,
                Practice = asked.Job.Means.Supplies.Gate,
                IsOpen = face.IsOpen,
            }
        );
        IEnumerable<HoursAssumption> ofRoom = room is null ? [] : [HoursAssumption.Unheated];
        IEnumerable<HoursAssumption> ofClock = PlaceTime.IsKnown(asked.Job.Study.Job) ? [] : [HoursAssumption.TimeZone];
        return (gate, room, [.. assumed, .. ofRoom, .. ofClock]);
    }

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
    private static (WindowNeeds Needs, int Whole) NeedsOf(StudiedJob job, SurfaceStudy row, ProductSheet sheet, GateHours gate)
    {
        var priced = job.Bid.Surfaces.FirstOrDefault(one => one.Row.Surface.Id == row.Surface.Id)?.Priced;
        var spraying = priced?.SprayingTime(job.Means.Rates).TotalHours ?? 1;
        var whole = Math.Max(1, (int)Math.Ceiling(spraying - 1e-9));
        var day = job.Means.Supplies.Means.Day ?? WorkDay.Usual;
        var longest = (int)Math.Floor((day.To - day.From).TotalHours);
        var zone = PlaceTime.Of(job.Study.Job);
        return (
            new(
                whole <= longest ? whole : Math.Max(1, longest / 2),
                (int)Math.Ceiling(sheet.CureBeforeRain.TotalHours),
                h => h < gate.Count && day.Holds(TimeOf(gate.StartOf(h), zone))
            ),
            whole
        );
    }

    private static TimeOnly TimeOf(DateTimeOffset at, DateTimeZone zone) =>
        Instant.FromDateTimeOffset(at).InZone(zone).TimeOfDay.ToTimeOnly();

    private static bool[] Light(GateHours gate, GeoPoint point) =>
        [
            .. Enumerable
                .Range(0, gate.Count)
                .Select(h => SunPosition.At(gate.StartOf(h).AddMinutes(30), point).ElevationDegrees >= SunPosition.RiseDegrees),
        ];

    private static IEnumerable<DayAnswer> DaysOf(GateHours gate, int first, DateTimeZone zone, GeoPoint point)
    {
        var last = LocalDay(gate.StartOf(gate.Count - 1));
        for (var day = LocalDay(gate.StartOf(first)); day <= last; day = day.PlusDays(1))
        {
            var (start, next) = (day.AtStartOfDayInZone(zone), day.PlusDays(1).AtStartOfDayInZone(zone));
            var sun = SunDay.Of(start.ToDateTimeOffset(), (next - start).ToTimeSpan(), point);
            yield return new(
                start.ToInstant().ToDateTimeOffset(),
                sun.Rise?.ToUniversalTime(),
                sun.Set?.ToUniversalTime(),
                sun.IsUpAtStart
            );
        }

        LocalDate LocalDay(DateTimeOffset at) => Instant.FromDateTimeOffset(at).InZone(zone).Date;
    }

    private static HoursOfSurface None(HoursLack lack, IReadOnlyList<Forecasts.SourceTrouble> troubles) =>
        new()
        {
            Lack = lack,
            Source = null,
            Troubles = troubles,
            Hours = [],
            Days = [],
            Windows = [],
            Spraying = null,
            Cure = null,
            Whole = null,
            InParts = false,
            Assumed = [],
            Limits = null,
        };
}
