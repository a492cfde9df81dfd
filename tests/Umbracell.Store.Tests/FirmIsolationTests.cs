using Microsoft.EntityFrameworkCore;
using Npgsql;
using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Takeoff;
using Umbracell.Store.Model;
using Umbracell.Store.Tenancy;
using Xunit;

namespace Umbracell.Store.Tests;

public sealed class FirmIsolationTests : IClassFixture<TestDatabase>
{
    [Fact]
    public async Task One_firm_sees_nothing_of_another_even_without_the_query_filter()
    {
        var (mine, theirs) = (await FirmWithJobAsync("mine"), await FirmWithJobAsync("theirs"));
        await using var db = TestDatabase.AsFirm(mine);
        (await db.Jobs.IgnoreQueryFilters().ToListAsync(TestContext.Current.CancellationToken)).ShouldAllBe(j => j.FirmId == mine);
        (await db.Surfaces.IgnoreQueryFilters().CountAsync(s => s.FirmId == theirs, TestContext.Current.CancellationToken)).ShouldBe(0);
        (await db.Firms.IgnoreQueryFilters().SingleAsync(TestContext.Current.CancellationToken)).Id.ShouldBe(mine);
    }

    /// <summary>Every table but the one that belongs to no firm.</summary>
    public static TheoryData<string> Tables
    {
        get
        {
            using var db = TestDatabase.AsFirm(Guid.NewGuid());
            return
            [
                .. db
                    .Model.GetEntityTypes()
                    .Where(type => !type.IsOwned())
                    .Select(type => type.GetTableName()!)
                    .Where(table => table != "data_protection_keys")
                    .Distinct(),
            ];
        }
    }

    [Theory]
    [MemberData(nameof(Tables))]
    public async Task Straight_against_the_database_no_firm_means_no_rows(string table)
    {
        await FirmWithJobAsync("rows to hide");
        await using var connection = new NpgsqlConnection(TestDatabase.ApplicationConnection);
        await connection.OpenAsync(TestContext.Current.CancellationToken);
        await using var command = new NpgsqlCommand($"select count(*) from {table}", connection);
        (await command.ExecuteScalarAsync(TestContext.Current.CancellationToken)).ShouldBe(0L);
    }

    [Fact]
    public async Task A_row_cannot_be_written_into_another_firm()
    {
        var (mine, theirs) = (await FirmWithJobAsync("writer"), await FirmWithJobAsync("victim"));
        await using var connection = new NpgsqlConnection(TestDatabase.ApplicationConnection);
        await connection.OpenAsync(TestContext.Current.CancellationToken);
        await ExecuteAsync(connection, $"select set_config('umbracell.firm', '{mine}', false)");
        var insert = () =>
            ExecuteAsync(
                connection,
                $"insert into sheets (id, firm_id, slug, document) values (gen_random_uuid(), '{theirs}', 'x', '{{}}')"
            );
        (await insert.ShouldThrowAsync<PostgresException>()).SqlState.ShouldBe(PostgresErrorCodes.InsufficientPrivilege);
        (await ExecuteAsync(connection, $"update jobs set name = 'taken' where firm_id = '{theirs}'")).ShouldBe(0);
        (await ExecuteAsync(connection, $"delete from jobs where firm_id = '{theirs}'")).ShouldBe(0);
    }

    [Fact]
    public async Task The_application_role_owns_nothing_and_cannot_step_around_the_policies()
    {
        await using var connection = new NpgsqlConnection(TestDatabase.ApplicationConnection);
        await connection.OpenAsync(TestContext.Current.CancellationToken);
        (await ScalarAsync(connection, "select count(*) from pg_tables where tableowner = current_user")).ShouldBe(0L);
        (
            await ScalarAsync(
                connection,
                "select rolsuper or rolbypassrls or rolcreaterole or rolcreatedb from pg_roles where rolname = current_user"
            )
        ).ShouldBe(false);

        // Keys of cookies, and tries to sign in by the hash of a name or an address, belong to no firm.
        (
            await ScalarAsync(
                connection,
                "select count(*) from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace "
                    + "and relname not in ('data_protection_keys', 'sign_in_tries', '__EFMigrationsHistory') and not (relrowsecurity and relforcerowsecurity)"
            )
        ).ShouldBe(0L);
        await new Func<Task>(() =>
            ExecuteAsync(connection, "alter table jobs disable row level security")
        ).ShouldThrowAsync<PostgresException>();
        await new Func<Task>(() => ExecuteAsync(connection, "set role umbracell_owner")).ShouldThrowAsync<PostgresException>();
    }

    [Fact]
    public async Task At_sign_in_only_the_one_person_being_checked_is_seen()
    {
        var firm = await FirmWithJobAsync("sign-in");
        var scope = new FirmScope();
        scope.CheckSignIn($"{firm}-OWNER");
        await using var db = TestDatabase.As(scope);
        (await db.People.IgnoreQueryFilters().ToListAsync(TestContext.Current.CancellationToken))
            .ShouldHaveSingleItem()
            .FirmId.ShouldBe(firm);
        (await db.Jobs.IgnoreQueryFilters().CountAsync(TestContext.Current.CancellationToken)).ShouldBe(0);
    }

