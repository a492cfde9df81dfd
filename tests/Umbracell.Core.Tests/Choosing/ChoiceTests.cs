using CsCheck;
using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Choosing;

public sealed class ChoiceTests
{
    private static readonly SurfaceKind[] Kinds =
    [
        SurfaceKind.StudWall,
        SurfaceKind.UnventedDeck,
        SurfaceKind.MetalWall,
        SurfaceKind.BandJoist,
        SurfaceKind.CrawlFloor,
    ];

    private static readonly Gen<SurfaceKind> AnyKind = Gen.Int[0, Kinds.Length - 1].Select(i => Kinds[i]);

    [Fact]
    public void The_nearest_flip_point_is_the_nearest_of_all()
    {
        foreach (var kind in new[] { SurfaceKind.StudWall, SurfaceKind.UnventedDeck, SurfaceKind.BandJoist, SurfaceKind.CrawlFloor })
        {
            var all = Choice.Of(Walls.Case(kind, year: Walls.Year())).Flips;
            var nearest = Choice.Of(Walls.Case(kind, year: Walls.Year()), FlipSearch.Nearest).Flips;
            nearest.Count.ShouldBe(Math.Min(1, all.Count));
            if (nearest.Count > 0)
            {
                nearest[0].Distance.ShouldBe(all.Min(f => f.Distance), 1e-12, kind.ToString());
            }
        }
    }

    [Fact]
    public void Every_system_is_the_thinnest_that_meets_the_target_or_says_it_falls_short() =>
        Gen.Select(AnyKind, Gen.Double[0.03, 0.2], Gen.Double[3.5, 11.25])
            .Sample(
                (kind, u, depth) =>
                {
                    var asked = Walls.Case(kind, section: Walls.Section(kind, depthInches: depth, targetU: u));
                    foreach (
                        var c in Choice
                            .Of(asked, FlipSearch.None)
                            .Candidates.Where(c => c.Section.Fill is [FoamFill] && c.Kind != CandidateKind.ThinCoat)
                    )
                    {
                        c.MeetsTarget.ShouldBe(c.U.UsU <= u + 1e-12);
                        var foam = c.Section.Foam!;
                        var floor = Math.Max(foam.Sheet.LeastLift.Inches, foam.Sheet.AirBarrierFrom.Inches) + 0.26;
                        if (c.MeetsTarget && foam.Thickness.Inches > floor)
                        {
                            SectionHeat.Of(c.Section.WithFoam(foam.Thickness - c.Section.Step)).WholeU.UsU.ShouldBeGreaterThan(u);
                        }
                    }
                },
                iter: 60
            );

    [Fact]
    public void A_slab_is_sized_to_the_R_asked_of_its_insulation_and_the_section_says_the_same() =>
        Gen.Select(Gen.Double[5, 30], Gen.Bool)
            .Sample(
                (r, iso) =>
                {
                    var target = new SlabTarget(ThermalResistance.FromUsR(r), Length.FromInches(24), "made up");
                    var section = Walls.Section(SurfaceKind.UnderSlab, films: iso ? FilmSet.Iso6946 : FilmSet.Us, targetU: null) with
                    {
                        SlabTarget = target,
                    };
                    var closed = Choice
                        .Of(Walls.Case(SurfaceKind.UnderSlab, section: section), FlipSearch.None)
                        .Candidates.Single(c => c.Kind == CandidateKind.ClosedCell);
                    closed.MeetsTarget.ShouldBeTrue();
                    closed.Section.InsulationR.UsR.ShouldBeGreaterThanOrEqualTo(r - 0.05);
                    var floor =
                        Length.FromInches(
                            Math.Max(closed.Section.Foam!.Sheet.LeastLift.Inches, closed.Section.Foam.Sheet.AirBarrierFrom.Inches)
                        ) + section.Step;
                    var told = SectionStudy.Of(closed.Section).Findings.Single(f => f.Rule.Id == "target");
                    (told.Case.Name, told.Verdict).ShouldBe(("slabMet", Verdict.Clear));
                    if (closed.Section.Foam.Thickness > floor)
                    {
                        var thinner = SectionStudy.Of(closed.Section.WithFoam(closed.Section.Foam.Thickness - section.Step));
                        var finding = thinner.Findings.Single(f => f.Rule.Id == "target");
                        (finding.Case.Name, finding.Verdict).ShouldBe(("slabShort", Verdict.Care));
                        thinner.ThicknessForTarget.ShouldNotBeNull();
                        SectionStudy
                            .Of(closed.Section.WithFoam(thinner.ThicknessForTarget.Value))
                            .Findings.Single(f => f.Rule.Id == "target")
                            .Case.Name.ShouldBe("slabMet");
                    }
                },
                iter: 20
            );

