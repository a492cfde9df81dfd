using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Lifts;
using Umbracell.Core.Quantities;
using Umbracell.Documents;
using Umbracell.Questions.Answers;

namespace Umbracell.Questions.Section;

/// <summary>Puts a section question to the core and shapes the answer. Every section figure of the product comes this way, on the server
/// and in the browser alike.</summary>
public static class SectionQuestions
{
    /// <summary>Studies a question.</summary>
    public static SectionStudy Study(SectionQuestion question, Supplies supplies) =>
        SectionStudy.Of(Case(question, supplies), question.Brief);

    /// <summary>U of a question; null where its thickness cannot be rated.</summary>
    public static ThermalTransmittance? TryU(SectionQuestion question, Supplies supplies)
    {
        try
        {
            return Study(question, supplies).WholeU;
        }
        catch (Exception e) when (e is QuantityRangeException or FieldFaultsException)
        {
            return null;
        }
    }

    /// <summary>The core's case of a question.</summary>
    public static SectionCase Case(SectionQuestion question, Supplies supplies)
    {
        var section = Laid(question, supplies);

        // A layer that takes the rest gives way to the one that was moved.
        return section.Fill.Any(layer => layer.TakesRest) ? section.WithFoam(section.FoamThickness) : section;
    }

    private static SectionCase Laid(SectionQuestion question, Supplies supplies) =>
        new()
        {
            Kind = question.Kind,
            Solved = supplies.Solved,
            Outboard = [.. question.Outboard.Select((layer, i) => Layer(layer, supplies, $"outboard[{i}].material"))],
            Inboard = [.. question.Inboard.Select((layer, i) => Layer(layer, supplies, $"inboard[{i}].material"))],
            Members = new()
            {
                Material = question.Members.Material,
                Depth = Length.FromMillimetres(question.Members.DepthMm),
                Spacing = Length.FromMillimetres(question.Members.SpacingMm),
                Share = question.Members.SharePct / 100,
                Conductivity = supplies.Materials["softwood"].Conductivity,
                Profile = Profile(question.Members),
            },
            VentChannel = Length.FromMillimetres(question.VentChannelMm),
            Baffle = question.Baffle is { } baffle ? Layer(baffle, supplies, "baffle.material") : null,
            FoamAgainst = question.FoamAgainst,
            VentedCladding = question.VentedCladding,
            HeatFlow = question.HeatFlow,
            Exposure = question.Exposure,
            Films = question.Films,
            Fill = Fill(question, supplies),
            Door = question.Door is { } door
                ? new(
                    door.SpareKg is { } kg ? Mass.FromKilograms(kg) : null,
                    door.TreatedM2 is { } area ? Area.FromSquareMetres(area) : null
                )
                : null,
            Air = new(
                Temperature.FromCelsius(question.IndoorC),
                RelativeHumidity.FromPercent(question.IndoorRhPct),
                Temperature.FromCelsius(question.OutdoorC),
                RelativeHumidity.OfWeather(question.OutdoorRhPct, Temperature.FromCelsius(question.OutdoorC))
            ),
            BeyondEdge = question.BeyondEdgeC is { } edge ? Temperature.FromCelsius(edge) : null,
            SlabTarget = question.SlabTarget is { } slab
                ? new(ThermalResistance.FromSi(slab.LeastRM2KW), Length.FromMillimetres(slab.AlongMm), slab.Edition)
                : null,
            Target = question.Target is { } target ? new(ThermalTransmittance.FromSi(target.UWM2K), target.Edition) : null,
            ClimateZone = string.IsNullOrWhiteSpace(question.ClimateZone) ? null : question.ClimateZone,
        };

    /// <summary>Answers a question.</summary>
    public static SectionAnswer Answer(SectionQuestion question, Supplies supplies) =>
        Answer(Study(question, supplies), question.Year, question.Brief);

