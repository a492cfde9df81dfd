using System;
using Microsoft.EntityFrameworkCore.Migrations;
using Npgsql.EntityFrameworkCore.PostgreSQL.Metadata;
using Umbracell.Store.Tenancy;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class FirstTables : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "data_protection_keys",
                columns: table => new
                {
                    id = table
                        .Column<int>(type: "integer", nullable: false)
                        .Annotation("Npgsql:ValueGenerationStrategy", NpgsqlValueGenerationStrategy.IdentityByDefaultColumn),
                    friendly_name = table.Column<string>(type: "text", nullable: true),
                    xml = table.Column<string>(type: "text", nullable: true),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_data_protection_keys", x => x.id);
                }
            );

            migrationBuilder.CreateTable(
                name: "firms",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    name = table.Column<string>(type: "character varying(200)", maxLength: 200, nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_firms", x => x.id);
                }
            );

            migrationBuilder.CreateTable(
                name: "api_tokens",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    name = table.Column<string>(type: "text", nullable: false),
                    hash = table.Column<string>(type: "text", nullable: false),
                    role = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_api_tokens", x => x.id);
                    table.ForeignKey(
                        name: "fk_api_tokens_firms_firm_id",
                        column: x => x.firm_id,
                        principalTable: "firms",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "jobs",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    name = table.Column<string>(type: "character varying(200)", maxLength: 200, nullable: false),
                    crew = table.Column<string>(type: "text", nullable: false),
                    climate_zone = table.Column<string>(type: "text", nullable: false),
                    target_set_id = table.Column<string>(type: "text", nullable: false),
                    indoor_c = table.Column<double>(type: "double precision", nullable: false),
                    indoor_rh_pct = table.Column<double>(type: "double precision", nullable: false),
                    outdoor_c = table.Column<double>(type: "double precision", nullable: false),
                    outdoor_rh_pct = table.Column<double>(type: "double precision", nullable: false),
                    altitude_m = table.Column<double>(type: "double precision", nullable: false),
                    risk_pct = table.Column<double>(type: "double precision", nullable: false),
                    created_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    xmin = table.Column<uint>(type: "xid", rowVersion: true, nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_jobs", x => x.id);
                    table.UniqueConstraint("ak_jobs_firm_id_id", x => new { x.firm_id, x.id });
                    table.ForeignKey(
                        name: "fk_jobs_firms_firm_id",
                        column: x => x.firm_id,
                        principalTable: "firms",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "people",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    sign_in_name = table.Column<string>(type: "text", nullable: false),
                    normalized_sign_in_name = table.Column<string>(type: "text", nullable: false),
                    title = table.Column<string>(type: "text", nullable: false),
                    role = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    units = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    password_hash = table.Column<string>(type: "text", nullable: true),
                    security_stamp = table.Column<string>(type: "text", nullable: false),
                    access_failed_count = table.Column<int>(type: "integer", nullable: false),
                    lockout_end = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: true),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_people", x => x.id);
                    table.ForeignKey(
                        name: "fk_people_firms_firm_id",
                        column: x => x.firm_id,
                        principalTable: "firms",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "sheets",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    slug = table.Column<string>(type: "text", nullable: false),
                    document = table.Column<string>(type: "jsonb", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_sheets", x => x.id);
                    table.ForeignKey(
                        name: "fk_sheets_firms_firm_id",
                        column: x => x.firm_id,
                        principalTable: "firms",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "surfaces",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    job_id = table.Column<Guid>(type: "uuid", nullable: false),
                    position = table.Column<int>(type: "integer", nullable: false),
                    name = table.Column<string>(type: "character varying(200)", maxLength: 200, nullable: false),
                    kind = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    shape = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    first_m = table.Column<double>(type: "double precision", nullable: false),
                    second_m = table.Column<double>(type: "double precision", nullable: false),
                    third_m = table.Column<double>(type: "double precision", nullable: false),
                    pitch = table.Column<double>(type: "double precision", nullable: false),
                    bay_count = table.Column<int>(type: "integer", nullable: false),
                    repeats = table.Column<int>(type: "integer", nullable: false),
                    profile_factor = table.Column<double>(type: "double precision", nullable: false),
                    substrate = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    member_material = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    member_depth_m = table.Column<double>(type: "double precision", nullable: false),
                    member_spacing_m = table.Column<double>(type: "double precision", nullable: false),
                    member_share = table.Column<double>(type: "double precision", nullable: false),
                    foam_against = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    shaved_flush = table.Column<bool>(type: "boolean", nullable: false),
                    open_face = table.Column<bool>(type: "boolean", nullable: false),
                    open_leak = table.Column<string>(type: "character varying(500)", maxLength: 500, nullable: true),
                    sheet_slug = table.Column<string>(type: "text", nullable: true),
                    foam_thickness_m = table.Column<double>(type: "double precision", nullable: true),
                    prepared = table.Column<string[]>(type: "text[]", nullable: false),
                    expected_substrate_c = table.Column<double>(type: "double precision", nullable: true),
                    expected_drum_c = table.Column<double>(type: "double precision", nullable: true),
                    removed_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: true),
                    changed_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    xmin = table.Column<uint>(type: "xid", rowVersion: true, nullable: false),
                    assembly = table.Column<string>(type: "jsonb", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_surfaces", x => x.id);
                    table.UniqueConstraint("ak_surfaces_firm_id_id", x => new { x.firm_id, x.id });
                    table.ForeignKey(
                        name: "fk_surfaces_jobs_firm_id_job_id",
                        columns: x => new { x.firm_id, x.job_id },
                        principalTable: "jobs",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "readings",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    job_id = table.Column<Guid>(type: "uuid", nullable: false),
                    surface_id = table.Column<Guid>(type: "uuid", nullable: true),
                    sheet_slug = table.Column<string>(type: "text", nullable: true),
                    kind = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    value = table.Column<double>(type: "double precision", nullable: false),
                    humidity_over = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    instrument = table.Column<string>(type: "text", nullable: false),
                    taken_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    taken_by = table.Column<string>(type: "text", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_readings", x => x.id);
                    table.ForeignKey(
                        name: "fk_readings_jobs_firm_id_job_id",
                        columns: x => new { x.firm_id, x.job_id },
                        principalTable: "jobs",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                    table.ForeignKey(
                        name: "fk_readings_surfaces_firm_id_surface_id",
                        columns: x => new { x.firm_id, x.surface_id },
                        principalTable: "surfaces",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "surface_openings",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    surface_id = table.Column<Guid>(type: "uuid", nullable: false),
                    position = table.Column<int>(type: "integer", nullable: false),
                    count = table.Column<int>(type: "integer", nullable: false),
                    width_m = table.Column<double>(type: "double precision", nullable: false),
                    height_m = table.Column<double>(type: "double precision", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_surface_openings", x => x.id);
                    table.ForeignKey(
                        name: "fk_surface_openings_surfaces_firm_id_surface_id",
                        columns: x => new { x.firm_id, x.surface_id },
                        principalTable: "surfaces",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateIndex(name: "ix_api_tokens_firm_id", table: "api_tokens", column: "firm_id");

            migrationBuilder.CreateIndex(name: "ix_api_tokens_hash", table: "api_tokens", column: "hash", unique: true);

            migrationBuilder.CreateIndex(name: "ix_people_firm_id", table: "people", column: "firm_id");

            migrationBuilder.CreateIndex(
                name: "ix_people_normalized_sign_in_name",
                table: "people",
                column: "normalized_sign_in_name",
                unique: true
            );

            migrationBuilder.CreateIndex(name: "ix_readings_firm_id_job_id", table: "readings", columns: new[] { "firm_id", "job_id" });

            migrationBuilder.CreateIndex(
                name: "ix_readings_firm_id_surface_id",
                table: "readings",
                columns: new[] { "firm_id", "surface_id" }
            );

            migrationBuilder.CreateIndex(name: "ix_readings_job_id_taken_at", table: "readings", columns: new[] { "job_id", "taken_at" });

            migrationBuilder.CreateIndex(
                name: "ix_sheets_firm_id_slug",
                table: "sheets",
                columns: new[] { "firm_id", "slug" },
                unique: true
            );

            migrationBuilder.CreateIndex(
                name: "ix_surface_openings_firm_id_surface_id",
                table: "surface_openings",
                columns: new[] { "firm_id", "surface_id" }
            );

            migrationBuilder.CreateIndex(name: "ix_surfaces_firm_id_job_id", table: "surfaces", columns: new[] { "firm_id", "job_id" });

            migrationBuilder.CreateIndex(name: "ix_surfaces_job_id_position", table: "surfaces", columns: new[] { "job_id", "position" });

            migrationBuilder.Sql(FirmIsolation.Isolate("firms", "id"));
            migrationBuilder.Sql(
                FirmIsolation.Isolate(
                    "people",
                    alsoReadable: "normalized_sign_in_name = nullif(current_setting('umbracell.sign_in_name', true), '')"
                )
            );
            migrationBuilder.Sql(
                FirmIsolation.Isolate("api_tokens", alsoReadable: "hash = nullif(current_setting('umbracell.token_hash', true), '')")
            );
            foreach (var table in new[] { "sheets", "jobs", "surfaces", "surface_openings", "readings" })
            {
                migrationBuilder.Sql(FirmIsolation.Isolate(table));
            }

            migrationBuilder.Sql(FirmIsolation.Share("data_protection_keys"));
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(name: "api_tokens");

            migrationBuilder.DropTable(name: "data_protection_keys");

            migrationBuilder.DropTable(name: "people");

            migrationBuilder.DropTable(name: "readings");

            migrationBuilder.DropTable(name: "sheets");

            migrationBuilder.DropTable(name: "surface_openings");

            migrationBuilder.DropTable(name: "surfaces");

            migrationBuilder.DropTable(name: "jobs");

            migrationBuilder.DropTable(name: "firms");
        }
    }
}
