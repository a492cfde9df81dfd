using System.Security.Cryptography;
using System.Text;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;
using OtpNet;
using QRCoder;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Access;

/// <summary>What a device takes in, to make codes from.</summary>
/// <param name="Key">As letters, to be typed.</param>
/// <param name="Link">As a link, for a device that shows this page itself.</param>
/// <param name="Picture">As a picture to be photographed, for an <c>img</c>.</param>
public sealed record SecondStepKey(string Key, string Link, string Picture);

/// <summary>The second step of signing in: a code of six digits that a device of the person makes anew every half minute (RFC 6238,
/// SHA-1, thirty seconds), or one of their spare codes.</summary>
/// <remarks>A code is taken from the half minute before to the one after, by the machine's time, and once. Secrets are encrypted with the
/// key ring; spare codes are hashed as passwords are.</remarks>
internal sealed class SecondSteps(UmbracellDb db, IDataProtectionProvider protection)
{
    private const int SecretBytes = 20,
        Spares = 8,
        SpareDigits = 10;

    private static readonly PasswordHasher<SecondStepRow> Hasher = new();

    private readonly IDataProtector secrets = protection.CreateProtector("second step of signing in");

    /// <summary>Whether a code is asked for when this person signs in.</summary>
    public Task<bool> IsSetUpAsync(Guid person) => db.Set<SecondStepRow>().AnyAsync(s => s.PersonId == person && s.Secret != null);

    /// <summary>How many spare codes are left.</summary>
    public async Task<int> SparesLeftAsync(Guid person) => (await FindAsync(person))?.SpareCodes.Length ?? 0;

    /// <summary>Takes a code, so that it is not taken again.</summary>
    /// <returns>Whether it is one of this person's.</returns>
    public async Task<bool> TakeAsync(Guid person, string code)
    {
        var bare = Bare(code);
        return await FindAsync(person) is { Secret: { } kept } row
            && (bare.Length == SpareDigits ? await TakeSpareAsync(row, bare) : await TakeOfDeviceAsync(row, kept, bare));
    }

    /// <summary>Makes a secret to be shown to the person's device. The one there is goes on until the new one is shown to work.</summary>
    public async Task<SecondStepKey> BeginAsync(Person person)
    {
        var secret = Base32Encoding.ToString(RandomNumberGenerator.GetBytes(SecretBytes));
        if (await db.Set<SecondStepRow>().SingleOrDefaultAsync(s => s.PersonId == person.Id) is not { } row)
        {
            row = new() { PersonId = person.Id };
            db.Add(row);
        }

        row.SecretToCome = secrets.Protect(secret);
        await db.SaveChangesAsync();
        var link = new OtpUri(OtpType.Totp, secret, person.SignInName, "Umbracell").ToString();
        using var code = QRCodeGenerator.GenerateQrCode(link, QRCodeGenerator.ECCLevel.M);
        using var picture = new SvgQRCode(code);
        var svg = Convert.ToBase64String(Encoding.UTF8.GetBytes(picture.GetGraphic(4)));
        return new(secret, link, $"data:image/svg+xml;base64,{svg}");
    }

    /// <summary>Sets the second step up with the secret that was told last, once a code shows that the device has it.</summary>
    /// <returns>New spare codes; null where the code is not right.</returns>
    public async Task<IReadOnlyList<string>?> SetUpAsync(Guid person, string code)
    {
        var row = await db.Set<SecondStepRow>().SingleOrDefaultAsync(s => s.PersonId == person);
        if (row?.SecretToCome is not { } told || HalfMinuteOf(told, Bare(code)) is not { } halfMinute)
        {
            return null;
        }

        IReadOnlyList<string> spares =
        [
            .. Enumerable.Range(0, Spares).Select(_ => RandomNumberGenerator.GetString("0123456789", SpareDigits)),
        ];
        (row.Secret, row.SecretToCome, row.LastTaken) = (told, null, halfMinute);
        row.SpareCodes = [.. spares.Select(spare => Hasher.HashPassword(row, spare))];
        await db.SaveChangesAsync();
        return [.. spares.Select(spare => $"{spare[..5]}-{spare[5..]}")];
    }

    /// <summary>Takes the second step away.</summary>
    public Task RemoveAsync(Guid person) => db.Set<SecondStepRow>().Where(s => s.PersonId == person).ExecuteDeleteAsync();

    private Task<SecondStepRow?> FindAsync(Guid person) =>
        db.Set<SecondStepRow>().AsNoTracking().SingleOrDefaultAsync(s => s.PersonId == person);

    // One statement: of two who send the same code at once, one has it.
    private async Task<bool> TakeOfDeviceAsync(SecondStepRow row, string kept, string code) =>
        HalfMinuteOf(kept, code) is { } halfMinute
        && await db.Database.ExecuteSqlAsync(
            $"update second_steps set last_taken = {halfMinute} where person_id = {row.PersonId} and last_taken < {halfMinute}"
        ) == 1;

    private async Task<bool> TakeSpareAsync(SecondStepRow row, string code) =>
        Array.Find(row.SpareCodes, spare => Hasher.VerifyHashedPassword(row, spare, code) != PasswordVerificationResult.Failed) is { } hash
        && await db.Database.ExecuteSqlAsync(
            $"""
            update second_steps set spare_codes = array_remove(spare_codes, {hash})
            where person_id = {row.PersonId} and {hash} = any(spare_codes)
            """
        ) == 1;

    private long? HalfMinuteOf(string kept, string code) =>
        new Totp(Base32Encoding.ToBytes(secrets.Unprotect(kept))).VerifyTotp(
            TimeProvider.System.GetUtcNow().UtcDateTime,
            code,
            out var halfMinute,
            VerificationWindow.RfcSpecifiedNetworkDelay
        )
            ? halfMinute
            : null;

    private static string Bare(string code) => new([.. code.Where(char.IsAsciiDigit)]);
}
