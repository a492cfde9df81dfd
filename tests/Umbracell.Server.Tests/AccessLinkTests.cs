using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Microsoft.EntityFrameworkCore;
using Shouldly;
using Umbracell.Store.Model;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Somebody is invited by a link, and somebody who forgot the password chooses a new one by a link; each opens once.</summary>
public sealed class AccessLinkTests(Product product)
{
    private const string Password = "seven cold drums in line";

    [Fact]
    public async Task Who_is_invited_comes_in_with_the_role_that_was_given_and_the_link_is_over()
    {
        var owner = await OwnerAsync();
        var secret = await InviteAsync(owner.Client, "R. Sample", "helper");
        (await owner.Client.GetJsonAsync("/api/people/links")).ToJsonString().ShouldNotContain(secret);
        var opened = await SendAsync(HttpMethod.Post, new { secret });
        (opened.Status, opened.Body.Text("role"), opened.Body.Text("title")).ShouldBe((200, "helper", "R. Sample"));

        var name = NewName();
        (await UseAsync(secret, name)).Status.ShouldBe(204);
        var invited = await SignedInAsync(name, Password);
        var who = await invited.GetJsonAsync("/api/session");
        (who.Text("role"), who.Text("title"), who["task"]).ShouldBe(("helper", "R. Sample", null));
        who.Text("firm").ShouldBe((await owner.Client.GetJsonAsync("/api/session")).Text("firm"));

        var again = await UseAsync(secret, NewName());
        (again.Status, again.Body.Text("detail")).ShouldBe((409, Sentence("used")));
        (await SendAsync(HttpMethod.Post, new { secret })).Body.Text("detail").ShouldBe(Sentence("used"));
        (await owner.Client.GetJsonAsync("/api/people/links"))["links"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task Of_two_who_use_a_link_at_once_one_comes_in()
    {
        var owner = await OwnerAsync();
        var secret = await InviteAsync(owner.Client, "One", "viewer");
        var answers = await Task.WhenAll(Enumerable.Range(0, 6).Select(_ => UseAsync(secret, NewName())));
        answers.Count(answer => answer.Status == 204).ShouldBe(1);
        answers.Where(answer => answer.Status != 204).ShouldAllBe(answer => answer.Status == 409);
        (await owner.Client.GetJsonAsync("/api/people"))["people"]!.AsArray().Count.ShouldBe(2);
    }

    [Fact]
    public async Task A_link_that_expired_was_withdrawn_or_never_was_opens_nothing_and_says_so()
    {
        var owner = await OwnerAsync();
        var expired = await InviteAsync(owner.Client, "Late", "viewer");
        await Product.InFirmOfAsync(
            owner.Name,
            db => db.Set<AccessLinkRow>().ExecuteUpdateAsync(l => l.SetProperty(one => one.ExpiresAt, DateTimeOffset.UtcNow.AddSeconds(-1)))
        );
        (await UseAsync(expired, NewName())).Body.Text("detail").ShouldBe(Sentence("expired"));

        var withdrawn = await InviteAsync(owner.Client, "Not after all", "viewer");
        var id = (await owner.Client.GetJsonAsync("/api/people/links"))["links"]![0]!.Text("id");
        (await owner.Client.SendJsonAsync(HttpMethod.Delete, $"/api/people/links/{id}", new { })).Status.ShouldBe(200);
        (await UseAsync(withdrawn, NewName())).Body.Text("detail").ShouldBe(Sentence("unknown"));
        (await UseAsync(new('0', 64), NewName())).Body.Text("detail").ShouldBe(Sentence("unknown"));
        (await owner.Client.GetJsonAsync("/api/people"))["people"]!.AsArray().Count.ShouldBe(1);
    }

    [Theory]
    [InlineData("", Password, "R", "signInName", "empty")]
    [InlineData("erased-1", Password, "R", "signInName", "taken")]
    [InlineData("OWNER@ninthacre.example", Password, "R", "signInName", "taken")]
    [InlineData(null, "short", "R", "password", "passwordLength")]
    [InlineData(null, "passwordpassword", "R", "password", "commonPassword")]
    [InlineData(null, Password, " ", "title", "empty")]
    [InlineData(null, Password, "long", "title", "tooLong")]
    [InlineData(null, Password, "R\u0007", "title", "unwritable")]
    public async Task Bad_input_is_told_at_its_field_and_the_link_still_opens(
        string? name,
        string password,
        string title,
        string field,
        string code
    )
    {
        var owner = await OwnerAsync();
        var secret = await InviteAsync(owner.Client, "Guest", "viewer");
        title = title == "long" ? new('x', 900) : title;
        var refused = await UseAsync(secret, name ?? NewName(), password, title);
        refused.Status.ShouldBe(400, refused.Body.ToJsonString());
        var fault = refused.Body["faults"]!.AsArray().Single()!;
        (fault.Text("field"), fault.Text("code")).ShouldBe((field, code));

        // Letters of another direction are letters.
        (await UseAsync(secret, NewName(), Password, "رئيس الورشة")).Status.ShouldBe(204);
    }

    [Fact]
    public async Task A_link_for_a_new_password_ends_every_session_and_the_old_password()
    {
        var names = await Product.NewFirmAsync(FirmRole.Owner, FirmRole.Estimator);
        var (owner, estimator) = (await product.SignedInAsync(names[0]), await product.SignedInAsync(names[1]));
        var people = (await owner.GetJsonAsync("/api/people"))["people"]!.AsArray();
        var id = people.Single(p => p!.Text("signInName") == names[1])!.Text("id");
        var (status, made) = await owner.SendJsonAsync(HttpMethod.Post, $"/api/people/{id}/links", new { });
        status.ShouldBe(200, made.ToJsonString());
        var opened = await SendAsync(HttpMethod.Post, new { secret = made.Text("secret") });
        opened.Body.Text("signInName").ShouldBe(names[1]);
        (await UseAsync(made.Text("secret"), null)).Status.ShouldBe(204);

        ((int)(await estimator.GetAsync("/api/session", TestContext.Current.CancellationToken)).StatusCode).ShouldBe(401);
        (await (await SignedInAsync(names[1], Password)).GetJsonAsync("/api/session")).Text("role").ShouldBe("estimator");
        var old = await Anybody()
            .PostAsJsonAsync("/api/session", new { signInName = names[1], password = "umbra-demo" }, TestContext.Current.CancellationToken);
        ((int)old.StatusCode).ShouldBe(401);
        (await UseAsync(made.Text("secret"), null)).Status.ShouldBe(409);
    }

    [Fact]
    public async Task Nobody_makes_a_link_for_somebody_of_another_firm_or_for_one_who_may_not_sign_in()
    {
        var (owner, stranger) = (await OwnerAsync(), await OwnerAsync());
        var id = (await stranger.Client.GetJsonAsync("/api/people"))["people"]![0]!.Text("id");
        (await owner.Client.SendJsonAsync(HttpMethod.Post, $"/api/people/{id}/links", new { })).Status.ShouldBe(404);

        var names = await Product.NewFirmAsync(FirmRole.Owner, FirmRole.Viewer);
        var other = await product.SignedInAsync(names[0]);
        var viewer = (await other.GetJsonAsync("/api/people"))["people"]!.AsArray().Single(p => p!.Text("role") == "viewer")!.Text("id");
        var (_, made) = await other.SendJsonAsync(HttpMethod.Post, $"/api/people/{viewer}/links", new { });
        await other.SendJsonAsync(HttpMethod.Put, $"/api/people/{viewer}/active", new { isActive = false });
        (await UseAsync(made.Text("secret"), null)).Status.ShouldBe(409);
        (await other.SendJsonAsync(HttpMethod.Post, $"/api/people/{viewer}/links", new { })).Status.ShouldBe(409);
    }

    [Theory]
    [InlineData("role", "estimator")]
    [InlineData("active", null)]
    public async Task A_link_ends_with_its_maker(string what, string? role)
    {
        var names = await Product.NewFirmAsync(FirmRole.Owner, FirmRole.Owner);
        var (first, second) = (await product.SignedInAsync(names[0]), await product.SignedInAsync(names[1]));
        var secret = await InviteAsync(first, "Back door", "owner");
        var id = (await second.GetJsonAsync("/api/people"))["people"]!.AsArray().Single(p => p!.Text("signInName") == names[0])!.Text("id");
        object choice = role is null ? new { isActive = false } : new { role };
        (await second.SendJsonAsync(HttpMethod.Put, $"/api/people/{id}/{what}", choice)).Status.ShouldBe(200);
        (await UseAsync(secret, NewName())).Body.Text("detail").ShouldBe(Sentence("unknown"));
        (await second.GetJsonAsync("/api/people"))["people"]!.AsArray().Count.ShouldBe(2);
    }

    [Fact]
    public async Task Asked_for_twice_under_one_id_there_is_one_link_and_the_last_secret_opens_it()
    {
        var owner = await OwnerAsync();
        var path = $"/api/people/links?command={Guid.CreateVersion7()}";
        var first = await owner.Client.SendJsonAsync(HttpMethod.Post, path, new { title = "One", role = "viewer" });
        var second = await owner.Client.SendJsonAsync(HttpMethod.Post, path, new { title = "One", role = "viewer" });
        second.Body["links"]!.AsArray().Count.ShouldBe(1);
        (await UseAsync(first.Body.Text("secret"), NewName())).Status.ShouldBe(409);
        (await UseAsync(second.Body.Text("secret"), NewName())).Status.ShouldBe(204);
    }

    [Theory]
    [InlineData("R. Sample", "R. Sample, Owner")]
    [InlineData("Owner of the yard", "Owner of the yard")]
    [InlineData("B. Townowner", "B. Townowner, Owner")]
    public async Task What_somebody_enters_carries_name_and_role(string title, string by)
    {
        var name = (await Product.NewFirmAsync(FirmRole.Owner))[0];
        var client = await product.SignedInAsync(name);
        (await client.SendJsonAsync(HttpMethod.Put, "/api/session/name", new { title })).Status.ShouldBe(204);
        (await client.GetJsonAsync("/api/session")).Text("title").ShouldBe(title);
        var (_, job) = await client.SendJsonAsync(HttpMethod.Post, "/api/jobs", Asking.Typed(null, "us", ("name", "Named")));
        await client.DeleteAsync($"/api/jobs/{job.Text("id")}", TestContext.Current.CancellationToken);
        var deleted = (await client.GetJsonAsync("/api/jobs/deleted"))[0]!;
        deleted.Text("deletedBy").ShouldBe(by);
    }

    [Fact]
    public async Task One_device_is_signed_out_and_the_others_stay()
    {
        var name = (await Product.NewFirmAsync(FirmRole.Owner))[0];
        var (desk, phone, tablet) = (
            await product.SignedInAsync(name),
            await product.SignedInAsync(name),
            await product.SignedInAsync(name)
        );
        var devices = (await desk.GetJsonAsync("/api/session/devices")).AsArray();
        var own = (await phone.GetJsonAsync("/api/session/devices")).AsArray().Single(d => d!["isThis"]!.GetValue<bool>())!.Text("id");
        devices.Count.ShouldBe(3);
        (await desk.SendJsonAsync(HttpMethod.Delete, $"/api/session/devices/{own}", new { })).Body.AsArray().Count.ShouldBe(2);
        ((int)(await phone.GetAsync("/api/session", TestContext.Current.CancellationToken)).StatusCode).ShouldBe(401);
        ((int)(await tablet.GetAsync("/api/session", TestContext.Current.CancellationToken)).StatusCode).ShouldBe(200);
        (await desk.SendJsonAsync(HttpMethod.Delete, $"/api/session/devices/{own}", new { })).Status.ShouldBe(404);
    }

    private static string NewName() => $"new-{Guid.NewGuid():N}@firm.example";

    private static string Sentence(string key) => Umbracell.Formats.Words.WordCatalog.Say($"problem.said.link.{key}");

    private async Task<(HttpClient Client, string Name)> OwnerAsync()
    {
        var name = (await Product.NewFirmAsync(FirmRole.Owner))[0];
        return (await product.SignedInAsync(name), name);
    }

    private static async Task<string> InviteAsync(HttpClient owner, string title, string role)
    {
        var (status, answer) = await owner.SendJsonAsync(HttpMethod.Post, "/api/people/links", new { title, role });
        status.ShouldBe(200, answer.ToJsonString());
        return answer.Text("secret");
    }

    private HttpClient Anybody() => product.CreateClient();

    private Task<(int Status, JsonNode Body)> SendAsync(HttpMethod method, object body) =>
        Anybody().SendJsonAsync(method, "/api/link", body);

    private Task<(int Status, JsonNode Body)> UseAsync(
        string secret,
        string? signInName,
        string password = Password,
        string? title = null
    ) =>
        SendAsync(
            HttpMethod.Put,
            new
            {
                secret,
                signInName,
                password,
                title,
            }
        );

    private async Task<HttpClient> SignedInAsync(string name, string password)
    {
        var client = Anybody();
        var answer = await client.PostAsJsonAsync(
            "/api/session",
            new { signInName = name, password },
            TestContext.Current.CancellationToken
        );
        ((int)answer.StatusCode).ShouldBe(200, name);
        return client;
    }
}
