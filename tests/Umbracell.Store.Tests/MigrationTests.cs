using System.Text.Json.Nodes;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;
using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Conditions;
using Umbracell.Core.Takeoff;
using Umbracell.Documents;
using Umbracell.Store.Model;
using Umbracell.Store.Seeding;
using Umbracell.Store.Tenancy;
using Umbracell.Store.Undo;
using Xunit;

namespace Umbracell.Store.Tests;

/// <summary>A database that was in use keeps what it holds when the product is brought up to date.</summary>
[Collection(TestDatabase.Empty)]
public sealed class MigrationTests
{
    [Fact]
    public async Task Leaks_and_ticks_of_the_first_version_become_notes_and_marks()
    {
        var firm = Guid.NewGuid();
        await using var db = await TestDatabase.EmptyAsync(firm);
        var migrator = db.GetService<IMigrator>();
        await migrator.MigrateAsync("FirstTables", TestContext.Current.CancellationToken);
        var (job, wall, roof) = (Guid.NewGuid(), Guid.NewGuid(), Guid.NewGuid());
        await db.Database.ExecuteSqlAsync(
            $"""
            insert into firms (id, name) values ({firm}, 'old');
            insert into sheets (id, firm_id, slug, document) values ({Guid.NewGuid()}, {firm}, 'marl-cc-20', cast({NoSheet} as jsonb));
            insert into jobs (id, firm_id, name, crew, climate_zone, target_set_id, indoor_c, indoor_rh_pct, outdoor_c,
                    outdoor_rh_pct, altitude_m, risk_pct, created_at)
                values ({job}, {firm}, 'old job', '', '6A', 'iecc-2021', 20, 40, -15, 80, 0, 10, now());
            insert into surfaces (id, firm_id, job_id, position, name, kind, shape, first_m, second_m, third_m, pitch, bay_count, repeats,
                    profile_factor, substrate, member_material, member_depth_m, member_spacing_m, member_share,
                    foam_against, shaved_flush, open_face, assembly, open_leak, prepared, changed_at)
                select s.id, {firm}, {job}, s.position, s.name, s.kind, 'Rectangle', 5, 3, 0, 0, 1, 1, 1,
                    'Metal', 'Metal', 0.2, 1.5, 0, 'Outboard', false, false, s.assembly, s.leak, s.prepared, now()
                from (values ({wall}, 0, 'wall', 'MetalWall', cast(null as text), array['Clean', 'Dry'], cast({Empty} as jsonb)),
                    ({roof}, 1, 'roof', 'MetalRoof', 'at the ridge', cast(array[] as text[]), cast({Empty} as jsonb)))
                    as s (id, position, name, kind, leak, prepared, assembly);
            """,
            TestContext.Current.CancellationToken
        );
        await migrator.MigrateAsync(cancellationToken: TestContext.Current.CancellationToken);

        var surfaces = await db.Surfaces.Include(s => s.Notes).ToDictionaryAsync(s => s.Id, TestContext.Current.CancellationToken);
        surfaces[roof].OpenLeak!.Words.ShouldBe("at the ridge");
        surfaces[wall].OpenLeak.ShouldBeNull();
        surfaces[wall].MemberMaterial.ShouldBe(MemberMaterial.Girt);
        surfaces[wall].Details.Covering.ShouldBe(Covering.Unknown);
        var marks = await db.Preparation.ToListAsync(TestContext.Current.CancellationToken);
        marks.Select(m => (m.SurfaceId, m.Item)).ShouldBe([(wall, PreparationItem.Clean), (wall, PreparationItem.Dry)], ignoreOrder: true);
        marks.ShouldAllBe(m => m.DoneAt != null);
        var kept = await db.Jobs.SingleAsync(TestContext.Current.CancellationToken);
        (kept.SummerOutdoorC, kept.State, kept.ArchivedAt, kept.DeletedBy).ShouldBe((31, JobState.Estimate, null, ""));
        kept.HeldEditions.ShouldBeNull();
        (await db.Firms.SingleAsync(TestContext.Current.CancellationToken)).SkippedSteps.Count.ShouldBe(7);

        // The sheets there were had come with the product, in one edition each, which is in force.
        var sheet = await db.Sheets.SingleAsync(TestContext.Current.CancellationToken);
        (sheet.Number, sheet.Stands, sheet.Origin, sheet.RetiredAt, sheet.RemovedAt).ShouldBe((1, true, SheetOrigin.Sample, null, null));
    }

