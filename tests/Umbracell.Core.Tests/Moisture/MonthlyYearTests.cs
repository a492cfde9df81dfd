using CsCheck;
using Shouldly;
using Umbracell.Core.Air;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;
using Umbracell.Core.Tests.Choosing;
using Xunit;

namespace Umbracell.Core.Tests.Moisture;

public sealed class MonthlyYearTests
{
    // A cold inland year and a room kept at 20 °C and 50 %.
    private static readonly double[] Cold = [-8, -6, -1, 6, 13, 18, 21, 20, 16, 9, 3, -4];
    private static readonly YearOfAir Year = new(
        [.. Cold.Select(t => new MonthAir(Temperature.FromCelsius(t), RelativeHumidity.FromPercent(78)))],
        [.. Cold.Select(_ => new MonthAir(Temperature.FromCelsius(20), RelativeHumidity.FromPercent(50)))]
    );

    [Fact]
    public void One_interface_follows_the_hand_worked_balance()
    {
        // Two layers, everything known: what flows in to saturation less what flows out from it, times the seconds of the month.
        double[] z = [2e10, 1e10 + 2e10];
        var saturation = Enumerable.Repeat(400.0, 12).ToArray();
        var (stored, pressure) = (new double[12], new double[12]);
        var outside = Enumerable.Repeat(300.0, 12).ToArray();
        double[] inside = [1200, 1200, 300, 300, 300, 300, 300, 300, 300, 300, 300, 300];
        CondensateYear.Run(z, saturation, outside, inside, stored, pressure);
        var rate = (1200 - 400) / 1e10 - (400 - 300) / 2e10;
        stored[0].ShouldBe(rate * 31 * 86400, 1e-12);
        stored[1].ShouldBe(rate * 59 * 86400, 1e-12);

        // From March both airs are drier than the wet interface: it dries to both sides.
        var drying = (400 - 300) / 1e10 + (400 - 300) / 2e10;
        stored[2].ShouldBe(Math.Max(0, stored[1] - drying * 31 * 86400), 1e-12);
        pressure[0].ShouldBe(400);
    }

    [Fact]
    public void Condensate_that_cannot_dry_is_told_as_what_a_year_leaves()
    {
        double[] z = [2e10, 3e10];
        var (stored, pressure) = (new double[12], new double[12]);
        var growth = CondensateYear.Run(
            z,
            [.. Enumerable.Repeat(400.0, 12)],
            [.. Enumerable.Repeat(300.0, 12)],
            [.. Enumerable.Repeat(1200.0, 12)],
            stored,
            pressure
        );
        growth.ShouldBe(((1200 - 400) / 1e10 - (400 - 300) / 2e10) * 365 * 86400, 1e-9);
        (stored[11] - stored[0]).ShouldBe(growth * 334 / 365, 1e-9);
        stored[0].ShouldBe(0);
    }

    [Fact]
    public void Water_is_neither_made_nor_lost_whatever_is_wet() =>
        Gen.Select(
                Gen.Double[1e9, 5e10].Array[5],
                Gen.Double[200, 2500].Array[48],
                Gen.Double[150, 1500].Array[12],
                Gen.Double[300, 2500].Array[12]
            )
            .Sample(
                (layers, saturations, outside, inside) =>
                {
                    double[] z = [.. layers.Select((_, i) => layers[..(i + 1)].Sum())];
                    const int N = 4;
                    var (stored, pressure) = (new double[12 * N], new double[12 * N]);
                    var growth = CondensateYear.Run(z, saturations, outside, inside, stored, pressure);
                    for (var month = 0; month < 12; month++)
                    {
                        var at = month * N;
                        var inflow = (inside[month] - pressure[at + N - 1]) / (z[N] - z[N - 1]);
                        var outflow = (pressure[at] - outside[month]) / z[0];
                        double Sum(int m) => stored.AsSpan(m * N, N).ToArray().Sum();

                        // Each month keeps just what flowed in less what flowed out; January begins with what December left and the year
                        // did not add.
                        var kept = Sum(month) - (month > 0 ? Sum(month - 1) : Sum(11) - growth);
                        kept.ShouldBe((inflow - outflow) * YearOfAir.DaysOf(month) * 86400, month > 0 ? 1e-9 : 2e-4);
                        for (var i = 0; i < N; i++)
                        {
                            stored[at + i].ShouldBeGreaterThanOrEqualTo(0);
                            pressure[at + i].ShouldBeLessThanOrEqualTo(saturations[at + i] * (1 + 1e-9));
                        }
                    }
                }
            );

