using NodaTime;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Umbracell.Questions.Answers;
using Umbracell.Server.Places;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Window;

/// <summary>Tells the hours and windows of the surfaces of a job.</summary>
internal sealed class SurfaceWindows(StudiedJobs studied, SiteHoursReader hours, StudyMemory memory, TimeProvider clock)
{
    // The hours of a surface, told in full, against its study.
    private const int HoursSize = 4;

    // Pages ask again as often, and blankets go on by it.
    private const int Quarter = 900;

    /// <summary>The hours of a surface.</summary>
    /// <param name="surface">The surface.</param>
    /// <param name="acts">What is done about the weather.</param>
    /// <param name="stop">Ends it.</param>
    public async Task<HoursOfSurface> OfAsync(Guid surface, HourActs acts, CancellationToken stop)
    {
        var (job, row, site, lack) = await AskedAsync(surface, stop);
        return lack is { } what ? None(what, site.Troubles)
            : acts.IsNone ? Remembered(surface, job, site, () => Told(HoursCase.Of(job, row, site), site), HoursSize)
            : Told(HoursCase.Of(job, row, site).With(acts, clock.GetUtcNow()), site);
    }

    /// <summary>The next window of each surface of a job.</summary>
    public async Task<WindowsOfJob> OfJobAsync(Guid id, CancellationToken stop)
    {
        var job = await studied.OfAsync(id);
        var site = job.Study.Rows.Any(row => HoursCase.LackOf(row) is null) ? await hours.OfAsync(job.Study.Job, stop) : new();
        return Remembered(
            id,
            job,
            site,
            () =>
                new WindowsOfJob
                {
                    Source = SourceOf(site),
                    Surfaces =
                    [
                        .. job.Study.Rows.Select(row =>
                        {
                            stop.ThrowIfCancellationRequested();
                            return NextOf(job, row, site);
                        }),
                    ],
                }
        );
    }

    // What was told of the same surfaces, the same forecast and the same quarter of an hour is told again.
    private T Remembered<T>(Guid of, StudiedJob job, SiteHours site, Func<T> make, int size = 1, string what = "")
        where T : class
    {
        if (site.Stamp is not { } stamp)
        {
            return make();
        }

        var madeFrom = $"{job.Inputs.OfSums}|{stamp}|{what}|{clock.GetUtcNow().ToUnixTimeSeconds() / Quarter}";
        if (memory.Find<T>(of, madeFrom) is { } remembered)
        {
            return remembered;
        }

        var made = make();
        memory.Keep(of, madeFrom, made, size);
        return made;
    }

    /// <summary>What each month of a year offers a surface.</summary>
    public async Task<MonthsOfSurface> MonthsAsync(Guid surface, CancellationToken stop)
    {
        var job = await studied.OfSurfaceAsync(surface);
        var row = job.RowOf(surface);
        var lack = HoursCase.LackOf(row);
        var year = lack is null ? await hours.YearAsync(job.Study.Job, stop) : new();
        lack ??= year.Lack;
        if (lack is not null)
        {
            return new()
            {
                Lack = lack,
                Source = null,
                Months = [],
            };
        }

        var of = HoursCase.Of(job, row, year);
        return new()
        {
            Lack = null,
            Source = year.Source,
            Months = [.. SprayMonths.Of(of.Gate, of.Needs).Select(HourAnswers.Of)],
        };
    }

    /// <summary>When the face must be washed to be dry for the next window; nothing where there are no hours.</summary>
    public async Task<WashAtStartAnswer> WashAsync(Guid surface, CancellationToken stop)
    {
        var (job, row, site, lack) = await AskedAsync(surface, stop);
        return lack is not null
            ? WashAtStartAnswer.None
            : Remembered(surface, job, site, () => WashAtStart.Of(HoursCase.Of(job, row, site), clock.GetUtcNow()));
    }

    /// <summary>What opens an earlier start; nothing where there are no hours.</summary>
    public async Task<EarlierStartsAnswer> EarlierAsync(Guid surface, bool maySeeMoney, CancellationToken stop)
    {
        var (job, row, site, lack) = await AskedAsync(surface, stop);
        return lack is not null
            ? EarlierStartsAnswer.None
            : Remembered(surface, job, site, () => Find(HoursCase.Of(job, row, site)), what: maySeeMoney ? "money" : "");

        EarlierStartsAnswer Find(HoursCase of) => new EarlierStarts(of.Earlier(clock.GetUtcNow()), of, maySeeMoney).Find();
    }

