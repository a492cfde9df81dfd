using System.Globalization;
using CsCheck;
using Shouldly;
using Umbracell.Core.Air;
using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Means;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Core.Tests.Choosing;
using Umbracell.Core.Yield;
using Umbracell.Core.Yield.Price;
using Xunit;

namespace Umbracell.Core.Tests.Yield;

/// <summary>Bids add up, and cold routes never loosen a sheet.</summary>
public sealed class BidTests
{
    private static readonly Rates Rates = Walls.Rates with
    {
        MaskM2PerHour = 50,
        CrewDayHours = 8,
        RigDay = 200,
        TravelDay = 100,
        ConsumablesPerSet = 60,
        DisposalPerSet = 30,
        ScaffoldPerM2 = 10,
        OverheadPercent = 10,
        ProfitPercent = 20,
        TaxPercent = 8,
        HeatKilowattHour = 0.2,
    };

    [Fact]
    public void Lines_add_up_to_the_price_and_their_shares_are_what_they_say() =>
        Gen.Select(Gen.Double[5, 500], Gen.Double[0.2, 8], Gen.Double[0, 60], Gen.Double[0, 30], Gen.Bool)
            .Sample(
                (area, sets, overhead, profit, markup) =>
                {
                    var rates = Rates with { OverheadPercent = overhead, ProfitPercent = profit, ProfitIsMarkup = markup };
                    var bid = Bid.Of([Wall(area, sets)], rates);
                    // Each share is rounded to the cent, and may be off by half of one.
                    const double Half = 0.005 + 1e-9;
                    var own = bid.Cost + Amount(bid, "overhead");
                    own.ShouldBe(bid.Cost * (1 + overhead / 100), Half);
                    (bid.Net - own).ShouldBe(markup ? own * profit / 100 : own * profit / (100 - profit), Half);
                    (bid.Price - bid.Net).ShouldBe(0.08 * bid.Net, Half);
                    (bid.PerSquareMetre * bid.Treated.SquareMetres).ShouldBe(bid.Net, 1e-6 * bid.Net);
                }
            );

    [Fact]
    public void Whoever_adds_up_the_printed_lines_comes_to_the_printed_price() =>
        Gen.Select(
                Gen.Double[5, 500],
                Gen.Double[0.2, 8],
                Gen.Double[0, 60],
                Gen.Double[0, 30],
                Gen.Double[0, 21],
                Gen.Double[1, 3000],
                Gen.Enum<UnitSystem>()
            )
            .Sample(
                (area, sets, overhead, profit, tax, price, units) =>
                {
                    var rates = Rates with
                    {
                        OverheadPercent = overhead,
                        ProfitPercent = profit,
                        TaxPercent = tax,
                        SetPrice = new Dictionary<string, double> { ["closed"] = price },
                        CrewHour = price / 17,
                        ScaffoldPerM2 = price / 301,
                    };
                    var bid = Bid.Of([Wall(area, sets) with { Access = AccessKind.Scaffold }, Wall(area / 7, sets / 11)], rates);
                    decimal Printed(double amount) =>
                        decimal.Parse(
                            QuantityPrinter.Print(new(amount, Dimension.Money), units).Trim(QuantityPrinter.CurrencyMark[0]),
                            NumberStyles.Number,
                            CultureInfo.InvariantCulture
                        );
                    bid.Lines.Sum(l => Printed(l.Amount)).ShouldBe(Printed(bid.Price));
                    bid.Lines.Where(l => l.Key != "tax").Sum(l => Printed(l.Amount)).ShouldBe(Printed(bid.Net));
                    bid.Lines.Where(l => l.Key is not ("tax" or "profit" or "overhead"))
                        .Sum(l => Printed(l.Amount))
                        .ShouldBe(Printed(bid.Cost));
                }
            );

    private static double Amount(Bid bid, string key) => bid.Lines.FirstOrDefault(l => l.Key == key)?.Amount ?? 0;

    [Fact]
    public void Each_amount_follows_from_the_terms_of_its_working()
    {
        var line = Bid.Of([Wall(100, 2)], Rates).Lines.First(l => l.Key == "foam:closed");
        line.Amount.ShouldBe(2 * 2700, 1e-9);
        line.Working.Terms.Aggregate(1.0, (product, term) => product * term.Value.Amount).ShouldBe(line.Amount, 1e-9);
    }

