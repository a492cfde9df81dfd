using System.Security.Claims;
using Umbracell.Server.Access;

namespace Umbracell.Server.Typing;

/// <summary>Who does something, and when.</summary>
public sealed record Stamp(DateTimeOffset At, string By)
{
    /// <summary>Whether who stamps may set a rule of practice aside.</summary>
    internal bool MayOverride { get; init; }

    /// <summary>The stamp where something is said to be done, and none where it is not.</summary>
    internal (DateTimeOffset? At, string By) Where(bool? done) => done == true ? (At, By) : (null, "");

    /// <summary>When the server heard of it; later than it happened where it was entered without a connection.</summary>
    internal DateTimeOffset ReceivedAt { get; init; } = At;

    internal static Stamp Of(ClaimsPrincipal user, TimeProvider clock, ICommand? command = null)
    {
        var now = clock.GetUtcNow();
        var happened = command?.At is { } told && told < now ? told.ToUniversalTime() : now;
        return new(happened, Claims.TitleOf(user)) { MayOverride = user.May(Right.Override), ReceivedAt = now };
    }
}
