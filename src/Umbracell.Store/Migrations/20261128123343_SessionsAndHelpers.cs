using System;
using Microsoft.EntityFrameworkCore.Migrations;
using Umbracell.Store.Tenancy;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class SessionsAndHelpers : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(name: "access_failed_count", table: "people");

            // Whoever was locked out for a while is not deactivated for good.
            migrationBuilder.DropColumn(name: "lockout_end", table: "people");

            migrationBuilder.AddColumn<DateTimeOffset>(
                name: "deactivated_at",
                table: "people",
                type: "timestamp with time zone",
                nullable: true
            );

            migrationBuilder.CreateTable(
                name: "sessions",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    person_id = table.Column<Guid>(type: "uuid", nullable: false),
                    secret_hash = table.Column<string>(type: "character varying(64)", maxLength: 64, nullable: false),
                    device = table.Column<string>(type: "character varying(80)", maxLength: 80, nullable: false),
                    started_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    seen_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_sessions", x => x.id);
                    table.ForeignKey(
                        name: "fk_sessions_firms_firm_id",
                        column: x => x.firm_id,
                        principalTable: "firms",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade
                    );
                    table.ForeignKey(
                        name: "fk_sessions_people_person_id",
                        column: x => x.person_id,
                        principalTable: "people",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateTable(
                name: "sign_in_tries",
                columns: table => new
                {
                    key = table.Column<string>(type: "character varying(64)", maxLength: 64, nullable: false),
                    failures = table.Column<int>(type: "integer", nullable: false),
                    free_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    last_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_sign_in_tries", x => x.key);
                }
            );

            migrationBuilder.CreateIndex(name: "ix_sessions_firm_id", table: "sessions", column: "firm_id");

            migrationBuilder.CreateIndex(name: "ix_sessions_person_id", table: "sessions", column: "person_id");

            migrationBuilder.CreateIndex(name: "ix_sessions_secret_hash", table: "sessions", column: "secret_hash", unique: true);

            migrationBuilder.Sql(FirmIsolation.Isolate("sessions"));

            // Who tries to sign in is of no firm yet; what stands here names nobody.
            migrationBuilder.Sql(
                FirmIsolation.Share("sign_in_tries") + " grant update, delete on sign_in_tries to " + FirmIsolation.ApplicationRole
            );
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(name: "sessions");

            migrationBuilder.DropTable(name: "sign_in_tries");

            migrationBuilder.DropColumn(name: "deactivated_at", table: "people");

            migrationBuilder.AddColumn<DateTimeOffset>(
                name: "lockout_end",
                table: "people",
                type: "timestamp with time zone",
                nullable: true
            );

            migrationBuilder.AddColumn<int>(
                name: "access_failed_count",
                table: "people",
                type: "integer",
                nullable: false,
                defaultValue: 0
            );
        }
    }
}
