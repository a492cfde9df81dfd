using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;

namespace Umbracell.Questions.Choose;

/// <summary>Shapes the core's choice for the screens.</summary>
public static class ChoiceAnswers
{
    public static ChoiceAnswer Of(Choice choice, SectionQuestion bare) =>
        new(
            [.. choice.Candidates.Select(c => Candidate(c, choice, bare))],
            choice.Advised?.Id,
            choice.OtherSchool?.Id,
            [.. choice.Flips.Select(Flip)],
            FindingAnswer.All(choice.OfSurface),
            FigureAnswer.Maybe(choice.Case.Section.SlabTarget?.LeastR.ToFigure() ?? choice.Case.Section.Target?.GreatestU.ToFigure()),
            choice.Case.Path,
            [.. choice.Case.Labels.Select(Label)],
            Practice.QuestionOf(choice.Case.Section.Kind) is { } asked ? Vocabulary.KeyOf(asked) : null,
            Practice.QuestionOf(choice.Case.Section.Kind) is { } question ? choice.Case.Practice.Of(question) : School.Either,
            choice.Advice,
            [.. choice.Measures.Select(m => new MeasureAnswer(m.Change, FigureAnswer.Of(m.To), m.System))],
            [.. choice.Alike.Select(a => new AlikeAnswer(a.Input, FigureAnswer.Of(a.At), a.WinnerKind))]
        );

    public static FlipAnswer Flip(FlipPoint flip) =>
        new(
            flip.Input,
            FigureAnswer.Of(flip.Now),
            FigureAnswer.Of(flip.At),
            FigureAnswer.Of(
                new(
                    Math.Abs(flip.At.Amount - flip.Now.Amount),
                    flip.Now.Dimension == Dimension.Temperature ? Dimension.TemperatureDifference : flip.Now.Dimension
                )
            ),
            flip.Above,
            flip.Low,
            flip.High,
            flip.Winner,
            flip.WinnerKind,
            flip.Cause,
            flip.Rule,
            WorkingAnswer.Of(flip.Working)
        );

    private static CandidateAnswer Candidate(Candidate c, Choice choice, SectionQuestion bare)
    {
        // The edge of a slab is the section's to tell; no candidate is weighed by it.
        var study = SectionStudy.Of(c.Section with { BeyondEdge = null });
        var isFloor = c.Section.HeatFlow == HeatFlow.Down;
        return new(
            c.Id,
            c.Kind,
            SystemLayers.Of(c.Section),
            [.. SystemLayers.Boards(c.Section, choice.Case.Section)],
            SketchLayer.Of(c.Section),
            Worked(study.WholeU.ToFigure(), study.Workings["wholeU"]),
            Worked(c.Installed.Cavity.ToFigure(), null),
            FigureAnswer.Of(c.Installed.Continuous.ToFigure()),
            c.MeetsTarget,
            c.MeetsTarget || choice.Case.Section.Target is not { } target
                ? null
                : FigureAnswer.Of(
                    new(study.WholeU.WattsPerSquareMetreKelvin - target.GreatestU.WattsPerSquareMetreKelvin, Dimension.Transmittance)
                ),
            Worked(study.FillPermeance.ToFigure(), study.Workings["foamPermeance"]),
            study.FillClass,
            c.Cost.Working is { } cost ? Worked(cost.Result, cost) : null,
            c.Cost.Missing,
            FigureAnswer.Of(
                Figure.Duration(
                    TimeSpan.FromHours(c.Cost.HoursPerSquareMetre * (choice.Case.Facts.Treated?.SquareMetres ?? 1)) + c.Cost.Waits
                )
            ),
            study.Lifts.Sum(plan => plan.Lifts.Count),
            c.Year is { } year ? Dampest(year) : null,
            isFloor ? FigureAnswer.Of(AssemblyState.OfFilled(c.Section).RoomFace.ToFigure()) : null,
            FindingAnswer.All(c.Findings),
            FindingAnswer.All(c.Opinions),
            Condensation.Differ(c.Opinions),
            [
                .. c.Scores.Select(s => new ScoreAnswer(
                    s.Part,
                    s.Value,
                    choice.Case.Priorities.ShareOf(s.Part),
                    FigureAnswer.Of(s.Measured),
                    WorkingAnswer.Of(s.Working),
                    FigureAnswer.Of(Figure.Number(s.Value)),
                    FigureAnswer.Of(Figure.Percent(100 * choice.Case.Priorities.ShareOf(s.Part)))
                )),
            ],
            c.Total,
            Worked(Figure.Number(c.Total), c.Scores.Count > 0 ? c.TotalWorking(choice.Case.Priorities) : null),
            c.School,
            c.InPractice,
            c.Excluded,
            c.FailsCondensation,
            SystemShape.Of(c, choice.Case.Section).In(bare)
        );
    }

    // The figure is of the place about which the means can tell; where there is none, of the dampest.
    private static DampestAnswer Dampest(MonthlyYear year)
    {
        var place = year.DampestTold ?? year.Dampest;
        return new(
            place.Place.Key,
            Worked(new(place.Greatest, Dimension.RelativeHumidity), place.Working),
            year.Places.FirstOrDefault(p => p is { IsDamperThanWeather: true, Untold: true })?.Place.Key
        );
    }

    private static WorkedFigure Worked(Figure figure, Core.Findings.Working? working) =>
        new(FigureAnswer.Of(figure), WorkingAnswer.Maybe(working));

    private static string Label(LabelRequirement label) =>
        label.Continuous.SquareMetreKelvinsPerWatt > 0
            ? string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{label.Cavity.UsR:0}+{label.Continuous.UsR:0}")
            : string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{label.Cavity.UsR:0}");
}
