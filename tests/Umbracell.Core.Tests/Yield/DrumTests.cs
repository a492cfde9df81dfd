using CsCheck;
using Shouldly;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;
using Xunit;

namespace Umbracell.Core.Tests.Yield;

/// <summary>Drums: how they warm, and what those in the store come to.</summary>
public sealed class DrumTests
{
    private static readonly DateOnly Day = new(2026, 11, 23);

    [Fact]
    public void The_time_in_the_blanket_brings_the_drum_where_it_is_wanted() =>
        Gen.Select(Gen.Double[-15, 15], Gen.Double[200, 800], Gen.Double[1, 25], Gen.Double[50, 230])
            .Sample(
                (cold, blanket, rise, kg) =>
                {
                    var drum = new DrumWarmth(
                        SetSide.B,
                        Mass.FromKilograms(kg),
                        Temperature.FromCelsius(cold),
                        Temperature.FromCelsius(cold),
                        blanket
                    );
                    var wanted = Temperature.FromCelsius(cold + rise);
                    if (drum.TimeTo(wanted) is { } time)
                    {
                        drum.After(time).Celsius.ShouldBe(wanted.Celsius, 1e-6);
                    }
                    else
                    {
                        (blanket / DrumWarmth.WrappedLoss).ShouldBeLessThanOrEqualTo(rise);
                    }
                }
            );

    [Fact]
    public void A_bare_drum_follows_the_night_and_a_wrapped_one_settles_by_its_blanket()
    {
        new DrumWarmth(SetSide.A, Mass.FromKilograms(227), Temperature.FromCelsius(20), Temperature.FromCelsius(-5), 0)
            .After(TimeSpan.FromDays(10))
            .Celsius.ShouldBe(-5, 0.1);
        new DrumWarmth(SetSide.A, Mass.FromKilograms(227), Temperature.FromCelsius(-5), Temperature.FromCelsius(-5), 300)
            .After(TimeSpan.FromDays(30))
            .Celsius.ShouldBe(-5 + 300 / 5.0, 0.1);
    }

    [Fact]
    public void The_hand_worked_drum_takes_just_under_four_hours()
    {
        // docs/methods/yield-and-sets.md: 227 kg of A at 5 C in a 420 W blanket to 19 C: C 386 kJ/K, settles at 89 C, t = 386e3 / 5 *
        // ln(84 / 70) = 14,070 s.
        new DrumWarmth(SetSide.A, Mass.FromKilograms(227), Temperature.FromCelsius(5), Temperature.FromCelsius(5), 420)
            .TimeTo(Temperature.FromCelsius(19))!
            .Value.TotalSeconds.ShouldBe(386_000 / 5.0 * Math.Log(84 / 70.0), 100);
    }

    [Fact]
    public void A_warm_drum_needs_no_time_and_a_weak_blanket_never_gets_there()
    {
        new DrumWarmth(SetSide.A, Mass.FromKilograms(227), Temperature.FromCelsius(22), Temperature.FromCelsius(5), 300)
            .TimeTo(Temperature.FromCelsius(20))
            .ShouldBe(TimeSpan.Zero);
        new DrumWarmth(SetSide.A, Mass.FromKilograms(227), Temperature.FromCelsius(0), Temperature.FromCelsius(0), 50)
            .TimeTo(Temperature.FromCelsius(20))
            .ShouldBeNull();
    }

    [Fact]
    public void The_scarcer_side_rules_and_the_order_makes_the_load_whole() =>
        Gen.Select(Gen.Int[0, 8], Gen.Int[0, 8], Gen.Double[0, 200], Gen.Int[0, 12])
            .Sample(
                (a, b, part, load) =>
                {
                    var stock = DrumStock.Of(
                        Sheets.ClosedCell,
                        [
                            new(SetSide.A, "A-1", Day.AddDays(90), a, Mass.FromKilograms(part)),
                            new(SetSide.B, "B-1", Day.AddDays(90), b, default),
                        ],
                        load,
                        Day
                    );
                    stock.Sets.ShouldBe(Math.Min(a + part / Sheets.ClosedCell.SetMassA.Kilograms, b), 1e-9);
                    (stock.Sets + stock.Order).ShouldBeGreaterThanOrEqualTo(load - 1e-6);
                    (stock.Order == 0 || stock.Sets + stock.Order - 1 < load).ShouldBeTrue();
                }
            );