    /// <summary>Shapes a study.</summary>
    public static SectionAnswer Answer(SectionStudy study, YearShape? year = null, bool brief = false)
    {
        var told = SectionYears.Study(study.Case, year);
        return new()
        {
            FoamRM2KW = study.FillR.SquareMetreKelvinsPerWatt,
            CavityRM2KW = study.CavityR.SquareMetreKelvinsPerWatt,
            ParallelUWM2K = study.ParallelU.WattsPerSquareMetreKelvin,
            CombinedUWM2K = study.CombinedU?.WattsPerSquareMetreKelvin,
            UWM2K = study.WholeU.WattsPerSquareMetreKelvin,
            BareUWM2K = study.BareU.WattsPerSquareMetreKelvin,
            HeatCutPct = study.HeatCut * 100,
            FoamPermeanceNg = study.FillPermeance.Nanograms,
            FoamSdM = study.FillPermeance.EquivalentAirThickness.Metres,
            FoamClass = study.FillClass,
            WholePermeanceNg = study.WholePermeance.Nanograms,
            OutwardDrivePa = study.Profile.OutwardDrive.Pascals,
            LiftsMm = [.. study.Lifts.SelectMany(plan => plan.Lifts).Select(l => l.Millimetres)],
            Lifts = [.. study.Case.Fill.OfType<FoamFill>().Zip(study.Lifts, Lifts)],
            LeastTimeMin = LiftPlan.LeastTimeOf(study.Lifts).TotalMinutes,
            ThicknessForTargetMm = study.ThicknessForTarget?.Millimetres,
            GreatestFitMm = study.GreatestFit?.Millimetres,
            Laid = LaidSection.Of(study.Case),
            Figures = Figures(study, brief),
            Profile = [.. study.Profile.Points.Select(Point)],
            NearestDew = new(
                study.Profile.NearestDew.Key,
                FigureAnswer.Of(study.Profile.NearestDew.DewMargin.ToFigure()),
                study.Profile.NearestDew.DewMargin.Kelvins < -1e-6
            ),
            Notches =
            [
                .. study.Notches.Select(n => new NotchAnswer(n.Key, n.Thickness.Millimetres, FigureAnswer.Of(n.Thickness.ToThickness()))),
            ],
            Findings = FindingAnswer.All(study.Findings, brief),
            Verdict = study.Findings.Concat(told?.Findings ?? []).Worst(),
            Year = told is null ? null : SectionYears.Answer(told, brief),
            Inches = brief ? [] : [.. InchLedger.Of(study.Case).Select(Inch)],
        };
    }

    private static ProfilePointAnswer Point(ProfilePoint p) =>
        new()
        {
            Key = p.Key,
            DepthMm = p.Depth.Millimetres,
            TempC = p.Temperature.Celsius,
            DewPointC = p.DewPoint.Celsius,
            VapourPressurePa = p.VapourPressure.Pascals,
            Temp = FigureAnswer.Of(p.Temperature.ToFigure()),
            Dew = FigureAnswer.Of(p.DewPoint.ToFigure()),
        };

    private static InchAnswer Inch(InchLine line) =>
        new(
            FigureAnswer.Of(line.Thickness.ToThickness()),
            FigureAnswer.Of(line.U.ToFigure()),
            FigureAnswer.Of(Figure.Percent(100 * line.Cut)),
            FigureAnswer.Of(Figure.Percent(100 * line.Further)),
            100 * line.Cut
        );

    private static LiftsAnswer Lifts(FoamFill foam, LiftPlan plan) =>
        new(
            foam.Sheet.Name,
            plan.Lifts.Count,
            FigureAnswer.Of(plan.Lifts[0].ToThickness()),
            FigureAnswer.Of(Figure.Duration(plan.Wait)),
            FigureAnswer.Of(plan.CoolBelow.ToFigure())
        );

    private static Dictionary<string, WorkedFigure> Figures(SectionStudy study, bool brief)
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
            ["freeSpace"] = study.Case.FreeSpace.ToThickness(),
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

    private static List<FillLayer> Fill(SectionQuestion question, Supplies supplies)
    {
        List<FillLayer> fill = question is { SheetId: { } sheet, ThicknessMm: { } thickness }
            ? [new FoamFill(supplies.Sheet(sheet), Length.FromMillimetres(thickness))]
            : [];
        foreach (var (layer, i) in (question.Further ?? []).Select((layer, i) => (layer, i)))
        {
            fill.Add(Layer(layer, $"then[{i}].id"));
        }

        return fill;

        FillLayer Layer(FillDocument layer, string field)
        {
            var at = Length.FromMillimetres(layer.ThicknessMm);
            FillLayer made = layer.Kind switch
            {
                FillKind.Foam => new FoamFill(supplies.Sheet(layer.Id, field), at),
                FillKind.Batt => BattFill.Behind(
                    supplies.BattOf(layer.Id)
                        ?? throw new FieldFaultsException([
                            new()
                            {
                                Field = field,
                                Code = FaultCode.Unknown,
                                Typed = layer.Id,
                            },
                        ]),
                    at,
                    fill.LastOrDefault()
                ),
                _ => new SlabFill(SectionQuestions.Layer(new(layer.Id, layer.ThicknessMm), supplies, field)),
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

    private static Layer Layer(LayerDocument layer, Supplies supplies, string field) =>
        new(
            supplies.MaterialOf(layer.Material)
                ?? throw new FieldFaultsException([
                    new()
                    {
                        Field = field,
                        Code = FaultCode.Unknown,
                        Typed = layer.Material,
                    },
                ]),
            Length.FromMillimetres(layer.ThicknessMm)
        );
}
