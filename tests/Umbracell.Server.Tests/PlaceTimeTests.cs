using System.Globalization;
using Shouldly;
using Umbracell.Formats.DataFiles;
using Umbracell.Server.Places;
using Umbracell.Store.Model;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Days and hours are those of the place a job is at.</summary>
public sealed class PlaceTimeTests
{
    private sealed class Fixed(DateTimeOffset now) : TimeProvider
    {
        public override DateTimeOffset GetUtcNow() => now;
    }

    private static Job At(string? place) =>
        new()
        {
            Name = "a job",
            ClimateZone = "6A",
            TargetSetId = "iecc-2021",
            PlaceId = place,
        };

    [Theory]
    [InlineData("brindle-quay", "2026-11-24T03:30:00Z", "2026-11-23")]
    [InlineData("brindle-quay", "2026-11-24T05:30:00Z", "2026-11-24")]
    [InlineData("skerrow", "2026-06-30T23:30:00Z", "2026-07-01")]
    [InlineData("skerrow", "2026-11-30T23:30:00Z", "2026-11-30")]
    [InlineData(null, "2026-11-24T03:30:00Z", "2026-11-24")]
    public void Today_is_the_day_of_the_place(string? place, string now, string today) =>
        PlaceTime
            .Today(At(place), new Fixed(DateTimeOffset.Parse(now, CultureInfo.InvariantCulture)))
            .ShouldBe(DateOnly.Parse(today, CultureInfo.InvariantCulture));

    [Theory]
    // Eastern time: five hours behind in winter, four in summer.
    [InlineData("2026-01-15T12:00", -5)]
    [InlineData("2026-07-15T12:00", -4)]
    // Clocks go back on 1 November 2026: 1:30 comes twice, and the first is meant.
    [InlineData("2026-11-01T01:30", -4)]
    // They go forward on 8 March: 2:30 is left out, and the time after it is meant.
    [InlineData("2026-03-08T02:30", -4)]
    public void A_clock_on_the_wall_is_ahead_by_what_the_zone_says_of_that_day(string shown, double hours) =>
        PlaceTime.OffsetAt(At("brindle-quay"), DateTime.Parse(shown, CultureInfo.InvariantCulture)).ShouldBe(TimeSpan.FromHours(hours));

    [Fact]
    public void Every_place_that_ships_says_where_it_lies_and_names_a_zone_there_is()
    {
        foreach (var place in ShippedData.Places.Values)
        {
            PlaceTime.IsZone(place.TimeZone!).ShouldBeTrue(place.Id);
            place.Latitude.ShouldNotBeNull(place.Id);

            // A zone lies within a few hours of where the sun puts it.
            var bySun = place.Longitude!.Value / 15;
            PlaceTime.OffsetAt(At(place.Id), new(2026, 1, 15)).TotalHours.ShouldBe(bySun, 2, place.Id);
        }
    }

    [Theory]
    [InlineData("Europe/London", true)]
    [InlineData("America/New_York", true)]
    [InlineData("Nowhere/Land", false)]
    [InlineData("", false)]
    public void Only_zones_of_the_iana_are_known(string name, bool known) => PlaceTime.IsZone(name).ShouldBe(known);
}