    [Fact]
    public void What_one_wet_interface_gives_off_is_what_the_next_receives()
    {
        // Two interfaces, both wetted in January. From February the outer one is warm: it gives to the inner one and to the air until it
        // is dry, in the middle of the month.
        double[] z = [1e10, 2e10, 3e10];
        double[] saturation = [500, 300, .. Enumerable.Repeat(0, 11).SelectMany(_ => new double[] { 900, 600 })];
        var (outside, inside) = (Enumerable.Repeat(200.0, 12).ToArray(), Enumerable.Repeat(200.0, 12).ToArray());
        (outside[0], inside[0]) = (800, 800);
        var (stored, pressure) = (new double[24], new double[24]);
        CondensateYear.Run(z, saturation, outside, inside, stored, pressure).ShouldBe(0);
        var outer = ((800 - 500) - (500 - 300)) / 1e10 * 31 * 86400;
        var inner = ((800 - 300) + (500 - 300)) / 1e10 * 31 * 86400;
        stored[0].ShouldBe(outer, 1e-12);
        stored[1].ShouldBe(inner, 1e-12);

        // Wet at 900 Pa it loses 700 to the air and 300 to the inner one, which loses 400 to the room. It runs dry on the way; from then
        // on the inner one loses 200 to the air and 400 to the room.
        var days = outer / ((700 + 300) / 1e10) / 86400;
        days.ShouldBeLessThan(28);
        var left = inner + (300 - 400) / 1e10 * days * 86400 - (200 + 400) / 1e10 * (28 - days) * 86400;
        stored[2].ShouldBe(0);
        stored[3].ShouldBe(left, 1e-9);
    }

    [Theory]
    [InlineData(20, 2337)]
    [InlineData(0, 610.5)]
    [InlineData(-10, 260)]
    [InlineData(-20, 103)]
    public void Saturation_is_the_standards_own_over_ice_below_freezing(double celsius, double pascals) =>
        AnnexE.Saturation(celsius).ShouldBe(pascals, 1);

    [Fact]
    public void The_condensate_is_followed_to_pressures_and_flows_that_give_it()
    {
        var year = MonthlyYear.Of(Wall(Sheets.OpenCell, 5.5), Year);
        var told = year.Findings.Single(f => f.Rule.Id == "yearCondensate");
        var working = told.How!;
        working.Result.Amount.ShouldBe(told.Measured!.Value.Amount, 1e-12);
        working.Terms.Sum(t => t.Value.Amount).ShouldBe(working.Result.Amount, 1e-9);
        var month = working.Terms.Single(t => t.From is not null);
        var (arrives, leaves) = (month.From!.Terms[0], month.From.Terms[1]);
        (arrives.Value.Amount - leaves.Value.Amount).ShouldBe(month.From.Result.Amount, 1e-12);
        foreach (var flow in new[] { arrives, leaves })
        {
            var terms = flow.From!.Terms.ToDictionary(t => t.Symbol, t => t.Value.Amount);
            (terms["W"] * (terms["p_from"] - terms["p_to"]) * terms["t"]).ShouldBe(flow.Value.Amount, 1e-9);
        }
    }

    [Fact]
    public void A_month_names_the_place_where_the_water_lies_and_its_own_humidity()
    {
        // A batt on foam in a cold year: what condenses lies on the foam's face, not on the sheathing.
        var hybrid = Wall(Sheets.ClosedCell, 1) with
        {
            Inboard = [Layer("gypsum-board", 0.16, 22, 12.7)],
        };
        var foam = hybrid.Fill[0];
        hybrid = hybrid with { Fill = [foam, BattFill.Behind(Walls.Batts[0], Length.FromInches(4.5), foam)] };
        var year = MonthlyYear.Of(hybrid, Year);
        var wettest = year.Months.MaxBy(m => m.Stored);
        wettest.Stored.ShouldBeGreaterThan(0.01);
        wettest.At.ShouldBe(new HarmedPlace("foam", "fibre-batt"));
        wettest.AtHumidity.ShouldBe(100, 1e-6);
        foreach (var dry in year.Months.Where(m => m.Stored < 1e-6))
        {
            dry.AtHumidity.ShouldBe(year.Places.Max(p => p.Humidities[year.Months.ToList().IndexOf(dry)]), 1e-9);
        }
    }

