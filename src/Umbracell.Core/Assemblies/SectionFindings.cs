using Umbracell.Core.Assemblies.Conduction;
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

    // The two methods lie up to about this share apart.
    private const double NearTarget = 0.1;

    private static readonly Length TightFit = Length.FromInches(0.25);

    public static IEnumerable<Finding> Of(SectionStudy study)
    {
        yield return Target(study);
        if (Framing(study) is { } framing)
        {
            yield return framing;
        }

        yield return SectionFit.Judge(study.Case);
        foreach (var lifts in study.Lifts)
        {
            yield return lifts.Finding;
        }

        yield return AirBarrier(study);
        yield return Class(study);
        if (BattGap(study) is { } gap)
        {
            yield return gap;
        }

        if (study.Case.VentChannel > Length.Zero)
        {
            yield return VentChannel(study.Case);
        }

        if (DoorLoad.Judge(study.Case, study.Case.Door?.Spare, study.Case.Door?.Treated) is { } door)
        {
            yield return door;
        }

        if (SlabEdge.Of(study.Case) is { } edge)
        {
            yield return edge.Judge();
        }

        foreach (var finding in MetalFindings.Of(study))
        {
            yield return finding;
        }
    }

    // What lies under the slab is judged here; its edge, where the code counts along it, by a finding of its own.
    private static Finding Slab(SectionStudy study, SlabTarget target)
    {
        var (installed, met, thickness) = (study.Case.InsulationR, target.IsMetBy(study.Case), study.ThicknessForTarget);
        return new(
            SectionRules.Target,
            met ? "slabMet"
                : thickness is null ? "slabOutOfReach"
                : "slabShort",
            met ? Verdict.Clear : Verdict.Care,
            Citations.Targets(target.Edition)
        )
        {
            Measured = installed.ToFigure(),
            Limit = target.LeastR.ToFigure(),
            Margin = new(installed.SquareMetreKelvinsPerWatt - target.LeastR.SquareMetreKelvinsPerWatt, Dimension.Resistance),
            Figures = thickness is { } needed
                ? new Dictionary<string, Figure> { ["along"] = target.Along.ToThickness(), ["thickness"] = needed.ToThickness() }
                : new() { ["along"] = target.Along.ToThickness() },
            Remedies = met || thickness is null ? [] : [Remedy.Of("goToThickness", "thickness", thickness.Value.ToThickness())],
        };
    }

    private static Finding Target(SectionStudy study)
    {
        if (study.Case.SlabTarget is { } slab)
        {
            return Slab(study, slab);
        }

        if (study.Case.Target is not { } target)
        {
            return new(SectionRules.Target, "none", Verdict.Clear, Citations.NoTarget) { Measured = study.WholeU.ToFigure() };
        }

        var margin = target.GreatestU.WattsPerSquareMetreKelvin - study.WholeU.WattsPerSquareMetreKelvin;
        var thickness = study.ThicknessForTarget;
        var reachable = thickness is { } t && (study.GreatestFit is not { } fit || t <= fit);
        var shortCase =
            thickness is null ? "outOfReach"
            : reachable ? "short"
            : "deeperThanFits";
        return new(
            SectionRules.Target,
            margin >= 0 ? "met" : shortCase,
            margin >= 0 ? Verdict.Clear : Verdict.Care,
            Citations.Targets(target.Edition)
        )
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
        var counts = study.Case.Fill.Any(layer => layer.StopsAir);
        if (study.Case.Foam is not { } foam)
        {
            return new(SectionRules.AirBarrier, counts ? "board" : "none", counts ? Verdict.Clear : Verdict.Care, Citations.SealedBoard)
            {
                Measured = study.Case.FillThickness.ToThickness(),
            };
        }

        var from = foam.Sheet.AirBarrierFrom;
        return new(
            SectionRules.AirBarrier,
            counts ? "counts" : "tooThin",
            counts ? Verdict.Clear : Verdict.Care,
            Citations.Sheet(foam.Sheet, SheetLine.SheetAirBarrier)
        )
        {
            Measured = foam.Thickness.ToThickness(),
            Limit = from.ToThickness(),
            Margin = (foam.Thickness - from).ToThickness(),
            Remedies = counts ? [] : [Remedy.Of("goToThickness", "thickness", from.ToThickness())],
        };
    }

    private static Finding Class(SectionStudy study)
    {
        // Where the code's own table passes the assembly, the class by itself asks for nothing more.
        var passes = CondensationTables.Of(study.Case, Covering.Unknown, null) is { Verdict: Verdict.Clear };
        var needed = ColdZones.Holds(study.Case.ClimateZone) && FacesOutdoors(study.Case.Kind) && !passes;
        var meets = study.FillClass <= VapourClass.II;
        var class2 =
            study.Case.Foam is { } foam
            && VapourResistance.ThicknessFor(foam.Sheet.Permeability, VapourClass.II) is var t
            && t <= foam.Sheet.ThickestRated
                ? t
                : (Length?)null;
        return new(
            SectionRules.VapourClass,
            meets ? "retards"
                : needed ? "zoneWantsClass2"
                : "open",
            needed && !meets ? Verdict.Care : Verdict.Clear,
            Citations.VapourClassOfZone
        )
        {
            Measured = study.FillPermeance.ToFigure(),
            Limit = VapourResistance.GreatestOf(VapourClass.II).ToFigure(),
            Words = new Dictionary<string, Said> { ["class"] = study.FillClass.ToString(), ["zone"] = study.Case.ClimateZone ?? "" },
            Remedies =
                needed && !meets && class2 is { } reachable ? [Remedy.Of("goToThickness", "thickness", reachable.ToThickness())] : [],
            Working = study.Workings["foamPermeance"],
        };
    }

    // Heat that spreads sideways into a deep member is left out by the parallel path: near a target the two methods may part.
    private static Finding? Framing(SectionStudy study)
    {
        if (
            study.Case.Target?.GreatestU.WattsPerSquareMetreKelvin is not { } target
            || study.CombinedU?.WattsPerSquareMetreKelvin is not { } combined
        )
        {
            return null;
        }

        var parallel = study.ParallelU.WattsPerSquareMetreKelvin;
        var (meets, combinedMeets) = (parallel <= target, combined <= target);
        if (
            combined <= parallel
            || (meets == combinedMeets && Math.Min(Math.Abs(parallel - target), Math.Abs(combined - target)) > NearTarget * target)
        )
        {
            return null;
        }

        return new(
            SectionRules.Framing,
            meets != combinedMeets ? "part"
                : meets ? "bothMeet"
                : "neitherMeets",
            meets && combinedMeets ? Verdict.Clear : Verdict.Care,
            Citations.ParallelAndMean
        )
        {
            Measured = study.ParallelU.ToFigure(),
            Limit = study.Case.Target.GreatestU.ToFigure(),
            Figures = new Dictionary<string, Figure> { ["combined"] = study.CombinedU.Value.ToFigure() },
        };
    }

    // Air that can turn behind a batt takes its worth; a space a finger does not enter is a tight fit.
    private static Finding? BattGap(SectionStudy study)
    {
        if (study.Case.Fill.OfType<BattFill>().LastOrDefault() is not { } batt || study.FreeWidth < TightFit)
        {
            return null;
        }

        return new(SectionRules.BattFit, "gap", Verdict.Care, Citations.BattsFilling)
        {
            Measured = batt.Batt.Nominal.ToThickness(),
            Limit = batt.Space.ToThickness(),
            Margin = (batt.Batt.Nominal - batt.Space).ToThickness(),
            Figures = new Dictionary<string, Figure> { ["gap"] = study.FreeWidth.ToThickness() },
        };
    }

    private static Finding VentChannel(SectionCase section)
    {
        var tooLow = section.VentChannel.Metres < LeastChannel.Metres - 1e-6;
        var span = Length.FromMetres(section.Members.Spacing.Metres * (1 - section.Members.Share));
        var wide = span > WidestUnbackedBaffle;
        return new(
            SectionRules.VentChannel,
            tooLow ? "tooLow"
                : wide ? "backBaffle"
                : "keeps",
            tooLow ? Verdict.Hold
                : wide ? Verdict.Care
                : Verdict.Clear,
            Citations.VentChannelCode
        )
        {
            Measured = section.VentChannel.ToThickness(),
            Limit = LeastChannel.ToThickness(),
            Figures = new Dictionary<string, Figure> { ["span"] = span.ToThickness() },
        };
    }

    private static bool FacesOutdoors(SurfaceKind kind) =>
        kind
            is SurfaceKind.StudWall
                or SurfaceKind.SolidWall
                or SurfaceKind.MetalWall
                or SurfaceKind.MetalRoof
                or SurfaceKind.SteelBox
                or SurfaceKind.BandJoist
                or SurfaceKind.UnventedDeck;
}
