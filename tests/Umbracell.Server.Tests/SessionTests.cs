using System.Net.Http.Json;
using Microsoft.EntityFrameworkCore;
using Shouldly;
using Umbracell.Store.Model;
using Umbracell.Store.Seeding;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>A sign-in is over the moment it is ended, whoever holds a copy of its cookie.</summary>
public sealed class SessionTests(Product product)
{
    [Fact]
    public async Task A_copied_cookie_is_worth_nothing_after_the_sign_out()
    {
        var (name, _) = await OwnerAndAsync(FirmRole.Viewer);
        var cookie = await CookieOfAsync(name);
        (await StatusAsync(cookie)).ShouldBe(200);
        (await AskAsync(HttpMethod.Delete, "/api/session", cookie)).ShouldBe(204);
        (await StatusAsync(cookie)).ShouldBe(401);
    }

    [Fact]
    public async Task Another_role_ends_every_session_and_the_next_one_may_what_the_role_may()
    {
        var (owner, lead) = await OwnerAndAsync(FirmRole.CrewLead);
        var (manager, crew) = (await product.SignedInAsync(owner), await CookieOfAsync(lead));
        var id = await IdOfAsync(manager, lead);
        (await manager.SendJsonAsync(HttpMethod.Put, $"/api/people/{id}/role", new { role = "viewer" })).Status.ShouldBe(200);
        (await StatusAsync(crew)).ShouldBe(401);

        var back = await product.SignedInAsync(lead);
        var (status, body) = await back.SendJsonAsync(HttpMethod.Post, "/api/jobs", Asking.Typed(null, "us", ("name", "Mine")));
        status.ShouldBe(403, body.ToJsonString());
        (await back.GetJsonAsync("/api/session"))["rights"]!.AsArray().Select(r => r!.GetValue<string>()).ShouldBe(["look"]);
    }

    [Fact]
    public async Task A_role_changed_by_any_other_way_holds_from_the_next_request_on()
    {
        var (_, lead) = await OwnerAndAsync(FirmRole.CrewLead);
        var client = await product.SignedInAsync(lead);
        await Product.InFirmOfAsync(
            lead,
            db => db.People.Where(p => p.SignInName == lead).ExecuteUpdateAsync(p => p.SetProperty(one => one.Role, FirmRole.Helper))
        );
        (await client.SendJsonAsync(HttpMethod.Post, "/api/jobs", Asking.Typed(null, "us", ("name", "Mine")))).Status.ShouldBe(403);
    }

    [Fact]
    public async Task Who_is_deactivated_or_gone_is_out_at_once_and_does_not_come_in_again()
    {
        var (owner, lead) = await OwnerAndAsync(FirmRole.CrewLead);
        var (manager, crew) = (await product.SignedInAsync(owner), await CookieOfAsync(lead));
        var id = await IdOfAsync(manager, lead);
        (await manager.SendJsonAsync(HttpMethod.Put, $"/api/people/{id}/active", new { isActive = false })).Status.ShouldBe(200);
        (await StatusAsync(crew)).ShouldBe(401);
        (await SignInAsync(lead, DemoSeed.Password)).ShouldBe(401);
        (await manager.SendJsonAsync(HttpMethod.Put, $"/api/people/{id}/active", new { isActive = true })).Status.ShouldBe(200);

        var again = await CookieOfAsync(lead);
        await Product.InFirmOfAsync(lead, db => db.People.Where(p => p.SignInName == lead).ExecuteDeleteAsync());
        (await StatusAsync(again)).ShouldBe(401);
    }

