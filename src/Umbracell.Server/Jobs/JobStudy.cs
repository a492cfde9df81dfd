using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Core.Yield;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;
using Umbracell.Server.Section;
using Umbracell.Server.Sets;
using Umbracell.Server.Sets.PastJobs;
using Umbracell.Server.Sets.Price;
using Umbracell.Server.Sheets;
using Umbracell.Server.Window;
using Umbracell.Store.Model;

namespace Umbracell.Server.Jobs;

/// <summary>A surface with what every stage says of it.</summary>
internal sealed record SurfaceStudy(
    Surface Surface,
    SectionCase Bare,
    ProductSheet? Sheet,
    SurfaceTakeoff? Takeoff,
    IReadOnlyList<Finding> Survey,
    SectionStudy? Section,
    MonthlyYear? Year,
    SetsQuestion? SetsQuestion,
    SetsStudy? Sets,
    SprayGate? Gate
)
{
    /// <summary>Foams sprayed after the first, each with its material.</summary>
    public IReadOnlyList<(ProductSheet Sheet, SetsStudy Sets)> Further { get; init; } = [];

    /// <summary>Where the substrate temperature the yield is reckoned at comes from.</summary>
    public SubstrateFrom SubstrateFrom { get; init; } = SubstrateFrom.Assumed;

    /// <summary>Boards laid with the system beside what is put in, outboard and inboard.</summary>
    public IReadOnlyList<LayerShape> AddedBoards { get; init; } = [];

    /// <summary>Whether it is shaved flush: only open cell is, and only what lies outermost.</summary>
    public bool Shaved =>
        Surface.ShavedFlush && AllSets.Select(one => one.Sheet.Cell).LastOrDefault(CellStructure.Closed) == CellStructure.Open;

    /// <summary>The system; null where none was chosen.</summary>
    public CandidateKind? System { get; init; }

    /// <summary>Every foam with its material.</summary>
    public IEnumerable<(ProductSheet Sheet, SetsStudy Sets)> AllSets => Sets is null ? [] : [(Sheet!, Sets), .. Further];
}

/// <summary>A job with every surface studied: what the board shows and the feet of its columns add up.</summary>
internal sealed record JobStudy(Job Job, IReadOnlyList<SurfaceStudy> Rows)
{
    public static async Task<JobStudy> OfAsync(Job job, SurfaceReader reader, SheetLibrary library, CrewYields crews, TimeProvider clock)
    {
        var surfaces = await reader.SurfacesAsync(job.Id);
        var records = await reader.RecordsAsync(job.Id);
        var names = surfaces.ToDictionary(s => s.Id, s => s.Name);
        var shelf = await library.ShelfAsync();
        var crew = await crews.AtWorkAsync(job);
        var now = clock.GetUtcNow();
        return new(
            job,
            [.. surfaces.Select(surface => Study(surface, job, records, id => names.GetValueOrDefault(id, ""), shelf, crew, now))]
        );
    }

    private static SurfaceStudy Study(
        Surface surface,
        Job job,
        SurveyRecords records,
        Func<Guid, string> nameOf,
        Shelf shelf,
        CrewAtWork crew,
        DateTimeOffset now
    )
    {
        var sheet = surface.SheetSlug is { } slug ? shelf.Sheets.GetValueOrDefault(slug) : null;
        var takeoff = SurfaceReader.Takeoff(surface);
        var readings = records.Readings;
        var survey = SurfaceReader.SurveyOf(surface, takeoff, records, nameOf);
        var asked = SurfaceSections.Of(surface, job);
        var section = asked is null ? null : OrNull(() => SectionQuestions.Study(asked, shelf));
        var year = section is null ? null : OrNull(() => SectionYears.Study(section.Case, asked!.Year));
        var bare = SectionQuestions.Case(SurfaceSections.Of(surface, job, null, null), shelf);
        if (sheet is null)
        {
            return new(surface, bare, null, takeoff, survey, section, year, null, null, null)
            {
                AddedBoards = BoardsOf(surface),
                System = surface.System?.Kind,
            };
        }

        List<SetsQuestion> questions = [.. SetsQuestions.AllOf(surface, job, takeoff, readings).Select(crew.Asked)];
        var setsQuestion = questions.Count > 0 ? questions[0] : null;
        var sets = setsQuestion is null ? null : OrNull(() => crew.Study(setsQuestion, takeoff!.Working));
        var further = questions
            .Skip(1)
            .Select(q => (Sheet: shelf.Sheets.GetValueOrDefault(q.SheetId), Sets: OrNull(() => crew.Study(q, takeoff!.Working))))
            .Where(one => one is { Sheet: not null, Sets: not null })
            .Select(one => (one.Sheet!, one.Sets!))
            .ToList();
        var gate = GateQuestions.Of(surface, job, records, now) is { } gateQuestion
            ? OrNull(() => GateQuestions.Check(gateQuestion, sheet, shelf.Sheets.Values))
            : null;

        // Where nothing was read or ticked off the board shows that the stage has not begun, as the stage itself does.
        gate = gate is { Begun: true } ? gate : null;
        return new(surface, bare, sheet, takeoff, survey, section, year, setsQuestion, sets, gate)
        {
            Further = further,
            AddedBoards = BoardsOf(surface),
            System = surface.System?.Kind,
            SubstrateFrom = SetsQuestions.SubstrateOf(surface, job, readings).From,
        };
    }

    private static List<LayerShape> BoardsOf(Surface surface) =>
        [
            .. (surface.System?.AddedOutboard ?? [])
                .Concat(surface.System?.AddedInboard ?? [])
                .Select(l => new LayerShape(l.Material, l.ThicknessMm)),
        ];

    // One surface that cannot be studied (a thickness its sheet does not rate) must not take the board down; its cell says so.
    private static T? OrNull<T>(Func<T?> study)
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
