using Shouldly;
using Umbracell.Core.Weather;
using Xunit;

namespace Umbracell.Core.Tests.Weather;

/// <summary>A year of hours of a surface reduced to its months.</summary>
public sealed class SprayMonthsTests
{
    private static readonly DateTimeOffset First = new(2001, 1, 1, 0, 0, 0, TimeSpan.FromHours(-5));

    // A winter too cold to spray, a mild rest of the year; a March in which every other day is too damp.
    private static GateHours Year()
    {
        AirHour At(int hour)
        {
            var at = First.AddHours(hour);
            var celsius = at.Month == 1 ? -12 : 18;
            return MadeHours.Air(0, celsius, celsius - (at.Month == 3 && at.Day % 2 == 0 ? 1 : 12), cloud: 1) with { Start = at };
        }

        var sky = PlaceSky.Of(new() { Source = AirSource.UsualYear, Hours = [.. Enumerable.Range(0, 8760).Select(At)] }, MadeHours.Quay);
        return GateHours.Of(
            [SurfaceHours.Of(new(), null, sky)],
            new()
            {
                Sheet = Sheets.ClosedCell,
                Practice = new(),
                IsOpen = false,
            }
        );
    }

    [Fact]
    public void A_month_is_told_by_the_crews_hours_that_hold_through_cure_and_by_what_holds_the_others()
    {
        var gate = Year();
        var needs = new WindowNeeds(3, 2, h => h % 24 is >= 7 and < 17);
        var months = SprayMonths.Of(gate, needs);
        months.Select(month => month.Worked).ShouldBe([310, 280, 310, 300, 310, 300, 310, 310, 300, 310, 300, 310]);
        (months[0].Open, months[0].Limit).ShouldBe((0, HourLimit.Substrate));
        (months[6].Open, months[6].Limit, months[6].Share).ShouldBe((310, null, 1));

        // Fifteen of the days are even.
        months[2].Share.ShouldBe(16.0 / 31, 0.01);
        months[2].Limit.ShouldBeOneOf(HourLimit.Dew, HourLimit.Humidity);
        foreach (var month in months)
        {
            var hours = Enumerable.Range(0, gate.Count).Where(h => gate.StartOf(h).Month == month.Month && needs.IsWorked(h));
            month.Open.ShouldBe(hours.Count(h => h + 3 <= gate.Count && gate.ChanceOf(h, 3) == 1));
        }
    }

    [Fact]
    public void Where_nobody_works_nothing_is_open() =>
        SprayMonths.Of(Year(), new WindowNeeds(1, 1, _ => false)).ShouldAllBe(month => month.Share == 0 && month.Limit == null);
}
