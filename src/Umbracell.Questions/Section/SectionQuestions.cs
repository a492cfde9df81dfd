using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Lifts;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;

namespace Umbracell.Questions.Section;

/// <summary>Puts a section question to the core and shapes the answer. Every section figure of the product comes this way, on the server
/// and in the browser alike.</summary>
public static class SectionQuestions
{
    /// <summary>Studies a question.</summary>
    public static SectionStudy Study(SectionQuestion question, Shelf shelf) => SectionStudy.Of(Case(question, shelf), question.Brief);

    /// <summary>U of a question; null where its thickness cannot be rated.</summary>
    public static ThermalTransmittance? TryU(SectionQuestion question, Shelf shelf)
    {
        try
        {
            return Study(question, shelf).WholeU;
        }
        catch (Exception e) when (e is QuantityRangeException or FieldFaultsException)
        {
            return null;
        }
    }

    /// <summary>The core's case of a question.</summary>
    public static SectionCase Case(SectionQuestion question, Shelf shelf)
    {
        var section = Laid(question, shelf);

        // A layer that takes the rest gives way to the one that was moved.
        return section.Fill.Any(layer => layer.TakesRest) ? section.WithFoam(section.FoamThickness) : section;
    }

    private static SectionCase Laid(SectionQuestion question, Shelf shelf) =>
        new()
        {
            Kind = question.Kind,
            Solved = shelf.Solved,
            Outboard = [.. question.Outboard.Select((layer, i) => Layer(layer, shelf, $"outboard[{i}].material"))],
            Inboard = [.. question.Inboard.Select((layer, i) => Layer(layer, shelf, $"inboard[{i}].material"))],
            Members = new(
                question.Members.Material,
                Length.FromMillimetres(question.Members.DepthMm),
                Length.FromMillimetres(question.Members.SpacingMm),
                question.Members.SharePct / 100,
                shelf.Materials["softwood"].Conductivity,
                Profile(question.Members)
            ),
            VentChannel = Length.FromMillimetres(question.VentChannelMm),
            Baffle = question.Baffle is { } baffle ? Layer(baffle, shelf, "baffle.material") : null,
            FoamAgainst = question.FoamAgainst,
            VentedCladding = question.VentedCladding,
            HeatFlow = question.HeatFlow,
            Exposure = question.Exposure,
            Films = question.Films,
            Fill = Fill(question, shelf),
            Door = question.Door is { } door
                ? new(door.SpareKg is { } kg ? new(kg) : null, door.TreatedM2 is { } area ? new(area) : null)
                : null,
            Air = new(
                new(question.IndoorC),
                new(question.IndoorRhPct),
                new(question.OutdoorC),
                RelativeHumidity.OfWeather(question.OutdoorRhPct, new(question.OutdoorC))
            ),
            BeyondEdge = question.BeyondEdgeC is { } edge ? new(edge) : null,
            SlabTarget = question.SlabTarget is { } slab
                ? new(new(slab.LeastRM2KW), Length.FromMillimetres(slab.AlongMm), slab.Edition)
                : null,
            Target = question.Target is { } target ? new(new(target.UWM2K), target.Edition) : null,
            ClimateZone = string.IsNullOrWhiteSpace(question.ClimateZone) ? null : question.ClimateZone,
        };

    /// <summary>Answers a question.</summary>
    public static SectionAnswer Answer(SectionQuestion question, Shelf shelf) =>
        Answer(Study(question, shelf), question.Year, question.Brief);