    [Fact]
    public void A_thick_foam_is_cut_once_whatever_slices_its_drawing_has()
    {
        // A layer of one material is the same layer in two halves: no figure hangs on how it is cut.
        var whole = Wall(Sheets.OpenCell, 5.5) with
        {
            Inboard = [Layer("gypsum-board", 0.16, 22, 12.7)],
            Fill = [new SlabFill(Layer("board", 0.03, 2, 100))],
        };
        var halves = whole with { Fill = [new SlabFill(Layer("board", 0.03, 2, 50)), new SlabFill(Layer("board", 0.03, 2, 50))] };
        var (one, two) = (MonthlyYear.Of(whole, Year), MonthlyYear.Of(halves, Year));
        two.GreatestStored.ShouldBe(one.GreatestStored, 1e-9);
        two.Dampest.Greatest.ShouldBe(one.Dampest.Greatest, 1e-9);
    }

    [Fact]
    public void Every_candidate_of_a_deck_is_judged_at_the_deck_and_at_the_face_within_it()
    {
        var deck = Walls.Section(SurfaceKind.UnventedDeck);
        var foam = new FoamFill(Sheets.ClosedCell, Length.FromInches(6));
        var alone = MonthlyYear.Of(deck with { Fill = [foam] }, Walls.Year());
        var hybrid = MonthlyYear.Of(
            deck with
            {
                Fill = [foam, BattFill.Behind(Walls.Batts[0], Length.FromInches(3.5), foam)],
            },
            Walls.Year()
        );
        HarmedPlace[] shared = [new("asphalt-shingle", "board-sheathing"), new("board-sheathing", "foam")];
        alone.Places.Select(p => p.Place).ShouldBe(shared);
        hybrid.Places.Select(p => p.Place).ShouldBe([.. shared, new("foam", "fibre-batt")]);
    }

    [Fact]
    public void Under_a_tight_covering_the_means_say_that_they_cannot_tell_and_under_an_open_one_they_tell()
    {
        var foam = new FoamFill(Sheets.ClosedCell, Length.FromInches(6));
        var tight = Walls.Section(SurfaceKind.UnventedDeck) with { Fill = [foam] };
        var open = tight with { Outboard = [tight.Outboard[^1]] };
        MonthlyYear.Of(tight, Walls.Year()).Dampest.Untold.ShouldBeTrue();
        MonthlyYear.Of(tight, Walls.Year()).Findings.Single(f => f.Rule.Id == "yearInterface").Case.Name.ShouldBe("untold");
        MonthlyYear.Of(open, Walls.Year()).Places.ShouldAllBe(p => !p.Untold);
    }

    [Fact]
    public void Where_the_means_cannot_tell_every_fill_reads_wet() =>
        Gen.Select(Gen.Double[-3, 0], Gen.Double[1, 6], Gen.Bool, Gen.Double[-4, 1])
            .Sample(
                (covering, inches, open, tighter) =>
                {
                    var deck = Walls.Section(SurfaceKind.UnventedDeck) with
                    {
                        Outboard = [Layer("covering", 0.17, Math.Pow(10, covering), 6), Layer("board-sheathing", 0.115, 3, 19)],
                    };
                    var filled = new FoamFill(open ? Sheets.OpenCell : Sheets.ClosedCell, Length.FromInches(inches));
                    var year = MonthlyYear.Of(deck with { Fill = [filled] }, Walls.Year());
                    foreach (var place in year.Places.Where(p => p.Untold))
                    {
                        // The whole depth of something that insulates as closed cell does, no tighter than Class I: wet all the same.
                        var depth = deck.FoamDepth!.Value;
                        var fill = new Layer(
                            new()
                            {
                                Id = "fill",
                                Conductivity = ThermalConductivity.FromSi(0.024),
                                Permeability = Permeability.FromPermInches(Math.Max(0.1, Math.Pow(10, tighter)) * depth.Inches),
                                Source = "made up",
                            },
                            depth
                        );
                        var other = MonthlyYear.Of(deck with { Fill = [new SlabFill(fill)] }, Walls.Year());
                        other.Places.Single(p => p.Place.Outer == place.Place.Outer).Greatest.ShouldBeGreaterThan(95 - 1e-6);
                    }
                },
                iter: 60
            );

