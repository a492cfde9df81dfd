using CsCheck;
using Microsoft.EntityFrameworkCore;
using Npgsql;
using Shouldly;
using Umbracell.Core.Quantities;
using Umbracell.Store.Model;
using Xunit;

namespace Umbracell.Store.Tests;

/// <summary>Rows written in one go stand as they would had each been written by itself.</summary>
public sealed class ManyRowsTests : IClassFixture<TestDatabase>
{
    private static readonly DateTimeOffset Morning = new(2026, 11, 23, 12, 40, 0, TimeSpan.Zero);

    [Fact]
    public async Task Every_column_is_as_it_is_where_rows_are_added_one_by_one()
    {
        var (db, job, walls) = await SmallJob.MadeAsync();
        // More than go in one statement.
        var together = AnyReading(job, walls).Array[6000].Single();
        for (var i = 0; i < together.Length; i++)
        {
            together[i].Place = $"{i}";
        }

        var apart = together.Select(AsNew).ToList();
        await WriteAsync(db, together);
        db.AddRange(apart);
        await db.SaveChangesAsync(Stop);

        var kept = await db.Readings.AsNoTracking().ToListAsync(Stop);
        kept.Count.ShouldBe(12_000);
        kept.Select(r => r.Id).Distinct().Count().ShouldBe(12_000);
        var columns = db.Model.FindEntityType(typeof(ReadingRow))!.GetProperties().Where(p => p.Name != nameof(ReadingRow.Id)).ToList();
        kept.GroupBy(r => string.Join('|', columns.Select(c => c.GetGetter().GetClrValue(r)))).ShouldAllBe(same => same.Count() == 2);
    }

    [Fact]
    public async Task What_hangs_on_them_is_counted()
    {
        var (db, job, walls) = await SmallJob.MadeAsync();
        var before = await VersionsAsync(db);
        await WriteAsync(db, [Reading(job, walls[1].Id), Reading(job, walls[1].Id), Reading(job, null)]);
        var moved = (await VersionsAsync(db)).Where(v => v.Value != before.GetValueOrDefault(v.Key)).Select(v => v.Key);
        moved.ShouldBe([walls[1].Id, job.Id], ignoreOrder: true);
    }

    [Fact]
    public async Task One_that_is_refused_leaves_none()
    {
        var (db, job, walls) = await SmallJob.MadeAsync();
        var bad = Reading(job, walls[0].Id);
        bad.Percent = 40;
        await Should.ThrowAsync<PostgresException>(() => WriteAsync(db, [Reading(job, null), bad]));
        (await db.Readings.CountAsync(Stop)).ShouldBe(0);
        await Should.ThrowAsync<InvalidOperationException>(() => db.AddManyAsync([Reading(job, null)], Stop));
    }

    [Fact]
    public async Task They_are_the_firms_whatever_they_say()
    {
        var (db, job, _) = await SmallJob.MadeAsync();
        var (others, foreign, _) = await SmallJob.MadeAsync();
        var claimed = Reading(job, null);
        claimed.FirmId = foreign.FirmId;
        await WriteAsync(db, [claimed]);
        (await others.Readings.CountAsync(Stop)).ShouldBe(0);
        await Should.ThrowAsync<PostgresException>(() => WriteAsync(db, [Reading(foreign, null)]));
    }

    private static CancellationToken Stop => TestContext.Current.CancellationToken;

    private static async Task WriteAsync(UmbracellDb db, IReadOnlyList<ReadingRow> rows)
    {
        await using var whole = await db.Database.BeginTransactionAsync(Stop);
        await db.AddManyAsync(rows, Stop);
        await whole.CommitAsync(Stop);
    }

    private static Gen<ReadingRow> AnyReading(Job job, Surface[] walls) =>
        Gen.Select(
            Gen.Int[0, 3],
            Gen.Enum<HumidityReference>(),
            Gen.Double[-50, 90].Nullable(),
            Gen.String[Gen.Char[" ,{}\"\\NULé漢'"], 0, 8],
            (at, over, value, words) =>
            {
                var row = Reading(job, at == 3 ? null : walls[at].Id);
                (row.HumidityOver, row.Species, row.Instrument) = (over, words, $"meter {words}");
                (row.TempC, row.FoundDry, row.TakenAt) = (value, value is null ? at == 1 : null, Morning.AddSeconds(at));
                row.ErrorK = value is > 20 ? 0.5 : null;
                return row;
            }
        );

    private static ReadingRow AsNew(ReadingRow r) =>
        new()
        {
            JobId = r.JobId,
            SurfaceId = r.SurfaceId,
            SheetSlug = r.SheetSlug,
            Kind = r.Kind,
            TempC = r.TempC,
            FoundDry = r.FoundDry,
            HumidityOver = r.HumidityOver,
            Instrument = r.Instrument,
            ErrorK = r.ErrorK,
            Place = r.Place,
            Species = r.Species,
            TakenAt = r.TakenAt,
            TakenBy = r.TakenBy,
        };

    private static ReadingRow Reading(Job job, Guid? surface) =>
        new()
        {
            JobId = job.Id,
            SurfaceId = surface,
            SheetSlug = surface is null ? "marl-cc-20" : null,
            Kind = surface is null ? ReadingKind.DrumA : ReadingKind.SubstrateTemperature,
            TempC = 15,
            Instrument = "thermometer",
            TakenBy = "lead",
        };

    private static Task<Dictionary<Guid, long>> VersionsAsync(UmbracellDb db) =>
        db.InputVersions.AsNoTracking().ToDictionaryAsync(v => v.SubjectId, v => v.Version, Stop);
}