    [Fact]
    public void What_fails_on_condensation_is_advised_only_where_all_that_stand_fail()
    {
        var some = Choice.Of(Walls.Case(SurfaceKind.UnventedDeck), FlipSearch.None).Candidates.Take(4).ToList();
        var held = new Finding(ChoiceRules.WeatherSide, "notRoofing", Verdict.Hold, Citations.Geometry);
        Gen.Select(Gen.Bool.Array[4], Gen.Bool.Array[4], Gen.Bool.Array[4], Gen.Bool.Array[4])
            .Sample(
                (excluded, fails, inPractice, meets) =>
                {
                    List<Candidate> ranked =
                    [
                        .. some.Select(
                            (c, i) =>
                                c with
                                {
                                    Findings = excluded[i] ? [held] : [],
                                    FailsCondensation = fails[i],
                                    InPractice = inPractice[i],
                                    MeetsTarget = meets[i],
                                }
                        ),
                    ];
                    var winner = Ranking.Winner(ranked);
                    var standing = ranked.Where(c => !c.Excluded).ToList();
                    (winner is null).ShouldBe(standing.Count == 0);
                    winner?.Excluded.ShouldBeFalse();
                    winner?.FailsCondensation.ShouldBe(standing.All(c => c.FailsCondensation));

                    // Among those that stay dry the school followed goes first.
                    var dry = standing.Where(c => !c.FailsCondensation).ToList();
                    if (dry.Exists(c => c.InPractice))
                    {
                        winner!.InPractice.ShouldBeTrue();
                    }
                }
            );
    }

    [Fact]
    public void Exclusions_never_depend_on_prices() =>
        Gen.Select(AnyKind, Gen.Double[0.1, 10])
            .Sample(
                (kind, factor) =>
                {
                    var asked = Walls.Case(kind);
                    var dear = asked with
                    {
                        Rates = asked.Rates with
                        {
                            SetPrice = asked.Rates.SetPrice.ToDictionary(
                                p => p.Key,
                                p => p.Key == "open" ? p.Value * factor : p.Value / factor
                            ),
                            CrewHour = 150 * factor,
                        },
                    };
                    static Dictionary<string, string> Held(Choice choice) =>
                        choice.Candidates.ToDictionary(
                            c => c.Id,
                            c => string.Join(",", c.Findings.Select(f => f.Rule.Id + f.Case.Name + f.Verdict))
                        );
                    Held(Choice.Of(dear, FlipSearch.None)).ShouldBe(Held(Choice.Of(asked, FlipSearch.None)), ignoreOrder: true);
                },
                iter: 40
            );

    [Fact]
    public void What_fails_or_falls_short_never_stands_before_what_does_not()
    {
        foreach (var kind in new[] { SurfaceKind.StudWall, SurfaceKind.UnventedDeck, SurfaceKind.MetalWall })
        {
            static int Rank(Candidate c) =>
                c.Excluded ? 3
                : c.FailsCondensation ? 2
                : c.MeetsTarget ? 0
                : 1;
            var ranks = Choice.Of(Walls.Case(kind), FlipSearch.None).Candidates.Select(Rank).ToList();
            ranks.ShouldBe(ranks.Order().ToList());
        }
    }

    [Fact]
    public void A_score_is_the_weighted_sum_of_its_parts_and_an_excluded_system_has_none()
    {
        var choice = Choice.Of(Walls.Case(SurfaceKind.UnventedDeck), FlipSearch.None);
        choice.Candidates.ShouldContain(c => c.Excluded);
        foreach (var c in choice.Candidates)
        {
            c.Scores.ShouldAllBe(s => s.Value >= 0 && s.Value <= 1);
            c.Total.ShouldBe(c.Scores.Sum(s => s.Value * choice.Case.Priorities.ShareOf(s.Part)), 1e-12);
            (c.Scores.Count == 0).ShouldBe(c.Excluded);
        }

        Enum.GetValues<ScorePart>().Sum(choice.Case.Priorities.ShareOf).ShouldBe(1, 1e-12);
    }

