using System.Buffers.Binary;
using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.EntityFrameworkCore;
using Shouldly;
using Umbracell.Store.Model;
using Umbracell.Store.Seeding;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>A code besides the password: taken once, in its half minute, of the device that was set up; and what has to be done before
/// anything else.</summary>
public sealed class SecondStepTests(Product product)
{
    private const string Step = "/api/session/second-step",
        Own = "seven grey herons at dusk";

    /// <summary>RFC 6238, appendix B (SHA-1): the last six of its eight digits.</summary>
    [Theory]
    [InlineData(59, "287082")]
    [InlineData(1111111109, "081804")]
    [InlineData(1234567890, "005924")]
    [InlineData(20000000000, "353130")]
    public void A_device_makes_the_codes_that_are_published(long seconds, string code) =>
        CodeAt("GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ", seconds / 30).ShouldBe(code);

    [Fact]
    public async Task A_code_is_asked_for_once_the_device_has_shown_one_and_each_lets_in_once()
    {
        var (name, client) = await OneselfAsync();
        (await client.SendJsonAsync(HttpMethod.Post, Step, new { password = "not it" })).Status.ShouldBe(400);
        var key = await BeginAsync(client);
        (await SignInAsync(name)).Status.ShouldBe(200, "a key alone changes nothing");
        var used = Now;
        (await client.SendJsonAsync(HttpMethod.Put, Step, new { code = CodeAt(key, used - 90) })).Status.ShouldBe(400);
        (await client.SendJsonAsync(HttpMethod.Put, Step, new { code = CodeAt(key, used) })).Status.ShouldBe(200);

        var (status, refusal) = await SignInAsync(name);
        (status, refusal["needsCode"]!.GetValue<bool>()).ShouldBe((401, true));
        (await SignInAsync(name, password: "not it", code: CodeAt(key, used + 1))).Body["needsCode"].ShouldBeNull();
        (await SignInAsync(name, CodeAt(key, used))).Status.ShouldBe(401, "it was used to set the second step up");
        // The one after is taken as well: clocks differ.
        var code = CodeAt(key, used + 1);
        var answers = await Task.WhenAll(Enumerable.Range(0, 4).Select(_ => SignInAsync(name, code)));
        answers.Count(answer => answer.Status == 200).ShouldBe(1, string.Join("\n", answers.Select(a => $"{a.Status} {a.Body}")));
        (await SignInAsync(name, code)).Status.ShouldBe(401, "it was used");
    }

    [Fact]
    public async Task A_spare_code_lets_in_once_and_setting_up_anew_ends_the_old_ones()
    {
        var (name, client) = await OneselfAsync();
        var (_, spares) = await SetUpAsync(client);
        spares.Count.ShouldBe(8);
        (await SignInAsync(name, spares[3])).Status.ShouldBe(200);
        (await SignInAsync(name, spares[3])).Status.ShouldBe(401);
        (await client.GetJsonAsync(Step))["sparesLeft"]!.GetValue<int>().ShouldBe(7);

        // The device goes on as it is until the new key has shown that it works.
        await BeginAsync(client);
        (await SignInAsync(name, spares[0])).Status.ShouldBe(200);
        var (_, anew) = await SetUpAsync(client);
        (await SignInAsync(name, spares[1])).Status.ShouldBe(401);
        (await SignInAsync(name, anew[1].Replace("-", " ", StringComparison.Ordinal))).Status.ShouldBe(200);
    }

    [Fact]
    public async Task What_is_kept_of_it_tells_nobody_a_code()
    {
        var (name, client) = await OneselfAsync();
        var (key, spares) = await SetUpAsync(client);
        await Product.InFirmOfAsync(
            name,
            async db =>
            {
                var kept = await db.Set<SecondStepRow>().SingleAsync();
                kept.Secret!.ShouldNotContain(key);
                kept.SpareCodes.ShouldAllBe(hash => spares.All(spare => !hash.Contains(spare.Replace("-", "", StringComparison.Ordinal))));
            }
        );
        var id = (await client.GetJsonAsync("/api/session")).Text("id");
        (await client.GetStringAsync($"/api/people/{id}/export", TestContext.Current.CancellationToken)).ShouldNotContain(key);
    }

    [Fact]
    public async Task It_is_taken_away_with_the_password_or_by_an_owner_and_both_stand_in_the_book()
    {
        var names = await Product.NewFirmAsync(FirmRole.Owner, FirmRole.Helper);
        var (owner, helper) = (await product.SignedInAsync(names[0]), await product.SignedInAsync(names[1]));
        await SetUpAsync(helper);
        (await helper.SendJsonAsync(HttpMethod.Post, $"{Step}/remove", new { password = "not it" })).Status.ShouldBe(400);
        (await helper.SendJsonAsync(HttpMethod.Post, $"{Step}/remove", new { password = DemoSeed.Password })).Status.ShouldBe(204);
        (await SignInAsync(names[1])).Status.ShouldBe(200);

        await SetUpAsync(helper);
        var id = (await helper.GetJsonAsync("/api/session")).Text("id");
        (await owner.SendJsonAsync(HttpMethod.Delete, $"/api/people/{id}/second-step", new { })).Status.ShouldBe(204);
        (await StatusAsync(helper, "/api/session")).ShouldBe(401);
        (await SignInAsync(names[1])).Status.ShouldBe(200);
        var book = (await owner.GetJsonAsync("/api/security-events")).AsArray();
        book.Count(e => e!.Text("kind") == "secondStepChanged").ShouldBe(4);

        // Nor is it kept of somebody of whom nothing is.
        await SetUpAsync(await product.SignedInAsync(names[1]));
        (await owner.SendJsonAsync(HttpMethod.Put, $"/api/people/{id}/active", new { isActive = false })).Status.ShouldBe(200);
        var (_, left) = await owner.SendJsonAsync(HttpMethod.Post, $"/api/people/{id}/erase", new { });
        left["people"]!.AsArray().Single(p => p!.Text("id") == id)!["hasSecondStep"]!.GetValue<bool>().ShouldBeFalse();
    }

