using System.Threading.RateLimiting;
using Microsoft.AspNetCore.Http.HttpResults;
using Umbracell.Formats.Words;
using Umbracell.Store.Tenancy;

namespace Umbracell.Server.Requests;

/// <summary>Reading files takes seconds of a processor: a firm gets two at once, further ones wait for a while or are told to come back.
/// Whoever does something else meanwhile is served as ever.</summary>
internal sealed class HeavyWork : IAsyncDisposable
{
    /// <summary>Files of a firm that are read at once.</summary>
    internal const int AtOnce = 2;

    /// <summary>Files of a firm that wait beside those.</summary>
    internal const int MayWait = 4;

    private const int HeldInMemory = 1024 * 1024;
    private const string SecondsToWait = "5";

    private readonly PartitionedRateLimiter<Guid> _ofFirm = PartitionedRateLimiter.Create<Guid, Guid>(firm =>
        RateLimitPartition.GetConcurrencyLimiter(
            firm,
            _ =>
                new()
                {
                    PermitLimit = AtOnce,
                    QueueLimit = MayWait,
                    QueueProcessingOrder = QueueProcessingOrder.OldestFirst,
                }
        )
    );

    private readonly ConcurrencyLimiter _ofServer = new(
        new()
        {
            PermitLimit = Math.Max(AtOnce, Environment.ProcessorCount),
            QueueLimit = 100 * MayWait,
            QueueProcessingOrder = QueueProcessingOrder.OldestFirst,
        }
    );

    /// <summary>What comes in its turn is done, what does not is told when to come back.</summary>
    internal sealed class Turn(HeavyWork work) : IEndpointFilter
    {
        public async ValueTask<object?> InvokeAsync(EndpointFilterInvocationContext context, EndpointFilterDelegate next)
        {
            var http = context.HttpContext;
            await ReceiveAsync(http);
            var firm = http.RequestServices.GetRequiredService<FirmScope>().FirmId ?? Guid.Empty;
            using var ofFirm = await work._ofFirm.AcquireAsync(firm, 1, http.RequestAborted);
            using var ofServer = ofFirm.IsAcquired ? await work._ofServer.AcquireAsync(1, http.RequestAborted) : null;
            return ofServer is { IsAcquired: true } ? await next(context) : Later(http);
        }
    }

    public async ValueTask DisposeAsync()
    {
        await _ofFirm.DisposeAsync();
        await _ofServer.DisposeAsync();
    }

    private static ProblemHttpResult Later(HttpContext http)
    {
        http.Response.Headers.RetryAfter = SecondsToWait;
        return TypedResults.Problem(
            WordCatalog.Say("problem.said.busyReading", ("seconds", SecondsToWait)),
            statusCode: StatusCodes.Status429TooManyRequests,
            title: WordCatalog.Say("problem.title.busyReading")
        );
    }

    // A phone with a weak signal sends for minutes: it takes its turn once all of it has come. What it sends waits on the disk, not in
    // memory.
    private static async Task ReceiveAsync(HttpContext http)
    {
        http.Request.EnableBuffering(HeldInMemory);
        await http.Request.Body.CopyToAsync(Stream.Null, http.RequestAborted);
        http.Request.Body.Position = 0;
    }
}
