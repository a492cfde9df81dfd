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

namespace Umbracell.Core.Tests.Assemblies;

public sealed class SectionTests
{
    private static readonly Material Panel = new()
    {
        Id = "panel",
        Conductivity = ThermalConductivity.FromSi(0.1),
        Permeability = Permeability.FromPermInches(0.5),
        Source = "test",
    };
    private static readonly Material Board = new()
    {
        Id = "board",
        Conductivity = ThermalConductivity.FromSi(0.16),
        Permeability = Permeability.FromPermInches(22),
        Source = "test",
    };
    private static readonly Gen<double> Thickness = Gen.Double[0.5, 6];

    [Fact]
    public void A_two_by_six_wall_by_parallel_path_agrees_with_the_worked_figure()
    {
        // 2x6, framing 25 %, cavity R-20, wood 1.25 per inch, other layers and films.
        Slice[] slices = [new(R(20), R(5.5 * 1.25)), Slice.Continuous(R(2.2))];
        var u = WoodFraming.ParallelPath(0.25, slices);
        u.UsU.ShouldBe(0.0613, 0.0001);
        u.ToResistance().UsR.ShouldBe(16.30, 0.01);
    }

    [Theory]
    // The closed cell's sheet rates lifts up to 2 in, the open cell's up to 7 in.
    [InlineData(1.5, 0, 1)]
    [InlineData(2, 0, 1)]
    [InlineData(2.5, 0, 2)]
    [InlineData(5, 0, 3)]
    [InlineData(2, 6, 2)]
    [InlineData(5, 9, 5)]
    public void Lifts_are_counted_by_hand_from_what_the_sheets_rate(double closedInches, double openInches, int lifts)
    {
        FoamFill[] foams =
        [
            new(Sheets.ClosedCell, Length.FromInches(closedInches)),
            .. openInches > 0 ? [new FoamFill(Sheets.OpenCell, Length.FromInches(openInches))] : Array.Empty<FoamFill>(),
        ];
        var study = SectionStudy.Of(Walls.Section(SurfaceKind.UnventedDeck) with { Fill = [.. foams] }, inMotion: true);
        study.Workings["lifts"].Result.Amount.ShouldBe(lifts);
    }

    [Fact]
    public void Lifts_told_of_a_section_are_those_of_its_working_and_make_up_each_foam() =>
        Gen.Select(Gen.Double[0.6, 5], Gen.Double[2, 9], Gen.Bool)
            .Sample(
                (closed, open, both) =>
                {
                    FoamFill under = new(Sheets.ClosedCell, Length.FromInches(closed)),
                        over = new(Sheets.OpenCell, Length.FromInches(open));
                    FoamFill[] foams = both ? [under, over] : [under];
                    var study = SectionStudy.Of(Walls.Section(SurfaceKind.UnventedDeck) with { Fill = [.. foams] }, inMotion: true);
                    var working = study.Workings["lifts"];
                    working.Result.Amount.ShouldBe(study.Lifts.Sum(plan => plan.Lifts.Count));
                    foreach (var (foam, plan) in foams.Zip(study.Lifts))
                    {
                        plan.Lifts.Sum(l => l.Metres).ShouldBe(foam.Thickness.Metres, 1e-9);
                    }

                    if (both)
                    {
                        working.Terms.Select(t => t.From!.Result.Amount).Sum().ShouldBe(working.Result.Amount);
                    }
                },
                iter: 40
            );