    [Fact]
    public void A_price_of_zero_is_taken_and_said()
    {
        var bid = Bid.Of([Wall(100, 2)], Rates with { SetPrice = new Dictionary<string, double> { ["closed"] = 0 } });
        bid.Free.ShouldBe(["closed"]);
        bid.Missing.ShouldBeEmpty();
        bid.Lines.Single(l => l.Key == "foam:closed").Amount.ShouldBe(0);
    }

    [Fact]
    public void Access_costs_hours_and_never_material()
    {
        var (open, crawling) = (Bid.Of([Wall(100, 2)], Rates), Bid.Of([Wall(100, 2) with { Access = AccessKind.Crawling }], Rates));
        crawling.CrewHours.ShouldBeGreaterThan(open.CrewHours);
        crawling.Lines.Single(l => l.Key == "foam:closed").Amount.ShouldBe(open.Lines.Single(l => l.Key == "foam:closed").Amount);
        Bid.Of([Wall(100, 2) with { Access = AccessKind.Scaffold }], Rates)
            .Lines.Single(l => l.Key == "scaffold")
            .Amount.ShouldBe(1000, 1e-9);
    }

    [Fact]
    public void A_wait_is_paid_only_where_no_other_surface_fills_it()
    {
        var waiting = Wall(20, 0.2) with { Waits = TimeSpan.FromHours(2) };
        var alone = Bid.Of([waiting], Rates).CrewHours - Bid.Of([waiting with { Waits = TimeSpan.Zero }], Rates).CrewHours;
        var among =
            Bid.Of([waiting, Wall(500, 6)], Rates).CrewHours
            - Bid.Of([waiting with { Waits = TimeSpan.Zero }, Wall(500, 6)], Rates).CrewHours;
        alone.ShouldBe(2, 1e-9);
        among.ShouldBe(0, 1e-9);
    }

    [Fact]
    public void What_has_no_price_is_named_and_left_out_and_not_taken_for_nothing()
    {
        var bid = Bid.Of(
            [Wall(100, 2) with { Foams = [new(Sheets.ClosedCell with { Id = "unheard-of" }, FoamVolume.FromBoardFeet(8000), 2)] }],
            Rates
        );
        bid.Missing.ShouldBe(["unheard-of"]);
        bid.Lines.ShouldNotContain(l => l.Key.StartsWith("foam", StringComparison.Ordinal));
        Bid.Of([Wall(100, 2)], Rates with { CrewHour = 0 }).Unentered.ShouldBe(["crewHour"]);
    }

    [Fact]
    public void Differences_between_two_bids_explain_the_whole_of_it() =>
        Gen.Select(Gen.Double[1, 8], Gen.Double[1, 8], Gen.Double[50, 300])
            .Sample(
                (before, after, area) =>
                {
                    var (old, now) = (
                        Bid.Of([Wall(area, before)], Rates),
                        Bid.Of([Wall(area * 1.1, after), Wall(30, 1) with { Heat = new(200, Wall(1, 1).Foams[0].SetsWorking!) }], Rates)
                    );
                    var changes = BidChange.Between(Plain(old), Plain(now));
                    changes.Sum(c => c.Difference).ShouldBe(now.Price - old.Price, 0.1);
                    changes.Single(c => c.Key == "heat").QuantityBefore.ShouldBeNull();
                    BidChange.Between(Plain(old), Plain(old)).ShouldBeEmpty();
                }
            );

    [Fact]
    public void A_margin_of_the_whole_price_is_refused() =>
        Should.Throw<QuantityRangeException>(() => Bid.Of([Wall(10, 1)], Rates with { ProfitPercent = 100 }));

    [Theory]
    [InlineData(21, false)]
    [InlineData(6, false)]
    [InlineData(3, true)]
    [InlineData(-12, true)]
    public void Under_the_sheets_window_the_standard_grade_is_held_as_it_is_and_as_a_flash_coat(double substrate, bool held)
    {
        var routes = ColdRoutes.Of(Cold(substrate)).Routes.ToDictionary(r => r.Kind);
        routes[ColdRouteKind.Straight].Held.ShouldBe(held);
        if (held)
        {
            routes[ColdRouteKind.FlashCoat].Held.ShouldBeTrue();
        }
    }

    [Fact]
    public void The_cold_grade_and_the_heated_room_carry_a_frosty_day_and_the_cheapest_free_one_is_priced()
    {
        var study = ColdRoutes.Of(Cold(-6));
        var routes = study.Routes.ToDictionary(r => r.Kind);
        (routes[ColdRouteKind.ColdGrade].Held, routes[ColdRouteKind.Heat].Held).ShouldBe((false, false));
        study.Chosen.ShouldNotBeNull().Held.ShouldBeFalse();
        study.Chosen.Bid.Cost.ShouldBe(study.Routes.Where(r => !r.Held).Min(r => r.Bid.Cost));
        routes[ColdRouteKind.Heat].KilowattHours.ShouldBeGreaterThan(0);
        routes[ColdRouteKind.Heat].Bid.Lines.ShouldContain(l => l.Key == "heat");
        routes[ColdRouteKind.Heat].Finish.ShouldBeGreaterThan(routes[ColdRouteKind.ColdGrade].Finish);
    }