    [Fact]
    public void Closed_cell_on_the_sheathing_keeps_a_cold_wall_drier_than_open_cell()
    {
        var open = MonthlyYear.Of(Wall(Sheets.OpenCell, 5.5), Year);
        var closed = MonthlyYear.Of(Wall(Sheets.ClosedCell, 3), Year);
        closed.GreatestStored.ShouldBeLessThan(open.GreatestStored / 3);
        Sheathing(closed).Humidities.Average().ShouldBeLessThan(Sheathing(open).Humidities.Average());
        open.GreatestStored.ShouldBeGreaterThan(0.1);
        open.Findings.Single(f => f.Rule.Id == "yearCondensate").Verdict.ShouldNotBe(Verdict.Clear);
        open.Months.MaxBy(m => m.Stored).Outdoor.Temperature.Celsius.ShouldBeLessThan(10);
    }

    [Fact]
    public void A_tighter_layer_towards_the_room_never_dampens_the_winter_interface() =>
        Gen.Select(Gen.Double[0.05, 30], Gen.Double[1.05, 20], Gen.Double[1, 5])
            .Sample(
                (permInch, tighter, inches) =>
                {
                    double January(double perm) => Sheathing(MonthlyYear.Of(Wall(Sheets.OpenCell, inches, perm), Year)).Humidities[0];
                    return January(permInch / tighter) <= January(permInch) + 1e-9;
                },
                iter: 60
            );

    [Fact]
    public void What_is_told_against_a_damp_interface_helps_when_it_is_done_and_the_other_side_does_not() =>
        Gen.Select(Gen.Double[1, 4], Gen.Bool, Gen.Double[60, 95], Gen.Double[16, 24])
            .Sample(
                (inches, open, outdoorHumidity, room) =>
                {
                    var year = new YearOfAir(
                        [.. Cold.Select(t => new MonthAir(Temperature.FromCelsius(t + 12), RelativeHumidity.FromPercent(outdoorHumidity)))],
                        [.. Cold.Select(_ => new MonthAir(Temperature.FromCelsius(room), RelativeHumidity.FromPercent(45)))]
                    );
                    var floor = Walls.Section(SurfaceKind.CrawlFloor) with
                    {
                        Fill = [new FoamFill(open ? Sheets.OpenCell : Sheets.ClosedCell, Length.FromInches(inches))],
                    };
                    var now = MonthlyYear.Of(floor, year);
                    var told = now.Findings.Single(f => f.Rule.Id == "yearInterface");
                    var worst = now.Dampest;
                    if (told.Case.Name is "dry" or "untold" || worst.Greatest > 99.9)
                    {
                        return;
                    }

                    double Humidity(SectionCase section) =>
                        MonthlyYear.Of(section, year).Places.Single(p => p.Place == worst.Place).Humidities[worst.Worst];
                    var foil = Layer("foil", 0.2, 0.001, 0.2);
                    var finish = floor.Inboard[^1];
                    var tighter = finish with
                    {
                        Material = finish.Material with
                        {
                            Permeability = Permeability.FromSi(finish.Material.Permeability.KilogramsPerPascalSecondMetre / 20),
                        },
                    };
                    var (outside, inside) = (
                        Humidity(floor with { Outboard = [foil, .. floor.Outboard] }),
                        Humidity(floor with { Inboard = [.. floor.Inboard.SkipLast(1), tighter] })
                    );
                    (told.Case.Name == "dampInward" ? outside : inside).ShouldBeLessThan(worst.Greatest + 1e-9);
                    (told.Case.Name == "dampInward" ? inside : outside).ShouldBeGreaterThan(worst.Greatest - 1e-9);
                }
            );

    [Fact]
    public void In_a_dry_room_nothing_condenses()
    {
        var dry = new YearOfAir(
            Year.Outdoor,
            [
                .. Year.Outdoor.Select(m => new MonthAir(
                    Temperature.FromCelsius(20),
                    RelativeHumidity.FromPercent(
                        Math.Max(
                            2,
                            100
                                * MoistAir.Of(m.Temperature, m.Humidity, StandardAtmosphere.PressureAt(Length.Zero)).VapourPressure.Pascals
                                / 2339
                        )
                    )
                )),
            ]
        );
        var year = MonthlyYear.Of(Wall(Sheets.OpenCell, 5.5), dry);
        year.GreatestStored.ShouldBe(0, 1e-9);
        year.Findings.Single(f => f.Rule.Id == "yearCondensate").Case.Name.ShouldBe("none");
    }

