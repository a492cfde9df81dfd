using CsCheck;
using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Findings;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Choosing;

public sealed class CondensationTests
{
    [Theory]
    [InlineData("1A", 5)]
    [InlineData("3C", 5)]
    [InlineData("4C", 10)]
    [InlineData("4A", 15)]
    [InlineData("5B", 20)]
    [InlineData("6A", 25)]
    [InlineData("7", 30)]
    [InlineData("8", 35)]
    public void The_roof_table_asks_more_where_it_is_colder(string zone, double leastR) =>
        RoofTable.LeastR(zone, Covering.Shingles).UsR.ShouldBe(leastR, 1e-9);

    [Fact]
    public void The_roof_table_asks_nothing_under_tile_in_2B_and_3B()
    {
        RoofTable.LeastR("2B", Covering.Tile).UsR.ShouldBe(0);
        RoofTable.LeastR("3B", Covering.Shingles).UsR.ShouldBe(5, 1e-9);
    }

    [Theory]
    [InlineData("5A", 3.5, 5)]
    [InlineData("5A", 5.5, 7.5)]
    [InlineData("6A", 5.5, 11.25)]
    [InlineData("6A", 11, 22.5)]
    [InlineData("8", 3.5, 12.5)]
    public void The_wall_table_asks_the_same_share_of_deeper_studs(string zone, double depth, double leastR) =>
        WallTable.LeastR(zone, Length.FromInches(depth))!.Value.UsR.ShouldBe(leastR, 1e-9);

    [Theory]
    [InlineData(2.0, "tooLittle")]
    [InlineData(4.0, "holds")]
    public void Zone_six_asks_R_25_of_closed_cell_on_the_deck(double inches, string expected) =>
        RoofTable
            .Judge(Filled(SurfaceKind.UnventedDeck, new FoamFill(Sheets.ClosedCell, Length.FromInches(inches))), Covering.Shingles, null)
            .Case.Name.ShouldBe(expected);

    [Fact]
    public void Open_cell_thick_enough_is_still_no_class_II_in_zone_six() =>
        RoofTable
            .Judge(Filled(SurfaceKind.UnventedDeck, new FoamFill(Sheets.OpenCell, Length.FromInches(7))), Covering.Shingles, null)
            .Case.Name.ShouldBe("notClassTwo");

    [Fact]
    public void The_foam_that_stops_air_is_the_retarder_or_a_coat_on_it_and_nothing_further_in()
    {
        var open = new FoamFill(Sheets.OpenCell, Length.FromInches(7));
        var coat = new SlabFill(new(Walls.Materials.VapourCoat, Length.FromMillimetres(0.5)));
        var batt = BattFill.Behind(Walls.Batts[0], Length.FromInches(3.5), open);
        string Judged(params FillLayer[] fill) =>
            RoofTable.Judge(Walls.Section(SurfaceKind.UnventedDeck) with { Fill = [.. fill] }, Covering.Shingles, null).Case.Name;
        Judged(open, coat).ShouldBe("holds");
        Judged(open, batt, coat).ShouldBe("notClassTwo");
        Judged(open, batt).ShouldBe("notClassTwo");
    }

    [Fact]
    public void A_deck_that_stays_warm_stands_for_the_table()
    {
        var little = Filled(SurfaceKind.UnventedDeck, new FoamFill(Sheets.ClosedCell, Length.FromInches(2)));
        RoofTable.Judge(little, Covering.Shingles, Temperature.FromCelsius(8)).Case.Name.ShouldBe("warmDeck");
        RoofTable.Judge(little, Covering.Shingles, Temperature.FromCelsius(6)).Case.Name.ShouldBe("tooLittle");
    }

    [Fact]
    public void A_class_I_layer_on_the_ceiling_side_fails_the_roof_table()
    {
        var sealed1 = Filled(SurfaceKind.UnventedDeck, new FoamFill(Sheets.ClosedCell, Length.FromInches(4))) with
        {
            Inboard = [new(Walls.Make("film", 0.2, 0.0005), Length.FromMillimetres(0.2))],
        };
        RoofTable.Judge(sealed1, Covering.Shingles, null).Case.Name.ShouldBe("classOneInside");
    }

    [Fact]
    public void A_wall_that_is_told_to_be_served_is_told_the_class_that_serves_it() =>
        Gen.Select(Gen.Double[-2, 1.5], Gen.Bool, Gen.Double[1, 5])
            .Sample(
                (power, open, inches) =>
                {
                    var lining = new Layer(Walls.Make("lining", 0.16, Math.Pow(10, power)), Length.FromMillimetres(12.7));
                    var judged = WallTable.Judge(
                        Walls.Section(SurfaceKind.StudWall, "5A") with
                        {
                            Inboard = [lining],
                            Fill = [new FoamFill(open ? Sheets.OpenCell : Sheets.ClosedCell, Length.FromInches(inches))],
                        }
                    );
                    if (judged.Case.Name == "retards")
                    {
                        judged.Words["class"].ShouldBeOneOf("I", "II");
                    }
                }
            );

