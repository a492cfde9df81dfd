using Microsoft.EntityFrameworkCore.Migrations;
using Umbracell.Store.Tenancy;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class TypedReadings : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<bool>(name: "found_dry", table: "readings", type: "boolean", nullable: true);

            migrationBuilder.AddColumn<double>(name: "percent", table: "readings", type: "double precision", nullable: true);

            migrationBuilder.AddColumn<double>(name: "temp_c", table: "readings", type: "double precision", nullable: true);

            // Until now one column held °C, percent, or 1 and 0 for dry and wet by turns.
            migrationBuilder.Sql(
                FirmIsolation.Across(
                    "readings",
                    """
                    update readings set
                        found_dry = case when kind = 'FoundDry' then value > 0 end,
                        percent = case when kind in ('Humidity', 'WoodMoisture', 'ConcreteMoisture') then value end,
                        temp_c = case when kind in ('SubstrateTemperature', 'AirTemperature', 'DrumA', 'DrumB') then value end
                    """
                )
            );

            migrationBuilder.DropColumn(name: "value", table: "readings");

            migrationBuilder.AddCheckConstraint(
                name: "ck_readings_one_value",
                table: "readings",
                sql: "num_nonnulls(temp_c, percent, found_dry) = 1"
            );
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropCheckConstraint(name: "ck_readings_one_value", table: "readings");

            migrationBuilder.AddColumn<double>(
                name: "value",
                table: "readings",
                type: "double precision",
                nullable: false,
                defaultValue: 0.0
            );
            migrationBuilder.Sql(FirmIsolation.Across("readings", "update readings set value = coalesce(temp_c, percent, found_dry::int)"));

            migrationBuilder.DropColumn(name: "found_dry", table: "readings");

            migrationBuilder.DropColumn(name: "percent", table: "readings");

            migrationBuilder.DropColumn(name: "temp_c", table: "readings");
        }
    }
}
