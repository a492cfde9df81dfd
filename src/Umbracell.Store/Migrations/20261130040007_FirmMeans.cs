using System;
using Microsoft.EntityFrameworkCore.Migrations;
using Umbracell.Store.Tenancy;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class FirmMeans : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<Guid>(name: "crew_id", table: "past_jobs", type: "uuid", nullable: true);

            migrationBuilder.AddColumn<Guid>(name: "crew_id", table: "jobs", type: "uuid", nullable: true);

            migrationBuilder.CreateTable(
                name: "means",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    firm_id = table.Column<Guid>(type: "uuid", nullable: false),
                    kind = table.Column<string>(type: "character varying(40)", maxLength: 40, nullable: false),
                    name = table.Column<string>(type: "character varying(60)", maxLength: 60, nullable: false),
                    crew_id = table.Column<Guid>(type: "uuid", nullable: true),
                    document = table.Column<string>(type: "jsonb", nullable: true),
                    retired_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: true),
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_means", x => x.id);
                    table.UniqueConstraint("ak_means_firm_id_id", x => new { x.firm_id, x.id });
                    table.ForeignKey(
                        name: "fk_means_firms_firm_id",
                        column: x => x.firm_id,
                        principalTable: "firms",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade
                    );
                    table.ForeignKey(
                        name: "fk_means_means_firm_id_crew_id",
                        columns: x => new { x.firm_id, x.crew_id },
                        principalTable: "means",
                        principalColumns: new[] { "firm_id", "id" },
                        onDelete: ReferentialAction.Restrict
                    );
                }
            );

            // What was written on jobs and among the rates becomes records, in every firm.
            migrationBuilder.Sql(Across(CrewsOfJobs + EquipmentOfRates));
            migrationBuilder.Sql(FirmIsolation.Isolate("means"));
            migrationBuilder.DropColumn(name: "crew", table: "past_jobs");
            migrationBuilder.DropColumn(name: "crew", table: "jobs");
            migrationBuilder.Sql("alter table past_jobs alter column crew_id set not null");

            migrationBuilder.CreateIndex(name: "ix_past_jobs_firm_id_crew_id", table: "past_jobs", columns: new[] { "firm_id", "crew_id" });

            migrationBuilder.CreateIndex(name: "ix_jobs_firm_id_crew_id", table: "jobs", columns: new[] { "firm_id", "crew_id" });

            migrationBuilder.CreateIndex(name: "ix_means_firm_id_crew_id", table: "means", columns: new[] { "firm_id", "crew_id" });

            migrationBuilder.CreateIndex(
                name: "ix_means_firm_id_kind_name",
                table: "means",
                columns: new[] { "firm_id", "kind", "name" },
                unique: true
            );

            migrationBuilder.AddForeignKey(
                name: "fk_jobs_means_firm_id_crew_id",
                table: "jobs",
                columns: new[] { "firm_id", "crew_id" },
                principalTable: "means",
                principalColumns: new[] { "firm_id", "id" },
                onDelete: ReferentialAction.Restrict
            );

            migrationBuilder.AddForeignKey(
                name: "fk_past_jobs_means_firm_id_crew_id",
                table: "past_jobs",
                columns: new[] { "firm_id", "crew_id" },
                principalTable: "means",
                principalColumns: new[] { "firm_id", "id" },
                onDelete: ReferentialAction.Restrict
            );
        }

        private static string Across(string statement) =>
            FirmIsolation.Across("firms", FirmIsolation.Across("jobs", FirmIsolation.Across("past_jobs", statement)));

        // Names that differ by their capitals alone were one crew all along: as it is most often written.
        private const string CrewsOfJobs = """
            insert into means (id, firm_id, kind, name)
                select gen_random_uuid(), firm_id, 'Crew', name
                from (
                    select distinct on (firm_id, lower(crew)) firm_id, crew as name
                    from (
                        select firm_id, trim(left(trim(crew), 60)) as crew from past_jobs
                        union all select firm_id, trim(left(trim(crew), 60)) from jobs
                    ) as written
                    where crew <> ''
                    group by firm_id, crew
                    order by firm_id, lower(crew), count(*) desc, crew collate "C"
                ) as crews;
            update jobs set crew_id = m.id from means m
                where m.firm_id = jobs.firm_id and m.kind = 'Crew' and lower(m.name) = lower(trim(left(trim(jobs.crew), 60)));
            update past_jobs set crew_id = m.id from means m
                where m.firm_id = past_jobs.firm_id and m.kind = 'Crew' and lower(m.name) = lower(trim(left(trim(past_jobs.crew), 60)));

            """;

        // Kind and number of the heaters were never said, nor whose the trailer is.
        private const string EquipmentOfRates = """
            insert into means (id, firm_id, kind, name, document)
                select gen_random_uuid(), firm_id, kind, name,
                    jsonb_build_object('schemaVersion', 1, 'value', jsonb_build_object('figures', figures, 'words', '{}'::jsonb))
                from (select id as firm_id, coalesce(rates -> 'value', rates) as of from firms where rates is not null) as firm,
                lateral (values
                    ('SpaceHeater', 'Space heaters', (of ->> 'heaterKilowatts')::float8 > 0,
                        jsonb_build_object('power', (of ->> 'heaterKilowatts')::float8 * 1000)),
                    ('Blankets', 'Drum blankets', (of ->> 'blanketWatts')::float8 > 0,
                        jsonb_build_object('power', (of ->> 'blanketWatts')::float8)),
                    ('HotRoom', 'Hot room', (of ->> 'hotRoomLoss')::float8 > 0,
                        jsonb_build_object('air', coalesce((of ->> 'hotRoomCelsius')::float8, 35), 'loss', (of ->> 'hotRoomLoss')::float8)),
                    ('Rig', 'Rig', (of ->> 'trailerKilograms')::float8 > 0,
                        jsonb_build_object('trailer', (of ->> 'trailerKilograms')::float8))
                ) as had (kind, name, is_there, figures)
                where is_there
            """;

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropForeignKey(name: "fk_jobs_means_firm_id_crew_id", table: "jobs");
            migrationBuilder.DropForeignKey(name: "fk_past_jobs_means_firm_id_crew_id", table: "past_jobs");
            migrationBuilder.AddColumn<string>(
                name: "crew",
                table: "past_jobs",
                type: "character varying(60)",
                maxLength: 60,
                nullable: false,
                defaultValue: ""
            );
            migrationBuilder.AddColumn<string>(name: "crew", table: "jobs", type: "text", nullable: false, defaultValue: "");
            migrationBuilder.Sql(
                FirmIsolation.Across(
                    "means",
                    Across(
                        "update jobs set crew = m.name from means m where m.id = jobs.crew_id; "
                            + "update past_jobs set crew = m.name from means m where m.id = past_jobs.crew_id"
                    )
                )
            );
            migrationBuilder.DropIndex(name: "ix_past_jobs_firm_id_crew_id", table: "past_jobs");
            migrationBuilder.DropIndex(name: "ix_jobs_firm_id_crew_id", table: "jobs");
            migrationBuilder.DropColumn(name: "crew_id", table: "past_jobs");
            migrationBuilder.DropColumn(name: "crew_id", table: "jobs");
            migrationBuilder.DropTable(name: "means");
        }
    }
}
