using CsCheck;
using Shouldly;
using Umbracell.Core.Lifts;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Lifts;

/// <summary>A lift's own heat against closed forms, against figures worked elsewhere, and as it must run whatever the case.</summary>
public sealed class LiftHeatTests(ITestOutputHelper output)
{
    private static readonly LiftLayer Sheathing = new(
        Length.FromMillimetres(11),
        ThermalConductivity.FromSi(0.13),
        620 * 1700,
        Temperature.FromCelsius(21)
    );

    [Fact]
    public void Without_loss_it_warms_by_its_heat_over_its_capacity()
    {
        foreach (var cell in Enum.GetValues<CellStructure>())
        {
            var lift = Lift(cell, 150) with { Behind = [], Film = 0, FilmBehind = 0 };
            var rise = lift.Foam.Heat / lift.Foam.SpecificHeat;
            LiftHeat.Of(lift).Peak.Celsius.ShouldBe(lift.Mix.Celsius + rise, 0.001 * rise);
            LiftHeat.Of(lift).Cool.ShouldBeNull();
        }
    }

    [Fact]
    public void Without_reaction_it_cools_as_the_error_function_says()
    {
        var foam = FoamExotherm.Usual(CellStructure.Closed) with { Rate = 0 };
        var capacity = 37.0 * foam.SpecificHeat;
        var run = new LiftRun(
            Lift(CellStructure.Closed, 300) with
            {
                Foam = foam,
                Mix = Temperature.FromCelsius(80),
                Film = 0,
                FilmBehind = 0,
                Behind = [new(Length.FromMetres(0.6), foam.Conductivity, capacity, Temperature.FromCelsius(20))],
            }
        );
        while (run.Seconds < 5_000)
        {
            run.Step();
        }

        var diffusivity = foam.Conductivity.WattsPerMetreKelvin / capacity;
        for (var cell = 0; cell < 16; cell++)
        {
            var depth = (15.5 - cell) * 0.3 / 16;
            run[cell].ShouldBe(50 + 30 * Erf(depth / Math.Sqrt(4 * diffusivity * run.Seconds)), 0.3, $"{depth:F3} m from the substrate");
        }
    }

    [Theory]
    [InlineData(CellStructure.Closed, 50, 0, 132, 23)]
    [InlineData(CellStructure.Closed, 50, 50, 132, 54)]
    [InlineData(CellStructure.Closed, 100, 0, 132, 83)]
    [InlineData(CellStructure.Open, 140, 0, 109, 19)]
    public void On_board_sheathing_it_peaks_and_cools_as_worked_elsewhere(
        CellStructure cell,
        double mm,
        double over,
        double peak,
        double minutes
    )
    {
        var told = LiftHeat.Of(Lift(cell, mm, over));
        output.WriteLine(
            $"{cell} {mm} mm over {over}: {told.Peak.Celsius:F1} °C, {told.Hot.TotalMinutes:F1} min over 100 °C, cool after {told.Cool?.TotalMinutes:F1} min"
        );
        told.Peak.Celsius.ShouldBe(peak, 3);
        told.Cool!.Value.TotalMinutes.ShouldBe(minutes, 0.1 * minutes);
    }

    [Theory]
    [InlineData(50, 5.6)]
    [InlineData(75, 12)]
    [InlineData(100, 21)]
    [InlineData(150, 47)]
    public void How_long_it_is_over_100_degrees_grows_with_its_thickness(double mm, double minutes) =>
        LiftHeat.Of(Lift(CellStructure.Closed, mm)).Hot.TotalMinutes.ShouldBe(minutes, 0.1 * minutes);

    [Fact]
    public void Its_energy_balances_whatever_the_case() =>
        Cases.Sample(
            lift =>
            {
                var run = new LiftRun(lift);
                for (var i = 0; i < 500; i++)
                {
                    run.Step();
                }

                var error = run.Held - run.HeatAtStart - run.GivenOff + run.Lost;
                Math.Abs(error).ShouldBeLessThan(1e-3 * Math.Max(run.GivenOff, 1));
            },
            iter: 60
        );

    [Fact]
    public void Thicker_warmer_or_over_a_warmer_lift_it_is_never_cooler() =>
        Cases.Sample(
            lift =>
            {
                var told = LiftHeat.Of(lift);
                LiftCase[] worse =
                [
                    lift with
                    {
                        Thickness = lift.Thickness * 1.2,
                    },
                    lift with
                    {
                        Mix = Temperature.FromCelsius(lift.Mix.Celsius + 5),
                    },
                    lift with
                    {
                        Behind =
                        [
                            lift.Behind[0] with
                            {
                                Temperature = Temperature.FromCelsius(lift.Behind[0].Temperature.Celsius + 20),
                            },
                            .. lift.Behind.Skip(1),
                        ],
                    },
                ];
                foreach (var other in worse.Select(LiftHeat.Of))
                {
                    other.Peak.Celsius.ShouldBeGreaterThan(told.Peak.Celsius - 0.3);
                    (other.Cool ?? TimeSpan.MaxValue).ShouldBeGreaterThanOrEqualTo(
                        (told.Cool ?? TimeSpan.FromDays(1)) - TimeSpan.FromSeconds(20)
                    );
                }
            },
            iter: 40
        );

    [Fact]
    public void On_a_substrate_that_stays_warmer_than_the_sheet_asks_it_is_never_cool() =>
        LiftHeat
            .Of(Lift(CellStructure.Closed, 50) with { Air = Temperature.FromCelsius(45), AirBehind = Temperature.FromCelsius(45) })
            .Cool.ShouldBeNull();

    private static Gen<LiftCase> Cases =>
        Gen.Select(
            Gen.Enum<CellStructure>(),
            Gen.Double[10, 160],
            Gen.Double[0, 60],
            Gen.Double[-10, 35],
            (cell, mm, over, air) =>
                Lift(cell, mm, over < 5 ? 0 : over) with
                {
                    Air = Temperature.FromCelsius(air),
                    AirBehind = Temperature.FromCelsius(air - 5),
                }
        );

    private static LiftCase Lift(CellStructure cell, double mm, double over = 0)
    {
        var foam = FoamExotherm.Usual(cell);
        var density = Density.FromKilogramsPerCubicMetre(cell == CellStructure.Closed ? 37 : 9);
        var air = Temperature.FromCelsius(21);
        return new()
        {
            Foam = foam,
            Density = density,
            Thickness = Length.FromMillimetres(mm),
            // The mix these figures were worked with.
            Mix = Temperature.FromCelsius(cell == CellStructure.Closed ? 42 : 48),
            Behind =
                over > 0
                    ?
                    [
                        new(Length.FromMillimetres(over), foam.Conductivity, density.KilogramsPerCubicMetre * foam.SpecificHeat, air),
                        Sheathing,
                    ]
                    : [Sheathing],
            Air = air,
            AirBehind = air,
            CoolBelow = Temperature.FromCelsius(cell == CellStructure.Closed ? 38 : 45),
        };
    }

    // Abramowitz and Stegun 7.1.26: good to 1.5e-7.
    private static double Erf(double x)
    {
        var t = 1 / (1 + 0.3275911 * x);
        var sum = t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
        return 1 - sum * Math.Exp(-x * x);
    }
}
