using System.Globalization;
using System.Net.Sockets;
using Microsoft.AspNetCore.Mvc;
using Microsoft.Net.Http.Headers;
using Npgsql;
using Umbracell.Core.Findings;
using Umbracell.Formats.Words;
using Umbracell.Store;

namespace Umbracell.Server.Problems;

/// <summary>The database away: started anew, cut off, or out of connections. Nothing is wrong with what was asked; it is asked again
/// later.</summary>
internal static class Outage
{
    /// <summary>Whoever asks is to come again after this, s.</summary>
    private const int Again = 2;

    // Classes and codes of PostgreSQL that pass by themselves: connection, shutting down or starting, no more connections.
    private static readonly string[] Passing = ["08", "57P", "53300"];

    /// <summary>Whether a failure is one of the way to the database and not of what was asked.</summary>
    public static bool Is(Exception? failure) =>
        failure switch
        {
            null => false,
            PostgresException e => Array.Exists(Passing, code => e.SqlState.StartsWith(code, StringComparison.Ordinal)),
            NpgsqlException or SocketException => true,
            _ => Is(failure.InnerException),
        };

    /// <summary>What is answered.</summary>
    public static ProblemDetails Problem(HttpContext context)
    {
        // What lies in the pool was cut as well: left there, each would fail once more when the database is back.
        NpgsqlConnection.ClearAllPools();
        context.Response.Headers[HeaderNames.RetryAfter] = Again.ToString(CultureInfo.InvariantCulture);
        return new()
        {
            Status = StatusCodes.Status503ServiceUnavailable,
            Title = WordCatalog.Say("problem.title.away"),
            Detail = HttpMethods.IsGet(context.Request.Method)
                ? WordCatalog.Say("problem.away.reading")
                : WordCatalog.Say($"problem.away.{Vocabulary.KeyOf(OutcomeOf(context))}"),
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
