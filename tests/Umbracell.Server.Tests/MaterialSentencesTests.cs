using CsCheck;
using Shouldly;
using Umbracell.Core.Air;
using Umbracell.Core.Choosing;
using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Core.Yield;
using Umbracell.Core.Yield.Price;
using Umbracell.Formats.DataFiles;
using Umbracell.Server.Means;
using Xunit;
using static Umbracell.Server.Tests.Sentences;

namespace Umbracell.Server.Tests;

/// <summary>Whatever the core says of material and money, the screens have words for it.</summary>
public sealed class MaterialSentencesTests
{
    private static readonly IReadOnlyList<ProductSheet> Sheets =
    [
        .. ShippedData.ProductSheets.Select(s => ProductSheetFile.Read(s.Key, s.Value)),
    ];

    private static readonly Gen<ProductSheet> AnySheet = Gen.Int[0, Sheets.Count - 1].Select(i => Sheets[i]);

    private static readonly Gen<Rates> AnyRates = Gen.Select(Gen.Int[0, 2047], Gen.Double[0.1, 60], Gen.Bool)
        .Select(
            (has, value, markup) =>
            {
                double Has(int bit) => (has & (1 << bit)) == 0 ? 0 : value;
                return new Rates
                {
                    SetPrice = Sheets.Where((_, i) => (has & (1 << i)) != 0).ToDictionary(s => s.Id, _ => 2500.0),
                    MaterialPrice = new Dictionary<string, double> { ["batt-19"] = 9 },
                    CrewHour = Has(0),
                    SetUpHours = 1,
                    ClosedBoardFeetPerHour = 1000,
                    OpenBoardFeetPerHour = 3000,
                    BattM2PerHour = 15,
                    BoardM2PerHour = 5,
                    CoatM2PerHour = 40,
                    ShaveM2PerHour = 30,
                    MaskM2PerHour = 50,
                    RigDay = Has(1),
                    TravelDay = Has(2),
                    ConsumablesPerSet = Has(3),
                    DisposalPerSet = Has(4),
                    ScaffoldPerM2 = Has(5),
                    OverheadPercent = Has(6),
                    ProfitPercent = Has(7),
                    ProfitIsMarkup = markup,
                    TaxPercent = Has(8),
                    HeatKilowattHour = 0.2,
                    KitHour = Has(10),
                    KitBoardFeetPerHour = 250,
                    KitSetUpHours = 0.5,
                    TearOffPerM2 = 30,
                    NewCoveringPerM2 = 70,
                };
            }
        );

    [Fact]
    public void Bids_kits_and_other_systems_never_lack_words() =>
        Gen.Select(AnySheet, AnyRates, Gen.Double[1, 3000], Gen.Double[-15, 40], Gen.Bool, Gen.Double[0, 3])
            .Sample(
                (sheet, rates, area, substrate, shaved, waits) =>
                {
                    var thickness = Length.FromInches(2);
                    var foam = Area.FromSquareMetres(area) * thickness;
                    var surface = new BidSurface
                    {
                        Name = "Wall",
                        Treated = Area.FromSquareMetres(area),
                        Access = shaved ? AccessKind.Scaffold : AccessKind.Crawling,
                        Foams = [new(sheet, foam, foam / sheet.SheetYield)],
                        Bought = [new("batt-19", Area.FromSquareMetres(area), null, BidPace.Batt)],
                        Shaved = shaved,
                        Waits = TimeSpan.FromHours(waits),
                        Trades = shaved ? [new("tearOff", 30), new("newCovering", 70)] : [],
                    };
                    var bid = Bid.Of([surface], rates);
                    foreach (var line in bid.Lines)
                    {
                        Check(line.Working);
                        if (!line.Key.Contains(':', StringComparison.Ordinal))
                        {
                            Words($"price.line.{line.Key}");
                        }
                    }

                    bid.Unentered.ToList().ForEach(rate => Words($"price.rate.{rate}"));
                    Check(PriceAlternative.Of([surface], 0, surface with { Foams = [] }, 0.1, rates).Working);
                    var kit = KitBreakEven.Of(
                        new()
                        {
                            Surface = surface,
                            Kit = Sheets.Single(s => s.IsKit),
                            Thickness = thickness,
                            Conditions = new(Temperature.FromCelsius(substrate), Temperature.FromCelsius(24), thickness, null),
                            Rates = rates,
                            RigAlways = shaved,
                        }
                    );
                    kit?.Findings.ToList().ForEach(Check);
                    if (kit?.Working is { } working)
                    {
                        Check(working);
                    }
                },
                iter: 500
            );

