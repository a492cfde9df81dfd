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
        new()
        {
            Candidates = [.. choice.Candidates.Select(c => Candidate(c, choice, bare))],
            AdvisedId = choice.Advised?.Id,
            OtherSchoolId = choice.OtherSchool?.Id,
            Flips = [.. choice.Flips.Select(Flip)],
            OfSurface = FindingAnswer.All(choice.OfSurface),
            Target = FigureAnswer.Maybe(
                choice.Case.Section.SlabTarget?.LeastR.ToFigure() ?? choice.Case.Section.Target?.GreatestU.ToFigure()
            ),
            Path = choice.Case.Path,
            Labels = [.. choice.Case.Labels.Select(Label)],
            Question = Practice.QuestionOf(choice.Case.Section.Kind) is { } asked ? Vocabulary.KeyOf(asked) : null,
            Followed = Practice.QuestionOf(choice.Case.Section.Kind) is { } question ? choice.Case.Practice.Of(question) : School.Either,
            Advice = choice.Advice,
            Measures = [.. choice.Measures.Select(m => new MeasureAnswer(m.Change, FigureAnswer.Of(m.To), m.System))],
            Alike = [.. choice.Alike.Select(a => new AlikeAnswer(a.Input, FigureAnswer.Of(a.At), a.WinnerKind))],
        };

    public static FlipAnswer Flip(FlipPoint flip) =>
        new()
        {
            Input = flip.Input,
            Now = FigureAnswer.Of(flip.Now),
            At = FigureAnswer.Of(flip.At),
            Apart = FigureAnswer.Of(
                new(
                    Math.Abs(flip.At.Amount - flip.Now.Amount),
                    flip.Now.Dimension == Dimension.Temperature ? Dimension.TemperatureDifference : flip.Now.Dimension
                )
            ),
            Above = flip.Above,
            Low = flip.Low,
            High = flip.High,
            Winner = flip.Winner,
            WinnerKind = flip.WinnerKind,
            Cause = flip.Cause,
            Rule = flip.Rule,
            Working = WorkingAnswer.Of(flip.Working),
        };

    private static CandidateAnswer Candidate(Candidate c, Choice choice, SectionQuestion bare)
    {
        // The edge of a slab is the section's to tell; no candidate is weighed by it.
        var study = SectionStudy.Of(c.Section with { BeyondEdge = null });
        var isFloor = c.Section.HeatFlow == HeatFlow.Down;
        return new()
        {
            Id = c.Id,
            Kind = c.Kind,
            Layers = SystemLayers.Of(c.Section),
            Boards = [.. SystemLayers.Boards(c.Section, choice.Case.Section)],
            Sketch = SketchLayer.Of(c.Section),
            U = Worked(study.WholeU.ToFigure(), study.Workings["wholeU"]),
            InstalledCavity = Worked(c.Installed.Cavity.ToFigure(), null),
            InstalledContinuous = FigureAnswer.Of(c.Installed.Continuous.ToFigure()),
            MeetsTarget = c.MeetsTarget,
            Shortfall =
                c.MeetsTarget || choice.Case.Section.Target is not { } target
                    ? null
                    : FigureAnswer.Of(
                        new(study.WholeU.WattsPerSquareMetreKelvin - target.GreatestU.WattsPerSquareMetreKelvin, Dimension.Transmittance)
                    ),
            Permeance = Worked(study.FillPermeance.ToFigure(), study.Workings["foamPermeance"]),
            Class = study.FillClass,
            Cost = c.Cost.Working is { } cost ? Worked(cost.Result, cost) : null,
            PricesMissing = c.Cost.Missing,
            Hours = FigureAnswer.Of(
                Figure.Duration(
                    TimeSpan.FromHours(c.Cost.HoursPerSquareMetre * (choice.Case.Facts.Treated?.SquareMetres ?? 1)) + c.Cost.Waits
                )
            ),
            Lifts = study.Lifts.Sum(plan => plan.Lifts.Count),
            Dampest = c.Year is { } year ? Dampest(year) : null,
            FloorFace = isFloor ? FigureAnswer.Of(AssemblyState.OfFilled(c.Section).RoomFace.ToFigure()) : null,
            Findings = FindingAnswer.All(c.Findings),
            Opinions = FindingAnswer.All(c.Opinions),
            OpinionsDiffer = Condensation.Differ(c.Opinions),
            Scores =
            [
                .. c.Scores.Select(s => new ScoreAnswer
                {
                    Part = s.Part,
                    Value = s.Value,
                    Share = choice.Case.Priorities.ShareOf(s.Part),
                    Measured = FigureAnswer.Of(s.Measured),
                    Working = WorkingAnswer.Of(s.Working),
                    Worth = FigureAnswer.Of(Figure.Number(s.Value)),
                    Weight = FigureAnswer.Of(Figure.Percent(100 * choice.Case.Priorities.ShareOf(s.Part))),
                }),
            ],
            TotalScore = c.Total,
            Total = Worked(Figure.Number(c.Total), c.Scores.Count > 0 ? c.TotalWorking(choice.Case.Priorities) : null),
            School = c.School,
            InPractice = c.InPractice,
            Excluded = c.Excluded,
            FailsCondensation = c.FailsCondensation,
            Question = SystemShape.Of(c, choice.Case.Section).In(bare),
        };
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
