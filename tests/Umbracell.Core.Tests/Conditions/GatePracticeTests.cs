using CsCheck;
using Shouldly;
using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Conditions;

/// <summary>A firm's own margins can hold what the rules would pass, and never pass what they hold.</summary>
public sealed class GatePracticeTests
{
    /// <summary>Margins as people type them, to a tenth in either unit system: tighter, looser, any of them or none.</summary>
    internal static readonly Gen<GatePractice> Any = Gen.Select(Gen.Enum<GateMargin>(), Gen.Double[-0.5, 1], Gen.Bool)
        .List[0, 9]
        .Select(all => new GatePractice
        {
            Tighter = all.GroupBy(one => one.Item1)
                .ToDictionary(one => one.Key, one => Between(one.Key, one.First().Item2, one.First().Item3)),
        });

    [Fact]
    public void Nothing_passes_by_a_firms_margins_that_the_rules_hold() =>
        Gen.Select(Any, Gen.Double[-10, 55], Gen.Double[-10, 55], Gen.Double[20, 99], Gen.Double[0, 25], Gen.Double[0, 300])
            .Sample(
                (own, substrate, air, humidity, wood, minutes) =>
                {
                    var gate = new GateCase
                    {
                        Sheet = Sheets.ClosedCell,
                        SubstrateKind = SubstrateKind.Wood,
                        Substrate = new(Temperature.FromCelsius(substrate), TimeSpan.FromMinutes(minutes), ""),
                        Air = new(Temperature.FromCelsius(air), TimeSpan.FromMinutes(minutes), ""),
                        Humidity = new(RelativeHumidity.FromPercent(humidity), TimeSpan.FromMinutes(minutes), ""),
                        MoistureMeter = new(wood, TimeSpan.FromMinutes(minutes), ""),
                        DrumA = new(Temperature.FromCelsius(22), TimeSpan.FromMinutes(minutes), ""),
                        DrumB = new(Temperature.FromCelsius(22), TimeSpan.FromMinutes(minutes), ""),
                    };
                    var (byRules, byOwn) = (ByRule(gate), ByRule(gate with { Practice = own }));
                    foreach (var (rule, verdict) in byRules)
                    {
                        ((int)byOwn.GetValueOrDefault(rule)).ShouldBeGreaterThanOrEqualTo((int)verdict, rule);
                    }
                }
            );

    [Fact]
    public void Every_margin_can_be_tightened_and_the_rules_figure_stands_where_it_is_not()
    {
        foreach (var margin in Enum.GetValues<GateMargin>())
        {
            var range = GateMarginRange.Of(margin);
            range.Tightest.ShouldNotBe(range.OfRules, margin.ToString());
            new GatePractice().Of(margin).ShouldBe(range.OfRules);
            new GatePractice { Tighter = new Dictionary<GateMargin, double> { [margin] = range.Tightest } }
                .Of(margin)
                .ShouldBe(range.Tightest);
        }
    }

    [Fact]
    public void What_is_clear_is_never_nearer_the_dew_point_than_what_is_held() =>
        Any.Sample(own => own.DewClear.Kelvins.ShouldBeGreaterThanOrEqualTo(own.DewHold.Kelvins));

    private static Dictionary<string, Verdict> ByRule(GateCase gate) =>
        SprayGate.Check(gate).Findings.GroupBy(f => f.Rule.Id).ToDictionary(f => f.Key, f => f.Worst());

    // Below nought it is looser than the rules ask.
    private static double Between(GateMargin margin, double share, bool fahrenheit)
    {
        var range = GateMarginRange.Of(margin);
        var value = range.OfRules + share * (range.Tightest - range.OfRules);
        return fahrenheit && range.Dimension == Dimension.TemperatureDifference ? Math.Round(value * 1.8, 1) / 1.8 : Math.Round(value, 1);
    }
}
