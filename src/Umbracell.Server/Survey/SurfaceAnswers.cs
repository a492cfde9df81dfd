using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Documents;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Answers;
using Umbracell.Server.Surfaces;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey;

/// <summary>Shapes surfaces for the survey.</summary>
internal static class SurfaceAnswers
{
    /// <summary>Shapes one surface.</summary>
    /// <param name="surface">The surface.</param>
    /// <param name="records">What the survey knows beside it.</param>
    /// <param name="nameOf">Names of the surfaces its joints lead to.</param>
    public static SurfaceAnswer Of(Surface surface, SurveyRecords records, Func<Guid, string> nameOf)
    {
        var takeoff = SurfaceReader.Takeoff(surface);
        var shape = SurfaceReader.ShapeOf(surface);
        var openings = SurfaceReader.OpeningsOf(surface);
        var findings = SurfaceReader.SurveyOf(surface, takeoff, records, nameOf);
        var hasMembers = surface.MemberMaterial != MemberMaterial.None;
        var assembly = surface.Assembly;
        return new(
            surface.Id,
            surface.Name,
            surface.Kind,
            surface.Shape,
            Shape.Sizes(surface.Shape),
            surface.HasSize ? ShapeSplit.Along(surface.Shape) : [],
            surface.HasSize ? new(SizeText.Print(shape, UnitSystem.Us), SizeText.Print(shape, UnitSystem.Metric)) : null,
            openings.Count > 0 ? new(SizeText.Print(openings, UnitSystem.Us), SizeText.Print(openings, UnitSystem.Metric)) : null,
            surface.Repeats,
            hasMembers,
            surface.MemberMaterial,
            hasMembers ? Thickness(surface.MemberDepthM) : null,
            hasMembers ? Thickness(surface.MemberSpacingM) : null,
            surface.MemberShare * 100,
            surface.MemberMaterial == MemberMaterial.Wood ? FigureAnswer.Of(Figure.Percent(surface.MemberShare * 100)) : null,
            surface.Substrate,
            [.. assembly.Outboard.Select(Layer)],
            [.. assembly.Inboard.Select(Layer)],
            assembly.VentChannelMm > 0 ? Thickness(assembly.VentChannelMm / 1000) : null,
            assembly.Baffle is { } baffle ? Layer(baffle) : null,
            FigureAnswer.Of(Figure.Number(surface.ProfileFactor)),
            Details(surface),
            surface.OpenLeak?.Words,
            surface.SheetSlug,
            Thickness(surface.FoamThicknessM),
            Temperature(surface.ExpectedSubstrateC),
            Temperature(surface.ExpectedDrumC),
            takeoff is null ? null : new(FigureAnswer.Of(takeoff.Treated.ToFigure()), WorkingAnswer.Of(takeoff.Working)),
            takeoff is null ? null : new(FigureAnswer.Of(takeoff.Developed.ToFigure()), WorkingAnswer.Of(takeoff.Working)),
            FindingAnswer.All(findings),
            findings.Worst(),
            surface.Version
        );
    }

    private static DetailsAnswer Details(Surface surface)
    {
        var d = surface.Details;
        return new(
            surface.MemberMaterial == MemberMaterial.SteelStud
                ? [.. ShippedData.Templates[surface.Kind].Details, DetailField.StudProfile]
                : ShippedData.Templates[surface.Kind].Details,
            d.Access,
            FigureAnswer.Of(Figure.Number(Core.Takeoff.Access.LabourFactor(d.Access))),
            d.BalloonFramed,
            d.CrawlSpace,
            d.HeldAtEnds,
            Fine(d.FlangeMm),
            Fine(d.WebMm),
            Fine(d.SkinMm),
            d.Covering,
            d.Attachment,
            d.DoorSpareKg is { } kg ? FigureAnswer.Of(new(kg, Dimension.Mass)) : null,
            d.PenetrationMm > 0 ? Thickness(d.PenetrationMm / 1000) : null,
            surface.BufferId
        );
    }

    private static LayerAnswer Layer(LayerDocument row) => new(row.Material, Fine(row.ThicknessMm)!);

    // Skins and webs are thinner than an eighth of an inch: printed to five digits, as they would be typed.
    private static FigureAnswer? Fine(double? millimetres) =>
        millimetres is { } mm ? FigureAnswer.Exact(new(mm / 1000, Dimension.Thickness)) : null;

    private static FigureAnswer? Thickness(double? metres) => metres is { } m ? FigureAnswer.Of(new(m, Dimension.Thickness)) : null;

    private static FigureAnswer? Temperature(double? celsius) => celsius is { } c ? FigureAnswer.OfCelsius(c) : null;
}
