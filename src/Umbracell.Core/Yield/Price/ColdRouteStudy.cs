using Umbracell.Core.Air;
using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Lifts;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Yield.Price;

/// <summary>Studies the ways one by one. Limits are the sheets'; nothing computed here loosens one.</summary>
internal sealed class ColdRouteStudy(ColdRouteCase c)
{
    private const string Source = "Product sheets: substrate and air windows; practice: cold routes";

    // A surface is warmed past the edge of the window, so that the gate reads Clear.
    private static readonly TemperatureDifference Comfort = new(3);

    private static readonly TemperatureDifference DewDistance = new(3), ClearOfDew = new(5);

    // Later lifts lie on foam that is still warm from its own reaction.
    private static readonly Temperature WarmFoam = new(21);

    private static readonly TimeSpan Changeover = TimeSpan.FromMinutes(45), Cure = TimeSpan.FromHours(1);

    private const double AirHeatCapacity = 1006, ContentsAgainstAir = 3;

    public ColdRoute? Of(ColdRouteKind kind) => kind switch
    {
        ColdRouteKind.Straight => Sprayed(kind, [(c.Standard, c.Thickness, c.Substrate)], [.. Window(c.Standard, c.Substrate, c.Air), .. Damp(c.Standard, c.Substrate, AirAsItIs())]),
        ColdRouteKind.Heat => Heated(),
        ColdRouteKind.ColdGrade => c.ColdGrade is { } cold
            ? Sprayed(kind, [(cold, c.Thickness, c.Substrate)], [.. Window(cold, c.Substrate, c.Air), .. Damp(cold, c.Substrate, AirAsItIs())])
            : null,
        ColdRouteKind.ColdThenStandard => c.ColdGrade is { } first ? Changed(first) : null,
        _ => Flashed(),
    };

    private ColdRoute Heated()
    {
        // Warm enough for the sheet, and far enough from the dew point that the gate reads Clear.
        var target = new Temperature(Math.Max((c.Standard.Substrate.Least + Comfort).Celsius, (AirAsItIs().Dew + ClearOfDew).Celsius));
        if (c.Space is not { } space)
        {
            return Sprayed(ColdRouteKind.Heat, [(c.Standard, c.Thickness, target)], [Held("openAir")]);
        }

        if (c.Substrate >= target)
        {
            return Sprayed(ColdRouteKind.Heat, [(c.Standard, c.Thickness, c.Substrate)], [Say("warmEnough", Verdict.Clear, c.Substrate.ToFigure(), target.ToFigure())]);
        }

        // The bare face lies between outdoor and room air; the room must be warmer than the face by what the assembly lets through.
        var wanted = new Temperature(space.Outdoor.Celsius + (target.Celsius - space.Outdoor.Celsius) / Math.Max(c.FaceShare, 0.05));
        if (wanted.Celsius > Math.Min(60, c.Standard.Air.Greatest.Celsius))
        {
            return Sprayed(ColdRouteKind.Heat, [(c.Standard, c.Thickness, target)], [Say("tooHot", Verdict.Hold, wanted.ToFigure(), c.Standard.Air.Greatest.ToFigure())]);
        }

        var air = SpaceHeating.To(space, wanted, c.Heater);
        var has = c.Rates.HeaterKilowatts * 1000;
        List<Finding> findings = [Say("heated", Verdict.Clear, wanted.ToFigure(), target.ToFigure()), .. Damp(c.Standard, target, (air.DewPoint, air.Humidity), Verdict.Hold), .. HeaterKindFinding(), .. SizeFindings(air, has)];
        var power = has > air.Power ? has : 1.5 * air.Power;
        var preheat = Preheat(space, wanted, power);
        var route = Sprayed(ColdRouteKind.Heat, [(c.Standard, c.Thickness, target)], findings);
        var working = TimeSpan.FromHours(route.Bid.CrewHours) + Cure;
        var heat = (power * preheat.TotalHours + air.Power * working.TotalHours) / 1000;
        var bid = Priced(route.Foams, new(heat, air.Working));
        return route with { Bid = bid, Preheat = preheat, Heating = air, KilowattHours = heat, Finish = route.Finish + preheat };
    }