    [Fact]
    public async Task Readings_notes_and_ticks_of_every_firm_have_arrived_when_they_were_made_and_places_have_no_zone_yet()
    {
        var firms = new[] { Guid.NewGuid(), Guid.NewGuid() };
        var at = new DateTimeOffset(2026, 11, 20, 7, 40, 0, TimeSpan.Zero);
        var scope = new FirmScope();
        await using var db = await TestDatabase.EmptyAsync(scope);
        var migrator = db.GetService<IMigrator>();
        await migrator.MigrateAsync("CrawlSpaces", TestContext.Current.CancellationToken);
        foreach (var firm in firms)
        {
            scope.EnterFirm(firm);
            await db.Database.ExecuteSqlAsync(
                $"""
                insert into firms (id, name, currency) values ({firm}, 'kept', '$');
                insert into jobs (id, firm_id, name, crew, climate_zone, target_set_id, indoor_c, indoor_rh_pct, outdoor_c,
                        outdoor_rh_pct, altitude_m, risk_pct, created_at)
                    values ({firm}, {firm}, 'kept job', '', '6A', 'iecc-2021', 20, 40, -15, 80, 0, 10, now());
                insert into readings (id, firm_id, job_id, sheet_slug, kind, value, humidity_over, instrument, taken_at, taken_by)
                    values (gen_random_uuid(), {firm}, {firm}, 'marl-cc-20', 'DrumA', 21, 'Water', 'thermometer', {at}, 'lead');
                insert into preparation_marks (id, firm_id, job_id, item, assigned_to, done_at, done_by)
                    values (gen_random_uuid(), {firm}, {firm}, 'Dry', '', {at}, 'lead');
                insert into places (id, firm_id, name, climate_zone, altitude_m, mean_c, mean_rh_pct, heating_c, cooling_c,
                        cooling_rh_pct, source)
                    values (gen_random_uuid(), {firm}, 'kept place', '6A', 100, array[1.0], array[80.0], -10, 30, 50, '');
                """,
                TestContext.Current.CancellationToken
            );
        }

        await migrator.MigrateAsync(cancellationToken: TestContext.Current.CancellationToken);
        foreach (var firm in firms)
        {
            scope.EnterFirm(firm);
            var reading = await db.Readings.SingleAsync(TestContext.Current.CancellationToken);
            (reading.TakenAt, reading.ReceivedAt).ShouldBe((at, at));
            (reading.TempC, reading.Percent, reading.FoundDry).ShouldBe((21, null, null));
            (await db.Preparation.SingleAsync(TestContext.Current.CancellationToken)).TickedAt.ShouldBe(at);
            var place = await db.Places.SingleAsync(TestContext.Current.CancellationToken);
            (place.Latitude, place.Longitude, place.TimeZone).ShouldBe((null, null, null));
            db.ChangeTracker.Clear();
        }
    }

    [Theory]
    [InlineData("SubstrateTemperature", -3.5, -3.5, null, null)]
    [InlineData("AirTemperature", 12, 12.0, null, null)]
    [InlineData("Humidity", 45, null, 45.0, null)]
    [InlineData("WoodMoisture", 0, null, 0.0, null)]
    [InlineData("ConcreteMoisture", 4, null, 4.0, null)]
    [InlineData("FoundDry", 1, null, null, true)]
    [InlineData("FoundDry", 0, null, null, false)]
    [InlineData("DrumB", 21, 21.0, null, null)]
    public async Task A_reading_kept_before_is_of_its_own_kind(string kind, double value, double? celsius, double? percent, bool? dry)
    {
        var firm = Guid.NewGuid();
        var scope = new FirmScope();
        await using var db = await TestDatabase.EmptyAsync(scope);
        var migrator = db.GetService<IMigrator>();
        await migrator.MigrateAsync("FirmMargins", TestContext.Current.CancellationToken);
        scope.EnterFirm(firm);
        await db.Database.ExecuteSqlAsync(
            $"""
            insert into firms (id, name, currency) values ({firm}, 'kept', '$');
            insert into jobs (id, firm_id, name, crew, climate_zone, target_set_id, indoor_c, indoor_rh_pct, outdoor_c,
                    outdoor_rh_pct, altitude_m, risk_pct, created_at)
                values ({firm}, {firm}, 'kept job', '', '6A', 'iecc-2021', 20, 40, -15, 80, 0, 10, now());
            insert into readings (id, firm_id, job_id, sheet_slug, kind, value, stated_error, raw_value, humidity_over, instrument,
                    taken_at, taken_by, received_at)
                values (gen_random_uuid(), {firm}, {firm}, 'marl-cc-20', {kind}, {value}, 1.5, {value + 2}, 'Water', 'meter', now(),
                    'lead', now());
            """,
            TestContext.Current.CancellationToken
        );
        await migrator.MigrateAsync(cancellationToken: TestContext.Current.CancellationToken);
        var reading = await db.Readings.SingleAsync(TestContext.Current.CancellationToken);
        (reading.TempC, reading.Percent, reading.FoundDry).ShouldBe((celsius, percent, dry));
        (reading.ErrorK, reading.ErrorPoints).ShouldBe((celsius is null ? null : 1.5, percent is null ? null : 1.5));
        reading.RawPercent.ShouldBe(kind == "WoodMoisture" ? value + 2 : null);
    }