    [Fact]
    public void Near_the_target_both_ways_to_count_members_are_told() =>
        Gen.Select(Gen.Double[3, 11], Gen.Double[0.7, 1.3], Gen.Bool)
            .Sample(
                (inches, share, iso) =>
                {
                    var wall = Walls.Section(
                        SurfaceKind.StudWall,
                        depthInches: 11.25,
                        films: iso ? FilmSet.Iso6946 : FilmSet.Us,
                        targetU: null
                    ) with
                    {
                        Fill = [new FoamFill(Sheets.OpenCell, Length.FromInches(inches))],
                    };
                    var untold = SectionStudy.Of(wall);
                    untold.Findings.ShouldNotContain(f => f.Rule.Id == "framing");
                    var (parallel, combined) = (untold.ParallelU.UsU, untold.CombinedU!.Value.UsU);
                    combined.ShouldBeGreaterThan(parallel);
                    // Not on the very edges (at the target, and 10 % off it), where the last bit decides.
                    double[] edges = [1, 1 / 1.1, 1 / 0.9];
                    var target = parallel * (edges.Any(edge => Math.Abs(share - edge) < 1e-6) ? share + 0.001 : share);
                    var told = SectionStudy
                        .Of(wall with { Target = new(ThermalTransmittance.FromUsU(target), "made up") })
                        .Findings.SingleOrDefault(f => f.Rule.Id == "framing");
                    var near = Math.Min(Math.Abs(parallel - target), Math.Abs(combined - target)) <= 0.1 * target;
                    (told is not null).ShouldBe(near || (parallel <= target) != (combined <= target));
                    told?.Case.Name.ShouldBe(
                        (parallel <= target, combined <= target) switch
                        {
                            (true, true) => "bothMeet",
                            (false, false) => "neitherMeets",
                            _ => "part",
                        }
                    );
                    told?.Figures["combined"].Amount.ShouldBe(untold.CombinedU.Value.WattsPerSquareMetreKelvin, 1e-12);
                },
                iter: 60
            );

    [Fact]
    public void The_lower_limit_never_exceeds_the_upper_and_the_combined_value_lies_between() =>
        Gen.Select(Gen.Double[0.02, 0.4], Gen.Double[5, 30], Gen.Double[2, 12], Gen.Double[1, 6])
            .Sample(
                (share, cavity, member, rest) =>
                {
                    Slice[] slices = [new(R(cavity), R(member)), Slice.Continuous(R(rest))];
                    var upper = WoodFraming.ParallelPath(share, slices).ToResistance().UsR;
                    var lower = WoodFraming.LowerLimit(share, slices).UsR;
                    lower.ShouldBeLessThanOrEqualTo(upper + 1e-9);
                    var combined = WoodFraming.Combined(share, slices);
                    (combined is null).ShouldBe(upper / lower > 1.5);
                    combined?.ToResistance().UsR.ShouldBe((upper + lower) / 2, 1e-9);
                }
            );

    [Fact]
    public void More_foam_never_lowers_R_or_raises_U() =>
        Thickness.Sample(inches =>
        {
            var (thin, thick) = (Study(inches), Study(Math.Min(6, inches + 0.25)));
            thick.FillR.UsR.ShouldBeGreaterThanOrEqualTo(thin.FillR.UsR - 1e-9);
            thick.WholeU.UsU.ShouldBeLessThanOrEqualTo(thin.WholeU.UsU + 1e-9);
            thick.HeatCut.ShouldBeGreaterThanOrEqualTo(thin.HeatCut - 1e-9);
            thick.FillPermeance.Perms.ShouldBeLessThanOrEqualTo(thin.FillPermeance.Perms + 1e-9);
        });

    [Fact]
    public void Temperature_runs_from_outdoor_to_indoor_without_turning_back() =>
        Thickness.Sample(inches =>
        {
            var points = Study(inches).Profile.Points;
            points[0].Temperature.Celsius.ShouldBe(-15, 1e-9);
            points[^1].Temperature.Celsius.ShouldBe(20, 1e-9);
            points.Zip(points.Skip(1)).ShouldAllBe(p => p.Second.Temperature.Celsius >= p.First.Temperature.Celsius - 1e-9);
            points.Zip(points.Skip(1)).ShouldAllBe(p => p.Second.VapourPressure.Pascals >= p.First.VapourPressure.Pascals - 1e-9);
        });

