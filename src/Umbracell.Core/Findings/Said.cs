namespace Umbracell.Core.Findings;

/// <summary>What a sentence is told in words: one or several, each a word of people or of a sheet, or a key of the vocabulary, as the
/// case declares (<see cref="RuleCase.Words"/>). The default names nothing.</summary>
public readonly struct Said(IReadOnlyList<string> keys) : IEquatable<Said>
{
    private readonly IReadOnlyList<string>? _keys = keys;

    /// <summary>The words or keys; none where there is nothing to name.</summary>
    public IReadOnlyList<string> Keys => _keys ?? [];

    /// <summary>A word or key as it is.</summary>
    public static implicit operator Said(string word) => new([word]);

    /// <summary>A choice out of a list, by the key of the vocabulary.</summary>
    public static Said Of<T>(T one)
        where T : struct, Enum => new([Vocabulary.KeyOf(one)]);

    /// <summary>Several choices out of a list.</summary>
    public static Said Of<T>(IEnumerable<T> several)
        where T : struct, Enum => new([.. several.Select(Vocabulary.KeyOf)]);

    /// <summary>Whether both name the same in the same order.</summary>
    public static bool operator ==(Said left, Said right) => left.Equals(right);

    /// <summary>Whether they name something else.</summary>
    public static bool operator !=(Said left, Said right) => !left.Equals(right);

    /// <inheritdoc/>
    public bool Equals(Said other) => Keys.SequenceEqual(other.Keys);

    /// <inheritdoc/>
    public override bool Equals(object? obj) => obj is Said other && Equals(other);

    /// <inheritdoc/>
    public override int GetHashCode() => Keys.Aggregate(0, (hash, key) => HashCode.Combine(hash, key));

    /// <inheritdoc/>
    public override string ToString() => string.Join(", ", Keys);
}
