using CsCheck;
using Shouldly;
using Umbracell.Core.Air;
using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Planning;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Conditions;

public sealed class SprayGateTests
{
    private static readonly HashSet<PreparationItem> Everything = [.. Enum.GetValues<PreparationItem>()];

    [Fact]
    public void A_warm_dry_prepared_wall_is_clear() => SprayGate.Check(Good).Verdict.ShouldBe(Verdict.Clear);

    [Theory]
    [InlineData(4, Verdict.Care)]
    [InlineData(6.9, Verdict.Care)]
    [InlineData(7, Verdict.Clear)]
    [InlineData(3.9, Verdict.Hold)]
    [InlineData(46, Verdict.Clear)]
    [InlineData(46.1, Verdict.Care)]
    [InlineData(49.1, Verdict.Hold)]
    public void G1_judges_the_substrate_against_the_sheets_window(double celsius, Verdict verdict) =>
        Rule("G1", Good with { Substrate = T(celsius) }).Verdict.ShouldBe(verdict);

    [Theory]
    [InlineData(2, Verdict.Care)]
    [InlineData(1.9, Verdict.Hold)]
    [InlineData(5, Verdict.Clear)]
    public void G2_judges_the_air_against_the_sheets_window(double celsius, Verdict verdict) =>
        Rule("G2", Good with { Air = T(celsius) }).Verdict.ShouldBe(verdict);

    [Theory]
    [InlineData(2.99, Verdict.Hold)]
    [InlineData(3.01, Verdict.Care)]
    [InlineData(4.99, Verdict.Care)]
    [InlineData(5.01, Verdict.Clear)]
    public void G3_wants_three_kelvins_above_the_dew_point_and_five_to_be_clear(double above, Verdict verdict)
    {
        var dew = MoistAir
            .Of(Temperature.FromCelsius(20), RelativeHumidity.FromPercent(50), StandardAtmosphere.PressureAt(Length.Zero))
            .DewPoint.Celsius;
        Rule("G3", Good with { Substrate = T(dew + above) }).Verdict.ShouldBe(verdict);
    }

    [Fact]
    public void G3_below_freezing_uses_the_frost_point()
    {
        var gate = Good with { Sheet = Sheets.ColdGrade, Substrate = T(-13), Air = T(-15), Humidity = RH(70) };
        var finding = Rule("G3", gate);
        finding.Words["point"].ShouldBe("frost");
        finding.Figures["dew"].Amount.ShouldBe(-17.255, 0.005);
        finding.Verdict.ShouldBe(Verdict.Care);
    }

    [Fact]
    public void The_reference_of_the_humidity_moves_the_frost_point_by_half_the_margin()
    {
        double Dew(HumidityReference over) =>
            SprayGate
                .Check(Good with { Air = T(-15), Humidity = new(RelativeHumidity.FromPercent(70, over), TimeSpan.Zero, "") })
                .DewPoint!.Value.Celsius;
        (Dew(HumidityReference.Water) - Dew(HumidityReference.Ice)).ShouldBe(1.55, 0.02);
    }

    [Theory]
    [InlineData(75, Verdict.Clear)]
    [InlineData(76, Verdict.Care)]
    [InlineData(80, Verdict.Care)]
    [InlineData(80.5, Verdict.Hold)]
    public void G4_judges_humidity_against_the_sheet(double percent, Verdict verdict) =>
        Rule("G4", Good with { Humidity = RH(percent), Substrate = T(30) }).Verdict.ShouldBe(verdict);

    private static GatePractice Own(GateMargin margin, double value) =>
        new() { Tighter = new Dictionary<GateMargin, double> { [margin] = value } };

