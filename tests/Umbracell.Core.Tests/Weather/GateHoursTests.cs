using CsCheck;
using Shouldly;
using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Xunit;

namespace Umbracell.Core.Tests.Weather;

/// <summary>The gate by the hour: the gate of a moment over all members, chances that are counted, windows that hold.</summary>
public sealed class GateHoursTests
{
    private static readonly SprayedFace Roof = new()
    {
        Outer = new()
        {
            Plane = new(10, 180),
            Finish = new(0.7, 0.9),
            TimeConstant = TimeSpan.FromHours(0.2),
        },
        IsOpen = true,
    };

    private static readonly SprayedFace Skin = Roof with { Between = ThermalResistance.FromSi(0.01), IsOpen = false };

    private static readonly HourLimits Closed = new()
    {
        Sheet = Sheets.ClosedCell,
        Practice = new(),
        IsOpen = false,
    };

    private static readonly HourLimits Open = Closed with { IsOpen = true };

    [Fact]
    public void One_member_is_judged_as_the_gate_judges_the_same_readings() =>
        MadeHours.Any.Sample(
            air =>
            {
                var one = SurfaceHours.Of(Skin, null, MadeHours.Sky(air.Length, i => air[i]));
                var gate = GateHours.Of([one], Closed);
                for (var h = 0; h < gate.Count; h++)
                {
                    if (one.Wet[h] > 0 || air[h].Humidity!.Value.Percent > 100)
                    {
                        continue;
                    }

                    var now = SprayGate.Check(
                        new()
                        {
                            Sheet = Closed.Sheet,
                            SubstrateKind = SubstrateKind.Metal,
                            Substrate = new(Temperature.FromCelsius(one.Substrate[h]), TimeSpan.Zero, ""),
                            Air = new(air[h].Temperature!.Value, TimeSpan.Zero, ""),
                            Humidity = new(air[h].Humidity!.Value, TimeSpan.Zero, ""),
                            FoundDry = new(true, TimeSpan.Zero, ""),
                            Pressure = MadeHours.Quay.Pressure,
                        }
                    );
                    var rules = new[] { GateRules.Substrate, GateRules.Air, GateRules.DewDistance, GateRules.Humidity };
                    gate[h].Verdict.ShouldBe(now.Findings.Where(f => rules.Contains(f.Rule)).Max(f => f.Verdict), $"hour {h}");
                }
            },
            iter: 60
        );

    [Fact]
    public void The_verdict_of_an_hour_is_that_of_its_shares()
    {
        // So many members at 20 °C, where all is clear, and the rest at 1 °C, where the air is held.
        GateHour With(int warm, int cold)
        {
            var members = Enumerable.Range(0, warm + cold).Select(m => Calm(m < warm ? 20 : 1)).ToList();
            return GateHours.Of([.. members.Select(sky => SurfaceHours.Of(Indoors, null, sky))], Closed)[5];
        }

        (With(21, 0).Verdict, With(21, 0).Limit).ShouldBe((Verdict.Clear, null));
        (With(17, 4).Verdict, With(17, 4).Passing).ShouldBe((Verdict.Care, 17.0 / 21));
        With(16, 5).Verdict.ShouldBe(Verdict.Hold);
        With(16, 5).Limit.ShouldBe(HourLimit.Substrate);
        With(10, 11).Shortfall.Middle.ShouldBeGreaterThanOrEqualTo(0.5);
    }

    [Fact]
    public void Rain_counts_from_two_hours_before_to_the_end_of_cure_and_only_in_the_open()
    {
        var sky = MadeHours.Sky(24, i => MadeHours.Air(i, 20, 5, 1, cloud: 0.5, rain: i == 12 ? 0.3 : 0));
        GateHours Of(SprayedFace face, HourLimits limits) => GateHours.Of([SurfaceHours.Of(face, null, sky)], limits);
        var wall = Roof with { Outer = Roof.Outer! with { Plane = new(90, 0) } };
        var open = Of(wall, Open);
        var held = Enumerable.Range(0, 24).Where(h => open[h].RainChance > 0).ToList();
        held.ShouldBe([11, 12, 13, 14]);
        held.ShouldAllBe(h => open[h].Limit == HourLimit.Rain && open[h].Verdict == Verdict.Hold && open[h].RainChance == 1);
        Of(Skin, Closed)[12].Verdict.ShouldNotBe(Verdict.Hold);
    }

