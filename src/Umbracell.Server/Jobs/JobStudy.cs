using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Core.Yield;
using Umbracell.Server.Problems;
using Umbracell.Server.Section;
using Umbracell.Server.Sets;
using Umbracell.Server.Sheets;
using Umbracell.Server.Window;
using Umbracell.Store.Model;

namespace Umbracell.Server.Jobs;

/// <summary>A surface with what every stage says of it.</summary>
internal sealed record SurfaceStudy(
    Surface Surface, ProductSheet? Sheet, SurfaceTakeoff? Takeoff, IReadOnlyList<Finding> Survey, SectionStudy? Section, MonthlyYear? Year, SetsQuestion? SetsQuestion, SetsStudy? Sets, SprayGate? Gate);

/// <summary>A job with every surface studied: what the board shows and the feet of its columns add up.</summary>
internal sealed record JobStudy(Job Job, IReadOnlyList<SurfaceStudy> Rows)
{
    public static async Task<JobStudy> OfAsync(Job job, SurfaceReader reader, SheetLibrary library, TimeProvider? clock = null)
    {
        var surfaces = await reader.SurfacesAsync(job.Id);
        var records = await reader.RecordsAsync(job.Id);
        var names = surfaces.ToDictionary(s => s.Id, s => s.Name);
        var sheets = await library.AllAsync();
        var now = (clock ?? TimeProvider.System).GetUtcNow();
        return new(job, [.. surfaces.Select(surface => Study(surface, job, records, id => names.GetValueOrDefault(id, ""), sheets, now))]);
    }

    private static SurfaceStudy Study(Surface surface, Job job, SurveyRecords records, Func<Guid, string> nameOf, IReadOnlyDictionary<string, ProductSheet> sheets, DateTimeOffset now)
    {
        var sheet = surface.SheetSlug is { } slug ? sheets.GetValueOrDefault(slug) : null;
        var takeoff = SurfaceReader.Takeoff(surface);
        var readings = records.Readings;
        var survey = SurfaceReader.SurveyOf(surface, takeoff, records, nameOf);
        if (sheet is null)
        {
            return new(surface, null, takeoff, survey, null, null, null, null, null);
        }

        var asked = SectionQuestions.Of(surface, job);
        var section = asked is null ? null : OrNull(() => SectionQuestions.Study(asked, sheet));
        var year = section is null ? null : OrNull(() => SectionYears.Study(section.Case, asked!.Year));
        var setsQuestion = SetsQuestions.Of(surface, job, takeoff, readings);
        var sets = setsQuestion is null ? null : OrNull(() => SetsQuestions.Study(setsQuestion, sheet, takeoff!.Working));
        var gate = GateQuestions.Of(surface, job, records, now) is { } gateQuestion && readings.HasAny(surface.Id) ? OrNull(() => GateQuestions.Check(gateQuestion, sheet, sheets.Values)) : null;
        return new(surface, sheet, takeoff, survey, section, year, setsQuestion, sets, gate);
    }

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
