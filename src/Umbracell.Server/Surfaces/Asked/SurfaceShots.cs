using NodaTime;
using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Rigs;
using Umbracell.Core.Rigs.Shots;
using Umbracell.Questions;
using Umbracell.Questions.Rig;
using Umbracell.Server.Places;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>A test shot as it bears on a surface.</summary>
/// <param name="At">When it was fired.</param>
/// <param name="AcceptedBy">Who accepted it; null where nobody has.</param>
/// <param name="On">What it was fired on.</param>
/// <param name="Loss">Why it counts no longer; null where nothing was changed since.</param>
/// <param name="Refused">Whether nobody can accept it.</param>
internal sealed record ShotSeenOnce(DateTimeOffset At, string? AcceptedBy, SubstrateKind On, ShotLoss? Loss, bool Refused);

/// <summary>The test shots a surface goes by, kept so that its standing can be judged again when the day is over.</summary>
/// <param name="Last">The last of its product at the job.</param>
/// <param name="Accepted">The last that was accepted.</param>
/// <param name="Surface">What the surface is of.</param>
/// <param name="Zone">Where days begin.</param>
internal sealed record SurfaceShots(ShotSeenOnce? Last, ShotSeenOnce? Accepted, SubstrateKind Surface, string Zone)
{
    /// <summary>Those of a surface; null until its product is chosen.</summary>
    public static SurfaceShots? Of(Surface surface, Job job, SurveyRecords records, Supplies supplies)
    {
        if (surface.SheetSlug is not { } sheet || !supplies.Sheets.ContainsKey(sheet))
        {
            return null;
        }

        var shots = records.Shots.Where(shot => shot.SheetSlug == sheet).OrderByDescending(shot => shot.FiredAt).ToList();
        return new(
            Seen(shots.FirstOrDefault(), records, supplies),
            Seen(shots.Find(shot => shot.AcceptedAt is not null), records, supplies),
            surface.Substrate,
            PlaceTime.Of(job).Id
        );
    }

    /// <summary>Rule G14 at a time.</summary>
    public Finding Judge(DateTimeOffset now) => ShotStanding.Judge(Fired(Last, now), Fired(Accepted, now), Surface);

    /// <summary>When the day of a time is over at the place.</summary>
    public DateTimeOffset EndOfDay(DateTimeOffset now) =>
        ZoneOf().AtStartOfDay(Instant.FromDateTimeOffset(now).InZone(ZoneOf()).Date.PlusDays(1)).ToDateTimeOffset();

    private FiredShot? Fired(ShotSeenOnce? shot, DateTimeOffset now) =>
        shot is null
            ? null
            : new(
                now > shot.At ? now - shot.At : TimeSpan.Zero,
                shot.AcceptedBy,
                shot.On,
                shot.Loss ?? (now >= EndOfDay(shot.At) ? ShotLoss.Day : null),
                shot.Refused
            );

    private DateTimeZone ZoneOf() => DateTimeZoneProviders.Tzdb[Zone];

    private static ShotSeenOnce? Seen(TestShotRow? row, SurveyRecords records, Supplies supplies) =>
        row is null
            ? null
            : new(
                row.FiredAt,
                row.AcceptedAt is null ? null : row.AcceptedBy,
                row.Substrate,
                records.LossOf(row),
                !TestShotQuestions.Answer(QuestionOf(row), supplies).Acceptable
            );

    /// <summary>A kept shot as the question it was when it was fired.</summary>
    public static TestShotQuestion QuestionOf(TestShotRow row) =>
        new()
        {
            SheetId = row.SheetSlug,
            SubstrateTempC = row.Document.SubstrateTempC,
            AirTempC = row.Document.AirTempC,
            DrumATempC = row.Document.DrumATempC,
            DrumBTempC = row.Document.DrumBTempC,
            PrimaryATempC = row.Document.PrimaryATempC,
            PrimaryBTempC = row.Document.PrimaryBTempC,
            HoseTempC = row.Document.HoseTempC,
            PressureAMpa = row.Document.PressureAMpa,
            PressureBMpa = row.Document.PressureBMpa,
            HoursSinceMixed = row.Document.HoursSinceMixed,
            LiftMm = row.Document.LiftMm,
            Seen = row.Document.Seen,
            Done = TestShotRow.CausesOf(row.Done),
        };

    /// <summary>Causes whose step was done up to now: before the shot, and since.</summary>
    public static IReadOnlyList<ShotCause> DoneOf(TestShotRow row) =>
        [.. TestShotRow.CausesOf(row.Done).Union(TestShotRow.CausesOf(row.DoneSince))];
}
