using System;
using Microsoft.EntityFrameworkCore.Migrations;
using Umbracell.Store.Tenancy;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class WholeSurvey : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<Guid>(name: "buffer_id", table: "surfaces", type: "uuid", nullable: true);

            migrationBuilder.AddColumn<double[]>(
                name: "corners",
                table: "surfaces",
                type: "double precision[]",
                nullable: false,
                defaultValue: new double[0]
            );

            migrationBuilder.AddColumn<string>(
                name: "details",
                table: "surfaces",
                type: "jsonb",
                nullable: false,
                defaultValueSql: "'{\"SchemaVersion\":1,\"Access\":\"Open\",\"Attachment\":\"Unknown\",\"Covering\":\"Unknown\",\"PenetrationMm\":0,\"BalloonFramed\":null,\"HeldAtEnds\":null,\"FlangeMm\":null,\"WebMm\":null,\"SkinMm\":null,\"DoorSpareKg\":null}'"
            );

            migrationBuilder.AddColumn<string>(name: "place", table: "readings", type: "text", nullable: false, defaultValue: "");

            migrationBuilder.AddColumn<double>(name: "raw_value", table: "readings", type: "double precision", nullable: true);

            migrationBuilder.AddColumn<string>(name: "species", table: "readings", type: "text", nullable: false, defaultValue: "");

            migrationBuilder.AddColumn<double>(name: "stated_error", table: "readings", type: "double precision", nullable: true);

            migrationBuilder.AddColumn<double>(name: "height_m", table: "jobs", type: "double precision", nullable: true);

            migrationBuilder.AddColumn<double>(
                name: "summer_indoor_c",
                table: "jobs",
                type: "double precision",
                nullable: false,
                defaultValue: 24.0
            );

            migrationBuilder.AddColumn<double>(
                name: "summer_indoor_rh_pct",
                table: "jobs",
                type: "double precision",
                nullable: false,
                defaultValue: 50.0
            );

            migrationBuilder.AddColumn<double>(
                name: "summer_outdoor_c",
                table: "jobs",
                type: "double precision",
                nullable: false,
                defaultValue: 31.0
            );

            migrationBuilder.AddColumn<double>(
                name: "summer_outdoor_rh_pct",
                table: "jobs",
                type: "double precision",
                nullable: false,
                defaultValue: 50.0
            );

            migrationBuilder.CreateTable(
                name: "buffer_spaces",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    job_id = table.Column<Guid>(type: "uuid", nullable: false),
                    name = table.Column<string>(type: "text", nullable: false),
                    kind = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    volume_m3 = table.Column<double>(type: "double precision", nullable: false),
                    air_changes = table.Column<double>(type: "double precision", nullable: false),
                    air_changes_planned = table.Column<double>(type: "double precision", nullable: false),
                    other_loss_wk = table.Column<double>(type: "double precision", nullable: false),
                    duct_loss_w = table.Column<double>(type: "double precision", nullable: false),
                    xmin = table.Column<uint>(type: "xid", rowVersion: true, nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_buffer_spaces", x => x.id);
                    table.ForeignKey(
                        name: "fk_buffer_spaces_jobs_firm_id_job_id",
                        columns: x => new { x.firm_id, x.job_id },
                        principalTable: "jobs",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "column_mappings",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    signature = table.Column<string>(type: "text", nullable: false),
                    document = table.Column<string>(type: "jsonb", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_column_mappings", x => x.id);
                    table.ForeignKey(
                        name: "fk_column_mappings_firms_firm_id",
                        column: x => x.firm_id,
                        principalTable: "firms",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "complaints",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    job_id = table.Column<Guid>(type: "uuid", nullable: false),
                    kind = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    place = table.Column<string>(type: "text", nullable: false),
                    words = table.Column<string>(type: "text", nullable: false),
                    suspects = table.Column<Guid[]>(type: "uuid[]", nullable: false),
                    made_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    xmin = table.Column<uint>(type: "xid", rowVersion: true, nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_complaints", x => x.id);
                    table.ForeignKey(
                        name: "fk_complaints_jobs_firm_id_job_id",
                        columns: x => new { x.firm_id, x.job_id },
                        principalTable: "jobs",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "fan_tests",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    job_id = table.Column<Guid>(type: "uuid", nullable: false),
                    phase = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    direction = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    indoor_c = table.Column<double>(type: "double precision", nullable: false),
                    outdoor_c = table.Column<double>(type: "double precision", nullable: false),
                    volume_m3 = table.Column<double>(type: "double precision", nullable: true),
                    zero_before_pa = table.Column<double>(type: "double precision", nullable: false),
                    zero_after_pa = table.Column<double>(type: "double precision", nullable: false),
                    pressures_pa = table.Column<double[]>(type: "double precision[]", nullable: false),
                    flows_m3s = table.Column<double[]>(type: "double precision[]", nullable: false),
                    words = table.Column<string>(type: "text", nullable: false),
                    taken_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    taken_by = table.Column<string>(type: "text", nullable: false),
                    xmin = table.Column<uint>(type: "xid", rowVersion: true, nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_fan_tests", x => x.id);
                    table.ForeignKey(
                        name: "fk_fan_tests_jobs_firm_id_job_id",
                        columns: x => new { x.firm_id, x.job_id },
                        principalTable: "jobs",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "joints",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    job_id = table.Column<Guid>(type: "uuid", nullable: false),
                    first_id = table.Column<Guid>(type: "uuid", nullable: false),
                    second_id = table.Column<Guid>(type: "uuid", nullable: true),
                    beyond = table.Column<string>(type: "text", nullable: false),
                    kind = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    water = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    air = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    vapour = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    heat = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    how = table.Column<string>(type: "text", nullable: false),
                    done_by = table.Column<string>(type: "text", nullable: false),
                    ready = table.Column<bool>(type: "boolean", nullable: false),
                    seen_by = table.Column<string>(type: "text", nullable: false),
                    seen_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: true),
                    do_not_meet = table.Column<bool>(type: "boolean", nullable: false),
                    xmin = table.Column<uint>(type: "xid", rowVersion: true, nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_joints", x => x.id);
                    table.ForeignKey(
                        name: "fk_joints_jobs_firm_id_job_id",
                        columns: x => new { x.firm_id, x.job_id },
                        principalTable: "jobs",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                    table.ForeignKey(
                        name: "fk_joints_surfaces_firm_id_first_id",
                        columns: x => new { x.firm_id, x.first_id },
                        principalTable: "surfaces",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                    table.ForeignKey(
                        name: "fk_joints_surfaces_firm_id_second_id",
                        columns: x => new { x.firm_id, x.second_id },
                        principalTable: "surfaces",
                        principalColumns: new[] { "firm_id", "id" }
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "logger_series",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    job_id = table.Column<Guid>(type: "uuid", nullable: false),
                    surface_id = table.Column<Guid>(type: "uuid", nullable: true),
                    name = table.Column<string>(type: "text", nullable: false),
                    times = table.Column<long[]>(type: "bigint[]", nullable: false),
                    temps_c = table.Column<double[]>(type: "double precision[]", nullable: false),
                    rh_pct = table.Column<double[]>(type: "double precision[]", nullable: false),
                    added_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    added_by = table.Column<string>(type: "text", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_logger_series", x => x.id);
                    table.ForeignKey(
                        name: "fk_logger_series_jobs_firm_id_job_id",
                        columns: x => new { x.firm_id, x.job_id },
                        principalTable: "jobs",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                    table.ForeignKey(
                        name: "fk_logger_series_surfaces_firm_id_surface_id",
                        columns: x => new { x.firm_id, x.surface_id },
                        principalTable: "surfaces",
                        principalColumns: new[] { "firm_id", "id" }
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "photos",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    job_id = table.Column<Guid>(type: "uuid", nullable: false),
                    surface_id = table.Column<Guid>(type: "uuid", nullable: true),
                    caption = table.Column<string>(type: "text", nullable: false),
                    content_type = table.Column<string>(type: "text", nullable: false),
                    bytes = table.Column<byte[]>(type: "bytea", nullable: false),
                    thumbnail = table.Column<byte[]>(type: "bytea", nullable: false),
                    width = table.Column<int>(type: "integer", nullable: false),
                    height = table.Column<int>(type: "integer", nullable: false),
                    added_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    added_by = table.Column<string>(type: "text", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_photos", x => x.id);
                    table.ForeignKey(
                        name: "fk_photos_jobs_firm_id_job_id",
                        columns: x => new { x.firm_id, x.job_id },
                        principalTable: "jobs",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                    table.ForeignKey(
                        name: "fk_photos_surfaces_firm_id_surface_id",
                        columns: x => new { x.firm_id, x.surface_id },
                        principalTable: "surfaces",
                        principalColumns: new[] { "firm_id", "id" }
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "preparation_marks",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    job_id = table.Column<Guid>(type: "uuid", nullable: false),
                    surface_id = table.Column<Guid>(type: "uuid", nullable: true),
                    item = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    assigned_to = table.Column<string>(type: "text", nullable: false),
                    due_on = table.Column<DateOnly>(type: "date", nullable: true),
                    done_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: true),
                    done_by = table.Column<string>(type: "text", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_preparation_marks", x => x.id);
                    table.ForeignKey(
                        name: "fk_preparation_marks_jobs_firm_id_job_id",
                        columns: x => new { x.firm_id, x.job_id },
                        principalTable: "jobs",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                    table.ForeignKey(
                        name: "fk_preparation_marks_surfaces_firm_id_surface_id",
                        columns: x => new { x.firm_id, x.surface_id },
                        principalTable: "surfaces",
                        principalColumns: new[] { "firm_id", "id" }
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "site_notes",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    surface_id = table.Column<Guid>(type: "uuid", nullable: false),
                    kind = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    words = table.Column<string>(type: "character varying(500)", maxLength: 500, nullable: false),
                    traced = table.Column<string>(type: "text", nullable: false),
                    days_since_rain = table.Column<int>(type: "integer", nullable: true),
                    clearance_m = table.Column<double>(type: "double precision", nullable: true),
                    mended_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: true),
                    mended_by = table.Column<string>(type: "text", nullable: false),
                    noted_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    noted_by = table.Column<string>(type: "text", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_site_notes", x => x.id);
                    table.ForeignKey(
                        name: "fk_site_notes_surfaces_firm_id_surface_id",
                        columns: x => new { x.firm_id, x.surface_id },
                        principalTable: "surfaces",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "surface_templates",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    name = table.Column<string>(type: "text", nullable: false),
                    kind = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    document = table.Column<string>(type: "jsonb", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_surface_templates", x => x.id);
                    table.ForeignKey(
                        name: "fk_surface_templates_firms_firm_id",
                        column: x => x.firm_id,
                        principalTable: "firms",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "thermal_pictures",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    job_id = table.Column<Guid>(type: "uuid", nullable: false),
                    surface_id = table.Column<Guid>(type: "uuid", nullable: true),
                    name = table.Column<string>(type: "text", nullable: false),
                    phase = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    rows = table.Column<int>(type: "integer", nullable: false),
                    columns = table.Column<int>(type: "integer", nullable: false),
                    temps_c = table.Column<float[]>(type: "real[]", nullable: false),
                    indoor_c = table.Column<double>(type: "double precision", nullable: false),
                    outdoor_c = table.Column<double>(type: "double precision", nullable: false),
                    conditions = table.Column<string>(type: "text", nullable: false),
                    taken_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    taken_by = table.Column<string>(type: "text", nullable: false),
                    xmin = table.Column<uint>(type: "xid", rowVersion: true, nullable: false),
                    spots = table.Column<string>(type: "jsonb", nullable: true),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_thermal_pictures", x => x.id);
                    table.ForeignKey(
                        name: "fk_thermal_pictures_jobs_firm_id_job_id",
                        columns: x => new { x.firm_id, x.job_id },
                        principalTable: "jobs",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                    table.ForeignKey(
                        name: "fk_thermal_pictures_surfaces_firm_id_surface_id",
                        columns: x => new { x.firm_id, x.surface_id },
                        principalTable: "surfaces",
                        principalColumns: new[] { "firm_id", "id" }
                    );
                }
            );

            migrationBuilder.CreateIndex(
                name: "ix_buffer_spaces_firm_id_job_id",
                table: "buffer_spaces",
                columns: new[] { "firm_id", "job_id" }
            );

            migrationBuilder.CreateIndex(
                name: "ix_column_mappings_firm_id_signature",
                table: "column_mappings",
                columns: new[] { "firm_id", "signature" },
                unique: true
            );

            migrationBuilder.CreateIndex(name: "ix_complaints_firm_id_job_id", table: "complaints", columns: new[] { "firm_id", "job_id" });

            migrationBuilder.CreateIndex(name: "ix_fan_tests_firm_id_job_id", table: "fan_tests", columns: new[] { "firm_id", "job_id" });

            migrationBuilder.CreateIndex(name: "ix_joints_firm_id_first_id", table: "joints", columns: new[] { "firm_id", "first_id" });

            migrationBuilder.CreateIndex(name: "ix_joints_firm_id_job_id", table: "joints", columns: new[] { "firm_id", "job_id" });

            migrationBuilder.CreateIndex(name: "ix_joints_firm_id_second_id", table: "joints", columns: new[] { "firm_id", "second_id" });

            migrationBuilder.CreateIndex(
                name: "ix_logger_series_firm_id_job_id",
                table: "logger_series",
                columns: new[] { "firm_id", "job_id" }
            );

            migrationBuilder.CreateIndex(
                name: "ix_logger_series_firm_id_surface_id",
                table: "logger_series",
                columns: new[] { "firm_id", "surface_id" }
            );

            migrationBuilder.CreateIndex(name: "ix_photos_firm_id_job_id", table: "photos", columns: new[] { "firm_id", "job_id" });

            migrationBuilder.CreateIndex(name: "ix_photos_firm_id_surface_id", table: "photos", columns: new[] { "firm_id", "surface_id" });

            migrationBuilder.CreateIndex(
                name: "ix_preparation_marks_firm_id_job_id",
                table: "preparation_marks",
                columns: new[] { "firm_id", "job_id" }
            );

            migrationBuilder.CreateIndex(
                name: "ix_preparation_marks_firm_id_surface_id",
                table: "preparation_marks",
                columns: new[] { "firm_id", "surface_id" }
            );

            migrationBuilder
                .CreateIndex(
                    name: "ix_preparation_marks_job_id_surface_id_item",
                    table: "preparation_marks",
                    columns: new[] { "job_id", "surface_id", "item" },
                    unique: true
                )
                .Annotation("Npgsql:NullsDistinct", false);

            migrationBuilder.CreateIndex(
                name: "ix_site_notes_firm_id_surface_id",
                table: "site_notes",
                columns: new[] { "firm_id", "surface_id" }
            );

            migrationBuilder.CreateIndex(name: "ix_surface_templates_firm_id", table: "surface_templates", column: "firm_id");

            migrationBuilder.CreateIndex(
                name: "ix_thermal_pictures_firm_id_job_id",
                table: "thermal_pictures",
                columns: new[] { "firm_id", "job_id" }
            );

            migrationBuilder.CreateIndex(
                name: "ix_thermal_pictures_firm_id_surface_id",
                table: "thermal_pictures",
                columns: new[] { "firm_id", "surface_id" }
            );

            // What stood in columns of the surface moves to rows of its own. The policies bind the owner too, so they are lifted meanwhile.
            migrationBuilder.Sql(
                """
                alter table surfaces no force row level security;
                insert into site_notes (id, firm_id, surface_id, kind, words, traced, mended_by, noted_at, noted_by)
                    select gen_random_uuid(), firm_id, id, 'Leak', open_leak, '', '', changed_at, '' from surfaces where open_leak is not null;
                insert into preparation_marks (id, firm_id, job_id, surface_id, item, assigned_to, done_at, done_by)
                    select gen_random_uuid(), firm_id, job_id, id, item, '', changed_at, '' from surfaces, unnest(prepared) as item;
                update surfaces set member_material = 'Girt' where member_material = 'Metal';
                alter table surfaces force row level security;
                """
            );
            migrationBuilder.DropColumn(name: "open_leak", table: "surfaces");

            migrationBuilder.DropColumn(name: "prepared", table: "surfaces");

            foreach (
                var table in new[]
                {
                    "site_notes",
                    "joints",
                    "complaints",
                    "preparation_marks",
                    "photos",
                    "fan_tests",
                    "thermal_pictures",
                    "logger_series",
                    "buffer_spaces",
                    "surface_templates",
                    "column_mappings",
                }
            )
            {
                migrationBuilder.Sql(FirmIsolation.Isolate(table));
            }
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(name: "buffer_spaces");

            migrationBuilder.DropTable(name: "column_mappings");

            migrationBuilder.DropTable(name: "complaints");

            migrationBuilder.DropTable(name: "fan_tests");

            migrationBuilder.DropTable(name: "joints");

            migrationBuilder.DropTable(name: "logger_series");

            migrationBuilder.DropTable(name: "photos");

            migrationBuilder.DropTable(name: "preparation_marks");

            migrationBuilder.DropTable(name: "site_notes");

            migrationBuilder.DropTable(name: "surface_templates");

            migrationBuilder.DropTable(name: "thermal_pictures");

            migrationBuilder.DropColumn(name: "buffer_id", table: "surfaces");

            migrationBuilder.DropColumn(name: "corners", table: "surfaces");

            migrationBuilder.DropColumn(name: "details", table: "surfaces");

            migrationBuilder.DropColumn(name: "place", table: "readings");

            migrationBuilder.DropColumn(name: "raw_value", table: "readings");

            migrationBuilder.DropColumn(name: "species", table: "readings");

            migrationBuilder.DropColumn(name: "stated_error", table: "readings");

            migrationBuilder.DropColumn(name: "height_m", table: "jobs");

            migrationBuilder.DropColumn(name: "summer_indoor_c", table: "jobs");

            migrationBuilder.DropColumn(name: "summer_indoor_rh_pct", table: "jobs");

            migrationBuilder.DropColumn(name: "summer_outdoor_c", table: "jobs");

            migrationBuilder.DropColumn(name: "summer_outdoor_rh_pct", table: "jobs");

            migrationBuilder.AddColumn<string>(
                name: "open_leak",
                table: "surfaces",
                type: "character varying(500)",
                maxLength: 500,
                nullable: true
            );

            migrationBuilder.AddColumn<string[]>(
                name: "prepared",
                table: "surfaces",
                type: "text[]",
                nullable: false,
                defaultValue: new string[0]
            );
        }
    }
}