    private ColdRoute Changed(ProductSheet first)
    {
        // Half and half, within what the sheets allow of a lift.
        var lift = new Length(Math.Clamp(c.Thickness.Metres / 2, first.LeastLift.Metres, first.GreatestLift.Metres));
        var rest = c.Thickness - lift;
        if (rest < c.Standard.LeastLift)
        {
            return Sprayed(ColdRouteKind.ColdThenStandard, [(first, c.Thickness, c.Substrate)], [Say("tooThinForTwo", Verdict.Hold, c.Thickness.ToThickness(), (first.LeastLift + c.Standard.LeastLift).ToThickness())]);
        }

        var route = Sprayed(ColdRouteKind.ColdThenStandard, [(first, lift, c.Substrate), (c.Standard, rest, Within(c.Standard, WarmFoam))], [
            .. Window(first, c.Substrate, c.Air),
            .. AirWindow(c.Standard, c.Air),
            .. Damp(first, c.Substrate, AirAsItIs()),
            new("coldRoute", "readFace", Verdict.Care, Basis.Practice, Source) { Measured = WarmFoam.ToFigure() },
        ]);
        return route with { Finish = route.Finish + Changeover };
    }

    private ColdRoute Flashed()
    {
        List<Finding> findings = [.. Window(c.Standard, c.Substrate, c.Air), .. Damp(c.Standard, c.Substrate, AirAsItIs())];
        if (c.Standard.FlashCoatFrom is not { } flash)
        {
            return Sprayed(ColdRouteKind.FlashCoat, [(c.Standard, c.Thickness, c.Substrate)], [.. findings, Held("noFlashOnSheet")]);
        }

        findings.Add(new("coldRoute", "flashAdhesion", Verdict.Care, Basis.Practice, Source));
        if (c.NeverFlash)
        {
            findings.Add(new("coldRoute", "notPractice", Verdict.Care, Basis.Practice, Source));
        }

        var rest = c.Thickness - flash;
        return rest < c.Standard.LeastLift
            ? Sprayed(ColdRouteKind.FlashCoat, [(c.Standard, c.Thickness, c.Substrate)], [.. findings, Say("tooThinForTwo", Verdict.Hold, c.Thickness.ToThickness(), (flash + c.Standard.LeastLift).ToThickness())])
            : Sprayed(ColdRouteKind.FlashCoat, [(c.Standard, flash, c.Substrate), (c.Standard, rest, c.Substrate)], findings);
    }

    private ColdRoute Sprayed(ColdRouteKind kind, IReadOnlyList<(ProductSheet Sheet, Length Thickness, Temperature Substrate)> parts, IReadOnlyList<Finding> findings)
    {
        // What a crew puts on above the specification goes with the whole, shared by depth.
        var demand = c.Demand;
        var foams = parts.Select(part =>
        {
            var lift = part.Thickness > part.Sheet.GreatestLift ? LiftPlan.For(part.Sheet, part.Thickness).Lifts[0] : part.Thickness;
            var conditions = new YieldConditions(Within(part.Sheet, part.Substrate), Drums(part.Sheet), lift, c.WindAtOpenFace);
            var yield = SetYield.For(part.Sheet, conditions, c.CrewFactor);
            var volume = demand.Volume * (part.Thickness / c.Thickness);
            var sets = volume / yield.Expected;
            return new BidFoam(part.Sheet, volume, sets, SpraySets.MedianWorking(volume, yield, demand.Working)) { MeanDepthSd = SetsSpread.DefaultFor(demand).MeanDepth };
        }).ToList();
        var bid = Priced(foams, null);
        return new(kind, foams, bid, TimeSpan.Zero, null, 0, TimeSpan.FromHours(bid.CrewHours), [.. findings.OrderByDescending(f => f.Verdict)]);
    }

    private Bid Priced(IReadOnlyList<BidFoam> foams, BidHeat? heat)
    {
        var waits = foams.Aggregate(TimeSpan.Zero, (sum, f) => sum + LiftPlan.For(f.Sheet, c.Thickness * (f.Volume / foams.Aggregate(default(FoamVolume), (s, one) => s + one.Volume))).LeastTime + (foams.Count > 1 && f != foams[^1] ? f.Sheet.LeastWait : TimeSpan.Zero));
        return Bid.Of([new(c.Name, c.Treated, c.Access, foams, [], false, waits, heat)], c.Rates);
    }

    // Past the ends of a curve nothing may be sprayed: the yield is then told for the end, and the window holds the route.
    private static Temperature Within(ProductSheet sheet, Temperature substrate) => new(Math.Clamp(substrate.Celsius, sheet.YieldBySubstrate.First, sheet.YieldBySubstrate.Last));

    private Temperature Drums(ProductSheet sheet) => new(Math.Clamp(c.Drums?.Celsius ?? (sheet.Drums.Least.Celsius + sheet.Drums.Greatest.Celsius) / 2, sheet.YieldByDrum.First, sheet.YieldByDrum.Last));

