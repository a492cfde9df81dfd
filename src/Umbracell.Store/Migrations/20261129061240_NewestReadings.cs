using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class NewestReadings : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateIndex(
                name: "ix_readings_newest",
                table: "readings",
                columns: new[] { "job_id", "surface_id", "sheet_slug", "kind", "instrument", "place", "taken_at" },
                descending: new[] { false, false, false, false, false, false, true }
            );
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropIndex(name: "ix_readings_newest", table: "readings");
        }
    }
}
