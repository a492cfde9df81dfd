namespace Umbracell.Documents;

/// <summary>What is known of a crew, a machine or a thing a firm works with.</summary>
public sealed record MeansDocument
{
    /// <summary>Nothing but its name.</summary>
    public static MeansDocument None { get; } = new();

    /// <summary>Figures by name, in SI, money in the firm's own; what is not named was not entered.</summary>
    public IReadOnlyDictionary<string, double> Figures { get; init; } = new Dictionary<string, double>();

    /// <summary>Words, codes of lists and times of day (<c>07:30</c>) by name; what is not named was not entered.</summary>
    public IReadOnlyDictionary<string, string> Words { get; init; } = new Dictionary<string, string>();
}
