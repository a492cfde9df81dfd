using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Quantities;
using Umbracell.Core.Rigs;
using Umbracell.Documents;
using Umbracell.Questions;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Rig;
using Umbracell.Server.Means;
using Umbracell.Server.Places;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Rig;

/// <summary>Answers how a rig is set for a surface, what it reaches and what its test shots say.</summary>
internal sealed class RigReader(UmbracellDb db, SurfaceReader reader, SheetLibrary library, SprayerChecks sprayers, TimeProvider clock)
{
    private const int ShotsShown = 6;

    private static readonly TimeSpan Together = TimeSpan.FromMinutes(10);

    /// <summary>The rig of a surface.</summary>
    /// <param name="surface">The surface.</param>
    /// <param name="job">Its job.</param>
    /// <param name="asked">Which rig; null for that of the job's crew.</param>
    public async Task<RigOfSurface> OfAsync(Surface surface, Job job, Guid? asked = null)
    {
        var rigs = await db
            .Means.AsNoTracking()
            .Where(row => row.Kind == MeansKind.Rig && row.RetiredAt == null)
            .OrderBy(row => row.Name)
            .ToListAsync();
        var supplies = await library.SuppliesAsync(job);
        var records = await reader.RecordsAsync(job.Id, [surface.Id]);
        var sheet = surface.SheetSlug is { } slug ? supplies.Sheets.GetValueOrDefault(slug) : null;
        var rig =
            rigs.Find(one => one.Id == asked)
            ?? rigs.Find(one => one.CrewId is not null && one.CrewId == job.CrewId)
            ?? rigs.FirstOrDefault();
        var setting = rig is null ? null : await LatestAsync(rig.Id);
        var fresh = new FreshReadings(records.Readings, clock.GetUtcNow() - supplies.Gate.FreshFor);
        var question = sheet is null || rig is null ? null : SetPointsOf(sheet.Id, surface.Id, rig, setting, fresh);
        var next = question is null ? null : NextOf(question, surface, fresh);
        var shots = SurfaceShots.Of(surface, job, records, supplies);
        return new()
        {
            Missing =
                sheet is null ? RigMissing.Sheet
                : rig is null ? RigMissing.Rig
                : null,
            Sheet = sheet?.Name,
            Rig = rig?.Id,
            Rigs = [.. rigs.Select(one => new RigName(one.Id, one.Name))],
            Asked = question,
            Proposed = question is null ? null : SetPointsQuestions.Answer(question, supplies),
            Setting = setting is null ? null : Told(setting, surface, supplies),
            Next = next,
            Expected = next is null ? null : TestShotQuestions.Answer(AtSetPoints(next, setting), supplies).Expected,
            Sprayer = rig is null ? null : await sprayers.OfDayAsync(job, rig.Id),
            Shots =
            [
                .. records
                    .Shots.Where(shot => sheet is not null && shot.SheetSlug == sheet.Id)
                    .OrderByDescending(shot => shot.FiredAt)
                    .Take(ShotsShown)
                    .Select(shot => Told(shot, job, records, supplies)),
            ],
            Standing = shots is null ? null : FindingAnswer.Of(shots.Judge(clock.GetUtcNow())),
            Version = surface.Version,
        };
    }

    /// <summary>How a rig is set, or was set at a time; null where nobody has said.</summary>
    public Task<RigSettingRow?> LatestAsync(Guid rig, DateTimeOffset? at = null) =>
        db
            .RigSettings.AsNoTracking()
            .Where(row => row.RigId == rig && (at == null || row.SetAt <= at))
            .OrderByDescending(row => row.SetAt)
            .ThenByDescending(row => row.Number)
            .FirstOrDefaultAsync();

    /// <summary>The time a change counts from: that of the change, or of the newest where two people set the rig within minutes of each
    /// other, so that what either said stays.</summary>
    public async Task<DateTimeOffset> TimeOfSettingAsync(Guid rig, DateTimeOffset at) =>
        await LatestAsync(rig) is { } latest && latest.SetAt > at && latest.SetAt - at < Together ? latest.SetAt : at;

    /// <summary>Why a shot fired at a time counts no longer; null where nothing was changed since.</summary>
    /// <param name="then">How the rig was set when it was fired.</param>
    /// <param name="at">When.</param>
    public async Task<ShotLoss?> LossSinceAsync(RigSettingRow then, DateTimeOffset at)
    {
        var later = await db
            .RigSettings.AsNoTracking()
            .Where(row => row.RigId == then.RigId && row.SetAt > at)
            .OrderBy(row => row.SetAt)
            .ThenBy(row => row.Number)
            .ToListAsync();

        // What was changed and changed back was changed.
        return later.Prepend(then).Zip(later, (before, row) => row.LossAfter(before)).FirstOrDefault(loss => loss is not null);
    }

    /// <summary>Why a shot counts no longer at a time; null where it does.</summary>
    public static ShotLoss? LossOf(TestShotRow shot, Job job, SurveyRecords records, DateTimeOffset at) =>
        records.LossOf(shot, at) ?? (at >= PlaceTime.EndOf(job, PlaceTime.Day(job, shot.FiredAt)) ? ShotLoss.Day : null);

