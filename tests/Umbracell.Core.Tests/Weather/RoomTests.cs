using CsCheck;
using Shouldly;
using Umbracell.Core.Conditions;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Xunit;

namespace Umbracell.Core.Tests.Weather;

/// <summary>Rooms by the hour: they come to what the steady balance of a heated space says, and heat and water are neither made nor
/// lost.</summary>
public sealed class RoomTests
{
    private static readonly RoomCase Hall = new()
    {
        Volume = 800,
        Loss = 900,
        Capacity = 2e7,
    };

    [Fact]
    public void A_heated_room_settles_where_the_steady_balance_says() =>
        Gen.Select(Gen.Double[-20, 10], Gen.Double[1, 10], Gen.Double[2_000, 80_000], Gen.Double[0.2, 8], Gen.Int[0, 4])
            .Sample(
                (celsius, dry, power, changes, kind) =>
                {
                    var heater = (HeaterKind)kind;
                    var sky = MadeHours.Sky(240, i => MadeHours.Air(i, celsius, celsius - dry));
                    var air = sky.Run.Hours[0];
                    var last = RoomRun.Of(
                        Hall,
                        sky,
                        _ =>
                            new()
                            {
                                AirChanges = changes,
                                Power = power,
                                Kind = heater,
                            }
                    )[239];
                    var steady = SpaceHeating.By(
                        new()
                        {
                            Volume = Hall.Volume,
                            Loss = Hall.Loss,
                            AirChanges = changes,
                            Outdoor = air.Temperature!.Value,
                            OutdoorHumidity = air.Humidity!.Value,
                            Pressure = MadeHours.Quay.Pressure,
                        },
                        power,
                        heater
                    );

                    // The steady form takes all of the pressure for that of dry air.
                    last.Temperature!.Value.Celsius.ShouldBe(steady.Indoor.Celsius, 0.02 * (steady.Indoor.Celsius - celsius) + 0.01);
                    if (steady.Humidity < 99)
                    {
                        last.DewPoint!.Value.Celsius.ShouldBe(steady.DewPoint.Celsius, 0.3);
                    }
                },
                iter: 200
            );

    [Fact]
    public void A_thermostat_holds_and_takes_no_more_heat_than_there_is()
    {
        var sky = MadeHours.Sky(72, i => MadeHours.Air(i, -5 + 4 * Math.Sin(i * Math.PI / 12), -8));
        var run = RoomRun.Of(
            Hall,
            sky,
            i =>
                new()
                {
                    AirChanges = 0.5,
                    Power = 40_000,
                    Thermostat = Temperature.FromCelsius(16),
                    Kind = HeaterKind.Indirect,
                }
        );
        run.Hours.ShouldAllBe(h => h.Heat <= 40_000 * 3600.0 + 1 && h.Temperature!.Value.Celsius <= 16 + 1e-9 && h.FlameWater == 0);
        run.Hours.Skip(30).ShouldAllBe(h => Math.Abs(h.Temperature!.Value.Celsius - 16) < 1e-9);
    }

    [Fact]
    public void More_heat_is_never_colder_and_a_flame_never_drier_than_a_duct() =>
        Gen.Select(MadeHours.Any, Gen.Double[1_000, 60_000], Gen.Double[0.2, 6])
            .Sample(
                (air, power, changes) =>
                {
                    var sky = MadeHours.Sky(air.Length, i => air[i]);
                    RoomRun With(double watts, HeaterKind kind) =>
                        RoomRun.Of(
                            Hall,
                            sky,
                            _ =>
                                new()
                                {
                                    AirChanges = changes,
                                    Power = watts,
                                    Kind = kind,
                                }
                        );
                    var (none, duct, flame) = (
                        With(0, HeaterKind.Indirect),
                        With(power, HeaterKind.Indirect),
                        With(power, HeaterKind.Propane)
                    );
                    for (var i = 0; i < air.Length; i++)
                    {
                        duct.Celsius[i].ShouldBeGreaterThan(none.Celsius[i]);
                        flame.Vapour[i].ShouldBeGreaterThanOrEqualTo(duct.Vapour[i]);
                        flame.Celsius[i].ShouldBe(duct.Celsius[i], 1e-9);
                    }
                },
                iter: 100
            );

    [Fact]
    public void An_unheated_room_follows_outdoors_late_and_less()
    {
        var sky = MadeHours.Sky(120, i => MadeHours.Air(i, 10 * Math.Sin(i * Math.PI / 12), -12));
        var slow = RoomRun.Of(Hall with { Capacity = 1e8 }, sky, _ => new() { AirChanges = 0.3 }).Hours.Skip(72).ToList();
        var quick = RoomRun.Of(Hall with { Capacity = 5e6 }, sky, _ => new() { AirChanges = 0.3 }).Hours.Skip(72).ToList();
        Swing(slow).ShouldBeLessThan(Swing(quick));
        Swing(quick).ShouldBeLessThan(20);
        static double Swing(List<RoomHour> hours) =>
            hours.Max(h => h.Temperature!.Value.Celsius) - hours.Min(h => h.Temperature!.Value.Celsius);
    }

    [Fact]
    public void From_an_hour_in_which_it_wsameread_a_room_is_sameone_that_begins_there() =>
        Gen.Select(MadeHours.Any, Gen.Int[1, 40], Gen.Double[-5, 35], Gen.Double[20, 95])
            .Sample(
                (air, hour, celsius, percent) =>
                {
                    RoomCase room = new()
                    {
                        Volume = 500,
                        Loss = 350,
                        Capacity = 1.2e7,
                    };
                    var at = Temperature.FromCelsius(celsius);
                    var reading = new RoomReading(MadeHours.Start.AddHours(hour + 0.4), at, RelativeHumidity.FromPercent(percent));
                    var drive = new RoomHourDrive { AirChanges = 1 };
                    var read = RoomRun.Of(room with { Read = reading }, MadeHours.Sky(72, i => air[i]), _ => drive);
                    var plain = RoomRun.Of(room, MadeHours.Sky(72, i => air[i]), _ => drive);
                    var begun = RoomRun.Of(
                        room with
                        {
                            Start = at,
                        },
                        MadeHours.Sky(72 - hour, i => air[i + hour] with { Start = MadeHours.Start.AddHours(i) }),
                        _ => drive
                    );
                    for (var i = 0; i < 72; i++)
                    {
                        var same = i < hour ? plain[i] : begun[i - hour];
                        read[i].Temperature!.Value.Celsius.ShouldBe(same.Temperature!.Value.Celsius, 1e-9);
                    }
                },
                iter: 60
            );
}
