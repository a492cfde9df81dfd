using Microsoft.EntityFrameworkCore.Migrations;
using Umbracell.Store.Tenancy;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class ErrorsOfReadings : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.RenameColumn(name: "raw_value", table: "readings", newName: "raw_percent");

            migrationBuilder.RenameColumn(name: "stated_error", table: "readings", newName: "error_points");

            migrationBuilder.AddColumn<double>(name: "error_k", table: "readings", type: "double precision", nullable: true);

            // Until now one column held kelvins or points by turns.
            migrationBuilder.Sql(
                FirmIsolation.Across(
                    "readings",
                    """
                    update readings set
                        error_k = case when temp_c is not null then error_points end,
                        error_points = case when percent is not null then error_points end,
                        raw_percent = case when kind = 'WoodMoisture' then raw_percent end
                    where error_points is not null or raw_percent is not null
                    """
                )
            );

            migrationBuilder.AddCheckConstraint(
                name: "ck_readings_error_of_value",
                table: "readings",
                sql: "(error_k is null or temp_c is not null) and (error_points is null or percent is not null)"
            );

            migrationBuilder.AddCheckConstraint(
                name: "ck_readings_raw_of_wood",
                table: "readings",
                sql: "raw_percent is null or kind = 'WoodMoisture'"
            );
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropCheckConstraint(name: "ck_readings_error_of_value", table: "readings");

            migrationBuilder.DropCheckConstraint(name: "ck_readings_raw_of_wood", table: "readings");

            migrationBuilder.Sql(
                FirmIsolation.Across(
                    "readings",
                    "update readings set error_points = coalesce(error_k, error_points) where error_k is not null"
                )
            );

            migrationBuilder.DropColumn(name: "error_k", table: "readings");

            migrationBuilder.RenameColumn(name: "error_points", table: "readings", newName: "stated_error");

            migrationBuilder.RenameColumn(name: "raw_percent", table: "readings", newName: "raw_value");
        }
    }
}
