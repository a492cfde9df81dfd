using System;
using Microsoft.EntityFrameworkCore.Migrations;
using Umbracell.Store.Tenancy;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class KeptFigures : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "input_versions",
                columns: table => new
                {
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    subject_id = table.Column<Guid>(type: "uuid", nullable: false),
                    version = table.Column<long>(type: "bigint", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_input_versions", x => new { x.firm_id, x.subject_id });
                    table.ForeignKey(
                        name: "fk_input_versions_firms_firm_id",
                        column: x => x.firm_id,
                        principalTable: "firms",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "job_sums",
                columns: table => new
                {
                    job_id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    made_from = table.Column<string>(type: "character varying(120)", maxLength: 120, nullable: false),
                    document = table.Column<string>(type: "jsonb", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_job_sums", x => x.job_id);
                    table.ForeignKey(
                        name: "fk_job_sums_jobs_firm_id_job_id",
                        columns: x => new { x.firm_id, x.job_id },
                        principalTable: "jobs",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "surface_cells",
                columns: table => new
                {
                    surface_id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    job_id = table.Column<Guid>(type: "uuid", nullable: false),
                    made_from = table.Column<string>(type: "character varying(120)", maxLength: 120, nullable: false),
                    made_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    worst = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    worst_until = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: true),
                    area_m2 = table.Column<double>(type: "double precision", nullable: false),
                    document = table.Column<string>(type: "jsonb", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_surface_cells", x => x.surface_id);
                    table.ForeignKey(
                        name: "fk_surface_cells_jobs_firm_id_job_id",
                        columns: x => new { x.firm_id, x.job_id },
                        principalTable: "jobs",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                    table.ForeignKey(
                        name: "fk_surface_cells_surfaces_firm_id_surface_id",
                        columns: x => new { x.firm_id, x.surface_id },
                        principalTable: "surfaces",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateIndex(name: "ix_job_sums_firm_id_job_id", table: "job_sums", columns: new[] { "firm_id", "job_id" });

            migrationBuilder.CreateIndex(
                name: "ix_surface_cells_firm_id_job_id",
                table: "surface_cells",
                columns: new[] { "firm_id", "job_id" }
            );

            migrationBuilder.CreateIndex(
                name: "ix_surface_cells_firm_id_surface_id",
                table: "surface_cells",
                columns: new[] { "firm_id", "surface_id" }
            );

            foreach (var table in new[] { "input_versions", "surface_cells", "job_sums" })
            {
                migrationBuilder.Sql(FirmIsolation.Isolate(table));
            }
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(name: "input_versions");

            migrationBuilder.DropTable(name: "job_sums");

            migrationBuilder.DropTable(name: "surface_cells");
        }
    }
}
