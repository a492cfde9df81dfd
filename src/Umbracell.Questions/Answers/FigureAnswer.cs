using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Questions.Answers;

/// <summary>A figure in both unit systems, printed by the core, so that a screen never rounds or converts.</summary>
/// <param name="Si">The value in SI.</param>
/// <param name="Us">As read in US units.</param>
/// <param name="Metric">As read in metric units.</param>
public sealed record FigureAnswer(double Si, string Us, string Metric)
{
    public static FigureAnswer Of(Figure figure) =>
        new(figure.Si, QuantityPrinter.Print(figure, UnitSystem.Us), QuantityPrinter.Print(figure, UnitSystem.Metric));

    public static FigureAnswer Exact(Figure figure) =>
        new(figure.Si, QuantityPrinter.PrintExact(figure, UnitSystem.Us), QuantityPrinter.PrintExact(figure, UnitSystem.Metric));

    public static FigureAnswer? Maybe(Figure? figure) => figure is { } known ? Of(known) : null;

    public static Dictionary<string, FigureAnswer> All(IReadOnlyDictionary<string, Figure> figures) =>
        figures.ToDictionary(f => f.Key, f => Of(f.Value));
}

/// <summary>How a number came about.</summary>
public sealed record WorkingAnswer(string Name, string Formula, IReadOnlyList<WorkingTermAnswer> Terms, FigureAnswer Result, string Source)
{
    public static WorkingAnswer Of(Working working) =>
        new(
            working.Name,
            working.Formula,
            [.. working.Terms.Select(WorkingTermAnswer.Of)],
            FigureAnswer.Exact(working.Result),
            working.Source
        );

    public static WorkingAnswer? Maybe(Working? working) => working is null ? null : Of(working);
}

/// <summary>One value in a working.</summary>
public sealed record WorkingTermAnswer(string Symbol, string Name, FigureAnswer Value, WorkingAnswer? From)
{
    public static WorkingTermAnswer Of(WorkingTerm term) =>
        new(term.Symbol, term.Name, FigureAnswer.Exact(term.Value), WorkingAnswer.Maybe(term.From));
}

/// <summary>One thing that would clear a finding.</summary>
public sealed record RemedyAnswer(string Kind, IReadOnlyDictionary<string, FigureAnswer> Figures, IReadOnlyDictionary<string, string> Words)
{
    public static RemedyAnswer Of(Remedy remedy) =>
        new(remedy.Kind, FigureAnswer.All(remedy.Figures), remedy.Words ?? new Dictionary<string, string>());
}

/// <summary>A finding; the sentence is chosen by rule and case.</summary>
public sealed record FindingAnswer(
    string Rule,
    string Case,
    Verdict Verdict,
    Basis Basis,
    string Source,
    FigureAnswer? Measured,
    FigureAnswer? Limit,
    FigureAnswer? Margin,
    IReadOnlyDictionary<string, FigureAnswer> Figures,
    IReadOnlyDictionary<string, string> Words,
    IReadOnlyList<RemedyAnswer> Remedies,
    WorkingAnswer? Working
)
{
    public static FindingAnswer Of(Finding f, bool brief = false) =>
        new(
            f.Rule,
            f.Case,
            f.Verdict,
            f.Basis,
            f.Source,
            MeasuredOf(f),
            FigureAnswer.Maybe(f.Limit),
            MarginOf(f),
            FigureAnswer.All(f.Figures),
            f.Words,
            [.. f.Remedies.Select(RemedyAnswer.Of)],
            brief ? null : WorkingAnswer.Maybe(f.How)
        );

    // What stands beside each other in a sentence adds up as it is printed, in either system.
    private static FigureAnswer? MeasuredOf(Finding f) =>
        f.Measured is { } measured
            ? new(
                measured.Si,
                QuantityPrinter.Print(MeasuredIn(UnitSystem.Us, f, measured), UnitSystem.Us),
                QuantityPrinter.Print(MeasuredIn(UnitSystem.Metric, f, measured), UnitSystem.Metric)
            )
            : null;

    private static FigureAnswer? MarginOf(Finding f)
    {
        return f is { Margin: { } margin, Measured: { } measured, Limit: { } limit }
            ? new(margin.Si, Printed(UnitSystem.Us), Printed(UnitSystem.Metric))
            : FigureAnswer.Maybe(f.Margin);

        string Printed(UnitSystem system) => QuantityPrinter.PrintMargin(margin, MeasuredIn(system, f, measured), limit, system);
    }

    private static Figure MeasuredIn(UnitSystem system, Finding f, Figure measured) =>
        f.MeasuredBetween is { } pair ? QuantityPrinter.AsPrinted(measured, pair.First, pair.Second, system) : measured;

    public static IReadOnlyList<FindingAnswer> All(IEnumerable<Finding> findings, bool brief = false) =>
        [.. findings.Select(f => Of(f, brief))];
}
