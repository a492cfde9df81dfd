using CsCheck;
using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Findings;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Choosing;

/// <summary>How dry the systems of a surface stay: by one yardstick, with what the means cannot tell said, and what would have to change
/// where none stays dry.</summary>
public sealed class DrynessTests
{
    private static readonly SurfaceKind[] AgainstWeather =
    [
        SurfaceKind.StudWall,
        SurfaceKind.MetalWall,
        SurfaceKind.BandJoist,
        SurfaceKind.CrawlFloor,
        SurfaceKind.UnventedDeck,
        SurfaceKind.VentedRafters,
        SurfaceKind.OverheadDoor,
        SurfaceKind.LowSlopeRoof,
    ];

    private static readonly string[] Zones = ["1A", "3A", "5A", "6A", "7"];

    [Fact]
    public void Every_candidate_of_a_surface_is_judged_at_the_same_places() =>
        Surfaces()
            .Sample(
                asked =>
                {
                    // What is put in has many names; the faces it lies against are the surface's own. A system's own board has a face more.
                    var judged = Choice
                        .Of(asked, FlipSearch.None)
                        .Candidates.Where(c => c.Kind is not (CandidateKind.BoardInboard or CandidateKind.BoardOutboard))
                        .Select(c => (c.Id, Faces: Faces(c)));
                    foreach (var (id, faces) in judged)
                    {
                        faces.ShouldBe(judged.First().Faces, id);
                    }

                    string[] Faces(Candidate c)
                    {
                        HashSet<string> own = [.. asked.Section.Outboard.Concat(asked.Section.Inboard).Select(l => l.Material.Id)];
                        string Side(string key) => own.Contains(key) ? key : "fill";
                        return
                        [
                            .. c.Year!.Places.Where(p => !p.Own)
                                .Select(p => $"{Side(p.Place.Outer)}|{Side(p.Place.Inner)}")
                                .Where(p => p != "fill|fill")
                                .Distinct(),
                        ];
                    }
                },
                iter: 60
            );

    [Fact]
    public void The_worst_place_of_all_makes_the_score_and_is_the_one_named() =>
        Surfaces()
            .Sample(
                asked =>
                {
                    foreach (
                        var c in Choice
                            .Of(asked, FlipSearch.None)
                            .Candidates.Where(c => !c.Excluded && c.Year is { NeverDries: 0 } && c.Year.Places.All(p => !p.Untold))
                    )
                    {
                        var worst = c.Year!.Places.Where(p => p.IsDamperThanWeather).Max(p => p.Greatest);
                        c.Year.Dampest.Greatest.ShouldBe(worst, 1e-6);
                        c.Scores.Single(s => s.Part == ScorePart.Moisture).Measured.Amount.ShouldBe(worst, 1e-6);
                    }
                },
                iter: 60
            );

    [Fact]
    public void Foam_under_a_tight_deck_is_not_worse_for_standing_without_a_batt()
    {
        var choice = Choice.Of(Walls.Case(SurfaceKind.UnventedDeck), FlipSearch.None);
        double Dry(CandidateKind kind) =>
            choice.Candidates.Single(c => c.Kind == kind).Scores.Single(s => s.Part == ScorePart.Moisture).Value;
        Dry(CandidateKind.ClosedCell).ShouldBeGreaterThanOrEqualTo(Dry(CandidateKind.Hybrid) - 1e-9);
        Dry(CandidateKind.ClosedCell).ShouldBeGreaterThan(0.5);
    }

    [Fact]
    public void More_of_what_the_table_asks_and_a_tighter_class_score_drier_where_the_means_cannot_tell() =>
        Gen.Select(Gen.Double[4.25, 5.75], Gen.Double[0.1, 0.25])
            .Sample(
                (inches, more) =>
                {
                    Score At(double t) => Judged(new FoamFill(Sheets.ClosedCell, Length.FromInches(t)));
                    At(inches + more).Value.ShouldBeGreaterThanOrEqualTo(At(inches).Value);
                    At(inches).Value.ShouldBeGreaterThan(Judged(new FoamFill(Sheets.OpenCell, Length.FromInches(inches))).Value);

                    static Score Judged(FoamFill foam)
                    {
                        var section = Walls.Section(SurfaceKind.UnventedDeck) with { Fill = [foam] };
                        var (asked, year) = (Walls.Case(SurfaceKind.UnventedDeck), MonthlyYear.Of(section, Walls.Year()));
                        year.Dampest.Untold.ShouldBeTrue();
                        return Scores.Moisture(
                            new(CandidateKind.ClosedCell, section, year, Condensation.Opinions(asked, section, year), true)
                        );
                    }
                }
            );