    [Fact]
    public void Drums_past_their_last_day_are_not_counted_and_said()
    {
        var stock = DrumStock.Of(
            Sheets.ClosedCell,
            [new(SetSide.A, "A-1", Day.AddDays(-1), 4, default), new(SetSide.B, "B-1", Day.AddDays(10), 4, default)],
            2,
            Day
        );
        (stock.SetsA, stock.SetsB, stock.Order).ShouldBe((0, 4, 2));
        stock.Findings.Select(f => f.Case.Name).ShouldBe(["expired", "expiresSoon", "moreB", "short"], ignoreOrder: true);
        stock.Findings.ShouldAllBe(f => f.Verdict == Verdict.Care);
    }

    [Fact]
    public void Two_lots_of_a_side_are_never_mixed_silently() =>
        DrumStock
            .Of(
                Sheets.ClosedCell,
                [
                    new(SetSide.A, "A-1", Day.AddDays(90), 1, default),
                    new(SetSide.A, "A-2", Day.AddDays(90), 1, default),
                    new(SetSide.B, "B-1", Day.AddDays(90), 2, default),
                ],
                2,
                Day
            )
            .Findings.Select(f => f.Case.Name)
            .ShouldBe(["lots", "suffices"]);

    [Fact]
    public void The_cold_season_of_a_place_lies_round_its_winter()
    {
        double[] means = [-8, -6, -1, 6, 13, 18, 21, 20, 16, 9, 3, -4];
        var season = SeasonChange.Of(means, Temperature.FromCelsius(4))!;
        new DateOnly(2026, 1, 1).AddDays(season.From - 1).Month.ShouldBeOneOf(10, 11);
        new DateOnly(2026, 1, 1).AddDays(season.Until - 1).Month.ShouldBeOneOf(3, 4);
        SeasonChange.MeanOf(means, season.From).Celsius.ShouldBeLessThan(4);
        SeasonChange.MeanOf(means, season.Until).Celsius.ShouldBeGreaterThanOrEqualTo(4);
        SeasonChange.Of(means, Temperature.FromCelsius(-40)).ShouldBeNull();
        SeasonChange.Of(means, Temperature.FromCelsius(40)).ShouldBeNull();
    }

    [Fact]
    public void South_of_the_equator_the_cold_season_lies_half_a_year_away() =>
        Gen.Select(Gen.Double[-10, 15], Gen.Double[3, 18], Gen.Double[-0.8, 0.8])
            .Sample(
                (mean, swing, level) =>
                {
                    double[] north = [.. Enumerable.Range(0, 12).Select(m => mean - swing * Math.Cos(2 * Math.PI * m / 12))];
                    double[] south = [.. north[6..], .. north[..6]];
                    var limit = Temperature.FromCelsius(mean + level * swing);
                    var (here, there) = (SeasonChange.Of(north, limit)!, SeasonChange.Of(south, limit)!);
                    Apart(here.From, there.From).ShouldBe(182.5, 1.5);
                    Apart(here.Until, there.Until).ShouldBe(182.5, 1.5);
                }
            );

    private static double Apart(int day, int other) => Math.Min(Math.Abs(day - other), 365 - Math.Abs(day - other));

    [Fact]
    public void Mean_air_passes_through_the_middle_of_each_month_and_over_the_turn_of_the_year() =>
        Gen.Double[-20, 25]
            .Array[12]
            .Sample(means =>
            {
                SeasonChange.MeanOf(means, 16).Celsius.ShouldBe(means[0], Math.Abs(means[1] - means[0]) / 15 + 0.01);
                var (last, first) = (SeasonChange.MeanOf(means, 365).Celsius, SeasonChange.MeanOf(means, 1).Celsius);
                Math.Abs(last - first).ShouldBeLessThan(Math.Abs(means[11] - means[0]) / 20 + 0.01);
            });
}
