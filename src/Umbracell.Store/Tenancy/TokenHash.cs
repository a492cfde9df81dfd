using System.Security.Cryptography;
using System.Text;

namespace Umbracell.Store.Tenancy;

/// <summary>The form in which API tokens are kept: SHA-256, which suffices for 256 random bits.</summary>
public static class TokenHash
{
    public static string Of(string token) => Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(token)));
}
