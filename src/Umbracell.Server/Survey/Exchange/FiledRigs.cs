using Microsoft.EntityFrameworkCore;
using Umbracell.Formats.JobFiles;
using Umbracell.Server.Means;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.Exchange;

/// <summary>What was set, fired and sprayed with rigs at a job, filed with the rigs' names and read back.</summary>
internal static class FiledRigs
{
    /// <summary>The file with what was set and fired at a job.</summary>
    /// <param name="file">The file so far.</param>
    /// <param name="job">The job.</param>
    /// <param name="db">Where it is kept.</param>
    public static async Task<JobFile> AddAsync(JobFile file, Guid job, UmbracellDb db)
    {
        var names = await db.Means.Where(means => means.Kind == MeansKind.Rig).ToDictionaryAsync(means => means.Id, means => means.Name);
        var surfaces = file.Surfaces.Select(surface => surface.Id).ToHashSet();
        var settings = await db.RigSettings.AsNoTracking().Where(row => row.JobId == job).OrderBy(row => row.Number).ToListAsync();
        var shots = await db.TestShots.AsNoTracking().Where(row => row.JobId == job).OrderBy(row => row.FiredAt).ToListAsync();
        var checks = await db.SprayerChecks.AsNoTracking().Where(row => row.JobId == job).OrderBy(row => row.CheckedAt).ToListAsync();
        var log = await db.SprayLog.AsNoTracking().Where(row => row.JobId == job).ToListAsync();
        return file with
        {
            SprayLog =
            [
                .. log.Where(row => row.SurfaceId is not { } surface || surfaces.Contains(surface))
                    .OrderBy(row => row.Document.At)
                    .ThenBy(row => row.Id)
                    .Select(ToJobFile.Of),
            ],
            RigSettings = [.. settings.Select(row => ToJobFile.Of(row, names[row.RigId]))],
            TestShots = [.. shots.Where(row => surfaces.Contains(row.SurfaceId)).Select(row => ToJobFile.Of(row, names[row.RigId]))],
            SprayerChecks = [.. checks.Select(row => ToJobFile.Of(row, names[row.RigId]))],
        };
    }

    /// <summary>Adds what a file tells of rigs. How a rig was set goes before all that is known of it: a file says nothing of what is on
    /// it now.</summary>
    /// <param name="file">The file.</param>
    /// <param name="db">Where it goes.</param>
    /// <param name="ids">New ids by those in the file.</param>
    public static async Task ComeAlongAsync(JobFile file, UmbracellDb db, Dictionary<Guid, Guid> ids)
    {
        var rigs = await MeansByName.OpenAsync(db, MeansKind.Rig);
        var firsts = await db
            .RigSettings.GroupBy(row => row.RigId)
            .Select(rig => new { Rig = rig.Key, First = rig.Min(row => row.Number) })
            .ToDictionaryAsync(one => one.Rig, one => one.First);
        foreach (var ofRig in (file.RigSettings ?? []).GroupBy(filed => filed.Rig))
        {
            var rig = Rig(ofRig.Key);
            var number = Math.Min(firsts.GetValueOrDefault(rig), 1) - ofRig.Count();
            foreach (var filed in ofRig)
            {
                var row = FromJobFile.Setting(filed);
                (row.Id, row.RigId, row.Number) = (Guid.CreateVersion7(), rig, number++);
                db.RigSettings.Add(row);
            }
        }

        foreach (var filed in file.TestShots ?? [])
        {
            var row = FromJobFile.Shot(filed, ids);
            row.RigId = Rig(filed.Rig);
            db.TestShots.Add(row);
        }

        foreach (var filed in file.SprayerChecks ?? [])
        {
            var row = FromJobFile.Check(filed);
            (row.Id, row.RigId) = (Guid.CreateVersion7(), Rig(filed.Rig));
            db.SprayerChecks.Add(row);
        }

        foreach (var filed in file.SprayLog ?? [])
        {
            db.SprayLog.Add(FromJobFile.LogEntry(filed, ids));
        }

        Guid Rig(string name) => rigs.Named(name.Length <= MeansRow.LongestName ? name : name[..MeansRow.LongestName])!.Id;
    }
}
