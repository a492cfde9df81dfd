using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Server.Answers;
using Umbracell.Server.Jobs;
using Umbracell.Server.Window;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey;

/// <summary>Shapes surfaces for the survey.</summary>
internal static class SurfaceAnswers
{
    public static SurfaceAnswer Of(Surface surface, LatestReadings readings)
    {
        var takeoff = SurfaceReader.Takeoff(surface);
        var shape = SurfaceReader.ShapeOf(surface);
        var openings = SurfaceReader.OpeningsOf(surface);
        var findings = SurveyCheck.Of(takeoff, surface.OpenLeak, readings.HasMoisture(surface.Id));
        var hasMembers = surface.MemberMaterial != MemberMaterial.None;
        return new(
            surface.Id,
            surface.Name,
            surface.Kind,
            surface.Shape,
            Shape.Sizes(surface.Shape),
            surface.HasSize ? new(SizeText.Print(shape, UnitSystem.Us), SizeText.Print(shape, UnitSystem.Metric)) : null,
            openings.Count > 0 ? new(SizeText.Print(openings, UnitSystem.Us), SizeText.Print(openings, UnitSystem.Metric)) : null,
            surface.Repeats,
            hasMembers,
            hasMembers ? Thickness(surface.MemberDepthM) : null,
            hasMembers ? Thickness(surface.MemberSpacingM) : null,
            surface.MemberShare * 100,
            surface.Substrate,
            surface.OpenLeak,
            surface.SheetSlug,
            Thickness(surface.FoamThicknessM),
            Temperature(surface.ExpectedSubstrateC),
            Temperature(surface.ExpectedDrumC),
            surface.Prepared,
            takeoff is null ? null : new(FigureAnswer.Of(takeoff.Treated.ToFigure()), WorkingAnswer.Of(takeoff.Working)),
            takeoff is null ? null : new(FigureAnswer.Of(takeoff.Developed.ToFigure()), WorkingAnswer.Of(takeoff.Working)),
            FindingAnswer.All(findings),
            findings.Worst(),
            surface.Version);
    }

    private static FigureAnswer? Thickness(double? metres) => metres is { } m ? FigureAnswer.Of(new(m, Dimension.Thickness)) : null;

    private static FigureAnswer? Temperature(double? celsius) => celsius is { } c ? FigureAnswer.Of(new(c, Dimension.Temperature)) : null;
}
