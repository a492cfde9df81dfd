using Shouldly;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Materials;

/// <summary>An edition held to the limits of another one that is in force.</summary>
public sealed class EditionsTests
{
    private static readonly ProductSheet[] Some =
    [
        Sheets.ClosedCell,
        Sheets.ColdGrade,
        Sheets.ClosedCell with
        {
            GreatestHumidityPercent = 70,
            GreatestWoodMoisturePercent = 14,
            WindLimit = Speed.FromMetresPerSecond(1),
            GreatestLift = Length.FromInches(1.25),
            NextLiftBelow = Temperature.FromCelsius(30),
            LeastWait = TimeSpan.FromMinutes(40),
        },
        Sheets.ClosedCell with
        {
            GreatestWoodMoisturePercent = null,
            Substrate = new(Temperature.FromCelsius(60), Temperature.FromCelsius(70)),
        },
    ];

    public static TheoryData<int, int> Pairs => [.. Enumerable.Range(0, 4).SelectMany(a => Enumerable.Range(0, 4).Select(b => (a, b)))];

    [Theory]
    [MemberData(nameof(Pairs))]
    public void It_may_be_sprayed_only_where_both_allow_it_and_gives_what_it_gave(int a, int b)
    {
        var (held, inForce) = (Some[a], Some[b]);
        var both = held.AlsoWithin(inForce);
        for (var celsius = -30.0; celsius <= 80; celsius += 0.5)
        {
            var t = Temperature.FromCelsius(celsius);
            both.Substrate.Holds(t).ShouldBe(held.Substrate.Holds(t) && inForce.Substrate.Holds(t));
            both.Air.Holds(t).ShouldBe(held.Air.Holds(t) && inForce.Air.Holds(t));
            both.Drums.Holds(t).ShouldBe(held.Drums.Holds(t) && inForce.Drums.Holds(t));
        }

        both.GreatestHumidityPercent.ShouldBe(Math.Min(held.GreatestHumidityPercent, inForce.GreatestHumidityPercent));
        both.WindLimit.MetresPerSecond.ShouldBe(Math.Min(held.WindLimit.MetresPerSecond, inForce.WindLimit.MetresPerSecond));
        both.GreatestWoodMoisturePercent.ShouldBe(
            held.GreatestWoodMoisturePercent is { } one && inForce.GreatestWoodMoisturePercent is { } other
                ? Math.Min(one, other)
                : held.GreatestWoodMoisturePercent
        );
        both.GreatestLift.Metres.ShouldBe(Math.Min(held.GreatestLift.Metres, inForce.GreatestLift.Metres));
        both.NextLiftBelow.Celsius.ShouldBe(Math.Min(held.NextLiftBelow.Celsius, inForce.NextLiftBelow.Celsius));
        both.LeastWait.TotalMinutes.ShouldBe(Math.Max(held.LeastWait.TotalMinutes, inForce.LeastWait.TotalMinutes));
        (both.AgedR, both.SheetYield).ShouldBe((held.AgedR, held.SheetYield));
    }

    [Fact]
    public void The_same_limits_again_are_that_sheet_and_tighter_ones_are_cited_with_their_edition()
    {
        var held = Sheets.ClosedCell with { Edition = "3" };
        held.AlsoWithin(held with { Edition = "4", GreatestHumidityPercent = 95 }).ShouldBe(held);
        held.AlsoWithin(held with { Edition = "4", GreatestHumidityPercent = 50 }).Edition.ShouldBe("3 / 4");
    }
}
