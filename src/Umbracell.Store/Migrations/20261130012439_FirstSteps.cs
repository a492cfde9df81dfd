using System.Collections.Generic;
using Microsoft.EntityFrameworkCore.Migrations;
using Umbracell.Store.Tenancy;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class FirstSteps : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<List<string>>(
                name: "skipped_steps",
                table: "firms",
                type: "text[]",
                nullable: false,
                defaultValueSql: "'{}'"
            );

            // A firm that has jobs by now has found its way.
            migrationBuilder.Sql(
                FirmIsolation.Across(
                    "jobs",
                    FirmIsolation.Across(
                        "firms",
                        "update firms set skipped_steps = '{firm,sheet,crew,place,job,surface,verdict}' "
                            + "where exists (select 1 from jobs where jobs.firm_id = firms.id)"
                    )
                )
            );
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(name: "skipped_steps", table: "firms");
        }
    }
}
