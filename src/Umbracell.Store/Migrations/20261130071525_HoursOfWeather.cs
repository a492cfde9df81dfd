using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class HoursOfWeather : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<float[]>(name: "cloud", table: "place_hours", type: "real[]", nullable: true);

            migrationBuilder.AddColumn<float[]>(name: "global_wm2", table: "place_hours", type: "real[]", nullable: true);

            migrationBuilder.AddColumn<float[]>(name: "precip_mm", table: "place_hours", type: "real[]", nullable: true);

            migrationBuilder.AddColumn<float[]>(name: "pressure_pa", table: "place_hours", type: "real[]", nullable: true);

            migrationBuilder.AddColumn<float[]>(name: "snow_m", table: "place_hours", type: "real[]", nullable: true);

            migrationBuilder.AddColumn<double>(name: "utc_offset_h", table: "place_hours", type: "double precision", nullable: true);

            migrationBuilder.AddColumn<float[]>(name: "wind_from_deg", table: "place_hours", type: "real[]", nullable: true);

            migrationBuilder.AddColumn<float[]>(name: "wind_ms", table: "place_hours", type: "real[]", nullable: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(name: "cloud", table: "place_hours");

            migrationBuilder.DropColumn(name: "global_wm2", table: "place_hours");

            migrationBuilder.DropColumn(name: "precip_mm", table: "place_hours");

            migrationBuilder.DropColumn(name: "pressure_pa", table: "place_hours");

            migrationBuilder.DropColumn(name: "snow_m", table: "place_hours");

            migrationBuilder.DropColumn(name: "utc_offset_h", table: "place_hours");

            migrationBuilder.DropColumn(name: "wind_from_deg", table: "place_hours");

            migrationBuilder.DropColumn(name: "wind_ms", table: "place_hours");
        }
    }
}