    [Fact]
    public async Task Another_password_ends_the_other_sessions_and_keeps_the_one_that_asked()
    {
        var (name, _) = await OwnerAndAsync(FirmRole.Viewer);
        var (client, other) = (await product.SignedInAsync(name), await CookieOfAsync(name));
        (await ChangeAsync(client, "not it", "seven grey herons at dusk")).ShouldBe("wrongPassword");
        (await ChangeAsync(client, DemoSeed.Password, "too short")).ShouldBe("passwordLength");
        (await ChangeAsync(client, DemoSeed.Password, "Password2026!")).ShouldBe("commonPassword");
        (await StatusAsync(other)).ShouldBe(200);

        (await ChangeAsync(client, DemoSeed.Password, "seven grey herons at dusk")).ShouldBe("");
        (await StatusAsync(other)).ShouldBe(401);
        (await client.GetAsync("/api/session", TestContext.Current.CancellationToken)).EnsureSuccessStatusCode();
        (await SignInAsync(name, DemoSeed.Password)).ShouldBe(401);
        (await SignInAsync(name, "seven grey herons at dusk")).ShouldBe(200);
    }

    [Fact]
    public async Task One_signs_out_everywhere_but_here()
    {
        var (name, _) = await OwnerAndAsync(FirmRole.Viewer);
        var (client, other) = (await product.SignedInAsync(name), await CookieOfAsync(name));
        (await client.GetJsonAsync("/api/session/devices"))
            .AsArray()
            .Select(d => d!["isThis"]!.GetValue<bool>())
            .Order()
            .ShouldBe([false, true]);
        var (status, left) = await client.SendJsonAsync(HttpMethod.Delete, "/api/session/devices", new { });
        status.ShouldBe(200);
        left.AsArray().Count.ShouldBe(1);
        (await StatusAsync(other)).ShouldBe(401);
        (await client.GetAsync("/api/session", TestContext.Current.CancellationToken)).EnsureSuccessStatusCode();
    }

    [Theory]
    [InlineData(13, 100, 200)]
    [InlineData(15, 100, 401)]
    [InlineData(1, 7 * 24 + 1, 401)]
    public async Task A_session_runs_out_unused_and_however_much_it_is_used(double idleHours, double hours, int expected)
    {
        var (name, _) = await OwnerAndAsync(FirmRole.Viewer);
        var cookie = await CookieOfAsync(name);
        var now = DateTimeOffset.UtcNow;
        await Product.InFirmOfAsync(
            name,
            db =>
                db.Set<SessionRow>()
                    .ExecuteUpdateAsync(s =>
                        s.SetProperty(row => row.SeenAt, now.AddHours(-idleHours)).SetProperty(row => row.StartedAt, now.AddHours(-hours))
                    )
        );
        (await StatusAsync(cookie)).ShouldBe(expected);

        // Being used counts: what was about to run out lasts again.
        if (expected == 200)
        {
            await Product.InFirmOfAsync(
                name,
                async db => (await db.Set<SessionRow>().SingleAsync()).SeenAt.ShouldBeGreaterThan(now.AddMinutes(-1))
            );
        }
    }

    [Fact]
    public async Task The_last_owner_stays_also_when_two_take_the_role_from_each_other_at_once()
    {
        var names = await Product.NewFirmAsync(FirmRole.Owner, FirmRole.Owner);
        var clients = await Task.WhenAll(names.Select(product.SignedInAsync));
        var ids = new[] { await IdOfAsync(clients[0], names[0]), await IdOfAsync(clients[0], names[1]) };
        var answers = await Task.WhenAll(
            clients.Select((client, i) => client.SendJsonAsync(HttpMethod.Put, $"/api/people/{ids[1 - i]}/role", new { role = "viewer" }))
        );
        answers.Select(a => a.Status).Count(status => status == 200).ShouldBe(1);

        // The one who lost the role was signed out, or was told that the other one is the last.
        answers.Select(a => a.Status).Single(status => status != 200).ShouldBeOneOf(401, 403, 409);
        await Product.InFirmOfAsync(names[0], async db => (await db.People.CountAsync(p => p.Role == FirmRole.Owner)).ShouldBe(1));

        var last = names[answers[0].Status == 200 ? 0 : 1];
        var owner = await product.SignedInAsync(last);
        var (status, refusal) = await owner.SendJsonAsync(
            HttpMethod.Put,
            $"/api/people/{await IdOfAsync(owner, last)}/active",
            new { isActive = false }
        );
        status.ShouldBe(409, refusal.ToJsonString());
        (await owner.GetAsync("/api/people", TestContext.Current.CancellationToken)).EnsureSuccessStatusCode();
    }

