using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Choosing;

/// <summary>A system weighed: what the rules look at.</summary>
/// <param name="Kind">Which system.</param>
/// <param name="Section">The surface with the system in it.</param>
/// <param name="Year">Its monthly year; null where none is known.</param>
/// <param name="Opinions">What the three opinions on condensation say.</param>
/// <param name="Fits">Whether it fits the depth.</param>
internal sealed record Weighed(CandidateKind Kind, SectionCase Section, MonthlyYear? Year, IReadOnlyList<Finding> Opinions, bool Fits)
{
    public bool HasOpenCell => Section.Fill.OfType<FoamFill>().Any(f => f.Sheet.Cell == CellStructure.Open);

    public bool HasBatt => Section.Fill.OfType<BattFill>().Any();

    /// <summary>The layer that lies on the substrate.</summary>
    public FillLayer Outermost => Section.Fill[0];

    public VapourClass FillClass => VapourResistance.ClassOf(VapourResistance.InSeries(Section.Fill.Select(f => f.Permeance)));
}

/// <summary>Rules E1 to E12: each looks at one system on one surface and holds it, cautions it or says nothing. Prices never take
/// part.</summary>
internal static class Exclusions
{
    private delegate Finding? Judging(ChoiceCase choice, Weighed weighed);

    private static readonly Judging[] All =
    [
        WeatherSide,
        Ground,
        BareMetal,
        TightFinish,
        TightRoofCovering,
        DoorWeight,
        ThinCoat,
        VentChannel,
        Depth,
        HybridDry,
        LacksAirBarrier,
        RainPlane,
    ];

    private const double GreatestFinishHumidity = AssemblyState.GreatestFinishHumidity;

    private static readonly Permeance Tight = Permeance.FromPerms(1);

    /// <summary>What the rules say of a system.</summary>
    public static IEnumerable<Finding> Of(ChoiceCase choice, Weighed weighed) =>
        All.Select(rule => rule(choice, weighed)).OfType<Finding>();

    /// <summary>E3 holds the surface whatever is chosen: nothing goes on until it is dry and mended.</summary>
    public static IEnumerable<Finding> OfSurface(ChoiceCase choice)
    {
        var facts = choice.Facts;
        if (facts.OpenLeak)
        {
            yield return new(ChoiceRules.Leak, "leak", Verdict.Hold, Citations.OpenLeak);
        }

        var limit = choice.Sheets.Select(s => s.GreatestWoodMoisturePercent).OfType<double>().DefaultIfEmpty(double.NaN).Min();
        if (facts.WoodSubstrate && !double.IsNaN(limit))
        {
            yield return facts.WoodMoisturePercent is { } wet
                ? new(
                    ChoiceRules.Leak,
                    wet > limit ? "wet" : "dry",
                    wet > limit ? Verdict.Hold : Verdict.Clear,
                    Citations.WoodMoistureLimit
                )
                {
                    Measured = new(wet, Dimension.MoistureContent),
                    Limit = new(limit, Dimension.MoistureContent),
                    Margin = new(limit - wet, Dimension.MoistureContent),
                }
                : new(ChoiceRules.Leak, "unread", Verdict.Care, Citations.WoodReadFirst) { Limit = new(limit, Dimension.MoistureContent) };
        }
    }

    // E1: rain and feet want roofing density under a coat.
    private static Finding? WeatherSide(ChoiceCase choice, Weighed w)
    {
        if (w.Section.Kind != SurfaceKind.LowSlopeRoof || w.Kind == CandidateKind.NewRoofOnBoard)
        {
            return null;
        }

        var roofing = w.Section.Foam?.Sheet.Grade == FoamGrade.Roofing && w.Section.Fill.OfType<SlabFill>().Any();
        var source = Citations.WeatherSide;
        return !roofing ? new(ChoiceRules.WeatherSide, "notRoofing", Verdict.Hold, source)
            : choice.Facts.WetOldInsulation ? new(ChoiceRules.WeatherSide, "wetOld", Verdict.Care, source)
            : choice.Facts.Covering == Covering.SinglePly || choice.Facts.Attachment == Attachment.HereAndThere
                ? new(ChoiceRules.WeatherSide, "coverBoard", Verdict.Care, source)
            : null;
    }

    // E2: what stands in water or bears a load must not drink or give.
    private static Finding? Ground(ChoiceCase choice, Weighed w)
    {
        var below = w.Section.Kind is SurfaceKind.UnderSlab or SurfaceKind.BasementWall || choice.Facts.FloodProne;
        if (!below)
        {
            return null;
        }

        var source = Citations.GroundContact;
        if (w.HasOpenCell || w.HasBatt)
        {
            return new(ChoiceRules.Ground, w.HasOpenCell ? "openCell" : "fibre", Verdict.Hold, source);
        }

        if (w.Section.Kind != SurfaceKind.UnderSlab || w.Section.Foam is not { } foam)
        {
            return null;
        }

        if (choice.Facts.Load is not { } load)
        {
            return new(ChoiceRules.Ground, "loadUnknown", Verdict.Care, source);
        }

        var strength = foam.Sheet.CompressiveStrength;
        return new(
            ChoiceRules.Ground,
            strength is null ? "strengthUnknown"
                : load > strength ? "crushed"
                : "bears",
            strength is null ? Verdict.Care
                : load > strength ? Verdict.Hold
                : Verdict.Clear,
            source
        )
        {
            Measured = load.ToFigure(),
            Limit = strength?.ToFigure(),
        };
    }