    [Fact]
    public void Asking_only_for_quiet_never_advises_hard_foam_where_open_cell_stands()
    {
        var asked = Walls.Case(SurfaceKind.StudWall, "3A", Walls.Year(hot: true)) with
        {
            Priorities = new(new Dictionary<ScorePart, double> { [ScorePart.Quiet] = 1 }),
        };
        Choice
            .Of(asked, FlipSearch.None)
            .Advised!.Section.Fill.ShouldContain(layer =>
                layer is BattFill || layer is FoamFill && layer.KilogramsPerSquareMetre / layer.Thickness.Metres < 20
            );
    }

    [Fact]
    public void A_flip_point_is_where_it_says_it_is()
    {
        var asked = Walls.Case(SurfaceKind.StudWall);
        var choice = Choice.Of(asked);
        choice.Flips.ShouldNotBeEmpty();
        var price = choice.Flips.Where(f => f.Input == FlipInput.OpenCellPrice);
        foreach (var flip in choice.Flips.Where(f => f.Input == FlipInput.Target))
        {
            ChoiceCase At(double u) => asked with { Section = asked.Section with { Target = new(ThermalTransmittance.FromSi(u), "test") } };
            Choice.Of(At(flip.At.Amount), FlipSearch.None).Advised!.Id.ShouldBe(flip.Winner);
            var near = flip.At.Amount + (flip.Now.Amount - flip.At.Amount) * 0.02 + (flip.Above ? -1 : 1) * flip.Now.Amount * 0.006;
            Choice.Of(At(near), FlipSearch.None).Advised!.Id.ShouldBe(choice.Advised!.Id);
        }

        foreach (var flip in price)
        {
            flip.At.Amount.ShouldBeInRange(40, 250);
            flip.Winner.ShouldNotBe(choice.Advised!.Id);
        }
    }

    [Fact]
    public void Every_flip_point_and_every_figure_a_rule_judges_can_be_followed()
    {
        foreach (
            var choice in new[]
            {
                Choice.Of(Walls.Case(SurfaceKind.StudWall)),
                Choice.Of(
                    Walls.Case(
                        SurfaceKind.OverheadDoor,
                        facts: new() { DoorSpare = Mass.FromKilograms(60), Treated = Area.FromSquareMetres(12) }
                    )
                ),
            }
        )
        {
            choice.Flips.ShouldNotBeEmpty();
            choice.Flips.ShouldAllBe(f => f.Working.Result == f.At && f.Working.Terms.Any(t => t.Name == "flipNewScore"));
            foreach (var outscored in choice.Flips.Where(f => f.Cause == FlipCause.Outscored))
            {
                var terms = outscored.Working.Terms.ToDictionary(t => t.Name, t => t.Value.Amount);
                terms["flipNewScore"].ShouldBeGreaterThan(terms["flipOldScore"]);
            }

            choice
                .Candidates.SelectMany(c => c.Findings)
                .Where(f => f is { Measured: not null, Limit: not null })
                .ShouldAllBe(f => f.How != null);
        }
    }

    [Fact]
    public void A_missing_price_leaves_cost_out_for_all_and_is_named()
    {
        var asked = Walls.Case(SurfaceKind.BandJoist) with
        {
            Rates = Walls.Rates with { SetPrice = new Dictionary<string, double> { ["closed"] = 2700 } },
        };
        var choice = Choice.Of(asked, FlipSearch.None);
        choice.Candidates.First(c => c.Kind == CandidateKind.OpenCell).Cost.Missing.ShouldBe(["open"]);
        choice.Candidates.SelectMany(c => c.Scores).ShouldNotContain(s => s.Part == ScorePart.Cost);
    }