    [Fact]
    public void The_cheapest_route_that_nothing_holds_is_priced_whatever_the_air() =>
        Gen.Select(Gen.Double[-15, 20], Gen.Double[20, 100], Gen.Enum<HeaterKind>(), Gen.Bool)
            .Sample(
                (substrate, humidity, heater, never) =>
                {
                    var question = Cold(substrate) with
                    {
                        AirHumidity = RelativeHumidity.FromPercent(humidity),
                        Heater = heater,
                        NeverFlash = never,
                        Space = Space(substrate, humidity),
                    };
                    var study = ColdRoutes.Of(question);
                    var dew = MoistAir
                        .Of(
                            Temperature.FromCelsius(substrate),
                            RelativeHumidity.FromPercent(humidity),
                            StandardAtmosphere.PressureAt(Length.Zero)
                        )
                        .DewPoint;
                    var straight = study.Routes[0];
                    straight.Held.ShouldBe(
                        substrate < Sheets.ClosedCell.Substrate.Least.Celsius
                            || humidity > Sheets.ClosedCell.GreatestHumidityPercent
                            || substrate - dew.Celsius < 3
                            || !Sheets.ClosedCell.Air.Holds(Temperature.FromCelsius(substrate))
                    );
                    var open = study.Routes.Where(r => !r.Held && !(never && r.Kind == ColdRouteKind.FlashCoat)).ToList();
                    var asked = straight.Held || substrate < Sheets.ClosedCell.Substrate.Least.Celsius + 3;
                    ColdRoutes.AreAsked(question).ShouldBe(asked);
                    study.Chosen?.Bid.Cost.ShouldBe(asked ? open.Min(r => r.Bid.Cost) : straight.Bid.Cost);
                    (study.Chosen is null).ShouldBe(open.Count == 0);
                }
            );

    [Fact]
    public void Damp_air_at_5_degrees_is_heated_though_the_window_allows_the_substrate()
    {
        var study = ColdRoutes.Of(Cold(5) with { AirHumidity = RelativeHumidity.FromPercent(98), Space = Space(5, 98) });
        study.Routes[0].Held.ShouldBeTrue();
        study.Chosen.ShouldNotBeNull().Kind.ShouldBe(ColdRouteKind.Heat);
        ColdRoutes.Of(Cold(5) with { AirHumidity = RelativeHumidity.FromPercent(98), AirAssumed = true }).Routes[0].Held.ShouldBeFalse();
        ColdRoutes.Of(Cold(5) with { AirHumidity = RelativeHumidity.FromPercent(98), Space = null }).Routes[0].Held.ShouldBeFalse();
    }

    [Fact]
    public void What_is_heated_is_as_dry_as_it_says_with_the_water_of_the_flame_in_it() =>
        Gen.Select(Gen.Double[-15, 15], Gen.Double[30, 99], Gen.Enum<HeaterKind>(), Gen.Double[0.3, 0.95], Gen.Double[0.3, 4])
            .Sample(
                (outdoor, humidity, heater, share, changes) =>
                {
                    var space = Space(outdoor, humidity) with { AirChanges = changes };
                    var route = ColdRoutes
                        .Of(
                            Cold(outdoor) with
                            {
                                AirHumidity = RelativeHumidity.FromPercent(humidity),
                                Heater = heater,
                                FaceShare = share,
                                Space = space,
                            }
                        )
                        .Routes.Single(r => r.Kind == ColdRouteKind.Heat);
                    if (route.Heating is not { } air)
                    {
                        return;
                    }

                    var face = outdoor + share * (air.Indoor.Celsius - outdoor);
                    face.ShouldBeGreaterThanOrEqualTo(Sheets.ClosedCell.Substrate.Least.Celsius + 3 - 1e-6);
                    (face - air.DewPoint.Celsius).ShouldBeGreaterThanOrEqualTo(5 - 1e-6);
                    air.Humidity.ShouldBeLessThanOrEqualTo(Sheets.ClosedCell.GreatestHumidityPercent + 1e-6);
                    route.Findings.ShouldNotContain(f => f.Case.Name == "dewClose" || f.Case.Name == "tooDamp");

                    // No cooler room would have done.
                    var cooler = SpaceHeating.To(space, Temperature.FromCelsius(Math.Max(outdoor, air.Indoor.Celsius - 0.3)), heater);
                    var coolerFace = outdoor + share * (cooler.Indoor.Celsius - outdoor);
                    (
                        coolerFace < Sheets.ClosedCell.Substrate.Least.Celsius + 3
                        || coolerFace - cooler.DewPoint.Celsius < 5
                        || cooler.Humidity > Sheets.ClosedCell.GreatestHumidityPercent
                    ).ShouldBeTrue();
                }
            );