    /// <summary>The cheapest that opens a start before a day; nothing where there are no hours.</summary>
    public async Task<CheapestStartAnswer> CheapestAsync(Guid surface, DateOnly? before, bool maySeeMoney, CancellationToken stop)
    {
        var (job, row, site, lack) = await AskedAsync(surface, stop);
        return lack is not null
            ? CheapestStarts.None
            : CheapestStarts.Of(HoursCase.Of(job, row, site), clock.GetUtcNow(), before, maySeeMoney);
    }

    private async Task<(StudiedJob Job, SurfaceStudy Row, SiteHours Site, HoursLack? Lack)> AskedAsync(Guid surface, CancellationToken stop)
    {
        var job = await studied.OfSurfaceAsync(surface);
        var row = job.RowOf(surface);
        var lack = HoursCase.LackOf(row);
        var site = lack is null ? await hours.OfAsync(job.Study.Job, stop) : new();
        return (job, row, site, lack ?? site.Lack);
    }

    private NextWindowAnswer NextOf(StudiedJob job, SurfaceStudy row, SiteHours site)
    {
        var lack = HoursCase.LackOf(row) ?? site.Lack;
        var of = lack is null ? HoursCase.Of(job, row, site) : null;
        var next = of?.WindowsFrom(of.HourOf(clock.GetUtcNow()));
        return new()
        {
            Surface = row.Surface.Id,
            Lack = lack,
            Next = next is [var first, ..] ? HourAnswers.Of(first, of!.Gate, of.Needs) : null,
        };
    }

    internal static HoursSource? SourceOf(SiteHours site) =>
        site.MemberCount == 0
            ? null
            : new()
            {
                Kind = site.Source,
                Name = site.Forecast?.Source ?? "",
                Credit = site.Forecast?.Credit ?? "",
                IssuedAt = site.Forecast?.IssuedAt,
                Members = site.MemberCount,
            };

    private HoursOfSurface Told(HoursCase of, SiteHours site)
    {
        var now = clock.GetUtcNow();
        var (gate, needs, first) = (of.Gate, of.Needs, of.HourOf(now));
        var windows = of.WindowsFrom(first);
        var light = Light(gate, site.Point);
        return new()
        {
            Lack = null,
            Source = SourceOf(site),
            Troubles = site.Troubles,
            Correction = site.Correction is { } correction
                ? new(
                    of.Job.Study.Job.CorrectsForecast,
                    correction.Hours,
                    FigureAnswer.Of(correction.Temperature.ToFigure()),
                    FigureAnswer.Of(correction.DewPoint.ToFigure())
                )
                : null,
            RoomReadAt = of.Case.Room?.Read?.At,
            SubstrateReadAt = site.Faces.TryGetValue(of.Row.Surface.Id, out var read) ? read.At : null,
            Hours =
            [
                .. Enumerable
                    .Range(first, gate.Count - first)
                    .Select(h => HourAnswers.Of(gate[h], gate, light[h], needs.IsWorked(h) ? of.Chances[h] : null)),
            ],
            Days = [.. DaysOf(gate, first, PlaceTime.Of(of.Job.Study.Job), site.Point)],
            Windows = [.. windows.Select(window => HourAnswers.Of(window, gate, needs))],
            Drums = windows.Count > 0 ? DrumsAtStart.Of(of, now, Later(gate.StartOf(windows[0].From), now)) : null,
            After = AfterSpraying.Of(of, windows),
            Spraying = FigureAnswer.Of(Figure.Duration(TimeSpan.FromHours(needs.Spraying))),
            Cure = FigureAnswer.Of(Figure.Duration(TimeSpan.FromHours(needs.Cure))),
            Whole = FigureAnswer.Of(Figure.Duration(TimeSpan.FromHours(of.Whole))),
            InParts = of.Whole > needs.Spraying,
            Assumed = of.Assumed,
            Limits = HourAnswers.Of(gate.Limits.Sheet, gate.Limits.Practice),
        };
    }

    private static DateTimeOffset Later(DateTimeOffset one, DateTimeOffset other) => one > other ? one : other;

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
            var sun = LocalSun.Of(day, zone, point);
            yield return new(
                day.AtStartOfDayInZone(zone).ToInstant().ToDateTimeOffset(),
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
            Correction = null,
            RoomReadAt = null,
            SubstrateReadAt = null,
            Hours = [],
            Days = [],
            Windows = [],
            Drums = null,
            After = null,
            Spraying = null,
            Cure = null,
            Whole = null,
            InParts = false,
            Assumed = [],
            Limits = null,
        };
}