    [Fact]
    public void The_tighter_of_sheet_and_practice_rules_and_practice_never_loosens()
    {
        var damp = Good with { Humidity = RH(72), Substrate = T(30) };
        Rule("G4", damp).Verdict.ShouldBe(Verdict.Clear);
        Rule("G4", damp with { Practice = Own(GateMargin.GreatestHumidityPct, 70) }).Verdict.ShouldBe(Verdict.Hold);
        Rule("G4", damp with { Humidity = RH(85), Practice = Own(GateMargin.GreatestHumidityPct, 95) }).Verdict.ShouldBe(Verdict.Hold);
    }

    [Theory]
    [InlineData(16, Verdict.Clear)]
    [InlineData(16.5, Verdict.Care)]
    [InlineData(18, Verdict.Care)]
    [InlineData(18.5, Verdict.Hold)]
    public void G5_judges_wood_against_the_sheet(double percent, Verdict verdict) =>
        Rule("G5", Good with { MoistureMeter = Meter(percent) }).Verdict.ShouldBe(verdict);

    [Theory]
    [InlineData(SubstrateKind.Wood, null, null, Verdict.Hold, "unread")]
    [InlineData(SubstrateKind.Wood, null, true, Verdict.Hold, "unread")]
    [InlineData(SubstrateKind.Wood, null, false, Verdict.Hold, "seenWet")]
    [InlineData(SubstrateKind.Wood, 12.0, false, Verdict.Hold, "seenWet")]
    [InlineData(SubstrateKind.Wood, 25.0, true, Verdict.Hold, "wet")]
    [InlineData(SubstrateKind.Wood, 12.0, true, Verdict.Clear, "dry")]
    [InlineData(SubstrateKind.Mineral, 25.0, true, Verdict.Hold, "concreteWet")]
    [InlineData(SubstrateKind.Mineral, 3.0, true, Verdict.Clear, "concreteDry")]
    [InlineData(SubstrateKind.Mineral, 3.0, false, Verdict.Hold, "seenWet")]
    [InlineData(SubstrateKind.Mineral, 3.0, null, Verdict.Clear, "concreteDry")]
    [InlineData(SubstrateKind.Mineral, null, true, Verdict.Care, "seenOnly")]
    [InlineData(SubstrateKind.Mineral, null, null, Verdict.Hold, "unread")]
    [InlineData(SubstrateKind.Metal, null, true, Verdict.Clear, "seenDry")]
    [InlineData(SubstrateKind.Metal, null, false, Verdict.Hold, "seenWet")]
    [InlineData(SubstrateKind.Metal, null, null, Verdict.Hold, "unread")]
    public void G5_lets_a_meter_outrank_the_eye_and_of_two_the_worse_rule(
        SubstrateKind kind,
        double? meter,
        bool? eye,
        Verdict verdict,
        string name
    )
    {
        var finding = Rule(
            "G5",
            Good with
            {
                SubstrateKind = kind,
                MoistureMeter = meter is { } percent ? Meter(percent) : null,
                FoundDry = eye is { } dry ? Eye(dry) : null,
            }
        );
        (finding.Verdict, finding.Case.Name).ShouldBe((verdict, name));
    }

    [Theory]
    [InlineData(12.0, null, Verdict.Hold, "notLookedAt")]
    [InlineData(12.0, true, Verdict.Clear, "woodDry")]
    [InlineData(14.0, true, Verdict.Care, "woodNear")]
    [InlineData(16.0, true, Verdict.Hold, "woodWet")]
    [InlineData(12.0, false, Verdict.Hold, "seenWet")]
    [InlineData(null, true, Verdict.Clear, "seenDry")]
    [InlineData(null, null, Verdict.Hold, "unread")]
    public void G5_where_the_sheet_asks_for_dry_wood_without_a_figure_takes_meter_and_eye_together(
        double? meter,
        bool? eye,
        Verdict verdict,
        string name
    )
    {
        var sheet = Sheets.ClosedCell with { GreatestWoodMoisturePercent = null };
        var finding = Rule(
            "G5",
            Good with
            {
                Sheet = sheet,
                MoistureMeter = meter is { } percent ? Meter(percent) : null,
                FoundDry = eye is { } dry ? Eye(dry) : null,
            }
        );
        (finding.Verdict, finding.Case.Name).ShouldBe((verdict, name));
    }

