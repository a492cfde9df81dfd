using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;
using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Quality;
using Umbracell.Core.Spraying;
using Umbracell.Store.Model;
using Umbracell.Store.Seeding;
using Umbracell.Store.Tenancy;
using Xunit;

namespace Umbracell.Store.Tests;

/// <summary>A demo that was planted before and is kept receives what has come since, once.</summary>
[Collection(TestDatabase.Empty)]
public sealed class KeptDemoTests
{
    [Fact]
    public async Task What_came_since_is_added_once_and_what_was_there_stays()
    {
        var firm = new Guid("6f1c0f5e-9a4e-4c7e-8a57-0d3e5c1b9a01");
        var scope = new FirmScope();
        await using var db = await TestDatabase.EmptyAsync(scope);
        await db.GetService<IMigrator>().MigrateAsync(cancellationToken: TestContext.Current.CancellationToken);
        scope.EnterFirm(firm);
        db.Firms.Add(new() { Id = firm, Name = "Renamed since" });
        db.Means.Add(
            new()
            {
                Kind = MeansKind.Rig,
                Name = "Rig of before",
                Document = new()
                {
                    Words = new Dictionary<string, string> { ["tips"] = "01, 02", ["pumps"] = "own" },
                },
            }
        );
        var job = new Job
        {
            Id = Guid.NewGuid(),
            Name = "The ferry house, renamed since",
            ClimateZone = "6A",
            TargetSetId = "iecc-2021",
            CreatedAt = DateTimeOffset.UnixEpoch,
        };
        var joists = new Surface
        {
            Id = Guid.NewGuid(),
            JobId = job.Id,
            Name = "Band joists of the wing",
            Kind = SurfaceKind.BandJoist,
        };
        db.AddRange(job, joists);
        await db.SaveChangesAsync(TestContext.Current.CancellationToken);
        for (var times = 0; times < 2; times++)
        {
            await DemoSeed.PlantAsync(db, scope, Inputs, TestContext.Current.CancellationToken);
            scope.EnterFirm(firm);
            var means = await db.Means.AsNoTracking().ToListAsync(TestContext.Current.CancellationToken);
            means
                .Select(one => (one.Kind, one.Name))
                .ShouldBe(
                    [
                        (MeansKind.Rig, "Rig of before"),
                        (MeansKind.Scaffold, "Rolling tower"),
                        (MeansKind.Fan, "Exhaust fan"),
                        (MeansKind.Dehumidifier, "Dehumidifier on wheels"),
                    ],
                    ignoreOrder: true
                );
            var words = means.Single(one => one.Kind == MeansKind.Rig).Document!.Words;
            words["tips"].ShouldStartWith("01 at ");
            words["pumps"].ShouldBe("own");
            (await db.Firms.AsNoTracking().SingleAsync(TestContext.Current.CancellationToken)).Name.ShouldBe("Renamed since");
            var log = await db.SprayLog.AsNoTracking().ToListAsync(TestContext.Current.CancellationToken);
            log.Count(row => row.SurfaceId == joists.Id && row.Document.Kind == LogEntryKind.LiftEnded).ShouldBe(1);
            log.ShouldAllBe(row => row.JobId == job.Id && (row.SurfaceId == null || row.SurfaceId == joists.Id));
            (await db.Sheets.AsNoTracking().CountAsync(TestContext.Current.CancellationToken)).ShouldBe(1);
            db.ChangeTracker.Clear();
        }
    }

    [Fact]
    public async Task A_demo_whose_log_knows_nothing_of_the_proof_and_whose_samples_give_no_re_entry_gets_both_once()
    {
        var firm = new Guid("6f1c0f5e-9a4e-4c7e-8a57-0d3e5c1b9a01");
        var scope = new FirmScope();
        await using var db = await TestDatabase.EmptyAsync(scope);
        await db.GetService<IMigrator>().MigrateAsync(cancellationToken: TestContext.Current.CancellationToken);
        scope.EnterFirm(firm);
        db.Firms.Add(new() { Id = firm, Name = "Kept" });
        var job = new Job
        {
            Id = Guid.NewGuid(),
            Name = "The ferry house",
            ClimateZone = "6A",
            TargetSetId = "iecc-2021",
            CreatedAt = DateTimeOffset.UnixEpoch,
        };
        var walls = new Surface
        {
            Id = Guid.NewGuid(),
            JobId = job.Id,
            Name = "Basement walls",
            Kind = SurfaceKind.BasementWall,
        };
        db.AddRange(job, walls);
        db.Sheets.AddRange(
            new SheetRow { Slug = "said", Document = Words("24 h") },
            new SheetRow { Slug = "reworded", Document = Words("a week") },
            new SheetRow
            {
                Slug = "own",
                Document = Words("24 h"),
                Origin = SheetOrigin.Own,
            }
        );
        await db.SaveChangesAsync(TestContext.Current.CancellationToken);
        const string Shipped = """{"reEntry":"24 h","reEntryAfter":{"hours":24,"airChanges":10}}""";
        var inputs = Inputs with
        {
            Sheets = new Dictionary<string, string>
            {
                ["said"] = Shipped,
                ["reworded"] = Shipped,
                ["own"] = Shipped,
            },
        };

        // As it was before there was a proof: the log of what was sprayed alone.
        await DemoSeed.PlantAsync(db, scope, Inputs, TestContext.Current.CancellationToken);
        scope.EnterFirm(firm);
        var planted = await db.SprayLog.ToListAsync(TestContext.Current.CancellationToken);
        db.SprayLog.RemoveRange(planted.Where(row => row.Document.Proof is not null));
        await db.SaveChangesAsync(TestContext.Current.CancellationToken);
        for (var times = 0; times < 2; times++)
        {
            await DemoSeed.PlantAsync(db, scope, inputs, TestContext.Current.CancellationToken);
            scope.EnterFirm(firm);
            db.ChangeTracker.Clear();
            var log = await db.SprayLog.AsNoTracking().ToListAsync(TestContext.Current.CancellationToken);
            log.Count(row => row.Document.Kind == LogEntryKind.LiftBegun).ShouldBe(2);
            log.Count(row => row.Document.Kind == LogEntryKind.Defect).ShouldBe(1);
            var proven = ProvenSurface.Of(log.Select(row => row.Document.ToEntry()), 2);
            proven.Readings.Count(one => one.Spot?.Number is not null).ShouldBe(6);
            proven.Defects.Single().State.ShouldBe(DefectState.Closed);
            var sheets = await db.Sheets.AsNoTracking().ToListAsync(TestContext.Current.CancellationToken);
            sheets.Where(row => row.Document.Contains("reEntryAfter", StringComparison.Ordinal)).Select(row => row.Slug).ShouldBe(["said"]);
        }

        static string Words(string words) => $$"""{"reEntry":"{{words}}"}""";
    }

    private static DemoInputs Inputs =>
        new()
        {
            Sheets = new Dictionary<string, string> { ["new-since"] = "{}" },
            Start = (_, _) => throw new InvalidOperationException("No job of the demo is planted again."),
            List = _ => throw new InvalidOperationException("No job of the demo is planted again."),
            ApiToken = "a token",
            Now = DateTimeOffset.UnixEpoch,
        };
}
