using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class LogOfAJob : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<Guid>(name: "log_entry_id", table: "photos", type: "uuid", nullable: true);

            migrationBuilder.AddColumn<Guid>(name: "job_id", table: "past_jobs", type: "uuid", nullable: true);

            migrationBuilder.AddUniqueConstraint(name: "ak_spray_log_firm_id_id", table: "spray_log", columns: new[] { "firm_id", "id" });

            migrationBuilder.CreateIndex(
                name: "ix_photos_firm_id_log_entry_id",
                table: "photos",
                columns: new[] { "firm_id", "log_entry_id" }
            );

            migrationBuilder.CreateIndex(
                name: "ix_past_jobs_firm_id_job_id_sheet_slug",
                table: "past_jobs",
                columns: new[] { "firm_id", "job_id", "sheet_slug" },
                unique: true,
                filter: "job_id is not null"
            );

            migrationBuilder.AddForeignKey(
                name: "fk_photos_spray_log_firm_id_log_entry_id",
                table: "photos",
                columns: new[] { "firm_id", "log_entry_id" },
                principalTable: "spray_log",
                principalColumns: new[] { "firm_id", "id" },
                onDelete: ReferentialAction.Cascade
            );
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropForeignKey(name: "fk_photos_spray_log_firm_id_log_entry_id", table: "photos");

            migrationBuilder.DropUniqueConstraint(name: "ak_spray_log_firm_id_id", table: "spray_log");

            migrationBuilder.DropIndex(name: "ix_photos_firm_id_log_entry_id", table: "photos");

            migrationBuilder.DropIndex(name: "ix_past_jobs_firm_id_job_id_sheet_slug", table: "past_jobs");

            migrationBuilder.DropColumn(name: "log_entry_id", table: "photos");

            migrationBuilder.DropColumn(name: "job_id", table: "past_jobs");
        }
    }
}
