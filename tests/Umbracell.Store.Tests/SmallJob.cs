using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;
using Umbracell.Core.Takeoff;
using Umbracell.Store.Model;
using Xunit;

namespace Umbracell.Store.Tests;

/// <summary>A firm with one job of three walls.</summary>
internal static class SmallJob
{
    public static async Task<(UmbracellDb Db, Job Job, Surface[] Walls)> MadeAsync()
    {
        var firm = Guid.NewGuid();
        var db = TestDatabase.AsFirm(firm);
        var job = new Job
        {
            Id = Guid.NewGuid(),
            Name = "counted",
            ClimateZone = "6A",
            TargetSetId = "iecc-2021",
        };
        var walls = Enumerable
            .Range(0, 3)
            .Select(i => new Surface
            {
                Id = Guid.NewGuid(),
                JobId = job.Id,
                Position = i,
                Name = $"wall {i}",
                Kind = SurfaceKind.StudWall,
                Shape = ShapeKind.Rectangle,
                Substrate = SubstrateKind.Wood,
            })
            .ToArray();
        db.Add(new Firm { Id = firm, Name = "counting" });
        db.Add(job);
        db.AddRange(walls);
        await db.SaveChangesAsync(TestContext.Current.CancellationToken);
        return (db, job, walls);
    }
}
