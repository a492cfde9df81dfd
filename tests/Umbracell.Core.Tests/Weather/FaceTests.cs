using CsCheck;
using Shouldly;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Xunit;

namespace Umbracell.Core.Tests.Weather;

/// <summary>Faces in the weather: balances of heat and water, and what every roofer knows.</summary>
public sealed class FaceTests
{
    private const double Sigma = 5.670374419e-8;

    private static readonly FaceCase Skin = new()
    {
        Plane = new(10, 180),
        Finish = new(0.7, 0.9),
        TimeConstant = TimeSpan.FromHours(0.2),
    };

    private static readonly Gen<FaceCase> AnyFace = Gen.Select(
            Gen.Double[0, 180],
            Gen.Double[0, 360],
            Gen.Double[0, 1],
            Gen.Double[0.05, 1],
            Gen.Double[0.1, 5],
            Gen.Double[-20, 25],
            Gen.Bool
        )
        .Select(
            (tilt, azimuth, a, e, r, behind, closed) =>
                new FaceCase
                {
                    Plane = new(tilt, azimuth),
                    Finish = new(a, e),
                    Behind = closed ? null : new(ThermalResistance.FromSi(r), Temperature.FromCelsius(behind)),
                }
        );

    [Fact]
    public void Its_heat_balances_to_a_millionth_of_a_watt() =>
        Gen.Select(MadeHours.Any, AnyFace)
            .Sample(
                (air, face) =>
                {
                    var run = FaceRun.Of(face, MadeHours.Sky(air.Length, i => air[i]));
                    for (var i = 0; i < run.Count; i++)
                    {
                        // Where nothing lies and nothing lay, no water passes.
                        if (run[i].WetKgM2 == 0 && (i == 0 || run[i - 1].WetKgM2 == 0) && air[i].Precipitation!.Value.Millimetres == 0)
                        {
                            Left(face, air[i], run[i]).ShouldBe(0, 1e-6);
                        }
                    }
                },
                iter: 300
            );

    [Fact]
    public void What_lies_there_is_what_came_out_of_the_air_less_what_went_back() =>
        Gen.Select(MadeHours.Any, AnyFace)
            .Sample(
                (air, face) =>
                {
                    var run = FaceRun.Of(face, MadeHours.Sky(air.Length, i => air[i]));
                    var pressure = MadeHours.Quay.Pressure;
                    for (var i = 1; i < run.Count; i++)
                    {
                        if (air[i].Precipitation!.Value.Millimetres > 0)
                        {
                            continue;
                        }

                        var hc = 2.8 + 3 * air[i].Wind!.Value.Mean.MetresPerSecond;
                        var state = air[i].StateAt(pressure)!.Value;
                        var atFace = Umbracell.Core.Air.MoistAir.SaturationPressureAt(run[i].Temperature!.Value, HumidityReference.Ice);
                        var free = 3600 * 7e-9 * 101_325 / pressure.Pascals * hc * (state.VapourPressure.Pascals - atFace.Pascals);
                        var before = run[i - 1].WetKgM2!.Value;
                        run[i].WetKgM2!.Value.ShouldBe(Math.Clamp(before + free, 0, face.Plane.GreatestFilm), 1e-9);
                        run[i].FrostKgM2!.Value.ShouldBeInRange(0, run[i].WetKgM2!.Value + 1e-12);
                    }
                },
                iter: 300
            );

    [Theory]
    [InlineData(5, 0.5, 0)]
    [InlineData(5, 1.0, -6)]
    [InlineData(12, 0.8, 4)]
    [InlineData(-4, 0.5, -9)]
    public void On_a_clear_calm_night_a_thin_metal_skin_falls_3_to_8_kelvin_under_the_air(double celsius, double wind, double dew)
    {
        var roof = Skin with { Behind = new(ThermalResistance.FromSi(0.13), Temperature.FromCelsius(celsius)) };
        double At(double cloud) =>
            FaceRun.Of(roof, MadeHours.Sky(10, i => MadeHours.Air(i, celsius, dew, wind, cloud)))[7].Temperature!.Value.Celsius;
        (celsius - At(cloud: 0)).ShouldBeInRange(3, 8);
        At(cloud: 1).ShouldBeInRange(At(cloud: 0) + 1.5, celsius);
    }

    [Fact]
    public void Without_sun_and_sky_it_is_as_warm_as_the_air() =>
        Gen.Select(Gen.Double[-30, 40], Gen.Double[0, 10])
            .Sample(
                (celsius, wind) =>
                {
                    var downwards = Skin with { Plane = new(180, 0), Finish = new(0, 0.9), TimeConstant = TimeSpan.Zero };
                    var run = FaceRun.Of(downwards, MadeHours.Sky(24, i => MadeHours.Air(i, celsius, celsius - 6, wind)));
                    run.Hours.ShouldAllBe(h => Math.Abs(h.Temperature!.Value.Celsius - celsius) < 1e-6);
                },
                iter: 100
            );

    [Fact]
    public void Frost_of_a_night_holds_the_skin_at_freezing_until_it_has_melted_and_then_dries()
    {
        // Humid air at 2 °C under a clear sky, then a mild sunny day.
        var run = FaceRun.Of(Skin, MadeHours.Sky(36, i => i < 12 ? MadeHours.Air(i, 2, 0.5, 0.5) : MadeHours.Air(i, 8, -4, 2, cloud: 1)));
        var night = run[11];
        (night.FrostKgM2 > 0.02, night.Temperature!.Value.Celsius < 0).ShouldBe((true, true));
        var dry = run.Hours.Skip(12).First(h => h.WetKgM2 == 0);
        var melting = run.Hours.Skip(12).TakeWhile(h => h.FrostKgM2 > 0).ToList();
        melting.ShouldAllBe(h => Math.Abs(h.Temperature!.Value.Celsius) < 1e-9);
        dry.Start.ShouldBeGreaterThan(run[12].Start);
        run[35].Temperature!.Value.Celsius.ShouldBeGreaterThan(4);
    }

