using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class TokenLife : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<DateTimeOffset>(
                name: "expires_at",
                table: "api_tokens",
                type: "timestamp with time zone",
                nullable: false,
                // Programs that ask today ask on for a year.
                defaultValueSql: "now() + interval '365 days'"
            );

            migrationBuilder.AddColumn<DateTimeOffset>(
                name: "last_used_at",
                table: "api_tokens",
                type: "timestamp with time zone",
                nullable: true
            );
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(name: "expires_at", table: "api_tokens");

            migrationBuilder.DropColumn(name: "last_used_at", table: "api_tokens");
        }
    }
}
