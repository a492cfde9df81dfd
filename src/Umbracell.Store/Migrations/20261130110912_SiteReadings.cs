using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class SiteReadings : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<bool>(
                name: "outdoors",
                table: "logger_series",
                type: "boolean",
                nullable: false,
                defaultValue: false
            );

            migrationBuilder.AddColumn<bool>(
                name: "corrects_forecast",
                table: "jobs",
                type: "boolean",
                nullable: false,
                defaultValue: true
            );
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(name: "outdoors", table: "logger_series");

            migrationBuilder.DropColumn(name: "corrects_forecast", table: "jobs");
        }
    }
}
