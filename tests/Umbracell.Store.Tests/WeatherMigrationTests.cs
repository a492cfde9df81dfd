using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;
using Shouldly;
using Xunit;

namespace Umbracell.Store.Tests;

/// <summary>Weather that was kept by an earlier version.</summary>
[Collection(TestDatabase.Empty)]
public sealed class WeatherMigrationTests
{
    [Fact]
    public async Task Hours_of_places_that_were_kept_without_wind_and_cloud_stay_and_say_so()
    {
        var (firm, place) = (Guid.NewGuid(), Guid.NewGuid());
        await using var db = await TestDatabase.EmptyAsync(firm);
        var migrator = db.GetService<IMigrator>();
        await migrator.MigrateAsync("FirmMeans", TestContext.Current.CancellationToken);
        await db.Database.ExecuteSqlAsync(
            $"""
            insert into firms (id, name) values ({firm}, 'old');
            insert into places (id, firm_id, name, climate_zone, altitude_m, mean_c, mean_rh_pct, heating_c, cooling_c, cooling_rh_pct, source)
                values ({place}, {firm}, 'Alder Fen', '6A', 180, array_fill(5::float8, array[12]), array_fill(70::float8, array[12]), -18, 30, 50, '');
            insert into place_hours (place_id, firm_id, temp_c, rh_pct) values ({place}, {firm}, array[1.5, 2.5]::real[], array[80, 'NaN']::real[]);
            """,
            TestContext.Current.CancellationToken
        );
        await migrator.MigrateAsync(cancellationToken: TestContext.Current.CancellationToken);
        var hours = await db.PlaceHours.SingleAsync(TestContext.Current.CancellationToken);
        (hours.UtcOffsetH, hours.WindMs, hours.Cloud).ShouldBe((null, null, null));
        hours.TempC.ShouldBe([1.5f, 2.5f]);
        (await db.Forecasts.CountAsync(TestContext.Current.CancellationToken)).ShouldBe(0);
    }

    [Fact]
    public async Task Jobs_of_before_are_corrected_by_readings_at_the_site_and_no_logger_hung_outdoors()
    {
        var firm = Guid.NewGuid();
        var stop = TestContext.Current.CancellationToken;
        await using var db = await TestDatabase.EmptyAsync(firm);
        var migrator = db.GetService<IMigrator>();
        await migrator.MigrateAsync("KeptForecasts", stop);
        await db.Database.ExecuteSqlAsync(
            $"""
            insert into firms (id, name) values ({firm}, 'old');
            insert into jobs (id, firm_id, name, climate_zone, target_set_id, indoor_c, indoor_rh_pct, outdoor_c, outdoor_rh_pct,
                    altitude_m, risk_pct, created_at, state)
                values ({firm}, {firm}, 'kept job', '6A', 'iecc-2021', 20, 40, -15, 80, 0, 10, now(), 'Ordered');
            insert into logger_series (id, firm_id, job_id, name, times, temps_c, rh_pct, added_at, added_by)
                values ({firm}, {firm}, {firm}, 'attic', array[1], array[1], array[50], now(), 'lead');
            """,
            stop
        );
        await migrator.MigrateAsync(cancellationToken: stop);
        (await db.Jobs.SingleAsync(stop)).CorrectsForecast.ShouldBeTrue();
        (await db.LoggerSeries.SingleAsync(stop)).Outdoors.ShouldBeFalse();
    }
}
