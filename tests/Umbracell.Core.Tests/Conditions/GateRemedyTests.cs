using CsCheck;
using Shouldly;
using Umbracell.Core.Air;
using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Conditions;

/// <summary>What the gate says would clear a rule clears it: entered to the last digit, and typed as it stands on the screen in either
/// unit system.</summary>
public sealed class GateRemedyTests
{
    private static readonly FigureRange Temperatures = new(-40, 90, Dimension.Temperature),
        Changes = new(0, 150, Dimension.TemperatureDifference),
        Humidities = new(1, 100, Dimension.RelativeHumidity),
        Moistures = new(0, 100, Dimension.MoistureContent);

    private static readonly Gen<GateCase> AnyGate = Gen.Select(
            Gen.OneOf(Gen.Const(Sheets.ClosedCell), Gen.Const(Sheets.ColdGrade), Gen.Const(Sheets.OpenCell)),
            Gen.Double[-20, 50],
            Gen.Double[-20, 50],
            Gen.Double[5, 99],
            Gen.Double[0, 45],
            Gen.Double[0, 45],
            Gen.Double[0, 40],
            Gen.Select(Gen.Bool, GatePracticeTests.Any)
        )
        .Select(
            (sheet, substrate, air, humidity, drumA, drumB, wood, how) =>
                new GateCase
                {
                    Sheet = sheet,
                    Practice = how.Item2,
                    SubstrateKind = SubstrateKind.Wood,
                    Substrate = new(Typed(substrate, how.Item1), TimeSpan.Zero, ""),
                    Air = new(Typed(air, how.Item1), TimeSpan.Zero, ""),
                    Humidity = new(RelativeHumidity.FromPercent(Math.Round(humidity)), TimeSpan.Zero, ""),
                    MoistureMeter = new(Math.Round(wood, 1), TimeSpan.Zero, ""),
                    DrumA = new(Typed(drumA, how.Item1), TimeSpan.Zero, ""),
                    DrumB = new(Typed(drumB, how.Item1), TimeSpan.Zero, ""),
                }
        );

    private enum Entered
    {
        ToTheLastDigit,
        AsPrintedInUs,
        AsPrintedInMetric,
    }

    [Fact]
    public void What_would_clear_a_rule_betters_it_however_it_is_entered()
    {
        var tried = new Dictionary<string, int>();
        Gen.Select(AnyGate, Gen.Enum<Entered>())
            .Sample(
                (gate, entered) =>
                {
                    foreach (var finding in SprayGate.Check(gate).Findings)
                    {
                        foreach (var remedy in finding.Remedies)
                        {
                            var after = Done(gate, finding, remedy, entered);
                            Rule(finding.Rule.Id, after)
                                .Verdict.CompareTo(finding.Verdict)
                                .ShouldBeNegative(
                                    $"{finding.Rule} {remedy.Kind} {entered}: {string.Join(", ", remedy.Figures.Select(f => $"{f.Key} {f.Value.Amount}"))}"
                                );
                            lock (tried)
                            {
                                tried[remedy.Kind] = tried.GetValueOrDefault(remedy.Kind) + 1;
                            }
                        }
                    }
                },
                iter: 4000
            );
        tried.Keys.ShouldBe(
            [
                "raiseSubstrate",
                "coolSubstrate",
                "raiseAir",
                "coolAir",
                "heatSubstrate",
                "dryAir",
                "warmAirDry",
                "warmDrum",
                "coolDrum",
                "dryWood",
            ],
            ignoreOrder: true
        );
    }

    [Fact]
    public void A_change_that_is_printed_is_as_good_as_the_temperature_it_leads_to() =>
        Gen.Select(AnyGate, Gen.Bool)
            .Sample(
                (gate, us) =>
                {
                    foreach (var finding in SprayGate.Check(gate).Findings.Where(f => f.Rule.Id is "G1" or "G2" or "G3"))
                    {
                        foreach (var remedy in finding.Remedies.Where(r => r.Figures.ContainsKey("change")))
                        {
                            var change =
                                Read(remedy.Figures["change"], Changes, us ? UnitSystem.Us : UnitSystem.Metric)
                                * (remedy.Kind.StartsWith("cool", StringComparison.Ordinal) ? -1 : 1);
                            var after =
                                finding.Rule.Id == "G2"
                                    ? gate with
                                    {
                                        Air = Later(gate.Air!, change),
                                    }
                                    : gate with
                                    {
                                        Substrate = Later(gate.Substrate!, change),
                                    };
                            Rule(finding.Rule.Id, after)
                                .Verdict.CompareTo(finding.Verdict)
                                .ShouldBeNegative($"{finding.Rule.Id} {remedy.Kind}");
                        }
                    }

                    static Reading<Temperature> Later(Reading<Temperature> reading, double change) =>
                        reading with
                        {
                            Value = Temperature.FromCelsius(reading.Value.Celsius + change),
                        };
                }
            );

