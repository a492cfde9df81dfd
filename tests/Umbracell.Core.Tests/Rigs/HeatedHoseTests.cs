using CsCheck;
using Shouldly;
using Umbracell.Core.Quantities;
using Umbracell.Core.Rigs;
using Umbracell.Core.Yield;
using Xunit;

namespace Umbracell.Core.Tests.Rigs;

/// <summary>Heater and hose against the equations they solve, stepped through in small pieces.</summary>
public sealed class HeatedHoseTests
{
    private static Temperature C(double celsius) => Temperature.FromCelsius(celsius);

    private static readonly Gen<SideFlow> Flows = Gen.Select(
        Gen.Enum<SetSide>(),
        Gen.Double[0.005, 0.2],
        (side, flow) => new SideFlow(side, flow)
    );

    private static readonly Gen<HeatedHose> Hoses = Gen.Select(
        Gen.Double[10, 120],
        Gen.Double[0, 6],
        Gen.Double[0, 4000],
        Gen.Enum<HoseWear>(),
        Gen.Enum<HoseLay>(),
        (heated, whip, watts, wear, lay) =>
            new HeatedHose
            {
                Heated = Length.FromMetres(heated),
                Whip = Length.FromMetres(whip),
                Watts = watts,
                Wear = wear,
                Lay = lay,
            }
    );

    [Fact]
    public void Liquid_along_the_hose_is_what_the_equation_gives_when_it_is_stepped_through() =>
        Gen.Select(Hoses, Flows, Gen.Double[0, 70], Gen.Double[20, 65], Gen.Double[-20, 35])
            .Sample(
                (hose, flow, enters, set, around) =>
                {
                    const int Steps = 20_000;
                    var dx = hose.Heated.Metres / Steps;
                    var most = hose.Watts / hose.Heated.Metres;
                    var t = enters;
                    for (var i = 0; i < Steps; i++)
                    {
                        // A regulator: no heat over the set point, all there is under it, and at it what holds it.
                        var loses = hose.Loss * (t - around);
                        var heat =
                            Math.Abs(t - set) < 1e-9 ? Math.Clamp(loses, 0, most)
                            : t < set ? most
                            : 0;
                        var next = t + (heat - loses) / flow.Capacity * dx;
                        t = (t - set) * (next - set) < 0 ? set : next;
                    }

                    hose.At(hose.Heated, flow, C(enters), C(set), C(around)).Celsius.ShouldBe(t, 0.02);
                },
                iter: 60
            );

    [Fact]
    public void What_stands_in_it_cools_as_its_equation_says_and_never_past_what_lies_around_it() =>
        Gen.Select(Hoses, Flows, Gen.Double[0, 65], Gen.Double[-20, 35], Gen.Double[1, 600])
            .Sample(
                (hose, flow, before, around, minutes) =>
                {
                    const int Steps = 5_000;
                    var t = before;
                    for (var i = 0; i < Steps; i++)
                    {
                        t -= hose.Loss * (t - around) / hose.CapacityPerMetre(flow) * minutes * 60 / Steps;
                    }

                    var told = hose.AfterPause(flow, C(before), TimeSpan.FromMinutes(minutes), C(around)).Celsius;
                    told.ShouldBe(t, 0.02 + 0.002 * Math.Abs(before - around));
                    told.ShouldBeInRange(Math.Min(before, around) - 1e-9, Math.Max(before, around) + 1e-9);
                },
                iter: 100
            );

    [Fact]
    public void More_heat_less_loss_and_a_warmer_start_never_make_the_gun_colder() =>
        Gen.Select(Hoses, Flows, Gen.Double[0, 70], Gen.Double[20, 65], Gen.Double[-20, 35])
            .Sample(
                (hose, flow, enters, set, around) =>
                {
                    var gun = Gun(hose, enters);
                    Gun(hose with { Watts = hose.Watts + 200 }, enters).ShouldBeGreaterThanOrEqualTo(gun - 1e-9);
                    Gun(hose, enters + 3).ShouldBeGreaterThanOrEqualTo(gun - 1e-9);
                    if (Math.Min(enters, set) > around)
                    {
                        Gun(hose with { Wear = HoseWear.Worn }, enters)
                            .ShouldBeLessThanOrEqualTo(Gun(hose with { Wear = HoseWear.Good }, enters) + 1e-9);
                    }

                    double Gun(HeatedHose one, double from) => one.AtGun(flow, C(from), C(set), C(around)).Celsius;
                }
            );

    [Fact]
    public void The_slug_is_the_whip_while_the_hose_is_heated_and_all_of_it_when_it_is_not()
    {
        var hose = new HeatedHose { Heated = Length.FromMetres(60), Watts = 3600 };
        var flow = new SideFlow(SetSide.B, 0.05);
        var pause = TimeSpan.FromMinutes(30);
        var (heated, not) = (hose.After(flow, C(50), pause, C(0), isHeated: true), hose.After(flow, C(50), pause, C(0), isHeated: false));
        (heated.Trigger.TotalSeconds * 0.05).ShouldBe(3 * hose.LiquidPerMetre, 1e-6);
        (not.Trigger / heated.Trigger).ShouldBe(21, 1e-6);
        heated.Temperature.ShouldBe(not.Temperature);
        heated.Temperature.Celsius.ShouldBeInRange(0, 50);
    }

    [Fact]
    public void At_the_greatest_flow_the_heater_holds_its_set_point_and_at_a_hundredth_more_it_does_not() =>
        Gen.Select(Gen.Enum<SetSide>(), Gen.Double[500, 8_000], Gen.Double[-5, 30], Gen.Double[45, 65])
            .Sample(
                (side, watts, drum, set) =>
                {
                    var heater = new PrimaryHeater(watts);
                    var most = heater.GreatestFlow(side, C(drum), C(set))!.Value;
                    heater.Leaves(new(side, most), C(drum), C(set)).Celsius.ShouldBe(set, 1e-6);
                    heater.Leaves(new(side, most * 1.01), C(drum), C(set)).Celsius.ShouldBeLessThan(set);
                    heater.ColdestDrum(new(side, most), C(set)).Celsius.ShouldBe(drum, 1e-6);
                    heater.GreatestFlow(side, C(set), C(set)).ShouldBeNull();

                    // All its heat is in the liquid.
                    var flow = new SideFlow(side, most * 2);
                    (flow.Capacity * (heater.Reaches(flow, C(drum)) - C(drum)).Kelvins).ShouldBe(watts, 1e-6 * watts);
                }
            );
}
