using System.Buffers.Binary;
using System.Security.Cryptography;

namespace Umbracell.Server.Typing;

/// <summary>Ids of the many things that one command makes: the same however often it comes, so that its answer can be given again.</summary>
internal static class MadeIds
{
    /// <summary>The id of one of them.</summary>
    /// <param name="command">The command; null where the sender keeps no count, and the id is a new one.</param>
    /// <param name="at">Which of them, from 0.</param>
    public static Guid Of(Guid? command, int at)
    {
        if (command is not { } id)
        {
            return Guid.CreateVersion7();
        }

        Span<byte> seed = stackalloc byte[20];
        id.TryWriteBytes(seed);
        BinaryPrimitives.WriteInt32BigEndian(seed[16..], at);
        return new(SHA256.HashData(seed).AsSpan(0, 16));
    }
}
