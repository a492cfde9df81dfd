using Microsoft.EntityFrameworkCore;
using Npgsql;
using Umbracell.Store.Tenancy;

namespace Umbracell.Store.Tests;

/// <summary>A real PostgreSQL database, migrated once by the owner and used under the application role.</summary>
public sealed class TestDatabase : IDisposable
{
    private const string Name = "umbracell_store_tests";

    /// <summary>Tests that start from an empty database have one between them: never beside one another.</summary>
    public const string Empty = "an empty database";

    private static readonly Lazy<bool> Migrated = new(() =>
    {
        using var db = Open(Connection("UMBRACELL_TEST_OWNER"), new FirmScope());
        db.Database.Migrate();
        return true;
    });

    // Once for all classes that share it.
    public TestDatabase() => _ = Migrated.Value;

    public static string ApplicationConnection => Connection("UMBRACELL_TEST_APP");

    public static UmbracellDb As(FirmScope scope) => Open(ApplicationConnection, scope);

    public static UmbracellDb AsFirm(Guid firm)
    {
        var scope = new FirmScope();
        scope.EnterFirm(firm);
        return As(scope);
    }

    /// <summary>An empty database of its own as its owner sees it, within a firm.</summary>
    public static Task<UmbracellDb> EmptyAsync(Guid firm)
    {
        var scope = new FirmScope();
        scope.EnterFirm(firm);
        return EmptyAsync(scope);
    }

    /// <summary>An empty database of its own as its owner sees it, within whatever firm the scope enters.</summary>
    public static async Task<UmbracellDb> EmptyAsync(FirmScope scope)
    {
        var db = Open(Connection("UMBRACELL_TEST_OWNER", "umbracell_migration_tests"), scope);
        await db.Database.ExecuteSqlRawAsync(
            "drop schema public cascade; drop schema if exists schedule cascade; create schema public; grant usage on schema public to umbracell_app;"
        );
        return db;
    }

    public static string OwnerConnection => Connection("UMBRACELL_TEST_OWNER");

    public void Dispose() => NpgsqlConnection.ClearAllPools();

    private static string Connection(string variable, string database = Name) =>
        (
            Environment.GetEnvironmentVariable(variable)
            ?? throw new InvalidOperationException($"{variable} is not set: ./test starts a database and sets it.")
        ) + $";Database={database}";

    private static UmbracellDb Open(string connection, FirmScope scope) =>
        new(
            new DbContextOptionsBuilder<UmbracellDb>()
                .UseNpgsql(connection)
                .UseSnakeCaseNamingConvention()
                .AddInterceptors(new FirmScopeInterceptor(scope))
                .Options,
            scope
        );
}
