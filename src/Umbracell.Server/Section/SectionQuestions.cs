using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Formats.DataFiles;
using Umbracell.Server.Answers;
using Umbracell.Server.Problems;
using Umbracell.Store.Model;

namespace Umbracell.Server.Section;

/// <summary>Makes the section question of a surface, puts it to the core and shapes the answer. Every section figure of the product comes this way.</summary>
internal static class SectionQuestions
{
    /// <summary>The question of a surface; null until a sheet and a thickness are chosen.</summary>
    public static SectionQuestion? Of(Surface surface, Job job)
    {
        return surface is { SheetSlug: { } sheet, FoamThicknessM: { } thickness } ? Of(surface, job, sheet, thickness * 1000) : null;
    }

    /// <summary>The question of a surface with another foam.</summary>
    public static SectionQuestion Of(Surface surface, Job job, string sheet, double thicknessMm)
    {
        var template = ShippedData.Templates[surface.Kind];
        var targets = ShippedData.TargetSets.GetValueOrDefault(job.TargetSetId);
        var target = targets?.For(template.Element, job.ClimateZone);
        var beyond = Beyond(template.Exposure, job);
        return new(
            surface.Kind,
            sheet,
            thicknessMm,
            Layers(surface.Assembly.Outboard),
            Layers(surface.Assembly.Inboard),
            new(surface.MemberMaterial, surface.MemberDepthM * 1000, surface.MemberSpacingM * 1000, surface.MemberShare * 100, surface.Details.FlangeMm, surface.Details.WebMm, surface.Details.SkinMm),
            surface.Assembly.VentChannelMm,
            surface.Assembly.Baffle is { } baffle ? new(baffle.Material, baffle.ThicknessMm) : null,
            surface.FoamAgainst,
            template.HeatFlow,
            template.Exposure,
            targets?.Films ?? FilmSet.Us,
            job.IndoorC,
            job.IndoorRhPct,
            beyond.TempC,
            beyond.RhPct,
            target is null ? null : new(target.GreatestU.WattsPerSquareMetreKelvin, target.Edition),
            job.ClimateZone,
            SectionYears.Of(job, template.Exposure));
    }

    /// <summary>Soil is assumed wet and at 10 °C until a ground temperature is entered.</summary>
    public static (double TempC, double RhPct) Soil { get; } = (10, 100);

    /// <summary>Air (or soil) on the far side at winter design.</summary>
    private static (double TempC, double RhPct) Beyond(Exposure exposure, Job job) => exposure switch
    {
        Exposure.Room => (job.IndoorC, job.IndoorRhPct),
        Exposure.Ground => Soil,
        _ => (job.OutdoorC, job.OutdoorRhPct),
    };

    /// <summary>Studies a question.</summary>
    public static SectionStudy Study(SectionQuestion question, ProductSheet sheet) => SectionStudy.Of(Case(question, sheet));

    /// <summary>The core's case of a question.</summary>
    public static SectionCase Case(SectionQuestion question, ProductSheet sheet) => new()
    {
        Kind = question.Kind,
        Outboard = [.. question.Outboard.Select((layer, i) => Layer(layer, $"outboard[{i}].material"))],
        Inboard = [.. question.Inboard.Select((layer, i) => Layer(layer, $"inboard[{i}].material"))],
        Members = new(question.Members.Material, Length.FromMillimetres(question.Members.DepthMm), Length.FromMillimetres(question.Members.SpacingMm), question.Members.SharePct / 100, ShippedData.Materials["softwood"].Conductivity, Girt(question.Members)),
        VentChannel = Length.FromMillimetres(question.VentChannelMm),
        Baffle = question.Baffle is { } baffle ? Layer(baffle, "baffle.material") : null,
        FoamAgainst = question.FoamAgainst,
        HeatFlow = question.HeatFlow,
        Exposure = question.Exposure,
        Films = question.Films,
        Sheet = sheet,
        FoamThickness = Length.FromMillimetres(question.ThicknessMm),
        Air = new(new(question.IndoorC), new(question.IndoorRhPct), new(question.OutdoorC), new(question.OutdoorRhPct)),
        Target = question.Target is { } target ? new(new(target.UWM2K), target.Edition) : null,
        ClimateZone = string.IsNullOrWhiteSpace(question.ClimateZone) ? null : question.ClimateZone,
    };

