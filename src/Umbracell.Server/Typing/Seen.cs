using Umbracell.Server.Problems;

namespace Umbracell.Server.Typing;

/// <summary>What whoever edits had seen of a record. One that stands otherwise by now is shown to them, and nothing is changed.</summary>
internal static class Seen
{
    /// <summary>Refuses an edit of a record that has changed since.</summary>
    /// <param name="version">The version that was seen; null where the sender keeps none.</param>
    /// <param name="standing">The version that stands.</param>
    /// <param name="theirs">The record as it stands, as it is answered.</param>
    /// <exception cref="StaleEditException">It has changed.</exception>
    public static void MustStand(uint? version, uint standing, Func<object> theirs)
    {
        if (version is { } seen && seen != standing)
        {
            throw new StaleEditException(theirs());
        }
    }

    /// <inheritdoc cref="MustStand"/>
    public static async Task MustStandAsync<T>(uint? version, uint standing, Func<Task<T>> theirs)
        where T : notnull
    {
        if (version is { } seen && seen != standing)
        {
            throw new StaleEditException(await theirs());
        }
    }
}
