using Riok.Mapperly.Abstractions;
using Umbracell.Core.Choosing;
using Umbracell.Core.Rigs.Shots;
using Umbracell.Formats.JobFiles;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.Exchange;

/// <summary>Rows as they are filed. Every column is filed under its name, or stands here as one that is not: the build fails over a
/// column that is neither.</summary>
[Mapper(RequiredMappingStrategy = RequiredMappingStrategy.Both)]
internal static partial class ToJobFile
{
    [MapperIgnoreSource(nameof(Job.Id))]
    [MapperIgnoreSource(nameof(Job.FirmId))]
    [MapperIgnoreSource(nameof(Job.Version))]
    [MapperIgnoreSource(nameof(Job.Surfaces))]
    [MapperIgnoreSource(nameof(Job.ArchivedAt))]
    [MapperIgnoreSource(nameof(Job.DeletedAt))]
    [MapperIgnoreSource(nameof(Job.DeletedBy))]
    [MapperIgnoreSource(nameof(Job.HeldEditions))]
    [MapperIgnoreSource(nameof(Job.OwnTargetsId))]
    [MapperIgnoreSource(nameof(Job.OwnPlaceId))]
    [MapperIgnoreSource(nameof(Job.CrewId))]
    [MapperIgnoreSource(nameof(Job.CrewRow))]
    [MapperIgnoreSource(nameof(Job.TargetPath))]
    [MapperIgnoreSource(nameof(Job.Priorities))]
    [MapperIgnoreSource(nameof(Job.Exceptions))]
    [MapPropertyFromSource(nameof(FiledJob.Choosing), Use = nameof(ChoosingOf))]
    public static partial FiledJob Of(Job job);

    public static FiledBid? Of(BidRow b) =>
        b.Document is { } made
            ? new()
            {
                MadeAt = b.MadeAt,
                MadeBy = b.MadeBy,
                WorkDate = b.WorkDate,
                Net = made.Net,
                Price = made.Price,
                Lines = made.Lines,
                Surfaces = made.Surfaces,
            }
            : null;

    [MapperIgnoreSource(nameof(PaperRow.Id))]
    [MapperIgnoreSource(nameof(PaperRow.FirmId))]
    [MapperIgnoreSource(nameof(PaperRow.JobId))]
    public static partial FiledPaper Of(PaperRow paper);

    public static FiledTargets Of(TargetSetRow t) =>
        new(t.Edition, t.BasedOn, [.. (t.GreatestU ?? []).SelectMany(e => e.Value.Select(z => new FiledTarget(e.Key, z.Key, z.Value)))]);

    [MapperIgnoreSource(nameof(PlaceRow.Id))]
    [MapperIgnoreSource(nameof(PlaceRow.FirmId))]
    [MapperIgnoreSource(nameof(PlaceRow.Version))]
    private static partial FiledPlace Of(PlaceRow place);

    [MapperIgnoreSource(nameof(BufferSpaceRow.FirmId))]
    [MapperIgnoreSource(nameof(BufferSpaceRow.JobId))]
    [MapperIgnoreSource(nameof(BufferSpaceRow.Version))]
    public static partial FiledBuffer Of(BufferSpaceRow buffer);

    /// <summary>A surface; what stood before its choice is not filed.</summary>
    public static FiledSurface Of(Surface s) => Whole(s) with { System = s.System is { } system ? system with { Before = null } : null };

    [MapperIgnoreSource(nameof(Surface.FirmId))]
    [MapperIgnoreSource(nameof(Surface.JobId))]
    [MapperIgnoreSource(nameof(Surface.Position))]
    [MapperIgnoreSource(nameof(Surface.RemovedAt))]
    [MapperIgnoreSource(nameof(Surface.Version))]
    [MapperIgnoreSource(nameof(Surface.OpenLeak))]
    [MapperIgnoreSource(nameof(Surface.HasSize))]
    [MapProperty(nameof(Surface.Corners), nameof(FiledSurface.CornersM))]
    [MapProperty(nameof(Surface.SheetSlug), nameof(FiledSurface.SheetId))]
    [MapProperty("Assembly.Outboard", nameof(FiledSurface.Outboard))]
    [MapProperty("Assembly.Inboard", nameof(FiledSurface.Inboard))]
    [MapProperty("Assembly.VentChannelMm", nameof(FiledSurface.VentChannelMm))]
    [MapProperty("Assembly.Baffle", nameof(FiledSurface.Baffle))]
    private static partial FiledSurface Whole(Surface surface);

