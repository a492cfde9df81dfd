using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Prove;
using Umbracell.Server.Places;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Prove;

/// <summary>Answers whether a finished surface is thick enough and sound, and when people come back.</summary>
internal sealed class ProofReader(SurfaceReader surfaces, SheetLibrary library, UmbracellDb db, TimeProvider clock)
{
    public async Task<ProofOfSurface> OfAsync(Surface surface, Job job)
    {
        var supplies = await library.SuppliesAsync(job);
        var records = await surfaces.RecordsAsync(job.Id, [surface.Id]);
        var names = await surfaces.NamesAsync(job.Id);
        var question = SurfaceProofs.Of(surface, records);
        var answer = question is null ? null : SurfaceStudies.OrNull(() => ProofQuestions.Answer(question, supplies));
        return new()
        {
            Missing =
                question is null ? ProveMissing.Sheet
                : answer is null ? ProveMissing.Thickness
                : null,
            Sheet = question is null ? null : supplies.Sheets.GetValueOrDefault(question.SheetId)?.Name,
            Question = question,
            Answer = answer,
            Joints = [.. records.JointsOf(surface.Id).Select(joint => Told(joint, surface.Id, names))],
            TimeZone = PlaceTime.IsKnown(job) ? PlaceTime.Of(job).Id : null,
        };
    }

    public async Task<ReEntryOfJob> ReEntryOfAsync(Job job)
    {
        var supplies = await library.SuppliesAsync(job);
        var log = await db.SprayLog.AsNoTracking().Where(row => row.JobId == job.Id).ToListAsync();
        var question = SurfaceProofs.ReEntryOf(await surfaces.SurfacesAsync(job.Id), log, clock.GetUtcNow(), supplies.Sheets.ContainsKey);
        var volume = await db
            .FanTests.AsNoTracking()
            .Where(test => test.JobId == job.Id && test.VolumeM3 != null)
            .OrderByDescending(test => test.TakenAt)
            .Select(test => test.VolumeM3)
            .FirstOrDefaultAsync();
        return new()
        {
            Question = question,
            Answer = ReEntryQuestions.Answer(question, supplies),
            Ventilated = question.Ventilation.Count == 0 ? null : question.Ventilation[^1].IsOn,
            AirChanges = question.Ventilation.LastOrDefault(one => one.AirChanges is not null)?.AirChanges is { } changes
                ? FigureAnswer.Of(new(changes, Dimension.AirChanges))
                : null,
            RoomVolume = volume is { } room ? FigureAnswer.AsTyped(new(room, Dimension.RoomVolume)) : null,
            TimeZone = PlaceTime.IsKnown(job) ? PlaceTime.Of(job).Id : null,
        };
    }

    private static SeenJointAnswer Told(JointRow joint, Guid surface, Dictionary<Guid, string> names)
    {
        var other = joint.FirstId == surface ? joint.SecondId : joint.FirstId;
        return new()
        {
            Id = joint.Id,
            Kind = joint.Kind,
            Beyond = other is { } id ? names.GetValueOrDefault(id, "") : joint.Beyond,
            Water = joint.Water,
            Air = joint.Air,
            Vapour = joint.Vapour,
            Heat = joint.Heat,
            Ready = joint.Ready,
            SeenBy = joint.SeenBy,
            SeenAt = joint.SeenAt,
            Version = joint.Version,
        };
    }
}