    [Fact]
    public async Task Commands_taken_before_edits_could_be_taken_back_are_kept_and_cannot_be()
    {
        var (firm, command) = (Guid.NewGuid(), Guid.NewGuid());
        var scope = new FirmScope();
        await using var db = await TestDatabase.EmptyAsync(scope);
        var migrator = db.GetService<IMigrator>();
        await migrator.MigrateAsync("CommandsAndZones", TestContext.Current.CancellationToken);
        scope.EnterFirm(firm);
        await db.Database.ExecuteSqlAsync(
            $"""
            insert into firms (id, name, currency) values ({firm}, 'kept', '$');
            insert into commands (id, firm_id, happened_at, received_at, by) values ({command}, {firm}, now(), now(), 'lead');
            """,
            TestContext.Current.CancellationToken
        );
        await migrator.MigrateAsync(cancellationToken: TestContext.Current.CancellationToken);
        var kept = await db.Commands.SingleAsync(TestContext.Current.CancellationToken);
        (kept.Id, kept.By, kept.PersonId, kept.Record).ShouldBe((command, "lead", null, ""));
        kept.Changed.ShouldBeNull();
    }

    [Fact]
    public async Task Who_was_locked_out_for_a_while_is_not_out_for_good_and_nobody_is_signed_in()
    {
        var (firm, person) = (Guid.NewGuid(), Guid.NewGuid());
        var scope = new FirmScope();
        await using var db = await TestDatabase.EmptyAsync(scope);
        var migrator = db.GetService<IMigrator>();
        await migrator.MigrateAsync("KeptPapers", TestContext.Current.CancellationToken);
        scope.EnterFirm(firm);
        await db.Database.ExecuteSqlAsync(
            $"""
            insert into firms (id, name, currency) values ({firm}, 'kept', '$');
            insert into people (id, firm_id, sign_in_name, normalized_sign_in_name, title, role, units, security_stamp,
                    access_failed_count, lockout_end)
                values ({person}, {firm}, 'lead', 'LEAD', 'crew lead', 'CrewLead', 'Us', 'old', 10, now() + interval '5 minutes');
            """,
            TestContext.Current.CancellationToken
        );
        await db.Database.CloseConnectionAsync();
        await migrator.MigrateAsync(cancellationToken: TestContext.Current.CancellationToken);
        var kept = await db.People.SingleAsync(TestContext.Current.CancellationToken);
        (kept.Id, kept.Role, kept.DeactivatedAt).ShouldBe((person, FirmRole.CrewLead, null));

        // Nor is anything asked of them that was not asked before.
        kept.PasswordIsFirst.ShouldBeFalse();
        (await db.Firms.SingleAsync(TestContext.Current.CancellationToken)).CodesFor.ShouldBe(CodesFor.WhoWants);
        (await db.Set<SessionRow>().CountAsync(TestContext.Current.CancellationToken)).ShouldBe(0);
    }