    [Fact]
    public void A_room_takes_up_the_heat_of_its_building_before_it_is_warm()
    {
        var space = Space(-6, 50) with { Volume = 301 };
        var route = ColdRoutes.Of(Cold(-6) with { Space = space }).Routes.Single(r => r.Kind == ColdRouteKind.Heat);
        route.Preheat.TotalMinutes.ShouldBeInRange(30, 300);
        route.PreheatWorking!.Result.Amount.ShouldBe(route.Preheat.TotalSeconds, 1e-6);
        route
            .PreheatWorking.Terms[0]
            .Value.Amount.ShouldBe(
                1000 * (120 * 12 + 301 / 3.0 * 110 + MoistAir.DryDensity(Temperature.FromCelsius(-6), space.Pressure) * 1.006 * 301),
                10
            );

        // Energy: what the heaters gave is in the building or went outdoors; the loss lies between those of its two ends.
        var (given, taken) = (
            80.0 * route.Preheat.TotalHours,
            route.PreheatWorking.Terms[0].Value.Amount / 1000 * (route.Heating!.Indoor.Celsius + 6) / 3600
        );
        (given - taken).ShouldBeInRange(0, route.Heating.Power / 1000 * route.Preheat.TotalHours);
    }

    [Fact]
    public void Colder_days_cost_more_heat_and_never_fewer_sets_of_the_cold_grade() =>
        Gen.Select(Gen.Double[-16, 0], Gen.Double[0.5, 5])
            .Sample(
                (mild, colder) =>
                {
                    var (warm, cold) = (
                        ColdRoutes.Of(Cold(mild)).Routes.ToDictionary(r => r.Kind),
                        ColdRoutes.Of(Cold(mild - colder)).Routes.ToDictionary(r => r.Kind)
                    );
                    cold[ColdRouteKind.Heat].KilowattHours.ShouldBeGreaterThan(warm[ColdRouteKind.Heat].KilowattHours);
                    cold[ColdRouteKind.ColdGrade].Sets.ShouldBeGreaterThanOrEqualTo(warm[ColdRouteKind.ColdGrade].Sets - 1e-9);
                },
                iter: 60
            );

    [Fact]
    public void Every_gallon_of_foam_is_in_every_route() =>
        Gen.Double[-15, 20]
            .Sample(
                substrate =>
                {
                    var volumes = ColdRoutes.Of(Cold(substrate)).Routes.Select(r => r.Foams.Sum(f => f.Volume.BoardFeet)).ToList();
                    volumes.ShouldAllBe(v => Math.Abs(v - volumes[0]) < 1e-6 * volumes[0]);
                },
                iter: 60
            );

    [Fact]
    public void What_is_shaved_off_and_blown_away_is_in_every_route()
    {
        var flush = Cold(-6) with
        {
            Demand = FoamDemand.For(Area.FromSquareMetres(110), Length.FromInches(3), Length.FromInches(0.125), Length.FromInches(0.75)),
        };
        var windy = Cold(-6) with { WindAtOpenFace = Speed.FromMetresPerSecond(5) };
        foreach (var (plain, more, less) in ColdRoutes.Of(Cold(-6)).Routes.Zip(ColdRoutes.Of(flush).Routes, ColdRoutes.Of(windy).Routes))
        {
            (more.Sets / plain.Sets).ShouldBe(flush.Demand.Volume / Cold(-6).Demand.Volume, 1e-9);
            (less.Sets / plain.Sets).ShouldBe(1 / 0.9, 1e-9);
        }
    }

