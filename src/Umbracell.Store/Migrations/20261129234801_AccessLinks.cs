using System;
using Microsoft.EntityFrameworkCore.Migrations;
using Umbracell.Store.Tenancy;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class AccessLinks : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "access_links",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    secret_hash = table.Column<string>(type: "character varying(64)", maxLength: 64, nullable: false),
                    person_id = table.Column<Guid>(type: "uuid", nullable: true),
                    role = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    title = table.Column<string>(type: "character varying(80)", maxLength: 80, nullable: false),
                    made_by_id = table.Column<Guid>(type: "uuid", nullable: false),
                    made_by = table.Column<string>(type: "character varying(120)", maxLength: 120, nullable: false),
                    made_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    expires_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false),
                    used_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: true),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_access_links", x => x.id);
                    table.ForeignKey(
                        name: "fk_access_links_firms_firm_id",
                        column: x => x.firm_id,
                        principalTable: "firms",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade
                    );
                    table.ForeignKey(
                        name: "fk_access_links_people_made_by_id",
                        column: x => x.made_by_id,
                        principalTable: "people",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade
                    );
                    table.ForeignKey(
                        name: "fk_access_links_people_person_id",
                        column: x => x.person_id,
                        principalTable: "people",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade
                    );
                }
            );

            migrationBuilder.CreateIndex(name: "ix_access_links_firm_id", table: "access_links", column: "firm_id");

            migrationBuilder.CreateIndex(name: "ix_access_links_made_by_id", table: "access_links", column: "made_by_id");

            migrationBuilder.CreateIndex(name: "ix_access_links_person_id", table: "access_links", column: "person_id");

            migrationBuilder.CreateIndex(name: "ix_access_links_secret_hash", table: "access_links", column: "secret_hash", unique: true);

            migrationBuilder.Sql(
                FirmIsolation.Isolate(
                    "access_links",
                    alsoReadable: "secret_hash = nullif(current_setting('umbracell.token_hash', true), '')"
                )
            );
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(name: "access_links");
        }
    }
}