    [Fact]
    public void Dry_heat_as_printed_clears_temperatures_and_humidity_together() =>
        Gen.Select(AnyGate, Gen.Enum<Entered>())
            .Sample(
                (gate, entered) =>
                {
                    foreach (var heat in SprayGate.Check(gate).Remedies.Where(r => r.Kind == "dryHeat"))
                    {
                        var air = MoistAir.Of(gate.Air!.Value, gate.Humidity!.Value, gate.Pressure);
                        var airTo = Temperature.FromCelsius(Value(heat.Figures["airTo"], Temperatures, entered));
                        var after = gate with
                        {
                            Substrate = new(
                                Temperature.FromCelsius(Value(heat.Figures["substrateTo"], Temperatures, entered)),
                                TimeSpan.Zero,
                                ""
                            ),
                            Air = new(airTo, TimeSpan.Zero, ""),
                            Humidity = new(air.HumidityWhenDryHeatedTo(airTo), TimeSpan.Zero, ""),
                        };
                        SprayGate
                            .Check(after)
                            .Findings.Where(f => f.Rule.Id is "G1" or "G2" or "G3" or "G4")
                            .Worst()
                            .ShouldNotBe(Verdict.Hold);
                    }
                }
            );

    [Fact]
    public void A_concrete_meter_dried_to_what_is_printed_passes()
    {
        var gate = new GateCase
        {
            Sheet = Sheets.ClosedCell,
            SubstrateKind = SubstrateKind.Mineral,
            MoistureMeter = new(25, TimeSpan.Zero, ""),
        };
        var to = Rule("G5", gate).Remedies.Single().Figures["to"];
        Rule("G5", gate with { MoistureMeter = new(Read(to, Moistures, UnitSystem.Us), TimeSpan.Zero, "") })
            .Verdict.ShouldBe(Verdict.Clear);
    }

    private static GateCase Done(GateCase gate, Finding finding, Remedy remedy, Entered entered)
    {
        var to = remedy.Figures["to"];
        Reading<Temperature> Warm() => new(Temperature.FromCelsius(Value(to, Temperatures, entered)), TimeSpan.Zero, "");
        return remedy.Kind switch
        {
            "raiseSubstrate" or "coolSubstrate" or "heatSubstrate" => gate with { Substrate = Warm() },
            "raiseAir" or "coolAir" => gate with { Air = Warm() },
            "warmAirDry" => gate with
            {
                Air = Warm(),
                Humidity = new(
                    MoistAir.Of(gate.Air!.Value, gate.Humidity!.Value, gate.Pressure).HumidityWhenDryHeatedTo(Warm().Value),
                    TimeSpan.Zero,
                    ""
                ),
            },
            "dryAir" => gate with { Humidity = new(RelativeHumidity.FromPercent(Value(to, Humidities, entered)), TimeSpan.Zero, "") },
            "dryWood" => gate with { MoistureMeter = new(Value(to, Moistures, entered), TimeSpan.Zero, "") },
            "warmDrum" or "coolDrum" => Drums(gate, finding, Warm()),
            _ => throw new InvalidOperationException(remedy.Kind),
        };
    }

    // The other drum is put right too, so that this one's remedy shows.
    private static GateCase Drums(GateCase gate, Finding finding, Reading<Temperature> drum)
    {
        var middle = new Reading<Temperature>(
            Temperature.FromCelsius((gate.Sheet.Drums.Least.Celsius + gate.Sheet.Drums.Greatest.Celsius) / 2),
            TimeSpan.Zero,
            ""
        );
        return finding.Words["side"] == "A" ? gate with { DrumA = drum, DrumB = middle } : gate with { DrumA = middle, DrumB = drum };
    }

    private static double Value(Figure figure, FigureRange range, Entered entered) =>
        entered switch
        {
            Entered.AsPrintedInUs => Read(figure, range, UnitSystem.Us),
            Entered.AsPrintedInMetric => Read(figure, range, UnitSystem.Metric),
            _ => figure.Amount,
        };

    private static double Read(Figure figure, FigureRange range, UnitSystem system)
    {
        var typed = QuantityParser.Parse(QuantityPrinter.Print(figure, system), range, system);
        typed.Fault.ShouldBeNull(typed.Typed);
        return typed.Figure!.Value.Amount;
    }

    // As a person types it: whole or half degrees of the one or the other.
    private static Temperature Typed(double celsius, bool fahrenheit) =>
        fahrenheit
            ? Temperature.FromCelsius((Math.Round(celsius * 1.8 + 32) - 32) / 1.8)
            : Temperature.FromCelsius(Math.Round(celsius * 2) / 2);

    private static Finding Rule(string rule, GateCase gate) => SprayGate.Check(gate).Findings.Single(f => f.Rule.Id == rule);
}
