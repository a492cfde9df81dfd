using System;
using Microsoft.EntityFrameworkCore.Migrations;
using Umbracell.Store.Model;
using Umbracell.Store.Tenancy;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class SecondSteps : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<bool>(
                name: "password_is_first",
                table: "people",
                type: "boolean",
                nullable: false,
                defaultValue: false
            );

            migrationBuilder.AddColumn<string>(
                name: "codes_for",
                table: "firms",
                type: "character varying(40)",
                maxLength: 40,
                nullable: false,
                defaultValue: nameof(CodesFor.WhoWants)
            );

            migrationBuilder.CreateTable(
                name: "second_steps",
                columns: table => new
                {
                    person_id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    secret = table.Column<string>(type: "character varying(400)", maxLength: 400, nullable: true),
                    secret_to_come = table.Column<string>(type: "character varying(400)", maxLength: 400, nullable: true),
                    last_taken = table.Column<long>(type: "bigint", nullable: false),
                    spare_codes = table.Column<string[]>(type: "text[]", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_second_steps", x => x.person_id);
                    table.ForeignKey(
                        name: "fk_second_steps_firms_firm_id",
                        column: x => x.firm_id,
                        principalTable: "firms",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade
                    );
                    table.ForeignKey(
                        name: "fk_second_steps_people_person_id",
                        column: x => x.person_id,
                        principalTable: "people",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateIndex(name: "ix_second_steps_firm_id", table: "second_steps", column: "firm_id");

            migrationBuilder.Sql(FirmIsolation.Isolate("second_steps"));
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(name: "second_steps");

            migrationBuilder.DropColumn(name: "password_is_first", table: "people");

            migrationBuilder.DropColumn(name: "codes_for", table: "firms");
        }
    }
}
