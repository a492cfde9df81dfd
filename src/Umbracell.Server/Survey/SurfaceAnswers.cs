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
        return new()
        {
            Id = surface.Id,
            Name = surface.Name,
            Kind = surface.Kind,
            Shape = surface.Shape,
            SizeParts = Shape.Sizes(surface.Shape),
            CutAlong = surface.HasSize ? ShapeSplit.Along(surface.Shape) : [],
            Size = surface.HasSize ? new(SizeText.Print(shape, UnitSystem.Us), SizeText.Print(shape, UnitSystem.Metric)) : null,
            Openings =
                openings.Count > 0 ? new(SizeText.Print(openings, UnitSystem.Us), SizeText.Print(openings, UnitSystem.Metric)) : null,
            Repeats = surface.Repeats,
            HasMembers = hasMembers,
            MemberMaterial = surface.MemberMaterial,
            MemberDepth = hasMembers ? Thickness(surface.MemberDepthM) : null,
            MemberSpacing = hasMembers ? Thickness(surface.MemberSpacingM) : null,
            MemberSharePct = surface.MemberShare * 100,
            MemberShare = surface.MemberMaterial == MemberMaterial.Wood ? FigureAnswer.Of(Figure.Percent(surface.MemberShare * 100)) : null,
            Substrate = surface.Substrate,
            Outboard = [.. assembly.Outboard.Select(Layer)],
            Inboard = [.. assembly.Inboard.Select(Layer)],
            VentChannel = assembly.VentChannelMm > 0 ? Thickness(assembly.VentChannelMm / 1000) : null,
            Baffle = assembly.Baffle is { } baffle ? Layer(baffle) : null,
            ProfileFactor = FigureAnswer.Of(Figure.Number(surface.ProfileFactor)),
            Details = Details(surface),
            OpenLeak = surface.OpenLeak?.Words,
            SheetId = surface.SheetSlug,
            Thickness = Thickness(surface.FoamThicknessM),
            ExpectedSubstrate = Temperature(surface.ExpectedSubstrateC),
            ExpectedDrum = Temperature(surface.ExpectedDrumC),
            TreatedArea = takeoff is null ? null : new(FigureAnswer.Of(takeoff.Treated.ToFigure()), WorkingAnswer.Of(takeoff.Working)),
            SprayedArea = takeoff is null ? null : new(FigureAnswer.Of(takeoff.Developed.ToFigure()), WorkingAnswer.Of(takeoff.Working)),
            Findings = FindingAnswer.All(findings),
            Verdict = findings.Worst(),
            Version = surface.Version,
        };
    }

    private static DetailsAnswer Details(Surface surface)
    {
        var d = surface.Details;
        return new()
        {
            Asked =
                surface.MemberMaterial == MemberMaterial.SteelStud
                    ? [.. ShippedData.Templates[surface.Kind].Details, DetailField.StudProfile]
                    : ShippedData.Templates[surface.Kind].Details,
            Access = d.Access,
            AccessFactor = FigureAnswer.Of(Figure.Number(Core.Takeoff.Access.LabourFactor(d.Access))),
            BalloonFramed = d.BalloonFramed,
            CrawlSpace = d.CrawlSpace,
            HeldAtEnds = d.HeldAtEnds,
            Flange = Fine(d.FlangeMm),
            Web = Fine(d.WebMm),
            Skin = Fine(d.SkinMm),
            Covering = d.Covering,
            Attachment = d.Attachment,
            Facing = d.Facing,
            Shelter = d.Shelter,
            FaceHeight = d.FaceHeightM is { } height ? FigureAnswer.Of(new(height, Dimension.Span)) : null,
            CoveredOn = d.CoveredOn,
            DoorSpare = d.DoorSpareKg is { } kg ? FigureAnswer.Of(new(kg, Dimension.Mass)) : null,
            Penetration = d.PenetrationMm > 0 ? Thickness(d.PenetrationMm / 1000) : null,
            BufferId = surface.BufferId,
        };
    }

    /// <summary>A layer as it is shown and typed.</summary>
    public static LayerAnswer Layer(LayerDocument row) => new(row.Material, FigureAnswer.OfLayer(row.ThicknessMm));

    // Skins and webs are thinner than an eighth of an inch.
    private static FigureAnswer? Fine(double? millimetres) => millimetres is { } mm ? FigureAnswer.OfLayer(mm) : null;

    private static FigureAnswer? Thickness(double? metres) => metres is { } m ? FigureAnswer.Of(new(m, Dimension.Thickness)) : null;

    private static FigureAnswer? Temperature(double? celsius) => celsius is { } c ? FigureAnswer.OfCelsius(c) : null;
}
