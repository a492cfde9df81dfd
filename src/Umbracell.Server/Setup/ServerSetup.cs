using System.Diagnostics;
using System.Globalization;
using System.Text.Json;
using System.Text.Json.Serialization;
using Microsoft.AspNetCore.Routing.Patterns;
using Microsoft.EntityFrameworkCore;
using OpenTelemetry;
using OpenTelemetry.Exporter;
using OpenTelemetry.Metrics;
using OpenTelemetry.Resources;
using OpenTelemetry.Trace;
using Scalar.AspNetCore;
using Umbracell.Formats.DataFiles;
using Umbracell.Formats.Words;
using Umbracell.Server.Access;
using Umbracell.Server.Forecasts;
using Umbracell.Server.Problems;
using Umbracell.Server.Requests;
using Umbracell.Server.Scheduling;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store;

namespace Umbracell.Server.Setup;

/// <summary>How the server is put together.</summary>
internal static class ServerSetup
{
    public static void AddUmbracell(this WebApplicationBuilder builder)
    {
        builder.WebHost.ConfigureKestrel(kestrel =>
        {
            kestrel.Limits.MaxRequestBodySize = Limits.RequestBytes;
            kestrel.AddServerHeader = false;
        });
        var services = builder.Services;
        var database = builder.Configuration.GetConnectionString("Umbracell") ?? "Host=127.0.0.1;Database=umbracell";
        services.AddUmbracellStore(database);
        services.AddSchedule(builder.Configuration, StoreSetup.PooledConnection(database));
        services.AddAccess(builder.Configuration);
        services.AddHttpSafety(builder.Configuration);
        services.AddMemoryCache();
        services.AddSingleton<HeavyWork>();
        services.AddHttpContextAccessor();
        services.AddStudies();
        foreach (var part in Parts.All)
        {
            part.AddTo(services);
        }

        services.AddSingleton(new ProductClock(builder.Configuration, TimeProvider.System));
        services.AddSingleton<TimeProvider>(services => services.GetRequiredService<ProductClock>());
        services.ConfigureHttpJsonOptions(json =>
        {
            json.SerializerOptions.NumberHandling = JsonNumberHandling.Strict;
            json.SerializerOptions.Converters.Add(new PlainTextJson());
            json.SerializerOptions.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false));
        });

        // Throwing is the one way for unreadable input, so that one place words it.
        services.Configure<RouteHandlerOptions>(options => options.ThrowOnBadRequest = true);
        services.AddValidation();
        services.AddProblemDetails(options =>
            options.CustomizeProblemDetails = context =>
            {
                if (context.ProblemDetails is HttpValidationProblemDetails { Errors.Count: > 0 } invalid)
                {
                    invalid.Title = WordCatalog.Say("problem.title.values");
                    NameAsSent(invalid);
                    invalid.Detail = string.Join(" ", invalid.Errors.SelectMany(error => error.Value));
                }

                // The framework answers a body over the limit by its status alone.
                if (context.ProblemDetails.Status == StatusCodes.Status413PayloadTooLarge)
                {
                    context.ProblemDetails.Detail = WordCatalog.Say(
                        "problem.said.larger",
                        ("most", (LargeBodies.MostOf(context.HttpContext) / 1024).ToString(CultureInfo.InvariantCulture))
                    );
                }
            }
        );
        services.AddExceptionHandler<ProblemMapping>();
        services.AddResponseCompression(options => options.EnableForHttps = true);
        services.AddHealthChecks().AddCheck<DatabaseReady>("database", tags: ["ready"]);
        services.AddOpenApi(options =>
            options
                .AddSchemaTransformer(TextSchema.WriteAsync)
                .AddSchemaTransformer(RuleWords.WriteAsync)
                .AddSchemaTransformer(EnumSchema.WriteAsync)
        );
        AddTelemetry(services, builder.Configuration["Telemetry:Otlp"]);
    }

    // The framework names members as the code does; whoever sent them wrote them otherwise.
    private static void NameAsSent(HttpValidationProblemDetails invalid)
    {
        foreach (var (member, said) in invalid.Errors.ToList())
        {
            var sent = string.Join('.', member.Split('.').Select(JsonNamingPolicy.CamelCase.ConvertName));
            invalid.Errors.Remove(member);
            invalid.Errors[sent] = [.. said.Select(one => one.Replace(LastOf(member), LastOf(sent), StringComparison.Ordinal))];
        }

        static string LastOf(string path) => path[(path.LastIndexOf('.') + 1)..];
    }

    // Measured in any case; sent only where an address is set.
    private static void AddTelemetry(IServiceCollection services, string? otlp)
    {
        var telemetry = services
            .AddOpenTelemetry()
            .ConfigureResource(resource => resource.AddService("umbracell"))
            .WithMetrics(metrics =>
                metrics
                    .AddAspNetCoreInstrumentation()
                    .AddMeter(CommandMetrics.Meter, ScheduleMetrics.Meter, StudyMetrics.Meter, ForecastMetrics.Meter)
            )
            .WithTracing(tracing => tracing.AddAspNetCoreInstrumentation());
        if (!string.IsNullOrWhiteSpace(otlp))
        {
            telemetry.UseOtlpExporter(OtlpExportProtocol.Grpc, new Uri(otlp));
        }
    }

    public static void UseUmbracell(this WebApplication app)
    {
        app.UseHttpSafety();
        app.UseExceptionHandler();
        app.UseStatusCodePages();
        app.UseResponseCompression();
        app.Use(SpokenJson.Agree);
        app.Use(ServerTiming);
        app.Use(ServerTime);
        app.UseDefaultFiles();
        app.UseStaticFiles(StaticFiles());
        app.Use(HttpSafety.SameSiteWrites);
        app.UseAuthentication();
        app.Use(AccessSetup.KeepSignIns);
        app.UseFirmScope();
        app.Use(app.Services.GetRequiredService<SecurityBook>().NoteAsync);
        app.UseAuthorization();
        app.Use(SignInTasks.DoneFirst);
        app.Use(LargeBodies.Refuse);
        app.Use(Races.ServeAgain);
        app.Use(Outage.Follow);

        app.MapHealthChecks("/healthz", new() { Predicate = _ => false });
        app.MapHealthChecks("/readyz", new() { Predicate = check => check.Tags.Contains("ready") });
        if (app.Configuration.GetValue("Api:Reference", true))
        {
            app.MapOpenApi("/openapi/v1.json").AllowAnonymous();
            app.MapScalarApiReference("/api", options => options.WithTitle("Umbracell API").WithOpenApiRoutePattern("/openapi/v1.json"))
                .AllowAnonymous()
                .Add(OnlyAtItsOwnAddress);
        }

        var api = app.MapGroup("").AddEndpointFilter(DoubtsHeader.Filter).AddEndpointFilterFactory(Gaps.Filter);
        foreach (var part in Parts.All)
        {
            part.Map(api);
        }

        app.Map(
                "/api/{**rest}",
                () =>
                    TypedResults.Problem(WordCatalog.Say("app.notHere"), statusCode: 404, title: WordCatalog.Say("problem.title.notFound"))
            )
            .ExcludeFromDescription();
        app.MapFallbackToFile("index.html");
    }

    // The reference would otherwise answer for every single name under /api.
    private static void OnlyAtItsOwnAddress(EndpointBuilder endpoint)
    {
        if (
            endpoint is RouteEndpointBuilder { RoutePattern.Parameters.Count: > 0 } page
            && page.RoutePattern.GetParameter("documentName") is not null
        )
        {
            page.RoutePattern = RoutePatternFactory.Parse("/api");
        }
    }

    // Hashed assets never change; the page that names them is asked for anew each time.
    private static StaticFileOptions StaticFiles() =>
        new()
        {
            OnPrepareResponse = context =>
                context.Context.Response.Headers.CacheControl =
                    context.Context.Request.Path is var path
                    && (
                        path.StartsWithSegments("/assets")
                        || (path.StartsWithSegments("/core") && !path.Value!.EndsWith("/dotnet.js", StringComparison.Ordinal))
                    )
                        ? "public, max-age=31536000, immutable"
                        : "no-cache",
        };

    // What the server spent on a request, for benchmarks and the browser's own tools; of a sign-in it would tell what was looked at.
    private static Task ServerTiming(HttpContext context, RequestDelegate next)
    {
        if (context.Request.Path.StartsWithSegments("/api/session"))
        {
            return next(context);
        }

        var start = Stopwatch.GetTimestamp();
        context.Response.OnStarting(() =>
        {
            var spent = Stopwatch.GetElapsedTime(start).TotalMilliseconds;
            context.Response.Headers["Server-Timing"] = string.Create(CultureInfo.InvariantCulture, $"app;dur={spent:0.00}");
            return Task.CompletedTask;
        });
        return next(context);
    }

    // The time by the product's clock, so that a page knows how far its own device is off.
    private static Task ServerTime(HttpContext context, RequestDelegate next)
    {
        if (context.Request.Path.StartsWithSegments("/api"))
        {
            var clock = context.RequestServices.GetRequiredService<TimeProvider>();
            context.Response.OnStarting(() =>
            {
                context.Response.Headers["Umbracell-Now"] = clock.GetUtcNow().ToString("O", CultureInfo.InvariantCulture);
                return Task.CompletedTask;
            });
        }

        return next(context);
    }
}