    /// <summary>Shapes a study.</summary>
    public static SectionAnswer Answer(SectionStudy study, YearShape? year = null, bool brief = false)
    {
        var told = SectionYears.Study(study.Case, year);
        var free = study.Case.FoamDepth is { } depth ? Math.Max(0, (depth - study.Case.FillThickness).Millimetres) : 0;
        return new(
            study.FillR.SquareMetreKelvinsPerWatt,
            study.CavityR.SquareMetreKelvinsPerWatt,
            study.ParallelU.WattsPerSquareMetreKelvin,
            study.CombinedU?.WattsPerSquareMetreKelvin,
            study.WholeU.WattsPerSquareMetreKelvin,
            study.BareU.WattsPerSquareMetreKelvin,
            study.HeatCut * 100,
            study.FillPermeance.Nanograms,
            study.FillPermeance.EquivalentAirThickness.Metres,
            study.FillClass,
            study.WholePermeance.Nanograms,
            study.Profile.OutwardDrive.Pascals,
            [.. study.Lifts.SelectMany(plan => plan.Lifts).Select(l => l.Millimetres)],
            [.. study.Case.Fill.OfType<FoamFill>().Zip(study.Lifts, Lifts)],
            LiftPlan.LeastTimeOf(study.Lifts).TotalMinutes,
            study.ThicknessForTarget?.Millimetres,
            study.GreatestFit?.Millimetres,
            study.Case.FoamDepth?.Millimetres,
            (study.Case.Foam?.Sheet.ThickestRated ?? new Length(0.3)).Millimetres,
            free,
            Figures(study, free, brief),
            [
                .. study.Profile.Points.Select(p => new ProfilePointAnswer(
                    p.Key,
                    p.Depth.Millimetres,
                    p.Temperature.Celsius,
                    p.DewPoint.Celsius,
                    p.VapourPressure.Pascals,
                    FigureAnswer.Of(p.Temperature.ToFigure()),
                    FigureAnswer.Of(p.DewPoint.ToFigure())
                )),
            ],
            new(
                study.Profile.NearestDew.Key,
                FigureAnswer.Of(study.Profile.NearestDew.DewMargin.ToFigure()),
                study.Profile.NearestDew.DewMargin.Kelvins < -1e-6
            ),
            [.. study.Notches.Select(n => new NotchAnswer(n.Key, n.Thickness.Millimetres, FigureAnswer.Of(n.Thickness.ToThickness())))],
            FindingAnswer.All(study.Findings, brief),
            study.Findings.Concat(told?.Findings ?? []).Worst(),
            told is null ? null : SectionYears.Answer(told, brief),
            brief
                ? []
                :
                [
                    .. InchLedger
                        .Of(study.Case)
                        .Select(line => new InchAnswer(
                            FigureAnswer.Of(line.Thickness.ToThickness()),
                            FigureAnswer.Of(line.U.ToFigure()),
                            FigureAnswer.Of(Figure.Percent(100 * line.Cut)),
                            FigureAnswer.Of(Figure.Percent(100 * line.Further)),
                            100 * line.Cut
                        )),
                ]
        );
    }

    private static LiftsAnswer Lifts(FoamFill foam, LiftPlan plan) =>
        new(
            foam.Sheet.Name,
            plan.Lifts.Count,
            FigureAnswer.Of(plan.Lifts[0].ToThickness()),
            FigureAnswer.Of(Figure.Duration(plan.Wait)),
            FigureAnswer.Of(plan.CoolBelow.ToFigure())
        );

