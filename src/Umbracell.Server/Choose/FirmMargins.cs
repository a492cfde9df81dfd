using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Documents;
using Umbracell.Questions.Answers;
using Umbracell.Server.Typing;
using Umbracell.Store.Model;

namespace Umbracell.Server.Choose;

/// <summary>A margin of the gate that a firm may hold tighter than the rules.</summary>
/// <param name="Field">Field to change it by.</param>
/// <param name="Margin">Which margin.</param>
/// <param name="Held">What the firm holds; null where it goes by the rules.</param>
/// <param name="OfRules">What the rules ask.</param>
/// <param name="Tightest">The tightest it can be set to.</param>
/// <param name="IsGreatest">Whether it is a most, which a smaller figure tightens.</param>
public sealed record MarginAnswer(
    string Field,
    GateMargin Margin,
    FigureAnswer? Held,
    FigureAnswer OfRules,
    FigureAnswer Tightest,
    bool IsGreatest
);

/// <summary>The firm's margins at the gate, as they are typed and told.</summary>
internal static class FirmMargins
{
    public static IEnumerable<string> Fields => Enum.GetValues<GateMargin>().Select(FieldOf);

    /// <summary>Takes what was typed; blank goes back to the rules.</summary>
    public static void Take(TypedFields fields, Firm firm)
    {
        var kept = (firm.Margins ?? MarginsDocument.None).Tighter;
        var tighter = new Dictionary<GateMargin, double>(kept);
        foreach (var margin in Enum.GetValues<GateMargin>())
        {
            var range = GateMarginRange.Of(margin);
            fields.QuantityOrBlank(FieldOf(margin), new(range.Least, range.Most, range.Dimension), value => Set(tighter, margin, value));
        }

        // The same margins again are no change, which would make every figure of the firm anew.
        if (!tighter.OrderBy(m => m.Key).SequenceEqual(kept.OrderBy(m => m.Key)))
        {
            firm.Margins = tighter.Count == 0 ? null : new(tighter);
        }
    }

    public static IReadOnlyList<MarginAnswer> Of(Firm firm) =>
        [
            .. Enum.GetValues<GateMargin>()
                .Select(margin =>
                {
                    var range = GateMarginRange.Of(margin);
                    return new MarginAnswer(
                        FieldOf(margin),
                        margin,
                        firm.Margins?.Tighter.TryGetValue(margin, out var held) == true ? Told(held) : null,
                        Told(range.OfRules),
                        Told(range.Tightest),
                        range.IsGreatest
                    );

                    FigureAnswer Told(double value) => FigureAnswer.Of(new(value, range.Dimension));
                }),
        ];

    private static string FieldOf(GateMargin margin) => "margin:" + Vocabulary.KeyOf(margin);

    private static void Set(Dictionary<GateMargin, double> tighter, GateMargin margin, double? value)
    {
        tighter.Remove(margin);
        if (value is { } held && held != GateMarginRange.Of(margin).OfRules)
        {
            tighter[margin] = held;
        }
    }
}
