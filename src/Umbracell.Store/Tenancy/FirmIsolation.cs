namespace Umbracell.Store.Tenancy;

/// <summary>The SQL with which a migration puts a table under row-level security and hands it to the application role.</summary>
/// <remarks>The policies are forced on the owner too, so that seeding and repairs see one firm at a time like everyone else.</remarks>
internal static class FirmIsolation
{
    /// <summary>The role the server signs in with. It owns no table.</summary>
    public const string ApplicationRole = "umbracell_app";

    private const string CurrentFirm = "nullif(current_setting('umbracell.firm', true), '')::uuid";

    /// <summary>A table whose rows belong to a firm.</summary>
    /// <param name="table">Table name.</param>
    /// <param name="firmColumn">Column with the firm's id.</param>
    /// <param name="alsoReadable">A further condition under which a row may be read, or null.</param>
    public static string Isolate(string table, string firmColumn = "firm_id", string? alsoReadable = null) =>
        $"""
            alter table {table} enable row level security;
            alter table {table} force row level security;
            create policy firm_rows on {table} using ({firmColumn} = {CurrentFirm}) with check ({firmColumn} = {CurrentFirm});
            {(alsoReadable is null ? "" : $"create policy entry on {table} for select using ({alsoReadable});")}
            grant select, insert, update, delete on {table} to {ApplicationRole};
            """;

    /// <summary>A statement of a migration that must reach the rows of every firm.</summary>
    public static string Across(string table, string statement) =>
        $"alter table {table} no force row level security; {statement}; alter table {table} force row level security;";

    /// <summary>A table that belongs to no firm, such as the keys that protect cookies.</summary>
    public static string Share(string table) =>
        $"grant select, insert on {table} to {ApplicationRole}; grant usage on all sequences in schema public to {ApplicationRole};";
}
