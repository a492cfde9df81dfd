using CsCheck;
using Shouldly;
using Umbracell.Core.Conditions;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Xunit;

namespace Umbracell.Core.Tests.Weather;

/// <summary>The cheapest set of actions opens what it says, nothing cheaper does, and each reason is true.</summary>
public sealed class CheapestStartTests
{
    private static readonly ProductSheet[] Others = [Sheets.ColdGrade];

    private static readonly Dehumidifier Dryer = new(DehumidifierKind.Refrigerant, 2);

    private static SprayCase Case(AirHour[][] members, bool isOpen) =>
        new()
        {
            Face = new()
            {
                Outer = new() { Plane = new(90, 0), Finish = new(0.6, 0.85) },
                Between = isOpen ? null : ThermalResistance.FromSi(0.4),
                IsOpen = isOpen,
            },
            Room = isOpen
                ? null
                : new()
                {
                    Volume = 400,
                    Loss = 250,
                    Capacity = 8e6,
                },
            Members = [.. members.Select(air => MadeHours.Sky(air.Length, i => air[i]))],
            Limits = new()
            {
                Sheet = Sheets.ClosedCell,
                Practice = new(),
                IsOpen = isOpen,
            },
            Needs = new(2, (int)Math.Ceiling(Sheets.ClosedCell.CureBeforeRain.TotalHours), h => h % 24 is >= 7 and < 16),
            From = 6,
            Before = 48,
        };

    private static SprayCase With(SprayCase asked, ActionSet set)
    {
        var sprayed = set.Product is { } product ? asked.With(product) : asked;
        return set.Tent ? sprayed.UnderTent()! : sprayed;
    }

    // Every start before the wanted hour, put through the hours one by one.
    private static double Best(SprayCase asked)
    {
        var gate = asked.Hours();
        return asked.Starts.Select(start => gate.ChanceOf(start, asked.Needs.Hours)).DefaultIfEmpty(0).Max();
    }

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void What_is_told_opens_and_what_is_cheaper_does_not(bool isOpen)
    {
        var kinds = new HashSet<(bool, bool, bool, bool)>();
        Gen.Select(MadeHours.Any.Array[3], Gen.Double[20_000, 90_000])
            .Sample(
                (members, watts) =>
                {
                    var asked = Case(members, isOpen);
                    var found = CheapestStart.Find(asked, Others, new((watts, HeaterKind.Indirect), Dryer));
                    foreach (var tried in found.Cheaper)
                    {
                        tried.Chance.ShouldBeLessThan(asked.Level);
                        var sprayed = With(asked, tried.Set);
                        if (tried.Set is { Heats: false, Dries: false })
                        {
                            Best(sprayed).ShouldBe(tried.Chance);
                        }
                        else
                        {
                            var hottest = new HeatersOn(watts, HeaterKind.Indirect, asked.From, Hottest(sprayed));
                            var full = new RoomActs(tried.Set.Heats ? hottest : null, tried.Set.Dries ? new(Dryer, asked.From) : null);
                            sprayed.PreparedStarts.Max(start => sprayed.Start(full, start).Chance).ShouldBe(tried.Chance);
                        }

                        if (tried.Start is not null && tried.Chance < 1)
                        {
                            tried.Limit.ShouldNotBeNull();
                        }
                    }

                    if (found.Opened is not { } opened)
                    {
                        // Everything there is was tried.
                        found.Cheaper.Count.ShouldBe(isOpen ? 4 : 8);
                        return;
                    }

                    lock (kinds)
                    {
                        kinds.Add((opened.Set.Tent, opened.Set.Product is not null, opened.Set.Dries, opened.Set.Heats));
                    }

                    var done = With(asked, opened.Set);
                    opened.Start!.Value.ShouldBeInRange(asked.From, asked.Before - 1);
                    var heaters = opened.Heated is { } heated
                        ? new HeatersOn(watts, HeaterKind.Indirect, heated.On, heated.Hold)
                        : (HeatersOn?)null;
                    var acts = new RoomActs(heaters, opened.DriedFrom is { } dried ? new(Dryer, dried) : null);
                    var chance =
                        opened.Set.Heats || opened.Set.Dries
                            ? done.Start(acts, opened.Start.Value).Chance
                            : done.Hours().ChanceOf(opened.Start.Value, done.Needs.Hours);
                    chance.ShouldBe(opened.Chance);
                    chance.ShouldBeGreaterThanOrEqualTo(asked.Level);
                },
                iter: 160
            );
        kinds.ShouldNotBeEmpty();
    }

    [Fact]
    public void Of_two_starts_that_heat_opens_the_one_that_burns_less_is_told()
    {
        // The first day is colder than the second: heating for it burns more.
        AirHour[] air = [.. Enumerable.Range(0, 72).Select(i => MadeHours.Air(i, i < 30 ? -8 : 1, i < 30 ? -14 : -4, cloud: 1))];
        var asked = Case([air], isOpen: false);
        var found = CheapestStart.Find(asked, [], new((60_000, HeaterKind.Indirect)));
        found.Opened!.Heated.ShouldNotBeNull();
        found.Opened.Start!.Value.ShouldBeGreaterThan(30);
        EarlierStart.ByHeat(asked, 60_000, HeaterKind.Indirect)!.Start.ShouldBeLessThan(24);
        found.Cheaper.Select(tried => tried.Set.Heats).ShouldBe([false]);
    }

    [Fact]
    public void Before_a_day_on_which_nobody_has_worked_yet_nothing_is_promised()
    {
        AirHour[] air = [.. Enumerable.Range(0, 72).Select(i => MadeHours.Air(i, 18, 6, cloud: 1))];
        var found = CheapestStart.Find(Case([air], isOpen: true) with { Before = 7 }, [], default);
        found.Opened.ShouldBeNull();
        found.Cheaper.ShouldAllBe(tried => tried.Start == null && tried.Chance == 0);
    }

    private static Temperature Hottest(SprayCase asked) => Temperature.FromCelsius(EarlierStart.HottestHold(asked));
}