    [Fact]
    public async Task A_job_from_before_figures_were_kept_has_none_kept_and_its_next_edit_is_counted()
    {
        var firm = Guid.NewGuid();
        var scope = new FirmScope();
        await using var db = await TestDatabase.EmptyAsync(scope);
        var migrator = db.GetService<IMigrator>();
        await migrator.MigrateAsync("TakingBack", TestContext.Current.CancellationToken);
        scope.EnterFirm(firm);
        await db.Database.ExecuteSqlAsync(
            $"""
            insert into firms (id, name, currency) values ({firm}, 'kept', '$');
            insert into jobs (id, firm_id, name, crew, climate_zone, target_set_id, indoor_c, indoor_rh_pct, outdoor_c,
                    outdoor_rh_pct, altitude_m, risk_pct, created_at)
                values ({firm}, {firm}, 'kept job', '', '6A', 'iecc-2021', 20, 40, -15, 80, 0, 10, now());
            """,
            TestContext.Current.CancellationToken
        );
        await migrator.MigrateAsync(cancellationToken: TestContext.Current.CancellationToken);
        (await db.InputVersions.CountAsync(TestContext.Current.CancellationToken)).ShouldBe(0);
        (await db.SurfaceCells.CountAsync(TestContext.Current.CancellationToken)).ShouldBe(0);
        (await db.JobSums.CountAsync(TestContext.Current.CancellationToken)).ShouldBe(0);
        (await db.Jobs.SingleAsync(TestContext.Current.CancellationToken)).RiskPct = 20;
        await db.SaveChangesAsync(TestContext.Current.CancellationToken);
        (await db.InputVersions.SingleAsync(TestContext.Current.CancellationToken)).Version.ShouldBe(1);
    }

