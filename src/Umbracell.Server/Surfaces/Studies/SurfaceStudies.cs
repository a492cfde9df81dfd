using Umbracell.Core.Quantities;
using Umbracell.Documents;
using Umbracell.Questions;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Prove;
using Umbracell.Questions.Section;
using Umbracell.Questions.Sets;
using Umbracell.Questions.Spray;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>Studies surfaces of a job.</summary>
internal static class SurfaceStudies
{
    /// <param name="surfaces">The surfaces.</param>
    /// <param name="job">Their job.</param>
    /// <param name="records">What its survey knows beside them.</param>
    /// <param name="names">Names of all its surfaces.</param>
    /// <param name="supplies">What the firm sprays and lays.</param>
    /// <param name="crew">Who will spray it.</param>
    /// <param name="now">The time.</param>
    public static IReadOnlyList<SurfaceStudy> Of(
        IEnumerable<Surface> surfaces,
        Job job,
        SurveyRecords records,
        IReadOnlyDictionary<Guid, string> names,
        Supplies supplies,
        CrewAtWork crew,
        DateTimeOffset now
    ) => [.. surfaces.Select(surface => Study(surface, job, records, id => names.GetValueOrDefault(id, ""), supplies, crew, now))];

    private static SurfaceStudy Study(
        Surface surface,
        Job job,
        SurveyRecords records,
        Func<Guid, string> nameOf,
        Supplies supplies,
        CrewAtWork crew,
        DateTimeOffset now
    )
    {
        var sheet = surface.SheetSlug is { } slug ? supplies.Sheets.GetValueOrDefault(slug) : null;
        var takeoff = SurfaceReader.Takeoff(surface);
        var readings = records.Readings;
        var survey = SurfaceReader.SurveyOf(surface, takeoff, records, nameOf);
        var asked = SurfaceSections.Of(surface, job);
        var section = asked is null ? null : OrNull(() => SectionQuestions.Study(asked, supplies));
        var year = section is null ? null : OrNull(() => SectionYears.Study(section.Case, asked!.Year));
        var bare = SectionQuestions.Case(SurfaceSections.Empty(surface, job), supplies);
        if (sheet is null)
        {
            return new()
            {
                Surface = surface,
                Bare = bare,
                Sheet = null,
                Takeoff = takeoff,
                Survey = survey,
                Section = section,
                Year = year,
                SetsQuestion = null,
                Sets = null,
                StudiedAt = now,
                AddedBoards = BoardsOf(surface),
                System = surface.System?.Kind,
            };
        }

        List<SetsQuestion> questions = [.. SurfaceSets.AllOf(surface, job, takeoff, readings).Select(crew.Asked)];
        var setsQuestion = questions.Count > 0 ? questions[0] : null;
        var sets = setsQuestion is null ? null : OrNull(() => crew.Study(setsQuestion, takeoff!.Working));
        var further = questions
            .Skip(1)
            .Select(q => (Sheet: supplies.Sheets.GetValueOrDefault(q.SheetId), Sets: OrNull(() => crew.Study(q, takeoff!.Working))))
            .Where(one => one is { Sheet: not null, Sets: not null })
            .Select(one => (one.Sheet!, one.Sets!))
            .ToList();
        return new()
        {
            Surface = surface,
            Bare = bare,
            Sheet = sheet,
            Takeoff = takeoff,
            Survey = survey,
            Section = section,
            Year = year,
            SetsQuestion = setsQuestion,
            Sets = sets,
            Gate = SurfaceGates.Of(surface, job, records, now),
            Shots = SurfaceShots.Of(surface, job, records, supplies),
            Sprayed = SprayedOf(surface, job, records, supplies, now),
            Proof = ProofOf(surface, records, supplies),
            StudiedAt = now,
            Further = further,
            AddedBoards = BoardsOf(surface),
            System = surface.System?.Kind,
            SubstrateFrom = SurfaceSets.SubstrateOf(surface, job, readings).From,
        };
    }

    // What nobody has begun is not asked for: of most surfaces nothing was logged yet.
    private static SprayAnswer? SprayedOf(Surface surface, Job job, SurveyRecords records, Supplies supplies, DateTimeOffset now) =>
        records.Log.Any(row => row.SurfaceId == surface.Id)
        && SurfaceSprays.Of(surface, job, records, now, supplies.Gate.FreshFor) is { } asked
            ? OrNull(() => SprayQuestions.Answer(asked, supplies))
            : null;

    private static ProofAnswer? ProofOf(Surface surface, SurveyRecords records, Supplies supplies) =>
        records.Log.Any(row => row.SurfaceId == surface.Id) && SurfaceProofs.Of(surface, records) is { } asked
            ? OrNull(() => ProofQuestions.Answer(asked, supplies))
            : null;

    private static List<LayerDocument> BoardsOf(Surface surface) =>
        KeptSystems.Of(surface) is var system ? [.. system.AddedOutboard, .. system.AddedInboard] : [];

    // One surface that cannot be studied (a thickness its sheet does not rate) must not take the board down; its cell says so.
    public static T? OrNull<T>(Func<T?> study)
        where T : class
    {
        try
        {
            return study();
        }
        catch (QuantityRangeException)
        {
            return null;
        }
        catch (FieldFaultsException)
        {
            return null;
        }
    }
}
