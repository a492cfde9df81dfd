using System.Diagnostics;
using System.Security.Cryptography;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Configuration;
using Microsoft.Extensions.DependencyInjection;
using Shouldly;
using Umbracell.Server.Access;
using Umbracell.Store.Model;
using Umbracell.Store.Seeding;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Who reads where the keys are kept cannot make cookies; who runs the machine can let an owner in again.</summary>
[Collection(OneProduct.CountsTries)]
public sealed class KeyRingTests(Product product) : IDisposable
{
    private readonly DirectoryInfo _kept = Directory.CreateTempSubdirectory("keys");

    [Fact]
    public void Keys_are_kept_encrypted_and_read_by_whoever_has_the_secret_alone()
    {
        var (secret, other) = (new string('a', 40), new string('b', 40));
        var word = Ring(secret).Protect("said");
        var kept = string.Concat(_kept.GetFiles().Select(file => File.ReadAllText(file.FullName)));
        kept.ShouldContain("sealedKey");
        kept.ShouldNotContain("<masterKey");

        Ring(secret).Unprotect(word).ShouldBe("said");
        Should.Throw<CryptographicException>(() => Ring(other).Unprotect(word));
        Should.Throw<CryptographicException>(() => Ring("").Unprotect(word));
    }

    [Fact]
    public void A_secret_comes_from_a_file_too_and_a_bad_one_is_told_at_once()
    {
        var file = Path.Combine(_kept.FullName, "secret");
        File.WriteAllText(file, new string('a', 40) + "\n");
        Of(("KeyRing:SecretFile", file)).ShouldBe(Of(("KeyRing:Secret", new string('a', 40))));
        Should.Throw<InvalidOperationException>(() => Of(("KeyRing:Secret", "short"))).Message.ShouldContain("32 characters");
        Should.Throw<InvalidOperationException>(() => Of(("KeyRing:SecretFile", file + ".none"))).Message.ShouldContain(file);

        static byte[]? Of((string Name, string Value) setting) => KeyRingSecret.Of(Settings(setting)).Key;
    }

    [Fact]
    public async Task An_owner_who_is_locked_out_gets_a_password_from_who_runs_the_machine()
    {
        var name = (await Product.NewFirmAsync(FirmRole.Owner))[0];
        var before = await product.SignedInAsync(name);
        await Product.InFirmOfAsync(
            name,
            async db =>
            {
                var person = await db.People.SingleAsync();
                person.DeactivatedAt = DateTimeOffset.UtcNow;
                db.Add(new SecondStepRow { PersonId = person.Id, Secret = "on a device that was lost" });
                await db.SaveChangesAsync();
            }
        );
        var (status, said) = await RunAsync("reset-sign-in", name);
        status.ShouldBe(0, said);
        var password = said.Trim().Split(' ')[^1];
        Passwords.IsCommon(password, name).ShouldBeFalse();
        password.Length.ShouldBeGreaterThanOrEqualTo(Passwords.Shortest);

        (await SignInAsync(name, DemoSeed.Password)).ShouldBe(401);
        (await SignInAsync(name, password)).ShouldBe(200);
        await Product.InFirmOfAsync(name, async db => (await db.People.SingleAsync()).PasswordIsFirst.ShouldBeTrue());
        ((int)(await before.GetAsync("/api/jobs", TestContext.Current.CancellationToken)).StatusCode).ShouldBe(401);

        (await RunAsync("reset-sign-in", "nobody@nowhere.example")).ShouldBe((1, "Nobody signs in under that name."));
    }

    public void Dispose() => _kept.Delete(recursive: true);

    private async Task<int> SignInAsync(string signInName, string password) =>
        (await product.CreateClient().SendJsonAsync(HttpMethod.Post, "/api/session", new { signInName, password })).Status;

    private IDataProtector Ring(string secret)
    {
        var services = new ServiceCollection();
        services.AddDataProtection().SetApplicationName("test").PersistKeysToFileSystem(_kept);
        services.EncryptKeys(Settings(("KeyRing:Secret", secret)));
        return services.BuildServiceProvider().GetRequiredService<IDataProtectionProvider>().CreateProtector("test");
    }

    private static IConfiguration Settings((string Name, string Value) setting) =>
        new ConfigurationBuilder().AddInMemoryCollection([new(setting.Name, setting.Value)]).Build();

    // As it is started on the machine: under the role that owns the tables.
    private static async Task<(int Status, string Said)> RunAsync(params string[] args)
    {
        var start = new ProcessStartInfo("dotnet", [typeof(Program).Assembly.Location, .. args])
        {
            RedirectStandardOutput = true,
            RedirectStandardError = true,
            Environment =
            {
                ["ConnectionStrings__Umbracell"] =
                    Environment.GetEnvironmentVariable("UMBRACELL_TEST_OWNER") + ";Database=umbracell_server_tests",
                ["Serilog__MinimumLevel__Default"] = "Fatal",
            },
        };
        using var process = Process.Start(start)!;
        var (said, faults) = (process.StandardOutput.ReadToEndAsync(), process.StandardError.ReadToEndAsync());
        await process.WaitForExitAsync();
        return (process.ExitCode, (process.ExitCode == 0 ? await said : await faults).Trim());
    }
}
