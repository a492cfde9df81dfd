using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Microsoft.EntityFrameworkCore;
using Npgsql;
using Shouldly;
using Umbracell.Server.Problems;
using Umbracell.Store.Model;
using Umbracell.Store.Seeding;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>The database away: everybody is told so and when to come again, nobody is signed out, and nothing is said of what was kept
/// that is not so.</summary>
public sealed class OutageTests(Product product, OutageTests.Cuttable cuttable) : IClassFixture<OutageTests.Cuttable>
{
    /// <summary>A server whose line to the database can be cut.</summary>
    public sealed class Cuttable : IAsyncDisposable
    {
        public Cuttable() => Product = new() { DatabasePort = Line.Port };

        internal CutLine Line { get; } = new(Product.OwnDatabasePort);

        internal Product Product { get; }

        public async ValueTask DisposeAsync()
        {
            await Product.DisposeAsync();
            Line.Dispose();
        }
    }

    private readonly CutLine _line = cuttable.Line;
    private readonly Product _product = cuttable.Product;

    [Fact]
    public async Task While_it_is_away_all_are_told_when_to_come_again_and_a_sign_in_outlasts_it()
    {
        var owner = await _product.SignedInAsync((await Product.NewFirmAsync(FirmRole.Owner))[0]);
        await AskAsync(owner, "Before");
        _line.Cut();

        foreach (var path in new[] { "/api/session", "/api/jobs", "/api/firm", "/api/places" })
        {
            var answer = await owner.GetAsync(path, TestContext.Current.CancellationToken);
            await ShouldBeAwayAsync(answer, "comes by itself");
        }

        await ShouldBeAwayAsync(await AskAsync(owner, "Meanwhile"), "Nothing was kept this time");
        (await owner.GetAsync("/healthz", TestContext.Current.CancellationToken)).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await owner.GetAsync("/readyz", TestContext.Current.CancellationToken)).StatusCode.ShouldBe(HttpStatusCode.ServiceUnavailable);

