using Microsoft.EntityFrameworkCore;
using Umbracell.Server.Survey;
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

/// <summary>The commands that were taken. One whose answer was lost on the way is sent again, and is answered as the first was.</summary>
internal sealed class Commands(UmbracellDb db, TimeProvider clock, IHttpContextAccessor request, CommandMetrics metrics)
{
    /// <summary>Notes a command of the person who sends this request.</summary>
    /// <returns>False where it was taken before: nothing is to be written then.</returns>
    public Task<bool> TakeAsync(ICommand command) => TakeAsync(command, Stamp.Of(request.HttpContext!.User, clock, command));

    /// <summary>Notes a command together with what it writes.</summary>
    /// <returns>False where it was taken before: nothing is to be written then.</returns>
    public async Task<bool> TakeAsync(ICommand command, Stamp stamp)
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

        metrics.Arrived(stamp.ReceivedAt - stamp.At);
        db.Commands.Add(
            new()
            {
                Id = id,
                HappenedAt = stamp.At,
                ReceivedAt = stamp.ReceivedAt,
                By = stamp.By,
            }
        );
        return true;
    }
}
