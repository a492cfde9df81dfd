using System.Security.Cryptography;
using System.Text;
using Microsoft.EntityFrameworkCore;
using Umbracell.Store;

namespace Umbracell.Server.Access;

/// <summary>Slows guessing down. Wrong passwords are counted under each name, from each device and from each address; after a few, each
/// further try waits longer than the last. Nobody is locked out: a device that a person has signed in on before is counted by itself, so
/// that strangers who guess elsewhere do not keep them waiting.</summary>
/// <remarks>A try is counted before the password is looked at, in one statement of the database: hundreds at once, also on several copies
/// of the server, get no more tries than one after the other. Whether a name is known makes no difference to any of it.</remarks>
/// <param name="db">Where tries are counted.</param>
/// <param name="time">The machine's time, whatever day a demo plays on.</param>
internal sealed class SignInTries(UmbracellDb db, TimeProvider time)
{
    private const int FreeByName = 5,
        FreeByAddress = 30;

    private static readonly TimeSpan Longest = TimeSpan.FromMinutes(15),
        Forgotten = TimeSpan.FromHours(1);

    /// <summary>Begins a try.</summary>
    /// <param name="name">Normalized sign-in name.</param>
    /// <param name="device">The device, where this name has been signed in on it before; null elsewhere.</param>
    /// <param name="address">Where it comes from; null where that is no network address.</param>
    /// <returns>How long to wait where no try is free; null where one was.</returns>
    public async Task<TimeSpan?> BeginAsync(string name, string? device, string? address) =>
        await CountAsync(ByName(name, device), FreeByName)
        ?? (address is null ? null : await CountAsync(ByAddress(address), FreeByAddress));

    /// <summary>The password was right: what was counted under this name is forgotten, with all that is a day
    /// old, and this try was no failure of the address.</summary>
    public async Task SucceededAsync(string name, string? device, string? address)
    {
        var (byName, byAddress) = (ByName(name, device), ByAddress(address ?? ""));
        var old = time.GetUtcNow().AddDays(-1);
        await db.Database.ExecuteSqlAsync($"delete from sign_in_tries where key = {byName} or last_at < {old}");
        await db.Database.ExecuteSqlAsync($"update sign_in_tries set failures = greatest(failures - 1, 0) where key = {byAddress}");
    }

    private async Task<TimeSpan?> CountAsync(string key, int free)
    {
        var now = time.GetUtcNow();
        var (longest, forgotten) = (Longest.TotalSeconds, now - Forgotten);

        // A free try keeps nobody waiting: were it free from now on, one who came at the same moment would be before its time.
        var always = DateTimeOffset.UnixEpoch;
        var counted = await db.Database.ExecuteSqlAsync(
            $"""
            insert into sign_in_tries as t (key, failures, free_at, last_at) values ({key}, 1, {always}, {now})
            on conflict (key) do update set
                failures = case when t.last_at < {forgotten} then 1 else t.failures + 1 end,
                free_at = case
                    when t.last_at < {forgotten} or t.failures + 1 < {free} then {always}
                    else {now} + make_interval(secs => least(power(2, least(t.failures + 1 - {free}, 20)), {longest}))
                end,
                last_at = {now}
            where t.free_at <= {now}
            """
        );
        if (counted > 0)
        {
            return null;
        }

        var freeAt = await db.Set<Store.Model.SignInTry>().Where(t => t.Key == key).Select(t => t.FreeAt).SingleOrDefaultAsync();
        return freeAt > now ? freeAt - now : TimeSpan.FromSeconds(1);
    }

    private static string ByName(string name, string? device) => Key(device is null ? $"name:{name}" : $"device:{device}:{name}");

    private static string ByAddress(string address) => Key($"address:{address}");

    private static string Key(string of) => Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(of)));
}
