using System;
using Microsoft.EntityFrameworkCore.Migrations;
using Umbracell.Store.Tenancy;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class KeptPapers : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "papers",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    job_id = table.Column<Guid>(type: "uuid", nullable: false),
                    kind = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    shows_prices = table.Column<bool>(type: "boolean", nullable: false),
                    made_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    made_by = table.Column<string>(type: "character varying(120)", maxLength: 120, nullable: false),
                    document = table.Column<string>(type: "jsonb", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_papers", x => x.id);
                    table.ForeignKey(
                        name: "fk_papers_jobs_firm_id_job_id",
                        columns: x => new { x.firm_id, x.job_id },
                        principalTable: "jobs",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateIndex(name: "ix_papers_firm_id_job_id", table: "papers", columns: new[] { "firm_id", "job_id" });

            migrationBuilder.CreateIndex(name: "ix_papers_job_id_made_at", table: "papers", columns: new[] { "job_id", "made_at" });

            migrationBuilder.Sql(FirmIsolation.Isolate("papers"));
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(name: "papers");
        }
    }
}