    [Fact]
    public async Task An_owner_who_was_erased_is_none_a_firm_could_be_left_to()
    {
        var names = await Product.NewFirmAsync(FirmRole.Owner, FirmRole.Owner);
        var owner = await product.SignedInAsync(names[0]);
        var (own, other) = (await IdOfAsync(owner, names[0]), await IdOfAsync(owner, names[1]));
        (await owner.SendJsonAsync(HttpMethod.Put, $"/api/people/{other}/active", new { isActive = false })).Status.ShouldBe(200);
        (await owner.SendJsonAsync(HttpMethod.Post, $"/api/people/{other}/erase", new { })).Status.ShouldBe(200);
        (await owner.SendJsonAsync(HttpMethod.Put, $"/api/people/{other}/active", new { isActive = true })).Status.ShouldBe(200);
        (await owner.SendJsonAsync(HttpMethod.Put, $"/api/people/{own}/role", new { role = "viewer" })).Status.ShouldBe(409);
    }

    [Fact]
    public async Task Nobody_of_another_firm_is_seen_or_changed()
    {
        var (owner, _) = await OwnerAndAsync(FirmRole.Viewer);
        var (other, viewer) = await OwnerAndAsync(FirmRole.Viewer);
        var theirs = await IdOfAsync(await product.SignedInAsync(other), viewer);
        var client = await product.SignedInAsync(owner);
        (await client.GetJsonAsync("/api/people"))["people"]!.AsArray().Count.ShouldBe(2);
        (await client.SendJsonAsync(HttpMethod.Put, $"/api/people/{theirs}/role", new { role = "owner" })).Status.ShouldBe(404);
    }

    [Fact]
    public async Task A_demo_that_was_kept_gets_the_people_that_came_since()
    {
        const string Helper = "helper@ninthacre3.example";
        await Product.InFirmOfAsync("owner@ninthacre3.example", db => db.People.Where(p => p.SignInName == Helper).ExecuteDeleteAsync());
        (await SignInAsync(Helper, DemoSeed.Password)).ShouldBe(401);
        await Product.PlantAsync();
        (await SignInAsync(Helper, DemoSeed.Password)).ShouldBe(200);
    }

    private static async Task<(string Owner, string Other)> OwnerAndAsync(FirmRole role)
    {
        var names = await Product.NewFirmAsync(FirmRole.Owner, role);
        return (names[0], names[1]);
    }

    private static async Task<string> IdOfAsync(HttpClient owner, string name) =>
        (await owner.GetJsonAsync("/api/people"))["people"]!.AsArray().Single(p => p!.Text("signInName") == name)!.Text("id");

    private static async Task<string> ChangeAsync(HttpClient client, string current, string next)
    {
        var (status, body) = await client.SendJsonAsync(HttpMethod.Put, "/api/session/password", new { current, next });
        return status == 204 ? "" : body["faults"]![0]!.Text("code");
    }

    private async Task<int> SignInAsync(string name, string password) =>
        (await product.CreateClient().SendJsonAsync(HttpMethod.Post, "/api/session", new { signInName = name, password })).Status;

    // The cookie as whoever copied it holds it.
    private async Task<string> CookieOfAsync(string name)
    {
        using var client = product.CreateDefaultClient();
        var answer = await client.PostAsJsonAsync("/api/session", new { signInName = name, password = DemoSeed.Password });
        answer.EnsureSuccessStatusCode();
        return answer.Headers.GetValues("Set-Cookie").Single(c => c.StartsWith("umbracell=", StringComparison.Ordinal)).Split(';')[0];
    }

    private Task<int> StatusAsync(string cookie) => AskAsync(HttpMethod.Get, "/api/jobs", cookie);

    private async Task<int> AskAsync(HttpMethod method, string path, string cookie)
    {
        using var client = product.CreateDefaultClient();
        using var request = new HttpRequestMessage(method, path) { Headers = { { "Cookie", cookie } } };
        return (int)(await client.SendAsync(request)).StatusCode;
    }
}