    [Fact]
    public void A_flame_a_weak_heater_open_air_and_a_practice_that_never_flashes_are_said()
    {
        Case(Cold(-6) with { Heater = HeaterKind.Propane }, ColdRouteKind.Heat, "flame").ShouldBe(Verdict.Hold);
        Case(Heated(new SpaceHeater(HeaterKind.Indirect, 1_000, 1)), ColdRouteKind.Heat, "heaterTooSmall").ShouldBe(Verdict.Hold);
        Case(Cold(-6) with { Space = null }, ColdRouteKind.Heat, "openAir").ShouldBe(Verdict.Hold);
        Case(Cold(6) with { NeverFlash = true }, ColdRouteKind.FlashCoat, "notPractice").ShouldBe(Verdict.Care);
        ColdRoutes
            .Of(Cold(-6) with { ColdGrade = null })
            .Routes.Select(r => r.Kind)
            .ShouldBe([ColdRouteKind.Straight, ColdRouteKind.Heat, ColdRouteKind.FlashCoat]);
    }

    [Fact]
    public void Heaters_count_by_their_kind_and_number_and_one_of_no_known_kind_always_counts()
    {
        // Two small heaters of the kind asked for are as one of twice the power; one of another kind gives nothing.
        Case(Heated(new SpaceHeater(HeaterKind.Indirect, 40_000, 2)), ColdRouteKind.Heat, "heaterTooSmall").ShouldBeNull();
        Case(Heated(new SpaceHeater(HeaterKind.Electric, 80_000, 1)), ColdRouteKind.Heat, "heaterTooSmall").ShouldBe(Verdict.Hold);
        Case(Heated(new SpaceHeater(null, 80_000, 1)), ColdRouteKind.Heat, "heaterTooSmall").ShouldBeNull();
        Case(Heated(), ColdRouteKind.Heat, "heaterUnknown").ShouldBe(Verdict.Care);
        Preheat(new(HeaterKind.Indirect, 40_000, 2)).ShouldBe(Preheat(new(HeaterKind.Indirect, 80_000, 1)));
        Preheat(new(HeaterKind.Indirect, 120_000, 1)).ShouldBeLessThan(Preheat(new(HeaterKind.Indirect, 80_000, 1)));

        static TimeSpan Preheat(SpaceHeater heater) =>
            ColdRoutes.Of(Heated(heater)).Routes.Single(r => r.Kind == ColdRouteKind.Heat).Preheat;
    }

    private static ColdRouteCase Heated(params SpaceHeater[] heaters) => Cold(-6) with { Means = new() { Heaters = heaters } };

    private static Verdict? Case(ColdRouteCase question, ColdRouteKind kind, string name) =>
        ColdRoutes.Of(question).Routes.Single(r => r.Kind == kind).Findings.FirstOrDefault(f => f.Case.Name == name)?.Verdict;

    private static IReadOnlyList<(string Key, double Quantity, double Amount)> Plain(Bid bid) =>
        [.. bid.Lines.Select(l => (l.Key, l.Quantity.Amount, l.Amount))];

    private static BidSurface Wall(double area, double sets) =>
        new()
        {
            Name = "Wall",
            Treated = Area.FromSquareMetres(area),
            Access = AccessKind.Open,
            Foams =
            [
                new(
                    Sheets.ClosedCell,
                    FoamVolume.FromBoardFeet(sets * 4000),
                    sets,
                    new("medianSets", "n", [], new(sets, Dimension.Sets), Citations.Geometry)
                ),
            ],
            Bought = [],
            Shaved = false,
            Waits = TimeSpan.Zero,
        };

    private static HeatedSpace Space(double outdoor, double humidity) =>
        new()
        {
            Volume = 400,
            Loss = 300,
            AirChanges = 1,
            Outdoor = Temperature.FromCelsius(outdoor),
            OutdoorHumidity = RelativeHumidity.FromPercent(humidity),
            Pressure = StandardAtmosphere.PressureAt(Length.Zero),
        };

    private static ColdRouteCase Cold(double substrate) =>
        new()
        {
            Standard = Sheets.ClosedCell,
            ColdGrade = Sheets.ColdGrade,
            Name = "Wall",
            Treated = Area.FromSquareMetres(120),
            Demand = FoamDemand.For(
                Area.FromSquareMetres(110),
                Length.FromInches(3),
                FoamDemand.DefaultScatter(CellStructure.Closed),
                null
            ),
            Thickness = Length.FromInches(3),
            Substrate = Temperature.FromCelsius(substrate),
            Air = Temperature.FromCelsius(substrate),
            AirHumidity = RelativeHumidity.FromPercent(50),
            FaceShare = 0.75,
            FaceCapacity = 12_000,
            BuildingCapacity = 110_000,
            Space = Space(substrate, 50),
            Rates = Rates,
            Means = new() { Heaters = [new(HeaterKind.Indirect, 80_000, 1)] },
        };
}
