using System;
using Microsoft.EntityFrameworkCore.Migrations;
using Umbracell.Store.Tenancy;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class RigAndShots : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<Guid>(name: "test_shot_id", table: "photos", type: "uuid", nullable: true);

            migrationBuilder.CreateTable(
                name: "firm_sequences",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    kind = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    document = table.Column<string>(type: "jsonb", nullable: false),
                    changed_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    changed_by = table.Column<string>(type: "text", nullable: false),
                    xmin = table.Column<uint>(type: "xid", rowVersion: true, nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_firm_sequences", x => x.id);
                    table.ForeignKey(
                        name: "fk_firm_sequences_firms_firm_id",
                        column: x => x.firm_id,
                        principalTable: "firms",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "rig_settings",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    job_id = table.Column<Guid>(type: "uuid", nullable: false),
                    rig_id = table.Column<Guid>(type: "uuid", nullable: false),
                    number = table.Column<int>(type: "integer", nullable: false),
                    sheet_slug = table.Column<string>(type: "character varying(60)", maxLength: 60, nullable: false),
                    primary_a_temp_c = table.Column<double>(type: "double precision", nullable: false),
                    primary_b_temp_c = table.Column<double>(type: "double precision", nullable: false),
                    hose_temp_c = table.Column<double>(type: "double precision", nullable: false),
                    pressure_pa = table.Column<double>(type: "double precision", nullable: false),
                    tip = table.Column<string>(type: "character varying(60)", maxLength: 60, nullable: false),
                    lot_a = table.Column<string>(type: "character varying(60)", maxLength: 60, nullable: false),
                    lot_b = table.Column<string>(type: "character varying(60)", maxLength: 60, nullable: false),
                    drum_changes = table.Column<int>(type: "integer", nullable: false),
                    set_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    received_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    set_by = table.Column<string>(type: "text", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_rig_settings", x => x.id);
                    table.ForeignKey(
                        name: "fk_rig_settings_jobs_firm_id_job_id",
                        columns: x => new { x.firm_id, x.job_id },
                        principalTable: "jobs",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                    table.ForeignKey(
                        name: "fk_rig_settings_means_firm_id_rig_id",
                        columns: x => new { x.firm_id, x.rig_id },
                        principalTable: "means",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Restrict
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "sequence_runs",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    rig_id = table.Column<Guid>(type: "uuid", nullable: false),
                    job_id = table.Column<Guid>(type: "uuid", nullable: true),
                    kind = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    document = table.Column<string>(type: "jsonb", nullable: false),
                    begun_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    begun_by = table.Column<string>(type: "text", nullable: false),
                    given_up_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: true),
                    given_up_by = table.Column<string>(type: "text", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_sequence_runs", x => x.id);
                    table.UniqueConstraint("ak_sequence_runs_firm_id_id", x => new { x.firm_id, x.id });
                    table.ForeignKey(
                        name: "fk_sequence_runs_jobs_firm_id_job_id",
                        columns: x => new { x.firm_id, x.job_id },
                        principalTable: "jobs",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                    table.ForeignKey(
                        name: "fk_sequence_runs_means_firm_id_rig_id",
                        columns: x => new { x.firm_id, x.rig_id },
                        principalTable: "means",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Restrict
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "sprayer_checks",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    job_id = table.Column<Guid>(type: "uuid", nullable: false),
                    rig_id = table.Column<Guid>(type: "uuid", nullable: false),
                    sprayer = table.Column<string>(type: "character varying(80)", maxLength: 80, nullable: false),
                    checked_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    received_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    checked_by = table.Column<string>(type: "text", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_sprayer_checks", x => x.id);
                    table.ForeignKey(
                        name: "fk_sprayer_checks_jobs_firm_id_job_id",
                        columns: x => new { x.firm_id, x.job_id },
                        principalTable: "jobs",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                    table.ForeignKey(
                        name: "fk_sprayer_checks_means_firm_id_rig_id",
                        columns: x => new { x.firm_id, x.rig_id },
                        principalTable: "means",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Restrict
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "test_shots",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    job_id = table.Column<Guid>(type: "uuid", nullable: false),
                    surface_id = table.Column<Guid>(type: "uuid", nullable: false),
                    rig_id = table.Column<Guid>(type: "uuid", nullable: false),
                    sheet_slug = table.Column<string>(type: "character varying(60)", maxLength: 60, nullable: false),
                    substrate = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    document = table.Column<string>(type: "jsonb", nullable: false),
                    done = table.Column<string>(type: "character varying(400)", maxLength: 400, nullable: false),
                    done_since = table.Column<string>(type: "character varying(400)", maxLength: 400, nullable: false),
                    fired_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    received_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    fired_by = table.Column<string>(type: "text", nullable: false),
                    accepted_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: true),
                    accepted_by = table.Column<string>(type: "text", nullable: false),
                    loss = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: true),
                    xmin = table.Column<uint>(type: "xid", rowVersion: true, nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_test_shots", x => x.id);
                    table.UniqueConstraint("ak_test_shots_firm_id_id", x => new { x.firm_id, x.id });
                    table.ForeignKey(
                        name: "fk_test_shots_jobs_firm_id_job_id",
                        columns: x => new { x.firm_id, x.job_id },
                        principalTable: "jobs",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                    table.ForeignKey(
                        name: "fk_test_shots_means_firm_id_rig_id",
                        columns: x => new { x.firm_id, x.rig_id },
                        principalTable: "means",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Restrict
                    );
                    table.ForeignKey(
                        name: "fk_test_shots_surfaces_firm_id_surface_id",
                        columns: x => new { x.firm_id, x.surface_id },
                        principalTable: "surfaces",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "step_marks",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    run_id = table.Column<Guid>(type: "uuid", nullable: false),
                    number = table.Column<int>(type: "integer", nullable: false),
                    step = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    saying = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    reason = table.Column<string>(type: "character varying(300)", maxLength: 300, nullable: false),
                    read = table.Column<double>(type: "double precision", nullable: true),
                    said_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    received_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    said_by = table.Column<string>(type: "text", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_step_marks", x => x.id);
                    table.ForeignKey(
                        name: "fk_step_marks_sequence_runs_firm_id_run_id",
                        columns: x => new { x.firm_id, x.run_id },
                        principalTable: "sequence_runs",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateIndex(
                name: "ix_photos_firm_id_test_shot_id",
                table: "photos",
                columns: new[] { "firm_id", "test_shot_id" }
            );

            migrationBuilder.CreateIndex(
                name: "ix_firm_sequences_firm_id_kind",
                table: "firm_sequences",
                columns: new[] { "firm_id", "kind" },
                unique: true
            );

            migrationBuilder.CreateIndex(
                name: "ix_rig_settings_firm_id_job_id",
                table: "rig_settings",
                columns: new[] { "firm_id", "job_id" }
            );

            migrationBuilder.CreateIndex(
                name: "ix_rig_settings_firm_id_rig_id_number",
                table: "rig_settings",
                columns: new[] { "firm_id", "rig_id", "number" },
                unique: true
            );

            migrationBuilder.CreateIndex(
                name: "ix_sequence_runs_firm_id_job_id",
                table: "sequence_runs",
                columns: new[] { "firm_id", "job_id" }
            );

            migrationBuilder.CreateIndex(
                name: "ix_sequence_runs_firm_id_rig_id",
                table: "sequence_runs",
                columns: new[] { "firm_id", "rig_id" }
            );

            migrationBuilder.CreateIndex(
                name: "ix_sprayer_checks_firm_id_job_id",
                table: "sprayer_checks",
                columns: new[] { "firm_id", "job_id" }
            );

            migrationBuilder.CreateIndex(
                name: "ix_sprayer_checks_firm_id_rig_id",
                table: "sprayer_checks",
                columns: new[] { "firm_id", "rig_id" }
            );

            migrationBuilder.CreateIndex(
                name: "ix_step_marks_firm_id_run_id_number",
                table: "step_marks",
                columns: new[] { "firm_id", "run_id", "number" },
                unique: true
            );

            migrationBuilder.CreateIndex(name: "ix_test_shots_firm_id_job_id", table: "test_shots", columns: new[] { "firm_id", "job_id" });

            migrationBuilder.CreateIndex(name: "ix_test_shots_firm_id_rig_id", table: "test_shots", columns: new[] { "firm_id", "rig_id" });

            migrationBuilder.CreateIndex(
                name: "ix_test_shots_firm_id_surface_id",
                table: "test_shots",
                columns: new[] { "firm_id", "surface_id" }
            );

            migrationBuilder.AddForeignKey(
                name: "fk_photos_test_shots_firm_id_test_shot_id",
                table: "photos",
                columns: new[] { "firm_id", "test_shot_id" },
                principalTable: "test_shots",
                principalColumns: new[] { "firm_id", "id" },
                onDelete: ReferentialAction.Cascade
            );

            migrationBuilder.Sql(FirmIsolation.Isolate("rig_settings"));
            migrationBuilder.Sql(FirmIsolation.Isolate("test_shots"));
            migrationBuilder.Sql(FirmIsolation.Isolate("sprayer_checks"));
            migrationBuilder.Sql(FirmIsolation.Isolate("firm_sequences"));
            migrationBuilder.Sql(FirmIsolation.Isolate("sequence_runs"));
            migrationBuilder.Sql(FirmIsolation.Isolate("step_marks"));
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropForeignKey(name: "fk_photos_test_shots_firm_id_test_shot_id", table: "photos");

            migrationBuilder.DropTable(name: "firm_sequences");

            migrationBuilder.DropTable(name: "rig_settings");

            migrationBuilder.DropTable(name: "sprayer_checks");

            migrationBuilder.DropTable(name: "step_marks");

            migrationBuilder.DropTable(name: "test_shots");

            migrationBuilder.DropTable(name: "sequence_runs");

            migrationBuilder.DropIndex(name: "ix_photos_firm_id_test_shot_id", table: "photos");

            migrationBuilder.DropColumn(name: "test_shot_id", table: "photos");
        }
    }
}
