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

            migrationBuilder.CreateIndex(name: "ix_test_shots_firm_id_job_id", table: "test_shots", columns: new[] { "firm_id", "job_id" });

            migrationBuilder.CreateIndex(name: "ix_test_shots_firm_id_rig_id", table: "test_shots", columns: new[] { "firm_id", "rig_id" });

            migrationBuilder.CreateIndex(
                name: "ix_test_shots_firm_id_surface_id",
                table: "test_shots",
                columns: new[] { "firm_id", "surface_id" }
            );

            migrationBuilder.Sql(FirmIsolation.Isolate("rig_settings"));
            migrationBuilder.Sql(FirmIsolation.Isolate("test_shots"));
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(name: "rig_settings");

            migrationBuilder.DropTable(name: "test_shots");
        }
    }
}
