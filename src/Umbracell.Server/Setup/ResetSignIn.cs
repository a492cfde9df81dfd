using System.Security.Cryptography;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using Umbracell.Store;
using Umbracell.Store.Model;
using Umbracell.Store.Tenancy;

namespace Umbracell.Server.Setup;

/// <summary>Gives somebody who cannot sign in any more a new password, for whoever runs the machine: <c>Umbracell.Server reset-sign-in
/// NAME</c>. All their sessions end, waits are over, a second step is taken away, and they may sign in again if they might not. The password
/// is for one sign-in: they choose their own then.</summary>
internal static class ResetSignIn
{
    public const string Command = "reset-sign-in";

    // Without letters and digits that are taken for one another when read out.
    private const string Letters = "abcdefghjkmnpqrstuvwxyz23456789";

    public static async Task<int> RunAsync(WebApplication app, string[] args)
    {
        var name = args.SkipWhile(arg => arg != Command).Skip(1).FirstOrDefault()?.Trim().ToUpperInvariant() ?? "";
        await using var services = app.Services.CreateAsyncScope();
        var (db, scope) = (
            services.ServiceProvider.GetRequiredService<UmbracellDb>(),
            services.ServiceProvider.GetRequiredService<FirmScope>()
        );
        scope.CheckSignIn(name);
        if (await db.People.AsNoTracking().SingleOrDefaultAsync(p => p.NormalizedSignInName == name) is not { } found)
        {
            await Console.Error.WriteLineAsync("Nobody signs in under that name.");
            return 1;
        }

        scope.EnterFirm(found.FirmId);
        var person = await db.People.SingleAsync(p => p.Id == found.Id);
        var password = string.Join('-', Enumerable.Range(0, 4).Select(_ => RandomNumberGenerator.GetString(Letters, 5)));
        person.PasswordHash = services.ServiceProvider.GetRequiredService<IPasswordHasher<Person>>().HashPassword(person, password);
        person.PasswordIsFirst = true;
        person.DeactivatedAt = null;
        await db.SaveChangesAsync();
        await db.Database.ExecuteSqlAsync($"delete from sessions where person_id = {person.Id}");
        await db.Database.ExecuteSqlAsync($"delete from second_steps where person_id = {person.Id}");
        await db.Database.ExecuteSqlAsync($"delete from sign_in_tries");
        await Console.Out.WriteLineAsync($"{person.SignInName} signs in, to choose a password of their own, with: {password}");
        return 0;
    }
}
