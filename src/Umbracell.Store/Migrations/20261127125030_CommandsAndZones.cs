using System;
using Microsoft.EntityFrameworkCore.Migrations;
using Umbracell.Store.Tenancy;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class CommandsAndZones : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<DateTimeOffset>(
                name: "received_at",
                table: "site_notes",
                type: "timestamp with time zone",
                nullable: true
            );

            migrationBuilder.AddColumn<DateTimeOffset>(
                name: "received_at",
                table: "readings",
                type: "timestamp with time zone",
                nullable: true
            );

            migrationBuilder.AddColumn<DateTimeOffset>(
                name: "ticked_at",
                table: "preparation_marks",
                type: "timestamp with time zone",
                nullable: true
            );

            migrationBuilder.AddColumn<double>(name: "latitude", table: "places", type: "double precision", nullable: true);

            migrationBuilder.AddColumn<double>(name: "longitude", table: "places", type: "double precision", nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "time_zone",
                table: "places",
                type: "character varying(60)",
                maxLength: 60,
                nullable: true
            );

            migrationBuilder.AddColumn<DateTimeOffset>(
                name: "received_at",
                table: "photos",
                type: "timestamp with time zone",
                nullable: true
            );

            migrationBuilder.CreateTable(
                name: "commands",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    happened_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    received_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    by = table.Column<string>(type: "character varying(120)", maxLength: 120, nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_commands", x => new { x.firm_id, x.id });
                    table.ForeignKey(
                        name: "fk_commands_firms_firm_id",
                        column: x => x.firm_id,
                        principalTable: "firms",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.Sql(FirmIsolation.Isolate("commands"));
            Arrive(migrationBuilder, "readings", "taken_at");
            Arrive(migrationBuilder, "site_notes", "noted_at");
            Arrive(migrationBuilder, "photos", "added_at");
            migrationBuilder.Sql(FirmIsolation.Across("preparation_marks", "update preparation_marks set ticked_at = done_at"));
        }

        // Until now everything was written down where it arrived.
        private static void Arrive(MigrationBuilder migrationBuilder, string table, string happened)
        {
            migrationBuilder.Sql(FirmIsolation.Across(table, $"update {table} set received_at = {happened}"));
            migrationBuilder.Sql($"alter table {table} alter column received_at set not null");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(name: "commands");

            migrationBuilder.DropColumn(name: "received_at", table: "site_notes");

            migrationBuilder.DropColumn(name: "received_at", table: "readings");

            migrationBuilder.DropColumn(name: "ticked_at", table: "preparation_marks");

            migrationBuilder.DropColumn(name: "latitude", table: "places");

            migrationBuilder.DropColumn(name: "longitude", table: "places");

            migrationBuilder.DropColumn(name: "time_zone", table: "places");

            migrationBuilder.DropColumn(name: "received_at", table: "photos");
        }
    }
}
