using Microsoft.EntityFrameworkCore.Migrations;
using Umbracell.Store.Scheduling;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class KeptSchedule : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder) => migrationBuilder.Sql(ScheduleTables.Create());

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder) => migrationBuilder.Sql("drop schema schedule cascade;");
    }
}
