using Umbracell.Core.Findings;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Spray;
using Umbracell.Questions.Window;
using Umbracell.Server.Places;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;
using Umbracell.Store.Model;

namespace Umbracell.Server.Spray;

/// <summary>Answers how far a surface is.</summary>
internal sealed class SprayReader(SurfaceReader surfaces, SheetLibrary library, TimeProvider clock)
{
    public async Task<SprayOfSurface> OfAsync(Surface surface, Job job)
    {
        var now = clock.GetUtcNow();
        var supplies = await library.SuppliesAsync(job);
        var records = await surfaces.RecordsAsync(job.Id, [surface.Id]);
        var question = SurfaceSprays.Of(surface, job, records, now, supplies.Gate.FreshFor);
        var answer = question is null ? null : SurfaceStudies.OrNull(() => SprayQuestions.Answer(question, supplies));
        var gate = SurfaceGates.Of(surface, job, records, now) is { } asked
            ? SurfaceStudies.OrNull(() => GateQuestions.Check(asked, supplies))
            : null;
        return new()
        {
            Missing =
                question is null ? SprayMissing.Sheet
                : answer is null ? SprayMissing.Thickness
                : null,
            Sheet = question is null ? null : supplies.Sheets.GetValueOrDefault(question.SheetId)?.Name,
            Question = question,
            Answer = answer,
            Gate = gate?.Verdict,
            GateFindings = gate is null ? [] : FindingAnswer.All(gate.Findings.Where(finding => finding.Verdict != Verdict.Clear)),
            Shot = SurfaceShots.Of(surface, job, records, supplies) is { } shots ? FindingAnswer.Of(shots.Judge(now)) : null,
            TimeZone = PlaceTime.IsKnown(job) ? PlaceTime.Of(job).Id : null,
        };
    }
}