    [Fact]
    public void What_stays_is_a_stop_unless_the_table_passes_where_the_means_cannot_tell()
    {
        // A damp hall in a cold year: water that never dries.
        var year = Walls.Year(humidityClass: 5);
        Finding Of(SectionCase section) => MonthlyYear.Of(section, year).Findings.Single(f => f.Rule.Id == "yearCondensate");
        var open = new FoamFill(Sheets.OpenCell, Length.FromInches(7));
        var closed = new FoamFill(Sheets.ClosedCell, Length.FromInches(5));
        var deck = Walls.Section(SurfaceKind.UnventedDeck);
        var wet = Of(deck with { Fill = [open] });
        (wet.Case.Name, wet.Verdict).ShouldBe(("stays", Verdict.Hold));
        Condensation.Fails(new(), [wet with { Case = CondensationRules.Year["yearCondensate.stays"] }]).ShouldBeTrue();
        CondensationTables.Of(deck with { Fill = [closed] }, Covering.Unknown, null)!.Verdict.ShouldBe(Verdict.Clear);
        var untold = MonthlyYear.Of(deck with { Fill = [closed] }, year);
        untold.NeverDries.ShouldBeGreaterThan(0);
        untold.LiesUntold.ShouldBeTrue();
        var care = Of(deck with { Fill = [closed] });
        (care.Case.Name, care.Verdict).ShouldBe(("untold", Verdict.Care));

        // The same water in a hall whose zone is not known has no table to stand on.
        Of(deck with { Fill = [closed], ClimateZone = null }).Verdict.ShouldBe(Verdict.Hold);
    }

    [Fact]
    public void A_point_of_humidity_rules_nothing_out()
    {
        // The deeper the damp, the nearer closed cell comes to open cell under a tight finish: what is a point apart is told, not held.
        var seen = new HashSet<string>();
        foreach (var outdoorHumidity in Enumerable.Range(50, 50))
        {
            List<MonthAir> outdoor =
            [
                .. Enumerable
                    .Range(0, 12)
                    .Select(m => new MonthAir(
                        Temperature.FromCelsius(24 + 4 * Math.Sin(m)),
                        RelativeHumidity.FromPercent(outdoorHumidity)
                    )),
            ];
            var asked = Walls.Case(
                SurfaceKind.CrawlFloor,
                "1A",
                new(outdoor, outdoor.ConvertAll(_ => new MonthAir(Temperature.FromCelsius(22), RelativeHumidity.FromPercent(50))))
            );
            var choice = Choice.Of(asked, FlipSearch.None);
            var open = choice.Candidates.Single(c => c.Kind == CandidateKind.OpenCell);
            var rule = open.Findings.Single(f => f.Rule.Id == "E5");
            var closed = choice.Candidates.Where(c => c.Kind == CandidateKind.ClosedCell).Min(Under);
            seen.Add(rule.Case.Name);
            rule.Measured!.Value.Amount.ShouldBe(Under(open), 1e-9);
            (rule.Verdict == Verdict.Hold).ShouldBe(Under(open) > 81 && Under(open) > closed + 1);
            if (rule.Case.Name == "alike")
            {
                rule.Figures["closed"].Amount.ShouldBe(closed, 1e-9);
            }
        }

        seen.ShouldBe(["dry", "near", "damp", "alike"], ignoreOrder: true);

        static double Under(Candidate c) => c.Year!.Places.Where(p => p.Place.Inner == "sheet-flooring").Max(p => p.Greatest);
    }

    [Fact]
    public void Without_months_of_air_nothing_against_the_weather_is_advised()
    {
        foreach (var kind in AgainstWeather)
        {
            var unknown = Choice.Of(Walls.Case(kind) with { Year = null }, FlipSearch.None);
            unknown.Advice.ShouldBeOneOf(Advice.DrynessUnknown, Advice.NoneStands);
            Choice.Of(Walls.Case(kind) with { Year = null }).Measures.ShouldBeEmpty();
            unknown.Candidates.SelectMany(c => c.Scores).ShouldNotContain(s => s.Part == ScorePart.Moisture);
            Choice.Of(Walls.Case(kind), FlipSearch.None).Advice.ShouldNotBe(Advice.DrynessUnknown);
        }

        Choice.Of(Walls.Case(SurfaceKind.BasementWall) with { Year = null }, FlipSearch.None).Advice.ShouldBe(Advice.Advised);
    }