    [Fact]
    public async Task A_surface_cannot_hang_on_another_firms_job()
    {
        var (mine, theirs) = (await FirmWithJobAsync("hanger"), await FirmWithJobAsync("host"));
        Guid job;
        await using (var other = TestDatabase.AsFirm(theirs))
        {
            job = (await other.Jobs.SingleAsync(TestContext.Current.CancellationToken)).Id;
        }

        await using var db = TestDatabase.AsFirm(mine);
        db.Surfaces.Add(
            new()
            {
                Name = "stray",
                JobId = job,
                Kind = SurfaceKind.StudWall,
            }
        );
        await new Func<Task>(() => db.SaveChangesAsync()).ShouldThrowAsync<DbUpdateException>();
    }

    [Fact]
    public async Task Two_edits_of_one_version_do_not_both_stand()
    {
        var firm = await FirmWithJobAsync("two tabs");
        await using var first = TestDatabase.AsFirm(firm);
        await using var second = TestDatabase.AsFirm(firm);
        var (a, b) = (
            await first.Surfaces.SingleAsync(TestContext.Current.CancellationToken),
            await second.Surfaces.SingleAsync(TestContext.Current.CancellationToken)
        );
        a.Name = "first";
        await first.SaveChangesAsync(TestContext.Current.CancellationToken);
        b.Name = "second";
        await new Func<Task>(() => second.SaveChangesAsync()).ShouldThrowAsync<DbUpdateConcurrencyException>();
    }

    private static async Task<Guid> FirmWithJobAsync(string name)
    {
        var firm = Guid.NewGuid();
        await using var db = TestDatabase.AsFirm(firm);
        var job = new Job
        {
            Id = Guid.NewGuid(),
            Name = name,
            ClimateZone = "6A",
            TargetSetId = "iecc-2021",
        };
        var surface = new Surface
        {
            Id = Guid.NewGuid(),
            JobId = job.Id,
            Name = "wall",
            Kind = SurfaceKind.StudWall,
            Shape = ShapeKind.Rectangle,
        };
        surface.Openings.Add(new() { WidthM = 1, HeightM = 1 });
        db.Firms.Add(new() { Id = firm, Name = name });
        db.People.Add(
            new()
            {
                SignInName = $"{firm}-owner",
                NormalizedSignInName = $"{firm}-OWNER",
                Title = "owner",
                SecurityStamp = "s",
            }
        );
        db.ApiTokens.Add(new() { Name = "t", Hash = firm.ToString() });
        db.Sheets.Add(new() { Slug = "s", Document = "{}" });
        db.Jobs.Add(job);
        db.Surfaces.Add(surface);
        db.Readings.Add(
            new()
            {
                JobId = job.Id,
                SurfaceId = surface.Id,
                Kind = ReadingKind.AirTemperature,
                TempC = 5,
                Instrument = "x",
                TakenBy = "y",
            }
        );
        surface.Notes.Add(new() { Words = "leak" });
        db.Joints.Add(new() { JobId = job.Id, FirstId = surface.Id });
        db.Complaints.Add(new() { JobId = job.Id, Suspects = [surface.Id] });
        db.Preparation.Add(new() { JobId = job.Id, SurfaceId = surface.Id });
        db.Photos.Add(
            new()
            {
                JobId = job.Id,
                ContentType = "image/png",
                Bytes = [1],
                Thumbnail = [1],
            }
        );
        db.FanTests.Add(
            new()
            {
                JobId = job.Id,
                PressuresPa = [50],
                FlowsM3S = [0.5],
            }
        );
        db.ThermalPictures.Add(
            new()
            {
                JobId = job.Id,
                Name = "corner",
                Rows = 1,
                Columns = 1,
                TempsC = [5],
            }
        );
        db.LoggerSeries.Add(
            new()
            {
                JobId = job.Id,
                Name = "attic",
                Times = [1],
                TempsC = [5],
                RhPct = [50],
            }
        );
        db.BufferSpaces.Add(new() { JobId = job.Id, Name = "attic" });
        db.Templates.Add(new() { Name = "own", Document = "{}" });
        db.ColumnMappings.Add(new() { Signature = "name", Document = "[]" });
        await db.SaveChangesAsync();
        return firm;
    }

    private static async Task<int> ExecuteAsync(NpgsqlConnection connection, string sql)
    {
        await using var command = new NpgsqlCommand(sql, connection);
        return await command.ExecuteNonQueryAsync();
    }

    private static async Task<object?> ScalarAsync(NpgsqlConnection connection, string sql)
    {
        await using var command = new NpgsqlCommand(sql, connection);
        return await command.ExecuteScalarAsync();
    }
}
