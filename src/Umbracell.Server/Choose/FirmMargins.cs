using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Documents;
using Umbracell.Questions.Answers;
using Umbracell.Server.Typing;
using Umbracell.Store.Model;

namespace Umbracell.Server.Choose;

/// <summary>A margin of the gate that a firm may hold tighter than the rules.</summary>
public sealed record MarginAnswer
{
    /// <summary>Field to change it by.</summary>
    public required string Field { get; init; }

    /// <summary>Which margin.</summary>
    public required GateMargin Margin { get; init; }

    /// <summary>What the firm holds; null where it goes by the rules.</summary>
    public required FigureAnswer? Held { get; init; }

    /// <summary>What the rules ask.</summary>
    public required FigureAnswer OfRules { get; init; }

    /// <summary>The tightest it can be set to.</summary>
    public required FigureAnswer Tightest { get; init; }

    /// <summary>Whether it is a most, which a smaller figure tightens.</summary>
    public required bool IsGreatest { get; init; }
}

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
                    return new MarginAnswer
                    {
                        Field = FieldOf(margin),
                        Margin = margin,
                        Held = firm.Margins?.Tighter.TryGetValue(margin, out var held) == true ? Told(held) : null,
                        OfRules = Told(range.OfRules),
                        Tightest = Told(range.Tightest),
                        IsGreatest = range.IsGreatest,
                    };

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
