using System;
using Microsoft.EntityFrameworkCore.Migrations;
using Umbracell.Store.Tenancy;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class PlacesAndTargets : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<Guid>(name: "own_place_id", table: "jobs", type: "uuid", nullable: true);

            migrationBuilder.AddColumn<Guid>(name: "own_targets_id", table: "jobs", type: "uuid", nullable: true);

            migrationBuilder.CreateTable(
                name: "places",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    name = table.Column<string>(type: "character varying(120)", maxLength: 120, nullable: false),
                    climate_zone = table.Column<string>(type: "text", nullable: false),
                    altitude_m = table.Column<double>(type: "double precision", nullable: false),
                    mean_c = table.Column<double[]>(type: "double precision[]", nullable: false),
                    mean_rh_pct = table.Column<double[]>(type: "double precision[]", nullable: false),
                    heating_c = table.Column<double>(type: "double precision", nullable: false),
                    cooling_c = table.Column<double>(type: "double precision", nullable: false),
                    cooling_rh_pct = table.Column<double>(type: "double precision", nullable: false),
                    source = table.Column<string>(type: "character varying(200)", maxLength: 200, nullable: false),
                    xmin = table.Column<uint>(type: "xid", rowVersion: true, nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_places", x => x.id);
                    table.UniqueConstraint("ak_places_firm_id_id", x => new { x.firm_id, x.id });
                    table.ForeignKey(
                        name: "fk_places_firms_firm_id",
                        column: x => x.firm_id,
                        principalTable: "firms",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "target_sets",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    edition = table.Column<string>(type: "character varying(120)", maxLength: 120, nullable: false),
                    based_on = table.Column<string>(type: "character varying(60)", maxLength: 60, nullable: false),
                    greatest_u = table.Column<string>(type: "jsonb", nullable: true),
                    xmin = table.Column<uint>(type: "xid", rowVersion: true, nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_target_sets", x => x.id);
                    table.UniqueConstraint("ak_target_sets_firm_id_id", x => new { x.firm_id, x.id });
                    table.ForeignKey(
                        name: "fk_target_sets_firms_firm_id",
                        column: x => x.firm_id,
                        principalTable: "firms",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "place_hours",
                columns: table => new
                {
                    place_id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    temp_c = table.Column<float[]>(type: "real[]", nullable: false),
                    rh_pct = table.Column<float[]>(type: "real[]", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_place_hours", x => x.place_id);
                    table.ForeignKey(
                        name: "fk_place_hours_places_firm_id_place_id",
                        columns: x => new { x.firm_id, x.place_id },
                        principalTable: "places",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateIndex(name: "ix_jobs_firm_id_own_place_id", table: "jobs", columns: new[] { "firm_id", "own_place_id" });

            migrationBuilder.CreateIndex(
                name: "ix_jobs_firm_id_own_targets_id",
                table: "jobs",
                columns: new[] { "firm_id", "own_targets_id" }
            );

            migrationBuilder.CreateIndex(
                name: "ix_place_hours_firm_id_place_id",
                table: "place_hours",
                columns: new[] { "firm_id", "place_id" },
                unique: true
            );

            migrationBuilder.AddForeignKey(
                name: "fk_jobs_places_firm_id_own_place_id",
                table: "jobs",
                columns: new[] { "firm_id", "own_place_id" },
                principalTable: "places",
                principalColumns: new[] { "firm_id", "id" },
                onDelete: ReferentialAction.Restrict
            );

            migrationBuilder.AddForeignKey(
                name: "fk_jobs_target_sets_firm_id_own_targets_id",
                table: "jobs",
                columns: new[] { "firm_id", "own_targets_id" },
                principalTable: "target_sets",
                principalColumns: new[] { "firm_id", "id" },
                onDelete: ReferentialAction.Restrict
            );

            foreach (var table in new[] { "places", "place_hours", "target_sets" })
            {
                migrationBuilder.Sql(FirmIsolation.Isolate(table));
            }
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropForeignKey(name: "fk_jobs_places_firm_id_own_place_id", table: "jobs");

            migrationBuilder.DropForeignKey(name: "fk_jobs_target_sets_firm_id_own_targets_id", table: "jobs");

            migrationBuilder.DropTable(name: "place_hours");

            migrationBuilder.DropTable(name: "target_sets");

            migrationBuilder.DropTable(name: "places");

            migrationBuilder.DropIndex(name: "ix_jobs_firm_id_own_place_id", table: "jobs");

            migrationBuilder.DropIndex(name: "ix_jobs_firm_id_own_targets_id", table: "jobs");

            migrationBuilder.DropColumn(name: "own_place_id", table: "jobs");

            migrationBuilder.DropColumn(name: "own_targets_id", table: "jobs");
        }
    }
}
