using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Questions.Answers;

/// <summary>A figure in both unit systems, printed by the core, so that a screen never rounds or converts.</summary>
/// <param name="Amount">The amount in the unit that is kept of its dimension.</param>
/// <param name="Us">As read in US units.</param>
/// <param name="Metric">As read in metric units.</param>
public sealed record FigureAnswer(double Amount, string Us, string Metric)
{
    public static FigureAnswer Of(Figure figure) =>
        new(figure.Amount, QuantityPrinter.Print(figure, UnitSystem.Us), QuantityPrinter.Print(figure, UnitSystem.Metric));

    public static FigureAnswer OfCelsius(double celsius) => Of(Temperature.FromCelsius(celsius).ToFigure());

    public static FigureAnswer Exact(Figure figure) =>
        new(figure.Amount, QuantityPrinter.PrintExact(figure, UnitSystem.Us), QuantityPrinter.PrintExact(figure, UnitSystem.Metric));

    public static FigureAnswer? Maybe(Figure? figure) => figure is { } known ? Of(known) : null;

    public static Dictionary<string, FigureAnswer> All(IReadOnlyDictionary<string, Figure> figures) =>
        figures.ToDictionary(f => f.Key, f => Of(f.Value));
}

/// <summary>What a judgement or a figure rests on; the sentence is chosen by the key.</summary>
/// <param name="Key">Which sentence.</param>
/// <param name="Words">Words of the sentence.</param>
/// <param name="Figures">Figures of the sentence.</param>
public sealed record CitationAnswer(
    string Key,
    IReadOnlyDictionary<string, string> Words,
    IReadOnlyDictionary<string, FigureAnswer> Figures
)
{
    public static CitationAnswer Of(Citation citation) => new(citation.Key, citation.Words, FigureAnswer.All(citation.Figures));
}

/// <summary>How a number came about.</summary>
public sealed record WorkingAnswer(
    string Name,
    string Formula,
    IReadOnlyList<WorkingTermAnswer> Terms,
    FigureAnswer Result,
    CitationAnswer Source
)
{
    public static WorkingAnswer Of(Working working) => Of(working, null);

    /// <summary>A working beside another that is told already: where it comes to that one, its result stands alone.</summary>
    public static WorkingAnswer Of(Working working, Working? told) =>
        new(
            working.Name,
            working.Formula,
            [.. working.Terms.Select(term => WorkingTermAnswer.Of(term, told))],
            FigureAnswer.Exact(working.Result),
            CitationAnswer.Of(working.Source)
        );

    public static WorkingAnswer? Maybe(Working? working) => working is null ? null : Of(working);
}

/// <summary>One value in a working.</summary>
public sealed record WorkingTermAnswer(string Symbol, string Name, FigureAnswer Value, WorkingAnswer? From)
{
    public static WorkingTermAnswer Of(WorkingTerm term, Working? told) =>
        new(
            term.Symbol,
            term.Name,
            FigureAnswer.Exact(term.Value),
            term.From is null || ReferenceEquals(term.From, told) ? null : WorkingAnswer.Of(term.From, told)
        );
}

/// <summary>One thing that would clear a finding.</summary>
public sealed record RemedyAnswer(string Kind, IReadOnlyDictionary<string, FigureAnswer> Figures, IReadOnlyDictionary<string, string> Words)
{
    public static RemedyAnswer Of(Remedy remedy) =>
        new(remedy.Kind, FigureAnswer.All(remedy.Figures), remedy.Words ?? new Dictionary<string, string>());
}

/// <summary>What a sentence is told in words.</summary>
/// <param name="Book">The part of the vocabulary the keys belong to; null for words of people or of a sheet, which stay as they are.</param>
/// <param name="Keys">Keys of the vocabulary, or the words themselves.</param>
public sealed record WordAnswer(string? Book, IReadOnlyList<string> Keys);