    [Fact]
    public async Task Documents_of_the_version_before_are_read_whole_and_written_in_todays_shape_with_the_next_edit()
    {
        const string Rest = """
            "addedInboard": [], "chosenBy": "owner", "chosenAt": "2026-11-20T08:00:00+00:00", "overrides": [], "reason": ""
            """;
        const string Before = $$"""
            {
                "kind": "ClosedThenOpen", "addedOutboard": [], {{Rest}}, "before": null,
                "then": [{ "kind": "Foam", "id": "fleece-oc-5", "thicknessMm": 90, "takesRest": true }]
            }
            """;
        const string System = $$"""
            {
                "kind": "Hybrid", "addedOutboard": [{ "material": "foam-board", "thicknessMm": 25 }], {{Rest}},
                "then": [{ "kind": "Batt", "id": "batt-13", "thicknessMm": 60, "takesRest": false }],
                "before": { "sheetSlug": "marl-cc-20", "foamThicknessM": 0.05, "system": {{Before}} }
            }
            """;
        const string Kept = $$"""{ "schemaVersion": 1, "value": {{System}} }""";
        const string Assembly = """
            {
                "SchemaVersion": 1, "Outboard": [{ "Material": "osb", "ThicknessMm": 11 }], "Inboard": [],
                "VentChannelMm": 25, "Baffle": { "Material": "plywood", "ThicknessMm": 5 }
            }
            """;
        const string Details = """
            { "SchemaVersion": 1, "Access": "Scaffold", "DoorSpareKg": 45, "PenetrationMm": 12, "Covering": "Tile", "Attachment": "Unknown" }
            """;
        const string Practice = """
            {
                "schemaVersion": 1,
                "value": { "schools": { "UnventedDeck": "B", "BandJoist": "C", "ColdSubstrate": "A", "Equipment": "Either" } }
            }
            """;
        const string OfLedger = """
            {
                "schemaVersion": 1, "outboard": [{ "material": "osb", "thicknessMm": 11 }], "inboard": [],
                "ventChannelMm": 25, "baffle": { "material": "plywood", "thicknessMm": 5 }
            }
            """;
        const string Changed = $$"""
            {
                "schemaVersion": 1,
                "value": [
                    { "name": "System", "before": {{Before}}, "after": {{System}} },
                    { "name": "Assembly", "before": null, "after": {{OfLedger}} }
                ]
            }
            """;
        var (firm, command) = (Guid.NewGuid(), Guid.NewGuid());
        var scope = new FirmScope();
        await using var db = await TestDatabase.EmptyAsync(scope);
        var migrator = db.GetService<IMigrator>();
        await migrator.MigrateAsync("KeptFigures", TestContext.Current.CancellationToken);
        scope.EnterFirm(firm);
        await db.Database.ExecuteSqlAsync(
            $"""
            insert into firms (id, name, currency, practice) values ({firm}, 'kept', '$', cast({Practice} as jsonb));
            insert into jobs (id, firm_id, name, crew, climate_zone, target_set_id, indoor_c, indoor_rh_pct, outdoor_c,
                    outdoor_rh_pct, altitude_m, risk_pct, created_at)
                values ({firm}, {firm}, 'kept job', '', '6A', 'iecc-2021', 20, 40, -15, 80, 0, 10, now());
            insert into surfaces (id, firm_id, job_id, position, name, kind, shape, first_m, second_m, third_m, pitch, bay_count, repeats,
                    profile_factor, substrate, member_material, member_depth_m, member_spacing_m, member_share,
                    foam_against, shaved_flush, open_face, assembly, details, system, corners, changed_at)
                values ({firm}, {firm}, {firm}, 0, 'roof', 'VentedRafters', 'Rectangle', 5, 3, 0, 0, 1, 1, 1,
                    'Wood', 'Wood', 0.2, 0.4, 0.1, 'Outboard', false, false, cast({Assembly} as jsonb), cast({Details} as jsonb),
                    cast({Kept} as jsonb), array[]::double precision[], now());
            insert into commands (id, firm_id, happened_at, received_at, by, changed)
                values ({command}, {firm}, now(), now(), 'lead', cast({Changed} as jsonb));
            """,
            TestContext.Current.CancellationToken
        );
        await migrator.MigrateAsync(cancellationToken: TestContext.Current.CancellationToken);

        var roof = await db.Surfaces.SingleAsync(TestContext.Current.CancellationToken);
        roof.Assembly.Outboard.ShouldBe([new("osb", 11)]);
        (roof.Assembly.VentChannelMm, roof.Assembly.Baffle).ShouldBe((25, new("plywood", 5)));
        (roof.Details.Access, roof.Details.DoorSpareKg, roof.Details.PenetrationMm).ShouldBe((AccessKind.Scaffold, 45, 12));
        roof.System!.Further.ShouldBe([new(FillKind.Batt, "batt-13", 60)]);
        roof.System.AddedOutboard.ShouldBe([new("foam-board", 25)]);
        roof.System.Before!.System!.Further.ShouldBe([new(FillKind.Foam, "fleece-oc-5", 90, TakesRest: true)]);

        var practice = (await db.Firms.SingleAsync(TestContext.Current.CancellationToken)).Practice!;
        practice.Of(PracticeQuestion.UnventedDeck).ShouldBe(School.OpenCell);
        practice.Of(PracticeQuestion.BandJoist).ShouldBe(School.BattAlone);
        practice.Of(PracticeQuestion.ColdSubstrate).ShouldBe(School.NeverFlash);
        practice.Of(PracticeQuestion.Equipment).ShouldBe(School.Either);

        // An edit that was made before can still be taken back.
        var parts = (await db.Commands.SingleAsync(TestContext.Current.CancellationToken)).Changed!;
        parts.Single(part => part.Name == "Assembly").After!.AsObject().ContainsKey("schemaVersion").ShouldBeFalse();
        RecordState.TryPutBack(db, roof, [.. parts.Where(part => part.Name == "System")]).ShouldBeTrue();
        roof.System!.Further.ShouldBe([new(FillKind.Foam, "fleece-oc-5", 90, TakesRest: true)]);
        RecordState.Between(RecordState.Of(db, roof), RecordState.Of(db, roof)).ShouldBeEmpty();
        await db.SaveChangesAsync(TestContext.Current.CancellationToken);
        var written = await db
            .Database.SqlQuery<string>($"select system::text as \"Value\" from surfaces")
            .SingleAsync(TestContext.Current.CancellationToken);
        JsonNode.Parse(written)!["schemaVersion"]!.GetValue<int>().ShouldBe(2);
        JsonNode.Parse(written)!["value"]!["further"]!.AsArray().Count.ShouldBe(1);
        written.ShouldNotContain("\"then\"");
    }

    [Fact]
    public async Task A_firm_that_stands_gets_product_sheets_that_have_come_since_and_keeps_its_own()
    {
        var scope = new FirmScope();
        await using var db = await TestDatabase.EmptyAsync(scope);
        await db.Database.MigrateAsync(TestContext.Current.CancellationToken);
        await FirstFirmSeed.PlantAsync(
            db,
            scope,
            new Dictionary<string, string> { ["one"] = """{"edition": "old"}""" },
            "a password of its own 1"
        );

        // One that was removed does not come back when the product is started again.
        await FirstFirmSeed.PlantAsync(db, scope, new Dictionary<string, string> { ["gone"] = "{}" }, "a password of its own 1");
        var removed = await db.Sheets.SingleAsync(s => s.Slug == "gone", TestContext.Current.CancellationToken);
        (removed.RemovedAt, removed.Stands) = (DateTimeOffset.UnixEpoch, false);
        await db.SaveChangesAsync(TestContext.Current.CancellationToken);
        await FirstFirmSeed.PlantAsync(
            db,
            scope,
            new Dictionary<string, string>
            {
                ["one"] = """{"edition": "new"}""",
                ["two"] = "{}",
                ["gone"] = "{}",
            },
            "another password 2"
        );
        var sheets = await db
            .Sheets.AsNoTracking()
            .Where(s => s.RemovedAt == null)
            .ToDictionaryAsync(s => s.Slug, s => s.Document, TestContext.Current.CancellationToken);
        sheets.Keys.ShouldBe(["one", "two"], ignoreOrder: true);
        sheets["one"].ShouldContain("old");
        (await db.People.SingleAsync(TestContext.Current.CancellationToken)).PasswordIsFirst.ShouldBeTrue();
    }

