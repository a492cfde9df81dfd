namespace Umbracell.Core.Findings;

/// <summary>A rule, declared once: what it is called, which stage it speaks to, who may set it aside, and every way it can end.</summary>
/// <remarks>Rules are <c>static readonly</c> fields beside the code that judges them; <see cref="RuleBook"/> finds them there.</remarks>
public sealed class Rule
{
    private readonly Dictionary<string, RuleCase> _cases = [];

    /// <param name="id">Its id: that of the rule book, such as <c>G3</c>, or a name of our own, such as <c>fit</c>.</param>
    /// <param name="stage">The stage it speaks to.</param>
    /// <param name="basis">What it rests on, where a case does not rest on something else.</param>
    internal Rule(string id, Stage stage, Basis basis) => (Id, Stage, Basis) = (id, stage, basis);

    /// <summary>Its id.</summary>
    public string Id { get; }

    /// <summary>The stage it speaks to.</summary>
    public Stage Stage { get; }

    /// <summary>What it rests on, where a case does not rest on something else.</summary>
    public Basis Basis { get; }

    /// <summary>Whether nobody may set it aside, whatever the reason: what cannot be built is no matter of opinion.</summary>
    public bool IsFirm { get; internal init; }

    /// <summary>Whether it is told beside what it judges even where it only asks for care.</summary>
    public bool IsToldAtOnce { get; internal init; }

    /// <summary>Whether people know it by its id, which then stands before the sentence.</summary>
    public bool IsNumbered => char.IsAsciiLetterUpper(Id[0]) && Id.Skip(1).All(char.IsAsciiDigit);

    /// <summary>Every way it can end.</summary>
    public IReadOnlyCollection<RuleCase> Cases => _cases.Values;

    /// <summary>One way it can end.</summary>
    /// <exception cref="ArgumentException">It is not declared to end so.</exception>
    public RuleCase this[string name] =>
        _cases.GetValueOrDefault(name) ?? throw new ArgumentException($"Rule {Id} is not declared to end in '{name}'.", nameof(name));

    /// <summary>Declares one way it can end, or several that carry the same.</summary>
    /// <param name="names">Their names within the rule, apart by spaces.</param>
    /// <param name="figures">Names of the figures a finding always carries, apart by spaces: <c>measured</c>, <c>limit</c>,
    /// <c>margin</c> and those of its own.</param>
    /// <param name="words">Names of the words it always carries, apart by spaces; after a colon the part of the vocabulary whose keys
    /// they are, such as <c>layer:material</c>. Without one they are words of people or of a sheet and stay as they are.</param>
    /// <param name="basis">What it rests on, where that is not the rule's.</param>
    /// <param name="blocks">The stage that waits until it is cleared.</param>
    internal Rule Ends(string names, string figures = "", string words = "", Basis? basis = null, Stage? blocks = null)
    {
        var (told, said) = (Parts(figures), Parts(words).Select(Word).ToDictionary());
        foreach (var name in Parts(names))
        {
            _cases.Add(
                name,
                new()
                {
                    Rule = this,
                    Name = name,
                    Figures = told,
                    Words = said,
                    Basis = basis ?? Basis,
                    Blocks = blocks,
                }
            );
        }

        return this;

        static string[] Parts(string names) => names.Split(' ', StringSplitOptions.RemoveEmptyEntries);

        static KeyValuePair<string, string?> Word(string word) =>
            word.Split(':') is [var name, var book] ? new(name, book) : new(word, null);
    }

    /// <inheritdoc/>
    public override string ToString() => Id;
}

/// <summary>One way a rule can end: it chooses the sentence.</summary>
public sealed record RuleCase
{
    /// <summary>The rule.</summary>
    public required Rule Rule { get; init; }

    /// <summary>Its name within the rule, such as <c>tooClose</c>.</summary>
    public required string Name { get; init; }

    /// <summary>Names of the figures its finding always carries.</summary>
    public required IReadOnlyList<string> Figures { get; init; }

    /// <summary>Names of the words it always carries, each with the part of the vocabulary it is a key of, if it is one.</summary>
    public required IReadOnlyDictionary<string, string?> Words { get; init; }

    /// <summary>What it rests on.</summary>
    public required Basis Basis { get; init; }

    /// <summary>The stage that waits until it is cleared.</summary>
    public required Stage? Blocks { get; init; }

    /// <summary>Whether a hold may be set aside with a written reason: never one of a sheet, nor of a firm rule.</summary>
    public bool YieldsToReason => Basis != Basis.ProductSheet && !Rule.IsFirm;

    /// <inheritdoc/>
    public override string ToString() => $"{Rule.Id}.{Name}";
}