    [Theory]
    [InlineData("4C", "osb", true, true)]
    [InlineData("5A", "osb", true, true)]
    [InlineData("5A", "osb", false, false)]
    [InlineData("6A", "osb", true, false)]
    [InlineData("6A", "gypsum-board", true, true)]
    [InlineData("7", "gypsum-board", true, false)]
    [InlineData("8", "gypsum-board", true, false)]
    public void Class_III_will_do_over_vented_cladding_by_zone_and_sheathing(string zone, string sheathing, bool vented, bool serves)
    {
        // A batt behind gypsum with two coats of paint: Class III, and nothing else that retards.
        var batt = BattFill.Behind(Walls.Batts[2], Length.FromInches(5.5), null);
        Layer[] lining =
        [
            new(Walls.Make("gypsum-board", 0.16, 22), Length.FromMillimetres(12.7)),
            new(Walls.Make("interior-paint", 0.2, 0.0197), Length.FromMillimetres(0.1)),
        ];
        var wall = Walls.Section(SurfaceKind.StudWall, zone) with
        {
            Outboard =
            [
                new(Walls.Make("wood-siding", 0.115, 4), Length.FromMillimetres(19)),
                new(Walls.Make(sheathing, 0.1, 0.45), Length.FromMillimetres(11)),
            ],
            Inboard = lining,
            Fill = [batt],
            VentedCladding = vented,
        };
        WallTable
            .Judge(wall)
            .Case.Name.ShouldBe(
                serves ? "ventedCladding"
                : zone is "4C" or "5A" || (zone == "6A" && sheathing != "osb") ? "noRetarderUnvented"
                : "noRetarder"
            );

        // Bare gypsum is open: venting alone serves nobody.
        WallTable.Judge(wall with { Inboard = lining[..1] }).Verdict.ShouldBe(Verdict.Care);
    }

    [Fact]
    public void The_class_asks_for_nothing_where_the_table_of_the_code_passes() =>
        Gen.Select(Gen.Int[0, 3].Select(i => new[] { "4C", "5A", "6A", "7" }[i]), Gen.Bool, Gen.Bool, Gen.Double[1, 5.5])
            .Sample(
                (zone, vented, open, inches) =>
                {
                    var wall = Filled(
                        SurfaceKind.StudWall,
                        new FoamFill(open ? Sheets.OpenCell : Sheets.ClosedCell, Length.FromInches(inches))
                    ) with
                    {
                        ClimateZone = zone,
                        VentedCladding = vented,
                    };
                    var asks = SectionStudy.Of(wall).Findings.Single(f => f.Rule.Id == "vapourClass").Verdict != Verdict.Clear;
                    asks.ShouldBe(WallTable.Judge(wall).Verdict != Verdict.Clear && SectionStudy.Of(wall).FillClass > VapourClass.II);
                },
                iter: 200
            );

    [Fact]
    public void Walls_in_cold_zones_want_a_retarder_inside_or_tight_foam_outside()
    {
        string Of(string zone, params FillLayer[] fill) =>
            WallTable.Judge(Filled(SurfaceKind.StudWall, fill) with { ClimateZone = zone }).Case.Name;
        var open = new FoamFill(Sheets.OpenCell, Length.FromInches(7));
        Of("6A", open).ShouldBe("noRetarder");
        Of("3A", open).ShouldBe("noneAsked");
        Of("6A", new FoamFill(Sheets.ClosedCell, Length.FromInches(2))).ShouldBe("retards");

        // An inch and a quarter is 1.08 perm: no Class II, but tight foam on the sheathing of R-8; zone 4C asks of these studs.
        Of("4C", new FoamFill(Sheets.ClosedCell, Length.FromInches(1.25)), BattFill.Behind(Walls.Batts[2], Length.FromInches(6), null))
            .ShouldBe("foamStandsFor");
    }

    [Theory]
    [InlineData("3A", "classOneWarm")]
    [InlineData("5A", "retards")]
    public void A_class_I_layer_inside_traps_where_vapour_drives_inward(string zone, string expected)
    {
        var film = Filled(SurfaceKind.StudWall, new FoamFill(Sheets.OpenCell, Length.FromInches(5))) with
        {
            ClimateZone = zone,
            Inboard = [new(Walls.Make("film", 0.2, 0.0005), Length.FromMillimetres(0.2))],
        };
        WallTable.Judge(film).Case.Name.ShouldBe(expected);
    }

    [Fact]
    public void A_tighter_inner_layer_never_makes_the_sheathing_damper_in_winter() =>
        Gen.Select(Gen.Double[0.05, 30], Gen.Double[0.05, 30], Gen.Double[2, 7])
            .Sample(
                (a, b, inches) =>
                {
                    double Wettest(double permInches)
                    {
                        var wall = Filled(SurfaceKind.StudWall, new FoamFill(Sheets.OpenCell, Length.FromInches(inches))) with
                        {
                            Inboard = [new(Walls.Make("lining", 0.16, permInches), Length.FromMillimetres(12.7))],
                        };
                        return MonthlyYear.Of(wall, Walls.Year()).Places.Single(p => p.Place.Outer == "osb").Humidities[0];
                    }

                    Wettest(Math.Min(a, b)).ShouldBeLessThanOrEqualTo(Wettest(Math.Max(a, b)) + 1e-9);
                },
                iter: 100
            );

    [Fact]
    public void The_practice_may_name_the_opinion_that_rules()
    {
        Finding[] opinions =
        [
            new(CondensationRules.Wall, "noRetarder", Verdict.Care, Citations.Geometry),
            new(CondensationRules.Year, "yearCondensate.none", Verdict.Clear, Citations.Geometry),
        ];
        Practice Named(School school) =>
            new() { Schools = new Dictionary<PracticeQuestion, School> { [PracticeQuestion.Condensation] = school } };
        Condensation.Fails(new(), opinions).ShouldBeTrue();
        Condensation.Fails(Named(School.CodeTables), opinions).ShouldBeTrue();
        Condensation.Fails(Named(School.MonthlyYear), opinions).ShouldBeFalse();
        Condensation.Differ(opinions).ShouldBeTrue();
    }

    private static SectionCase Filled(SurfaceKind kind, params FillLayer[] fill) => Walls.Section(kind) with { Fill = fill };
}
