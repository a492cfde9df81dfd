using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Server.Problems;
using Umbracell.Store;
using Umbracell.Store.Model;
using Umbracell.Store.Tenancy;

namespace Umbracell.Server.Access;

/// <summary>An endpoint whose success stands in the firm's book.</summary>
internal sealed record NotedAs(SecurityEvent Kind);

/// <summary>The book of what bears on who may get at what: kept for the firm, shown to its owners, for 400 days or as it is set. What no
/// firm is known of goes to the operator's log instead.</summary>
internal sealed partial class SecurityBook(IServiceScopeFactory scopes, IConfiguration settings, ILogger<SecurityBook> logger)
{
    private sealed record Said(string About, SecurityEvent? Kind);

    /// <summary>How long an entry is kept.</summary>
    public TimeSpan Kept { get; } = TimeSpan.FromDays(settings.GetValue("SecurityEvents:Days", 400));

    /// <summary>Says what the request is about, in words of its own.</summary>
    /// <param name="context">The request.</param>
    /// <param name="about">Such as a sign-in name and a role.</param>
    /// <param name="kind">What it comes to, where its endpoint is not marked; null where it is.</param>
    public static void About(HttpContext context, string about, SecurityEvent? kind = null) =>
        context.Items[typeof(Said)] = new Said(about, kind);

    /// <summary>Notes what an endpoint is marked with where it went well, everything that was taken away, and everything that was
    /// refused.</summary>
    public async Task NoteAsync(HttpContext context, RequestDelegate next)
    {
        // Who ends a session is nobody any more once it has ended.
        var before = context.User;
        try
        {
            await next(context);
        }
        catch (NotAllowedException)
        {
            context.Response.StatusCode = StatusCodes.Status403Forbidden;
            Note(context, before);
            throw;
        }

        Note(context, before);
    }

    private void Note(HttpContext context, ClaimsPrincipal before)
    {
        if (Claims.FirmOf(before) is { } firm && KindOf(context) is { } kind)
        {
            var about = (context.Items[typeof(Said)] as Said)?.About ?? $"{context.Request.Method} {context.Request.Path}";
            WriteLater(context, firm, kind, Claims.TitleOf(before), Claims.PersonOf(before), about);
        }
    }

    /// <summary>Notes a sign-in, or that one failed, of somebody who is known.</summary>
    public void SignIn(HttpContext context, Person person, SecurityEvent kind) =>
        WriteLater(context, person.FirmId, kind, PersonNames.WithRole(person), person.Id, person.SignInName);

    /// <summary>Tells the operator of a try under a name that nobody has, or one that had to wait. The name stays out of the log: people
    /// type a password there by mistake.</summary>
    public void Unknown(HttpContext context, bool waited) => LogUnknown(waited ? "wait" : "unknown", context.Connection.RemoteIpAddress);

    private static SecurityEvent? KindOf(HttpContext context) =>
        context.Response.StatusCode switch
        {
            StatusCodes.Status403Forbidden => SecurityEvent.Refused,
            >= 200 and < 300 => (context.Items[typeof(Said)] as Said)?.Kind
                ?? context.GetEndpoint()?.Metadata.GetMetadata<NotedAs>()?.Kind
                ?? (HttpMethods.IsDelete(context.Request.Method) ? SecurityEvent.Deleted : null),
            _ => null,
        };

    // After the answer: whether something is noted must not show in how long it takes.
    private void WriteLater(HttpContext context, Guid firm, SecurityEvent kind, string by, Guid? person, string about) =>
        context.Response.OnCompleted(async () =>
        {
            try
            {
                await using var scope = scopes.CreateAsyncScope();
                scope.ServiceProvider.GetRequiredService<FirmScope>().EnterFirm(firm);
                var db = scope.ServiceProvider.GetRequiredService<UmbracellDb>();
                db.Add(
                    new SecurityEventRow
                    {
                        At = TimeProvider.System.GetUtcNow(),
                        Kind = kind,
                        By = by,
                        PersonId = person,
                        About = about.Length > 200 ? about[..200] : about,
                    }
                );
                await db.SaveChangesAsync();
            }
            catch (Exception cause)
            {
                LogLost(cause, kind);
            }
        });

    [LoggerMessage(Level = LogLevel.Warning, Message = "A sign-in was turned away ({Why}) from {Address}.")]
    private partial void LogUnknown(string why, System.Net.IPAddress? address);

    [LoggerMessage(Level = LogLevel.Error, Message = "A security event could not be kept: {Kind}.")]
    private partial void LogLost(Exception cause, SecurityEvent kind);
}

/// <summary>What happened.</summary>
/// <param name="Id">The entry.</param>
/// <param name="At">When.</param>
/// <param name="Kind">What.</param>
/// <param name="By">Who, by their title.</param>
/// <param name="About">What it was about.</param>
public sealed record SecurityEventAnswer(Guid Id, DateTimeOffset At, SecurityEvent Kind, string By, string About);

internal static class SecurityBookEndpoints
{
    private const int Page = 100;

    public static void MapSecurityBook(this IEndpointRouteBuilder app) =>
        app.MapGet("/api/security-events", ListAsync)
            .WithTags("People")
            .WithSummary("What happened that bears on who may get at what, newest first; a hundred at a time.")
            .Requires(Right.Manage);

    /// <summary>Says of an endpoint that its success stands in the firm's book.</summary>
    public static T Notes<T>(this T endpoint, SecurityEvent kind)
        where T : IEndpointConventionBuilder => endpoint.WithMetadata(new NotedAs(kind));

    private static async Task<Ok<IReadOnlyList<SecurityEventAnswer>>> ListAsync(UmbracellDb db, DateTimeOffset? before = null)
    {
        var until = before?.ToUniversalTime() ?? DateTimeOffset.MaxValue;
        return TypedResults.Ok<IReadOnlyList<SecurityEventAnswer>>(
            await db.Set<SecurityEventRow>()
                .AsNoTracking()
                .Where(e => e.At < until)
                .OrderByDescending(e => e.At)
                .Take(Page)
                .Select(e => new SecurityEventAnswer(e.Id, e.At, e.Kind, e.By, e.About))
                .ToListAsync()
        );
    }
}
