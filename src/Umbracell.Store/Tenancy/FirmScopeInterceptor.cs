using System.Data.Common;
using Microsoft.EntityFrameworkCore.Diagnostics;
using Npgsql;

namespace Umbracell.Store.Tenancy;

/// <summary>Tells PostgreSQL in whose name a connection asks, each time one is taken from the pool. Npgsql resets it on the way
/// back.</summary>
public sealed class FirmScopeInterceptor(FirmScope scope) : DbConnectionInterceptor
{
    private const string Announce =
        "select set_config('umbracell.firm', $1, false), set_config('umbracell.sign_in_name', $2, false), set_config('umbracell.token_hash', $3, false)";

    public override void ConnectionOpened(DbConnection connection, ConnectionEndEventData eventData)
    {
        using var command = Command(connection);
        command.ExecuteNonQuery();
    }

    public override async Task ConnectionOpenedAsync(
        DbConnection connection,
        ConnectionEndEventData eventData,
        CancellationToken cancellationToken = default
    )
    {
        await using var command = Command(connection);
        await command.ExecuteNonQueryAsync(cancellationToken);
    }

    private NpgsqlCommand Command(DbConnection connection) =>
        new(Announce, (NpgsqlConnection)connection)
        {
            Parameters =
            {
                new() { Value = scope.FirmId?.ToString() ?? "" },
                new() { Value = scope.SignInName ?? "" },
                new() { Value = scope.TokenHash ?? "" },
            },
        };
}
