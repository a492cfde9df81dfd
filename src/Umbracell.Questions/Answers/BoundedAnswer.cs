using Umbracell.Core.Airtightness;
using Umbracell.Core.Quantities;

namespace Umbracell.Questions.Answers;

/// <summary>A figure with its 95 % interval, where it has one.</summary>
public sealed record BoundedAnswer(FigureAnswer Value, FigureAnswer? Low, FigureAnswer? High)
{
    public static BoundedAnswer Of(Bounded bounded, Dimension dimension) =>
        new(
            FigureAnswer.Of(new(bounded.Value, dimension)),
            bounded.Low is { } low ? FigureAnswer.Of(new(low, dimension)) : null,
            bounded.High is { } high ? FigureAnswer.Of(new(high, dimension)) : null
        );
}