    [Theory]
    [InlineData(4, Verdict.Clear)]
    [InlineData(5, Verdict.Care)]
    [InlineData(8, Verdict.Care)]
    [InlineData(9, Verdict.Hold)]
    public void Rain_is_told_by_its_chance_clear_under_a_fifth_and_held_over_two_fifths(int wet, Verdict told)
    {
        // The wall is upright and stays dry: it is the chance alone that counts.
        var wall = Roof with
        {
            Outer = Roof.Outer! with { Plane = new(90, 0) },
        };
        var members = Enumerable
            .Range(0, 21)
            .Select(m => MadeHours.Sky(12, i => MadeHours.Air(i, 20, 5, 1, cloud: 1, rain: m < wet && i == 6 ? 1 : 0)))
            .ToList();
        var hour = GateHours.Of([.. members.Select(sky => SurfaceHours.Of(wall, null, sky))], Open)[6];
        (hour.Verdict, hour.Passing, hour.RainChance).ShouldBe((told, 1, wet / 21.0));
        hour.Limit.ShouldBe(told == Verdict.Clear ? null : HourLimit.Rain);
    }

    [Fact]
    public void A_start_is_spoilt_by_rain_from_two_hours_before_it_to_the_end_of_cure_and_by_none_later()
    {
        var wall = Roof with { Outer = Roof.Outer! with { Plane = new(90, 0) } };
        var sky = MadeHours.Sky(24, i => MadeHours.Air(i, 20, 5, 1, cloud: 1, rain: i == 12 ? 1 : 0));
        var gate = GateHours.Of([SurfaceHours.Of(wall, null, sky)], Open);

        // Two hours of spraying and one of cure.
        Enumerable.Range(0, 22).Where(h => gate.ChanceOf(h, 3) == 0).ShouldBe([10, 11, 12, 13, 14]);
        (gate.LimitOf(10, 3), gate.LimitOf(9, 3)).ShouldBe((HourLimit.Rain, null));
    }

    [Fact]
    public void On_an_open_face_rain_that_is_not_told_is_not_taken_for_a_dry_day()
    {
        var wall = Roof with { Outer = Roof.Outer! with { Plane = new(90, 0) } };
        var sky = MadeHours.Sky(12, i => MadeHours.Air(i, 20, 5, 1, cloud: 1) with { Precipitation = null });
        var open = GateHours.Of([SurfaceHours.Of(wall, null, sky)], Open);
        (open[5].Verdict, open[5].Limit, open.ChanceOf(3, 2)).ShouldBe((null, HourLimit.Unknown, 0));
        GateHours.Of([SurfaceHours.Of(Skin, null, sky)], Closed)[5].Verdict.ShouldBe(Verdict.Clear);
    }

    [Fact]
    public void The_depth_of_the_shadow_says_what_the_verdict_says() =>
        Gen.Select(MadeHours.Any.Array[6], Gen.Bool)
            .Sample(
                (members, isOpen) =>
                {
                    var face = isOpen ? Roof with { Outer = Roof.Outer! with { Plane = new(90, 0) } } : Skin;
                    var gate = GateHours.Of(
                        [.. members.Select(air => SurfaceHours.Of(face, null, MadeHours.Sky(air.Length, i => air[i])))],
                        isOpen ? Open : Closed
                    );
                    for (var h = 0; h < gate.Count; h++)
                    {
                        var hour = gate[h];
                        (hour.Depth > 0.5).ShouldBe(hour.Verdict == Verdict.Hold, $"hour {h}");
                        (hour.Verdict != Verdict.Clear || hour.Depth == 0).ShouldBeTrue($"hour {h}");
                        (hour.Limit is null).ShouldBe(hour.Verdict == Verdict.Clear, $"hour {h}");
                        hour.Depth.ShouldBeInRange(0, 1);
                    }
                },
                iter: 60
            );

