using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Authentication.Cookies;
using Microsoft.AspNetCore.DataProtection;
using Npgsql;
using Umbracell.Server.Requests;
using Umbracell.Server.Scheduling;
using Umbracell.Store;
using Umbracell.Store.Model;
using Umbracell.Store.Tenancy;

namespace Umbracell.Server.Access;

/// <summary>Sign-in by cookie or token, roles, and the firm that every request acts for.</summary>
internal static class AccessSetup
{
    private const string CookieOrToken = "CookieOrToken";

    public static IServiceCollection AddAccess(this IServiceCollection services, IConfiguration settings)
    {
        // Keys live in the database so that several copies of the server read each other's cookies.
        var keys = services.AddDataProtection().SetApplicationName("Umbracell");
        if (!ApiDescription.IsBeingWritten)
        {
            keys.PersistKeysToDbContext<UmbracellDb>();
            services.EncryptKeys(settings);
        }

        services.AddIdentityCore<Person>().AddUserStore<PersonStore>();
        services.AddFirmWork<OldRecords>(OldRecords.Work, nightly: true);
        services
            .AddSingleton(SessionLife.Of(settings))
            .AddSingleton<KnownDevice>()
            .AddSingleton<SecurityBook>()
            .AddScoped<Sessions>()
            .AddScoped<SecondSteps>()
            .AddScoped<OwnProof>()
            .AddScoped(services => new SignInTries(services.GetRequiredService<UmbracellDb>(), TimeProvider.System));
        services
            .AddAuthentication(CookieOrToken)
            .AddPolicyScheme(
                CookieOrToken,
                null,
                options =>
                    options.ForwardDefaultSelector = context =>
                        context.Request.Headers.Authorization.Count > 0
                            ? TokenSignIn.SchemeName
                            : CookieAuthenticationDefaults.AuthenticationScheme
            )
            .AddCookie(options =>
            {
                // Sign-ins run out by the machine's time, whatever day a demo plays on.
                options.TimeProvider = TimeProvider.System;
                options.CookieManager = new HostCookies();
                options.Cookie.Name = HostCookies.Session;
                options.Cookie.HttpOnly = true;

                // Strict keeps other sites from acting with the cookie; SameSiteWrites looks at where each write comes from as well.
                options.Cookie.SameSite = SameSiteMode.Strict;
                options.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
                options.SlidingExpiration = false;
                options.Events.OnRedirectToLogin = context => Answer(context.HttpContext, 401);
                options.Events.OnRedirectToAccessDenied = context => Answer(context.HttpContext, 403);
                options.Events.OnValidatePrincipal = AsTheyAreNowAsync;
            })
            .AddScheme<AuthenticationSchemeOptions, TokenSignIn>(TokenSignIn.SchemeName, null);
        var rights = services.AddAuthorizationBuilder();
        foreach (var right in Enum.GetValues<Right>())
        {
            rights.AddPolicy(Rights.Policy(right), policy => policy.RequireAssertion(asked => asked.User.May(right)));
        }

        return services;
    }

    /// <summary>Enters the signed-in person's firm before anything touches the database.</summary>
    public static IApplicationBuilder UseFirmScope(this IApplicationBuilder app) =>
        app.Use(
            async (context, next) =>
            {
                if (Claims.FirmOf(context.User) is { } firm)
                {
                    context.RequestServices.GetRequiredService<FirmScope>().EnterFirm(firm);
                }

                await next(context);
            }
        );

    /// <summary>A browser whose sign-in cannot be read, because the database that keeps the keys does not answer, is not told to sign in
    /// anew.</summary>
    public static async Task KeepSignIns(HttpContext context, RequestDelegate next)
    {
        if (
            context.User.Identity?.IsAuthenticated != true
            && HostCookies.HasSession(context)
            && context.Request.Path.StartsWithSegments("/api")
            && !await context.RequestServices.GetRequiredService<UmbracellDb>().Database.CanConnectAsync(context.RequestAborted)
        )
        {
            throw new NpgsqlException("The database does not answer, and so nobody can be known by their cookie.");
        }

        await next(context);
    }

    private static Task Answer(HttpContext context, int status)
    {
        context.Response.StatusCode = status;
        return Task.CompletedTask;
    }

    // The cookie says only which session; who that is and what they may do stands in the database.
    private static async Task AsTheyAreNowAsync(CookieValidatePrincipalContext context)
    {
        // Pages and their files are everybody's: they come too while the database is away, and say so.
        if (!context.Request.Path.StartsWithSegments("/api"))
        {
            context.RejectPrincipal();
            return;
        }

        var sessions = context.HttpContext.RequestServices.GetRequiredService<Sessions>();
        if (await sessions.FindAsync(context.Principal!) is { } person)
        {
            context.ReplacePrincipal(person);
            return;
        }

        context.RejectPrincipal();
    }
}