    [Fact]
    public async Task A_firm_asks_for_it_and_who_has_none_sets_it_up_before_anything_else()
    {
        var names = await Product.NewFirmAsync(FirmRole.Owner, FirmRole.Estimator, FirmRole.Helper);
        var clients = await Task.WhenAll(names.Select(product.SignedInAsync));
        var (owner, helper) = (clients[0], clients[2]);
        (await AskAsync("whoPrices")).ShouldBe(409, "whoever asks it of others has it");
        await SetUpAsync(owner);
        (await AskAsync("whoPrices")).ShouldBe(200);
        (await owner.SendJsonAsync(HttpMethod.Post, $"{Step}/remove", new { password = DemoSeed.Password })).Status.ShouldBe(409);

        (await StatusAsync(helper, "/api/jobs")).ShouldBe(200);
        (await StatusAsync(clients[1], "/api/jobs")).ShouldBe(401);
        var estimator = await product.SignedInAsync(names[1]);
        (await estimator.GetJsonAsync("/api/session")).Text("task").ShouldBe("secondStep");
        var refusal = await estimator.GetAsync("/api/jobs", TestContext.Current.CancellationToken);
        ((int)refusal.StatusCode).ShouldBe(403);
        (await refusal.Content.ReadAsStringAsync(TestContext.Current.CancellationToken)).ShouldContain("Set it up first");
        await SetUpAsync(estimator);
        (await StatusAsync(estimator, "/api/jobs")).ShouldBe(200);

        async Task<int> AskAsync(string of) => (await owner.SendJsonAsync(HttpMethod.Put, "/api/people/codes", new { of })).Status;
    }

    [Fact]
    public async Task A_password_that_somebody_else_made_up_is_for_one_sign_in()
    {
        var name = (await Product.NewFirmAsync(FirmRole.Owner))[0];
        await Product.InFirmOfAsync(name, db => db.People.ExecuteUpdateAsync(p => p.SetProperty(one => one.PasswordIsFirst, true)));
        var client = await product.SignedInAsync(name);
        (await client.GetJsonAsync("/api/session")).Text("task").ShouldBe("ownPassword");
        foreach (var path in new[] { "/api/jobs", "/api/people", "/api/firm" })
        {
            (await StatusAsync(client, path)).ShouldBe(403, path);
        }

        (await ChangeAsync(DemoSeed.Password)).ShouldBe(400);
        (await ChangeAsync(Own)).ShouldBe(204);
        (await client.GetJsonAsync("/api/session"))["task"].ShouldBeNull();
        (await StatusAsync(client, "/api/jobs")).ShouldBe(200);

        async Task<int> ChangeAsync(string next) =>
            (await client.SendJsonAsync(HttpMethod.Put, "/api/session/password", new { current = DemoSeed.Password, next })).Status;
    }

    private async Task<(string Name, HttpClient Client)> OneselfAsync()
    {
        var name = (await Product.NewFirmAsync(FirmRole.Owner))[0];
        return (name, await product.SignedInAsync(name));
    }

    private static async Task<string> BeginAsync(HttpClient client)
    {
        var (status, body) = await client.SendJsonAsync(HttpMethod.Post, Step, new { password = DemoSeed.Password });
        status.ShouldBe(200, body.ToJsonString());
        return body.Text("key");
    }

    private static async Task<(string Key, IReadOnlyList<string> Spares)> SetUpAsync(HttpClient client)
    {
        var key = await BeginAsync(client);
        var (status, body) = await client.SendJsonAsync(HttpMethod.Put, Step, new { code = CodeAt(key, Now) });
        status.ShouldBe(200, body.ToJsonString());
        return (key, [.. body["codes"]!.AsArray().Select(code => code!.GetValue<string>())]);
    }

    private Task<(int Status, JsonNode Body)> SignInAsync(string name, string? code = null, string password = DemoSeed.Password) =>
        product
            .CreateClient()
            .SendJsonAsync(
                HttpMethod.Post,
                "/api/session",
                new
                {
                    signInName = name,
                    password,
                    code,
                }
            );

    private static async Task<int> StatusAsync(HttpClient client, string path) =>
        (int)(await client.GetAsync(path, TestContext.Current.CancellationToken)).StatusCode;

    private static long Now => DateTimeOffset.UtcNow.ToUnixTimeSeconds() / 30;

    // RFC 4226, 5.3, over the half minute.
    private static string CodeAt(string key, long halfMinute)
    {
        var counter = new byte[8];
        BinaryPrimitives.WriteInt64BigEndian(counter, halfMinute);
#pragma warning disable CA5350 // The standard's own.
        var hash = HMACSHA1.HashData(Bytes(key), counter);
#pragma warning restore CA5350
        var number = BinaryPrimitives.ReadInt32BigEndian(hash.AsSpan(hash[^1] & 15)) & int.MaxValue;
        return (number % 1_000_000).ToString("000000", CultureInfo.InvariantCulture);
    }

    private static byte[] Bytes(string base32)
    {
        var bits = new StringBuilder();
        foreach (var letter in base32)
        {
            bits.Append(CultureInfo.InvariantCulture, $"{"ABCDEFGHIJKLMNOPQRSTUVWXYZ234567".IndexOf(letter):b5}");
        }

        return [.. bits.ToString().Chunk(8).Where(eight => eight.Length == 8).Select(eight => Convert.ToByte(new string(eight), 2))];
    }
}