    [Fact]
    public void Where_some_members_fall_short_and_the_middle_ones_do_not_it_says_so()
    {
        GateHour With(int cold) =>
            GateHours.Of([.. Enumerable.Range(0, 21).Select(m => SurfaceHours.Of(Indoors, null, Calm(m < cold ? 1 : 20)))], Closed)[5];
        (With(8).Verdict, With(8).LimitShortfall).ShouldBe((Verdict.Hold, 0));
        With(15).LimitShortfall.ShouldBeGreaterThan(0.5);
    }

    [Fact]
    public void Gusts_hold_an_open_face_and_none_within_a_building()
    {
        var sky = MadeHours.Sky(6, i => MadeHours.Air(i, 20, 5, wind: i < 3 ? 1 : 9, cloud: 1));
        var gate = GateHours.Of([SurfaceHours.Of(Roof, null, sky)], Open);
        gate[2].Verdict.ShouldBe(Verdict.Clear);
        (gate[4].Verdict, gate[4].Limit, gate[4].GustMs.Middle).ShouldBe((Verdict.Hold, HourLimit.Wind, 9 * 1.4));
        GateHours.Of([SurfaceHours.Of(Skin, null, sky)], Closed)[4].Verdict.ShouldBe(Verdict.Clear);
    }

    [Fact]
    public void Every_window_holds_through_cure_in_the_share_of_members_it_tells_and_begins_in_the_crews_hours() =>
        Gen.Select(MadeHours.Any.Array[7], Gen.Int[1, 6], Gen.Int[0, 4])
            .Sample(
                (members, spraying, cure) =>
                {
                    var gate = GateHours.Of(
                        [.. members.Select(air => SurfaceHours.Of(Skin, null, MadeHours.Sky(air.Length, i => air[i])))],
                        Closed
                    );
                    var needs = new WindowNeeds(spraying, cure, h => h % 24 is >= 7 and < 16);
                    foreach (var window in SprayWindows.Of(SprayWindows.Chances(gate, needs), needs, level: 0.5))
                    {
                        var holding = Enumerable
                            .Range(0, members.Length)
                            .Count(m => Enumerable.Range(window.Start, needs.Hours).All(h => Passes(gate, m, h)));
                        window.Chance.ShouldBe((double)holding / members.Length);
                        window.Chance.ShouldBeGreaterThanOrEqualTo(0.5);
                        Enumerable.Range(window.From, spraying).ShouldAllBe(h => needs.IsWorked(h));
                        window.Until.ShouldBe(window.LastStart + spraying + cure);
                    }
                },
                iter: 60
            );

    [Fact]
    public void An_hour_the_weather_does_not_tell_is_no_hour_to_spray()
    {
        var sky = MadeHours.Sky(8, i => MadeHours.Air(i, 20, 5) with { Cloud = i == 4 ? null : 1 });
        var gate = GateHours.Of([SurfaceHours.Of(Skin, null, sky)], Closed);
        (gate[4].Verdict, gate[4].Limit, gate.ChanceOf(3, 3), gate.ChanceOf(5, 3)).ShouldBe((null, HourLimit.Unknown, 0, 1));
        gate.ChanceOf(6, 3).ShouldBe(0);
    }

    [Fact]
    public void A_heated_room_opens_hours_that_frost_holds()
    {
        var sky = MadeHours.Sky(48, i => MadeHours.Air(i, -2, -6, 1.5, cloud: 0.8));
        SprayedRoom Heated(double watts) =>
            new(
                new()
                {
                    Volume = 600,
                    Loss = 500,
                    Capacity = 1.5e7,
                },
                _ =>
                    new()
                    {
                        AirChanges = 1,
                        Power = watts,
                        Kind = HeaterKind.Indirect,
                        Thermostat = Temperature.FromCelsius(25),
                    }
            );
        Verdict? At(double watts) =>
            GateHours.Of([SurfaceHours.Of(Skin with { Between = ThermalResistance.FromSi(0.3) }, Heated(watts), sky)], Closed)[40].Verdict;
        (At(0), At(60_000)).ShouldBe((Verdict.Hold, Verdict.Clear));
    }

    private static readonly SprayedFace Indoors = new();

    private static PlaceSky Calm(double celsius) => MadeHours.Sky(12, i => MadeHours.Air(i, celsius, celsius - 12, 1, cloud: 1));

    private static bool Passes(GateHours gate, int member, int hour) => gate.Holds(member, hour, 1);
}
