using System.Collections.Concurrent;
using System.Net.Http.Json;
using Microsoft.AspNetCore.Identity;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.AspNetCore.TestHost;
using Microsoft.Extensions.DependencyInjection;
using Shouldly;
using Umbracell.Server.Access;
using Umbracell.Store;
using Umbracell.Store.Model;
using Umbracell.Store.Seeding;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Guessing passwords gets slower and tells nothing, and keeps nobody else from signing in.</summary>
[Collection(OneProduct.CountsTries)]
public sealed class GuessingTests(Product product)
{
    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public async Task Two_hundred_guesses_at_once_get_five_tries_whether_the_name_is_known_or_not(bool known)
    {
        var name = known ? (await Product.NewFirmAsync(FirmRole.Owner))[0] : $"{Guid.NewGuid():N}@nowhere.example";
        var clock = new Standing();
        await using var guarded = Guarded(clock);
        var answers = await Task.WhenAll(Enumerable.Range(0, 200).Select(i => GuessAsync(guarded.CreateClient(), name, $"guess {i}")));
        answers.Count(status => status == 401).ShouldBe(5);
        answers.Count(status => status == 429).ShouldBe(195);

        // Now even the right one has to wait, where this name has never been signed in before: one second, then two, then four ...
        for (var wait = 1; wait < 100; wait *= 2)
        {
            (await GuessAsync(guarded.CreateClient(), name, DemoSeed.Password)).ShouldBe(429);
            clock.Now += TimeSpan.FromSeconds(wait) - TimeSpan.FromMilliseconds(1);
            (await GuessAsync(guarded.CreateClient(), name, "early")).ShouldBe(429);
            clock.Now += TimeSpan.FromMilliseconds(1);
            (await GuessAsync(guarded.CreateClient(), name, "guess")).ShouldBe(401);
        }
    }

    [Fact]
    public async Task Of_two_who_try_at_the_same_moment_neither_is_too_early()
    {
        var clock = new Standing();
        await using var guarded = Guarded(clock);
        var name = (await Product.NewFirmAsync(FirmRole.Owner))[0];
        (await GuessAsync(guarded.CreateClient(), name, "guess")).ShouldBe(401);

        // Whose clock was read first may be counted last.
        clock.Now -= TimeSpan.FromMilliseconds(3);
        (await GuessAsync(guarded.CreateClient(), name, DemoSeed.Password)).ShouldBe(200);
    }

    [Fact]
    public async Task Strangers_who_guess_do_not_keep_a_person_from_the_device_they_use()
    {
        await using var guarded = Guarded(new Standing());
        var (name, other) = ((await Product.NewFirmAsync(FirmRole.Owner))[0], (await Product.NewFirmAsync(FirmRole.Owner))[0]);
        var (own, colleague) = (guarded.CreateClient(), guarded.CreateClient());
        (await GuessAsync(own, name, DemoSeed.Password)).ShouldBe(200);
        (await GuessAsync(colleague, other, DemoSeed.Password)).ShouldBe(200);
        for (var i = 0; i < 8; i++)
        {
            await GuessAsync(guarded.CreateClient(), name, "guess");
        }

        (await GuessAsync(guarded.CreateClient(), name, DemoSeed.Password)).ShouldBe(429);
        (await GuessAsync(own, name, DemoSeed.Password)).ShouldBe(200);

        // Somebody else's device is no reason to let this name try there.
        (await GuessAsync(colleague, name, DemoSeed.Password)).ShouldBe(429);
    }

    [Fact]
    public async Task A_device_that_guesses_waits_as_well_and_is_told_how_long()
    {
        var clock = new Standing();
        await using var guarded = Guarded(clock);
        var (name, own) = ((await Product.NewFirmAsync(FirmRole.Owner))[0], guarded.CreateClient());
        (await GuessAsync(own, name, DemoSeed.Password)).ShouldBe(200);
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
        (await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken)).ShouldContain("Wait");

        // Whoever waits as long as they were told to gets in.
        clock.Now += answer.Headers.RetryAfter!.Delta!.Value;
        (await GuessAsync(own, name, DemoSeed.Password)).ShouldBe(200);
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
    [InlineData("Unbelievable99!", true)]
    [InlineData("1qaz2wsx3edc4rfv", true)]
    [InlineData("sprayfoam2026", true)]
    [InlineData("unbelievable heron", false)]
    [InlineData("owner@ninthacre.example", true)]
    [InlineData("seven grey herons at dusk", false)]
    [InlineData("monkey reads the dew point", false)]
    [InlineData("kT7#qLw2!vzP", false)]
    public void A_password_that_is_guessed_first_is_known(string password, bool common) =>
        Passwords.IsCommon(password, "owner@ninthacre.example").ShouldBe(common);

    private static async Task<int> GuessAsync(HttpClient client, string name, string password) =>
        (await client.SendJsonAsync(HttpMethod.Post, "/api/session", new { signInName = name, password })).Status;

    // A slow machine would otherwise sit out a wait by being slow.
    private WebApplicationFactory<Program> Guarded(Standing clock) =>
        product.WithWebHostBuilder(host =>
            host.ConfigureTestServices(services =>
                services.AddScoped(scope => new SignInTries(scope.GetRequiredService<UmbracellDb>(), clock))
            )
        );

    private sealed class Standing : TimeProvider
    {
        public DateTimeOffset Now { get; set; } = System.GetUtcNow();

        public override DateTimeOffset GetUtcNow() => Now;
    }

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
