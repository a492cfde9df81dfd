using System.Collections.Concurrent;
using System.Net;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Options;
using Npgsql;
using Shouldly;
using Umbracell.Formats.DataFiles;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Survey;
using Umbracell.Store;
using Umbracell.Store.Model;
using Umbracell.Store.Seeding;
using Umbracell.Store.Tenancy;

namespace Umbracell.Server.Tests;

/// <summary>The server over a real database with the demo, asked through its own interface.</summary>
public sealed class Product : WebApplicationFactory<Program>
{
    public const string Token = "a-token-for-tests";

    private static readonly Lazy<Task> Planted = new(PlantAsync);

    /// <summary>Whether it does what it was asked to do beside requests: most tests ask for what they look at, and need not wait for what
    /// lists of all other tests' jobs would have made anew.</summary>
    public bool WorksOff { get; init; }

    /// <summary>Port by which it reaches the database; null for the database's own.</summary>
    public int? DatabasePort { get; init; }

    /// <summary>Where the database itself listens.</summary>
    public static int OwnDatabasePort => new NpgsqlConnectionStringBuilder(Connection("UMBRACELL_TEST_APP")).Port;

    public Product() => Planted.Value.GetAwaiter().GetResult();

    public async Task<HttpClient> SignedInAsync(string name)
    {
        var client = CreateClient();
        while (true)
        {
            var answer = await client.PostAsJsonAsync("/api/session", new { signInName = name, password = DemoSeed.Password });
            if (answer.StatusCode != HttpStatusCode.TooManyRequests)
            {
                answer.EnsureSuccessStatusCode();
                return client;
            }

            // On a slow machine five tests may be signing the same person of the demo in at once.
            await Task.Delay(answer.Headers.RetryAfter!.Delta!.Value);
        }
    }

    public HttpClient WithToken(string token = Token)
    {
        var client = CreateClient();
        client.DefaultRequestHeaders.Authorization = new AuthenticationHeaderValue("Bearer", token);
        return client;
    }

    protected override void ConfigureWebHost(IWebHostBuilder builder) =>
        // Each product works off what it asked for itself: another one's clock and settings may be others.
        builder
            .UseSetting("ConnectionStrings:Umbracell", Reached(Connection("UMBRACELL_TEST_APP")))
            .UseSetting("Schedule:Name", $"tests {Guid.NewGuid():N}")
            .UseSetting("Schedule:Runs", $"{WorksOff}");

    private string Reached(string connection) =>
        DatabasePort is { } port ? new NpgsqlConnectionStringBuilder(connection) { Port = port }.ConnectionString : connection;

    private static string Connection(string variable) =>
        (
            Environment.GetEnvironmentVariable(variable)
            ?? throw new InvalidOperationException($"{variable} is not set: ./test starts a database and sets it.")
        ) + ";Database=umbracell_server_tests";

    /// <summary>A firm of its own with somebody of each of these roles; a test may do with them what it likes.</summary>
    /// <returns>Their sign-in names; the password is the demo's.</returns>
    public static async Task<IReadOnlyList<string>> NewFirmAsync(params FirmRole[] roles)
    {
        var scope = new FirmScope();
        await using var db = AsOwner(scope);
        var id = Guid.NewGuid();
        scope.EnterFirm(id);
        db.Firms.Add(new() { Id = id, Name = $"Firm {id:N}" });
        var names = roles.Select((role, i) => $"{role}{i}@{id:N}.example".ToLowerInvariant()).ToList();
        db.People.AddRange(
            roles.Zip(
                names,
                (role, name) =>
                    new Person
                    {
                        SignInName = name,
                        NormalizedSignInName = name.ToUpperInvariant(),
                        Title = $"{role}",
                        Role = role,
                        SecurityStamp = "new",
                        PasswordHash = Hashed.Value,
                    }
            )
        );
        await db.SaveChangesAsync();
        return names;
    }

    /// <summary>The owner of a firm of its own, which sprays one foam of the demo: its rates, rigs and finished jobs are nobody else's.</summary>
    public static async Task<string> NewFirmThatSpraysAsync(string sheet = "marl-cc-20")
    {
        var owner = (await NewFirmAsync(FirmRole.Owner))[0];
        await GiveSheetAsync(owner, sheet);
        return owner;
    }

    /// <summary>Gives a person's firm a foam of the demo.</summary>
    public static Task GiveSheetAsync(string name, string sheet) =>
        InFirmOfAsync(
            name,
            async db =>
            {
                db.Sheets.Add(new() { Slug = sheet, Document = ShippedData.ProductSheets[sheet] });
                await db.SaveChangesAsync();
            }
        );

    /// <summary>Changes the rows of a person's firm behind the server's back.</summary>
    public static async Task InFirmOfAsync(string name, Func<UmbracellDb, Task> change)
    {
        var scope = new FirmScope();
        await using var db = AsOwner(scope);
        var normalized = name.ToUpperInvariant();
        scope.CheckSignIn(normalized);
        var person = await db.People.SingleAsync(p => p.NormalizedSignInName == normalized);
        await db.Database.CloseConnectionAsync();
        scope.EnterFirm(person.FirmId);
        await change(db);
    }

