using Umbracell.Core.Quality;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;

namespace Umbracell.Questions.Prove;

/// <summary>Puts depths to the core.</summary>
public static class DepthQuestions
{
    /// <summary>Answers a question.</summary>
    /// <exception cref="QuantityRangeException">A figure out of range.</exception>
    /// <exception cref="FieldFaultsException">Readings of none, or more than are taken, or a product that is not known.</exception>
    public static DepthAnswer Answer(DepthQuestion question, Supplies supplies)
    {
        var count = question.ReadingsMm.Count;
        if (count is 0 or > DepthQuestion.MostReadings)
        {
            throw FieldFaultsException.Of("readingsMm", count == 0 ? FaultCode.Empty : FaultCode.TooManyParts);
        }

        var check = DepthCheck.Of(
            new()
            {
                Sheet = supplies.Sheet(question.SheetId),
                Specified = Length.FromMillimetres(question.SpecMm),
                Area = [.. question.ReadingsMm.Select(Length.FromMillimetres)],
                Assurance = new(question.Confidence ?? Assurance.Usual.Confidence, question.Share ?? Assurance.Usual.Share),
            }
        );
        return new()
        {
            N = count,
            MeanMm = check.Mean.Millimetres,
            LeastMm = check.Least.Millimetres,
            ShareUnder = check.ShareUnder,
            K = check.Factor,
            BoundMm = check.Bound?.Millimetres,
            Passes = check.Passes,
            EffectiveR = check.EffectiveR.SquareMetreKelvinsPerWatt,
            MeanR = check.MeanR.SquareMetreKelvinsPerWatt,
            Findings = FindingAnswer.All(check.Findings),
        };
    }
}
