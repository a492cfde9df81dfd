using CsCheck;
using Shouldly;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;
using Xunit;

namespace Umbracell.Core.Tests.Yield;

/// <summary>Drums in blankets and in a hot room: no heat comes from nowhere.</summary>
public sealed class DrumWarmingTests
{
    private static readonly DrumGroup[] Drums = [new(SetSide.A, Mass.FromKilograms(227), 3), new(SetSide.B, Mass.FromKilograms(215), 3)];

    private static readonly WarmingMeans Means = new()
    {
        Night = Temperature.FromCelsius(2),
        Wanted = Temperature.FromCelsius(19),
        Blankets = new(420, null),
        Room = new(Temperature.FromCelsius(35), 45, null),
        KilowattHourPrice = 0.16,
    };

    [Fact]
    public void Either_way_takes_at_least_the_heat_the_liquid_takes_up() =>
        Gen.Select(Gen.Double[-15, 15], Gen.Double[17, 22], Gen.Double[30, 45])
            .Sample(
                (night, wanted, room) =>
                {
                    var means = Means with
                    {
                        Night = Temperature.FromCelsius(night),
                        Wanted = Temperature.FromCelsius(wanted),
                        Room = new(Temperature.FromCelsius(room), 45, null),
                    };
                    var stored =
                        Drums.Sum(d =>
                            d.Count
                            * new DrumWarmth(d.Side, d.Liquid, Temperature.FromCelsius(night), Temperature.FromCelsius(night), 0).HeatTo(
                                Temperature.FromCelsius(wanted)
                            )
                        ) / 3.6e6;
                    var both = DrumWarming.Of(Drums, means);
                    if (both.Blankets!.Lead is not null)
                    {
                        both.Blankets.KilowattHours.ShouldBeGreaterThan(stored);
                    }

                    both.HotRoom!.Lead.ShouldNotBeNull();
                    both.HotRoom.KilowattHours.ShouldBeGreaterThan(stored);
                    both.HotRoom.Cost.ShouldBe(both.HotRoom.KilowattHours * 0.16, 1e-9);
                }
            );

    [Fact]
    public void The_last_drum_is_warm_at_the_start()
    {
        var both = DrumWarming.Of(Drums, Means);
        foreach (var (way, around, blanket) in new[] { (both.Blankets!, Means.Night, 420.0), (both.HotRoom!, Means.Room!.Air, 0.0) })
        {
            var coldest = Drums.Min(d => new DrumWarmth(d.Side, d.Liquid, Means.Night, around, blanket).After(way.Lead!.Value).Celsius);
            coldest.ShouldBe(Means.Wanted.Celsius, 1e-6);
        }
    }

    [Fact]
    public void A_hotter_room_is_sooner_and_a_leakier_one_dearer()
    {
        var usual = DrumWarming.Of(Drums, Means).HotRoom!;
        DrumWarming
            .Of(Drums, Means with { Room = new(Temperature.FromCelsius(45), 45, null) })
            .HotRoom!.Lead!.Value.ShouldBeLessThan(usual.Lead!.Value);
        DrumWarming.Of(Drums, Means with { Room = Means.Room! with { Loss = 90 } }).HotRoom!.Cost.ShouldBeGreaterThan(usual.Cost);
    }

    [Fact]
    public void What_the_firm_has_not_is_not_told_and_what_never_gets_there_says_so()
    {
        var none = DrumWarming.Of(Drums, Means with { Blankets = null, Room = null });
        none.Blankets.ShouldBeNull();
        none.HotRoom.ShouldBeNull();
        var weak = DrumWarming.Of(Drums, Means with { Blankets = new(40, null), Room = new(Temperature.FromCelsius(18), 45, null) });
        (weak.Blankets!.Lead, weak.HotRoom!.Lead, weak.HotRoom.KilowattHours).ShouldBe((null, null, 0));
    }

    [Fact]
    public void Drums_that_are_warm_enough_take_no_time()
    {
        var warm = DrumWarming.Of(Drums, Means with { Night = Temperature.FromCelsius(20) });
        (warm.Blankets!.Lead, warm.HotRoom!.Lead).ShouldBe((TimeSpan.Zero, TimeSpan.Zero));
        warm.HotRoom.KilowattHours.ShouldBe(0, 1e-9);
    }

    [Theory]
    [InlineData(4, 4)]
    [InlineData(6, null)]
    [InlineData(8, null)]
    [InlineData(null, null)]
    public void Where_not_all_drums_find_a_place_it_is_said_how_many_do(int? places, int? told)
    {
        var both = DrumWarming.Of(Drums, Means with { Blankets = new(420, places), Room = Means.Room! with { Holds = places } });
        (both.Blankets!.AtATime, both.HotRoom!.AtATime).ShouldBe((told, told));
    }
}