    [Theory]
    [InlineData(3, -5, 810)]
    [InlineData(3, 0, 810)]
    [InlineData(3, 10, 405)]
    [InlineData(3, 20, 0)]
    [InlineData(3, 25, 0)]
    [InlineData(1, 0, 270)]
    [InlineData(5, 5, 1020)]
    public void Humidity_classes_are_the_standards_own(int humidityClass, double outdoor, double excess) =>
        HumidityClasses.Excess(humidityClass, Temperature.FromCelsius(outdoor)).Pascals.ShouldBe(excess, 1e-9);

    [Fact]
    public void A_room_of_a_class_holds_outdoor_water_and_its_excess()
    {
        var room = HumidityClasses.Room(2, new(Temperature.FromCelsius(0), RelativeHumidity.FromPercent(80)), Temperature.FromCelsius(20));
        var vapour = MoistAir.Of(room.Temperature, room.Humidity, StandardAtmosphere.PressureAt(Length.Zero)).VapourPressure.Pascals;
        vapour.ShouldBe(0.80 * 611.2 + 540, 2);
        HumidityClasses
            .Room(2, new(Temperature.FromCelsius(26), RelativeHumidity.FromPercent(60)), Temperature.FromCelsius(20))
            .Temperature.Celsius.ShouldBe(26);
    }

    [Fact]
    public void The_inner_surface_is_judged_with_a_quarter()
    {
        var year = MonthlyYear.Of(Wall(Sheets.ClosedCell, 3), Year);
        var january = year.Months[0];

        // All that lies between the airs but the room film, and 0.25 in its place.
        var cavity =
            SectionStudy.Of(Wall(Sheets.ClosedCell, 3)).CavityR.SquareMetreKelvinsPerWatt
            - Films.Inside(FilmSet.Iso6946, HeatFlow.Horizontal).SquareMetreKelvinsPerWatt
            + 0.25;
        var surface = 20 - 28 * 0.25 / cavity;
        var saturated = 610.5 * Math.Exp(17.269 * surface / (237.3 + surface));
        var vapour = MoistAir
            .Of(Temperature.FromCelsius(20), RelativeHumidity.FromPercent(50), StandardAtmosphere.PressureAt(Length.Zero))
            .VapourPressure.Pascals;
        january.SurfaceHumidity.ShouldBe(100 * vapour / saturated, 1e-4);
    }

    private static PlaceYear Sheathing(MonthlyYear year) => year.Places.Single(p => p.Place.Outer == "osb");

    private static SectionCase Wall(ProductSheet sheet, double inches, double liningPermInch = 22) =>
        new()
        {
            Kind = SurfaceKind.StudWall,
            Outboard = [Layer("wood-siding", 0.115, 4, 19), Layer("osb", 0.102, 0.45, 11)],
            Inboard = [Layer("gypsum-board", 0.16, liningPermInch, 12.7)],
            Members = new()
            {
                Material = MemberMaterial.Wood,
                Depth = Length.FromInches(5.5),
                Spacing = Length.FromInches(16),
                Share = 0.25,
                Conductivity = ThermalConductivity.FromSi(0.1154),
            },
            HeatFlow = HeatFlow.Horizontal,
            Exposure = Exposure.Outdoors,
            Films = FilmSet.Iso6946,
            Fill = [new FoamFill(sheet, Length.FromInches(inches))],
            Air = new(
                Temperature.FromCelsius(20),
                RelativeHumidity.FromPercent(50),
                Temperature.FromCelsius(-8),
                RelativeHumidity.FromPercent(80)
            ),
        };

    private static Layer Layer(string id, double k, double permIn, double mm) =>
        new(
            new Material
            {
                Id = id,
                Conductivity = ThermalConductivity.FromSi(k),
                Permeability = Permeability.FromPermInches(permIn),
                Source = "made up",
                Harm = Walls.HarmOf(id),
            },
            Length.FromMillimetres(mm)
        );
}
