using System.Security.Claims;
using System.Security.Cryptography;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Authentication.Cookies;
using Microsoft.EntityFrameworkCore;
using Npgsql;
using Umbracell.Server.Scheduling;
using Umbracell.Store;
using Umbracell.Store.Model;
using Umbracell.Store.Tenancy;

namespace Umbracell.Server.Access;

/// <summary>How long a sign-in lasts.</summary>
/// <param name="Idle">Without being used.</param>
/// <param name="Absolute">However much it is used.</param>
internal sealed record SessionLife(TimeSpan Idle, TimeSpan Absolute)
{
    /// <summary>A day's work without signing in twice; a week's before the password is asked for again.</summary>
    public static SessionLife Of(IConfiguration settings) =>
        new(
            TimeSpan.FromHours(settings.GetValue("Sessions:IdleHours", 14.0)),
            TimeSpan.FromHours(settings.GetValue("Sessions:AbsoluteHours", 7 * 24.0))
        );
}

/// <summary>Sign-ins that last. They stand in the database and are looked up for every request, so that one that is ended is over at
/// once, on every copy of the server and whoever holds a copy of the cookie.</summary>
/// <remarks>They run out by the machine's time, whatever day a demo plays on.</remarks>
internal sealed class Sessions(UmbracellDb db, FirmScope scope, SessionLife life, FirmSchedule schedule)
{
    private const string Scheme = CookieAuthenticationDefaults.AuthenticationScheme;

    /// <summary>How often it is noted that a session is in use.</summary>
    private static readonly TimeSpan SeenEvery = TimeSpan.FromMinutes(1);

    private static DateTimeOffset Now => TimeProvider.System.GetUtcNow();

    /// <summary>Starts a session and gives the browser its cookie.</summary>
    public async Task StartAsync(Person person, HttpContext context)
    {
        var secret = Convert.ToBase64String(RandomNumberGenerator.GetBytes(32));
        var (idle, old) = (Now - life.Idle, Now - life.Absolute);
        await db.Set<SessionRow>().Where(s => s.PersonId == person.Id && (s.SeenAt < idle || s.StartedAt < old)).ExecuteDeleteAsync();
        db.Add(
            new SessionRow
            {
                PersonId = person.Id,
                SecretHash = TokenHash.Of(secret),
                Device = DeviceName.Of(context.Request.Headers.UserAgent.ToString()),
                StartedAt = Now,
                SeenAt = Now,
            }
        );
        await db.SaveChangesAsync();
        await context.SignInAsync(
            Scheme,
            Claims.Of(person, secret, Scheme),
            new AuthenticationProperties { IsPersistent = true, ExpiresUtc = Now + life.Absolute }
        );
        await schedule.CareAsync(person.FirmId);
    }

    /// <summary>Who asks by a cookie, as they are now; null where the session is over.</summary>
    public async Task<ClaimsPrincipal?> FindAsync(ClaimsPrincipal cookie)
    {
        if (Claims.FirmOf(cookie) is not { } firm || cookie.FindFirstValue(Claims.Secret) is not { } secret)
        {
            return null;
        }

        scope.EnterFirm(firm);
        var hash = TokenHash.Of(secret);
        var found = await db.Set<SessionRow>()
            .AsNoTracking()
            .Where(s => s.SecretHash == hash)
            .Join(db.People.AsNoTracking(), s => s.PersonId, p => p.Id, (s, p) => new { Session = s, Person = p })
            .Select(one => new
            {
                one.Session,
                one.Person,
                CodesFor = db.Firms.Select(f => f.CodesFor).FirstOrDefault(),
                IsSetUp = db.Set<SecondStepRow>().Any(s => s.PersonId == one.Person.Id && s.Secret != null),
            })
            .SingleOrDefaultAsync();
        if (found is null || found.Person.DeactivatedAt is not null || !Lasts(found.Session))
        {
            return null;
        }

        if (Now - found.Session.SeenAt >= SeenEvery)
        {
            await NoteSeenAsync(found.Session.Id);
        }

        return Claims.Of(found.Person, secret, Scheme, SignInTasks.Of(found.Person, found.CodesFor, found.IsSetUp));
    }

    // Nobody is kept from reading because there is no room to note that they do.
    private async Task NoteSeenAsync(Guid session)
    {
        try
        {
            await db.Database.ExecuteSqlAsync($"update sessions set seen_at = {Now} where id = {session}");
        }
        catch (PostgresException cause) when (cause.SqlState == PostgresErrorCodes.DiskFull)
        {
            // Noted with the next request once there is.
        }
    }

    /// <summary>A person's sessions, the one last used first.</summary>
    public async Task<IReadOnlyList<SessionRow>> OfAsync(Guid person) =>
        [
            .. (await db.Set<SessionRow>().AsNoTracking().Where(s => s.PersonId == person).ToListAsync())
                .Where(Lasts)
                .OrderByDescending(s => s.SeenAt),
        ];

    /// <summary>Ends the session that asks.</summary>
    public async Task EndAsync(HttpContext context)
    {
        if (context.User.FindFirstValue(Claims.Secret) is { } secret)
        {
            var hash = TokenHash.Of(secret);
            await db.Set<SessionRow>().Where(s => s.SecretHash == hash).ExecuteDeleteAsync();
        }

        await context.SignOutAsync(Scheme);
    }

    /// <summary>Ends all sessions of a person.</summary>
    /// <param name="person">Whose.</param>
    /// <param name="but">The one that asks, which stays; null where all go.</param>
    public Task EndAllAsync(Guid person, ClaimsPrincipal? but = null)
    {
        var stays = but?.FindFirstValue(Claims.Secret) is { } secret ? TokenHash.Of(secret) : "";
        return db.Set<SessionRow>().Where(s => s.PersonId == person && s.SecretHash != stays).ExecuteDeleteAsync();
    }

    /// <summary>Ends one session of a person.</summary>
    /// <returns>False where they have no such session.</returns>
    public async Task<bool> EndOneAsync(Guid person, Guid session) =>
        await db.Set<SessionRow>().Where(s => s.PersonId == person && s.Id == session).ExecuteDeleteAsync() > 0;

    /// <summary>Whether a row is of the session that asks.</summary>
    public static bool IsOwn(SessionRow session, ClaimsPrincipal person) =>
        person.FindFirstValue(Claims.Secret) is { } secret && session.SecretHash == TokenHash.Of(secret);

    private bool Lasts(SessionRow session) => Now - session.SeenAt < life.Idle && Now - session.StartedAt < life.Absolute;
}