    [Fact]
    public void The_same_heat_flows_through_every_layer()
    {
        var study = Study(4);
        var flux = (20 - -15) / study.CavityR.SquareMetreKelvinsPerWatt;
        var points = study.Profile.Points;
        var acrossFoam = points.Last(p => p.Key == "foam").Temperature - points.Last(p => p.Key == "panel").Temperature;
        (acrossFoam.Kelvins / study.FillR.SquareMetreKelvinsPerWatt).ShouldBe(flux, flux * 1e-9);
    }

    [Fact]
    public void Vapour_is_driven_by_its_own_pressure_not_by_heat()
    {
        var humid = Study(
            2,
            air: new(
                Temperature.FromCelsius(24),
                RelativeHumidity.FromPercent(50),
                Temperature.FromCelsius(24),
                RelativeHumidity.FromPercent(90)
            )
        );
        humid.Profile.OutwardDrive.Pascals.ShouldBeLessThan(0);
        Study(2).Profile.OutwardDrive.Pascals.ShouldBeGreaterThan(0);
    }

    [Fact]
    public void Aged_R_is_interpolated_proportional_below_and_refused_past_the_sheet()
    {
        Sheets.ClosedCell.ResistanceAt(Length.FromInches(2)).UsR.ShouldBe(13.3, 1e-9);
        Sheets.ClosedCell.ResistanceAt(Length.FromInches(2.5)).UsR.ShouldBe(16.85, 1e-9);
        Sheets.ClosedCell.ResistanceAt(Length.FromInches(0.5)).UsR.ShouldBe(3.2, 1e-9);
        Should.Throw<QuantityRangeException>(() => Sheets.ClosedCell.ResistanceAt(Length.FromInches(6.1)));
        Should.Throw<QuantityRangeException>(() => Study(900));
        Should.Throw<QuantityRangeException>(() => Study(0));
    }

    [Fact]
    public void Closed_cell_of_135_perm_inches_is_class_II_from_135_inches()
    {
        VapourResistance.ThicknessFor(Sheets.ClosedCell.Permeability, VapourClass.II).Inches.ShouldBe(1.35, 1e-4);
        Study(1.35).FillClass.ShouldBe(VapourClass.II);
        Study(1.34).FillClass.ShouldBe(VapourClass.III);
        Study(2).FillPermeance.Perms.ShouldBe(0.675, 1e-4);
    }

    [Theory]
    [InlineData(0.1, VapourClass.I)]
    [InlineData(0.11, VapourClass.II)]
    [InlineData(1.0, VapourClass.II)]
    [InlineData(1.01, VapourClass.III)]
    [InlineData(10, VapourClass.III)]
    [InlineData(10.1, VapourClass.Open)]
    public void Vapour_classes_have_their_bounds(double perms, VapourClass vapourClass) =>
        VapourResistance.ClassOf(Permeance.FromPerms(perms)).ShouldBe(vapourClass);

    [Fact]
    public void Permeances_in_series_let_through_less_than_the_tightest() =>
        Gen.Double[0.05, 50]
            .Array[2, 6]
            .Sample(perms => VapourResistance.InSeries(perms.Select(Permeance.FromPerms)).Perms.ShouldBeLessThan(perms.Min()));

    [Fact]
    public void The_thickness_for_a_target_meets_it_and_a_quarter_inch_less_does_not()
    {
        var target = new UTarget(ThermalTransmittance.FromUsU(0.075), "test");
        var study = SectionStudy.Of(Case(2) with { Target = target });
        var thickness = study.ThicknessForTarget.ShouldNotBeNull();
        SectionStudy.Of(Case(thickness.Inches) with { Target = target }).WholeU.UsU.ShouldBeLessThanOrEqualTo(0.075);
        SectionStudy.Of(Case(thickness.Inches - 0.25) with { Target = target }).WholeU.UsU.ShouldBeGreaterThan(0.075);
    }

    [Theory]
    [InlineData(5.0, "fits", Verdict.Clear)]
    [InlineData(5.25, "shaveHard", Verdict.Care)]
    [InlineData(5.75, "tooThick", Verdict.Hold)]
    public void Closed_cell_stops_half_an_inch_short_of_the_face(double inches, string name, Verdict verdict)
    {
        var fit = Study(inches).Findings.Single(f => f.Rule.Id == "fit");
        fit.Case.Name.ShouldBe(name);
        fit.Verdict.ShouldBe(verdict);
    }