    /// <summary>How often a rig was set.</summary>
    public async Task<int> TimesSetAsync(Guid rig) =>
        await db.RigSettings.Where(row => row.RigId == rig).MaxAsync(row => (int?)row.Number) ?? 0;

    private static SetPointsQuestion SetPointsOf(string sheet, Guid surface, MeansRow rig, RigSettingRow? setting, FreshReadings fresh)
    {
        var known = rig.Document ?? MeansDocument.None;
        var (a, b) = fresh.Drums(sheet);
        return new()
        {
            SheetId = sheet,
            Rig = new()
            {
                LiquidHeatW = Figure("liquidHeaters"),
                HoseHeatW = Figure("hoseHeat"),
                HoseLengthM = Figure("hoseLength"),
                HoseLay = known.Words.GetValueOrDefault("hoseLay") is "onReel" or "indoors" ? HoseLay.Sheltered : HoseLay.OnGround,
                HoseWear = known.Words.GetValueOrDefault("hoseWear") == "worn" ? HoseWear.Worn : HoseWear.Good,
                GreatestPressureMpa = Figure("pressure") / 1e6,
                Tips =
                [
                    .. TipList
                        .Read(known.Words.GetValueOrDefault("tips", ""))
                        .Select(tip => new TipAsked(tip.Name, tip.KilogramsPerSecond * 60)),
                ],
            },
            DrumATempC = a,
            DrumBTempC = b,
            AirTempC =
                known.Words.GetValueOrDefault("hoseLay") == "indoors" ? fresh.Of(surface, ReadingKind.AirTemperature) : fresh.Outdoors,
            Tip = setting is { Tip.Length: > 0 } ? setting.Tip : null,
        };

        double? Figure(string name) => known.Figures.TryGetValue(name, out var figure) ? figure : null;
    }

    // What nobody read is left out: a gauge is not where it was set because it was set there.
    private static TestShotQuestion NextOf(SetPointsQuestion of, Surface surface, FreshReadings fresh) =>
        new()
        {
            SheetId = of.SheetId,
            SubstrateTempC = fresh.Of(surface.Id, ReadingKind.SubstrateTemperature),
            AirTempC = fresh.Of(surface.Id, ReadingKind.AirTemperature),
            DrumATempC = of.DrumATempC,
            DrumBTempC = of.DrumBTempC,
        };

    private static TestShotQuestion AtSetPoints(TestShotQuestion next, RigSettingRow? setting) =>
        setting?.SheetSlug == next.SheetId
            ? next with
            {
                PrimaryATempC = setting.PrimaryATempC,
                PrimaryBTempC = setting.PrimaryBTempC,
                HoseTempC = setting.HoseTempC,
            }
            : next;

    /// <summary>Readings that still count.</summary>
    private sealed record FreshReadings(LatestReadings All, DateTimeOffset Since)
    {
        public double? Outdoors => Fresh(All.OfJob(ReadingKind.OutdoorTemperature));

        public double? Of(Guid surface, ReadingKind kind) => Fresh(All.Of(surface, kind));

        public (double? A, double? B) Drums(string sheet)
        {
            var (a, b) = All.Drums(sheet);
            return (Fresh(a), Fresh(b));
        }

        private double? Fresh(ReadingRow? reading) => reading?.TakenAt >= Since ? reading.TempC : null;
    }

    private static RigSettingAnswer Told(RigSettingRow row, Surface surface, Supplies supplies) =>
        new()
        {
            Sheet = supplies.Sheets.GetValueOrDefault(row.SheetSlug)?.Name ?? row.SheetSlug,
            IsOfSurface = row.SheetSlug == surface.SheetSlug,
            PrimaryA = FigureAnswer.Of(new(row.PrimaryATempC, Dimension.Temperature)),
            PrimaryB = FigureAnswer.Of(new(row.PrimaryBTempC, Dimension.Temperature)),
            Hose = FigureAnswer.Of(new(row.HoseTempC, Dimension.Temperature)),
            Pressure = FigureAnswer.Of(new(row.PressurePa, Dimension.MaterialPressure)),
            Tip = row.Tip,
            LotA = row.LotA,
            LotB = row.LotB,
            At = row.SetAt,
            By = row.SetBy,
        };

    private FiredShotAnswer Told(TestShotRow row, Job job, SurveyRecords records, Supplies supplies)
    {
        var fired = SurfaceShots.QuestionOf(row);
        var question = fired with { Done = SurfaceShots.DoneOf(row) };
        return new()
        {
            Id = row.Id,
            At = row.FiredAt,
            By = row.FiredBy,
            Substrate = row.Substrate,
            Question = question,
            Acceptable = TestShotQuestions.Answer(fired, supplies).Acceptable,
            Answer = TestShotQuestions.Answer(question, supplies),
            AcceptedBy = row.AcceptedAt is null ? null : row.AcceptedBy,
            Loss = LossOf(row, job, records, clock.GetUtcNow()),
            Version = row.Version,
        };
    }
}
