namespace Umbracell.Server.Problems;

/// <summary>Someone else changed the row meanwhile.</summary>
public sealed class StaleEditException(object theirs) : Exception("The record was changed by someone else meanwhile.")
{
    /// <summary>The row as it now stands.</summary>
    public object Theirs { get; } = theirs;
}

/// <summary>Something asked for does not exist in this firm.</summary>
public sealed class NotFoundException(string what) : Exception($"No such {what} in this firm.");
