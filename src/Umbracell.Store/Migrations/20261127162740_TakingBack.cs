using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class TakingBack : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(name: "changed", table: "commands", type: "jsonb", nullable: true);

            migrationBuilder.AddColumn<Guid>(name: "person_id", table: "commands", type: "uuid", nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "policy",
                table: "commands",
                type: "character varying(40)",
                maxLength: 40,
                nullable: false,
                defaultValue: ""
            );

            migrationBuilder.AddColumn<string>(
                name: "record",
                table: "commands",
                type: "character varying(40)",
                maxLength: 40,
                nullable: false,
                defaultValue: ""
            );

            migrationBuilder.AddColumn<Guid>(name: "record_id", table: "commands", type: "uuid", nullable: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(name: "changed", table: "commands");

            migrationBuilder.DropColumn(name: "person_id", table: "commands");

            migrationBuilder.DropColumn(name: "policy", table: "commands");

            migrationBuilder.DropColumn(name: "record", table: "commands");

            migrationBuilder.DropColumn(name: "record_id", table: "commands");
        }
    }
}
