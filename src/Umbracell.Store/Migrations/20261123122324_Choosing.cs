using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class Choosing : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(name: "choice_facts", table: "surfaces", type: "jsonb", nullable: true);

            migrationBuilder.AddColumn<string>(name: "system", table: "surfaces", type: "jsonb", nullable: true);

            migrationBuilder.AddColumn<string>(name: "exceptions", table: "jobs", type: "jsonb", nullable: true);

            migrationBuilder.AddColumn<string>(name: "priorities", table: "jobs", type: "jsonb", nullable: true);

            migrationBuilder.AddColumn<string>(
                name: "target_path",
                table: "jobs",
                type: "character varying(40)",
                maxLength: 40,
                nullable: false,
                defaultValue: "U"
            );

            migrationBuilder.AddColumn<string>(name: "practice", table: "firms", type: "jsonb", nullable: true);

            migrationBuilder.AddColumn<string>(name: "rates", table: "firms", type: "jsonb", nullable: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(name: "choice_facts", table: "surfaces");

            migrationBuilder.DropColumn(name: "system", table: "surfaces");

            migrationBuilder.DropColumn(name: "exceptions", table: "jobs");

            migrationBuilder.DropColumn(name: "priorities", table: "jobs");

            migrationBuilder.DropColumn(name: "target_path", table: "jobs");

            migrationBuilder.DropColumn(name: "practice", table: "firms");

            migrationBuilder.DropColumn(name: "rates", table: "firms");
        }
    }
}
