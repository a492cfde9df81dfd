using Shouldly;
using Umbracell.Core.Weather;
using Xunit;

namespace Umbracell.Core.Tests.Weather;

/// <summary>How close a face comes to the dew point in a night.</summary>
public sealed class NightMarginTests
{
    private static SurfaceHours Metal(double cloud, double dew, double wind) =>
        SurfaceHours.Of(
            new()
            {
                Outer = new() { Plane = new(18, 0), Finish = new(0.6, 0.85) },
                IsOpen = true,
            },
            null,
            MadeHours.Sky(48, i => MadeHours.Air(i, 8 - 3 * Math.Cos((i - 3) * Math.PI / 12), dew, wind, cloud))
        );

    [Fact]
    public void Under_a_clear_sky_a_metal_face_gets_wet_that_stays_dry_under_cloud()
    {
        // Dew point two kelvin under the coldest air: only the sky makes the face colder than that.
        var clear = NightMargin.Of([Metal(0, 3, 1)], 20, 34)!.Value;
        var cloudy = NightMargin.Of([Metal(1, 3, 6)], 20, 34)!.Value;
        clear.Least.Middle.ShouldBeInRange(-7, -0.2);
        clear.Wet.ShouldBe(1);
        cloudy.Least.Middle.ShouldBeInRange(1, 2.5);
        cloudy.Wet.ShouldBe(0);
    }

    [Fact]
    public void Members_are_counted_each_by_its_own_worst_hour_and_other_hours_do_not_count()
    {
        SurfaceHours[] members = [.. Enumerable.Range(0, 21).Select(m => Metal(1, -10 + 0.6 * m, 6))];
        var night = NightMargin.Of(members, 20, 34)!.Value;
        night.Wet.ShouldBe(members.Count(member => Enumerable.Range(20, 14).Any(h => member.Substrate[h] < member.Dew[h])));
        night.Wet.ShouldBeInRange(0, 20);
        night.Least.Low.ShouldBeLessThan(night.Least.High);
        night.Hour.ShouldBeInRange(25, 29);
        NightMargin.Of(members, 60, 70).ShouldBeNull();
    }
}
