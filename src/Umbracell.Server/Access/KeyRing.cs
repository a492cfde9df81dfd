using System.Security.Cryptography;
using System.Text;
using System.Xml.Linq;
using Microsoft.AspNetCore.DataProtection.KeyManagement;
using Microsoft.AspNetCore.DataProtection.XmlEncryption;

namespace Umbracell.Server.Access;

/// <summary>The secret that the keys of cookies are encrypted with where they are kept. From the environment or a file, so that whoever
/// reads the database, or a copy of it, cannot make cookies.</summary>
/// <param name="key">256 bits, or null where no secret is set.</param>
internal sealed class KeyRingSecret(byte[]? key)
{
    /// <summary>Fewest characters of a secret.</summary>
    private const int Shortest = 32;

    public byte[]? Key { get; } = key;

    /// <summary>From <c>KeyRing:Secret</c>, or the file that <c>KeyRing:SecretFile</c> names.</summary>
    /// <exception cref="InvalidOperationException">The file cannot be read, or the secret is too short to be one.</exception>
    public static KeyRingSecret Of(IConfiguration settings)
    {
        var secret = settings["KeyRing:SecretFile"] is { Length: > 0 } file ? ReadFile(file) : settings["KeyRing:Secret"];
        return string.IsNullOrWhiteSpace(secret) ? new(null)
            : secret.Trim().Length < Shortest
                ? throw new InvalidOperationException(
                    $"KeyRing:Secret has fewer than {Shortest} characters. Make one: openssl rand -hex 32."
                )
            : new(HKDF.DeriveKey(HashAlgorithmName.SHA256, Encoding.UTF8.GetBytes(secret.Trim()), 32, info: "key ring"u8.ToArray()));
    }

    private static string ReadFile(string file)
    {
        try
        {
            return File.ReadAllText(file);
        }
        catch (Exception cause) when (cause is IOException or UnauthorizedAccessException)
        {
            throw new InvalidOperationException($"KeyRing:SecretFile names {file}, which cannot be read: {cause.Message}", cause);
        }
    }
}

/// <summary>Encrypts a key before it is kept: AES-GCM, so that one that was tampered with is no key.</summary>
internal sealed class KeyRingEncryptor(byte[] key) : IXmlEncryptor
{
    public const string Element = "sealedKey";

    public EncryptedXmlInfo Encrypt(XElement plaintextElement)
    {
        var plain = Encoding.UTF8.GetBytes(plaintextElement.ToString(SaveOptions.DisableFormatting));
        var (nonce, tag, sealedText) = (RandomNumberGenerator.GetBytes(12), new byte[16], new byte[plain.Length]);
        using var cipher = new AesGcm(key, tag.Length);
        cipher.Encrypt(nonce, plain, sealedText, tag);
        CryptographicOperations.ZeroMemory(plain);
        return new(new XElement(Element, Convert.ToBase64String([.. nonce, .. tag, .. sealedText])), typeof(KeyRingDecryptor));
    }
}

/// <summary>Reads a key back. Keys are named with this type where they are kept.</summary>
internal sealed class KeyRingDecryptor(IServiceProvider services) : IXmlDecryptor
{
    public XElement Decrypt(XElement encryptedElement)
    {
        var key =
            services.GetRequiredService<KeyRingSecret>().Key
            ?? throw new CryptographicException("The keys of cookies are encrypted and KeyRing:Secret is not set.");
        var kept = Convert.FromBase64String(encryptedElement.Value);
        var plain = new byte[kept.Length - 28];
        using var cipher = new AesGcm(key, 16);
        cipher.Decrypt(kept.AsSpan(0, 12), kept.AsSpan(28), kept.AsSpan(12, 16), plain);
        return XElement.Parse(Encoding.UTF8.GetString(plain));
    }
}

/// <summary>Puts the encryption before the keys are kept.</summary>
internal static class KeyRingSetup
{
    public static void EncryptKeys(this IServiceCollection services, IConfiguration settings)
    {
        services.AddSingleton(_ => KeyRingSecret.Of(settings));
        services
            .AddOptions<KeyManagementOptions>()
            .Configure<KeyRingSecret>((keys, secret) => keys.XmlEncryptor = secret.Key is { } key ? new KeyRingEncryptor(key) : null);
    }
}
