using Umbracell.Core.Air;
using Umbracell.Core.Choosing;
using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield.Price;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Sets;

namespace Umbracell.Questions.Price;

/// <summary>Puts a question of cold-weather routes to the core and shapes the answer.</summary>
public static class ColdRouteQuestions
{
    /// <summary>Answers a question: the routes side by side.</summary>
    public static IReadOnlyList<ColdRouteAnswer> Answer(ColdRoutesQuestion question, Supplies supplies) =>
        Answer(ColdRoutes.Of(Case(question, supplies)));

    /// <summary>Shapes routes.</summary>
    public static IReadOnlyList<ColdRouteAnswer> Answer(ColdRoutes routes) => [.. routes.Routes.Select(r => Answer(r, r == routes.Chosen))];

    private static ColdRouteCase Case(ColdRoutesQuestion question, Supplies supplies)
    {
        var sheet = supplies.Sheet(question.Sets.SheetId, "sets.sheetId");
        var sets = SetsQuestions.Study(question.Sets, sheet);
        var (air, humidity) = (Temperature.FromCelsius(question.AirTempC), RelativeHumidity.FromPercent(question.AirRhPct));
        return new()
        {
            Standard = sheet,
            ColdGrade = ColdRouteCase.ColdGradeFor(sheet, supplies.Offered),
            Gate = supplies.Gate,
            Name = "",
            Treated = Area.FromSquareMetres(question.Sets.AreaM2),
            Demand = sets.Demand,
            WindAtOpenFace = sets.Conditions.WindAtOpenFace,
            Thickness = Length.FromMillimetres(question.Sets.ThicknessMm),
            Substrate = Temperature.FromCelsius(question.Sets.SubstrateTempC ?? question.AirTempC),
            Air = air,
            AirHumidity = humidity,
            FaceShare = question.FaceShare,
            FaceCapacity = FaceHeat.CapacityOf(question.Substrate),
            BuildingCapacity = FaceHeat.BuildingCapacityOf(question.Substrate),
            Space = question.SpaceM3 is { } m3
                ? new()
                {
                    Volume = m3,
                    Loss = question.SpaceLossWK,
                    AirChanges = question.AirChanges,
                    Outdoor = air,
                    OutdoorHumidity = humidity,
                    Pressure = StandardAtmosphere.PressureAt(Length.FromMetres(question.AltitudeM)),
                }
                : null,
            Heater = question.Heater,
            Means = supplies.Means,
            Access = question.Access,
            CrewFactor = question.Sets.CrewFactor,
            Drums = question.Sets.DrumTempC is { } drums ? Temperature.FromCelsius(drums) : null,

            // A question cannot loosen the firm's practice.
            NeverFlash =
                question.NeverFlash || new Practice { Schools = supplies.Schools }.Of(PracticeQuestion.ColdSubstrate) == School.NeverFlash,
            Rates = supplies.Priced,
        };
    }

    private static ColdRouteAnswer Answer(ColdRoute route, bool chosen)
    {
        var figures = new Dictionary<string, Figure>
        {
            ["sets"] = new(route.Sets, Dimension.Sets),
            ["cost"] = Money(route.Bid.Cost),
            ["hours"] = Figure.Duration(TimeSpan.FromHours(route.Bid.CrewHours)),
            ["finish"] = Figure.Duration(route.Finish),
        };
        Dictionary<string, WorkingAnswer> workings = [];
        if (route.Heating is { } air)
        {
            figures["heat"] = new(route.KilowattHours * 3.6e6, Dimension.Heat);
            figures["preheat"] = Figure.Duration(route.Preheat);
            figures["room"] = air.Indoor.ToFigure();
            figures["roomRh"] = new(air.Humidity, Dimension.RelativeHumidity);
            figures["power"] = new(air.Power, Dimension.Power);
            workings = new()
            {
                ["heat"] = WorkingAnswer.Of(route.Bid.Lines.FirstOrDefault(l => l.Key == "heat")?.Working.Terms[0].From ?? air.Working),
                ["preheat"] = WorkingAnswer.Of(route.PreheatWorking!),
                ["power"] = WorkingAnswer.Of(air.Working),
            };
        }

        return new()
        {
            Kind = Vocabulary.KeyOf(route.Kind),
            Held = route.Held,
            Chosen = chosen,
            Foams = [.. route.Foams.Select(f => new RouteFoam(f.Sheet.Name, Sets(f.Sets)))],
            Figures = FigureAnswer.All(figures),
            Workings = workings,
            Findings = FindingAnswer.All(route.Findings),
        };
    }

    private static FigureAnswer Sets(double sets) => FigureAnswer.Of(new(sets, Dimension.Sets));

    private static Figure Money(double amount) => new(amount, Dimension.Money);
}
