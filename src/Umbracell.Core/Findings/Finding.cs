using Umbracell.Core.Quantities;

namespace Umbracell.Core.Findings;

/// <summary>What a finding rests on.</summary>
public enum Basis
{
    /// <summary>A line of the product sheet; never loosened by a computed figure.</summary>
    ProductSheet,

    /// <summary>A model code with its edition.</summary>
    ModelCode,

    /// <summary>A computed physical quantity.</summary>
    Physics,

    /// <summary>Good practice of the trade, or the firm's own.</summary>
    Practice,
}

/// <summary>One judgement: what was measured, the limit, the margin, why, what to do, and on what it rests.</summary>
/// <remarks>The sentence is the interface's: it is chosen by <see cref="Case"/> and filled with the
/// figures and words.</remarks>
/// <param name="Case">How the rule ends.</param>
/// <param name="Verdict">Clear, Care or Hold.</param>
/// <param name="Source">The sheet, code edition or formula it rests on.</param>
public sealed record Finding(RuleCase Case, Verdict Verdict, Citation Source)
{
    /// <summary>A finding of a rule that ends in one of the ways it is declared to end in.</summary>
    /// <param name="rule">The rule.</param>
    /// <param name="ends">How it ends.</param>
    /// <param name="verdict">Clear, Care or Hold.</param>
    /// <param name="source">The sheet, code edition or formula it rests on.</param>
    public Finding(Rule rule, string ends, Verdict verdict, Citation source)
        : this(rule[ends], verdict, source) { }

    /// <summary>The rule.</summary>
    public Rule Rule => Case.Rule;

    /// <summary>What it rests on.</summary>
    public Basis Basis => Case.Basis;

    /// <summary>What was measured or computed, if it is one figure.</summary>
    public Figure? Measured { get; init; }

    /// <summary>The two figures whose distance was measured, where it is one that stands beside them in the sentence.</summary>
    public (Figure First, Figure Second)? MeasuredBetween { get; init; }

    /// <summary>The limit it is held against.</summary>
    public Figure? Limit { get; init; }

    /// <summary>How far inside the limit; negative outside.</summary>
    public Figure? Margin { get; init; }

    /// <summary>Further figures the sentence needs, by name.</summary>
    public IReadOnlyDictionary<string, Figure> Figures { get; init; } = new Dictionary<string, Figure>();

    /// <summary>Words the sentence needs, by name: a product, a date, keys of the vocabulary.</summary>
    public IReadOnlyDictionary<string, Said> Words { get; init; } = new Dictionary<string, Said>();

    /// <summary>What would clear it, best first; each a key of the vocabulary with its figures.</summary>
    public IReadOnlyList<Remedy> Remedies { get; init; } = [];

    private readonly Func<Working?>? _worked;

    /// <summary>How the judged figure was computed, if it was.</summary>
    public Working? Working
    {
        get => _worked?.Invoke();
        init => _worked = () => value;
    }

    /// <summary>The same, made when it is asked for: of the findings of a search few are ever read.</summary>
    internal Func<Working?> Worked
    {
        init => _worked = value;
    }

    /// <summary>How the judgement can be followed: its own working, or what was measured held against the limit; null where neither is a
    /// figure.</summary>
    public Working? How =>
        Working
        ?? (
            Measured is { } measured && Limit is { } limit
                ? new("judged", "x : L", [new("x", "judgedFigure", measured), new("L", "judgedLimit", limit)], measured, Source)
                : null
        );
}

/// <summary>One thing that would clear a finding, computed.</summary>
/// <param name="Kind">Which sentence, such as <c>raiseSubstrate</c>.</param>
/// <param name="Figures">The figures of the sentence, by name.</param>
/// <param name="Words">Words of the sentence, by name.</param>
public sealed record Remedy(string Kind, IReadOnlyDictionary<string, Figure> Figures, IReadOnlyDictionary<string, string>? Words = null)
{
    /// <summary>A remedy with one figure.</summary>
    public static Remedy Of(string kind, string name, Figure figure) => new(kind, new Dictionary<string, Figure> { [name] = figure });
}

/// <summary>Verdicts taken together.</summary>
public static class FindingsExtensions
{
    /// <summary>The worst verdict of all, or Clear where there is none.</summary>
    public static Verdict Worst(this IEnumerable<Finding> findings) => findings.Select(f => f.Verdict).DefaultIfEmpty(Verdict.Clear).Max();
}