    [Fact]
    public void Rain_stays_on_slopes_as_far_as_the_film_goes_and_never_on_walls()
    {
        AirHour Wet(int i) => MadeHours.Air(i, 8, 7.5, 1, cloud: 1, rain: 2);
        double Lies(double tilt) => FaceRun.Of(Skin with { Plane = new(tilt, 0) }, MadeHours.Sky(6, Wet))[5].WetKgM2!.Value;
        (Lies(2) > 0.49, Lies(30) is > 0.19 and <= 0.2, Lies(90) < 0.05).ShouldBe((true, true, true));
    }

    [Fact]
    public void A_thick_wall_hides_the_cold_of_a_night_from_its_face_less_than_a_lag_of_eight_hours_says()
    {
        AirHour Hour(int i) => MadeHours.Air(i, 8 + 6 * Math.Cos((i - 19) * Math.PI / 12), 0, 1.5);
        var wall = Skin with { Plane = new(90, 0), TimeConstant = TimeSpan.Zero };
        double Swing(FaceCase face)
        {
            var hours = FaceRun.Of(face, MadeHours.Sky(120, Hour)).Hours.Skip(72).Select(h => h.Temperature!.Value.Celsius).ToList();
            return hours.Max() - hours.Min();
        }

        var lagged = Swing(wall with { TimeConstant = TimeSpan.FromHours(8) });
        var slices = Swing(wall with { Mass = FaceMass.Masonry(Length.FromMetres(0.4)) });
        var thin = Swing(wall);
        slices.ShouldBeInRange(lagged, thin);
        Swing(wall with { Mass = FaceMass.Masonry(Length.FromMetres(0.02)) }).ShouldBeGreaterThan(slices);
    }

    [Fact]
    public void Heat_that_goes_into_a_thick_layer_is_there() =>
        Gen.Select(Gen.Double[0.05, 1], Gen.Double[0.2, 3], Gen.Double[-20, 60].Array[48])
            .Sample(
                (depth, k, faces) =>
                {
                    var slices = new FaceSlices(new(Length.FromMetres(depth), ThermalConductivity.FromSi(k), 1.5e6), null, 10);
                    var start = slices.Heat;
                    var went = 0.0;
                    foreach (var face in faces)
                    {
                        var (conductance, celsius) = slices.AtFace(0);
                        slices.Follow(face);
                        went += 3600 * conductance * (face - celsius);
                    }

                    (slices.Heat - start).ShouldBe(went, 1e-6 * (1 + Math.Abs(went)));
                },
                iter: 200
            );

    [Fact]
    public void It_is_no_colder_where_air_cloud_or_sun_are_more() =>
        Gen.Select(MadeHours.Any, AnyFace, Gen.Double[0.1, 5])
            .Sample(
                (air, face, by) =>
                {
                    double[] Run(Func<AirHour, AirHour> change) =>
                        [
                            .. FaceRun
                                .Of(face, MadeHours.Sky(air.Length, i => change(Dry(air[i]))))
                                .Hours.Select(h => h.Temperature!.Value.Celsius),
                        ];

                    var plain = Run(h => h);
                    var warmer = Run(h =>
                        h with
                        {
                            Temperature = Temperature.FromCelsius(h.Temperature!.Value.Celsius + by),
                            Humidity = RelativeHumidity.FromPercent(5),
                        }
                    );
                    for (var i = 0; i < plain.Length; i++)
                    {
                        warmer[i].ShouldBeGreaterThanOrEqualTo(plain[i] - 1e-6);
                    }
                },
                iter: 100
            );

    [Fact]
    public void What_the_weather_does_not_tell_is_unknown_for_its_hour_and_known_again_after_it()
    {
        AirHour Hour(int i) => MadeHours.Air(i, 5, 1) with { Cloud = i is 4 or 5 ? null : 0.5 };
        var run = FaceRun.Of(Skin, MadeHours.Sky(10, Hour));
        run.Hours.Select(h => h.Temperature is null).ShouldBe([false, false, false, false, true, true, false, false, false, false]);
        var noRain = FaceRun.Of(Skin, MadeHours.Sky(3, i => MadeHours.Air(i, 5, 1) with { Precipitation = null }));
        noRain.Hours.ShouldAllBe(h => h.Temperature != null && h.WetKgM2 == null);
    }

    [Fact]
    public void A_figure_out_of_range_is_named() =>
        Should
            .Throw<QuantityRangeException>(() =>
                FaceRun.Of(Skin with { Plane = new(200, 0) }, MadeHours.Sky(1, i => MadeHours.Air(i, 5, 1)))
            )
            .Message.ShouldContain("tilt");

    private static AirHour Dry(AirHour hour) =>
        hour with
        {
            Humidity = RelativeHumidity.FromPercent(5),
            Precipitation = Precipitation.Nothing,
        };

    private static double Left(FaceCase face, AirHour air, FaceHour hour)
    {
        var t = hour.Temperature!.Value;
        var hc = 2.8 + 3 * air.Wind!.Value.Mean.MetresPerSecond;
        var behind = face.Behind is { } b ? (b.Temperature.Celsius - t.Celsius) / b.Resistance.SquareMetreKelvinsPerWatt : 0;
        return hc * (air.Temperature!.Value.Celsius - t.Celsius)
            + face.Finish.Absorptance * hour.SunWm2!.Value
            + face.Finish.Emittance * (hour.SkyWm2!.Value - Sigma * Math.Pow(t.Kelvin, 4))
            + behind;
    }
}