    [MapperIgnoreSource(nameof(ReadingRow.Id))]
    [MapperIgnoreSource(nameof(ReadingRow.FirmId))]
    [MapperIgnoreSource(nameof(ReadingRow.JobId))]
    [MapperIgnoreSource(nameof(ReadingRow.Measured))]
    [MapperIgnoreSource(nameof(ReadingRow.StatedError))]
    [MapProperty(nameof(ReadingRow.SheetSlug), nameof(FiledReading.SheetId))]
    public static partial FiledReading Of(ReadingRow reading);

    [MapperIgnoreSource(nameof(JointRow.Id))]
    [MapperIgnoreSource(nameof(JointRow.FirmId))]
    [MapperIgnoreSource(nameof(JointRow.JobId))]
    [MapperIgnoreSource(nameof(JointRow.Version))]
    public static partial FiledJoint Of(JointRow joint);

    /// <summary>A complaint; suspects that were taken off are left out.</summary>
    public static FiledComplaint Of(ComplaintRow c, IReadOnlySet<Guid> standing)
    {
        var whole = Whole(c);
        return whole with { Suspects = [.. whole.Suspects.Where(standing.Contains)] };
    }

    [MapperIgnoreSource(nameof(ComplaintRow.Id))]
    [MapperIgnoreSource(nameof(ComplaintRow.FirmId))]
    [MapperIgnoreSource(nameof(ComplaintRow.JobId))]
    [MapperIgnoreSource(nameof(ComplaintRow.Version))]
    private static partial FiledComplaint Whole(ComplaintRow complaint);

    [MapperIgnoreSource(nameof(PreparationRow.Id))]
    [MapperIgnoreSource(nameof(PreparationRow.FirmId))]
    [MapperIgnoreSource(nameof(PreparationRow.JobId))]
    [MapperIgnoreSource(nameof(PreparationRow.Version))]
    public static partial FiledPreparation Of(PreparationRow mark);

    [MapperIgnoreSource(nameof(FanTestRow.Id))]
    [MapperIgnoreSource(nameof(FanTestRow.FirmId))]
    [MapperIgnoreSource(nameof(FanTestRow.JobId))]
    [MapperIgnoreSource(nameof(FanTestRow.Version))]
    public static partial FiledFanTest Of(FanTestRow test);

    [MapperIgnoreSource(nameof(ThermalPictureRow.Id))]
    [MapperIgnoreSource(nameof(ThermalPictureRow.FirmId))]
    [MapperIgnoreSource(nameof(ThermalPictureRow.JobId))]
    [MapperIgnoreSource(nameof(ThermalPictureRow.Version))]
    public static partial FiledThermalPicture Of(ThermalPictureRow picture);

    [MapperIgnoreSource(nameof(LoggerSeriesRow.Id))]
    [MapperIgnoreSource(nameof(LoggerSeriesRow.FirmId))]
    [MapperIgnoreSource(nameof(LoggerSeriesRow.JobId))]
    [MapProperty(nameof(LoggerSeriesRow.Times), nameof(FiledLog.TimesUnixS))]
    public static partial FiledLog Of(LoggerSeriesRow series);

    [MapperIgnoreSource(nameof(PhotoRow.Id))]
    [MapperIgnoreSource(nameof(PhotoRow.FirmId))]
    [MapperIgnoreSource(nameof(PhotoRow.JobId))]
    [MapperIgnoreSource(nameof(PhotoRow.Version))]
    public static partial FiledPhoto Of(PhotoRow photo);

