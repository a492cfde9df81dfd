using CsCheck;
using Shouldly;
using Umbracell.Core.Air;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;
using Umbracell.Core.Tests.Choosing;
using Xunit;

namespace Umbracell.Core.Tests.Moisture;

public sealed class MonthlyYearTests
{
    // A cold inland year and a room kept at 20 °C and 50 %.
    private static readonly double[] Cold = [-8, -6, -1, 6, 13, 18, 21, 20, 16, 9, 3, -4];
    private static readonly YearOfAir Year = new([.. Cold.Select(t => new MonthAir(new(t), new(78)))], [.. Cold.Select(_ => new MonthAir(new(20), new(50)))]);

    [Fact]
    public void One_interface_follows_the_hand_worked_balance()
    {
        // Two layers, everything known: what flows in to saturation less what flows out from it, times the seconds of the month.
        double[] z = [2e10, 1e10 + 2e10];
        var saturation = Enumerable.Repeat(400.0, 12).ToArray();
        var (stored, pressure) = (new double[12], new double[12]);
        var outside = Enumerable.Repeat(300.0, 12).ToArray();
        double[] inside = [1200, 1200, 300, 300, 300, 300, 300, 300, 300, 300, 300, 300];
        CondensateYear.Run(z, saturation, outside, inside, stored, pressure);
        var rate = (1200 - 400) / 1e10 - (400 - 300) / 2e10;
        stored[0].ShouldBe(rate * 31 * 86400, 1e-12);
        stored[1].ShouldBe(rate * 59 * 86400, 1e-12);

        // From March both airs are drier than the wet interface: it dries to both sides.
        var drying = (400 - 300) / 1e10 + (400 - 300) / 2e10;
        stored[2].ShouldBe(Math.Max(0, stored[1] - drying * 31 * 86400), 1e-12);
        pressure[0].ShouldBe(400);
    }

    [Fact]
    public void Condensate_that_cannot_dry_is_told_as_what_a_year_leaves()
    {
        double[] z = [2e10, 3e10];
        var (stored, pressure) = (new double[12], new double[12]);
        var growth = CondensateYear.Run(z, [.. Enumerable.Repeat(400.0, 12)], [.. Enumerable.Repeat(300.0, 12)], [.. Enumerable.Repeat(1200.0, 12)], stored, pressure);
        growth.ShouldBe(((1200 - 400) / 1e10 - (400 - 300) / 2e10) * 365 * 86400, 1e-9);
        (stored[11] - stored[0]).ShouldBe(growth * 334 / 365, 1e-9);
        stored[0].ShouldBe(0);
    }

    [Fact]
    public void Water_is_neither_made_nor_lost() =>
        Gen.Select(Gen.Double[1e9, 5e10].Array[5], Gen.Double[200, 2500].Array[48], Gen.Double[150, 1500].Array[12], Gen.Double[300, 2500].Array[12]).Sample((layers, saturations, outside, inside) =>
        {
            double[] z = [.. layers.Select((_, i) => layers[..(i + 1)].Sum())];
            const int N = 4;
            var (stored, pressure) = (new double[12 * N], new double[12 * N]);
            var growth = CondensateYear.Run(z, saturations, outside, inside, stored, pressure);
            for (var month = 1; month < 12; month++)
            {
                var at = month * N;
                var inflow = (inside[month] - pressure[at + N - 1]) / (z[N] - z[N - 1]);
                var outflow = (pressure[at] - outside[month]) / z[0];
                double Sum(int m) => stored.AsSpan(m * N, N).ToArray().Sum();
                var kept = Sum(month) - Sum(month - 1);
                var balance = (inflow - outflow) * YearOfAir.DaysOf(month) * 86400;

                // An interface that dries within the month gives only what it had: never more is kept than flowed in, and where something stays the balance is exact.
                var allWet = growth == 0 && Enumerable.Range(0, N).All(i => (stored[at - N + i] > 0) == (stored[at + i] > 0));
                if (kept < balance - 1e-9 || (allWet && Math.Abs(kept - balance) > 1e-9))
                {
                    return false;
                }

                if (Enumerable.Range(0, N).Any(i => pressure[at + i] > saturations[at + i] * (1 + 1e-9)))
                {
                    return false;
                }
            }

            return true;
        });

    [Fact]
    public void Closed_cell_on_the_sheathing_keeps_a_cold_wall_drier_than_open_cell()
    {
        var open = MonthlyYear.Of(Wall(Sheets.OpenCell, 5.5), Year);
        var closed = MonthlyYear.Of(Wall(Sheets.ClosedCell, 3), Year);
        closed.GreatestStored.ShouldBeLessThan(open.GreatestStored / 3);
        closed.Months.Average(m => m.InterfaceHumidity).ShouldBeLessThan(open.Months.Average(m => m.InterfaceHumidity));
        open.GreatestStored.ShouldBeGreaterThan(0.1);
        open.Findings.Single(f => f.Rule == "yearCondensate").Verdict.ShouldNotBe(Verdict.Clear);
        open.Months.MaxBy(m => m.Stored).Outdoor.Temperature.Celsius.ShouldBeLessThan(10);
    }

    [Fact]
    public void A_tighter_layer_towards_the_room_never_dampens_the_winter_interface() =>
        Gen.Select(Gen.Double[0.05, 30], Gen.Double[1.05, 20], Gen.Double[1, 5]).Sample((permInch, tighter, inches) =>
        {
            double January(double perm) => MonthlyYear.Of(Wall(Sheets.OpenCell, inches, perm), Year).Months[0].InterfaceHumidity;
            return January(permInch / tighter) <= January(permInch) + 1e-9;
        }, iter: 60);

