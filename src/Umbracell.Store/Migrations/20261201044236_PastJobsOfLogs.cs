using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class PastJobsOfLogs : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<Guid>(name: "job_id", table: "past_jobs", type: "uuid", nullable: true);

            migrationBuilder.CreateIndex(
                name: "ix_past_jobs_firm_id_job_id_sheet_slug",
                table: "past_jobs",
                columns: new[] { "firm_id", "job_id", "sheet_slug" },
                unique: true,
                filter: "job_id is not null"
            );
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropIndex(name: "ix_past_jobs_firm_id_job_id_sheet_slug", table: "past_jobs");

            migrationBuilder.DropColumn(name: "job_id", table: "past_jobs");
        }
    }
}