    private (Temperature Dew, double Humidity) AirAsItIs() => (MoistAir.Of(c.Air, c.AirHumidity, StandardAtmosphere.PressureAt(Length.Zero)).DewPoint, c.AirHumidity.Percent);

    private TimeSpan Preheat(HeatedSpace space, Temperature wanted, double power)
    {
        var capacity = c.Treated.SquareMetres * c.FaceCapacity + MoistAir.DryDensity(space.Outdoor, space.Pressure) * AirHeatCapacity * space.Volume * ContentsAgainstAir;
        var loss = space.Loss + space.ByAir;
        var settles = space.Outdoor.Celsius + power / loss;
        var from = Math.Max(c.Air.Celsius, space.Outdoor.Celsius);
        return from >= wanted.Celsius ? TimeSpan.Zero : TimeSpan.FromSeconds(capacity / loss * Math.Log((settles - from) / (settles - wanted.Celsius)));
    }

    private IEnumerable<Finding> SizeFindings(SpaceHeating air, double has)
    {
        if (has <= 0)
        {
            yield return Say("heaterUnknown", Verdict.Care, new(air.Power, Dimension.Power), null);
        }
        else if (has <= air.Power)
        {
            yield return Say("heaterTooSmall", Verdict.Hold, new(has, Dimension.Power), new(air.Power, Dimension.Power));
        }

        if (c.SpaceAssumed)
        {
            yield return Say("spaceAssumed", Verdict.Care, new(c.Space!.Volume, Dimension.RoomVolume), null);
        }
    }

    private IEnumerable<Finding> HeaterKindFinding()
    {
        if (c.Heater is not (HeaterKind.Electric or HeaterKind.Indirect))
        {
            yield return new("coldRoute", "flame", Verdict.Hold, Basis.Practice, "Gate rule G12: a flame into the room brings water, carbon monoxide and fire");
        }
    }

    private static IEnumerable<Finding> Window(ProductSheet sheet, Temperature substrate, Temperature air)
    {
        var margin = sheet.Substrate.Margin(substrate);
        var edge = substrate > sheet.Substrate.Greatest ? sheet.Substrate.Greatest : sheet.Substrate.Least;
        yield return new("coldRoute", margin.Kelvins < 0 ? "outsideWindow" : margin.Kelvins < Comfort.Kelvins ? "nearWindow" : "inWindow", margin.Kelvins < 0 ? Verdict.Hold : margin.Kelvins < Comfort.Kelvins ? Verdict.Care : Verdict.Clear, Basis.ProductSheet, $"{sheet.Name}, {sheet.Edition}: substrate")
        {
            Measured = substrate.ToFigure(),
            Limit = edge.ToFigure(),
            Margin = margin.ToFigure(),
        };
        foreach (var finding in AirWindow(sheet, air))
        {
            yield return finding;
        }
    }

    private static IEnumerable<Finding> AirWindow(ProductSheet sheet, Temperature air)
    {
        if (!sheet.Air.Holds(air))
        {
            yield return new("coldRoute", "airOutside", Verdict.Hold, Basis.ProductSheet, $"{sheet.Name}, {sheet.Edition}: air") { Measured = air.ToFigure(), Limit = (air < sheet.Air.Least ? sheet.Air.Least : sheet.Air.Greatest).ToFigure() };
        }
    }

    // Mean air of a day to come is no reading: the gate judges the hour. What a heater itself puts into the air holds.
    private static IEnumerable<Finding> Damp(ProductSheet sheet, Temperature substrate, (Temperature Dew, double Humidity) air, Verdict verdict = Verdict.Care)
    {
        var apart = substrate - air.Dew;
        if (apart.Kelvins < DewDistance.Kelvins)
        {
            yield return new("coldRoute", "dewClose", verdict, Basis.Physics, "Gate rule G3: substrate at least 3 K above the dew or frost point") { Measured = apart.ToFigure(), Limit = DewDistance.ToFigure() };
        }

        if (air.Humidity > sheet.GreatestHumidityPercent)
        {
            yield return new("coldRoute", "tooDamp", verdict, Basis.ProductSheet, $"{sheet.Name}, {sheet.Edition}: humidity") { Measured = new(air.Humidity, Dimension.RelativeHumidity), Limit = new(sheet.GreatestHumidityPercent, Dimension.RelativeHumidity) };
        }
    }

    private static Finding Held(string name) => new("coldRoute", name, Verdict.Hold, Basis.Practice, Source);

    private static Finding Say(string name, Verdict verdict, Figure measured, Figure? limit) => new("coldRoute", name, verdict, Basis.Practice, Source) { Measured = measured, Limit = limit };
}
