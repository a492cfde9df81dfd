using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class CrewDepthsAndCurrency : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<int>(name: "depth_readings", table: "past_jobs", type: "integer", nullable: false, defaultValue: 0);

            migrationBuilder.AddColumn<double>(
                name: "depth_scatter_m",
                table: "past_jobs",
                type: "double precision",
                nullable: false,
                defaultValue: 0.0
            );

            migrationBuilder.AddColumn<string>(
                name: "currency",
                table: "firms",
                type: "character varying(12)",
                maxLength: 12,
                nullable: false,
                defaultValue: ""
            );
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(name: "depth_readings", table: "past_jobs");

            migrationBuilder.DropColumn(name: "depth_scatter_m", table: "past_jobs");

            migrationBuilder.DropColumn(name: "currency", table: "firms");
        }
    }
}