    private static Dictionary<string, WorkedFigure> Figures(SectionStudy study, double freeMm, bool brief)
    {
        var figures = new Dictionary<string, Figure>
        {
            ["thickness"] = study.Case.FoamThickness.ToThickness(),
            ["foamR"] = study.FillR.ToFigure(),
            ["cavityR"] = study.CavityR.ToFigure(),
            ["wholeU"] = study.WholeU.ToFigure(),
            ["parallelU"] = study.ParallelU.ToFigure(),
            ["foamPermeance"] = study.FillPermeance.ToFigure(),
            ["foamSd"] = new(study.FillPermeance.EquivalentAirThickness.Metres, Dimension.Span),
            ["heatCut"] = Figure.Percent(study.HeatCut * 100),
            ["lifts"] = Figure.Count(study.Lifts.Sum(plan => plan.Lifts.Count)),
            ["leastTime"] = Figure.Duration(LiftPlan.LeastTimeOf(study.Lifts)),
            ["weight"] = new(study.Case.Fill.Sum(f => f.KilogramsPerSquareMetre), Dimension.AreaWeight),
            ["drive"] = study.Profile.OutwardDrive.ToFigure(),
            ["freeSpace"] = Length.FromMillimetres(freeMm).ToThickness(),
            ["indoorC"] = study.Case.Air.Indoor.ToFigure(),
            ["outdoorC"] = study.Case.Air.Outdoor.ToFigure(),
            ["indoorDew"] = study.Profile.Points[^1].DewPoint.ToFigure(),
        };
        if (study.CombinedU is { } combined)
        {
            figures["combinedU"] = combined.ToFigure();
        }

        if (!brief && FramingDepth.ForTarget(study.Case) is { } framing)
        {
            figures["framingDepth"] = framing.ToThickness();
        }

        var workings = study.Workings;
        figures["insideSurface"] = workings["insideSurface"].Result;
        if (RoofSnow.Of(study.Case, SnowDepth(study.Case)) is { } snow)
        {
            figures["snowDepth"] = snow.Depth.ToThickness();
            figures["snowMeltFrom"] = snow.MeltsFrom.ToFigure();
            workings = new Dictionary<string, Working>(workings) { ["snowMeltFrom"] = snow.Working };
        }

        if (study.MemberPsi is { } psi)
        {
            figures["memberPsi"] = new(psi, Dimension.LinearTransmittance);
        }

        if (study.ColdestMetal is { } flange)
        {
            figures["coldestMetal"] = flange.ToFigure();
        }

        if (study.Case.Target is { } target)
        {
            figures["targetU"] = target.GreatestU.ToFigure();
        }

        return figures.ToDictionary(
            f => f.Key,
            f => new WorkedFigure(FigureAnswer.Of(f.Value), brief ? null : WorkingAnswer.Maybe(workings.GetValueOrDefault(f.Key)))
        );
    }

    // A winter's settled snow, in a round figure of either system.
    private static Length SnowDepth(SectionCase section) =>
        section.Films == FilmSet.Us ? Length.FromInches(12) : Length.FromMillimetres(300);

    private static List<FillLayer> Fill(SectionQuestion question, Shelf shelf)
    {
        List<FillLayer> fill = question is { SheetId: { } sheet, ThicknessMm: { } thickness }
            ? [new FoamFill(Sheet(sheet, "sheetId"), Length.FromMillimetres(thickness))]
            : [];
        foreach (var (layer, i) in (question.Then ?? []).Select((layer, i) => (layer, i)))
        {
            fill.Add(Layer(layer, $"then[{i}].id"));
        }

        return fill;

        ProductSheet Sheet(string id, string field) =>
            shelf.Sheets.GetValueOrDefault(id) ?? throw new FieldFaultsException([new(field, "unknown", id)]);

        FillLayer Layer(FillShape layer, string field)
        {
            var at = Length.FromMillimetres(layer.ThicknessMm);
            FillLayer made = layer.Kind switch
            {
                FillKind.Foam => new FoamFill(Sheet(layer.Id, field), at),
                FillKind.Batt => BattFill.Behind(
                    shelf.Batts.FirstOrDefault(b => b.Id == layer.Id) ?? throw new FieldFaultsException([new(field, "unknown", layer.Id)]),
                    at,
                    fill.LastOrDefault()
                ),
                _ => new SlabFill(SectionQuestions.Layer(new(layer.Id, layer.ThicknessMm), shelf, field)),
            };
            return made with { TakesRest = layer.TakesRest };
        }
    }

    // A stud stands on no skin; a girt without one is not known.
    private static MetalProfile? Profile(MembersShape members) =>
        members is { FlangeMm: { } flange, WebMm: { } web } && (members.SkinMm is not null || members.Material == MemberMaterial.SteelStud)
            ? new(
                Length.FromMillimetres(flange),
                Length.FromMillimetres(web),
                Length.FromMillimetres(members.Material == MemberMaterial.SteelStud ? 0 : members.SkinMm ?? 0)
            )
            : null;

    private static Layer Layer(LayerShape layer, Shelf shelf, string field) =>
        new(
            shelf.Materials.GetValueOrDefault(layer.Material) ?? throw new FieldFaultsException([new(field, "unknown", layer.Material)]),
            Length.FromMillimetres(layer.ThicknessMm)
        );
}