    [Fact]
    public void No_reading_by_eye_ever_betters_what_a_meter_says() =>
        Gen.Select(Gen.Enum<SubstrateKind>(), Gen.Double[0, 40], Gen.Bool, Gen.Bool)
            .Sample(
                (kind, percent, dry, asksForDry) =>
                {
                    var gate = Good with
                    {
                        SubstrateKind = kind,
                        Sheet = asksForDry ? Sheets.ClosedCell with { GreatestWoodMoisturePercent = null } : Sheets.ClosedCell,
                        MoistureMeter = Meter(percent),
                        FoundDry = null,
                    };
                    if (kind != SubstrateKind.Metal && Rule("G5", gate) is { Case.Name: not "notLookedAt" } byMeter)
                    {
                        Rule("G5", gate with { FoundDry = Eye(dry) }).Verdict.CompareTo(byMeter.Verdict).ShouldBeGreaterThanOrEqualTo(0);
                    }
                }
            );

    [Fact]
    public void G6_wants_both_drums_fresh_and_inside()
    {
        Rule("G6", Good with { DrumB = null }).Verdict.ShouldBe(Verdict.Hold);
        Rule("G6", Good with { DrumB = T(17.5) }).Case.Name.ShouldBe("outside");
        Rule("G6", Good with { DrumB = T(18.5) }).Case.Name.ShouldBe("nearEdge");
        Rule("G6", Good with { DrumA = T(22, minutes: 121) }).Case.Name.ShouldBe("stale");
        Rule("G6", Good with { DrumA = T(22, minutes: 119) }).Verdict.ShouldBe(Verdict.Clear);
        Rule("G6", Good with { DrumA = T(17, minutes: 300) }).Verdict.ShouldBe(Verdict.Hold);
    }

    [Fact]
    public void G13_holds_for_every_single_item_missing()
    {
        foreach (var item in PreparationList.Always)
        {
            var finding = Rule("G13", Good with { Prepared = Everything.Except([item]).ToHashSet() });
            finding.Verdict.ShouldBe(Verdict.Hold);
            finding.Words["items"].ShouldBe(Said.Of(item));
        }
    }

    [Fact]
    public void Old_readings_ask_for_care()
    {
        SprayGate
            .Check(Good with { Air = T(20, minutes: 121) })
            .Findings.ShouldContain(f => f.Rule.Id == "age" && f.Verdict == Verdict.Care);
        SprayGate.Check(Good).Findings.ShouldNotContain(f => f.Rule.Id == "age");
    }

    [Fact]
    public void It_says_the_same_until_the_time_it_gives_and_for_good_where_it_gives_none() =>
        // Up to that time, but for the last bit of it.
        Gen.Select(Gen.Double[0, 180].Array[7], Gen.Double[0, 0.9999], Gen.Double[10, 30])
            .Sample(
                (ages, share, substrate) =>
                {
                    var now = SprayGate.Check(Aged(ages, substrate, 0));
                    var later = (now.StandsFor?.TotalMinutes ?? 10_000) * share;
                    Ends(SprayGate.Check(Aged(ages, substrate, later))).ShouldBe(Ends(now));
                }
            );

    [Fact]
    public void It_says_otherwise_as_soon_as_a_reading_is_no_longer_fresh()
    {
        foreach (var old in Enumerable.Range(0, 7).Except([4]))
        {
            double[] ages = [.. Enumerable.Range(0, 7).Select(i => i == old ? 100.0 : 10)];
            var now = SprayGate.Check(Aged(ages, 21, 0));
            now.StandsFor.ShouldBe(TimeSpan.FromMinutes(20));
            Ends(SprayGate.Check(Aged(ages, 21, 20.1))).ShouldNotBe(Ends(now));
        }
    }