    [Fact]
    public void Cold_routes_never_lack_words() =>
        Gen.Select(AnySheet, AnyRates, Gen.Double[-25, 15], Gen.Double[30, 99], Gen.Int[0, 4], Gen.Bool, Gen.Bool)
            .Sample(
                (sheet, rates, cold, rh, heater, outdoors, never) =>
                {
                    var (air, thickness) = (Temperature.FromCelsius(cold), Length.FromInches(3));
                    var routes = ColdRoutes.Of(
                        new()
                        {
                            Standard = sheet,
                            ColdGrade = ColdRouteCase.ColdGradeFor(sheet, Sheets),
                            Name = "Wall",
                            Treated = Area.FromSquareMetres(120),
                            Demand = FoamDemand.For(Area.FromSquareMetres(120), thickness, FoamDemand.DefaultScatter(sheet.Cell), null),
                            Thickness = thickness,
                            Substrate = air,
                            Air = air,
                            AirHumidity = RelativeHumidity.FromPercent(rh),
                            FaceShare = 0.5,
                            FaceCapacity = FaceHeat.CapacityOf(SubstrateKind.Wood),
                            BuildingCapacity = FaceHeat.BuildingCapacityOf(SubstrateKind.Wood),
                            Space = outdoors
                                ? null
                                : new()
                                {
                                    Volume = 400,
                                    Loss = 200,
                                    AirChanges = 1,
                                    Outdoor = air,
                                    OutdoorHumidity = RelativeHumidity.FromPercent(rh),
                                    Pressure = StandardAtmosphere.PressureAt(Length.FromMetres(0)),
                                },
                            SpaceAssumed = never,
                            Heater = (HeaterKind)heater,
                            NeverFlash = never,
                            Rates = rates,
                            Means = new() { Heaters = rates.CrewHour > 0 ? [new(HeaterKind.Indirect, 1000 * rates.CrewHour, 1)] : [] },
                        }
                    );
                    foreach (var route in routes.Routes)
                    {
                        Words($"price.route.{Camel(route.Kind.ToString())}.t");
                        Words($"price.route.{Camel(route.Kind.ToString())}.short");
                        route.Findings.ToList().ForEach(Check);
                        if (route.Heating is { } heating)
                        {
                            Check(heating.Working);
                            Check(route.PreheatWorking!);
                            Check(route.Bid.Lines.First(l => l.Key == "crew").Working);
                            route.Bid.Lines.Where(l => l.Key == "heat").ToList().ForEach(l => Check(l.Working));
                        }
                    }
                },
                iter: 300
            );

    [Fact]
    public void Stock_drums_and_the_load_never_lack_words() =>
        Gen.Select(AnySheet, Gen.Int[0, 6], Gen.Int[-40, 60], Gen.Int[0, 8], Gen.Double[-20, 25], Gen.Double[0, 4000])
            .Sample(
                (sheet, full, days, load, night, trailer) =>
                {
                    var today = new DateOnly(2026, 11, 23);
                    DrumLot[] lots =
                    [
                        new(SetSide.A, "A-1", days % 7 == 0 ? null : today.AddDays(days), full, Mass.FromKilograms(days > 0 ? 40 : 0)),
                        new(SetSide.B, "B-1", today.AddDays(90), load, default),
                        new(SetSide.B, "B-2", today.AddDays(10), full, default),
                    ];
                    var stock = DrumStock.Of(sheet, lots, load, today);
                    stock.Findings.ToList().ForEach(Check);
                    Check(stock.Working);
                    RigLoad.Of([(sheet, load)], Mass.FromKilograms(trailer < 1000 ? 0 : trailer)).Findings.ToList().ForEach(Check);
                    var wanted = sheet.Drums.Least;
                    Check(
                        new DrumWarmth(
                            SetSide.A,
                            sheet.SetMassA,
                            Temperature.FromCelsius(night),
                            Temperature.FromCelsius(night),
                            420
                        ).Working(wanted)
                    );
                    var warming = DrumWarming.Of(
                        [new(SetSide.A, sheet.SetMassA, 2)],
                        new()
                        {
                            Night = Temperature.FromCelsius(night),
                            Wanted = wanted,
                            Blankets = new(420, 1),
                            Room = new(Temperature.FromCelsius(35), 45, null),
                            KilowattHourPrice = 0.2,
                        }
                    );
                    Check(warming.Blankets!.Working);
                    Check(warming.HotRoom!.Working);
                },
                iter: 300
            );

    [Fact]
    public void What_is_learned_of_crews_never_lacks_words() =>
        Gen.Int[0, 12]
            .Sample(
                count =>
                {
                    var jobs = Enumerable
                        .Range(0, count)
                        .Select(i => new FinishedJob
                        {
                            Id = $"{i}",
                            Crew = i % 3 == 0 ? "Heron" : "Plover",
                            Family = i % 2 == 0 ? "closedStandard" : "openStandard",
                            Actual = FoamVolume.FromBoardFeet(4000 - 60 * i),
                            Predicted = FoamVolume.FromBoardFeet(4000),
                            Foam = FoamVolume.FromBoardFeet(9000),
                            DepthReadings = 12,
                            DepthScatter = Length.FromMillimetres(3),
                        })
                        .ToList();
                    var learning = CrewLearning.From(jobs);
                    Check(learning.For("Heron", "closedStandard").Working);
                    if (learning.ScatterOf("Plover", "openStandard") is { } scatter)
                    {
                        Check(scatter.Working);
                    }
                },
                iter: 50
            );

    [Fact]
    public void Every_rate_and_school_has_its_words()
    {
        foreach (var rate in WorkRates.All.Select(rate => rate.Field))
        {
            Words($"firm.rate.{rate}").ShouldNotBeNullOrWhiteSpace();
        }

        List<School> told = [School.Either];
        foreach (var question in Enum.GetValues<PracticeQuestion>())
        {
            var schools = Practice.SchoolsOf(question);
            told.AddRange(schools);
            Words($"choose.question.{Vocabulary.KeyOf(question)}.t");
            schools.ToList().ForEach(school => Words($"choose.question.{Vocabulary.KeyOf(question)}.{Vocabulary.KeyOf(school)}"));
        }

        // Each is the answer to one question.
        told.ShouldBe(Enum.GetValues<School>(), ignoreOrder: true);
        Enum.GetValues<HeaterKind>().ToList().ForEach(kind => Words($"price.heaterKind.{Camel(kind.ToString())}"));
    }
}
