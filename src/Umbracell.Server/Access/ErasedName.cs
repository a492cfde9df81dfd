using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Access;

/// <summary>Puts the role in the place of a person's name wherever it stands beside what they entered.</summary>
/// <remarks>A paper that was made keeps what it said when it was handed out.</remarks>
internal static class ErasedName
{
    // Documents that say who did something.
    private static readonly (string Table, string Column)[] Documents = [("surfaces", "system"), ("commands", "changed")];

    /// <summary>Takes the name away from every record of the firm.</summary>
    /// <param name="db">A transaction is open.</param>
    /// <param name="person">Whose; still by their name.</param>
    /// <param name="role">What stands there from now on.</param>
    public static async Task FromRecordsAsync(UmbracellDb db, Person person, string role)
    {
        var names = await db.Commands.Where(c => c.PersonId == person.Id).Select(c => c.By).Distinct().ToListAsync();
        string[] all = [.. names.Append(person.Title).Append(PersonNames.WithRole(person)).Where(name => name != role).Distinct()];
        foreach (var (table, column) in Columns(db))
        {
            var put = $"update {table} set {column} = {{0}} where {column} = any({{1}})";
            await db.Database.ExecuteSqlRawAsync(put, role, all);
        }

        foreach (var (table, column) in Documents)
        {
            foreach (var name in all)
            {
                var put =
                    $"update {table} set {column} = replace({column}::text, to_jsonb({{0}}::text)::text, to_jsonb({{1}}::text)::text)::jsonb "
                    + $"where strpos({column}::text, to_jsonb({{0}}::text)::text) > 0";
                await db.Database.ExecuteSqlRawAsync(put, name, role);
            }
        }
    }

    // Every column that names who did something. The firm's own book is written anew instead: nobody may change it.
    private static IEnumerable<(string Table, string Column)> Columns(UmbracellDb db) =>
        db
            .Model.GetEntityTypes()
            .Where(type => type.ClrType.IsAssignableTo(typeof(IFirmRow)) && type.ClrType != typeof(SecurityEventRow))
            .SelectMany(type => type.GetProperties().Where(IsWho).Select(p => (type.GetTableName()!, p.GetColumnName())));

    private static bool IsWho(IProperty property) =>
        property.ClrType == typeof(string) && property.Name.EndsWith("By", StringComparison.Ordinal);
}
