using CsCheck;
using Shouldly;
using Umbracell.Core.Findings;
using Umbracell.Core.Weather;
using Xunit;

namespace Umbracell.Core.Tests.Weather;

public sealed class OpenFoamTests
{
    private static readonly DateOnly Monday = new(2026, 11, 23);

    private static readonly Gen<double?> Days = Gen.Frequency(
        (1, Gen.Const((double?)null)),
        (4, Gen.Double[0, 40].Select(days => (double?)Math.Round(days, 1)))
    );

    private static readonly Gen<OpenFoam> Foams =
        from sprayed in Gen.Int[0, 300]
        from open in Gen.Int[-5, 60]
        from sun in Days
        from rain in Days
        select new OpenFoam(Monday.AddDays(sprayed), Monday.AddDays(sprayed + open), sun, rain);

    [Fact]
    public void Covered_on_the_last_day_it_is_in_time_and_a_day_later_it_is_not() =>
        Foams
            .Where(foam => foam.CoverBy is not null)
            .Sample(foam =>
            {
                (foam with { CoveredOn = foam.CoverBy }).Verdict.ShouldBe(Verdict.Clear);
                (foam with { CoveredOn = foam.CoverBy!.Value.AddDays(1) }).Verdict.ShouldBe(Verdict.Hold);
            });

    [Fact]
    public void Sprayed_on_the_day_it_names_it_is_in_time_and_a_day_earlier_it_is_not() =>
        Foams
            .Where(foam => foam.SprayFrom is not null)
            .Sample(foam =>
            {
                (foam with { SprayedOn = foam.SprayFrom!.Value }).Verdict.ShouldBe(Verdict.Clear);
                (foam with { SprayedOn = foam.SprayFrom!.Value.AddDays(-1) }).Verdict.ShouldBe(Verdict.Hold);
            });

    [Fact]
    public void No_sheet_lets_it_stand_for_longer_than_either_of_its_limits() =>
        Foams.Sample(foam =>
        {
            if (foam.Verdict == Verdict.Clear)
            {
                double open = foam.Days!.Value;
                open.ShouldBeGreaterThanOrEqualTo(0);
                open.ShouldBeLessThanOrEqualTo(foam.SunDays ?? double.PositiveInfinity);
                open.ShouldBeLessThanOrEqualTo(foam.RainDays ?? double.PositiveInfinity);
            }
        });

    [Fact]
    public void Without_days_on_the_sheet_or_a_day_of_cover_nothing_is_clear()
    {
        new OpenFoam(Monday, Monday.AddDays(1), null, null).Verdict.ShouldBe(Verdict.Care);
        new OpenFoam(Monday, null, 30, 14).Verdict.ShouldBe(Verdict.Care);
        new OpenFoam(Monday, null, 30, 14).CoverBy.ShouldBe(Monday.AddDays(14));
        OpenFoam.Of(Sheets.ClosedCell with { OpenToSunDays = 3, OpenToRainDays = null }, Monday, null).CoverBy.ShouldBe(Monday.AddDays(3));
    }

    [Fact]
    public void A_day_is_wet_by_any_of_its_hours_and_one_that_is_not_told_is_no_dry_one()
    {
        var midnight = new DateTimeOffset(2026, 11, 23, 0, 0, 0, TimeSpan.Zero);
        double?[] rain = [.. Enumerable.Repeat<double?>(0, 72)];
        (rain[5], rain[30], rain[31]) = (0.4, 0.05, 1.2);
        int? Wet(int from, int to) =>
            OpenFoam.WetDays(Run(), midnight.AddHours(from), midnight.AddHours(to), at => DateOnly.FromDateTime(at.UtcDateTime));

        Wet(0, 72).ShouldBe(2);
        Wet(6, 72).ShouldBe(1);
        Wet(6, 31).ShouldBe(0);
        rain[40] = null;
        Wet(0, 72).ShouldBe(2);
        rain[60] = null;
        Wet(0, 72).ShouldBeNull();

        AirRun Run() =>
            new()
            {
                Source = AirSource.Forecast,
                Hours =
                [
                    .. rain.Select(
                        (fell, h) =>
                            new AirHour { Start = midnight.AddHours(h), Precipitation = fell is { } mm ? Precipitation.Of(mm, null) : null }
                    ),
                ],
            };
    }
}