    [Fact]
    public void Open_cell_fills_the_depth_flush()
    {
        var fit = SectionStudy
            .Of(Case(5.5) with { Fill = [new FoamFill(Sheets.OpenCell, Length.FromInches(5.5))] })
            .Findings.Single(f => f.Rule.Id == "fit");
        fit.Case.Name.ShouldBe("flush");
        fit.Verdict.ShouldBe(Verdict.Clear);
    }

    [Fact]
    public void A_vent_channel_takes_depth_and_cuts_off_what_lies_beyond_it()
    {
        var vented = Case(3) with { VentChannel = Length.FromInches(1), Baffle = new(Panel, Length.FromInches(0.25)) };
        vented.FoamDepth!.Value.Inches.ShouldBe(4.25, 1e-9);
        var study = SectionStudy.Of(vented);
        study.Profile.Points.Where(p => p.Key is "panel").First().Temperature.Celsius.ShouldBe(-15, 1e-9);
        var tooLow = SectionStudy.Of(vented with { VentChannel = Length.FromInches(0.75) });
        tooLow.Findings.Single(f => f.Rule.Id == "ventChannel").Verdict.ShouldBe(Verdict.Hold);
    }

    [Fact]
    public void Metal_members_are_said_not_to_be_counted()
    {
        var metal = Case(3) with
        {
            Members = new()
            {
                Material = MemberMaterial.Girt,
                Depth = Length.FromInches(8),
                Spacing = Length.FromInches(60),
                Share = 0,
                Conductivity = ThermalConductivity.FromSi(50),
            },
        };
        var study = SectionStudy.Of(metal);
        study.CombinedU.ShouldBeNull();
        study.Findings.ShouldContain(f => f.Rule.Id == "metalMembers" && f.Verdict == Verdict.Care);
    }

    [Fact]
    public void A_working_can_be_followed_to_its_result()
    {
        var u = Study(4).Workings["wholeU"];
        double Term(string symbol) => u.Terms.Single(t => t.Symbol == symbol).Value.Amount;
        var byHand = Term("f") / (Term("R_member") + Term("R_rest")) + (1 - Term("f")) / (Term("R_foam") + Term("R_air") + Term("R_rest"));
        u.Result.Amount.ShouldBe(byHand, 1e-12);
        var rest = u.Terms.Single(t => t.Symbol == "R_rest").From.ShouldNotBeNull();
        rest.Terms.Sum(t => t.Value.Amount).ShouldBe(rest.Result.Amount, 1e-12);
    }

    [Fact]
    public void Air_against_the_iso_films_is_stiller_than_the_us_set_says() =>
        Films
            .Inside(FilmSet.Iso6946, HeatFlow.Horizontal)
            .SquareMetreKelvinsPerWatt.ShouldBeGreaterThan(Films.Inside(FilmSet.Us, HeatFlow.Horizontal).SquareMetreKelvinsPerWatt);

    private static SectionStudy Study(double inches, DesignAir? air = null) =>
        SectionStudy.Of(air is null ? Case(inches) : Case(inches) with { Air = air });

    private static SectionCase Case(double inches) =>
        new()
        {
            Kind = SurfaceKind.StudWall,
            Outboard = [new(Panel, Length.FromMillimetres(11))],
            Inboard = [new(Board, Length.FromMillimetres(12.7))],
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
            Films = FilmSet.Us,
            Fill = [new FoamFill(Sheets.ClosedCell, Length.FromInches(inches))],
            Air = new(
                Temperature.FromCelsius(20),
                RelativeHumidity.FromPercent(40),
                Temperature.FromCelsius(-15),
                RelativeHumidity.FromPercent(80)
            ),
            ClimateZone = "6A",
        };

    private static ThermalResistance R(double us) => ThermalResistance.FromUsR(us);
}
