using Umbracell.Core.Findings;
using Umbracell.Formats.Words;
using Umbracell.Questions.Answers;

namespace Umbracell.Server.Problems;

/// <summary>Sentences for faults of fields, for programs that ask the API and for lists of lines: the catalogue's own, as the page says
/// them, with the field's name before and ranges in both unit systems.</summary>
internal static class FaultSentences
{
    private const int LongestTold = 40;

    public static string Of(FieldFault fault)
    {
        if (fault is { Code: FaultCode.Contradicts, Words: [var contradiction] })
        {
            (string, string)[] figures = [.. (fault.Figures ?? new Dictionary<string, FigureAnswer>()).Select(f => (f.Key, Both(f.Value)))];
            return $"{fault.Field}: {WordCatalog.Say("dataFile.sheet." + contradiction, figures)}";
        }

        var sentence = WordCatalog.Say(
            "problem.field." + Vocabulary.KeyOf(fault.Code),
            ("typed", fault.Typed.Length > LongestTold ? fault.Typed[..LongestTold] + "…" : fault.Typed),
            ("parts", string.Join(" × ", (fault.Words ?? []).Select(word => WordCatalog.Say("part." + word)))),
            ("least", Both(fault.Least)),
            ("greatest", Both(fault.Greatest))
        );
        return $"{fault.Field}: {Ranged(sentence, fault)}{Other(fault)}";
    }

    private static string Ranged(string told, FieldFault fault) =>
        fault is { Least: { } least, Greatest: { } greatest, Code: not FaultCode.OutOfRange }
            ? WordCatalog.Say("problem.range", ("told", told), ("least", Both(least)), ("greatest", Both(greatest)))
            : told;

    private static string Other(FieldFault fault) =>
        fault.Other is { } other ? " " + WordCatalog.Say("problem.perhaps", ("other", other)) : "";

    private static string Both(FigureAnswer? figure) =>
        figure is null ? ""
        : figure.Us == figure.Metric ? Writing.OfCatalog.Figure(figure.Metric)
        : WordCatalog.Say(
            "writing.noted",
            ("value", Writing.OfCatalog.Figure(figure.Metric)),
            ("note", Writing.OfCatalog.Figure(figure.Us))
        );
}