    // A password is made slow to try on purpose; a thousand tests that sign in would try it for minutes.
    private static readonly Lazy<string> Hashed = new(() =>
        new PasswordHasher<string>(Options.Create(new PasswordHasherOptions { IterationCount = 100 })).HashPassword("", DemoSeed.Password)
    );

    /// <summary>The database as who owns its tables.</summary>
    public static string OwnerConnection => Connection("UMBRACELL_TEST_OWNER");

    private static UmbracellDb AsOwner(FirmScope scope) =>
        new(
            new DbContextOptionsBuilder<UmbracellDb>()
                .UseNpgsql(OwnerConnection)
                .UseSnakeCaseNamingConvention()
                .AddInterceptors(new FirmScopeInterceptor(scope))
                .Options,
            scope
        );

    /// <summary>Plants the demo as each start does: what stands there is kept, what came since is added.</summary>
    public static async Task PlantAsync()
    {
        var scope = new FirmScope();
        await using var db = AsOwner(scope);
        await db.Database.MigrateAsync();
        await DemoSeed.PlantAsync(
            db,
            scope,
            new()
            {
                Sheets = ShippedData.ProductSheets,
                Start = SurfaceStart.Of,
                List = PreparationAnswers.List,
                ApiToken = Token,
                Now = DateTimeOffset.UtcNow,
                Copies = 2,
            }
        );
        await db.Database.ExecuteSqlAsync(
            $"""
            alter table people no force row level security;
            update people set password_hash = {Hashed.Value} where password_hash is not null;
            alter table people force row level security;
            """
        );
    }
}

/// <summary>Short ways to ask and to read answers.</summary>
internal static class Asking
{
    public static async Task<JsonNode> GetJsonAsync(this HttpClient client, string path)
    {
        var answer = await client.GetAsync(path);
        var text = await answer.Content.ReadAsStringAsync();
        answer.IsSuccessStatusCode.ShouldBeTrue(text);
        return JsonNode.Parse(text)!;
    }

    public static async Task<(int Status, JsonNode Body)> SendJsonAsync(this HttpClient client, HttpMethod method, string path, object body)
    {
        using var request = new HttpRequestMessage(method, path)
        {
            Content = JsonContent.Create(body, options: new JsonSerializerOptions(JsonSerializerDefaults.Web)),
        };
        var answer = await client.SendAsync(request);
        var text = await answer.Content.ReadAsStringAsync();
        return ((int)answer.StatusCode, text.Length == 0 ? new JsonObject() : JsonNode.Parse(text)!);
    }

    /// <summary>Sends an edit, and gives the answer with what it is in doubt about.</summary>
    public static async Task<(JsonNode Answer, JsonArray Doubts)> SendDoubtfulAsync(
        this HttpClient client,
        HttpMethod method,
        string path,
        object edit
    )
    {
        using var request = new HttpRequestMessage(method, path) { Content = JsonContent.Create(edit) };
        var answer = await client.SendAsync(request);
        var body = JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;
        var doubts = answer.Headers.TryGetValues("Umbracell-Doubts", out var sent)
            ? JsonNode.Parse(Encoding.UTF8.GetString(Convert.FromBase64String(sent.Single())))!.AsArray()
            : [];
        return (body, doubts);
    }

    public static async Task<(int Status, JsonNode Body)> UploadAsync(this HttpClient client, string path, byte[] bytes)
    {
        using var content = new ByteArrayContent(bytes) { Headers = { ContentType = new("application/octet-stream") } };
        var answer = await client.PostAsync(path, content);
        var text = await answer.Content.ReadAsStringAsync();
        return ((int)answer.StatusCode, text.Length == 0 ? new JsonObject() : JsonNode.Parse(text)!);
    }

    public static object Typed(uint? version, string units, params (string Field, string Text)[] fields) =>
        new
        {
            version,
            units,
            fields = fields.ToDictionary(f => f.Field, f => f.Text),
        };

    private static readonly ConcurrentDictionary<string, string> Demo = new();

    /// <summary>Parts of the names of the demo's jobs.</summary>
    public static IReadOnlyList<string> DemoJobs { get; } = ["ferry house", "mill cottages", "seed store", "orchid house"];

    /// <summary>A job of the demo, by a part of its name. The list is read once.</summary>
    public static async Task<string> DemoJobAsync(this HttpClient client, string name)
    {
        if (Demo.IsEmpty)
        {
            foreach (var job in (await client.GetJsonAsync("/api/jobs")).AsArray().Select(j => j!["job"]!))
            {
                // Newest first: the one that was planted comes last.
                if (DemoJobs.FirstOrDefault(part => job.Text("name").Contains(part, StringComparison.Ordinal)) is { } known)
                {
                    Demo[known] = job.Text("id");
                }
            }
        }

        return Demo[name];
    }

    public static double Number(this JsonNode node, string name) => node[name]!.GetValue<double>();

    public static string Text(this JsonNode node, string name) => node[name]!.GetValue<string>();
}
