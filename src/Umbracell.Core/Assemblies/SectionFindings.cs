using Umbracell.Core.Findings;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>Judges a section: target, fit, lifts, class, air barrier, vent channel, metal members.</summary>
internal static class SectionFindings
{
    /// <summary>Least vent channel of IRC R806.3.</summary>
    private static readonly Length LeastChannel = Length.FromInches(1);

    /// <summary>A baffle that foam presses on must be rigid or backed where it spans more (choice rule E8).</summary>
    private static readonly Length WidestUnbackedBaffle = Length.FromInches(16);

    public static IEnumerable<Finding> Of(SectionStudy study)
    {
        yield return Target(study);
        yield return SectionFit.Judge(study.Case);
        yield return study.Lifts.Finding;
        yield return AirBarrier(study);
        yield return Class(study);
        if (study.Case.VentChannel > Length.Zero)
        {
            yield return VentChannel(study.Case);
        }

        foreach (var finding in MetalFindings.Of(study))
        {
            yield return finding;
        }
    }

    private static Finding Target(SectionStudy study)
    {
        if (study.Case.Target is not { } target)
        {
            return new("target", "none", Verdict.Clear, Basis.ModelCode, "No target applies to this surface") { Measured = study.WholeU.ToFigure() };
        }

        var margin = target.GreatestU.WattsPerSquareMetreKelvin - study.WholeU.WattsPerSquareMetreKelvin;
        var thickness = study.ThicknessForTarget;
        var reachable = thickness is { } t && (study.GreatestFit is not { } fit || t <= fit);
        var shortCase = thickness is null ? "outOfReach" : reachable ? "short" : "deeperThanFits";
        return new("target", margin >= 0 ? "met" : shortCase, margin >= 0 ? Verdict.Clear : Verdict.Care, Basis.ModelCode, target.Edition)
        {
            Measured = study.WholeU.ToFigure(),
            Limit = target.GreatestU.ToFigure(),
            Margin = new(margin, Dimension.Transmittance),
            Figures = thickness is { } needed ? new Dictionary<string, Figure> { ["thickness"] = needed.ToThickness() } : new(),
            Remedies = margin < 0 && reachable ? [Remedy.Of("goToThickness", "thickness", thickness!.Value.ToThickness())] : [],
            Working = study.Workings["wholeU"],
        };
    }

    private static Finding AirBarrier(SectionStudy study)
    {
        var from = study.Case.Sheet.AirBarrierFrom;
        var counts = study.Case.FoamThickness >= from;
        return new("airBarrier", counts ? "counts" : "tooThin", counts ? Verdict.Clear : Verdict.Care, Basis.ProductSheet, $"{study.Case.Sheet.Name}, {study.Case.Sheet.Edition}: air barrier")
        {
            Measured = study.Case.FoamThickness.ToThickness(),
            Limit = from.ToThickness(),
            Margin = (study.Case.FoamThickness - from).ToThickness(),
            Remedies = counts ? [] : [Remedy.Of("goToThickness", "thickness", from.ToThickness())],
        };
    }

    private static Finding Class(SectionStudy study)
    {
        var needed = IsColdZone(study.Case.ClimateZone) && FacesOutdoors(study.Case.Kind);
        var meets = study.FoamClass <= VapourClass.II;
        var class2 = VapourResistance.ThicknessFor(study.Case.Sheet.Permeability, VapourClass.II);
        var reachable = class2 <= study.Case.Sheet.ThickestRated;
        return new("vapourClass", meets ? "retards" : needed ? "zoneWantsClass2" : "open", needed && !meets ? Verdict.Care : Verdict.Clear, Basis.ModelCode, "IRC R702.7 and R806.5, 2021: Class II or better in zones 4C and 5 to 8")
        {
            Measured = study.FoamPermeance.ToFigure(),
            Limit = VapourResistance.GreatestOf(VapourClass.II).ToFigure(),
            Words = new Dictionary<string, string> { ["class"] = study.FoamClass.ToString(), ["zone"] = study.Case.ClimateZone ?? "" },
            Remedies = needed && !meets && reachable ? [Remedy.Of("goToThickness", "thickness", class2.ToThickness())] : [],
            Working = study.Workings["foamPermeance"],
        };
    }

    private static Finding VentChannel(SectionCase section)
    {
        var tooLow = section.VentChannel.Metres < LeastChannel.Metres - 1e-6;
        var span = new Length(section.Members.Spacing.Metres * (1 - section.Members.Share));
        var wide = span > WidestUnbackedBaffle;
        return new("ventChannel", tooLow ? "tooLow" : wide ? "backBaffle" : "keeps", tooLow ? Verdict.Hold : wide ? Verdict.Care : Verdict.Clear, Basis.ModelCode, "IRC R806.3; choice rule E8")
        {
            Measured = section.VentChannel.ToThickness(),
            Limit = LeastChannel.ToThickness(),
            Figures = new Dictionary<string, Figure> { ["span"] = span.ToThickness() },
        };
    }

    private static bool IsColdZone(string? zone) => zone is not null && (zone == "4C" || zone[0] is >= '5' and <= '8');

    private static bool FacesOutdoors(SurfaceKind kind) => kind is
        SurfaceKind.StudWall or SurfaceKind.SolidWall or SurfaceKind.MetalWall or SurfaceKind.MetalRoof or SurfaceKind.SteelBox
        or SurfaceKind.BandJoist or SurfaceKind.UnventedDeck;
}
