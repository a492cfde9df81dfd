using CsCheck;
using Shouldly;
using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Rigs;
using Umbracell.Core.Yield;
using Xunit;

namespace Umbracell.Core.Tests.Rigs;

/// <summary>Set points proposed for a rig: against the heat balance, and every remedy done.</summary>
public sealed class SetPointPlanTests
{
    private static readonly Gen<SetPointCase> Cases = Gen.Select(
            Gen.Double[4_000, 24_000],
            Gen.Double[0, 6_000],
            Gen.Double[8, 120],
            Gen.Double[-20, 35],
            Gen.Double[2, 35],
            Gen.Double[2, 35],
            Gen.Double[2, 14]
        )
        .Select(
            Gen.Enum<HoseLay>(),
            Gen.Enum<HoseWear>(),
            (of, lay, wear) =>
                new SetPointCase
                {
                    Sheet = Sheets.ClosedCell,
                    Gear = new()
                    {
                        LiquidWatts = of.Item1,
                        HoseWatts = of.Item2,
                        Hose = Length.FromMetres(of.Item3),
                        Lay = lay,
                        Wear = wear,
                        Tips = [new("02", of.Item7 * 1.6 / 60), new("01", of.Item7 / 60), new("00", of.Item7 * 0.55 / 60)],
                    },
                    Around = Temperature.FromCelsius(of.Item4),
                    DrumA = Temperature.FromCelsius(of.Item5),
                    DrumB = Temperature.FromCelsius(of.Item6),
                    Tip = "02",
                }
        );

    [Fact]
    public void Each_side_is_lifted_by_its_heat_over_what_its_flow_carries()
    {
        var plan = SetPointPlan.Of(
            new()
            {
                Sheet = Sheets.ClosedCell,
                Gear = new() { LiquidWatts = 15_000, Tips = [new("01", 0.1)] },
                DrumA = Temperature.FromCelsius(18),
                DrumB = Temperature.FromCelsius(18),
            }
        );
        var flowA = 0.1 * 227 / (227 + 215);
        plan.Sides[0].Reaches.Celsius.ShouldBe(18 + 7_500 / (flowA * 1700), 1e-9);
        plan.Sides[1].Reaches.Celsius.ShouldBe(18 + 7_500 / ((0.1 - flowA) * 1900), 1e-9);
        plan.Sides.ShouldAllBe(side => side.AtGun == null);
        plan.Lacks.ShouldBe([RigLack.Hose, RigLack.Air]);
    }

    [Fact]
    public void What_is_proposed_is_the_sheets_and_never_more() =>
        Cases.Sample(of =>
        {
            var plan = SetPointPlan.Of(of);
            plan.Primaries.ShouldBe(of.Sheet.SetPoints.Primaries);
            plan.Hose.ShouldBe(of.Sheet.SetPoints.Hose);
            plan.Pressure.ShouldBeLessThanOrEqualTo(of.Sheet.SetPoints.Pressure);
            foreach (var side in plan.Sides)
            {
                var drum = side.Side == SetSide.A ? of.DrumA!.Value : of.DrumB!.Value;
                side.Leaves.Celsius.ShouldBeLessThanOrEqualTo(Math.Max(plan.Primaries.Celsius, drum.Celsius));
            }
        });

    [Fact]
    public void The_greatest_flow_is_the_one_at_which_the_weaker_side_just_holds() =>
        Cases.Sample(of =>
        {
            if (SetPointPlan.Of(of).GreatestFlow is not { } flow || flow > 1)
            {
                return;
            }

            bool HoldsAt(double factor)
            {
                var plan = SetPointPlan.Of(of with { Gear = of.Gear with { Tips = [new("x", flow * factor)] }, Tip = "x" });
                return plan.Sides.All(side => side.Reaches >= plan.Primaries);
            }

            HoldsAt(0.999).ShouldBeTrue();
            HoldsAt(1.001).ShouldBeFalse();
        });

