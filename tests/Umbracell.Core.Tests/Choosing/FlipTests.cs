using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Choosing;

/// <summary>Flip points, done as they are told: the value printed makes the other win, and no nearer one does that lasts.</summary>
public sealed class FlipTests
{
    public static TheoryData<SurfaceKind, string> Surfaces =>
        new()
        {
            { SurfaceKind.StudWall, "6A" },
            { SurfaceKind.StudWall, "4C" },
            { SurfaceKind.MetalWall, "5A" },
            { SurfaceKind.UnventedDeck, "6A" },
            { SurfaceKind.UnventedDeck, "3A" },
            { SurfaceKind.VentedRafters, "5A" },
            { SurfaceKind.CrawlFloor, "4A" },
            { SurfaceKind.BandJoist, "7" },
            { SurfaceKind.OverheadDoor, "5A" },
            { SurfaceKind.LowSlopeRoof, "6A" },
        };

    [Theory]
    [MemberData(nameof(Surfaces))]
    public void The_value_printed_makes_the_other_win_in_either_unit_system(SurfaceKind kind, string zone)
    {
        var asked = Asked(kind, zone);
        var choice = Choice.Of(asked);
        foreach (var flip in choice.Flips)
        {
            flip.Winner.ShouldNotBe(choice.Advised!.Id);
            foreach (var system in new[] { UnitSystem.Us, UnitSystem.Metric })
            {
                var (now, told) = (QuantityPrinter.Print(flip.Now, system), QuantityPrinter.Print(flip.At, system));
                told.ShouldNotBe(now, $"{flip.Input}");
                var read = QuantityParser.Parse(
                    told.Replace("U-", "", StringComparison.Ordinal).Replace(" W/m²K", "", StringComparison.Ordinal),
                    new(double.MinValue, double.MaxValue, flip.At.Dimension),
                    system
                );
                var typed = read.Figure.ShouldNotBeNull($"{told} {flip.At.Dimension} {read.Fault}").Amount;
                Won(With(asked, flip.Input, typed)).ShouldNotBe(choice.Advised.Id, $"{flip.Input} {now} → {told}");
            }

            Won(With(asked, flip.Input, flip.At.Amount)).ShouldBe(flip.Winner);
        }
    }

    [Theory]
    [MemberData(nameof(Surfaces))]
    public void No_nearer_change_that_lasts_is_passed_over(SurfaceKind kind, string zone)
    {
        var asked = Asked(kind, zone);
        var choice = Choice.Of(asked);
        foreach (var flip in choice.Flips.Where(f => f.Input != FlipInput.OpenCellPrice))
        {
            // Walked three times as finely as the search walks: whoever else wins on the way is gone again within the grain.
            var grain = flip.Working.Terms.Single(t => t.Name == "flipTolerance").Value.Amount;
            var (fine, since) = (grain / 3, (double?)null);
            var way = Math.Sign(flip.At.Amount - flip.Now.Amount);
            for (var x = flip.Now.Amount + way * fine; way * (flip.At.Amount - x) > 1.1 * grain; x += way * fine)
            {
                since = Won(With(asked, flip.Input, x)) == choice.Advised!.Id ? null : since ?? x;
                (since is { } from ? Math.Abs(x - from) : 0).ShouldBeLessThan(
                    grain * 1.01,
                    $"{flip.Input}: {QuantityPrinter.Print(flip.Now, UnitSystem.Metric)} → {x}, told {flip.At.Amount}"
                );
            }
        }
    }

    [Fact]
    public void What_trades_places_within_the_rounding_is_told_as_alike_and_is_no_flip()
    {
        var seen = 0;
        foreach (var (kind, zone) in Surfaces.Select(row => ((SurfaceKind, string))(row.Data.Item1, row.Data.Item2)))
        {
            var asked = Asked(kind, zone);
            var choice = Choice.Of(asked);
            foreach (var alike in choice.Alike)
            {
                seen++;
                alike.Winner.ShouldNotBe(choice.Advised!.Id);
                Won(With(asked, alike.Input, alike.At.Amount)).ShouldBe(alike.Winner);
                choice.Flips.ShouldNotContain(f => f.Input == alike.Input && Math.Abs(f.At.Amount - alike.At.Amount) < 1e-9);
            }
        }

        seen.ShouldBeGreaterThan(0);
    }

    private static ChoiceCase Asked(SurfaceKind kind, string zone) =>
        Walls.Case(
            kind,
            zone,
            facts: new()
            {
                Treated = Area.FromSquareMetres(100),
                DoorSpare = kind == SurfaceKind.OverheadDoor ? Mass.FromKilograms(60) : null,
            }
        );

    // As a person would be answered who asked this: nothing is carried over from the search.
    private static string? Won(ChoiceCase asked) => Choice.Of(asked, FlipSearch.None).Advised?.Id;

    // Another value of one input, as a person would set it.
    private static ChoiceCase With(ChoiceCase asked, FlipInput input, double to)
    {
        var section = asked.Section;
        return input switch
        {
            FlipInput.Depth => asked with { Section = section with { Members = section.Members with { Depth = Length.FromMetres(to) } } },
            FlipInput.IndoorHumidity => asked with
            {
                Section = section with { Air = section.Air with { IndoorHumidity = RelativeHumidity.FromPercent(to) } },
                Year = asked.Year!.WithWinterHumidityShift(to - section.Air.IndoorHumidity.Percent),
            },
            FlipInput.OutdoorTemperature => asked with
            {
                Section = section with { Air = section.Air with { Outdoor = Temperature.FromCelsius(to) } },
                Year = asked.Year!.WithOutdoorShift(TemperatureDifference.FromKelvins(to - section.Air.Outdoor.Celsius)),
            },
            FlipInput.OpenCellPrice => asked with { OpenPriceFactor = to / 100 },
            FlipInput.Target => asked with
            {
                Section = section with { Target = section.Target! with { GreatestU = ThermalTransmittance.FromSi(to) } },
            },
            _ => asked with { Facts = asked.Facts with { DoorSpare = Mass.FromKilograms(to) } },
        };
    }
}
