using CsCheck;
using Shouldly;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Umbracell.Core.Yield;
using Xunit;

namespace Umbracell.Core.Tests.Weather;

/// <summary>Drums in the air of hours to come, and the blanket that goes on in time.</summary>
public sealed class DrumHoursTests
{
    private static DrumWarmth Drum(double celsius, double watts = 0) =>
        new(SetSide.B, Mass.FromKilograms(225), Temperature.FromCelsius(celsius), Temperature.FromCelsius(celsius), watts);

    private static Func<DateTimeOffset, Temperature?> Air(double celsius) => _ => Temperature.FromCelsius(celsius);

    [Fact]
    public void In_air_that_stays_the_same_it_is_what_the_drum_alone_says() =>
        Gen.Select(Gen.Double[-10, 35], Gen.Double[-20, 30], Gen.Double[0.1, 40], Gen.Double[0, 1000])
            .Sample(
                (drum, air, hours, watts) =>
                    DrumHours
                        .At(Drum(drum, watts), MadeHours.Start, MadeHours.Start.AddHours(hours), Air(air))
                        .Celsius.ShouldBe(
                            (Drum(drum, watts) with { Around = Temperature.FromCelsius(air) }).After(TimeSpan.FromHours(hours)).Celsius,
                            1e-6
                        ),
                iter: 100
            );

    [Fact]
    public void The_blanket_that_goes_on_as_told_brings_it_there_and_a_quarter_of_an_hour_later_does_not()
    {
        var (needed, never) = (0, 0);
        Gen.Select(MadeHours.Any, Gen.Double[-10, 22], Gen.Double[100, 1500], Gen.Int[2, 40])
            .Sample(
                (hours, drum, watts, start) =>
                {
                    var air = DrumHours.MiddleOf([MadeHours.Run(hours.Length, i => hours[i])]);
                    var (from, now, wanted) = (MadeHours.Start, MadeHours.Start.AddHours(1), Temperature.FromCelsius(18));
                    var at = now.AddHours(start);
                    var told = DrumHours.LatestOn(Drum(drum, watts), from, now, at, wanted, air);
                    if (told is not { } on)
                    {
                        Interlocked.Increment(ref never);
                        Done(now).ShouldBeLessThan(18);
                    }
                    else if (on == at)
                    {
                        DrumHours.At(Drum(drum), from, at, air).Celsius.ShouldBeGreaterThanOrEqualTo(18);
                    }
                    else
                    {
                        Interlocked.Increment(ref needed);
                        on.ShouldBeGreaterThanOrEqualTo(now);
                        Done(on).ShouldBeGreaterThanOrEqualTo(18);
                        Done(on.AddMinutes(15)).ShouldBeLessThan(18);
                    }

                    double Done(DateTimeOffset put)
                    {
                        var bare = DrumHours.At(Drum(drum), from, put, air);
                        return DrumHours.At(Drum(drum, watts) with { Start = bare }, put, at, air).Celsius;
                    }
                },
                iter: 200
            );
        needed.ShouldBeGreaterThan(10);
        never.ShouldBeGreaterThan(3);
    }

    [Fact]
    public void The_air_is_that_of_the_middle_member_and_hours_nobody_tells_leave_the_drum_as_it_is()
    {
        AirRun Member(double celsius, bool known) =>
            MadeHours.Run(6, i => known || i < 3 ? MadeHours.Air(i, celsius, celsius - 3) : new() { Start = MadeHours.Start.AddHours(i) });
        var air = DrumHours.MiddleOf([Member(2, false), Member(9, false), Member(4, false)]);
        air(MadeHours.Start.AddHours(2.5))!.Value.Celsius.ShouldBe(4, 1e-9);
        air(MadeHours.Start.AddHours(3.5)).ShouldBeNull();
        air(MadeHours.Start.AddHours(-1)).ShouldBeNull();
        var three = DrumHours.At(Drum(20), MadeHours.Start, MadeHours.Start.AddHours(3), air);
        DrumHours.At(Drum(20), MadeHours.Start, MadeHours.Start.AddHours(6), air).ShouldBe(three);
    }

    [Fact]
    public void Put_into_the_hot_room_as_told_it_is_warm_and_a_quarter_of_an_hour_later_it_is_not()
    {
        var needed = 0;
        Gen.Select(MadeHours.Any, Gen.Double[-10, 22], Gen.Double[22, 45], Gen.Int[2, 60])
            .Sample(
                (hours, drum, room, start) =>
                {
                    var air = DrumHours.MiddleOf([MadeHours.Run(hours.Length, i => hours[i])]);
                    var (from, now, wanted) = (MadeHours.Start, MadeHours.Start.AddHours(1), Temperature.FromCelsius(18));
                    var at = now.AddHours(start);
                    var told = DrumHours.LatestInto(Drum(drum), from, now, at, wanted, air, Temperature.FromCelsius(room));
                    if (told is not { } into)
                    {
                        Done(now).ShouldBeLessThan(18);
                    }
                    else if (into < at)
                    {
                        Interlocked.Increment(ref needed);
                        Done(into).ShouldBeGreaterThanOrEqualTo(18);
                        Done(into.AddMinutes(15)).ShouldBeLessThan(18);
                    }

                    double Done(DateTimeOffset into)
                    {
                        var outdoors = DrumHours.At(Drum(drum), from, into, air);
                        return DrumHours.At(Drum(outdoors.Celsius), into, at, _ => Temperature.FromCelsius(room)).Celsius;
                    }
                },
                iter: 100
            );
        needed.ShouldBeGreaterThan(10);
    }
}