    [Fact]
    public void Whatever_is_told_to_help_does_help()
    {
        var done = new Dictionary<string, int>();
        Cases.Sample(
            of =>
            {
                foreach (var finding in SetPointPlan.Of(of).Findings.Where(f => f.Case.Name == "short"))
                {
                    foreach (var remedy in finding.Remedies.Where(r => r.Kind != "primariesFirst"))
                    {
                        var side = finding.Words["side"].Keys[0];
                        var then = SetPointPlan.Of(Done(of, remedy));
                        then.Findings.Single(f => f.Rule == finding.Rule && f.Words["side"].Keys[0] == side)
                            .Verdict.ShouldBe(Verdict.Clear, remedy.Kind);
                        lock (done)
                        {
                            done[remedy.Kind] = done.GetValueOrDefault(remedy.Kind) + 1;
                        }
                    }
                }
            },
            iter: 2_000
        );
        done.Keys.Order().ShouldBe(["hoseBoth", "hoseInsulated", "hoseSheltered", "smallerTip", "tipAtMost", "warmerDrum"]);
    }

    // What is done is what is printed, to a tenth.
    private static SetPointCase Done(SetPointCase of, Remedy remedy) =>
        remedy.Kind switch
        {
            "smallerTip" => of with { Tip = remedy.Words!["tip"] },
            "tipAtMost" => of with
            {
                Tip = "x",
                Gear = of.Gear with { Tips = [new("x", Math.Floor(remedy.Figures["flow"].Amount * 600) / 600)] },
            },
            "warmerDrum" when remedy.Words!["side"] == "A" => of with
            {
                DrumA = Temperature.FromCelsius(Math.Ceiling(remedy.Figures["temperature"].Amount * 10) / 10),
            },
            "warmerDrum" => of with { DrumB = Temperature.FromCelsius(Math.Ceiling(remedy.Figures["temperature"].Amount * 10) / 10) },
            "hoseSheltered" => of with { Gear = of.Gear with { Lay = HoseLay.Sheltered } },
            "hoseInsulated" => of with { Gear = of.Gear with { Wear = HoseWear.Good } },
            _ => of with { Gear = of.Gear with { Lay = HoseLay.Sheltered, Wear = HoseWear.Good } },
        };

    [Theory]
    [InlineData("00 at 8 lb/min; 01 at 11.5 lb/min", "01 5.216, 00 3.629")]
    [InlineData("round 01: 5,2 kg/min, flat 02 = 7 kg/min", "flat 02 7.000, round 01 5.200")]
    [InlineData("00, 01, 02", "")]
    [InlineData("", "")]
    [InlineData("01 at 0 lb/min; 02 at 900 kg/min", "")]
    public void Tips_are_read_as_a_crew_writes_them(string written, string read) =>
        string.Join(
                ", ",
                TipList.Read(written).Select(tip => FormattableString.Invariant($"{tip.Name} {tip.KilogramsPerSecond * 60:0.000}"))
            )
            .ShouldBe(read);

    [Fact]
    public void A_shot_stands_only_when_accepted_today_since_nothing_was_changed_and_none_failed_after_it()
    {
        static FiredShot Shot(
            string? by = "crew lead",
            SubstrateKind on = SubstrateKind.Wood,
            ShotLoss? loss = null,
            bool refused = false
        ) => new(TimeSpan.FromMinutes(20), by, on, loss, refused);

        string Case(FiredShot? last, FiredShot? accepted) => ShotStanding.Judge(last, accepted, SubstrateKind.Wood).Case.Name;

        Case(null, null).ShouldBe("none");
        Case(Shot(by: null), null).ShouldBe("waiting");
        Case(Shot(), Shot()).ShouldBe("accepted");
        Case(Shot(by: null), Shot()).ShouldBe("accepted");
        Case(Shot(by: null, refused: true), Shot()).ShouldBe("refused");
        Case(Shot(), Shot(on: SubstrateKind.Metal)).ShouldBe("otherSubstrate");
        foreach (var loss in Enum.GetValues<ShotLoss>())
        {
            Case(Shot(loss: loss), Shot(loss: loss)).ShouldBe("lost");
        }
    }
}
