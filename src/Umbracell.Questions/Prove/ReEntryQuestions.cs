using Umbracell.Core.Quality;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;

namespace Umbracell.Questions.Prove;

/// <summary>Puts re-entry to the core.</summary>
public static class ReEntryQuestions
{
    /// <summary>Answers a question.</summary>
    /// <exception cref="QuantityRangeException">A time or a figure out of range.</exception>
    /// <exception cref="FieldFaultsException">A product that is not known, or more than is taken.</exception>
    public static ReEntryAnswer Answer(ReEntryQuestion question, Supplies supplies)
    {
        if (question.Products.Count > ReEntryQuestion.MostProducts || question.Ventilation.Count > ReEntryQuestion.MostChanges)
        {
            throw FieldFaultsException.Of("ventilation", FaultCode.TooManyParts);
        }

        foreach (var at in question.Products.Select(one => one.LastTrigger).Concat(question.Ventilation.Select(one => one.At)))
        {
            QuantityRangeException.Within("year", at.Year, 2000, 2200, Dimension.Count);
        }

        QuantityRangeException.Within("year", question.Now.Year, 2000, 2200, Dimension.Count);
        return Told(
            ReEntry.Of(
                new()
                {
                    Products =
                    [
                        .. question.Products.Select(one => new SprayedProduct(supplies.SheetAtTheGate(one.SheetId), one.LastTrigger)),
                    ],
                    Ventilation = [.. question.Ventilation.Select(ToChange)],
                    Now = question.Now,
                    Accounted = question.Accounted ?? [],
                    IsSpraying = question.IsSpraying,
                    Unknown = question.Unknown,
                    Contradictions = question.Contradictions,
                }
            )
        );
    }

    private static VentilationChange ToChange(VentilationShape one) =>
        new(
            one.At,
            one.IsOn,
            one.AirChanges is { } changes ? QuantityRangeException.Within("air changes", changes, 0, 200, Dimension.AirChanges) : null
        );

    private static ReEntryAnswer Told(ReEntry told) =>
        new()
        {
            At = told.At,
            EarliestBySheet = told.EarliestBySheet,
            Product = told.Product?.Sheet.Name,
            LastTrigger = told.Product?.LastTrigger,
            Counted = FigureAnswer.Of(Figure.Duration(told.Counted)),
            Wanted = told.Wanted is { } wanted ? FigureAnswer.Of(Figure.Duration(wanted)) : null,
            WantedAir = told.Product?.Sheet.ReEntryTime?.AirChanges is { } air ? FigureAnswer.Of(new(air, Dimension.AirChanges)) : null,
            SheetWords = told.Product?.Sheet.ReEntry,
            Dilution = [.. told.Dilution.Select(point => new DilutionAnswer(point.At, Math.Round(point.Left * 100, 6)))],
            Findings = FindingAnswer.All(told.Findings),
        };
}