    // E4: room air that reaches bare metal leaves its water there.
    private static Finding? BareMetal(ChoiceCase choice, Weighed w)
    {
        if (w.Section.Kind is not (SurfaceKind.MetalWall or SurfaceKind.MetalRoof or SurfaceKind.SteelBox or SurfaceKind.OverheadDoor))
        {
            return null;
        }

        var source = Citations.BareMetal;
        if (!w.Outermost.StopsAir && w.Outermost is not FoamFill)
        {
            return new(ChoiceRules.BareMetal, "airOpen", Verdict.Hold, source);
        }

        if (w.Outermost is not FoamFill { Sheet.Cell: CellStructure.Open } open)
        {
            return null;
        }

        if (!open.StopsAir)
        {
            return new(ChoiceRules.BareMetal, "airOpen", Verdict.Hold, source);
        }

        var retards = w.FillClass <= VapourClass.II;
        if (!retards)
        {
            return new(ChoiceRules.BareMetal, "openNoRetarder", Verdict.Hold, source);
        }

        return w.Opinions.Count == 0 ? new(ChoiceRules.BareMetal, "unchecked", Verdict.Care, source)
            : !Condensation.Fails(choice.Practice, w.Opinions) ? null
            : new(ChoiceRules.BareMetal, "openCondenses", Verdict.Hold, source);
    }

    // E5: under a vapour-tight finish damp from below has nowhere to go.
    private static Finding? TightFinish(ChoiceCase choice, Weighed w)
    {
        if (
            w.Section.Kind != SurfaceKind.CrawlFloor
            || w.Section.Inboard.Count == 0
            || w.Section.Inboard[^1].Permeance.Perms > Tight.Perms
            || !w.HasOpenCell
            || w.FillClass <= VapourClass.II
        )
        {
            return null;
        }

        var source = Citations.TightFinish;
        if (w.Year is not { } year)
        {
            return new(ChoiceRules.TightFinish, "noYear", Verdict.Care, source);
        }

        // What a point of humidity decides is no ground for a stop: both figures are told.
        var worst = UnderFinish(year, w.Section);
        var tightest = choice.ClosedYears.Select(closed => UnderFinish(closed, w.Section)).DefaultIfEmpty(double.NegativeInfinity).Min();
        var (name, verdict) =
            worst <= GreatestFinishHumidity ? ("dry", Verdict.Clear)
            : worst <= GreatestFinishHumidity + MonthlyYear.Alike ? ("near", Verdict.Care)
            : worst <= tightest + MonthlyYear.Alike ? ("alike", Verdict.Care)
            : ("damp", Verdict.Hold);
        return new(ChoiceRules.TightFinish, name, verdict, source)
        {
            Measured = new(worst, Dimension.RelativeHumidity),
            Limit = new(GreatestFinishHumidity, Dimension.RelativeHumidity),
            Figures = name == "alike" ? new Dictionary<string, Figure> { ["closed"] = new(tightest, Dimension.RelativeHumidity) } : new(),
        };
    }

    private static double UnderFinish(MonthlyYear year, SectionCase section) =>
        Greatest(year, place => place.Inner == section.Inboard[^1].Material.Id);

    private static double Greatest(MonthlyYear year, Func<HarmedPlace, bool> at) =>
        year.Places.Where(p => at(p.Place)).Select(p => p.Greatest).DefaultIfEmpty(year.Dampest.Greatest).Max();

    // E6: a tight covering dries only inward; open cell lets the winter's vapour up to the deck.
    private static Finding? TightRoofCovering(ChoiceCase choice, Weighed w)
    {
        if (
            w.Section.Kind != SurfaceKind.UnventedDeck
            || !w.HasOpenCell
            || w.Outermost is FoamFill { Sheet.Cell: CellStructure.Closed }
            || w.Section.Outboard.Count == 0
        )
        {
            return null;
        }

        var over = VapourResistance.InSeries(w.Section.Outboard.Select(l => l.Permeance));
        if (over.Perms > Tight.Perms)
        {
            return null;
        }

        var source = Citations.TightCovering;
        var cold = ColdZones.Holds(w.Section.ClimateZone);
        var retards = w.FillClass <= VapourClass.II;
        var humidity = w.Year is { } year ? new Figure(OnDeck(year, w.Section), Dimension.RelativeHumidity) : (Figure?)null;
        return new(
            ChoiceRules.TightCovering,
            cold
                ? retards
                    ? "projectDesign"
                    : "coldZone"
                : humidity is null
                    ? "noYear"
                    : "mildZone",
            cold && !retards ? Verdict.Hold : Verdict.Care,
            source
        )
        {
            Measured = humidity,
            Limit = humidity is null ? null : new(MonthlyYear.GreatestInterfaceHumidity, Dimension.RelativeHumidity),
            Words = new Dictionary<string, Said> { ["zone"] = w.Section.ClimateZone ?? "" },
        };
    }

