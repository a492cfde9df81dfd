using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class StatesOfJobs : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<DateTimeOffset>(
                name: "archived_at",
                table: "jobs",
                type: "timestamp with time zone",
                nullable: true
            );

            migrationBuilder.AddColumn<DateTimeOffset>(name: "deleted_at", table: "jobs", type: "timestamp with time zone", nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "deleted_by",
                table: "jobs",
                type: "character varying(120)",
                maxLength: 120,
                nullable: false,
                defaultValue: ""
            );

            migrationBuilder.AddColumn<string>(
                name: "state",
                table: "jobs",
                type: "character varying(40)",
                maxLength: 40,
                nullable: false,
                defaultValue: "Estimate"
            );
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(name: "archived_at", table: "jobs");

            migrationBuilder.DropColumn(name: "deleted_at", table: "jobs");

            migrationBuilder.DropColumn(name: "deleted_by", table: "jobs");

            migrationBuilder.DropColumn(name: "state", table: "jobs");
        }
    }
}
