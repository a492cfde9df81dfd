using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class MonthlyAir : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<int>(name: "humidity_class", table: "jobs", type: "integer", nullable: true);

            migrationBuilder.AddColumn<string>(name: "place_id", table: "jobs", type: "text", nullable: true);

            migrationBuilder.AddColumn<double[]>(
                name: "room_months_c",
                table: "jobs",
                type: "double precision[]",
                nullable: false,
                defaultValue: new double[0]
            );

            migrationBuilder.AddColumn<double[]>(
                name: "room_months_rh_pct",
                table: "jobs",
                type: "double precision[]",
                nullable: false,
                defaultValue: new double[0]
            );
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(name: "humidity_class", table: "jobs");

            migrationBuilder.DropColumn(name: "place_id", table: "jobs");

            migrationBuilder.DropColumn(name: "room_months_c", table: "jobs");

            migrationBuilder.DropColumn(name: "room_months_rh_pct", table: "jobs");
        }
    }
}
