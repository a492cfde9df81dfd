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

    /// <summary>A figure with the digits somebody would type: none rounded away that was given, none added.</summary>
    public static FigureAnswer AsTyped(Figure figure) =>
        new(figure.Amount, QuantityPrinter.PrintAsTyped(figure, UnitSystem.Us), QuantityPrinter.PrintAsTyped(figure, UnitSystem.Metric));

    /// <summary>The thickness of a layer, as it is bought.</summary>
    public static FigureAnswer OfLayer(double millimetres)
    {
        var figure = new Figure(millimetres / 1000, Dimension.Thickness);
        return new(figure.Amount, QuantityPrinter.PrintLayer(figure, UnitSystem.Us), QuantityPrinter.PrintLayer(figure, UnitSystem.Metric));
    }

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
public sealed record FindingAnswer
{
    /// <summary>Id of the rule.</summary>
    public required string Rule { get; init; }

    /// <summary>How it ends.</summary>
    public required string Case { get; init; }

    /// <summary>The stage it speaks to.</summary>
    public required Stage Stage { get; init; }

    /// <summary>Whether people know the rule by its id, which then stands before the sentence.</summary>
    public required bool IsNumbered { get; init; }

    /// <summary>Whether it is told beside what it judges even where it only asks for care.</summary>
    public required bool IsToldAtOnce { get; init; }

    /// <summary>Whether a hold may be set aside with a written reason, by who may.</summary>
    public required bool YieldsToReason { get; init; }

    /// <summary>The stage that waits until it is cleared.</summary>
    public required Stage? Blocks { get; init; }

    /// <summary>Clear, care or hold.</summary>
    public required Verdict Verdict { get; init; }

    /// <summary>What it rests on.</summary>
    public required Basis Basis { get; init; }

    /// <summary>The sheet, code edition or formula.</summary>
    public required CitationAnswer Source { get; init; }

    /// <summary>What was measured or computed.</summary>
    public required FigureAnswer? Measured { get; init; }

    /// <summary>What it is held against.</summary>
    public required FigureAnswer? Limit { get; init; }

    /// <summary>How far inside the limit.</summary>
    public required FigureAnswer? Margin { get; init; }

    /// <summary>Further figures of the sentence.</summary>
    public required IReadOnlyDictionary<string, FigureAnswer> Figures { get; init; }

    /// <summary>Words of the sentence.</summary>
    public required IReadOnlyDictionary<string, WordAnswer> Words { get; init; }

    /// <summary>What would clear it.</summary>
    public required IReadOnlyList<RemedyAnswer> Remedies { get; init; }

    /// <summary>How it can be followed.</summary>
    public required WorkingAnswer? Working { get; init; }

    public static FindingAnswer Of(Finding f, bool brief = false) =>
        new()
        {
            Rule = f.Rule.Id,
            Case = f.Case.Name,
            Stage = f.Rule.Stage,
            IsNumbered = f.Rule.IsNumbered,
            IsToldAtOnce = f.Rule.IsToldAtOnce,
            YieldsToReason = f.Case.YieldsToReason,
            Blocks = f.Case.Blocks,
            Verdict = f.Verdict,
            Basis = f.Basis,
            Source = CitationAnswer.Of(f.Source),
            Measured = MeasuredOf(f),
            Limit = FigureAnswer.Maybe(f.Limit),
            Margin = MarginOf(f),
            Figures = FigureAnswer.All(f.Figures),
            Words = f.Words.ToDictionary(w => w.Key, w => new WordAnswer(f.Case.Words.GetValueOrDefault(w.Key), w.Value.Keys)),
            Remedies = [.. f.Remedies.Select(RemedyAnswer.Of)],
            Working = brief ? null : WorkingAnswer.Maybe(f.How),
        };

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
