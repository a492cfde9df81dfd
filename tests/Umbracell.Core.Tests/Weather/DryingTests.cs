using CsCheck;
using Shouldly;
using Umbracell.Core.Air;
using Umbracell.Core.Conditions;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Xunit;

namespace Umbracell.Core.Tests.Weather;

/// <summary>Dehumidifiers and washing: the water they move, and the starts they open or put off.</summary>
public sealed class DryingTests
{
    private static readonly Pressure Sea = StandardAtmosphere.PressureAt(Length.FromMetres(0));

    private static readonly Gen<Dehumidifier> Dryers = Gen.Select(
        Gen.Enum<DehumidifierKind>(),
        Gen.Double[0.1, 20],
        (kind, rated) => new Dehumidifier(kind, rated)
    );

    private static MoistAir Air(double celsius, double percent) =>
        MoistAir.Of(Temperature.FromCelsius(celsius), RelativeHumidity.FromPercent(percent), Sea);

    // A roof of metal with next to nothing under it.
    private static SprayCase Case(AirHour[][] members, bool isOpen) => MadeCases.Of(members, isOpen, tilt: 20, between: 0.02);

    // Days on which one can spray, some of them damp.
    private static readonly Gen<AirHour[]> Mild = Gen.Select(
        Gen.Double[12, 26],
        Gen.Double[0, 6],
        Gen.Double[1, 14],
        Gen.Double[0.3, 4],
        Gen.Double[0, 1],
        (mean, swing, dryness, wind, cloud) =>
            Enumerable
                .Range(0, 72)
                .Select(i => mean + swing * Math.Sin((i - 9) * Math.PI / 12))
                .Select((t, i) => MadeHours.Air(i, t, Math.Min(t - 0.3, mean - dryness), wind, cloud))
                .ToArray()
    );

    [Fact]
    public void In_the_air_they_are_rated_in_they_take_out_what_the_plate_says_and_never_more() =>
        Gen.Select(Dryers, Gen.Double[-15, 40], Gen.Double[1, 100])
            .Sample(
                (dryer, celsius, percent) =>
                {
                    dryer.TakesOut(Air(27, 60)).ShouldBe(dryer.RatedKilogramsPerHour, 1e-9);
                    dryer.TakesOut(Air(celsius, percent)).ShouldBeInRange(0, dryer.RatedKilogramsPerHour);
                    dryer.TakesOut(Air(celsius, percent)).ShouldBeLessThanOrEqualTo(dryer.TakesOut(Air(celsius + 1, percent)) + 1e-9);
                }
            );

    [Fact]
    public void A_cold_coil_does_nothing_in_frost_and_a_drying_wheel_does()
    {
        new Dehumidifier(DehumidifierKind.Refrigerant, 2).TakesOut(Air(-3, 90)).ShouldBe(0);
        new Dehumidifier(DehumidifierKind.Desiccant, 2).TakesOut(Air(-3, 90)).ShouldBeInRange(0.2, 0.8);
    }

    [Fact]
    public void Where_a_room_settles_what_comes_in_is_what_is_taken_out() =>
        Gen.Select(Dryers, Gen.Double[0, 35], Gen.Double[0.1, 20], Gen.Double[0.1, 5])
            .Sample(
                (dryer, celsius, dryness, changes) =>
                {
                    var sky = MadeHours.Sky(72, i => MadeHours.Air(i, celsius, celsius - dryness));
                    var dried = Settled(sky, new() { AirChanges = changes, Dehumidifier = dryer });
                    var plain = Settled(sky, new() { AirChanges = changes });
                    dried.HumidityRatio.ShouldBeLessThanOrEqualTo(plain.HumidityRatio + 1e-12);

                    // kg of dry air that come in an hour carry the difference.
                    var dryAir =
                        MadeCases.Hall.Volume
                        * MoistAir.DryDensity(plain.Temperature, Pressure.FromPascals((plain.Pressure - plain.VapourPressure).Pascals));
                    var taken = changes * dryAir * (plain.HumidityRatio - dried.HumidityRatio);
                    taken.ShouldBe(dryer.TakesOut(dried), 1e-3 + 0.01 * taken);
                },
                iter: 200
            );

    [Fact]
    public void Dehumidifiers_put_in_as_told_open_the_start_they_promised_and_an_hour_later_do_not()
    {
        var opened = 0;
        var dryer = new Dehumidifier(DehumidifierKind.Desiccant, 40);
        Gen.Select(Gen.Double[8, 18], Gen.Double[4, 9], Gen.Double[0.2, 3])
            .Sample(
                (mean, swing, dryness) =>
                {
                    // Clear nights wet the skin, and days are warm enough to spray.
                    var asked = Case(
                        [
                            [
                                .. Enumerable
                                    .Range(0, 72)
                                    .Select(i => mean + swing * Math.Sin((i - 9) * Math.PI / 12))
                                    .Select((t, i) => MadeHours.Air(i, t, Math.Min(t - 0.3, mean - dryness), wind: 0.5)),
                            ],
                        ],
                        isOpen: false
                    );
                    if (EarlierStart.ByDrying(asked, dryer) is not { } told || asked.ChanceOf(told.Start) >= asked.Level)
                    {
                        return;
                    }

                    Interlocked.Increment(ref opened);
                    Done(told.On).ShouldBe(told.Chance);
                    told.Chance.ShouldBeGreaterThanOrEqualTo(asked.Level);
                    if (told.On + 1 < told.Start)
                    {
                        Done(told.On + 1).ShouldBeLessThan(asked.Level);
                    }

                    double Done(int on) => asked.Start(new(null, new(dryer, on)), told.Start).Chance;
                },
                iter: 60
            );
        opened.ShouldBeGreaterThan(0);
    }

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void Washed_by_the_hour_told_a_face_is_dry_in_time_and_an_hour_later_it_is_not(bool isOpen)
    {
        var dry = 0;
        Mild.Array[2]
            .Sample(
                members =>
                {
                    var asked = Case(members, isOpen);
                    var gate = asked.Hours();
                    foreach (var start in asked.Starts.Where(start => gate.ChanceOf(start, asked.Needs.Hours) >= asked.Level).TakeLast(3))
                    {
                        asked.ChanceOf(start).ShouldBe(gate.ChanceOf(start, asked.Needs.Hours));
                        if (WashTime.Latest(asked, start) is not { } by)
                        {
                            (start <= asked.From || Done(asked.From) < asked.Level).ShouldBeTrue();
                            continue;
                        }

                        Interlocked.Increment(ref dry);
                        Done(by).ShouldBeGreaterThanOrEqualTo(asked.Level);
                        if (by + 1 < start)
                        {
                            Done(by + 1).ShouldBeLessThan(asked.Level);
                        }

                        double Done(int hour) => asked.Washed(hour).Hours().ChanceOf(start, asked.Needs.Hours);
                    }
                },
                iter: 60
            );
        dry.ShouldBeGreaterThan(0);
    }

    private static MoistAir Settled(PlaceSky sky, RoomHourDrive drive)
    {
        var last = RoomRun.Of(MadeCases.Hall, sky, _ => drive)[71];
        return MoistAir.Of(last.Temperature!.Value, last.Humidity!.Value, StandardAtmosphere.PressureAt(MadeHours.Quay.Altitude));
    }
}
