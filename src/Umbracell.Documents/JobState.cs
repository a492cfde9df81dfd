namespace Umbracell.Documents;

/// <summary>How far a job has come with the customer and the crew. Said by people: nothing is locked by it.</summary>
public enum JobState
{
    /// <summary>Being surveyed and priced.</summary>
    Estimate,

    /// <summary>A price has been given, no answer yet.</summary>
    Offered,

    Ordered,

    /// <summary>The crew has begun.</summary>
    UnderWay,

    Finished,

    /// <summary>The order went elsewhere, or nowhere.</summary>
    NotOrdered,
}