    [Fact]
    public void What_is_told_against_a_damp_interface_helps_when_it_is_done_and_the_other_side_does_not() =>
        Gen.Select(Gen.Double[1, 4], Gen.Bool, Gen.Double[60, 95], Gen.Double[16, 24]).Sample((inches, open, outdoorHumidity, room) =>
        {
            var year = new YearOfAir([.. Cold.Select(t => new MonthAir(new(t + 12), new(outdoorHumidity)))], [.. Cold.Select(_ => new MonthAir(new(room), new(45)))]);
            var floor = Walls.Section(SurfaceKind.CrawlFloor) with { Fill = [new FoamFill(open ? Sheets.OpenCell : Sheets.ClosedCell, Length.FromInches(inches))] };
            var now = MonthlyYear.Of(floor, year);
            var told = now.Findings.Single(f => f.Rule == "yearInterface");
            var worst = now.Months.MaxBy(m => m.InterfaceHumidity);
            if (told.Case == "dry" || worst.InterfaceHumidity > 99.9)
            {
                return;
            }

            double Humidity(SectionCase section) => MonthlyYear.Of(section, year).Months[now.Months.ToList().IndexOf(worst)].InterfaceHumidity;
            var foil = Layer("foil", 0.2, 0.001, 0.2);
            var finish = floor.Inboard[^1];
            var tighter = finish with { Material = finish.Material with { Permeability = new(finish.Material.Permeability.KilogramsPerPascalSecondMetre / 20) } };
            var (outside, inside) = (Humidity(floor with { Outboard = [foil, .. floor.Outboard] }), Humidity(floor with { Inboard = [.. floor.Inboard.SkipLast(1), tighter] }));
            (told.Case == "dampInward" ? outside : inside).ShouldBeLessThan(worst.InterfaceHumidity + 1e-9);
            (told.Case == "dampInward" ? inside : outside).ShouldBeGreaterThan(worst.InterfaceHumidity - 1e-9);
        });

    [Fact]
    public void In_a_dry_room_nothing_condenses()
    {
        var dry = new YearOfAir(Year.Outdoor, [.. Year.Outdoor.Select(m => new MonthAir(new(20), new(Math.Max(2, 100 * MoistAir.Of(m.Temperature, m.Humidity, StandardAtmosphere.PressureAt(Length.Zero)).VapourPressure.Pascals / 2339))))]);
        var year = MonthlyYear.Of(Wall(Sheets.OpenCell, 5.5), dry);
        year.GreatestStored.ShouldBe(0, 1e-9);
        year.Findings.Single(f => f.Rule == "yearCondensate").Case.ShouldBe("none");
    }

    [Theory]
    [InlineData(3, -5, 810)]
    [InlineData(3, 0, 810)]
    [InlineData(3, 10, 405)]
    [InlineData(3, 20, 0)]
    [InlineData(3, 25, 0)]
    [InlineData(1, 0, 270)]
    [InlineData(5, 5, 1020)]
    public void Humidity_classes_are_the_standards_own(int humidityClass, double outdoor, double excess) =>
        HumidityClasses.Excess(humidityClass, new(outdoor)).Pascals.ShouldBe(excess, 1e-9);

    [Fact]
    public void A_room_of_a_class_holds_outdoor_water_and_its_excess()
    {
        var room = HumidityClasses.Room(2, new(new(0), new(80)), new(20));
        var vapour = MoistAir.Of(room.Temperature, room.Humidity, StandardAtmosphere.PressureAt(Length.Zero)).VapourPressure.Pascals;
        vapour.ShouldBe(0.80 * 611.2 + 540, 2);
        HumidityClasses.Room(2, new(new(26), new(60)), new(20)).Temperature.Celsius.ShouldBe(26);
    }

    [Fact]
    public void The_inner_surface_is_judged_with_a_quarter()
    {
        var year = MonthlyYear.Of(Wall(Sheets.ClosedCell, 3), Year);
        var january = year.Months[0];

        // All that lies between the airs but the room film, and 0.25 in its place.
        var cavity = SectionStudy.Of(Wall(Sheets.ClosedCell, 3)).CavityR.SquareMetreKelvinsPerWatt - Films.Inside(FilmSet.Iso6946, HeatFlow.Horizontal).SquareMetreKelvinsPerWatt + 0.25;
        var surface = 20 - 28 * 0.25 / cavity;
        var saturated = MoistAir.SaturationPressureAt(new(surface), HumidityReference.Water).Pascals;
        var vapour = MoistAir.Of(new(20), new(50), StandardAtmosphere.PressureAt(Length.Zero)).VapourPressure.Pascals;
        january.SurfaceHumidity.ShouldBe(100 * vapour / saturated, 1e-4);
    }

    private static SectionCase Wall(ProductSheet sheet, double inches, double liningPermInch = 22) => new()
    {
        Kind = SurfaceKind.StudWall,
        Outboard = [Layer("wood-siding", 0.115, 4, 19), Layer("osb", 0.102, 0.45, 11)],
        Inboard = [Layer("gypsum-board", 0.16, liningPermInch, 12.7)],
        Members = new(MemberMaterial.Wood, Length.FromInches(5.5), Length.FromInches(16), 0.25, new(0.1154)),
        HeatFlow = HeatFlow.Horizontal,
        Exposure = Exposure.Outdoors,
        Films = FilmSet.Iso6946,
        Fill = [new FoamFill(sheet, Length.FromInches(inches))],
        Air = new(new(20), new(50), new(-8), new(80)),
    };

    private static Layer Layer(string id, double k, double permIn, double mm) => new(new Material(id, new(k), Permeability.FromPermInches(permIn), "made up"), Length.FromMillimetres(mm));
}