    [Fact]
    public void What_is_told_to_change_where_none_stays_dry_is_done_and_comes_true()
    {
        var seen = new HashSet<DryingChange>();
        foreach (var asked in AllFailing())
        {
            var choice = Choice.Of(asked);
            choice.Advice.ShouldBe(Advice.AllFail);
            foreach (var measure in choice.Measures)
            {
                seen.Add(measure.Change);
                var done = Choice.Of(Done(asked, measure.Change, measure.To.Amount), FlipSearch.None);
                done.Advice.ShouldBe(Advice.Advised);
                done.Advised!.Kind.ShouldBe(measure.System);
                if (measure.Change == DryingChange.DrierRoom)
                {
                    Choice.Of(Done(asked, measure.Change, measure.To.Amount + 1), FlipSearch.None).Advice.ShouldBe(Advice.AllFail);
                }
            }
        }

        seen.ShouldContain(DryingChange.DrierRoom);
        seen.Count.ShouldBeGreaterThan(1);

        // As the crew or the owner would do it, and the question asked anew.
        static ChoiceCase Done(ChoiceCase asked, DryingChange change, double to)
        {
            var (section, of) = (asked.Section, Walls.Materials);
            var (indoor, dry) = (section.Air.IndoorHumidity.Percent, asked.Year!);
            return change switch
            {
                DryingChange.DrierRoom => asked with
                {
                    Section = section with { Air = section.Air with { IndoorHumidity = RelativeHumidity.FromPercent(to) } },
                    Year = dry.WithWinterHumidityShift(to - indoor),
                },
                DryingChange.RoomSideCoat => asked with
                {
                    Section = section with { Inboard = [new(of.VapourCoat, Length.FromMetres(to)), .. section.Inboard] },
                },
                DryingChange.BoardOutside => asked with
                {
                    Section = section with
                    {
                        Outboard = [.. section.Outboard.SkipLast(1), new(of.Board, Length.FromMetres(to)), section.Outboard[^1]],
                    },
                },
                _ => asked with
                {
                    Section = section with
                    {
                        Kind = SurfaceKind.VentedRafters,
                        VentChannel = Length.FromMetres(to),
                        Baffle = new(of.Board, Length.FromInches(0.5)),
                    },
                },
            };
        }

        static IEnumerable<ChoiceCase> AllFailing() =>
            from kind in AgainstWeather
            from zone in new[] { "5A", "7" }
            from rooms in new[] { 3, 5 }
            let asked = Walls.Case(kind, zone, Walls.Year(humidityClass: rooms)) with
            {
                Sheets = [Sheets.OpenCell],
            }
            where Choice.Of(asked, FlipSearch.None).Advice == Advice.AllFail
            select asked;
    }

    [Fact]
    public void A_plan_that_leaves_a_place_damper_says_so_with_both_figures() =>
        Surfaces()
            .Sample(
                asked =>
                {
                    var bare = MonthlyYear.Of(asked.Section.Bare(), asked.Year!);
                    foreach (var c in Choice.Of(asked, FlipSearch.None).Candidates)
                    {
                        var told = c.Findings.SingleOrDefault(f => f.Rule.Id == "wetter");
                        var wetter = c.Year!.Places.Where(p =>
                                p is { IsDamperThanWeather: true, Untold: false }
                                && p.Greatest > 80
                                && bare.Places.Any(b =>
                                    b.Place.Outer == p.Place.Outer
                                    && b.Place.Outer is not ("foam" or "freeSpace")
                                    && p.Greatest > b.Greatest + 1
                                )
                            )
                            .ToList();
                        (wetter.Count > 0 && told is null).ShouldBeFalse(c.Id);
                        if (told is not null)
                        {
                            told.Measured!.Value.Amount.ShouldBeGreaterThan(told.Limit!.Value.Amount + 1);
                            c.Year.Places.ShouldContain(p =>
                                p.Place.Key == told.Words["place"] && p.Greatest == told.Measured!.Value.Amount
                            );
                        }
                    }
                },
                iter: 40
            );

    private static Gen<ChoiceCase> Surfaces() =>
        Gen.Select(
                Gen.Int[0, AgainstWeather.Length - 1].Select(i => AgainstWeather[i]),
                Gen.Int[0, 4].Select(i => Zones[i]),
                Gen.Int[1, 5],
                Gen.Bool
            )
            .Select((kind, zone, rooms, hot) => Walls.Case(kind, zone, Walls.Year(hot, rooms)));
}
