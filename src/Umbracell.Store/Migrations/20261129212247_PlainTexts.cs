using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Umbracell.Store.Migrations
{
    /// <inheritdoc />
    public partial class PlainTexts : Migration
    {
        /// <inheritdoc />
        // Accents are marks of their own once a text is taken apart.
        protected override void Up(MigrationBuilder migrationBuilder) =>
            migrationBuilder.Sql(
                """
                create function plain_text(text text) returns text language sql immutable strict parallel safe
                    as $$ select lower(regexp_replace(normalize(text, NFD), '[\u0300-\u036f]', '', 'g')) $$;
                """
            );

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder) => migrationBuilder.Sql("drop function plain_text(text);");
    }
}
