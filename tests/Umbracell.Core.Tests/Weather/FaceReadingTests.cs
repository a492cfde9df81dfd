using CsCheck;
using Shouldly;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Xunit;

namespace Umbracell.Core.Tests.Weather;

/// <summary>A temperature read on a face is where its hours go on from, and is forgotten as the face forgets.</summary>
public sealed class FaceReadingTests
{
    private static readonly FaceCase Wall = new() { Plane = new(90, 0), Finish = new(0.6, 0.9) };

    private static readonly SprayedFace[] Faces =
    [
        new() { Outer = Wall, IsOpen = true },
        new() { Outer = Wall with { TimeConstant = TimeSpan.FromHours(4) }, Between = ThermalResistance.FromSi(0.1) },
        new() { Outer = Wall with { Mass = FaceMass.Masonry(Length.FromMetres(0.3)) }, Between = ThermalResistance.FromSi(0.4) },
        new() { Ground = Temperature.FromCelsius(9), Between = ThermalResistance.FromSi(0.2) },
    ];

    [Fact]
    public void The_hour_of_the_reading_is_as_read_those_before_it_as_they_were_and_later_ones_draw_near() =>
        Gen.Select(MadeHours.Any, Gen.Int[0, 3], Gen.Int[1, 40], Gen.Double[-20, 20])
            .Sample(
                (air, kind, hour, off) =>
                {
                    var sky = MadeHours.Sky(air.Length, i => air[i]);
                    var face = Faces[kind];
                    SprayedRoom? room = face.IsOpen
                        ? null
                        : new(
                            new()
                            {
                                Volume = 300,
                                Loss = 150,
                                Capacity = 2e6,
                            },
                            _ => new() { AirChanges = 1 }
                        );
                    var plain = SurfaceHours.Of(face, room, sky).Substrate;
                    var read = new FaceReading(MadeHours.Start.AddHours(hour + 0.7), Temperature.FromCelsius(plain[hour] + off));
                    var pulled = SurfaceHours.Of(face with { Read = read }, room, sky).Substrate;
                    pulled[..hour].ShouldBe(plain[..hour]);
                    pulled[hour].ShouldBe(read.Temperature.Celsius, 1e-9);
                    for (var i = hour + 1; i < pulled.Length; i++)
                    {
                        Math.Abs(pulled[i] - plain[i]).ShouldBeLessThanOrEqualTo(Math.Abs(pulled[i - 1] - plain[i - 1]) + 1e-9);
                    }
                },
                iter: 100
            );

    [Fact]
    public void Masonry_remembers_for_a_day_and_sheet_for_an_hour()
    {
        var sky = MadeHours.Sky(72, i => MadeHours.Air(i, 5, 1));
        double LeftAfter(SprayedFace face, int hours)
        {
            var room = face.IsOpen
                ? null
                : new SprayedRoom(
                    new()
                    {
                        Volume = 300,
                        Loss = 150,
                        Capacity = 2e6,
                    },
                    _ => new() { AirChanges = 1 }
                );
            var plain = SurfaceHours.Of(face, room, sky).Substrate;
            var read = new FaceReading(MadeHours.Start.AddHours(10.2), Temperature.FromCelsius(plain[10] + 10));
            return SurfaceHours.Of(face with { Read = read }, room, sky).Substrate[10 + hours] - plain[10 + hours];
        }

        LeftAfter(Faces[0], 1).ShouldBe(10 / Math.E, 0.01);
        LeftAfter(Faces[1], 4).ShouldBe(10 / Math.E, 0.01);

        // 0.3 m of masonry: 4 d² C/(π² k) = 21.7 h.
        LeftAfter(Faces[2], 22).ShouldBe(10 * Math.Exp(-22 / 21.7), 0.05);
    }

    [Fact]
    public void What_was_read_before_or_after_these_hours_says_nothing()
    {
        var sky = MadeHours.Sky(48, i => MadeHours.Air(i, 5, 1));
        var plain = SurfaceHours.Of(Faces[0], null, sky).Substrate;
        foreach (var hour in new[] { -3, 60 })
        {
            var read = new FaceReading(MadeHours.Start.AddHours(hour), Temperature.FromCelsius(30));
            SurfaceHours.Of(Faces[0] with { Read = read }, null, sky).Substrate.ShouldBe(plain);
        }
    }
}
