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
    private static readonly Citation Source = Citations.ColdRoutes;

    // Later lifts lie on foam that is still warm from its own reaction.
    private static readonly Temperature WarmFoam = Temperature.FromCelsius(21);

    private static readonly TimeSpan Changeover = TimeSpan.FromMinutes(45),
        Cure = TimeSpan.FromHours(1);

    private const double AirHeatCapacity = 1006,
        FloorHeight = 3,
        LeastShare = 0.05;

    public ColdRoute? Of(ColdRouteKind kind) =>
        kind switch
        {
            ColdRouteKind.Straight => Sprayed(
                kind,
                [(c.Standard, c.Thickness, c.Substrate)],
                [.. Window(c.Standard, c.Substrate, c.Air), .. Damp(c.Standard, c.Substrate, AirAsItIs())]
            ),
            ColdRouteKind.Heat => Heated(),
            ColdRouteKind.ColdGrade => c.ColdGrade is { } cold
                ? Sprayed(
                    kind,
                    [(cold, c.Thickness, c.Substrate)],
                    [.. Window(cold, c.Substrate, c.Air), .. Damp(cold, c.Substrate, AirAsItIs())]
                )
                : null,
            ColdRouteKind.ColdThenStandard => c.ColdGrade is { } first ? Changed(first) : null,
            _ => Flashed(),
        };

    private ColdRoute Heated()
    {
        var warm = c.Standard.Substrate.Least + c.Gate.WellInside;
        if (c.Space is not { } space)
        {
            return Sprayed(ColdRouteKind.Heat, [(c.Standard, c.Thickness, warm)], [Held("openAir")]);
        }

        if (c.Substrate >= warm && IsDry(c.Substrate, AirAsItIs()))
        {
            return Sprayed(
                ColdRouteKind.Heat,
                [(c.Standard, c.Thickness, c.Substrate)],
                [Say("warmEnough", Verdict.Clear, c.Substrate.ToFigure(), warm.ToFigure())]
            );
        }

        var hottest = Math.Min(60, c.Standard.Air.Greatest.Celsius);
        var least = Math.Max(RoomFor(space, warm), space.Outdoor.Celsius);
        if (least > hottest)
        {
            return Sprayed(
                ColdRouteKind.Heat,
                [(c.Standard, c.Thickness, warm)],
                [Say("tooHot", Verdict.Hold, Temperature.FromCelsius(least).ToFigure(), c.Standard.Air.Greatest.ToFigure())]
            );
        }

        return Coolest(space, least, hottest) is { } room ? Warmed(space, room) : NeverDry(space, Temperature.FromCelsius(hottest));
    }

    // The face between outdoor and room air, by what the assembly lets through; and the room that gives a face.
    private Temperature FaceIn(HeatedSpace space, Temperature room) =>
        Temperature.FromCelsius(space.Outdoor.Celsius + Math.Max(c.FaceShare, LeastShare) * (room.Celsius - space.Outdoor.Celsius));

    private double RoomFor(HeatedSpace space, Temperature face) =>
        space.Outdoor.Celsius + (face.Celsius - space.Outdoor.Celsius) / Math.Max(c.FaceShare, LeastShare);

    // Far enough from the dew point that the gate reads Clear, in air the sheet allows.
    private bool IsDry(Temperature face, (Temperature Dew, double Humidity) air) =>
        (face - air.Dew).Kelvins >= c.Gate.DewClear.Kelvins && air.Humidity <= GreatestHumidity(c.Standard);

    private bool IsDryIn(HeatedSpace space, double room) =>
        SpaceHeating.To(space, Temperature.FromCelsius(room), c.Heater) is var air
        && IsDry(FaceIn(space, Temperature.FromCelsius(room)), (air.DewPoint, air.Humidity));

    // Heat and moisture together: a flame's own water raises the dew point with every kelvin, so the coolest room that is dry is looked
    // for step by step, then halved down to.
    private Temperature? Coolest(HeatedSpace space, double least, double hottest)
    {
        const double Step = 0.25;
        for (var room = least; room <= hottest; room += Step)
        {
            if (!IsDryIn(space, room))
            {
                continue;
            }

            var (damp, dry) = (Math.Max(least, room - Step), room);
            for (var halving = 0; halving < 20 && !IsDryIn(space, damp); halving++)
            {
                var middle = (damp + dry) / 2;
                (damp, dry) = IsDryIn(space, middle) ? (damp, middle) : (middle, dry);
            }

            return Temperature.FromCelsius(IsDryIn(space, damp) ? damp : dry);
        }

        return null;
    }

    private ColdRoute NeverDry(HeatedSpace space, Temperature room)
    {
        var air = SpaceHeating.To(space, room, c.Heater);
        var face = FaceIn(space, room);
        return Sprayed(
            ColdRouteKind.Heat,
            [(c.Standard, c.Thickness, face)],
            [Say("neverDry", Verdict.Hold, (face - air.DewPoint).ToFigure(), c.Gate.DewClear.ToFigure()), .. HeaterKindFinding()]
        );
    }

    private ColdRoute Warmed(HeatedSpace space, Temperature room)
    {
        var (air, face, has) = (SpaceHeating.To(space, room, c.Heater), FaceIn(space, room), c.Means.HeaterWatts(c.Heater));
        List<Finding> findings =
        [
            Say("heated", Verdict.Clear, room.ToFigure(), face.ToFigure()),
            .. HeaterKindFinding(),
            .. SizeFindings(air, has),
        ];
        var power = has > air.Power ? has.Value : 1.5 * air.Power;
        var warming = Preheat(space, room, power);
        var preheat = TimeSpan.FromSeconds(warming.Result.Amount);
        var route = Sprayed(ColdRouteKind.Heat, [(c.Standard, c.Thickness, face)], findings);
        var working = TimeSpan.FromHours(route.Bid.CrewHours) + Cure;
        var heat = (power * preheat.TotalHours + air.Power * working.TotalHours) / 1000;
        var bid = Priced(route.Foams, new(heat, Heat(power, warming, air, working, heat)));
        return route with
        {
            Bid = bid,
            Preheat = preheat,
            PreheatWorking = warming,
            Heating = air,
            KilowattHours = heat,
            Finish = route.Finish + preheat,
        };
    }

    private static Working Heat(double power, Working preheat, SpaceHeating air, TimeSpan working, double kilowattHours) =>
        new(
            "routeHeat",
            "Q = P_heater · t_preheat + P · t_work",
            [
                new("P_heater", "heaterHas", new(power, Dimension.Power)),
                new("t_preheat", "preheat", preheat.Result, preheat),
                new("P", "heaterPower", new(air.Power, Dimension.Power), air.Working),
                new("t_work", "heatedHours", Figure.Duration(working)),
            ],
            new(kilowattHours * 3.6e6, Dimension.Heat),
            Citations.HeatingUp
        );

    private ColdRoute Changed(ProductSheet first)
    {
        // Half and half, within what the sheets allow of a lift.
        var lift = Length.FromMetres(Math.Clamp(c.Thickness.Metres / 2, first.LeastLift.Metres, first.GreatestLift.Metres));
        var rest = c.Thickness - lift;
        if (rest < c.Standard.LeastLift)
        {
            return Sprayed(
                ColdRouteKind.ColdThenStandard,
                [(first, c.Thickness, c.Substrate)],
                [Say("tooThinForTwo", Verdict.Hold, c.Thickness.ToThickness(), (first.LeastLift + c.Standard.LeastLift).ToThickness())]
            );
        }

        var route = Sprayed(
            ColdRouteKind.ColdThenStandard,
            [(first, lift, c.Substrate), (c.Standard, rest, Within(c.Standard, WarmFoam))],
            [
                .. Window(first, c.Substrate, c.Air),
                .. AirWindow(c.Standard, c.Air),
                .. Damp(first, c.Substrate, AirAsItIs()),
                new(ColdRouteRules.Route, "readFace", Verdict.Care, Source) { Measured = WarmFoam.ToFigure() },
            ]
        );
        return route with { Finish = route.Finish + Changeover };
    }

    private ColdRoute Flashed()
    {
        List<Finding> findings = [.. Window(c.Standard, c.Substrate, c.Air), .. Damp(c.Standard, c.Substrate, AirAsItIs())];
        if (c.Standard.FlashCoatFrom is not { } flash)
        {
            return Sprayed(ColdRouteKind.FlashCoat, [(c.Standard, c.Thickness, c.Substrate)], [.. findings, Held("noFlashOnSheet")]);
        }

        findings.Add(new(ColdRouteRules.Route, "flashAdhesion", Verdict.Care, Source));
        if (c.NeverFlash)
        {
            findings.Add(new(ColdRouteRules.Route, "notPractice", Verdict.Care, Source));
        }

        var rest = c.Thickness - flash;
        return rest < c.Standard.LeastLift
            ? Sprayed(
                ColdRouteKind.FlashCoat,
                [(c.Standard, c.Thickness, c.Substrate)],
                [.. findings, Say("tooThinForTwo", Verdict.Hold, c.Thickness.ToThickness(), (flash + c.Standard.LeastLift).ToThickness())]
            )
            : Sprayed(ColdRouteKind.FlashCoat, [(c.Standard, flash, c.Substrate), (c.Standard, rest, c.Substrate)], findings);
    }

    private ColdRoute Sprayed(
        ColdRouteKind kind,
        IReadOnlyList<(ProductSheet Sheet, Length Thickness, Temperature Substrate)> parts,
        IReadOnlyList<Finding> findings
    )
    {
        // What a crew puts on above the specification goes with the whole, shared by depth.
        var demand = c.Demand;
        var foams = parts
            .Select(part =>
            {
                var lift = part.Thickness > part.Sheet.GreatestLift ? LiftPlan.For(part.Sheet, part.Thickness).Lifts[0] : part.Thickness;
                var conditions = new YieldConditions(Within(part.Sheet, part.Substrate), Drums(part.Sheet), lift, c.WindAtOpenFace);
                var yield = SetYield.For(part.Sheet, conditions, c.CrewFactor);
                var volume = demand.Volume * (part.Thickness / c.Thickness);
                var sets = volume / yield.Expected;
                return new BidFoam(part.Sheet, volume, sets, SpraySets.MedianWorking(volume, yield, demand.Working))
                {
                    MeanDepthSd = SetsSpread.DefaultFor(demand).MeanDepth,
                };
            })
            .ToList();
        var bid = Priced(foams, null);
        return new()
        {
            Kind = kind,
            Foams = foams,
            Bid = bid,
            Preheat = TimeSpan.Zero,
            Heating = null,
            KilowattHours = 0,
            Finish = TimeSpan.FromHours(bid.CrewHours),
            Findings = [.. findings.OrderByDescending(f => f.Verdict)],
        };
    }

    private Bid Priced(IReadOnlyList<BidFoam> foams, BidHeat? heat)
    {
        var whole = foams.Aggregate(default(FoamVolume), (sum, f) => sum + f.Volume);
        var waits = LiftPlan.LeastTimeOf([.. foams.Select(f => LiftPlan.For(f.Sheet, c.Thickness * (f.Volume / whole)))]);
        return Bid.Of(
            [
                new()
                {
                    Name = c.Name,
                    Treated = c.Treated,
                    Access = c.Access,
                    Foams = foams,
                    Bought = [],
                    Shaved = false,
                    Waits = waits,
                    Heat = heat,
                },
            ],
            c.Rates
        );
    }

    // Past the ends of a curve nothing may be sprayed: the yield is then told for the end, and the window holds the route.
    private static Temperature Within(ProductSheet sheet, Temperature substrate) =>
        Temperature.FromCelsius(Math.Clamp(substrate.Celsius, sheet.YieldBySubstrate.First, sheet.YieldBySubstrate.Last));

    private Temperature Drums(ProductSheet sheet) =>
        Temperature.FromCelsius(
            Math.Clamp(
                c.Drums?.Celsius ?? (sheet.Drums.Least.Celsius + sheet.Drums.Greatest.Celsius) / 2,
                sheet.YieldByDrum.First,
                sheet.YieldByDrum.Last
            )
        );

    private (Temperature Dew, double Humidity) AirAsItIs() =>
        (MoistAir.Of(c.Air, c.AirHumidity, StandardAtmosphere.PressureAt(Length.Zero)).DewPoint, c.AirHumidity.Percent);

    private Working Preheat(HeatedSpace space, Temperature wanted, double power)
    {
        var floor = space.Volume / FloorHeight;
        var air = MoistAir.DryDensity(space.Outdoor, space.Pressure) * AirHeatCapacity * space.Volume;
        var capacity = c.Treated.SquareMetres * c.FaceCapacity + floor * c.BuildingCapacity + air;
        var loss = space.Loss + space.ByAir;
        var settles = space.Outdoor.Celsius + power / loss;
        var from = Math.Max(c.Air.Celsius, space.Outdoor.Celsius);
        var seconds = from >= wanted.Celsius ? 0 : capacity / loss * Math.Log((settles - from) / (settles - wanted.Celsius));
        return new(
            "preheat",
            "t = C / H · ln((T_∞ − T_0) / (T_∞ − T)), T_∞ = T_out + P / H",
            [
                new("C", "roomCapacity", new(capacity, Dimension.HeatCapacity), Capacity(floor, air, capacity)),
                new("H", "heatToOutsideAll", new(loss, Dimension.HeatLoss)),
                new("P", "heaterHas", new(power, Dimension.Power)),
                new("T_out", "outdoorTemperature", space.Outdoor.ToFigure()),
                new("T_0", "roomNow", Temperature.FromCelsius(from).ToFigure()),
                new("T", "indoorTemperature", wanted.ToFigure()),
            ],
            Figure.Duration(TimeSpan.FromSeconds(seconds)),
            Citations.WarmedAsOne
        );
    }

    private Working Capacity(double floor, double air, double all) =>
        new(
            "roomCapacity",
            "C = A · c_face + A_floor · c_building + C_air",
            [
                new("A", "treatedArea", c.Treated.ToFigure()),
                new("c_face", "faceCapacity", new(c.FaceCapacity, Dimension.HeatCapacityPerArea)),
                new("A_floor", "heatedFloor", Area.FromSquareMetres(floor).ToFigure()),
                new("c_building", "buildingCapacity", new(c.BuildingCapacity, Dimension.HeatCapacityPerArea)),
                new("C_air", "airCapacity", new(air, Dimension.HeatCapacity)),
            ],
            new(all, Dimension.HeatCapacity),
            Citations.BuildingHeat(Length.FromMetres(FloorHeight))
        );

    private IEnumerable<Finding> SizeFindings(SpaceHeating air, double? watts)
    {
        if (watts is not { } has)
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

    private double GreatestHumidity(ProductSheet sheet) => Math.Min(sheet.GreatestHumidityPercent, c.Gate.GreatestHumidityPercent);

    private IEnumerable<Finding> HeaterKindFinding()
    {
        if (c.Heater is not (HeaterKind.Electric or HeaterKind.Indirect))
        {
            yield return new(ColdRouteRules.Route, "flame", Verdict.Hold, Citations.OpenFlame);
        }
    }

    private IEnumerable<Finding> Window(ProductSheet sheet, Temperature substrate, Temperature air)
    {
        var margin = sheet.Substrate.Margin(substrate);
        var edge = substrate > sheet.Substrate.Greatest ? sheet.Substrate.Greatest : sheet.Substrate.Least;
        yield return new(
            ColdRouteRules.Route,
            margin.Kelvins < 0 ? "outsideWindow"
                : margin.Kelvins < c.Gate.WellInside.Kelvins ? "nearWindow"
                : "inWindow",
            margin.Kelvins < 0 ? Verdict.Hold
                : margin.Kelvins < c.Gate.WellInside.Kelvins ? Verdict.Care
                : Verdict.Clear,
            Citations.Sheet(sheet, SheetLine.SheetSubstrate)
        )
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
            yield return new(ColdRouteRules.Route, "airOutside", Verdict.Hold, Citations.Sheet(sheet, SheetLine.SheetAir))
            {
                Measured = air.ToFigure(),
                Limit = (air < sheet.Air.Least ? sheet.Air.Least : sheet.Air.Greatest).ToFigure(),
            };
        }
    }

    // What would hold at the gate holds a route too. In the open, where nothing can be heated, a mean day is no reading: the hour is
    // waited for, and so it is where nothing is known of the air.
    private IEnumerable<Finding> Damp(ProductSheet sheet, Temperature substrate, (Temperature Dew, double Humidity) air)
    {
        var verdict = c.Space is null || c.AirAssumed ? Verdict.Care : Verdict.Hold;
        var apart = substrate - air.Dew;
        if (apart.Kelvins < c.Gate.DewHold.Kelvins)
        {
            yield return new(ColdRouteRules.Route, "dewClose", verdict, Citations.DewHold(c.Gate.DewHold))
            {
                Measured = apart.ToFigure(),
                Limit = c.Gate.DewHold.ToFigure(),
            };
        }

        if (air.Humidity > GreatestHumidity(sheet))
        {
            yield return new(ColdRouteRules.Route, "tooDamp", verdict, Citations.Sheet(sheet, SheetLine.SheetHumidity))
            {
                Measured = new(air.Humidity, Dimension.RelativeHumidity),
                Limit = new(GreatestHumidity(sheet), Dimension.RelativeHumidity),
            };
        }
    }

    private static Finding Held(string name) => new(ColdRouteRules.Route, name, Verdict.Hold, Source);

    private static Finding Say(string name, Verdict verdict, Figure measured, Figure? limit) =>
        new(ColdRouteRules.Route, name, verdict, Source) { Measured = measured, Limit = limit };
}
