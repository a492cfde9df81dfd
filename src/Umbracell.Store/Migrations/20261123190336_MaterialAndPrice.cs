using System;
using Microsoft.EntityFrameworkCore.Migrations;
using Umbracell.Store.Tenancy;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class MaterialAndPrice : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(name: "pricing", table: "jobs", type: "jsonb", nullable: true);

            migrationBuilder.CreateTable(
                name: "bids",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    job_id = table.Column<Guid>(type: "uuid", nullable: false),
                    made_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    made_by = table.Column<string>(type: "character varying(120)", maxLength: 120, nullable: false),
                    work_date = table.Column<DateOnly>(type: "date", nullable: true),
                    document = table.Column<string>(type: "jsonb", nullable: true),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_bids", x => x.id);
                    table.ForeignKey(
                        name: "fk_bids_jobs_firm_id_job_id",
                        columns: x => new { x.firm_id, x.job_id },
                        principalTable: "jobs",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "past_jobs",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    name = table.Column<string>(type: "character varying(200)", maxLength: 200, nullable: false),
                    crew = table.Column<string>(type: "character varying(60)", maxLength: 60, nullable: false),
                    sheet_slug = table.Column<string>(type: "character varying(60)", maxLength: 60, nullable: false),
                    finished_on = table.Column<DateOnly>(type: "date", nullable: false),
                    area_m2 = table.Column<double>(type: "double precision", nullable: false),
                    mean_depth_m = table.Column<double>(type: "double precision", nullable: false),
                    sets_used = table.Column<double>(type: "double precision", nullable: false),
                    substrate_c = table.Column<double>(type: "double precision", nullable: false),
                    drum_c = table.Column<double>(type: "double precision", nullable: false),
                    lift_m = table.Column<double>(type: "double precision", nullable: false),
                    left_out_because = table.Column<string>(type: "character varying(300)", maxLength: 300, nullable: false),
                    xmin = table.Column<uint>(type: "xid", rowVersion: true, nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_past_jobs", x => x.id);
                    table.ForeignKey(
                        name: "fk_past_jobs_firms_firm_id",
                        column: x => x.firm_id,
                        principalTable: "firms",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "stock_lots",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    sheet_slug = table.Column<string>(type: "character varying(60)", maxLength: 60, nullable: false),
                    side = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    lot = table.Column<string>(type: "character varying(60)", maxLength: 60, nullable: false),
                    expires = table.Column<DateOnly>(type: "date", nullable: true),
                    full = table.Column<int>(type: "integer", nullable: false),
                    part_kg = table.Column<double>(type: "double precision", nullable: false),
                    xmin = table.Column<uint>(type: "xid", rowVersion: true, nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_stock_lots", x => x.id);
                    table.ForeignKey(
                        name: "fk_stock_lots_firms_firm_id",
                        column: x => x.firm_id,
                        principalTable: "firms",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateIndex(name: "ix_bids_firm_id_job_id", table: "bids", columns: new[] { "firm_id", "job_id" });

            migrationBuilder.CreateIndex(name: "ix_bids_job_id_made_at", table: "bids", columns: new[] { "job_id", "made_at" });

            migrationBuilder.CreateIndex(
                name: "ix_past_jobs_firm_id_finished_on",
                table: "past_jobs",
                columns: new[] { "firm_id", "finished_on" }
            );

            migrationBuilder.CreateIndex(name: "ix_stock_lots_firm_id", table: "stock_lots", column: "firm_id");

            foreach (var table in new[] { "bids", "past_jobs", "stock_lots" })
            {
                migrationBuilder.Sql(FirmIsolation.Isolate(table));
            }
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(name: "bids");

            migrationBuilder.DropTable(name: "past_jobs");

            migrationBuilder.DropTable(name: "stock_lots");

            migrationBuilder.DropColumn(name: "pricing", table: "jobs");
        }
    }
}
