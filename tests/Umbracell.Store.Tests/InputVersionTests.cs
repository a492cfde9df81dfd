using Microsoft.EntityFrameworkCore;
using Shouldly;
using Umbracell.Core.Conditions;
using Umbracell.Core.Yield.Price;
using Umbracell.Store.Figures;
using Umbracell.Store.Model;
using Xunit;

namespace Umbracell.Store.Tests;

/// <summary>Each change of what figures are made from is counted with the write that makes it.</summary>
public sealed class InputVersionTests : IClassFixture<TestDatabase>
{
    // Rows no figure of board, list, price or sets hangs on.
    private static readonly Type[] NoInputs =
    [
        typeof(Person),
        typeof(ApiToken),
        typeof(AccessLinkRow),
        typeof(SessionRow),
        typeof(SecondStepRow),
        typeof(SecurityEventRow),
        typeof(CommandRow),
        typeof(ComplaintRow),
        typeof(PhotoRow),
        typeof(PaperRow),
        typeof(FanTestRow),
        typeof(ThermalPictureRow),
        typeof(LoggerSeriesRow),
        typeof(BufferSpaceRow),
        typeof(TemplateRow),
        typeof(ColumnMappingRow),
        typeof(PlaceHoursRow),
        typeof(ForecastRow),
        typeof(StockLotRow),
        typeof(BidRow),
        typeof(SprayerCheckRow),
        typeof(FirmSequenceRow),
        typeof(SequenceRunRow),
        typeof(StepMarkRow),
        typeof(InputVersion),
        typeof(SurfaceCellsRow),
        typeof(JobSumsRow),
    ];

    [Fact]
    public void Of_every_kind_of_row_it_is_said_whether_figures_hang_on_it()
    {
        using var db = TestDatabase.AsFirm(Guid.NewGuid());
        db.Model.GetEntityTypes()
            .Where(type => !type.IsOwned() && type.ClrType.IsAssignableTo(typeof(IFirmRow)) || type.ClrType == typeof(Firm))
            .Where(type => type.ClrType.IsAssignableTo(typeof(IFigureInput)) == NoInputs.Contains(type.ClrType))
            .Select(type => type.ClrType.Name)
            .ShouldBeEmpty();
    }

    [Fact]
    public async Task A_document_within_a_row_counts_for_the_row()
    {
        var (db, job, walls) = await SmallJob.MadeAsync();
        await CountsAsync(db, [walls[0].Id], () => walls[0].Assembly = walls[0].Assembly with { VentChannelMm = 25 });
        await CountsAsync(db, [walls[0].Id], () => walls[0].Assembly = walls[0].Assembly with { Outboard = [new("osb", 12)] });
        await CountsAsync(db, [walls[0].Id], () => walls[0].Assembly = walls[0].Assembly with { Outboard = [new("osb", 15)] });
        await CountsAsync(db, [], () => walls[0].Assembly = walls[0].Assembly with { Outboard = [new("osb", 15)] });
        await CountsAsync(db, [walls[1].Id], () => walls[1].Details = walls[1].Details with { CrawlSpace = true });
        await CountsAsync(db, [], () => { });
        await CountsAsync(db, [job.Id], () => job.RiskPct = 20);
    }

    [Fact]
    public async Task Margins_of_the_gate_count_for_all_the_firm_has_and_its_rates_by_the_row_itself()
    {
        var (db, _, _) = await SmallJob.MadeAsync();
        var firm = await db.Firms.SingleAsync(TestContext.Current.CancellationToken);
        await CountsAsync(db, [firm.Id], () => firm.Margins = new(new Dictionary<GateMargin, double> { [GateMargin.DewHoldK] = 4 }));
        await CountsAsync(db, [], () => firm.Rates = Rates.Unpriced with { CrewHour = 50 });
    }

    [Fact]
    public async Task A_name_and_whether_a_surface_is_there_count_for_the_whole_job_and_nothing_else_of_it_does()
    {
        var (db, job, walls) = await SmallJob.MadeAsync();
        await CountsAsync(db, [job.Id, walls[0].Id], () => walls[0].Name = "Other");
        await CountsAsync(db, [walls[0].Id], () => walls[0].FirstM = 7);
        await CountsAsync(db, [job.Id, walls[0].Id], () => walls[0].RemovedAt = DateTimeOffset.UnixEpoch);
        await CountsAsync(db, [walls[2].Id], () => db.Add(Reading(job, walls[2].Id)));
        await CountsAsync(db, [job.Id], () => db.Add(Reading(job, null)));
    }

    [Fact]
    public async Task A_joint_that_moves_counts_for_the_surface_it_leaves_and_the_one_it_comes_to()
    {
        var (db, job, walls) = await SmallJob.MadeAsync();
        var joint = new JointRow
        {
            Id = Guid.NewGuid(),
            JobId = job.Id,
            FirstId = walls[0].Id,
            SecondId = walls[1].Id,
        };
        await CountsAsync(db, [walls[0].Id, walls[1].Id], () => db.Add(joint));
        await CountsAsync(db, [.. walls.Select(wall => wall.Id)], () => joint.SecondId = walls[2].Id);
        await CountsAsync(db, [walls[0].Id, walls[2].Id], () => db.Remove(joint));
    }

    [Fact]
    public async Task What_is_not_written_is_not_counted()
    {
        var (db, _, walls) = await SmallJob.MadeAsync();
        var before = await VersionsAsync(db);
        walls[0].Name = new string('x', 300);
        await Should.ThrowAsync<DbUpdateException>(() => db.SaveChangesAsync(TestContext.Current.CancellationToken));
        (await VersionsAsync(db)).ShouldBe(before);
    }

    [Fact]
    public async Task Many_who_write_at_once_are_all_counted_and_none_waits_in_a_ring()
    {
        var (db, job, walls) = await SmallJob.MadeAsync();
        var before = await VersionsAsync(db);
        await Task.WhenAll(
            Enumerable
                .Range(0, 24)
                .Select(async i =>
                {
                    await using var other = TestDatabase.AsFirm(job.FirmId);
                    var mine = i % 2 == 0 ? walls : Enumerable.Reverse(walls);
                    other.AddRange(mine.Select(wall => Reading(job, wall.Id)));
                    await other.SaveChangesAsync(TestContext.Current.CancellationToken);
                })
        );
        var after = await VersionsAsync(db);
        walls.ShouldAllBe(wall => after[wall.Id] == before.GetValueOrDefault(wall.Id) + 24);
    }

    private static async Task CountsAsync(UmbracellDb db, Guid[] subjects, Action change)
    {
        var before = await VersionsAsync(db);
        change();
        await db.SaveChangesAsync(TestContext.Current.CancellationToken);
        var after = await VersionsAsync(db);
        after.Where(v => v.Value != before.GetValueOrDefault(v.Key)).Select(v => v.Key).ShouldBe(subjects, ignoreOrder: true);
    }

    private static Task<Dictionary<Guid, long>> VersionsAsync(UmbracellDb db) =>
        db.InputVersions.AsNoTracking().ToDictionaryAsync(v => v.SubjectId, v => v.Version, TestContext.Current.CancellationToken);

    private static ReadingRow Reading(Job job, Guid? surface) =>
        new()
        {
            Id = Guid.NewGuid(),
            JobId = job.Id,
            SurfaceId = surface,
            SheetSlug = surface is null ? "marl-cc-20" : null,
            Kind = surface is null ? ReadingKind.DrumA : ReadingKind.SubstrateTemperature,
            TempC = 15,
            Instrument = "thermometer",
            TakenBy = "lead",
        };
}
