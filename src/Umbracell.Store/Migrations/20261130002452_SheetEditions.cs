using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class SheetEditions : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            // All sheets up to here came with the product, in one edition each.
            migrationBuilder.DropIndex(name: "ix_sheets_firm_id_slug", table: "sheets");

            migrationBuilder.AddColumn<DateTimeOffset>(name: "kept_at", table: "sheets", type: "timestamp with time zone", nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "kept_by",
                table: "sheets",
                type: "character varying(120)",
                maxLength: 120,
                nullable: false,
                defaultValue: ""
            );

            migrationBuilder.AddColumn<int>(name: "number", table: "sheets", type: "integer", nullable: false, defaultValue: 1);

            migrationBuilder.AddColumn<string>(
                name: "origin",
                table: "sheets",
                type: "character varying(40)",
                maxLength: 40,
                nullable: false,
                defaultValue: "Sample"
            );

            migrationBuilder.AddColumn<DateTimeOffset>(
                name: "removed_at",
                table: "sheets",
                type: "timestamp with time zone",
                nullable: true
            );

            migrationBuilder.AddColumn<DateTimeOffset>(
                name: "retired_at",
                table: "sheets",
                type: "timestamp with time zone",
                nullable: true
            );

            migrationBuilder.AddColumn<bool>(name: "stands", table: "sheets", type: "boolean", nullable: false, defaultValue: true);

            migrationBuilder.AddColumn<int>(name: "sheet_number", table: "past_jobs", type: "integer", nullable: true);

            migrationBuilder.AddColumn<string>(name: "held_editions", table: "jobs", type: "jsonb", nullable: true);

            migrationBuilder.CreateIndex(
                name: "ix_sheets_firm_id_slug",
                table: "sheets",
                columns: new[] { "firm_id", "slug" },
                unique: true,
                filter: "stands"
            );

            migrationBuilder.CreateIndex(
                name: "ix_sheets_firm_id_slug_number",
                table: "sheets",
                columns: new[] { "firm_id", "slug", "number" },
                unique: true
            );
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            // One edition of a product was all there was.
            migrationBuilder.Sql("delete from sheets where not stands");
            migrationBuilder.DropIndex(name: "ix_sheets_firm_id_slug", table: "sheets");

            migrationBuilder.DropIndex(name: "ix_sheets_firm_id_slug_number", table: "sheets");

            migrationBuilder.DropColumn(name: "kept_at", table: "sheets");

            migrationBuilder.DropColumn(name: "kept_by", table: "sheets");

            migrationBuilder.DropColumn(name: "number", table: "sheets");

            migrationBuilder.DropColumn(name: "origin", table: "sheets");

            migrationBuilder.DropColumn(name: "removed_at", table: "sheets");

            migrationBuilder.DropColumn(name: "retired_at", table: "sheets");

            migrationBuilder.DropColumn(name: "stands", table: "sheets");

            migrationBuilder.DropColumn(name: "sheet_number", table: "past_jobs");

            migrationBuilder.DropColumn(name: "held_editions", table: "jobs");

            migrationBuilder.CreateIndex(
                name: "ix_sheets_firm_id_slug",
                table: "sheets",
                columns: new[] { "firm_id", "slug" },
                unique: true
            );
        }
    }
}