    // Each reading of an age of its own, all so many minutes later.
    private static GateCase Aged(double[] ages, double substrate, double later) =>
        Good with
        {
            Substrate = T(substrate, ages[0] + later),
            Air = T(20, ages[1] + later),
            Humidity = RH(50) with { Age = TimeSpan.FromMinutes(ages[2] + later) },
            MoistureMeter = Meter(12) with { Age = TimeSpan.FromMinutes(ages[3] + later) },
            FoundDry = Eye(true) with { Age = TimeSpan.FromMinutes(ages[4] + later) },
            DrumA = T(22, ages[5] + later),
            DrumB = T(23, ages[6] + later),
        };

    private static string Ends(SprayGate gate) => string.Join(' ', gate.Findings.Select(f => $"{f.Rule.Id}/{f.Case.Name}/{f.Verdict}"));

    [Fact]
    public void Nothing_read_holds_on_every_reading()
    {
        var gate = SprayGate.Check(new() { Sheet = Sheets.ClosedCell, SubstrateKind = SubstrateKind.Wood });
        gate.Findings.ShouldAllBe(f => f.Verdict == Verdict.Hold);
        gate.DewPoint.ShouldBeNull();
    }

    [Fact]
    public void Dry_heat_clears_temperatures_and_humidity_together()
    {
        var gate = Good with { Substrate = T(1), Air = T(4), Humidity = RH(92) };
        var heat = SprayGate.Check(gate).Remedies.Single(r => r.Kind == "dryHeat");
        var air = MoistAir.Of(Temperature.FromCelsius(4), RelativeHumidity.FromPercent(92), StandardAtmosphere.PressureAt(Length.Zero));
        var airTo = Temperature.FromCelsius(heat.Figures["airTo"].Amount + 1e-6);
        var after = SprayGate.Check(
            gate with
            {
                Substrate = T(heat.Figures["substrateTo"].Amount + 1e-6),
                Air = T(airTo.Celsius),
                Humidity = RH(air.HumidityWhenDryHeatedTo(airTo).Percent),
            }
        );
        after.Findings.Where(f => f.Rule.Id is "G1" or "G2" or "G3" or "G4").Worst().ShouldNotBe(Verdict.Hold);
    }

    [Fact]
    public void A_cold_grade_that_would_do_is_named_and_one_that_would_not_is_not()
    {
        var cold = Good with
        {
            Substrate = T(1),
            Air = T(1),
            Humidity = RH(60),
            OtherSheets = [Sheets.ClosedCell, Sheets.ColdGrade, Sheets.OpenCell],
        };
        SprayGate.Check(cold).Remedies.Where(r => r.Kind == "otherSheet").Select(r => r.Words!["sheet"]).ShouldBe(["cold"]);
    }

    private static GateCase Good =>
        new()
        {
            Sheet = Sheets.ClosedCell,
            SubstrateKind = SubstrateKind.Wood,
            Substrate = T(21),
            Air = T(20),
            Humidity = RH(50),
            MoistureMeter = Meter(12),
            DrumA = T(22),
            DrumB = T(23),
            Prepared = Everything,
        };

    private static Reading<double> Meter(double percent) => new(percent, TimeSpan.Zero, "pin meter");

    private static Reading<bool> Eye(bool dry) => new(dry, TimeSpan.Zero, "eye");

    private static Reading<Temperature> T(double celsius, double minutes = 10) =>
        new(Temperature.FromCelsius(celsius), TimeSpan.FromMinutes(minutes), "gauge");

    private static Reading<RelativeHumidity> RH(double percent) =>
        new(RelativeHumidity.FromPercent(percent), TimeSpan.FromMinutes(10), "hygrometer");

    private static Finding Rule(string rule, GateCase gate) => SprayGate.Check(gate).Findings.Single(f => f.Rule.Id == rule);
}