    private const string NoSheet = "{}";

    private const string Empty = """{"SchemaVersion":1,"VentChannelMm":0,"Outboard":[],"Inboard":[],"Baffle":null}""";

    [Fact]
    public async Task Crews_and_equipment_become_records_in_every_firm()
    {
        var firms = new[] { Guid.NewGuid(), Guid.NewGuid() };
        var scope = new FirmScope();
        await using var db = await TestDatabase.EmptyAsync(scope);
        var migrator = db.GetService<IMigrator>();
        await migrator.MigrateAsync("FirmMaterials", TestContext.Current.CancellationToken);
        const string Had = """
            {"schemaVersion": 1, "value": {"setPrice": {}, "materialPrice": {}, "crewHour": 140, "heaterKilowatts": 60, "blanketWatts": 420,
                "hotRoomCelsius": 38, "hotRoomLoss": 45, "trailerKilograms": 0}}
            """;
        foreach (var firm in firms)
        {
            scope.EnterFirm(firm);
            await db.Database.ExecuteSqlAsync(
                $"""
                insert into firms (id, name, currency, rates) values ({firm}, 'kept', '$', cast({Had} as jsonb));
                insert into jobs (id, firm_id, name, crew, climate_zone, target_set_id, indoor_c, indoor_rh_pct, outdoor_c,
                        outdoor_rh_pct, altitude_m, risk_pct, created_at)
                    select gen_random_uuid(), {firm}, 'of ' || crew, crew, '6A', 'iecc-2021', 20, 40, -15, 80, 0, 10, now()
                    from (values ('Heron'), (' heron '), ('Heron '), (''), (repeat('x', 90))) as names (crew);
                insert into past_jobs (id, firm_id, name, crew, sheet_slug, finished_on, area_m2, mean_depth_m, sets_used, substrate_c,
                        drum_c, lift_m, depth_readings, depth_scatter_m, left_out_because)
                    values (gen_random_uuid(), {firm}, 'done', 'HERON', 'marl-cc-20', '2026-01-01', 100, 0.05, 1, 20, 21, 0.05, 0, 0, '');
                """,
                TestContext.Current.CancellationToken
            );
        }

        await migrator.MigrateAsync(cancellationToken: TestContext.Current.CancellationToken);
        foreach (var firm in firms)
        {
            scope.EnterFirm(firm);
            var means = await db.Means.ToListAsync(TestContext.Current.CancellationToken);
            means.Count(one => one.Kind == MeansKind.Crew).ShouldBe(2);
            var jobs = await db.Jobs.ToListAsync(TestContext.Current.CancellationToken);
            jobs.Select(job => job.Crew).Order(StringComparer.Ordinal).ShouldBe(["", "Heron", "Heron", "Heron", new string('x', 60)]);
            (await db.PastJobs.SingleAsync(TestContext.Current.CancellationToken)).Crew.ShouldBe("Heron");

            // A trailer that nobody had weighed is none.
            means
                .Where(one => one.Kind != MeansKind.Crew)
                .ToDictionary(one => one.Kind, one => string.Join(' ', one.Document!.Figures.Select(f => $"{f.Key} {f.Value}")))
                .ShouldBe(
                    new Dictionary<MeansKind, string>
                    {
                        [MeansKind.SpaceHeater] = "power 60000",
                        [MeansKind.Blankets] = "power 420",
                        [MeansKind.HotRoom] = "air 38 loss 45",
                    },
                    ignoreOrder: true
                );
            (await db.Firms.SingleAsync(TestContext.Current.CancellationToken)).Rates!.CrewHour.ShouldBe(140);
            db.ChangeTracker.Clear();
        }
    }
}