    [Fact]
    public void The_cold_grade_is_offered_only_where_the_standard_grade_is_near_its_limit()
    {
        bool Offered(double celsius) =>
            Choice
                .Of(
                    Walls.Case(SurfaceKind.BandJoist, facts: new() { ExpectedSubstrate = Temperature.FromCelsius(celsius) }),
                    FlipSearch.None
                )
                .Candidates.Any(c => c.Kind == CandidateKind.ColdGrade);
        Offered(-5).ShouldBeTrue();
        Offered(6).ShouldBeTrue();
        Offered(11).ShouldBeFalse();
        Offered(21).ShouldBeFalse();
    }

    [Fact]
    public void The_school_followed_is_advised_and_the_other_stays_in_sight()
    {
        var asked = Walls.Case(SurfaceKind.BandJoist);
        var byBoard = Choice.Of(
            asked with
            {
                Practice = new() { Schools = new Dictionary<PracticeQuestion, School> { [PracticeQuestion.BandJoist] = School.CutBoard } },
            },
            FlipSearch.None
        );
        byBoard.Advised!.Kind.ShouldBe(CandidateKind.CutBoard);
        byBoard.OtherSchool!.School.ShouldNotBe(School.CutBoard);
        Choice.Of(asked, FlipSearch.None).OtherSchool.ShouldBeNull();
        var exception = new Practice
        {
            Schools = new Dictionary<PracticeQuestion, School> { [PracticeQuestion.BandJoist] = School.CutBoard },
        }.With(new Dictionary<PracticeQuestion, School> { [PracticeQuestion.BandJoist] = School.FoamOnWood });
        exception.Holds(SurfaceKind.BandJoist, CandidateKind.CutBoard).ShouldBeFalse();
        exception.Holds(SurfaceKind.BandJoist, CandidateKind.ClosedCell).ShouldBeTrue();
    }

    [Theory]
    [InlineData(20, 0, 20, 0, true)]
    [InlineData(13, 5, 13, 5, true)]
    [InlineData(15, 3, 13, 5, false)]
    [InlineData(15, 5, 20, 0, true)]
    [InlineData(0, 20, 0, 20, true)]
    [InlineData(12.9, 5, 13, 5, false)]
    public void A_label_counts_the_cavity_and_what_is_continuous(
        double cavity,
        double continuous,
        double askedCavity,
        double askedContinuous,
        bool meets
    )
    {
        static LabelRequirement Of(double a, double b) => new(ThermalResistance.FromUsR(a), ThermalResistance.FromUsR(b));
        Targets.Meets(Of(cavity, continuous), Of(askedCavity, askedContinuous)).ShouldBe(meets);
    }

    [Fact]
    public void The_label_path_sizes_to_the_printed_R_whatever_the_members_take()
    {
        var asked = Walls.Case(SurfaceKind.StudWall) with
        {
            Path = TargetPath.Label,
            Labels = [new(ThermalResistance.FromUsR(20), default)],
        };
        var open = Choice.Of(asked, FlipSearch.None).Candidates.First(c => c.Kind == CandidateKind.OpenCell);
        open.MeetsTarget.ShouldBeTrue();
        open.Installed.Cavity.UsR.ShouldBeInRange(19.95, 20.95);
        open.U.UsU.ShouldBeGreaterThan(0.045);
    }

    [Fact]
    public void One_surface_may_fall_short_where_another_makes_up_for_it()
    {
        EnvelopePart Part(double u, double target, double area) =>
            new(ThermalTransmittance.FromSi(u), ThermalTransmittance.FromSi(target), Area.FromSquareMetres(area));
        EnvelopeTradeOff.Of([Part(0.30, 0.26, 100), Part(0.12, 0.20, 60)])!.Meets.ShouldBeTrue();
        EnvelopeTradeOff.Of([Part(0.30, 0.26, 100), Part(0.18, 0.20, 60)])!.Meets.ShouldBeFalse();
        EnvelopeTradeOff.Of([]).ShouldBeNull();
    }

    [Fact]
    public void An_unheated_room_has_no_target_to_meet()
    {
        var choice = Choice.Of(Walls.Case(SurfaceKind.MetalWall, facts: new() { Conditioned = false }), FlipSearch.None);
        choice.Candidates.ShouldAllBe(c => c.MeetsTarget);
    }
}
