using System.Collections.Concurrent;
using System.Diagnostics;
using System.Net.Http.Json;
using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.TestHost;
using Microsoft.Extensions.DependencyInjection;
using Shouldly;
using Umbracell.Server.Access;
using Umbracell.Store.Model;
using Umbracell.Store.Seeding;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Guessing passwords gets slower and tells nothing, and keeps nobody else from signing in.</summary>
public sealed class GuessingTests(Product product) : IClassFixture<Product>
{
    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public async Task Two_hundred_guesses_at_once_get_five_tries_whether_the_name_is_known_or_not(bool known)
    {
        var name = known ? (await Product.NewFirmAsync(FirmRole.Owner))[0] : $"{Guid.NewGuid():N}@nowhere.example";
        var start = Stopwatch.GetTimestamp();
        var answers = await Task.WhenAll(Enumerable.Range(0, 200).Select(i => GuessAsync(product.CreateClient(), name, $"guess {i}")));

        // On a slow machine a wait may end while they come: the sixth after one second, the seventh after two more.
        var more = (int)Math.Ceiling(Math.Log2(Stopwatch.GetElapsedTime(start).TotalSeconds + 1));
        answers.Count(status => status == 401).ShouldBeInRange(5, 5 + more);
        answers.Where(status => status != 401).Distinct().ShouldBe([429]);

        // Now even the right one has to wait, where this name has never been signed in before.
        while (await GuessAsync(product.CreateClient(), name, "one more") != 429) { }

        (await GuessAsync(product.CreateClient(), name, DemoSeed.Password)).ShouldBe(429);
    }

    [Fact]
    public async Task Strangers_who_guess_do_not_keep_a_person_from_the_device_they_use()
    {
        var name = (await Product.NewFirmAsync(FirmRole.Owner))[0];
        var own = await product.SignedInAsync(name);
        for (var i = 0; i < 8; i++)
        {
            await GuessAsync(product.CreateClient(), name, "guess");
        }

        (await GuessAsync(product.CreateClient(), name, DemoSeed.Password)).ShouldBe(429);
        (await GuessAsync(own, name, DemoSeed.Password)).ShouldBe(200);

        // Somebody else's device is no reason to let this name try there.
        var colleague = await product.SignedInAsync((await Product.NewFirmAsync(FirmRole.Owner))[0]);
        (await GuessAsync(colleague, name, DemoSeed.Password)).ShouldBe(429);
    }

    [Fact]
    public async Task A_device_that_guesses_waits_as_well_and_is_told_how_long()
    {
        var name = (await Product.NewFirmAsync(FirmRole.Owner))[0];
        var own = await product.SignedInAsync(name);
        for (var i = 0; i < 5; i++)
        {
            (await GuessAsync(own, name, "wrong")).ShouldBe(401);
        }

        var answer = await own.PostAsJsonAsync(
            "/api/session",
            new { signInName = name, password = DemoSeed.Password },
            TestContext.Current.CancellationToken
        );
        ((int)answer.StatusCode).ShouldBe(429);
        answer.Headers.RetryAfter!.Delta!.Value.TotalSeconds.ShouldBeInRange(1, 4);
        (await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken)).ShouldContain("Wait");
    }

    [Fact]
    public async Task A_known_and_an_unknown_name_are_answered_alike_and_cost_alike()
    {
        var hasher = new CountingHasher();
        await using var counted = product.WithWebHostBuilder(host =>
            host.ConfigureTestServices(services => services.AddSingleton<IPasswordHasher<Person>>(hasher))
        );
        var known = (await Product.NewFirmAsync(FirmRole.Owner))[0];
        var told = new List<string>();
        foreach (var name in new[] { known, $"{Guid.NewGuid():N}@nowhere.example" })
        {
            var answer = await counted
                .CreateClient()
                .PostAsJsonAsync("/api/session", new { signInName = name, password = "wrong" }, TestContext.Current.CancellationToken);
            answer.Headers.Contains("Server-Timing").ShouldBeFalse();
            told.Add($"{answer.StatusCode} {await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken)}");
        }

        told[0].Split("traceId")[0].ShouldBe(told[1].Split("traceId")[0]);
        hasher.Verified.Count.ShouldBe(2);
        hasher.Verified.Distinct().Count().ShouldBe(2);
    }

    [Theory]
    [InlineData("password", true)]
    [InlineData("Password2026!!", true)]
    [InlineData("P@ssword-1234567", true)]
    [InlineData("P4$$w0rd-in-2026", false)]
    [InlineData("2026-P4ssw0rd!!", true)]
    [InlineData("123456789012", true)]
    [InlineData("qwertyuiopasdfghjkl", true)]
    [InlineData("aaaaaaaaaaaaaaa", true)]
    [InlineData("monkeymonkeymonkey", true)]
    [InlineData("owner@ninthacre.example", true)]
    [InlineData("seven grey herons at dusk", false)]
    [InlineData("monkey reads the dew point", false)]
    [InlineData("kT7#qLw2!vzP", false)]
    public void A_password_that_is_guessed_first_is_known(string password, bool common) =>
        Passwords.IsCommon(password, "owner@ninthacre.example").ShouldBe(common);

    private static async Task<int> GuessAsync(HttpClient client, string name, string password) =>
        (await client.SendJsonAsync(HttpMethod.Post, "/api/session", new { signInName = name, password })).Status;

    private sealed class CountingHasher : PasswordHasher<Person>
    {
        public ConcurrentBag<string> Verified { get; } = [];

        public override PasswordVerificationResult VerifyHashedPassword(Person user, string hashedPassword, string providedPassword)
        {
            Verified.Add(hashedPassword);
            return base.VerifyHashedPassword(user, hashedPassword, providedPassword);
        }
    }
}
