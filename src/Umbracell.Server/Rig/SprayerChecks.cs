using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Rigs.Sequences;
using Umbracell.Questions.Answers;
using Umbracell.Server.Places;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Rig;

/// <summary>Who sprays today, and who said that they are protected and fit.</summary>
/// <param name="Sprayer">Who sprays; empty where it was said in a sequence.</param>
/// <param name="By">Who said so.</param>
/// <param name="At">When.</param>
public sealed record SprayerAnswer(string Sprayer, string By, DateTimeOffset At);

/// <summary>Air supply and fitness of who sprays: on record before the first trigger of a day, by itself or as a step of a
/// sequence.</summary>
internal sealed class SprayerChecks(UmbracellDb db, TimeProvider clock)
{
    /// <summary>What is on record for a rig at a job on the day of a time; null where nothing is.</summary>
    /// <param name="job">The job.</param>
    /// <param name="rig">The rig.</param>
    /// <param name="at">The time; null for now.</param>
    public async Task<SprayerAnswer?> OfDayAsync(Job job, Guid rig, DateTimeOffset? at = null)
    {
        var day = PlaceTime.Day(job, at ?? clock.GetUtcNow());
        var (from, to) = (PlaceTime.StartOf(job, day).ToUniversalTime(), PlaceTime.EndOf(job, day).ToUniversalTime());
        var check = await db
            .SprayerChecks.AsNoTracking()
            .Where(row => row.JobId == job.Id && row.RigId == rig && row.CheckedAt >= from && row.CheckedAt < to)
            .OrderByDescending(row => row.CheckedAt)
            .FirstOrDefaultAsync();
        return check is null ? await InSequenceAsync() : new(check.Sprayer, check.CheckedBy, check.CheckedAt);

        async Task<SprayerAnswer?> InSequenceAsync()
        {
            var runs = await db
                .SequenceRuns.AsNoTracking()
                .Where(run => run.JobId == job.Id && run.RigId == rig && run.BegunAt < to && run.BegunAt >= from.AddDays(-1))
                .ToListAsync();
            var steps = runs.SelectMany(run => run.Document.Steps.Where(Protects).Select(step => (run.Id, step.Id))).ToHashSet();
            var ids = runs.ConvertAll(run => run.Id);
            var marks = await db
                .StepMarks.AsNoTracking()
                .Where(mark => ids.Contains(mark.RunId))
                .OrderBy(mark => mark.Number)
                .ToListAsync();
            return marks
                .Where(mark => steps.Contains((mark.RunId, mark.Step)))
                .GroupBy(mark => (mark.RunId, mark.Step))
                .Select(said => said.Last())
                .Where(mark => mark.Saying == StepSaying.Done && mark.SaidAt >= from && mark.SaidAt < to)
                .Select(mark => new SprayerAnswer("", mark.SaidBy, mark.SaidAt))
                .MaxBy(one => one.At);
        }
    }

    /// <summary>Takes who sprays, once they are protected and fit.</summary>
    /// <exception cref="FieldFaultsException">Nobody is named, or it was not confirmed.</exception>
    public void Take(TypedEdit edit, Guid job, Guid rig, Stamp stamp)
    {
        var (sprayer, isProtected) = ("", false);
        var fields = new TypedFields(edit);
        fields.Require("sprayer");
        fields.Text("sprayer", SprayerCheckRow.LongestName, required: true, text => sprayer = text);
        fields.YesNo("protected", yes => isProtected = yes == true);
        fields.ThrowIfFaulty("sprayer", "protected", "rig");
        if (!isProtected)
        {
            throw FieldFaultsException.Of("protected", FaultCode.Unprotected);
        }

        db.SprayerChecks.Add(
            new()
            {
                Id = Guid.CreateVersion7(),
                JobId = job,
                RigId = rig,
                Sprayer = sprayer,
                CheckedAt = stamp.At,
                ReceivedAt = stamp.ReceivedAt,
                CheckedBy = stamp.By,
            }
        );
    }

    private static bool Protects(Documents.StepDocument step) => step.Act == RigAct.PeopleProtected;
}