    private static double OnDeck(MonthlyYear year, SectionCase section) =>
        Greatest(year, place => place.Outer == section.Outboard[^1].Material.Id);

    // E7: what the springs cannot lift does not go on the door.
    private static Finding? DoorWeight(ChoiceCase choice, Weighed w) =>
        DoorLoad.Judge(w.Section, choice.Facts.DoorSpare, choice.Facts.Treated);

    // A coat against condensation saves little heat: it is for rooms nobody heats.
    private static Finding? ThinCoat(ChoiceCase choice, Weighed w) =>
        w.Kind == CandidateKind.ThinCoat && choice.Facts.Conditioned
            ? new(ChoiceRules.ThinCoat, "conditioned", Verdict.Hold, Citations.ThinCoatPractice)
            : null;

    // E8: a channel keeps open only behind a baffle, and fibre beside it is washed by wind.
    private static Finding? VentChannel(ChoiceCase choice, Weighed w)
    {
        if (w.Section.VentChannel <= Length.Zero)
        {
            return null;
        }

        var source = Citations.VentChannel;
        return w.Section.Baffle is not null
            ? null
            : new(ChoiceRules.VentChannel, w.HasBatt && w.Section.Foam is null ? "windWash" : "noBaffle", Verdict.Hold, source);
    }

    // E9
    private static Finding? Depth(ChoiceCase choice, Weighed w)
    {
        var source = Citations.ThicknessAgainstDepth;
        return w.Fits
            ? null
            : new(ChoiceRules.Depth, "tooThick", Verdict.Hold, source)
            {
                Measured = w.Section.FillThickness.ToThickness(),
                Limit = w.Section.FoamDepth?.ToThickness(),
            };
    }

    // E10: fibre inboard of foam makes the foam's face colder; the foam's share must pass first.
    private static Finding? HybridDry(ChoiceCase choice, Weighed w)
    {
        if (!w.HasBatt || w.Section.Foam is null)
        {
            return null;
        }

        var source = Citations.FibreInboard;
        var face = w.Year?.DampestOwn?.Greatest ?? 0;
        return w.Opinions.Count == 0 ? new(ChoiceRules.Hybrid, "unchecked", Verdict.Care, source)
            : Condensation.Fails(choice.Practice, w.Opinions) || face > MonthlyYear.GreatestInterfaceHumidity + MonthlyYear.Alike
                ? new(ChoiceRules.Hybrid, "shareTooSmall", Verdict.Hold, source) { Measured = w.Section.Foam.Thickness.ToThickness() }
            : face <= MonthlyYear.GreatestInterfaceHumidity ? null
            : new(ChoiceRules.Hybrid, "near", Verdict.Care, source)
            {
                Measured = new(face, Dimension.RelativeHumidity),
                Limit = new(MonthlyYear.GreatestInterfaceHumidity, Dimension.RelativeHumidity),
            };
    }

    // E11: nothing is counted as an air barrier below its thickness.
    private static Finding? LacksAirBarrier(ChoiceCase choice, Weighed w)
    {
        if (w.Section.Kind == SurfaceKind.InteriorPartition || w.Section.Fill.Any(f => f.StopsAir))
        {
            return null;
        }

        var source = Citations.NoAirBarrier;
        var from = w.Section.Foam?.Sheet.AirBarrierFrom;
        return new(ChoiceRules.AirBarrier, w.Section.Foam is null ? "noFoam" : "tooThin", Verdict.Care, source)
        {
            Measured = w.Section.Foam?.Thickness.ToThickness(),
            Limit = from?.ToThickness(),
        };
    }

    // E12: no sheet on offer lists its foam as a rain plane; rain days are the sheet's.
    private static Finding? RainPlane(ChoiceCase choice, Weighed w)
    {
        if (w.Section.Kind is not (SurfaceKind.WallOutside or SurfaceKind.EavesClosure) || w.Section.Foam is not { } foam)
        {
            return null;
        }

        var source = Citations.RainPlane;
        return foam.Sheet.OpenToRainDays is { } days
            ? new(ChoiceRules.RainPlane, days > 0 ? "rainDays" : "noRain", Verdict.Care, source) { Limit = Figure.Count((int)days) }
            : new(ChoiceRules.RainPlane, "notListed", Verdict.Care, source);
    }
}
