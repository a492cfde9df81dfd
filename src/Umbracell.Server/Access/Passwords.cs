using System.Buffers.Binary;
using System.Security.Cryptography;
using System.Text;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Answers;

namespace Umbracell.Server.Access;

/// <summary>What a password has to be: long, and none of those that are guessed first. Nothing else is asked of it.</summary>
internal static class Passwords
{
    /// <summary>Fewest characters.</summary>
    public const int Shortest = 12;

    /// <summary>Most characters; as many as a phrase may have.</summary>
    public const int Longest = 200;

    // Words of the trade: a word that is guessed first stays one with a year or a mark at its end.
    private static readonly Lazy<HashSet<string>> OfTheTrade = new(() => [.. ShippedData.CommonPasswords]);

    /// <summary>Refuses a password that somebody wants for their own.</summary>
    /// <param name="password">As typed.</param>
    /// <param name="signInName">The name it goes with.</param>
    /// <param name="field">The field it was typed in.</param>
    /// <exception cref="FieldFaultsException">It is too short, too long, or one of those that are guessed first.</exception>
    public static void Check(string password, string signInName, string field)
    {
        if (password.Length is < Shortest or > Longest)
        {
            throw FieldFaultsException.Of(field, FaultCode.PasswordLength);
        }

        if (IsCommon(password, signInName))
        {
            throw FieldFaultsException.Of(field, FaultCode.CommonPassword);
        }
    }

    /// <summary>Whether it is one of those that are guessed first.</summary>
    /// <param name="password">As typed.</param>
    /// <param name="signInName">The name it goes with.</param>
    public static bool IsCommon(string password, string signInName)
    {
        var bare = Bare(password);
        return bare.Length == 0
            || IsGuessedFirst(password)
            || IsGuessedFirst(bare)
            || bare == Bare(signInName)
            || bare == Bare(signInName.Split('@')[0])
            || IsRepeated(bare);
    }

    private static bool IsGuessedFirst(string word)
    {
        var lower = word.ToLowerInvariant();
        return OfTheTrade.Value.Contains(lower)
            || ShippedData.GuessedPasswords.Contains(BinaryPrimitives.ReadUInt64BigEndian(SHA256.HashData(Encoding.UTF8.GetBytes(lower))));
    }

    // Letters in lower case; what stands at the ends and is no letter is left out, and digits within are the letters they stand for.
    private static string Bare(string text) => new([.. text.ToLowerInvariant().Trim(Ends).Select(Letter)]);

    private static readonly char[] Ends = [.. "0123456789 .,;:!?-_*#+/$%&()"];

    private static char Letter(char c) =>
        c switch
        {
            '@' or '4' => 'a',
            '0' => 'o',
            '1' => 'i',
            '3' => 'e',
            '5' or '$' => 's',
            _ => c,
        };

    // "passwordpassword" and "abcabcabcabc" are as easily guessed as a third of them.
    private static bool IsRepeated(string bare) =>
        Enumerable
            .Range(1, bare.Length / 2)
            .Any(n =>
                bare.Length % n == 0
                && string.Concat(Enumerable.Repeat(bare[..n], bare.Length / n)) == bare
                && (n <= 3 || IsGuessedFirst(bare[..n]))
            );
}
