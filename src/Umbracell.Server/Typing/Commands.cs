using Microsoft.AspNetCore.Authorization;
using Microsoft.EntityFrameworkCore;
using Umbracell.Server.Access;
using Umbracell.Store;

namespace Umbracell.Server.Typing;

/// <summary>What a person entered, as it is sent: perhaps late, perhaps again.</summary>
internal interface ICommand
{
    /// <summary>Made where it was entered; null where the sender keeps no count of what it sent.</summary>
    Guid? Id { get; }

    /// <summary>When it was entered; null for now.</summary>
    DateTimeOffset? At { get; }
}

/// <summary>What is said of a command whose body is a file, or that has none: it stands in the address.</summary>
internal sealed record SentAlone(Guid? Id, DateTimeOffset? At = null) : ICommand;

/// <summary>The commands that were taken. One whose answer was lost on the way is sent again, and is answered as the first was.</summary>
internal sealed class Commands(UmbracellDb db, TimeProvider clock, IHttpContextAccessor request, CommandMetrics metrics)
{
    /// <summary>Notes a command together with what it writes.</summary>
    /// <param name="command">The command.</param>
    /// <param name="record">The record it edits, as it was before; null where it only adds something.</param>
    /// <param name="stamp">When and by whom; null for the person who sends this request.</param>
    /// <param name="policy">What one must be allowed to do to take it back; null for what the endpoint asks.</param>
    /// <returns>False where it was taken before: nothing is to be written then.</returns>
    public async Task<bool> TakeAsync(ICommand command, object? record, Stamp? stamp = null, string? policy = null)
    {
        if (command.Id is not { } id)
        {
            return true;
        }

        if (await db.Commands.AnyAsync(c => c.Id == id))
        {
            metrics.Repeated(id);
            return false;
        }

        var context = request.HttpContext!;
        stamp ??= Stamp.Of(context.User, clock, command);
        metrics.Arrived(stamp.ReceivedAt - stamp.At);
        db.Note(
            new()
            {
                Id = id,
                HappenedAt = stamp.At,
                ReceivedAt = stamp.ReceivedAt,
                By = stamp.By,
                PersonId = Claims.PersonOf(context.User),
                Policy = policy ?? PolicyOf(context.GetEndpoint()),
            },
            record
        );
        return true;
    }

    private static string PolicyOf(Endpoint? endpoint) =>
        endpoint?.Metadata.GetOrderedMetadata<IAuthorizeData>().Select(data => data.Policy).LastOrDefault(policy => policy is not null)
        ?? "";
}
