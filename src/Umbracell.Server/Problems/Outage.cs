using System.Globalization;
using System.Net.Sockets;
using Microsoft.AspNetCore.Mvc;
using Microsoft.Net.Http.Headers;
using Npgsql;
using Umbracell.Core.Findings;
using Umbracell.Formats.Words;
using Umbracell.Store;

namespace Umbracell.Server.Problems;

/// <summary>The database away: started anew, cut off, out of connections or of room. Nothing is wrong with what was asked; it is asked
/// again later.</summary>
internal static class Outage
{
    // Whoever asks is to come again after this, s. Room is made by a person.
    private const int Again = 2,
        AgainForRoom = 30;

    // Classes and codes of PostgreSQL that pass by themselves: connection, shutting down or starting.
    private static readonly string[] Cut = ["08", "57P"];

    /// <summary>Whether a failure is one of the way to the database, or of its room, and not of what was asked.</summary>
    public static bool Is(Exception? failure) => IsCut(failure) || IsFull(failure) || Has(failure, PostgresErrorCodes.TooManyConnections);

    private static bool IsFull(Exception? failure) => Has(failure, PostgresErrorCodes.DiskFull);

    private static bool IsCut(Exception? failure) =>
        Causes(failure)
            .Any(cause =>
                cause is PostgresException said
                    ? Array.Exists(Cut, code => said.SqlState.StartsWith(code, StringComparison.Ordinal)) || Ended(said)
                    : cause is NpgsqlException or SocketException
            );

    // A connection that the database ended for a fault of its own: as where it finds no room for a file that each new one needs.
    private static bool Ended(PostgresException said) =>
        said.InvariantSeverity is "FATAL" or "PANIC" && said.SqlState.StartsWith("XX", StringComparison.Ordinal);

    private static bool Has(Exception? failure, string state) =>
        Causes(failure).Any(cause => cause is PostgresException said && said.SqlState == state);

    private static IEnumerable<Exception> Causes(Exception? failure)
    {
        for (; failure is not null; failure = failure.InnerException)
        {
            yield return failure;
        }
    }

    /// <summary>What is answered.</summary>
    public static ProblemDetails Problem(HttpContext context, Exception failure)
    {
        if (IsCut(failure))
        {
            // What lies in the pool was cut as well: left there, each would fail once more when the database is back.
            NpgsqlConnection.ClearAllPools();
        }

        var (what, again) = IsFull(failure) ? ("full", AgainForRoom) : ("away", Again);
        context.Response.Headers[HeaderNames.RetryAfter] = again.ToString(CultureInfo.InvariantCulture);
        return new()
        {
            Status = StatusCodes.Status503ServiceUnavailable,
            Title = WordCatalog.Say($"problem.title.{what}"),
            Detail = WordCatalog.Say(
                $"problem.{what}.{(HttpMethods.IsGet(context.Request.Method) ? "reading" : Vocabulary.KeyOf(OutcomeOf(context)))}"
            ),
            // For a page that keeps what was entered, and says what it waits for.
            Extensions = { ["outage"] = what },
        };
    }

    /// <summary>What became of what this request wrote.</summary>
    public static WriteOutcome OutcomeOf(HttpContext context) => context.RequestServices.GetRequiredService<Written>().Outcome;

    /// <summary>From here on what a request writes is its own: what kept its session alive was written before.</summary>
    public static Task Follow(HttpContext context, RequestDelegate next)
    {
        context.RequestServices.GetRequiredService<Written>().Begin();
        return next(context);
    }
}