/// <summary>A finding; the sentence is chosen by rule and case.</summary>
/// <param name="Rule">Id of the rule.</param>
/// <param name="Case">How it ends.</param>
/// <param name="Stage">The stage it speaks to.</param>
/// <param name="IsNumbered">Whether people know the rule by its id, which then stands before the sentence.</param>
/// <param name="IsToldAtOnce">Whether it is told beside what it judges even where it only asks for care.</param>
/// <param name="YieldsToReason">Whether a hold may be set aside with a written reason, by who may.</param>
/// <param name="Blocks">The stage that waits until it is cleared.</param>
/// <param name="Verdict">Clear, care or hold.</param>
/// <param name="Basis">What it rests on.</param>
/// <param name="Source">The sheet, code edition or formula.</param>
/// <param name="Measured">What was measured or computed.</param>
/// <param name="Limit">What it is held against.</param>
/// <param name="Margin">How far inside the limit.</param>
/// <param name="Figures">Further figures of the sentence.</param>
/// <param name="Words">Words of the sentence.</param>
/// <param name="Remedies">What would clear it.</param>
/// <param name="Working">How it can be followed.</param>
public sealed record FindingAnswer(
    string Rule,
    string Case,
    Stage Stage,
    bool IsNumbered,
    bool IsToldAtOnce,
    bool YieldsToReason,
    Stage? Blocks,
    Verdict Verdict,
    Basis Basis,
    CitationAnswer Source,
    FigureAnswer? Measured,
    FigureAnswer? Limit,
    FigureAnswer? Margin,
    IReadOnlyDictionary<string, FigureAnswer> Figures,
    IReadOnlyDictionary<string, WordAnswer> Words,
    IReadOnlyList<RemedyAnswer> Remedies,
    WorkingAnswer? Working
)
{
    public static FindingAnswer Of(Finding f, bool brief = false) =>
        new(
            f.Rule.Id,
            f.Case.Name,
            f.Rule.Stage,
            f.Rule.IsNumbered,
            f.Rule.IsToldAtOnce,
            f.Case.YieldsToReason,
            f.Case.Blocks,
            f.Verdict,
            f.Basis,
            CitationAnswer.Of(f.Source),
            MeasuredOf(f),
            FigureAnswer.Maybe(f.Limit),
            MarginOf(f),
            FigureAnswer.All(f.Figures),
            f.Words.ToDictionary(w => w.Key, w => new WordAnswer(f.Case.Words.GetValueOrDefault(w.Key), w.Value.Keys)),
            [.. f.Remedies.Select(RemedyAnswer.Of)],
            brief ? null : WorkingAnswer.Maybe(f.How)
        );

    // What stands beside each other in a sentence adds up as it is printed, in either system.
    private static FigureAnswer? MeasuredOf(Finding f) =>
        f.Measured is { } measured
            ? new(
                measured.Amount,
                QuantityPrinter.Print(MeasuredIn(UnitSystem.Us, f, measured), UnitSystem.Us),
                QuantityPrinter.Print(MeasuredIn(UnitSystem.Metric, f, measured), UnitSystem.Metric)
            )
            : null;

    private static FigureAnswer? MarginOf(Finding f)
    {
        return f is { Margin: { } margin, Measured: { } measured, Limit: { } limit }
            ? new(margin.Amount, Printed(UnitSystem.Us), Printed(UnitSystem.Metric))
            : FigureAnswer.Maybe(f.Margin);

        string Printed(UnitSystem system) => QuantityPrinter.PrintMargin(margin, MeasuredIn(system, f, measured), limit, system);
    }

    private static Figure MeasuredIn(UnitSystem system, Finding f, Figure measured) =>
        f.MeasuredBetween is { } pair ? QuantityPrinter.AsPrinted(measured, pair.First, pair.Second, system) : measured;

    public static IReadOnlyList<FindingAnswer> All(IEnumerable<Finding> findings, bool brief = false) =>
        [.. findings.Select(f => Of(f, brief))];
}
