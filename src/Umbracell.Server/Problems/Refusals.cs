namespace Umbracell.Server.Problems;

/// <summary>Someone else changed the row meanwhile.</summary>
public sealed class StaleEditException(object theirs) : Exception("Changed by someone else.")
{
    /// <summary>The row as it now stands.</summary>
    public object Theirs { get; } = theirs;
}

/// <summary>What an edit changed has been changed again since: it cannot be taken back any more.</summary>
public sealed class ChangedSinceException() : Exception("Changed since.");

/// <summary>Something asked for does not exist in this firm.</summary>
public sealed class NotFoundException(string what) : Exception($"No such {what} in this firm.");

/// <summary>The job asked for was deleted, and can still be restored.</summary>
public sealed class JobDeletedException(string name, string by) : Exception("Deleted.")
{
    public string Name => name;

    /// <summary>Who deleted it, by their title.</summary>
    public string By => by;
}

/// <summary>What was asked for, or a part of it, is not this person's to do.</summary>
/// <param name="why">Why, in a sentence; null where their role is.</param>
public sealed class NotAllowedException(string? why = null) : Exception("Not allowed.")
{
    public string? Why => why;
}

/// <summary>What was asked for cannot be had as things stand.</summary>
/// <param name="why">What is wanting, in a sentence.</param>
public sealed class NotReadyException(string why) : Exception(why);
