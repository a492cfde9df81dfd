using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Authentication.Cookies;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.EntityFrameworkCore;
using Umbracell.Store;
using Umbracell.Store.Model;
using Umbracell.Store.Tenancy;

namespace Umbracell.Server.Access;

/// <summary>Sign-in by cookie or token, roles, and the firm that every request acts for.</summary>
internal static class AccessSetup
{
    private const string CookieOrToken = "CookieOrToken";

    /// <summary>How long a cookie is trusted before the person is looked up again.</summary>
    private static readonly TimeSpan TrustCookieFor = TimeSpan.FromMinutes(5);

    /// <summary>The build starts this program once to write its API description; there is no database then.</summary>
    private static bool IsDescribingItself => System.Reflection.Assembly.GetEntryAssembly()?.GetName().Name == "GetDocument.Insider";

    public static IServiceCollection AddAccess(this IServiceCollection services)
    {
        // Keys live in the database so that several copies of the server read each other's cookies.
        var keys = services.AddDataProtection().SetApplicationName("Umbracell");
        if (!IsDescribingItself)
        {
            keys.PersistKeysToDbContext<UmbracellDb>();
        }

        services.AddIdentityCore<Person>(options => options.Lockout.MaxFailedAccessAttempts = 10).AddUserStore<PersonStore>();
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
                options.Cookie.Name = "umbracell";
                options.Cookie.HttpOnly = true;

                // Strict keeps other sites from acting with the cookie, so no further forgery token is needed for a JSON interface.
                options.Cookie.SameSite = SameSiteMode.Strict;
                options.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
                options.ExpireTimeSpan = TimeSpan.FromHours(14);
                options.SlidingExpiration = true;
                options.Events.OnRedirectToLogin = context => Answer(context.HttpContext, 401);
                options.Events.OnRedirectToAccessDenied = context => Answer(context.HttpContext, 403);
                options.Events.OnValidatePrincipal = StillValidAsync;
            })
            .AddScheme<AuthenticationSchemeOptions, TokenSignIn>(TokenSignIn.SchemeName, null);
        services
            .AddAuthorizationBuilder()
            .AddPolicy(
                Claims.MayEdit,
                policy => policy.RequireRole(nameof(FirmRole.Owner), nameof(FirmRole.Estimator), nameof(FirmRole.CrewLead))
            )
            .AddPolicy(Claims.MayPrice, policy => policy.RequireRole(Claims.Pricing));
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

    private static Task Answer(HttpContext context, int status)
    {
        context.Response.StatusCode = status;
        return Task.CompletedTask;
    }

    private static async Task StillValidAsync(CookieValidatePrincipalContext context)
    {
        if (context.Properties.IssuedUtc is { } issued && TimeProvider.System.GetUtcNow() - issued < TrustCookieFor)
        {
            return;
        }

        var services = context.HttpContext.RequestServices;
        var firm = context.Principal is { } principal ? Claims.FirmOf(principal) : null;
        if (firm is { } known)
        {
            services.GetRequiredService<FirmScope>().EnterFirm(known);
            var stamp = context.Principal!.FindFirst(Claims.Stamp)?.Value;
            if (await services.GetRequiredService<UmbracellDb>().People.AnyAsync(p => p.SecurityStamp == stamp))
            {
                context.ShouldRenew = true;
                return;
            }
        }

        context.RejectPrincipal();
    }
}
