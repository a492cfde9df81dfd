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
/// <remarks>The sentence is the interface's: it is chosen by <see cref="Rule"/> and <see cref="Case"/> and filled with the
/// figures.</remarks>
/// <param name="Rule">Rule id, such as <c>G3</c> or <c>fit</c>.</param>
/// <param name="Case">Which sentence of the rule applies, such as <c>tooClose</c>.</param>
/// <param name="Verdict">Clear, Care or Hold.</param>
/// <param name="Basis">What it rests on.</param>
/// <param name="Source">The sheet, code edition or formula, in words.</param>
public sealed record Finding(string Rule, string Case, Verdict Verdict, Basis Basis, string Source)
{
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

    /// <summary>Words the sentence needs, by name: a product, a date, a key of the vocabulary.</summary>
    public IReadOnlyDictionary<string, string> Words { get; init; } = new Dictionary<string, string>();

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
