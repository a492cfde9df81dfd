using Microsoft.EntityFrameworkCore;
using Npgsql;
using Umbracell.Store;
using Umbracell.Store.Tenancy;

namespace Umbracell.Server.Problems;

/// <summary>Two who write the same at the same moment: the one who comes second is served again from the start, and so meets what the first
/// has made of it.</summary>
/// <remarks>Without it the second would be told that something changed, and not what. Served again, an edit of the same record finds the
/// other's version and is answered 409 with the record as it stands; one of another record that only touched the same row goes through; a
/// command sent twice is answered as the first; a row that both would have made is found.</remarks>
internal static class Races
{
    /// <summary>As often is tried before the race itself is told.</summary>
    private const int MostTries = 12;

    /// <summary>Larger bodies are files, which make new rows and race nobody.</summary>
    private const long LargestKept = 1024 * 1024;

    /// <summary>Stands where it is known who asks and whether they may.</summary>
    public static async Task ServeAgain(HttpContext context, RequestDelegate next)
    {
        var request = context.Request;
        if (HttpMethods.IsGet(request.Method) || request.ContentLength is null or > LargestKept && !HttpMethods.IsDelete(request.Method))
        {
            await next(context);
            return;
        }

        request.EnableBuffering();
        var first = context.RequestServices;
        for (var tries = 1; ; tries++)
        {
            await using var scope = first.CreateAsyncScope();
            context.RequestServices = InFirmOf(first, scope);
            try
            {
                await next(context);
                return;
            }
            catch (Exception e) when (tries < MostTries && IsRace(e) && Outage.OutcomeOf(context) == WriteOutcome.Nothing)
            {
                // Those who met go on at different moments, or they would meet again.
                await Task.Delay(Random.Shared.Next(4 * tries), context.RequestAborted);
                request.Body.Position = 0;
            }
            finally
            {
                first.GetRequiredService<Written>().Take(Outage.OutcomeOf(context));
                context.RequestServices = first;
            }
        }
    }

    // What was loaded before is the record as it no longer is: everything is asked for anew.
    private static IServiceProvider InFirmOf(IServiceProvider first, AsyncServiceScope scope)
    {
        if (first.GetRequiredService<FirmScope>().FirmId is { } firm)
        {
            scope.ServiceProvider.GetRequiredService<FirmScope>().EnterFirm(firm);
        }

        return scope.ServiceProvider;
    }

    private static bool IsRace(Exception e) =>
        e is DbUpdateConcurrencyException
        || e is DbUpdateException { InnerException: PostgresException { SqlState: PostgresErrorCodes.UniqueViolation } }
        || e is { InnerException: PostgresException { SqlState: PostgresErrorCodes.DeadlockDetected } }
        || e is PostgresException { SqlState: PostgresErrorCodes.DeadlockDetected };
}
