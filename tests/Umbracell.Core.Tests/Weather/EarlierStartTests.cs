using CsCheck;
using Shouldly;
using Umbracell.Core.Conditions;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Xunit;

namespace Umbracell.Core.Tests.Weather;

/// <summary>Whatever is told to open a start is done here once more, hour by hour, and does.</summary>
public sealed class EarlierStartTests
{
    [Theory]
    [InlineData(HeaterKind.Indirect)]
    [InlineData(HeaterKind.Propane)]
    public void Heat_put_in_as_told_opens_the_start_it_promised_and_an_hour_later_or_a_kelvin_less_does_not(HeaterKind kind)
    {
        var opened = 0;
        Gen.Select(MadeHours.Any.Array[2], Gen.Double[20_000, 90_000])
            .Sample(
                (members, watts) =>
                {
                    var asked = MadeCases.Of(members, isOpen: false);
                    if (EarlierStart.ByHeat(asked, watts, kind) is not { } told)
                    {
                        return;
                    }

                    opened++;
                    Done(told.On, told.Hold).ShouldBe(told.Chance);
                    told.Chance.ShouldBeGreaterThanOrEqualTo(asked.Level);
                    told.On.ShouldBeInRange(asked.From, told.Start - 1);
                    if (told.Hold.Celsius > 4)
                    {
                        Done(told.On, Temperature.FromCelsius(told.Hold.Celsius - 1)).ShouldBeLessThan(asked.Level);
                    }

                    double Done(int on, Temperature hold) =>
                        GateHours
                            .Of(
                                [
                                    .. asked.Members.Select(sky =>
                                        SurfaceHours.Of(
                                            asked.Face,
                                            new(
                                                MadeCases.Hall,
                                                h =>
                                                    new()
                                                    {
                                                        AirChanges = h < told.Start ? 1 : 10,
                                                        Kind = kind,
                                                        Thermostat = hold,
                                                        Power = h >= on && (h < told.Start || kind == HeaterKind.Indirect) ? watts : 0,
                                                    }
                                            ),
                                            sky
                                        )
                                    ),
                                ],
                                asked.Limits
                            )
                            .ChanceOf(told.Start, asked.Needs.Hours);
                },
                iter: 16
            );
        opened.ShouldBeGreaterThan(kind == HeaterKind.Indirect ? 1 : 0);
    }

    [Fact]
    public void A_tent_never_opens_later_than_the_open_face_and_shuts_out_wind_and_rain()
    {
        AirHour[] windy = [.. Enumerable.Range(0, 72).Select(i => MadeHours.Air(i, 18, 6, wind: 6, cloud: 1, rain: i % 5 == 0 ? 1 : 0))];
        var asked = MadeCases.Of([windy], isOpen: true);
        var open = GateHours.Of([.. asked.Members.Select(sky => SurfaceHours.Of(asked.Face, null, sky))], asked.Limits);
        SprayWindows.Of(SprayWindows.Chances(open, asked.Needs), asked.Needs, asked.From).ShouldBeEmpty();
        var window = EarlierStart.UnderTent(asked)!.Value;
        (window.From, window.FirstChance).ShouldBe((7, 1));
        EarlierStart.UnderTent(MadeCases.Of([windy], isOpen: false)).ShouldBeNull();
    }

    [Fact]
    public void The_cold_grade_opens_what_frost_shuts_to_the_usual_one()
    {
        AirHour[] cold = [.. Enumerable.Range(0, 72).Select(i => MadeHours.Air(i, -4, -12, wind: 1, cloud: 1))];
        var asked = MadeCases.Of([cold], isOpen: true);
        EarlierStart.ByProduct(asked, asked.Limits.Sheet).ShouldBeNull();
        EarlierStart.ByProduct(asked, Sheets.ColdGrade)!.Value.From.ShouldBe(7);
    }

    [Fact]
    public void Nothing_is_promised_where_heat_cannot_help()
    {
        AirHour[] frost = [.. Enumerable.Range(0, 72).Select(i => MadeHours.Air(i, -25, -30, wind: 6, cloud: 0))];
        EarlierStart.ByHeat(MadeCases.Of([frost], isOpen: false), 5_000, HeaterKind.Electric).ShouldBeNull();
        EarlierStart.ByHeat(MadeCases.Of([frost], isOpen: true), 90_000, HeaterKind.Electric).ShouldBeNull();
    }
}