        _line.Mend();
        (await AskAsync(owner, "After")).StatusCode.ShouldBe(HttpStatusCode.Created);
        (await NamesAsync(owner)).ShouldBe(["After", "Before"]);
    }

    [Fact]
    public async Task A_server_that_starts_without_it_signs_nobody_out()
    {
        var name = (await Product.NewFirmAsync(FirmRole.Owner))[0];
        var session = await product
            .CreateClient()
            .PostAsJsonAsync(
                "/api/session",
                new { signInName = name, password = DemoSeed.Password },
                TestContext.Current.CancellationToken
            );
        var cookie = session
            .Headers.GetValues("Set-Cookie")
            .Single(one => one.StartsWith("umbracell=", StringComparison.Ordinal))
            .Split(';')[0];

        await using var own = new Cuttable();
        var client = own.Product.CreateClient(new() { HandleCookies = false });
        client.DefaultRequestHeaders.Add("Cookie", cookie);
        own.Line.Cut();
        await ShouldBeAwayAsync(await client.GetAsync("/api/jobs", TestContext.Current.CancellationToken), "comes by itself");

        own.Line.Mend();
        (await client.GetAsync("/api/jobs", TestContext.Current.CancellationToken)).StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    [Fact]
    public async Task What_was_on_its_way_when_it_went_is_not_called_lost()
    {
        var owner = await _product.SignedInAsync((await Product.NewFirmAsync(FirmRole.Owner))[0]);
        await AskAsync(owner, "Before");
        // As the wire says it: READ COMMITTED begins alike.
        _line.CutAfter("COMMIT\0");
        await ShouldBeAwayAsync(await AskAsync(owner, "On its way"), "may or may not have been saved");

        _line.Mend();
        (await NamesAsync(owner)).ShouldBe(["On its way", "Before"]);
    }

    [Fact]
    public async Task A_full_disk_is_told_as_that_and_what_was_not_kept_comes_again()
    {
        var owner = await product.SignedInAsync((await Product.NewFirmAsync(FirmRole.Owner))[0]);
        await using var filled = await FullDisk.ForAsync("jobs", "insert", "new.name = 'No room'");
        var answer = await AskAsync(owner, "No room");
        await ShouldBeAwayAsync(answer, "The disk of the database is full. Nothing was kept this time", "full");
        (await AskAsync(owner, "Small")).StatusCode.ShouldBe(HttpStatusCode.Created);

        await filled.MakeRoomAsync();
        (await AskAsync(owner, "No room")).StatusCode.ShouldBe(HttpStatusCode.Created);
        (await NamesAsync(owner)).ShouldBe(["No room", "Small"], ignoreOrder: true);
    }

    /// <summary>A connection that ended for want of a file says <c>XX000</c>; a fault of what was asked does too, and is none of these.</summary>
    [Theory]
    [InlineData("FATAL", "XX000", true)]
    [InlineData("ERROR", "XX000", false)]
    [InlineData("FATAL", "57P03", true)]
    [InlineData("FATAL", "28P01", false)]
    [InlineData("ERROR", "53100", true)]
    [InlineData("ERROR", "23505", false)]
    public void Only_what_passes_by_itself_is_asked_again(string severity, string state, bool passes) =>
        Outage.Is(new InvalidOperationException("asked", new PostgresException("said", severity, severity, state))).ShouldBe(passes);

    [Fact]
    public async Task Who_is_signed_in_goes_on_reading_while_the_disk_is_full()
    {
        var name = (await Product.NewFirmAsync(FirmRole.Owner))[0];
        var owner = await product.SignedInAsync(name);
        var id = (await owner.GetJsonAsync("/api/session")).Text("id");
        await Product.InFirmOfAsync(
            name,
            db => db.Set<SessionRow>().ExecuteUpdateAsync(s => s.SetProperty(row => row.SeenAt, DateTimeOffset.UtcNow.AddMinutes(-5)))
        );
        await using var filled = await FullDisk.ForAsync("sessions", "update", $"new.person_id = '{id}'");
        (await NamesAsync(owner)).ShouldBeEmpty();
        (await AskAsync(owner, "Written all the same")).StatusCode.ShouldBe(HttpStatusCode.Created);
    }

    /// <summary>Refuses rows as a database does whose disk is full.</summary>
    private sealed class FullDisk(NpgsqlConnection owner, string table) : IAsyncDisposable
    {
        /// <summary>As one acts on a table.</summary>
        /// <param name="table">The table.</param>
        /// <param name="act">What finds no room: <c>insert</c> or <c>update</c>.</param>
        /// <param name="rows">Which rows, in SQL: other tests use the table too.</param>
        public static async Task<FullDisk> ForAsync(string table, string act, string rows)
        {
            var owner = new NpgsqlConnection(Product.OwnerConnection);
            await owner.OpenAsync(TestContext.Current.CancellationToken);
            var disk = new FullDisk(owner, table);
            await disk.DoAsync(
                $"""
                create or replace function no_room() returns trigger language plpgsql as
                'begin raise exception ''could not extend file: No space left on device'' using errcode = ''disk_full''; end';
                create trigger no_room before {act} on {table} for each row when ({rows}) execute function no_room();
                """
            );
            return disk;
        }

        public Task MakeRoomAsync() => DoAsync($"drop trigger if exists no_room on {table}");

        public async ValueTask DisposeAsync()
        {
            await MakeRoomAsync();
            await owner.DisposeAsync();
        }

        private async Task DoAsync(string sql)
        {
            await using var command = new NpgsqlCommand(sql, owner);
            await command.ExecuteNonQueryAsync();
        }
    }

    private static Task<HttpResponseMessage> AskAsync(HttpClient client, string name) =>
        client.PostAsJsonAsync("/api/jobs", Asking.Typed(null, "metric", ("name", name)), TestContext.Current.CancellationToken);

    private static async Task<IReadOnlyList<string>> NamesAsync(HttpClient client) =>
        [.. (await client.GetJsonAsync("/api/jobs")).AsArray().Select(job => job!["job"]!.Text("name"))];

    private static async Task ShouldBeAwayAsync(HttpResponseMessage answer, string said, string outage = "away")
    {
        var text = await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken);
        answer.StatusCode.ShouldBe(HttpStatusCode.ServiceUnavailable, text);
        answer.Headers.RetryAfter.ShouldNotBeNull().Delta!.Value.TotalSeconds.ShouldBeInRange(1, 30);
        JsonNode.Parse(text)!.Text("detail").ShouldContain(said);
        JsonNode.Parse(text)!.Text("outage").ShouldBe(outage);
    }
}