    /// <summary>Shapes a study.</summary>
    public static SectionAnswer Answer(SectionStudy study, YearShape? year = null)
    {
        var told = SectionYears.Study(study.Case, year);
        var free = study.Case.FoamDepth is { } depth ? Math.Max(0, (depth - study.Case.FoamThickness).Millimetres) : 0;
        return new(
            study.FoamR.SquareMetreKelvinsPerWatt,
            study.CavityR.SquareMetreKelvinsPerWatt,
            study.ParallelU.WattsPerSquareMetreKelvin,
            study.CombinedU?.WattsPerSquareMetreKelvin,
            study.WholeU.WattsPerSquareMetreKelvin,
            study.BareU.WattsPerSquareMetreKelvin,
            study.HeatCut * 100,
            study.FoamPermeance.Nanograms,
            study.FoamPermeance.EquivalentAirThickness.Metres,
            study.FoamClass,
            study.WholePermeance.Nanograms,
            study.Profile.OutwardDrive.Pascals,
            [.. study.Lifts.Lifts.Select(l => l.Millimetres)],
            study.Lifts.LeastTime.TotalMinutes,
            study.ThicknessForTarget?.Millimetres,
            study.GreatestFit?.Millimetres,
            study.Case.FoamDepth?.Millimetres,
            study.Case.Sheet.ThickestRated.Millimetres,
            free,
            Figures(study, free),
            [.. study.Profile.Points.Select(p => new ProfilePointAnswer(p.Key, p.Depth.Millimetres, p.Temperature.Celsius, p.DewPoint.Celsius, p.VapourPressure.Pascals, FigureAnswer.Of(p.Temperature.ToFigure()), FigureAnswer.Of(p.DewPoint.ToFigure())))],
            new(study.Profile.NearestDew.Key, FigureAnswer.Of(study.Profile.NearestDew.DewMargin.ToFigure()), study.Profile.NearestDew.DewMargin.Kelvins < -1e-6),
            [.. study.Notches.Select(n => new NotchAnswer(n.Key, n.Thickness.Millimetres, FigureAnswer.Of(n.Thickness.ToThickness())))],
            FindingAnswer.All(study.Findings),
            study.Findings.Concat(told?.Findings ?? []).Worst(),
            told is null ? null : SectionYears.Answer(told));
    }

    private static Dictionary<string, WorkedFigure> Figures(SectionStudy study, double freeMm)
    {
        var figures = new Dictionary<string, Figure>
        {
            ["thickness"] = study.Case.FoamThickness.ToThickness(),
            ["foamR"] = study.FoamR.ToFigure(),
            ["cavityR"] = study.CavityR.ToFigure(),
            ["wholeU"] = study.WholeU.ToFigure(),
            ["parallelU"] = study.ParallelU.ToFigure(),
            ["foamPermeance"] = study.FoamPermeance.ToFigure(),
            ["foamSd"] = new(study.FoamPermeance.EquivalentAirThickness.Metres, Dimension.Span),
            ["heatCut"] = Figure.Percent(study.HeatCut * 100),
            ["lifts"] = Figure.Count(study.Lifts.Lifts.Count),
            ["lift"] = study.Lifts.Lifts[0].ToThickness(),
            ["wait"] = Figure.Duration(study.Lifts.Wait),
            ["coolBelow"] = study.Lifts.CoolBelow.ToFigure(),
            ["leastTime"] = Figure.Duration(study.Lifts.LeastTime),
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

        if (study.GirtPsi is { } psi)
        {
            figures["girtPsi"] = new(psi, Dimension.LinearTransmittance);
        }

        if (study.GirtFlange is { } flange)
        {
            figures["girtFlange"] = flange.ToFigure();
        }

        if (study.Case.Target is { } target)
        {
            figures["targetU"] = target.GreatestU.ToFigure();
        }

        return figures.ToDictionary(f => f.Key, f => new WorkedFigure(FigureAnswer.Of(f.Value), WorkingAnswer.Maybe(study.Workings.GetValueOrDefault(f.Key))));
    }

    private static GirtProfile? Girt(MembersShape members) => members is { FlangeMm: { } flange, WebMm: { } web, SkinMm: { } skin }
        ? new(Length.FromMillimetres(flange), Length.FromMillimetres(web), Length.FromMillimetres(skin))
        : null;

    private static Layer Layer(LayerShape layer, string field) =>
        new(ShippedData.Materials.GetValueOrDefault(layer.Material) ?? throw new FieldFaultsException([new(field, "unknown", layer.Material)]), Length.FromMillimetres(layer.ThicknessMm));

    private static List<LayerShape> Layers(IEnumerable<LayerRow> rows) => [.. rows.Select(row => new LayerShape(row.Material, row.ThicknessMm))];
}