    [MapperIgnoreSource(nameof(RigSettingRow.Id))]
    [MapperIgnoreSource(nameof(RigSettingRow.FirmId))]
    [MapperIgnoreSource(nameof(RigSettingRow.JobId))]
    [MapperIgnoreSource(nameof(RigSettingRow.RigId))]
    [MapperIgnoreSource(nameof(RigSettingRow.Number))]
    [MapProperty(nameof(RigSettingRow.SheetSlug), nameof(FiledRigSetting.SheetId))]
    [MapProperty(nameof(RigSettingRow.PressurePa), nameof(FiledRigSetting.MaterialPressurePa))]
    public static partial FiledRigSetting Of(RigSettingRow setting, string rig);

    [MapperIgnoreSource(nameof(TestShotRow.FirmId))]
    [MapperIgnoreSource(nameof(TestShotRow.JobId))]
    [MapperIgnoreSource(nameof(TestShotRow.RigId))]
    [MapperIgnoreSource(nameof(TestShotRow.Version))]
    [MapProperty(nameof(TestShotRow.SheetSlug), nameof(FiledTestShot.SheetId))]
    [MapProperty(nameof(TestShotRow.Document), nameof(FiledTestShot.Shot))]
    [MapProperty(nameof(TestShotRow.Done), nameof(FiledTestShot.Done), Use = nameof(CausesOf))]
    [MapProperty(nameof(TestShotRow.DoneSince), nameof(FiledTestShot.DoneSince), Use = nameof(CausesOf))]
    public static partial FiledTestShot Of(TestShotRow shot, string rig);

    private static IReadOnlyList<ShotCause> CausesOf(string names) => TestShotRow.CausesOf(names);

    [MapperIgnoreSource(nameof(SprayerCheckRow.Id))]
    [MapperIgnoreSource(nameof(SprayerCheckRow.FirmId))]
    [MapperIgnoreSource(nameof(SprayerCheckRow.JobId))]
    [MapperIgnoreSource(nameof(SprayerCheckRow.RigId))]
    public static partial FiledSprayerCheck Of(SprayerCheckRow check, string rig);

    [MapperIgnoreSource(nameof(LogEntryRow.Id))]
    [MapperIgnoreSource(nameof(LogEntryRow.FirmId))]
    [MapperIgnoreSource(nameof(LogEntryRow.JobId))]
    [MapProperty(nameof(LogEntryRow.Document), nameof(FiledLogEntry.Entry))]
    public static partial FiledLogEntry Of(LogEntryRow entry);

    [MapperIgnoreSource(nameof(OpeningRow.Id))]
    [MapperIgnoreSource(nameof(OpeningRow.FirmId))]
    [MapperIgnoreSource(nameof(OpeningRow.SurfaceId))]
    [MapperIgnoreSource(nameof(OpeningRow.Position))]
    private static partial FiledOpening Of(OpeningRow opening);

    [MapperIgnoreSource(nameof(SiteNoteRow.Id))]
    [MapperIgnoreSource(nameof(SiteNoteRow.FirmId))]
    [MapperIgnoreSource(nameof(SiteNoteRow.SurfaceId))]
    [MapperIgnoreSource(nameof(SiteNoteRow.Version))]
    private static partial FiledNote Of(SiteNoteRow note);

    private static IReadOnlyList<FiledOpening> InOrder(List<OpeningRow> openings) => [.. openings.OrderBy(o => o.Position).Select(Of)];

    private static IReadOnlyList<FiledNote> InOrder(List<SiteNoteRow> notes) =>
        [.. notes.OrderBy(n => n.NotedAt).ThenBy(n => n.Kind).ThenBy(n => n.Words, StringComparer.Ordinal).Select(Of)];

    private static FiledChoosing ChoosingOf(Job j) =>
        new(
            j.TargetPath,
            [
                .. (j.Priorities?.Weights ?? new Dictionary<ScorePart, double>())
                    .OrderBy(w => w.Key)
                    .Select(w => new FiledWeight(w.Key, w.Value)),
            ],
            [
                .. (j.Exceptions?.Schools ?? new Dictionary<PracticeQuestion, School>())
                    .OrderBy(s => s.Key)
                    .Select(s => new FiledSchool(s.Key, s.Value)),
            ]
        );
}
